package wording

import (
	"fmt"
	"strings"
	"time"

	"plushladle/core/keep"
)

// NotTogether says why two leftovers are not poured together.
func NotTogether(why keep.Apart, togetherML, largestML float64) string {
	switch why {
	case keep.NotTwo:
		return "choose two bottles in use"
	case keep.TwoDrinks:
		return "they hold different drinks"
	case keep.IsFrozen:
		return "frozen bottles must thaw first"
	case keep.OneIsFull:
		return "one of them is full. Fresh milk poured onto old is only as fresh as the old. Use the old one up first"
	case keep.TooMuchByML:
		return fmt.Sprintf("together they are %.0f mL, and the larger bottle holds %.0f mL", togetherML, largestML)
	}
	return ""
}

// Cooling says how a drink that is at nowC stands on its way down.
func Cooling(v keep.CoolingVerdict, k keep.CoolingClock, nowC float64, zone *time.Location) string {
	at := func(t time.Time) string { return t.In(zone).Format("15:04") }
	switch v {
	case keep.MissedFirst:
		return fmt.Sprintf("It should have been 21 °C by %s and is still about %.0f °C. Throw it away.", at(k.FirstBy), nowC)
	case keep.MissedCold:
		return fmt.Sprintf("It should have been 5 °C by %s and is still about %.0f °C. Throw it away.", at(k.ColdBy), nowC)
	case keep.CoolsInTime:
		return fmt.Sprintf("21 °C at about %s (by %s at the latest), 5 °C at about %s (by %s at the latest).", at(k.First), at(k.FirstBy), at(k.Cold), at(k.ColdBy))
	case keep.NeverFirst:
		return fmt.Sprintf("Like this it never reaches 21 °C, and it must by %s.", at(k.FirstBy))
	case keep.LateFirst:
		return fmt.Sprintf("Too slow: it reaches 21 °C at about %s, and it must by %s.", at(k.First), at(k.FirstBy))
	case keep.NeverCold:
		return fmt.Sprintf("Like this it never reaches 5 °C, and it must by %s.", at(k.ColdBy))
	}
	return fmt.Sprintf("Too slow: it reaches 5 °C at about %s, and it must by %s.", at(k.Cold), at(k.ColdBy))
}

// NothingCools says that it is too late for every bath.
const NothingCools = " It is too late to cool it in time. Drink it now, or throw it away."

// Help says what would bring a drink down in time, and when.
func Help(h keep.Help, zone *time.Location) string {
	words := "a stirred ice bath"
	if h.DepthCM > 0 {
		words += fmt.Sprintf(", no deeper than %.0f cm", h.DepthCM)
	}
	if h.Vessels > 1 {
		words += fmt.Sprintf(", divided among %d containers", h.Vessels)
	}
	return fmt.Sprintf("%s: 21 °C at %s, 5 °C at %s", words, h.Cooling.First.In(zone).Format("15:04"), h.Cooling.Cold.In(zone).Format("15:04"))
}

// Measure names the timer that asks how cold a drink is.
func Measure(drink string, w keep.Warning, zone *time.Location) string {
	return fmt.Sprintf("%s: %.0f °C by %s? Measure it. Ice helps", drink, w.TempC, w.By.In(zone).Format("15:04"))
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
	return t.Format("Mon 2 Jan") + ", " + part
}

// weeksFrom is from how many days on a time left is told in weeks.
const weeksFrom = 21

// DaysLeft says how many days are left.
func DaysLeft(n int) string {
	switch {
	case n == -1:
		return "past its date since yesterday"
	case n < 0:
		return fmt.Sprintf("past its date for %d days", -n)
	case n == 0:
		return "last day"
	case n == 1:
		return "1 day"
	case n >= weeksFrom:
		return fmt.Sprintf("%d weeks", n/7)
	}
	return fmt.Sprintf("%d days", n)
}

// Strainer is a way of straining, as a cook would say it.
func Strainer(code string) string { return texts["strainer-"+code] }

// StoredIn is where an opened pack is kept.
func StoredIn(code string) string {
	return map[string]string{
		"cupboard": "a cool, dark cupboard", "closed-jar": "a closed jar, cool and dark",
		"fridge": "the fridge", "covered-in-fridge": "the fridge, closed, and never in an open tin",
	}[code]
}

var pulpUses = map[string]string{
	"porridge": "stirred into porridge", "crackers": "crackers, rolled thin and dried",
	"biscuits": "biscuits and cakes, replacing some of the fat", "meal": "dried and ground to meal", "compost": "compost",
}

// PulpUses are what a pulp is good for.
func PulpUses(codes []string) []string {
	out := make([]string, len(codes))
	for n, code := range codes {
		out[n] = pulpUses[code]
	}
	return out
}

// EndedWhy is why a bottle or a pack is gone: in the cook's own words, or what came of it.
func EndedWhy(why string) string {
	if bottle, poured := strings.CutPrefix(why, "poured-into/"); poured {
		return "poured into bottle " + bottle
	}
	if why == "used-up" {
		return "used up"
	}
	return why
}

// Empty is why nothing can be poured from a bottle.
func Empty(inUse bool, state string, leftML float64) string {
	if !inUse {
		return "the bottle is " + state
	}
	return fmt.Sprintf("the bottle holds %.0f mL", leftML)
}

// TooLittle is why a bowl does not do for a drink.
func TooLittle(hasG, wantedG float64) string {
	return fmt.Sprintf("the bowl holds %.0f g (dry weight), and %.0f g is needed", hasG, wantedG)
}
