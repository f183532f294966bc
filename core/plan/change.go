package plan

import (
	"slices"

	"plushladle/core/caution"
	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// changed are the steps with what the cook does otherwise, and the places of the
// changes whose step is not there.
func changed(steps []Step, changes []process.Change) (out []Step, unapplied []int) {
	out = steps
	for n, c := range changes {
		at := find(out, c.At)
		if at < 0 {
			unapplied = append(unapplied, n)
			continue
		}
		switch c.Do {
		case process.Remove:
			out = slices.Delete(slices.Clone(out), at, at+1)
		case process.AddAfter:
			out = slices.Insert(slices.Clone(out), at+1, ownStep(c))
		case process.MoveBefore:
			moved, ok := move(out, at, find(out, c.To))
			if !ok {
				unapplied = append(unapplied, n)
				continue
			}
			out = moved
		case process.Set:
			out = slices.Clone(out)
			if c.Params["gradual"] > 0 {
				out[at].Right = say.Together(gradually, out[at].Right)
			}
			if c.Cue != "" {
				out[at].Right = say.Written(c.Cue)
			}
		}
	}
	for n := range out {
		if out[n].Kind == Own && out[n].Blender && isHot(out[:n]) {
			out[n].Caution = caution.HotBlend
		}
	}
	return out, unapplied
}

// bounds are what a step that moves stays after and before.
type bounds struct{ after, before []Kind } // kinds a step must stay behind, and before

// movable are the steps that may stand elsewhere, by what hangs on them. What is
// bloomed is only moved earlier, so that it never has less time to draw.
var movable = map[Kind]bounds{
	Bloom: {[]Kind{GetReady}, []Kind{DrawOn, StirIn}},
	Pit:   {[]Kind{GetReady}, []Kind{Grind, Juice, Crush, StirIn}},
	Taste: {[]Kind{Grind, Juice, Strain, Heat, StirIn, BlendIn, PourIn, LateSpice}, []Kind{Split, Bottle}},
	Wash:  {[]Kind{Grind, Juice, Crush, SecondGrind, Strain, BlendIn, Heat}, nil},
}

// move puts a step before another; ok is false where it may not stand there.
func move(steps []Step, from, to int) (moved []Step, ok bool) {
	if to < 0 || !canMove(steps, from, to) {
		return steps, false
	}
	s := steps[from]
	moved = slices.Delete(slices.Clone(steps), from, from+1)
	if to > from {
		to--
	}
	return slices.Insert(moved, to, s), true
}

// canMove tells whether a step may stand before another without harm: never before what
// it needs, never behind what needs it. from and to are places in steps.
func canMove(steps []Step, from, to int) bool {
	keeps, can := movable[steps[from].Kind]
	if !can || to == from || to == from+1 || steps[from].Kind == Bloom && to > from {
		return false
	}
	for n, other := range steps {
		if to <= n && n != from && slices.Contains(keeps.after, other.Kind) || n < to && n != from && slices.Contains(keeps.before, other.Kind) {
			return false
		}
	}
	return true
}

// MoveTo are the places of the steps that a step may be moved before; a step of the
// cook's own may stand anywhere after the first.
func MoveTo(steps []Step, from int) []int {
	out := []int{}
	for to := range steps {
		own := steps[from].Kind == Own && to > 0 && to != from && to != from+1
		if own || canMove(steps, from, to) {
			out = append(out, to)
		}
	}
	return out
}

var gradually = say.Of("grind-gradually") // where hot liquid is ground

// ownStep is a step of the cook's.
func ownStep(c process.Change) Step {
	return Step{Kind: Own, Title: say.Written(c.Cue), Length: fixed(c.Params["minutes"]), HandsOn: true, Timer: minutesOf(c.Params["minutes"]), Blender: c.Params["blender"] > 0}
}

// isHot tells whether what went before leaves the drink hot.
func isHot(before []Step) bool {
	hot := false
	for _, s := range before {
		switch s.Kind {
		case Heat:
			hot = true
		case Cool:
			hot = false
		}
	}
	return hot
}

// find is the place of the nth step of a kind; -1 where it is not there.
func find(steps []Step, at process.At) int {
	n := max(1, at.N)
	for place, s := range steps {
		if s.Kind.Code() != at.Kind {
			continue
		}
		if n--; n == 0 {
			return place
		}
	}
	return -1
}

// Unapplied are the changes whose step is not in the process as it is now: they are
// kept, and say so.
func Unapplied(d *reckon.Drink, r *reckon.Reckoning, k Room) []process.Change {
	if len(d.Changes) == 0 {
		return nil
	}
	work := *d
	work.Changes = nil
	_, places := changed(Steps(&work, r, k, OnTheBench), d.Changes)
	out := make([]process.Change, len(places))
	for n, place := range places {
		out[n] = d.Changes[place]
	}
	return out
}
