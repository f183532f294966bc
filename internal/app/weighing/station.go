// Package weighing is the scale on the worktop with what is being weighed on it.
//
// A Station is one goroutine that owns the scale's readings and all that follows
// from them. Whatever happens to it is a message in its mailbox, and whoever
// sends one waits for it to be dealt with: nothing of it is shared, and nothing
// of it is locked.
package weighing

import (
	"crypto/rand"
	"log/slog"
	"math"
	"sync"
	"time"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/device"
)

// Amount is something that can be put on the scale.
type Amount struct {
	Key   string // the same however often it is planned
	Name  string
	MassG float64   // to be reached; 0 for what was left open
	Band  plan.Band // near enough; the zero Band for what was left open
	Open  bool
}

// Taken is an amount that is taken down.
type Taken struct {
	ItemID int64 // the planned drink it is for
	Key    string
	MassG  float64
	AsItIs bool // though under or over
}

// Kitchen is what a station needs of the rest.
type Kitchen interface {
	// ToWeigh are the amounts of a drink's front step that are not settled: those that
	// are weighed in their turn, and all, with those that go in whole or to taste.
	ToWeigh(itemID int64) (inTurn, all []Amount)
	// TakeDown keeps what the scale showed.
	TakeDown(Taken) error
	// Show tells those who follow what the scale shows.
	Show(Now)
}

// Now is what the scale shows, held against what is weighed on it.
type Now struct {
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
	Gone      bool         `json:"gone" doc:"it went away by itself: what lay on it is remembered"`
	Own       bool         `json:"own" doc:"it is the cook's own, whose readings are sent"`
	Sends     bool         `json:"sends" doc:"the cook's own scale has sent readings just now"`
	Waits     bool         `json:"waits" doc:"nobody knows yet what lies on it: what it shows next is the zero"`
	Station   string       `json:"station" doc:"another after a restart, which forgets what lay on the scale"`
}

// Station is a scale and what is weighed on it. Its methods may be called from
// anywhere.
type Station struct {
	usual     device.Scale
	own       *device.Own
	kitchen   Kitchen
	log       *slog.Logger
	silentFor time.Duration // without a reading, after which a scale is gone
	id        string

	mailbox    chan func(*desk)
	begin, end sync.Once
	closed     chan struct{}
}

// silentFor is how long a scale that is read may say nothing. One that has stopped for longer is
// gone: what it showed last must not be taken for what lies on it now.
const silentFor = 3 * time.Second

// New is a station with nothing on it, at the scale that is usually read. The cook's own can be
// read instead, whose readings are sent. It runs from its first message on.
func New(usual device.Scale, kitchen Kitchen, log *slog.Logger) *Station {
	return &Station{
		usual: usual, own: &device.Own{}, kitchen: kitchen, log: log, silentFor: silentFor, id: rand.Text(),
		mailbox: make(chan func(*desk)), closed: make(chan struct{}),
	}
}

// Close ends the station; from then on nothing happens to it.
func (s *Station) Close() { s.end.Do(func() { close(s.closed) }) }

// desk is what only the station's goroutine touches.
type desk struct {
	*Station
	scale    device.Scale          // the one that is read, or was last
	readings <-chan device.Reading // nil while it is not connected
	silence  *time.Timer           // runs while it is connected
	gone     bool                  // it went away by itself
	decimals int                   // that it reads to
	last     float64               // what it shows, g
	steady   bool
	beforeG  float64 // of the amount, seen before the scale went away
	itemID   int64
	has      bool // there is an amount to weigh
	amount   Amount
	weighing plan.Weighing
	takenG   float64 // what was taken down of it last
}

func (s *Station) run() {
	d := &desk{Station: s, scale: s.usual, silence: time.NewTimer(s.silentFor)}
	for {
		select {
		case <-s.closed:
			return
		case message := <-s.mailbox:
			message(d)
		case r, ok := <-d.readings:
			if !ok {
				d.unplugged()
			} else {
				d.silence.Reset(s.silentFor)
				d.onReading(r)
			}
		case <-d.silence.C:
			if d.readings != nil {
				d.scale.Disconnect()
				d.unplugged()
			}
		}
	}
}

// tell has the station deal with a message, and waits until it has.
func (s *Station) tell(message func(*desk)) {
	s.begin.Do(func() { go s.run() })
	done := make(chan struct{})
	select {
	case <-s.closed:
	case s.mailbox <- func(d *desk) {
		defer close(done)
		message(d)
	}:
		<-done
	}
}

// Now is what the scale shows at this moment.
func (s *Station) Now() (now Now) {
	s.tell(func(d *desk) { now = d.now() })
	return now
}

// StandIn is the stand-in scale, where that is what is usually read.
func (s *Station) StandIn() (*device.StandIn, bool) {
	standIn, is := s.usual.(*device.StandIn)
	return standIn, is
}

// SendLine is what the cook's own scale says at a moment, as the line it says. The error names "line".
func (s *Station) SendLine(line string, at time.Time) error {
	massG, steady, ok := device.ParseLine(line)
	if !ok {
		return fault.New("line", line, "not-a-scale-line")
	}
	s.Send(massG, steady, at)
	return nil
}

// Send is what the cook's own scale shows at a moment, and whether it says that it is steady; nil
// where it does not say. Until it is connected that only tells that the scale is there.
func (s *Station) Send(massG float64, steady *bool, at time.Time) {
	if s.own.Send(device.Reading{MassG: massG, Unit: "g", At: at}, steady) {
		return
	}
	s.tell(func(d *desk) {
		if d.readings == nil {
			d.show()
		}
	})
}

// Connect reads a scale for a planned drink: the cook's own, or the usual one. It reads to
// resolutionG.
func (s *Station) Connect(itemID int64, resolutionG float64, own bool) (err error) {
	if standIn, is := s.StandIn(); is {
		standIn.SetResolution(resolutionG)
	}
	s.tell(func(d *desk) {
		var scale device.Scale = s.usual
		if own {
			scale = s.own
		}
		var readings <-chan device.Reading
		if readings, err = scale.Connect(); err != nil {
			return
		}
		if d.scale != scale {
			d.scale.Disconnect()
			d.scale, d.beforeG = scale, 0
		}
		d.silence.Reset(s.silentFor)
		d.readings, d.gone, d.last = readings, false, 0
		d.decimals = int(max(0, math.Ceil(-math.Log10(resolutionG)-1e-9)))
		if d.itemID != itemID {
			d.itemID, d.has, d.beforeG = itemID, false, 0
		}
		d.refresh()
	})
	return err
}

// Disconnect reads the scale no more.
func (s *Station) Disconnect() {
	s.tell(func(d *desk) {
		d.readings, d.gone, d.has, d.beforeG, d.last = nil, false, false, 0, 0
		d.scale.Disconnect()
		d.show()
	})
}

// Tare makes what lies on the scale the new zero.
func (s *Station) Tare() (err error) {
	s.tell(func(d *desk) {
		if err = d.scale.Tare(); err == nil {
			d.beforeG, d.last = 0, 0
		}
	})
	return err
}

// Choose weighs another amount next. The error names "key".
func (s *Station) Choose(key string) (err error) {
	s.tell(func(d *desk) {
		_, all := s.kitchen.ToWeigh(d.itemID)
		for _, a := range all {
			if a.Key == key {
				d.putOn(&a)
				return
			}
		}
		err = fault.New("key", key, "not-weighed-now")
	})
	return err
}

// Take takes down what the scale shows, as it is. The error names "massG".
func (s *Station) Take() (taken Taken, err error) {
	s.tell(func(d *desk) {
		taken = d.taken()
		taken.AsItIs = true
		if d.readings == nil || !d.has || taken.MassG <= 0 {
			err = fault.New("massG", "", "scale-shows-nothing")
			return
		}
		err = s.kitchen.TakeDown(taken)
	})
	return taken, err
}

// Refresh looks what the drink's step weighs next, after something of it changed.
func (s *Station) Refresh() { s.tell((*desk).refresh) }

// massG is how much of the amount is there.
func (d *desk) massG() float64 { return d.beforeG + d.last }

func (d *desk) taken() Taken {
	return Taken{ItemID: d.itemID, Key: d.amount.Key, MassG: round(d.massG(), d.decimals)}
}

// round writes a mass to as many decimals as the scale reads to.
func round(g float64, decimals int) float64 {
	to := math.Pow(10, float64(decimals))
	return math.Round(g*to) / to
}

// onReading shows a reading, and takes it down where it has come to rest.
func (d *desk) onReading(r device.Reading) {
	d.last, d.steady = r.MassG, r.Steady
	if d.has {
		mass := d.massG()
		if _, settled := d.weighing.Feed(mass, r.Steady, r.At); settled && mass != d.takenG {
			d.takenG = mass
			if err := d.kitchen.TakeDown(d.taken()); err != nil {
				d.log.Error("a weighing could not be kept", "error", err)
			} else {
				d.refresh()
			}
		}
	}
	d.show()
}

// unplugged remembers what lay on a scale that went away by itself.
func (d *desk) unplugged() {
	d.beforeG, d.last = d.massG(), 0
	d.readings, d.gone, d.steady = nil, true, false
	d.show()
}

// refresh puts on the scale what the drink's step weighs next, with a tare in
// between. What is on it goes on, though its target may have moved.
func (d *desk) refresh() {
	if d.readings == nil {
		return
	}
	inTurn, all := d.kitchen.ToWeigh(d.itemID)
	for _, a := range all {
		if d.has && a.Key == d.amount.Key {
			d.amount, d.weighing.Band = a, a.Band
			d.show()
			return
		}
	}
	if len(inTurn) == 0 {
		d.putOn(nil)
		return
	}
	d.putOn(&inTurn[0])
}

// putOn begins an amount, the bowl with what is in it as the new zero.
func (d *desk) putOn(a *Amount) {
	_ = d.scale.Tare() // where the scale is gone its readings end, which is said
	d.has, d.beforeG, d.last, d.takenG, d.steady = a != nil, 0, 0, 0, false
	d.amount, d.weighing = Amount{}, plan.Weighing{}
	if a != nil {
		d.amount, d.weighing = *a, plan.Weighing{Band: a.Band}
	}
	d.show()
}

func (d *desk) show() { d.kitchen.Show(d.now()) }

// barBeyond is how far the bar goes past the band, so that over is to be seen.
const barBeyond = 1.12

func (d *desk) now() Now {
	_, standIn := d.scale.(*device.StandIn)
	connected := d.readings != nil
	out := Now{
		Connected: connected, StandIn: standIn, Own: d.scale == d.own, Sends: d.own.Sends(d.silentFor), Station: d.id,
		Name: d.scale.Name(), ItemID: d.itemID, Unit: "g", Decimals: d.decimals, Verdict: plan.Nothing, Gone: d.gone,
	}
	out.Waits = connected && out.Own && d.own.Waits()
	out.MassG, out.Steady = d.massG(), d.steady && connected
	if !d.has {
		return out
	}
	a := d.amount
	out.Key, out.Amount, out.Verdict = a.Key, a.Name, a.Band.Judge(out.MassG)
	if a.Open {
		return out
	}
	out.TargetG, out.ToGoG = a.MassG, a.MassG-out.MassG
	top := math.Max(a.Band.HighG*barBeyond, out.MassG)
	out.FillPct, out.LowPct, out.HighPct = 100*math.Max(0, out.MassG)/top, 100*a.Band.LowG/top, 100*a.Band.HighG/top
	return out
}
