package exchange

import (
	"math"

	"plushladle/core/keep"
	"plushladle/core/reading"
	"plushladle/core/reckon"
	"plushladle/internal/wording"
)

// Reckoning is a reckoned drink in the form that plushladle reckon --json
// prints: a stable contract, documented in the README. Numbers are in the unit
// of their name; what cannot be computed is null, never 0.
type Reckoning struct {
	Name        string     `json:"name"`
	Title       *string    `json:"title"`
	Notes       []string   `json:"notes"`
	Style       *string    `json:"style"`
	Kind        *string    `json:"kind"`
	KindFrom    *string    `json:"kind_from"`
	Lines       []Line     `json:"lines"`
	Ratio       *Ratio     `json:"ratio"`
	Drink       *Drink     `json:"drink"`
	Missing     []string   `json:"missing"`
	PulpG       *float64   `json:"pulp_g"`
	Pulp        *Pulp      `json:"pulp"`
	Balance     *Balance   `json:"balance"`
	Steps       []Step     `json:"steps"`
	Per100mL    *Nutrition `json:"per_100ml"`
	FatPct      *float64   `json:"fat_pct"`
	Brix        *float64   `json:"brix"`
	WaterAct    *float64   `json:"water_activity"`
	Servings    *Servings  `json:"servings"`
	PerServing  *Nutrition `json:"per_serving"`
	Keeps       *Keeps     `json:"keeps"`
	Soak        *Soak      `json:"soak"`
	Allergens   []string   `json:"allergens"`
	Vegan       *bool      `json:"vegan"`
	Cautions    []Caution  `json:"cautions"`
	Cost        Cost       `json:"cost"`
	Assumptions []string   `json:"assumptions"`
}

// Line is one line of the recipe.
type Line struct {
	Text       string   `json:"text"`
	Ingredient *string  `json:"ingredient"`
	Role       *string  `json:"role"`
	Grams      *float64 `json:"grams"`
	ML         *float64 `json:"ml"`
	Measure    *string  `json:"measure"`
	Form       *string  `json:"form"`
	Stage      *string  `json:"stage"`
	Understood bool     `json:"understood"`
	Note       string   `json:"note"`
	Confidence string   `json:"confidence"`
	Candidates []string `json:"candidates"`
	Join       int      `json:"join"`
	Words      []Word   `json:"words"`
}

// Word is some words of a line as written, and what they were read as.
type Word struct {
	Words string `json:"words"`
	As    string `json:"as"`
}

// Read is where a line of a drink comes from: the line of the page, and how it was read.
type Read struct {
	Text    string
	Item    int // of the page
	Reading *reading.Reading
}

// Explain adds how the lines were read, and what else stood on the page. Lines that were
// added since are left as they are.
func (r *Reckoning) Explain(page reading.Page, read []Read) {
	r.Title, r.Notes = optional(page.Title), []string{}
	for _, item := range page.Items {
		if item.Kind != reading.Ingredient && item.Kind != reading.Title {
			r.Notes = append(r.Notes, item.Text)
		}
	}
	for n := range r.Lines {
		r.Lines[n].Candidates, r.Lines[n].Words = []string{}, []Word{}
		if n < len(read) && r.Lines[n].Text == read[n].Text {
			r.Lines[n].explain(read, n)
		}
	}
}

func (l *Line) explain(read []Read, n int) {
	from := read[n].Reading
	l.Confidence = "sure"
	if from.Doubt != reading.Sure {
		l.Confidence = string(from.Doubt)
	} else if len(from.Slips) > 0 {
		l.Confidence = "slip"
	}
	for at := n - 1; at >= 0 && read[at].Item == read[n].Item; at-- {
		l.Join++
	}
	for _, c := range from.Choices {
		l.Candidates = append(l.Candidates, c.Name)
	}
	for _, p := range from.Parts {
		l.Words = append(l.Words, Word{p.Words, string(p.As)})
	}
}

// Ratio is grinding liquid as poured per 1 of dry base.
type Ratio struct {
	ByVolume float64 `json:"by_volume"`
	ByMass   float64 `json:"by_mass"`
}

// Drink is the finished drink at 4 °C.
type Drink struct {
	G        float64 `json:"g"`
	ML       float64 `json:"ml"`
	LowML    float64 `json:"low_ml"`
	HighML   float64 `json:"high_ml"`
	Complete bool    `json:"complete"`
}

// Nutrition are the figures of 100 mL or of a serving.
type Nutrition struct {
	Kcal          float64 `json:"kcal"`
	ProteinG      float64 `json:"protein_g"`
	FatG          float64 `json:"fat_g"`
	SatFatG       float64 `json:"sat_fat_g"`
	CarbohydrateG float64 `json:"carbohydrate_g"`
	SugarsG       float64 `json:"sugars_g"`
	FreeSugarsG   float64 `json:"free_sugars_g"`
	FibreG        float64 `json:"fibre_g"`
	SodiumMg      float64 `json:"sodium_mg"`
	SucroseEqG    float64 `json:"sucrose_eq_g"`
}

// Servings are how many of what size.
type Servings struct {
	Count float64 `json:"count"`
	ML    float64 `json:"ml"`
}

// Keeps is the life of the drink; days are before rounding down.
type Keeps struct {
	CautiousDays  *float64 `json:"cautious_days"`
	CustomaryDays *float64 `json:"customary_days"`
	FreezerDays   int      `json:"freezer_days"`
	Reasons       []string `json:"reasons"`
}

// Soak is the longest soak and its window.
type Soak struct {
	Ingredient string  `json:"ingredient"`
	MinH       float64 `json:"min_h"`
	IdealH     float64 `json:"ideal_h"`
	MaxH       float64 `json:"max_h"`
}

// Caution is one thing to know.
type Caution struct {
	Code   string   `json:"code"`
	Text   string   `json:"text"`
	Value  *float64 `json:"value"`
	Limit  *float64 `json:"limit"`
	Unit   *string  `json:"unit"`
	Raised bool     `json:"raised"`
}

// Cost is what the batch costs.
type Cost struct {
	Batch      *float64 `json:"batch"`
	PerLitre   *float64 `json:"per_litre"`
	PerServing *float64 `json:"per_serving"`
	Currency   *string  `json:"currency"`
}

// Export puts a reckoned drink into the form of the contract. texts are the
// lines as they were written; assumptions are added to the drink's own.
func Export(d *reckon.Drink, texts []string, r *reckon.Reckoning, assumptions []string) Reckoning {
	out := Reckoning{
		Name: d.Name, Lines: exportLines(d, texts, r), Allergens: []string{}, Missing: missing(texts, r), Steps: []Step{}, Vegan: r.Vegan,
		Cautions: exportCautions(r), Assumptions: append(wording.Texts(r.Assumptions()), assumptions...),
	}
	if r.Drink == nil {
		return out
	}
	out.Style, out.Kind, out.KindFrom = optional(string(r.Kind)), optional(string(r.Kind)), optional(string(r.KindFrom))
	out.Allergens = r.Allergens
	out.Drink = &Drink{round(r.Drink.MassG), round(r.Drink.VolumeML), round(r.Drink.LowML), round(r.Drink.HighML), len(out.Missing) == 0}
	out.Pulp = &Pulp{round(r.Pulp.WetG), round(r.Pulp.ProteinG), round(r.Pulp.FatG), round(r.Pulp.FibreG), round(r.Pulp.SugarG)}
	out.Balance, out.Steps = exportBalance(r), exportSteps(d, r)
	out.PulpG, out.FatPct, out.Brix, out.WaterAct = number(r.PulpG), number(r.FatPct), number(r.BrixPct), number(r.WaterAct)
	out.Per100mL, out.PerServing = exportNutrition(r.Per100mL), exportNutrition(r.PerServing)
	out.Servings = &Servings{round(r.Servings.Count), round(r.Servings.SizeML)}
	out.Keeps = exportKeeps(r.Keeps, d.School)
	if r.Ratio != nil {
		out.Ratio = &Ratio{round(r.Ratio.ByVolume), round(r.Ratio.ByMass)}
	}
	if r.Soak != nil {
		out.Soak = &Soak{r.Soak.Ingredient, r.Soak.Hours.Min, r.Soak.Hours.Ideal, r.Soak.Hours.Max}
	}
	return out
}

func exportLines(d *reckon.Drink, texts []string, r *reckon.Reckoning) []Line {
	lines := make([]Line, len(texts))
	for n, l := range r.Lines {
		lines[n] = Line{Text: texts[n], Understood: l.Understood && l.Err == nil, Note: wording.Text(l.Note)}
		if l.Err != nil {
			lines[n].Note = wording.Error(l.Err)
		}
		if !l.Understood {
			continue
		}
		lines[n].Ingredient = optional(d.Lines[n].Ingredient.Name)
		lines[n].Role, lines[n].Stage, lines[n].Form = optional(string(l.Role)), optional(string(l.Stage)), optional(d.Lines[n].Form.Name)
		if l.MassG > 0 {
			lines[n].Grams, lines[n].ML = number(l.MassG), number(l.VolumeML)
			lines[n].Measure = optional(l.Kitchen.String())
			if l.Scoop != nil && l.Scoop.Text != "" {
				lines[n].Measure = optional(l.Scoop.Text)
			}
		}
	}
	return lines
}

func exportCautions(r *reckon.Reckoning) []Caution {
	out := make([]Caution, len(r.Cautions))
	for n, c := range r.Cautions {
		out[n] = Caution{Code: c.Code, Text: wording.Text(c.Text), Value: c.Value, Limit: c.Limit, Unit: optional(c.Unit), Raised: c.Raised}
	}
	return out
}

func exportNutrition(n reckon.Nutrition) *Nutrition {
	return &Nutrition{
		round(n.EnergyKcal), round(n.ProteinG), round(n.FatG), round(n.SaturatedFatG), round(n.CarbohydrateG),
		round(n.SugarsG), round(n.FreeSugarsG), round(n.FibreG), round(n.SodiumMg), round(n.SucroseEquivalentG),
	}
}

func exportKeeps(l keep.Life, school keep.School) *Keeps {
	k := &Keeps{FreezerDays: l.FreezerDays(school), Reasons: wording.Texts(l.Reasons)}
	if l.Known() {
		k.CautiousDays, k.CustomaryDays = number(l.CautiousDays), number(l.CustomaryDays)
	}
	return k
}

func optional(s string) *string {
	if s == "" {
		return nil
	}
	return &s
}

// round cuts a figure to six significant digits, more than any of them means.
func round(v float64) float64 {
	if v == 0 {
		return 0
	}
	scale := math.Pow(10, 5-math.Floor(math.Log10(math.Abs(v))))
	return math.Round(v*scale) / scale
}

func number(v float64) *float64 {
	v = round(v)
	return &v
}
