package server

import (
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/goccy/go-json"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/app/weighing"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

func (s *server) registerScale(api huma.API) {
	operation(s, api, http.MethodGet, "/api/scale", "scale", "What the scale shows, and what is weighed on it", s.scaleNow)
	operation(s, api, http.MethodPost, "/api/scale/connect", "connect-scale", "Read the scale for a planned drink", s.connectScale)
	operation(s, api, http.MethodPost, "/api/scale/disconnect", "disconnect-scale", "Read the scale no more", s.disconnectScale)
	operation(s, api, http.MethodPost, "/api/scale/tare", "tare-scale", "Make what lies on the scale the new zero", s.tareScale)
	operation(s, api, http.MethodPost, "/api/scale/amount", "choose-amount", "Weigh another amount next", s.chooseAmount)
	operation(s, api, http.MethodPost, "/api/scale/take", "take-reading", "Take down what the scale shows as it is", s.takeReading)
	operation(s, api, http.MethodPost, "/api/scale/stand-in", "drive-stand-in", "Pour onto the stand-in scale, or pull its plug", s.driveStandIn)
}

// ScaleNow is what the scale shows, with what happened to it in words.
type ScaleNow struct {
	weighing.Now
	Note string `json:"note" doc:"what happened to the scale; empty where all is well"`
}

func scaleShows(n weighing.Now) ScaleNow {
	out := ScaleNow{Now: n}
	if n.Gone {
		out.Note = wording.ScaleGone
	}
	return out
}

func (s *server) scaleNow(*noInput) (ScaleNow, error) { return scaleShows(s.station.Now()), nil }

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
		return ScaleNow{}, fault.New("itemID", "", "no-scale")
	}
	if err := s.station.Connect(in.Body.ItemID, settings.ScaleG); err != nil {
		return ScaleNow{}, err
	}
	return s.scaleNow(nil)
}

func (s *server) disconnectScale(*noInput) (ScaleNow, error) {
	s.station.Disconnect()
	return s.scaleNow(nil)
}

func (s *server) tareScale(*noInput) (ScaleNow, error) {
	if err := s.station.Tare(); err != nil {
		return ScaleNow{}, err
	}
	return s.scaleNow(nil)
}

// ForAmount names an amount of the drink on the scale.
type ForAmount struct {
	Key string `json:"key" maxLength:"200"`
}

func (s *server) chooseAmount(in *body[ForAmount]) (ScaleNow, error) {
	if err := s.station.Choose(in.Body.Key); err != nil {
		return ScaleNow{}, err
	}
	return s.scaleNow(nil)
}

// takeReading takes down what the scale shows, as it is.
func (s *server) takeReading(*noInput) (WeighedChange, error) {
	taken, err := s.station.Take()
	if err != nil {
		return WeighedChange{}, err
	}
	s.station.Refresh()
	return s.weighedChange(taken.ItemID, taken.Key)
}

// worktop is what the weighing station needs of the kitchen.
type worktop struct{ *server }

// ToWeigh are the amounts of a drink's front step that are not settled.
func (w worktop) ToWeigh(itemID int64) (inTurn, all []weighing.Amount) {
	items, at, err := w.item(itemID)
	if err != nil {
		return nil, nil
	}
	l, err := w.planView()
	if err != nil {
		return nil, nil
	}
	steps := withUsed(items[at].Steps, l.weighings[itemID])
	f, ok := plan.FrontOf(steps, l.now)
	if !ok || f.Step < 0 {
		return nil, nil
	}
	for _, a := range steps[f.Step].Amounts {
		if a.Used != nil && a.Used.Settled {
			continue
		}
		amount := weighing.Amount{Key: a.Key, Name: a.Name, MassG: a.MassG, Band: plan.Band{LowG: a.LowG, HighG: a.HighG}, Open: a.Open}
		all = append(all, amount)
		if steps[f.Step].Weighs(a) {
			inTurn = append(inTurn, amount)
		}
	}
	return inTurn, all
}

// TakeDown keeps what the scale showed, and tells those who follow.
func (w worktop) TakeDown(t weighing.Taken) error {
	if err := w.store.Weigh(store.Weighing{ItemID: t.ItemID, Key: t.Key, MassG: t.MassG, ByScale: true, Taken: t.AsItIs}); err != nil {
		return err
	}
	_, err := w.wasWeighed(t.ItemID, t.Key)
	return err
}

// Show sends what the scale shows to those who follow.
func (w worktop) Show(n weighing.Now) {
	if data, err := json.Marshal(scaleShows(n)); err == nil {
		w.events.show(data)
	}
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
	standIn, ok := s.station.StandIn()
	if !ok {
		return Nothing{}, fault.New("pourG", "", "scale-is-real")
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
