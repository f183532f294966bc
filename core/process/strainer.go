package process

import (
	"strings"

	"plushladle/core/fault"
	"plushladle/core/say"
)

// Strainer is how a drink is strained.
type Strainer uint8

// The strainers. The zero Strainer is the firm bag.
const (
	Bag         Strainer = iota // a nut-milk bag, squeezed: what most use
	Cloth                       // a cloth, squeezed
	Gentle                      // a bag that is left to drain, for oats
	Passes                      // a bag, twice
	Sieve                       // fine wire, left alone
	SievePushed                 // fine wire, pushed with a spoon
	SieveCloth                  // wire first, then a cloth
	None                        // nothing: all of it is drunk
	Juicer                      // a machine that parts by itself
)

// strainers gives, for each: h, the grams of liquid held per gram of pulp solids
// that stay, p, the share of pulp solids that pass as fines (modelling
// assumptions, replaced by the kitchen's record), what one straining takes (from
// memory) and the minutes a litre takes (common practice).
var strainers = [...]struct {
	name        string
	held, fines float64
	capacityML  float64
	minutesPerL float64
	firm, clogs bool
}{
	Bag:         {"bag", 2.4, 0, 2000, 2, true, false},
	Cloth:       {"cloth", 2.8, 0, 1500, 5, true, true},
	Gentle:      {"gentle", 3.5, .05, 1500, 12, false, true},
	Passes:      {"passes", 3.2, .02, 1500, 12, false, true},
	Sieve:       {"sieve", 3.0, .35, 700, 15, false, true},
	SievePushed: {"sieve-pushed", 3.0, .5, 700, 8, false, true},
	SieveCloth:  {"sieve-cloth", 2.8, .02, 1500, 15, false, true},
	None:        {"none", 0, 1, 0, 0, false, false},
	Juicer:      {"juicer", 1.0, 0, 0, 8, true, false},
}

// Strainers are all of them, in the order they are offered.
func Strainers() []Strainer {
	all := make([]Strainer, len(strainers))
	for n := range all {
		all[n] = Strainer(n)
	}
	return all
}

func (s Strainer) String() string { return strainers[s].name }

// Told is the strainer as a cook would say it.
func (s Strainer) Told() say.Text { return say.Of("strainer-" + strainers[s].name) }

// Step is what is done with it.
func (s Strainer) Step() say.Text { return say.Of("strainer-step-" + strainers[s].name) }

// Tool is the strainer as a thing to have out.
func (s Strainer) Tool() say.Text { return say.Of("strainer-tool-" + strainers[s].name) }

// IsWashed tells whether it is a cloth or a bag, which has to be boiled and dried.
func (s Strainer) IsWashed() bool {
	return s == Bag || s == Cloth || s == Gentle || s == Passes || s == SieveCloth
}

// CapacityML is what one straining takes before it is emptied; 0 where there is
// no limit.
func (s Strainer) CapacityML() float64 { return strainers[s].capacityML }

// MinutesPerL is how long a litre takes through it.
func (s Strainer) MinutesPerL() float64 { return strainers[s].minutesPerL }

// Squeezes tells whether the pulp is squeezed hard.
func (s Strainer) Squeezes() bool { return strainers[s].firm }

// Clogs tells whether fine seeds stop it up.
func (s Strainer) Clogs() bool { return strainers[s].clogs }

// ParseStrainer reads a strainer's name.
func ParseStrainer(name string) (Strainer, error) {
	names := make([]string, len(strainers))
	for i, s := range strainers {
		if s.name == name {
			return Strainer(i), nil
		}
		names[i] = s.name
	}
	return Bag, fault.New("strainer", name, "unknown-strainer", names)
}

// ParseHeat reads none, warm, under-boil, simmer or boil; "" is by the base.
func ParseHeat(name string) (Heat, error) {
	for _, h := range Heats {
		if string(h) == name {
			return h, nil
		}
	}
	return ByBase, fault.New("heat", name, "unknown-heat")
}

// hasWord tells whether words hold a word whole, and do not say that it is not so: "hot (not boiling)".
func hasWord(words, word string) bool {
	for at := 0; ; {
		found := strings.Index(words[at:], word)
		if found < 0 {
			return false
		}
		begin, end := at+found, at+found+len(word)
		isWhole := (begin == 0 || !isLetter(words[begin-1])) && (end == len(words) || !isLetter(words[end]))
		if isWhole && !strings.HasSuffix(words[:begin], "not ") {
			return true
		}
		at = end
	}
}

func isLetter(c byte) bool { return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' }
