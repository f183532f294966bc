// Package check opens every view of a kitchen once, to tell whether all of it can be shown.
package check

import (
	"errors"
	"fmt"
	"log/slog"
	"time"

	"plushladle/core/fault"
	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Kitchen reckons every drink of a kitchen once, and opens every view of
// it, so that a backup is taken only where all of it can be shown. The error
// says which drink or view could not.
func Kitchen(s *store.Store) error {
	c := &checking{app.New(s, time.Now, slog.New(slog.DiscardHandler))}
	if err := c.views(); err != nil {
		return err
	}
	return s.EachRecipe(c.recipe)
}

type checking struct{ *app.Kitchen }

// views opens what a kitchen is seen through.
func (c *checking) views() error {
	for _, v := range []struct {
		name string
		open func() error
	}{
		{"settings", func() error { _, err := c.Settings(); return err }},
		{"pantry", func() error { _, err := pantry.Of(c.Kitchen).Pantry(); return err }},
		{"drinks", func() error { _, err := bench.Of(c.Kitchen).Drinks(); return err }},
		{"shelf", func() error { _, err := shelf.Of(c.Kitchen).Shelf(); return err }},
		{"plan", func() error { _, err := planning.Of(c.Kitchen).Plan(); return err }},
		{"rhythm", func() error { _, err := planning.Of(c.Kitchen).Rhythm(); return err }},
		{"timers", func() error { _, err := cooking.Of(c.Kitchen).Timers(); return err }},
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
		_, err := bench.Of(c.Kitchen).ReckonRecipe(name, f, c.Now())
		return err
	})
	var field *fault.Error
	if err != nil && !errors.As(err, &field) { // what a field says, the Bench shows beside it
		return fmt.Errorf("%s, %q, cannot be worked out: %w", place, name, err)
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
