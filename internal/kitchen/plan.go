package kitchen

import (
	"fmt"
	"strconv"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/plan"
)

// PlanStep is a step on the plan, with its time.
type PlanStep struct {
	Kind    string       `json:"kind"`
	Title   string       `json:"title"`
	Right   string       `json:"right" doc:"what right looks like"`
	Caution string       `json:"caution"`
	Amounts []PlanAmount `json:"amounts"`
	HandsOn bool         `json:"handsOn"`
	Blender bool         `json:"blender"`
	Fridge  bool         `json:"fridge"`
	Loads   int          `json:"loads"`
	TimerS  int          `json:"timerS" doc:"what a timer is set to meanwhile; 0 where none helps"`
	Start   time.Time    `json:"start"`
	End     time.Time    `json:"end"`
	Least   time.Time    `json:"least" doc:"the earliest end that still is long enough"`
	Most    time.Time    `json:"most" doc:"the latest end that still is not too long"`
	DoneAt  *time.Time   `json:"doneAt,omitempty"`
}

// PlanAmount is what goes in at a step.
type PlanAmount struct {
	Name  string  `json:"name"`
	MassG float64 `json:"massG"`
	LoadG float64 `json:"loadG" doc:"of that in each load; 0 where it goes in as one"`
	Text  string  `json:"text"`
}

// PlannedStep puts a timed step of the core into the form that is kept.
func PlannedStep(s plan.Timed) PlanStep {
	out := PlanStep{
		Kind: string(s.Kind), Title: s.Title, Right: s.Right, Caution: s.Caution, Amounts: []PlanAmount{},
		HandsOn: s.HandsOn, Blender: s.Blender, Fridge: s.Fridge, Loads: s.Loads, TimerS: int(s.Timer.Seconds()),
		Start: s.Start, End: s.End, Least: s.Start.Add(s.Length.Min), Most: s.End,
	}
	if s.Length.Max < plan.Unlimited {
		out.Most = s.Start.Add(s.Length.Max)
	}
	for _, a := range s.Amounts {
		out.Amounts = append(out.Amounts, PlanAmount(a))
	}
	return out
}

// ParseQuiet reads a daily stretch of the clock, "22:30-06:30"; "" is none.
func ParseQuiet(field, text string) (plan.Quiet, error) {
	refused := fault.New(field, text, "is not a stretch of the clock", `write it as "22:30-06:30", or leave it empty`)
	if strings.TrimSpace(text) == "" {
		return plan.Quiet{}, nil
	}
	from, to, ok := strings.Cut(text, "-")
	if !ok {
		return plan.Quiet{}, refused
	}
	fromMin, err := minuteOfDay(from)
	if err != nil {
		return plan.Quiet{}, refused
	}
	toMin, err := minuteOfDay(to)
	if err != nil {
		return plan.Quiet{}, refused
	}
	return plan.Quiet{FromMin: fromMin, ToMin: toMin}, nil
}

func minuteOfDay(text string) (int, error) {
	hour, minute, ok := strings.Cut(strings.TrimSpace(text), ":")
	h, err := strconv.Atoi(hour)
	m, err2 := strconv.Atoi(minute)
	if !ok || err != nil || err2 != nil || h < 0 || h > 23 || m < 0 || m > 59 {
		return 0, fmt.Errorf("%q is not a time of day", text)
	}
	return h*60 + m, nil
}
