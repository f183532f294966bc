package keep

import (
	"math"
	"time"
)

// Bath is what a cooked drink cools in.
type Bath string

// The baths.
const (
	InAir     Bath = "air"        // standing in the kitchen
	InWater   Bath = "cold water" // in a sink of cold water
	InIce     Bath = "ice bath"   // in ice and water
	InAFridge Bath = "fridge"     // put away warm, which warms the fridge
)

// Baths are all of them, the slowest first.
var Baths = []Bath{InAFridge, InAir, InWater, InIce}

// What a bath is at, °C, and how much heat it takes off a square metre of
// vessel, W/m²·K (from memory: still air, still water, stirred ice water).
var baths = map[Bath]struct{ tempC, wPerM2K float64 }{
	InAFridge: {4, 9}, InAir: {20, 9}, InWater: {12, 120}, InIce: {1, 250},
}

// Cooling is a cooked drink on its way down.
type Cooling struct {
	VolumeML float64 // in one vessel, mL
	DepthCM  float64 // how deep it stands in its vessel; 0 for a common pan
	FromC    float64 // when it came off the heat, °C
	Bath     Bath    // what it stands in
	RoomC    float64 // for air
	Vessels  int     // it is divided among; 0 for one
	fitted   float64 // the rate it was measured to have; 0 where it was not
}

// The two points of the Food Code (3-501.14).
const (
	CookedC   = 57.           // 135 °F, the Food Code's 3-501.14: the clock starts here
	FirstC    = 21.           // 70 °F, within FirstMost
	ColdC     = 5.            // 41 °F, within ColdMost of the start
	FirstMost = 2 * time.Hour // the first stretch, where most would grow
	ColdMost  = 6 * time.Hour // the whole of it
)

const (
	commonDepthCM = 10. // cm deep, where nobody gave the vessel's depth
	milkJPerMLK   = 4.1 // heat capacity of a plant milk (Choi & Okos, about 90 % water)
)

// perSecond is Newton's rate: heat taken off over heat held, by the vessel's
// wetted wall and bottom; its surface counts where it lies in the same air, and
// not where the vessel stands in water or ice and the surface does not.
func (c Cooling) perSecond() float64 {
	if c.fitted > 0 {
		return c.fitted
	}
	depth := c.DepthCM
	if depth == 0 {
		depth = commonDepthCM
	}
	ml := c.VolumeML / float64(max(1, c.Vessels))
	bottomCM2 := ml / depth
	radius := math.Sqrt(bottomCM2 / math.Pi)
	areaCM2 := bottomCM2 + 2*math.Pi*radius*depth
	if c.Bath == InAir || c.Bath == InAFridge {
		areaCM2 += bottomCM2
	}
	areaM2 := areaCM2 / 1e4
	return baths[c.Bath].wPerM2K * areaM2 / (ml * milkJPerMLK)
}

// bathC is what it cools down to, °C: the room, or the bath's own temperature.
func (c Cooling) bathC() float64 {
	if c.Bath == InAir {
		return c.RoomC
	}
	return baths[c.Bath].tempC
}

// After is its temperature after a time: Newton's law of cooling.
func (c Cooling) After(d time.Duration) float64 {
	return c.bathC() + (c.FromC-c.bathC())*math.Exp(-c.perSecond()*d.Seconds())
}

// Until is how long it takes down to a temperature; false where the bath is
// not that cold.
func (c Cooling) Until(tempC float64) (time.Duration, bool) {
	if c.FromC <= tempC {
		return 0, true
	}
	if c.bathC() >= tempC {
		return 0, false
	}
	seconds := math.Log((c.FromC-c.bathC())/(tempC-c.bathC())) / c.perSecond()
	return time.Duration(seconds * float64(time.Second)), true
}

// InTime tells whether it keeps to both points: 57 to 21 °C in two hours, to
// 5 °C in six in all.
func (c Cooling) InTime() bool {
	hot := c
	hot.FromC = math.Min(c.FromC, CookedC)
	first, can := hot.Until(FirstC)
	if !can || first > FirstMost {
		return false
	}
	cold, can := hot.Until(ColdC)
	return can && cold <= ColdMost
}

// The Food Code's point for what was made from things at room temperature
// (3-501.14).
const RoomMost = 4 * time.Hour

// Divided is the same drink in several vessels of a bath and a depth; 0 for a
// common pan's.
func (c Cooling) Divided(vessels int, bath Bath, depthCM float64) Cooling {
	c.Vessels, c.Bath, c.DepthCM, c.fitted = vessels, bath, depthCM, 0
	return c
}

// Measured is the same drink as it really cools: at nowC after a time. False
// where that is no cooling, or colder than the bath can make it.
func (c Cooling) Measured(nowC float64, after time.Duration) (Cooling, bool) {
	if after <= 0 || nowC >= c.FromC || nowC <= c.bathC() {
		return c, false
	}
	c.fitted = math.Log((c.FromC-c.bathC())/(nowC-c.bathC())) / after.Seconds()
	return c, true
}

// CoolingClock is a drink's way down on the clock.
type CoolingClock struct {
	FirstBy, ColdBy time.Time // the latest it may be at 21 and at 5 °C
	First, Cold     time.Time // when it is; zero where that bath never makes it
}

// InTime tells whether both points are met.
func (k CoolingClock) InTime() bool {
	return !k.First.IsZero() && !k.First.After(k.FirstBy) && !k.Cold.IsZero() && !k.Cold.After(k.ColdBy)
}

// Clock is the way down of a drink that began to cool at a moment. The two
// hours and the six count from 57 °C; what was never that hot has four hours
// to 5 °C, and the first point is the same.
func (c Cooling) Clock(began time.Time) CoolingClock {
	var k CoolingClock
	if c.FromC < CookedC {
		k.FirstBy, k.ColdBy = began.Add(RoomMost), began.Add(RoomMost)
	} else {
		counts, _ := c.Until(CookedC)
		k.FirstBy, k.ColdBy = began.Add(counts+FirstMost), began.Add(counts+ColdMost)
	}
	if first, can := c.Until(FirstC); can {
		k.First = began.Add(first)
	}
	if cold, can := c.Until(ColdC); can {
		k.Cold = began.Add(cold)
	}
	return k
}

// Help is a way to cool a drink faster.
type Help struct {
	Bath    Bath         // in place of the one that is too slow
	Vessels int          // that it is divided among; 1 where it stays together
	DepthCM float64      // 0 for a common pan's
	Cooling CoolingClock // how it would go then
}

// shallowCM is how deep a drink stands in a roasting tin or a wide pan (common
// practice).
const shallowCM = 4.

// Helps are what would still bring it down in time, were it done now at nowC,
// the least trouble first; none where nothing would. The points of the clock
// so far stay.
func (c Cooling) Helps(clock CoolingClock, nowC float64, now time.Time) []Help {
	var out []Help
	c.FromC = nowC
	for _, way := range []Help{
		{Bath: InIce, Vessels: 1}, {Bath: InIce, Vessels: 1, DepthCM: shallowCM}, {Bath: InIce, Vessels: 4, DepthCM: shallowCM},
	} {
		way.Cooling = c.Divided(way.Vessels, way.Bath, way.DepthCM).Clock(now)
		way.Cooling.FirstBy, way.Cooling.ColdBy = clock.FirstBy, clock.ColdBy
		if way.Cooling.InTime() {
			out = append(out, way)
		}
	}
	return out
}

// CoolingVerdict is how a drink on its way down stands.
type CoolingVerdict string

// The verdicts. Missed ones are not kept; late ones would be, left as they are.
const (
	MissedFirst CoolingVerdict = "missed-first" // still above 21 °C after its time
	MissedCold  CoolingVerdict = "missed-cold"  // still above 5 °C after its time
	CoolsInTime CoolingVerdict = "in-time"      // both stretches
	NeverFirst  CoolingVerdict = "never-first"  // that bath never brings it to 21 °C
	LateFirst   CoolingVerdict = "late-first"   // too long above FirstC
	NeverCold   CoolingVerdict = "never-cold"   // the bath is warmer than ColdC
	LateCold    CoolingVerdict = "late-cold"    // too long from FirstC to ColdC
)

// IsMissed tells whether it is past keeping.
func (v CoolingVerdict) IsMissed() bool { return v == MissedFirst || v == MissedCold }

// Verdict is how a drink stands that is at nowC now.
func (k CoolingClock) Verdict(nowC float64, now time.Time) CoolingVerdict {
	switch {
	case nowC > FirstC && now.After(k.FirstBy):
		return MissedFirst
	case nowC > ColdC && now.After(k.ColdBy):
		return MissedCold
	case k.InTime():
		return CoolsInTime
	case k.First.IsZero():
		return NeverFirst
	case k.First.After(k.FirstBy):
		return LateFirst
	case k.Cold.IsZero():
		return NeverCold
	}
	return LateCold
}

// Warning is when it is asked how cold a drink is, before a point that it must meet.
type Warning struct {
	TempC float64       // what it should be down to by then
	By    time.Time     // the point
	In    time.Duration // from now; a minute at the least
}

// How long before the two points it is asked how cold it is: long enough for an
// ice bath to help (a judgement, no source).
const (
	firstWarning = 40 * time.Minute // before FirstMost, so that ice can still be fetched
	coldWarning  = 90 * time.Minute // before ColdMost
)

// Warnings are those for the points that are still to come.
func (k CoolingClock) Warnings(now time.Time) []Warning {
	var out []Warning
	for _, w := range []struct {
		tempC float64
		by    time.Time
		ahead time.Duration
	}{{FirstC, k.FirstBy, firstWarning}, {ColdC, k.ColdBy, coldWarning}} {
		if left := w.by.Sub(now); left > 0 {
			out = append(out, Warning{w.tempC, w.by, max(time.Minute, left-w.ahead)})
		}
	}
	return out
}
