package plan

import (
	"math"
	"slices"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/say"
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
	c.add(Step{Kind: Toast, Title: say.Of("toast", names(toasted), toastC), HandsOn: true, TempC: toastC,
		Length: fixed(toastMin), Timer: minutesOf(toastMin),
		Right: say.Of("toast-right")})
}

// preparing are words of a line that are work before it goes in.
var preparing = []string{"peel", "chop", "slice", "crack", "crush", "grate", "zest", "bruise", "halve", "quarter", "pick over", "picked over", "break", "broken", "split", "scrape", "juiced", "cut ", "torn"}

// prepare is what the cook wrote is done to things before they go in: ginger peeled
// and sliced, pods cracked.
func (c *compiler) prepare() {
	var done []say.Text
	massG := 0.
	for n, line := range c.d.Lines {
		note := strings.ToLower(line.Note)
		if line.Ingredient == nil || line.Treatment.Skinned && line.Ingredient.Role == ingredient.Base || !slices.ContainsFunc(preparing, func(w string) bool { return strings.Contains(note, w) }) {
			continue
		}
		if line.Ingredient.Has(ingredient.TagFluid) && strings.Contains(note, "juiced") { // "juice of 2 limes" says it
			continue
		}
		done = append(done, say.Of("prepared", names([]Amount{c.amount(n)}), line.Note))
		massG += c.r.Lines[n].MassG
	}
	if len(done) == 0 {
		return
	}
	c.add(Step{Kind: Prepare, Title: say.Of("get-ready", done), Length: fixed(math.Max(1, math.Ceil(prepareMin*massG/100))), HandsOn: true})
}
