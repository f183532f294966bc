package app

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"plushladle/core/reckon"
	"plushladle/core/record"
	"plushladle/core/solve"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// sameForecast is how far what a version gives may lie from what was forecast of a batch for
// both to be the same amounts, as a share.
const sameForecast = .02

// Held is what a batch of d, reckoned as r, tells of the liquid that pulp keeps: by which base
// and strainer, and the share of the usual. A share of -1, without a key, says that nothing
// can be told.
func Held(d *reckon.Drink, r *reckon.Reckoning, measuredML *float64) (key string, share float64) {
	if measuredML == nil {
		return "", 0
	}
	if len(r.Lacks()) > 0 { // something went in that no figure counts
		return "", -1
	}
	// In the amounts it was made in: a size by volume would be met whatever the pulp keeps.
	made := solve.AsUsed(d, r, nil)
	key = record.Key(&made)
	share, ok := record.HeldShare(&made, *measuredML)
	if !ok || key == "" {
		return "", -1
	}
	return key, share
}

// FiguresOf are what the record keeps of a batch's figures: what a litre costs, what the like
// costs in a shop, and how sweet it is.
func FiguresOf(r *reckon.Reckoning, shopPerL float64) store.BatchFigures {
	out := store.BatchFigures{ShopPerL: shopPerL, Sweetness: r.Per100mL.SucroseEquivalentG}
	if r.Cost.Known {
		out.PerL = r.Cost.PerLitre
	}
	return out
}

// learned are the figures that this kitchen's batches tell.
func (s *Kitchen) learned() (map[string]record.Learned, error) {
	shares, err := s.Store.HeldShares()
	out := map[string]record.Learned{}
	for key, observed := range shares {
		out[key] = record.Learn(observed)
	}
	return out, err
}

// workBack works the batches back that an older version kept, and tells whether there were any.
func (s *Kitchen) workBack(ways kitchen.Setup) (bool, error) {
	batches, err := s.Store.Unlearned(s.Now().AddDate(-2, 0, 0))
	if err != nil {
		return false, err
	}
	for _, b := range batches {
		key, share := oldHeld(b, ways)
		if err := s.Store.KeepHeld(b.ID, key, share); err != nil {
			return false, err
		}
	}
	return len(batches) > 0, nil
}

// oldHeld is Held of a batch that an older version kept. Only the version that it was made of
// is known: where that does not give what was forecast, the batch was made in other amounts.
func oldHeld(b store.Batch, ways kitchen.Setup) (key string, share float64) {
	ways.Held = nil // as nothing was learned then
	d, _, err := b.Version.Recipe.Drink(b.DrinkName, ways)
	if err != nil {
		return "", -1
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil || math.Abs(r.Drink.VolumeML/b.ForecastML-1) > sameForecast {
		return "", -1
	}
	return Held(&d, r, b.MeasuredML)
}

// HeldAnew is Held of a batch with another measured yield. Where it was weighed out, what went
// in has to be what its version says.
func (s *Kitchen) HeldAnew(b store.Batch, measuredML *float64) (key string, share float64, err error) {
	for _, u := range b.Used {
		if u.PlannedG == 0 || math.Abs(u.UsedG/u.PlannedG-1) > sameForecast {
			return "", -1, nil
		}
	}
	d, _, err := s.Read(b.DrinkName, b.Version.Recipe)
	if err != nil {
		return "", -1, nil // it is not read any more, and the correction stands all the same
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return "", -1, nil
	}
	key, share = Held(&d, r, measuredML)
	return key, share, nil
}

// Keyed are the base and the strainer of a key; ok is false where it is empty.
func Keyed(key string) (base, strainer string, ok bool) { return strings.Cut(key, "/") }

// LearnedFigure is what this kitchen's batches tell of the milk that the pulp keeps.
type LearnedFigure struct {
	Key       string  `json:"key" doc:"base and strainer"`
	Base      string  `json:"base"`
	Strainer  string  `json:"strainer"`
	UsualPct  float64 `json:"usualPct" doc:"of what we usually expect; 100 is as expected"`
	SpreadPct float64 `json:"spreadPct" doc:"how far the next batch may be off either way; that of the default is 25"`
	Batches   int     `json:"batches"`
}

// Forgotten names a learned figure that goes back to the default.
type Forgotten struct {
	Key string `json:"key" maxLength:"80"`
}

// Learned are the figures that this kitchen's batches tell, by base and strainer.
func (s *Kitchen) Learned() ([]LearnedFigure, error) {
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	out := []LearnedFigure{}
	for key, l := range ways.Held {
		base, strainer, _ := strings.Cut(key, "/")
		if i, ok := ways.Catalogue.ByID(base); ok {
			base = i.Name
		}
		out = append(out, LearnedFigure{
			Key: key, Base: base, Strainer: wording.Strainer(strainer),
			UsualPct: 100 * l.Share, SpreadPct: 100 * l.Spread(), Batches: l.Batches,
		})
	}
	slices.SortFunc(out, func(a, b LearnedFigure) int {
		return cmp.Or(cmp.Compare(a.Base, b.Base), cmp.Compare(a.Strainer, b.Strainer))
	})
	return out, nil
}

// Forget has a figure begin with the default again: the batches so far count no more, later
// ones do.
func (s *Kitchen) Forget(in Forgotten) ([]LearnedFigure, error) {
	if err := s.Store.ForgetHeld(in.Key); err != nil {
		return nil, err
	}
	s.Changed()
	return s.Learned()
}
