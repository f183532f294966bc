package cooking

import (
	"slices"

	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/core/record"
	"plushladle/core/solve"
	"plushladle/internal/app"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Bottling is a cooked drink going into its bottles.
type Bottling struct {
	MeasuredML *float64          `json:"measuredML,omitempty" minimum:"1" maximum:"1000000" doc:"what it gave, if it was measured"`
	PulpG      *float64          `json:"pulpG,omitempty" minimum:"1" maximum:"1000000" doc:"the wet pulp, if it was weighed"`
	Bottles    []shelf.NewBottle `json:"bottles" minItems:"1" maxItems:"60"`
}

// asMade is a planned drink with what really went into it.
type asMade struct {
	item     store.PlanItem // its steps with what was used
	planned  *reckon.Reckoning
	drink    reckon.Drink
	reckoned *reckon.Reckoning
	worked   map[string]solve.WorkedBack
	firstG   map[string]float64 // what was planned of each line before anything was rescaled
}

// BottleItem fills the bottles from what really went in, and records it.
func (s Service) BottleItem(id int64, in Bottling) (planning.Plan, error) {
	items, at, err := planning.Of(s.Kitchen).Item(id)
	if err != nil {
		return planning.Plan{}, err
	}
	if items[at].BatchID != 0 {
		return planning.Plan{}, store.ErrBottled
	}
	l, err := planning.Of(s.Kitchen).PlanView()
	if err != nil {
		return planning.Plan{}, err
	}
	m, err := s.asMade(items[at], l, in)
	if err != nil {
		return planning.Plan{}, err
	}
	if err := shelf.CanBeMade(in.Bottles, in.MeasuredML, m.reckoned); err != nil {
		return planning.Plan{}, err
	}
	steps, err := plan.Mark(items[at].Steps, bottleStep(items[at].Steps), plan.Marking{}, l.Now)
	if err != nil {
		return planning.Plan{}, err
	}
	begun := plan.LifeBegan(steps, l.Now)
	batch := store.NewBatch{DrinkID: items[at].DrinkID, MadeOn: l.Now.Format(app.DateLayout), ForecastML: m.reckoned.Drink.VolumeML, MeasuredML: in.MeasuredML}
	for _, b := range in.Bottles {
		batch.Bottles = append(batch.Bottles, shelf.Fill(b, m.reckoned, m.drink.School, begun))
	}
	batch.Pulp = shelf.PulpOf(m.reckoned, in.PulpG)
	batch.Lessons = append(m.lessons(in), app.StepLessons(timesOf(steps))...)
	batch.Figures = app.FiguresOf(m.reckoned, items[at].Recipe.ShopPrice)
	batch.Cooked = &store.Cooked{
		ItemID: id, Recipe: asPlanned(items[at]), PulpG: in.PulpG, Steps: steps,
		Used: m.used(), Times: timesOf(steps),
	}

	batch.StockG = m.stockG()
	if batch.Opened, err = pantry.Of(s.Kitchen).LeftOpen(batch.StockG, m.reckoned.LeftoverML, batch.MadeOn); err != nil {
		return planning.Plan{}, err
	}
	if _, err := s.store.MakeBatch(batch); err != nil {
		return planning.Plan{}, err
	}
	s.Changed() // what it tells of the pulp goes into every figure
	return planning.Of(s.Kitchen).Plan()
}

func bottleStep(steps []plan.ItemStep) int {
	return slices.IndexFunc(steps, func(s plan.ItemStep) bool { return s.Kind == string(plan.Bottle) })
}

// asMade reckons a planned drink with what really went in; what was left open
// and never weighed is worked back where milk and pulp tell of it.
func (s Service) asMade(item store.PlanItem, l planning.PlanView, in Bottling) (asMade, error) {
	planned, d, err := planning.Of(s.Kitchen).ReckonItem(item, l.Ways)
	if err != nil {
		return asMade{}, err
	}
	m := asMade{item: item, planned: planned, worked: map[string]solve.WorkedBack{}}
	if m.firstG, err = s.firstPlannedG(item, l); err != nil {
		return m, err
	}
	m.item.Steps = planning.WithUsed(item.Steps, l.Weighings[item.ID])
	var out *solve.Outcome
	if in.MeasuredML != nil && in.PulpG != nil {
		out = &solve.Outcome{MilkML: *in.MeasuredML, PulpG: *in.PulpG}
	}
	m.drink, m.reckoned, m.worked, err = solve.Made(d, planned, plan.UsedG(m.item.Steps), out)
	return m, err
}

// lessons are app.LessonsOf. What was worked back from the yield rests on what the pulp is held to
// keep, and can teach nothing of it.
func (m asMade) lessons(in Bottling) []record.Lesson {
	if len(m.worked) > 0 {
		return nil
	}
	return app.LessonsOf(&m.drink, m.reckoned, app.MeasuredOf(in.MeasuredML, in.PulpG, nil))
}

// used is what went in, line by line, and how that is known.
func (m asMade) used() []kitchen.UsedLine {
	out := []kitchen.UsedLine{}
	for _, step := range m.item.Steps {
		for _, a := range step.Amounts {
			if a.Soaked {
				continue
			}
			if a.Extra && a.Used == nil {
				continue
			}
			line := kitchen.UsedLine{Name: a.Name, PlannedG: m.plannedG(a), UsedG: a.MassG, How: "as planned"}
			worked, isWorked := m.worked[a.Line]
			switch {
			case a.Used != nil:
				at := a.Used.At
				line.UsedG, line.How, line.At = a.Used.MassG, a.Used.By, &at
			case step.Skipped:
				line.UsedG, line.How = 0, "left out"
			case isWorked:
				line.UsedG, line.How, line.LeastG, line.LargestG = worked.MassG, "worked back", worked.LeastG, worked.LargestG
			case a.Open:
				line.How = "not known"
			}
			out = append(out, line)
		}
	}
	if m.item.DrawnG > 0 {
		out = append(out, m.drawnLines()...)
	}
	return out
}

// plannedG is what was planned of an amount before anything was rescaled.
func (m asMade) plannedG(a plan.ItemAmount) float64 {
	for n, line := range m.drink.Lines {
		if now := m.planned.Lines[n].MassG; line.Key == a.Line && now > 0 && m.firstG[line.Key] > 0 {
			return a.MassG * m.firstG[line.Key] / now
		}
	}
	return a.MassG
}

// asPlanned is the recipe that was planned, whatever was rescaled since.
func asPlanned(item store.PlanItem) kitchen.Recipe {
	if item.AsPlanned != nil {
		return *item.AsPlanned
	}
	return item.Recipe
}

func (s Service) firstPlannedG(item store.PlanItem, l planning.PlanView) (map[string]float64, error) {
	item.Recipe = asPlanned(item)
	r, d, err := planning.Of(s.Kitchen).ReckonItem(item, l.Ways)
	if err != nil {
		return nil, err
	}
	out := map[string]float64{}
	for n, line := range d.Lines {
		out[line.Key] = r.Lines[n].MassG
	}
	return out, nil
}

// drawnLines are the bases that came out of a bowl.
func (m asMade) drawnLines() []kitchen.UsedLine {
	var out []kitchen.UsedLine
	for n, line := range m.drink.Lines {
		if l := m.planned.Lines[n]; l.SoakedInG > 0 {
			out = append(out, kitchen.UsedLine{Name: line.Ingredient.Name + ", from the bowl, as dry", PlannedG: l.MassG, UsedG: l.MassG, How: "as planned"})
		}
	}
	return out
}

// stockG is what it took from the pantry; what came out of a bowl was taken
// when it went in to soak.
func (m asMade) stockG() map[string]float64 {
	used := map[string]float64{}
	pantry.AddNeeds(used, &m.drink, m.reckoned)
	if m.item.DrawnG > 0 {
		for n, line := range m.drink.Lines {
			if m.planned.Lines[n].SoakedInG > 0 {
				delete(used, line.Ingredient.ID)
			}
		}
	}
	return used
}

func timesOf(steps []plan.ItemStep) []kitchen.StepTaken {
	out := []kitchen.StepTaken{}
	for _, s := range steps {
		if s.DoneAt != nil {
			out = append(out, kitchen.StepTaken{Kind: s.Kind, Title: s.Title, Minutes: s.MostM, Planned: s.Start, DoneAt: *s.DoneAt, Skipped: s.Skipped})
		}
	}
	return out
}
