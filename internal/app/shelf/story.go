package shelf

import (
	"slices"
	"time"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/internal/app/bench"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Story is all that happened to a bottle.
type Story struct {
	Bottle Bottle       `json:"bottle"`
	Events []StoryEvent `json:"events" doc:"the earliest first"`
}

// StoryEvent is one thing that happened to it.
type StoryEvent struct {
	At   time.Time `json:"at"`
	What string    `json:"what"`
	Cost string    `json:"cost" doc:"what of its life that took; empty for none"`
}

func (s Service) Story(id int64) (Story, error) {
	b, err := s.store.Bottle(id)
	if err != nil {
		return Story{}, err
	}
	l, err := s.LifeLook([]store.Bottle{*b})
	if err != nil {
		return Story{}, err
	}
	pours, err := s.store.Pours(id)
	if err != nil {
		return Story{}, err
	}
	kept := l.kept(b)
	out := Story{Bottle: l.Present(b), Events: []StoryEvent{{kept.Made, wording.Say("filled-into", b.VolumeML, wording.Place(kept.Stays[0].Place)), ""}}}
	for _, step := range b.Batch.Times {
		if !step.Skipped {
			out.Events = append(out.Events, StoryEvent{step.DoneAt, wording.Text(step.Title), ""})
		}
	}
	for _, stay := range kept.Stays[1:] {
		out.Events = append(out.Events, StoryEvent{stay.From, wording.Say("moved-to", wording.Place(stay.Place)), ""})
	}
	for _, p := range pours {
		out.Events = append(out.Events, StoryEvent{p.PouredAt, wording.Say("poured", p.ML), ""})
	}
	for _, spell := range kept.Budget(l.Record, l.School, l.RoomC, l.Now).Spells {
		code := "warm-spell"
		if spell.Gap {
			code = "warm-spell-with-gap"
		}
		what := wording.Say(code, spell.Lasted().Hours(), spell.MostC)
		out.Events = append(out.Events, StoryEvent{spell.From, what, wording.Say("days-of-life", spell.Days)})
	}
	if b.EndedAt != nil {
		out.Events = append(out.Events, StoryEvent{*b.EndedAt, wording.Ended(b.State, b.EndedWhy), ""})
	}
	inside, err := s.insideOf(b)
	if err != nil {
		return out, err
	}
	out.Bottle.tellOf(inside)
	slices.SortStableFunc(out.Events, func(a, b StoryEvent) int { return a.At.Compare(b.At) })
	return out, nil
}

// inside is what a bottle's drink is reckoned to be.
type inside struct {
	whom    []bench.ForWhom // the kitchen's drinkers
	pigment string
}

func (b *Bottle) tellOf(i inside) { b.ForWhom, b.Pigment = i.whom, i.pigment }

// The pigments a drink is drawn in.
const (
	pigmentMilk, pigmentOat, pigmentNut, pigmentCocoa = "milk", "oat", "nut", "cocoa"
)

// inside holds what is in a bottle against the kitchen's drinkers, and tells
// its pigment.
func (s Service) insideOf(b *store.Bottle) (inside, error) {
	out := inside{whom: []bench.ForWhom{}, pigment: pigmentMilk}
	d, _, err := s.Read(b.Batch.DrinkName, b.Batch.Version.Recipe)
	if err != nil {
		return out, err
	}
	out.pigment = pigmentOf(d.Lines)
	r, err := d.Reckon()
	if err != nil {
		return out, nil // its size cannot be reached any more; what is in it is not known
	}
	out.whom = bench.PresentForWhom(r.ForWhom)
	return out, nil
}

// pigmentOf is cocoa's where there is some, or else the first base's.
func pigmentOf(lines []recipe.Line) string {
	pigment := pigmentMilk
	for _, l := range lines {
		switch i := l.Ingredient; {
		case i == nil:
		case i.Has(ingredient.TagChocolate):
			return pigmentCocoa
		case pigment != pigmentMilk || i.Role != ingredient.Base:
		case i.Class == ingredient.Nut || i.Class == ingredient.Roasted:
			pigment = pigmentNut
		default:
			pigment = pigmentOat
		}
	}
	return pigment
}
