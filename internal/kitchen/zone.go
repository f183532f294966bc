package kitchen

import (
	"sync"
	"time"

	"plushladle/core/fault"
)

// zones are those read before: each is read from a file.
var zones sync.Map

// ParseZone is a time zone by its IANA name; nil for "", the machine's own.
func ParseZone(name string) (*time.Location, error) {
	if name == "" {
		return nil, nil
	}
	if known, ok := zones.Load(name); ok {
		return known.(*time.Location), nil
	}
	zone, err := time.LoadLocation(name)
	if err != nil || name == "Local" {
		return nil, fault.New("timeZone", name, "unknown-time-zone")
	}
	zones.Store(name, zone)
	return zone, nil
}
