package device

import (
	"math"
	"math/rand/v2"
	"sync"
	"time"
)

// Temperature is what a thermometer reads at a moment, in °C.
type Temperature struct {
	At    time.Time
	TempC float64
}

// Thermometer is one that lies in the fridge.
type Thermometer interface {
	// Name is what the cook knows it by.
	Name() string
	// Connect begins to read. The channel is closed when it is gone.
	Connect() (<-chan Temperature, error)
	// Disconnect ends the reading; one that is not connected stays so.
	Disconnect()
}

// How the stand-in fridge behaves, from memory of household fridges.
const (
	readEvery     = time.Minute
	coolsInMin    = 25.  // most of the way back to what it is set to
	doorWarmsMin  = 12.  // most of the way to the room's while the door stands open
	cutWarmsMin   = 420. // and while there is no power
	loadWarmsByC  = 3.
	fridgeNoiseC  = 0.15
	nonsenseReads = 85. // what a thermometer shows that has lost its probe
)

// StandInFridge is a thermometer in a fridge that is not there.
type StandInFridge struct {
	mu          sync.Mutex
	random      *rand.Rand
	setC, roomC float64
	tempC       float64
	door, cut   time.Duration // still to come
	silent      time.Duration
	nonsense    int
	stop        chan struct{}
}

// NewStandInFridge is a closed fridge at its set temperature.
func NewStandInFridge(setC, roomC float64, seed uint64) *StandInFridge {
	return &StandInFridge{random: rand.New(rand.NewPCG(seed, seed)), setC: setC, roomC: roomC, tempC: setC}
}

// Name is what the cook knows it by.
func (f *StandInFridge) Name() string { return "practice thermometer" }

// Connect begins to read once a minute.
func (f *StandInFridge) Connect() (<-chan Temperature, error) {
	f.mu.Lock()
	defer f.mu.Unlock()
	if f.stop != nil {
		close(f.stop)
	}
	stop := make(chan struct{})
	f.stop = stop
	out := make(chan Temperature)
	go f.run(out, stop)
	return out, nil
}

func (f *StandInFridge) run(out chan<- Temperature, stop <-chan struct{}) {
	defer close(out)
	tick := time.NewTicker(readEvery)
	defer tick.Stop()
	for at := time.Now(); ; {
		if tempC, reads := f.Advance(readEvery); reads {
			select {
			case <-stop:
				return
			case out <- Temperature{at, tempC}:
			}
		}
		select {
		case <-stop:
			return
		case at = <-tick.C:
		}
	}
}

// Disconnect ends the reading.
func (f *StandInFridge) Disconnect() {
	f.mu.Lock()
	defer f.mu.Unlock()
	if f.stop != nil {
		close(f.stop)
		f.stop = nil
	}
}

// Set changes what it is set to, and the room about it.
func (f *StandInFridge) Set(setC, roomC float64) {
	f.mu.Lock()
	defer f.mu.Unlock()
	f.setC, f.roomC = setC, roomC
}

// OpenDoor lets the door stand open for a while.
func (f *StandInFridge) OpenDoor(d time.Duration) { f.with(func() { f.door = d }) }

// CutPower takes the power away for a while.
func (f *StandInFridge) CutPower(d time.Duration) { f.with(func() { f.cut = d }) }

// WarmLoad puts something warm in.
func (f *StandInFridge) WarmLoad() { f.with(func() { f.tempC += loadWarmsByC }) }

// Silence has it read nothing for a while.
func (f *StandInFridge) Silence(d time.Duration) { f.with(func() { f.silent = d }) }

// Nonsense has the next readings be of no fridge.
func (f *StandInFridge) Nonsense(readings int) { f.with(func() { f.nonsense = readings }) }

func (f *StandInFridge) with(do func()) {
	f.mu.Lock()
	defer f.mu.Unlock()
	do()
}

// Advance lets time pass in the fridge, and reads it where it reads at all.
func (f *StandInFridge) Advance(by time.Duration) (tempC float64, reads bool) {
	f.mu.Lock()
	defer f.mu.Unlock()
	switch {
	case f.door > 0:
		f.drawnTo(f.roomC, doorWarmsMin, by)
	case f.cut > 0:
		f.drawnTo(f.roomC, cutWarmsMin, by)
	default:
		f.drawnTo(f.setC, coolsInMin, by)
	}
	f.door, f.cut = max(0, f.door-by), max(0, f.cut-by)
	if f.silent > 0 {
		f.silent = max(0, f.silent-by)
		return 0, false
	}
	if f.nonsense > 0 {
		f.nonsense--
		return nonsenseReads, true
	}
	return math.Round((f.tempC+f.random.NormFloat64()*fridgeNoiseC)*10) / 10, true
}

func (f *StandInFridge) drawnTo(tempC, minutes float64, by time.Duration) {
	f.tempC += (tempC - f.tempC) * (1 - math.Exp(-by.Minutes()/minutes))
}
