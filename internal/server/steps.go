package server

import (
	"time"

	"plushladle/core/plan"
	"plushladle/internal/kitchen"
	"plushladle/internal/wording"
)

// ItemStep is a step of a planned drink, in words.
type ItemStep struct {
	plan.ItemStep
	Title   string       `json:"title"`
	Right   string       `json:"right" doc:"what right looks like"`
	Caution string       `json:"caution"`
	Never   string       `json:"never" doc:"why it must not be left out; empty where it may be"`
	Amounts []ItemAmount `json:"amounts"`
}

// ItemAmount is what goes in at a step, in words.
type ItemAmount struct {
	plan.ItemAmount
	Name string `json:"name"`
	Text string `json:"text"`
}

// StepTaken is a step of a batch and when it was done, in words.
type StepTaken struct {
	Title   string    `json:"title"`
	Planned time.Time `json:"planned" doc:"when it was to begin"`
	DoneAt  time.Time `json:"doneAt"`
	Skipped bool      `json:"skipped"`
}

// inWords are steps as they are sent.
func inWords(steps []plan.ItemStep) []ItemStep {
	out := make([]ItemStep, len(steps))
	for n, s := range steps {
		out[n] = ItemStep{
			ItemStep: s, Title: wording.Text(s.Title), Right: wording.Text(s.Right), Caution: wording.Text(s.Caution), Never: wording.Text(s.Never),
			Amounts: make([]ItemAmount, len(s.Amounts)),
		}
		for k, a := range s.Amounts {
			out[n].Amounts[k] = ItemAmount{ItemAmount: a, Name: wording.Ingredient(a), Text: wording.Text(a.Text)}
		}
	}
	return out
}

func takenInWords(taken []kitchen.StepTaken) []StepTaken {
	out := make([]StepTaken, len(taken))
	for n, t := range taken {
		out[n] = StepTaken{wording.Text(t.Title), t.Planned, t.DoneAt, t.Skipped}
	}
	return out
}
