package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app/cooking"
)

type unweighInput struct {
	ByID
	Key string `query:"key" maxLength:"200" required:"true"`
}

// cookingOperations are those of Cook.
func (s *server) cookingOperations(api huma.API) {
	operation(s, api, post, "/api/plan/items/{id}/weighings", "weigh", "Take down what really went in", cooking.Of, on(cooking.Service.Weigh))
	operation(s, api, remove, "/api/plan/items/{id}/weighings", "unweigh", "Forget what went in of an amount", cooking.Of, func(c cooking.Service, in *unweighInput) (cooking.WeighedChange, error) {
		return c.Unweigh(in.ID, in.Key)
	})
	act(s, api, post, "/api/plan/items/{id}/batch", "bottle-item", "Bottle a cooked drink, and record how it was made", undoable, cooking.Of, on(cooking.Service.BottleItem))
	told(s, api, post, "/api/plan/items/{id}/rescale", "rescale", "Let what is still to come follow an amount that is over or under", cooking.Of, on(cooking.Service.Rescale))
	operation(s, api, get, "/api/scale", "scale", "What the scale shows, and what is weighed on it", cooking.Of, plain(cooking.Service.ScaleNow))
	operation(s, api, post, "/api/scale/connect", "connect-scale", "Read the scale for a planned drink", cooking.Of, bodied(cooking.Service.ConnectScale))
	operation(s, api, post, "/api/scale/readings", "send-reading", "A reading of the cook's own scale", cooking.Of, bodied(cooking.Service.SendReading))
	operation(s, api, post, "/api/scale/disconnect", "disconnect-scale", "Read the scale no more", cooking.Of, plain(cooking.Service.DisconnectScale))
	operation(s, api, post, "/api/scale/tare", "tare-scale", "Make what lies on the scale the new zero", cooking.Of, plain(cooking.Service.TareScale))
	operation(s, api, post, "/api/scale/amount", "choose-amount", "Weigh another amount next", cooking.Of, bodied(cooking.Service.ChooseAmount))
	operation(s, api, post, "/api/scale/take", "take-reading", "Take down what the scale shows as it is", cooking.Of, plain(cooking.Service.TakeReading))
	operation(s, api, post, "/api/scale/stand-in", "drive-stand-in", "Pour onto the practice scale, or pull its plug", cooking.Of, bodied(cooking.Service.DriveStandIn))
	operation(s, api, get, "/api/timers", "timers", "The timers that run, are held, or ring", cooking.Of, plain(cooking.Service.Timers))
	act(s, api, post, "/api/timers", "start-timer", "Start a timer", !undoable, cooking.Of, bodied(cooking.Service.StartTimer))
	told(s, api, post, "/api/timers/{id}/hold", "hold-timer", "Hold a timer, or let it run on", cooking.Of, byID(cooking.Service.HoldTimer))
	operation(s, api, post, "/api/plan/items/{id}/cooling", "cooling", "How a cooked drink cools, and what would help", cooking.Of, on(cooking.Service.Cooling))
	told(s, api, post, "/api/plan/items/{id}/cooling/watch", "watch-cooling", "Be told before it is too late", cooking.Of, on(cooking.Service.WatchCooling))
	told(s, api, remove, "/api/timers/{id}", "stop-timer", "Stop a timer, or answer one that rings", cooking.Of, byID(cooking.Service.StopTimer))
}
