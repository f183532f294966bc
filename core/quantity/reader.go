package quantity

import (
	"strings"

	"plushladle/core/fault"
)

// Own is a measure of the cook's own: a mug, a jar, the cap of a bottle. It is
// calibrated once, by weighing the water it holds.
type Own struct {
	Name string  // as written in amounts, in the singular
	ML   float64 // what it holds, level
}

// waterGPerML is the density of water at 20 °C. Source: IAPWS.
const waterGPerML = 0.99821

// Calibrated is the measure that holds so many grams of water. The error names
// "name" or "waterG".
func Calibrated(name string, waterG float64) (Own, error) {
	name = strings.ToLower(strings.TrimSpace(name))
	for _, r := range name {
		if (r < 'a' || r > 'z') && r < 0x80 {
			return Own{}, fault.New("name", name, "not-a-measure-name")
		}
	}
	for _, form := range []string{name, name + "s", strings.TrimSuffix(name, "s")} {
		if u, isUnit := UnitOf(form); isUnit && !calibratable[u] {
			return Own{}, fault.New("name", name, "measure-is-taken")
		}
	}
	if name == "" || len(name) > 30 {
		return Own{}, fault.New("name", name, "not-a-measure-name")
	}
	if !(waterG >= 0.01 && waterG <= 20000) {
		return Own{}, fault.New("waterG", formatValue(waterG, Gram), "measure-water-out-of-range")
	}
	return Own{name, waterG / waterGPerML}, nil
}

// calibratable are the units that hold what the cook's own holds: a cap, a mug, a
// shake and a handful are nobody else's.
var calibratable = map[Unit]bool{Capful: true, Shake: true, Drizzle: true, Splash: true, Glug: true, Handful: true, Shot: true, Glass: true, Mug: true, Bowl: true, Jar: true, Bottle: true}

// Reader reads amounts with the measures of a kitchen's own. The zero Reader
// knows only the common ones.
type Reader struct{ own map[string]Own } // by name, in lower case

// NewReader knows the given measures besides the common ones, and before them:
// a capful or a shake that was weighed counts as it was weighed.
func NewReader(own []Own) Reader {
	r := Reader{own: map[string]Own{}}
	for _, o := range own {
		r.own[o.Name], r.own[o.Name+"s"] = o, o
	}
	return r
}

// Own finds the measure of the cook's own that a word names, in the singular or
// the plural.
func (r Reader) Own(word string) (Own, bool) {
	o, ok := r.own[word]
	return o, ok
}

// ParseAmount reads an amount written on its own with the common measures.
func ParseAmount(text string) (Amount, error) { return Reader{}.ParseAmount(text) }

// ParseLeading reads the amount at the start of text with the common measures.
func ParseLeading(text string) (Amount, string, error) { return Reader{}.ParseLeading(text) }
