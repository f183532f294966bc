// Package cooking is a planned drink while it is made: what is weighed and how far off it
// is, timers, cooling, and how it was bottled in the end.
package cooking

import "plushladle/internal/app"

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
