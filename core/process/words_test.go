package process_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/process"
)

// What a line says of its soak counts, as near to what suits the base as it allows.
func TestTheSoakThatALineSays(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		words, of string
		hours     float64
	}{
		{"soaked 6 h", "almond", 6}, {"soaked for 8-12 hours", "almond", 12}, {"soaked for 8–12 hours", "sesame", 8}, {"soaked overnight, drained", "tiger-nut", 12},
		{"soaked overnight", "cashew", 8}, {"soaked in hot water for 30 minutes", "cashew", .5}, {"soaked a day", "tiger-nut", 24},
		{"soaked", "almond", 0}, {"toasted 8 minutes", "almond", 0}, {"soaked, then blended 2 minutes", "almond", 0}, {"soaked 500 h", "almond", 0}, {"soaked 2 minutes", "almond", 0},
	} {
		i, ok := ingredient.Standard().ByID(tt.of)
		require.True(t, ok, tt.of)
		assert.InDelta(t, tt.hours, process.SaidSoakH(tt.words, i), 1e-9, tt.words)
	}
}

// A time of another order is of something else.
func TestASpanIsReadInItsOrder(t *testing.T) {
	t.Parallel()
	low, high, ok := process.SpanIn("soak 8 hours, then blend 60 to 90 seconds", process.Second)
	assert.Equal(t, []any{60., 90., true}, []any{low, high, ok})
	_, _, ok = process.SpanIn("blend, and soak 8 hours", process.Second)
	assert.False(t, ok)
}
