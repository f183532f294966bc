package exchange

import (
	"plushladle/core/ingredient"
	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/internal/wording"
)

// Step is one operation of the process.
type Step struct {
	Kind         string     `json:"kind"`
	Title        string     `json:"title"`
	Text         string     `json:"text"`
	Cue          *string    `json:"cue"`
	Lines        []StepLine `json:"lines"`
	Seconds      Seconds    `json:"seconds"`
	HandsOn      bool       `json:"hands_on"`
	Tools        []string   `json:"tools"`
	TemperatureC *float64   `json:"temperature_c"`
	InML         *float64   `json:"in_ml"`
	OutML        *float64   `json:"out_ml"`
	Cautions     []string   `json:"cautions"`
}

// StepLine is a line that goes in at a step: its place among the lines, and the
// grams that go in there, dry or liquid as measured.
type StepLine struct {
	Line  int      `json:"line"`
	Grams *float64 `json:"grams"`
	Text  string   `json:"text"`
}

// Seconds are how long a step takes: at least, best, at most; most is null where
// there is no end to it.
type Seconds struct {
	Min   float64  `json:"min"`
	Ideal float64  `json:"ideal"`
	Max   *float64 `json:"max"`
}

// Balance is where everything that went in came to be, g; in is the sum of the
// rest.
type Balance struct {
	InG         float64 `json:"in_g"`
	DrinkG      float64 `json:"drink_g"`
	PulpG       float64 `json:"pulp_g"`
	ThrownAwayG float64 `json:"thrown_away_g"`
	WallsG      float64 `json:"walls_g"`
	EvaporatedG float64 `json:"evaporated_g"`
	SkimmedG    float64 `json:"skimmed_g"`
	LeftoverG   float64 `json:"leftover_g"`
}

// Pulp is what is left in the strainer.
type Pulp struct {
	G        float64 `json:"g"`
	ProteinG float64 `json:"protein_g"`
	FatG     float64 `json:"fat_g"`
	FibreG   float64 `json:"fibre_g"`
	SugarsG  float64 `json:"sugars_g"`
}

func exportSteps(d *reckon.Drink, r *reckon.Reckoning) []Step {
	made := plan.Steps(d, r, KitchenOf(d), plan.OnTheBench)
	out := make([]Step, len(made))
	for n, s := range made {
		out[n] = exportStep(s, r)
	}
	return out
}

func exportStep(s plan.Step, r *reckon.Reckoning) Step {
	out := Step{
		Kind: s.Kind.Code(), Title: wording.Text(s.Title), Text: StepText(s), Cue: optional(wording.Text(s.Right)), HandsOn: s.HandsOn, Lines: []StepLine{}, Tools: []string{}, Cautions: []string{},
		Seconds: Seconds{Min: s.Length.Min.Seconds(), Ideal: s.Length.Ideal.Seconds()},
	}
	if s.Kind == plan.GetReady && len(s.Amounts) > 0 {
		out.Kind = "soak" // begun; the wait is the next
	}
	if s.Length.Max < plan.Unlimited {
		out.Seconds.Max = number(s.Length.Max.Seconds())
	}
	for _, a := range s.Amounts {
		if a.Extra || a.Soaked {
			continue // it went in before, or only where the taste asks for it
		}
		line := StepLine{Line: a.At, Text: amountText(a)}
		if !a.Open {
			line.Grams = number(a.MassG)
		}
		out.Lines = append(out.Lines, line)
	}
	switch {
	case s.Kind == plan.Juice:
		out.Tools = append(out.Tools, "juicer")
	case s.Blender:
		out.Tools = append(out.Tools, "blender")
	case s.Kind == plan.Strain:
		out.Tools = append(out.Tools, "strainer")
	case s.Kind == plan.Heat:
		out.Tools = append(out.Tools, "pan")
	}
	if s.TempC != 0 {
		out.TemperatureC = number(s.TempC)
	}
	if s.Kind == plan.Strain {
		out.InML = number(r.Jug.GroundML)
	}
	if s.Kind == plan.Bottle {
		out.OutML = number(r.Drink.VolumeML)
	}
	for _, c := range r.Cautions {
		if !s.Caution.IsZero() && c.Text.Is(s.Caution) {
			out.Cautions = append(out.Cautions, c.Code)
		}
	}
	return out
}

func exportBalance(r *reckon.Reckoning) *Balance {
	b := &r.Made.Balance
	g := func(c *ingredient.Content) float64 { return round(c.MassG()) }
	return &Balance{
		InG: g(&b.In), DrinkG: g(&b.Drink), PulpG: g(&b.Pulp), ThrownAwayG: g(&b.Thrown), WallsG: g(&b.Walls),
		EvaporatedG: g(&b.Evaporated), SkimmedG: g(&b.Skimmed), LeftoverG: g(&b.Leftover),
	}
}

// missing are the lines that no figure counts.
func missing(texts []string, r *reckon.Reckoning) []string {
	out := []string{}
	for _, n := range r.Lacks() {
		out = append(out, texts[n])
	}
	return out
}
