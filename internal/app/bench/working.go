package bench

import (
	"plushladle/core/ingredient"
	"plushladle/core/plan"
	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/internal/exchange"
	"plushladle/internal/wording"
)

// ProcessStep is one step of how the drink is made, as Plan, Cook and the card
// tell it too.
type ProcessStep struct {
	Kind    string  `json:"kind"`
	Title   string  `json:"title"`
	Text    string  `json:"text" doc:"with what goes in, what right looks like, and its caution"`
	Wait    bool    `json:"wait" doc:"no hands are needed"`
	Minutes float64 `json:"minutes" doc:"as it is best"`
	Code    string  `json:"code" doc:"what changes name it by"`
	N       int     `json:"n" doc:"which of its kind, from 1"`
	Cue     string  `json:"cue" doc:"what right looks like"`
	CanSkip bool    `json:"canSkip" doc:"it may be left out"`
	MoveTo  []int   `json:"moveTo" doc:"the places of the steps it may be moved before"`
}

// processOf are the steps of a reckoned drink, in its kitchen.
func processOf(d *reckon.Drink, r *reckon.Reckoning) []ProcessStep {
	out, seen := []ProcessStep{}, map[string]int{}
	steps := plan.Steps(d, r, exchange.KitchenOf(d), plan.OnTheBench)
	for n, step := range steps {
		seen[step.Kind.Code()]++
		out = append(out, ProcessStep{
			string(step.Kind), wording.Text(step.Title), exchange.StepText(step), !step.HandsOn, step.Length.Ideal.Minutes(),
			step.Kind.Code(), seen[step.Kind.Code()], wording.Text(step.Right), process.CanLeaveOut(step.Kind.Code()), plan.MoveTo(steps, n),
		})
	}
	return out
}

// unappliedOf says of which changes the step is not there now.
func unappliedOf(d *reckon.Drink, r *reckon.Reckoning) []string {
	out := []string{}
	for _, c := range plan.Unapplied(d, r, exchange.KitchenOf(d)) {
		out = append(out, wording.Unapplied(c))
	}
	return out
}

// ToShow asks for the working of a figure.
type ToShow struct {
	OnBench
	Figure string `json:"figure" enum:"yield,fat,sweetness,keeps,cost,free-sugars,selenium,iodine,coumarin,nutmeg,oil-separates,unfortified"`
}

// Working is how a figure came about.
type Working struct {
	Title     string        `json:"title"`
	Unit      string        `json:"unit" doc:"of the amounts"`
	Lines     []WorkingPart `json:"lines" doc:"what each line brought"`
	Streams   []WorkingPart `json:"streams" doc:"where it came to be; none where nothing flows"`
	Constants []string      `json:"constants" doc:"the numbers it rests on, with their sources"`
	Reasons   []string      `json:"reasons" doc:"of a life"`
	Result    string        `json:"result"`
}

// WorkingPart is an amount of what is followed.
type WorkingPart struct {
	Code   string  `json:"code"`
	Name   string  `json:"name"`
	MassG  float64 `json:"massG"`
	Amount float64 `json:"amount"`
	Pct    float64 `json:"pct" doc:"of all"`
}

func (s Service) Working(in ToShow) (Working, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Working{}, err
	}
	r, err := b.drink.Reckon()
	if err != nil {
		return Working{}, err
	}
	w, err := r.Working(reckon.Figure(in.Figure))
	if err != nil {
		return Working{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return Working{}, err
	}
	return presentWorking(w, r, settings.Currency), nil
}

func presentWorking(w reckon.Working, r *reckon.Reckoning, currency string) Working {
	out := Working{
		Title: wording.Title(w.Figure), Unit: wording.Unit(w.Figure, currency), Lines: []WorkingPart{}, Streams: []WorkingPart{}, Constants: []string{}, Reasons: []string{},
		Result: wording.Result(w, currency),
	}
	if w.Figure == reckon.KeepsFigure {
		out.Reasons = wording.Texts(r.Keeps.Reasons)
	}
	brought, flows := 0., 0.
	for _, l := range w.In {
		brought += l.Amount
	}
	for _, f := range w.Streams {
		flows += f.Amount
	}
	for _, l := range w.In {
		name := l.Name
		if l.Line < 0 {
			name = wording.SoakWater()
		}
		out.Lines = append(out.Lines, WorkingPart{"", name, l.MassG, l.Amount, 100 * l.Amount / brought})
	}
	for _, f := range w.Streams {
		out.Streams = append(out.Streams, WorkingPart{f.Code, wording.Stream(f.Code), 0, f.Amount, 100 * f.Amount / flows})
	}
	for _, c := range w.Constants {
		out.Constants = append(out.Constants, wording.Constant(c))
	}
	return out
}

// BalanceFigure is where all that went in came to be, g.
type BalanceFigure struct {
	InG         float64 `json:"inG"`
	DrinkG      float64 `json:"drinkG"`
	PulpG       float64 `json:"pulpG"`
	ThrownAwayG float64 `json:"thrownAwayG"`
	WallsG      float64 `json:"wallsG"`
	EvaporatedG float64 `json:"evaporatedG"`
	SkimmedG    float64 `json:"skimmedG"`
	LeftoverG   float64 `json:"leftoverG"`
}

func balanceOf(r *reckon.Reckoning) BalanceFigure {
	b := &r.Made.Balance
	g := (*ingredient.Content).MassG
	return BalanceFigure{g(&b.In), g(&b.Drink), g(&b.Pulp), g(&b.Thrown), g(&b.Walls), g(&b.Evaporated), g(&b.Skimmed), g(&b.Leftover)}
}
