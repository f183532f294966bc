package wording

import (
	"strings"
	"time"

	"plushladle/core/keep"
)

// NotTogether says why two leftovers are not poured together.
func NotTogether(why keep.Apart, togetherML, largestML float64) string {
	if why == keep.Together {
		return ""
	}
	return phrase("apart-"+string(why), togetherML, largestML)
}

// Cooling says how a drink that is at nowC stands on its way down.
func Cooling(v keep.CoolingVerdict, k keep.CoolingClock, nowC float64, zone *time.Location) string {
	at := func(t time.Time) string {
		if t.IsZero() {
			return ""
		}
		return clock(t.In(zone))
	}
	return phrase("cooling-"+string(v), at(k.First), at(k.FirstBy), at(k.Cold), at(k.ColdBy), nowC)
}

// NothingCools says that it is too late for every bath.
func NothingCools() string { return phrase("nothing-cools") }

// Help says what would bring a drink down in time, and when.
func Help(h keep.Help, zone *time.Location) string {
	first, cold := clock(h.Cooling.First.In(zone)), clock(h.Cooling.Cold.In(zone))
	switch {
	case h.Vessels > 1:
		return phrase("ice-bath-divided", h.DepthCM, h.Vessels, first, cold)
	case h.DepthCM > 0:
		return phrase("ice-bath-shallow", h.DepthCM, h.Vessels, first, cold)
	}
	return phrase("ice-bath", h.DepthCM, h.Vessels, first, cold)
}

// Measure names the timer that asks how cold a drink is.
func Measure(drink string, w keep.Warning, zone *time.Location) string {
	return phrase("measure-it", drink, w.TempC, clock(w.By.In(zone)))
}

// PartOfDay is a moment as people say it: "Mon 30 Nov, morning".
func PartOfDay(t time.Time) string {
	part := "night"
	switch h := t.Hour(); {
	case h < 5:
		t = t.AddDate(0, 0, -1)
	case h < 12:
		part = "morning"
	case h < 17:
		part = "afternoon"
	case h < 22:
		part = "evening"
	}
	return day(t) + ", " + phrase(part)
}

// weeksFrom is from how many days on a time left is told in weeks.
const weeksFrom = 21

// DaysLeft says how many days are left.
func DaysLeft(n int) string {
	switch {
	case n == -1:
		return phrase("past-since-today")
	case n < 0:
		return phrase("past-for-days", -n)
	case n == 0:
		return phrase("last-day")
	case n == 1:
		return phrase("one-day")
	case n >= weeksFrom:
		return phrase("weeks-left", n/7)
	}
	return phrase("days-left", n)
}

// Strainer is a way of straining, as a cook would say it.
func Strainer(code string) string { return sentence("strainer-" + code) }

// StoredIn is where an opened pack is kept.
func StoredIn(code string) string { return phrase("stored-in-" + code) }

// KeepsOnceOpened says how long an opened pack keeps.
func KeepsOnceOpened(days int) string { return phrase("keeps-once-opened", Days(days)) }

// PulpUses are what a pulp is good for.
func PulpUses(codes []string) []string {
	out := make([]string, len(codes))
	for n, code := range codes {
		out[n] = phrase("pulp-" + code)
	}
	return out
}

// State is what became of a bottle or a pack.
func State(code string) string { return phrase("state-" + strings.Fields(code)[0]) }

// Ended is what became of a bottle, and why.
func Ended(state, why string) string {
	if why == "" {
		return State(state)
	}
	return phrase("ended", State(state), EndedWhy(why))
}

// Place is where a bottle stands.
func Place(p keep.Place) string { return phrase("place-" + string(p)) }

// EndedWhy is why a bottle or a pack is gone: in the cook's own words, or what came of it.
func EndedWhy(why string) string {
	if bottle, poured := strings.CutPrefix(why, "poured-into/"); poured {
		return phrase("poured-into-bottle", bottle)
	}
	if why == "used-up" {
		return phrase("used-up")
	}
	return why
}

// Empty is why nothing can be poured from a bottle.
func Empty(inUse bool, state string, leftML float64) string {
	if !inUse {
		return phrase("bottle-is", State(state))
	}
	return phrase("bottle-holds", leftML)
}

// TooLittle is why a bowl does not do for a drink.
func TooLittle(hasG, wantedG float64) string { return phrase("bowl-too-little", hasG, wantedG) }
