package server

import (
	"fmt"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/formula"
	"plushladle/core/keep"
	"plushladle/core/plan"
)

// Habit is how a drink is drunk, and when the cook is willing to make it.
type Habit struct {
	DrinkID  int64   `json:"drinkID" minimum:"1"`
	PerDayML float64 `json:"perDayML" minimum:"0" maximum:"100000" doc:"0 for what the pours tell, or else the drinkers"`
	Days     []bool  `json:"days" minItems:"7" maxItems:"7" doc:"Sunday first"`
}

// RhythmFigure is a week of making with nothing past its date.
type RhythmFigure struct {
	PerDayML   float64        `json:"perDayML"`
	From       string         `json:"from" doc:"what that is known from"`
	LifeDays   int            `json:"lifeDays"`
	ThereML    float64        `json:"thereML" doc:"in bottles now, not past"`
	LastsDays  float64        `json:"lastsDays" doc:"what is there, at that"`
	Makings    []MakingFigure `json:"makings"`
	FreezePct  float64        `json:"freezePct"`
	BottleML   float64        `json:"bottleML" doc:"how large frozen bottles are best; 0 where nothing is frozen"`
	WasteML    float64        `json:"wasteML" doc:"a week's, by one batch a week"`
	WasteCost  float64        `json:"wasteCost" doc:"0 where it is not known"`
	NextMaking string         `json:"nextMaking" doc:"by the kitchen's clock, to be planned with"`
	Words      string         `json:"words"`
}

// MakingFigure is a batch of the week.
type MakingFigure struct {
	Day       string  `json:"day"`
	LastsDays int     `json:"lastsDays"`
	BatchML   float64 `json:"batchML"`
	FreezeML  float64 `json:"freezeML"`
}

func (s *server) rhythm(in *body[Habit]) (RhythmFigure, error) {
	drink, err := s.store.Drink(in.Body.DrinkID)
	if err != nil {
		return RhythmFigure{}, err
	}
	d, _, err := s.read(drink.Name, drink.Draft)
	if err != nil {
		return RhythmFigure{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return RhythmFigure{}, err
	}
	if r.Drink == nil || !r.Keeps.Known() {
		return RhythmFigure{}, fault.New("drinkID", drink.Name, "has no known life yet", "give it a base or a liquid whose life is known")
	}
	out := RhythmFigure{PerDayML: in.Body.PerDayML, From: "as you said", LifeDays: keep.WholeDays(r.Keeps.Days(d.School)), Makings: []MakingFigure{}}
	if out.PerDayML == 0 {
		if out.PerDayML, out.From, err = s.drunkADay(in.Body.DrinkID, &d, r); err != nil {
			return out, err
		}
	}
	if err := s.stillThere(&out, in.Body.DrinkID); err != nil {
		return out, err
	}
	return out, out.propose(&d, r, in.Body.Days, s.now())
}

// learnFrom is how long there have to be pours before they tell what is drunk.
const learnFrom = 14 * 24 * time.Hour

// drunkADay is what the pours of two weeks tell, or else the drinkers.
func (s *server) drunkADay(drinkID int64, d *formula.Drink, r *formula.Reckoning) (float64, string, error) {
	now := s.now()
	first, ml, err := s.store.DrunkSince(drinkID, now.Add(-learnFrom))
	if err != nil {
		return 0, "", err
	}
	if !first.IsZero() && now.Sub(first) >= learnFrom && ml > 0 {
		return ml / (learnFrom.Hours() / 24), "from two weeks of pours", nil
	}
	servings := 0.
	for n, p := range d.Drinkers {
		if n < len(r.ForWhom) && r.ForWhom[n].Not {
			continue
		}
		if p.ServingsDay > 0 {
			servings += p.ServingsDay
		}
	}
	if servings == 0 {
		return r.Servings.SizeML, "a serving a day, until you say or two weeks of pours tell", nil
	}
	return servings * r.Servings.SizeML, "from who drinks here, until two weeks of pours tell", nil
}

// stillThere is how much of the drink there is, and how long it lasts.
func (s *server) stillThere(out *RhythmFigure, drinkID int64) error {
	shelf, err := s.shelf(nil)
	if err != nil {
		return err
	}
	for _, b := range shelf.Bottles {
		if b.DrinkID == drinkID && b.Standing != string(keep.Past) {
			out.ThereML += b.LeftML
		}
	}
	out.LastsDays = out.ThereML / out.PerDayML
	return nil
}

func (out *RhythmFigure) propose(d *formula.Drink, r *formula.Reckoning, days []bool, now time.Time) error {
	drinking := plan.Drinking{PerDayML: out.PerDayML, LifeDays: out.LifeDays, FreezerDays: r.Keeps.FreezerDays(d.School)}
	copy(drinking.Willing[:], days)
	week, ok := drinking.Propose()
	if !ok {
		return fault.New("days", "", "leave no week in which nothing passes its date", "be willing on one more day, or let more be frozen")
	}
	out.FreezePct, out.WasteML = 100*week.FreezeShare, week.OnceAWeekML
	if week.FreezeShare > 0 {
		out.BottleML = drinking.BottleOfFrozenML()
	}
	if r.Cost.Known {
		out.WasteCost = r.Cost.PerLitre * out.WasteML / 1000
	}
	var said []string
	for _, m := range week.Makings {
		name := time.Weekday(m.Day).String()
		out.Makings = append(out.Makings, MakingFigure{name, m.LastsDays, m.BatchML, m.FreezeML})
		said = append(said, fmt.Sprintf("%s, %.0f mL for %s", name, m.BatchML, daysWords(m.LastsDays)))
	}
	out.Words = "Make it on " + strings.Join(said, "; on ") + "."
	out.NextMaking = nextMaking(week, out.LastsDays, now)
	return nil
}

func daysWords(n int) string {
	if n == 1 {
		return "a day"
	}
	return fmt.Sprintf("%d days", n)
}

// readyHour is when a making day's drink is to be ready.
const readyHour = 18

// nextMaking is the first making day that is not before what is there runs
// out, less a day.
func nextMaking(week plan.Rhythm, lastsDays float64, now time.Time) string {
	from := now.Add(time.Duration(max(0, lastsDays-1) * 24 * float64(time.Hour)))
	for day := range 14 {
		y, m, d := from.AddDate(0, 0, day).Date()
		at := time.Date(y, m, d, readyHour, 0, 0, 0, now.Location())
		for _, making := range week.Makings {
			if int(at.Weekday()) == making.Day && at.After(now.Add(time.Hour)) {
				return at.Format("2006-01-02T15:04")
			}
		}
	}
	return ""
}
