package server

import (
	"fmt"
	"math"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/internal/store"
)

// CoolingWay is what a cooked drink stands in.
type CoolingWay struct {
	Bath    string   `json:"bath" enum:"ice bath,cold water,air,fridge"`
	Vessels int      `json:"vessels" minimum:"1" maximum:"20" doc:"it is divided among"`
	DepthCM float64  `json:"depthCM" minimum:"0" maximum:"60" doc:"how deep it stands; 0 for a common pan's"`
	NowC    *float64 `json:"nowC,omitempty" doc:"what the thermometer said; absent where it was not asked"`
	AgoS    float64  `json:"agoS,omitempty" minimum:"0" maximum:"86400" doc:"how long ago it said so, in seconds"`
}

type coolingInput struct {
	ByID
	Body CoolingWay
}

// CoolingFigure is a drink's way down.
type CoolingFigure struct {
	FromC   float64    `json:"fromC"`
	Began   time.Time  `json:"began"`
	FirstBy time.Time  `json:"firstBy" doc:"the latest it may be at 21 °C"`
	ColdBy  time.Time  `json:"coldBy" doc:"the latest it may be at 5 °C"`
	First   *time.Time `json:"first,omitempty" doc:"when it is at 21 °C; absent where that way never gets there"`
	Cold    *time.Time `json:"cold,omitempty" doc:"when it is at 5 °C"`
	InTime  bool       `json:"inTime"`
	Words   string     `json:"words"`
	Helps   []string   `json:"helps" doc:"what would still bring it down in time, the least trouble first"`
}

// boilingC is what a drink begins at where no step says.
const boilingC = 100.

// coolingOf is a planned drink on its way down, and when that began.
func (s *server) coolingOf(id int64) (keep.Cooling, store.PlanItem, time.Time, error) {
	items, at, err := s.item(id)
	if err != nil {
		return keep.Cooling{}, store.PlanItem{}, time.Time{}, err
	}
	item := items[at]
	f := front(item.Steps, s.now())
	if f == nil || !f.Cools {
		return keep.Cooling{}, item, time.Time{}, fault.New("id", item.DrinkName, "is not cooling", "mark the step before it done first")
	}
	l, err := s.look()
	if err != nil {
		return keep.Cooling{}, item, time.Time{}, err
	}
	r, _, err := s.reckonItem(item, l.ways)
	if err != nil {
		return keep.Cooling{}, item, time.Time{}, err
	}
	c := keep.Cooling{FromC: boilingC, RoomC: l.room.TempC}
	if r.Drink != nil {
		c.VolumeML = r.Drink.VolumeML
	}
	for _, step := range item.Steps[:f.Step-1] {
		if step.HandsOn && step.TempC > l.room.TempC {
			c.FromC = step.TempC
		}
	}
	return c, item, *item.Steps[f.Undo].DoneAt, nil
}

func (s *server) cooling(in *coolingInput) (CoolingFigure, error) {
	c, _, began, err := s.coolingOf(in.ID)
	if err != nil {
		return CoolingFigure{}, err
	}
	now := s.now()
	c = c.Divided(in.Body.Vessels, keep.Bath(in.Body.Bath), in.Body.DepthCM)
	if in.Body.NowC != nil {
		ago := time.Duration(in.Body.AgoS * float64(time.Second))
		measured, ok := c.Measured(*in.Body.NowC, now.Sub(began)-ago)
		if !ok {
			return CoolingFigure{}, fault.New("nowC", fmt.Sprint(*in.Body.NowC), "cannot be", fmt.Sprintf("enter what the thermometer says: below the %.0f °C it began at, and above what it stands in", c.FromC))
		}
		c = measured
	}
	nowC := c.After(now.Sub(began))
	clock := c.Clock(began)
	out := CoolingFigure{
		FromC: c.FromC, Began: began, FirstBy: clock.FirstBy, ColdBy: clock.ColdBy, InTime: clock.InTime(), Helps: []string{},
		First: momentOrNil(clock.First), Cold: momentOrNil(clock.Cold),
	}
	out.say(c, clock, nowC, now)
	return out, nil
}

func momentOrNil(at time.Time) *time.Time {
	if at.IsZero() {
		return nil
	}
	return &at
}

// say puts the way down in words, with what would help where it misses.
func (out *CoolingFigure) say(c keep.Cooling, clock keep.CoolingClock, nowC float64, now time.Time) {
	at := func(t time.Time) string { return t.In(now.Location()).Format("15:04") }
	switch {
	case nowC > keep.FirstC && now.After(clock.FirstBy):
		out.Words = fmt.Sprintf("It was to be at 21 °C by %s and is still at about %.0f °C. It is not kept: throw it out.", at(clock.FirstBy), nowC)
		return
	case nowC > keep.ColdC && now.After(clock.ColdBy):
		out.Words = fmt.Sprintf("It was to be at 5 °C by %s and is still at about %.0f °C. It is not kept: throw it out.", at(clock.ColdBy), nowC)
		return
	case clock.InTime():
		out.Words = fmt.Sprintf("21 °C at about %s (%s at the latest), 5 °C at about %s (%s at the latest).", at(clock.First), at(clock.FirstBy), at(clock.Cold), at(clock.ColdBy))
		return
	case clock.First.IsZero():
		out.Words = fmt.Sprintf("This way it never comes down to 21 °C, and it has to by %s.", at(clock.FirstBy))
	case clock.First.After(clock.FirstBy):
		out.Words = fmt.Sprintf("Too slow: 21 °C only at about %s, and %s is the latest.", at(clock.First), at(clock.FirstBy))
	case clock.Cold.IsZero():
		out.Words = fmt.Sprintf("This way it never comes down to 5 °C, and it has to by %s.", at(clock.ColdBy))
	default:
		out.Words = fmt.Sprintf("Too slow: 5 °C only at about %s, and %s is the latest.", at(clock.Cold), at(clock.ColdBy))
	}
	for _, h := range c.Helps(clock, nowC, now) {
		out.Helps = append(out.Helps, fmt.Sprintf("%s: 21 °C at %s, 5 °C at %s", helpWords(h), at(h.Cooling.First), at(h.Cooling.Cold)))
	}
	if len(out.Helps) == 0 {
		out.Words += " Nothing would bring it down in time any more: drink it now, or throw it out."
	}
}

func helpWords(h keep.Help) string {
	words := "into an ice bath, stirred"
	if h.DepthCM > 0 {
		words += fmt.Sprintf(", no deeper than %.0f cm", h.DepthCM)
	}
	if h.Vessels > 1 {
		words += fmt.Sprintf(", divided among %d vessels", h.Vessels)
	}
	return words
}

// How long before the two points it is asked how cold it is: long enough for
// an ice bath to help (a judgement, no source).
const (
	firstWarning = 40 * time.Minute
	coldWarning  = 90 * time.Minute
)

// watchCooling starts a timer before each point that is still to come.
func (s *server) watchCooling(in *coolingInput) (Timers, error) {
	figure, err := s.cooling(in)
	if err != nil {
		return Timers{}, err
	}
	_, item, _, err := s.coolingOf(in.ID)
	if err != nil {
		return Timers{}, err
	}
	now := s.now()
	for _, w := range []struct {
		tempC float64
		by    time.Time
		ahead time.Duration
	}{{keep.FirstC, figure.FirstBy, firstWarning}, {keep.ColdC, figure.ColdBy, coldWarning}} {
		left := w.by.Sub(now)
		if left <= 0 {
			continue
		}
		name := fmt.Sprintf("%s: %.0f °C by %s? Measure it; ice helps", item.DrinkName, w.tempC, w.by.In(now.Location()).Format("15:04"))
		minutes := math.Max(1, (left - w.ahead).Minutes())
		if _, err := s.startTimer(&body[NewTimer]{NewTimer{Name: name, Minute: minutes}}); err != nil {
			return Timers{}, err
		}
	}
	return s.timers(nil)
}
