package app

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"plushladle/core/plan"
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

// LessonsOf are what a batch of d, reckoned as r, teaches.
func LessonsOf(d *reckon.Drink, r *reckon.Reckoning, m record.Measured) []record.Lesson {
	if m.MilkML == 0 || len(r.Lacks()) > 0 { // or something went in that no figure counts
		return nil
	}
	// In the amounts it was made in: a size by volume would be met whatever the pulp keeps.
	made := solve.AsUsed(d, r, nil)
	return record.Lessons(&made, m)
}

// StepLessons are what the times of a batch teach: each step that needs hands took from when the
// one before it was done.
func StepLessons(times []kitchen.StepTaken) []record.Lesson {
	var out []record.Lesson
	for n, t := range times {
		if n == 0 || t.Skipped || !slices.Contains(plan.TimedByHand, plan.Kind(t.Kind)) {
			continue
		}
		if l, ok := record.StepLesson(t.Kind, t.DoneAt.Sub(times[n-1].DoneAt).Minutes(), float64(t.Minutes)); ok {
			out = append(out, l)
		}
	}
	return out
}

// MeasuredOf are what was measured of a batch.
func MeasuredOf(milkML, pulpG, driedG *float64) record.Measured {
	or0 := func(v *float64) float64 {
		if v == nil {
			return 0
		}
		return *v
	}
	return record.Measured{MilkML: or0(milkML), PulpG: or0(pulpG), DriedG: or0(driedG)}
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

// learned are the figures that this kitchen's batches taught, by record.FigureKey.
func (s *Kitchen) learned() (map[string]record.Learned, error) {
	lessons, err := s.Store.Lessons()
	out := map[string]record.Learned{}
	for what, of := range lessons {
		for key, shares := range of {
			out[record.FigureKey(what, key)] = record.Learn(what, shares)
		}
	}
	return out, err
}

// workBack works the batches back that an older version kept, and tells whether there were any.
func (s *Kitchen) workBack(ways kitchen.Setup) (bool, error) {
	batches, err := s.Store.Unstudied()
	if err != nil {
		return false, err
	}
	for _, b := range batches {
		if err := s.Store.Study(b.ID, oldLessons(b, ways)); err != nil {
			return false, err
		}
	}
	return len(batches) > 0, nil
}

// oldLessons are LessonsOf of a batch that an older version kept. Only the version that it was
// made of is known: where that does not give what was forecast, it was made in other amounts.
func oldLessons(b store.Batch, ways kitchen.Setup) []record.Lesson {
	ways.Learned = nil // as nothing was learned then
	d, _, err := b.Version.Recipe.Drink(b.DrinkName, ways)
	if err != nil {
		return nil
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil || math.Abs(r.Drink.VolumeML/b.ForecastML-1) > sameForecast {
		return nil
	}
	return LessonsOf(&d, r, MeasuredOf(b.MeasuredML, nil, nil))
}

// LessonsAnew are LessonsOf of a batch that was measured anew. Where it was weighed out, what
// went in has to be what its version says.
func (s *Kitchen) LessonsAnew(b store.Batch, m record.Measured) ([]record.Lesson, error) {
	for _, u := range b.Used {
		if u.PlannedG == 0 || math.Abs(u.UsedG/u.PlannedG-1) > sameForecast {
			return nil, nil
		}
	}
	d, _, err := s.Read(b.DrinkName, b.Version.Recipe)
	if err != nil {
		return nil, nil // it is not read any more, and the correction stands all the same
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return nil, nil
	}
	return LessonsOf(&d, r, m), nil
}

// Soured keeps that a batch soured with leftDays of its days to go.
func (s *Kitchen) Soured(batchID int64, drink string, leftDays, days float64) error {
	known, err := s.learned()
	if err != nil {
		return err
	}
	l, ok := record.LifeLesson(leftDays, days, known[record.FigureKey(record.Life, drink)].Share)
	if !ok {
		return nil
	}
	return s.Store.KeepLesson(batchID, l)
}

// Keyed are the two parts of a key; ok is false where it is empty.
func Keyed(key string) (of, by string, ok bool) { return strings.Cut(key, "/") }

// LearnedFigure is what this kitchen's batches taught of one figure.
type LearnedFigure struct {
	What      string  `json:"what" enum:"held,frees,steam,minutes,life,drinking" doc:"drinking goes by what is poured, and is set on the Shelf"`
	Key       string  `json:"key" doc:"of what it is: base and strainer, base and blender, pan and lid, kind of step, name of the drink"`
	Name      string  `json:"name" doc:"the same in words"`
	Text      string  `json:"text" doc:"what was learned, beside the default"`
	UsualPct  float64 `json:"usualPct" doc:"of what we usually expect; 100 is as expected"`
	SpreadPct float64 `json:"spreadPct" doc:"how far the next batch may be off either way; that of the default is 25"`
	Batches   int     `json:"batches"`
}

// Forgotten names a learned figure that goes back to the default.
type Forgotten struct {
	What string `json:"what" enum:"held,frees,steam,minutes,life"`
	Key  string `json:"key" maxLength:"200"`
}

// Learned are the figures that this kitchen's batches taught, by what and of what.
func (s *Kitchen) Learned() ([]LearnedFigure, error) {
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	out := []LearnedFigure{}
	for figure, l := range ways.Learned {
		what, key, _ := strings.Cut(figure, "/")
		of, by, _ := Keyed(key)
		if i, ok := ways.Catalogue.ByID(of); ok {
			of = i.Name
		}
		name, text := wording.Learned(what, of, by, l)
		out = append(out, LearnedFigure{what, key, name, text, 100 * l.Share, 100 * l.Spread(), l.Batches})
	}
	order := func(f LearnedFigure) int { return slices.Index(record.Whats, record.What(f.What)) }
	slices.SortFunc(out, func(a, b LearnedFigure) int {
		return cmp.Or(cmp.Compare(order(a), order(b)), cmp.Compare(a.Name, b.Name))
	})
	drinking, err := s.drinking()
	return append(out, drinking...), err
}

// drinking is what is drunk of each drink in a day, where its pours tell.
func (s *Kitchen) drinking() ([]LearnedFigure, error) {
	drinks, err := s.Store.Drinks()
	if err != nil {
		return nil, err
	}
	out, now := []LearnedFigure{}, s.Now()
	for _, d := range drinks {
		first, ml, err := s.Store.DrunkSince(d.ID, now.Add(-plan.LearnFrom))
		if err != nil {
			return nil, err
		}
		if perDayML, known := plan.PerDayML(plan.PouredSince{First: first, ML: ml}, 0, 0, now); known == plan.FromPours {
			out = append(out, LearnedFigure{What: "drinking", Key: d.Name, Name: d.Name, Text: wording.Say("learned-drinking", perDayML)})
		}
	}
	return out, nil
}

// Forget has a figure begin with the default again: the batches so far count no more, later
// ones do.
func (s *Kitchen) Forget(in Forgotten) ([]LearnedFigure, error) {
	if err := s.Store.ForgetLessons(record.What(in.What), in.Key); err != nil {
		return nil, err
	}
	s.Changed()
	return s.Learned()
}
