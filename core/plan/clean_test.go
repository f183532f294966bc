package plan

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/process"
	"plushladle/core/reckon"
)

// A drink whose wash-up comes hours after its bottling lets another between: that one is free
// of its allergen only if it goes first, or if something is washed up for it.
func TestWhatIsFreeOfAnAllergenIsMadeOnCleanThings(t *testing.T) {
	t.Parallel()
	hot := func(d *reckon.Drink) { d.Method.Heat, d.Method.HotFill = process.Simmer, true }
	washed, needed := 0, 0
	for minutes := -60; minutes <= 120; minutes += 15 {
		d, r := drink(t, hot, "1 cup soybeans", "4 cups water")
		k := Room{TempC: 20}
		soy := Job{ID: "soy", Name: "soy", ReadyBy: at(27, 21, 0), Pins: []Pin{{1, at(27, 14, 0)}, {2, at(27, 16, 30)}}, Bench: Steps(&d, r, k, OnTheBench), Fridge: Steps(&d, r, k, InTheFridge), Allergens: r.Allergens}
		require.Contains(t, soy.Allergens, "soy")
		rice := job(t, "rice", at(27, 22, 0), 20, "1 cup white rice", "4 cups water")
		rice.Pins = []Pin{{1, at(27, 15, 0).Add(minutesOf(float64(minutes)))}}
		jobs := []Job{soy, rice}
		plain, problem := Make(jobs, night)
		if problem != nil {
			continue // both at once
		}
		clean, problem := MakeClean(jobs, night)
		if problem != nil {
			continue // no room for it: that is said, and nothing is planned
		}
		if ok, why := isClean(plain, jobs); !ok {
			needed++
			assert.NotEmpty(t, why)
		}
		ok, why := isClean(clean, jobs)
		assert.True(t, ok, "%d: %s", minutes, why)
		if slices.Contains(kinds(clean.Lanes[1]), WashBetween) {
			washed++
		}
		assert.NotContains(t, kinds(clean.Lanes[0]), WashBetween, "soy milk has nothing to fear of rice")
	}
	assert.Positive(t, needed, "some of these plans need it")
	assert.Equal(t, needed, washed, "and only those get it")
}

// isClean follows jug and strainer through the evening: minute by minute, what was in them last.
func isClean(p Plan, jobs []Job) (bool, string) {
	from, to := p.Lanes[0].Steps[0].Start, p.Lanes[0].ReadyBy
	for _, lane := range p.Lanes {
		if lane.Steps[0].Start.Before(from) {
			from = lane.Steps[0].Start
		}
		if lane.ReadyBy.After(to) {
			to = lane.ReadyBy
		}
	}
	in := map[string]bool{}
	for now := from; now.Before(to); now = now.Add(minutesOf(1)) {
		for n, lane := range p.Lanes {
			for _, s := range lane.Steps {
				if !s.HandsOn || !s.Start.Equal(now) && !(s.Start.Before(now) && s.End.After(now)) {
					continue
				}
				switch s.Kind {
				case Wash, WashBetween:
					clear(in)
				case Grind, Strain, Bottle:
					for a := range in {
						if !slices.Contains(jobs[n].Allergens, a) {
							return false, fmt.Sprintf("%s at %s: %s", lane.JobID, now, a)
						}
					}
					for _, a := range jobs[n].Allergens {
						in[a] = true
					}
				}
			}
		}
	}
	return true, ""
}
