package shelf

import (
	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/core/reckon"
	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// PulpFigure is pulp on the shelf.
type PulpFigure struct {
	kitchen.Pulp
	ID        int64  `json:"id"`
	DrinkName string `json:"drinkName"`
	Place     string `json:"place" enum:"fridge,freezer"`
	UseBy     string `json:"useBy"`
	Past      bool   `json:"past"`
	TimeLeft  string `json:"timeLeft"`
}

// PulpOf is a drink's pulp as it is kept; nil where nothing was strained. It
// weighs what it was weighed at, where it was.
func PulpOf(r *reckon.Reckoning, weighedG *float64) *kitchen.Pulp {
	if r.PulpG == 0 {
		return nil
	}
	p := r.Pulp
	if weighedG != nil {
		p = p.Weighing(*weighedG)
	}
	return &kitchen.Pulp{WetG: p.WetG, DriedG: p.DriedG, ProteinG: p.ProteinG, FatG: p.FatG, FibreG: p.FibreG, SugarG: p.SugarG, GoodFor: p.GoodFor()}
}

func (s Service) pulps() ([]PulpFigure, error) {
	kept, err := s.store.Pulps()
	if err != nil {
		return nil, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return nil, err
	}
	out := make([]PulpFigure, len(kept))
	for n, p := range kept {
		days := keep.PulpDays(p.Place == store.Freezer, keep.School(settings.School))
		useBy := p.Since.In(s.Now().Location()).AddDate(0, 0, days-1) // the day it is made being day 1
		standing, left := keep.On(s.Now(), useBy)
		pulp := p.Pulp
		pulp.GoodFor = wording.PulpUses(pulp.GoodFor)
		out[n] = PulpFigure{
			Pulp: pulp, ID: p.ID, DrinkName: p.Batch.DrinkName, Place: p.Place, UseBy: useBy.Format(app.DateLayout),
			Past: standing == keep.Past, TimeLeft: wording.DaysLeft(left),
		}
	}
	return out, nil
}

// PulpEnd is what became of a pulp.
type PulpEnd struct {
	For    string `json:"for" maxLength:"200" doc:"what it was used for, or why it was thrown out"`
	Thrown bool   `json:"thrown"`
}

func (s Service) EndPulp(id int64, in PulpEnd) (Shelf, error) {
	why := kitchen.OneLine(in.For)
	if why == "" {
		return Shelf{}, fault.New("for", "", "use-needed")
	}
	state := store.Finished
	if in.Thrown {
		state = store.Thrown
	}
	if err := s.store.EndPulp(id, state, why); err != nil {
		return Shelf{}, err
	}
	return s.Shelf()
}

func (s Service) FreezePulp(id int64) (Shelf, error) {
	if err := s.store.FreezePulp(id); err != nil {
		return Shelf{}, err
	}
	return s.Shelf()
}
