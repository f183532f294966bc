// Package kitchen is the form in which a cook writes a drink down, shared by
// what stores it, what serves it and the demo kitchen, and its way into the
// core.
package kitchen

import (
	"cmp"
	"fmt"
	"reflect"
	"slices"
	"strings"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/record"
)

// Recipe is a drink as the cook writes it.
type Recipe struct {
	Lines     []Line  `json:"lines" maxItems:"300"`
	System    string  `json:"system" enum:"us,metric,au,imperial"`
	Strainer  string  `json:"strainer" enum:"bag,cloth,gentle,passes,sieve,sieve-pushed,sieve-cloth,none,juicer"`
	BlendS    float64 `json:"blendS" minimum:"0" maximum:"600" doc:"seconds in the blender; 0 for what its bases want"`
	WaterC    float64 `json:"waterC" minimum:"0" maximum:"100" doc:"temperature of grinding liquid whose line says none, °C; 0 for the tap's"`
	Spices    string  `json:"spices" enum:"linear,eased" doc:"how strong spices grow with a batch"`
	ServingML float64 `json:"servingML" minimum:"0" maximum:"5000" doc:"0 for the usual serving of its kind"`
	Heat      string  `json:"heat" enum:",none,warm,under-boil,simmer,boil" doc:"after straining: warm 80 °C, under-boil 95; empty for by the base, which brings soy to the boil"`
	HotFill   bool    `json:"hotFill,omitempty" doc:"bottled at 85 °C or hotter, full, closed and turned over; only where it was heated"`
	CookMin   float64 `json:"cookMin" minimum:"0" maximum:"600" doc:"minutes at that heat in an open pan"`
	PanCM     float64 `json:"panCM" minimum:"0" maximum:"80" doc:"the pan's diameter; 0 for a common one"`
	Covered   bool    `json:"covered,omitempty" doc:"the pan: it loses a tenth"`
	Kind      string  `json:"kind,omitempty" enum:",milk,creamer,cream,horchata,nog,concentrate,chocolate,brewed,cooler" doc:"of drink; empty for a guess"`
	Coarse    bool    `json:"coarse" doc:"crushed dry and infused cold"`
	BrewPct   float64 `json:"brewPct" minimum:"0" maximum:"100" doc:"share of the decoction that goes in; 0 for all of it"`
	ShopPrice float64 `json:"shopPrice" minimum:"0" maximum:"100000" doc:"what a litre of the like costs in a shop; 0 where it is not known"`
	SizeBy    string  `json:"sizeBy" enum:",times,volume,servings,base,bottles,days" doc:"empty for the amounts as written"`
	SizeValue float64 `json:"sizeValue" minimum:"0" maximum:"1000000" doc:"a factor, mL, servings, g of base, bottles or days"`
	SizeEach  float64 `json:"sizeEach" minimum:"0" maximum:"1000000" doc:"mL of a bottle, or of a cup; 0 for a serving"`
	PerDay    float64 `json:"perDay" minimum:"0" maximum:"1000" doc:"cups a day, where sized by days"`
	RawC      float64 `json:"rawC" minimum:"0" maximum:"100" doc:"the cook's own limit of a drink marked raw, °C; 0 where it is not"`
	WarmsC    float64 `json:"warmsC" minimum:"0" maximum:"60" doc:"what a minute in the blender warms by, °C; 0 for the usual"`
	// Notes are what else stood on the page it was pasted from: headings, method, tips.
	Notes []string `json:"notes,omitempty" maxItems:"400"`
	// Process are the cook's changes to how it is made; the rest follows from the lines.
	Process []StepChange `json:"process,omitempty" maxItems:"60"`
	// Portions are what the finished base is divided into; absent where it stays one.
	Portions []Portion `json:"portions,omitempty" maxItems:"12"`
}

// StepChange is what the cook does otherwise at one step.
type StepChange struct {
	At     StepAt             `json:"at"`
	Do     string             `json:"do" enum:"set,add-after,remove,move-before"`
	To     *StepAt            `json:"to,omitempty" doc:"the step it is moved before"`
	Params map[string]float64 `json:"params,omitempty" doc:"seconds at grind, minutes at heat, hours and fridge at soak; minutes of a step that is added"`
	Cue    string             `json:"cue,omitempty" maxLength:"500" doc:"the cook's own words"`
}

// StepAt names a step: the nth of its kind, from 1.
type StepAt struct {
	Kind string `json:"kind" minLength:"1" maxLength:"20"`
	N    int    `json:"n,omitempty" minimum:"0" maximum:"60"`
}

// Change is the change as the core takes it.
func (c StepChange) Change() process.Change {
	out := process.Change{At: process.At{Kind: c.At.Kind, N: c.At.N}, Do: c.Do, Params: c.Params, Cue: c.Cue}
	if c.To != nil {
		out.To = process.At{Kind: c.To.Kind, N: c.To.N}
	}
	return out
}

// Portion is one drink that the base is finished into.
type Portion struct {
	Name  string   `json:"name" maxLength:"120"`
	ML    float64  `json:"ml" minimum:"0" maximum:"1000000" doc:"of the base; 0 for an equal share of what is left"`
	Lines []string `json:"lines" maxItems:"20" doc:"what joins it"`
}

// Line is one line as typed.
type Line struct {
	Key        string `json:"key" maxLength:"40" doc:"stays with the line while it is moved and edited"`
	Ingredient string `json:"ingredient" maxLength:"2000" doc:"or whatever was written there: nothing a cook writes is too long to be kept"`
	Amount     string `json:"amount" maxLength:"200"`
	Stage      string `json:"stage" enum:",soak,grind,rinse,brew,after straining,cook,at serving" doc:"empty for the ingredient's own"`
	Note       string `json:"note" maxLength:"2000"`
	Unsoaked   bool   `json:"unsoaked"`
	SoakedCup  bool   `json:"soakedCup" doc:"the volume was measured after soaking"`
	Locked     bool   `json:"locked"`
	// Written is the line as it was written or copied, from which it was read.
	Written string `json:"written,omitempty" maxLength:"2000"`
	Settled bool   `json:"settled,omitempty" doc:"the cook has seen how it was read, or changed it"`
	IsNote  bool   `json:"isNote,omitempty" doc:"it names nothing, and no figure lacks it"`
}

// New is a recipe with no lines and the usual ways of working.
func New(system string) Recipe {
	return Recipe{
		Lines: []Line{}, System: system, Strainer: process.Bag.String(),
		Spices: string(recipe.Linear),
	}
}

// Setup is what a drink is reckoned in: the kitchen's settings, with all it measures,
// pays and pours with.
type Setup struct {
	System    quantity.System
	School    string
	FridgeC   float64
	JugML     float64
	HighSpeed bool    // the blender
	TapC      float64 // 0 for the usual
	PanCM     float64 // 0 for one that suits
	RoomC     float64 // 0 for the usual
	Catalogue *ingredient.Catalogue
	Reader    quantity.Reader
	Drawer    *quantity.Drawer
	Prices    reckon.Prices
	Drinkers  []caution.Drinker
	Learned   map[string]record.Learned // what its batches taught, by record.FigureKey
	Seen      *Seen                     // what was found of lines; nil where nothing is remembered
}

// Lines reads lines with the names and measures of the kitchen.
func (s Setup) Lines() reading.Reader {
	return reading.Reader{Catalogue: s.Catalogue, Measures: s.Reader, System: s.System}
}

// Drink is the recipe as the core takes it. Errors in single lines come back
// by the line's place; the error is for the rest, a *fault.Error.
func (f Recipe) Drink(name string, ways Setup) (reckon.Drink, []error, error) {
	d := reckon.New(name)
	err := f.Check()
	if err != nil {
		return d, nil, err
	}
	if d.System, err = quantity.ParseSystem(f.System); err != nil {
		return d, nil, err
	}
	if d.Method.Strainer, err = process.ParseStrainer(f.Strainer); err != nil {
		return d, nil, err
	}
	if d.School, err = keep.ParseSchool(ways.School); err != nil {
		return d, nil, err
	}
	f.setMethod(&d.Method, ways)
	d.Kind = recipe.Kind(f.Kind)
	for _, c := range f.Process {
		d.Changes = append(d.Changes, c.Change())
	}
	d.Size = recipe.Size{By: recipe.SizeBy(f.SizeBy), Value: f.SizeValue, EachML: f.SizeEach, PerDay: f.PerDay}
	d.RawLimitC, d.Portions = f.RawC, f.portions(ways)
	d.ServingML, d.Spices = f.ServingML, recipe.SpiceSchool(f.Spices)
	d.FridgeC, d.JugML = ways.FridgeC, ways.JugML
	d.Drawer, d.Prices, d.Drinkers = ways.Drawer, ways.Prices, ways.Drinkers
	lineErrors := make([]error, len(f.Lines))
	d.Lines = make([]recipe.Line, len(f.Lines))
	for n, l := range f.Lines {
		d.Lines[n], lineErrors[n] = l.read(ways)
	}
	record.Use(&d, ways.Learned)
	return d, lineErrors, nil
}

// setMethod is how it is made: as the cook says of this drink, else as is usual
// in the kitchen.
func (f Recipe) setMethod(m *process.Method, ways Setup) {
	m.Seconds, m.HighSpeed, m.Coarse = f.BlendS, ways.HighSpeed, f.Coarse
	m.WaterC, m.WarmsC, m.RoomC = cmp.Or(f.WaterC, ways.TapC), f.WarmsC, ways.RoomC
	m.Heat, m.Minutes, m.Covered, m.PanCM, m.HotFill = process.Heat(f.Heat), f.CookMin, f.Covered, cmp.Or(f.PanCM, ways.PanCM), f.HotFill
	m.BrewUsed = f.BrewPct / 100
}

// portions are what it is divided into, without the lines that name nothing.
func (f Recipe) portions(ways Setup) []recipe.Portion {
	out := make([]recipe.Portion, 0, len(f.Portions))
	for _, p := range f.Portions {
		portion := recipe.Portion{Name: p.Name, ML: p.ML}
		for _, text := range p.Lines {
			if read, err := ways.Lines().Read(text); err == nil && read.IsRead() {
				portion.Lines = append(portion.Lines, read.Lines...)
			}
		}
		out = append(out, portion)
	}
	return out
}

func (l Line) read(ways Setup) (recipe.Line, error) {
	line := recipe.Line{
		Key: l.Key, Name: l.Ingredient, Stage: ingredient.Stage(l.Stage), Note: l.Note,
		Unsoaked: l.Unsoaked, SoakedCup: l.SoakedCup, Locked: l.Locked, Kept: l.IsNote,
	}
	if l.IsNote {
		return line, nil
	}
	i, ok := ways.Lines().Name(l.Ingredient)
	line.Ingredient = i
	if !ok {
		line.Ingredient = nil
	} else {
		words := strings.ToLower(l.Ingredient + " " + l.Note)
		line.Form, line.Treatment = i.FormIn(words), ingredient.TreatmentIn(words)
	}
	amount, err := ways.Reader.ParseAmount(l.Amount)
	line.Amount = amount
	return line, err
}

// Changed is the recipe with the lines that the core made of a drink. Lines
// keep what the cook typed and said of them, unless their amount or their
// ingredient is another now.
func (f Recipe) Changed(from, to *reckon.Drink) Recipe {
	typed, amounts := map[string]Line{}, map[string]string{}
	for n, l := range f.Lines {
		typed[l.Key], amounts[l.Key] = l, from.Lines[n].Amount.String()
	}
	lines := make([]Line, len(to.Lines))
	for n, l := range to.Lines {
		line, known := typed[l.Key]
		switch {
		case !known || l.Key == "":
			line = Written(l)
			line.Key, line.Stage = f.freshKey(n), string(l.Stage)
		case l.Ingredient != nil && l.Name != line.Ingredient:
			line = Line{Key: line.Key, Ingredient: l.Name, Amount: l.Amount.String(), Stage: line.Stage, Locked: line.Locked}
		case l.Amount.String() != amounts[l.Key]:
			line.Amount = l.Amount.String()
		}
		lines[n] = line
	}
	f.Lines = lines
	f.SizeBy, f.SizeValue, f.SizeEach, f.PerDay = string(to.Size.By), to.Size.Value, to.Size.EachML, to.Size.PerDay
	return f
}

// Adopting is the recipe with whatever the core changed of a drink: its lines, how they are
// treated, and how it is made.
func (f Recipe) Adopting(from, to *reckon.Drink) Recipe {
	f = f.Changed(from, to)
	for n, l := range to.Lines {
		if n < len(from.Lines) && l.Treatment != from.Lines[n].Treatment {
			f.Lines[n].Note = withTreatment(f.Lines[n].Note, l.Treatment)
		}
	}
	m, was := to.Method, from.Method
	f.Strainer, f.Covered = m.Strainer.String(), m.Covered
	if m.Seconds != was.Seconds {
		f.BlendS = m.Seconds
	}
	if m.WaterC != was.WaterC {
		f.WaterC = m.WaterC
	}
	f.Process = nil
	for _, c := range to.Changes {
		f.Process = append(f.Process, stepChange(c))
	}
	return f
}

// stepChange is a change of the core as the cook has it.
func stepChange(c process.Change) StepChange {
	out := StepChange{At: StepAt{c.At.Kind, c.At.N}, Do: c.Do, Params: c.Params, Cue: c.Cue}
	if c.To.Kind != "" {
		out.To = &StepAt{c.To.Kind, c.To.N}
	}
	return out
}

// freshKey is a key that no line bears.
func (f Recipe) freshKey(n int) string {
	for at := len(f.Lines) + n; ; at++ {
		key := fmt.Sprintf("new-%d", at)
		if !slices.ContainsFunc(f.Lines, func(l Line) bool { return l.Key == key }) {
			return key
		}
	}
}

// Text is the line as the cook wrote it, or as it stands now.
func (l Line) Text() string {
	if l.Written != "" && !l.Settled {
		return l.Written
	}
	return strings.TrimSpace(l.Amount + " " + l.Ingredient)
}

// shownRunes is how much of a line is named where others lack it.
const shownRunes = 40

// Shortened is a line as it is named beside a figure.
func Shortened(text string) string {
	runes := []rune(text)
	if len(runes) <= shownRunes {
		return text
	}
	return strings.TrimSpace(string(runes[:shownRunes])) + " …"
}

// Lacking are the lines that no figure of the reckoned recipe counts, as the cook wrote
// them.
func (f Recipe) Lacking(r *reckon.Reckoning) []string {
	out := []string{}
	for _, n := range r.Lacks() {
		out = append(out, Shortened(f.Lines[n].Text()))
	}
	return out
}

// ReadLine reads a whole line as people write it: "1 1/2 cups hazelnuts, soaked".
// Where the line holds several ingredients, it is the first.
func ReadLine(text string, ways Setup) (Line, error) {
	read, err := ways.Lines().Line(text)
	if err != nil {
		return Line{}, fault.In("text", err)
	}
	return Written(read), nil
}

// LinesOf are the lines that a reading comes to, each with what was written.
func LinesOf(read reading.Reading) []Line {
	lines := make([]Line, len(read.Lines))
	for n, l := range read.Lines {
		lines[n] = Written(l)
		lines[n].Written = read.Written
	}
	return lines
}

// Written is a line of the core as the cook writes it.
func Written(read recipe.Line) Line {
	line := Line{
		Ingredient: read.Name, Amount: read.Amount.String(), Stage: string(read.Stage), Note: read.Note,
		Unsoaked: read.Unsoaked, SoakedCup: read.SoakedCup,
	}
	if read.Ingredient != nil {
		line.Ingredient = read.Ingredient.Name
		if form := read.Form.Name; form != "" && !strings.Contains(strings.ToLower(line.Note), form) {
			line.Note = strings.TrimSuffix(form+", "+line.Note, ", ") // its name is now the plain one
		}
		line.Note = withTreatment(line.Note, read.Treatment)
		line.Note = withTemperature(line.Note, read)
	}
	return line
}

// withTemperature keeps in the note how warm a liquid is, which its plain name no
// longer says.
func withTemperature(note string, read recipe.Line) string {
	word, tempC := process.TemperatureIn(strings.ToLower(read.Name))
	if tempC == 0 || read.Ingredient.Role != ingredient.Liquid || process.WordsC(strings.ToLower(note)) != 0 {
		return note
	}
	return strings.TrimSuffix(word+", "+note, ", ")
}

// withTreatment keeps in the note what was done to the ingredient, which its
// plain name no longer says.
func withTreatment(note string, t ingredient.Treatment) string {
	said := ingredient.TreatmentIn(strings.ToLower(note))
	for _, word := range []struct {
		is, was bool
		word    string
	}{{t.Toasted, said.Toasted, "toasted"}, {t.Roasted && !t.Toasted, said.Roasted, "roasted"}, {t.Salted, said.Salted, "salted"}, {t.Rubbed, said.Rubbed, "skins rubbed off"}, {t.Skinned && !t.Rubbed, said.Skinned, "skinned"}, {t.Sprouted, said.Sprouted, "sprouted"}} {
		if word.is && !word.was {
			note = strings.TrimSuffix(word.word+", "+note, ", ")
		}
	}
	return note
}

// AtSize is the recipe written anew at the size it was scaled to, exactly:
// the scaled amounts become the amounts as written.
func (f Recipe) AtSize(r *reckon.Reckoning) Recipe {
	lines := append([]Line{}, f.Lines...)
	for n := range lines {
		if exact, ok := r.Lines[n].Exact(); ok {
			lines[n].Amount = exact.String()
		}
	}
	f.Lines, f.SizeBy, f.SizeValue, f.SizeEach, f.PerDay = lines, "", 0, 0, 0
	return f
}

// WithAmounts is the recipe with the amounts of the drink's lines, exactly.
func (f Recipe) WithAmounts(d *reckon.Drink) Recipe {
	f.Lines = append([]Line{}, f.Lines...)
	for n := range f.Lines {
		f.Lines[n].Amount = d.Lines[n].Amount.String()
	}
	f.SizeBy, f.SizeValue, f.SizeEach, f.PerDay = "", 0, 0, 0
	return f
}

// Same tells whether two recipes say the same, whatever keys their lines bear.
func Same(a, b Recipe) bool { return reflect.DeepEqual(withoutKeys(a), withoutKeys(b)) }

func withoutKeys(f Recipe) Recipe {
	f.Lines = append([]Line{}, f.Lines...)
	for n := range f.Lines {
		f.Lines[n].Key = ""
	}
	return f
}
