package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app"
)

// kitchenOperations are those of the kitchen's own settings.
func (s *server) kitchenOperations(api huma.API) {
	operation(s, api, get, "/api/kitchen", "kitchen", "The kitchen's own ways", itself, plain((*app.Kitchen).Settings))
	operation(s, api, put, "/api/kitchen", "set-kitchen", "Change the kitchen's ways", itself, bodied((*app.Kitchen).SetSettings))
	operation(s, api, get, "/api/copies", "copies", "The daily copies that can be restored", itself, plain((*app.Kitchen).Copies))
	operation(s, api, get, "/api/learned", "learned", "What the kitchen's batches taught", itself, plain((*app.Kitchen).Learned))
	operation(s, api, post, "/api/learned/forget", "forget-learned", "Begin with the usual figure again", itself, bodied((*app.Kitchen).Forget))
	operation(s, api, put, "/api/kitchen/time-zone", "begin-in-zone", "The time zone of a kitchen that has none yet", itself, bodied((*app.Kitchen).BeginInZone))
}
