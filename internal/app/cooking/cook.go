package cooking

import (
	"fmt"
	"math"
	"slices"
	"time"

	"plushladle/core/fault"
	"plushladle/internal/app/planning"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Timers are the timers as they stand now.
type Timers struct {
	Now    time.Time `json:"now"`
	Timers []Timer   `json:"timers"`
}

// Timer is a timer as it stands.
type Timer struct {
	ID      int64  `json:"id"`
	Name    string `json:"name"`
	LengthS int    `json:"lengthS"`
	State   string `json:"state" enum:"runs,held,rings"`
	LeftS   int    `json:"leftS" doc:"0 where it rings"`
	OverS   int    `json:"overS" doc:"how long it has rung"`
}

func (s Service) Timers() (Timers, error) {
	kept, err := s.store.Timers()
	if err != nil {
		return Timers{}, err
	}
	out := Timers{Now: s.Now(), Timers: make([]Timer, len(kept))}
	for n, t := range kept {
		out.Timers[n] = timerAt(t, out.Now)
	}
	return out, nil
}

// timerAt is the timer at a moment. With the clock set back there is never
// more left than its whole length.
func timerAt(t store.Timer, now time.Time) Timer {
	out := Timer{ID: t.ID, Name: t.Name, LengthS: t.LengthS, State: "held", LeftS: t.LeftS}
	if t.EndsAt == nil {
		return out
	}
	left := t.EndsAt.Sub(now)
	if left > 0 {
		out.State, out.LeftS = "runs", min(planning.Seconds(left), t.LengthS)
		return out
	}
	out.State, out.LeftS, out.OverS = "rings", 0, int(-left/time.Second)
	return out
}

// NewTimer is a timer to be started.
type NewTimer struct {
	Name   string  `json:"name" maxLength:"120"`
	Minute float64 `json:"minutes" doc:"from a second to three days"`
}

const (
	MaxTimers    = 9 // one to each digit
	longestTimer = 72 * time.Hour
)

func (s Service) StartTimer(in NewTimer) (Timers, error) {
	name, minutes := kitchen.OneLine(in.Name), in.Minute
	kept, err := s.store.Timers()
	switch {
	case err != nil:
		return Timers{}, err
	case name == "":
		return Timers{}, fault.New("name", "", "timer-needs-a-name")
	case minutes*60 < 1 || minutes > longestTimer.Minutes():
		return Timers{}, fault.New("minutes", fmt.Sprint(minutes), "timer-out-of-range")
	case len(kept) >= MaxTimers:
		return Timers{}, fault.New("name", name, "too-many-timers", MaxTimers)
	}
	if err := s.store.StartTimer(name, int(math.Round(minutes*60))); err != nil {
		return Timers{}, err
	}
	return s.Timers()
}

func (s Service) HoldTimer(id int64) (Timers, error) {
	if err := s.store.HoldTimer(id); err != nil {
		return Timers{}, err
	}
	return s.Timers()
}

// StopTimer is fine with one that is gone: another device answered it.
func (s Service) StopTimer(id int64) (Timers, error) {
	kept, err := s.store.Timers()
	if err != nil {
		return Timers{}, err
	}
	if slices.ContainsFunc(kept, func(t store.Timer) bool { return t.ID == id }) {
		if err := s.store.StopTimer(id); err != nil {
			return Timers{}, err
		}
	}
	return s.Timers()
}
