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
	out := Story{Bottle: l.Present(b)}
	if out.Events, err = s.eventsOf(b, l, map[int64]bool{}); err != nil {
		return Story{}, err
	}
	inside, err := s.insideOf(b)
	if err != nil {
		return out, err
	}
	out.Bottle.tellOf(inside)
	slices.SortStableFunc(out.Events, func(a, b StoryEvent) int { return a.At.Compare(b.At) })
	return out, nil
}

// eventsOf are what happened to a bottle, and to whatever was poured into it before it was.
func (s Service) eventsOf(b *store.Bottle, l LifeLook, told map[int64]bool) ([]StoryEvent, error) {
	told[b.ID] = true
	pours, err := s.store.Pours(b.ID)
	if err != nil {
		return nil, err
	}
	kept := l.kept(b)
	out := []StoryEvent{{kept.Made, wording.Say("filled-into", b.Filled(), wording.Place(kept.Stays[0].Place)), ""}}
	for _, step := range b.Batch.Times {
		if !step.Skipped {
			out = append(out, StoryEvent{step.DoneAt, wording.Text(step.Title), ""})
		}
	}
	for _, stay := range kept.Stays[1:] {
		out = append(out, StoryEvent{stay.From, wording.Say("moved-to", wording.Place(stay.Place)), ""})
	}
	for _, p := range pours {
		out = append(out, StoryEvent{p.PouredAt, wording.Say("poured", p.ML), ""})
	}
	for _, spell := range kept.Budget(l.Record, l.School, l.RoomC, l.Now).Spells {
		code := "warm-spell"
		if spell.Gap {
			code = "warm-spell-with-gap"
		}
		what := wording.Say(code, spell.Lasted().Hours(), spell.MostC)
		out = append(out, StoryEvent{spell.From, what, wording.Say("days-of-life", spell.Days)})
	}
	if b.EndedAt != nil {
		out = append(out, StoryEvent{*b.EndedAt, wording.Ended(b.State, b.EndedWhy), ""})
	}
	for _, j := range b.Joined {
		out = append(out, StoryEvent{j.At, wording.Say("poured-in-from", j.ML, j.OtherID), ""})
		if told[j.OtherID] {
			continue
		}
		more, err := s.eventsOfOther(j.OtherID, l, told)
		if err != nil {
			return nil, err
		}
		out = append(out, more...)
	}
	return out, nil
}

// eventsOfOther are those of a bottle that was poured into another, told as of that bottle.
func (s Service) eventsOfOther(id int64, l LifeLook, told map[int64]bool) ([]StoryEvent, error) {
	other, err := s.store.Bottle(id)
	if err != nil {
		return nil, err
	}
	events, err := s.eventsOf(other, l, told)
	if err != nil {
		return nil, err
	}
	for n := range events {
		events[n].What = wording.Say("of-bottle", id, events[n].What)
	}
	return events, nil
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
