// Package device has what a kitchen measures with: the interfaces that a real
// scale or thermometer would be behind, and stand-ins for where there is none.
package device

import (
	"errors"
	"time"
)

// Reading is what a scale shows at a moment.
type Reading struct {
	MassG  float64
	Unit   string // what it shows itself, "g"; MassG is in grams whatever it says
	Steady bool   // it has stood still for a moment
	At     time.Time
}

// Scale is a kitchen scale.
type Scale interface {
	// Name is what the cook knows it by.
	Name() string
	// Connect begins to read. The channel is closed when the scale is gone:
	// disconnected, switched off, or unplugged.
	Connect() (<-chan Reading, error)
	// Tare makes what lies on it the new zero.
	Tare() error
	// Disconnect ends the reading; one that is not connected stays so.
	Disconnect()
}

// ErrUnplugged says that there is no scale to be read.
var ErrUnplugged = errors.New("the scale is not plugged in")
