package keep

import (
	"math"
	"slices"
	"time"

	"plushladle/core/say"
)

// Place is where a bottle stands.
type Place string

// The places.
const (
	InFridge  Place = "fridge"  // at whatever it measured, or else is set to
	InDoor    Place = "door"    // of the fridge, and as warm as it
	InFreezer Place = "freezer" // time stands still there
	Outside   Place = "outside" // at the room's temperature
)

// IsCold tells whether the fridge's record counts for the place.
func (p Place) IsCold() bool { return p == InFridge || p == InDoor }

// Stay is a bottle standing somewhere, until the next stay begins.
type Stay struct {
	From  time.Time // when it was put there
	Place Place     // until the next stay, or now
}

// Bottle is what is asked about: its life and where it has stood.
type Bottle struct {
	Made     time.Time          // its life began
	Days     map[School]float64 // its reference life at 4 °C
	Frozen   map[School]int     // days its quality holds in the freezer
	Steady   bool               // a concentrate: seven days are no limit for it
	VolumeML float64            // filled with, mL; decides how long it thaws
	Stays    []Stay             // in order of time, the first from when it was filled
}

// Rules of discarding that no arithmetic overrides.
// Sources: FDA Food Code 3-501.19 and the USDA two-hour rule for what stands
// outside; Food Code 3-501.16 for 5 °C; the 8 °C of custom from memory.
const (
	outsideMost     = 2 * time.Hour // after that nobody answers for it (USDA: two hours)
	outsideHotMost  = time.Hour     // in a hot room half of that
	hotRoomC        = 32.           // USDA's 90 °F
	roomFromC       = 15.           // colder than that is no room
	spellMost       = 4 * time.Hour // a power cut: after four hours above the line it goes out
	spellCustomC    = 8.            // °C; the customary school lets a fridge warm so far
	thawHoursPerL   = 24.           // about a day for a litre, in the fridge
	thawedMostDays  = 2.            // days after thawing, whatever was left before
	fridgeSwingsByC = 1.            // either way, until there is a record (from memory)
)

// Reason is why a bottle keeps as it does, and how many days of its life at
// 4 °C that is.
type Reason struct {
	Text say.Text // what took or gave the time
	Days float64  // of life at the usual 4 °C; negative where it was lost
}

// Budget is what is left of a bottle's life. LeftDays only ever falls, wherever
// the bottle is put; the moment it ends may move, and later in a colder place,
// but nothing that is past or out comes back.
type Budget struct {
	SpentDays, LeftDays float64    // at 4 °C
	UseBy               time.Time  // the moment it ends
	Earliest, Latest    time.Time  // were the fridge a degree warmer or colder from now on
	Past                bool       // it has ended, or is out
	Out                 say.Text   // why it is to be thrown out whatever the date; zero where it is not
	Frozen              bool       // it stands in the freezer now
	Thawing             time.Time  // until then; zero where it does not
	Reasons             []Reason   // the heaviest first
	Longer              []say.Text // what would lengthen it
	Spells              []Spell    // warm ones that cost life
}

// Budget reckons a bottle's life along the temperature it really saw, by a
// school, at a moment, in a kitchen of roomC.
func (b Bottle) Budget(r Record, s School, roomC float64, now time.Time) Budget {
	a := account{Bottle: b, r: r, school: s, roomC: roomC, now: now, left: b.Days[s]}
	a.left = math.Max(a.left, leastDays*rateOf(r.SetC, b.Steady)) // never under 24 h as it is made
	a.spend()
	return a.settle()
}

// account is a budget being reckoned.
type account struct {
	Bottle                // whose life is paid from
	r       Record        // what the thermometer said
	school  School        // whose life it began with
	roomC   float64       // °C, where it stands outside
	now     time.Time     // nothing after it is known
	out     Budget        // what is being found out
	left    float64       // days at 4 °C; what it was last where it is past
	ended   time.Time     // when the life ran out; zero while it has not
	outside time.Duration // at room temperature
	thawed  time.Time     // when it was taken out of the freezer; zero where it never was
}

// spend goes through the stays up to now. Once it is past, or out by a rule,
// where it is put makes no more difference.
func (a *account) spend() {
	for n, stay := range a.Stays {
		until := a.now
		if n+1 < len(a.Stays) {
			until = earlier(a.Stays[n+1].From, a.now)
		}
		if until.After(stay.From) {
			a.stay(stay, until, n+1 < len(a.Stays))
		}
	}
	a.out.Frozen = len(a.Stays) > 0 && a.Stays[len(a.Stays)-1].Place == InFreezer
	a.judgeOutside()
	a.judgeSpells()
}

// stay pays for one stay: in the freezer nothing, in the fridge by its temperature,
// outside by the room's. left tells that the bottle was taken from there at until.
func (a *account) stay(stay Stay, until time.Time, left bool) {
	lasted := until.Sub(stay.From)
	switch {
	case stay.Place == InFreezer:
		if left {
			a.thaw(until)
		}
	case stay.Place == Outside:
		if a.roomC > roomFromC {
			a.outside += lasted
		}
		rate := RelativeRate(a.roomC)
		a.pay(stay.From, until, rate*inDays(lasted), say.Of("stood-outside", inHours(lasted), a.roomC), func(to time.Time) float64 {
			return rate * inDays(to.Sub(stay.From))
		})
	default:
		a.cold(stay.From, until)
	}
}

// thaw begins what is left after the freezer: two days at most, from when it
// has thawed on.
func (a *account) thaw(at time.Time) {
	a.thawed = at
	if a.ended.IsZero() {
		a.left = math.Min(a.left, thawedMostDays)
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
	spent := func(to time.Time) float64 { return a.r.Spent(from, to, a.school) }
	a.pay(from, until, spent(until), say.Text{}, spent)
	if extra := spent(until) - inDays(until.Sub(from)); math.Abs(extra) > 0.01 {
		a.because(say.Of(warmer(extra)), extra)
	}
}

// warmer is which of the two sentences fits: life lost to warmth, or gained from cold.
func warmer(extra float64) string {
	if extra > 0 {
		return "fridge-was-warmer"
	}
	return "fridge-was-colder"
}

// pay takes days off, and finds the moment within a stay at which nothing was
// left. spent is what the stay had cost up to a moment.
func (a *account) pay(from, until time.Time, days float64, why say.Text, spent func(time.Time) float64) {
	a.out.SpentDays += days
	if !why.IsZero() {
		a.because(why, days)
	}
	if !a.ended.IsZero() {
		return
	}
	if days < a.left {
		a.left -= days
		a.endAtYardstick(until)
		return
	}
	early, late := from, until
	for late.Sub(early) > time.Minute {
		middle := early.Add(late.Sub(early) / 2)
		if spent(middle) < a.left {
			early = middle
		} else {
			late = middle
		}
	}
	a.end(late)
	a.endAtYardstick(until)
}

// endAtYardstick ends what stood past its seven days, or past what a warm
// fridge leaves it, in the fridge.
func (a *account) endAtYardstick(until time.Time) {
	if limit := a.limit(); a.thawed.IsZero() && !until.Before(limit) {
		a.end(limit)
	}
}

// end is when it was past, at the earliest there is.
func (a *account) end(at time.Time) {
	a.left = 0
	if a.ended.IsZero() || at.Before(a.ended) {
		a.ended = at
	}
}

// because writes down one thing that cost or gave life, in days.
func (a *account) because(why say.Text, days float64) {
	a.out.Reasons = append(a.out.Reasons, Reason{why, days})
}

// limit is the moment that no temperature takes the life beyond: the seventh
// day, and by caution what a fridge set above 5 °C leaves.
func (a *account) limit() time.Time {
	limit := a.Made.AddDate(100, 0, 0)
	if !a.Steady {
		limit = lastMidnight(a.Made)
	}
	if most := warmFridgeDays(a.Days[a.school], a.r.SetC); a.school == Cautious && !math.IsInf(most, 1) {
		limit = earlier(limit, a.Made.Add(time.Duration(most*float64(24*time.Hour))))
	}
	return limit
}

// thawReady is when the last of the ice is gone: a day for each litre.
func (a *account) thawReady() time.Time {
	return a.thawed.Add(time.Duration(thawHoursPerL * a.VolumeML / 1000 * float64(time.Hour)))
}

// judgeOutside throws out what stood at room temperature too long in all.
func (a *account) judgeOutside() {
	limit := outsideMost
	if a.roomC > hotRoomC {
		limit = outsideHotMost
	}
	if a.outside > limit {
		a.throwOut(say.Of("outside-too-long", inHours(a.outside), inHours(limit)))
	}
}

// judgeSpells throws out what was warm too long. A fridge set above 5 °C has no
// spells: its rate and its own rule say it all.
func (a *account) judgeSpells() {
	if a.r.SetC > WarmFridgeC {
		return
	}
	for _, rule := range []struct {
		aboveC float64
		counts bool
	}{{spellCustomC, true}, {WarmFridgeC, a.school == Cautious}} {
		spells := a.warmSpells(rule.aboveC)
		if rule.aboveC == WarmFridgeC {
			a.out.Spells = spells
		}
		if from, tooLong := tooWarm(spells); tooLong && rule.counts && a.out.Out.IsZero() {
			a.throwOut(say.Of("warm-too-long", rule.aboveC, from))
		}
	}
}

// throwOut ends the story: nothing is left, and why is told first.
func (a *account) throwOut(why say.Text) {
	a.out.Out = why
	a.left = 0
}

// settle draws the line under what was spent.
func (a *account) settle() Budget {
	a.date()
	a.out.Past = !a.out.Out.IsZero() || !a.ended.IsZero() || !a.now.Before(a.out.UseBy)
	a.out.LeftDays = a.left
	if a.out.Past && !a.out.Frozen {
		a.out.LeftDays = 0
	}
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

// date is the moment it ends, and those between which that may lie.
func (a *account) date() {
	same := func(at time.Time) { a.out.UseBy, a.out.Earliest, a.out.Latest = at, at, at }
	switch {
	case !a.out.Out.IsZero():
		same(a.now.AddDate(0, 0, -1))
	case !a.ended.IsZero():
		same(a.ended)
		if a.out.Frozen {
			a.because(say.Of("past-before-freezer"), 0)
		}
	case a.out.Frozen:
		y, m, d := FrozenUntil(a.Stays[len(a.Stays)-1].From, a.Frozen[a.school]).Date()
		same(time.Date(y, m, d+1, 0, 0, 0, 0, a.now.Location()))
		a.because(say.Of("in-the-freezer", a.Frozen[a.school]), 0)
	default:
		a.datedInTheFridge()
	}
}

// datedInTheFridge finds the date for what still stands cold: from now on at the rate
// its fridge runs at, and never past the limits of a spell or a thaw.
func (a *account) datedInTheFridge() {
	from := a.now
	if !a.thawed.IsZero() {
		a.because(say.Of("thawed"), 0)
		if ready := a.thawReady(); from.Before(ready) && a.Stays[len(a.Stays)-1].Place.IsCold() {
			from, a.out.Thawing = ready, ready
		}
	}
	at := func(fridgeC float64) time.Time {
		until := from.Add(time.Duration(a.left / rateOf(fridgeC, a.Steady) * float64(24*time.Hour)))
		if !a.thawed.IsZero() {
			return until
		}
		return earlier(until, a.limit())
	}
	a.out.UseBy = at(a.r.SetC)
	a.out.Earliest, a.out.Latest = at(a.r.SetC+fridgeSwingsByC), at(math.Max(0, a.r.SetC-fridgeSwingsByC))
}

// advise says what would lengthen it, the most first.
func (a *account) advise() {
	if a.out.Past || a.out.Frozen || !a.thawed.IsZero() {
		return
	}
	a.out.Longer = append(a.out.Longer, say.Of("freeze-now", a.Frozen[a.school]))
	if a.Steady || a.r.SetC <= 2 {
		return
	}
	colder := earlier(a.now.Add(time.Duration(a.left/RelativeRate(coldC)*float64(24*time.Hour))), lastMidnight(a.Made))
	if colder.Sub(a.out.UseBy) > 6*time.Hour {
		a.out.Longer = append(a.out.Longer, say.Of("colder-fridge", coldC, say.Of("part-of-day", colder)))
	}
}

// coldC is as cold as a fridge is commonly set, °C.
const coldC = 1

func inDays(d time.Duration) float64 { return d.Hours() / 24 }

// inHours says a length of time as a cook would: minutes below an hour.
func inHours(d time.Duration) say.Text {
	if d < time.Hour {
		return say.Of("minutes", d.Minutes())
	}
	if d == time.Hour {
		return say.Of("an-hour")
	}
	return say.Of("hours", math.Round(d.Hours()*10)/10)
}
