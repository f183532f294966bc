package http

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/planning"
	"plushladle/internal/store/storetest"
)

// BenchmarkReckonAgainstEmptyHandlers gives a reckoning of twelve lines, an
// operation that takes the same request and does nothing, and a bare address
// without a body, for their ratios in one run: whole, and as a page asks with
// each amount that is typed, for what changed.
func BenchmarkReckonAgainstEmptyHandlers(b *testing.B) {
	c := newClient(b)
	f := almondMilk()
	for _, line := range []string{
		"2 tbsp maple syrup", "2 large dates", "1/2 tsp cardamom", "1/4 tsp nutmeg", "1 tsp vanilla", "1 tbsp coconut oil",
		"1/8 tsp salt", "1 tbsp cocoa", "1/2 cup pearl barley", "1 inch fresh ginger",
	} {
		f.Lines = append(f.Lines, call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: line}).Lines[0])
	}
	asked, err := json.Marshal(bench.ToReckon{Recipe: f})
	require.NoError(b, err)
	s := &server{Kitchen: app.New(c.store, func() time.Time { return c.now }, c.log), events: newEvents()}
	routes := fiber.New(fiber.Config{ReadBufferSize: bufferSize, WriteBufferSize: bufferSize})
	routes.Use(recoverPanic(c.log), guard(nil), headers)
	api := NewAPI(routes)
	s.register(api)
	operation(s, api, post, "/api/empty", "empty", "", itself, func(*app.Kitchen, *body[bench.ToReckon]) (app.Nothing, error) { return app.Nothing{}, nil })
	routes.Get("/api/ready", func(c fiber.Ctx) error { return c.SendStatus(http.StatusNoContent) })
	address := listening(b, routes)
	for _, tt := range []struct {
		name, method, path string
		body               []byte
	}{
		{"bare", http.MethodGet, "/api/ready", nil},
		{"empty", http.MethodPost, "/api/empty", asked},
		{"whole", http.MethodPost, "/api/reckonings", asked},
	} {
		b.Run(tt.name, func(b *testing.B) {
			for b.Loop() {
				respond(b, tt.method, address+tt.path, tt.body)
			}
		})
	}
	bodies := make([][]byte, 50) // what is typed in turn, but for what it is asked since
	for n := range bodies {
		f.Lines[0].Amount = fmt.Sprint(100+n, " g")
		body, err := json.Marshal(bench.ToReckon{Recipe: f})
		require.NoError(b, err)
		bodies[n] = bytes.TrimPrefix(body, []byte("{"))
	}
	b.Run("reckon", func(b *testing.B) {
		last := []byte{}
		for n := 0; b.Loop(); n++ {
			answer := respond(b, http.MethodPost, address+"/api/reckonings/since", fmt.Appendf(nil, `{"since":%q,%s`, last, bodies[n%len(bodies)]))
			_, behind, _ := bytes.Cut(answer, []byte(`"answer":"`))
			last, _, _ = bytes.Cut(behind, []byte(`"`))
		}
	})
}

// BenchmarkPaste reads two hundred lines as they were copied.
func BenchmarkPaste(b *testing.B) {
	c := newClient(b)
	k := app.New(c.store, func() time.Time { return c.now }, c.log)
	lines := []string{"1 1/2 cups raw hazelnuts, soaked overnight", "2 tbsp + 1 tsp maple syrup", "1 (14 oz) can coconut milk", "a splash of joy", "½ tsp nutmeg"}
	text := strings.Repeat(strings.Join(lines, "\n")+"\n", 40)
	for b.Loop() {
		out, err := bench.Of(k).Paste(bench.Paste{Text: text})
		require.NoError(b, err)
		require.Len(b, out.Lines, 200)
	}
}

// listening opens the app on a port of its own and returns its address.
func listening(b testing.TB, app *fiber.App) string {
	b.Helper()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(b, err)
	go func() { _ = app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	b.Cleanup(func() { _ = app.ShutdownWithTimeout(time.Second) })
	return "http://" + listener.Addr().String()
}

func respond(b *testing.B, method, url string, body []byte) []byte {
	r, err := http.NewRequest(method, url, bytes.NewReader(body))
	require.NoError(b, err)
	r.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(r)
	require.NoError(b, err)
	answer, err := io.ReadAll(response.Body)
	require.NoError(b, err)
	_ = response.Body.Close()
	require.Less(b, response.StatusCode, 300)
	return answer
}

// After ten years of batches Notes opens, and a drink's history: beside an empty kitchen's, in one
// run. Goal: 100 ms.
func BenchmarkNotesAfterTenYears(b *testing.B) {
	for _, years := range []int{0, 1, 10} {
		c := newClient(b)
		d := c.begun()
		require.NoError(b, storetest.Years(c.store, d.ID, years, c.now))
		for name, path := range map[string]string{"home": "/api/notes", "history": fmt.Sprintf("/api/drinks/%d/history", d.ID)} {
			b.Run(fmt.Sprintf("%s/%d years", name, years), func(b *testing.B) {
				for b.Loop() {
					if status, answer, _ := c.send(request("GET", path, nil)); status != 200 {
						b.Fatal(answer)
					}
				}
			})
		}
	}
}

// BenchmarkWeighing records a weight and takes what the page is answered: in bytes besides.
func BenchmarkWeighing(b *testing.B) {
	c := newClient(b)
	c.begun()
	p := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, StartNow: true})
	key := p.Items[0].Steps[0].Amounts[0].Key
	bytes, n := 0, 0
	for b.Loop() {
		status, answer, _ := c.send(request("POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: key, MassG: 50 + float64(n%50)}))
		if status != http.StatusOK {
			b.Fatal(answer)
		}
		bytes, n = len(answer), n+1
	}
	b.ReportMetric(float64(bytes), "answer-B")
}

// BenchmarkShelfGrows looks at a shelf of 60 bottles, of so many there ever were.
func BenchmarkShelfGrows(b *testing.B) {
	for _, bottles := range []int{100, 1_000, 5_000, 20_000} {
		b.Run(fmt.Sprintf("bottles=%d", bottles), func(b *testing.B) {
			c := newClient(b)
			d := c.begun()
			require.NoError(b, storetest.Bottles(c.store, d.ID, bottles, 60, c.now))
			for b.Loop() {
				if status, answer, _ := c.send(request("GET", "/api/shelf", nil)); status != http.StatusOK {
					b.Fatal(answer)
				}
			}
		})
	}
}
