package main

import (
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math"
	"os"
	"strconv"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/solve"
	"plushladle/internal/exchange"
	"plushladle/internal/kitchen"
	"plushladle/internal/wording"
)

// reckonCommand reckons one drink, made the way its flags say.
type reckonCommand struct {
	System    string        `default:"us" help:"cups, spoons and fluid ounces: us, metric, au or imperial"`
	Kind      string        `help:"kind of drink: milk, creamer, cream, horchata, nog, concentrate, chocolate, brewed or cooler (guessed, and said)"`
	Strain    string        `default:"bag" help:"strainer: ${strainers}"`
	Blend     time.Duration `help:"blending time, such as 90s (by base)"`
	Blender   string        `default:"regular" help:"blender: regular or high-speed"`
	WaterTemp float64       `help:"temperature of the blending liquid in °C (from the line, else 15)"`
	HotFill   bool          `help:"bottled at 85 °C or more"`
	Process   string        `help:"JSON file with your changes to the method"`
	Coarse    bool          `help:"ground dry and steeped cold, not blended fine"`
	Heat      string        `help:"after straining: none, warm, under-boil, simmer or boil (by base: soy simmers 10 minutes)"`
	Cook      time.Duration `help:"how long at that heat, such as 10m"`
	Covered   bool          `help:"the pan is covered"`
	Pan       string        `help:"pan width, such as 20cm (one that fits)"`
	BrewUsed  string        `help:"share of the brew that goes in, such as 50% (all)"`
	Serving   string        `help:"serving size, such as 240ml (by kind)"`
	Make      string        `help:"scale to this volume of drink, such as 1.5l"`
	Servings  float64       `help:"scale to this many servings"`
	Base      string        `help:"scale to this much dry base, such as 180g"`
	Times     float64       `help:"scale by this factor"`
	Sweetness float64       `help:"adjust the sweetener to this, in g of sucrose equivalents per 100 mL"`
	Fat       float64       `help:"adjust the added fat to this, in % by mass"`
	Swap      swaps         `sep:"none" help:"swap at equal sweetness, \"white sugar=maple syrup\" (repeatable)"`
	School    string        `default:"cautious" help:"storage rule: cautious or customary"`
	Fridge    float64       `default:"4" help:"fridge temperature in °C"`
	Kitchen   float64       `default:"20" help:"kitchen temperature in °C"`
	Scoops    string        `help:"your spoons and cups, \"1 cup,1/2 cup,1 tbsp\": amounts are given in them (all)"`
	JSON      bool          `name:"json" help:"print one JSON object instead of the table"`
	Strict    bool          `help:"fail on a line that is not understood"`
	File      string        `arg:"" help:"the ingredients, one per line, or a schema.org Recipe; - for standard input"`

	given flags
}

// swaps are those asked for, each "white sugar=maple syrup".
type swaps []string

func (f *reckonCommand) run(given flags, s streams) int {
	f.given = given
	drink, notes, err := f.drink()
	if err != nil {
		return s.refuse("reckon", err)
	}
	data, err := readFile(f.File, s.in)
	if err != nil {
		return s.refuse("reckon", err)
	}
	written, err := exchange.ReadRecipe(data, reading.Reader{Catalogue: ingredient.Standard(), System: drink.System})
	if err != nil {
		return s.refuse("reckon", fault.In(f.File, err))
	}
	return f.reckon(drink, written, notes, s)
}

// drink is a drink without lines, made the way the flags say, and notes on
// what is not computed.
func (f *reckonCommand) drink() (reckon.Drink, []string, error) {
	d := reckon.New("")
	var errs [12]error
	d.System, errs[0] = quantity.ParseSystem(f.System)
	d.Method.Strainer, errs[1] = process.ParseStrainer(f.Strain)
	d.School, errs[2] = keep.ParseSchool(f.School)
	d.ServingML, errs[3] = f.volume("serving", f.Serving, d.System)
	d.Size, errs[4] = f.size(d.System)
	d.FridgeC, errs[5] = f.Fridge, f.inRange("fridge", f.Fridge, -2, 30, "°C")
	errs[6] = f.targets()
	errs[7] = f.Swap.check()
	d.Kind, errs[8] = recipe.ParseKind(f.Kind)
	errs[9] = f.method(&d.Method)
	d.Drawer, errs[10] = f.drawer(d.System)
	d.Changes, errs[11] = f.changes()
	for n, name := range []string{"--system", "--strain", "--school", "--serving", "", "", "", "--swap", "--kind", "", "--scoops", "--process"} {
		if errs[n] != nil && name != "" {
			errs[n] = fault.In(name, errs[n])
		}
	}
	return d, []string{"cost is not worked out without pantry prices"}, firstError(errs[:])
}

const mostProcessBytes = 1 << 20

// changes are the cook's changes to the process, as the file of --process holds
// them.
func (f *reckonCommand) changes() ([]process.Change, error) {
	if !f.given["process"] {
		return nil, nil
	}
	file, err := os.Open(f.Process)
	if err != nil {
		return nil, fault.New("process", f.Process, "process-unreadable")
	}
	defer func() { _ = file.Close() }()
	var written []kitchen.StepChange
	decoder := json.NewDecoder(io.LimitReader(file, mostProcessBytes))
	decoder.DisallowUnknownFields()
	if err := decoder.Decode(&written); err != nil {
		return nil, fault.New("process", f.Process, "process-not-changes")
	}
	out := make([]process.Change, len(written))
	for n, c := range written {
		out[n] = c.Change()
		if err := out[n].Check(); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// drawer holds the measures that --scoops names; nil for all there are.
func (f *reckonCommand) drawer(system quantity.System) (*quantity.Drawer, error) {
	if !f.given["scoops"] {
		return nil, nil
	}
	named := strings.Split(f.Scoops, ",")
	for n := range named {
		named[n] = strings.TrimSpace(named[n])
	}
	drawer, err := quantity.Reader{}.NewDrawer(named, system, 0)
	return &drawer, err
}

// method is how it is made, as far as the flags say.
func (f *reckonCommand) method(m *process.Method) error {
	m.Seconds, m.Minutes = f.Blend.Seconds(), f.Cook.Minutes()
	m.WaterC, m.RoomC, m.Coarse, m.Covered, m.HotFill = f.WaterTemp, f.Kitchen, f.Coarse, f.Covered, f.HotFill
	errs := []error{
		f.inRange("blend", m.Seconds, 0, 600, "s"), f.inRange("cook", m.Minutes, 0, 600, "minutes"),
		f.inRange("water-temp", f.WaterTemp, 0, 100, "°C"), f.inRange("kitchen", f.Kitchen, -10, 60, "°C"),
	}
	switch f.Blender {
	case "regular":
	case "high-speed":
		m.HighSpeed = true
	default:
		errs = append(errs, fault.New("--blender", f.Blender, "unknown-blender"))
	}
	var err error
	if f.given["heat"] {
		m.Heat, err = process.ParseHeat(f.Heat)
		if f.Heat == "" {
			err = fault.New("heat", "", "heat-empty")
		}
		errs = append(errs, fault.In("--heat", err))
	}
	if f.given["pan"] {
		m.PanCM, err = suffixed("--pan", f.Pan, "cm", 5, 80)
		errs = append(errs, err)
	}
	if f.given["brew-used"] {
		m.BrewUsed, err = suffixed("--brew-used", f.BrewUsed, "%", 1, 100)
		m.BrewUsed /= 100
		errs = append(errs, err)
	}
	return firstError(errs)
}

// suffixed reads a number with its unit, which may be left out.
func suffixed(flag, text, unit string, low, high float64) (float64, error) {
	v, err := strconv.ParseFloat(strings.TrimSpace(strings.TrimSuffix(strings.TrimSpace(text), unit)), 64)
	if err != nil || !(v >= low && v <= high) {
		return 0, fault.New(flag, text, "flag-out-of-range", low, unit, high, unit)
	}
	return v, nil
}

func firstError(errs []error) error {
	for _, err := range errs {
		if err != nil {
			return err
		}
	}
	return nil
}

func (f *reckonCommand) volume(name, text string, system quantity.System) (float64, error) {
	if !f.given[name] {
		return 0, nil
	}
	return f.measure(name, text, "a volume such as 240ml", func(a quantity.Amount) (float64, bool) { return a.Volume(system) })
}

func (f *reckonCommand) measure(name, text, accepts string, of func(quantity.Amount) (float64, bool)) (float64, error) {
	a, err := quantity.ParseAmount(text)
	if err != nil {
		return 0, fault.In("--"+name, err)
	}
	v, ok := of(a)
	if !ok {
		return 0, fault.New("--"+name, text, "flag-not-understood", accepts, accepts)
	}
	return v, nil
}

func (f *reckonCommand) size(system quantity.System) (recipe.Size, error) {
	asked := []string{}
	for _, name := range []string{"make", "servings", "base", "times"} {
		if f.given[name] {
			asked = append(asked, "--"+name)
		}
	}
	if len(asked) > 1 {
		return recipe.Size{}, fault.New(asked[1], "", "flags-exclude", asked[0])
	}
	size := recipe.Size{}
	var err error
	switch {
	case f.given["make"]:
		size.By = recipe.ByVolume
		size.Value, err = f.volume("make", f.Make, system)
	case f.given["servings"]:
		size = recipe.Size{By: recipe.ByServings, Value: f.Servings}
	case f.given["times"]:
		size = recipe.Size{By: recipe.ByTimes, Value: f.Times}
	case f.given["base"]:
		size.By = recipe.ByBase
		size.Value, err = f.measure("base", f.Base, "a mass such as 180g", func(a quantity.Amount) (float64, bool) { return a.Mass(system) })
	}
	if err == nil && len(asked) == 1 {
		err = fault.In(asked[0], size.Check())
	}
	return size, err
}

func (f *reckonCommand) inRange(name string, v, low, high float64, unit string) error {
	if v >= low && v <= high {
		return nil
	}
	return fault.New("--"+name, fmt.Sprint(v), "size-flag-out-of-range", low, high, unit)
}

func (f *reckonCommand) targets() error {
	return errors.Join(
		f.inRange("sweetness", f.Sweetness, 0, 100, "g per 100 mL"),
		f.inRange("fat", f.Fat, 0, 90, "%"),
	)
}

func (s swaps) check() error {
	for _, swap := range s {
		from, to, ok := strings.Cut(swap, "=")
		if !ok {
			return fault.New("swap", swap, "not-a-swap")
		}
		for _, name := range []string{from, to} {
			if _, ok := reading.Standard().Name(name); !ok {
				return fault.New("swap", name, "swap-not-in-catalogue")
			}
		}
	}
	return nil
}

// solve makes the swaps and then brings the drink to the targets; the size
// comes after, so that both hold. texts are the lines as written, notes what
// is worth knowing of what was done.
func (f *reckonCommand) solve(d *reckon.Drink, texts []string) (solved reckon.Drink, lines, notes []string, err error) {
	solved, lines = *d, texts
	solved.Size = recipe.Size{}
	if r, err := solved.Reckon(); err != nil || r.Drink == nil {
		return *d, texts, nil, err // nothing to solve; a refused base is said by its caution
	}
	for _, swap := range f.Swap {
		said, err := swapAll(&solved, swap)
		if err != nil {
			return solved, nil, nil, err
		}
		notes = append(notes, said...)
	}
	turn := solve.Turn{To: map[reckon.DialName]float64{}}
	if f.given["sweetness"] {
		turn.To[reckon.Sweetness] = f.Sweetness
	}
	if f.given["fat"] {
		turn.To[reckon.Fat] = f.Fat
	}
	if len(turn.To) > 0 {
		said, err := turnTo(&solved, turn)
		if err != nil {
			return solved, nil, nil, err
		}
		notes = append(notes, said...)
	}
	solved.Size = d.Size
	return solved, textsOf(&solved, texts), notes, nil
}

// swapAll swaps every line of an ingredient, "white sugar=maple syrup".
func swapAll(d *reckon.Drink, swap string) ([]string, error) {
	from, to, _ := strings.Cut(swap, "=")
	of, _ := reading.Standard().Name(from)
	by, _ := reading.Standard().Name(to)
	var notes []string
	for place := 0; place < len(d.Lines); place++ {
		if d.Lines[place].Ingredient != of {
			continue
		}
		swapped, err := solve.Swap(d, place, by, "")
		if err != nil {
			return nil, fault.In("--swap", err)
		}
		*d = swapped.Drink
		notes = append(notes, fmt.Sprintf("%s swapped for %s at %s", of.Name, by.Name, wording.SwapWay(swapped.How)))
		for _, change := range swapped.Changes {
			notes = append(notes, "swap: "+wording.Text(change))
		}
	}
	if len(notes) == 0 {
		notes = append(notes, fmt.Sprintf("--swap: there is no %s in the drink", of.Name))
	}
	return notes, nil
}

// turnTo solves for the targets; one that cannot be solved at all is said and
// the drink left as it is.
func turnTo(d *reckon.Drink, turn solve.Turn) ([]string, error) {
	before := len(d.Lines)
	turned, err := solve.Dials(d, turn)
	if err != nil {
		return []string{"the targets were not reached: " + wording.Error(err)}, nil
	}
	*d = turned.Drink
	var notes []string
	for _, line := range d.Lines[before:] {
		notes = append(notes, fmt.Sprintf("%s of %s was added to reach the target", line.Amount, line.Name))
	}
	for _, m := range turned.Missed {
		notes = append(notes, fmt.Sprintf("%s of %.4g cannot be reached: %s; it is set to %.4g, the nearest", m.Dial, m.Wanted, m.Why, m.Nearest))
	}
	return notes, nil
}

// textsOf are the lines' texts: as written where a line still stands in its
// place, anew where lines were added.
func textsOf(d *reckon.Drink, texts []string) []string {
	lines := make([]string, len(d.Lines))
	for n, l := range d.Lines {
		if n < len(texts) && len(d.Lines) >= len(texts) {
			lines[n] = texts[n]
			continue
		}
		lines[n] = strings.TrimSpace(l.Amount.String() + " " + l.Name)
	}
	return lines
}

func readFile(name string, stdin io.Reader) ([]byte, error) {
	in := stdin
	if name != "-" {
		file, err := os.Open(name)
		if err != nil {
			return nil, fault.New(name, "", "file-unreadable", errors.Unwrap(err).Error())
		}
		defer func() { _ = file.Close() }()
		in = file
	}
	data, err := io.ReadAll(io.LimitReader(in, exchange.MaxRecipeBytes+1))
	if err != nil {
		return nil, fault.New(name, "", "file-too-large")
	}
	return data, nil
}

// readLines are the lines of a page as they go into the drink, and how each was read. One
// written line may be several.
func readLines(page reading.Page) (lines []recipe.Line, read []exchange.Read, notes []string) {
	for n, item := range page.Items {
		if item.Problem != nil {
			notes = append(notes, "not counted: "+wording.Error(item.Problem))
		}
		for _, l := range item.Reading.Lines {
			lines = append(lines, l)
			read = append(read, exchange.Read{Text: item.Text, Item: n, Reading: &page.Items[n].Reading})
		}
	}
	return lines, read, notes
}

func (f *reckonCommand) reckon(d reckon.Drink, page reading.Page, notes []string, s streams) int {
	d.Name = page.Title
	lines, read, said := readLines(page)
	notes = append(notes, said...)
	texts := make([]string, len(lines))
	understood := 0
	for n, line := range lines {
		texts[n] = read[n].Text
		if line.Ingredient != nil {
			understood++
		} else if f.Strict {
			fmt.Fprintf(s.err, "plushladle reckon: line %q is not understood; correct it, or leave out --strict\n", texts[n])
			return exitWrong
		}
		d.Lines = append(d.Lines, line)
	}
	if understood == 0 {
		fmt.Fprintln(s.err, "plushladle reckon: no line was understood; write one ingredient per line, such as: 1 cup almonds")
		return exitWrong
	}
	solved, texts, said, err := f.solve(&d, texts)
	if err != nil {
		return s.refuse("reckon", err)
	}
	r, err := solved.Reckon()
	if err != nil { // a size that these lines cannot reach; its form was checked with the flags
		said = append(said, "the size was not reached, so the amounts are as written: "+fieldless(err))
		solved.Size = recipe.Size{}
		if r, err = solved.Reckon(); err != nil {
			return s.refuse("reckon", err)
		}
	}
	out := exchange.Export(&solved, texts, r, append(notes, said...))
	out.Explain(page, read)
	if f.JSON {
		return printJSON(s, out)
	}
	printTable(s.out, out)
	return exitOK
}

// fieldless is an error without the name of the core's own field.
func fieldless(err error) string {
	var field *fault.Error
	if errors.As(err, &field) {
		return wording.Fault(field)
	}
	return err.Error()
}

func printJSON(s streams, out exchange.Reckoning) int {
	encoder := json.NewEncoder(s.out)
	encoder.SetIndent("", "  ")
	encoder.SetEscapeHTML(false)
	if err := encoder.Encode(out); err != nil {
		s.refuse("reckon", err)
		return exitWrong
	}
	return exitOK
}

func printTable(w io.Writer, out exchange.Reckoning) {
	if out.Name != "" {
		fmt.Fprintf(w, "%s\n\n", out.Name)
	}
	for _, l := range out.Lines {
		fmt.Fprintln(w, tableLine(l))
	}
	fmt.Fprintln(w)
	if out.Drink != nil {
		printFigures(w, out)
	}
	for _, c := range out.Cautions {
		mark := "  "
		if c.Raised {
			mark = "! "
		}
		fmt.Fprintf(w, "%s%s%s\n", mark, c.Text, held(c))
	}
	for _, a := range out.Assumptions {
		fmt.Fprintf(w, "  assumed: %s\n", a)
	}
}

// held is a caution's figure against its limit, " (97 of 600 µg)".
func held(c exchange.Caution) string {
	if c.Value == nil || c.Unit == nil {
		return ""
	}
	if c.Limit == nil {
		return fmt.Sprintf(" (%s %s)", brief(*c.Value), *c.Unit)
	}
	return fmt.Sprintf(" (%s of %s %s)", brief(*c.Value), brief(*c.Limit), *c.Unit)
}

// brief writes whole figures, and two digits of those below ten.
func brief(v float64) string {
	if math.Abs(v) >= 10 {
		return fmt.Sprintf("%.0f", v)
	}
	return fmt.Sprintf("%.2g", v)
}

func tableLine(l exchange.Line) string {
	if !l.Understood {
		return fmt.Sprintf("  ?  %s  (%s)", l.Text, l.Note)
	}
	if l.Grams == nil {
		return fmt.Sprintf("  %-34s %16s", *l.Ingredient, "open")
	}
	return fmt.Sprintf("  %-34s %16s %9.1f g", *l.Ingredient, *l.Measure, *l.Grams)
}

// without names the lines that are not in the figures.
func without(missing []string) string {
	if len(missing) == 0 {
		return ""
	}
	return ", without " + strings.Join(missing, "; ")
}

func printFigures(w io.Writer, out exchange.Reckoning) {
	row := func(name, format string, args ...any) {
		fmt.Fprintf(w, "  %-12s %s\n", name, fmt.Sprintf(format, args...))
	}
	row("drink", "%.0f mL %s, likely %.0f to %.0f%s", out.Drink.ML, *out.Kind, out.Drink.LowML, out.Drink.HighML, without(out.Missing))
	row("pulp", "%.0f g", *out.PulpG)
	if out.Ratio != nil {
		row("ratio", "1 : %.2g by cups, 1 : %.2g by weight", out.Ratio.ByVolume, out.Ratio.ByMass)
	}
	row("sweetness", "%.1f g/100 mL", out.Per100mL.SucroseEqG)
	row("fat", "%.1f %%", *out.FatPct)
	row("servings", "%.1f of %.0f mL", math.Floor(out.Servings.Count*10)/10, out.Servings.ML)
	row("a serving", "%.0f kcal, %.1f g protein, %.1f g fat, %.1f g sugars (%.1f g free)", out.PerServing.Kcal, out.PerServing.ProteinG, out.PerServing.FatG, out.PerServing.SugarsG, out.PerServing.FreeSugarsG)
	if out.Keeps.CautiousDays != nil {
		row("keeps", "%.1f days by the cautious rule, %.1f by the traditional rule; frozen %d", *out.Keeps.CautiousDays, *out.Keeps.CustomaryDays, out.Keeps.FreezerDays)
	}
	for _, reason := range out.Keeps.Reasons {
		row("", "%s", reason)
	}
	if out.Soak != nil {
		row("soak", "%s %g h (%g to %g)", out.Soak.Ingredient, out.Soak.IdealH, out.Soak.MinH, out.Soak.MaxH)
	}
	row("contains", "%s", strings.Join(out.Allergens, ", "))
}
