package bench

import (
	"errors"
	"math"
	"strings"
	"time"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/quantity"
	"plushladle/core/reckon"
	"plushladle/core/solve"
	"plushladle/internal/app"
	"plushladle/internal/wording"
)

// Reckoning is a reckoned drink as the Bench shows it.
type Reckoning struct {
	Reckoned    bool          `json:"reckoned" doc:"false where there is nothing to reckon, or the base is refused"`
	Kind        string        `json:"kind"`
	KindFrom    string        `json:"kindFrom" enum:"flag,name,guess,"`
	Factor      float64       `json:"factor"`
	Lines       []LineFigure  `json:"lines"`
	Ratio       *RatioFigure  `json:"ratio,omitempty"`
	DrinkML     float64       `json:"drinkML"`
	DrinkG      float64       `json:"drinkG"`
	LowML       float64       `json:"lowML"`
	FromBatches int           `json:"fromBatches" doc:"of this base in this strainer that the yield rests on; 0 for the default"`
	HighML      float64       `json:"highML"`
	PulpG       float64       `json:"pulpG"`
	Servings    float64       `json:"servings"`
	ServingML   float64       `json:"servingML"`
	Per100mL    Nutrition     `json:"per100mL"`
	PerServing  Nutrition     `json:"perServing"`
	BrixPct     float64       `json:"brixPct"`
	WaterAct    float64       `json:"waterActivity"`
	Keeps       Keeps         `json:"keeps"`
	Soak        *SoakFigure   `json:"soak,omitempty"`
	Allergens   []string      `json:"allergens"`
	Vegan       *bool         `json:"vegan,omitempty" doc:"absent where it cannot be told"`
	Cautions    []Caution     `json:"cautions"`
	Dials       []Dial        `json:"dials"`
	Jug         Jug           `json:"jug"`
	Cost        CostFigure    `json:"cost"`
	ForWhom     []ForWhom     `json:"forWhom" doc:"the kitchen's drinkers, and why it is not for some"`
	Chill       ChillFigure   `json:"chill"`
	Raw         *RawFigure    `json:"raw,omitempty" doc:"absent where it is not marked raw"`
	LeftoverML  float64       `json:"leftoverML" doc:"of a decoction, not used"`
	SteamG      float64       `json:"steamG" doc:"water boiled away"`
	FoamG       float64       `json:"foamG" doc:"skimmed off"`
	Missing     []string      `json:"missing" doc:"the lines that no figure counts, as written"`
	MissingTold string        `json:"missingTold" doc:"what that means; empty where none is missing"`
	Assumptions []string      `json:"assumptions"`
	Process     []ProcessStep `json:"process" doc:"how it is made, step by step"`
	Unapplied   []string      `json:"unapplied" doc:"changes of the cook's whose step is not there now"`
	Balance     BalanceFigure `json:"balance"`
	GrindS      float64       `json:"grindS" doc:"seconds in the blender, each load"`
	WaterC      float64       `json:"waterC" doc:"of what is poured on to grind with, °C"`
}

// RawFigure is a drink marked raw, held against the cook's own limit.
type RawFigure struct {
	Kept  bool   `json:"kept" doc:"whether the mark holds"`
	Words string `json:"words" doc:"and what gets warmest"`
}

// LineFigure is one line at the drink's size.
type LineFigure struct {
	Key         string  `json:"key"`
	Understood  bool    `json:"understood"`
	Name        string  `json:"name" doc:"the ingredient's name, or what was typed"`
	Role        string  `json:"role"`
	Stage       string  `json:"stage"`
	MassG       float64 `json:"massG"`
	Amount      string  `json:"amount" doc:"at this size, in the style it was written in"`
	Kitchen     string  `json:"kitchen" doc:"in cups and spoons that the drawer holds"`
	KitchenPct  float64 `json:"kitchenPct" doc:"what those hold over the exact amount, in %; 0 up to 1 %"`
	Blend       bool    `json:"blend" doc:"it is made of other ingredients, and can be swapped for them"`
	Stock       string  `json:"stock" doc:"how to come to less than the spoons hold"`
	Contributes string  `json:"contributes"`
	Note        string  `json:"note"`
	ErrorField  string  `json:"errorField" doc:"amount or ingredient; empty where the line counts"`
	Error       string  `json:"error"`

	Question string   `json:"question" doc:"what is asked about how it was read; empty where nothing is"`
	Choices  []string `json:"choices" doc:"ingredients it may mean, the likeliest first"`

	Words []WordsRead `json:"words,omitempty" doc:"what the words of the line as written were read as"`
}

// RatioFigure is grinding liquid per 1 of dry base.
type RatioFigure struct {
	ByVolume float64 `json:"byVolume"`
	ByMass   float64 `json:"byMass"`
}

// Nutrition are estimates from the mass balance.
type Nutrition struct {
	EnergyKcal         float64 `json:"energyKcal"`
	ProteinG           float64 `json:"proteinG"`
	FatG               float64 `json:"fatG"`
	SaturatedFatG      float64 `json:"saturatedFatG"`
	CarbohydrateG      float64 `json:"carbohydrateG"`
	SugarsG            float64 `json:"sugarsG"`
	FreeSugarsG        float64 `json:"freeSugarsG"`
	FibreG             float64 `json:"fibreG"`
	SodiumMg           float64 `json:"sodiumMg"`
	SucroseEquivalentG float64 `json:"sucroseEquivalentG"`
}

// Keeps is the life of the drink, and its last good days if made on madeOn.
type Keeps struct {
	Known          bool     `json:"known"`
	School         string   `json:"school" doc:"the kitchen's school, which useBy follows"`
	OtherSchool    string   `json:"otherSchool"`
	CautiousDays   float64  `json:"cautiousDays"`
	CustomaryDays  float64  `json:"customaryDays"`
	UseBy          string   `json:"useBy" doc:"the last day that is good to its end, as labels have it"`
	UseByAt        string   `json:"useByAt" doc:"the moment it ends; empty where that is not known"`
	UseByWords     string   `json:"useByWords" doc:"the same as people say it: Mon 30 Nov, morning"`
	OtherUseBy     string   `json:"otherUseBy"`
	WholeDays      int      `json:"wholeDays"`
	OtherWholeDays int      `json:"otherWholeDays"`
	FreezerDays    int      `json:"freezerDays"`
	FreezerUseBy   string   `json:"freezerUseBy"`
	Reasons        []string `json:"reasons"`
}

// SoakFigure is the longest soak.
type SoakFigure struct {
	Ingredient string  `json:"ingredient"`
	MinH       float64 `json:"minH"`
	IdealH     float64 `json:"idealH"`
	MaxH       float64 `json:"maxH"`
}

// Caution is one thing to know.
type Caution struct {
	Code   string   `json:"code"`
	Text   string   `json:"text"`
	Value  *float64 `json:"value,omitempty"`
	Limit  *float64 `json:"limit,omitempty"`
	Unit   string   `json:"unit"`
	Raised bool     `json:"raised"`
}

// Dial is a figure on its scale, as positions from 0 to 1.
type Dial struct {
	Code            string  `json:"code"`
	Name            string  `json:"name"`
	Known           bool    `json:"known"`
	Value           float64 `json:"value"`
	Further         float64 `json:"further"`
	Unit            string  `json:"unit"`
	Position        float64 `json:"position"`
	FurtherPosition float64 `json:"furtherPosition"`
	Band            string  `json:"band"`
	Bands           []Band  `json:"bands"`
	Givers          []Giver `json:"givers" doc:"the lines that can give when it is set; empty where it cannot be"`
}

// Giver is a line that can give for a dial.
type Giver struct {
	Key  string `json:"key"`
	Name string `json:"name"`
}

// CostFigure is what the batch costs.
type CostFigure struct {
	Known      bool     `json:"known"`
	Batch      float64  `json:"batch"`
	PerLitre   float64  `json:"perLitre"`
	PerServing float64  `json:"perServing"`
	Unpriced   []string `json:"unpriced" doc:"left out, as no price is known"`
}

// ForWhom is whether the drink is for someone.
type ForWhom struct {
	Name    string   `json:"name"`
	Not     bool     `json:"not"`
	Reasons []string `json:"reasons"`
}

// ChillFigure is how warm the ground base is, and the ice that brings it down.
type ChillFigure struct {
	GroundC float64 `json:"groundC"`
	IceG    float64 `json:"iceG"`
}

// Band is a named stretch of a dial.
type Band struct {
	Name string  `json:"name"`
	From float64 `json:"from"`
	To   float64 `json:"to"`
}

// Jug is the blender's jug drawn to scale.
type Jug struct {
	TopML   float64   `json:"topML"`
	FillML  float64   `json:"fillML"`
	MilkML  float64   `json:"milkML"`
	PulpML  float64   `json:"pulpML"`
	TicksML []float64 `json:"ticksML"`
	Loads   int       `json:"loads"`
	Strains int       `json:"strains" doc:"fillings of the strainer; 0 where nothing is strained"`
}

// present puts a reckoning into the form of the API. lineErrors are those met
// while reading the lines.
func present(d *reckon.Drink, keys []string, lineErrors []error, r *reckon.Reckoning, madeOn time.Time) Reckoning {
	out := Reckoning{
		Reckoned: r.Drink != nil, Factor: r.Factor, Lines: presentLines(d, keys, lineErrors, r),
		Allergens: []string{}, Missing: []string{}, Vegan: r.Vegan, Cautions: presentCautions(r.Cautions), Dials: presentDials(r, keys),
		Jug: Jug{TicksML: []float64{}}, Assumptions: wording.Texts(r.Assumptions()), Keeps: Keeps{Reasons: []string{}},
		Cost:    CostFigure{r.Cost.Known, r.Cost.Batch, r.Cost.PerLitre, r.Cost.PerServing, app.OrEmpty(r.Cost.Unpriced)},
		ForWhom: PresentForWhom(r.ForWhom), Chill: ChillFigure(r.Chill), LeftoverML: r.LeftoverML, SteamG: r.SteamG, FoamG: r.FoamG,
	}
	out.Process, out.Balance, out.GrindS, out.WaterC = processOf(d, r), balanceOf(r), r.Made.Seconds, r.Made.WaterC
	out.Unapplied = unappliedOf(d, r)
	if r.Raw != nil {
		out.Raw = &RawFigure{r.Raw.Kept, wording.Text(r.Raw.Told())}
	}
	out.Kind, out.KindFrom, out.Allergens = string(r.Kind), string(r.KindFrom), wording.Allergens(r.Allergens)
	if r.Drink == nil {
		return out
	}
	out.DrinkML, out.DrinkG, out.LowML, out.HighML = r.Drink.VolumeML, r.Drink.MassG, r.Drink.LowML, r.Drink.HighML
	out.PulpG, out.Servings, out.ServingML = r.PulpG, r.Servings.Count, r.Servings.SizeML
	out.Per100mL, out.PerServing = Nutrition(r.Per100mL), Nutrition(r.PerServing)
	out.BrixPct, out.WaterAct = r.BrixPct, r.WaterAct
	out.Keeps = PresentKeeps(r.Keeps, d.School, madeOn)
	out.Jug = Jug{r.Jug.TopML, r.Jug.FillML, r.Jug.MilkML, r.Jug.PulpML, r.Jug.TicksML, r.Jug.Loads, r.Jug.Strains}
	if r.Ratio != nil {
		out.Ratio = &RatioFigure{r.Ratio.ByVolume, r.Ratio.ByMass}
	}
	if r.Soak != nil {
		out.Soak = &SoakFigure{r.Soak.Ingredient, r.Soak.Hours.Min, r.Soak.Hours.Ideal, r.Soak.Hours.Max}
	}
	return out
}

func presentLines(d *reckon.Drink, keys []string, lineErrors []error, r *reckon.Reckoning) []LineFigure {
	lines := make([]LineFigure, len(r.Lines))
	contributes := r.Contributions()
	for n, l := range r.Lines {
		lines[n] = LineFigure{
			Key: keys[n], Understood: l.Understood, Name: d.Lines[n].Name, Role: string(l.Role), Stage: string(l.Stage),
			MassG: l.MassG, Amount: l.Amount.String(), Kitchen: l.Kitchen.String(), Contributes: wording.Text(contributes[n]), Note: wording.Text(l.Note),
		}
		lines[n].scooped(l, !l.Amount.IsCount())
		if r.Factor != 1 && l.Scoop != nil && l.Scoop.Text != "" && !l.Amount.IsMetric() {
			lines[n].Amount = l.Scoop.Text // of measures that exist, those that are there
		}
		if i := d.Lines[n].Ingredient; i != nil {
			lines[n].Name, lines[n].Blend = i.Name, len(i.Parts) > 0
		}
		err := lineErrors[n]
		if err == nil {
			err = l.Err
		}
		var field *fault.Error
		if errors.As(err, &field) {
			lines[n].ErrorField, lines[n].Error = field.Field, wording.Fault(field)
		}
	}
	return lines
}

// toldError is the error of a measure from which on it is told, as a share.
const toldError = 0.01

// coarseScale is the error of a scale from which on it is too coarse, as a share.
const coarseScale = 0.05

// scooped puts the drawer's own measures in the place of those there are in
// all, and says what to do where none fits.
func (l *LineFigure) scooped(r reckon.LineReckoning, isMeasured bool) {
	s := r.Scoop
	if !isMeasured || l.Kitchen == "" || s == nil {
		return
	}
	l.Kitchen = s.Text
	switch {
	case s.Text != "":
	case s.Stock != nil:
		l.Stock = wording.Say("too-little-to-measure-but", s.Stock.Told())
	case r.ScaleErr == 0:
		l.Stock = wording.Say("no-spoon-use-scale")
	case r.ScaleErr > coarseScale:
		l.Stock = wording.Say("no-spoon-coarse-scale")
	default:
		l.Stock = wording.Say("no-spoon-weigh")
	}
	if math.Abs(s.ErrorShare) > toldError {
		l.KitchenPct = 100 * s.ErrorShare
	}
}

func PresentForWhom(all []caution.For) []ForWhom {
	out := make([]ForWhom, len(all))
	for n, f := range all {
		out[n] = ForWhom{f.Name, f.Not, wording.Texts(f.Reasons)}
	}
	return out
}

func PresentKeeps(l keep.Life, school keep.School, madeOn time.Time) Keeps {
	other := school.Other()
	k := Keeps{
		Known: l.Known(), School: string(school), OtherSchool: string(other),
		CautiousDays: l.CautiousDays, CustomaryDays: l.CustomaryDays, FreezerDays: l.FreezerDays(school),
		FreezerUseBy: keep.FrozenUntil(madeOn, l.FreezerDays(school)).Format(app.DateLayout),
		Reasons:      wording.Texts(l.Reasons),
	}
	if !l.Known() {
		return k
	}
	at := l.Moment(madeOn, school)
	k.UseByAt, k.UseByWords = at.Format(time.RFC3339), wording.PartOfDay(at)
	k.UseBy = keep.LastWholeDay(madeOn, at).Format(app.DateLayout)
	k.OtherUseBy = keep.LastWholeDay(madeOn, l.Moment(madeOn, other)).Format(app.DateLayout)
	k.WholeDays, k.OtherWholeDays = keep.WholeDays(l.Days(school)), keep.WholeDays(l.Days(other))
	return k
}

func presentCautions(cautions []caution.Caution) []Caution {
	out := make([]Caution, len(cautions))
	for n, c := range cautions {
		out[n] = Caution{c.Code, wording.Text(c.Text), c.Value, c.Limit, c.Unit, c.Raised}
	}
	return out
}

func presentDials(r *reckon.Reckoning, keys []string) []Dial {
	givers := solve.Givers(r)
	out := make([]Dial, len(r.Dials))
	for n, d := range r.Dials {
		out[n] = Dial{
			Code: string(d.Code), Name: wording.Dial(d.Code), Known: d.Known, Value: d.Value, Further: d.Further, Unit: wording.DialUnit(d.Unit),
			Position: d.Position, FurtherPosition: d.FurtherP, Band: wording.Band(d.Band), Bands: make([]Band, len(d.Bands)),
		}
		for m, b := range d.Bands {
			out[n].Bands[m] = Band{wording.Band(b.Code), b.From, b.To}
		}
		out[n].Givers = []Giver{}
		for _, place := range givers[d.Code] {
			out[n].Givers = append(out[n].Givers, Giver{keys[place], r.NameOf(place)})
		}
	}
	return out
}

// Suggestion is an ingredient in the type-ahead.
type Suggestion struct {
	ID        string   `json:"id"`
	Name      string   `json:"name"`
	Line      string   `json:"line" doc:"the name with the amount typed before it"`
	Role      string   `json:"role"`
	Allergens []string `json:"allergens"`
}

func suggest(amount quantity.Amount, found []*ingredient.Ingredient) []Suggestion {
	out := make([]Suggestion, len(found))
	for n, i := range found {
		out[n] = Suggestion{ID: i.ID, Name: i.Name, Line: strings.TrimSpace(amount.String() + " " + i.Name), Role: string(i.Role), Allergens: wording.Allergens(i.Allergens)}
	}
	return out
}
