package plan

import (
	"fmt"
	"math"
	"slices"
	"time"

	"plushladle/core/fault"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/core/solve"
)

// ItemStep is a step of a drink on the plan, with its time and what became of it: as
// it is kept, and as it is sent.
type ItemStep struct {
	Kind    string       `json:"kind"`
	Title   say.Text     `json:"title"`
	Right   say.Text     `json:"right" doc:"what right looks like"`
	Caution say.Text     `json:"caution"`
	Amounts []ItemAmount `json:"amounts"`
	HandsOn bool         `json:"handsOn"`
	Blender bool         `json:"blender"`
	Fridge  bool         `json:"fridge"`
	TempC   float64      `json:"tempC" doc:"it is done or stands at; 0 where it does not matter"`
	LeastM  int          `json:"leastMinutes" doc:"it takes or waits"`
	MostM   int          `json:"mostMinutes" doc:"the same as the least where it has its time; 0 where there is no end to it"`
	Load    int          `json:"load" doc:"which filling of the jug, from 1; 0 where it is not filled"`
	Loads   int          `json:"loads" doc:"fillings of the jug or of the strainer"`
	Never   say.Text     `json:"never" doc:"why it must not be left out; empty where it may be"`
	TimerS  int          `json:"timerS" doc:"what a timer is set to meanwhile; 0 where none helps"`
	Start   time.Time    `json:"start"`
	End     time.Time    `json:"end"`
	Least   time.Time    `json:"least" doc:"the earliest end that still is long enough"`
	Most    time.Time    `json:"most" doc:"the latest end that still is not too long"`
	DoneAt  *time.Time   `json:"doneAt,omitempty"`
	Skipped bool         `json:"skipped" doc:"left out, at the time it is marked done"`
}

// ItemAmount is what goes in at a step.
type ItemAmount struct {
	Key    string   `json:"key" doc:"the same however often it is planned"`
	Line   string   `json:"line" doc:"the key of its line"`
	Name   string   `json:"name"`
	MassG  float64  `json:"massG"`
	LowG   float64  `json:"lowG" doc:"from here on it is near enough; 0 with highG 0 for what was left open"`
	HighG  float64  `json:"highG"`
	Into   string   `json:"into,omitempty" doc:"the drink it goes into, of those the base is divided into"`
	Kept   bool     `json:"kept,omitempty" doc:"soaked in liquid that is in its mass"`
	Text   say.Text `json:"text"`
	Fine   bool     `json:"fine" doc:"finer than the scale reads: spoons tell better"`
	Extra  bool     `json:"extra" doc:"only where the taste asks for it"`
	Open   bool     `json:"open" doc:"no amount was given: what goes in is taken down"`
	Soaked bool     `json:"soaked" doc:"counted when it went to soak; weighs what it took up besides"`
	WetG   float64  `json:"wetG" doc:"of its mass, what it took up"`
	Used   *Weighed `json:"used,omitempty" doc:"absent until it is weighed"`
}

// Weighed is what really went in.
type Weighed struct {
	MassG   float64   `json:"massG"`
	By      string    `json:"by" enum:"scale,typed"`
	Verdict Verdict   `json:"verdict" enum:"nothing,under,within,over"`
	Settled bool      `json:"settled" doc:"near enough, or taken as it is"`
	At      time.Time `json:"at"`
	OffBy   float64   `json:"offByG" doc:"over its target; negative where under"`
}

// ItemStepOf is a timed step as it is kept.
func ItemStepOf(s Timed) ItemStep {
	out := ItemStep{
		Kind: string(s.Kind), Title: s.Title, Right: s.Right, Caution: s.Caution, Amounts: []ItemAmount{},
		HandsOn: s.HandsOn, Blender: s.Blender, Fridge: s.Fridge, TempC: s.TempC, LeastM: wholeMinutes(s.Length.Min), MostM: wholeMinutes(s.Length.Max), Load: s.Load, Loads: s.Loads, Never: s.Never, TimerS: int(s.Timer.Seconds()),
		Start: s.Start, End: s.End, Least: s.Start.Add(s.Length.Min), Most: s.End,
	}
	if s.Length.Max < Unlimited {
		out.Most = s.Start.Add(s.Length.Max)
	} else {
		out.MostM = 0
	}
	for _, a := range s.Amounts {
		out.Amounts = append(out.Amounts, ItemAmount{
			Key: a.Key, Line: a.Line, Name: a.Name, MassG: a.MassG, LowG: a.Band.LowG, HighG: a.Band.HighG,
			Text: a.Text, Into: a.Into, Kept: a.Kept, Fine: a.Fine, Extra: a.Extra, Open: a.Open, Soaked: a.Soaked, WetG: a.WetG,
		})
	}
	return out
}

// wholeMinutes rounds up: a wait is never told shorter than it is.
func wholeMinutes(d time.Duration) int { return int(math.Ceil(d.Minutes() - 1e-9)) }

// Whatever is done with a drink on the plan follows from its steps alone: which is in
// front, what marking one brings along, when its life began, what follows an amount
// that went over.

// Weigh holds what went in of an amount against its band.
func (a ItemAmount) Weigh(massG float64, by string, taken bool, at time.Time) *Weighed {
	verdict := Band{LowG: a.LowG, HighG: a.HighG}.Judge(massG)
	used := Weighed{MassG: massG, By: by, Verdict: verdict, Settled: Settled(verdict, taken), At: at}
	if !a.Open {
		used.OffBy = massG - a.MassG
	}
	return &used
}

// Weighs tells whether an amount of the step is one to put on the scale: what soaked
// goes in whole, unless it comes out of a bowl or is shared among loads; what goes
// in to taste is weighed where the cook says so.
func (s ItemStep) Weighs(a ItemAmount) bool {
	switch {
	case a.Extra:
		return false
	case a.Soaked:
		return s.Loads > 1 || s.Kind == string(GetReady)
	}
	return true
}

// ToWeigh is the place of the first amount that is still to be weighed; -1 where
// none is.
func (s ItemStep) ToWeigh() int {
	return slices.IndexFunc(s.Amounts, func(a ItemAmount) bool { return s.Weighs(a) && (a.Used == nil || !a.Used.Settled) })
}

// Over is the place of the first amount that is over and was not taken as it is; -1
// where none is.
func (s ItemStep) Over() int {
	return slices.IndexFunc(s.Amounts, func(a ItemAmount) bool { return a.Used != nil && a.Used.Verdict == Over && !a.Used.Settled })
}

// UsedG is what went in, by line, of the lines of which something was weighed or left
// out; what was not weighed yet counts as planned.
func UsedG(steps []ItemStep) map[string]float64 {
	sums, touched := map[string]float64{}, map[string]bool{}
	for _, step := range steps {
		for _, a := range step.Amounts {
			switch {
			case a.Soaked:
			case a.Used != nil:
				sums[a.Line] += a.Used.MassG
				touched[a.Line] = true
			case step.Skipped:
				touched[a.Line] = true
			default:
				sums[a.Line] += a.MassG
			}
		}
	}
	out := map[string]float64{}
	for line := range touched {
		out[line] = sums[line]
	}
	return out
}

// Followed is the drink with what is still to come following an amount that went over
// or under, and how many lines follow.
func Followed(steps []ItemStep, a ItemAmount, d *reckon.Drink, r *reckon.Reckoning) (reckon.Drink, int) {
	used := UsedG(steps)
	isIn := map[string]bool{}
	for _, step := range steps {
		for _, b := range step.Amounts {
			isIn[b.Line] = isIn[b.Line] || step.DoneAt != nil
		}
	}
	followers := 0
	for n, line := range d.Lines {
		l := r.Lines[n]
		if _, weighed := used[line.Key]; !weighed && !isIn[line.Key] && !line.Locked && l.MassG > 0 {
			followers++
		}
		if line.Key == a.Line && a.MassG > 0 {
			used[line.Key] = l.MassG * a.Used.MassG / a.MassG
		}
	}
	scaled, _ := solve.Rescaled(d, r, used, a.Line, func(key string) bool { return isIn[key] })
	return scaled, followers
}

// Front is the step to do now, and what is waited for before it. Places are those
// among all steps; -1 where there is none.
type Front struct {
	Step     int       // that needs hands and is not done
	Done     int       // that was done last
	Place    int       // of Step among those that need hands, from 1
	Of       int       // of so many in all
	Wait     int       // that is waited for before Step
	Until    time.Time // the end of that wait
	TooEarly bool      // it was begun so early that it would wait too long: until then is the most
	ToFridge bool      // and would keep longer in the fridge
	Cools    bool      // it was cooked, and is on its way down
}

// FrontOf is the first step that needs hands and is not done. A wait before it holds
// only once what comes before the wait is done. ok is false of what has no such steps.
func FrontOf(steps []ItemStep, now time.Time) (f Front, ok bool) {
	f = Front{Step: -1, Done: -1, Wait: -1}
	for n, step := range steps {
		switch {
		case !step.HandsOn:
			continue
		case step.DoneAt != nil:
			f.Done, f.Place = n, f.Place+1
		case f.Step < 0:
			f.Step, f.Place = n, f.Place+1
		}
		f.Of++
	}
	if f.Step < 0 && f.Done < 0 {
		return f, false
	}
	f.Cools = f.Step >= 1 && f.Done >= 0 && steps[f.Step-1].Kind == string(Cool)
	if f.Step < 1 || steps[f.Step-1].HandsOn || f.Done < 0 || !steps[f.Step].Start.After(now) {
		return f, true
	}
	f.Wait, f.Until = f.Step-1, steps[f.Step].Start
	wait := steps[f.Wait]
	if most := steps[f.Done].DoneAt.Add(wait.Most.Sub(wait.Start)); f.Until.After(most) {
		f.Until, f.TooEarly, f.ToFridge = most, true, wait.Kind == string(Soak) && !wait.Fridge
	}
	return f, true
}

// Marking is how a step is marked: done, taken back, or left out.
type Marking struct{ Undo, Skip bool } // which of the acts is meant

// Mark marks a step as done now, and all before it that were not; taken back, all
// after it are too. The error names "step".
func Mark(steps []ItemStep, n int, how Marking, now time.Time) ([]ItemStep, error) {
	if n < 0 || n >= len(steps) || !steps[n].HandsOn {
		return nil, fault.New("step", fmt.Sprint(n), "not-a-step-to-do")
	}
	if never := steps[n].Never; how.Skip && !never.IsZero() {
		return nil, fault.New("step", "", "never-left-out", steps[n].Title, never)
	}
	steps = slices.Clone(steps)
	for k := range steps {
		switch {
		case how.Undo && k >= n:
			steps[k].DoneAt, steps[k].Skipped = nil, false
		case !how.Undo && k <= n && steps[k].HandsOn && steps[k].DoneAt == nil:
			steps[k].DoneAt, steps[k].Skipped = &now, how.Skip && k == n
		}
	}
	return steps, nil
}

// Marked are steps that were marked together: one, and those before it that it brought along.
type Marked struct {
	First int       // the place of the first of them: to take them back
	Steps []int     // the places of all
	At    time.Time // when
}

// MarkedTogether are the markings of an item's steps, the latest first.
func MarkedTogether(steps []ItemStep) []Marked {
	var out []Marked
	for n, s := range steps {
		if s.DoneAt == nil || !s.HandsOn {
			continue
		}
		if last := len(out) - 1; last >= 0 && out[last].At.Equal(*s.DoneAt) {
			out[last].Steps = append(out[last].Steps, n)
			continue
		}
		out = append(out, Marked{First: n, Steps: []int{n}, At: *s.DoneAt})
	}
	slices.Reverse(out)
	return out
}

// aheadOf is how far ahead of its time a step is marked without a question (a
// judgement, no source).
const aheadOf = 12 * time.Hour

// MarksAlong are the places of the steps that marking one marks along, and whether it
// is marked long before its time.
func MarksAlong(steps []ItemStep, n int, now time.Time) (along []int, ahead bool) {
	for k, s := range steps[:n] {
		if s.HandsOn && s.DoneAt == nil {
			along = append(along, k)
		}
	}
	return along, steps[n].Start.Sub(now) > aheadOf
}

// IsMade tells whether everything that needs hands is done.
func IsMade(steps []ItemStep) bool {
	return len(steps) > 0 && !slices.ContainsFunc(steps, func(s ItemStep) bool { return s.HandsOn && s.DoneAt == nil })
}

// Begun are when the blocks of work began that have a step done, reckoned back from
// the first that was.
func Begun(steps []ItemStep) []time.Time {
	var out []time.Time
	inBlock, lead, found := false, time.Duration(0), false
	for _, s := range steps {
		if !s.HandsOn {
			inBlock = false
			continue
		}
		if !inBlock {
			inBlock, lead, found = true, 0, false
		}
		lead += s.End.Sub(s.Start)
		if s.DoneAt != nil && !found {
			out, found = append(out, s.DoneAt.Add(-lead)), true
		}
	}
	return out
}

// LifeBegan is when a drink that was cooked began to keep: when what stays in it was
// last ground, strained or heated, as it was marked; now at the latest.
func LifeBegan(steps []ItemStep, now time.Time) time.Time {
	began := now
	for _, s := range steps {
		switch Kind(s.Kind) {
		case Grind, Strain, RinsePulp, SecondGrind, Heat:
			if s.DoneAt != nil && !s.Skipped && s.DoneAt.Before(now) {
				began = *s.DoneAt
			} else if s.DoneAt != nil && !s.Skipped {
				began = now
			}
		}
	}
	return began
}

// Effort is what a plan asks of the cook.
type Effort struct {
	Visits  int           // to the kitchen; what follows within a quarter of an hour is one
	HandsOn time.Duration // at the counter
}

// oneVisitTime is how near two stretches of work lie that are done in one visit.
const oneVisitTime = oneVisit * Slot

// EffortOf adds up stretches of work.
func EffortOf(work []Span) Effort {
	work = slices.Clone(work)
	slices.SortFunc(work, func(a, b Span) int { return a.From.Compare(b.From) })
	var e Effort
	end := time.Time{}
	for n, w := range work {
		if e.HandsOn += w.To.Sub(w.From); n == 0 || w.From.After(end.Add(oneVisitTime)) {
			e.Visits++
		}
		if w.To.After(end) {
			end = w.To
		}
	}
	return e
}
