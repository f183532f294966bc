package reading

import (
	"regexp"
	"strings"

	"plushladle/core/process"
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
	Kind     OfferKind // what it would set
	Low      float64   // in the unit of the kind; 0 where it is not said
	High     float64   // of a range; the same as the low end otherwise
	What     string    // a strainer or a heat, as the process names them
	Sentence string    // as written, for the cook to judge
}

// sentenceEnd parts the sentences of a step. A point before a digit is a decimal one.
var sentenceEnd = regexp.MustCompile(`[.!?;]+(?:\s+|$)|\s*[|·•]\s*`)

// wholeTime begins what tells how long all of it takes, and nothing of how: "Cook time: 5 min".
var wholeTime = regexp.MustCompile(`^\s*(?:prep(?:aration)?|cook(?:ing)?|total|active|hands-on|resting|ready)\b(?: ?time| in|:)`)

// said are the words a sentence must have for an offer, and what it then says.
var said = []struct {
	kind  OfferKind
	words *regexp.Regexp
	unit  process.TimeUnit
}{
	{OfferSoak, regexp.MustCompile(`\bsoak`), process.Hour},
	{OfferBlend, regexp.MustCompile(`\b(?:blend|blitz|whizz|whiz|liquidi[sz]e|grind|pulse|process)\b`), process.Second},
	{OfferHeat, regexp.MustCompile(`\b(?:simmer|boil|cook|heat|warm)\b`), process.Minute},
	{OfferChill, regexp.MustCompile(`\b(?:chill|refrigerate|cool)\b`), process.Hour},
	{OfferKeep, regexp.MustCompile(`\b(?:keeps?|stored?|lasts?|good for|(?:use|used|drink|drunk|eaten|best|consume|enjoy|finish) within)\b`), process.Day},
}

// isSoWarm are words for how warm something is that goes in, which say nothing of what is done.
var isSoWarm = regexp.MustCompile(`\b(?:in|into|with|of|some|more|the|a|still|very) (?:warm|cool)\b`)

// offersIn finds what the steps and notes of a page say, one offer of a kind.
func offersIn(items []Item) []Offer {
	var offers []Offer
	seen := map[OfferKind]bool{}
	for _, item := range items {
		if item.Kind != Step && item.Kind != Note {
			continue
		}
		for _, sentence := range sentenceEnd.Split(item.Text, -1) {
			if wholeTime.MatchString(strings.ToLower(sentence)) {
				continue
			}
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
	lower = isSoWarm.ReplaceAllString(lower, "")
	for _, s := range said {
		if !s.words.MatchString(lower) {
			continue
		}
		o := Offer{Kind: s.kind, Sentence: strings.TrimSpace(sentence)}
		var ok bool
		if s.kind == OfferSoak {
			o.Low, o.High, ok = process.SoakIn(lower)
		} else {
			o.Low, o.High, ok = process.SpanIn(lower, s.unit)
		}
		if s.kind == OfferHeat {
			o.What = heatIn(lower)
		}
		if ok {
			offers = append(offers, o.meant(lower))
		}
	}
	return offers
}

// leastKeptH are the hours in the fridge from which on "up to" tells how long a drink keeps, and no
// longer how long it takes to be cold (a judgement, no source).
const leastKeptH = 24

// meant is a chill of days as what it tells: "refrigerate up to 5 days".
func (o Offer) meant(lower string) Offer {
	isKept := o.Kind == OfferChill && o.Low >= leastKeptH && (strings.Contains(lower, "up to") || o.Low >= 2*leastKeptH)
	if !isKept {
		return o
	}
	o.Kind, o.Low, o.High = OfferKeep, o.Low/24, o.High/24
	return o
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
