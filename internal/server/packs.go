package server

import (
	"net/http"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/fault"
	"plushladle/core/keep"
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

// packs are the open packs, with the drinks they may go into where recipes are
// to be had.
func (s *server) packs(recipes func() ([]makeable, error)) ([]PackFigure, error) {
	kept, err := s.store.Packs()
	if err != nil || len(kept) == 0 {
		return []PackFigure{}, err
	}
	ways, err := s.setup()
	if err != nil {
		return nil, err
	}
	school, err := s.school()
	if err != nil {
		return nil, err
	}
	var drinks []makeable
	if recipes != nil {
		if drinks, err = recipes(); err != nil {
			return nil, err
		}
	}
	out := []PackFigure{}
	for _, p := range kept {
		out = append(out, s.pack(p, ways, school, drinks))
	}
	slices.SortStableFunc(out, func(a, b PackFigure) int { return strings.Compare(a.UseBy, b.UseBy) })
	return out, nil
}

func (s *server) school() (keep.School, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return "", err
	}
	return keep.ParseSchool(settings.School)
}

func (s *server) pack(p store.Pack, ways kitchen.Setup, school keep.School, recipes []makeable) PackFigure {
	out := PackFigure{ID: p.ID, Ingredient: p.Ingredient, Name: p.Ingredient, LeftG: p.MassG, OpenedOn: p.OpenedOn, GoesInto: []UsesUp{}}
	opened, printed := parseDate(p.OpenedOn), parseDate(p.Printed)
	last := printed
	if i, ok := ways.Catalogue.ByID(p.Ingredient); ok {
		life := keep.OpenedLife(i)
		out.Name, out.Where, out.Why = i.Name, wording.StoredIn(life.Where), "opened, and "+wording.Days(int(life.Days(school)))+" from then"
		last = life.UseBy(opened, printed, school)
	}
	if !printed.IsZero() && last.Equal(printed) {
		out.Why = "the date printed on it"
	}
	standing, left := keep.On(s.now(), last)
	out.UseBy, out.Past, out.TimeLeft = last.Format(dateLayout), standing == keep.Past, wording.DaysLeft(left)
	if out.Past {
		return out
	}
	for _, r := range recipes {
		if g := r.needsOf(p.Ingredient); g > 0 {
			if times := p.MassG / g; times >= leastTimes && times <= mostTimes {
				out.GoesInto = append(out.GoesInto, UsesUp{r.drink.ID, r.drink.Name, times, r.drinkML * times})
			}
		}
	}
	slices.SortStableFunc(out.GoesInto, func(a, b UsesUp) int { return compareNearOne(a.Times, b.Times) })
	out.GoesInto = out.GoesInto[:min(usesNamed, len(out.GoesInto))]
	return out
}

// OpenedPack is a pack that was opened.
type OpenedPack struct {
	What     string `json:"what" minLength:"1" maxLength:"300" doc:"how much is in it and of what, as one writes a line: 400 g coconut milk"`
	OpenedOn string `json:"openedOn" maxLength:"10" doc:"empty for today"`
	Printed  string `json:"printed" maxLength:"10" doc:"the date on the pack; empty for none"`
}

func (s *server) openPack(in *body[OpenedPack]) (Shelf, error) {
	opened, err := s.madeOn(in.Body.OpenedOn)
	if err != nil {
		return Shelf{}, fault.In("openedOn", err)
	}
	printed := in.Body.Printed
	if printed != "" {
		if _, err := time.Parse(dateLayout, printed); err != nil {
			return Shelf{}, fault.New("printed", printed, "printed-not-a-date")
		}
	}
	ways, err := s.setup()
	if err != nil {
		return Shelf{}, err
	}
	line, err := kitchen.ReadLine(in.Body.What, ways)
	if err != nil {
		return Shelf{}, fault.In("what", err)
	}
	i, ok := ways.Catalogue.Find(line.Ingredient)
	if !ok {
		return Shelf{}, fault.New("what", line.Ingredient, "pack-not-in-catalogue")
	}
	g, err := s.packG(i, line.Amount, ways)
	if err != nil {
		return Shelf{}, fault.In("what", err)
	}
	if err := s.store.OpenPack(store.Pack{Ingredient: i.ID, MassG: g, OpenedOn: opened.Format(dateLayout), Printed: printed}); err != nil {
		return Shelf{}, err
	}
	s.changed()
	return s.shelf(nil)
}

// PackUse is what was taken from a pack.
type PackUse struct {
	MassG float64 `json:"massG" minimum:"0.1" maximum:"1000000"`
}

type usePackInput struct {
	ByID
	Body PackUse
}

func (s *server) usePack(in *usePackInput) (Shelf, error) {
	if err := s.store.UsePack(in.ID, in.Body.MassG); err != nil {
		return Shelf{}, err
	}
	return s.shelf(nil)
}

// PackEnd is what became of a pack.
type PackEnd struct {
	Thrown bool   `json:"thrown"`
	Why    string `json:"why" maxLength:"200" doc:"needed where it is thrown out"`
}

type endPackInput struct {
	ByID
	Body PackEnd
}

func (s *server) endPack(in *endPackInput) (Shelf, error) {
	why, state := kitchen.OneLine(in.Body.Why), store.Finished
	if in.Body.Thrown {
		state = store.Thrown
		if why == "" {
			return Shelf{}, fault.New("why", "", "reason-needed")
		}
	}
	if err := s.store.EndPack(in.ID, state, why); err != nil {
		return Shelf{}, err
	}
	return s.shelf(nil)
}

func (s *server) registerPacks(api huma.API) {
	act(s, api, http.MethodPost, "/api/packs", "open-pack", "Put an open pack on the shelf", undoable, (*server).openPack)
	act(s, api, http.MethodPost, "/api/packs/{id}/use", "use-pack", "Take something from an open pack", undoable, (*server).usePack)
	act(s, api, http.MethodPost, "/api/packs/{id}/end", "end-pack", "Say what became of an open pack", undoable, (*server).endPack)
	operation(s, api, http.MethodGet, "/api/can-make", "can-make", "What can be made now, what would spoil first first", s.canMake)
}
