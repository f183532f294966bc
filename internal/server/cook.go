package server

import (
	"fmt"
	"math"
	"net/http"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

func (s *server) registerCook(api huma.API) {
	operation(s, api, http.MethodGet, "/api/timers", "timers", "The timers that run, are held, or ring", s.timers)
	act(s, api, http.MethodPost, "/api/timers", "start-timer", "Start a timer", !undoable, (*server).startTimer)
	operation(s, api, http.MethodPost, "/api/timers/{id}/hold", "hold-timer", "Hold a timer, or let it run on", withEvent(s, s.holdTimer))
	operation(s, api, http.MethodPost, "/api/plan/items/{id}/cooling", "cooling", "How a cooked drink cools, and what would help", s.cooling)
	operation(s, api, http.MethodPost, "/api/plan/items/{id}/cooling/watch", "watch-cooling", "Be told before it is too late", withEvent(s, s.watchCooling))
	operation(s, api, http.MethodDelete, "/api/timers/{id}", "stop-timer", "Stop a timer, or answer one that rings", withEvent(s, s.stopTimer))
}

// Front is the step to do now, and what is waited for before it.
type Front struct {
	Step      int        `json:"step" doc:"its place among the item's steps"`
	Place     int        `json:"place" doc:"its place among the steps that need hands, from 1"`
	Of        int        `json:"of"`
	Undo      int        `json:"undo" doc:"the step that was done last; -1 where none was"`
	Wait      string     `json:"wait" doc:"what is waited for before it; empty where it can begin"`
	WaitUntil *time.Time `json:"waitUntil,omitempty"`
	WaitRight string     `json:"waitRight" doc:"what is to be minded meanwhile"`
	WaitMind  string     `json:"waitCaution"`
	WaitS     int        `json:"waitS" doc:"how long still"`
	TooEarly  bool       `json:"tooEarly" doc:"it was begun so early that it would wait too long: until then is the most"`
	ToFridge  bool       `json:"toFridge" doc:"and would keep longer in the fridge"`
	Cools     bool       `json:"cools" doc:"it was cooked, and is on its way down"`
	Amount    int        `json:"amount" doc:"the first of the step's amounts that is still to be weighed; -1 where none is"`
	Over      *Overshoot `json:"over,omitempty" doc:"what to do about an amount that is over"`
}

// front is the step to do now, in words.
func front(steps []plan.ItemStep, now time.Time) *Front {
	f, ok := plan.FrontOf(steps, now)
	if !ok {
		return nil
	}
	out := Front{Step: f.Step, Place: f.Place, Of: f.Of, Undo: f.Done, TooEarly: f.TooEarly, ToFridge: f.ToFridge, Cools: f.Cools, Amount: -1}
	if f.Step >= 0 {
		out.Amount = steps[f.Step].ToWeigh()
	}
	if f.Wait >= 0 {
		wait := steps[f.Wait]
		out.Wait, out.WaitRight, out.WaitMind = wording.Text(wait.Title), wording.Text(wait.Right), wording.Text(wait.Caution)
		out.WaitUntil, out.WaitS = &f.Until, max(0, seconds(f.Until.Sub(now)))
	}
	return &out
}

func seconds(d time.Duration) int { return int(math.Ceil(d.Seconds())) }

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

func (s *server) timers(*noInput) (Timers, error) {
	kept, err := s.store.Timers()
	if err != nil {
		return Timers{}, err
	}
	out := Timers{Now: s.now(), Timers: make([]Timer, len(kept))}
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
		out.State, out.LeftS = "runs", min(seconds(left), t.LengthS)
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
	maxTimers    = 9 // one to each digit
	longestTimer = 72 * time.Hour
)

func (s *server) startTimer(in *body[NewTimer]) (Timers, error) {
	name, minutes := kitchen.OneLine(in.Body.Name), in.Body.Minute
	kept, err := s.store.Timers()
	switch {
	case err != nil:
		return Timers{}, err
	case name == "":
		return Timers{}, fault.New("name", "", "timer-needs-a-name")
	case minutes*60 < 1 || minutes > longestTimer.Minutes():
		return Timers{}, fault.New("minutes", fmt.Sprint(minutes), "timer-out-of-range")
	case len(kept) >= maxTimers:
		return Timers{}, fault.New("name", name, "too-many-timers", maxTimers)
	}
	if err := s.store.StartTimer(name, int(math.Round(minutes*60))); err != nil {
		return Timers{}, err
	}
	return s.timers(nil)
}

func (s *server) holdTimer(in *ByID) (Timers, error) {
	if err := s.store.HoldTimer(in.ID); err != nil {
		return Timers{}, err
	}
	return s.timers(nil)
}

// stopTimer is fine with one that is gone: another device answered it.
func (s *server) stopTimer(in *ByID) (Timers, error) {
	kept, err := s.store.Timers()
	if err != nil {
		return Timers{}, err
	}
	if slices.ContainsFunc(kept, func(t store.Timer) bool { return t.ID == in.ID }) {
		if err := s.store.StopTimer(in.ID); err != nil {
			return Timers{}, err
		}
	}
	return s.timers(nil)
}
