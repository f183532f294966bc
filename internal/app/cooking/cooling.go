package cooking

import (
	"fmt"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/internal/app/planning"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// CoolingWay is what a cooked drink stands in.
type CoolingWay struct {
	Bath    string   `json:"bath" enum:"ice bath,cold water,air,fridge"`
	Vessels int      `json:"vessels" minimum:"1" maximum:"20" doc:"it is divided among"`
	DepthCM float64  `json:"depthCM" minimum:"0" maximum:"60" doc:"how deep it stands; 0 for a common pan's"`
	NowC    *float64 `json:"nowC,omitempty" doc:"what the thermometer said; absent where it was not asked"`
	AgoS    float64  `json:"agoS,omitempty" minimum:"0" maximum:"86400" doc:"how long ago it said so, in seconds"`
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
func (s Service) coolingOf(id int64) (keep.Cooling, store.PlanItem, time.Time, error) {
	items, at, err := planning.Of(s.Kitchen).Item(id)
	if err != nil {
		return keep.Cooling{}, store.PlanItem{}, time.Time{}, err
	}
	item := items[at]
	f := planning.InFront(item.Steps, s.Now())
	if f == nil || !f.Cools {
		return keep.Cooling{}, item, time.Time{}, fault.New("id", item.DrinkName, "not-cooling")
	}
	l, err := planning.Of(s.Kitchen).PlanView()
	if err != nil {
		return keep.Cooling{}, item, time.Time{}, err
	}
	r, _, err := planning.Of(s.Kitchen).ReckonItem(item, l.Ways)
	if err != nil {
		return keep.Cooling{}, item, time.Time{}, err
	}
	c := keep.Cooling{FromC: boilingC, RoomC: l.Room.TempC}
	if r.Drink != nil {
		c.VolumeML = r.Drink.VolumeML
	}
	for _, step := range item.Steps[:f.Step-1] {
		if step.HandsOn && step.TempC > l.Room.TempC {
			c.FromC = step.TempC
		}
	}
	return c, item, *item.Steps[f.Undo].DoneAt, nil
}

func (s Service) Cooling(id int64, in CoolingWay) (CoolingFigure, error) {
	c, _, began, err := s.coolingOf(id)
	if err != nil {
		return CoolingFigure{}, err
	}
	now := s.Now()
	c = c.Divided(in.Vessels, keep.Bath(in.Bath), in.DepthCM)
	if in.NowC != nil {
		ago := time.Duration(in.AgoS * float64(time.Second))
		measured, ok := c.Measured(*in.NowC, now.Sub(began)-ago)
		if !ok {
			return CoolingFigure{}, fault.New("nowC", fmt.Sprint(*in.NowC), "cooling-reading-impossible", c.FromC)
		}
		c = measured
	}
	nowC := c.After(now.Sub(began))
	clock := c.Clock(began)
	out := CoolingFigure{
		FromC: c.FromC, Began: began, FirstBy: clock.FirstBy, ColdBy: clock.ColdBy, InTime: clock.InTime(), Helps: []string{},
		First: momentOrNil(clock.First), Cold: momentOrNil(clock.Cold),
	}
	verdict := clock.Verdict(nowC, now)
	out.Words = wording.Cooling(verdict, clock, nowC, now.Location())
	if verdict.IsMissed() || verdict == keep.CoolsInTime {
		return out, nil
	}
	for _, h := range c.Helps(clock, nowC, now) {
		out.Helps = append(out.Helps, wording.Help(h, now.Location()))
	}
	if len(out.Helps) == 0 {
		out.Words += " " + wording.NothingCools()
	}
	return out, nil
}

func momentOrNil(at time.Time) *time.Time {
	if at.IsZero() {
		return nil
	}
	return &at
}

// WatchCooling starts a timer before each point that is still to come.
func (s Service) WatchCooling(id int64, in CoolingWay) (Timers, error) {
	figure, err := s.Cooling(id, in)
	if err != nil {
		return Timers{}, err
	}
	_, item, _, err := s.coolingOf(id)
	if err != nil {
		return Timers{}, err
	}
	now := s.Now()
	clock := keep.CoolingClock{FirstBy: figure.FirstBy, ColdBy: figure.ColdBy}
	for _, w := range clock.Warnings(now) {
		if _, err := s.StartTimer(NewTimer{Name: wording.Measure(item.DrinkName, w, now.Location()), Minute: w.In.Minutes()}); err != nil {
			return Timers{}, err
		}
	}
	return s.Timers()
}
