// Package kitchen is the form in which a cook writes a drink down, shared by
// what stores it, what serves it and the demo kitchen, and its way into the
// core.
package kitchen

import (
	"reflect"
	"strings"

	"plushladle/core/extract"
	"plushladle/core/fault"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/quantity"
)

// Formula is a drink as the cook writes it.
type Formula struct {
	Lines     []Line  `json:"lines" maxItems:"300"`
	System    string  `json:"system" enum:"us,metric,au,imperial"`
	Strainer  string  `json:"strainer" enum:"bag,cloth,gentle,sieve,none,juicer"`
	BlendS    float64 `json:"blendS" minimum:"1" maximum:"600" doc:"seconds in the blender"`
	WaterC    float64 `json:"waterC" minimum:"0" maximum:"100" doc:"temperature of the grinding water, °C"`
	Spices    string  `json:"spices" enum:"linear,eased" doc:"how strong spices grow with a batch"`
	ServingML float64 `json:"servingML" minimum:"0" maximum:"5000" doc:"0 for the usual serving of its style"`
	Boiled    bool    `json:"boiled" doc:"boiled, cooled fast, and kept in a sterilised bottle"`
	SizeBy    string  `json:"sizeBy" enum:",times,volume,servings,base" doc:"empty for the amounts as written"`
	SizeValue float64 `json:"sizeValue" minimum:"0" maximum:"1000000" doc:"a factor, mL, servings or g of base"`
}

// Line is one line as typed.
type Line struct {
	Key        string `json:"key" maxLength:"40" doc:"stays with the line while it is moved and edited"`
	Ingredient string `json:"ingredient" maxLength:"120"`
	Amount     string `json:"amount" maxLength:"200"`
	Stage      string `json:"stage" enum:",soak,grind,rinse,after straining,cook,at serving" doc:"empty for the ingredient's own"`
	Note       string `json:"note" maxLength:"300"`
	Unsoaked   bool   `json:"unsoaked"`
	SoakedCup  bool   `json:"soakedCup" doc:"the volume was measured after soaking"`
	Locked     bool   `json:"locked"`
}

// New is a formula with no lines and the usual ways of working.
func New(system string) Formula {
	return Formula{
		Lines: []Line{}, System: system, Strainer: extract.Bag.String(),
		BlendS: formula.DefaultBlendS, WaterC: formula.DefaultWaterC, Spices: string(formula.Linear),
	}
}

// Ways are the kitchen's own ways of working.
type Ways struct {
	School  string
	FridgeC float64
	JugML   float64
}

// Drink is the formula as the core takes it. Errors in single lines come back
// by the line's place; the error is for the rest, a *fault.Error.
func (f Formula) Drink(name string, ways Ways, catalogue *ingredient.Catalogue) (formula.Drink, []error, error) {
	d := formula.New(name)
	var err error
	if d.System, err = quantity.ParseSystem(f.System); err != nil {
		return d, nil, err
	}
	if d.Method.Strainer, err = extract.ParseStrainer(f.Strainer); err != nil {
		return d, nil, err
	}
	if d.School, err = keep.ParseSchool(ways.School); err != nil {
		return d, nil, err
	}
	d.Method.BlendS, d.Method.WaterC = f.BlendS, f.WaterC
	d.Size = formula.Size{By: formula.SizeBy(f.SizeBy), Value: f.SizeValue}
	d.Boiled = f.Boiled
	d.ServingML, d.Spices = f.ServingML, formula.SpiceSchool(f.Spices)
	d.FridgeC, d.JugML = ways.FridgeC, ways.JugML
	lineErrors := make([]error, len(f.Lines))
	d.Lines = make([]formula.Line, len(f.Lines))
	for n, l := range f.Lines {
		d.Lines[n], lineErrors[n] = l.read(catalogue)
	}
	return d, lineErrors, nil
}

func (l Line) read(catalogue *ingredient.Catalogue) (formula.Line, error) {
	i, ok := catalogue.Find(l.Ingredient)
	line := formula.Line{
		Ingredient: i, Name: l.Ingredient, Stage: ingredient.Stage(l.Stage), Note: l.Note,
		Unsoaked: l.Unsoaked, SoakedCup: l.SoakedCup, Locked: l.Locked,
	}
	if !ok {
		line.Ingredient = nil
	} else {
		line.Form = i.FormIn(strings.ToLower(l.Ingredient + " " + l.Note))
	}
	amount, err := quantity.ParseAmount(l.Amount)
	line.Amount = amount
	return line, err
}

// ReadLine reads a whole line as people write it: "1 1/2 cups hazelnuts, soaked".
func ReadLine(text string, catalogue *ingredient.Catalogue) (Line, error) {
	read, err := formula.ReadLine(text, catalogue)
	if err != nil {
		return Line{}, fault.In("text", err)
	}
	line := Line{
		Ingredient: read.Name, Amount: read.Amount.String(), Stage: string(read.Stage), Note: read.Note,
		Unsoaked: read.Unsoaked, SoakedCup: read.SoakedCup,
	}
	if read.Ingredient != nil {
		line.Ingredient = read.Ingredient.Name
		if form := read.Form.Name; form != "" && !strings.Contains(strings.ToLower(line.Note), form) {
			line.Note = strings.TrimSuffix(form+", "+line.Note, ", ") // its name is now the plain one
		}
	}
	return line, nil
}

// AtSize is the formula written anew at the size it was scaled to, exactly:
// the scaled amounts become the amounts as written.
func (f Formula) AtSize(r *formula.Reckoning) Formula {
	lines := append([]Line{}, f.Lines...)
	for n := range lines {
		if exact := r.Lines[n].ExactAmount(); exact != "" {
			lines[n].Amount = exact
		}
	}
	f.Lines, f.SizeBy, f.SizeValue = lines, "", 0
	return f
}

// Same tells whether two formulas say the same, whatever keys their lines bear.
func Same(a, b Formula) bool { return reflect.DeepEqual(withoutKeys(a), withoutKeys(b)) }

func withoutKeys(f Formula) Formula {
	f.Lines = append([]Line{}, f.Lines...)
	for n := range f.Lines {
		f.Lines[n].Key = ""
	}
	return f
}
