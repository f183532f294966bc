package server

import (
	"sync"
	"time"

	"plushladle/core/keep"
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

// fridgeRecord is what the fridge saw from a moment on, or from somewhat
// before.
func (s *server) fridgeRecord(from time.Time, setC float64) (keep.Record, error) {
	k := s.seen
	k.mu.Lock()
	defer k.mu.Unlock()
	readings, since := k.record.Readings, time.Unix(k.last+1, 0)
	if !k.is || from.Before(k.from) || s.now().Sub(k.read) > readAnewAfter || setC != k.record.SetC {
		readings, since = nil, from
		k.is, k.read, k.from, k.last = true, s.now(), from, 0
	}
	newer, err := s.store.Temperatures(since)
	if err != nil {
		k.is = false
		return keep.Record{}, err
	}
	if readings != nil && len(newer) == 0 {
		return k.record, nil
	}
	k.record = keep.NewRecord(append(readings[:len(readings):len(readings)], s.asReadings(newer)...), setC)
	if len(newer) > 0 {
		k.last = newer[len(newer)-1].At
	}
	return k.record, nil
}

// forgetRecord has it read anew: readings came in that are older than its last.
func (s *server) forgetRecord() {
	if s.stale != nil {
		s.stale.record = true
		return
	}
	s.seen.mu.Lock()
	defer s.seen.mu.Unlock()
	s.seen.is = false
}

// recordOlder has it read anew where a reading is not newer than its last, as
// after a clock that was put back.
func (s *server) recordOlder(at time.Time) {
	s.seen.mu.Lock()
	defer s.seen.mu.Unlock()
	s.seen.is = s.seen.is && at.Unix() > s.seen.last
}

func (s *server) asReadings(kept []store.Temperature) []keep.Reading {
	zone := s.now().Location()
	readings := make([]keep.Reading, len(kept))
	for n, t := range kept {
		readings[n] = keep.Reading{At: time.Unix(t.At, 0).In(zone), TempC: t.TempC}
	}
	return readings
}
