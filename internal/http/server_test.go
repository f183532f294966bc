package http

import (
	"bytes"
	"encoding/json"
	"io"
	"log/slog"
	"net/http"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/store/storetest"
)

// page stands for the built front end.
var page = fstest.MapFS{"index.html": {Data: []byte("<p>page</p>")}, "assets/app-1.js": {Data: []byte("1")}, "ladle.svg": {Data: []byte("<svg/>")}}

// client makes requests of a kitchen of its own.
type client struct {
	t     testing.TB
	app   *fiber.App
	store *store.Store
	now   time.Time
	logs  bytes.Buffer
	log   *slog.Logger
	scale *scripted
}

func newClient(t testing.TB) *client {
	t.Helper()
	c := &client{t: t, now: time.Date(2026, 11, 24, 9, 30, 0, 0, time.UTC)}
	clock := func() time.Time { return c.now }
	path := filepath.Join(t.TempDir(), "kitchen.db")
	storetest.Empty.Copy(t, path)
	s, err := store.Open(path, clock)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	c.store, c.log = s, slog.New(slog.NewTextHandler(&c.logs, nil))
	c.scale = &scripted{}
	c.app = New(Config{Store: s, Now: clock, Web: page, Hosts: []string{"galley.local"}, Log: c.log, Scale: c.scale})
	return c
}

func (c *client) send(request *http.Request) (int, string, http.Header) {
	c.t.Helper()
	response, err := c.app.Test(request, fiber.TestConfig{Timeout: 0})
	require.NoError(c.t, err)
	noted(request, response.StatusCode)
	defer func() { _ = response.Body.Close() }()
	body, err := io.ReadAll(response.Body)
	require.NoError(c.t, err)
	return response.StatusCode, string(body), response.Header
}

func request(method, path string, body any) *http.Request {
	data, isText := body.(string)
	if !isText && body != nil {
		encoded, _ := json.Marshal(body)
		data = string(encoded)
	}
	r, _ := http.NewRequest(method, "http://localhost"+path, strings.NewReader(data))
	r.Header.Set("Content-Type", "application/json")
	return r
}

// call makes a request that is to succeed.
func call[Out any](c *client, method, path string, body any) Out {
	c.t.Helper()
	status, answer, _ := c.send(request(method, path, body))
	require.Equal(c.t, http.StatusOK, status, "%s %s: %s", method, path, answer)
	var out Out
	require.NoError(c.t, json.Unmarshal([]byte(answer), &out))
	return out
}

type problem struct {
	Status int
	Detail string
	Errors []struct{ Location, Message string }
}

// refused makes a request that is to be refused as problem+json.
func (c *client) refused(method, path string, body any) problem {
	c.t.Helper()
	status, answer, header := c.send(request(method, path, body))
	require.GreaterOrEqual(c.t, status, 400, answer)
	assert.Equal(c.t, "application/problem+json", header.Get("Content-Type"))
	var p problem
	require.NoError(c.t, json.Unmarshal([]byte(answer), &p), answer)
	assert.Equal(c.t, status, p.Status)
	return p
}

func almondMilk() kitchen.Recipe {
	f := kitchen.New("us")
	f.Lines = []kitchen.Line{{Key: "a", Ingredient: "Almonds", Amount: "1 cup"}, {Key: "w", Ingredient: "Water", Amount: "4 cups"}}
	return f
}

// begun is a drink of almond milk with a saved draft.
func (c *client) begun() bench.Drink {
	c.t.Helper()
	d := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Almond milk"})
	return call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: almondMilk(), Revision: d.Revision})
}

func TestFromDrinkToShelf(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	d := c.begun()
	assert.Zero(t, d.IsVersion)
	d = call[bench.Drink](c, "POST", "/api/drinks/1/versions", bench.VersionNote{Note: "plain"})
	assert.Equal(t, 1, d.IsVersion)
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: d.Name, Recipe: d.Draft})
	assert.InDelta(t, 906, r.DrinkML, 2)
	assert.Equal(t, "2026-11-26", r.Keeps.UseBy)

	measured := 900.
	made := call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{
		MadeOn: "2026-11-23", MeasuredML: &measured, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}, {VolumeML: 400, Place: "freezer"}},
	})
	require.Len(t, made, 2)
	assert.Equal(t, "2026-11-25", made[0].UseBy, "made the day before: day 1 of 3")
	assert.Equal(t, "2026-11-27", made[0].OtherUseBy)
	assert.Equal(t, "2026-12-22", made[1].UseBy, "30 days in the freezer")
	assert.Equal(t, 1, made[0].Version, "the draft was version 1, so no other is made")

	b := call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{ML: 240})
	assert.InDelta(t, 260, b.LeftML, 1e-9)
	assert.InDelta(t, .52, b.FillShare, 1e-9)
	p := c.refused("POST", "/api/bottles/1/pours", shelf.Poured{ML: 270})
	assert.Equal(t, "cannot be poured: the bottle holds 260 mL", p.Errors[0].Message)

	c.now = c.now.AddDate(0, 0, 2)
	theShelf := call[shelf.Shelf](c, "GET", "/api/shelf", nil)
	assert.Equal(t, "past", theShelf.Bottles[0].Standing)
	assert.Equal(t, "past its date since today", theShelf.Bottles[0].TimeLeft)
	assert.Equal(t, "fine", theShelf.Bottles[1].Standing)

	b = call[shelf.Bottle](c, "POST", "/api/bottles/1/throw-out", shelf.Why{Why: "past its date"})
	assert.Equal(t, store.Thrown, b.State)
	call[shelf.Bottle](c, "POST", "/api/bottles/2/finish", nil)
	assert.Empty(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles)
	p = c.refused("POST", "/api/bottles/1/pours", shelf.Poured{ML: 10})
	assert.Contains(t, p.Errors[0].Message, "thrown away")
	p = c.refused("DELETE", "/api/drinks/1", nil)
	assert.Contains(t, p.Detail, "it has been made")
}

func TestAChangedDraftBecomesTheVersionThatWasMade(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	for want := 1; want <= 2; want++ {
		made := call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 300, Place: "fridge"}}})
		assert.Equal(t, 1, made[0].Version)
	}
	d := call[bench.Drink](c, "GET", "/api/drinks/1", nil)
	assert.Equal(t, call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: d.Name, Recipe: d.Draft}), *d.Figures, "it opens with its figures")
	assert.Equal(t, "as made", d.Versions[0].Note)
	f := d.Draft
	f.Lines[1].Amount = "3 cups"
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "Stronger", Recipe: f, Revision: d.Revision})
	made := call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 300, Place: "fridge"}}})
	assert.Equal(t, 2, made[0].Version)
	assert.Equal(t, "Stronger", made[0].DrinkName)
}

func TestTheLaterSaveIsTold(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	d := c.begun()
	f := almondMilk()
	f.Lines[0].Amount = "2 cups"
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "First", Recipe: f, Revision: d.Revision})
	p := c.refused("PUT", "/api/drinks/1/draft", bench.Draft{Name: "Second", Recipe: almondMilk(), Revision: d.Revision})
	assert.Equal(t, http.StatusConflict, p.Status)
	assert.Contains(t, p.Detail, "Nothing was overwritten")
	assert.Equal(t, "First", call[bench.Drink](c, "GET", "/api/drinks/1", nil).Name)
}

func TestMistakesAreNamedByField(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	sized := func(by string, value float64) bench.ToReckon {
		f := almondMilk()
		f.SizeBy, f.SizeValue = by, value
		return bench.ToReckon{Recipe: f}
	}
	much := make([]kitchen.Line, 301)
	tests := []struct {
		name, method, path string
		body               any
		field              string
	}{
		{"no name", "POST", "/api/drinks", bench.NewDrink{Name: "  "}, "body.name"},
		{"a long name", "POST", "/api/drinks", bench.NewDrink{Name: strings.Repeat("a", 121)}, "body.name"},
		{"a system that is none", "PUT", "/api/kitchen", app.Settings{System: "ells", School: "cautious", FridgeC: 4, JugML: 1000, Theme: "day", Currency: "GBP", Measures: []string{}, KitchenC: 20}, "body.system"},
		{"a hot fridge", "PUT", "/api/kitchen", app.Settings{System: "us", School: "cautious", FridgeC: 40, JugML: 1000, Theme: "day", Currency: "GBP", Measures: []string{}, KitchenC: 20}, "body.fridgeC"},
		{"a size that is none", "POST", "/api/reckonings", sized("length", 3), "body.recipe.sizeBy"},
		{"a size of nothing", "POST", "/api/reckonings", sized("volume", 0), "body.size.value"},
		{"too many lines", "POST", "/api/reckonings", bench.ToReckon{Recipe: kitchen.Recipe{Lines: much, System: "us", Strainer: "bag", BlendS: 30, WaterC: 10, Spices: "linear"}}, "body.recipe.lines"},
		{"a date that is none", "POST", "/api/reckonings", bench.ToReckon{Recipe: almondMilk(), MadeOn: "yesterday"}, "body.madeOn"},
		{"a date to come", "POST", "/api/drinks/1/batches", shelf.NewBatch{MadeOn: "2026-11-25", Bottles: []shelf.NewBottle{{VolumeML: 10, Place: "fridge"}}}, "body.madeOn"},
		{"more than there is", "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 900, Place: "fridge"}, {VolumeML: 900, Place: "fridge"}}}, "body.bottles"},
		{"no bottle", "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{}}, "body.bottles"},
		{"a bottle on the roof", "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 9, Place: "roof"}}}, "body.bottles[0].place"},
		{"a negative amount", "POST", "/api/lines", bench.TypedLine{Text: "-1 cup water"}, "body.text"},
	}
	for _, tt := range tests {
		p := c.refused(tt.method, tt.path, tt.body)
		if assert.NotEmpty(t, p.Errors, tt.name) {
			assert.Equal(t, tt.field, p.Errors[0].Location, tt.name)
			assert.NotEmpty(t, p.Errors[0].Message, tt.name)
		}
	}
	assert.Equal(t, http.StatusNotFound, c.refused("GET", "/api/drinks/99", nil).Status)
	assert.Equal(t, http.StatusNotFound, c.refused("GET", "/api/nowhere", nil).Status)
	large := c.refused("POST", "/api/drinks", bench.NewDrink{Name: strings.Repeat("a", 1<<20)})
	assert.Equal(t, http.StatusRequestEntityTooLarge, large.Status)
	assert.Equal(t, "the request is larger than 1 MB", large.Detail)
	assert.GreaterOrEqual(t, c.refused("POST", "/api/reckonings", "{").Status, 400)
	assert.GreaterOrEqual(t, c.refused("POST", "/api/reckonings", `{"recipe":null}`).Status, 400)
}

// A mistake in one line is that line's; the rest is reckoned.
func TestAWrongLineLeavesTheRest(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := almondMilk()
	f.Lines = append(f.Lines, kitchen.Line{Key: "x", Ingredient: "moon dust", Amount: "1 cup"}, kitchen.Line{Key: "y", Ingredient: "salt", Amount: "lots"})
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.True(t, r.Reckoned)
	assert.Equal(t, "ingredient", r.Lines[2].ErrorField)
	assert.Equal(t, "amount", r.Lines[3].ErrorField)
	assert.Contains(t, r.Lines[3].Error, `"lots" is not an amount`)
}

func TestAPanicIsAnsweredWithAnIDAndTheKitchenLivesOn(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	app := fiber.New(fiber.Config{ErrorHandler: problemHandler(c.log)})
	app.Use(recoverPanic(c.log))
	app.Get("/api/burnt", func(fiber.Ctx) error { panic("the pan boiled over") })
	c.app = app
	p := c.refused("GET", "/api/burnt", nil)
	assert.Equal(t, http.StatusInternalServerError, p.Status)
	assert.NotContains(t, p.Detail, "boiled over", "the cause is for the log")
	id := strings.TrimSuffix(p.Detail[strings.LastIndex(p.Detail, " ")+1:], ")")
	assert.Contains(t, c.logs.String(), "id="+id)
	assert.Equal(t, http.StatusInternalServerError, c.refused("GET", "/api/burnt", nil).Status, "still answering")
}

func TestThePageAndItsFiles(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	tests := []struct {
		path, body, cache string
		status            int
	}{
		{"/", "<p>page</p>", "no-cache", 200},
		{"/bench/3", "<p>page</p>", "no-cache", 200},
		{"/assets/app-1.js", "1", "public, max-age=31536000, immutable", 200},
		{"/assets/app-2.js", "", "", 404},
		{"/assets/none", "", "", 404},
		{"/ladle.svg", "<svg/>", "no-cache", 200},
		{"/../../etc/passwd.txt", "", "", 404},
	}
	for _, tt := range tests {
		r := request("GET", tt.path, nil)
		r.Header.Set("If-Modified-Since", time.Now().UTC().Format(http.TimeFormat))
		status, body, header := c.send(r)
		assert.Equal(t, tt.status, status, tt.path)
		assert.Contains(t, header.Get("Content-Security-Policy"), "frame-ancestors 'none'")
		if tt.status == 200 {
			assert.Equal(t, tt.body, body, tt.path)
			assert.Equal(t, tt.cache, header.Get("Cache-Control"), tt.path)
		}
	}
}

func TestWriteAtSizeAndSuggestions(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := almondMilk()
	f.SizeBy, f.SizeValue = "times", 2
	written := call[kitchen.Recipe](c, "POST", "/api/recipes/at-size", bench.ToReckon{Recipe: f})
	assert.Equal(t, "2 cups", written.Lines[0].Amount)
	assert.Empty(t, written.SizeBy)
	found := call[[]bench.Suggestion](c, "GET", "/api/ingredients?typed=1+1%2F2+cups+haz", nil)
	require.NotEmpty(t, found)
	assert.Equal(t, "1½ cups Hazelnuts", found[0].Line)
	assert.Empty(t, call[[]bench.Suggestion](c, "GET", "/api/ingredients?typed=zzzz", nil))
}

// A milk from the shelf goes into another drink with all that is in it.
func TestAFinishedDrinkIsAnIngredient(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	d := c.begun()
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "Almond milk of ours", Recipe: d.Draft, Revision: d.Revision})
	call[bench.Drink](c, "POST", "/api/drinks/1/versions", bench.VersionNote{})
	own := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: d.Draft})
	found := call[[]bench.Suggestion](c, "GET", "/api/ingredients?typed=almond+milk+of", nil)
	assert.Equal(t, "drink-1", found[0].ID)
	f := kitchen.New("us")
	f.Lines = []kitchen.Line{{Key: "m", Ingredient: found[0].Name, Amount: "500 mL"}, {Key: "o", Ingredient: "Rolled oats", Amount: "1 tbsp"}}
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.Equal(t, []string{"almond", "gluten (oats)"}, r.Allergens)
	f.Lines = f.Lines[:1]
	r = call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.InEpsilon(t, own.Per100mL.FatG, r.Per100mL.FatG, 1e-6)
	assert.InDelta(t, 500, r.DrinkML, 1e-6)
	assert.InDelta(t, own.Keeps.CautiousDays, r.Keeps.CautiousDays, 1e-9, "it keeps no longer than what it is made of")
}
