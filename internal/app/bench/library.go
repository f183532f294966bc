package bench

import (
	"plushladle/core/ingredient"
	"plushladle/core/say"
	"plushladle/internal/app"
	"plushladle/internal/wording"
)

// LibraryDrink is a drink with what one looks for it by.
type LibraryDrink struct {
	DrinkName
	Kind      string     `json:"kind" doc:"empty where it comes to nothing yet"`
	KindName  string     `json:"kindName"`
	Bases     []string   `json:"bases"`
	KeepsDays int        `json:"keepsDays" doc:"0 where it is not known"`
	Cost      CostFigure `json:"cost"`
	ForWhom   []ForWhom  `json:"forWhom"`
}

// Library is all drinks with their figures, the one worked on last first.
func (s Service) Library() ([]LibraryDrink, error) {
	names, err := s.Drinks()
	if err != nil {
		return nil, err
	}
	out := make([]LibraryDrink, len(names))
	for n, name := range names {
		out[n] = LibraryDrink{DrinkName: name, Bases: []string{}, ForWhom: []ForWhom{}}
		d, err := s.store.Drink(name.ID)
		if err != nil {
			return nil, err
		}
		b, err := s.onBench(d.Name, d.Draft)
		if err != nil {
			return nil, err
		}
		out[n].figures(b)
	}
	return out, nil
}

// figures fills in what a drink comes to, where it comes to anything.
func (l *LibraryDrink) figures(b *bench) {
	r, err := b.s.ReckonRecipe(b.drink.Name, b.typed, b.s.Now())
	if err != nil || !r.Reckoned {
		return
	}
	l.Kind, l.KindName, l.KeepsDays, l.Cost, l.ForWhom = r.Kind, wording.Text(say.Of("kind-"+r.Kind)), r.Keeps.WholeDays, r.Cost, r.ForWhom
	for _, line := range b.drink.Lines {
		if line.Ingredient != nil && line.Ingredient.Role == ingredient.Base {
			l.Bases = append(l.Bases, line.Ingredient.Name)
		}
	}
}

// Archiving says whether a drink is out of the lists one chooses from.
type Archiving struct {
	Archived bool `json:"archived"`
}

// Archive puts a drink away, or brings it back; nothing of it changes.
func (s Service) Archive(id int64, in Archiving) (app.Nothing, error) {
	return app.Nothing{Done: true}, s.store.ArchiveDrink(id, in.Archived)
}
