package http

import (
	"bytes"
	"errors"
	"fmt"
	"image/png"
	"io"
	"net/http"
	"slices"
	"strconv"
	"strings"

	"plushladle/core/fault"
	"plushladle/internal/app"
	"plushladle/internal/app/files"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/store"

	"github.com/boombuler/barcode"
	"github.com/boombuler/barcode/qr"
	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
)

// qrPixels is how large a code's picture is: sharp in print at 25 mm.
const qrPixels = 360

// qr answers a bottle's code: its page at the address where other devices find
// the kitchen, or else the one it was asked under.
func (s *server) qr(c fiber.Ctx) error {
	id, err := strconv.ParseInt(c.Params("id"), 10, 64)
	if err != nil {
		return fiber.ErrNotFound
	}
	if !shelf.Of(s.Kitchen).IsThere(id) {
		return fiber.ErrNotFound
	}
	base := s.url
	if base == "" {
		base = c.BaseURL()
	}
	code, err := qr.Encode(fmt.Sprintf("%s/shelf/%d", base, id), qr.M, qr.Auto)
	if err != nil {
		return err
	}
	large, err := barcode.Scale(code, qrPixels, qrPixels)
	if err != nil {
		return err
	}
	var picture bytes.Buffer
	if err := png.Encode(&picture, large); err != nil {
		return err
	}
	c.Set("Content-Type", "image/png")
	c.Set("Cache-Control", "no-cache")
	return c.Send(picture.Bytes())
}

// sendCalendar answers the plan as iCalendar, to be downloaded or subscribed to.
func (s *server) sendCalendar(c fiber.Ctx) error {
	text, err := planning.Of(s.Kitchen).Calendar()
	if err != nil {
		return err
	}
	c.Set("Content-Disposition", `attachment; filename="plush-ladle.ics"`)
	c.Set("Content-Type", "text/calendar; charset=utf-8")
	c.Set("Cache-Control", "no-cache")
	return c.SendString(text)
}

// tableCSV answers a table of the record as a file.
func (s *server) tableCSV(c fiber.Ctx) error {
	name := c.Params("table")
	if !slices.Contains(files.Names(), name) {
		return fiber.ErrNotFound
	}
	return sendWritten(c, name+".csv", "text/csv; charset=utf-8", func(w io.Writer) error { return files.Of(s.Kitchen).Write(name, w) })
}

// recipesJSONLD answers all drinks as one document.
func (s *server) recipesJSONLD(c fiber.Ctx) error {
	return sendWritten(c, "drinks.jsonld", "application/ld+json", files.Of(s.Kitchen).WriteRecipes)
}

// archive answers everything readable as one file.
func (s *server) archive(c fiber.Ctx) error {
	name := fmt.Sprintf("plush-ladle-%s.zip", s.Now().Format(app.DateLayout))
	return sendWritten(c, name, "application/zip", func(w io.Writer) error {
		return files.Of(s.Kitchen).WriteArchive(w, shelf.Of(s.Kitchen).WriteTemperatures)
	})
}

type tableInput struct {
	Table string `path:"table" enum:"pantry,batches,tastings,bottles,pours"`
	Body  files.Table
}

// filesOperations are those of the record as files.
func (s *server) filesOperations(api huma.API) {
	act(s, api, post, "/api/import/{table}", "import-table", "Take a table of the record in, whole or not at all", undoable, files.Of, func(f files.Service, in *tableInput) (files.Taken, error) {
		return f.Read(in.Table, in.Body)
	})
}

// temperaturesCSV answers all readings as a file.
func (s *server) temperaturesCSV(c fiber.Ctx) error {
	return sendWritten(c, "fridge.csv", "text/csv; charset=utf-8", shelf.Of(s.Kitchen).WriteTemperatures)
}

// readingsPath is where a thermometer's file is sent, as it is.
const readingsPath = "/api/thermometer/files"

// longestFileName is what is kept of a file's name, bytes.
const longestFileName = 80

// holdReadings takes a file of readings as it comes in. What is in it is looked at before
// anything is done with it.
func (s *server) holdReadings(c fiber.Ctx) error {
	if c.Request().Header.ContentLength() > shelf.MostReadingsB {
		return s.problem(fault.New("file", "", "readings-too-large", float64(shelf.MostReadingsB>>20)))
	}
	name := strings.ToValidUTF8(c.Query("name"), "")
	if name == "" || len(name) > longestFileName {
		name = "readings.csv"
	}
	sent, err := shelf.Of(s.Kitchen).HoldReadings(name, bodyOf(c))
	var amiss *fault.Error
	switch {
	case errors.As(err, &amiss), err != nil && store.IsFull(err):
		return s.problem(err)
	case err != nil:
		return fiber.NewError(http.StatusBadRequest, "the file did not arrive completely")
	}
	return c.JSON(sent)
}
