package plan

import (
	"slices"

	"plushladle/core/caution"
	"plushladle/core/formula"
	"plushladle/core/process"
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
			out = slices.Insert(slices.Clone(out), at+1, ownStep(c, isHot(out[:at+1])))
		case process.Set:
			out = slices.Clone(out)
			if c.Params["gradual"] > 0 {
				out[at].Right = gradually + out[at].Right
			}
			if c.Cue != "" {
				out[at].Right = c.Cue
			}
		}
	}
	return out, unapplied
}

const gradually = "Begin with about a third of the water; once it is smooth, pour in the rest while it runs. "

// ownStep is a step of the cook's.
func ownStep(c process.Change, hot bool) Step {
	s := Step{Kind: Own, Title: c.Cue, Length: fixed(c.Params["minutes"]), HandsOn: true, Timer: minutesOf(c.Params["minutes"])}
	if s.Blender = c.Params["blender"] > 0; s.Blender && hot {
		s.Caution = caution.HotBlendText
	}
	return s
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
func Unapplied(d *formula.Drink, r *formula.Reckoning, k Kitchen) []process.Change {
	work := *d
	work.Changes = nil
	_, places := changed(Steps(&work, r, k, OnTheBench), d.Changes)
	out := make([]process.Change, len(places))
	for n, place := range places {
		out[n] = d.Changes[place]
	}
	return out
}
