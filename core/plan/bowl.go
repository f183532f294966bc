package plan

import (
	"slices"
	"time"

	"plushladle/core/ingredient"
)

// Bowl is a lot that soaks, topped up and drawn from for several drinks.
type Bowl struct {
	Ingredient *ingredient.Ingredient // what was soaked
	DryG       float64                // what is left in it, as it was dry
	Since      time.Time              // the oldest of it went in
	Topped     time.Time              // the newest of it went in
	Changed    time.Time              // its water was changed last
	Fridge     bool                   // it stands in the fridge, where it lasts longer
}

// BowlState is how a bowl stands in a kitchen.
type BowlState struct {
	WetG     float64   // what is left, with what it took up
	VesselML float64   // what it needs; 0 where its density is not known
	Ready    time.Time // from when all of it has soaked long enough
	Within   time.Time // until when it is to be used
	ChangeBy time.Time // when its water is to be changed next
	Past     bool      // it is beyond its time
}

// In is the bowl's state at a moment in a kitchen. The oldest of it sets how
// long it keeps and the newest when it is ready.
func (b Bowl) In(k Room, now time.Time) BowlState {
	where := OnTheBench
	if b.Fridge {
		where = InTheFridge
	}
	w := window(b.Ingredient.SoakH, k.TempC, where)
	s := BowlState{
		WetG:  b.DryG * (1 + b.Ingredient.UptakeGPerG),
		Ready: b.Topped.Add(w.Min), Within: b.Since.Add(w.Max), ChangeBy: b.Changed.Add(minutesOf(60 * changeEveryH)),
	}
	if b.Ingredient.BulkGPerML > 0 {
		dryML := b.DryG / b.Ingredient.BulkGPerML
		s.VesselML = vesselML(dryML, swollen(b.Ingredient, b.DryG), soakWaterTimes*dryML)
	}
	if s.ChangeBy.After(s.Within) { // what is used up by then needs no fresh water after
		s.ChangeBy = s.Within
	}
	s.Past = now.After(s.Within)
	return s
}

// Draw is what a drink takes from a bowl, as it was dry, and when.
type Draw struct {
	At   time.Time // when the drained base is wanted
	DryG float64   // g, as it was before it soaked
}

// Enough is how far a bowl goes.
type Enough struct {
	Draws  int     // of those planned, how many it does for
	ShortG float64 // dry, for those within its time that it does not do for
	Late   int     // how many come after its time
	OverG  float64 // dry, left when all within its time are drawn
}

// Enough tells how far the bowl goes for what is planned, the soonest first.
func (b Bowl) Enough(draws []Draw, k Room, now time.Time) Enough {
	within := b.In(k, now).Within
	sorted := slices.SortedFunc(slices.Values(draws), func(x, y Draw) int { return x.At.Compare(y.At) })
	e := Enough{OverG: b.DryG}
	for _, d := range sorted {
		switch {
		case d.At.After(within):
			e.Late++
		case d.DryG <= e.OverG+roundingG:
			e.OverG -= d.DryG
			e.Draws++
		default:
			e.ShortG += d.DryG - e.OverG
			e.OverG = 0
		}
	}
	return e
}

// CanBowl tells whether an ingredient can stand in a bowl: it is soaked, and
// its soaking water is thrown away.
func CanBowl(i *ingredient.Ingredient) bool {
	return i.Role == ingredient.Base && i.NeedsSoak() && !i.Has(ingredient.TagKept)
}
