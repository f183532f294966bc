package server

import (
	"errors"
	"fmt"
	"log/slog"
	"time"

	"plushladle/core/fault"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// CheckKitchen reckons every drink of a kitchen once, and opens every view of
// it, so that a backup is taken only where all of it can be shown. The error
// says which drink or view could not.
func CheckKitchen(s *store.Store) error {
	c := &checking{server: &server{caches: &caches{}, seen: &recordKept{}, store: s, now: time.Now, log: slog.New(slog.DiscardHandler), events: newEvents(), probe: &probe{}}}
	if err := c.views(); err != nil {
		return err
	}
	return s.EachRecipe(c.recipe)
}

type checking struct{ *server }

// views opens what a kitchen is seen through.
func (c *checking) views() error {
	for _, v := range []struct {
		name string
		open func() error
	}{
		{"settings", func() error { _, err := c.kitchen(nil); return err }},
		{"pantry", func() error { _, err := c.pantry(nil); return err }},
		{"drinks", func() error { _, err := c.drinks(nil); return err }},
		{"shelf", func() error { _, err := c.shelf(nil); return err }},
		{"plan", func() error { _, err := c.plan(nil); return err }},
		{"rhythm", func() error { _, err := c.rhythm(nil); return err }},
		{"timers", func() error { _, err := c.timers(nil); return err }},
	} {
		if err := safely(v.open); err != nil {
			return fmt.Errorf("the %s cannot be shown: %w", v.name, err)
		}
	}
	return nil
}

// recipe reckons one recipe.
func (c *checking) recipe(place, name string, f kitchen.Recipe) error {
	err := safely(func() error {
		_, err := c.reckonRecipe(name, f, c.now())
		return err
	})
	var field *fault.Error
	if err != nil && !errors.As(err, &field) { // what a field says, the Bench shows beside it
		return fmt.Errorf("%s, %q, cannot be reckoned: %w", place, name, err)
	}
	return nil
}

// safely turns a panic into an error.
func safely(do func() error) (err error) {
	defer func() {
		if cause := recover(); cause != nil {
			err = fmt.Errorf("it does not hold together (%v)", cause)
		}
	}()
	return do()
}
