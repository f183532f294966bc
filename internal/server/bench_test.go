package server

import (
	"bytes"
	"encoding/json"
	"io"
	"net"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"plushladle/internal/kitchen"
)

// BenchmarkReckonAgainstEmptyHandlers gives a reckoning of twelve lines, an
// operation that takes the same request and does nothing, and a bare address
// without a body, for their ratios in one run.
func BenchmarkReckonAgainstEmptyHandlers(b *testing.B) {
	c := newClient(b)
	f := almondMilk()
	for _, line := range []string{
		"2 tbsp maple syrup", "2 large dates", "1/2 tsp cardamom", "1/4 tsp nutmeg", "1 tsp vanilla", "1 tbsp coconut oil",
		"1/8 tsp salt", "1 tbsp cocoa", "1/2 cup pearl barley", "1 inch fresh ginger",
	} {
		f.Lines = append(f.Lines, call[kitchen.Line](c, "POST", "/api/lines", TypedLine{Text: line}))
	}
	body, err := json.Marshal(ToReckon{Recipe: f})
	require.NoError(b, err)
	s := &server{caches: &caches{}, seen: &recordKept{}, store: c.store, now: func() time.Time { return c.now }, log: c.log}
	app := fiber.New(fiber.Config{ReadBufferSize: bufferSize, WriteBufferSize: bufferSize})
	app.Use(recoverPanic(c.log), guard(nil), headers)
	api := NewAPI(app)
	s.register(api)
	operation(s, api, http.MethodPost, "/api/empty", "empty", "", func(*toReckonInput) (Nothing, error) { return Nothing{}, nil })
	app.Get("/api/ready", func(c fiber.Ctx) error { return c.SendStatus(http.StatusNoContent) })
	address := listening(b, app)
	for _, tt := range []struct {
		name, method, path string
		body               []byte
	}{
		{"bare", http.MethodGet, "/api/ready", nil},
		{"empty", http.MethodPost, "/api/empty", body},
		{"reckon", http.MethodPost, "/api/reckonings", body},
	} {
		b.Run(tt.name, func(b *testing.B) {
			for b.Loop() {
				respond(b, tt.method, address+tt.path, tt.body)
			}
		})
	}
}

// BenchmarkPaste reads two hundred lines as they were copied.
func BenchmarkPaste(b *testing.B) {
	c := newClient(b)
	s := &server{caches: &caches{}, seen: &recordKept{}, store: c.store, now: func() time.Time { return c.now }, log: c.log}
	lines := []string{"1 1/2 cups raw hazelnuts, soaked overnight", "2 tbsp + 1 tsp maple syrup", "1 (14 oz) can coconut milk", "a splash of joy", "½ tsp nutmeg"}
	text := strings.Repeat(strings.Join(lines, "\n")+"\n", 40)
	for b.Loop() {
		out, err := s.paste(&body[Paste]{Paste{text}})
		require.NoError(b, err)
		require.Len(b, out.Lines, 200)
	}
}

type toReckonInput = body[ToReckon]

// listening opens the app on a port of its own and returns its address.
func listening(b testing.TB, app *fiber.App) string {
	b.Helper()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(b, err)
	go func() { _ = app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	b.Cleanup(func() { _ = app.ShutdownWithTimeout(time.Second) })
	return "http://" + listener.Addr().String()
}

func respond(b *testing.B, method, url string, body []byte) {
	r, err := http.NewRequest(method, url, bytes.NewReader(body))
	require.NoError(b, err)
	r.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(r)
	require.NoError(b, err)
	_, err = io.Copy(io.Discard, response.Body)
	require.NoError(b, err)
	_ = response.Body.Close()
	require.Less(b, response.StatusCode, 300)
}
