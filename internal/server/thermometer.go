package server

import (
	"errors"
	"fmt"
	"io"
	"math"
	"net/http"
	"strings"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"

	"plushladle/core/fault"
	"plushladle/core/keep"
	"plushladle/internal/device"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
)

func (s *server) registerThermometer(api huma.API) {
	operation(s, api, http.MethodGet, "/api/thermometer", "thermometer", "What the fridge's thermometer saw", s.thermometer)
	operation(s, api, http.MethodPost, "/api/thermometer/connect", "connect-thermometer", "Read the thermometer", s.connectThermometer)
	operation(s, api, http.MethodPost, "/api/thermometer/disconnect", "disconnect-thermometer", "Read it no more", s.disconnectThermometer)
	operation(s, api, http.MethodPost, "/api/thermometer/stand-in", "drive-fridge", "Open the stand-in fridge's door, cut its power, and the like", s.driveFridge)
	act(s, api, http.MethodPost, "/api/thermometer/readings", "read-temperatures", "Take readings in from CSV", undoable, (*server).readTemperatures)
}

// probe is the thermometer as it is read.
type probe struct {
	mu        sync.Mutex
	meter     device.Thermometer
	connected bool
	nth       int
	nonsense  int // readings of no fridge since it was connected
}

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

func (s *server) thermometer(*noInput) (Thermo, error) {
	now := s.now()
	settings, err := s.store.Settings()
	if err != nil {
		return Thermo{}, err
	}
	kept, err := s.store.Temperatures(now.Add(-stripFor))
	if err != nil {
		return Thermo{}, err
	}
	s.probe.mu.Lock()
	_, standIn := s.probe.meter.(*device.StandInFridge)
	out := Thermo{
		Connected: s.probe.connected, StandIn: standIn, Name: s.probe.meter.Name(), SetC: settings.FridgeC,
		From: now.Add(-stripFor), To: now, Points: []StripTemp{}, Spells: []WarmSpell{},
	}
	nonsense := s.probe.nonsense
	s.probe.mu.Unlock()
	record := keep.NewRecord(s.asReadings(kept), settings.FridgeC)
	out.strip(record)
	school, err := keep.ParseSchool(settings.School)
	if err != nil {
		return out, err
	}
	if len(record.Readings) > 0 {
		first := record.Readings[0].At
		for _, sp := range record.Spells(first, now, keep.WarmFridgeC, school) {
			out.Spells = append(out.Spells, WarmSpell{sp.From, sp.To, sp.MostC, sp.Days, fmt.Sprintf("%.1f h above 5 °C, up to %.1f °C", sp.Lasted().Hours(), sp.MostC)})
		}
		last := record.Readings[len(record.Readings)-1]
		out.LastC, out.LastAt = &last.TempC, &last.At
	}
	out.Note = noteOf(record, now, school, nonsense+record.Nonsense)
	return out, nil
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
		held := "the last reading is taken to have lasted, by the cautious school"
		if school == keep.Customary {
			held = "what the fridge is set to is taken for it, by custom"
		}
		said = append(said, fmt.Sprintf("Nothing was read for %.1f hours at the longest; %s.", longest.Hours(), held))
	}
	if nonsense > 0 {
		said = append(said, fmt.Sprintf("%d readings of no fridge were left out.", nonsense))
	}
	return strings.Join(said, " ")
}

func (s *server) connectThermometer(*noInput) (Thermo, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return Thermo{}, err
	}
	if fridge, ok := s.probe.meter.(*device.StandInFridge); ok {
		fridge.Set(settings.FridgeC, settings.KitchenC)
	}
	readings, err := s.probe.meter.Connect()
	if err != nil {
		return Thermo{}, err
	}
	s.probe.mu.Lock()
	s.probe.nth++
	nth := s.probe.nth
	s.probe.connected, s.probe.nonsense = true, 0
	s.probe.mu.Unlock()
	go s.followFridge(readings, nth)
	return s.thermometer(nil)
}

// followFridge keeps what the thermometer reads until it is gone.
func (s *server) followFridge(readings <-chan device.Temperature, nth int) {
	for r := range readings {
		if !keep.IsOfAFridge(r.TempC) {
			s.probe.mu.Lock()
			s.probe.nonsense++
			s.probe.mu.Unlock()
			continue
		}
		if err := s.store.KeepTemperatures([]store.Temperature{{At: r.At.Unix(), TempC: r.TempC}}); err != nil {
			s.log.Error("a temperature could not be kept", "error", err)
		}
		s.recordOlder(r.At)
	}
	s.probe.mu.Lock()
	defer s.probe.mu.Unlock()
	if s.probe.nth == nth {
		s.probe.connected = false
	}
}

func (s *server) disconnectThermometer(*noInput) (Thermo, error) {
	s.probe.meter.Disconnect()
	s.probe.mu.Lock()
	s.probe.connected = false
	s.probe.nth++
	s.probe.mu.Unlock()
	return s.thermometer(nil)
}

// FridgeDrive is what is done to the stand-in fridge, for so many minutes.
type FridgeDrive struct {
	What    string `json:"what" enum:"door,power cut,warm load,silence,nonsense"`
	Minutes int    `json:"minutes" minimum:"1" maximum:"1440"`
}

func (s *server) driveFridge(in *body[FridgeDrive]) (Thermo, error) {
	fridge, ok := s.probe.meter.(*device.StandInFridge)
	if !ok {
		return Thermo{}, fault.New("what", in.Body.What, "fridge-is-real")
	}
	d := time.Duration(in.Body.Minutes) * time.Minute
	switch in.Body.What {
	case "door":
		fridge.OpenDoor(d)
	case "power cut":
		fridge.CutPower(d)
	case "warm load":
		fridge.WarmLoad()
	case "silence":
		fridge.Silence(d)
	default:
		fridge.Nonsense(in.Body.Minutes)
	}
	return s.thermometer(nil)
}

// TemperatureFile is a file of readings.
type TemperatureFile struct {
	CSV string `json:"csv" maxLength:"400000" doc:"time and °C, a line each"`
}

// TakenIn is what came of a file.
type TakenIn struct {
	Readings int                `json:"readings"`
	Refused  []exchange.Refused `json:"refused" doc:"the lines that were not understood, as they stand"`
}

func (s *server) readTemperatures(in *body[TemperatureFile]) (TakenIn, error) {
	read, refused := exchange.ReadTemperatures(in.Body.CSV, s.now().Location())
	if len(read) == 0 && len(refused) == 0 {
		return TakenIn{}, fault.New("csv", "", "no-readings")
	}
	if len(read) == 0 {
		return TakenIn{}, fault.New("csv", "", "no-usable-readings", refused[0].Line, refused[0].Why)
	}
	readings := make([]store.Temperature, len(read))
	for n, r := range read {
		readings[n] = store.Temperature{At: r.At.Unix(), TempC: r.TempC}
	}
	if err := s.store.KeepTemperatures(readings); err != nil {
		return TakenIn{}, err
	}
	s.forgetRecord()
	return TakenIn{len(read), orEmpty(refused)}, nil
}

// temperaturesCSV answers all readings as a file.
func (s *server) temperaturesCSV(c fiber.Ctx) error {
	return sendWritten(c, "fridge.csv", "text/csv; charset=utf-8", func(w io.Writer) error {
		var failed error
		err := exchange.WriteTemperatures(w, func(yield func(exchange.Temperature) bool) {
			failed = s.store.EachTemperature(func(t store.Temperature) bool {
				return yield(exchange.Temperature{At: time.Unix(t.At, 0), TempC: t.TempC})
			})
		})
		return errors.Join(err, failed)
	})
}
