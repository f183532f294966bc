package shelf

import (
	"slices"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/core/reckon"
	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// NewBottle is a bottle to be filled.
type NewBottle struct {
	VolumeML float64 `json:"volumeML" minimum:"1" maximum:"50000"`
	Place    string  `json:"place" enum:"fridge,freezer"`
}

// NewBatch is a drink that was made.
type NewBatch struct {
	MadeOn     string      `json:"madeOn" maxLength:"10"`
	MeasuredML *float64    `json:"measuredML,omitempty" minimum:"1" maximum:"1000000" doc:"what it gave, if it was measured"`
	Bottles    []NewBottle `json:"bottles" minItems:"1" maxItems:"60"`
	Anyway     bool        `json:"anyway,omitempty" doc:"also where a line is not counted"`
}

func (s Service) MakeBatch(id int64, in NewBatch) ([]Bottle, error) {
	madeOn, err := s.MadeOn(in.MadeOn)
	if err != nil {
		return nil, err
	}
	drink, err := s.store.Drink(id)
	if err != nil {
		return nil, err
	}
	d, _, err := s.Read(drink.Name, drink.Draft)
	if err != nil {
		return nil, err
	}
	r, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	if err := CanBeMade(in.Bottles, in.MeasuredML, r); err != nil {
		return nil, err
	}
	if err := app.WithoutLines(drink.Draft, r, in.Anyway); err != nil {
		return nil, err
	}
	made := store.NewBatch{DrinkID: id, MadeOn: madeOn.Format(app.DateLayout), ForecastML: r.Drink.VolumeML, MeasuredML: in.MeasuredML}
	for _, b := range in.Bottles {
		made.Bottles = append(made.Bottles, Fill(b, r, d.School, madeOn))
	}
	made.Pulp = PulpOf(r, nil)
	made.Lessons = app.LessonsOf(&d, r, app.MeasuredOf(in.MeasuredML, nil, nil))
	made.StockG = map[string]float64{}
	pantry.AddNeeds(made.StockG, &d, r)
	if made.Opened, err = pantry.Of(s.Kitchen).LeftOpen(made.StockG, r.LeftoverML, made.MadeOn); err != nil {
		return nil, err
	}
	made.Figures = app.FiguresOf(r, drink.Draft.ShopPrice)
	defer s.Changed()
	batch, err := s.store.MakeBatch(made)
	if err != nil {
		return nil, err
	}
	bottles := make([]Bottle, len(batch.Bottles))
	for n, b := range batch.Bottles {
		kept, err := s.store.Bottle(b.ID)
		if err != nil {
			return nil, err
		}
		if bottles[n], err = s.bottle(kept, nil); err != nil {
			return nil, err
		}
	}
	return bottles, nil
}

// CanBeMade tells whether there is a drink, and whether it fills the bottles.
func CanBeMade(bottles []NewBottle, measuredML *float64, r *reckon.Reckoning) error {
	if r.Drink == nil {
		return fault.New("bottles", "", "nothing-to-bottle")
	}
	if !r.Keeps.Known() {
		return fault.New("bottles", "", "bottle-life-unknown")
	}
	there, filled := r.Drink.VolumeML, 0.
	if measuredML != nil {
		there = *measuredML
	}
	for _, b := range bottles {
		filled += b.VolumeML
	}
	if !keep.Fills(there, filled) {
		return fault.New("bottles", "", "bottles-hold-too-much", filled, there)
	}
	return nil
}

// Fill is the bottle with its dates, of a drink whose life began at a moment.
func Fill(b NewBottle, r *reckon.Reckoning, school keep.School, begun time.Time) store.Bottle {
	life, dates := r.Keeps, bench.PresentKeeps(r.Keeps, school, begun)
	bottle := store.Bottle{
		VolumeML: b.VolumeML, LeftML: b.VolumeML, ServingML: r.Servings.SizeML, Place: b.Place,
		UseBy: dates.UseBy, OtherUseBy: dates.OtherUseBy, School: dates.School,
		Reasons: life.Reasons, Allergens: r.Allergens, CautiousDays: life.AtFour[0], CustomaryDays: life.AtFour[1], Steady: life.Steady,
		FrozenCautious: life.FreezerDays(keep.Cautious), FrozenCustomary: life.FreezerDays(keep.Customary),
		BegunAt: &begun,
	}
	if b.Place == store.Freezer {
		bottle.UseBy, bottle.OtherUseBy = dates.FreezerUseBy, dates.FreezerUseBy
	}
	return bottle
}

// Bottle is a bottle on the shelf.
type Bottle struct {
	ID          int64     `json:"id"`
	DrinkID     int64     `json:"drinkID"`
	BatchID     int64     `json:"batchID"`
	DrinkName   string    `json:"drinkName"`
	Version     int       `json:"version"`
	Place       string    `json:"place"`
	VolumeML    float64   `json:"volumeML"`
	LeftML      float64   `json:"leftML"`
	FillShare   float64   `json:"fillShare" doc:"0 empty to 1 full"`
	ServingML   float64   `json:"servingML"`
	PourML      float64   `json:"pourML" doc:"what one pour takes: a serving, or the rest"`
	Servings    float64   `json:"servings" doc:"left"`
	MadeOn      string    `json:"madeOn"`
	UseBy       string    `json:"useBy" doc:"the last day that is good to its end"`
	UseByAt     time.Time `json:"useByAt" doc:"the moment it ends"`
	UseByWords  string    `json:"useByWords" doc:"the same as people say it: Mon 30 Nov, morning"`
	OtherUseBy  string    `json:"otherUseBy"`
	School      string    `json:"school"`
	OtherSchool string    `json:"otherSchool"`
	Standing    string    `json:"standing" enum:"fine,soon,last day,past"`
	DaysLeft    int       `json:"daysLeft" doc:"0 on its last day, negative once past"`
	LifeShare   float64   `json:"lifeShare" doc:"of its days, how much is left"`
	TimeLeft    string    `json:"timeLeft" doc:"in a word or two"`
	Reasons     []string  `json:"reasons"`
	Allergens   []string  `json:"allergens"`
	State       string    `json:"state"`
	EndedWhy    string    `json:"endedWhy"`
	OtherGood   bool      `json:"otherGood" doc:"by the other school it is not past"`
	Earliest    string    `json:"earliest" doc:"the last good day were the fridge a degree warmer from now on"`
	Latest      string    `json:"latest" doc:"and a degree colder"`
	Out         string    `json:"out" doc:"why it is to be thrown out whatever the date; empty where it is not"`
	Longer      []string  `json:"longer" doc:"what would lengthen it"`
	LeftDays    float64   `json:"leftDays" doc:"of its life, in days at 4 °C"`
	AllDays     float64   `json:"allDays" doc:"that it had at first, at 4 °C"`
	CanFreeze   bool      `json:"canFreeze" doc:"false once it was frozen"`
	Thawing     string    `json:"thawing" doc:"until when it thaws; empty where it does not"`
	// ForWhom are the kitchen's drinkers, and why it is not for some.
	ForWhom []bench.ForWhom `json:"forWhom"`
	Pigment string          `json:"pigment" enum:"milk,oat,nut,cocoa" doc:"it is drawn in"`
	Tasted  int             `json:"tasted" doc:"how often its batch was tasted"`
	ShelfML float64         `json:"shelfML,omitempty" doc:"in all bottles of the shelf, after a pour"`
}

// Shelf is what stands in fridge and freezer.
type Shelf struct {
	Bottles []Bottle     `json:"bottles"`
	Pulps   []PulpFigure `json:"pulps"`
	Packs   []PackFigure `json:"packs" doc:"open ones"`
	TotalML float64      `json:"totalML"`
	Today   string       `json:"today"`
}

func (s Service) Shelf() (Shelf, error) {
	kept, err := s.store.Shelf()
	if err != nil {
		return Shelf{}, err
	}
	l, err := s.LifeLook(kept)
	if err != nil {
		return Shelf{}, err
	}
	out := Shelf{Bottles: make([]Bottle, len(kept)), Today: l.Now.Format(app.DateLayout)}
	versions := insides{}
	for n := range kept {
		out.Bottles[n] = l.Present(&kept[n])
		out.TotalML += kept[n].LeftML
		inside, err := versions.of(s, &kept[n])
		if err != nil {
			return out, err
		}
		out.Bottles[n].tellOf(inside)
	}
	if out.Pulps, err = s.pulps(); err != nil {
		return out, err
	}
	if out.Packs, err = s.Packs(); err != nil {
		return out, err
	}
	slices.SortStableFunc(out.Bottles, func(a, b Bottle) int { return a.UseByAt.Compare(b.UseByAt) })
	return out, nil
}

// insides are what each version of a drink is, reckoned once.
type insides map[int64]inside

func (v insides) of(s Service, b *store.Bottle) (inside, error) {
	if known, ok := v[b.Batch.VersionID]; ok {
		return known, nil
	}
	out, err := s.insideOf(b)
	v[b.Batch.VersionID] = out
	return out, err
}

// ParseDate reads a date this program wrote.
func ParseDate(text string) time.Time {
	date, err := time.ParseInLocation(app.DateLayout, text, time.UTC)
	if err != nil {
		return time.Time{}
	}
	return date
}

// Poured is what was poured, told one way or the other.
type Poured struct {
	ML       float64 `json:"ml,omitempty" minimum:"0" maximum:"50000"`
	Servings float64 `json:"servings,omitempty" minimum:"0" maximum:"1000" doc:"of the bottle's own size"`
	AgoS     float64 `json:"agoS,omitempty" minimum:"0" maximum:"604800" doc:"how long ago it was poured, where it could not be sent at once"`
}

// leastPourML is the least that is taken down.
const leastPourML = 1

func (s Service) Pour(id int64, in Poured) (Bottle, error) {
	b, err := s.bottle(s.store.Bottle(id))
	if err != nil {
		return Bottle{}, err
	}
	if b.Thawing != "" && b.State == store.InUse {
		return Bottle{}, fault.New("ml", "", "still-thawing")
	}
	ml := in.ML
	if in.Servings > 0 {
		ml = in.Servings * b.ServingML
	}
	if ml < leastPourML {
		return Bottle{}, fault.New("ml", "", "too-little-to-pour")
	}
	return s.withShelf(s.bottle(s.store.Pour(id, ml, app.Ago(in.AgoS))))
}

// withShelf is a bottle with what the whole shelf holds now, so that the page need not
// read the shelf again.
func (s Service) withShelf(b Bottle, err error) (Bottle, error) {
	if err != nil {
		return b, err
	}
	b.ShelfML, err = s.store.ShelfML()
	return b, err
}

func (s Service) Finish(id int64) (Bottle, error) { return s.bottle(s.store.Finish(id)) }

// Why says why a bottle was thrown out.
type Why struct {
	Why   string `json:"why" maxLength:"200"`
	Cause string `json:"cause,omitempty" enum:",past-date,soured,split,not-drunk" doc:"as far as it is one of these: what soured early shortens the forecast"`
}

func (s Service) ThrowOut(id int64, in Why) (Bottle, error) {
	why := kitchen.OneLine(in.Why)
	if why == "" && in.Cause == "" {
		return Bottle{}, fault.New("why", "", "reason-needed")
	}
	before, err := s.bottle(s.store.Bottle(id))
	if err != nil {
		return Bottle{}, err
	}
	out, err := s.bottle(s.store.ThrowOut(id, why, in.Cause))
	if err != nil || in.Cause != store.Soured {
		return out, err
	}
	defer s.Changed()
	return out, s.Soured(before.BatchID, before.DrinkName, before.LeftDays, before.AllDays)
}

func (s Service) bottle(b *store.Bottle, err error) (Bottle, error) {
	if err != nil {
		return Bottle{}, err
	}
	l, err := s.LifeLook([]store.Bottle{*b})
	if err != nil {
		return Bottle{}, err
	}
	inside, err := s.insideOf(b)
	if err != nil {
		return Bottle{}, err
	}
	out := l.Present(b)
	out.tellOf(inside)
	return out, nil
}

// Moved is where a bottle is put.
type Moved struct {
	Place string `json:"place" enum:"fridge,door,freezer,outside"`
}

func (s Service) MoveBottle(id int64, in Moved) (Bottle, error) {
	now, err := s.bottle(s.store.Bottle(id))
	if err != nil {
		return Bottle{}, err
	}
	if in.Place == store.Freezer && now.State == store.InUse && now.Standing == string(keep.Past) {
		return Bottle{}, fault.New("place", "", "not-frozen-when-past")
	}
	return s.bottle(s.store.Move(id, in.Place))
}

func (s Service) UndoPour(id int64) (Bottle, error) {
	return s.withShelf(s.bottle(s.store.UndoPour(id)))
}

// MergeInto names the bottle that another is poured together with.
type MergeInto struct {
	Other int64 `json:"other" minimum:"1"`
}

// Merge pours two leftovers together; the whole keeps as short as the shorter.
func (s Service) Merge(id int64, in MergeInto) (Bottle, error) {
	mine, err := s.bottle(s.store.Bottle(id))
	if err != nil {
		return Bottle{}, err
	}
	other, err := s.bottle(s.store.Bottle(in.Other))
	if err != nil {
		return Bottle{}, err
	}
	if mine.Thawing != "" || other.Thawing != "" {
		return Bottle{}, &store.MergeError{Why: keep.IsFrozen}
	}
	if other.LeftDays < mine.LeftDays || other.Out != "" {
		mine, other = other, mine
	}
	return s.bottle(s.store.Merge(mine.ID, other.ID))
}

// IsThere tells whether there is a bottle of a number.
func (s Service) IsThere(id int64) bool {
	_, err := s.store.Bottle(id)
	return err == nil
}
