package http

import (
	"io/fs"
	"net/http"
	"path"
	"strings"

	"github.com/gofiber/fiber/v3"
)

const noFrontEnd = "The front end is not built into this program; run: make build"

// serveWeb serves the built front end. Every address without a dot is a view
// of the one page.
func serveWeb(app *fiber.App, web fs.FS) {
	page, err := fs.ReadFile(web, "index.html")
	if err != nil {
		app.Get("/*", func(c fiber.Ctx) error { return c.Status(http.StatusNotFound).SendString(noFrontEnd) })
		return
	}
	app.Get("/*", func(c fiber.Ctx) error {
		name := strings.TrimPrefix(path.Clean("/"+c.Path()), "/")
		if path.Ext(name) != "" || strings.HasPrefix(name, "assets/") {
			return sendFile(c, web, name)
		}
		c.Set("Cache-Control", "no-cache")
		c.Type("html", "utf-8")
		return c.Send(page)
	})
}

// sendFile sends a file of the build. Assets bear a hash in their name and
// never change.
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
	return c.Send(data)
}
