package app

import (
	"sync"
	"time"

	"plushladle/core/keep"
	"plushladle/internal/device"
	"plushladle/internal/store"
)

// recordKept is the fridge's record as it was last put together, so that each
// look at the shelf reads only what is new of it.
type recordKept struct {
	mu     sync.Mutex
	is     bool
	read   time.Time // when it was read in full
	from   time.Time
	last   int64 // the newest reading, seconds since 1970
	record keep.Record
}

// readAnewAfter keeps a record from growing for as long as the program runs:
// read anew, it begins with the oldest bottle there is by then.
const readAnewAfter = 24 * time.Hour

// FridgeRecord is what the fridge saw from a moment on, or from somewhat
// before.
func (s *Kitchen) FridgeRecord(from time.Time, setC float64) (keep.Record, error) {
	k := s.record
	k.mu.Lock()
	defer k.mu.Unlock()
	readings, since := k.record.Readings, time.Unix(k.last+1, 0)
	if !k.is || from.Before(k.from) || s.Now().Sub(k.read) > readAnewAfter || setC != k.record.SetC {
		readings, since = nil, from
		k.is, k.read, k.from, k.last = true, s.Now(), from, 0
	}
	newer, err := s.Store.Temperatures(since)
	if err != nil {
		k.is = false
		return keep.Record{}, err
	}
	if readings != nil && len(newer) == 0 {
		return k.record, nil
	}
	k.record = keep.NewRecord(append(readings[:len(readings):len(readings)], s.AsReadings(newer)...), setC)
	if len(newer) > 0 {
		k.last = newer[len(newer)-1].At
	}
	return k.record, nil
}

// ForgetRecord has it read anew: readings came in that are older than its last.
func (s *Kitchen) ForgetRecord() {
	if s.stale != nil {
		s.stale.Record = true
		return
	}
	s.record.mu.Lock()
	defer s.record.mu.Unlock()
	s.record.is = false
}

// RecordOlder has it read anew where a reading is not newer than its last, as
// after a clock that was put back.
func (s *Kitchen) RecordOlder(at time.Time) {
	s.record.mu.Lock()
	defer s.record.mu.Unlock()
	s.record.is = s.record.is && at.Unix() > s.record.last
}

func (s *Kitchen) AsReadings(kept []store.Temperature) []keep.Reading {
	zone := s.Now().Location()
	readings := make([]keep.Reading, len(kept))
	for n, t := range kept {
		readings[n] = keep.Reading{At: time.Unix(t.At, 0).In(zone), TempC: t.TempC}
	}
	return readings
}

// Probe is the thermometer as it is read.
type Probe struct {
	Mu        sync.Mutex
	Meter     device.Thermometer
	Connected bool
	Nth       int
	Nonsense  int // readings of no fridge since it was connected
}
