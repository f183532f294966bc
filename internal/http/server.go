// Package http puts the kitchen on HTTP: the operations under /api, their
// description at /api/openapi.json, and the built front end.
package http

import (
	"errors"
	"fmt"
	"io"
	"io/fs"
	"log/slog"
	"net/http"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/goccy/go-json"
	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/etag"

	"plushladle/internal/app"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/weighing"
	"plushladle/internal/authority"
	"plushladle/internal/device"
	"plushladle/internal/notices"
	"plushladle/internal/store"
)

const (
	// bodyLimit is the largest request taken: room for 300 lines as long as
	// they may be, and no more.
	bodyLimit    = 1 << 20
	bufferSize   = 32 << 10 // a reckoning in one piece
	readTimeout  = 15 * time.Second
	writeTimeout = 30 * time.Second
	idleTimeout  = 2 * time.Minute
)

// Config is what a server needs.
type Config struct {
	Store *store.Store
	Now   func() time.Time // the kitchen's clock
	Web   fs.FS            // the built front end
	// Hosts are the names, besides loopback ones and addresses, under which
	// the kitchen may be asked for.
	Hosts []string
	// Beyond says that the kitchen is open beyond this machine, so that
	// others have to show the passphrase.
	Beyond bool
	// URL is where other devices find it; empty where they cannot.
	URL string
	// SecureURL is where they find it over HTTPS; empty where it speaks none.
	SecureURL string
	// Authority signs for SecureURL; nil for a certificate from elsewhere.
	Authority *authority.Authority
	Log       *slog.Logger
	Scale     device.Scale // nil for a stand-in
	// Thermometer lies in the fridge; nil for a stand-in.
	Thermometer device.Thermometer
}

type server struct {
	*app.Kitchen
	beyond bool
	url    string
	secure app.Secure
	events *events
	// reckoned are the last figures that pages were told.
	reckoned reckonings
}

// New builds the app.
func New(c Config) *fiber.App {
	fiberApp := fiber.New(fiber.Config{
		AppName: "Plush Ladle", BodyLimit: bodyLimit, StreamRequestBody: true,
		ReadBufferSize: bufferSize, WriteBufferSize: bufferSize,
		ReadTimeout: readTimeout, WriteTimeout: writeTimeout, IdleTimeout: idleTimeout,
		ErrorHandler: problemHandler(c.Log),
	})
	fiberApp.Server().HeaderReceived = beforeBody
	fiberApp.Use(unreadCloses, recoverPanic(c.Log), headers, guard(c.Hosts), within)
	s := &server{Kitchen: app.New(c.Store, c.Now, c.Log), beyond: c.Beyond, url: c.URL, secure: secureOf(c), events: newEvents()}
	s.Tell = s.events
	if c.Scale == nil {
		c.Scale = device.NewStandIn(1, uint64(c.Now().UnixNano()))
	}
	s.Station = weighing.New(c.Scale, cooking.Worktop{Service: cooking.Of(s.Kitchen)}, c.Log)
	if c.Thermometer != nil {
		s.Probe.Meter = c.Thermometer
	}
	fiberApp.Hooks().OnPreShutdown(s.close)
	limit := fewTries(c.Log)
	fiberApp.Post(signInPath, limit)
	fiberApp.Put(phrasePath, limit)
	fiberApp.Use("/api", s.gate(c.Beyond))
	s.register(NewAPI(fiberApp))
	fiberApp.Add(asked, app.CalendarPath, s.sendCalendar)
	fiberApp.Add(asked, "/api/changes", s.events.stream)
	fiberApp.Add(asked, "/api/thermometer.csv", s.temperaturesCSV)
	fiberApp.Add(asked, "/api/backup.json", s.backup)
	fiberApp.Add(asked, "/api/backup.zip", s.backupZip)
	fiberApp.Add(asked, "/api/photos/:id.jpg", s.photo)
	fiberApp.Post(photosPath, s.addPhoto)
	fiberApp.Add(asked, "/api/export/drinks.jsonld", s.recipesJSONLD)
	fiberApp.Add(asked, "/api/export/everything.zip", s.archive)
	fiberApp.Add(asked, "/api/export/:table.csv", s.tableCSV)
	fiberApp.Post(restorePath, s.restore)
	fiberApp.Post("/api/copies/:day/restore", s.restoreCopy)
	fiberApp.Post(readingsPath, s.holdReadings)
	fiberApp.Add(asked, "/api/bottles/:id/qr.png", s.qr)
	fiberApp.Add(asked, "/licences.txt", func(c fiber.Ctx) error {
		c.Set("Content-Type", "text/plain; charset=utf-8")
		return c.SendString(notices.Text)
	})
	if c.Authority != nil {
		fiberApp.Add(asked, rootPath, sendRoot(c.Authority))
	}
	fiberApp.Add(asked, readyPath, func(c fiber.Ctx) error { return c.SendStatus(http.StatusNoContent) })
	fiberApp.All("/api/*", nothingThere)
	// Only the front end is packed, and that at the build: the answers of a kitchen nearby are
	// small, and packing them takes longer than sending them.
	fiberApp.Use(etag.New(etag.Config{Weak: true}))
	serveWeb(fiberApp, c.Web, s.Settings)
	return fiberApp
}

// nothingThere answers an address of no operation, or one that is asked another
// way than it can be.
func nothingThere(c fiber.Ctx) error {
	var ways []string
	for _, r := range c.App().GetRoutes(true) {
		if r.Path != "/api/*" && strings.HasPrefix(r.Path, "/api/") && fiber.RoutePatternMatch(c.Path(), r.Path) && !slices.Contains(ways, r.Method) {
			ways = append(ways, r.Method)
		}
	}
	if len(ways) == 0 {
		return fiber.NewError(http.StatusNotFound, "there is no page at this address")
	}
	slices.Sort(ways)
	c.Set("Allow", strings.Join(ways, ", "))
	return fiber.NewError(http.StatusMethodNotAllowed, "this address is asked with "+strings.Join(ways, " or "))
}

// close ends what would hold up stopping: streams, and the scale.
func (s *server) close() error {
	s.Station.Disconnect()
	s.Station.Close()
	s.Probe.Meter.Disconnect()
	s.Sent.Forget(0)
	return s.events.close()
}

func init() { huma.DefaultArrayNullable = false } // our lists are empty rather than null

// NewAPI is huma on the app, with its description at /api/openapi.json.
func NewAPI(routes *fiber.App) huma.API {
	config := huma.DefaultConfig("Plush Ladle", "1")
	config.OpenAPIPath = "/api/openapi"
	config.DocsPath, config.SchemasPath = "", "" // its page would load scripts from elsewhere
	config.CreateHooks = nil
	config.Formats = map[string]huma.Format{"application/json": fastJSON, "json": fastJSON}
	return huma.NewAPI(config, adapter{routes})
}

// fastJSON reads and writes several times faster than the standard library,
// which took most of the time of a reckoning.
var fastJSON = huma.Format{
	Marshal:   func(w io.Writer, v any) error { return json.NewEncoder(w).Encode(v) },
	Unmarshal: json.Unmarshal,
}

// Spec is the OpenAPI description, for generating the front end's types.
func Spec() ([]byte, error) {
	api := NewAPI(fiber.New())
	(&server{Kitchen: &app.Kitchen{}}).register(api)
	return api.OpenAPI().MarshalJSON()
}

// problemHandler answers errors that no operation answered, as problem+json.
func problemHandler(log *slog.Logger) fiber.ErrorHandler {
	return func(c fiber.Ctx, err error) error {
		status, detail := http.StatusInternalServerError, "something went wrong; try again"
		var fiberError *fiber.Error
		var said *huma.ErrorModel
		switch {
		case errors.As(err, &said):
			return c.Status(said.Status).JSON(said, "application/problem+json")
		case c.Locals(faultKey{}) != nil:
			detail += fmt.Sprintf(" (fault %v)", c.Locals(faultKey{}))
		case errors.As(err, &fiberError):
			status, detail = fiberError.Code, fiberError.Message
		}
		if status >= http.StatusInternalServerError {
			log.Error("request failed", "method", c.Method(), "path", c.Path(), "error", err)
		}
		problem := huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: detail}
		return c.Status(status).JSON(problem, "application/problem+json")
	}
}
