package process

import (
	"regexp"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
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

// A number of a span as methods write it: digits with a fraction behind them, a fraction, or a word.
const spanNumeral = `\d+(?:[.,]\d+)?(?:\s*[½¼¾⅓⅔⅛]|\s+\d+/\d+|/\d+)?|[½¼¾⅓⅔⅛]|half an?|(?:a )?quarter(?: of)?(?: an)?|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty-four|twenty|thirty|forty-five|forty|sixty`

// span is a time or a range of it, and what is added to it: "8-12 hours", "90 secs", "an hour and a
// half", "1 hour 30 minutes".
var span = regexp.MustCompile(`(?:^|[^\w.,/½¼¾⅓⅔⅛])(` + spanNumeral + `)(?:\s*(?:-|–|to|or)\s*(` + spanNumeral + `))?[\s-]*` +
	`(seconds?|secs?|s|minutes?|mins?|hours?|hrs?|h|days?|weeks?)\b(?: and (a half)\b| (?:and )?(\d+) (minutes?|mins?|seconds?|secs?)\b)?`)

var spanWords = map[string]float64{
	"half a": .5, "half an": .5, "a": 1, "an": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9,
	"ten": 10, "twelve": 12, "fifteen": 15, "twenty": 20, "twenty-four": 24, "thirty": 30, "forty": 40, "forty-five": 45, "sixty": 60,
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
		more := 0.
		if m[4] != "" {
			more = per / 2
		} else if m[5] != "" {
			more = spanNumber(m[5]) * float64(unitOf[m[6][0]]/unit)
		}
		return low + more, max(low, high) + more, low > 0
	}
	return 0, 0, false
}

// unitOf are the units by their first letters.
var unitOf = map[byte]TimeUnit{'s': Second, 'm': Minute, 'h': Hour, 'd': Day, 'w': 7 * Day}

// mostApart is how many times the unit asked for a unit may be, or the other way round.
const mostApart = 60

// spanNumber is a number of a span, in digits or as a word.
func spanNumber(text string) float64 {
	if v, ok := spanWords[text]; ok {
		return v
	}
	if strings.Contains(text, "quarter") {
		return .25
	}
	v, _ := quantity.ReadNumber(text)
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
