package planning

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/core/recipe"
	"plushladle/core/say"
	"plushladle/internal/app"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// NewItem is a drink to be planned, at the size its draft has.
type NewItem struct {
	DrinkID  int64  `json:"drinkID" minimum:"1"`
	ReadyBy  string `json:"readyBy" maxLength:"40" doc:"by the kitchen's clock, 2026-11-28T09:00, or with an offset; not looked at where it starts now"`
	StartNow bool   `json:"startNow,omitempty" doc:"begun at once, and ready as soon as it can be"`
	BowlID   int64  `json:"bowlID,omitempty" minimum:"0" doc:"the bowl its base is drawn from; 0 for none"`
	Anyway   bool   `json:"anyway,omitempty" doc:"also where a line is not counted"`
	// VolumeML sizes it otherwise than on the Bench.
	VolumeML float64 `json:"volumeML,omitempty" minimum:"0" maximum:"1000000" doc:"how much of it; 0 for the size on the Bench"`
	// Guests size it by who comes, and by how much each of them has.
	Guests       float64 `json:"guests,omitempty" minimum:"0" maximum:"500" doc:"how many people it is for; 0 for the size on the Bench"`
	ServingsEach float64 `json:"servingsEach,omitempty" minimum:"0" maximum:"20" doc:"of each of them; 0 for one"`
}

func (s Service) PlanDrink(in NewItem) (Plan, error) {
	drink, err := s.store.Drink(in.DrinkID)
	if err != nil {
		return Plan{}, err
	}
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	if len(items) >= maxPlanned {
		return Plan{}, fault.New("drinkID", "", "plan-is-full", len(items))
	}
	item := store.PlanItem{DrinkID: drink.ID, DrinkName: drink.Name, Recipe: drink.Draft, BowlID: in.BowlID}
	if in.Guests > 0 {
		item.Recipe.SizeBy, item.Recipe.SizeValue = string(recipe.ByServings), in.Guests*cmp.Or(in.ServingsEach, 1)
	}
	if in.VolumeML > 0 {
		item.Recipe.SizeBy, item.Recipe.SizeValue = string(recipe.ByVolume), in.VolumeML
	}
	if item.BowlID != 0 {
		if err := s.canDraw(item); err != nil {
			return Plan{}, err
		}
	}
	if err := s.askAboutLines(item, in.Anyway); err != nil {
		return Plan{}, err
	}
	items = append(items, item)
	if in.StartNow {
		err = s.startNow(items)
	} else {
		items[len(items)-1].ReadyBy, err = s.readyBy(in.ReadyBy)
	}
	if err != nil {
		return Plan{}, err
	}
	return s.KeepPlan(items, len(items)-1)
}

// askAboutLines asks before a drink is planned that lacks lines.
func (s Service) askAboutLines(item store.PlanItem, anyway bool) error {
	d, _, err := s.Read(item.DrinkName, item.Recipe)
	if err != nil {
		return err
	}
	r, err := d.Reckon()
	if err != nil {
		return err
	}
	return app.WithoutLines(item.Recipe, r, anyway)
}

// startNow sets the last of the items to begin at once.
func (s Service) startNow(items []store.PlanItem) error {
	last := len(items) - 1
	items[last].ReadyBy = s.Now().Add(time.Minute)
	w, err := s.work(items, last)
	if err != nil {
		return err
	}
	job, ok := plan.StartNow(w.jobs, len(w.jobs)-1, w.rules)
	if !ok {
		return fault.New("readyBy", items[last].DrinkName, "never-fits")
	}
	items[last].ReadyBy, items[last].Pins = job.ReadyBy, []plan.Pin{}
	for _, p := range job.Pins {
		items[last].Pins = append(items[last].Pins, plan.Pin(p))
	}
	return nil
}

const maxPlanned = 12

// readyBy reads a time of the kitchen's clock within three weeks.
func (s Service) readyBy(text string) (time.Time, error) { return s.moment("readyBy", text) }

// moment reads a time to come of the kitchen's clock; the error names the field.
func (s Service) moment(field, text string) (time.Time, error) {
	now := s.Now()
	t, err := time.Parse(time.RFC3339, text)
	if err != nil {
		t, err = time.ParseInLocation("2006-01-02T15:04", text, now.Location())
	}
	t = t.In(now.Location())
	switch {
	case err != nil:
		return t, fault.New(field, text, "not-a-time")
	case !t.After(now):
		return t, fault.New(field, text, "time-is-past")
	case t.Sub(now) > 20*24*time.Hour:
		return t, fault.New(field, text, "time-too-far-ahead")
	}
	return t, nil
}

// KeepPlan plans all items together and keeps that; asked is the one whose
// readiness an error is about.
func (s Service) KeepPlan(items []store.PlanItem, asked int) (Plan, error) {
	planned, err := s.scheduled(items, asked)
	if err != nil {
		return Plan{}, err
	}
	if err := s.store.KeepPlan(planned); err != nil {
		return Plan{}, err
	}
	return s.Plan()
}

// KeepPlanAtWork is KeepPlan for a change at the stove: whoever weighs is up, so that it is
// never refused for the hours it happens in. The drink is ready later where it has to be.
func (s Service) KeepPlanAtWork(items []store.PlanItem, at int) (Plan, error) {
	planned, err := s.scheduled(items, at)
	if err != nil {
		planned, err = s.scheduledLater(items, at)
	}
	if err != nil {
		return Plan{}, err
	}
	if err := s.store.KeepPlan(planned); err != nil {
		return Plan{}, err
	}
	return s.Plan()
}

// scheduledLater plans an item for the first moment it can be ready, over sleep and quiet
// where nothing else is left.
func (s Service) scheduledLater(items []store.PlanItem, at int) ([]store.PlanItem, error) {
	w, err := s.work(items, at)
	if err != nil {
		return nil, err
	}
	_, problem := plan.MakeClean(w.jobs, w.rules)
	for problem != nil && w.setAside(problem, at) {
		_, problem = plan.MakeClean(w.jobs, w.rules)
	}
	later := slices.Clone(items)
	if problem != nil && problem.HasLater {
		later[at].ReadyBy = later[at].ReadyBy.Add(problem.LaterBy)
		return s.scheduled(later, at)
	}
	w.rules.Hands, w.rules.Noise = plan.Quiet{}, plan.Quiet{}
	made, problem := plan.MakeClean(w.jobs, w.rules)
	if problem != nil {
		return nil, s.unplanned(problem, &w, at)
	}
	return w.timed(made), nil
}

// timed are the items at the times of a plan of them.
func (w *work) timed(made plan.Plan) []store.PlanItem {
	for k, lane := range made.Lanes {
		item := timed(w.items[w.places[k]], lane)
		item.Proved, item.Trouble, item.LaterMin = made.Proved, "", 0
		w.items[w.places[k]] = item
	}
	return w.items
}

// work is what is to be planned.
type work struct {
	items  []store.PlanItem
	jobs   []plan.Job
	places []int // of the jobs, among the items
	rules  plan.Rules
}

// work makes jobs of the items. What is all done stays as it is. A bowl that
// is gone leaves a drink to soak for itself.
func (s Service) work(items []store.PlanItem, asked int) (work, error) {
	w := work{items: slices.Clone(items)}
	settings, err := s.store.Settings()
	if err != nil {
		return w, err
	}
	if w.rules, err = s.rules(settings); err != nil {
		return w, err
	}
	l, err := s.PlanView()
	if err != nil {
		return w, err
	}
	for n := range w.items {
		item := &w.items[n]
		if plan.IsMade(item.Steps) {
			continue
		}
		if item.DrawnG == 0 && l.bowl(item.BowlID) == nil {
			item.BowlID = 0
		}
		item.Pins = s.livePins(*item)
		job, err := s.job(*item, l)
		if err != nil && n != asked && len(item.Steps) > 0 {
			item.Trouble = troubleNothing
			continue
		}
		if err != nil {
			return w, err
		}
		job.ID = fmt.Sprint(n)
		w.jobs, w.places = append(w.jobs, job), append(w.places, n)
	}
	return w, nil
}

// livePins are the pins of blocks that are not begun and not past.
func (s Service) livePins(item store.PlanItem) []plan.Pin {
	begun := len(plan.Begun(item.Steps))
	out := []plan.Pin{}
	for _, p := range item.Pins {
		if p.Block >= begun && !p.At.Before(s.Now()) {
			out = append(out, p)
		}
	}
	return out
}

// scheduled are the items with their steps timed together.
func (s Service) scheduled(items []store.PlanItem, asked int) ([]store.PlanItem, error) {
	w, err := s.work(items, asked)
	if err != nil {
		return nil, err
	}
	made, problem := plan.MakeClean(w.jobs, w.rules)
	for problem != nil && w.setAside(problem, asked) {
		made, problem = plan.MakeClean(w.jobs, w.rules)
	}
	if problem != nil {
		return nil, s.unplanned(problem, &w, asked)
	}
	return w.timed(made), nil
}

// nobody is who asks where no drink is asked for: then none of them stands above the others.
const nobody = -1

// setAside takes a drink that does not fit out of what is planned together: it
// stays as it was, and says why, so that it is in no other's way. The one that
// was asked for is not set aside.
func (w *work) setAside(p *plan.Problem, asked int) bool {
	k := slices.IndexFunc(w.jobs, func(j plan.Job) bool { return j.ID == p.JobID })
	if k < 0 && asked == nobody {
		k = plan.InTheWay(w.jobs, w.rules)
		p.LaterBy, p.HasLater = plan.Later(w.jobs, k, w.rules)
	}
	if k < 0 || w.places[k] == asked || len(w.items[w.places[k]].Steps) == 0 {
		return false
	}
	item := &w.items[w.places[k]]
	item.Trouble, item.LaterMin, item.Proved = p.Which, 0, false
	if p.HasLater {
		item.LaterMin = int(p.LaterBy.Minutes())
	}
	w.jobs, w.places = slices.Delete(w.jobs, k, k+1), slices.Delete(w.places, k, k+1)
	return true
}

func (s Service) rules(settings store.Settings) (plan.Rules, error) {
	rules := plan.Rules{From: s.Now()}
	var err error
	if rules.Hands, err = kitchen.ParseQuiet("handsQuiet", settings.HandsQuiet); err != nil {
		return rules, err
	}
	rules.Noise, err = kitchen.ParseQuiet("noiseQuiet", settings.NoiseQuiet)
	return rules, err
}

func (s Service) job(item store.PlanItem, l PlanView) (plan.Job, error) {
	r, d, err := s.ReckonItem(item, l.Ways)
	if err != nil {
		return plan.Job{}, err
	}
	zone := s.Now().Location()
	job := plan.Job{Name: item.DrinkName, ReadyBy: item.ReadyBy.In(zone), Begun: plan.Begun(item.Steps), Allergens: r.Allergens}
	if item.BowlID != 0 {
		job.Bench = plan.Steps(d, r, l.Room, plan.FromABowl)
		if b := l.bowl(item.BowlID); b != nil && len(job.Begun) == 0 {
			state := l.bowlOf(*b).In(l.Room, l.Now)
			job.Between = plan.Span{From: state.Ready.In(zone), To: state.Within.In(zone)}
		}
	} else {
		job.Bench, job.Fridge = plan.Steps(d, r, l.Room, plan.OnTheBench), plan.Steps(d, r, l.Room, plan.InTheFridge)
	}
	if len(job.Bench) == 0 {
		return job, fault.New("drinkID", item.DrinkName, "drink-comes-to-nothing")
	}
	if len(job.Begun) > 0 && item.Fridge {
		job.Bench = job.Fridge // where it stands already
	}
	for _, p := range item.Pins {
		job.Pins = append(job.Pins, plan.Pin{Block: p.Block, At: p.At.In(zone)})
	}
	return job, nil
}

// timed is the item with the lane's times. What was done stays done, though
// there may be more loads now than there were.
func timed(item store.PlanItem, lane plan.Lane) store.PlanItem {
	type which struct {
		kind string
		nth  int
	}
	before, count := map[which]plan.ItemStep{}, map[string]int{}
	for _, old := range item.Steps {
		before[which{old.Kind, count[old.Kind]}] = old
		count[old.Kind]++
	}
	clear(count)
	steps := make([]plan.ItemStep, len(lane.Steps))
	moved := len(steps) != len(item.Steps)
	for n, s := range lane.Steps {
		steps[n] = plan.ItemStepOf(s)
		old, known := before[which{steps[n].Kind, count[steps[n].Kind]}]
		count[steps[n].Kind]++
		steps[n].DoneAt, steps[n].Skipped = old.DoneAt, old.Skipped
		moved = moved || !known || !old.Start.Equal(steps[n].Start)
	}
	item.Fridge = lane.Fridge || item.Fridge && len(plan.Begun(item.Steps)) > 0
	item.Steps = steps
	if moved {
		item.Sequence++
	}
	return item
}

// troubleNothing is the trouble of a drink that comes to nothing.
const troubleNothing = "nothing"

// unplannedCodes are the faults of what keeps a drink from being planned.
var unplannedCodes = map[string]string{
	"time": "no-time-for-it", "quiet-hours": "no-hands-in-the-quiet", "hands-and-blender": "no-hands-free", troubleNothing: "comes-to-nothing",
}

// unplanned says which drink leaves no plan, why, and the least change that makes one.
func (s Service) unplanned(p *plan.Problem, w *work, asked int) error {
	at := max(0, asked)
	if p.JobID != "" {
		_, _ = fmt.Sscan(p.JobID, &at)
	}
	item := w.items[min(at, len(w.items)-1)]
	laterBy, hasLater := p.LaterBy, p.HasLater
	if k := slices.Index(w.places, at); p.JobID == "" && k >= 0 {
		laterBy, hasLater = plan.Later(w.jobs, k, w.rules)
	}
	way := say.Of("plan-less")
	switch {
	case hasLater:
		way = say.Of("would-fit-at", item.ReadyBy.In(s.Now().Location()).Add(laterBy))
	case item.BowlID != 0 && item.DrawnG == 0:
		way = say.Of("plan-less-or-without-bowl")
	}
	return fault.New("readyBy", item.DrinkName, unplannedCodes[p.Which], way)
}

// ReadyBy is when it is wanted.
type ReadyBy struct {
	ReadyBy string `json:"readyBy" maxLength:"40" doc:"by the kitchen's clock, 2026-11-28T09:00, or with an offset"`
}

func (s Service) MoveItem(id int64, in ReadyBy) (Plan, error) {
	items, at, err := s.moved(id, in)
	if err != nil {
		return Plan{}, err
	}
	return s.KeepPlan(items, at)
}

func (s Service) TryItem(id int64, in ReadyBy) (Plan, error) {
	items, at, err := s.moved(id, in)
	if err != nil {
		return Plan{}, err
	}
	if items, err = s.scheduled(items, at); err != nil {
		return Plan{}, err
	}
	return s.presentPlan(items)
}

func (s Service) moved(id int64, in ReadyBy) ([]store.PlanItem, int, error) {
	readyBy, err := s.readyBy(in.ReadyBy)
	if err != nil {
		return nil, 0, err
	}
	items, at, err := s.Item(id)
	if err != nil {
		return nil, 0, err
	}
	items[at].ReadyBy = readyBy
	items[at].Pins = []plan.Pin{} // its blocks follow it
	return items, at, nil
}

func (s Service) Item(id int64) ([]store.PlanItem, int, error) {
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

// TakeOffPlan removes an item. One that was made and never bottled has used up
// what it took all the same.
func (s Service) TakeOffPlan(id int64) (Plan, error) {
	items, at, err := s.Item(id)
	if err != nil {
		return Plan{}, err
	}
	used := map[string]float64{}
	if plan.IsMade(items[at].Steps) {
		l, err := s.PlanView()
		if err != nil {
			return Plan{}, err
		}
		r, d, err := s.ReckonItem(items[at], l.Ways)
		if err != nil {
			return Plan{}, err
		}
		used = l.needsOf(items[at], d, r)
	}
	if err := s.store.TakeOffPlan(id, used); err != nil {
		return Plan{}, err
	}
	return s.Plan()
}

// Done is a step that was done or left out, or that was not after all.
type Done struct {
	Step int  `json:"step" minimum:"0"`
	Undo bool `json:"undo"`
	Skip bool `json:"skip,omitempty" doc:"it is left out; what goes in at it does not go in"`
	// Ahead says that it is meant where that is asked.
	Ahead bool `json:"ahead,omitempty" doc:"also where it is not due for hours, or where steps before it are marked along"`
	// AgoS is how long ago it was done, where it could not be told at once.
	AgoS float64 `json:"agoS,omitempty" minimum:"0" maximum:"604800" doc:"how long ago it was done, where it could not be sent at once"`
}

// StepDone marks a step, and all before it, as done now, or the one as left
// out; the rest is planned anew from what really happened where it fits, and
// stays as it was where not.
func (s Service) StepDone(id int64, in Done) (Plan, error) {
	items, at, err := s.Item(id)
	if err != nil {
		return Plan{}, err
	}
	steps, err := plan.Mark(items[at].Steps, in.Step, plan.Marking{Undo: in.Undo, Skip: in.Skip}, s.Now().Add(-app.Ago(in.AgoS)))
	if err != nil {
		return Plan{}, err
	}
	if err := askAhead(items[at], in, s.Now()); err != nil {
		return Plan{}, err
	}
	items[at].Steps = steps
	drawn, err := s.drawn(&items[at])
	if err != nil {
		return Plan{}, err
	}
	planned, err := s.scheduled(items, nobody)
	if err != nil {
		planned = items
	}
	if err := s.store.KeepDrawn(planned, drawn); err != nil {
		return Plan{}, err
	}
	return s.Plan()
}

// askAhead refuses to mark what is far ahead, or what would mark others along,
// until it is said that it is meant: one wrong tap is not to end a plan.
func askAhead(item store.PlanItem, d Done, now time.Time) error {
	if d.Undo || d.Ahead || d.Step >= len(item.Steps) {
		return nil
	}
	text, along := aheadWords(item, d.Step, now)
	if text == "" {
		return nil
	}
	return &app.Refused{Text: text, Field: "ahead", Message: text, Value: along}
}

// aheadWords say how far marking a step reaches, and which others it marks
// along; "" where it is due and alone.
func aheadWords(item store.PlanItem, n int, now time.Time) (text string, along []string) {
	step := item.Steps[n]
	places, ahead := plan.MarksAlong(item.Steps, n, now)
	for _, k := range places {
		along = append(along, wording.Text(item.Steps[k].Title))
	}
	var said []string
	if ahead {
		said = append(said, wording.Say("planned-for", wording.Text(step.Title), wording.DayAndClock(step.Start.In(now.Location()))))
	}
	if len(along) > 0 {
		said = append(said, wording.Say("also-marks", strings.Join(along, "; ")))
	}
	return strings.Join(said, " "), along
}

func (s Service) PlanAnew() (Plan, error) {
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	return s.KeepPlan(items, nobody)
}

// Bought is what was bought of an ingredient.
type Bought struct {
	Ingredient string  `json:"ingredient" maxLength:"60"`
	MassG      float64 `json:"massG" minimum:"0.01" maximum:"1000000"`
	Pack       string  `json:"pack,omitempty" maxLength:"120" doc:"what was bought, in words; empty for so many grams"`
	Price      float64 `json:"price,omitempty" minimum:"0" maximum:"1000000" doc:"paid for all of it; 0 where it is not known"`
}

func (s Service) Bought(in Bought) (Plan, error) {
	if _, err := pantry.Of(s.Kitchen).InCatalogue(in.Ingredient); err != nil {
		return Plan{}, err
	}
	lot := store.Lot{
		Ingredient: in.Ingredient, Pack: cmp.Or(kitchen.OneLine(in.Pack), fmt.Sprintf("%.0f g", in.MassG)), BoughtG: in.MassG, Price: in.Price,
		BoughtOn: s.Now().Format(app.DateLayout),
	}
	if err := s.store.Buy(lot); err != nil {
		return Plan{}, err
	}
	s.Changed()
	return s.Plan()
}
