// Package keep reckons how long a drink keeps: a life budget in days from
// what is in it, by a cautious and a customary school, at the fridge's
// temperature. Where no other source is named a figure is common practice.
package keep

import (
	"fmt"
	"math"
	"strconv"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
)

// School is a school of storage life.
type School string

// The schools. Cautious is the default.
const (
	Cautious  School = "cautious"
	Customary School = "customary"
)

// ParseSchool reads cautious or customary.
func ParseSchool(name string) (School, error) {
	if s := School(name); s == Cautious || s == Customary {
		return s, nil
	}
	return Cautious, fault.New("school", name, "is not a school of storage life", "use cautious or customary")
}

const (
	// yardstickDays is the longest any made-at-home drink keeps at 5 °C or
	// below, the day it is made being day 1. Source: FDA Food Code 3-501.17.
	yardstickDays = 7
	// WarmFridgeC is the fridge setting above which food is not held cold.
	// Source: FDA Food Code 3-501.16 (5 °C).
	WarmFridgeC = 5

	sweetenedOverG  = 1.0 // g of added sugars per 100 mL
	sweetenedShare  = 0.5 // of the life, cautious school
	boiledDays      = 1   // customary school
	concentrateSugG = 40. // g of sugars per 100 mL: taken as cooked and hot-filled

	steadyWaterActivity = 0.85
	shortWaterActivity  = 0.90
)

// Part is a line's own fridge life.
type Part struct {
	Name string
	Life ingredient.Life
	Base bool // sets the reference life; other parts only cap it
}

// Drink is what is asked about.
type Drink struct {
	Parts         []Part
	AddedSugarsG  float64 // per 100 mL
	SugarsG       float64 // per 100 mL, all of them
	WaterActivity float64
	FridgeC       float64
	TigerNut      bool // a shorter freezer life
	Boiled        bool // boiled, cooled fast, in a sterilised bottle
	Unsettled     bool // some line is not counted, and might keep less
}

// Life is how long the drink keeps. Days are before rounding down; zero means
// it cannot be computed.
type Life struct {
	CautiousDays, CustomaryDays float64
	AtFour                      [2]float64 // cautious and customary, before the fridge's temperature counts
	Steady                      bool       // a concentrate, that the rate of spoilage does not count for
	freezer                     [2]int     // cautious, customary
	Reasons                     []string
}

// Known tells whether a life could be computed.
func (l Life) Known() bool { return l.CautiousDays > 0 }

// Days is the fridge life by the given school.
func (l Life) Days(s School) float64 {
	if s == Customary {
		return l.CustomaryDays
	}
	return l.CautiousDays
}

// WholeDays is a life rounded down to days, at least the day it is made.
func WholeDays(days float64) int {
	return max(1, int(math.Floor(days+1e-9)))
}

// LastDayOffset is how many days after the day it is made a drink is last
// good: the day made counts as day 1 (FDA Food Code 3-501.17).
func LastDayOffset(days float64) int { return WholeDays(days) - 1 }

// RelativeRate is how fast life is spent at tempC, 4 °C being 1: the
// square-root model of spoilage (Olley & Ratkowsky 1973), held at its value
// for 0 °C below that.
func RelativeRate(tempC float64) float64 {
	root := (1 + 0.1*math.Max(0, tempC)) / 1.4
	return root * root
}

// Of reckons how long a drink keeps. Order: least of the bases, shortened if
// sweetened, at least a day, capped by lines that keep less, seven days.
func Of(d Drink) Life {
	life := Life{freezer: freezerDays(d.TigerNut), Reasons: make([]string, 0, 4)}
	if d.Unsettled {
		life.because("a line that is not settled is not counted and may keep less")
	}
	if !d.Unsettled && d.SugarsG > concentrateSugG && d.WaterActivity > 0 && d.WaterActivity <= shortWaterActivity {
		return concentrate(d, life)
	}
	least, ok := shortest(d.Parts, true)
	if !ok {
		least, ok = shortest(d.Parts, false)
	}
	if !ok {
		life.because("nothing in it has a known fridge life")
		return life
	}
	cautious, customary := least.Life.CautiousDays, least.Life.CustomaryDays
	life.because("%s: %s days, %s by custom", least.Name, days(cautious), days(customary))
	if d.AddedSugarsG > sweetenedOverG {
		cautious *= sweetenedShare
		life.because("added sugar halves it in the cautious school; custom leaves it")
	}
	if d.Boiled {
		customary += boiledDays
		life.because("boiled and cooled fast in a sterilised bottle: a day more by custom, none by caution")
	}
	cautious, customary = math.Max(1, cautious), math.Max(1, customary)
	if cap, found := shortest(d.Parts, false); found {
		if cap.Life.CautiousDays < cautious || cap.Life.CustomaryDays < customary {
			life.because("%s cuts it: %s days, %s by custom", cap.Name, days(cap.Life.CautiousDays), days(cap.Life.CustomaryDays))
		}
		cautious = math.Min(cautious, cap.Life.CautiousDays)
		customary = math.Min(customary, cap.Life.CustomaryDays)
	}
	life.CautiousDays, life.CustomaryDays = cautious, customary
	life.AtFour = [2]float64{cautious, customary}
	return life.at(d.FridgeC)
}

// at spends the life at the fridge's temperature.
func (l Life) at(fridgeC float64) Life {
	rate := RelativeRate(fridgeC)
	l.CautiousDays = math.Min(yardstickDays, l.CautiousDays/rate)
	l.CustomaryDays = math.Min(yardstickDays, l.CustomaryDays/rate)
	if rate != 1 {
		l.because("a fridge at %s °C spends it at %.2f times the rate of 4 °C", days(fridgeC), rate)
	}
	if l.CautiousDays == yardstickDays || l.CustomaryDays == yardstickDays {
		l.because("no home-made drink is kept over 7 days")
	}
	if fridgeC > WarmFridgeC {
		l.CautiousDays = math.Min(1, l.CautiousDays)
		l.because("a fridge set above 5 °C: one day at most in the cautious school")
	}
	return l
}

// concentrate is the life of a syrup with too little free water to spoil soon.
func concentrate(d Drink, l Life) Life {
	l.because("a concentrate, taken as cooked and filled hot")
	switch {
	case d.WaterActivity <= steadyWaterActivity && d.Boiled:
		l.CautiousDays, l.CustomaryDays = 30, 90
		l.because("in a sterilised bottle: 90 days by custom")
	case d.WaterActivity <= steadyWaterActivity:
		l.CautiousDays, l.CustomaryDays = 30, 60
	default:
		l.CautiousDays, l.CustomaryDays = 7, 14
	}
	l.AtFour, l.Steady = [2]float64{l.CautiousDays, l.CustomaryDays}, true
	l.because("water activity %.2f: %s days, %s by custom", d.WaterActivity, days(l.CautiousDays), days(l.CustomaryDays))
	if d.FridgeC > WarmFridgeC {
		rate := RelativeRate(d.FridgeC)
		l.CautiousDays, l.CustomaryDays = 1, l.CustomaryDays/rate
		l.because("a fridge set above 5 °C: one day at most in the cautious school")
	}
	return l
}

func (l *Life) because(format string, args ...any) {
	l.Reasons = append(l.Reasons, fmt.Sprintf(format, args...))
}

// shortest is the least life, school by school, of the bases or of the other
// parts, under the name of the part that is first to go.
func shortest(parts []Part, base bool) (least Part, ok bool) {
	for _, p := range parts {
		if p.Life.CautiousDays == 0 || p.Base != base {
			continue
		}
		if !ok {
			least, ok = p, true
			continue
		}
		if p.Life.CautiousDays < least.Life.CautiousDays {
			least.Name = p.Name
		}
		least.Life.CautiousDays = math.Min(least.Life.CautiousDays, p.Life.CautiousDays)
		least.Life.CustomaryDays = math.Min(least.Life.CustomaryDays, p.Life.CustomaryDays)
	}
	return least, ok
}

// FreezerDays is how long the quality holds in the freezer, in days.
func (l Life) FreezerDays(s School) int {
	if s == Customary {
		return l.freezer[1]
	}
	return l.freezer[0]
}

func freezerDays(tigerNut bool) [2]int {
	if tigerNut {
		return [2]int{14, 14}
	}
	return [2]int{30, 60}
}

func days(v float64) string { return strconv.FormatFloat(v, 'g', 3, 64) }
