package shelf

import (
	"slices"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/internal/app"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// PackFigure is an open pack on the shelf.
type PackFigure struct {
	ID         int64    `json:"id"`
	Ingredient string   `json:"ingredient"`
	Name       string   `json:"name"`
	LeftG      float64  `json:"leftG"`
	OpenedOn   string   `json:"openedOn"`
	UseBy      string   `json:"useBy"`
	TimeLeft   string   `json:"timeLeft"`
	Past       bool     `json:"past"`
	Why        string   `json:"why" doc:"what sets its date"`
	Where      string   `json:"where" doc:"it belongs"`
	GoesInto   []UsesUp `json:"goesInto" doc:"drinks that would use it up, the nearest to their size first"`
}

// UsesUp is a drink that would use up what is left in a pack.
type UsesUp struct {
	DrinkID   int64   `json:"drinkID"`
	DrinkName string  `json:"drinkName"`
	Times     float64 `json:"times" doc:"the size at which it does"`
	DrinkML   float64 `json:"drinkML" doc:"and what that gives"`
}

// How many drinks are named beside a pack, and between which sizes (a judgement,
// no source).
const (
	usesNamed  = 3
	leastTimes = 0.25
	mostTimes  = 4.
)

// Packs are the open packs, with the drinks they may go into.
func (s Service) Packs() ([]PackFigure, error) {
	kept, err := s.store.Packs()
	if err != nil || len(kept) == 0 {
		return []PackFigure{}, err
	}
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	school, err := s.School()
	if err != nil {
		return nil, err
	}
	drinks, err := s.Recipes()
	if err != nil {
		return nil, err
	}
	out := []PackFigure{}
	for _, p := range kept {
		out = append(out, s.pack(p, ways, school, drinks))
	}
	slices.SortStableFunc(out, func(a, b PackFigure) int { return strings.Compare(a.UseBy, b.UseBy) })
	return out, nil
}

// School is the kitchen's school of keeping.
func (s Service) School() (keep.School, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return "", err
	}
	return keep.ParseSchool(settings.School)
}

// LastOf is the last good day of an open pack.
func LastOf(p store.Pack, ways kitchen.Setup, school keep.School) time.Time {
	opened, printed := ParseDate(p.OpenedOn), ParseDate(p.Printed)
	i, ok := ways.Catalogue.ByID(p.Ingredient)
	if !ok {
		return printed
	}
	return keep.OpenedLife(i).UseBy(opened, printed, school)
}

func (s Service) pack(p store.Pack, ways kitchen.Setup, school keep.School, recipes []app.Makeable) PackFigure {
	out := PackFigure{ID: p.ID, Ingredient: p.Ingredient, Name: p.Ingredient, LeftG: p.MassG, OpenedOn: p.OpenedOn, GoesInto: []UsesUp{}}
	last := LastOf(p, ways, school)
	if i, ok := ways.Catalogue.ByID(p.Ingredient); ok {
		life := keep.OpenedLife(i)
		out.Name, out.Where, out.Why = i.Name, wording.StoredIn(life.Where), wording.KeepsOnceOpened(int(life.Days(school)))
	}
	if printed := ParseDate(p.Printed); !printed.IsZero() && last.Equal(printed) {
		out.Why = wording.Say("printed-date")
	}
	standing, left := keep.On(s.Now(), last)
	out.UseBy, out.Past, out.TimeLeft = last.Format(app.DateLayout), standing == keep.Past, wording.DaysLeft(left)
	if out.Past {
		return out
	}
	for _, r := range recipes {
		if g := r.NeedsOf(p.Ingredient); g > 0 {
			if times := p.MassG / g; times >= leastTimes && times <= mostTimes {
				out.GoesInto = append(out.GoesInto, UsesUp{r.Drink.ID, r.Drink.Name, times, r.DrinkML * times})
			}
		}
	}
	slices.SortStableFunc(out.GoesInto, func(a, b UsesUp) int { return app.CompareNearOne(a.Times, b.Times) })
	out.GoesInto = out.GoesInto[:min(usesNamed, len(out.GoesInto))]
	return out
}

// OpenedPack is a pack that was opened.
type OpenedPack struct {
	What     string `json:"what" minLength:"1" maxLength:"300" doc:"how much is in it and of what, as one writes a line: 400 g coconut milk"`
	OpenedOn string `json:"openedOn" maxLength:"10" doc:"empty for today"`
	Printed  string `json:"printed" maxLength:"10" doc:"the date on the pack; empty for none"`
}

func (s Service) OpenPack(in OpenedPack) (Shelf, error) {
	opened, err := s.MadeOn(in.OpenedOn)
	if err != nil {
		return Shelf{}, fault.In("openedOn", err)
	}
	printed := in.Printed
	if printed != "" {
		if _, err := time.Parse(app.DateLayout, printed); err != nil {
			return Shelf{}, fault.New("printed", printed, "printed-not-a-date")
		}
	}
	ways, err := s.Setup()
	if err != nil {
		return Shelf{}, err
	}
	line, err := kitchen.ReadLine(in.What, ways)
	if err != nil {
		return Shelf{}, fault.In("what", err)
	}
	i, ok := ways.Lines().Name(line.Ingredient)
	if !ok {
		return Shelf{}, fault.New("what", line.Ingredient, "pack-not-in-catalogue")
	}
	g, err := pantry.Of(s.Kitchen).PackG(i, line.Amount, ways)
	if err != nil {
		return Shelf{}, fault.In("what", err)
	}
	if err := s.store.OpenPack(store.Pack{Ingredient: i.ID, MassG: g, OpenedOn: opened.Format(app.DateLayout), Printed: printed}); err != nil {
		return Shelf{}, err
	}
	s.Changed()
	return s.Shelf()
}

// PackUse is what was taken from a pack.
type PackUse struct {
	MassG float64 `json:"massG" minimum:"0.1" maximum:"1000000"`
}

func (s Service) UsePack(id int64, in PackUse) (Shelf, error) {
	if err := s.store.UsePack(id, in.MassG); err != nil {
		return Shelf{}, err
	}
	return s.Shelf()
}

// PackEnd is what became of a pack.
type PackEnd struct {
	Thrown bool   `json:"thrown"`
	Why    string `json:"why" maxLength:"200" doc:"needed where it is thrown out"`
}

func (s Service) EndPack(id int64, in PackEnd) (Shelf, error) {
	why, state := kitchen.OneLine(in.Why), store.Finished
	if in.Thrown {
		state = store.Thrown
		if why == "" {
			return Shelf{}, fault.New("why", "", "reason-needed")
		}
	}
	if err := s.store.EndPack(id, state, why); err != nil {
		return Shelf{}, err
	}
	return s.Shelf()
}
