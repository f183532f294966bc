package notes

import (
	"slices"
	"time"

	"plushladle/core/record"
	"plushladle/internal/app"
	"plushladle/internal/store"
)

// Week is what a week was worth.
type Week struct {
	From     string     `json:"from" doc:"its first day"`
	To       string     `json:"to" doc:"its last day"`
	Before   string     `json:"before" doc:"a day of the week before"`
	After    string     `json:"after" doc:"a day of the week after; empty where that is to come"`
	Currency string     `json:"currency"`
	Drinks   []WeekLine `json:"drinks" doc:"what was drunk most first"`
	MadeML   float64    `json:"madeML"`
	DrunkML  float64    `json:"drunkML"`
	ThrownML float64    `json:"thrownML"`
	Saved    float64    `json:"saved" doc:"against the shop, with what was thrown away paid for; negative where it cost more"`
	Unpriced int        `json:"unpriced" doc:"drinks that were drunk and are not in it, as a price of theirs is not known"`
	Stars    float64    `json:"stars" doc:"the mean; 0 where nothing was rated"`
	Tasted   int        `json:"tasted"`
}

// WeekLine is what became of a drink in the week.
type WeekLine struct {
	DrinkID  int64   `json:"drinkID"`
	Name     string  `json:"name"`
	MadeML   float64 `json:"madeML"`
	DrunkML  float64 `json:"drunkML"`
	ThrownML float64 `json:"thrownML"`
	Saved    float64 `json:"saved"`
	Known    bool    `json:"known" doc:"what it costs, here and in the shop"`
	Stars    float64 `json:"stars"`
}

// days of the week by the names that settings have.
var firstDays = map[string]time.Weekday{"monday": time.Monday, "sunday": time.Sunday, "saturday": time.Saturday}

const daysAWeek = 7

// Week is what the week of a day was worth; that of today where it is empty.
func (s Service) Week(of string) (Week, error) {
	if err := s.figure(); err != nil {
		return Week{}, err
	}
	day, err := s.MadeOn(of) // a date, and none that is to come
	if err != nil {
		return Week{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return Week{}, err
	}
	y, m, d := day.Date()
	back := (int(day.Weekday()) - int(firstDays[settings.WeekStart]) + daysAWeek) % daysAWeek
	from := time.Date(y, m, d-back, 0, 0, 0, 0, day.Location())
	drinks, err := s.weekDrinks(from, from.AddDate(0, 0, daysAWeek))
	if err != nil {
		return Week{}, err
	}
	return present(record.WeekOf(drinks), from, s.Now(), settings.Currency), nil
}

func present(w record.Week, from, now time.Time, currency string) Week {
	at := func(days int) string { return from.AddDate(0, 0, days).Format(app.DateLayout) }
	out := Week{
		From: at(0), To: at(daysAWeek - 1), Before: at(-daysAWeek), Currency: currency, Drinks: []WeekLine{},
		MadeML: w.MadeML, DrunkML: w.DrunkML, ThrownML: w.ThrownML, Saved: w.Saved, Unpriced: w.Unpriced, Stars: w.Stars, Tasted: w.Tasted,
	}
	if !from.AddDate(0, 0, daysAWeek).After(now) {
		out.After = at(daysAWeek)
	}
	for _, d := range w.Drinks {
		saved, known := d.Saved()
		out.Drinks = append(out.Drinks, WeekLine{d.Drink, d.Name, d.MadeML, d.DrunkML, d.ThrownML, saved, known, d.Stars})
	}
	return out
}

// weekDrinks are the drinks that anything became of.
func (s Service) weekDrinks(from, before time.Time) ([]record.WeekDrink, error) {
	var out []record.WeekDrink
	for _, part := range []struct {
		read func(from, before time.Time) ([]store.WeekLine, error)
		add  func(*record.WeekDrink, store.WeekLine)
	}{
		{s.store.MadeBetween, func(d *record.WeekDrink, l store.WeekLine) { d.MadeML = l.ML }},
		{s.store.DrunkBetween, func(d *record.WeekDrink, l store.WeekLine) {
			d.DrunkML, d.DrunkCost, d.DrunkShop = l.ML, l.Cost, l.Shop
		}},
		{s.store.ThrownBetween, func(d *record.WeekDrink, l store.WeekLine) { d.ThrownML, d.ThrownFor = l.ML, l.Cost }},
		{s.store.TastedBetween, func(d *record.WeekDrink, l store.WeekLine) { d.Stars, d.Tasted = l.Stars, l.Tasted }},
	} {
		lines, err := part.read(from, before)
		if err != nil {
			return nil, err
		}
		for _, l := range lines {
			at := slices.IndexFunc(out, func(d record.WeekDrink) bool { return d.Drink == l.DrinkID })
			if at < 0 {
				out, at = append(out, record.WeekDrink{Drink: l.DrinkID, Name: l.Name}), len(out)
			}
			part.add(&out[at], l)
		}
	}
	return out, nil
}

// weeksShown are the weeks of the kitchen's history.
const weeksShown = 13

// KitchenHistory is how the weeks went, the earliest first.
type KitchenHistory struct {
	Currency string  `json:"currency"`
	Weeks    []Week  `json:"weeks"`
	Charts   []Chart `json:"charts"`
}

// KitchenHistory is how the last weeks went.
func (s Service) KitchenHistory() (KitchenHistory, error) {
	this, err := s.Week("")
	if err != nil {
		return KitchenHistory{}, err
	}
	out := KitchenHistory{Currency: this.Currency, Weeks: []Week{this}, Charts: []Chart{}}
	for len(out.Weeks) < weeksShown {
		before, err := s.Week(out.Weeks[0].Before)
		if err != nil {
			return out, err
		}
		out.Weeks = append([]Week{before}, out.Weeks...)
	}
	for len(out.Weeks) > 1 && len(out.Weeks[0].Drinks) == 0 { // before anything was made
		out.Weeks = out.Weeks[1:]
	}
	for _, c := range []struct {
		figure string
		of     func(Week) (float64, bool)
	}{
		{"made", func(w Week) (float64, bool) { return w.MadeML, true }},
		{"drunk", func(w Week) (float64, bool) { return w.DrunkML, true }},
		{"thrown", func(w Week) (float64, bool) { return w.ThrownML, true }},
		{"saved", func(w Week) (float64, bool) { return w.Saved, true }},
		{"stars", func(w Week) (float64, bool) { return w.Stars, w.Tasted > 0 }},
	} {
		if chart, ok := weekChart(out.Weeks, c.figure, c.of); ok {
			out.Charts = append(out.Charts, chart)
		}
	}
	return out, nil
}

// weekChart draws one figure over the weeks; those of amounts stand on nothing.
func weekChart(weeks []Week, figure string, of func(Week) (float64, bool)) (Chart, bool) {
	chart := Chart{Figure: figure, Aim: -1, Dots: []Dot{}}
	for n, w := range weeks {
		v, has := of(w)
		if !has {
			continue
		}
		chart.Low, chart.High, chart.Last = min(chart.Low, v), max(chart.High, v), v
		chart.Dots = append(chart.Dots, Dot{X: float64(n) / float64(max(1, len(weeks)-1)), Y: v})
	}
	if len(chart.Dots) < 2 || chart.High == chart.Low {
		return chart, false
	}
	if figure == "stars" {
		chart.Low, chart.High = 0, mostStars
	}
	for n := range chart.Dots {
		chart.Dots[n].Y = chart.at(chart.Dots[n].Y)
	}
	return chart, true
}

const mostStars = 5
