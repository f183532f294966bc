package cooking

import (
	"fmt"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/app/planning"
	"plushladle/internal/store"
)

// WeighedNow is what really went in of an amount.
type WeighedNow struct {
	Key   string  `json:"key" maxLength:"200"`
	MassG float64 `json:"massG" doc:"above 0, to 100 kg"`
	Taken bool    `json:"taken,omitempty" doc:"as it is, though over or under"`
}

const mostWeighedG = 100_000

// WeighedChange is what a weighing changed: it is put into the plan that the page has.
type WeighedChange struct {
	ItemID int64           `json:"itemID"`
	Key    string          `json:"key" doc:"of the amount"`
	Used   *plan.Weighed   `json:"used,omitempty" doc:"absent where it was forgotten"`
	Front  *planning.Front `json:"front,omitempty" doc:"of the drink, as it is now"`
}

// weighedChange reads what a weighing changed.
func (s Service) weighedChange(itemID int64, key string) (WeighedChange, error) {
	out := WeighedChange{ItemID: itemID, Key: key}
	item, a, err := s.amount(itemID, key)
	if err != nil {
		return out, err
	}
	out.Used, out.Front = a.Used, planning.InFront(item.Steps, s.Now())
	if out.Front == nil || out.Front.Step < 0 || item.Steps[out.Front.Step].Over() < 0 {
		return out, nil
	}
	ways, err := s.Setup()
	if err != nil {
		return out, err
	}
	r, d, err := planning.Of(s.Kitchen).ReckonItem(item, ways)
	if err == nil {
		out.Front.Over = planning.OvershootOf(item.Steps, out.Front.Step, d, r)
	}
	return out, err
}

// wasWeighed tells those who follow of a weighing, and the scale what comes next.
func (s Service) wasWeighed(itemID int64, key string) (WeighedChange, error) {
	change, err := s.weighedChange(itemID, key)
	if err != nil {
		return change, err
	}
	s.Tell.Weighed(change)
	return change, nil
}

func (s Service) Weigh(id int64, in WeighedNow) (WeighedChange, error) {
	if !(in.MassG > 0 && in.MassG <= mostWeighedG) {
		return WeighedChange{}, fault.New("massG", fmt.Sprint(in.MassG), "mass-out-of-range")
	}
	if _, _, err := s.amount(id, in.Key); err != nil {
		return WeighedChange{}, err
	}
	err := s.store.Weigh(store.Weighing{ItemID: id, Key: in.Key, MassG: in.MassG, Taken: in.Taken})
	if err != nil {
		return WeighedChange{}, err
	}
	s.Station.Refresh()
	return s.wasWeighed(id, in.Key)
}

// amount finds an amount of a planned drink, with the drink as it is.
func (s Service) amount(id int64, key string) (store.PlanItem, plan.ItemAmount, error) {
	items, at, err := planning.Of(s.Kitchen).Item(id)
	if err != nil {
		return store.PlanItem{}, plan.ItemAmount{}, err
	}
	l, err := planning.Of(s.Kitchen).PlanView()
	if err != nil {
		return store.PlanItem{}, plan.ItemAmount{}, err
	}
	item := items[at]
	item.Steps = planning.WithUsed(item.Steps, l.Weighings[id])
	for _, step := range item.Steps {
		for _, a := range step.Amounts {
			if a.Key == key {
				return item, a, nil
			}
		}
	}
	return item, plan.ItemAmount{}, fault.New("key", key, "amount-is-gone")
}

func (s Service) Unweigh(id int64, key string) (WeighedChange, error) {
	if _, _, err := s.amount(id, key); err != nil {
		return WeighedChange{}, err
	}
	if err := s.store.Unweigh(id, key); err != nil {
		return WeighedChange{}, err
	}
	s.Station.Refresh()
	return s.wasWeighed(id, key)
}

// Rescale names the amount that the rest is to follow.
type Rescale struct {
	Key string `json:"key" maxLength:"200"`
}

// Rescale lets what is still to come follow an amount that was weighed.
func (s Service) Rescale(id int64, in Rescale) (planning.Plan, error) {
	item, a, err := s.amount(id, in.Key)
	if err != nil {
		return planning.Plan{}, err
	}
	if a.Used == nil || a.MassG == 0 {
		return planning.Plan{}, fault.New("key", a.Name, "not-weighed-yet")
	}
	items, at, err := planning.Of(s.Kitchen).Item(id)
	if err != nil {
		return planning.Plan{}, err
	}
	ways, err := s.Setup()
	if err != nil {
		return planning.Plan{}, err
	}
	r, d, err := planning.Of(s.Kitchen).ReckonItem(item, ways)
	if err != nil {
		return planning.Plan{}, err
	}
	scaled, followers := plan.Followed(item.Steps, a, d, r)
	if followers == 0 {
		return planning.Plan{}, fault.New("key", a.Name, "nothing-follows")
	}
	if items[at].AsPlanned == nil {
		before := items[at].Recipe
		items[at].AsPlanned = &before
	}
	items[at].Recipe = items[at].Recipe.WithAmounts(&scaled)
	return planning.Of(s.Kitchen).KeepPlanAtWork(items, at)
}
