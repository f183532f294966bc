package planning

import (
	"fmt"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/internal/app"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Bowl is a lot that soaks, drawn from for several drinks.
type Bowl struct {
	ID         int64     `json:"id"`
	Ingredient string    `json:"ingredient" doc:"its id"`
	Name       string    `json:"name"`
	DryG       float64   `json:"dryG" doc:"what is left, as it was dry"`
	WetG       float64   `json:"wetG" doc:"what is left, drained"`
	VesselML   float64   `json:"vesselML" doc:"what it needs to swell in; 0 where it is not known"`
	Fridge     bool      `json:"fridge"`
	Since      time.Time `json:"since"`
	Changed    time.Time `json:"changed" doc:"its water, last"`
	Ready      time.Time `json:"ready" doc:"from when it has soaked long enough"`
	Within     time.Time `json:"within" doc:"until when it is to be used"`
	ChangeBy   time.Time `json:"changeBy" doc:"its water, before the quiet hours where it would fall into them"`
	Past       bool      `json:"past" doc:"it is beyond its time"`
	Enough     string    `json:"enough" doc:"how far it goes for what is planned, in words"`
	ShortG     float64   `json:"shortG" doc:"dry, missing for what is planned"`
}

// bowlOf is a bowl as the core takes it.
func (l PlanView) bowlOf(b store.Bowl) plan.Bowl {
	i, _ := l.Ways.Catalogue.ByID(b.Ingredient)
	return plan.Bowl{Ingredient: i, DryG: b.DryG, Since: b.Since, Topped: b.Topped, Changed: b.Changed, Fridge: b.Fridge}
}

// addBowls presents the bowls, and what they need done.
func (p *Plan) addBowls(l PlanView, draws map[int64][]plan.Draw, quiet plan.Quiet) {
	zone := l.Now.Location()
	for _, b := range l.bowls {
		core := l.bowlOf(b)
		if core.Ingredient == nil {
			continue
		}
		state := core.In(l.Room, l.Now)
		enough := core.Enough(draws[b.ID], l.Room, l.Now)
		out := Bowl{
			ID: b.ID, Ingredient: b.Ingredient, Name: core.Ingredient.Name, DryG: b.DryG, WetG: state.WetG, VesselML: state.VesselML,
			Fridge: b.Fridge, Since: b.Since, Changed: b.Changed, Ready: state.Ready, Within: state.Within,
			ChangeBy: quiet.Before(state.ChangeBy.In(zone)), Past: state.Past, Enough: enoughWords(enough, b), ShortG: enough.ShortG,
		}
		p.Bowls = append(p.Bowls, out)
		name := strings.ToLower(out.Name)
		next := NextStep{BowlID: b.ID, Drink: wording.Say("soaking-bowl"), Title: wording.Say("change-water-of", name), At: out.ChangeBy, Minute: bowlMinutes, Late: out.ChangeBy.Before(l.Now)}
		if !state.ChangeBy.Before(state.Within) || state.Past {
			next.Title, next.At, next.Late = wording.Say("use-up-soaked", name), quiet.Before(state.Within.In(zone)), state.Past
		}
		p.Next = append(p.Next, next)
		p.Late = p.Late || next.Late
	}
}

// bowlMinutes is how long a bowl's water takes to change (common practice).
const bowlMinutes = 5

func enoughWords(e plan.Enough, b store.Bowl) string {
	var said []string
	switch {
	case b.DryG == 0:
		said = append(said, wording.Say("bowl-is-empty"))
	case e.Draws == 0 && e.ShortG == 0 && e.Late == 0:
		return wording.Say("bowl-unused")
	case e.ShortG > 0:
		said = append(said, wording.Say("bowl-short", e.ShortG))
	case e.Draws > 0:
		said = append(said, wording.Say("bowl-over", e.OverG))
	}
	if e.Late > 0 {
		said = append(said, wording.Say("bowl-late", e.Late))
	}
	return strings.Join(said, "; ")
}

// bowlNeedG is what a drink takes of what soaks, as it is dry.
func bowlNeedG(d *reckon.Drink, r *reckon.Reckoning) float64 {
	total := 0.
	for n := range d.Lines {
		if r.Lines[n].SoakedInG > 0 {
			total += r.Lines[n].MassG
		}
	}
	return total
}

// canDraw tells whether a drink can be made from its bowl: what it soaks is
// what is in it.
func (s Service) canDraw(item store.PlanItem) error {
	l, err := s.PlanView()
	if err != nil {
		return err
	}
	bowl := l.bowl(item.BowlID)
	if bowl == nil {
		return fault.New("bowlID", fmt.Sprint(item.BowlID), "bowl-is-gone")
	}
	r, d, err := s.ReckonItem(item, l.Ways)
	if err != nil {
		return err
	}
	for n, line := range d.Lines {
		if r.Lines[n].SoakedInG > 0 && line.Ingredient.ID != bowl.Ingredient {
			return fault.New("bowlID", line.Ingredient.Name, "bowl-of-another")
		}
	}
	if bowlNeedG(d, r) == 0 {
		return fault.New("bowlID", item.DrinkName, "nothing-soaks")
	}
	return nil
}

// drawn marks on an item what it has drawn from its bowl now, and answers what
// the bowl has less for it.
func (s Service) drawn(item *store.PlanItem) (map[int64]float64, error) {
	if item.BowlID == 0 {
		return nil, nil
	}
	begun := item.Steps[0].DoneAt != nil && !item.Steps[0].Skipped
	switch {
	case begun && item.DrawnG == 0:
		ways, err := s.Setup()
		if err != nil {
			return nil, err
		}
		r, d, err := s.ReckonItem(*item, ways)
		if err != nil {
			return nil, err
		}
		item.DrawnG = bowlNeedG(d, r)
		return map[int64]float64{item.BowlID: item.DrawnG}, nil
	case !begun && item.DrawnG > 0:
		back := map[int64]float64{item.BowlID: -item.DrawnG}
		item.DrawnG = 0
		return back, nil
	}
	return nil, nil
}

// NewBowl is a lot to put in to soak.
type NewBowl struct {
	Ingredient string  `json:"ingredient" maxLength:"60" doc:"its id"`
	DryG       float64 `json:"dryG" minimum:"1" maximum:"20000"`
	Fridge     bool    `json:"fridge"`
}

func (s Service) StartBowl(in NewBowl) (Plan, error) {
	i, err := pantry.Of(s.Kitchen).InCatalogue(in.Ingredient)
	if err != nil {
		return Plan{}, err
	}
	if !plan.CanBowl(i) {
		return Plan{}, fault.New("ingredient", i.Name, "not-for-a-bowl")
	}
	if err := s.store.StartBowl(i.ID, in.DryG, in.Fridge); err != nil {
		return Plan{}, err
	}
	s.Changed()
	return s.Plan()
}

// MoreIn is what is put into a bowl besides.
type MoreIn struct {
	DryG float64 `json:"dryG" minimum:"1" maximum:"20000"`
}

func (s Service) TopUpBowl(id int64, in MoreIn) (Plan, error) {
	l, err := s.PlanView()
	if err != nil {
		return Plan{}, err
	}
	if b := l.bowl(id); b != nil && b.DryG > 0 && l.bowlOf(*b).In(l.Room, l.Now).Past {
		return Plan{}, fault.New("dryG", "", "bowl-is-past")
	}
	if err := s.store.TopUpBowl(id, in.DryG); err != nil {
		return Plan{}, err
	}
	s.Changed()
	return s.Plan()
}

// BowlChange is fresh water, or another place.
type BowlChange struct {
	FreshWater bool `json:"freshWater"`
	Fridge     bool `json:"fridge"`
}

func (s Service) ChangeBowl(id int64, in BowlChange) (Plan, error) {
	l, err := s.PlanView()
	if err != nil {
		return Plan{}, err
	}
	if b := l.bowl(id); b != nil && l.bowlOf(*b).In(l.Room, l.Now).Past {
		return Plan{}, fault.New("fridge", "", "bowl-past-saving")
	}
	if err := s.store.ChangeBowl(id, in.FreshWater, in.Fridge); err != nil {
		return Plan{}, err
	}
	return s.Plan()
}

// EndBowl empties a bowl. Where planned drinks were to draw from it that is asked first;
// they soak for themselves then, and everything is planned anew.
func (s Service) EndBowl(id int64, anyway bool) (Plan, error) {
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	var drawing []string
	for n := range items {
		if items[n].BowlID == id && items[n].DrawnG == 0 && !plan.IsMade(items[n].Steps) {
			drawing = append(drawing, items[n].DrinkName)
			items[n].BowlID = 0
		}
	}
	if len(drawing) > 0 && !anyway {
		text := wording.Say("bowl-is-drawn-from", strings.Join(drawing, ", "))
		return Plan{}, &app.Refused{Text: text, Field: "anyway", Message: text}
	}
	if err := s.store.EndBowl(id); err != nil {
		return Plan{}, err
	}
	if len(drawing) == 0 {
		return s.Plan()
	}
	return s.KeepPlan(items, nobody)
}

// soakable are the ids and names of what can stand in a bowl.
func soakable(ways kitchen.Setup) []Named {
	out := []Named{}
	for _, i := range ways.Catalogue.All() {
		if plan.CanBowl(i) {
			out = append(out, Named{i.ID, i.Name})
		}
	}
	return out
}

// Named is an ingredient to choose.
type Named struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}
