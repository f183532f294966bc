package reading_test

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/quantity"
	"plushladle/core/reading"
)

// amountRead is the amount written first in a line: as a number of a unit, and, where it
// counts packs, as what they hold.
type amountRead struct {
	Line     string  `json:"line"`
	Low      float64 `json:"low"`
	High     float64 `json:"high"`
	Unit     string  `json:"unit"`
	PackLow  float64 `json:"packLow,omitempty"`
	PackUnit string  `json:"packUnit,omitempty"`
}

func firstAmount(line string) amountRead {
	out := amountRead{Line: line}
	read, err := reading.Standard().Read(line)
	if err != nil || len(read.Amounts) == 0 || read.Amounts[0].IsOpen() {
		return out
	}
	terms := read.Amounts[0].Terms()
	first := terms[0]
	out.Low, out.High, out.Unit = first.Low, first.High, first.Unit.String()
	for _, t := range terms[1:] {
		if size := first.Unit.Size(quantity.US); size > 0 {
			out.Low += t.Low * t.Unit.Size(quantity.US) / size
			out.High += t.High * t.Unit.Size(quantity.US) / size
		}
	}
	if first.HasPack() {
		out.PackLow, out.PackUnit = first.Low*first.Pack.Value, first.Pack.Unit.String()
	}
	return out
}

// The amounts of the reference lines are written down for the front end's tests, which
// hold them against a general-purpose parser of npm. UPDATE=1 writes them anew.
func TestTheAmountsOfTheReferenceAreWrittenDown(t *testing.T) {
	t.Parallel()
	text, err := os.ReadFile("testdata/reference.json")
	require.NoError(t, err)
	var lines []want
	require.NoError(t, json.Unmarshal(text, &lines))
	amounts := make([]amountRead, len(lines))
	for n, w := range lines {
		amounts[n] = firstAmount(w.Line)
	}
	now, err := json.MarshalIndent(amounts, "", " ")
	require.NoError(t, err)
	if os.Getenv("UPDATE") != "" {
		require.NoError(t, os.WriteFile("testdata/amounts.json", now, 0o644))
	}
	written, err := os.ReadFile("testdata/amounts.json")
	require.NoError(t, err)
	assert.Equal(t, string(written), string(now), "UPDATE=1 go test ./core/reading")
}
