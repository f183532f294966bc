package wording

import (
	"strings"

	"plushladle/core/reading"
)

// Doubt is what is asked about a line; empty where nothing is.
func Doubt(r reading.Reading) string {
	switch {
	case r.Doubt == reading.Sure:
		return ""
	case r.Doubt == reading.Unread && len(r.Choices) > 0:
		return phrase("doubt-is-it-one-of-these")
	}
	return phrase("doubt-"+string(r.Doubt), r.About)
}

// WithoutLines is what is asked before a drink is planned, made or printed whose figures
// leave lines out.
func WithoutLines(lines []string) string {
	if len(lines) > 1 {
		return phrase("lines-not-counted", lines)
	}
	return phrase("line-not-counted", lines)
}

// SomeNotCounted heads what WithoutLines tells.
func SomeNotCounted() string { return phrase("some-not-counted") }

// Slips are the words that were taken for another.
func Slips(slips []reading.Slip) string {
	told := make([]string, len(slips))
	for n, s := range slips {
		told[n] = phrase("read-as", s.Written, s.Read)
	}
	return strings.Join(told, ", ")
}

// Offer is what a sentence of a method would change.
func Offer(o reading.Offer) string {
	switch o.Kind {
	case reading.OfferSoak:
		return phrase("offer-soak", span(o, "hour"))
	case reading.OfferBlend:
		return phrase("offer-blend", span(o, "second"))
	case reading.OfferHeat:
		return phrase("offer-heat-"+o.What, span(o, "minute"))
	case reading.OfferStrain:
		return phrase("offer-strain-" + o.What)
	case reading.OfferChill:
		return phrase("offer-chill", span(o, "hour"))
	}
	return phrase("offer-keeps", span(o, "day"))
}

// span is a time or a range of it: "8 to 12 hours".
func span(o reading.Offer, unit string) string {
	if o.Low == o.High {
		return plural(o.Low, unit)
	}
	return phrase("range", o.Low, plural(o.High, unit))
}

func plural(n float64, unit string) string {
	switch {
	case n == 1:
		return phrase("one-" + unit)
	case n < 1 && unit == "hour":
		return phrase("many-minute", n*60)
	}
	return phrase("many-"+unit, n)
}
