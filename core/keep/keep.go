// Package keep reckons how long a drink keeps. Where no other source is named a figure is
// common practice.
//
// # Two schools
//
// Practitioners differ, some by a factor of three. Both a cautious and a customary life
// are reckoned, the kitchen chooses which its dates follow, and the other stands beside
// it. Where safety is at stake both bow to it: the Food Code's seven days and its cooling
// points, and raw soy, which has no date at all.
//
// # A life is a budget
//
// [Of] gives a drink its life in days at 4 °C: the shortest of what is in it, shortened by
// added sugar in the cautious school, lengthened a little by a boil, capped. From then on
// the life is spent. An hour at 4 °C costs an hour; at 8 °C more than that, by the square
// root model of bacterial growth ([RelativeRate]); in the freezer nothing. A [Bottle] with
// the places where it stood, along the [Record] of what the fridge's thermometer saw,
// comes to a [Budget]: the moment at which it is spent, why, and what would be left were
// the fridge a degree colder.
//
// Some things are not a matter of days. Above 5 °C for longer than the rules allow, a
// drink is out, whatever its budget says.
//
// # Cooling
//
// What was cooked has to be at 21 °C within two hours and at 5 °C within six (Food Code
// 3-501.14). A [Cooling] follows Newton's law with the open surface in the air and the rest
// in its bath, and tells when it gets there, whether that is in time, and what would help.
package keep

import (
	"math"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// School is a school of storage life.
type School string

// The schools. Cautious is the default.
const (
	Cautious  School = "cautious"  // extension services and food authorities: short, and the one to begin with
	Customary School = "customary" // what experienced home cooks do
)

// ParseSchool reads cautious or customary.
func ParseSchool(name string) (School, error) {
	if s := School(name); s == Cautious || s == Customary {
		return s, nil
	}
	return Cautious, fault.New("school", name, "unknown-school")
}

const (
	// yardstickDays is the longest any made-at-home drink keeps at 5 °C or
	// below, the day it is made being day 1. Source: FDA Food Code 3-501.17.
	yardstickDays = 7
	// WarmFridgeC is the fridge setting above which food is not held cold.
	// Source: FDA Food Code 3-501.16 (5 °C).
	WarmFridgeC = 5

	// Added sugars in g per 100 mL from which and up to which the cautious
	// school shortens a life, and the days it falls to (common practice).
	sweetenedFromG = 1.
	sweetenedToG   = 5. // g in 100 mL: from here on it falls no further
	sweetenedDays  = 2. // what the life falls to

	boiledDays = 1 // customary school

	// A fridge set above WarmFridgeC leaves the cautious school half the life,
	// one above hotFridgeC a day (earlier Food Codes gave 4 of 7 days at 7 °C;
	// from memory).
	hotFridgeC    = 7
	warmShare     = 0.5 // of the life, above WarmFridgeC
	leastDays     = 1.  // a use-by is never under 24 h from when life begins
	steadyFromDay = 7   // beyond the yardstick a life is a concentrate's
)

// A concentrate has too little free water to spoil soon. Its life by water
// activity after FDA Food Code 1-201.10, tables A and B (from memory), falls in
// a straight line between these points to that of any drink.
const (
	steadyActivity   = 0.88 // drier than that gains nothing more
	filledActivity   = 0.92 // filled hot
	filledAsAny      = 0.95 // filled hot: wetter than that it keeps as any drink
	unfilledAsAny    = 0.90 // the same, where it was not filled hot
	filledCautious   = 30.  // days at steadyActivity, filled hot
	filledCustomary  = 60.  // the same, by custom
	sterileCustomary = 90.  // the same, boiled besides
	middleCautious   = 14.  // days at filledActivity
	middleCustomary  = 28.  // the same, by custom
	openCautious     = 14.  // days at steadyActivity, not filled hot
	openCustomary    = 30.  // the same, by custom
)

// Part is a line's own fridge life.
type Part struct {
	Name string          // as the reason names it
	Life ingredient.Life // what it allows, in days
	Base bool            // sets the reference life; other parts only cap it
}

// Drink is what is asked about.
type Drink struct {
	Parts         []Part  // everything with a life of its own
	AddedSugarsG  float64 // per 100 mL: syrups, sugars, honey, condensed milk; whole dates and fruit not
	WaterActivity float64 // of the finished drink, 0 to 1
	FridgeC       float64 // °C; above 5 the life is cut
	TigerNut      bool    // a shorter freezer life
	Boiled        bool    // boiled, cooled fast, in a sterilised bottle
	HotFilled     bool    // heated to 85 °C and bottled as hot
	Unsettled     bool    // some line is not counted, and might keep less
	SouredShare   float64 // of its life, after which it soured in this kitchen before; 0 where it never did early
	RawSoy        bool    // soy that was never boiled: nobody drinks it, so it has no life
}

// Life is how long the drink keeps. Days are before rounding down; zero means
// it cannot be computed.
type Life struct {
	CautiousDays, CustomaryDays float64    // days by either school; what the cook sees is the one chosen
	AtFour                      [2]float64 // cautious and customary, before the fridge's temperature counts
	Steady                      bool       // a concentrate, that seven days are no limit for
	freezer                     [2]int     // cautious, customary
	Reasons                     []say.Text // what shortened it, the deciding one first
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

// WholeDays is a life rounded down to days, at least one.
func WholeDays(days float64) int {
	return max(1, int(math.Floor(days+1e-9)))
}

// RelativeRate is how fast life is spent at tempC, 4 °C being 1: the
// square-root model of spoilage (Olley & Ratkowsky 1973), held at its value
// for 0 °C below that.
func RelativeRate(tempC float64) float64 {
	root := (1 + 0.1*math.Max(0, tempC)) / 1.4
	return root * root
}

// Of reckons how long a drink keeps. Order: least of the bases, shortened if
// sweetened, a day more where boiled, at least a day, what its water activity
// makes of that, capped by lines that keep less, the fridge, seven days.
func Of(d Drink) Life {
	life := Life{freezer: freezerDays(d.TigerNut), Reasons: make([]say.Text, 0, 4)}
	if d.RawSoy {
		life.because("raw-soy-has-no-date")
		return life
	}
	if d.Unsettled {
		life.because("unsettled-line")
	}
	least, ok := shortest(d.Parts, true)
	if !ok {
		least, ok = shortest(d.Parts, false)
	}
	if !ok {
		life.because("no-known-life")
		return life
	}
	life.CautiousDays, life.CustomaryDays = least.Life.CautiousDays, least.Life.CustomaryDays
	life.because("least-life", least.Name, life.CautiousDays, life.CustomaryDays)
	life.sweetened(d.AddedSugarsG)
	if d.Boiled {
		life.CustomaryDays += boiledDays
		life.because("boiled-day-more")
	}
	life.CautiousDays, life.CustomaryDays = math.Max(leastDays, life.CautiousDays), math.Max(leastDays, life.CustomaryDays)
	if !d.Unsettled {
		life.concentrate(d)
	}
	life.cap(d.Parts)
	life.soured(d.SouredShare)
	life.AtFour = [2]float64{life.CautiousDays, life.CustomaryDays}
	life.Steady = life.CautiousDays > steadyFromDay
	return life.at(d.FridgeC)
}

// sweetened shortens the cautious life as added sugars rise: smoothly, so that
// a spoon more never costs a day at once.
func (l *Life) sweetened(addedG float64) {
	share := (addedG - sweetenedFromG) / (sweetenedToG - sweetenedFromG)
	less := math.Max(0, l.CautiousDays-sweetenedDays) * math.Max(0, math.Min(1, share))
	if less == 0 {
		return
	}
	l.CautiousDays -= less
	l.because("sugar-shortens", l.CautiousDays)
}

// cap holds a life to the lines that keep less.
func (l *Life) cap(parts []Part) {
	cap, found := shortest(parts, false)
	if !found {
		return
	}
	if cap.Life.CautiousDays < l.CautiousDays || cap.Life.CustomaryDays < l.CustomaryDays {
		l.because("life-cut-by", cap.Name, cap.Life.CautiousDays, cap.Life.CustomaryDays)
	}
	l.CautiousDays = math.Min(l.CautiousDays, cap.Life.CautiousDays)
	l.CustomaryDays = math.Min(l.CustomaryDays, cap.Life.CustomaryDays)
}

// soured shortens a life to what the kitchen's own bottles lasted. It is never lengthened so:
// that a bottle was still good says nothing of the next one.
func (l *Life) soured(share float64) {
	if share <= 0 || share >= 1 {
		return
	}
	l.CautiousDays, l.CustomaryDays = math.Max(leastDays, share*l.CautiousDays), math.Max(leastDays, share*l.CustomaryDays)
	l.because("soured-before", l.CautiousDays, l.CustomaryDays)
}

// point is a life at a water activity.
type point struct{ activity, cautious, customary float64 } // one corner of the curve of life by water activity; days

// concentrate lengthens the life of what has little free water.
func (l *Life) concentrate(d Drink) {
	if d.WaterActivity <= 0 {
		return
	}
	asAny := func(activity float64) point { return point{activity, l.CautiousDays, l.CustomaryDays} }
	points := []point{{steadyActivity, openCautious, openCustomary}, asAny(unfilledAsAny)}
	if d.HotFilled {
		longest := filledCustomary
		if d.Boiled {
			longest = sterileCustomary
		}
		points = []point{{steadyActivity, filledCautious, longest}, {filledActivity, middleCautious, middleCustomary}, asAny(filledAsAny)}
	}
	cautious, customary := along(points, d.WaterActivity)
	if cautious <= l.CautiousDays && customary <= l.CustomaryDays {
		return
	}
	l.CautiousDays, l.CustomaryDays = math.Max(l.CautiousDays, cautious), math.Max(l.CustomaryDays, customary)
	how := "concentrate-life"
	if d.HotFilled {
		how = "concentrate-life-hot"
	}
	l.because(how, d.WaterActivity, l.CautiousDays, l.CustomaryDays)
}

// along is the life at a water activity, in a straight line between points.
func along(points []point, activity float64) (cautious, customary float64) {
	last := points[len(points)-1]
	if activity <= points[0].activity {
		return points[0].cautious, points[0].customary
	}
	for n, p := range points[1:] {
		if activity < p.activity {
			before := points[n]
			share := (activity - before.activity) / (p.activity - before.activity)
			return before.cautious + share*(p.cautious-before.cautious), before.customary + share*(p.customary-before.customary)
		}
	}
	return last.cautious, last.customary
}

// at spends the life at the fridge's temperature.
func (l Life) at(fridgeC float64) Life {
	rate := rateOf(fridgeC, l.Steady)
	if rate != 1 {
		l.because("fridge-rate", fridgeC, rate)
	}
	most := math.Inf(1)
	if !l.Steady {
		most = yardstickDays
	}
	l.CautiousDays = math.Min(math.Min(most, warmFridgeDays(l.CautiousDays, fridgeC)), l.CautiousDays/rate)
	l.CustomaryDays = math.Min(most, l.CustomaryDays/rate)
	l.CautiousDays, l.CustomaryDays = math.Max(leastDays, l.CautiousDays), math.Max(leastDays, l.CustomaryDays)
	if l.CautiousDays == yardstickDays || l.CustomaryDays == yardstickDays {
		l.because("seven-days-most")
	}
	switch {
	case fridgeC > hotFridgeC:
		l.because("fridge-above-7")
	case fridgeC > WarmFridgeC:
		l.because("fridge-above-5")
	}
	return l
}

// warmFridgeDays is the most that the cautious school gives in a fridge set so
// warm.
func warmFridgeDays(days, fridgeC float64) float64 {
	switch {
	case fridgeC > hotFridgeC:
		return leastDays
	case fridgeC > WarmFridgeC:
		return math.Max(leastDays, warmShare*days)
	}
	return math.Inf(1)
}

// rateOf is the relative rate; a concentrate gains nothing in the cold.
func rateOf(tempC float64, steady bool) float64 {
	if steady {
		return math.Max(1, RelativeRate(tempC))
	}
	return RelativeRate(tempC)
}

// because adds a reason; the first that is added is the one that decided.
func (l *Life) because(code string, args ...any) {
	l.Reasons = append(l.Reasons, say.Of(code, args...))
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

// freezerDays is how long it stays good frozen, by either school. Tiger nut parts sooner.
func freezerDays(tigerNut bool) [2]int {
	if tigerNut {
		return [2]int{14, 14}
	}
	return [2]int{30, 60}
}
