// Package bench is what a cook does with a drink on the Bench: reckons it, turns its
// dials, swaps, tries, splits, keeps it as a version, and looks how a figure came about.
package bench

import "plushladle/internal/app"

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
