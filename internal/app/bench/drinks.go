package bench

import (
	"time"

	"plushladle/core/fault"
	"plushladle/internal/app"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Drink is a drink with its draft and what was kept of it.
type Drink struct {
	ID        int64          `json:"id"`
	Name      string         `json:"name"`
	Draft     kitchen.Recipe `json:"draft"`
	Revision  int            `json:"revision" doc:"give it back when saving the draft"`
	Changed   time.Time      `json:"changed"`
	Versions  []Version      `json:"versions" doc:"the newest first"`
	IsVersion int            `json:"isVersion" doc:"the number of the newest version if the draft says the same, otherwise 0"`
	Figures   *Reckoning     `json:"figures,omitempty" doc:"of the draft, made today, where the drink is opened"`
}

// Version is a recipe the cook kept.
type Version struct {
	Number  int            `json:"number"`
	Note    string         `json:"note"`
	Recipe  kitchen.Recipe `json:"recipe"`
	Created time.Time      `json:"created"`
}

func presentDrink(d *store.Drink) Drink {
	out := Drink{ID: d.ID, Name: d.Name, Draft: d.Draft, Revision: d.Revision, Changed: d.ChangedAt, Versions: make([]Version, len(d.Versions))}
	for n, v := range d.Versions {
		out.Versions[n] = Version{Number: v.Number, Note: v.Note, Recipe: v.Recipe, Created: v.CreatedAt}
	}
	if len(d.Versions) > 0 && kitchen.Same(d.Versions[0].Recipe, d.Draft) {
		out.IsVersion = d.Versions[0].Number
	}
	return out
}

// DrinkName is a drink in the list of drinks.
type DrinkName struct {
	ID       int64     `json:"id"`
	Name     string    `json:"name"`
	Versions int       `json:"versions"`
	Changed  time.Time `json:"changed"`
	LastMade string    `json:"lastMade" doc:"a date; empty where it never was"`
	Archived bool      `json:"archived" doc:"it is out of the lists one chooses from"`
}

func (s Service) Drinks() ([]DrinkName, error) {
	drinks, err := s.store.Drinks()
	if err != nil {
		return nil, err
	}
	names := make([]DrinkName, len(drinks))
	for n, d := range drinks {
		names[n] = DrinkName{ID: d.ID, Name: d.Name, Versions: len(d.Versions), Changed: d.ChangedAt, Archived: d.Archived}
		if names[n].LastMade, err = s.store.LastMadeOn(d.ID); err != nil {
			return nil, err
		}
	}
	return names, nil
}

// NewDrink is a drink to be begun.
type NewDrink struct {
	Name string `json:"name" minLength:"1" maxLength:"120"`
}

func (s Service) StartDrink(in NewDrink) (Drink, error) {
	name, err := drinkName(in.Name)
	if err != nil {
		return Drink{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return Drink{}, err
	}
	d, err := s.store.StartDrink(name, kitchen.New(settings.System))
	if err != nil {
		return Drink{}, err
	}
	return presentDrink(d), nil
}

func drinkName(name string) (string, error) {
	trimmed := kitchen.OneLine(name)
	if trimmed == "" {
		return "", fault.New("name", "", "drink-needs-a-name")
	}
	return trimmed, nil
}

// Drink opens a drink, with its figures: a page that shows them has not to ask twice.
func (s Service) Drink(id int64) (Drink, error) {
	d, err := s.store.Drink(id)
	if err != nil {
		return Drink{}, err
	}
	out := presentDrink(d)
	// A draft that cannot be reckoned opens all the same, and says why as it is reckoned on the page.
	if r, err := s.Reckon(ToReckon{Name: d.Name, Recipe: d.Draft}); err == nil {
		out.Figures = &r
	}
	return out, nil
}

func (s Service) RemoveDrink(id int64) (app.Nothing, error) {
	d, err := s.store.Drink(id)
	if err != nil {
		return app.Nothing{}, err
	}
	used, err := pantry.Of(s.Kitchen).DrinksThat(func(f kitchen.Recipe) bool { return f.Uses(d.Name) })
	if err != nil {
		return app.Nothing{}, err
	}
	if len(used) > 0 {
		return app.Nothing{}, &app.Refused{Text: wording.Say("drink-is-used", used)}
	}
	defer s.Changed()
	return app.Nothing{Done: true}, s.store.DeleteDrink(id)
}

// Draft is what is being worked on, and the revision it was read at.
type Draft struct {
	Name     string         `json:"name" maxLength:"120"`
	Recipe   kitchen.Recipe `json:"recipe"`
	Revision int            `json:"revision"`
}

func (s Service) SaveDraft(id int64, in Draft) (Drink, error) {
	name, err := drinkName(in.Name)
	if err != nil {
		return Drink{}, err
	}
	d, err := s.store.SaveDraft(id, in.Revision, name, in.Recipe.Cleaned())
	if err != nil {
		return Drink{}, err
	}
	s.DrinkNamed(d.ID, d.Name)
	return presentDrink(d), nil
}

// VersionNote says what is new in a version.
type VersionNote struct {
	Note string `json:"note" maxLength:"300"`
}

func (s Service) KeepVersion(id int64, in VersionNote) (Drink, error) {
	defer s.Changed()
	if _, err := s.store.KeepVersion(id, kitchen.OneLine(in.Note)); err != nil {
		return Drink{}, err
	}
	return s.Drink(id)
}
