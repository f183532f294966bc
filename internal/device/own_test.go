package device

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestLinesThatScalesSay(t *testing.T) {
	t.Parallel()
	for line, want := range map[string]string{
		"ST,+ 123.4 g":        "123.4 steady",
		"US,GS,-   12.0g\r":   "-12 moving",
		"  0.250 kg":          "250",
		"S 1,5 oz":            "42.5243 steady",
		"1 lb":                "453.5924",
		"+0000.0 g ?":         "0 moving",
		"12345678 g":          "",
		"123":                 "",
		"net 5 grams of gold": "",
	} {
		massG, steady, ok := ParseLine(line)
		said := ""
		if ok {
			said = fmt.Sprint(massG)
		}
		if steady != nil {
			said += map[bool]string{true: " steady", false: " moving"}[*steady]
		}
		assert.Equal(t, want, said, line)
	}
}

// The stand-in speaks as scales do: what it says is read as what it shows.
func TestTheStandInIsReadByItsLines(t *testing.T) {
	t.Parallel()
	s := NewStandIn(.1, 7)
	s.Pour(80, 40)
	for _, r := range run(s, 5) {
		massG, steady, ok := ParseLine(r.Line())
		require.True(t, ok, r.Line())
		assert.InDelta(t, r.MassG, massG, .005)
		assert.Equal(t, r.Steady, *steady)
	}
}

// A scale that does not say when it is steady is, once it has shown the same for a while.
func TestSteadyIsFoundOut(t *testing.T) {
	t.Parallel()
	var o Own
	readings, err := o.Connect()
	require.NoError(t, err)
	at := time.Now()
	for n, steady := range []bool{false, false, true} {
		require.True(t, o.Send(Reading{MassG: 5, At: at.Add(time.Duration(n) * 400 * time.Millisecond)}, nil))
		assert.Equal(t, steady, (<-readings).Steady)
	}
	require.True(t, o.Send(Reading{MassG: 6, At: at.Add(2 * time.Second)}, nil))
	assert.False(t, (<-readings).Steady)
	assert.InDelta(t, 6-5, (func() float64 { o.Send(Reading{MassG: 6, At: at}, nil); return (<-readings).MassG })(), 1e-9, "the first it said is its zero")
	require.NoError(t, o.Tare())
	o.Send(Reading{MassG: 8, At: at}, nil)
	assert.InDelta(t, 2, (<-readings).MassG, 1e-9)
	o.Disconnect()
	assert.False(t, o.Send(Reading{MassG: 6}, nil))
	_, open := <-readings
	assert.False(t, open)
}

// A reading from before the zero was set is not taken for what was added since.
func TestAZeroForgetsWhatWasSaidBefore(t *testing.T) {
	t.Parallel()
	var o Own
	readings, err := o.Connect()
	require.NoError(t, err)
	assert.True(t, o.Waits(), "nobody knows what lies on it")
	at := time.Now()
	o.Send(Reading{MassG: 300, At: at}, nil)
	assert.False(t, o.Waits())
	o.Send(Reading{MassG: 390, At: at}, nil)
	require.NoError(t, o.Tare())
	assert.Empty(t, readings, "the 90 g before it")
	o.Send(Reading{MassG: 391, At: at}, nil)
	assert.InDelta(t, 1, (<-readings).MassG, 1e-9)
}
