package kitchen

import (
	"fmt"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// Limits of a recipe, the same as its operations are described with.
const (
	maxLines     = 300
	maxPortions  = 12
	maxChanges   = 60
	maxServingML = 5000
	maxSize      = 1e6
	leastValue   = 0.01 // of what is not 0, so that nothing divided by it overflows
)

// Check tells whether a recipe is one that this program could have kept.
func (f Recipe) Check() error {
	if _, err := quantity.ParseSystem(f.System); err != nil {
		return err
	}
	if _, err := process.ParseStrainer(f.Strainer); err != nil {
		return err
	}
	if len(f.Lines) > maxLines || len(f.Portions) > maxPortions {
		return fault.New("lines", fmt.Sprint(len(f.Lines)), "too-many-lines-to-keep", maxLines)
	}
	for _, b := range []struct {
		name            string
		value, from, to float64
	}{
		{"blendS", f.BlendS, 0, 600}, {"waterC", f.WaterC, 0, 100}, {"servingML", f.ServingML, 0, maxServingML}, {"cookMin", f.CookMin, 0, 600},
		{"panCM", f.PanCM, 0, 80}, {"brewPct", f.BrewPct, 0, 100}, {"shopPrice", f.ShopPrice, 0, 100_000}, {"sizeValue", f.SizeValue, 0, maxSize},
		{"sizeEach", f.SizeEach, 0, maxSize}, {"perDay", f.PerDay, 0, 1000}, {"rawC", f.RawC, 0, 100}, {"warmsC", f.WarmsC, 0, 60},
	} {
		if !(b.value == 0 && b.from == 0 || b.value >= max(b.from, leastValue) && b.value <= b.to) {
			return fault.New(b.name, fmt.Sprint(b.value), "out-of-range", b.from, b.to)
		}
	}
	if len(f.Process) > maxChanges {
		return fault.New("process", fmt.Sprint(len(f.Process)), "too-many-changes", maxChanges)
	}
	for _, c := range f.Process {
		if err := c.Change().Check(); err != nil {
			return err
		}
	}
	return f.checkWays()
}

// checkWays refuses a heat, a way to size or a school of spices that is none.
func (f Recipe) checkWays() error {
	for _, w := range []struct {
		name, value string
		known       []string
	}{
		{"heat", f.Heat, named(process.Heats)}, {"kind", f.Kind, append([]string{""}, named(recipe.Kinds)...)},
		{"sizeBy", f.SizeBy, []string{"", "times", "volume", "servings", "base", "bottles", "days"}},
		{"spices", f.Spices, []string{"", string(recipe.Linear), string(recipe.Eased)}},
	} {
		if !slices.Contains(w.known, w.value) {
			return fault.New(w.name, w.value, "unknown-choice", w.known[1:])
		}
	}
	return nil
}

// named are codes as strings.
func named[T ~string](codes []T) []string {
	out := make([]string, len(codes))
	for n, c := range codes {
		out[n] = string(c)
	}
	return out
}
