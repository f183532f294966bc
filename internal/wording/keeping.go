package wording

import (
	"fmt"
	"time"

	"plushladle/core/keep"
)

// NotTogether says why two leftovers are not poured together.
func NotTogether(why keep.Apart, togetherML, largestML float64) string {
	switch why {
	case keep.NotTwo:
		return "they have to be two bottles in use"
	case keep.TwoDrinks:
		return "they are two drinks"
	case keep.IsFrozen:
		return "what is frozen is thawed first"
	case keep.OneIsFull:
		return "one of them is full: fresh milk poured onto old is as old as the old; use that up first"
	case keep.TooMuchByML:
		return fmt.Sprintf("together they are %.0f mL, and the larger holds %.0f", togetherML, largestML)
	}
	return ""
}

// Cooling says how a drink that is at nowC stands on its way down.
func Cooling(v keep.CoolingVerdict, k keep.CoolingClock, nowC float64, zone *time.Location) string {
	at := func(t time.Time) string { return t.In(zone).Format("15:04") }
	switch v {
	case keep.MissedFirst:
		return fmt.Sprintf("It was to be at 21 °C by %s and is still at about %.0f °C. It is not kept: throw it out.", at(k.FirstBy), nowC)
	case keep.MissedCold:
		return fmt.Sprintf("It was to be at 5 °C by %s and is still at about %.0f °C. It is not kept: throw it out.", at(k.ColdBy), nowC)
	case keep.CoolsInTime:
		return fmt.Sprintf("21 °C at about %s (%s at the latest), 5 °C at about %s (%s at the latest).", at(k.First), at(k.FirstBy), at(k.Cold), at(k.ColdBy))
	case keep.NeverFirst:
		return fmt.Sprintf("This way it never comes down to 21 °C, and it has to by %s.", at(k.FirstBy))
	case keep.LateFirst:
		return fmt.Sprintf("Too slow: 21 °C only at about %s, and %s is the latest.", at(k.First), at(k.FirstBy))
	case keep.NeverCold:
		return fmt.Sprintf("This way it never comes down to 5 °C, and it has to by %s.", at(k.ColdBy))
	}
	return fmt.Sprintf("Too slow: 5 °C only at about %s, and %s is the latest.", at(k.Cold), at(k.ColdBy))
}

// NothingCools says that it is too late for every bath.
const NothingCools = " Nothing would bring it down in time any more: drink it now, or throw it out."

// Help says what would bring a drink down in time, and when.
func Help(h keep.Help, zone *time.Location) string {
	words := "into an ice bath, stirred"
	if h.DepthCM > 0 {
		words += fmt.Sprintf(", no deeper than %.0f cm", h.DepthCM)
	}
	if h.Vessels > 1 {
		words += fmt.Sprintf(", divided among %d vessels", h.Vessels)
	}
	return fmt.Sprintf("%s: 21 °C at %s, 5 °C at %s", words, h.Cooling.First.In(zone).Format("15:04"), h.Cooling.Cold.In(zone).Format("15:04"))
}

// Measure names the timer that asks how cold a drink is.
func Measure(drink string, w keep.Warning, zone *time.Location) string {
	return fmt.Sprintf("%s: %.0f °C by %s? Measure it; ice helps", drink, w.TempC, w.By.In(zone).Format("15:04"))
}
