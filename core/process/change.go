package process

import (
	"fmt"
	"slices"
	"strings"

	"plushladle/core/fault"
)

// At names a step: the nth of its kind, counted from 1; 0 is the first.
type At struct {
	Kind string // of the step
	N    int    // counted from 0 among its kind
}

// What a change does.
const (
	Set        = "set"         // says something else of it
	AddAfter   = "add-after"   // a step of the cook's own
	Remove     = "remove"      // not done
	MoveBefore = "move-before" // done earlier
)

// Change is what the cook does otherwise at one step. The rest of the process
// stays derived, so that a new line finds its place.
type Change struct {
	At     At                 // which step
	Do     string             // one of the four
	Params map[string]float64 // by kind, units in their names
	Cue    string             // the cook's own words
	To     At                 // the step it is moved before
}

// The params that a kind of step takes, and their bounds. fridge is 1 where it
// stands there, gradual 1 where the water goes in bit by bit.
var params = map[string]map[string][2]float64{
	"grind": {"seconds": {1, 600}, "gradual": {0, 1}},
	"heat":  {"minutes": {0, 600}},
	"soak":  {"hours": {.25, 72}, "fridge": {0, 1}},
}

// added are the params of a step of the cook's own: blender is 1 where it blends
// again or froths.
var added = map[string][2]float64{"minutes": {0, 720}, "blender": {0, 1}}

// CanLeaveOut tells whether a kind of step may be left out: it moves no figure
// and guards nobody.
func CanLeaveOut(kind string) bool {
	return slices.Contains([]string{"taste", "skim", "wash-up", "skin", "toast"}, kind)
}

// CanMove tells whether a kind of step may stand elsewhere, as far as what hangs on
// it allows.
func CanMove(kind string) bool {
	return slices.Contains([]string{"bloom", "pit", "taste", "wash-up"}, kind)
}

const mostCue = 500 // letters of a cook's own words

// Check tells whether a change is one that can be. The error names "process".
func (c Change) Check() error {
	wrong := func(value, code string, args ...any) error { return fault.New("process", value, code, args...) }
	if c.At.Kind == "" || c.At.N < 0 {
		return wrong(c.At.Kind, "change-names-no-step")
	}
	if len(c.Cue) > mostCue {
		return wrong(c.Cue[:40]+"…", "cue-too-long", mostCue)
	}
	takes := params[c.At.Kind]
	switch c.Do {
	case Set:
	case AddAfter:
		takes = added
		if strings.TrimSpace(c.Cue) == "" {
			return wrong("", "own-step-without-words")
		}
	case Remove:
		if !CanLeaveOut(c.At.Kind) {
			return wrong(c.At.Kind, "step-not-left-out")
		}
	case MoveBefore:
		switch {
		case !CanMove(c.At.Kind):
			return wrong(c.At.Kind, "step-not-moved")
		case c.To.Kind == "" || c.To.N < 0:
			return wrong(c.To.Kind, "no-step-to-move-before")
		}
	default:
		return wrong(c.Do, "unknown-change")
	}
	for name, value := range c.Params {
		bounds, known := takes[name]
		if !known {
			return wrong(name, "not-set-at-step", c.At.Kind)
		}
		if !(value >= bounds[0] && value <= bounds[1]) {
			return wrong(fmt.Sprint(value), "change-out-of-range", name, bounds[0], bounds[1])
		}
	}
	return nil
}

// With is the method with what the changes set.
func (m Method) With(changes []Change) Method {
	for _, c := range changes {
		if c.Do != Set {
			continue
		}
		for name, value := range c.Params {
			switch name {
			case "seconds":
				m.Seconds = value
			case "minutes":
				m.Minutes = value
			case "hours":
				m.SoakHours = value
			case "fridge":
				m.SoakCold = value > 0
			}
		}
	}
	return m
}
