package http

import (
	"bytes"
	"crypto/rand"
	"encoding/hex"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/url"
	"runtime/debug"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
	recoverer "github.com/gofiber/fiber/v3/middleware/recover"
	"github.com/valyala/fasthttp"

	"plushladle/internal/app/shelf"
	"plushladle/internal/picture"
)

// guard keeps other web pages from driving a local kitchen: the Host must be
// an address or a name of ours (a rebound name is neither), and whatever
// changes something must come from our own pages.
func guard(hosts []string) fiber.Handler {
	return func(c fiber.Ctx) error {
		host := string(c.Request().Host())
		if !isOurs(host, hosts) {
			return fiber.NewError(http.StatusMisdirectedRequest, "this kitchen does not answer to that name; use the address it printed when it started")
		}
		if c.Method() == http.MethodGet || c.Method() == http.MethodHead {
			return c.Next()
		}
		if !sameOrigin(c.Get("Origin"), host) || c.Get("Sec-Fetch-Site") == "cross-site" {
			return fiber.NewError(http.StatusForbidden, "requests from other web pages are refused")
		}
		return c.Next()
	}
}

func isOurs(host string, hosts []string) bool {
	name := host
	if h, _, err := net.SplitHostPort(host); err == nil {
		name = h
	}
	name = strings.ToLower(strings.Trim(name, "[]"))
	return name == "localhost" || net.ParseIP(name) != nil || slices.Contains(hosts, name)
}

// sameOrigin takes a missing Origin for a client that is no browser.
func sameOrigin(origin, host string) bool {
	if origin == "" {
		return true
	}
	u, err := url.Parse(origin)
	return err == nil && strings.EqualFold(u.Host, host)
}

// within refuses bodies that are too large before they are read: they have to
// state their length, and not be packed, so that little cannot swell to much.
func within(c fiber.Ctx) error {
	length := c.Request().Header.ContentLength()
	switch {
	case c.Method() == http.MethodGet || c.Method() == http.MethodHead:
		return c.Next()
	case length < 0:
		return closing(c, fiber.NewError(http.StatusLengthRequired, "the request does not say how long it is"))
	case c.Get("Content-Encoding") != "":
		return closing(c, fiber.NewError(http.StatusUnsupportedMediaType, "packed requests are not taken"))
	case length > bodyLimit && !isReceived(c.Path()):
		return closing(c, fiber.NewError(http.StatusRequestEntityTooLarge, "the request is larger than 1 MB"))
	}
	return c.Next()
}

// isReceived tells the paths whose bodies are larger, and written to a file as they come in: each
// says itself how much it takes.
func isReceived(path string) bool {
	return path == restorePath || path == readingsPath || isPhotos(path)
}

func isPhotos(path string) bool {
	return strings.HasPrefix(path, "/api/batches/") && strings.HasSuffix(path, "/photos")
}

// beforeBody sets, by a request's head, how much of its body is read before it
// is looked at: nothing of what within refuses, and little of what is taken as
// it comes in. A backup may take its time.
func beforeBody(head *fasthttp.RequestHeader) fasthttp.RequestConfig {
	path, _, _ := strings.Cut(string(head.RequestURI()), "?")
	isPost := string(head.Method()) == http.MethodPost
	switch {
	case isPost && path == restorePath && head.ContentLength() <= restoreLimit:
		return fasthttp.RequestConfig{MaxRequestBodySize: 1, ReadTimeout: restoreTime}
	case isPost && path == readingsPath && head.ContentLength() <= shelf.MostReadingsB:
		return fasthttp.RequestConfig{MaxRequestBodySize: 1, ReadTimeout: restoreTime}
	case isPost && isPhotos(path) && head.ContentLength() <= picture.MostBytes:
		return fasthttp.RequestConfig{MaxRequestBodySize: 1}
	case head.ContentLength() > bodyLimit:
		return fasthttp.RequestConfig{MaxRequestBodySize: 1}
	}
	return fasthttp.RequestConfig{}
}

// unreadCloses gives up the connection wherever an answer was found without
// reading the whole of the request: what is left of the body would otherwise
// be taken for the next request, with whatever Host and Origin its sender put
// there.
func unreadCloses(c fiber.Ctx) error {
	err := c.Next()
	if hasUnread(c.RequestCtx()) {
		c.Response().SetConnectionClose()
	}
	return err
}

// hasUnread tells whether some of a body was left. Reading it whole, as
// operations do, lets go of the stream it came from.
func hasUnread(ctx *fasthttp.RequestCtx) bool {
	return ctx.RequestBodyStream() != nil && ctx.Request.Header.ContentLength() != 0
}

// closing gives up the connection, so that the rest of the body is not read.
func closing(c fiber.Ctx, err error) error {
	c.Response().SetConnectionClose()
	return err
}

// bodyOf is a request's body, as it comes in.
func bodyOf(c fiber.Ctx) io.Reader {
	if stream := c.RequestCtx().RequestBodyStream(); stream != nil {
		return stream
	}
	return bytes.NewReader(c.Request().Body())
}

// headers are set on every answer. Radix positions its panels with style
// attributes, hence unsafe-inline for styles; scripts have no such leave.
func headers(c fiber.Ctx) error {
	c.Set("Content-Security-Policy", "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'")
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "no-referrer")
	return c.Next()
}

// faultKey is where a request keeps the id under which its panic was logged.
type faultKey struct{}

// recoverPanic turns a panic into an answer: it is logged under an id the cook can
// quote, its cause stays out of the answer, and the process lives on.
func recoverPanic(log *slog.Logger) fiber.Handler {
	return recoverer.New(recoverer.Config{EnableStackTrace: true, StackTraceHandler: func(c fiber.Ctx, cause any) {
		id := make([]byte, 4)
		_, _ = rand.Read(id)
		fault := hex.EncodeToString(id)
		c.Locals(faultKey{}, fault)
		log.Error("panic", "id", fault, "path", c.Path(), "cause", fmt.Sprint(cause), "stack", string(debug.Stack()))
	}})
}
