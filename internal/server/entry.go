package server

import (
	"context"
	"crypto/rand"
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

	"plushladle/internal/kitchen"
	"plushladle/internal/passphrase"
	"plushladle/internal/store"
)

// A kitchen opened beyond this machine lets a device in that showed the
// passphrase once; from then on it shows a token in a cookie. Whoever sits at
// the machine itself needs neither.

const (
	cookieName = "plush-ladle"
	cookieFor  = 365 * 24 * time.Hour // the store forgets a device sooner where it stays away
	tokenBytes = 32

	signInPath   = "/api/sign-in"
	phrasePath   = "/api/passphrase"
	calendarPath = "/api/plan.ics"
	readyPath    = "/api/ready"
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
	atHome  bool          // at the machine itself
	device  *store.Device // what was let in otherwise
	address string
	key     string // of the request, so that it is not acted on twice
	what    string // the request itself, in short
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
		who := caller{atHome: !beyond || isAtHome(c), address: addressOf(c)}
		if !who.atHome {
			device, err := s.deviceOf(c)
			if err != nil && !errors.Is(err, store.ErrNotFound) {
				return err
			}
			if err != nil && c.Path() != signInPath && c.Path() != readyPath {
				return fiber.NewError(http.StatusUnauthorized, "this kitchen asks for its passphrase; sign in first")
			}
			who.device = device
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
	if key == "" || c.Path() == restorePath {
		return nil
	}
	if len(key) > longestKey {
		return fiber.NewError(http.StatusBadRequest, "the idempotency key is longer than 100 characters")
	}
	if who.device != nil {
		key = fmt.Sprintf("%d %s", who.device.ID, key) // nobody is told what another asked
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
	if key := c.Query("key"); key != "" && c.Path() == calendarPath {
		device, err := s.store.Device(hashOf(key))
		if err == nil && device.Calendar {
			return device, nil
		}
		return nil, errors.Join(store.ErrNotFound, err)
	}
	token := c.Cookies(cookieName)
	if token == "" {
		return nil, store.ErrNotFound
	}
	device, err := s.store.Device(hashOf(token))
	if err == nil && device.Calendar {
		return nil, store.ErrNotFound
	}
	return device, err
}

// hashOf is what is kept of a token. It is random and long, so that a plain
// hash will do.
func hashOf(token string) string {
	sum := sha256.Sum256([]byte(token))
	return hex.EncodeToString(sum[:])
}

func newToken() string {
	token := make([]byte, tokenBytes)
	_, _ = rand.Read(token) // never fails
	return hex.EncodeToString(token)
}

// fewTries refuses, without looking at them, tries after too many wrong ones.
func fewTries(log *slog.Logger) fiber.Handler {
	said := &rate.Sometimes{First: 3, Interval: time.Minute}
	refuse := func(c fiber.Ctx) error {
		said.Do(func() { log.Warn("too many wrong passphrases; tries are refused unlooked at", "address", addressOf(c)) })
		return fiber.NewError(http.StatusTooManyRequests, "that was wrong too often; wait five minutes and try again")
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

// SignIn is what a device shows to be let in.
type SignIn struct {
	Passphrase string `json:"passphrase" maxLength:"1000"`
	Device     string `json:"device" maxLength:"60" doc:"what the cook calls it"`
}

type cookieOutput struct {
	SetCookie http.Cookie `header:"Set-Cookie"`
	Body      Nothing
}

func cookie(token string, lasts time.Duration) *cookieOutput {
	return &cookieOutput{
		SetCookie: http.Cookie{Name: cookieName, Value: token, Path: "/", MaxAge: int(lasts.Seconds()), HttpOnly: true, SameSite: http.SameSiteStrictMode},
		Body:      Nothing{Done: true},
	}
}

type signInInput struct {
	Caller
	Body SignIn
}

func (s *server) signIn(_ context.Context, in *signInInput) (*cookieOutput, error) {
	hash, err := s.store.PassphraseHash()
	if err != nil {
		return nil, s.problem(err)
	}
	if hash == "" || !passphrase.Matches(in.Body.Passphrase, hash) {
		s.log.Warn("a wrong passphrase", "device", in.Body.Device, "address", in.caller.address)
		return nil, huma.Error403Forbidden("That is not this kitchen's passphrase.",
			&huma.ErrorDetail{Location: "body.passphrase", Message: "That is not this kitchen's passphrase. It was set where the kitchen runs."})
	}
	token := newToken()
	name := kitchen.OneLine(in.Body.Device)
	if name == "" {
		name = "A device"
	}
	device, err := s.store.SignIn(store.Device{Name: name, TokenHash: hashOf(token)})
	if err != nil {
		return nil, s.problem(err)
	}
	s.log.Info("a device signed in", "device", name, "id", device.ID, "address", in.caller.address)
	return cookie(token, cookieFor), nil
}

func (s *server) signOut(_ context.Context, in *struct{ Caller }) (*cookieOutput, error) {
	if in.caller.device == nil {
		return cookie("", -time.Second), nil
	}
	if err := s.store.SignOut(in.caller.device.ID); err != nil {
		return nil, s.problem(err)
	}
	s.events.cut(in.caller.device.ID, false)
	return cookie("", -time.Second), nil
}

// Devices are who may come in.
type Devices struct {
	HasPassphrase bool           `json:"hasPassphrase"`
	Beyond        bool           `json:"beyond" doc:"the kitchen is open beyond its own machine"`
	AtHome        bool           `json:"atHome" doc:"whoever asks sits at that machine"`
	Devices       []DeviceFigure `json:"devices"`
}

// DeviceFigure is a device that was let in.
type DeviceFigure struct {
	ID       int64     `json:"id"`
	Name     string    `json:"name"`
	Calendar bool      `json:"calendar" doc:"it reads the plan's calendar and nothing else"`
	SignedIn time.Time `json:"signedIn"`
	Seen     time.Time `json:"seen" doc:"to the hour"`
	This     bool      `json:"this" doc:"it is the one that asks"`
}

func (s *server) devices(in *struct{ Caller }) (Devices, error) {
	hash, err := s.store.PassphraseHash()
	if err != nil {
		return Devices{}, err
	}
	kept, err := s.store.Devices()
	out := Devices{HasPassphrase: hash != "", Beyond: s.beyond, AtHome: in.caller.atHome, Devices: make([]DeviceFigure, len(kept))}
	for n, d := range kept {
		isThis := in.caller.device != nil && in.caller.device.ID == d.ID
		out.Devices[n] = DeviceFigure{ID: d.ID, Name: d.Name, Calendar: d.Calendar, SignedIn: d.SignedIn, Seen: d.Seen, This: isThis}
	}
	return out, err
}

type revokeInput struct {
	ByID
	Caller
}

func (s *server) revoke(in *revokeInput) (Devices, error) {
	if err := s.store.SignOut(in.ID); err != nil {
		return Devices{}, err
	}
	s.events.cut(in.ID, false)
	s.log.Info("a device was signed out", "id", in.ID)
	return s.devices(&struct{ Caller }{in.Caller})
}

// NewPassphrase takes the place of the kitchen's passphrase.
type NewPassphrase struct {
	Passphrase string `json:"passphrase" maxLength:"1000"`
	Current    string `json:"current" maxLength:"1000" doc:"the one so far; not asked for at the machine itself"`
}

type passphraseInput struct {
	Caller
	Body NewPassphrase
}

// setPassphrase keeps another and signs every other device out.
func (s *server) setPassphrase(in *passphraseInput) (Devices, error) {
	hash, err := s.store.PassphraseHash()
	if err != nil {
		return Devices{}, err
	}
	if !in.caller.atHome && !passphrase.Matches(in.Body.Current, hash) {
		s.log.Warn("a wrong passphrase", "device", in.caller.device.Name, "address", in.caller.address)
		return Devices{}, huma.Error403Forbidden("That is not the passphrase so far.",
			&huma.ErrorDetail{Location: "body.current", Message: "That is not the passphrase so far."})
	}
	if err := passphrase.Check(in.Body.Passphrase); err != nil {
		return Devices{}, err
	}
	hash, err = passphrase.Hash(in.Body.Passphrase)
	if err != nil {
		return Devices{}, err
	}
	keep := int64(0)
	if in.caller.device != nil {
		keep = in.caller.device.ID
	}
	if err := s.store.SetPassphrase(hash, keep); err != nil {
		return Devices{}, err
	}
	s.events.cut(keep, true)
	s.log.Info("the passphrase was set; all other devices are signed out")
	return s.devices(&struct{ Caller }{in.Caller})
}

// CalendarKey is an address a calendar program may read.
type CalendarKey struct {
	Address string  `json:"address" doc:"in full where other devices find the kitchen; else from its root"`
	Devices Devices `json:"devices"`
}

// calendarKey makes an address with a key of its own, for a program that can
// show no cookie. It is shown once, and signed out like any device.
func (s *server) calendarKey(in *struct{ Caller }) (CalendarKey, error) {
	token := newToken()
	if _, err := s.store.SignIn(store.Device{Name: "A calendar", Calendar: true, TokenHash: hashOf(token)}); err != nil {
		return CalendarKey{}, err
	}
	devices, err := s.devices(in)
	return CalendarKey{Address: s.url + calendarPath + "?key=" + token, Devices: devices}, err
}

func (s *server) registerEntry(api huma.API) {
	huma.Register(api, huma.Operation{OperationID: "sign-in", Method: http.MethodPost, Path: signInPath, Summary: "Show the passphrase, once"}, s.signIn)
	huma.Register(api, huma.Operation{OperationID: "sign-out", Method: http.MethodPost, Path: "/api/sign-out", Summary: "Be forgotten"}, s.signOut)
	operation(s, api, http.MethodGet, "/api/devices", "devices", "Who may come in", s.devices)
	operation(s, api, http.MethodDelete, "/api/devices/{id}", "revoke-device", "Sign a device out", s.revoke)
	operation(s, api, http.MethodPut, phrasePath, "set-passphrase", "Set the passphrase, and sign other devices out", s.setPassphrase)
	operation(s, api, http.MethodPost, "/api/calendar-keys", "add-calendar-key", "An address for a calendar", s.calendarKey)
}
