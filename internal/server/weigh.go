package server

import (
	"fmt"
	"net/http"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"
	"github.com/goccy/go-json"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/core/solve"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

func (s *server) registerWeigh(api huma.API) {
	operation(s, api, http.MethodPost, "/api/plan/items/{id}/weighings", "weigh", "Take down what really went in", s.weigh)
	operation(s, api, http.MethodDelete, "/api/plan/items/{id}/weighings", "unweigh", "Forget what went in of an amount", s.unweigh)
	act(s, api, http.MethodPost, "/api/plan/items/{id}/batch", "bottle-item", "Bottle a cooked drink, and record how it was made", undoable, (*server).bottleItem)
	operation(s, api, http.MethodGet, "/api/batches/{id}", "batch", "How a drink was really made", s.batch)
	operation(s, api, http.MethodPost, "/api/plan/items/{id}/rescale", "rescale", "Let what is still to come follow an amount that is over or under", withEvent(s, s.rescale))
}

// withUsed are the steps with what really went in of their amounts.
func withUsed(steps []plan.ItemStep, weighed map[string]store.Weighing) []plan.ItemStep {
	out := slices.Clone(steps)
	for n := range out {
		out[n].Amounts = slices.Clone(out[n].Amounts)
		if out[n].Amounts == nil {
			out[n].Amounts = []plan.ItemAmount{}
		}
		for k := range out[n].Amounts {
			a := &out[n].Amounts[k]
			if w, ok := weighed[a.Key]; ok {
				a.Used = usedOf(*a, w)
			}
		}
	}
	return out
}

func usedOf(a plan.ItemAmount, w store.Weighing) *plan.Weighed {
	by := "typed"
	if w.ByScale {
		by = "scale"
	}
	return a.Weigh(w.MassG, by, w.Taken, w.At)
}

// Overshoot is an amount that went over, and what either way out comes to.
type Overshoot struct {
	Key        string  `json:"key"`
	Name       string  `json:"name"`
	OverG      float64 `json:"overG"`
	UsedG      float64 `json:"usedG" doc:"what is in"`
	AsItIs     string  `json:"asItIs" doc:"what the drink comes to where it is left"`
	CanRescale bool    `json:"canRescale" doc:"something is still to come that can follow"`
	Rescaled   string  `json:"rescaled" doc:"what the drink comes to where that follows"`
}

// overshoot is the first amount of the step in front that is over and not taken.
func overshoot(steps []plan.ItemStep, front int, d *reckon.Drink, r *reckon.Reckoning) *Overshoot {
	step := steps[front]
	at := step.Over()
	if at < 0 {
		return nil
	}
	a := step.Amounts[at]
	out := Overshoot{Key: a.Key, Name: a.Name, OverG: a.Used.OffBy, UsedG: a.Used.MassG}
	asUsed := solve.AsUsed(d, r, plan.UsedG(steps))
	if taken, err := asUsed.Reckon(); err == nil {
		out.AsItIs = comesTo(reckon.Apart(r, taken))
	}
	scaled, followers := plan.Followed(steps, a, d, r)
	if after, err := scaled.Reckon(); err == nil && followers > 0 {
		out.CanRescale, out.Rescaled = true, comesTo(reckon.Apart(r, after))
	}
	return &out
}

func comesTo(apart []say.Text) string {
	if len(apart) == 0 {
		return "no figure changes"
	}
	return strings.Join(wording.Texts(apart), ", ")
}

// WeighedNow is what really went in of an amount.
type WeighedNow struct {
	Key   string  `json:"key" maxLength:"200"`
	MassG float64 `json:"massG" doc:"above 0, to 100 kg"`
	Taken bool    `json:"taken,omitempty" doc:"as it is, though over or under"`
}

type weighInput struct {
	ByID
	Body WeighedNow
}

const mostWeighedG = 100_000

// WeighedChange is what a weighing changed: it is put into the plan that the page has.
type WeighedChange struct {
	ItemID int64         `json:"itemID"`
	Key    string        `json:"key" doc:"of the amount"`
	Used   *plan.Weighed `json:"used,omitempty" doc:"absent where it was forgotten"`
	Front  *Front        `json:"front,omitempty" doc:"of the drink, as it is now"`
}

// weighedChange reads what a weighing changed.
func (s *server) weighedChange(itemID int64, key string) (WeighedChange, error) {
	out := WeighedChange{ItemID: itemID, Key: key}
	item, a, err := s.amount(itemID, key)
	if err != nil {
		return out, err
	}
	out.Used, out.Front = a.Used, front(item.Steps, s.now())
	if out.Front == nil || out.Front.Step < 0 || item.Steps[out.Front.Step].Over() < 0 {
		return out, nil
	}
	ways, err := s.setup()
	if err != nil {
		return out, err
	}
	r, d, err := s.reckonItem(item, ways)
	if err == nil {
		out.Front.Over = overshoot(item.Steps, out.Front.Step, d, r)
	}
	return out, err
}

// wasWeighed tells those who follow of a weighing, and the scale what comes next.
func (s *server) wasWeighed(itemID int64, key string) (WeighedChange, error) {
	change, err := s.weighedChange(itemID, key)
	if err != nil {
		return change, err
	}
	if data, err := json.Marshal(change); err == nil {
		s.events.weighed(data)
	}
	return change, nil
}

func (s *server) weigh(in *weighInput) (WeighedChange, error) {
	if !(in.Body.MassG > 0 && in.Body.MassG <= mostWeighedG) {
		return WeighedChange{}, fault.New("massG", fmt.Sprint(in.Body.MassG), "mass-out-of-range")
	}
	if _, _, err := s.amount(in.ID, in.Body.Key); err != nil {
		return WeighedChange{}, err
	}
	err := s.store.Weigh(store.Weighing{ItemID: in.ID, Key: in.Body.Key, MassG: in.Body.MassG, Taken: in.Body.Taken})
	if err != nil {
		return WeighedChange{}, err
	}
	s.station.Refresh()
	return s.wasWeighed(in.ID, in.Body.Key)
}

// amount finds an amount of a planned drink, with the drink as it is.
func (s *server) amount(id int64, key string) (store.PlanItem, plan.ItemAmount, error) {
	items, at, err := s.item(id)
	if err != nil {
		return store.PlanItem{}, plan.ItemAmount{}, err
	}
	l, err := s.planView()
	if err != nil {
		return store.PlanItem{}, plan.ItemAmount{}, err
	}
	item := items[at]
	item.Steps = withUsed(item.Steps, l.weighings[id])
	for _, step := range item.Steps {
		for _, a := range step.Amounts {
			if a.Key == key {
				return item, a, nil
			}
		}
	}
	return item, plan.ItemAmount{}, fault.New("key", key, "amount-is-gone")
}

type unweighInput struct {
	ByID
	Key string `query:"key" maxLength:"200" required:"true"`
}

func (s *server) unweigh(in *unweighInput) (WeighedChange, error) {
	if _, _, err := s.amount(in.ID, in.Key); err != nil {
		return WeighedChange{}, err
	}
	if err := s.store.Unweigh(in.ID, in.Key); err != nil {
		return WeighedChange{}, err
	}
	s.station.Refresh()
	return s.wasWeighed(in.ID, in.Key)
}

// Rescale names the amount that the rest is to follow.
type Rescale struct {
	Key string `json:"key" maxLength:"200"`
}

type rescaleInput struct {
	ByID
	Body Rescale
}

// rescale lets what is still to come follow an amount that was weighed.
func (s *server) rescale(in *rescaleInput) (Plan, error) {
	item, a, err := s.amount(in.ID, in.Body.Key)
	if err != nil {
		return Plan{}, err
	}
	if a.Used == nil || a.MassG == 0 {
		return Plan{}, fault.New("key", a.Name, "not-weighed-yet")
	}
	items, at, err := s.item(in.ID)
	if err != nil {
		return Plan{}, err
	}
	ways, err := s.setup()
	if err != nil {
		return Plan{}, err
	}
	r, d, err := s.reckonItem(item, ways)
	if err != nil {
		return Plan{}, err
	}
	scaled, followers := plan.Followed(item.Steps, a, d, r)
	if followers == 0 {
		return Plan{}, fault.New("key", a.Name, "nothing-follows")
	}
	if items[at].AsPlanned == nil {
		before := items[at].Recipe
		items[at].AsPlanned = &before
	}
	items[at].Recipe = items[at].Recipe.WithAmounts(&scaled)
	return s.keepPlan(items, at)
}
