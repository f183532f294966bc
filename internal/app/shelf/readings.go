package shelf

import (
	"io"
	"slices"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/internal/app"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// A thermometer's file is sent as it is, whatever its size; then shown, as it is read and with
// what it costs each bottle, so that its dates and its scale can be put right; and only then
// taken in. All of it can be taken back.

// MostReadingsB is the largest file of readings, bytes: some eight million of them.
const MostReadingsB = 256 << 20

// SentReadings is a file that was sent.
type SentReadings struct {
	ID    int64   `json:"id"`
	Share float64 `json:"share" doc:"how much of it was gone through, 0 to 1"`
}

// HoldReadings holds a file to look at.
func (s Service) HoldReadings(name string, from io.Reader) (SentReadings, error) {
	file, err := s.Sent.Hold(name, from, MostReadingsB, s.Now())
	if err != nil {
		return SentReadings{}, err
	}
	if file.SizeB > MostReadingsB {
		s.Sent.Forget(file.ID)
		return SentReadings{}, fault.New("file", "", "readings-too-large", float64(MostReadingsB>>20))
	}
	return SentReadings{ID: file.ID}, nil
}

// ReadingsShare is how much of a file was gone through.
func (s Service) ReadingsShare(id int64) (SentReadings, error) {
	file, err := s.sent(id)
	if err != nil {
		return SentReadings{}, err
	}
	return SentReadings{ID: id, Share: file.Share()}, nil
}

func (s Service) sent(id int64) (*app.SentFile, error) {
	file, err := s.Sent.Get(id)
	if err != nil {
		return nil, fault.New("file", "", "readings-not-held")
	}
	return file, nil
}

// ForgetReadings lets go of a file.
func (s Service) ForgetReadings(id int64) (app.Nothing, error) {
	s.Sent.Forget(id)
	return app.Nothing{}, nil
}

// ReadAs is how a file is to be read, where it was not recognised right.
type ReadAs struct {
	Order  string `json:"order,omitempty" enum:"ymd,dmy,mdy" doc:"of year, month and day; recognised where it is left out"`
	Scale  string `json:"scale,omitempty" enum:"c,f"`
	Column *int   `json:"column,omitempty" minimum:"0" maximum:"200" doc:"of the temperature, from 0"`
}

// FoundReadings is what there is in a file as it is read.
type FoundReadings struct {
	Name      string          `json:"name"`
	Order     string          `json:"order" enum:"ymd,dmy,mdy"`
	Orders    []string        `json:"orders" doc:"its dates can be read in"`
	Scale     string          `json:"scale" enum:"c,f"`
	SaysScale bool            `json:"saysScale" doc:"the file names it"`
	Column    int             `json:"column"`
	Columns   []ReadingColumn `json:"columns" doc:"of numbers, to choose from"`
	Written   string          `json:"written" doc:"how it is written, in words"`
	Line      string          `json:"line" doc:"the first line that is read, as it stands"`
	ReadsAs   string          `json:"readsAs" doc:"and in words"`
	Readings  int             `json:"readings" doc:"of moments that have none yet"`
	Summary   []string        `json:"summary" doc:"what there is, what is there already and what is left out, in words"`
	Problem   string          `json:"problem" doc:"why it is not to be taken in as it is read; empty where it may"`
	Refused   []RefusedLine   `json:"refused" doc:"the first lines that are left out"`
	RefusedN  int             `json:"refusedLines" doc:"how many in all"`
	Costs     []BottleCost    `json:"costs" doc:"what it takes from bottles, or gives back"`
}

// ReadingColumn is a column of numbers.
type ReadingColumn struct {
	Column int    `json:"column"`
	Name   string `json:"name"`
}

// RefusedLine is one that is left out, as it stands.
type RefusedLine struct {
	Line int    `json:"line"`
	Text string `json:"text"`
	Why  string `json:"why"`
}

// BottleCost is what the readings change in a bottle's life.
type BottleCost struct {
	BottleID int64  `json:"bottleID"`
	Name     string `json:"name"`
	Words    string `json:"words"`
}

// gone is a file gone through as it is to be read.
type gone struct {
	layout exchange.Layout
	found  exchange.Found
	orders []exchange.DateOrder
	at     []int64 // of the readings, in order, each moment once
	since  []keep.Reading
}

// LookAtReadings goes through a file and tells what there is in it, with what it costs.
func (s Service) LookAtReadings(id int64, as ReadAs) (FoundReadings, error) {
	file, err := s.sent(id)
	if err != nil {
		return FoundReadings{}, err
	}
	bottles, err := s.store.Shelf()
	if err != nil {
		return FoundReadings{}, err
	}
	l, err := s.LifeLook(bottles)
	if err != nil {
		return FoundReadings{}, err
	}
	g, err := s.goThrough(file, as, l.since(bottles))
	if err != nil {
		return FoundReadings{}, err
	}
	has, err := s.store.HasRead(g.at)
	if err != nil {
		return FoundReadings{}, err
	}
	out := g.present(file.Name, has)
	if out.Problem == "" {
		out.Costs = l.costs(bottles, g.since)
	}
	return out, nil
}

// layoutOf recognises how a file is written, and takes what was said instead.
func (s Service) layoutOf(file *app.SentFile, as ReadAs) (exchange.Layout, error) {
	var l exchange.Layout
	var ok bool
	err := file.Read(func(r io.Reader) (err error) {
		l, ok, err = exchange.Recognise(r)
		return err
	})
	if err != nil {
		return l, err
	}
	if !ok {
		return l, fault.New("file", "", "no-readings")
	}
	l.Order = exchange.DateOrder(as.Order)
	if as.Scale != "" {
		l.Fahrenheit = as.Scale == "f"
	}
	if as.Column != nil && *as.Column < len(l.Columns) && l.Columns[*as.Column] != "" && !l.DecimalComma {
		l.Temp = *as.Column
	}
	return l, nil
}

// likeliest is the order a file's dates are most likely written in.
func (s Service) likeliest(file *app.SentFile, l exchange.Layout) (exchange.DateOrder, error) {
	if len(l.Orders) == 1 {
		return l.Orders[0], nil
	}
	found := map[exchange.DateOrder]exchange.Found{}
	for _, l.Order = range l.Orders {
		f, err := s.readFile(file, l, func(exchange.Temperature) error { return nil })
		if err != nil {
			return "", err
		}
		found[l.Order] = f
	}
	return exchange.BestOrder(found), nil
}

// goThrough reads a file whole, as it is to be taken in.
func (s Service) goThrough(file *app.SentFile, as ReadAs, since time.Time) (gone, error) {
	var g gone
	l, err := s.layoutOf(file, as)
	if err != nil {
		return g, err
	}
	if g.orders = l.Orders; as.Order == "" {
		if l.Order, err = s.likeliest(file, l); err != nil {
			return g, err
		}
	}
	g.layout = l
	g.found, err = s.readFile(file, l, func(t exchange.Temperature) error {
		g.at = append(g.at, t.At.Unix())
		if !t.At.Before(since) {
			g.since = append(g.since, keep.Reading{At: t.At, TempC: t.TempC})
		}
		return nil
	})
	slices.Sort(g.at)
	g.at = slices.Compact(g.at)
	return g, err
}

func (s Service) readFile(file *app.SentFile, l exchange.Layout, take func(exchange.Temperature) error) (found exchange.Found, err error) {
	err = file.Read(func(r io.Reader) (err error) {
		found, err = exchange.ReadTemperatures(r, l, s.Now().Location(), s.Now(), take)
		return err
	})
	return found, err
}

// present tells what there is in a file, of which so many readings are there already.
func (g gone) present(name string, has int) FoundReadings {
	l, f := g.layout, g.found
	out := FoundReadings{
		Name: name, Order: string(l.Order), Scale: scaleOf(l), SaysScale: l.SaysScale, Column: l.Temp,
		Written: writtenWords(l), Line: f.Example, Readings: len(g.at) - has, RefusedN: f.RefusedInIt,
		Orders: []string{}, Columns: []ReadingColumn{}, Refused: []RefusedLine{}, Costs: []BottleCost{}, Summary: []string{},
	}
	for _, order := range g.orders {
		out.Orders = append(out.Orders, string(order))
	}
	for n, column := range l.Columns {
		if column != "" {
			out.Columns = append(out.Columns, ReadingColumn{n, column})
		}
	}
	for _, r := range f.Refused {
		out.Refused = append(out.Refused, RefusedLine{r.Line, r.Text, wording.Say(r.Why)})
	}
	if f.Readings > 0 {
		out.ReadsAs = wording.Say("reading-reads-as", wording.FullMoment(f.First.At), f.First.TempC)
		out.Summary = g.summary(has)
	}
	switch {
	case f.IsImplausible():
		out.Problem = wording.Say("readings-implausible", wording.Count(f.Warm+f.NoFridge), wording.Readings(f.Readings+f.NoFridge))
	case f.Readings == 0:
		out.Problem = wording.Say("readings-none-usable")
	case out.Readings == 0:
		out.Problem = wording.Say("readings-all-there")
	}
	return out
}

func scaleOf(l exchange.Layout) string {
	if l.Fahrenheit {
		return "f"
	}
	return "c"
}

// writtenWords tells how a file is written.
func writtenWords(l exchange.Layout) string {
	separator := map[rune]string{';': "separator-semicolon", '\t': "separator-tab", ',': "separator-comma", '|': "separator-bar"}[l.Separator]
	said := []string{wording.Say(separator)}
	if l.DecimalComma {
		said = append(said, wording.Say("decimal-comma-of-two-columns"))
	}
	if !l.SaysScale {
		said = append(said, wording.Say("scale-not-said"))
	}
	return strings.Join(said, " ")
}

func (g gone) summary(has int) []string {
	f := g.found
	said := []string{wording.Say("readings-found", wording.Readings(len(g.at)), wording.FullMoment(f.From), wording.FullMoment(f.To), f.LeastC, f.MostC)}
	if twice := f.Readings - len(g.at); twice > 0 {
		said = append(said, wording.Say("readings-twice", wording.Count(twice)))
	}
	if has > 0 {
		said = append(said, wording.Say("readings-there", wording.Count(has)))
	}
	if f.Future > 0 {
		said = append(said, wording.Say("readings-future", wording.Count(f.Future)))
	}
	if f.RefusedInIt > 0 {
		said = append(said, wording.Say("readings-refused", wording.Count(f.RefusedInIt)))
	}
	return said
}

// costs are what readings take from the life of bottles, or give it back.
func (l LifeLook) costs(bottles []store.Bottle, newer []keep.Reading) []BottleCost {
	out := []BottleCost{}
	with := keep.NewRecord(append(slices.Clip(l.Record.Readings), notIn(l.Record.Readings, newer)...), l.Record.SetC)
	for n := range bottles {
		b := l.kept(&bottles[n])
		before := b.Budget(l.Record, l.School, l.RoomC, l.Now)
		after := b.Budget(with, l.School, l.RoomC, l.Now)
		if words := costWords(before, after); words != "" {
			out = append(out, BottleCost{bottles[n].ID, bottles[n].Batch.DrinkName, words})
		}
	}
	return out
}

// notIn are the readings of moments that have none yet.
func notIn(has, newer []keep.Reading) []keep.Reading {
	return slices.DeleteFunc(slices.Clone(newer), func(r keep.Reading) bool {
		_, is := slices.BinarySearchFunc(has, r, func(a, b keep.Reading) int { return int(a.At.Unix() - b.At.Unix()) })
		return is
	})
}

// tellsDays is the least change of a life that is told, days.
const tellsDays = 0.05

func costWords(before, after keep.Budget) string {
	days := before.LeftDays - after.LeftDays
	switch {
	case before.Out.IsZero() && !after.Out.IsZero():
		return wording.Say("readings-throw-out", after.Out)
	case !before.Past && after.Past:
		return wording.Say("readings-end-it")
	case days >= tellsDays:
		return wording.Say("readings-cost", days, wording.PartOfDay(after.UseBy))
	case days <= -tellsDays:
		return wording.Say("readings-give", -days, wording.PartOfDay(after.UseBy))
	}
	return ""
}

// ImportedReadings is what came of a file.
type ImportedReadings struct {
	Import Import `json:"import"`
	Thermo Thermo `json:"thermo"`
}

// ImportReadings takes a file in as it was shown.
func (s Service) ImportReadings(id int64, as ReadAs) (ImportedReadings, error) {
	look, err := s.LookAtReadings(id, as)
	if err != nil {
		return ImportedReadings{}, err
	}
	if look.Problem != "" {
		return ImportedReadings{}, &app.Refused{Text: look.Problem, Field: "file", Message: look.Problem}
	}
	file, err := s.sent(id)
	if err != nil {
		return ImportedReadings{}, err
	}
	l, err := s.layoutOf(file, as)
	if err != nil {
		return ImportedReadings{}, err
	}
	l.Order = exchange.DateOrder(look.Order)
	in, err := s.store.ImportTemperatures(file.Name, func(take func(store.Temperature) error) error {
		_, err := s.readFile(file, l, func(t exchange.Temperature) error {
			return take(store.Temperature{At: t.At.Unix(), TempC: t.TempC})
		})
		return err
	})
	if err != nil {
		return ImportedReadings{}, err
	}
	s.ForgetRecord()
	s.Sent.Forget(id)
	thermo, err := s.Thermometer()
	return ImportedReadings{importOf(in), thermo}, err
}

// Import is a file of readings that was taken in.
type Import struct {
	ID    int64     `json:"id"`
	Name  string    `json:"name"`
	At    time.Time `json:"at"`
	Words string    `json:"words"`
}

func importOf(in store.TemperatureImport) Import {
	code := "readings-imported"
	if !in.Whole {
		code = "readings-imported-in-part"
	}
	return Import{in.ID, in.Name, in.At, wording.Say(code, wording.Readings(in.Readings), wording.FullMoment(in.At))}
}

// importsShown is how many are told of.
const importsShown = 5

func (s Service) imports() ([]Import, error) {
	kept, err := s.store.Imports(importsShown)
	out := make([]Import, len(kept))
	for n, in := range kept {
		in.At = in.At.In(s.Now().Location())
		out[n] = importOf(in)
	}
	return out, err
}

// RemoveImport takes an import back.
func (s Service) RemoveImport(id int64) (Thermo, error) {
	if err := s.store.RemoveImport(id); err != nil {
		return Thermo{}, err
	}
	s.ForgetRecord()
	return s.Thermometer()
}
