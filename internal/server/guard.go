package server

import (
	"crypto/rand"
	"encoding/hex"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"net/url"
	"runtime/debug"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
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

// headers are set on every answer. Radix positions its panels with style
// attributes, hence unsafe-inline for styles; scripts have no such leave.
func headers(c fiber.Ctx) error {
	c.Set("Content-Security-Policy", "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'")
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "no-referrer")
	return c.Next()
}

// panicError carries the id under which a panic was logged.
type panicError struct {
	id    string
	cause any
}

func (p *panicError) Error() string { return fmt.Sprintf("panic %s: %v", p.id, p.cause) }

// calmly turns a panic into an answer: it is logged under an id the cook can
// quote, and the process lives on.
func calmly(log *slog.Logger) fiber.Handler {
	return func(c fiber.Ctx) (err error) {
		defer func() {
			cause := recover()
			if cause == nil {
				return
			}
			id := make([]byte, 4)
			_, _ = rand.Read(id)
			p := &panicError{id: hex.EncodeToString(id), cause: cause}
			log.Error("panic", "id", p.id, "path", c.Path(), "cause", fmt.Sprint(cause), "stack", string(debug.Stack()))
			err = p
		}()
		return c.Next()
	}
}
