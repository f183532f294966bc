package bench

import (
	"fmt"
	"slices"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/serve"
	"plushladle/core/solve"
	"plushladle/internal/app"
	"plushladle/internal/exchange"
	"plushladle/internal/kitchen"
	"plushladle/internal/wording"
)

// bench is a recipe read into the core.
type bench struct {
	s      Service
	typed  kitchen.Recipe
	drink  reckon.Drink
	errors []error
	ways   kitchen.Setup
}

func (s Service) onBench(name string, f kitchen.Recipe) (*bench, error) {
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	d, lineErrors, err := f.Drink(name, ways)
	return &bench{s, f, d, lineErrors, ways}, err
}

// place is where the line with the key stands.
func (b *bench) place(field, key string) (int, error) {
	for n, l := range b.typed.Lines {
		if l.Key == key {
			return n, nil
		}
	}
	return 0, fault.New(field, key, "not-a-line")
}

// changed is the recipe that the core made of it, reckoned.
func (b *bench) changed(d *reckon.Drink) (kitchen.Recipe, Reckoning, error) {
	f := b.typed.Changed(&b.drink, b.named(d))
	r, err := b.s.ReckonRecipe(d.Name, f, b.s.Now())
	return f, r, err
}

// named is a drink whose added lines bear the names of the kitchen's language: the core
// takes what it adds from the catalogue that ships.
func (b *bench) named(d *reckon.Drink) *reckon.Drink {
	out := *d
	out.Lines = slices.Clone(d.Lines)
	for n := range out.Lines {
		l := &out.Lines[n]
		if l.Ingredient == nil || l.Name != l.Ingredient.Name {
			continue
		}
		if local, ok := b.ways.Catalogue.ByID(l.Ingredient.ID); ok && local != l.Ingredient {
			l.Ingredient, l.Name = local, local.Name
		}
	}
	return &out
}

// Turn asks for a dial to be set, by a place on its scale or by its figure.
type Turn struct {
	Name     string         `json:"name" maxLength:"120"`
	Recipe   kitchen.Recipe `json:"recipe"`
	Dial     string         `json:"dial" enum:"sweetness,fat,strength,spice"`
	Position *float64       `json:"position,omitempty" doc:"0 to 1 along the scale; or give a value"`
	Value    *float64       `json:"value,omitempty" doc:"in the dial's own unit"`
	Give     string         `json:"give" maxLength:"40" doc:"the key of the line that gives; empty for all of its kind"`
}

// Solved is the recipe with the dial set.
type Solved struct {
	Recipe    kitchen.Recipe `json:"recipe"`
	Reckoning Reckoning      `json:"reckoning"`
	Said      []string       `json:"said" doc:"what moved besides, and what could not be reached"`
}

func (s Service) Turn(in Turn) (Solved, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Solved{}, err
	}
	dial := reckon.DialName(in.Dial)
	to, err := b.wanted(dial, in)
	if err != nil {
		return Solved{}, err
	}
	turn := solve.Turn{To: map[reckon.DialName]float64{dial: to}, Hold: true}
	if in.Give != "" {
		place, err := b.place("give", in.Give)
		if err != nil {
			return Solved{}, err
		}
		turn.Give = map[reckon.DialName]int{dial: place}
	}
	turned, err := solve.Dials(&b.drink, turn)
	if err != nil {
		return Solved{}, err
	}
	out := Solved{Said: wording.Texts(turned.Told())}
	out.Recipe, out.Reckoning, err = b.changed(&turned.Drink)
	return out, err
}

func (b *bench) wanted(dial reckon.DialName, t Turn) (float64, error) {
	switch {
	case t.Value != nil:
		return *t.Value, nil
	case t.Position == nil:
		return 0, fault.New("position", "", "dial-needs-a-place")
	}
	r, err := b.drink.Reckon()
	if err != nil {
		return 0, err
	}
	return r.AtPosition(dial, *t.Position), nil
}

// Swap asks for an ingredient in the place of a line's own.
type Swap struct {
	Name   string         `json:"name" maxLength:"120"`
	Recipe kitchen.Recipe `json:"recipe"`
	Line   string         `json:"line" maxLength:"40" doc:"its key"`
	To     string         `json:"to" maxLength:"120" doc:"an ingredient; empty for a blend's parts"`
	How    string         `json:"how" maxLength:"40" doc:"what stays equal; empty for the usual"`
}

// Swapped is the recipe with the swap made, and what it changes.
type Swapped struct {
	Recipe    kitchen.Recipe `json:"recipe"`
	Reckoning Reckoning      `json:"reckoning"`
	How       string         `json:"how"`
	Ways      []string       `json:"ways" doc:"what can stay equal between these two"`
	Worst     []string       `json:"worst" doc:"what could hurt or catch somebody out, to be shown first"`
	Changes   []string       `json:"changes"`
}

func (s Service) Swap(in Swap) (Swapped, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Swapped{}, err
	}
	place, err := b.place("line", in.Line)
	if err != nil {
		return Swapped{}, err
	}
	to, err := b.ingredient("to", in.To)
	if err != nil {
		return Swapped{}, err
	}
	swapped, err := solve.Swap(&b.drink, place, to, solve.SwapHow(in.How))
	if err != nil {
		return Swapped{}, err
	}
	out := Swapped{How: string(swapped.How), Ways: []string{}, Worst: wording.Texts(swapped.Worst), Changes: wording.Texts(swapped.Changes)}
	for _, way := range solve.WaysToSwap(&b.drink, place, to) {
		out.Ways = append(out.Ways, string(way))
	}
	out.Recipe, out.Reckoning, err = b.changed(&swapped.Drink)
	return out, err
}

// ingredient finds one by its name; nil for no name.
func (b *bench) ingredient(field, name string) (*ingredient.Ingredient, error) {
	if strings.TrimSpace(name) == "" {
		return nil, nil
	}
	i, ok := b.ways.Lines().Name(name)
	if !ok {
		return nil, fault.New(field, name, "not-in-catalogue-choose")
	}
	return i, nil
}

// OnBench is a recipe that something is asked of.
type OnBench struct {
	Name   string         `json:"name" maxLength:"120"`
	Recipe kitchen.Recipe `json:"recipe"`
}

// Nudged is the recipe in measures that the drawer holds, as differences.
type Nudged struct {
	Recipe    kitchen.Recipe `json:"recipe"`
	Reckoning Reckoning      `json:"reckoning"`
	Changes   []NudgedLine   `json:"changes"`
	Kept      []NudgeKept    `json:"kept" doc:"lines that stay as they are"`
}

// NudgeKept is a line that stays as it is, and why.
type NudgeKept struct {
	Name string `json:"name"`
	Why  string `json:"why"`
}

// NudgedLine is one line's change.
type NudgedLine struct {
	Name    string  `json:"name"`
	From    string  `json:"from"`
	To      string  `json:"to"`
	MorePct float64 `json:"morePct"`
}

func (s Service) Nudge(in OnBench) (Nudged, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Nudged{}, err
	}
	nudged, err := solve.ToSpoons(&b.drink)
	if err != nil {
		return Nudged{}, err
	}
	out := Nudged{Changes: make([]NudgedLine, len(nudged.Changes)), Kept: make([]NudgeKept, len(nudged.Kept))}
	for n, k := range nudged.Kept {
		out.Kept[n] = NudgeKept{k.Name, wording.Text(k.Why)}
	}
	for n, c := range nudged.Changes {
		out.Changes[n] = NudgedLine{c.Name, c.From, c.To, 100 * c.ErrorShare}
	}
	out.Recipe, out.Reckoning, err = b.changed(&nudged.Drink)
	return out, err
}

func (s Service) Ice(in OnBench) (kitchen.Recipe, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return kitchen.Recipe{}, err
	}
	iced, err := solve.WithIce(&b.drink)
	if err != nil {
		return kitchen.Recipe{}, err
	}
	return b.typed.Changed(&b.drink, iced), nil
}

// ToLetDown is a recipe and the water a second pressing would take.
type ToLetDown struct {
	OnBench
	SecondML float64 `json:"secondML" minimum:"0" maximum:"100000" doc:"water to grind the pulp with once more; 0 for none"`
}

// Ladder is what the drink becomes rung by rung, and from the pulp.
type Ladder struct {
	Rungs  []Rung  `json:"rungs"`
	Second *Second `json:"second,omitempty"`
}

// Rung is one step down.
type Rung struct {
	Name   string  `json:"name"`
	Note   string  `json:"note"`
	WaterG float64 `json:"waterG"`
	ML     float64 `json:"ml"`
	FatPct float64 `json:"fatPct"`
	SweetG float64 `json:"sweetG" doc:"per 100 mL"`
}

// Second is the milk of a second pressing.
type Second struct {
	ML         float64 `json:"ml"`
	FatPct     float64 `json:"fatPct"`
	ProteinPct float64 `json:"proteinPct"`
	PulpG      float64 `json:"pulpG"`
}

func (s Service) Ladder(in ToLetDown) (Ladder, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Ladder{}, err
	}
	r, err := b.drink.Reckon()
	if err != nil {
		return Ladder{}, err
	}
	out := Ladder{Rungs: []Rung{}}
	for _, rung := range serve.Ladder(r) {
		out.Rungs = append(out.Rungs, Rung{wording.Text(rung.Name), wording.Text(rung.Note), rung.WaterG, rung.ML, rung.FatPct, rung.SweetG})
	}
	if in.SecondML == 0 {
		return out, nil
	}
	second, err := serve.PressAgain(r, in.SecondML)
	if err != nil {
		return Ladder{}, fault.In("secondML", err)
	}
	out.Second = &Second{second.ML, second.FatPct, second.ProteinPct, second.PulpG}
	return out, nil
}

// ToBlend are two liquids and a target.
type ToBlend struct {
	A        string  `json:"a" maxLength:"120"`
	B        string  `json:"b" maxLength:"120"`
	Of       string  `json:"of" enum:"fat,solids"`
	Target   float64 `json:"target" minimum:"0" maximum:"100" doc:"% by mass"`
	VolumeML float64 `json:"volumeML" minimum:"1" maximum:"100000"`
}

// Blended is how much of each.
type Blended struct {
	AML       float64 `json:"aML"`
	BML       float64 `json:"bML"`
	AG        float64 `json:"aG"`
	BG        float64 `json:"bG"`
	FatPct    float64 `json:"fatPct"`
	SolidsPct float64 `json:"solidsPct"`
}

func (s Service) Blend(in ToBlend) (Blended, error) {
	ways, err := s.Setup()
	if err != nil {
		return Blended{}, err
	}
	var two [2]*ingredient.Ingredient
	for n, name := range []string{in.A, in.B} {
		field := []string{"a", "b"}[n]
		i, ok := ways.Lines().Name(name)
		if !ok || i.Role != ingredient.Liquid || i.Bare {
			return Blended{}, fault.New(field, name, "unknown-liquid")
		}
		two[n] = i
	}
	out, err := serve.BlendTwo(two[0], two[1], serve.BlendOf(in.Of), in.Target, in.VolumeML)
	return Blended{out.AML, out.BML, out.AG, out.BG, out.FatPct, out.SolidsPct}, err
}

// Trial is a cup sweetened or spiced first.
type Trial struct {
	OnBench
	CupML    float64  `json:"cupML" minimum:"1" maximum:"5000"`
	Lines    []string `json:"lines" maxItems:"20" doc:"what went into the cup, a line each"`
	Returned bool     `json:"returned" doc:"the cup is poured back"`
}

// Tried is what the rest of the batch takes.
type Tried struct {
	Recipe    kitchen.Recipe `json:"recipe" doc:"the drink with the additions at its full size"`
	Reckoning Reckoning      `json:"reckoning"`
	RestML    float64        `json:"restML"`
	AfterML   float64        `json:"afterML" doc:"in the jug when all is done, as far as the cup goes back"`
	Additions []Addition     `json:"additions"`
}

// Addition is what one line of the trial comes to.
type Addition struct {
	Name       string  `json:"name"`
	InCupG     float64 `json:"inCupG"`
	ToRestG    float64 `json:"toRestG"`
	ToRest     string  `json:"toRest"`
	WholeBatch string  `json:"wholeBatch"`
}

func (s Service) TryCup(in Trial) (Tried, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Tried{}, err
	}
	lines, err := b.readLines(in.Lines, "lines")
	if err != nil {
		return Tried{}, err
	}
	if len(lines) == 0 {
		return Tried{}, fault.New("lines", "", "trial-is-empty")
	}
	tried, err := solve.TryCup(&b.drink, solve.Trial{CupML: in.CupML, Lines: lines, Returned: in.Returned})
	if err != nil {
		return Tried{}, err
	}
	out := Tried{RestML: tried.RestML, AfterML: tried.AfterML, Additions: make([]Addition, len(tried.Additions))}
	for n, a := range tried.Additions {
		out.Additions[n] = Addition(a)
	}
	out.Recipe, out.Reckoning, err = b.changed(&tried.Drink)
	return out, err
}

// readLines reads lines as people write them, leaving out blank ones.
func (b *bench) readLines(texts []string, field string) ([]recipe.Line, error) {
	var lines []recipe.Line
	for n, text := range texts {
		if strings.TrimSpace(text) == "" {
			continue
		}
		read, err := b.ways.Lines().Read(text)
		if err != nil {
			return nil, fault.In(fmt.Sprintf("%s[%d]", field, n), err)
		}
		if !read.IsRead() {
			return nil, fault.New(fmt.Sprintf("%s[%d]", field, n), text, "names-nothing")
		}
		lines = append(lines, read.Lines...)
	}
	return lines, nil
}

// Split is a base to be divided.
type Split struct {
	OnBench
	Portions []kitchen.Portion `json:"portions" maxItems:"12"`
}

// SplitDrink is one of the finished drinks.
type SplitDrink struct {
	Name      string         `json:"name"`
	Recipe    kitchen.Recipe `json:"recipe"`
	Reckoning Reckoning      `json:"reckoning"`
}

func (s Service) Split(in Split) ([]SplitDrink, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return nil, err
	}
	portions := make([]recipe.Portion, len(in.Portions))
	for n, p := range in.Portions {
		lines, err := b.readLines(p.Lines, fmt.Sprintf("portions[%d].lines", n))
		if err != nil {
			return nil, err
		}
		portions[n] = recipe.Portion{Name: strings.TrimSpace(p.Name), ML: p.ML, Lines: lines}
	}
	drinks, err := serve.Split(&b.drink, portions)
	if err != nil {
		return nil, err
	}
	out := make([]SplitDrink, len(drinks))
	for n := range drinks {
		out[n].Name = drinks[n].Name
		if out[n].Recipe, out[n].Reckoning, err = b.changed(&drinks[n]); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// Cup is how the drink is served.
type Cup struct {
	OnBench
	Into    string  `json:"into" enum:"coffee,water,milk,ice"`
	SpoonML float64 `json:"spoonML" minimum:"0" maximum:"5000" doc:"of the drink; 0 for a serving"`
	CupML   float64 `json:"cupML" minimum:"0" maximum:"5000" doc:"of what it goes into"`
	CupC    float64 `json:"cupC" minimum:"0" maximum:"100" doc:"its temperature, °C; of the drink where it is served over ice"`
	Acid    bool    `json:"acid" doc:"a light, bright coffee"`
	AgeDays float64 `json:"ageDays" minimum:"0" maximum:"60" doc:"of the drink"`
}

// InTheCup is what the drink does there.
type InTheCup struct {
	SpoonML      float64  `json:"spoonML"`
	TotalML      float64  `json:"totalML"`
	SweetG       float64  `json:"sweetG" doc:"per 100 mL"`
	SweetInAllG  float64  `json:"sweetInAllG"`
	FatPct       float64  `json:"fatPct"`
	FreeSugarsG  float64  `json:"freeSugarsG"`
	EnergyKcal   float64  `json:"energyKcal"`
	FinalC       float64  `json:"finalC"`
	DropC        float64  `json:"dropC"`
	MeltedG      float64  `json:"meltedG"`
	SplitRisk    string   `json:"splitRisk"`
	SplitReasons []string `json:"splitReasons"`
}

func (s Service) Serve(in Cup) (InTheCup, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return InTheCup{}, err
	}
	r, err := b.drink.Reckon()
	if err != nil {
		return InTheCup{}, err
	}
	c, err := serve.Serve(r, serve.Cup{
		Into: serve.Into(in.Into), SpoonML: in.SpoonML, CupML: in.CupML, CupC: in.CupC,
		Acid: in.Acid, AgeDays: in.AgeDays,
	})
	return InTheCup{
		c.SpoonML, c.TotalML, c.SweetG, c.SweetInAllG, c.FatPct, c.FreeSugarsG, c.EnergyKcal, c.FinalC, c.DropC, c.MeltedG, c.SplitRisk,
		wording.Texts(c.SplitReasons),
	}, err
}

// Figures are what a label says of 100 mL.
type Figures struct {
	FatG     float64 `json:"fatG" minimum:"0" maximum:"100"`
	SugarsG  float64 `json:"sugarsG" minimum:"0" maximum:"100"`
	ProteinG float64 `json:"proteinG" minimum:"0" maximum:"100"`
}

// ToMatch are figures, and a recipe that gives the ways of working.
type ToMatch struct {
	Figures
	Recipe kitchen.Recipe `json:"recipe"`
}

// Matched is a drink that comes near to the figures.
type Matched struct {
	Name    string         `json:"name"`
	Recipe  kitchen.Recipe `json:"recipe"`
	Lines   []string       `json:"lines"`
	Reached Figures        `json:"reached"`
	Unmet   []string       `json:"unmet"`
}

func (s Service) Match(in ToMatch) ([]Matched, error) {
	like := in.Recipe
	like.Lines = []kitchen.Line{}
	b, err := s.onBench("", like)
	if err != nil {
		return nil, err
	}
	found, err := solve.Match(solve.Figures(in.Figures), b.drink, b.ways.Catalogue)
	if err != nil {
		return nil, err
	}
	out := make([]Matched, len(found))
	for n, m := range found {
		out[n] = Matched{
			Name: m.Drink.Lines[0].Name, Recipe: b.typed.Changed(&b.drink, &m.Drink), Lines: []string{},
			Reached: Figures(m.Reached), Unmet: wording.Texts(m.Unmet),
		}
		for _, l := range out[n].Recipe.Lines {
			out[n].Lines = append(out[n].Lines, l.Amount+" "+l.Ingredient)
		}
	}
	return out, nil
}

// ToCompare are two drinks.
type ToCompare struct {
	A Compared `json:"a"`
	B Compared `json:"b"`
}

// Compared is a drink by its id and version; version 0 is the draft.
type Compared struct {
	DrinkID int64 `json:"drinkID" minimum:"1"`
	Version int   `json:"version" minimum:"0"`
}

// Comparison is both, side by side per 100 mL, what differs first.
type Comparison struct {
	AName string           `json:"aName"`
	BName string           `json:"bName"`
	Rows  []ComparedFigure `json:"rows"`
}

// ComparedFigure is one figure of both. Words stand where there is no figure.
type ComparedFigure struct {
	Name    string   `json:"name"`
	Unit    string   `json:"unit"`
	A       *float64 `json:"a,omitempty"`
	B       *float64 `json:"b,omitempty"`
	AWords  string   `json:"aWords"`
	BWords  string   `json:"bWords"`
	Differs bool     `json:"differs"`
}

func (s Service) Compare(in ToCompare) (Comparison, error) {
	aName, a, err := s.reckonKept("a", in.A)
	if err != nil {
		return Comparison{}, err
	}
	bName, b, err := s.reckonKept("b", in.B)
	if err != nil {
		return Comparison{}, err
	}
	out := Comparison{AName: aName, BName: bName, Rows: []ComparedFigure{}}
	for _, row := range reckon.Compare(a, b) {
		figure := ComparedFigure{Name: wording.Text(row.Name), Unit: row.Unit, AWords: wording.Text(row.AText), BWords: wording.Text(row.BText), Differs: row.Differs}
		if row.AKnown {
			figure.A = &row.A
		}
		if row.BKnown {
			figure.B = &row.B
		}
		out.Rows = append(out.Rows, figure)
	}
	return out, nil
}

// reckonKept reckons a drink's draft, or one of its versions.
func (s Service) reckonKept(field string, c Compared) (string, *reckon.Reckoning, error) {
	kept, err := s.store.Drink(c.DrinkID)
	if err != nil {
		return "", nil, err
	}
	f, name := kept.Draft, wording.Say("drink-now", kept.Name)
	if c.Version > 0 {
		found := false
		for _, v := range kept.Versions {
			if v.Number == c.Version {
				f, name, found = v.Recipe, wording.Say("drink-version", kept.Name, v.Number), true
			}
		}
		if !found {
			return "", nil, fault.New(field, fmt.Sprint(c.Version), "unknown-version", kept.Name)
		}
	}
	b, err := s.onBench(kept.Name, f)
	if err != nil {
		return "", nil, err
	}
	r, err := b.drink.Reckon()
	if err != nil {
		return "", nil, err
	}
	if r.Drink == nil {
		return "", nil, fault.New(field, name, "nothing-to-compare")
	}
	return name, r, nil
}

// Exported is the drink in open formats.
type Exported struct {
	JSONLD      string   `json:"jsonLD"`
	Markdown    string   `json:"markdown"`
	Name        string   `json:"name"`
	Yield       string   `json:"yield"`
	Ingredients []string `json:"ingredients"`
	Grams       []string `json:"grams" doc:"of each; empty where it is not known"`
	Steps       []string `json:"steps"`
	Notes       []string `json:"notes"`
}

func (s Service) Export(in OnBench) (Exported, error) {
	b, err := s.onBench(in.Name, in.Recipe)
	if err != nil {
		return Exported{}, err
	}
	r, err := b.drink.Reckon()
	if err != nil {
		return Exported{}, err
	}
	sheet := exchange.SheetOf(&b.drink, r)
	jsonLD, err := sheet.JSONLD()
	return Exported{
		JSONLD: string(jsonLD), Markdown: sheet.Markdown(),
		Name: sheet.Name, Yield: sheet.Yield, Ingredients: app.OrEmpty(sheet.Ingredients), Grams: app.OrEmpty(sheet.Grams), Steps: app.OrEmpty(sheet.Steps), Notes: app.OrEmpty(sheet.Notes),
	}, err
}
