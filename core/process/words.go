package process

import (
	"regexp"
	"strconv"
	"strings"

	"plushladle/core/ingredient"
)

// TimeUnit is the unit a time is asked for in, in seconds.
type TimeUnit float64

// The units of time that recipes are written in.
const (
	Second TimeUnit = 1         // in seconds, as all of these
	Minute TimeUnit = 60        // 60 s
	Hour   TimeUnit = 3600      // 60 min
	Day    TimeUnit = 24 * 3600 // 24 h
)

// span is a time or a range of it: "8-12 hours", "90 secs", "an hour", "8 h".
var span = regexp.MustCompile(`\b(\d+(?:[.,]\d+)?|an?|one|two|three|four|five|six|eight|ten|twelve|twenty-four)(?:\s*(?:-|–|to|or)\s*(\d+(?:[.,]\d+)?))?\s*(seconds?|secs?|s|minutes?|mins?|hours?|hrs?|h|days?)\b`)

var spanWords = map[string]float64{ // as methods have them in words, seconds
	"a": 1, "an": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "eight": 8, "ten": 10, "twelve": 12, "twenty-four": 24,
}

// SpanIn is the first time that words name, in the unit asked for. Times of another
// order are of something else: nothing blends for hours, or soaks for seconds.
func SpanIn(words string, unit TimeUnit) (low, high float64, ok bool) {
	for _, m := range span.FindAllStringSubmatch(words, -1) {
		per := float64(unitOf[m[3][0]] / unit)
		if per > mostApart || per < 1./mostApart {
			continue
		}
		low = spanNumber(m[1]) * per
		high = low
		if m[2] != "" {
			high = spanNumber(m[2]) * per
		}
		return low, max(low, high), low > 0
	}
	return 0, 0, false
}

// unitOf are the units by their first letters.
var unitOf = map[byte]TimeUnit{'s': Second, 'm': Minute, 'h': Hour, 'd': Day}

// mostApart is how many times the unit asked for a unit may be, or the other way round.
const mostApart = 60

// spanNumber is a number of a span, in digits or as a word.
func spanNumber(text string) float64 {
	if v, ok := spanWords[text]; ok {
		return v
	}
	v, _ := strconv.ParseFloat(strings.ReplaceAll(text, ",", "."), 64)
	return v
}

// A night, in hours (common practice).
const nightLowH, nightHighH = 8, 12

// SoakIn is how many hours words soak for, in the part of them that speaks of it: "soaked 8 h", "soak for 8-12 hours", "soaked
// overnight".
func SoakIn(words string) (lowH, highH float64, ok bool) {
	_, behind, found := strings.Cut(words, "soak")
	if !found {
		return 0, 0, false
	}
	if end := strings.IndexAny(behind, ",;."); end >= 0 && !strings.HasPrefix(behind[end:], ".5") {
		behind = behind[:end]
	}
	behind, _, _ = strings.Cut(behind, " then ")
	if strings.Contains(behind, "overnight") {
		return nightLowH, nightHighH, true
	}
	return SpanIn(behind, Hour)
}

// SaidSoakH is how long a base soaks by the words of its line, hours: within what they
// say, as near as may be to what suits it; 0 where they say nothing.
func SaidSoakH(words string, i *ingredient.Ingredient) float64 {
	low, high, ok := SoakIn(words)
	if !ok || low < leastSoakH || high > mostSoakH {
		return 0
	}
	return min(max(i.SoakH.Ideal, low), high)
}

// The soaks that can be asked for, hours: those a change of the process may set.
var leastSoakH, mostSoakH = params["soak"]["hours"][0], params["soak"]["hours"][1]
