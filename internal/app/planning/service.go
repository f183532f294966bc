// Package planning is when what is made: drinks on the plan with their steps and times,
// blocks that are pinned, bowls that soak, the calendar, the rhythm of a week, and what can
// be made with what there is.
package planning

import "plushladle/internal/app"

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
