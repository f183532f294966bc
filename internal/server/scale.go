package server

import (
	"math"
	"net/http"
	"sync"

	"github.com/danielgtaylor/huma/v2"
	"github.com/goccy/go-json"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/device"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

func (s *server) registerScale(api huma.API) {
	operation(s, api, http.MethodGet, "/api/scale", "scale", "What the scale shows, and what is weighed on it", s.scaleNow)
	operation(s, api, http.MethodPost, "/api/scale/connect", "connect-scale", "Read the scale for a planned drink", s.connectScale)
	operation(s, api, http.MethodPost, "/api/scale/disconnect", "disconnect-scale", "Read the scale no more", s.disconnectScale)
	operation(s, api, http.MethodPost, "/api/scale/tare", "tare-scale", "Make what lies on the scale the new zero", s.tareScale)
	operation(s, api, http.MethodPost, "/api/scale/amount", "choose-amount", "Weigh another amount next", s.chooseAmount)
	operation(s, api, http.MethodPost, "/api/scale/take", "take-reading", "Take down what the scale shows as it is", telling(s, s.takeReading))
	operation(s, api, http.MethodPost, "/api/scale/stand-in", "drive-stand-in", "Pour onto the stand-in scale, or pull its plug", s.driveStandIn)
}

// ScaleNow is what the scale shows, held against what is weighed on it.
type ScaleNow struct {
	Connected bool         `json:"connected"`
	StandIn   bool         `json:"standIn" doc:"it is not a real one: the screen pours onto it"`
	Name      string       `json:"name"`
	ItemID    int64        `json:"itemID" doc:"the planned drink it weighs for; 0 for none"`
	Key       string       `json:"key" doc:"the amount on it; empty where all of the step is weighed"`
	Amount    string       `json:"amount" doc:"its name"`
	MassG     float64      `json:"massG" doc:"of the amount so far"`
	Unit      string       `json:"unit"`
	Decimals  int          `json:"decimals" doc:"that it reads to"`
	Steady    bool         `json:"steady"`
	TargetG   float64      `json:"targetG" doc:"0 for what was left open"`
	ToGoG     float64      `json:"toGoG" doc:"to the target; negative where over"`
	Verdict   plan.Verdict `json:"verdict" enum:"nothing,under,within,over"`
	FillPct   float64      `json:"fillPct" doc:"how far the bar is filled"`
	LowPct    float64      `json:"lowPct" doc:"where the band lies on it"`
	HighPct   float64      `json:"highPct"`
	Note      string       `json:"note" doc:"what happened to the scale; empty where all is well"`
}

// desk is the scale with what is being weighed on it.
type desk struct {
	mu        sync.Mutex
	scale     device.Scale
	connected bool
	nth       int     // connection; one that ended tells nothing of the next
	gone      bool    // it went away by itself
	decimals  int     // that it reads to
	last      float64 // what it shows, g
	steady    bool
	beforeG   float64 // of the amount, seen before the scale went away
	itemID    int64
	has       bool // there is an amount to weigh
	amount    kitchen.PlanAmount
	weighing  plan.Weighing
	takenG    float64 // what was taken down of it last
}

func newDesk(scale device.Scale) *desk { return &desk{scale: scale} }

const unpluggedNote = "The scale is gone. What was taken down is safe, and what lay on it is remembered. Plug it in and connect it again, or type what you weigh."

// massG is how much of the amount is there.
func (d *desk) massG() float64 { return d.beforeG + d.last }

func (d *desk) now() ScaleNow {
	_, standIn := d.scale.(*device.StandIn)
	out := ScaleNow{Connected: d.connected, StandIn: standIn, Name: d.scale.Name(), ItemID: d.itemID, Unit: "g", Decimals: d.decimals, Verdict: plan.Nothing}
	if d.gone {
		out.Note = unpluggedNote
	}
	out.MassG, out.Steady = d.massG(), d.steady && d.connected
	if !d.has {
		return out
	}
	a := d.amount
	out.Key, out.Amount = a.Key, a.Name
	out.Verdict = plan.Band{LowG: a.LowG, HighG: a.HighG}.Judge(out.MassG)
	if a.Open {
		return out
	}
	out.TargetG, out.ToGoG = a.MassG, a.MassG-out.MassG
	top := math.Max(a.HighG*barBeyond, out.MassG)
	out.FillPct, out.LowPct, out.HighPct = 100*math.Max(0, out.MassG)/top, 100*a.LowG/top, 100*a.HighG/top
	return out
}

// barBeyond is how far the bar goes past the band, so that over is to be seen.
const barBeyond = 1.12

func (s *server) scaleNow(*noInput) (ScaleNow, error) {
	s.desk.mu.Lock()
	defer s.desk.mu.Unlock()
	return s.desk.now(), nil
}

// ForItem names a planned drink.
type ForItem struct {
	ItemID int64 `json:"itemID" minimum:"1"`
}

func (s *server) connectScale(in *body[ForItem]) (ScaleNow, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return ScaleNow{}, err
	}
	if settings.ScaleG == 0 {
		return ScaleNow{}, fault.New("itemID", "", "cannot be weighed: the kitchen has no scale", "say in the Pantry's drawer what your scale reads to, or type what you weigh")
	}
	if standIn, ok := s.desk.scale.(*device.StandIn); ok {
		standIn.SetResolution(settings.ScaleG)
	}
	readings, err := s.desk.scale.Connect()
	if err != nil {
		return ScaleNow{}, err
	}
	s.desk.mu.Lock()
	s.desk.decimals = int(max(0, math.Ceil(-math.Log10(settings.ScaleG)-1e-9)))
	s.desk.connected, s.desk.gone, s.desk.last = true, false, 0
	if s.desk.itemID != in.Body.ItemID {
		s.desk.itemID, s.desk.has, s.desk.beforeG = in.Body.ItemID, false, 0
	}
	s.desk.nth++
	nth := s.desk.nth
	s.desk.mu.Unlock()
	go s.followScale(readings, nth)
	s.refreshScale()
	return s.scaleNow(nil)
}

// followScale reads the scale until it is gone.
func (s *server) followScale(readings <-chan device.Reading, nth int) {
	for r := range readings {
		s.onReading(r)
	}
	s.desk.mu.Lock()
	if s.desk.connected && s.desk.nth == nth { // nobody disconnected it: it was unplugged
		s.desk.beforeG, s.desk.last = s.desk.massG(), 0
		s.desk.connected, s.desk.gone, s.desk.steady = false, true, false
	}
	s.desk.mu.Unlock()
	s.showScale()
}

// onReading shows a reading, and takes it down where it has come to rest.
func (s *server) onReading(r device.Reading) {
	d := s.desk
	d.mu.Lock()
	d.last, d.steady = r.MassG, r.Steady
	take, w := false, store.Weighing{}
	if d.has && d.connected {
		mass := d.massG()
		_, settled := d.weighing.Feed(mass, r.Steady, r.At)
		take = settled && mass != d.takenG
		w = store.Weighing{ItemID: d.itemID, Key: d.amount.Key, MassG: round(mass, d.decimals), ByScale: true}
		if take {
			d.takenG = mass
		}
	}
	d.mu.Unlock()
	if take {
		s.takeDown(w)
	}
	s.showScale()
}

// round writes a mass to as many decimals as the scale reads to.
func round(g float64, decimals int) float64 {
	to := math.Pow(10, float64(decimals))
	return math.Round(g*to) / to
}

// takeDown keeps what the scale showed, and goes on to the next amount.
func (s *server) takeDown(w store.Weighing) {
	if err := s.store.Weigh(w); err != nil {
		s.log.Error("a weighing could not be kept", "error", err)
		return
	}
	s.refreshScale()
	s.told.tell()
}

// refreshScale puts on the scale what the drink's step weighs next, with a tare
// in between.
func (s *server) refreshScale() {
	s.desk.mu.Lock()
	itemID, connected, key, had := s.desk.itemID, s.desk.connected, s.desk.amount.Key, s.desk.has
	s.desk.mu.Unlock()
	if !connected {
		return
	}
	amounts, all := s.stillToWeigh(itemID)
	if had {
		for _, a := range all {
			if a.Key == key { // it goes on, though its target may have moved
				s.desk.mu.Lock()
				s.desk.amount, s.desk.weighing.Band = a, plan.Band{LowG: a.LowG, HighG: a.HighG}
				s.desk.mu.Unlock()
				s.showScale()
				return
			}
		}
	}
	var next *kitchen.PlanAmount
	if len(amounts) > 0 {
		next = &amounts[0]
	}
	s.putOn(next)
}

// putOn begins an amount, the bowl with what is in it as the new zero.
func (s *server) putOn(a *kitchen.PlanAmount) {
	_ = s.desk.scale.Tare() // where the scale is gone its readings end, which is said
	s.desk.mu.Lock()
	s.desk.has, s.desk.beforeG, s.desk.last, s.desk.takenG, s.desk.steady = a != nil, 0, 0, 0, false
	s.desk.amount, s.desk.weighing = kitchen.PlanAmount{}, plan.Weighing{}
	if a != nil {
		s.desk.amount, s.desk.weighing = *a, plan.Weighing{Band: plan.Band{LowG: a.LowG, HighG: a.HighG}}
	}
	s.desk.mu.Unlock()
	s.showScale()
}

// stillToWeigh are the amounts of a drink's front step that are not settled;
// all has those that go in whole or only to taste besides.
func (s *server) stillToWeigh(itemID int64) (amounts, all []kitchen.PlanAmount) {
	items, at, err := s.item(itemID)
	if err != nil {
		return nil, nil
	}
	l, err := s.look()
	if err != nil {
		return nil, nil
	}
	steps := withUsed(items[at].Steps, l.weighings[itemID])
	f := front(steps, l.now)
	if f == nil || f.Step < 0 {
		return nil, nil
	}
	for _, a := range steps[f.Step].Amounts {
		if a.Used != nil && a.Used.Settled {
			continue
		}
		all = append(all, a)
		if isWeighed(steps[f.Step], a) {
			amounts = append(amounts, a)
		}
	}
	return amounts, all
}

// showScale sends what the scale shows to those who follow.
func (s *server) showScale() {
	s.desk.mu.Lock()
	now := s.desk.now()
	s.desk.mu.Unlock()
	data, err := json.Marshal(now)
	if err != nil {
		return
	}
	s.told.show(data)
}

func (s *server) disconnectScale(*noInput) (ScaleNow, error) {
	s.desk.mu.Lock()
	s.desk.connected, s.desk.gone, s.desk.has, s.desk.beforeG, s.desk.last = false, false, false, 0, 0
	s.desk.mu.Unlock()
	s.desk.scale.Disconnect()
	s.showScale()
	return s.scaleNow(nil)
}

func (s *server) tareScale(*noInput) (ScaleNow, error) {
	if err := s.desk.scale.Tare(); err != nil {
		return ScaleNow{}, err
	}
	s.desk.mu.Lock()
	s.desk.beforeG, s.desk.last = 0, 0
	s.desk.mu.Unlock()
	return s.scaleNow(nil)
}

// ForAmount names an amount of the drink on the scale.
type ForAmount struct {
	Key string `json:"key" maxLength:"200"`
}

func (s *server) chooseAmount(in *body[ForAmount]) (ScaleNow, error) {
	s.desk.mu.Lock()
	itemID := s.desk.itemID
	s.desk.mu.Unlock()
	_, all := s.stillToWeigh(itemID)
	for _, a := range all {
		if a.Key == in.Body.Key {
			s.putOn(&a)
			return s.scaleNow(nil)
		}
	}
	return ScaleNow{}, fault.New("key", in.Body.Key, "is not to be weighed now", "choose an amount of the step in front that is not weighed yet")
}

// takeReading takes down what the scale shows, as it is.
func (s *server) takeReading(*noInput) (Plan, error) {
	s.desk.mu.Lock()
	d := s.desk
	w := store.Weighing{ItemID: d.itemID, Key: d.amount.Key, MassG: round(d.massG(), d.decimals), ByScale: true, Taken: true}
	can := d.connected && d.has && w.MassG > 0
	s.desk.mu.Unlock()
	if !can {
		return Plan{}, fault.New("massG", "", "is not there to be taken: the scale shows nothing", "pour first, or type what you weighed")
	}
	if err := s.store.Weigh(w); err != nil {
		return Plan{}, err
	}
	return s.plan(nil)
}

// Drive is what is done to the stand-in scale.
type Drive struct {
	PourG  float64 `json:"pourG,omitempty" minimum:"-10000" maximum:"10000" doc:"less than nothing is taken off"`
	GPerS  float64 `json:"gPerS,omitempty" minimum:"0" maximum:"5000" doc:"how fast; 0 for a usual hand"`
	Lift   bool    `json:"lift,omitempty" doc:"everything off"`
	Unplug bool    `json:"unplug,omitempty"`
	Plug   bool    `json:"plug,omitempty"`
}

const usualGPerS = 60

// driveStandIn answers nothing of the scale: what comes of it is read off it.
func (s *server) driveStandIn(in *body[Drive]) (Nothing, error) {
	standIn, ok := s.desk.scale.(*device.StandIn)
	if !ok {
		return Nothing{}, fault.New("pourG", "", "is not poured onto a real scale from here", "pour onto it")
	}
	speed := in.Body.GPerS
	if speed == 0 {
		speed = usualGPerS
	}
	switch {
	case in.Body.Unplug:
		standIn.Unplug()
	case in.Body.Plug:
		standIn.Plug()
	case in.Body.Lift:
		standIn.Lift()
	default:
		standIn.Pour(in.Body.PourG, speed)
	}
	return Nothing{Done: true}, nil
}
