package device

import (
	"math"
	"math/rand/v2"
	"sync"
	"time"
)

// How the stand-in behaves, from memory of kitchen scales.
const (
	every       = 100 * time.Millisecond // between two readings
	settlesIn   = 0.25                   // s, in which a reading comes most of the way to a new mass
	noiseShare  = 0.15                   // of the resolution, standard deviation
	driftGPerS  = 0.004                  // standard deviation of its walk in a second
	steadyAfter = 0.7                    // s without a change it would show
	mostG       = 10_000.
)

// StandIn is a scale that is not there: it weighs what is poured onto it by
// hand of the screen or of a test, with the noise, the drift and the rounding of
// a real one.
type StandIn struct {
	mu          sync.Mutex
	random      *rand.Rand
	resolutionG float64
	clock       func() time.Time

	onG, pourG, gPerS    float64 // what lies on it, what is still to come, and how fast
	showsG, zeroG, drift float64
	shown, stillS        float64
	unplugged            bool
	stop                 chan struct{} // nil while it is not connected
}

// NewStandIn is an empty scale that reads to resolutionG. Two with the same
// seed err alike.
func NewStandIn(resolutionG float64, seed uint64) *StandIn {
	return &StandIn{random: rand.New(rand.NewPCG(seed, seed)), resolutionG: math.Max(resolutionG, 0.01), clock: time.Now}
}

// Name is what the cook knows it by.
func (s *StandIn) Name() string { return "practice scale" }

// Connect begins to read ten times a second.
func (s *StandIn) Connect() (<-chan Reading, error) {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.unplugged {
		return nil, ErrUnplugged
	}
	if s.stop != nil {
		close(s.stop)
	}
	stop := make(chan struct{})
	s.stop = stop
	s.zeroG, s.drift = s.onG, 0 // switched on, it takes what lies there for nothing
	s.showsG = s.onG
	out := make(chan Reading)
	go s.run(out, stop)
	return out, nil
}

func (s *StandIn) run(out chan<- Reading, stop <-chan struct{}) {
	defer close(out)
	tick := time.NewTicker(every)
	defer tick.Stop()
	for {
		select {
		case <-stop:
			return
		case <-tick.C:
		}
		select {
		case <-stop:
			return
		case out <- s.Advance(every):
		}
	}
}

// Disconnect ends the reading.
func (s *StandIn) Disconnect() {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.disconnect()
}

func (s *StandIn) disconnect() {
	if s.stop != nil {
		close(s.stop)
		s.stop = nil
	}
}

// Tare makes what lies on it the new zero.
func (s *StandIn) Tare() error {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.unplugged {
		return ErrUnplugged
	}
	s.zeroG, s.stillS = s.onG+s.drift, 0
	return nil
}

// Pour lets g more run onto it at so many grams a second; less than nothing is
// taken off again.
func (s *StandIn) Pour(g, gPerS float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.pourG, s.gPerS = g, math.Max(math.Abs(gPerS), 0.1)
}

// Lift takes everything off.
func (s *StandIn) Lift() {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.onG, s.pourG = 0, 0
}

// Unplug pulls the plug, whatever is on it or running onto it.
func (s *StandIn) Unplug() {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.unplugged = true
	s.disconnect()
}

// Plug puts the plug back in.
func (s *StandIn) Plug() {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.unplugged = false
}

// SetResolution changes what it reads to.
func (s *StandIn) SetResolution(g float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.resolutionG = math.Max(g, 0.01)
}

// Advance lets time pass on the scale and reads it.
func (s *StandIn) Advance(by time.Duration) Reading {
	s.mu.Lock()
	defer s.mu.Unlock()
	seconds := by.Seconds()
	runs := math.Copysign(math.Min(math.Abs(s.pourG), s.gPerS*seconds), s.pourG)
	s.pourG -= runs
	s.onG = math.Max(0, math.Min(mostG, s.onG+runs))
	s.drift += s.random.NormFloat64() * driftGPerS * math.Sqrt(seconds)
	s.showsG += (s.onG + s.drift - s.showsG) * (1 - math.Exp(-seconds/settlesIn))
	noisy := s.showsG - s.zeroG + s.random.NormFloat64()*noiseShare*s.resolutionG
	s.settle(math.Round(noisy/s.resolutionG)*s.resolutionG, seconds)
	return Reading{MassG: s.shown, Unit: "g", Steady: s.stillS >= steadyAfter && s.pourG == 0, At: s.clock()}
}

// settle shows a new figure, or the one before where it only trembles on an edge.
func (s *StandIn) settle(g, seconds float64) {
	if math.Abs(g-s.shown) < 1.5*s.resolutionG && math.Abs(s.onG-s.showsG) < s.resolutionG && s.pourG == 0 && s.stillS > 0 {
		s.stillS += seconds
		if math.Abs(s.showsG-s.zeroG-s.shown) < 0.75*s.resolutionG {
			return
		}
	}
	if g != s.shown {
		s.stillS = 0
	}
	s.shown = g + 0 // no negative zero
	s.stillS += seconds
}
