package planning

import (
	"slices"
	"time"

	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/core/record"
	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Plan is what is planned.
type Plan struct {
	Now      time.Time      `json:"now"`
	From     time.Time      `json:"from" doc:"where its strip begins"`
	To       time.Time      `json:"to"`
	Items    []PlanItem     `json:"items"`
	Quiet    []Stretch      `json:"quiet" doc:"when nothing needs hands"`
	Blender  []Stretch      `json:"blender" doc:"when it runs"`
	Next     []NextStep     `json:"next" doc:"what needs hands, the soonest first"`
	Marked   []MarkedSteps  `json:"marked" doc:"what was marked done or left out, the latest first"`
	VolumeML float64        `json:"volumeML" doc:"of all drinks together"`
	Visits   int            `json:"visits"`
	HandsOn  int            `json:"handsOnMin"`
	Proved   bool           `json:"proved" doc:"no plan lies nearer to the ideal lengths; false where it is the best found in the time"`
	More     int            `json:"moreToday" doc:"how many of what needs hands are due today besides the next"`
	Late     bool           `json:"late" doc:"something was to be done and is not marked done"`
	ToBuy    []pantry.ToBuy `json:"toBuy"`
	Bill     pantry.Bill    `json:"bill"`
	Bowls    []Bowl         `json:"bowls" doc:"what soaks to be drawn from"`
	Soakable []Named        `json:"soakable" doc:"what can stand in a bowl"`
	Calendar string         `json:"calendar" doc:"the path of the calendar"`
	OwnPace  bool           `json:"ownPace" doc:"times of work by hand go by the kitchen's own batches"`
}

// PlanItem is a drink on the plan.
type PlanItem struct {
	ID      int64           `json:"id"`
	DrinkID int64           `json:"drinkID"`
	Name    string          `json:"name"`
	ML      float64         `json:"ml"`
	ReadyBy time.Time       `json:"readyBy"`
	Fridge  bool            `json:"fridge" doc:"it soaks in the fridge, since the bench left no time that fits"`
	Missing []string        `json:"missing" doc:"lines that no figure counts"`
	Made    bool            `json:"made" doc:"all that needs hands is done"`
	BatchID int64           `json:"batchID" doc:"once it is bottled; 0 before"`
	BowlID  int64           `json:"bowlID" doc:"the bowl its base is drawn from; 0 for none"`
	Steps   []ItemStep      `json:"steps"`
	Blocks  []Block         `json:"blocks" doc:"its work, in goes"`
	Front   *Front          `json:"front,omitempty" doc:"what to do now"`
	ForWhom []bench.ForWhom `json:"forWhom" doc:"the kitchen's drinkers, and why it is not for some"`
	Trouble string          `json:"trouble" doc:"why it could not be planned with the others, and stays as it was; empty where it could"`
	Ready   *ReadyList      `json:"ready,omitempty" doc:"what to have out; absent once it is begun"`
}

// Block is work done in one go.
type Block struct {
	From   time.Time `json:"from"`
	To     time.Time `json:"to"`
	Words  string    `json:"words"`
	Pinned bool      `json:"pinned" doc:"at a time of the cook's own"`
	Begun  bool      `json:"begun" doc:"something of it is done, so that it stays where it was"`
}

// Stretch is a stretch of time.
type Stretch struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	Words string    `json:"words"`
}

// NextStep is a step to do next.
type NextStep struct {
	ItemID int64     `json:"itemID" doc:"0 where it is of a bowl"`
	BowlID int64     `json:"bowlID" doc:"0 where it is of a drink"`
	Step   int       `json:"step" doc:"its place among the item's steps"`
	Drink  string    `json:"drink"`
	Title  string    `json:"title"`
	At     time.Time `json:"at"`
	Minute int       `json:"minutes"`
	Late   bool      `json:"late"`
	Ask    string    `json:"ask" doc:"how far marking it done reaches: it is asked first; empty where it is due and alone"`
}

// MarkedSteps are steps of a drink that were marked together; taking the first back takes
// back all of them, and what was marked after.
type MarkedSteps struct {
	ItemID int64     `json:"itemID"`
	Step   int       `json:"step" doc:"the first of them"`
	Drink  string    `json:"drink"`
	Titles []string  `json:"titles"`
	At     time.Time `json:"at"`
}

// markedOf are the markings of an item that can still be taken back: it is not bottled.
func markedOf(item store.PlanItem) []MarkedSteps {
	var out []MarkedSteps
	if item.BatchID != 0 {
		return nil
	}
	for _, m := range plan.MarkedTogether(item.Steps) {
		marked := MarkedSteps{ItemID: item.ID, Step: m.First, Drink: item.DrinkName, At: m.At}
		for _, n := range m.Steps {
			marked.Titles = append(marked.Titles, wording.Text(item.Steps[n].Title))
		}
		out = append(out, marked)
	}
	return out
}

func (s Service) Plan() (Plan, error) {
	items, err := s.store.Plan()
	if err != nil {
		return Plan{}, err
	}
	return s.presentPlan(items)
}

// PlanView is what the kitchen is like while a plan is presented.
type PlanView struct {
	Now       time.Time
	Room      plan.Room
	Ways      kitchen.Setup
	stock     map[string]float64 // what is left of it for the drinks to come
	Weighings map[int64]map[string]store.Weighing
	bowls     []store.Bowl
}

func (s Service) PlanView() (PlanView, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return PlanView{}, err
	}
	l := PlanView{Now: s.Now()}
	if l.Ways, err = s.Setup(); err != nil {
		return l, err
	}
	l.Room = plan.Room{TempC: settings.KitchenC, ScaleG: settings.ScaleG, Minutes: record.StepShares(l.Ways.Learned)}
	if l.stock, err = s.store.Stock(); err != nil {
		return l, err
	}
	if l.Weighings, err = s.store.Weighings(); err != nil {
		return l, err
	}
	l.bowls, err = s.store.Bowls()
	return l, err
}

func (s Service) presentPlan(items []store.PlanItem) (Plan, error) {
	l, err := s.PlanView()
	if err != nil {
		return Plan{}, err
	}
	p := Plan{Proved: true, Now: l.Now, From: l.Now, To: l.Now, Items: []PlanItem{}, Quiet: []Stretch{}, Blender: []Stretch{}, Next: []NextStep{}, Marked: []MarkedSteps{}, Bowls: []Bowl{}, Calendar: app.CalendarPath}
	needs := map[string]float64{}
	draws := map[int64][]plan.Draw{}
	for _, item := range items {
		r, d, err := s.ReckonItem(item, l.Ways)
		if err != nil { // it is in no other's way
			p.Items = append(p.Items, unreckoned(item, err))
			continue
		}
		p.Marked = append(p.Marked, markedOf(item)...)
		mine := l.needsOf(item, d, r)
		p.add(item, d, r, l, mine)
		for i, g := range mine {
			needs[i] += g
			l.stock[i] -= min(g, l.stock[i])
		}
		if item.BowlID != 0 && item.DrawnG == 0 {
			draws[item.BowlID] = append(draws[item.BowlID], plan.Draw{At: item.Steps[0].Start, DryG: bowlNeedG(d, r)})
		}
	}
	quiet, err := s.handsQuiet()
	if err != nil {
		return Plan{}, err
	}
	p.addBowls(l, draws, quiet)
	for _, b := range p.Bowls {
		needs[b.Ingredient] += b.ShortG // what a bowl is to be topped up with
	}
	p.Soakable = soakable(l.Ways)
	p.From = beginning(l.Now, p.Items)
	slices.SortStableFunc(p.Next, func(a, b NextStep) int { return a.At.Compare(b.At) })
	slices.SortStableFunc(p.Marked, func(a, b MarkedSteps) int { return b.At.Compare(a.At) })
	effort := plan.EffortOf(stretches(p.Next))
	p.Visits, p.HandsOn = effort.Visits, int(effort.HandsOn.Minutes())
	p.More = max(0, dueBy(p.Next, endOfDay(l.Now))-1)
	p.To = p.To.Add(2 * time.Hour)
	p.Quiet = s.quiet(quiet, p.From, p.To)
	p.OwnPace = len(l.Room.Minutes) > 0
	p.ToBuy, err = pantry.Of(s.Kitchen).ToBuy(needs, l.Ways)
	p.Bill = pantry.BillOf(p.ToBuy)
	return p, err
}

// needsOf is what a planned drink still takes from the pantry, by ingredient.
func (l PlanView) needsOf(item store.PlanItem, d *reckon.Drink, r *reckon.Reckoning) map[string]float64 {
	needs := map[string]float64{}
	if item.BatchID != 0 {
		return needs
	}
	pantry.AddNeeds(needs, d, r)
	if bowl := l.bowl(item.BowlID); bowl != nil || item.DrawnG > 0 {
		for n, line := range d.Lines {
			if line.Ingredient != nil && r.Lines[n].SoakedInG > 0 {
				delete(needs, line.Ingredient.ID)
			}
		}
	}
	return needs
}

func (l PlanView) bowl(id int64) *store.Bowl {
	at := slices.IndexFunc(l.bowls, func(b store.Bowl) bool { return b.ID == id })
	if at < 0 {
		return nil
	}
	return &l.bowls[at]
}

func (p *Plan) add(item store.PlanItem, d *reckon.Drink, r *reckon.Reckoning, l PlanView, needs map[string]float64) {
	item.Steps = WithUsed(item.Steps, l.Weighings[item.ID])
	out := PlanItem{
		ID: item.ID, DrinkID: item.DrinkID, Name: item.DrinkName, ReadyBy: item.ReadyBy, Fridge: item.Fridge, Made: true,
		BatchID: item.BatchID, BowlID: item.BowlID, Steps: inWords(item.Steps), Blocks: blocksOf(item), Front: InFront(item.Steps, l.Now),
	}
	if out.Front != nil && out.Front.Step >= 0 {
		out.Front.Over = OvershootOf(item.Steps, out.Front.Step, d, r)
	}
	if !slices.ContainsFunc(item.Steps, func(s plan.ItemStep) bool { return s.DoneAt != nil }) {
		out.Ready = l.readyList(d, r, needs)
	}
	out.ForWhom, out.Trouble, out.Missing = bench.PresentForWhom(r.ForWhom), troubleOf(item), item.Recipe.Lacking(r)
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
		late := step.End.Before(l.Now)
		out.Made, p.Late = false, p.Late || late
		minutes := int(step.End.Sub(step.Start).Round(time.Minute).Minutes())
		ask, _ := aheadWords(item, n, l.Now)
		p.Next = append(p.Next, NextStep{Ask: ask, ItemID: item.ID, Step: n, Drink: item.DrinkName, Title: wording.Text(step.Title), At: step.Start, Minute: minutes, Late: late})
	}
	p.Proved = p.Proved && (item.Proved || out.Made)
	p.Items = append(p.Items, out)
}

// unreckoned is a planned drink that cannot be reckoned any more: it is shown
// with its steps as they were, to be taken off the plan.
func unreckoned(item store.PlanItem, err error) PlanItem {
	item.Trouble = troubleNothing
	return PlanItem{
		ID: item.ID, DrinkID: item.DrinkID, Name: item.DrinkName, ReadyBy: item.ReadyBy, Fridge: item.Fridge, BatchID: item.BatchID, BowlID: item.BowlID,
		Steps: inWords(WithUsed(item.Steps, nil)), Blocks: blocksOf(item), ForWhom: []bench.ForWhom{}, Missing: []string{}, Trouble: troubleOf(item) + ": " + wording.Error(err),
	}
}

// troubleOf says why a drink could not be planned with the others.
func troubleOf(item store.PlanItem) string {
	if item.Trouble == "" || plan.IsMade(item.Steps) {
		return ""
	}
	var laterAt time.Time
	if item.LaterMin > 0 {
		laterAt = item.ReadyBy.Add(time.Duration(item.LaterMin) * time.Minute)
	}
	return item.DrinkName + " " + wording.Trouble(unplannedCodes[item.Trouble], laterAt)
}

// blocksOf are the stretches of an item's work.
func blocksOf(item store.PlanItem) []Block {
	out := []Block{}
	open := false
	for _, step := range item.Steps {
		if !step.HandsOn {
			open = false
			continue
		}
		if !open {
			pinned := slices.ContainsFunc(item.Pins, func(p plan.Pin) bool { return p.Block == len(out) })
			out = append(out, Block{From: step.Start, Words: wording.Text(step.Title), Pinned: pinned})
			open = true
		}
		last := &out[len(out)-1]
		last.To, last.Begun = step.End, last.Begun || step.DoneAt != nil
	}
	return out
}

// ReadyList is what to have out before a drink is begun.
type ReadyList struct {
	Tools []string    `json:"tools"`
	Lines []ReadyLine `json:"lines"`
	Short int         `json:"short" doc:"how many of the lines are not all there"`
}

// ReadyLine is an ingredient to have out.
type ReadyLine struct {
	Name   string  `json:"name"`
	NeedG  float64 `json:"needG"`
	ShortG float64 `json:"shortG" doc:"what is missing, by the pantry; 0 where it is there"`
}

func (l PlanView) readyList(d *reckon.Drink, r *reckon.Reckoning, needs map[string]float64) *ReadyList {
	out := ReadyList{Tools: wording.Texts(plan.Tools(d, r, l.Room)), Lines: []ReadyLine{}}
	for _, i := range l.Ways.Catalogue.All() {
		need := needs[i.ID]
		if need <= 0 {
			continue
		}
		line := ReadyLine{Name: i.Name, NeedG: need, ShortG: max(0, need-l.stock[i.ID])}
		if line.ShortG > 0 {
			out.Short++
		}
		out.Lines = append(out.Lines, line)
	}
	return &out
}

func endOfDay(t time.Time) time.Time {
	y, m, d := t.Date()
	return time.Date(y, m, d+1, 0, 0, 0, 0, t.Location())
}

func dueBy(next []NextStep, end time.Time) int {
	count := 0
	for _, n := range next {
		if n.At.Before(end) {
			count++
		}
	}
	return count
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
			first = app.Sooner(first, step.Start)
		}
	}
	if len(items) > 0 && !first.Before(now.Add(farOff)) {
		return soonest(items).Add(-before)
	}
	return app.Sooner(now, first)
}

func soonest(items []PlanItem) time.Time {
	first := items[0].ReadyBy
	for _, i := range items {
		for _, step := range i.Steps {
			first = app.Sooner(first, step.Start)
		}
	}
	return first
}

// stretches are those of what still needs hands.
func stretches(next []NextStep) []plan.Span {
	out := make([]plan.Span, len(next))
	for n, s := range next {
		out[n] = plan.Span{From: s.At, To: s.At.Add(time.Duration(s.Minute) * time.Minute)}
	}
	return out
}

func (s Service) ReckonItem(item store.PlanItem, ways kitchen.Setup) (*reckon.Reckoning, *reckon.Drink, error) {
	d, _, err := item.Recipe.Drink(item.DrinkName, ways)
	if err != nil {
		return nil, nil, err
	}
	r, err := d.Reckon()
	return r, &d, err
}

func (s Service) handsQuiet() (plan.Quiet, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return plan.Quiet{}, err
	}
	return kitchen.ParseQuiet("handsQuiet", settings.HandsQuiet)
}

// quiet are the quiet hours of hands within a stretch.
func (s Service) quiet(q plan.Quiet, from, to time.Time) []Stretch {
	if q == (plan.Quiet{}) {
		return []Stretch{}
	}
	out := []Stretch{}
	zone := s.Now().Location()
	y, m, d := from.In(zone).AddDate(0, 0, -1).Date()
	for day := time.Date(y, m, d, 0, 0, 0, 0, zone); day.Before(to); day = day.AddDate(0, 0, 1) {
		y, m, d := day.Date()
		begin := time.Date(y, m, d, 0, q.FromMin, 0, 0, zone)
		end := time.Date(y, m, d, 0, q.ToMin, 0, 0, zone)
		if q.ToMin <= q.FromMin {
			end = time.Date(y, m, d+1, 0, q.ToMin, 0, 0, zone)
		}
		if end.After(from) && begin.Before(to) {
			out = append(out, Stretch{app.Later(begin, from), app.Sooner(end, to), "quiet"})
		}
	}
	return out
}
