package kitchen

import (
	"fmt"
	"strconv"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/plan"
)

// ParseQuiet reads a daily stretch of the clock, "22:30-06:30"; "" is none.
func ParseQuiet(field, text string) (plan.Quiet, error) {
	refused := fault.New(field, text, "not-a-stretch-of-the-clock")
	if strings.TrimSpace(text) == "" {
		return plan.Quiet{}, nil
	}
	from, to, ok := strings.Cut(text, "-")
	if !ok {
		return plan.Quiet{}, refused
	}
	fromMin, err := minuteOfDay(from)
	if err != nil {
		return plan.Quiet{}, refused
	}
	toMin, err := minuteOfDay(to)
	if err != nil {
		return plan.Quiet{}, refused
	}
	q := plan.Quiet{FromMin: fromMin, ToMin: toMin}
	if q.Minutes() > mostQuietMin {
		return plan.Quiet{}, fault.New(field, text, "day-too-short")
	}
	return q, nil
}

// mostQuietMin is how much of a day can be quiet, so that there is time to cook
// in (a judgement, no source).
const mostQuietMin = 20 * 60

func minuteOfDay(text string) (int, error) {
	hour, minute, ok := strings.Cut(strings.TrimSpace(text), ":")
	h, err := strconv.Atoi(hour)
	m, err2 := strconv.Atoi(minute)
	if !ok || err != nil || err2 != nil || h < 0 || h > 23 || m < 0 || m > 59 {
		return 0, fmt.Errorf("%q is not a time of day", text)
	}
	return h*60 + m, nil
}
