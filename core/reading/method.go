package reading

import (
	"regexp"
	"strconv"
	"strings"
)

// OfferKind is what a sentence of a method says of how the drink is made.
type OfferKind string

// What a method can say.
const (
	OfferSoak   OfferKind = "soak"   // hours
	OfferBlend  OfferKind = "blend"  // seconds
	OfferHeat   OfferKind = "heat"   // minutes at What
	OfferStrain OfferKind = "strain" // through What
	OfferChill  OfferKind = "chill"  // hours
	OfferKeep   OfferKind = "keep"   // days
)

// Offer is something the method says, with the sentence it comes from. It is offered
// and never taken by itself: a sentence may speak of another pot.
type Offer struct {
	Kind     OfferKind
	Low      float64 // in the unit of the kind; 0 where it is not said
	High     float64
	What     string // a strainer or a heat, as the process names them
	Sentence string
}

// spans find "8-12 hours", "90 secs", "2 to 3 days".
var span = regexp.MustCompile(`(\d+(?:[.,]\d+)?|an?|one|two|three|four|five|six|eight|ten|twelve)(?:\s*(?:-|–|to|or)\s*(\d+(?:[.,]\d+)?))?\s*(seconds?|secs?|minutes?|mins?|hours?|hrs?|days?)\b`)

// sentenceEnd parts the sentences of a step. A point before a digit is a decimal one.
var sentenceEnd = regexp.MustCompile(`[.!?;]+(?:\s+|$)`)

// overnightH is what "overnight" is taken for, in hours (common practice).
const overnightH = 8

// said are the words a sentence must have for an offer, and what it then says.
var said = []struct {
	kind  OfferKind
	words *regexp.Regexp
	unit  string
}{
	{OfferSoak, regexp.MustCompile(`\bsoak`), "h"},
	{OfferBlend, regexp.MustCompile(`\b(?:blend|blitz|whizz|whiz|liquidi[sz]e|grind|pulse|process)\b`), "s"},
	{OfferHeat, regexp.MustCompile(`\b(?:simmer|boil|cook|heat|warm)\b`), "min"},
	{OfferChill, regexp.MustCompile(`\b(?:chill|refrigerate|cool)\b`), "h"},
	{OfferKeep, regexp.MustCompile(`\b(?:keeps?|stored?|lasts?|good for|use within)\b`), "d"},
}

// offersIn finds what the steps and notes of a page say, one offer of a kind.
func offersIn(items []Item) []Offer {
	var offers []Offer
	seen := map[OfferKind]bool{}
	for _, item := range items {
		if item.Kind != Step && item.Kind != Note {
			continue
		}
		for _, sentence := range sentenceEnd.Split(item.Text, -1) {
			for _, o := range offersOf(sentence) {
				if !seen[o.Kind] {
					seen[o.Kind] = true
					offers = append(offers, o)
				}
			}
		}
	}
	return offers
}

// offersOf is what one sentence says. A sentence can say several things: "Blend for a
// minute and strain through a bag".
func offersOf(sentence string) []Offer {
	lower := strings.ToLower(sentence)
	var offers []Offer
	if what := strainerIn(lower); what != "" {
		offers = append(offers, Offer{Kind: OfferStrain, What: what, Sentence: strings.TrimSpace(sentence)})
	}
	for _, s := range said {
		if !s.words.MatchString(lower) {
			continue
		}
		o := Offer{Kind: s.kind, Sentence: strings.TrimSpace(sentence)}
		var ok bool
		o.Low, o.High, ok = spanIn(lower, s.unit)
		if !ok && s.kind == OfferSoak && strings.Contains(lower, "overnight") {
			o.Low, o.High, ok = overnightH, overnightH, true
		}
		if s.kind == OfferHeat {
			o.What = heatIn(lower)
		}
		if ok {
			offers = append(offers, o)
		}
	}
	return offers
}

// perUnit is how many of a unit go into one of the offer's.
var perUnit = map[string]map[byte]float64{
	"h":   {'m': 1. / 60, 'h': 1, 'd': 24},
	"s":   {'s': 1, 'm': 60},
	"min": {'s': 1. / 60, 'm': 1, 'h': 60},
	"d":   {'h': 1. / 24, 'd': 1},
}

// spanIn is the first time in a sentence, in the unit asked for.
func spanIn(lower, unit string) (low, high float64, ok bool) {
	for _, m := range span.FindAllStringSubmatch(lower, -1) {
		factor := perUnit[unit][m[3][0]]
		if factor == 0 {
			continue
		}
		low = spanNumber(m[1]) * factor
		high = low
		if m[2] != "" {
			high = spanNumber(m[2]) * factor
		}
		return low, max(low, high), low > 0
	}
	return 0, 0, false
}

// spanNumber is a number of a span, in digits or as a word.
func spanNumber(text string) float64 {
	if v, ok := cardinals[text]; ok {
		return v
	}
	if text == "a" || text == "an" {
		return 1
	}
	v, _ := strconv.ParseFloat(strings.ReplaceAll(text, ",", "."), 64)
	return v
}

// strainers are the words for what a milk is strained through, the finest first.
var strainers = []struct{ words, what string }{
	{"no need to strain", "none"}, {"don't strain", "none"}, {"do not strain", "none"}, {"without straining", "none"}, {"unstrained", "none"},
	{"milk bag", "bag"}, {"nut bag", "bag"}, {"straining bag", "bag"}, {"jelly bag", "bag"},
	{"cheesecloth", "cloth"}, {"cheese cloth", "cloth"}, {"muslin", "cloth"}, {"tea towel", "cloth"}, {"clean cloth", "cloth"},
	{"sieve", "sieve"}, {"strainer", "sieve"}, {"mesh", "sieve"},
}

// strainerIn is what a sentence strains through, as the process names it.
func strainerIn(lower string) string {
	for _, s := range strainers {
		if strings.Contains(lower, s.words) {
			return s.what
		}
	}
	return ""
}

// heatIn is the heat a sentence names.
func heatIn(lower string) string {
	switch {
	case strings.Contains(lower, "simmer"):
		return "simmer"
	case strings.Contains(lower, "boil"):
		return "boil"
	case strings.Contains(lower, "warm"):
		return "warm"
	}
	return "under-boil"
}
