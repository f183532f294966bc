// Package shelf is what became of what was made: bottles with their dates by what they
// saw, pours, moves, leftovers, pulp, open packs, and the fridge's thermometer.
package shelf

import "plushladle/internal/app"

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
