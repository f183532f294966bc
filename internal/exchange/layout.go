package exchange

import (
	"cmp"
	"io"
	"maps"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"
)

// Layout is how a thermometer's file is written: recognised from its first lines, shown, and put
// right by whoever takes it in where it was not.
type Layout struct {
	Separator    rune // between columns
	Skip         int  // lines before the first reading: marks, titles, a head
	Width        int  // columns; more in a line are not understood
	When         int  // the column of the moment, or of its date
	Clock        int  // the column of the time of day; -1 where When has it
	Temp         int  // the column of the temperature
	DecimalComma bool // 4,2 stands in two columns, as commas also part them
	Order        DateOrder
	Orders       []DateOrder // its first dates can be read in
	Fahrenheit   bool
	SaysScale    bool     // the file itself names its scale
	Columns      []string // by their head, or what stands in them first; "" where there are no temperatures
}

// separators are what parts columns, the likelier first.
var separators = []rune{';', '\t', ',', '|'}

// linesLookedAt are enough to recognise a layout by.
const linesLookedAt = 200

// Recognise finds out how a file is written from its first lines; false where there are no
// moments with temperatures in it.
func Recognise(r io.Reader) (Layout, bool, error) {
	var some []line
	for l, err := range lines(r) {
		if err != nil {
			return Layout{}, false, err
		}
		if some = append(some, l); len(some) == linesLookedAt {
			break
		}
	}
	var best Layout
	most := 0
	for _, separator := range separators {
		l := Layout{Separator: separator}
		if read := l.lookAt(some); read > most {
			best, most = l, read
		}
	}
	return best, most > 0, nil
}

// lookAt finds the columns of a layout with its separator, and answers in how many lines there
// is a reading.
func (l *Layout) lookAt(some []line) int {
	var rows [][]string
	for _, line := range some {
		if line.isEmpty() {
			continue
		}
		row := cells(line.text, l.Separator)
		if when := slices.IndexFunc(row, isDate); when < 0 || len(row) < 2 {
			if len(rows) == 0 {
				l.Skip = line.number
				l.Columns = row
				l.saidScale(line.text)
			}
			continue
		}
		rows = append(rows, row)
	}
	if len(rows) == 0 {
		return 0
	}
	l.When = slices.IndexFunc(rows[0], isDate)
	l.Clock = -1
	if _, has := anyMoment(rows[0][l.When]); !has {
		if l.Clock = slices.IndexFunc(rows[0], isClock); l.Clock < 0 {
			return 0
		}
	}
	l.findWidth(rows)
	if !l.findTemperature(rows) {
		return 0
	}
	l.findScale(rows)
	l.Orders = l.orders(rows)
	read := 0
	for _, row := range rows {
		if _, ok := l.number(row); ok && len(row) <= l.Width {
			read++
		}
	}
	return read
}

// findWidth tells how many columns there are, and whether a decimal comma makes one more of them.
func (l *Layout) findWidth(rows [][]string) {
	l.Width = len(slices.MaxFunc(rows, func(a, b []string) int { return cmp.Compare(len(a), len(b)) }))
	hasHead := len(l.Columns) >= 2
	if l.Separator != ',' || l.Width < 3 || hasHead && len(l.Columns) >= l.Width {
		return
	}
	for _, row := range rows {
		last := len(row) - 1
		if last != l.Width-1 || !isFigures(row[last], 2) || !hasHead && !isFigures(row[last], 1) || !isFigures(strings.TrimLeft(row[last-1], "-+"), 3) {
			if hasHead { // some lines have more than the head says: those are not understood
				l.Width = len(l.Columns)
			}
			return
		}
	}
	l.DecimalComma = true
}

func isFigures(text string, most int) bool {
	return text != "" && len(text) <= most && strings.Trim(text, "0123456789") == ""
}

// headsOfTemperatures are what a temperature's column is called; headsOfOthers are not the
// fridge's, though they are called alike.
var (
	headsOfTemperatures = []string{"temp", "°c", "°f", "celsius", "fahrenheit", "probe", "(c)", "(f)", "_c", "_f"}
	headsOfOthers       = []string{"hum", "dew", "alarm", "min", "max", "limit", "batt"}
)

// findTemperature finds the column of the temperatures: by its head, or the first of numbers
// that do not only count the lines. The other columns of numbers can be chosen.
func (l *Layout) findTemperature(rows [][]string) bool {
	heads := l.Columns
	l.Columns = make([]string, l.Width)
	l.Temp = -1
	named := -1
	for n := range l.Width {
		if n == l.When || n == l.Clock || l.DecimalComma && n != l.Width-2 || !isOfNumbers(rows, n) {
			continue
		}
		head := ""
		if n < len(heads) && len(heads) >= 2 {
			head = heads[n]
		}
		low := strings.ToLower(head)
		if l.Columns[n] = head; head == "" {
			l.Columns[n] = rows[0][n]
		}
		if named < 0 && containsAny(low, headsOfTemperatures) && !containsAny(low, headsOfOthers) {
			named = n
		}
		if l.Temp < 0 && !isCounting(rows, n) {
			l.Temp = n
		}
	}
	if named >= 0 {
		l.Temp = named
	}
	return l.Temp >= 0
}

func containsAny(text string, parts []string) bool {
	return slices.ContainsFunc(parts, func(part string) bool { return strings.Contains(text, part) })
}

func isOfNumbers(rows [][]string, column int) bool {
	are := 0
	for _, row := range rows {
		if column < len(row) {
			if _, _, ok := degrees(row[column]); ok {
				are++
			}
		}
	}
	return 2*are > len(rows)
}

// isCounting tells a column that goes up by one from line to line.
func isCounting(rows [][]string, column int) bool {
	for n := 1; n < len(rows); n++ {
		if column >= len(rows[n]) || column >= len(rows[n-1]) {
			return false
		}
		before, err := strconv.Atoi(rows[n-1][column])
		after, err2 := strconv.Atoi(rows[n][column])
		if err != nil || err2 != nil || after != before+1 {
			return false
		}
	}
	return len(rows) > 2
}

var (
	saysFahrenheit = []string{"°f", "º f", "ºf", "° f", "\ufffdf", "fahrenheit", "temp_f", "(f)", "[f]", "deg f", "degf"}
	saysCelsius    = []string{"°c", "º c", "ºc", "° c", "\ufffdc", "celsius", "temp_c", "(c)", "[c]", "deg c", "degc"}
)

// saidScale reads the scale from a line before the readings.
func (l *Layout) saidScale(text string) {
	low := strings.ToLower(text)
	f, c := containsAny(low, saysFahrenheit), containsAny(low, saysCelsius)
	if f != c {
		l.SaysScale, l.Fahrenheit = true, f
	}
}

// findScale is the scale its column names, else the one that stands behind its numbers, else the
// one that a fridge's middle reading fits.
func (l *Layout) findScale(rows [][]string) {
	before := *l
	l.SaysScale = false
	if l.saidScale(l.Columns[l.Temp]); l.SaysScale {
		return
	}
	l.SaysScale, l.Fahrenheit = before.SaysScale, before.Fahrenheit
	var all []float64
	for _, row := range rows {
		if l.Temp >= len(row) {
			continue
		}
		v, scale, ok := degrees(row[l.Temp])
		if ok {
			all = append(all, v)
		}
		if scale != 0 {
			l.SaysScale, l.Fahrenheit = true, scale == 'f'
		}
	}
	if l.SaysScale || len(all) == 0 {
		return
	}
	slices.Sort(all)
	l.Fahrenheit = all[len(all)/2] > warmerThanFridges
}

// degrees reads a number with a decimal point or comma and, where it stands there, its scale.
func degrees(text string) (v float64, scale byte, ok bool) {
	low := strings.ToLower(strings.TrimSpace(text))
	if end := strings.TrimRight(low, "cf"); len(low)-len(end) == 1 {
		scale = low[len(low)-1]
		low = strings.TrimRight(end, " °º\ufffd")
	}
	v, err := strconv.ParseFloat(strings.Replace(strings.Replace(low, "−", "-", 1), ",", ".", 1), 64)
	return v, scale, err == nil && !math.IsNaN(v) && !math.IsInf(v, 0)
}

// number is a row's temperature as it is written.
func (l Layout) number(row []string) (float64, bool) {
	if l.Temp >= len(row) {
		return 0, false
	}
	text := row[l.Temp]
	if l.DecimalComma {
		if l.Temp+1 >= len(row) {
			return 0, false
		}
		text += "." + row[l.Temp+1]
	}
	v, _, ok := degrees(text)
	return v, ok
}

// What turns °F into °C (NIST SP 811, B.8).
const (
	freezingF = 32.
	fPerC     = 1.8
)

// reading is a line's, or why it has none.
func (l Layout) reading(text string, zone *time.Location) (Temperature, string) {
	row := cells(text, l.Separator)
	switch {
	case len(row) > l.Width:
		return Temperature{}, ManyColumns
	case len(row) <= max(l.When, l.Clock, l.Temp):
		return Temperature{}, FewColumns
	}
	when := row[l.When]
	if l.Clock >= 0 {
		when += " " + row[l.Clock]
	}
	at, ok := moment(when, l.Order, zone)
	if !ok {
		return Temperature{}, NoTime
	}
	v, ok := l.number(row)
	if !ok {
		return Temperature{}, NoNumber
	}
	if l.Fahrenheit {
		v = math.Round((v-freezingF)/fPerC*100) / 100 // finer than any thermometer
	}
	return Temperature{at, v}, ""
}

// anyMoment tells the first order a moment can be read in.
func anyMoment(text string) (DateOrder, bool) {
	for _, order := range DateOrders {
		if _, ok := moment(text, order, time.UTC); ok {
			return order, true
		}
	}
	return "", false
}

func isDate(text string) bool {
	if _, ok := anyMoment(text); ok {
		return true
	}
	for _, order := range DateOrders {
		if _, _, _, ok := dateOf(text, order); ok {
			return true
		}
	}
	return false
}

func isClock(text string) bool {
	_, _, _, ok := clockOf(text)
	return ok
}

// orders are those that some first line's date can be read in.
func (l Layout) orders(rows [][]string) []DateOrder {
	return slices.DeleteFunc(slices.Clone(DateOrders), func(order DateOrder) bool {
		return !slices.ContainsFunc(rows, func(row []string) bool {
			if l.Clock >= 0 {
				_, _, _, ok := dateOf(row[l.When], order)
				return ok
			}
			_, ok := moment(row[l.When], order, time.UTC)
			return ok
		})
	})
}

// BestOrder is, of what a file comes to in each order it may be written in, the one it most
// likely is written in: the fewest lines lost, then the fewest from the future, the fewest steps
// backwards, and the least time from each line to the next.
func BestOrder(found map[DateOrder]Found) DateOrder {
	return slices.MinFunc(slices.Sorted(maps.Keys(found)), func(a, b DateOrder) int {
		x, y := found[a], found[b]
		return cmp.Or(cmp.Compare(y.Readings+y.Future, x.Readings+x.Future), cmp.Compare(x.Future, y.Future),
			cmp.Compare(x.Backwards, y.Backwards), cmp.Compare(x.Strides, y.Strides))
	})
}
