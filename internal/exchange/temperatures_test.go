package exchange

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"
	"time"
	"unicode/utf16"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var afterwards = time.Date(2026, 11, 28, 12, 0, 0, 0, time.UTC)

// read goes through a file as it is recognised.
func read(t require.TestingT, text string) ([]Temperature, Layout, Found) {
	l, ok, err := Recognise(strings.NewReader(text))
	require.NoError(t, err)
	if !ok {
		return nil, l, Found{}
	}
	found := map[DateOrder]Found{}
	for _, order := range l.Orders {
		l.Order = order
		found[order], err = ReadTemperatures(strings.NewReader(text), l, time.UTC, afterwards, func(Temperature) error { return nil })
		require.NoError(t, err)
	}
	l.Order = BestOrder(found)
	var readings []Temperature
	f, err := ReadTemperatures(strings.NewReader(text), l, time.UTC, afterwards, func(r Temperature) error {
		readings = append(readings, r)
		return nil
	})
	require.NoError(t, err)
	return readings, l, f
}

func TestTemperaturesOutAndInAgain(t *testing.T) {
	t.Parallel()
	at := time.Date(2026, 11, 24, 15, 0, 0, 0, time.UTC)
	readings := []Temperature{{at, 4.1}, {at.Add(time.Minute), -2}, {at.Add(2 * time.Minute), 7}}
	var b strings.Builder
	require.NoError(t, WriteTemperatures(&b, slices.Values(readings)))
	again, _, f := read(t, b.String())
	assert.Equal(t, readings, again)
	assert.Empty(t, f.Refused)
}

// The same two readings, 4.2 °C on 24 November at 15:00 and 5 °C five minutes later, as
// thermometers and spreadsheets write them.
func TestFilesAsTheyAreWritten(t *testing.T) {
	t.Parallel()
	want := []Temperature{{time.Date(2026, 11, 24, 15, 0, 0, 0, time.UTC), 4.2}, {time.Date(2026, 11, 24, 15, 5, 0, 0, time.UTC), 5}}
	unicode16 := func(text string) string {
		out := "\xff\xfe"
		for _, u := range utf16.Encode([]rune(text)) {
			out += string([]byte{byte(u), byte(u >> 8)})
		}
		return out
	}
	for name, text := range map[string]string{
		"no head":                   "2026-11-24 15:00,4.2\n2026-11-24 15:05,5.0\n",
		"semicolons, decimal comma": "Zeit;Temp\r\n2026-11-24 15:00;4,2\r\n2026-11-24 15:05;5,0\r\n",
		"tabs, days first":          "24.11.2026 15:00\t4,2\n24.11.2026 15:05\t5\n",
		"months first, afternoon":   "Time,Temp (°C)\n11/24/2026 3:00:00 PM,4.2\n11/24/2026 3:05:00 p.m.,5\n",
		"two figures of the year":   "24/11/26 15:00;4.2\n24/11/26 15:05;5\n",
		"months in letters":         "24 Nov 2026 15:00,4.2\n24-November-2026 15:05,5\n",
		"date and time apart":       "Date,Time,Temp\n24/11/2026,15:00:00,4.2\n24/11/2026,15:05:00,5.0\n",
		"numbered, with humidity":   "No.,Time,Humidity (%),Temperature(°C)\n1,2026-11-24 15:00,81,4.2\n2,2026-11-24 15:05,80,5.0\n3,2026-11-24,,\n",
		"numbered without a head":   "1,2026-11-24 15:00,4.2\n2,2026-11-24 15:05,5.0\n3,2026-11-24 15:10,none\n",
		"a spreadsheet's marks":     "\uFEFFsep=;\r\nTime;Temp\r\n\"24/11/2026 15:00\";\"4,2\"\r\n=\"24/11/2026 15:05\";5,0\r\n",
		"UTF-16 with tabs":          unicode16("Time\tTemp °C\r\n24/11/2026 15:00\t4,2\r\n24/11/2026 15:05\t5\r\n"),
		"quoted decimal commas":     "time,temp\n\"2026-11-24 15:00\",\"4,2\"\n\"2026-11-24 15:05\",\"5,0\"\n",
		"bare decimal commas":       "time,temp\n2026-11-24 15:00,4,2\n2026-11-24 15:05,5,0\n",
		"and without a head":        "2026-11-24 15:00,4,2\n2026-11-24 15:05,5,0\n",
		"°F by its head":            "Time,Temp (°F)\n2026-11-24 15:00,39.56\n2026-11-24 15:05,41\n",
		"°F behind the number":      "2026-11-24 15:00,39.56 °F\n2026-11-24 15:05,41F\n",
		"°F by the middle reading":  "2026-11-24 15:00,39.56\n2026-11-24 15:05,41\n",
		"a title and remarks":       "# fridge\nLogger 12, 3 °C alarm\nTime;Temp\n\n2026-11-24 15:00:00.5;4.2\n2026-11-24 15:05:00;5\n;;\n",
		"another zone's time":       "time,temp_c\n2026-11-24T16:00:00+01:00,4.2\n2026-11-24T15:05:00Z,5\n",
		"behind a byte of no text":  "time,temp \xb0C\n2026-11-24 15:00,4.2\n2026-11-24 15:05,5\n",
	} {
		readings, _, f := read(t, text)
		require.Len(t, readings, 2, name)
		for n := range want {
			assert.True(t, want[n].At.Equal(readings[n].At), "%s: %v", name, readings[n].At)
			assert.InDelta(t, want[n].TempC, readings[n].TempC, .005, name)
		}
		assert.LessOrEqual(t, f.RefusedInIt, 1, name)
	}
}

func TestLinesThatAreNotUnderstoodAreGivenBack(t *testing.T) {
	t.Parallel()
	text := "2026-11-24 15:00,4\nyesterday,4\n2026-11-24 15:01,warm\nonly this\n2026-11-24T15:02, 5.5 °C\n2026-11-24 15:04,96\n2026-11-29 15:00,4\n"
	readings, _, f := read(t, text)
	assert.Len(t, readings, 2)
	assert.Equal(t, []Refused{
		{2, "yesterday,4", NoTime}, {3, "2026-11-24 15:01,warm", NoNumber}, {4, "only this", FewColumns},
		{6, "2026-11-24 15:04,96", NoFridge}, {7, "2026-11-29 15:00,4", InTheFuture},
	}, f.Refused)
	assert.Equal(t, []int{5, 1}, []int{f.RefusedInIt, f.Future})
	some, _, f := read(t, "time,temp\n2026-11-24 15:00,4\n2026-11-24 15:05,4,8\n")
	assert.Len(t, some, 1)
	assert.Equal(t, ManyColumns, f.Refused[0].Why, "4,8 is never read as 4")
}

// Both ways a date may be meant: the one that leaves out nothing, comes from no future and goes
// on evenly is the likelier.
func TestTheLikelierOrderOfADate(t *testing.T) {
	t.Parallel()
	for name, c := range map[string]struct {
		days  string
		order DateOrder
	}{
		"only days beyond twelve tell":       {"11/11/2026 12/11/2026 13/11/2026", DayFirst},
		"one day after the other":            {"01/11/2026 02/11/2026 03/11/2026", DayFirst},
		"and with the month first":           {"11/01/2026 11/02/2026 11/03/2026", MonthFirst},
		"the other way it is in the future":  {"11/12/2025 12/12/2025", DayFirst},
		"with the year first it is no doubt": {"2026/11/01 2026/11/02", YearFirst},
	} {
		var file strings.Builder
		for _, day := range strings.Fields(c.days) {
			fmt.Fprintf(&file, "%s 08:00,4\n%s 20:00,4\n", day, day)
		}
		readings, l, _ := read(t, file.String())
		assert.Equal(t, c.order, l.Order, name)
		assert.Len(t, readings, 2*len(strings.Fields(c.days)), name)
	}
}

// A file in °F that is read in °C would throw out every bottle.
func TestFahrenheitIsNeverTakenForCelsius(t *testing.T) {
	t.Parallel()
	_, l, f := read(t, "2026-11-24 15:00,4\n2026-11-24 15:05,4\n2026-11-24 15:10,22\n")
	assert.False(t, l.Fahrenheit || f.IsImplausible(), "a door left open is no file in °F")
	_, l, f = read(t, "time,°C\n2026-11-24 15:00,38\n2026-11-24 15:05,39\n2026-11-24 15:10,40\n")
	assert.False(t, l.Fahrenheit, "as it says")
	assert.True(t, f.IsImplausible(), "and yet it is no fridge's")
}

func FuzzReadTemperatures(f *testing.F) {
	f.Add("time,temp_c\n2026-11-24T15:00:00Z,4.1\n")
	f.Add("2026-11-24T15:00:00Z,NaN\n2026-11-24T15:00:00Z,-Inf\n")
	f.Add("\"unclosed\n1,2\n,,,\n24/11/26 3:00 pm;4,2 °F\n")
	f.Add("\xff\xfe2\x000\x00")
	f.Fuzz(func(t *testing.T, text string) {
		readings, _, found := read(t, text)
		for _, r := range readings {
			assert.False(t, math.IsNaN(r.TempC) || math.IsInf(r.TempC, 0))
			assert.False(t, r.At.After(afterwards.Add(clocksDiffer)))
		}
		if !strings.HasPrefix(text, "\xff\xfe") && !strings.HasPrefix(text, "\xfe\xff") {
			assert.LessOrEqual(t, len(readings)+found.RefusedInIt, strings.Count(text, "\n")+1, "no line counts twice")
		}
	})
}

// BenchmarkReadTemperatures is a million readings, recognised and gone through once.
func BenchmarkReadTemperatures(b *testing.B) {
	var file strings.Builder
	at := time.Date(2025, 1, 1, 0, 0, 0, 0, time.UTC)
	for n := range 1_000_000 {
		fmt.Fprintf(&file, "%s;%d,%d\n", at.Add(time.Duration(n)*30*time.Second).Format("02/01/2006 15:04:05"), 3+n%3, n%10)
	}
	for b.Loop() {
		l, _, err := Recognise(strings.NewReader(file.String()))
		require.NoError(b, err)
		l.Order = DayFirst
		f, err := ReadTemperatures(strings.NewReader(file.String()), l, time.UTC, afterwards, func(Temperature) error { return nil })
		require.NoError(b, err)
		require.Equal(b, 1_000_000, f.Readings)
	}
}
