package http

import (
	"bufio"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// keyed is a request that bears a key.
func keyed(key, method, path string, body any) *http.Request {
	r := request(method, path, body)
	r.Header.Set("Idempotency-Key", key)
	return r
}

// Whatever adds something adds it once, however often the same request comes.
func TestTheSameRequestAddsOnce(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	adding := []struct {
		method, path string
		body         any
	}{
		{"POST", "/api/drinks", bench.NewDrink{Name: "nog"}}, {"POST", "/api/drinks/1/versions", bench.VersionNote{Note: "first"}},
		{"POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 240, Place: "fridge"}}}},
		{"POST", "/api/bottles/1/pours", shelf.Poured{ML: 30}}, {"POST", "/api/timers", cooking.NewTimer{Name: "soak", Minute: 3}},
		{"POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-27T12:00"}}, {"POST", "/api/bowls", planning.NewBowl{Ingredient: "almond", DryG: 100, Fridge: true}},
		{"POST", "/api/bowls/1/top-up", planning.MoreIn{DryG: 50}}, {"POST", "/api/plan/bought", nil}, {"POST", "/api/packs", shelf.OpenedPack{What: "400 g coconut milk"}},
		{"POST", "/api/pantry/drinkers", kitchen.Drinker{Name: "rower", Age: "adult", Allergens: []string{}, Dislikes: []string{}}},
	}
	for n, a := range adding {
		key := fmt.Sprintf("key-%d", n)
		if a.path == "/api/plan/bought" {
			a.body = planning.Bought{Ingredient: "almond", MassG: 500}
		}
		status, first, _ := c.send(keyed(key, a.method, a.path, a.body))
		require.Equal(t, http.StatusOK, status, "%s: %s", a.path, first)
		_, before, _ := c.send(request("GET", "/api/backup.json", nil))
		status, second, _ := c.send(keyed(key, a.method, a.path, a.body))
		require.Equal(t, http.StatusOK, status, "%s: %s", a.path, second)
		assert.JSONEq(t, first, second, "%s: the same answer", a.path)
		_, after, _ := c.send(request("GET", "/api/backup.json", nil))
		assert.Equal(t, before, after, "%s acted twice", a.path)
	}
	status, answer, _ := c.send(keyed("key-0", "POST", "/api/drinks", bench.NewDrink{Name: "another"}))
	assert.Equal(t, http.StatusUnprocessableEntity, status, answer)
}

// What was done can be taken back by its number, until it is changed otherwise.
func TestAnActCanBeTakenBack(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 240, Place: "fridge"}}})
	_, before, _ := c.send(request("GET", "/api/shelf", nil))
	_, _, header := c.send(request("POST", "/api/bottles/1/throw-out", shelf.Why{Why: "by mistake"}))
	require.NotEmpty(t, header.Get("Undo"))
	assert.Empty(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles)
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	_, after, _ := c.send(request("GET", "/api/shelf", nil))
	assert.JSONEq(t, before, after)
	status, _, _ := c.send(request("POST", "/api/undo/"+header.Get("Undo"), nil))
	assert.Equal(t, http.StatusNotFound, status)

	_, _, header = c.send(request("PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 100}))
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 70})
	status, answer, _ := c.send(request("POST", "/api/undo/"+header.Get("Undo"), nil))
	assert.Equal(t, http.StatusConflict, status)
	assert.Contains(t, answer, "changed since")
	removed := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "sherbet"})
	_, _, header = c.send(request("DELETE", fmt.Sprintf("/api/drinks/%d", removed.ID), nil))
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	assert.Equal(t, "sherbet", call[bench.Drink](c, "GET", fmt.Sprintf("/api/drinks/%d", removed.ID), nil).Name)
}

// What two tabs change is told to the second, with both values; neither is
// lost unseen.
func TestAnotherTabsChangeIsNotLost(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	mine := call[app.SettingsNow](c, "GET", "/api/kitchen", nil).Settings
	theirs := mine
	theirs.FridgeC = 2
	call[app.SettingsNow](c, "PUT", "/api/kitchen", theirs)
	mine.JugML = 900
	p := c.refused("PUT", "/api/kitchen", mine)
	assert.Equal(t, http.StatusConflict, p.Status)
	said := fmt.Sprint(p.Errors)
	assert.Contains(t, said, "You entered 4, but it was set to 2")
	assert.Contains(t, said, "You entered 900, but it was set to 1500")
	assert.Equal(t, 2., call[app.SettingsNow](c, "GET", "/api/kitchen", nil).FridgeC)

	rower := kitchen.Drinker{Name: "rower", Age: "adult", Allergens: []string{}, Dislikes: []string{}}
	d := call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", rower).Drinkers[0]
	changed := rower
	changed.Vegan = true
	call[pantry.Pantry](c, "PUT", "/api/pantry/drinkers/1", pantry.ChangedDrinker{Drinker: changed, Revised: pantry.Revised{Revision: d.Revision}})
	p = c.refused("PUT", "/api/pantry/drinkers/1", pantry.ChangedDrinker{Drinker: rower, Revised: pantry.Revised{Revision: d.Revision}})
	assert.Equal(t, http.StatusConflict, p.Status)
	assert.Contains(t, fmt.Sprint(p.Errors), "body.vegan")

	price := pantry.PackPrice{Price: 3, Pack: "500 g"}
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", price)
	price.Revision = 1
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", price)
	p = c.refused("PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 4, Pack: "500 g", Revised: pantry.Revised{Revision: 1}})
	assert.Contains(t, fmt.Sprint(p.Errors), "You entered 4, but it was set to 3")

	ways := call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 200, Days: anyDay, Revised: pantry.Revised{}}).RhythmWays
	call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 300, Days: anyDay, Revised: pantry.Revised{Revision: ways.Revision}})
	p = c.refused("PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 100, Days: anyDay, Revised: pantry.Revised{Revision: ways.Revision}})
	assert.Contains(t, fmt.Sprint(p.Errors), "You entered 100, but it was set to 300")
}

// An address is asked as it can be, and says how.
func TestAddressesAreAskedAsTheyCanBe(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	for _, path := range []string{"/api/kitchen", "/api/drinks/1", "/api/backup.json", "/", "/assets/app-1.js"} {
		got, _, gotHeader := c.send(request("GET", path, nil))
		status, body, header := c.send(request("HEAD", path, nil))
		assert.Equal(t, got, status, path)
		assert.Empty(t, body, path)
		assert.Equal(t, gotHeader.Get("Content-Type"), header.Get("Content-Type"), path)
	}
	for path, method := range map[string]string{"/api/kitchen": "DELETE", "/api/drinks/1": "POST", "/api/bottles/1/pours": "GET", "/api/restore": "GET", "/api/plan.ics": "PUT"} {
		status, answer, header := c.send(request(method, path, nil))
		assert.Equal(t, http.StatusMethodNotAllowed, status, "%s %s: %s", method, path, answer)
		assert.NotEmpty(t, header.Get("Allow"), path)
	}
	status, _, _ := c.send(request("GET", "/api/none", nil))
	assert.Equal(t, http.StatusNotFound, status)
}

// A name stays on its line wherever it is written out.
func TestControlCharactersAreCleanedFromNames(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	d := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "nog\rSUMMARY:free\x00 \u2028milk\u202e"})
	assert.Equal(t, "nog SUMMARY:free   milk", d.Name)
	f := almondMilk()
	f.Lines[0].Note = "soaked\r# heading"
	d = call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: f, Revision: d.Revision})
	assert.Equal(t, "soaked # heading", d.Draft.Lines[0].Note)
	call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-27T12:00"})
	_, calendar, _ := c.send(request("GET", "/api/plan.ics", nil))
	assert.NotContains(t, strings.ReplaceAll(calendar, "\r\n", ""), "\r")
}

// A device that is signed out hears nothing more.
func TestASignedOutDevicesStreamEnds(t *testing.T) {
	t.Parallel()
	h := newEvents()
	boat, here, flat := h.listen(1), h.listen(0), h.listen(2)
	h.cut(1, false)
	assertClosed(t, boat.gone)
	h.tell()
	assert.Len(t, here.changed, 1)
	assert.Empty(t, boat.changed)
	h.cut(2, true)
	assert.Len(t, flat.changed, 1, "the one that set the passphrase stays")
	h.cut(0, true)
	assertClosed(t, flat.gone)
	select {
	case <-here.gone:
		t.Fatal("who sits at the machine itself is never signed out")
	default:
	}
}

func assertClosed(t *testing.T, c chan struct{}) {
	t.Helper()
	select {
	case <-c:
	case <-time.After(time.Second):
		t.Fatal("still open")
	}
}

// A kitchen whose hours leave no time to cook in is refused, and one kept before
// still opens its Plan.
func TestQuietHoursLeaveTimeToCook(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	k := call[app.SettingsNow](c, "GET", "/api/kitchen", nil).Settings
	k.HandsQuiet = "09:00-08:59"
	p := c.refused("PUT", "/api/kitchen", k)
	assert.Contains(t, p.Errors[0].Message, "less than four hours")
	call[planning.Plan](c, "POST", "/api/bowls", planning.NewBowl{Ingredient: "almond", DryG: 100})
	settings, err := c.store.Settings()
	require.NoError(t, err)
	settings.HandsQuiet = "09:00-08:59"
	require.NoError(t, c.store.SetSettings(settings))
	done := make(chan int)
	go func() { status, _, _ := c.send(request("GET", "/api/plan", nil)); done <- status }()
	select {
	case <-done:
	case <-time.After(5 * time.Second):
		t.Fatal("the Plan hangs")
	}
}

// The kitchen's clock is its own, wherever machine and browser stand.
func TestTheKitchenHasATimeZone(t *testing.T) {
	t.Parallel()
	c := newClient(t) // whose machine goes by UTC
	c.begun()
	first := call[app.SettingsNow](c, "PUT", "/api/kitchen/time-zone", app.Zone{TimeZone: "America/New_York"})
	assert.Equal(t, "America/New_York", first.TimeZone)
	assert.Equal(t, "America/New_York", call[app.SettingsNow](c, "PUT", "/api/kitchen/time-zone", app.Zone{TimeZone: "Asia/Tokyo"}).TimeZone, "the first browser's stays")
	p := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-27T18:00"})
	assert.Equal(t, "18:00 -0500", p.Items[0].ReadyBy.In(mustZone(t, "America/New_York")).Format("15:04 -0700"))
	c.now = time.Date(2026, 11, 25, 2, 0, 0, 0, time.UTC)
	assert.Equal(t, "2026-11-24", call[app.SettingsNow](c, "GET", "/api/kitchen", nil).Today, "it is still evening there")
	bad := c.refused("PUT", "/api/kitchen/time-zone", app.Zone{TimeZone: "Narnia/Lamppost"})
	assert.Contains(t, bad.Errors[0].Message, "Europe/London")
}

func mustZone(t *testing.T, name string) *time.Location {
	t.Helper()
	zone, err := time.LoadLocation(name)
	require.NoError(t, err)
	return zone
}

// Writes that crowd each other wait a little or are told to come again; none
// is called a fault of the kitchen.
func TestCrowdedWritesAreNoFault(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	base := "http://" + c.onTheNetwork()
	statuses := make(chan int, 200)
	for n := range 200 {
		go func() {
			answer, err := http.Post(base+"/api/drinks", "application/json", strings.NewReader(fmt.Sprintf(`{"name":"drink %d"}`, n)))
			if err != nil {
				statuses <- 0
				return
			}
			_, _ = io.Copy(io.Discard, bufio.NewReader(answer.Body))
			_ = answer.Body.Close()
			statuses <- answer.StatusCode
		}()
	}
	made := 0
	for range 200 {
		status := <-statuses
		assert.Contains(t, []int{http.StatusOK, http.StatusServiceUnavailable}, status)
		if status == http.StatusOK {
			made++
		}
	}
	assert.Len(t, call[[]bench.DrinkName](c, "GET", "/api/drinks", nil), made)
}

// Marking far ahead asks, can be taken back whole, and one drink that does not
// fit is in no other's way.
func TestMarkingAheadAsksAndOneDrinkNeverBlocksAnother(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	p := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-27T12:00"})
	last := len(p.Items[0].Steps) - 1
	for !p.Items[0].Steps[last].HandsOn {
		last--
	}
	bad := c.refused("POST", "/api/plan/items/1/done", planning.Done{Step: last})
	assert.Equal(t, http.StatusConflict, bad.Status)
	assert.Contains(t, bad.Detail, "Fri 27 Nov")
	assert.Contains(t, bad.Detail, "Put the almonds in water to soak")
	_, before, _ := c.send(request("GET", "/api/plan", nil))
	status, answer, header := c.send(request("POST", "/api/plan/items/1/done", planning.Done{Step: last, Ahead: true}))
	require.Equal(t, http.StatusOK, status, answer)
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	_, after, _ := c.send(request("GET", "/api/plan", nil))
	assert.JSONEq(t, before, after)

	c.now = time.Date(2026, 11, 27, 11, 30, 0, 0, time.UTC) // half an hour before, and nothing of it done
	call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Second milk"})
	call[bench.Drink](c, "PUT", "/api/drinks/2/draft", bench.Draft{Name: "Second milk", Recipe: almondMilk(), Revision: 1})
	p = call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 2, ReadyBy: "2026-11-28T18:00"})
	require.Len(t, p.Items, 2)
	assert.Contains(t, p.Items[0].Trouble, "not enough time")
	assert.Empty(t, p.Items[1].Trouble)
	c.refused("PUT", "/api/plan/items/1", planning.ReadyBy{ReadyBy: "2026-11-27T12:00"})
	p = call[planning.Plan](c, "PUT", "/api/plan/items/1", planning.ReadyBy{ReadyBy: "2026-11-28T12:00"})
	assert.Empty(t, p.Items[0].Trouble, "moved to when it fits, it is planned again")
}

// Numbers so small or large that sums of them overflow are refused or reckoned
// with; nothing panics, and every answer is one.
func TestNumbersAreBounded(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	for _, field := range []string{"blendS", "waterC", "servingML", "cookMin", "panCM", "brewPct", "shopPrice", "sizeValue", "sizeEach", "perDay", "rawC", "warmsC"} {
		for _, value := range []string{"1e-320", "1e-9", "1e308", "-1", "-0.0", "99999"} {
			for _, by := range []string{"", "times", "volume", "servings", "base", "bottles", "days"} {
				recipe := fmt.Sprintf(`{"lines":[{"key":"a","ingredient":"Almonds","amount":"1 cup","stage":"","note":"","unsoaked":false,"soakedCup":false,"locked":false},{"key":"w","ingredient":"Water","amount":"4 cups","stage":"","note":"","unsoaked":false,"soakedCup":false,"locked":false}],
					"system":"us","strainer":"bag","blendS":30,"waterC":10,"spices":"linear","servingML":0,"heat":"boil","cookMin":1,"panCM":0,"coarse":false,"brewPct":0,"shopPrice":0,"sizeBy":%q,"sizeValue":2,"sizeEach":100,"perDay":1,"rawC":0,"warmsC":0}`, by)
				var f map[string]any
				require.NoError(t, json.Unmarshal([]byte(recipe), &f))
				f[field] = json.RawMessage(value)
				status, answer, _ := c.send(request("POST", "/api/reckonings", map[string]any{"name": "x", "recipe": f, "madeOn": ""}))
				assert.Less(t, status, 500, "%s %s by %q: %s", field, value, by, answer)
			}
		}
	}
	for _, perDay := range []string{"1e-320", "1e-9", "0.5", "1", "100000"} {
		status, answer, _ := c.send(request("PUT", "/api/rhythm", `{"drinkIDs":[1],"perDayML":`+perDay+`,"days":[true,true,true,true,true,true,true]}`))
		assert.Less(t, status, 500, "%s: %s", perDay, answer)
	}
}

// A second drink that is still empty leaves every list a list.
func TestListsAreNeverNull(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	paths := []string{"/api/shelf", "/api/rhythm", "/api/plan", "/api/pantry", "/api/drinks", "/api/kitchen", "/api/thermometer", "/api/timers", "/api/can-make", "/api/devices", "/api/scale"}
	look := func() {
		for _, path := range paths {
			status, answer, _ := c.send(request("GET", path, nil))
			assert.Equal(t, http.StatusOK, status, "%s: %s", path, answer)
			assert.NotContains(t, answer, "null", path)
		}
	}
	look()
	c.begun()
	call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "still empty"})
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 240, Place: "fridge"}}})
	require.NoError(t, c.store.SetRhythm(store.Rhythm{DrinkIDs: []int64{1, 2}, Days: anyDay}))
	look()
	assert.NotEmpty(t, call[planning.Rhythm](c, "GET", "/api/rhythm", nil).Problem)
}
