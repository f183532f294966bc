package cooking

import (
	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/app"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/weighing"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// ScaleNow is what the scale shows, with what happened to it in words.
type ScaleNow struct {
	weighing.Now
	Note string `json:"note" doc:"what happened to the scale; empty where all is well"`
}

func scaleShows(n weighing.Now) ScaleNow {
	out := ScaleNow{Now: n}
	if n.Gone {
		out.Note = wording.ScaleGone()
	}
	return out
}

func (s Service) ScaleNow() (ScaleNow, error) { return scaleShows(s.Station.Now()), nil }

// OnScale names the planned drink that is weighed, and the scale.
type OnScale struct {
	ItemID int64 `json:"itemID" minimum:"1"`
	Own    bool  `json:"own,omitempty" doc:"the cook's own scale, whose readings are sent"`
}

// ScaleReading is what the cook's own scale shows: as the line it says itself, or as a mass.
type ScaleReading struct {
	Line   string   `json:"line,omitempty" maxLength:"80" doc:"such as ST,+ 123.4 g"`
	MassG  *float64 `json:"massG,omitempty" minimum:"-20000" maximum:"20000"`
	Steady *bool    `json:"steady,omitempty" doc:"of a mass; found out from the readings before where it is left out"`
}

// SendReading takes a reading of the cook's own scale.
func (s Service) SendReading(in ScaleReading) (app.Nothing, error) {
	if in.MassG == nil {
		return app.Nothing{Done: true}, s.Station.SendLine(in.Line, s.Now())
	}
	s.Station.Send(*in.MassG, in.Steady, s.Now())
	return app.Nothing{Done: true}, nil
}

func (s Service) ConnectScale(in OnScale) (ScaleNow, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return ScaleNow{}, err
	}
	if settings.ScaleG == 0 {
		return ScaleNow{}, fault.New("itemID", "", "no-scale")
	}
	if err := s.Station.Connect(in.ItemID, settings.ScaleG, in.Own); err != nil {
		return ScaleNow{}, err
	}
	return s.ScaleNow()
}

func (s Service) DisconnectScale() (ScaleNow, error) {
	s.Station.Disconnect()
	return s.ScaleNow()
}

func (s Service) TareScale() (ScaleNow, error) {
	if err := s.Station.Tare(); err != nil {
		return ScaleNow{}, err
	}
	return s.ScaleNow()
}

// ForAmount names an amount of the drink on the scale.
type ForAmount struct {
	Key string `json:"key" maxLength:"200"`
}

func (s Service) ChooseAmount(in ForAmount) (ScaleNow, error) {
	if err := s.Station.Choose(in.Key); err != nil {
		return ScaleNow{}, err
	}
	return s.ScaleNow()
}

// TakeReading takes down what the scale shows, as it is.
func (s Service) TakeReading() (WeighedChange, error) {
	taken, err := s.Station.Take()
	if err != nil {
		return WeighedChange{}, err
	}
	s.Station.Refresh()
	return s.weighedChange(taken.ItemID, taken.Key)
}

// Worktop is what the weighing station needs of the kitchen.
type Worktop struct{ Service }

// ToWeigh are the amounts of a drink's front step that are not settled.
func (w Worktop) ToWeigh(itemID int64) (inTurn, all []weighing.Amount) {
	items, at, err := planning.Of(w.Kitchen).Item(itemID)
	if err != nil {
		return nil, nil
	}
	l, err := planning.Of(w.Kitchen).PlanView()
	if err != nil {
		return nil, nil
	}
	steps := planning.WithUsed(items[at].Steps, l.Weighings[itemID])
	f, ok := plan.FrontOf(steps, l.Now)
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
func (w Worktop) TakeDown(t weighing.Taken) error {
	if err := w.store.Weigh(store.Weighing{ItemID: t.ItemID, Key: t.Key, MassG: t.MassG, ByScale: true, Taken: t.AsItIs}); err != nil {
		return err
	}
	_, err := w.wasWeighed(t.ItemID, t.Key)
	return err
}

// Show sends what the scale shows to those who follow.
func (w Worktop) Show(n weighing.Now) {
	w.Tell.Shows(scaleShows(n))
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

// DriveStandIn answers nothing of the scale: what comes of it is read off it.
func (s Service) DriveStandIn(in Drive) (app.Nothing, error) {
	standIn, ok := s.Station.StandIn()
	if !ok {
		return app.Nothing{}, fault.New("pourG", "", "scale-is-real")
	}
	speed := in.GPerS
	if speed == 0 {
		speed = usualGPerS
	}
	switch {
	case in.Unplug:
		standIn.Unplug()
	case in.Plug:
		standIn.Plug()
	case in.Lift:
		standIn.Lift()
	default:
		standIn.Pour(in.PourG, speed)
	}
	return app.Nothing{Done: true}, nil
}
