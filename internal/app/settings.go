package app

import (
	"cmp"

	"plushladle/core/process"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Settings are how the kitchen measures, chills and keeps.
type Settings struct {
	System  string  `json:"system" enum:"us,metric,au,imperial"`
	School  string  `json:"school" enum:"cautious,customary"`
	FridgeC float64 `json:"fridgeC" minimum:"-2" maximum:"30" doc:"°C"`
	JugML   float64 `json:"jugML" minimum:"100" maximum:"50000" doc:"what one load may reach"`
	Theme   string  `json:"theme" enum:"system,day,night"`

	Currency string   `json:"currency" pattern:"^[A-Z]{3}$" patternDescription:"three capital letters, such as GBP"`
	Measures []string `json:"measures" maxItems:"24" doc:"in the drawer, as written on them"`
	ScaleG   float64  `json:"scaleG" minimum:"0" maximum:"1000" doc:"what the scale reads to; 0 for none"`

	KitchenC   float64 `json:"kitchenC" minimum:"5" maximum:"45" doc:"temperature of the room, for soaks"`
	HandsQuiet string  `json:"handsQuiet" maxLength:"20" doc:"22:30-06:30, when nothing needs hands; empty for never"`
	NoiseQuiet string  `json:"noiseQuiet" maxLength:"20" doc:"and no blender runs"`
	TimeZone   string  `json:"timeZone,omitempty" maxLength:"60" doc:"an IANA name such as Europe/London; empty for the machine's own"`
	Blender    string  `json:"blender,omitempty" enum:"regular,high-speed" doc:"a high-speed one gets more out of nuts, and warms more"`
	TapC       float64 `json:"tapC,omitempty" minimum:"0" maximum:"60" doc:"the tap's water, °C; 0 for 15"`
	PanCM      float64 `json:"panCM,omitempty" minimum:"0" maximum:"80" doc:"the pan's diameter; 0 for one that suits"`

	Language    string `json:"language,omitempty" enum:"en,es" doc:"of what is said here"`
	Locale      string `json:"locale,omitempty" maxLength:"12" pattern:"^([a-z]{2}-[A-Z]{2})?$" doc:"of dates, clock and numbers, such as en-US; empty for the language's own"`
	Volumes     string `json:"volumes,omitempty" enum:"metric,us,imperial" doc:"what volumes are shown in"`
	Temperature string `json:"temperature,omitempty" enum:"c,f" doc:"what temperatures are shown in"`
	WeekStart   string `json:"weekStart,omitempty" enum:"monday,sunday,saturday"`
	Welcomed    bool   `json:"welcomed,omitempty" doc:"the first questions were answered or skipped"`

	Revision int `json:"revision,omitempty" minimum:"0" doc:"as it was read, so that nothing set since is written over; 0 writes over whatever there is"`
}

// SettingsNow are the settings, and what day it is there.
type SettingsNow struct {
	Settings
	Today string `json:"today" doc:"the kitchen's date"`
}

func (s *Kitchen) Settings() (SettingsNow, error) {
	settings, err := s.Store.Settings()
	if err != nil {
		return SettingsNow{}, err
	}
	return SettingsNow{
		Settings{
			settings.System, settings.School, settings.FridgeC, settings.JugML, settings.Theme,
			settings.Currency, OrEmpty(settings.Measures), settings.ScaleG, settings.KitchenC, settings.HandsQuiet, settings.NoiseQuiet,
			settings.TimeZone, settings.Blender, settings.TapC, settings.PanCM,
			settings.Language, settings.Locale, settings.Volumes, settings.Temperature, settings.WeekStart, settings.Welcomed, settings.Revision,
		},
		s.Now().Format(DateLayout),
	}, nil
}

func (s *Kitchen) SetSettings(in Settings) (SettingsNow, error) {
	k := in
	larder, err := s.Store.Larder()
	if err != nil {
		return SettingsNow{}, err
	}
	settings := store.Settings{
		System: k.System, School: k.School, FridgeC: k.FridgeC, JugML: k.JugML, Theme: k.Theme,
		Currency: k.Currency, Measures: k.Measures, ScaleG: k.ScaleG,
		KitchenC: k.KitchenC, HandsQuiet: k.HandsQuiet, NoiseQuiet: k.NoiseQuiet, TimeZone: k.TimeZone, Revision: k.Revision,
		Blender: cmp.Or(k.Blender, "regular"), TapC: cmp.Or(k.TapC, process.TapC), PanCM: k.PanCM,
		Language: cmp.Or(k.Language, "en"), Locale: k.Locale, Volumes: cmp.Or(k.Volumes, "metric"), Temperature: cmp.Or(k.Temperature, "c"),
		WeekStart: cmp.Or(k.WeekStart, "monday"), Welcomed: k.Welcomed,
	}
	if _, err := kitchen.ParseZone(k.TimeZone); err != nil {
		return SettingsNow{}, err
	}
	if _, err := kitchen.ParseQuiet("handsQuiet", k.HandsQuiet); err != nil {
		return SettingsNow{}, err
	}
	if _, err := kitchen.ParseQuiet("noiseQuiet", k.NoiseQuiet); err != nil {
		return SettingsNow{}, err
	}
	if _, err := drawerOf(readerOf(larder.Measures), settings); err != nil {
		return SettingsNow{}, err
	}
	err = s.Store.SetSettings(settings)
	if IsConflict(err) {
		return SettingsNow{}, BothOf(k, func() (any, error) { now, err := s.Settings(); return now.Settings, err })
	}
	if err != nil {
		return SettingsNow{}, err
	}
	s.Changed()
	if _, err := s.Setup(); err != nil { // which sets the language of what is said from here on
		return SettingsNow{}, err
	}
	return s.Settings()
}

// Zone is where a browser stands.
type Zone struct {
	TimeZone string `json:"timeZone" minLength:"1" maxLength:"60" doc:"an IANA name such as Europe/London"`
}

// BeginInZone sets a kitchen's time zone where it has none: the first browser
// that opens it tells where it stands.
func (s *Kitchen) BeginInZone(in Zone) (SettingsNow, error) {
	if _, err := kitchen.ParseZone(in.TimeZone); err != nil {
		return SettingsNow{}, err
	}
	settings, err := s.Store.Settings()
	if err != nil {
		return SettingsNow{}, err
	}
	if settings.TimeZone != "" {
		return s.Settings()
	}
	settings.TimeZone = in.TimeZone
	if err := s.Store.SetSettings(settings); err != nil {
		return SettingsNow{}, err
	}
	s.Changed()
	return s.Settings()
}

// DayCopy is a daily copy of the kitchen's file.
type DayCopy struct {
	Day string `json:"day" doc:"such as 2026-11-24"`
}

// Copies are the daily copies, the newest first.
func (k *Kitchen) Copies() ([]DayCopy, error) {
	out := []DayCopy{}
	for _, day := range k.Store.Copies() {
		out = append(out, DayCopy{day})
	}
	return out, nil
}
