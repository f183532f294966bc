package planning

import (
	"math"
	"slices"
	"strings"
	"time"

	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/core/solve"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
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

func TakenInWords(taken []kitchen.StepTaken) []StepTaken {
	out := make([]StepTaken, len(taken))
	for n, t := range taken {
		out[n] = StepTaken{wording.Text(t.Title), t.Planned, t.DoneAt, t.Skipped}
	}
	return out
}

// Front is the step to do now, and what is waited for before it.
type Front struct {
	Step      int        `json:"step" doc:"its place among the item's steps"`
	Place     int        `json:"place" doc:"its place among the steps that need hands, from 1"`
	Of        int        `json:"of"`
	Undo      int        `json:"undo" doc:"the step that was done last; -1 where none was"`
	Wait      string     `json:"wait" doc:"what is waited for before it; empty where it can begin"`
	WaitUntil *time.Time `json:"waitUntil,omitempty"`
	WaitRight string     `json:"waitRight" doc:"what is to be minded meanwhile"`
	WaitMind  string     `json:"waitCaution"`
	WaitS     int        `json:"waitS" doc:"how long still"`
	TooEarly  bool       `json:"tooEarly" doc:"it was begun so early that it would wait too long: until then is the most"`
	ToFridge  bool       `json:"toFridge" doc:"and would keep longer in the fridge"`
	Cools     bool       `json:"cools" doc:"it was cooked, and is on its way down"`
	Amount    int        `json:"amount" doc:"the first of the step's amounts that is still to be weighed; -1 where none is"`
	Over      *Overshoot `json:"over,omitempty" doc:"what to do about an amount that is over"`
}

// front is the step to do now, in words.
func InFront(steps []plan.ItemStep, now time.Time) *Front {
	f, ok := plan.FrontOf(steps, now)
	if !ok {
		return nil
	}
	out := Front{Step: f.Step, Place: f.Place, Of: f.Of, Undo: f.Done, TooEarly: f.TooEarly, ToFridge: f.ToFridge, Cools: f.Cools, Amount: -1}
	if f.Step >= 0 {
		out.Amount = steps[f.Step].ToWeigh()
	}
	if f.Wait >= 0 {
		wait := steps[f.Wait]
		out.Wait, out.WaitRight, out.WaitMind = wording.Text(wait.Title), wording.Text(wait.Right), wording.Text(wait.Caution)
		out.WaitUntil, out.WaitS = &f.Until, max(0, Seconds(f.Until.Sub(now)))
	}
	return &out
}

func Seconds(d time.Duration) int { return int(math.Ceil(d.Seconds())) }

// WithUsed are the steps with what really went in of their amounts.
func WithUsed(steps []plan.ItemStep, weighed map[string]store.Weighing) []plan.ItemStep {
	out := slices.Clone(steps)
	for n := range out {
		out[n].Amounts = slices.Clone(out[n].Amounts)
		if out[n].Amounts == nil {
			out[n].Amounts = []plan.ItemAmount{}
		}
		for k := range out[n].Amounts {
			a := &out[n].Amounts[k]
			if w, ok := weighed[a.Key]; ok {
				a.Used = usedOf(*a, w)
			}
		}
	}
	return out
}

func usedOf(a plan.ItemAmount, w store.Weighing) *plan.Weighed {
	by := "typed"
	if w.ByScale {
		by = "scale"
	}
	return a.Weigh(w.MassG, by, w.Taken, w.At)
}

// Overshoot is an amount that went over, and what either way out comes to.
type Overshoot struct {
	Key        string  `json:"key"`
	Name       string  `json:"name"`
	OverG      float64 `json:"overG"`
	UsedG      float64 `json:"usedG" doc:"what is in"`
	AsItIs     string  `json:"asItIs" doc:"what the drink comes to where it is left"`
	CanRescale bool    `json:"canRescale" doc:"something is still to come that can follow"`
	Rescaled   string  `json:"rescaled" doc:"what the drink comes to where that follows"`
}

// OvershootOf is the first amount of the step in front that is over and not taken.
func OvershootOf(steps []plan.ItemStep, front int, d *reckon.Drink, r *reckon.Reckoning) *Overshoot {
	step := steps[front]
	at := step.Over()
	if at < 0 {
		return nil
	}
	a := step.Amounts[at]
	out := Overshoot{Key: a.Key, Name: a.Name, OverG: a.Used.OffBy, UsedG: a.Used.MassG}
	asUsed := solve.AsUsed(d, r, plan.UsedG(steps))
	if taken, err := asUsed.Reckon(); err == nil {
		out.AsItIs = comesTo(reckon.Apart(r, taken))
	}
	scaled, followers := plan.Followed(steps, a, d, r)
	if after, err := scaled.Reckon(); err == nil && followers > 0 {
		out.CanRescale, out.Rescaled = true, comesTo(reckon.Apart(r, after))
	}
	return &out
}

func comesTo(apart []say.Text) string {
	if len(apart) == 0 {
		return wording.Say("no-figures-change")
	}
	return strings.Join(wording.Texts(apart), ", ")
}
