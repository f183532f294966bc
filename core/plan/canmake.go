package plan

import (
	"cmp"
	"slices"
	"time"
)

// Need is what a drink takes of an ingredient at its size.
type Need struct {
	ID    string  // of the catalogue
	MassG float64 // g
	Minor bool    // salt, spice, flavour: few kitchens keep count of it
}

// Have is what there is of an ingredient: in the cupboard, in an open pack, a
// bowl or a bottle.
type Have struct {
	ID    string    // of the catalogue
	MassG float64   // g in the pantry
	UseBy time.Time // its last good day; zero where nothing hurries
}

// CanMake is how far what there is goes towards a drink.
type CanMake struct {
	Drink   int       // its place among those asked about
	Share   float64   // of its size, what there is does for; more than 1 where there is more
	Missing []Need    // what there is none of
	ToCheck []Need    // of minor things, what is not known to be there
	FirstID string    // what of it spoils first; empty where nothing hurries
	First   time.Time // its last good day
	SavedG  float64   // of that, what the drink uses up
}

// enoughShare is from which share of its size on a drink can be made: a batch
// much smaller is not worth the washing-up (a judgement, no source).
const enoughShare = 0.25

// Now tells whether it can be made with what there is.
func (c CanMake) Now() bool { return len(c.Missing) == 0 && c.Share >= enoughShare }

// Makeable ranks drinks, each by what it needs: those that can be made come
// first, of them the one whose ingredient spoils first, and of two such the one
// that uses more of it up. Then those that lack least. What is past its date on
// today is not counted as there.
func Makeable(drinks [][]Need, haves []Have, today time.Time) []CanMake {
	there := map[string][]Have{}
	for _, h := range haves {
		if h.MassG > 0 && (h.UseBy.IsZero() || !h.UseBy.Before(today)) {
			there[h.ID] = append(there[h.ID], h)
		}
	}
	out := make([]CanMake, len(drinks))
	for n, needs := range drinks {
		out[n] = goesFor(needs, there)
		out[n].Drink = n
	}
	slices.SortStableFunc(out, func(a, b CanMake) int {
		return cmp.Or(
			cmp.Compare(rank(a), rank(b)), cmp.Compare(len(a.Missing), len(b.Missing)),
			soonest(a.First, b.First), cmp.Compare(b.SavedG, a.SavedG), cmp.Compare(b.Share, a.Share),
		)
	})
	return out
}

// rank sorts what can be made now before what must be bought for.
func rank(c CanMake) int {
	if c.Now() {
		return 0
	}
	return 1
}

// soonest puts the zero time, which hurries nobody, last.
func soonest(a, b time.Time) int {
	switch {
	case a.IsZero() && b.IsZero():
		return 0
	case a.IsZero():
		return 1
	case b.IsZero():
		return -1
	}
	return a.Compare(b)
}

// goesFor sums up what there is for one drink.
func goesFor(needs []Need, there map[string][]Have) CanMake {
	var c CanMake
	bound := false
	for _, need := range needs {
		if need.MassG <= 0 {
			continue
		}
		sum := 0.
		for _, h := range there[need.ID] {
			sum += h.MassG
			if !h.UseBy.IsZero() && (c.FirstID == "" || h.UseBy.Before(c.First)) {
				c.FirstID, c.First, c.SavedG = need.ID, h.UseBy, min(h.MassG, need.MassG)
			}
		}
		switch {
		case sum == 0 && need.Minor:
			c.ToCheck = append(c.ToCheck, need)
		case sum == 0:
			c.Missing = append(c.Missing, need)
		case !need.Minor && (!bound || sum/need.MassG < c.Share):
			c.Share, bound = sum/need.MassG, true
		}
	}
	if len(c.Missing) > 0 {
		c.Share = 0
	}
	return c
}
