package device

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// run lets seconds pass and gives all readings.
func run(s *StandIn, seconds float64) []Reading {
	out := make([]Reading, int(seconds*10))
	for n := range out {
		out[n] = s.Advance(every)
	}
	return out
}

func TestAPourComesToRestAtWhatWasPoured(t *testing.T) {
	t.Parallel()
	for seed, resolution := range []float64{1, 1, 0.1, 5} {
		s := NewStandIn(resolution, uint64(seed))
		run(s, 1)
		s.Pour(250, 50)
		during := run(s, 4)
		for _, r := range during {
			assert.False(t, r.Steady, "while it runs")
			assert.InDelta(t, 0, math.Remainder(r.MassG, resolution), 1e-6, "it shows whole steps of what it reads to")
		}
		after := run(s, 4)
		last := after[len(after)-1]
		assert.True(t, last.Steady)
		assert.InDelta(t, 250, last.MassG, resolution)
		assert.Equal(t, "g", last.Unit)
		require.NoError(t, s.Tare())
		assert.InDelta(t, 0, run(s, 2)[19].MassG, resolution, "tared, it begins at nothing")
		s.Pour(-100, 200)
		assert.InDelta(t, -100, run(s, 4)[39].MassG, resolution, "some was taken out")
		s.Lift()
		assert.InDelta(t, -250, run(s, 3)[29].MassG, resolution)
	}
}

func TestItDriftsAndTrembles(t *testing.T) {
	t.Parallel()
	s := NewStandIn(0.01, 7)
	s.Pour(100, 1000)
	run(s, 5)
	seen := map[float64]bool{}
	for _, r := range run(s, 600) {
		seen[r.MassG] = true
		assert.InDelta(t, 100, r.MassG, .25)
	}
	assert.Greater(t, len(seen), 3, "a fine scale shows it")
}

func TestUnpluggedMidPour(t *testing.T) {
	t.Parallel()
	s := NewStandIn(1, 3)
	readings, err := s.Connect()
	require.NoError(t, err)
	s.Pour(500, 200)
	r, open := <-readings
	require.True(t, open)
	assert.WithinDuration(t, time.Now(), r.At, time.Minute)
	s.Unplug()
	for open {
		_, open = <-readings
	}
	_, err = s.Connect()
	assert.ErrorIs(t, err, ErrUnplugged)
	assert.ErrorIs(t, s.Tare(), ErrUnplugged)
	s.Plug()
	readings, err = s.Connect()
	require.NoError(t, err)
	first := <-readings
	assert.Less(t, first.MassG, 60., "switched on again it begins at nothing, whatever lies on it")
	again, err := s.Connect()
	require.NoError(t, err)
	for open = true; open; {
		_, open = <-readings
	}
	<-again
	s.Disconnect()
	s.Disconnect()
}

func TestAFridgeWarmsAndCools(t *testing.T) {
	t.Parallel()
	f := NewStandInFridge(4, 20, 9)
	after := func(minutes int) (tempC float64) {
		for range minutes {
			tempC, _ = f.Advance(time.Minute)
		}
		return tempC
	}
	assert.InDelta(t, 4, after(30), .7)
	f.OpenDoor(10 * time.Minute)
	assert.Greater(t, after(10), 10., "a door that stands open")
	assert.InDelta(t, 4, after(150), .7, "and is shut again")
	f.WarmLoad()
	assert.Greater(t, after(2), 5.5)
	after(150)
	f.CutPower(5 * time.Hour)
	cut := after(300)
	assert.Greater(t, cut, 8.)
	assert.Less(t, cut, 20.)
	f.Silence(10 * time.Minute)
	for range 10 {
		_, reads := f.Advance(time.Minute)
		assert.False(t, reads)
	}
	f.Nonsense(1)
	assert.Equal(t, 85., after(1))
	assert.Less(t, after(1), 20.)
	readings, err := f.Connect()
	require.NoError(t, err)
	first := <-readings
	assert.WithinDuration(t, time.Now(), first.At, time.Minute)
	f.Disconnect()
	for range readings {
		t.Log("one was under way")
	}
}
