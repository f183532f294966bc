package exchange

import (
	"math"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTemperaturesOutAndInAgain(t *testing.T) {
	t.Parallel()
	at := time.Date(2026, 11, 24, 15, 0, 0, 0, time.UTC)
	readings := []Temperature{{at, 4.1}, {at.Add(time.Minute), -2}, {at.Add(2 * time.Minute), 7}}
	var b strings.Builder
	require.NoError(t, WriteTemperatures(&b, slices.Values(readings)))
	again, refused := ReadTemperatures(b.String(), time.UTC)
	assert.Equal(t, readings, again)
	assert.Empty(t, refused)
}

func TestLinesThatAreNotUnderstoodAreGivenBack(t *testing.T) {
	t.Parallel()
	text := "2026-11-24 15:00,4\nyesterday,4\n2026-11-24 15:01,warm\nonly this\n2026-11-24T15:02, 5.5 °C\n2026-11-24 15:03,4,8\n2026-11-24 15:04,96\n"
	readings, refused := ReadTemperatures(text, time.UTC)
	assert.Len(t, readings, 2)
	require.Len(t, refused, 5)
	for n, line := range []int{2, 3, 4, 6, 7} {
		assert.Equal(t, line, refused[n].Line)
		assert.NotEmpty(t, refused[n].Text)
		assert.NotEmpty(t, refused[n].Why)
	}
}

// A file in °F would throw out every bottle: it is refused as a whole, whether
// it says so or not.
func TestFahrenheitIsNeverTakenForCelsius(t *testing.T) {
	t.Parallel()
	for _, text := range []string{"time,temp (°F)\n2026-11-24 15:00,4\n", "Time,Temperature_Fahrenheit\n2026-11-24 15:00,39\n", "2026-11-24 15:00,39.2\n2026-11-24 15:05,38.9\n2026-11-24 15:10,40\n"} {
		readings, refused := ReadTemperatures(text, time.UTC)
		assert.Empty(t, readings, text)
		require.NotEmpty(t, refused, text)
	}
	readings, _ := ReadTemperatures("2026-11-24 15:00,4\n2026-11-24 15:05,4\n2026-11-24 15:10,22\n", time.UTC)
	assert.Len(t, readings, 3, "a door left open is no file in °F")
}

func FuzzReadTemperatures(f *testing.F) {
	f.Add("time,temp_c\n2026-11-24T15:00:00Z,4.1\n")
	f.Add("2026-11-24T15:00:00Z,NaN\n2026-11-24T15:00:00Z,-Inf\n")
	f.Add("\"unclosed\n1,2\n,,,\n")
	f.Fuzz(func(t *testing.T, text string) {
		readings, refused := ReadTemperatures(text, time.UTC)
		for _, r := range readings {
			assert.False(t, math.IsNaN(r.TempC) || math.IsInf(r.TempC, 0))
		}
		assert.LessOrEqual(t, len(readings)+len(refused), strings.Count(text, "\n")+strings.Count(text, "\r")+1, "no line counts twice")
	})
}
