package planning

import (
	"errors"
	"fmt"
	"slices"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/internal/app"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/shelf"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// RhythmWays are which drinks take turns, and when the cook is willing to make
// them.
type RhythmWays struct {
	DrinkIDs []int64 `json:"drinkIDs" minItems:"1" maxItems:"7" uniqueItems:"true" doc:"in the order they take turns"`
	PerDayML float64 `json:"perDayML" minimum:"0" maximum:"100000" doc:"0 for what the pours tell, or else the drinkers"`
	Days     []bool  `json:"days" minItems:"7" maxItems:"7" doc:"Sunday first"`
	pantry.Revised
}

// Rhythm is a round of making with nothing past its date.
type Rhythm struct {
	RhythmWays
	Problem   string         `json:"problem" doc:"why there is none; empty where there is"`
	Drinks    []RhythmDrink  `json:"drinks"`
	LastsDays float64        `json:"lastsDays" doc:"what is there of all of them, what spoils first drunk first"`
	PassesML  float64        `json:"passesML" doc:"of it, what passes its date before its turn comes"`
	Makings   []MakingFigure `json:"makings"`
	Weeks     int            `json:"weeks" doc:"of a round"`
	FreezePct float64        `json:"freezePct"`
	Words     string         `json:"words"`
	Next      *NextMaking    `json:"next,omitempty"`
	Poured    []PouredDay    `json:"poured" doc:"the last seven days"`
	ThrownML  float64        `json:"thrownML" doc:"in four weeks"`
	Thrown    []string       `json:"thrown" doc:"why, the most first"`
	ThrownFor float64        `json:"thrownFor" doc:"what that cost; 0 where it is not known"`
}

// RhythmDrink is a drink of the round.
type RhythmDrink struct {
	DrinkID   int64   `json:"drinkID"`
	DrinkName string  `json:"drinkName"`
	PerDayML  float64 `json:"perDayML"`
	From      string  `json:"from" doc:"what that is known from"`
	LifeDays  int     `json:"lifeDays"`
	ThereML   float64 `json:"thereML" doc:"in bottles now, not past"`
	BottleML  float64 `json:"bottleML" doc:"how large frozen bottles are best"`
	Habit     string  `json:"habit" doc:"how it is made now, in words"`
	WasteML   float64 `json:"wasteML" doc:"in a week"`
	WasteCost float64 `json:"wasteCost" doc:"0 where it is not known"`
	DryDays   float64 `json:"dryDays" doc:"of a week, on which there is none"`

	keeping  plan.Keeping
	perLitre float64 // 0 where its cost is not known
	lastMade string
}

// MakingFigure is a batch of the round.
type MakingFigure struct {
	Week      int     `json:"week" doc:"of the round, from 1"`
	Day       string  `json:"day"`
	DrinkName string  `json:"drinkName"`
	LastsDays int     `json:"lastsDays"`
	BatchML   float64 `json:"batchML"`
	FreezeML  float64 `json:"freezeML"`
}

// NextMaking is the batch to make next.
type NextMaking struct {
	DrinkID   int64   `json:"drinkID"`
	DrinkName string  `json:"drinkName"`
	ReadyBy   string  `json:"readyBy" doc:"by the kitchen's clock, to be planned with"`
	BatchML   float64 `json:"batchML"`
	FreezeML  float64 `json:"freezeML"`
	Planned   bool    `json:"planned" doc:"it is on the plan already"`
}

// PouredDay is what was poured on a day.
type PouredDay struct {
	Day   string  `json:"day"`
	ML    float64 `json:"ml"`
	Share float64 `json:"share" doc:"of the day with the most"`
}

func (s Service) Rhythm() (Rhythm, error) {
	kept, err := s.store.Rhythm()
	if err != nil {
		return Rhythm{}, err
	}
	ways, err := s.chosen(kept)
	if err != nil {
		return Rhythm{}, err
	}
	if len(ways.DrinkIDs) == 0 {
		return Rhythm{RhythmWays: ways, Problem: wording.Say("add-a-drink-first"), Drinks: []RhythmDrink{}, Makings: []MakingFigure{}, Poured: []PouredDay{}, Thrown: []string{}}, nil
	}
	out, err := s.reckonRhythm(ways)
	var problem *fault.Error
	if errors.As(err, &problem) { // what was chosen once may no longer do
		out.Problem, err = wording.Fault(problem), nil
	}
	return out, err
}

// leastADayML is the least that is drunk in a day, where it is said.
const leastADayML = 1

func (s Service) SetRhythm(in RhythmWays) (Rhythm, error) {
	ways := in
	if ways.PerDayML != 0 && ways.PerDayML < leastADayML {
		return Rhythm{}, fault.New("perDayML", fmt.Sprint(ways.PerDayML), "per-day-too-little")
	}
	for _, id := range ways.DrinkIDs {
		if _, err := s.store.Drink(id); err != nil {
			return Rhythm{}, err
		}
	}
	out, err := s.reckonRhythm(ways)
	if err != nil {
		return Rhythm{}, err
	}
	err = s.store.SetRhythm(store.Rhythm{DrinkIDs: ways.DrinkIDs, PerDayML: ways.PerDayML, Days: ways.Days, Revision: ways.Revision})
	if app.IsConflict(err) {
		return out, app.BothOf(ways, func() (any, error) { now, err := s.Rhythm(); return now.RhythmWays, err })
	}
	if err != nil {
		return out, err
	}
	kept, err := s.store.Rhythm()
	out.Revision = kept.Revision
	return out, err
}

// chosen are the ways that were kept, without drinks that are gone; the drink
// worked on last, on any day, where none were.
func (s Service) chosen(kept store.Rhythm) (RhythmWays, error) {
	ways := RhythmWays{DrinkIDs: []int64{}, PerDayML: kept.PerDayML, Days: kept.Days, Revised: pantry.Revised{Revision: kept.Revision}}
	drinks, err := s.store.Drinks()
	if err != nil {
		return ways, err
	}
	there := map[int64]bool{}
	for _, d := range drinks {
		there[d.ID] = true
	}
	for _, id := range kept.DrinkIDs {
		if there[id] {
			ways.DrinkIDs = append(ways.DrinkIDs, id)
		}
	}
	if len(ways.DrinkIDs) == 0 && len(drinks) > 0 {
		ways.DrinkIDs = append(ways.DrinkIDs, drinks[0].ID)
	}
	if len(ways.Days) != len(plan.Week{}) {
		ways.Days = []bool{true, true, true, true, true, true, true}
	}
	return ways, nil
}

func (s Service) reckonRhythm(ways RhythmWays) (Rhythm, error) {
	out := Rhythm{RhythmWays: ways, Drinks: []RhythmDrink{}, Makings: []MakingFigure{}}
	for _, id := range ways.DrinkIDs {
		d, err := s.rhythmDrink(id, ways.PerDayML)
		if err != nil {
			return out, err
		}
		out.Drinks = append(out.Drinks, d)
	}
	if err := s.addThere(&out); err != nil {
		return out, err
	}
	if err := s.addRecord(&out); err != nil {
		return out, err
	}
	if err := out.propose(s.Now()); err != nil {
		return out, err
	}
	return out, s.markPlanned(&out)
}

// rhythmDrink is how a drink is drunk, kept and made.
func (s Service) rhythmDrink(id int64, perDayML float64) (RhythmDrink, error) {
	drink, err := s.store.Drink(id)
	if err != nil {
		return RhythmDrink{}, err
	}
	d, _, err := s.Read(drink.Name, drink.Draft)
	if err != nil {
		return RhythmDrink{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return RhythmDrink{}, err
	}
	if r.Drink == nil || !r.Keeps.Known() {
		return RhythmDrink{}, fault.New("drinkIDs", drink.Name, "life-unknown")
	}
	out := RhythmDrink{DrinkID: id, DrinkName: drink.Name, PerDayML: perDayML, LifeDays: keep.WholeDays(r.Keeps.Days(d.School))}
	known := plan.AsSaid
	if perDayML == 0 {
		if out.PerDayML, known, err = s.drunkADay(id, &d, r); err != nil {
			return out, err
		}
	}
	out.From = wording.KnownFrom(known)
	if r.Cost.Known {
		out.perLitre = r.Cost.PerLitre
	}
	out.keeping = plan.Keeping{PerDayML: out.PerDayML, LifeDays: out.LifeDays, FreezerDays: r.Keeps.FreezerDays(d.School)}
	out.BottleML = out.keeping.BottleOfFrozenML()
	if out.lastMade, err = s.store.LastMadeOn(id); err != nil {
		return out, err
	}
	return out, s.addHabit(&out)
}

// drunkADay is what the pours of two weeks tell, or else the drinkers.
func (s Service) drunkADay(drinkID int64, d *reckon.Drink, r *reckon.Reckoning) (float64, plan.Known, error) {
	now := s.Now()
	first, ml, err := s.store.DrunkSince(drinkID, now.Add(-plan.LearnFrom))
	if err != nil {
		return 0, "", err
	}
	servings := 0.
	for n, p := range d.Drinkers {
		if n >= len(r.ForWhom) || !r.ForWhom[n].Not {
			servings += p.ServingsDay
		}
	}
	perDay, known := plan.PerDayML(plan.PouredSince{First: first, ML: ml}, servings, r.Servings.SizeML, now)
	return perDay, known, nil
}

// addHabit says how the drink is made now, as its batches tell, or else once a
// week, and what that wastes where nothing is frozen.
func (s Service) addHabit(d *RhythmDrink) error {
	made, err := s.store.MadeSince(d.DrinkID, s.Now().Add(-plan.HabitFrom))
	if err != nil {
		return err
	}
	batches := make([]plan.MadeOnce, len(made))
	for n, m := range made {
		batches[n] = plan.MadeOnce{On: shelf.ParseDate(m.MadeOn), ML: m.ML}
	}
	habit, known := plan.HabitOf(batches)
	if !known {
		habit, batches = d.keeping.OnceAWeek(), nil
	}
	d.Habit = wording.Habit(habit, len(batches))
	waste := d.keeping.Wastes(habit)
	d.WasteML, d.WasteCost, d.DryDays = waste.ML, d.perLitre*waste.ML/1000, waste.DryDays
	return nil
}

// addThere adds how much of each drink there is, and how long it lasts.
func (s Service) addThere(out *Rhythm) error {
	kept, err := s.store.Shelf()
	if err != nil {
		return err
	}
	l, err := shelf.Of(s.Kitchen).LifeLook(kept)
	if err != nil {
		return err
	}
	var lots []plan.Lot
	var perDayML []float64
	for n := range kept {
		b := &kept[n]
		k := slices.IndexFunc(out.Drinks, func(d RhythmDrink) bool { return d.DrinkID == b.Batch.DrinkID })
		if k < 0 {
			continue
		}
		last, past := l.LastDay(b)
		if past {
			continue
		}
		_, days := keep.On(l.Now, last)
		d := &out.Drinks[k]
		d.ThereML += b.LeftML
		lots, perDayML = append(lots, plan.Lot{Days: b.LeftML / d.PerDayML, Last: days}), append(perDayML, d.PerDayML)
	}
	var passed []float64
	out.LastsDays, passed = plan.Lasts(lots)
	for n, days := range passed {
		out.PassesML += days * perDayML[n]
	}
	return nil
}

// The record shown beside a rhythm.
const (
	pouredDays = 7
	thrownFrom = 4 * 7 * 24 * time.Hour
)

// addRecord adds what was poured and what was thrown out.
func (s Service) addRecord(out *Rhythm) error {
	now := s.Now()
	y, m, d := now.AddDate(0, 0, 1-pouredDays).Date()
	from := time.Date(y, m, d, 0, 0, 0, 0, now.Location())
	pours, err := s.store.PoursSince(out.DrinkIDs, from)
	if err != nil {
		return err
	}
	out.Poured = make([]PouredDay, pouredDays)
	for n := range out.Poured {
		out.Poured[n].Day = from.AddDate(0, 0, n).Format(app.DateLayout)
	}
	most := 0.
	for _, p := range pours {
		_, n := keep.On(from, p.PouredAt.In(now.Location()))
		if n >= 0 && n < pouredDays {
			out.Poured[n].ML += p.ML
			most = max(most, out.Poured[n].ML)
		}
	}
	for n := range out.Poured {
		if most > 0 {
			out.Poured[n].Share = out.Poured[n].ML / most
		}
	}
	return s.addThrown(out, now.Add(-thrownFrom))
}

func (s Service) addThrown(out *Rhythm, since time.Time) error {
	out.Thrown = []string{}
	thrown, err := s.store.ThrownSince(since)
	if err != nil {
		return err
	}
	for _, t := range thrown {
		for _, d := range out.Drinks {
			if d.DrinkID == t.DrinkID {
				out.ThrownML += t.ML
				out.ThrownFor += d.perLitre * t.ML / 1000
				out.Thrown = append(out.Thrown, wording.Say("thrown-out-because", t.Why, wording.Volume(t.ML)))
			}
		}
	}
	return nil
}

// propose finds the round, or says why there is none.
func (out *Rhythm) propose(now time.Time) error {
	from := plan.NextFrom(out.LastsDays, now)
	drinking := plan.Drinking{From: int(from.Weekday())}
	lastMade := make([]string, len(out.Drinks))
	for n, d := range out.Drinks {
		drinking.Drinks, lastMade[n] = append(drinking.Drinks, d.keeping), d.lastMade
	}
	drinking.Turn = plan.LongestAgo(lastMade)
	copy(drinking.Willing[:], out.Days)
	round, ok := drinking.Propose()
	if !ok {
		return fault.New("days", "", "no-rhythm-fits")
	}
	out.FreezePct, out.Weeks = 100*round.FreezeShare, round.Weeks
	for _, m := range round.Makings {
		name, day := out.Drinks[m.Drink].DrinkName, wording.Weekday(time.Weekday(m.Day))
		out.Makings = append(out.Makings, MakingFigure{m.Week + 1, day, name, m.LastsDays, m.BatchML, m.FreezeML})
	}
	if len(out.Drinks) == 1 {
		out.Words = wording.Makings(round.Makings)
	}
	out.Next = out.next(round, from, lastMade)
	return nil
}

// next is the making that comes next, to be planned with.
func (out *Rhythm) next(round plan.Rhythm, from time.Time, lastMade []string) *NextMaking {
	making, at, ok := round.Next(from, lastMade)
	if !ok {
		return nil
	}
	d := out.Drinks[making.Drink]
	return &NextMaking{DrinkID: d.DrinkID, DrinkName: d.DrinkName, ReadyBy: at.Format("2006-01-02T15:04"), BatchML: making.BatchML, FreezeML: making.FreezeML}
}

// markPlanned marks the next making where it is on the plan already.
func (s Service) markPlanned(out *Rhythm) error {
	if out.Next == nil {
		return nil
	}
	items, err := s.store.Plan()
	for _, item := range items {
		out.Next.Planned = out.Next.Planned || item.DrinkID == out.Next.DrinkID && item.BatchID == 0
	}
	return err
}
