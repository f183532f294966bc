package app

import (
	"time"

	"plushladle/core/fault"
	"plushladle/core/reckon"
	"plushladle/internal/kitchen"
)

// Read brings a recipe into the core, the kitchen's way.
func (s *Kitchen) Read(name string, f kitchen.Recipe) (reckon.Drink, []error, error) {
	ways, err := s.Setup()
	if err != nil {
		return reckon.Drink{}, nil, err
	}
	return f.Drink(name, ways)
}

// MadeOn reads a date that is not in the future; empty is today.
func (s *Kitchen) MadeOn(text string) (time.Time, error) {
	today := s.Now()
	if text == "" || text == today.Format(DateLayout) {
		return today, nil
	}
	date, err := time.ParseInLocation(DateLayout, text, today.Location())
	if err != nil {
		return today, fault.New("madeOn", text, "not-a-date")
	}
	if date.After(today) {
		return today, fault.New("madeOn", text, "date-in-future")
	}
	if today.Sub(date) > longestAgo {
		return today, fault.New("madeOn", text, "date-too-long-ago")
	}
	return date, nil
}

const longestAgo = 366 * 24 * time.Hour

// Day is the noon of a date this program wrote.
func Day(text string, zone *time.Location) time.Time {
	day, err := time.ParseInLocation(DateLayout, text, zone)
	if err != nil {
		return time.Time{}
	}
	return day.Add(12 * time.Hour)
}

// DateLayout is how a date is written.
const DateLayout = "2006-01-02"

func OrEmpty[T any](list []T) []T {
	if list == nil {
		return []T{}
	}
	return list
}

func Later(a, b time.Time) time.Time {
	if a.After(b) {
		return a
	}
	return b
}

func Sooner(a, b time.Time) time.Time {
	if a.Before(b) {
		return a
	}
	return b
}

// Nothing is the answer of an operation that has none.
type Nothing struct {
	Done bool `json:"done"`
}

// CalendarPath is where a calendar program reads the plan.
const CalendarPath = "/api/plan.ics"

// Date is the day of a moment, as dates are compared: midnight of it, in UTC.
func Date(t time.Time) time.Time {
	y, m, d := t.Date()
	return time.Date(y, m, d, 0, 0, 0, 0, time.UTC)
}
