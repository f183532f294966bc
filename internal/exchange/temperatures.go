package exchange

import (
	"encoding/csv"
	"io"
	"iter"
	"strconv"
	"time"

	"plushladle/core/keep"
)

// Temperature is a reading of a fridge's thermometer.
type Temperature struct {
	At    time.Time
	TempC float64
}

// Refused is a line of a file that was not understood, as it stands there.
type Refused struct {
	Line int    `json:"line"`
	Text string `json:"text"`
	Why  string `json:"why"`
}

// temperatureHead is the first line of the file.
var temperatureHead = []string{"time", "temp_c"}

// WriteTemperatures writes readings as CSV (RFC 4180): time (RFC 3339, UTC)
// and °C. They are taken one by one, as there may be years of them.
func WriteTemperatures(w io.Writer, readings iter.Seq[Temperature]) error {
	out := csv.NewWriter(w)
	if err := out.Write(temperatureHead); err != nil {
		return err
	}
	for r := range readings {
		if err := out.Write([]string{r.At.UTC().Format(time.RFC3339), strconv.FormatFloat(r.TempC, 'f', -1, 64)}); err != nil {
			return err
		}
	}
	out.Flush()
	return out.Error()
}

// Why a line of a thermometer's file is not taken, as codes.
const (
	NoTime      = "reading-without-time"
	NoNumber    = "reading-without-number"
	NoFridge    = "reading-of-no-fridge"
	InTheFuture = "reading-in-the-future"
	ManyColumns = "reading-with-more-columns"
	FewColumns  = "reading-with-fewer-columns"
)

// clocksDiffer is how far a thermometer's clock may be ahead.
const clocksDiffer = 5 * time.Minute

// mostRefused is how many lines that are not taken are kept to be shown; all are counted.
const mostRefused = 50

// Found is what there is in a thermometer's file, read one way.
type Found struct {
	Readings    int       // that were taken, those of one second counted each
	From, To    time.Time // the first and the last of them
	LeastC      float64
	MostC       float64
	Warm        int // above what a fridge's mostly are
	NoFridge    int // that were left out, as no fridge is that cold or warm
	Future      int // readings that no clock can have seen yet
	Refused     []Refused
	RefusedInIt int           // how many lines were not taken in all
	Backwards   int           // how often the next one is earlier than the last
	Example     string        // the first line that was taken, as it stands
	First       Temperature   // what it was read as
	Strides     time.Duration // from each to the next, added up whichever way

	before time.Time // the one counted last
}

// warmerThanFridges is what half of a fridge's readings never are above, °C: 20
// °C is 68 °F, and a fridge in °F stands at about 40.
const warmerThanFridges = 20.

// IsImplausible tells that most of a file is warmer than any fridge: it is in °F and read as
// °C, or not from a fridge. Every bottle would be thrown out for it.
func (f Found) IsImplausible() bool { return 2*(f.Warm+f.NoFridge) > f.Readings+f.NoFridge }

// ReadTemperatures goes through a file as its layout says and gives away each reading. Lines
// that are not understood, that no fridge can have, or that are later than now are left out and
// told. A file is read as it comes, whatever its size.
func ReadTemperatures(r io.Reader, l Layout, zone *time.Location, now time.Time, take func(Temperature) error) (Found, error) {
	var f Found
	for line, err := range lines(r) {
		if err != nil {
			return f, err
		}
		if line.number <= l.Skip || line.isEmpty() {
			continue
		}
		reading, why := l.reading(line.text, zone)
		switch {
		case why != "":
		case !keep.IsOfAFridge(reading.TempC):
			f.NoFridge++
			why = NoFridge
		case reading.At.After(now.Add(clocksDiffer)):
			f.Future++
			why = InTheFuture
		}
		if why != "" {
			f.refuse(line, why)
			continue
		}
		f.count(reading, line)
		if err := take(reading); err != nil {
			return f, err
		}
	}
	return f, nil
}

func (f *Found) refuse(l line, why string) {
	f.RefusedInIt++
	if len(f.Refused) < mostRefused {
		f.Refused = append(f.Refused, Refused{l.number, l.shortened(), why})
	}
}

func (f *Found) count(r Temperature, l line) {
	if f.Readings == 0 {
		f.Example, f.First = l.shortened(), r
		f.From, f.To, f.LeastC, f.MostC = r.At, r.At, r.TempC, r.TempC
	}
	if stride := r.At.Sub(f.before); f.Readings > 0 {
		f.Strides += stride.Abs()
		if stride < 0 {
			f.Backwards++
		}
	}
	f.before = r.At
	if r.At.Before(f.From) {
		f.From = r.At
	}
	if r.At.After(f.To) {
		f.To = r.At
	}
	f.LeastC, f.MostC = min(f.LeastC, r.TempC), max(f.MostC, r.TempC)
	f.Readings++
	if r.TempC > warmerThanFridges {
		f.Warm++
	}
}
