package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"plushladle/core/ingredient"
)

// toast roasts what the cook toasts, before it is measured.
func (c *compiler) toast() {
	var toasted []Amount
	for n, line := range c.d.Lines {
		if line.Ingredient != nil && line.Treatment.Toasted && c.r.Lines[n].Err == nil {
			toasted = append(toasted, c.amount(n))
		}
	}
	if len(toasted) == 0 || c.where == FromABowl {
		return
	}
	c.add(Step{Kind: Toast, Title: fmt.Sprintf("Toast the %s at %.0f °C", names(toasted), toastC), HandsOn: true, TempC: toastC,
		Length: fixed(toastMin), Timer: minutesOf(toastMin),
		Right: "8 to 15 minutes, shaken once or twice, golden inside, never brown. Let them cool, then measure them. Leave it out where you buy them toasted."})
}

// preparing are words of a line that are work before it goes in.
var preparing = []string{"peel", "chop", "slice", "crack", "crush", "grate", "zest", "bruise", "halve", "quarter", "pick over", "picked over", "break", "broken", "split", "scrape", "juiced", "cut ", "torn"}

// prepare is what the cook wrote is done to things before they go in: ginger peeled
// and sliced, pods cracked.
func (c *compiler) prepare() {
	var done []string
	massG := 0.
	for n, line := range c.d.Lines {
		note := strings.ToLower(line.Note)
		if line.Ingredient == nil || line.Treatment.Skinned && line.Ingredient.Role == ingredient.Base || !slices.ContainsFunc(preparing, func(w string) bool { return strings.Contains(note, w) }) {
			continue
		}
		done = append(done, fmt.Sprintf("the %s (%s)", names([]Amount{c.amount(n)}), line.Note))
		massG += c.r.Lines[n].MassG
	}
	if len(done) == 0 {
		return
	}
	c.add(Step{Kind: Prepare, Title: "Get ready " + strings.Join(done, " and "), Length: fixed(math.Max(1, math.Ceil(prepareMin*massG/100))), HandsOn: true})
}
