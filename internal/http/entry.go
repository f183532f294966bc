package http

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/limiter"
	"golang.org/x/time/rate"

	"plushladle/internal/app"
	"plushladle/internal/app/access"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// A kitchen opened beyond this machine lets a device in that showed the
// passphrase once; from then on it shows a token in a cookie. Whoever sits at
// the machine itself needs neither.

const (
	cookieName = "plush-ladle"
	cookieFor  = 365 * 24 * time.Hour // the store forgets a device sooner where it stays away

	signInPath = "/api/sign-in"
	phrasePath = "/api/passphrase"
	readyPath  = "/api/ready"
)

// Wrong tries taken in a stretch from one address: far below the hundred in a
// row of NIST SP 800-63B-3 (5.2.2). There is no limit for all together, with
// which anyone could lock everyone out: tries are looked at one at a time, which
// takes long enough, and what is guessed first is no passphrase.
const (
	triesFor       = 5 * time.Minute
	triesOfAddress = 10
)

// caller is who makes a request.
type caller struct {
	access.Caller
	key  string // of the request, so that it is not acted on twice
	what string // the request itself, in short
}

type callerKey struct{}

// Caller brings who asks into an operation's input.
type Caller struct{ caller caller }

// Resolve is called by huma before the operation.
func (c *Caller) Resolve(ctx huma.Context) []error {
	c.caller, _ = ctx.Context().Value(callerKey{}).(caller)
	return nil
}

// gate lets in who is at the machine itself, and devices that were signed in.
func (s *server) gate(beyond bool) fiber.Handler {
	return func(c fiber.Ctx) error {
		who := caller{Caller: access.Caller{AtHome: !beyond || isAtHome(c), Address: addressOf(c)}}
		if !who.AtHome {
			device, err := s.deviceOf(c)
			if err != nil && !errors.Is(err, store.ErrNotFound) {
				return err
			}
			if err != nil && c.Path() != signInPath && c.Path() != readyPath {
				return fiber.NewError(http.StatusUnauthorized, wording.Say("sign-in-first"))
			}
			who.Device = device
		}
		if err := who.identify(c); err != nil {
			return err
		}
		c.SetContext(context.WithValue(c.Context(), callerKey{}, who))
		return c.Next()
	}
}

// longestKey is the longest idempotency key that is taken.
const longestKey = 100

// identify takes down the key that a request bears, and what it asks for: the
// same key never acts twice, nor for another request.
func (who *caller) identify(c fiber.Ctx) error {
	key := strings.Clone(c.Get("Idempotency-Key"))
	if key == "" || isReceived(c.Path()) {
		return nil
	}
	if len(key) > longestKey {
		return fiber.NewError(http.StatusBadRequest, "the idempotency key is longer than 100 characters")
	}
	if who.Device != nil {
		key = fmt.Sprintf("%d %s", who.Device.ID, key) // nobody is told what another asked
	}
	sum := sha256.Sum256(c.Body())
	who.key, who.what = key, c.Method()+" "+strings.Clone(c.OriginalURL())+" "+hex.EncodeToString(sum[:])
	return nil
}

// isAtHome tells whether a request comes from this machine, and is not one
// that another server here only hands on.
func isAtHome(c fiber.Ctx) bool {
	if c.Get("X-Forwarded-For") != "" || c.Get("Forwarded") != "" || c.Get("X-Real-Ip") != "" {
		return false
	}
	return c.RequestCtx().RemoteIP().IsLoopback()
}

// deviceOf is the device whose token a request shows. A calendar shows its own
// in the address, and is let in to the calendar only.
func (s *server) deviceOf(c fiber.Ctx) (*store.Device, error) {
	if key := c.Query("key"); key != "" && c.Path() == app.CalendarPath {
		return access.Of(s.Kitchen).ByToken(key, true)
	}
	return access.Of(s.Kitchen).ByToken(c.Cookies(cookieName), false)
}

// fewTries refuses, without looking at them, tries after too many wrong ones.
func fewTries(log *slog.Logger) fiber.Handler {
	said := &rate.Sometimes{First: 3, Interval: time.Minute}
	refuse := func(c fiber.Ctx) error {
		said.Do(func() { log.Warn("too many wrong passphrases; tries are refused unlooked at", "address", addressOf(c)) })
		return fiber.NewError(http.StatusTooManyRequests, wording.Say("too-many-wrong-passphrases"))
	}
	return limiter.New(limiter.Config{
		Max: triesOfAddress, Expiration: triesFor, KeyGenerator: addressOf, LimitReached: refuse, SkipSuccessfulRequests: true,
	})
}

// addressOf is whom tries are counted of: one address, or one network of the
// sixth version, whose holder has as many addresses as it likes.
func addressOf(c fiber.Ctx) string {
	ip := c.RequestCtx().RemoteIP()
	if ip.To4() == nil {
		return ip.Mask(net.CIDRMask(64, 128)).String()
	}
	return ip.String()
}

type cookieOutput struct {
	SetCookie http.Cookie `header:"Set-Cookie"`
	Body      app.Nothing
}

func cookie(token string, lasts time.Duration) *cookieOutput {
	return &cookieOutput{
		SetCookie: http.Cookie{Name: cookieName, Value: token, Path: "/", MaxAge: int(lasts.Seconds()), HttpOnly: true, SameSite: http.SameSiteStrictMode},
		Body:      app.Nothing{Done: true},
	}
}

type signInInput struct {
	Caller
	Body access.SignIn
}

func (s *server) signIn(_ context.Context, in *signInInput) (*cookieOutput, error) {
	token, err := access.Of(s.Kitchen).SignIn(in.Body, in.caller.Address)
	if errors.Is(err, access.ErrWrong) {
		return nil, huma.Error403Forbidden(wording.Say("wrong-passphrase"),
			&huma.ErrorDetail{Location: "body.passphrase", Message: wording.Say("wrong-passphrase-set-where")})
	}
	if err != nil {
		return nil, s.problem(err)
	}
	return cookie(token, cookieFor), nil
}

func (s *server) signOut(_ context.Context, in *struct{ Caller }) (*cookieOutput, error) {
	if in.caller.Device == nil {
		return cookie("", -time.Second), nil
	}
	if err := access.Of(s.Kitchen).SignOut(in.caller.Device.ID); err != nil {
		return nil, s.problem(err)
	}
	s.events.cut(in.caller.Device.ID, false)
	return cookie("", -time.Second), nil
}

func (s *server) devices(a access.Service, in *struct{ Caller }) (access.Devices, error) {
	return a.Devices(in.caller.Caller, s.beyond)
}

type revokeInput struct {
	ByID
	Caller
}

func (s *server) revoke(a access.Service, in *revokeInput) (access.Devices, error) {
	if err := a.SignOut(in.ID); err != nil {
		return access.Devices{}, err
	}
	s.events.cut(in.ID, false)
	return a.Devices(in.caller.Caller, s.beyond)
}

type passphraseInput struct {
	Caller
	Body access.NewPassphrase
}

// setPassphrase keeps another and signs every other device out.
func (s *server) setPassphrase(a access.Service, in *passphraseInput) (access.Devices, error) {
	keep, err := a.SetPassphrase(in.Body, in.caller.Caller)
	if errors.Is(err, access.ErrWrong) {
		return access.Devices{}, huma.Error403Forbidden(wording.Say("not-the-current-passphrase"),
			&huma.ErrorDetail{Location: "body.current", Message: wording.Say("not-the-current-passphrase")})
	}
	if err != nil {
		return access.Devices{}, err
	}
	s.events.cut(keep, true)
	return a.Devices(in.caller.Caller, s.beyond)
}

// CalendarKey is an address a calendar program may read.
type CalendarKey struct {
	Address string         `json:"address" doc:"in full where other devices find the kitchen; else from its root"`
	Devices access.Devices `json:"devices"`
}

func (s *server) calendarKey(a access.Service, in *struct{ Caller }) (CalendarKey, error) {
	token, err := a.CalendarToken()
	if err != nil {
		return CalendarKey{}, err
	}
	devices, err := a.Devices(in.caller.Caller, s.beyond)
	return CalendarKey{Address: s.url + app.CalendarPath + "?key=" + token, Devices: devices}, err
}

// accessOperations are those of who may come in.
func (s *server) accessOperations(api huma.API) {
	huma.Register(api, huma.Operation{OperationID: "sign-in", Method: post, Path: signInPath, Summary: "Show the passphrase, once"}, s.signIn)
	huma.Register(api, huma.Operation{OperationID: "sign-out", Method: post, Path: "/api/sign-out", Summary: "Be forgotten"}, s.signOut)
	operation(s, api, get, "/api/devices", "devices", "Who may come in", access.Of, s.devices)
	operation(s, api, remove, "/api/devices/{id}", "revoke-device", "Sign a device out", access.Of, s.revoke)
	operation(s, api, put, phrasePath, "set-passphrase", "Set the passphrase, and sign other devices out", access.Of, s.setPassphrase)
	operation(s, api, get, "/api/secure", "secure", "How it is reached over HTTPS", itself, func(*app.Kitchen, *struct{}) (app.Secure, error) { return s.secure, nil })
	operation(s, api, post, "/api/calendar-keys", "add-calendar-key", "An address for a calendar", access.Of, s.calendarKey)
}
