package plan

import (
	"slices"
	"time"

	"plushladle/core/say"
)

// usesEquipment tells the steps that leave a trace on jug, blender, strainer and spoon.
func usesEquipment(s Step) bool {
	return s.Blender || slices.Contains([]Kind{Strain, RinsePulp, StirIn, BlendIn, Heat, Bottle}, s.Kind)
}

// isWash tells the steps after which it is gone. Source: UK FSA, "Safer food, better
// business", allergens: washing up with hot soapy water between foods.
func isWash(s Step) bool { return s.Kind == Wash || s.Kind == WashBetween }

// crossing is a step that would take up an allergen its drink is free of.
type crossing struct {
	job, step int      // where
	from      []string // the allergens, by their codes
}

// crossingOf is the first step at which equipment still holds an allergen that the
// drink is free of, since nothing was washed up since.
func crossingOf(jobs []Job, p Plan) (crossing, bool) {
	type use struct {
		start time.Time
		job   int
		step  int
	}
	var uses []use
	for j, lane := range p.Lanes {
		for n, s := range lane.Steps {
			if usesEquipment(s.Step) || isWash(s.Step) {
				uses = append(uses, use{s.Start, j, n})
			}
		}
	}
	slices.SortStableFunc(uses, func(a, b use) int { return a.start.Compare(b.start) })
	var dirty []string
	for _, u := range uses {
		if isWash(p.Lanes[u.job].Steps[u.step].Step) {
			dirty = nil
			continue
		}
		mine := jobs[u.job].Allergens
		var others []string
		for _, a := range dirty {
			if !slices.Contains(mine, a) {
				others = append(others, a)
			}
		}
		if len(others) > 0 {
			return crossing{u.job, u.step, others}, true
		}
		for _, a := range mine {
			if !slices.Contains(dirty, a) {
				dirty = append(dirty, a)
			}
		}
	}
	return crossing{}, false
}

// MakeClean is [Make] for drinks that differ in what somebody may not have: a drink that
// would be made on equipment that still holds an allergen it is free of gets a wash-up
// before it. Where it goes before the others none is needed.
func MakeClean(jobs []Job, rules Rules) (Plan, *Problem) {
	p, problem := Make(jobs, rules)
	if problem != nil {
		return p, problem
	}
	jobs = slices.Clone(jobs)
	for range 2 * len(jobs) {
		at, crosses := crossingOf(jobs, p)
		if !crosses {
			return p, nil
		}
		j := &jobs[at.job]
		j.Bench, j.Fridge = washedBefore(j.Bench, p.Lanes[at.job].Steps[at.step], at), washedBefore(j.Fridge, p.Lanes[at.job].Steps[at.step], at)
		if p, problem = Make(jobs, rules); problem != nil {
			return p, problem
		}
	}
	return p, nil
}

// washedBefore puts a wash-up before the step, or before where it stands in the other way to soak.
func washedBefore(steps []Step, before Timed, c crossing) []Step {
	n := slices.IndexFunc(steps, func(s Step) bool {
		return s.Kind == before.Kind && s.Load == before.Load && s.Title.Code == before.Title.Code
	})
	if n < 0 {
		return steps
	}
	wash := Step{Kind: WashBetween, Title: say.Of("wash-between", c.from), Length: fixed(washMin), HandsOn: true, Right: say.Of("wash-between-right"), Never: say.Of("wash-between-never")}
	return slices.Insert(slices.Clone(steps), n, wash)
}
