package kitchen

import (
	"fmt"
	"math"
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
	TempC   float64      `json:"tempC" doc:"it is done or stands at; 0 where it does not matter"`
	LeastM  int          `json:"leastMinutes" doc:"it takes or waits"`
	MostM   int          `json:"mostMinutes" doc:"the same as the least where it has its time; 0 where there is no end to it"`
	Load    int          `json:"load" doc:"which filling of the jug, from 1; 0 where it is not filled"`
	Loads   int          `json:"loads" doc:"fillings of the jug or of the strainer"`
	Never   string       `json:"never" doc:"why it must not be left out; empty where it may be"`
	TimerS  int          `json:"timerS" doc:"what a timer is set to meanwhile; 0 where none helps"`
	Start   time.Time    `json:"start"`
	End     time.Time    `json:"end"`
	Least   time.Time    `json:"least" doc:"the earliest end that still is long enough"`
	Most    time.Time    `json:"most" doc:"the latest end that still is not too long"`
	DoneAt  *time.Time   `json:"doneAt,omitempty"`
	Skipped bool         `json:"skipped" doc:"left out, at the time it is marked done"`
}

// PlanAmount is what goes in at a step.
type PlanAmount struct {
	Key    string   `json:"key" doc:"the same however often it is planned"`
	Line   string   `json:"line" doc:"the key of its line"`
	Name   string   `json:"name"`
	MassG  float64  `json:"massG"`
	LowG   float64  `json:"lowG" doc:"from here on it is near enough; 0 with highG 0 for what was left open"`
	HighG  float64  `json:"highG"`
	Text   string   `json:"text"`
	Fine   bool     `json:"fine" doc:"finer than the scale reads: spoons tell better"`
	Extra  bool     `json:"extra" doc:"only where the taste asks for it"`
	Open   bool     `json:"open" doc:"no amount was given: what goes in is taken down"`
	Soaked bool     `json:"soaked" doc:"counted when it went to soak; weighs what it took up besides"`
	WetG   float64  `json:"wetG" doc:"of its mass, what it took up"`
	Used   *Weighed `json:"used,omitempty" doc:"absent until it is weighed"`
}

// Weighed is what really went in.
type Weighed struct {
	MassG   float64      `json:"massG"`
	By      string       `json:"by" enum:"scale,typed"`
	Verdict plan.Verdict `json:"verdict" enum:"nothing,under,within,over"`
	Settled bool         `json:"settled" doc:"near enough, or taken as it is"`
	At      time.Time    `json:"at"`
	OffBy   float64      `json:"offByG" doc:"over its target; negative where under"`
}

// Pin is a block of work at a time of the cook's own.
type Pin struct {
	Block int       `json:"block"`
	At    time.Time `json:"at"`
}

// PlannedStep puts a timed step of the core into the form that is kept.
func PlannedStep(s plan.Timed) PlanStep {
	out := PlanStep{
		Kind: string(s.Kind), Title: s.Title, Right: s.Right, Caution: s.Caution, Amounts: []PlanAmount{},
		HandsOn: s.HandsOn, Blender: s.Blender, Fridge: s.Fridge, TempC: s.TempC, LeastM: minutes(s.Length.Min), MostM: minutes(s.Length.Max), Load: s.Load, Loads: s.Loads, Never: s.Never, TimerS: int(s.Timer.Seconds()),
		Start: s.Start, End: s.End, Least: s.Start.Add(s.Length.Min), Most: s.End,
	}
	if s.Length.Max < plan.Unlimited {
		out.Most = s.Start.Add(s.Length.Max)
	} else {
		out.MostM = 0
	}
	for _, a := range s.Amounts {
		out.Amounts = append(out.Amounts, PlanAmount{
			Key: a.Key, Line: a.Line, Name: a.Name, MassG: a.MassG, LowG: a.Band.LowG, HighG: a.Band.HighG,
			Text: a.Text, Fine: a.Fine, Extra: a.Extra, Open: a.Open, Soaked: a.Soaked, WetG: a.WetG,
		})
	}
	return out
}

func minutes(d time.Duration) int { return int(math.Ceil(d.Minutes() - 1e-9)) }

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
	q := plan.Quiet{FromMin: fromMin, ToMin: toMin}
	if q.Minutes() > mostQuietMin {
		return plan.Quiet{}, fault.New(field, text, "leaves less than four hours of the day", `leave more of it, such as "22:30-06:30"`)
	}
	return q, nil
}

// mostQuietMin is how much of a day can be quiet, so that there is time to cook
// in (a judgement, no source).
const mostQuietMin = 20 * 60

func minuteOfDay(text string) (int, error) {
	hour, minute, ok := strings.Cut(strings.TrimSpace(text), ":")
	h, err := strconv.Atoi(hour)
	m, err2 := strconv.Atoi(minute)
	if !ok || err != nil || err2 != nil || h < 0 || h > 23 || m < 0 || m > 59 {
		return 0, fmt.Errorf("%q is not a time of day", text)
	}
	return h*60 + m, nil
}
