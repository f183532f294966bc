package server

import (
	"fmt"
	"math"
	"time"

	"plushladle/core/keep"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// lifeLook is what bottles' lives are reckoned along.
type lifeLook struct {
	now    time.Time
	record keep.Record
	school keep.School
	roomC  float64
}

// lifeLook reads what the fridge saw since the first of the bottles was made.
func (s *server) lifeLook(bottles []store.Bottle) (lifeLook, error) {
	l := lifeLook{now: s.now()}
	settings, err := s.store.Settings()
	if err != nil {
		return l, err
	}
	l.roomC = settings.KitchenC
	if l.school, err = keep.ParseSchool(settings.School); err != nil {
		return l, err
	}
	first := l.now
	for n := range bottles {
		first = sooner(first, l.madeAt(&bottles[n]))
	}
	l.record, err = s.fridgeRecord(first, settings.FridgeC)
	return l, err
}

// madeAt is when a bottle's life began: as it is known, or else the beginning
// of the day it was made.
func (l lifeLook) madeAt(b *store.Bottle) time.Time {
	if b.BegunAt != nil && !b.BegunAt.After(l.now) {
		return b.BegunAt.In(l.now.Location())
	}
	y, m, d := parseDate(b.Batch.MadeOn).Date()
	return time.Date(y, m, d, 0, 0, 0, 0, l.now.Location())
}

// kept is a bottle as the core takes it.
func (l lifeLook) kept(b *store.Bottle) keep.Bottle {
	made := l.madeAt(b)
	out := keep.Bottle{
		Made: made, Steady: b.Steady, VolumeML: b.LeftML,
		Days:   map[keep.School]float64{keep.Cautious: b.CautiousDays, keep.Customary: b.CustomaryDays},
		Frozen: map[keep.School]int{keep.Cautious: b.FrozenCautious, keep.Customary: b.FrozenCustomary},
		Stays:  []keep.Stay{{From: made, Place: keep.Place(b.FirstPlace)}},
	}
	for _, m := range b.Moves {
		out.Stays = append(out.Stays, keep.Stay{From: m.At.In(l.now.Location()), Place: keep.Place(m.Place)})
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
		_, left := keep.On(made, parseDate(useBy))
		return float64(left + 1)
	}
	return map[keep.School]float64{school: days(b.UseBy), school.Other(): days(b.OtherUseBy)}
}

func (l lifeLook) present(b *store.Bottle) Bottle {
	kept := l.kept(b)
	mine := kept.Budget(l.record, l.school, l.roomC, l.now)
	other := kept.Budget(l.record, l.school.Other(), l.roomC, l.now)
	out := Bottle{
		ID: b.ID, DrinkID: b.Batch.DrinkID, BatchID: b.BatchID, DrinkName: b.Batch.DrinkName, Version: b.Batch.Version.Number,
		Place: b.Place, VolumeML: b.VolumeML, LeftML: b.LeftML, FillShare: b.LeftML / b.VolumeML,
		ServingML: b.ServingML, PourML: math.Min(b.ServingML, b.LeftML), Servings: b.LeftML / b.ServingML,
		MadeOn: b.Batch.MadeOn, UseBy: lastDay(kept, mine.UseBy), OtherUseBy: lastDay(kept, other.UseBy),
		UseByAt: mine.UseBy, UseByWords: wording.PartOfDay(mine.UseBy),
		Earliest: lastDay(kept, mine.Earliest), Latest: lastDay(kept, mine.Latest),
		School: string(l.school), OtherSchool: string(l.school.Other()), Reasons: append(weighed(mine.Reasons), wording.Texts(b.Reasons)...),
		Allergens: orEmpty(b.Allergens), State: b.State, EndedWhy: wording.EndedWhy(b.EndedWhy), Out: wording.Text(mine.Out), Longer: wording.Texts(mine.Longer), LeftDays: mine.LeftDays,
		ForWhom: []ForWhom{}, Pigment: pigmentMilk,
		CanFreeze: keep.CanFreeze(placesOf(kept.Stays)...),
	}
	out.OtherGood = !other.Past
	if !mine.Out.IsZero() {
		out.Reasons = append([]string{out.Out}, out.Reasons...)
	}
	if !mine.Thawing.IsZero() {
		out.Thawing = mine.Thawing.Format(time.RFC3339)
	}
	standing, left := keep.At(l.now, mine.UseBy)
	if mine.Past {
		standing = keep.Past
	}
	out.Standing, out.DaysLeft, out.TimeLeft = string(standing), left, wording.DaysLeft(left)
	out.LifeShare = keep.LifeShare(kept.Made, mine.UseBy, l.now)
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
	return keep.LastWholeDay(b.Made, useBy).Format(dateLayout)
}

// weighed are reasons with what of its life each cost.
func weighed(reasons []keep.Reason) []string {
	out := []string{}
	for _, r := range reasons {
		switch {
		case r.Days > 0.05:
			out = append(out, fmt.Sprintf("%s: %.1f days of its life", wording.Text(r.Text), r.Days))
		case r.Days < -0.05:
			out = append(out, fmt.Sprintf("%s: %.1f days saved", wording.Text(r.Text), -r.Days))
		case r.Days == 0:
			out = append(out, wording.Text(r.Text))
		}
	}
	return out
}
