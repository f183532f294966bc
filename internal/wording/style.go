package wording

import (
	"fmt"
	"math"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"sync/atomic"
	"time"
)

// Style is how a kitchen wants its words.
type Style struct {
	Language   string // en or es
	Locale     string // of dates and the clock, such as en-US; "" for the language's own
	Fahrenheit bool
	Volumes    string // metric, us or imperial
}

// style is the one of the kitchen that this process serves: a process has one kitchen
// (docs/decisions/one-process.md), so its words need not be handed through every call. The
// command line never sets one, and so speaks English and metric.
var style atomic.Pointer[Style]

func init() { Use(Style{Language: "en", Volumes: "metric"}) }

// Use has everything told from here on in a style.
func Use(s Style) { style.Store(&s) }

// twelveHours are the countries whose clocks begin anew at noon.
var twelveHours = []string{"US", "AU", "CA", "IN", "PH", "MX"}

func (s *Style) country() string {
	_, country, _ := strings.Cut(s.Locale, "-")
	return country
}

// clock is a time of day: 15:04, or 3:04 pm.
func clock(t time.Time) string {
	if slices.Contains(twelveHours, style.Load().country()) {
		return t.Format("3:04 pm")
	}
	return t.Format("15:04")
}

// day is a day without its year: Mon 30 Nov, or Mon Nov 30 where months come first.
func day(t time.Time) string {
	weekday, month := short(phrase("weekdays"), int(t.Weekday())), short(phrase("months"), int(t.Month())-1)
	if style.Load().country() == "US" {
		return fmt.Sprintf("%s %s %d", weekday, month, t.Day())
	}
	return fmt.Sprintf("%s %d %s", weekday, t.Day(), month)
}

// dayClock is a day of the week with a time: Mon 15:04.
func dayClock(t time.Time) string {
	return short(phrase("weekdays"), int(t.Weekday())) + " " + clock(t)
}

// DayAndClock is a moment with its date: Mon 30 Nov, 15:04.
func DayAndClock(t time.Time) string { return day(t) + ", " + clock(t) }

func short(names string, n int) string { return strings.Fields(names)[n] }

// measured is a figure with its unit, and the one before it where the two are a range or
// a change: 690 to 765 mL.
var measured = regexp.MustCompile(`(?:([−-]?\d[\d,.]*)( to | and | – |–| instead of | y | a | en lugar de | en vez de ))?([−-]?\d[\d,.]*) (°C|mL|L)\b`)

// inUnits writes the figures of a sentence in the kitchen's units. What labels go by, per
// 100 mL, stays as labels have it.
func inUnits(sentence string) string {
	s := style.Load()
	if !s.Fahrenheit && s.Volumes == "metric" {
		return sentence
	}
	return measured.ReplaceAllStringFunc(sentence, func(found string) string {
		parts := measured.FindStringSubmatch(found)
		first, joint, second, unit := parts[1], parts[2], parts[3], parts[4]
		if unit == "mL" && second == "100" || unit == "°C" && !s.Fahrenheit || unit != "°C" && s.Volumes == "metric" {
			return found
		}
		second, as := s.converted(second, unit)
		if first != "" {
			first, _ = s.converted(first, unit)
		}
		return first + joint + second + " " + as
	})
}

// Fluid ounces in mL: US customary (NIST SP 811), imperial (UK Weights and Measures Act 1985).
const (
	usFluidOunceML       = 29.5735295625
	imperialFluidOunceML = 28.4130625
)

// converted is a written figure in the kitchen's unit: whole where it was, fluid ounces to
// a tenth below ten.
func (s *Style) converted(written, unit string) (figure, as string) {
	plain := strings.NewReplacer(",", "", "−", "-")
	if s.Language == "es" { // 1.500,5
		plain = strings.NewReplacer(".", "", ",", ".", "−", "-")
	}
	v, err := strconv.ParseFloat(plain.Replace(written), 64)
	if err != nil {
		return written, unit
	}
	if unit == "°C" {
		decimals := 0
		if v != math.Trunc(v) {
			decimals = 1
		}
		return decimal(strings.Replace(strconv.FormatFloat(v*1.8+32, 'f', decimals, 64), "-", "−", 1)), "°F"
	}
	if unit == "L" {
		v *= 1000
	}
	ounces := v / usFluidOunceML
	if s.Volumes == "imperial" {
		ounces = v / imperialFluidOunceML
	}
	if ounces < 10 {
		ounces = math.Round(ounces*10) / 10
	} else {
		ounces = math.Round(ounces)
	}
	return decimal(strconv.FormatFloat(ounces, 'f', -1, 64)), "fl oz"
}
