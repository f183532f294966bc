package weighing

import (
	"log/slog"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/device"
)

// scripted is a scale that reads what a test says.
type scripted struct {
	device.Scale
	readings chan device.Reading
	tares    int
	at       time.Time
}

func (s *scripted) Name() string { return "scripted scale" }
func (s *scripted) Tare() error  { s.tares++; return nil }
func (s *scripted) Disconnect()  {}
func (s *scripted) Connect() (<-chan device.Reading, error) {
	s.readings = make(chan device.Reading)
	return s.readings, nil
}

// rests lets the scale come to rest at a mass for two seconds.
func (s *scripted) rests(massG float64) {
	for range 20 {
		s.at = s.at.Add(100 * time.Millisecond)
		s.readings <- device.Reading{MassG: massG, Unit: "g", Steady: true, At: s.at}
	}
}

// worktop is a drink with some amounts, and what was taken down of them.
type worktop struct {
	mu    sync.Mutex
	left  []Amount
	taken []Taken
	shown Now
}

func (w *worktop) ToWeigh(int64) (inTurn, all []Amount) { return w.left, w.left }
func (w *worktop) TakeDown(t Taken) error {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.taken = append(w.taken, t)
	if len(w.left) > 0 && (t.AsItIs || w.left[0].Band.Judge(t.MassG) == plan.Within) {
		w.left = w.left[1:]
	}
	return nil
}

func (w *worktop) Show(n Now) {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.shown = n
}

func station(amounts ...Amount) (*Station, *scripted, *worktop) {
	scale, kitchen := &scripted{at: time.Date(2026, 11, 24, 9, 0, 0, 0, time.UTC)}, &worktop{left: amounts}
	return New(scale, kitchen, slog.New(slog.DiscardHandler)), scale, kitchen
}

func amount(key string, g float64) Amount {
	return Amount{Key: key, Name: key, MassG: g, Band: plan.BandOf(g, .02, 1)}
}

func TestOneAmountIsWeighedAfterTheOther(t *testing.T) {
	t.Parallel()
	s, scale, kitchen := station(amount("almonds", 200), amount("salt", 10))
	require.NoError(t, s.Connect(3, .1, false))
	now := s.Now()
	assert.Equal(t, []any{"almonds", int64(3), 1, 200.}, []any{now.Amount, now.ItemID, now.Decimals, now.ToGoG})
	scale.rests(150)
	assert.Equal(t, plan.Under, s.Now().Verdict)
	assert.Empty(t, kitchen.taken, "the pour is not over")
	scale.rests(199.94)
	assert.Equal(t, []Taken{{ItemID: 3, Key: "almonds", MassG: 199.9}}, kitchen.taken, "to what the scale reads")
	assert.Equal(t, "salt", s.Now().Amount, "with a tare in between")
	assert.Equal(t, 2, scale.tares)
	scale.rests(14)
	assert.Equal(t, plan.Over, s.Now().Verdict)
	assert.Len(t, kitchen.taken, 2, "over is taken down too, and stays on the scale")
	assert.Equal(t, "salt", s.Now().Amount)
	taken, err := s.Take()
	require.NoError(t, err)
	assert.Equal(t, "salt", taken.Key)
	s.Refresh()
	assert.True(t, kitchen.taken[2].AsItIs)
	assert.Empty(t, s.Now().Key, "all of it is weighed")
	_, err = s.Take()
	assert.Equal(t, "scale-shows-nothing", fault.Code(err))
}

func TestUnpluggedWhatLayOnItIsRemembered(t *testing.T) {
	t.Parallel()
	s, scale, kitchen := station(amount("almonds", 200))
	require.NoError(t, s.Connect(1, 1, false))
	scale.rests(130)
	close(scale.readings)
	require.Eventually(t, func() bool { return s.Now().Gone }, 5*time.Second, time.Millisecond)
	assert.Equal(t, 130., s.Now().MassG)
	require.NoError(t, s.Connect(1, 1, false))
	assert.False(t, s.Now().Gone)
	scale.rests(70)
	s.Refresh()
	assert.Equal(t, 200., kitchen.taken[0].MassG, "before and after together")
	s.Disconnect()
	assert.False(t, s.Now().Gone, "disconnected by the cook is no fault")
	assert.Equal(t, "not-weighed-now", fault.Code(s.Choose("salt")))
}

// Everything at once, from everywhere: whoever asks gets an answer, and the race
// detector has nothing to say.
func TestManyAskAtOnce(t *testing.T) {
	t.Parallel()
	s, scale, _ := station(amount("almonds", 200), amount("water", 800))
	require.NoError(t, s.Connect(1, 1, false))
	var asking sync.WaitGroup
	for range 8 {
		asking.Go(func() {
			for range 50 {
				s.Now()
				s.Refresh()
				_ = s.Choose("water")
				_ = s.Tare()
			}
		})
	}
	for g := range 5 {
		scale.rests(float64(g))
	}
	asking.Wait()
	assert.True(t, s.Now().Connected)
}

// A scale that stops without a word is gone, whatever it showed last: what lay on it is
// remembered, and is not shown as what lies there now.
func TestAFrozenReadingIsNotShownAsLive(t *testing.T) {
	t.Parallel()
	s, scale, _ := station(amount("almonds", 200))
	s.silentFor = 50 * time.Millisecond
	require.NoError(t, s.Connect(3, 1, false))
	scale.readings <- device.Reading{MassG: 120, Unit: "g", At: scale.at}
	require.True(t, s.Now().Connected)
	require.Eventually(t, func() bool { return s.Now().Gone }, time.Second, 5*time.Millisecond)
	now := s.Now()
	assert.False(t, now.Connected || now.Steady)
	require.NoError(t, s.Connect(3, 1, false))
	scale.rests(30)
	assert.InDelta(t, 200, s.Now().MassG+s.Now().ToGoG, 1e-9, "it goes on where it was")
}

// The cook's own scale is heard before it is read, and read once it is connected.
func TestTheCooksOwnScale(t *testing.T) {
	t.Parallel()
	s, _, kitchen := station(amount("almonds", 200), amount("salt", 10))
	assert.False(t, s.Now().Sends)
	require.NoError(t, s.SendLine("ST,+ 0.700 kg", time.Now()))
	require.ErrorContains(t, s.SendLine("hello", time.Now()), "line")
	now := s.Now()
	assert.True(t, now.Sends)
	assert.False(t, now.Connected, "though nothing is weighed on it")
	require.NoError(t, s.Connect(3, 1, true))
	at := time.Date(2026, 11, 24, 9, 0, 0, 0, time.UTC)
	rests := func(massG float64) {
		for range 40 {
			at = at.Add(100 * time.Millisecond)
			s.Send(massG, nil, at)
			time.Sleep(2 * time.Millisecond) // so that each is read
		}
	}
	rests(900)
	require.Eventually(t, func() bool { kitchen.mu.Lock(); defer kitchen.mu.Unlock(); return len(kitchen.taken) == 1 }, time.Second, time.Millisecond)
	assert.InDelta(t, 200, kitchen.taken[0].MassG, 1e-9, "with the bowl as the zero")
	now = s.Now()
	assert.Equal(t, []any{true, false, "salt"}, []any{now.Own, now.StandIn, now.Key})
	rests(900)
	assert.InDelta(t, 0, s.Now().MassG, 1e-9, "and the almonds as the next")
	require.NoError(t, s.Connect(3, 1, false))
	assert.False(t, s.Now().Own)
}

// Until the cook's own scale has said what lies on it, nothing is: what is added before that would
// be part of the zero.
func TestAScaleThatHasNotSpokenIsWaitedFor(t *testing.T) {
	t.Parallel()
	s, _, kitchen := station(amount("almonds", 200))
	require.NoError(t, s.Connect(3, 1, true))
	assert.True(t, s.Now().Waits)
	s.Send(700, nil, time.Now())
	require.Eventually(t, func() bool { kitchen.mu.Lock(); defer kitchen.mu.Unlock(); return !kitchen.shown.Waits }, time.Second, time.Millisecond)
	require.NoError(t, s.Connect(3, 1, false))
	assert.False(t, s.Now().Waits, "the usual scale knows its zero")
}
