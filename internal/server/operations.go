package server

import (
	"cmp"
	"context"
	"encoding/json"
	"net/http"
	"strconv"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/fault"
	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// body wraps what an operation answers.
type body[T any] struct{ Body T }

// operation registers one operation; its errors become problems.
func operation[In, Out any](s *server, api huma.API, method, path, id, summary string, handle func(*In) (Out, error)) {
	huma.Register(api, huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary},
		func(_ context.Context, in *In) (*body[Out], error) {
			out, err := handle(in)
			if err != nil {
				return nil, s.problem(err)
			}
			withLists(&out)
			return &body[Out]{out}, nil
		})
}

// acted wraps what an act answers, with the number by which it is taken back.
type acted[T any] struct {
	Undo string `header:"Undo"`
	Body T
}

// undoable says of an act that it can be taken back.
const undoable = true

// act registers an operation that does something: as one, once however often
// the same request comes, and told to those who follow. Its errors become
// problems.
func act[In, Out any](s *server, api huma.API, method, path, id, summary string, canUndo bool, handle func(*server, *In) (Out, error)) {
	huma.Register(api, huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary},
		func(ctx context.Context, in *In) (*acted[Out], error) {
			who, _ := ctx.Value(callerKey{}).(caller)
			out, seen := acted[Out]{}, &stale{}
			done, err := s.store.Act(store.Act{Key: who.key, What: who.what, Undoable: canUndo}, func(within *store.Store) ([]byte, error) {
				var err error
				if out.Body, err = handle(s.within(within, seen), in); err != nil || who.key == "" {
					return nil, err
				}
				return json.Marshal(out.Body)
			})
			if err == nil && done.Before {
				err = json.Unmarshal(done.Answer, &out.Body)
			}
			if err != nil {
				return nil, s.problem(err)
			}
			if done.Undo != 0 {
				out.Undo = strconv.FormatInt(done.Undo, 10)
			}
			s.happened(*seen)
			withLists(&out.Body)
			return &out, nil
		})
}

// stale is what an act made out of date of all that is remembered.
type stale struct{ ways, record bool }

// within is the server inside a transaction. What it puts together there is
// its own, and what it makes out of date is so once it is kept.
func (s *server) within(tx *store.Store, seen *stale) *server {
	in := *s
	in.store, in.caches, in.stale = tx, s.caches.copy(), seen
	return &in
}

// happened forgets what is out of date, and tells those who follow.
func (s *server) happened(seen stale) {
	if seen.ways {
		s.changed()
	}
	if seen.record {
		s.forgetRecord()
	}
	s.station.Refresh()
	s.events.tell()
}

type undoInput struct {
	ID int64 `path:"id" minimum:"1" doc:"from the Undo header of what was done"`
}

// undo takes back something that was done.
func (s *server) undo(in *undoInput) (Nothing, error) {
	if err := s.store.Undo(in.ID); err != nil {
		return Nothing{}, err
	}
	s.happened(stale{ways: true, record: true})
	return Nothing{Done: true}, nil
}

func (s *server) register(api huma.API) {
	operation(s, api, http.MethodPost, "/api/undo/{id}", "undo", "Take back what was done", s.undo)
	get, post, put, remove := http.MethodGet, http.MethodPost, http.MethodPut, http.MethodDelete
	operation(s, api, get, "/api/kitchen", "kitchen", "The kitchen's own ways", s.kitchen)
	operation(s, api, put, "/api/kitchen", "set-kitchen", "Change the kitchen's ways", s.setKitchen)
	operation(s, api, put, "/api/kitchen/time-zone", "begin-in-zone", "The time zone of a kitchen that has none yet", s.beginInZone)
	operation(s, api, get, "/api/ingredients", "find-ingredients", "Ingredients for a type-ahead", s.findIngredients)
	operation(s, api, post, "/api/lines", "read-line", "Read one line as people write it", s.readLine)
	operation(s, api, post, "/api/reckonings", "reckon", "Reckon a drink", s.reckon)
	operation(s, api, post, "/api/recipes/at-size", "write-at-size", "Write a recipe anew at its size", s.writeAtSize)
	operation(s, api, get, "/api/drinks", "drinks", "All drinks, the one worked on last first", s.drinks)
	act(s, api, post, "/api/drinks", "start-drink", "Begin a new drink", !undoable, (*server).startDrink)
	operation(s, api, get, "/api/drinks/{id}", "drink", "A drink with its draft and versions", s.drink)
	act(s, api, remove, "/api/drinks/{id}", "remove-drink", "Remove a drink that was never made", undoable, (*server).removeDrink)
	operation(s, api, put, "/api/drinks/{id}/draft", "save-draft", "Save what is being worked on", s.saveDraft)
	act(s, api, post, "/api/drinks/{id}/versions", "keep-version", "Keep the draft as a version", !undoable, (*server).keepVersion)
	act(s, api, post, "/api/drinks/{id}/batches", "make-batch", "Mark a batch made and bottle it", undoable, (*server).makeBatch)
	s.registerEntry(api)
	s.registerPantry(api)
	s.registerRecipetion(api)
	s.registerPlan(api)
	s.registerCook(api)
	s.registerWeigh(api)
	s.registerScale(api)
	s.registerThermometer(api)
	s.registerPacks(api)
	operation(s, api, get, "/api/shelf", "shelf", "Bottles in use, the one to use first first", s.shelf)
	act(s, api, post, "/api/bottles/{id}/pours", "pour", "Pour from a bottle", undoable, (*server).pour)
	act(s, api, post, "/api/bottles/{id}/merge", "merge", "Pour two leftovers together", undoable, (*server).merge)
	act(s, api, post, "/api/pulps/{id}/end", "end-pulp", "Say what became of a pulp", undoable, (*server).endPulp)
	act(s, api, post, "/api/pulps/{id}/freeze", "freeze-pulp", "Put a pulp into the freezer", undoable, (*server).freezePulp)
	operation(s, api, get, "/api/rhythm", "rhythm", "When to make the chosen drinks, and how much", s.rhythm)
	operation(s, api, put, "/api/rhythm", "set-rhythm", "Choose the drinks and the days", s.setRhythm)
	operation(s, api, get, "/api/labels", "labels", "What is written on bottles", s.labels)
	operation(s, api, get, "/api/bottles/{id}/story", "story", "All that happened to a bottle", s.story)
	act(s, api, post, "/api/bottles/{id}/move", "move-bottle", "Put a bottle elsewhere", undoable, (*server).moveBottle)
	act(s, api, post, "/api/bottles/{id}/undo-pour", "undo-pour", "Take back the last pour", !undoable, (*server).undoPour)
	act(s, api, post, "/api/bottles/{id}/finish", "finish", "Say that a bottle was used up", undoable, (*server).finish)
	act(s, api, post, "/api/bottles/{id}/throw-out", "throw-out", "Throw a bottle out, and why", undoable, (*server).throwOut)
}

// Nothing is the answer of an operation that has none.
type Nothing struct {
	Done bool `json:"done"`
}

type noInput struct{}

type ByID struct {
	ID int64 `path:"id" minimum:"1"`
}

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
	Revision   int     `json:"revision,omitempty" minimum:"0" doc:"as it was read, so that nothing set since is written over; 0 writes over whatever there is"`
}

// SettingsNow are the settings, and what day it is there.
type SettingsNow struct {
	Settings
	Today string `json:"today" doc:"the kitchen's date"`
}

func (s *server) kitchen(*noInput) (SettingsNow, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return SettingsNow{}, err
	}
	return SettingsNow{
		Settings{
			settings.System, settings.School, settings.FridgeC, settings.JugML, settings.Theme,
			settings.Currency, orEmpty(settings.Measures), settings.ScaleG, settings.KitchenC, settings.HandsQuiet, settings.NoiseQuiet,
			settings.TimeZone, settings.Blender, settings.TapC, settings.PanCM, settings.Revision,
		},
		s.now().Format(dateLayout),
	}, nil
}

func (s *server) setKitchen(in *body[Settings]) (SettingsNow, error) {
	k := in.Body
	larder, err := s.store.Larder()
	if err != nil {
		return SettingsNow{}, err
	}
	settings := store.Settings{
		System: k.System, School: k.School, FridgeC: k.FridgeC, JugML: k.JugML, Theme: k.Theme,
		Currency: k.Currency, Measures: k.Measures, ScaleG: k.ScaleG,
		KitchenC: k.KitchenC, HandsQuiet: k.HandsQuiet, NoiseQuiet: k.NoiseQuiet, TimeZone: k.TimeZone, Revision: k.Revision,
		Blender: cmp.Or(k.Blender, "regular"), TapC: cmp.Or(k.TapC, process.TapC), PanCM: k.PanCM,
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
	err = s.store.SetSettings(settings)
	if isConflict(err) {
		return SettingsNow{}, s.bothOf(k, func() (any, error) { now, err := s.kitchen(nil); return now.Settings, err })
	}
	if err != nil {
		return SettingsNow{}, err
	}
	s.changed()
	return s.kitchen(nil)
}

// Zone is where a browser stands.
type Zone struct {
	TimeZone string `json:"timeZone" minLength:"1" maxLength:"60" doc:"an IANA name such as Europe/London"`
}

// beginInZone sets a kitchen's time zone where it has none: the first browser
// that opens it tells where it stands.
func (s *server) beginInZone(in *body[Zone]) (SettingsNow, error) {
	if _, err := kitchen.ParseZone(in.Body.TimeZone); err != nil {
		return SettingsNow{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return SettingsNow{}, err
	}
	if settings.TimeZone != "" {
		return s.kitchen(nil)
	}
	settings.TimeZone = in.Body.TimeZone
	if err := s.store.SetSettings(settings); err != nil {
		return SettingsNow{}, err
	}
	s.changed()
	return s.kitchen(nil)
}

type findInput struct {
	Typed string `query:"typed" maxLength:"300" doc:"the beginning of a name, with or without an amount before it"`
}

// maxSuggestions is as many as a type-ahead shows.
const maxSuggestions = 8

func (s *server) findIngredients(in *findInput) ([]Suggestion, error) {
	ways, err := s.setup()
	if err != nil {
		return nil, err
	}
	amount, name, err := ways.Reader.ParseLeading(in.Typed)
	if err != nil {
		return []Suggestion{}, nil // the amount is refused when the line is read
	}
	return suggest(amount, ways.Catalogue.Suggest(name, maxSuggestions)), nil
}

// TypedLine is a line as people write it.
type TypedLine struct {
	Text string `json:"text" minLength:"1" maxLength:"2000"`
}

func (s *server) readLine(in *body[TypedLine]) (kitchen.Line, error) {
	ways, err := s.setup()
	if err != nil {
		return kitchen.Line{}, err
	}
	return kitchen.ReadLine(in.Body.Text, ways)
}

// ToReckon is a drink as it stands on the Bench.
type ToReckon struct {
	Name   string         `json:"name" maxLength:"120"`
	Recipe kitchen.Recipe `json:"recipe"`
	MadeOn string         `json:"madeOn" maxLength:"10" doc:"the date its life counts from; empty for today"`
}

func (s *server) reckon(in *body[ToReckon]) (Reckoning, error) {
	madeOn, err := s.madeOn(in.Body.MadeOn)
	if err != nil {
		return Reckoning{}, err
	}
	return s.reckonRecipe(in.Body.Name, in.Body.Recipe, madeOn)
}

func (s *server) reckonRecipe(name string, f kitchen.Recipe, madeOn time.Time) (Reckoning, error) {
	d, lineErrors, err := s.read(name, f)
	if err != nil {
		return Reckoning{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return Reckoning{}, err
	}
	keys := make([]string, len(f.Lines))
	for n, l := range f.Lines {
		keys[n] = l.Key
	}
	return present(&d, keys, lineErrors, r, madeOn), nil
}

// read brings a recipe into the core, the kitchen's way.
func (s *server) read(name string, f kitchen.Recipe) (reckon.Drink, []error, error) {
	ways, err := s.setup()
	if err != nil {
		return reckon.Drink{}, nil, err
	}
	return f.Drink(name, ways)
}

// madeOn reads a date that is not in the future; empty is today.
func (s *server) madeOn(text string) (time.Time, error) {
	today := s.now()
	if text == "" || text == today.Format(dateLayout) {
		return today, nil
	}
	date, err := time.ParseInLocation(dateLayout, text, today.Location())
	if err != nil {
		return today, fault.New("madeOn", text, "not-a-date")
	}
	if date.After(today) {
		return today, fault.New("madeOn", text, "date-in-future")
	}
	if today.Sub(date) > longestAgo {
		return today, fault.New("madeOn", text, "date-too-long-ago")
	}
	return date, nil
}

const longestAgo = 366 * 24 * time.Hour

func (s *server) writeAtSize(in *body[ToReckon]) (kitchen.Recipe, error) {
	d, _, err := s.read(in.Body.Name, in.Body.Recipe)
	if err != nil {
		return kitchen.Recipe{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return kitchen.Recipe{}, err
	}
	return in.Body.Recipe.AtSize(r), nil
}
