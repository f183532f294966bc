package wording

import (
	"fmt"
	"strings"

	"plushladle/core/reading"
)

// Doubt is what is asked about a line; empty where nothing is.
func Doubt(r reading.Reading) string {
	switch r.Doubt {
	case reading.Unread:
		if len(r.Choices) == 0 {
			return "This is not in the catalogue yet. Choose what it is, or keep it as a note."
		}
		return "Not sure what this is. Is it one of these?"
	case reading.UnknownUnit:
		return fmt.Sprintf("How much is a %q? Write it in spoons, cups or grams, or keep the line as a note.", r.About)
	case reading.AmountsDiffer:
		return fmt.Sprintf("These two amounts do not match. The one shown is used; the line also says %s.", r.About)
	case reading.EachOrTogether:
		return "Read as this much of each one. If you meant all of them together, change the amounts."
	}
	return ""
}

// WithoutLines is what is asked before a drink is planned, made or printed whose figures
// leave lines out.
func WithoutLines(lines []string) string {
	isNot := "is not"
	if len(lines) > 1 {
		isNot = "are not"
	}
	return fmt.Sprintf("%s %s counted, so the yield, the use-by date and the allergens may be wrong.", listed(lines), isNot)
}

func listed(all []string) string {
	if len(all) < 2 {
		return strings.Join(all, "")
	}
	return strings.Join(all[:len(all)-1], ", ") + " and " + all[len(all)-1]
}

// Slips are the words that were taken for another.
func Slips(slips []reading.Slip) string {
	told := make([]string, len(slips))
	for n, s := range slips {
		told[n] = fmt.Sprintf("%s read as %s", s.Written, s.Read)
	}
	return strings.Join(told, ", ")
}

// Offer is what a sentence of a method would change.
func Offer(o reading.Offer) string {
	switch o.Kind {
	case reading.OfferSoak:
		return "Soak for " + span(o, "hour")
	case reading.OfferBlend:
		return "Blend for " + span(o, "second")
	case reading.OfferHeat:
		return fmt.Sprintf("%s for %s", heats[o.What], span(o, "minute"))
	case reading.OfferStrain:
		return strains[o.What]
	case reading.OfferChill:
		return "Chill for " + span(o, "hour")
	}
	return "Keeps for " + span(o, "day")
}

var (
	heats   = map[string]string{"simmer": "Simmer", "boil": "Boil", "warm": "Warm through", "under-boil": "Heat, below the boil,"}
	strains = map[string]string{"bag": "Strain through a nut milk bag", "cloth": "Strain through a cloth", "sieve": "Strain through a sieve", "none": "Leave it unstrained"}
)

// span is a time or a range of it: "8 to 12 hours".
func span(o reading.Offer, unit string) string {
	if o.Low == o.High {
		return plural(o.Low, unit)
	}
	return fmt.Sprintf("%.3g to %s", o.Low, plural(o.High, unit))
}

func plural(n float64, unit string) string {
	if n == 1 {
		return "1 " + unit
	}
	if n < 1 && unit == "hour" {
		return fmt.Sprintf("%.3g minutes", n*60)
	}
	return fmt.Sprintf("%.3g %ss", n, unit)
}
