package shelf

import (
	"errors"
	"io"
	"math"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/internal/device"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// stripFor is how far back the strip goes, and stripPoints into how many
// stretches it is parted.
const (
	stripFor    = 7 * 24 * time.Hour
	stripPoints = 336
)

// Thermo is what the fridge's thermometer saw in the last seven days.
type Thermo struct {
	Connected bool        `json:"connected"`
	StandIn   bool        `json:"standIn" doc:"it is not a real one: the screen moves its fridge"`
	Name      string      `json:"name"`
	SetC      float64     `json:"setC" doc:"what the fridge is set to"`
	From      time.Time   `json:"from"`
	To        time.Time   `json:"to"`
	LastC     *float64    `json:"lastC,omitempty"`
	LastAt    *time.Time  `json:"lastAt,omitempty"`
	Points    []StripTemp `json:"points" doc:"the least and the most of each stretch that was read"`
	Spells    []WarmSpell `json:"spells" doc:"above 5 °C"`
	Note      string      `json:"note" doc:"gaps and nonsense; empty where there were none"`
	Imports   []Import    `json:"imports" doc:"the files taken in last, which can be taken back"`
}

// StripTemp is a stretch of the strip.
type StripTemp struct {
	At   time.Time `json:"at"`
	Low  float64   `json:"lowC"`
	High float64   `json:"highC"`
}

// WarmSpell is a stretch above 5 °C and the life it cost.
type WarmSpell struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	MostC float64   `json:"mostC"`
	Days  float64   `json:"days" doc:"of life at 4 °C"`
	Words string    `json:"words"`
}

func (s Service) Thermometer() (Thermo, error) {
	now := s.Now()
	settings, err := s.store.Settings()
	if err != nil {
		return Thermo{}, err
	}
	kept, err := s.store.Temperatures(now.Add(-stripFor))
	if err != nil {
		return Thermo{}, err
	}
	s.Probe.Mu.Lock()
	_, standIn := s.Probe.Meter.(*device.StandInFridge)
	out := Thermo{
		Connected: s.Probe.Connected, StandIn: standIn, Name: s.Probe.Meter.Name(), SetC: settings.FridgeC,
		From: now.Add(-stripFor), To: now, Points: []StripTemp{}, Spells: []WarmSpell{},
	}
	nonsense := s.Probe.Nonsense
	s.Probe.Mu.Unlock()
	record := keep.NewRecord(s.AsReadings(kept), settings.FridgeC)
	out.strip(record)
	school, err := keep.ParseSchool(settings.School)
	if err != nil {
		return out, err
	}
	if len(record.Readings) > 0 {
		first := record.Readings[0].At
		for _, sp := range record.Spells(first, now, keep.WarmFridgeC, school) {
			out.Spells = append(out.Spells, WarmSpell{sp.From, sp.To, sp.MostC, sp.Days, wording.Say("warm-spell", sp.Lasted().Hours(), sp.MostC)})
		}
		last := record.Readings[len(record.Readings)-1]
		out.LastC, out.LastAt = &last.TempC, &last.At
	}
	out.Note = noteOf(record, now, school, nonsense+record.Nonsense)
	out.Imports, err = s.imports()
	return out, err
}

// strip parts the record into stretches.
func (t *Thermo) strip(r keep.Record) {
	each := stripFor / stripPoints
	for _, reading := range r.Readings {
		at := t.From.Add(reading.At.Sub(t.From).Truncate(each))
		last := len(t.Points) - 1
		if last < 0 || !t.Points[last].At.Equal(at) {
			t.Points = append(t.Points, StripTemp{at, reading.TempC, reading.TempC})
			continue
		}
		t.Points[last].Low, t.Points[last].High = math.Min(t.Points[last].Low, reading.TempC), math.Max(t.Points[last].High, reading.TempC)
	}
}

func noteOf(r keep.Record, now time.Time, school keep.School, nonsense int) string {
	var said []string
	if longest := r.LongestGap(now); longest > 0 {
		said = append(said, wording.Say("longest-gap-"+string(school), longest.Hours()))
	}
	if nonsense > 0 {
		said = append(said, wording.Say("faulty-readings", nonsense))
	}
	return strings.Join(said, " ")
}

func (s Service) ConnectThermometer() (Thermo, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return Thermo{}, err
	}
	if fridge, ok := s.Probe.Meter.(*device.StandInFridge); ok {
		fridge.Set(settings.FridgeC, settings.KitchenC)
	}
	readings, err := s.Probe.Meter.Connect()
	if err != nil {
		return Thermo{}, err
	}
	s.Probe.Mu.Lock()
	s.Probe.Nth++
	nth := s.Probe.Nth
	s.Probe.Connected, s.Probe.Nonsense = true, 0
	s.Probe.Mu.Unlock()
	go s.followFridge(readings, nth)
	return s.Thermometer()
}

// followFridge keeps what the thermometer reads until it is gone.
func (s Service) followFridge(readings <-chan device.Temperature, nth int) {
	for r := range readings {
		if !keep.IsOfAFridge(r.TempC) {
			s.Probe.Mu.Lock()
			s.Probe.Nonsense++
			s.Probe.Mu.Unlock()
			continue
		}
		if err := s.store.KeepTemperatures([]store.Temperature{{At: r.At.Unix(), TempC: r.TempC}}); err != nil {
			s.Log.Error("a temperature could not be kept", "error", err)
		}
		s.RecordOlder(r.At)
	}
	s.Probe.Mu.Lock()
	defer s.Probe.Mu.Unlock()
	if s.Probe.Nth == nth {
		s.Probe.Connected = false
	}
}

func (s Service) DisconnectThermometer() (Thermo, error) {
	s.Probe.Meter.Disconnect()
	s.Probe.Mu.Lock()
	s.Probe.Connected = false
	s.Probe.Nth++
	s.Probe.Mu.Unlock()
	return s.Thermometer()
}

// FridgeDrive is what is done to the stand-in fridge, for so many minutes.
type FridgeDrive struct {
	What    string `json:"what" enum:"door,power cut,warm load,silence,nonsense"`
	Minutes int    `json:"minutes" minimum:"1" maximum:"1440"`
}

func (s Service) DriveFridge(in FridgeDrive) (Thermo, error) {
	fridge, ok := s.Probe.Meter.(*device.StandInFridge)
	if !ok {
		return Thermo{}, fault.New("what", in.What, "fridge-is-real")
	}
	d := time.Duration(in.Minutes) * time.Minute
	switch in.What {
	case "door":
		fridge.OpenDoor(d)
	case "power cut":
		fridge.CutPower(d)
	case "warm load":
		fridge.WarmLoad()
	case "silence":
		fridge.Silence(d)
	default:
		fridge.Nonsense(in.Minutes)
	}
	return s.Thermometer()
}

// WriteTemperatures writes all readings as CSV.
func (s Service) WriteTemperatures(w io.Writer) error {
	var failed error
	err := exchange.WriteTemperatures(w, func(yield func(exchange.Temperature) bool) {
		failed = s.store.EachTemperature(func(t store.Temperature) bool {
			return yield(exchange.Temperature{At: time.Unix(t.At, 0), TempC: t.TempC})
		})
	})
	return errors.Join(err, failed)
}
