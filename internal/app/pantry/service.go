// Package pantry is what a cook measures with, pays, owns and keeps for whom: rows of the
// cook's own, prices, measures, stock and drinkers.
package pantry

import "plushladle/internal/app"

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
