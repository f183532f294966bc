package keep

import (
	"math"
	"time"
)

// Bath is what a cooked drink cools in.
type Bath string

// The baths.
const (
	InAir     Bath = "air"
	InWater   Bath = "cold water"
	InIce     Bath = "ice bath"
	InAFridge Bath = "fridge"
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
	VolumeML float64
	DepthCM  float64 // how deep it stands in its vessel; 0 for a common pan
	FromC    float64
	Bath     Bath
	RoomC    float64 // for air
	Vessels  int     // it is divided among; 0 for one
}

// The two points of the Food Code (3-501.14).
const (
	CookedC   = 57.
	FirstC    = 21.
	ColdC     = 5.
	FirstMost = 2 * time.Hour
	ColdMost  = 6 * time.Hour
)

const (
	commonDepthCM = 10.
	milkJPerMLK   = 4.1 // heat capacity of a plant milk (Choi & Okos, about 90 % water)
)

// perSecond is Newton's rate: heat taken off over heat held, by the vessel's
// wetted wall, bottom and surface.
func (c Cooling) perSecond() float64 {
	depth := c.DepthCM
	if depth == 0 {
		depth = commonDepthCM
	}
	ml := c.VolumeML / float64(max(1, c.Vessels))
	bottomCM2 := ml / depth
	radius := math.Sqrt(bottomCM2 / math.Pi)
	areaM2 := (2*bottomCM2 + 2*math.Pi*radius*depth) / 1e4
	return baths[c.Bath].wPerM2K * areaM2 / (ml * milkJPerMLK)
}

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
