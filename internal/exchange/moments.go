package exchange

import (
	"strconv"
	"strings"
	"time"
	"unicode"
)

// DateOrder is in what turn a date's day, month and year are written, as a code.
type DateOrder string

const (
	YearFirst  DateOrder = "ymd"
	DayFirst   DateOrder = "dmy"
	MonthFirst DateOrder = "mdy"
)

// DateOrders are all there are. A month in letters fits them all.
var DateOrders = []DateOrder{YearFirst, DayFirst, MonthFirst}

// century is what two figures of a year are counted from.
const century = 2000

// moment reads a date and a time of day, in zone where it names none.
func moment(text string, order DateOrder, zone *time.Location) (time.Time, bool) {
	if len(text) >= len("2006-01-02T15:04:05Z") && text[len(time.DateOnly)] == 'T' {
		if at, err := time.Parse(time.RFC3339, text); err == nil {
			return at, true
		}
	}
	date, clock := halves(text)
	y, m, d, ok := dateOf(date, order)
	h, min, s, ok2 := clockOf(clock)
	if !ok || !ok2 {
		return time.Time{}, false
	}
	return time.Date(y, m, d, h, min, s, 0, zone), true
}

// halves parts a moment before its time of day, which is where the first colon's figures begin.
func halves(text string) (date, clock string) {
	colon := strings.IndexByte(text, ':')
	if colon < 0 {
		return text, ""
	}
	begin := colon
	for begin > 0 && text[begin-1] >= '0' && text[begin-1] <= '9' {
		begin--
	}
	return strings.TrimRight(text[:begin], " T,"), text[begin:]
}

// dateOf reads 2026-11-24, 24/11/26, 11/24/2026, 24.11.2026, 24 Nov 2026 and their like.
func dateOf(text string, order DateOrder) (year int, month time.Month, day int, ok bool) {
	parts := strings.FieldsFunc(text, func(r rune) bool { return strings.ContainsRune("-/. ,", r) })
	if len(parts) != 3 {
		return
	}
	parts = []string{parts[strings.IndexByte(string(order), 'y')], parts[strings.IndexByte(string(order), 'm')], parts[strings.IndexByte(string(order), 'd')]}
	year, err := strconv.Atoi(parts[0])
	switch len(parts[0]) {
	case 2:
		year += century
	case 4:
	default:
		return
	}
	if month, ok = monthOf(parts[1]); err != nil || !ok {
		return 0, 0, 0, false
	}
	day, err = strconv.Atoi(parts[2])
	if err != nil || len(parts[2]) > 2 || day < 1 || day > daysIn(year, month) {
		return 0, 0, 0, false
	}
	return year, month, day, true
}

func daysIn(year int, month time.Month) int {
	return time.Date(year, month+1, 0, 0, 0, 0, 0, time.UTC).Day()
}

func monthOf(text string) (time.Month, bool) {
	if n, err := strconv.Atoi(text); err == nil {
		return time.Month(n), n >= 1 && n <= 12 && len(text) <= 2
	}
	for m := time.January; m <= time.December; m++ {
		if len(text) >= 3 && len(text) <= len(m.String()) && strings.EqualFold(text, m.String()[:len(text)]) {
			return m, true
		}
	}
	return 0, false
}

// unpointed makes p.m. the same as pm.
var unpointed = strings.NewReplacer(".", "", " ", "")

// clockOf reads 15:00, 15:00:30, 15:00:30.5 and 3:00 PM. Without one it is no moment.
func clockOf(text string) (hour, minute, second int, ok bool) {
	figures := strings.TrimRightFunc(text, func(r rune) bool { return unicode.IsLetter(r) || r == '.' || r == ' ' })
	half := strings.ToLower(unpointed.Replace(text[len(figures):]))
	parts := strings.Split(figures, ":")
	if len(parts) < 2 || len(parts) > 3 {
		return
	}
	var n [3]int
	for i, part := range parts {
		if i == 2 {
			part, _, _ = strings.Cut(strings.ReplaceAll(part, ",", "."), ".")
		}
		var err error
		if n[i], err = strconv.Atoi(part); err != nil || len(part) > 2 || part[0] == '-' || part[0] == '+' {
			return
		}
	}
	switch {
	case half == "" && n[0] <= 23:
	case (half == "am" || half == "pm") && n[0] >= 1 && n[0] <= 12:
		n[0] %= 12
		if half == "pm" {
			n[0] += 12
		}
	default:
		return
	}
	return n[0], n[1], n[2], n[1] <= 59 && n[2] <= 59
}
