package server

import (
	"io/fs"
	"net/http"
	"path"
	"strings"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/static"
)

const noFrontEnd = "The front end is not built into this program; run: make build"

// serveWeb serves the built front end. Assets bear a hash in their name and
// never change; every other address without a dot is a view of the one page.
func serveWeb(app *fiber.App, web fs.FS) {
	page, err := fs.ReadFile(web, "index.html")
	if err != nil {
		app.Get("/*", func(c fiber.Ctx) error { return c.Status(http.StatusNotFound).SendString(noFrontEnd) })
		return
	}
	app.Use("/assets", withoutTimes, static.New("assets", static.Config{FS: web, NotFoundHandler: missing, ModifyResponse: immutable}))
	app.Get("/*", func(c fiber.Ctx) error {
		if name := strings.TrimPrefix(c.Path(), "/"); path.Ext(name) != "" {
			return sendFile(c, web, name)
		}
		c.Set("Cache-Control", "no-cache")
		c.Type("html", "utf-8")
		return c.Send(page)
	})
}

// withoutTimes drops the request's date: embedded files have none, and would
// always be said to be unchanged.
func withoutTimes(c fiber.Ctx) error {
	c.Request().Header.Del("If-Modified-Since")
	return c.Next()
}

func immutable(c fiber.Ctx) error {
	c.Response().Header.Del("Last-Modified")
	c.Set("Cache-Control", "public, max-age=31536000, immutable")
	return nil
}

func missing(fiber.Ctx) error { return fiber.NewError(http.StatusNotFound, "there is no such file") }

// sendFile serves the few files beside the page, such as its icon.
func sendFile(c fiber.Ctx, web fs.FS, name string) error {
	data, err := fs.ReadFile(web, name)
	if err != nil {
		return missing(c)
	}
	c.Set("Cache-Control", "no-cache")
	c.Type(strings.TrimPrefix(path.Ext(name), "."))
	return c.Send(data)
}
