package keep

import (
	"fmt"
	"math"
	"slices"
	"time"
)

// Place is where a bottle stands.
type Place string

// The places.
const (
	InFridge  Place = "fridge"
	InDoor    Place = "door" // of the fridge, and as warm as it
	InFreezer Place = "freezer"
	Outside   Place = "outside"
)

// IsCold tells whether the fridge's record counts for the place.
func (p Place) IsCold() bool { return p == InFridge || p == InDoor }

// Stay is a bottle standing somewhere, until the next stay begins.
type Stay struct {
	From  time.Time
	Place Place
}

// Bottle is what is asked about: its life and where it has stood.
type Bottle struct {
	Made     time.Time
	Days     map[School]float64 // its reference life at 4 °C
	Frozen   map[School]int     // days its quality holds in the freezer
	Steady   bool               // a concentrate: too little free water for the rate to count
	VolumeML float64
	Stays    []Stay
}

// Rules of discarding that no arithmetic overrides.
// Sources: FDA Food Code 3-501.19 and the USDA two-hour rule for what stands
// outside; Food Code 3-501.16 for 5 °C; the 8 °C of custom from memory.
const (
	outsideMost     = 2 * time.Hour
	outsideHotMost  = time.Hour
	hotRoomC        = 32.
	spellMost       = 4 * time.Hour
	spellCustomC    = 8.
	thawHoursPerL   = 24.
	thawedMostDays  = 2.
	fridgeSwingsByC = 1. // either way, until there is a record (from memory)
)

// Reason is why a bottle keeps as it does, and how many days of its life at
// 4 °C that is.
type Reason struct {
	Text string
	Days float64
}

// Budget is what is left of a bottle's life.
type Budget struct {
	SpentDays, LeftDays float64   // at 4 °C
	LastGood            time.Time // the last good day
	Earliest, Latest    time.Time // were the fridge a degree warmer or colder from now on
	Out                 string    // why it is to be thrown out whatever the date; "" where it is not
	Frozen              bool
	Thawing             time.Time // until then; zero where it does not
	Reasons             []Reason  // the heaviest first
	Longer              []string  // what would lengthen it
	Spells              []Spell   // warm ones that cost life
}

// Budget reckons a bottle's life along the temperature it really saw, by a
// school, at a moment, in a kitchen of roomC.
func (b Bottle) Budget(r Record, s School, roomC float64, now time.Time) Budget {
	a := account{Bottle: b, r: r, school: s, roomC: roomC, now: now}
	a.spend()
	return a.settle()
}

// account is a budget being reckoned.
type account struct {
	Bottle
	r       Record
	school  School
	roomC   float64
	now     time.Time
	out     Budget
	fridge  time.Duration // stood cold
	outside time.Duration
	frozen  time.Duration
	thawed  time.Time // when it was taken out of the freezer; zero where it never was
	leftAt  float64   // what was left when it went into the freezer
}

// spend goes through the stays up to now.
func (a *account) spend() {
	for n, stay := range a.Stays {
		until := a.now
		if n+1 < len(a.Stays) {
			until = a.Stays[n+1].From
		}
		if until.After(a.now) {
			until = a.now
		}
		if !until.After(stay.From) {
			continue
		}
		a.stay(stay, until, n)
	}
}

func (a *account) stay(stay Stay, until time.Time, n int) {
	lasted := until.Sub(stay.From)
	switch {
	case stay.Place == InFreezer:
		a.frozen += lasted
		a.leftAt = a.Days[a.school] - a.out.SpentDays
		a.thawed = time.Time{}
		if n+1 < len(a.Stays) {
			a.thawed = until
		}
	case stay.Place == Outside:
		a.outside += lasted
		a.pay(RelativeRate(a.roomC)*inDays(lasted), fmt.Sprintf("%s outside at %.0f °C", inHours(lasted), a.roomC))
	default:
		a.fridge += lasted
		a.cold(stay.From, until)
	}
}

// cold spends along the fridge's record, with what a steady 4 °C would have
// spent told apart from what the warmth cost besides.
func (a *account) cold(from, until time.Time) {
	if !a.thawed.IsZero() {
		if ready := a.thawReady(); from.Before(ready) {
			from = ready // it is as cold as ice until it has thawed
		}
	}
	if !until.After(from) {
		return
	}
	spent := a.r.Spent(from, until, a.school)
	even := inDays(until.Sub(from))
	a.pay(even, "")
	if extra := spent - even; math.Abs(extra) > 0.01 {
		a.pay(extra, fmt.Sprintf("the fridge %s than 4 °C", warmer(extra)))
	}
	for _, spell := range a.r.Spells(from, until, WarmFridgeC, a.school) {
		a.out.Spells = append(a.out.Spells, spell)
		a.judge(spell)
	}
}

func warmer(extra float64) string {
	if extra > 0 {
		return "warmer"
	}
	return "colder"
}

// judge throws out what was warm too long. A fridge set above 5 °C has no
// spells: its rate and its own rule say it all.
func (a *account) judge(spell Spell) {
	if a.r.SetC > WarmFridgeC || a.out.Out != "" {
		return
	}
	hottest := a.r.Spells(spell.From, spell.To, spellCustomC, a.school)
	switch {
	case slices.ContainsFunc(hottest, func(h Spell) bool { return h.Lasted() > spellMost }):
		a.out.Out = fmt.Sprintf("over 4 hours above 8 °C in the fridge, from %s", spell.From.Format("Mon 15:04"))
	case a.school == Cautious && spell.Lasted() > spellMost:
		a.out.Out = fmt.Sprintf("over 4 hours above 5 °C in the fridge, from %s", spell.From.Format("Mon 15:04"))
	}
}

func (a *account) pay(days float64, why string) {
	a.out.SpentDays += days
	if why != "" {
		a.out.Reasons = append(a.out.Reasons, Reason{why, days})
	}
}

func (a *account) thawReady() time.Time {
	return a.thawed.Add(time.Duration(thawHoursPerL * a.VolumeML / 1000 * float64(time.Hour)))
}

// settle draws the line under what was spent.
func (a *account) settle() Budget {
	limit := outsideMost
	if a.roomC > hotRoomC {
		limit = outsideHotMost
	}
	if a.outside > limit {
		a.out.Out = fmt.Sprintf("%s outside in all, and %s is the most", inHours(a.outside), inHours(limit))
	}
	a.out.LeftDays = math.Max(0, a.Days[a.school]-a.out.SpentDays)
	a.out.Frozen = len(a.Stays) > 0 && a.Stays[len(a.Stays)-1].Place == InFreezer
	a.date()
	a.advise()
	slices.SortStableFunc(a.out.Reasons, func(x, y Reason) int {
		switch ax, ay := math.Abs(x.Days), math.Abs(y.Days); {
		case ax > ay:
			return -1
		case ax < ay:
			return 1
		}
		return 0
	})
	return a.out
}

// date is the last good day, and the days between which it may lie.
func (a *account) date() {
	switch {
	case a.out.Frozen:
		day := a.frozenSince().AddDate(0, 0, a.Frozen[a.school]-1) // the day it is frozen being day 1
		a.out.LastGood, a.out.Earliest, a.out.Latest = day, day, day
		a.out.Reasons = append(a.out.Reasons, Reason{fmt.Sprintf("in the freezer its life stands still; its quality holds %d days", a.Frozen[a.school]), 0})
	case !a.thawed.IsZero():
		a.thawedDate()
	default:
		at := func(fridgeC float64) time.Time {
			left := a.Days[a.school] - a.out.SpentDays // once it is overspent, so long ago
			days := inDays(a.fridge+a.outside) + left/a.rateAt(fridgeC)
			return a.Made.AddDate(0, 0, LastDayOffset(a.capped(days)))
		}
		a.out.LastGood = at(a.r.SetC)
		a.out.Earliest, a.out.Latest = at(a.r.SetC+fridgeSwingsByC), at(math.Max(0, a.r.SetC-fridgeSwingsByC))
	}
	if a.out.Out != "" {
		a.out.LastGood, a.out.Earliest, a.out.Latest = a.now.AddDate(0, 0, -1), a.now.AddDate(0, 0, -1), a.now.AddDate(0, 0, -1)
	}
}

func (a *account) thawedDate() {
	ready := a.thawReady()
	if a.now.Before(ready) {
		a.out.Thawing = ready
	}
	at := func(fridgeC float64) time.Time {
		most := math.Min(thawedMostDays, a.leftAt/a.rateAt(fridgeC))
		return ready.Add(time.Duration(most * 24 * float64(time.Hour)))
	}
	a.out.LastGood, a.out.Earliest, a.out.Latest = at(a.r.SetC), at(a.r.SetC+fridgeSwingsByC), at(math.Max(0, a.r.SetC-fridgeSwingsByC))
	a.out.LeftDays = math.Max(0, math.Min(a.out.LeftDays, math.Min(thawedMostDays, a.leftAt)))
	a.out.Reasons = append(a.out.Reasons, Reason{"thawed: what was left, and two days at most; never frozen again", 0})
}

func (a *account) frozenSince() time.Time { return a.Stays[len(a.Stays)-1].From }

func (a *account) rateAt(fridgeC float64) float64 {
	if a.Steady {
		return 1
	}
	return RelativeRate(fridgeC)
}

// capped holds a life to the yardstick, and in a warm fridge to the cautious day.
func (a *account) capped(days float64) float64 {
	if !a.Steady {
		days = math.Min(yardstickDays, days)
	}
	if a.r.SetC > WarmFridgeC && a.school == Cautious {
		days = math.Min(1, days)
	}
	return days
}

// advise says what would lengthen it, the most first.
func (a *account) advise() {
	switch {
	case a.out.Out != "" || a.out.Frozen:
		return
	case a.thawed.IsZero() && a.out.LeftDays > 0:
		a.out.Longer = append(a.out.Longer, fmt.Sprintf("freeze it now: its quality holds %d days", a.Frozen[a.school]))
	}
	if !a.Steady && a.r.SetC > 2 && a.thawed.IsZero() {
		colder := a.Made.AddDate(0, 0, LastDayOffset(a.capped(inDays(a.fridge+a.outside)+a.out.LeftDays/RelativeRate(coldC))))
		if colder.After(a.out.LastGood) && !colder.Before(a.now) {
			a.out.Longer = append(a.out.Longer, fmt.Sprintf("a fridge at %d °C: good till %s", coldC, colder.Format("Mon 2 Jan")))
		}
	}
}

// coldC is as cold as a fridge is commonly set, °C.
const coldC = 1

func inDays(d time.Duration) float64 { return d.Hours() / 24 }

func inHours(d time.Duration) string {
	if d < time.Hour {
		return fmt.Sprintf("%.0f minutes", d.Minutes())
	}
	if d == time.Hour {
		return "an hour"
	}
	return fmt.Sprintf("%s hours", days(math.Round(d.Hours()*10)/10))
}
