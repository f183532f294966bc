package exchange

import (
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"iter"
	"math"
	"strconv"
	"strings"
	"time"

	"plushladle/core/keep"
)

// Temperature is a reading of a fridge's thermometer.
type Temperature struct {
	At    time.Time
	TempC float64
}

// Refused is a line of a file that was not understood, as it stands there.
type Refused struct {
	Line int    `json:"line"`
	Text string `json:"text"`
	Why  string `json:"why"`
}

// temperatureHead is the first line of the file.
var temperatureHead = []string{"time", "temp_c"}

// WriteTemperatures writes readings as CSV (RFC 4180): time (RFC 3339, UTC)
// and °C. They are taken one by one, as there may be years of them.
func WriteTemperatures(w io.Writer, readings iter.Seq[Temperature]) error {
	out := csv.NewWriter(w)
	if err := out.Write(temperatureHead); err != nil {
		return err
	}
	for r := range readings {
		if err := out.Write([]string{r.At.UTC().Format(time.RFC3339), strconv.FormatFloat(r.TempC, 'f', -1, 64)}); err != nil {
			return err
		}
	}
	out.Flush()
	return out.Error()
}

// ReadTemperatures reads such a file: time and °C, with or without a head, in
// zone where the time names none. What is not understood comes back line by
// line.
func ReadTemperatures(text string, zone *time.Location) ([]Temperature, []Refused) {
	if why := notCelsius(text); why != "" {
		return nil, []Refused{{1, firstLine(text), why}}
	}
	in := csv.NewReader(strings.NewReader(text))
	in.FieldsPerRecord, in.LazyQuotes, in.TrimLeadingSpace = -1, true, true
	var readings []Temperature
	var refused []Refused
	for n := 1; ; n++ {
		fields, err := in.Read()
		if errors.Is(err, io.EOF) {
			return plausible(readings, refused)
		}
		line, _ := in.FieldPos(0)
		if err != nil {
			refused = append(refused, Refused{n, strings.Join(fields, ","), "it is not a line of CSV"})
			continue
		}
		if n == 1 && strings.EqualFold(strings.TrimSpace(fields[0]), temperatureHead[0]) {
			continue
		}
		r, why := temperature(fields, zone)
		if why != "" {
			refused = append(refused, Refused{line, strings.Join(fields, ","), why})
			continue
		}
		readings = append(readings, r)
	}
}

func temperature(fields []string, zone *time.Location) (Temperature, string) {
	if len(fields) < 2 {
		return Temperature{}, "it needs a time and a temperature"
	}
	if len(fields) > 2 {
		return Temperature{}, "it has more than a time and a temperature; write 4.8, not 4,8"
	}
	at, err := momentIn(strings.TrimSpace(fields[0]), zone)
	if err != nil {
		return Temperature{}, "the time cannot be read; write 2026-11-24T15:00:00Z or 2026-11-24 15:00"
	}
	written := strings.TrimSpace(fields[1])
	for _, unit := range []string{"°C", "° C", "C"} {
		written = strings.TrimSpace(strings.TrimSuffix(written, unit))
	}
	c, err := strconv.ParseFloat(written, 64)
	if err != nil || math.IsNaN(c) || math.IsInf(c, 0) {
		return Temperature{}, "the temperature is not a number"
	}
	if !keep.IsOfAFridge(c) {
		return Temperature{}, "no fridge is at that temperature"
	}
	return Temperature{at, c}, ""
}

// notCelsius says what a file is in, where it names another scale.
func notCelsius(text string) string {
	head := strings.ToLower(firstLine(text))
	for _, sign := range []string{"°f", "º f", "fahrenheit", "temp_f", "(f)", "deg f"} {
		if strings.Contains(head, sign) {
			return "these are degrees Fahrenheit; export them in °C"
		}
	}
	return ""
}

func firstLine(text string) string {
	line, _, _ := strings.Cut(strings.TrimSpace(text), "\n")
	return strings.TrimSpace(line)
}

// warmerThanFridges is what half of a fridge's readings never are above, °C: 20
// °C is 68 °F, and a fridge in °F stands at about 40.
const warmerThanFridges = 20.

// plausible refuses a file as a whole whose readings are not those of a fridge
// in °C: every bottle in it would be thrown out for them.
func plausible(readings []Temperature, refused []Refused) ([]Temperature, []Refused) {
	warm := 0
	for _, r := range readings {
		if r.TempC > warmerThanFridges {
			warm++
		}
	}
	if 2*warm <= len(readings) || warm == 0 {
		return readings, refused
	}
	why := fmt.Sprintf("%d of the %d readings are above 20: they are in °F, or not from a fridge. Nothing was imported", warm, len(readings))
	return nil, append([]Refused{{1, "", why}}, refused...)
}

func momentIn(text string, zone *time.Location) (time.Time, error) {
	if at, err := time.Parse(time.RFC3339, text); err == nil {
		return at, nil
	}
	for _, layout := range []string{"2006-01-02 15:04:05", "2006-01-02T15:04:05", "2006-01-02 15:04", "2006-01-02T15:04"} {
		if at, err := time.ParseInLocation(layout, text, zone); err == nil {
			return at, nil
		}
	}
	return time.Time{}, errors.New("no time")
}
