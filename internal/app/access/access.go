// Package access is who may come into a kitchen that is open beyond its own machine: a
// device shows the passphrase once, and a token of its own from then on; a calendar program
// has an address with a token in it. Whoever sits at the machine itself needs neither.
package access

import (
	"crypto/rand"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"time"

	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/passphrase"
	"plushladle/internal/store"
)

// ErrWrong says that a passphrase was not the kitchen's.
var ErrWrong = errors.New("that is not this kitchen's passphrase")

// tokenBytes is how long a token is.
const tokenBytes = 32

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Store is the little this area needs of what is kept.
type Store interface {
	Device(tokenHash string) (*store.Device, error)
	Devices() ([]store.Device, error)
	PassphraseHash() (string, error)
	SetPassphrase(hash string, but int64) error
	SignIn(d store.Device) (*store.Device, error)
	SignOut(id int64) error
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }

// SignIn is what a device shows, once.
type SignIn struct {
	Passphrase string `json:"passphrase" maxLength:"1000"`
	Device     string `json:"device" maxLength:"60" doc:"what the cook calls it"`
}

// SignIn lets a device in, and gives it its token. The error is ErrWrong where the
// passphrase is not the kitchen's, or it has none.
func (s Service) SignIn(in SignIn, address string) (token string, err error) {
	hash, err := s.store.PassphraseHash()
	if err != nil {
		return "", err
	}
	if hash == "" || !passphrase.Matches(in.Passphrase, hash) {
		s.Log.Warn("a wrong passphrase", "device", in.Device, "address", address)
		return "", ErrWrong
	}
	name := kitchen.OneLine(in.Device)
	if name == "" {
		name = "A device"
	}
	token = newToken()
	device, err := s.store.SignIn(store.Device{Name: name, TokenHash: hashOf(token)})
	if err != nil {
		return "", err
	}
	s.Log.Info("a device signed in", "device", name, "id", device.ID, "address", address)
	return token, nil
}

// SignOut lets a device in no more.
func (s Service) SignOut(id int64) error {
	if err := s.store.SignOut(id); err != nil {
		return err
	}
	s.Log.Info("a device was signed out", "id", id)
	return nil
}

// ByToken is the device that a token was given to; store.ErrNotFound for none. A
// calendar's token opens the calendar only.
func (s Service) ByToken(token string, calendar bool) (*store.Device, error) {
	if token == "" {
		return nil, store.ErrNotFound
	}
	device, err := s.store.Device(hashOf(token))
	if err == nil && device.Calendar != calendar {
		return nil, store.ErrNotFound
	}
	return device, err
}

// Caller is who asks: at the machine itself, or a device that was let in.
type Caller struct {
	AtHome  bool
	Device  *store.Device // nil at the machine itself
	Address string
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

// Devices are those let in, as one who asks sees them.
func (s Service) Devices(who Caller, beyond bool) (Devices, error) {
	hash, err := s.store.PassphraseHash()
	if err != nil {
		return Devices{}, err
	}
	kept, err := s.store.Devices()
	out := Devices{HasPassphrase: hash != "", Beyond: beyond, AtHome: who.AtHome, Devices: make([]DeviceFigure, len(kept))}
	for n, d := range kept {
		isThis := who.Device != nil && who.Device.ID == d.ID
		out.Devices[n] = DeviceFigure{ID: d.ID, Name: d.Name, Calendar: d.Calendar, SignedIn: d.SignedIn, Seen: d.Seen, This: isThis}
	}
	return out, err
}

// NewPassphrase takes the place of the kitchen's passphrase.
type NewPassphrase struct {
	Passphrase string `json:"passphrase" maxLength:"1000"`
	Current    string `json:"current" maxLength:"1000" doc:"the one so far; not asked for at the machine itself"`
}

// SetPassphrase keeps another and signs every other device out; keep is the device that
// stays, 0 for none. The error is ErrWrong where the one so far was not shown.
func (s Service) SetPassphrase(in NewPassphrase, who Caller) (keep int64, err error) {
	hash, err := s.store.PassphraseHash()
	if err != nil {
		return 0, err
	}
	if !who.AtHome && !passphrase.Matches(in.Current, hash) {
		s.Log.Warn("a wrong passphrase", "device", who.Device.Name, "address", who.Address)
		return 0, ErrWrong
	}
	if err := passphrase.Check(in.Passphrase); err != nil {
		return 0, err
	}
	if hash, err = passphrase.Hash(in.Passphrase); err != nil {
		return 0, err
	}
	if who.Device != nil {
		keep = who.Device.ID
	}
	if err := s.store.SetPassphrase(hash, keep); err != nil {
		return 0, err
	}
	s.Log.Info("the passphrase was set; all other devices are signed out")
	return keep, nil
}

// CalendarToken is a token of its own for a program that can show no cookie. It is shown
// once, and signed out like any device.
func (s Service) CalendarToken() (string, error) {
	token := newToken()
	_, err := s.store.SignIn(store.Device{Name: "A calendar", Calendar: true, TokenHash: hashOf(token)})
	return token, err
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
