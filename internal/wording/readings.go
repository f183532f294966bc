package wording

import (
	"strconv"
	"time"

	tongues "golang.org/x/text/language"
	"golang.org/x/text/message"
)

// Count is a whole number with its thousands set apart: 1,008.
func Count(n int) string {
	if -10_000 < n && n < 10_000 && style.Load().Language != "en" {
		return strconv.Itoa(n) // RAE, Ortografía 2010: four figures stand together
	}
	tag, err := tongues.Parse(style.Load().Language)
	if err != nil {
		tag = tongues.English
	}
	return message.NewPrinter(tag).Sprint(n)
}

// Readings counts a thermometer's.
func Readings(n int) string {
	if n == 1 {
		return phrase("a-reading")
	}
	return phrase("so-many-readings", Count(n))
}

// FullMoment is a moment with its year: Tue 24 Nov 2026, 15:00.
func FullMoment(t time.Time) string { return day(t) + " " + strconv.Itoa(t.Year()) + ", " + clock(t) }
