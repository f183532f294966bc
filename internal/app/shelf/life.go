package shelf

import (
	"math"
	"time"

	"plushladle/core/keep"
	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// LifeLook is what bottles' lives are reckoned along.
type LifeLook struct {
	Now    time.Time
	Record keep.Record
	School keep.School
	RoomC  float64
}

// LifeLook reads what the fridge saw since the first of the bottles was made.
func (s Service) LifeLook(bottles []store.Bottle) (LifeLook, error) {
	l := LifeLook{Now: s.Now()}
	settings, err := s.store.Settings()
	if err != nil {
		return l, err
	}
	l.RoomC = settings.KitchenC
	if l.School, err = keep.ParseSchool(settings.School); err != nil {
		return l, err
	}
	l.Record, err = s.FridgeRecord(l.since(bottles), settings.FridgeC)
	return l, err
}

// since is when the first of some bottles was made; now where there is none.
func (l LifeLook) since(bottles []store.Bottle) time.Time {
	first := l.Now
	for n := range bottles {
		first = app.Sooner(first, l.madeAt(&bottles[n]))
	}
	return first
}

// madeAt is when a bottle's life began: as it is known, or else the beginning
// of the day it was made.
func (l LifeLook) madeAt(b *store.Bottle) time.Time {
	if b.BegunAt != nil && !b.BegunAt.After(l.Now) {
		return b.BegunAt.In(l.Now.Location())
	}
	y, m, d := ParseDate(b.Batch.MadeOn).Date()
	return time.Date(y, m, d, 0, 0, 0, 0, l.Now.Location())
}

// LastDay is the last day that a bottle is good to the end of, and whether it is past.
func (l LifeLook) LastDay(b *store.Bottle) (last time.Time, past bool) {
	kept := l.kept(b)
	budget := kept.Budget(l.Record, l.School, l.RoomC, l.Now)
	return app.Date(keep.LastWholeDay(kept.Made, budget.UseBy)), budget.Past
}

// kept is a bottle as the core takes it.
func (l LifeLook) kept(b *store.Bottle) keep.Bottle {
	made := l.madeAt(b)
	out := keep.Bottle{
		Made: made, Steady: b.Steady, VolumeML: b.LeftML,
		Days:   map[keep.School]float64{keep.Cautious: b.CautiousDays, keep.Customary: b.CustomaryDays},
		Frozen: map[keep.School]int{keep.Cautious: b.FrozenCautious, keep.Customary: b.FrozenCustomary},
		Stays:  []keep.Stay{{From: made, Place: keep.Place(b.FirstPlace)}},
	}
	for _, m := range b.Moves {
		out.Stays = append(out.Stays, keep.Stay{From: m.At.In(l.Now.Location()), Place: keep.Place(m.Place)})
	}
	if b.CautiousDays == 0 {
		out.Days = daysFromDates(b, made)
	}
	return out
}

// daysFromDates are the lives of a bottle filled before they were kept, by its
// dates. What a frozen one had left is not known: a day is taken for it.
func daysFromDates(b *store.Bottle, made time.Time) map[keep.School]float64 {
	school := keep.School(b.School)
	if b.FirstPlace == store.Freezer {
		return map[keep.School]float64{keep.Cautious: 1, keep.Customary: 1}
	}
	days := func(useBy string) float64 {
		_, left := keep.On(made, ParseDate(useBy))
		return float64(left + 1)
	}
	return map[keep.School]float64{school: days(b.UseBy), school.Other(): days(b.OtherUseBy)}
}

func (l LifeLook) Present(b *store.Bottle) Bottle {
	kept := l.kept(b)
	mine := kept.Budget(l.Record, l.School, l.RoomC, l.Now)
	other := kept.Budget(l.Record, l.School.Other(), l.RoomC, l.Now)
	out := Bottle{
		ID: b.ID, DrinkID: b.Batch.DrinkID, BatchID: b.BatchID, DrinkName: b.Batch.DrinkName, Version: b.Batch.Version.Number,
		Place: b.Place, VolumeML: b.Filled(), LeftML: b.LeftML, FillShare: b.LeftML / b.VolumeML,
		ServingML: b.ServingML, PourML: math.Min(b.ServingML, b.LeftML), Servings: b.LeftML / b.ServingML,
		MadeOn: b.Batch.MadeOn, UseBy: lastDay(kept, mine.UseBy), OtherUseBy: lastDay(kept, other.UseBy),
		UseByAt: mine.UseBy, UseByWords: wording.PartOfDay(mine.UseBy),
		Earliest: lastDay(kept, mine.Earliest), Latest: lastDay(kept, mine.Latest),
		School: string(l.School), OtherSchool: string(l.School.Other()), Reasons: append(weighed(mine.Reasons), wording.Texts(b.Reasons)...),
		Allergens: wording.Allergens(b.Allergens), State: b.State, EndedWhy: wording.EndedWhy(b.EndedWhy), Out: wording.Text(mine.Out), Longer: wording.Texts(mine.Longer), LeftDays: mine.LeftDays, AllDays: kept.Days[l.School],
		ForWhom: []bench.ForWhom{}, Pigment: pigmentMilk, Tasted: len(b.Batch.Tastings),
		CanFreeze: keep.CanFreeze(placesOf(kept.Stays)...) && !b.FrozenOnce,
	}
	out.OtherGood = !other.Past
	if !mine.Out.IsZero() {
		out.Reasons = append([]string{out.Out}, out.Reasons...)
	}
	if !mine.Thawing.IsZero() {
		out.Thawing = mine.Thawing.Format(time.RFC3339)
	}
	standing, left := keep.At(l.Now, mine.UseBy)
	if mine.Past {
		standing = keep.Past
	}
	out.Standing, out.DaysLeft, out.TimeLeft = string(standing), left, wording.DaysLeft(left)
	out.LifeShare = keep.LifeShare(kept.Made, mine.UseBy, l.Now)
	out.CanFreeze = out.CanFreeze && !mine.Past
	return out
}

func placesOf(stays []keep.Stay) []keep.Place {
	out := make([]keep.Place, len(stays))
	for n, s := range stays {
		out[n] = s.Place
	}
	return out
}

// lastDay is the last day that is good to its end, as labels have it.
func lastDay(b keep.Bottle, useBy time.Time) string {
	return keep.LastWholeDay(b.Made, useBy).Format(app.DateLayout)
}

// weighed are reasons with what of its life each cost.
func weighed(reasons []keep.Reason) []string {
	out := []string{}
	for _, r := range reasons {
		switch {
		case r.Days > 0.05:
			out = append(out, wording.Say("days-shorter", r.Text, r.Days))
		case r.Days < -0.05:
			out = append(out, wording.Say("days-longer", r.Text, -r.Days))
		case r.Days == 0:
			out = append(out, wording.Text(r.Text))
		}
	}
	return out
}
