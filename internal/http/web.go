package http

import (
	"bytes"
	"fmt"
	"io/fs"
	"net/http"
	"path"
	"strconv"
	"strings"

	"github.com/gofiber/fiber/v3"

	"plushladle/internal/app"
)

const noFrontEnd = "The front end is not built into this program; run: make build"

// serveWeb serves the built front end. Every address without a dot is a view
// of the one page, which bears the kitchen's language and units: the page's own words
// are chosen by them before anything runs.
func serveWeb(fiberApp *fiber.App, web fs.FS, settings func() (app.SettingsNow, error)) {
	page, err := fs.ReadFile(web, "index.html")
	if err != nil {
		fiberApp.Get("/*", func(c fiber.Ctx) error { return c.Status(http.StatusNotFound).SendString(noFrontEnd) })
		return
	}
	fiberApp.Get("/*", func(c fiber.Ctx) error {
		name := strings.TrimPrefix(path.Clean("/"+c.Path()), "/")
		if path.Ext(name) != "" || strings.HasPrefix(name, "assets/") {
			return sendFile(c, web, name)
		}
		c.Set("Cache-Control", "no-cache")
		c.Set("Link", askedFirst(name))
		c.Type("html", "utf-8")
		return c.Send(inLanguage(page, settings))
	})
}

// inLanguage is the page with its language, locale and units; in English and metric where
// the settings cannot be read, which the page finds out by itself.
func inLanguage(page []byte, settings func() (app.SettingsNow, error)) []byte {
	now, err := settings()
	if err != nil {
		return page
	}
	root := fmt.Sprintf(`<html lang=%q data-locale=%q data-volumes=%q data-temperature=%q>`, now.Language, now.Locale, now.Volumes, now.Temperature)
	return bytes.Replace(page, []byte(`<html lang="en">`), []byte(root), 1)
}

// askedFirst has the browser ask for what a view shows first while it still fetches the scripts that
// would: the kitchen in every view, and on the Bench the drink. Nothing is said in it that the
// address does not say, since the page is sent to devices that have yet to sign in.
func askedFirst(view string) string {
	paths := []string{"/api/kitchen"}
	switch drink, onBench := strings.CutPrefix(view, "bench/"); {
	case view == "":
		paths = append(paths, "/api/drinks")
	case onBench && isID(drink):
		paths = append(paths, "/api/drinks/"+drink)
	}
	for n, p := range paths {
		paths[n] = "<" + p + ">; rel=preload; as=fetch; crossorigin"
	}
	return strings.Join(paths, ", ")
}

// isID tells whether an address names a drink.
func isID(text string) bool {
	_, err := strconv.ParseUint(text, 10, 63)
	return err == nil
}

// packings are how a file of the build lies there packed as well, the smallest first.
var packings = []struct{ encoding, ending string }{{"br", ".br"}, {"gzip", ".gz"}}

// sendFile sends a file of the build, packed as it was at the build where the browser takes that.
// Assets bear a hash in their name and never change.
func sendFile(c fiber.Ctx, web fs.FS, name string) error {
	data, err := fs.ReadFile(web, name)
	if err != nil {
		return fiber.NewError(http.StatusNotFound, "file not found")
	}
	c.Set("Cache-Control", "no-cache")
	if strings.HasPrefix(name, "assets/") {
		c.Set("Cache-Control", "public, max-age=31536000, immutable")
	}
	c.Type(strings.TrimPrefix(path.Ext(name), "."))
	if path.Ext(name) == ".webmanifest" { // which mime tables lack
		c.Set("Content-Type", "application/manifest+json")
	}
	c.Vary("Accept-Encoding")
	for _, p := range packings {
		if c.Get("Accept-Encoding") == "" {
			break // whoever does not say what it takes may take nothing
		}
		if packed, err := fs.ReadFile(web, name+p.ending); err == nil && c.AcceptsEncodings(p.encoding) != "" {
			c.Set("Content-Encoding", p.encoding)
			return c.Send(packed)
		}
	}
	return c.Send(data)
}
