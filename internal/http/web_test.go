package http

import (
	"io"
	"net/http"
	"net/http/httptest"
	"testing"
	"testing/fstest"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
)

// A file of the build goes out as it was packed at the build, as far as the browser takes that.
func TestFilesGoOutAsTheyWerePacked(t *testing.T) {
	t.Parallel()
	file := func(text string) *fstest.MapFile { return &fstest.MapFile{Data: []byte(text)} }
	fiberApp := fiber.New()
	serveWeb(fiberApp, fstest.MapFS{
		"index.html": file("<html lang=\"en\">"), "assets/a.js": file("plain"), "assets/a.js.br": file("smallest"), "assets/a.js.gz": file("small"), "assets/b.js": file("bare"),
	}, func() (app.SettingsNow, error) { return app.SettingsNow{}, nil })
	for _, c := range []struct{ path, takes, packed, body string }{
		{"/assets/a.js", "gzip, deflate, br", "br", "smallest"}, {"/assets/a.js", "gzip, deflate", "gzip", "small"},
		{"/assets/a.js", "", "", "plain"}, {"/assets/b.js", "gzip, br", "", "bare"},
	} {
		request := httptest.NewRequest(http.MethodGet, c.path, nil)
		request.Header.Set("Accept-Encoding", c.takes)
		answer, err := fiberApp.Test(request)
		require.NoError(t, err)
		body, err := io.ReadAll(answer.Body)
		require.NoError(t, err)
		assert.Equal(t, []string{c.packed, c.body}, []string{answer.Header.Get("Content-Encoding"), string(body)}, c)
		assert.Contains(t, answer.Header.Get("Content-Type"), "javascript")
		assert.Contains(t, answer.Header.Get("Vary"), "Accept-Encoding")
	}
}

// What a view shows first is asked for with the page: for whoever may not have it the answer is a
// refusal, as it would be later.
func TestAPageAsksForWhatItShowsFirst(t *testing.T) {
	t.Parallel()
	const kitchen = "</api/kitchen>; rel=preload; as=fetch; crossorigin"
	fiberApp := fiber.New()
	serveWeb(fiberApp, fstest.MapFS{"index.html": {Data: []byte("<html lang=\"en\">")}}, func() (app.SettingsNow, error) { return app.SettingsNow{}, nil })
	for path, link := range map[string]string{
		"/": kitchen + ", </api/drinks>; rel=preload; as=fetch; crossorigin", "/bench/12": kitchen + ", </api/drinks/12>; rel=preload; as=fetch; crossorigin",
		"/shelf": kitchen, "/bench/-1": kitchen, "/bench/12>": kitchen, "/bench/12/card": kitchen,
	} {
		answer, err := fiberApp.Test(httptest.NewRequest(http.MethodGet, path, nil))
		require.NoError(t, err)
		assert.Equal(t, link, answer.Header.Get("Link"), path)
	}
}
