// Package demo fills a kitchen with the demo: the galley of a lock-keeper's
// cottage by a canal. All of it is made up, and all of it goes in through the
// same requests that the front end makes.
package demo

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"slices"
	"testing/fstest"
	"time"

	kitchenhttp "plushladle/internal/http"

	"github.com/gofiber/fiber/v3"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/device"
	"plushladle/internal/exchange"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Fill puts the demo kitchen into an empty store, its bottles of every age
// seen from now.
func Fill(s *store.Store, now time.Time) error {
	c := &cook{now: now, drinkIDs: map[string]int64{}}
	clock := func() time.Time { return c.now }
	c.app = kitchenhttp.New(kitchenhttp.Config{Store: s.ByClock(clock), Now: clock, Web: fstest.MapFS{}, Log: slog.New(slog.DiscardHandler)})
	c.call(http.MethodPut, "/api/kitchen", app.Settings{
		System: "us", School: "cautious", FridgeC: 4, JugML: 1600, Theme: "system", Currency: "GBP", ScaleG: 1, Measures: drawer,
		KitchenC: 20, HandsQuiet: "22:30-06:30", NoiseQuiet: "21:00-07:30",
	}, nil)
	c.stock()
	for n := len(drinks) - 1; n >= 0; n-- { // the first drink is the one worked on last
		c.add(drinks[n], now)
	}
	c.lookThrough()
	c.fillUp()
	c.fridgeTrace()
	c.soakBowls()
	c.planAhead()
	c.usePulp()
	c.openPacks()
	c.takeTurns()
	if c.err != nil {
		return fmt.Errorf("demo kitchen: %w", c.err)
	}
	return nil
}

// cook makes requests until one fails.
type cook struct {
	drinkIDs map[string]int64
	app      *fiber.App
	now      time.Time
	err      error
}

func (c *cook) call(method, path string, in, out any) {
	if c.err != nil {
		return
	}
	c.err = c.try(method, path, in, out)
}

func (c *cook) try(method, path string, in, out any) error {
	data, isFile := in.([]byte)
	if !isFile {
		var err error
		if data, err = json.Marshal(in); err != nil {
			return err
		}
	}
	request, err := http.NewRequest(method, "http://localhost"+path, bytes.NewReader(data))
	if err != nil {
		return err
	}
	request.Header.Set("Content-Type", "application/json")
	response, err := c.app.Test(request, fiber.TestConfig{Timeout: 0})
	if err != nil {
		return err
	}
	defer func() { _ = response.Body.Close() }()
	answer, err := io.ReadAll(response.Body)
	if err != nil {
		return err
	}
	if response.StatusCode >= http.StatusBadRequest {
		return fmt.Errorf("%s %s: %s", method, path, answer)
	}
	if out == nil {
		return nil
	}
	return json.Unmarshal(answer, out)
}

// lookThrough opens each drink once more today, the one worked on last last.
func (c *cook) lookThrough() {
	for n := len(drinks) - 1; n >= 0; n-- {
		path := fmt.Sprintf("/api/drinks/%d", c.drinkIDs[drinks[n].name])
		var kept bench.Drink
		c.call(http.MethodGet, path, nil, &kept)
		c.call(http.MethodPut, path+"/draft", bench.Draft{Name: kept.Name, Recipe: kept.Draft, Revision: kept.Revision}, nil)
	}
}

// fillUp has the pantry as it is today: what the batches took is gone.
func (c *cook) fillUp() {
	for ingredient, g := range stock {
		c.call(http.MethodPut, "/api/pantry/stock/"+ingredient, pantry.StockOf{MassG: g}, nil)
	}
}

// stock fills the pantry: what things cost, a mug, and who drinks here.
func (c *cook) stock() {
	for _, p := range prices {
		c.call(http.MethodPut, "/api/pantry/prices/"+p.ingredient, pantry.PackPrice{Price: p.price, Pack: p.pack}, nil)
	}
	c.call(http.MethodPost, "/api/pantry/ingredients", ownSyrup, nil)
	c.call(http.MethodPost, "/api/pantry/measures", pantry.OwnMeasure{Name: "mug", WaterG: 310}, nil)
	for _, d := range drinkers {
		c.call(http.MethodPost, "/api/pantry/drinkers", d, nil)
	}
}

// A trace of the fridge: six days of it, with the door left ajar on a bad
// afternoon three days ago.
const (
	traceDays   = 6
	badDay      = 3
	badHour     = 15
	doorAjarMin = 40
	traceEvery  = 5 * time.Minute
)

// fridgeTrace takes in what the thermometer saw, as its file.
func (c *cook) fridgeTrace() {
	y, m, d := c.now.AddDate(0, 0, -badDay).Date()
	bad := time.Date(y, m, d, badHour, 0, 0, 0, c.now.Location())
	fridge := device.NewStandInFridge(4, 20, 1)
	var readings []exchange.Temperature
	for at := c.now.AddDate(0, 0, -traceDays); at.Before(c.now); at = at.Add(traceEvery) {
		if !at.Before(bad) && at.Before(bad.Add(traceEvery)) {
			fridge.OpenDoor(doorAjarMin * time.Minute)
		}
		if tempC, reads := fridge.Advance(traceEvery); reads {
			readings = append(readings, exchange.Temperature{At: at, TempC: tempC})
		}
	}
	var file bytes.Buffer
	if err := exchange.WriteTemperatures(&file, slices.Values(readings)); err != nil && c.err == nil {
		c.err = err
	}
	var sent shelf.SentReadings
	c.call(http.MethodPost, "/api/thermometer/files?name=fridge.csv", file.Bytes(), &sent)
	c.call(http.MethodPost, fmt.Sprintf("/api/thermometer/files/%d/import", sent.ID), shelf.ReadAs{}, nil)
}

// openPacks leaves some orange juice and two bags open.
func (c *cook) openPacks() {
	for _, p := range openPacks {
		opened := shelf.OpenedPack{What: p.what, OpenedOn: c.now.AddDate(0, 0, -p.daysAgo).Format(time.DateOnly)}
		c.call(http.MethodPost, "/api/packs", opened, nil)
	}
}

// takeTurns has the flask creamer and the breakfast milk take turns, on the
// days nobody rows.
func (c *cook) takeTurns() {
	var drinks []bench.DrinkName
	c.call(http.MethodGet, "/api/drinks", nil, &drinks)
	ways := planning.RhythmWays{DrinkIDs: []int64{}, Days: []bool{true, false, true, true, false, true, false}}
	for _, name := range turns {
		for _, d := range drinks {
			if d.Name == name {
				ways.DrinkIDs = append(ways.DrinkIDs, d.ID)
			}
		}
	}
	c.call(http.MethodPut, "/api/rhythm", ways, nil)
}

// usePulp leaves the pulp of two drinks and stirs the rest into porridge.
func (c *cook) usePulp() {
	var there shelf.Shelf
	c.call(http.MethodGet, "/api/shelf", nil, &there)
	for n, p := range there.Pulps {
		if n >= 2 {
			c.call(http.MethodPost, fmt.Sprintf("/api/pulps/%d/end", p.ID), shelf.PulpEnd{For: "porridge"}, nil)
		}
	}
}

// soakBowls puts a bowl in the fridge, for the flask.
func (c *cook) soakBowls() {
	c.call(http.MethodPost, "/api/bowls", planning.NewBowl{Ingredient: "pecan", DryG: 220, Fridge: true}, nil)
}

// planAhead puts the rowers' breakfast on the plan, three days from now.
func (c *cook) planAhead() {
	for _, p := range planned {
		y, m, d := c.now.AddDate(0, 0, 3).Date()
		readyBy := time.Date(y, m, d, p.hour, 0, 0, 0, c.now.Location())
		c.call(http.MethodPost, "/api/plan/items", planning.NewItem{DrinkID: c.drinkIDs[p.drink], ReadyBy: readyBy.Format(time.RFC3339)}, nil)
	}
}

// add writes a drink down, version by version, and makes its batches.
func (c *cook) add(d drink, today time.Time) {
	c.now = today.AddDate(0, 0, -d.startedDaysAgo)
	var kept bench.Drink
	c.call(http.MethodPost, "/api/drinks", bench.NewDrink{Name: d.name}, &kept)
	c.drinkIDs[d.name] = kept.ID
	for n, v := range d.versions {
		c.now = c.now.Add(time.Hour)
		f := c.recipe(d, v)
		c.call(http.MethodPut, fmt.Sprintf("/api/drinks/%d/draft", kept.ID), bench.Draft{Name: d.name, Recipe: f, Revision: kept.Revision}, &kept)
		c.call(http.MethodPost, fmt.Sprintf("/api/drinks/%d/versions", kept.ID), bench.VersionNote{Note: v.note}, &kept)
		if n == len(d.versions)-1 {
			c.make(kept.ID, d.batches, today)
		}
	}
	c.now = today
}

func (c *cook) recipe(d drink, v version) kitchen.Recipe {
	f := kitchen.New("us")
	f.Strainer, f.Spices, f.ShopPrice = d.strainer, "linear", d.shopPrice
	for n, text := range v.lines {
		var read bench.ReadLine
		c.call(http.MethodPost, "/api/lines", bench.TypedLine{Text: text}, &read)
		for _, line := range read.Lines {
			line.Key = fmt.Sprintf("line-%d", n+1)
			f.Lines = append(f.Lines, line)
		}
	}
	return f
}

func (c *cook) make(drinkID int64, batches []batch, today time.Time) {
	for _, b := range batches {
		c.now = today.AddDate(0, 0, -b.daysAgo)
		made := shelf.NewBatch{MadeOn: c.now.Format("2006-01-02"), MeasuredML: b.measuredML}
		for _, bottle := range b.bottles {
			made.Bottles = append(made.Bottles, shelf.NewBottle{VolumeML: bottle.ml, Place: bottle.place})
		}
		var bottles []shelf.Bottle
		c.call(http.MethodPost, fmt.Sprintf("/api/drinks/%d/batches", drinkID), made, &bottles)
		for n := range bottles {
			c.now = today.AddDate(0, 0, -b.daysAgo)
			c.drinkUp(bottles[n], b.bottles[n], today)
		}
		c.now = today.AddDate(0, 0, -b.daysAgo).Add(8 * time.Hour)
		for _, t := range b.tasted {
			c.call(http.MethodPost, fmt.Sprintf("/api/batches/%d/tastings", bottles[0].BatchID), t, nil)
		}
	}
}

// pourEvery is how often a bottle is poured from: morning, noon, afternoon and
// evening.
const pourEvery = 6 * time.Hour

// drinkUp pours from a bottle what has been drunk between its filling and today.
func (c *cook) drinkUp(bottle shelf.Bottle, told bottle, today time.Time) {
	every := min(pourEvery, today.Sub(c.now)/time.Duration(told.pours+1))
	for range told.pours {
		c.now = c.now.Add(every)
		c.call(http.MethodPost, fmt.Sprintf("/api/bottles/%d/pours", bottle.ID), shelf.Poured{ML: bottle.ServingML}, nil)
	}
	if told.thrownOut != "" {
		c.call(http.MethodPost, fmt.Sprintf("/api/bottles/%d/throw-out", bottle.ID), shelf.Why{Why: told.thrownOut, Cause: told.cause}, nil)
	}
	if left := told.ml - float64(told.pours)*bottle.ServingML; told.finished && left > 0 {
		c.call(http.MethodPost, fmt.Sprintf("/api/bottles/%d/finish", bottle.ID), nil, nil)
	}
}
