package server

import (
	"fmt"
	"math"
	"net/http"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/fault"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/plan"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

func (s *server) registerPlan(api huma.API) {
	get, post, put, remove := http.MethodGet, http.MethodPost, http.MethodPut, http.MethodDelete
	operation(s, api, get, "/api/plan", "plan", "What is planned, when, and what to buy for it", s.plan)
	operation(s, api, post, "/api/plan/items", "plan-drink", "Put a drink on the plan", telling(s, s.planDrink))
	operation(s, api, put, "/api/plan/items/{id}", "move-item", "Have it ready at another time", telling(s, s.moveItem))
	operation(s, api, post, "/api/plan/items/{id}/tries", "try-item", "What the plan would be, without keeping it", s.tryItem)
	operation(s, api, remove, "/api/plan/items/{id}", "take-off-plan", "Take it off the plan", telling(s, s.takeOffPlan))
	operation(s, api, post, "/api/plan/items/{id}/done", "step-done", "Say that a step was done, and plan the rest anew", telling(s, s.stepDone))
	operation(s, api, post, "/api/plan/anew", "plan-anew", "Plan what is left from now", telling(s, s.planAnew))
	operation(s, api, put, "/api/pantry/stock/{ingredient}", "set-stock", "Say how much there is of an ingredient", s.setStock)
	operation(s, api, post, "/api/plan/bought", "bought", "Put what was bought into the pantry", telling(s, s.bought))
}

// Plan is what is planned.
type Plan struct {
	Now      time.Time  `json:"now"`
	From     time.Time  `json:"from" doc:"where its strip begins"`
	To       time.Time  `json:"to"`
	Items    []PlanItem `json:"items"`
	Quiet    []Stretch  `json:"quiet" doc:"when nothing needs hands"`
	Blender  []Stretch  `json:"blender" doc:"when it runs"`
	Next     []NextStep `json:"next" doc:"what needs hands, the soonest first"`
	VolumeML float64    `json:"volumeML" doc:"of all drinks together"`
	Visits   int        `json:"visits"`
	HandsOn  int        `json:"handsOnMin"`
	Late     bool       `json:"late" doc:"something was to be done and is not marked done"`
	ToBuy    []ToBuy    `json:"toBuy"`
	Calendar string     `json:"calendar" doc:"the path of the calendar"`
}

// PlanItem is a drink on the plan.
type PlanItem struct {
	ID      int64              `json:"id"`
	DrinkID int64              `json:"drinkID"`
	Name    string             `json:"name"`
	ML      float64            `json:"ml"`
	ReadyBy time.Time          `json:"readyBy"`
	Fridge  bool               `json:"fridge" doc:"it soaks in the fridge, since the bench left no time that fits"`
	Made    bool               `json:"made" doc:"all that needs hands is done"`
	Steps   []kitchen.PlanStep `json:"steps"`
	Front   *Front             `json:"front,omitempty" doc:"what to do now"`
}

// Stretch is a stretch of time.
type Stretch struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	Words string    `json:"words"`
}

// NextStep is a step to do next.
type NextStep struct {
	ItemID int64     `json:"itemID"`
	Step   int       `json:"step" doc:"its place among the item's steps"`
	Drink  string    `json:"drink"`
	Title  string    `json:"title"`
	At     time.Time `json:"at"`
	Minute int       `json:"minutes"`
	Late   bool      `json:"late"`
}

// ToBuy is an ingredient that the plan needs.
type ToBuy struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	NeedG  float64 `json:"needG"`
	HaveG  float64 `json:"haveG"`
	BuyG   float64 `json:"buyG" doc:"0 where there is enough"`
	Packs  int     `json:"packs" doc:"0 where no pack is known"`
	Pack   string  `json:"pack"`
	PacksG float64 `json:"packsG" doc:"what those packs hold that can be eaten"`
}

func (s *server) plan(*noInput) (Plan, error) {
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	return s.presentPlan(items)
}

func (s *server) presentPlan(items []store.PlanItem) (Plan, error) {
	now := s.now()
	p := Plan{Now: now, From: now, To: now, Items: []PlanItem{}, Quiet: []Stretch{}, Blender: []Stretch{}, Next: []NextStep{}, Calendar: "/api/plan.ics"}
	needs := map[string]float64{}
	ways, err := s.ways()
	if err != nil {
		return Plan{}, err
	}
	for _, item := range items {
		r, d, err := s.reckonItem(item, ways)
		if err != nil {
			return Plan{}, err
		}
		p.add(item, r, now)
		addNeeds(needs, d, r)
	}
	p.From = beginning(now, p.Items)
	slices.SortStableFunc(p.Next, func(a, b NextStep) int { return a.At.Compare(b.At) })
	p.Visits = visitsOf(p.Next)
	p.To = p.To.Add(2 * time.Hour)
	if p.Quiet, err = s.quiet(p.From, p.To); err != nil {
		return Plan{}, err
	}
	p.ToBuy, err = s.toBuy(needs, ways)
	return p, err
}

func (p *Plan) add(item store.PlanItem, r *formula.Reckoning, now time.Time) {
	out := PlanItem{ID: item.ID, DrinkID: item.DrinkID, Name: item.DrinkName, ReadyBy: item.ReadyBy, Fridge: item.Fridge, Made: true, Steps: item.Steps, Front: front(item.Steps, now)}
	if r.Drink != nil {
		out.ML = r.Drink.VolumeML
		p.VolumeML += out.ML
	}
	for n, step := range item.Steps {
		if step.End.After(p.To) {
			p.To = step.End
		}
		if step.Blender {
			p.Blender = append(p.Blender, Stretch{step.Start, step.End, item.DrinkName})
		}
		if !step.HandsOn || step.DoneAt != nil {
			continue
		}
		late := step.End.Before(now)
		out.Made, p.Late = false, p.Late || late
		minutes := int(step.End.Sub(step.Start).Round(time.Minute).Minutes())
		p.HandsOn += minutes
		p.Next = append(p.Next, NextStep{item.ID, n, item.DrinkName, step.Title, step.Start, minutes, late})
	}
	p.Items = append(p.Items, out)
}

// The strip begins now, or a little before the first step where that is far off.
const (
	farOff = 12 * time.Hour
	before = 4 * time.Hour
)

func beginning(now time.Time, items []PlanItem) time.Time {
	first := now.Add(farOff)
	for _, i := range items {
		for _, step := range i.Steps {
			first = sooner(first, step.Start)
		}
	}
	if len(items) > 0 && !first.Before(now.Add(farOff)) {
		return soonest(items).Add(-before)
	}
	return sooner(now, first)
}

func soonest(items []PlanItem) time.Time {
	first := items[0].ReadyBy
	for _, i := range items {
		for _, step := range i.Steps {
			first = sooner(first, step.Start)
		}
	}
	return first
}

// oneVisit is how near steps lie that are done in one visit to the kitchen.
const oneVisit = 15 * time.Minute

func visitsOf(next []NextStep) int {
	count, end := 0, time.Time{}
	for _, n := range next {
		if count == 0 || n.At.After(end.Add(oneVisit)) {
			count++
		}
		if until := n.At.Add(time.Duration(n.Minute) * time.Minute); until.After(end) {
			end = until
		}
	}
	return count
}

// quiet are the quiet hours of hands within a stretch.
func (s *server) quiet(from, to time.Time) ([]Stretch, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return nil, err
	}
	q, err := kitchen.ParseQuiet("handsQuiet", settings.HandsQuiet)
	if err != nil || q == (plan.Quiet{}) {
		return []Stretch{}, err
	}
	out := []Stretch{}
	zone := s.now().Location()
	y, m, d := from.In(zone).AddDate(0, 0, -1).Date()
	for day := time.Date(y, m, d, 0, 0, 0, 0, zone); day.Before(to); day = day.AddDate(0, 0, 1) {
		y, m, d := day.Date()
		begin := time.Date(y, m, d, 0, q.FromMin, 0, 0, zone)
		end := time.Date(y, m, d, 0, q.ToMin, 0, 0, zone)
		if q.ToMin <= q.FromMin {
			end = time.Date(y, m, d+1, 0, q.ToMin, 0, 0, zone)
		}
		if end.After(from) && begin.Before(to) {
			out = append(out, Stretch{later(begin, from), sooner(end, to), "quiet"})
		}
	}
	return out, nil
}

func later(a, b time.Time) time.Time {
	if a.After(b) {
		return a
	}
	return b
}

func sooner(a, b time.Time) time.Time {
	if a.Before(b) {
		return a
	}
	return b
}

func (s *server) reckonItem(item store.PlanItem, ways kitchen.Ways) (*formula.Reckoning, *formula.Drink, error) {
	d, _, err := item.Formula.Drink(item.DrinkName, ways)
	if err != nil {
		return nil, nil, err
	}
	r, err := d.Reckon()
	return r, &d, err
}

func addNeeds(needs map[string]float64, d *formula.Drink, r *formula.Reckoning) {
	for n, l := range r.Lines {
		if i := d.Lines[n].Ingredient; i != nil && l.Err == nil && i.ID != "water" && i.ID != "ice" && !strings.HasPrefix(i.ID, "drink-") {
			needs[i.ID] += l.MassG
		}
	}
}

// toBuy is what the plan needs less what there is, in packs where those are
// known.
func (s *server) toBuy(needs map[string]float64, ways kitchen.Ways) ([]ToBuy, error) {
	there, err := s.store.Stock()
	if err != nil {
		return nil, err
	}
	larder, err := s.store.Larder()
	if err != nil {
		return nil, err
	}
	packs := map[string]store.Price{}
	for _, p := range larder.Prices {
		packs[p.Ingredient] = p
	}
	list := []ToBuy{}
	for _, i := range ways.Catalogue.All() {
		need := needs[i.ID]
		if need <= 0 {
			continue
		}
		b := ToBuy{ID: i.ID, Name: i.Name, NeedG: need, HaveG: there[i.ID], BuyG: math.Max(0, need-there[i.ID])}
		if pack, ok := packs[i.ID]; ok && b.BuyG > 0 {
			each := pack.PackG * pack.EdibleShare
			b.Packs, b.Pack = int(math.Ceil(b.BuyG/each-1e-9)), pack.Pack
			b.PacksG = float64(b.Packs) * each
		}
		list = append(list, b)
	}
	slices.SortStableFunc(list, func(a, b ToBuy) int { return bought(a) - bought(b) })
	return list, nil
}

func bought(b ToBuy) int {
	if b.BuyG > 0 {
		return 0
	}
	return 1
}

// NewItem is a drink to be planned, at the size its draft has.
type NewItem struct {
	DrinkID int64  `json:"drinkID" minimum:"1"`
	ReadyBy string `json:"readyBy" maxLength:"40" doc:"by the kitchen's clock, 2026-11-28T09:00, or with an offset"`
}

func (s *server) planDrink(in *body[NewItem]) (Plan, error) {
	readyBy, err := s.readyBy(in.Body.ReadyBy)
	if err != nil {
		return Plan{}, err
	}
	drink, err := s.store.Drink(in.Body.DrinkID)
	if err != nil {
		return Plan{}, err
	}
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	if len(items) >= maxPlanned {
		return Plan{}, fault.New("drinkID", "", fmt.Sprintf("%d drinks are planned already", len(items)), "take one off the plan first")
	}
	items = append(items, store.PlanItem{DrinkID: drink.ID, DrinkName: drink.Name, Formula: drink.Draft, ReadyBy: readyBy})
	return s.keepPlan(items, len(items)-1)
}

const maxPlanned = 12

// readyBy reads a time of the kitchen's clock within three weeks.
func (s *server) readyBy(text string) (time.Time, error) {
	now := s.now()
	t, err := time.Parse(time.RFC3339, text)
	if err != nil {
		t, err = time.ParseInLocation("2006-01-02T15:04", text, now.Location())
	}
	t = t.In(now.Location())
	switch {
	case err != nil:
		return t, fault.New("readyBy", text, "is not a day and time", "use the form 2026-11-28T09:00")
	case !t.After(now):
		return t, fault.New("readyBy", text, "is past", "choose a time to come")
	case t.Sub(now) > 20*24*time.Hour:
		return t, fault.New("readyBy", text, "is too far ahead", "choose a time within twenty days")
	}
	return t, nil
}

// keepPlan plans all items together and keeps that; asked is the one whose
// readiness an error is about.
func (s *server) keepPlan(items []store.PlanItem, asked int) (Plan, error) {
	planned, err := s.scheduled(items, asked)
	if err != nil {
		return Plan{}, err
	}
	if err := s.store.KeepPlan(planned); err != nil {
		return Plan{}, err
	}
	return s.plan(nil)
}

// scheduled are the items with their steps timed together. What is all done
// stays as it is.
func (s *server) scheduled(items []store.PlanItem, asked int) ([]store.PlanItem, error) {
	rules, roomC, err := s.rules()
	if err != nil {
		return nil, err
	}
	ways, err := s.ways()
	if err != nil {
		return nil, err
	}
	out := slices.Clone(items)
	var jobs []plan.Job
	var places []int
	for n, item := range items {
		if isMade(item) {
			continue
		}
		job, err := s.job(item, ways, roomC)
		if err != nil {
			return nil, err
		}
		job.ID = fmt.Sprint(n)
		jobs, places = append(jobs, job), append(places, n)
	}
	made, problem := plan.Make(jobs, rules)
	if problem != nil {
		return nil, s.unplanned(problem, items, asked)
	}
	for k, lane := range made.Lanes {
		out[places[k]] = timed(items[places[k]], lane)
	}
	return out, nil
}

func isMade(item store.PlanItem) bool {
	return len(item.Steps) > 0 && !slices.ContainsFunc(item.Steps, func(s kitchen.PlanStep) bool { return s.HandsOn && s.DoneAt == nil })
}

func (s *server) rules() (plan.Rules, float64, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return plan.Rules{}, 0, err
	}
	rules := plan.Rules{From: s.now()}
	if rules.Hands, err = kitchen.ParseQuiet("handsQuiet", settings.HandsQuiet); err != nil {
		return rules, 0, err
	}
	rules.Noise, err = kitchen.ParseQuiet("noiseQuiet", settings.NoiseQuiet)
	return rules, settings.KitchenC, err
}

func (s *server) job(item store.PlanItem, ways kitchen.Ways, roomC float64) (plan.Job, error) {
	r, d, err := s.reckonItem(item, ways)
	if err != nil {
		return plan.Job{}, err
	}
	room := plan.Kitchen{TempC: roomC}
	job := plan.Job{Name: item.DrinkName, ReadyBy: item.ReadyBy.In(s.now().Location()), Bench: plan.Steps(d, r, room, plan.OnTheBench), Fridge: plan.Steps(d, r, room, plan.InTheFridge)}
	if len(job.Bench) == 0 {
		return job, fault.New("drinkID", item.DrinkName, "comes to nothing yet", "give it a base or a liquid first")
	}
	job.Begun = begun(item.Steps)
	if len(job.Begun) > 0 && item.Fridge {
		job.Bench = job.Fridge // where it stands already
	}
	return job, nil
}

// begun are when the blocks of work began that have a step done, reckoned back
// from the first that was.
func begun(steps []kitchen.PlanStep) []time.Time {
	var out []time.Time
	inBlock, lead, found := false, time.Duration(0), false
	for _, s := range steps {
		if !s.HandsOn {
			inBlock = false
			continue
		}
		if !inBlock {
			inBlock, lead, found = true, 0, false
		}
		lead += s.End.Sub(s.Start)
		if s.DoneAt != nil && !found {
			out, found = append(out, s.DoneAt.Add(-lead)), true
		}
	}
	return out
}

// timed is the item with the lane's times. What was done stays done.
func timed(item store.PlanItem, lane plan.Lane) store.PlanItem {
	steps := make([]kitchen.PlanStep, len(lane.Steps))
	moved := len(steps) != len(item.Steps)
	for n, s := range lane.Steps {
		steps[n] = kitchen.PlannedStep(s)
		if n < len(item.Steps) && item.Steps[n].Kind == steps[n].Kind {
			steps[n].DoneAt = item.Steps[n].DoneAt
			moved = moved || !item.Steps[n].Start.Equal(steps[n].Start)
		}
	}
	item.Steps, item.Fridge = steps, lane.Fridge || item.Fridge && len(begun(item.Steps)) > 0
	if moved {
		item.Sequence++
	}
	return item
}

// unplanned says why there is no plan, and the least change that makes one.
func (s *server) unplanned(p *plan.Problem, items []store.PlanItem, asked int) error {
	at := asked
	if p.JobID != "" {
		_, _ = fmt.Sscan(p.JobID, &at)
	}
	at = max(0, min(at, len(items)-1))
	why := map[string]string{
		"time":              "cannot be ready by then: there is too little time for its steps",
		"quiet hours":       "cannot be ready by then without hands or the blender in the quiet hours",
		"hands and blender": "cannot be ready by then: the other drinks need the hands and the blender",
	}[p.Which]
	accepts := "take a drink off the plan, or shorten the quiet hours"
	if p.HasLater {
		accepts = "ready by " + items[at].ReadyBy.In(s.now().Location()).Add(p.LaterBy).Format("Mon 15:04") + " it would fit"
	}
	return fault.New("readyBy", items[at].DrinkName, why, accepts)
}

// ReadyBy is when it is wanted.
type ReadyBy struct {
	ReadyBy string `json:"readyBy" maxLength:"40" doc:"by the kitchen's clock, 2026-11-28T09:00, or with an offset"`
}

type moveInput struct {
	ByID
	Body ReadyBy
}

func (s *server) moveItem(in *moveInput) (Plan, error) {
	items, at, err := s.moved(in)
	if err != nil {
		return Plan{}, err
	}
	return s.keepPlan(items, at)
}

func (s *server) tryItem(in *moveInput) (Plan, error) {
	items, at, err := s.moved(in)
	if err != nil {
		return Plan{}, err
	}
	if items, err = s.scheduled(items, at); err != nil {
		return Plan{}, err
	}
	return s.presentPlan(items)
}

func (s *server) moved(in *moveInput) ([]store.PlanItem, int, error) {
	readyBy, err := s.readyBy(in.Body.ReadyBy)
	if err != nil {
		return nil, 0, err
	}
	items, at, err := s.item(in.ID)
	if err != nil {
		return nil, 0, err
	}
	items[at].ReadyBy = readyBy
	return items, at, nil
}

func (s *server) item(id int64) ([]store.PlanItem, int, error) {
	items, err := s.store.Plan()
	if err != nil {
		return nil, 0, err
	}
	at := slices.IndexFunc(items, func(i store.PlanItem) bool { return i.ID == id })
	if at < 0 {
		return nil, 0, store.ErrNotFound
	}
	return items, at, nil
}

// takeOffPlan removes an item. One that was made has used up what it took.
func (s *server) takeOffPlan(in *ByID) (Plan, error) {
	items, at, err := s.item(in.ID)
	if err != nil {
		return Plan{}, err
	}
	used := map[string]float64{}
	if isMade(items[at]) {
		ways, err := s.ways()
		if err != nil {
			return Plan{}, err
		}
		r, d, err := s.reckonItem(items[at], ways)
		if err != nil {
			return Plan{}, err
		}
		addNeeds(used, d, r)
	}
	if err := s.store.TakeOffPlan(in.ID, used); err != nil {
		return Plan{}, err
	}
	return s.plan(nil)
}

// Done is a step that was done, or that was not after all.
type Done struct {
	Step int  `json:"step" minimum:"0"`
	Undo bool `json:"undo"`
}

type doneInput struct {
	ByID
	Body Done
}

// stepDone marks a step, and all before it, as done now; the rest is planned
// anew from what really happened where it fits, and stays as it was where not.
func (s *server) stepDone(in *doneInput) (Plan, error) {
	items, at, err := s.item(in.ID)
	if err != nil {
		return Plan{}, err
	}
	steps := slices.Clone(items[at].Steps)
	if in.Body.Step >= len(steps) || !steps[in.Body.Step].HandsOn {
		return Plan{}, fault.New("step", fmt.Sprint(in.Body.Step), "is not a step to do", "choose one that needs hands")
	}
	now := s.now()
	for n := range steps {
		switch {
		case in.Body.Undo && n >= in.Body.Step:
			steps[n].DoneAt = nil
		case !in.Body.Undo && n <= in.Body.Step && steps[n].HandsOn && steps[n].DoneAt == nil:
			steps[n].DoneAt = &now
		}
	}
	items[at].Steps = steps
	planned, err := s.scheduled(items, at)
	if err != nil {
		planned = items
	}
	if err := s.store.KeepPlan(planned); err != nil {
		return Plan{}, err
	}
	return s.plan(nil)
}

func (s *server) planAnew(*noInput) (Plan, error) {
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	return s.keepPlan(items, 0)
}

// StockOf is how much there is.
type StockOf struct {
	MassG float64 `json:"massG" minimum:"0" maximum:"1000000"`
}

type stockInput struct {
	Ingredient string `path:"ingredient" maxLength:"60"`
	Body       StockOf
}

func (s *server) setStock(in *stockInput) (Pantry, error) {
	if _, err := s.inCatalogue(in.Ingredient); err != nil {
		return Pantry{}, err
	}
	if err := s.store.SetStock(in.Ingredient, in.Body.MassG); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

func (s *server) inCatalogue(id string) (*ingredient.Ingredient, error) {
	ways, err := s.ways()
	if err != nil {
		return nil, err
	}
	i, ok := ways.Catalogue.ByID(id)
	if !ok {
		return nil, store.ErrNotFound
	}
	return i, nil
}

// Bought is what was bought of an ingredient.
type Bought struct {
	Ingredient string  `json:"ingredient" maxLength:"60"`
	MassG      float64 `json:"massG" minimum:"0.01" maximum:"1000000"`
}

func (s *server) bought(in *body[Bought]) (Plan, error) {
	if _, err := s.inCatalogue(in.Body.Ingredient); err != nil {
		return Plan{}, err
	}
	if err := s.store.AddStock(in.Body.Ingredient, in.Body.MassG); err != nil {
		return Plan{}, err
	}
	s.changed()
	return s.plan(nil)
}
