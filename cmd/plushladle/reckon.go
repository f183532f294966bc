package main

import (
	"encoding/json"
	"errors"
	"flag"
	"fmt"
	"io"
	"math"
	"os"
	"strconv"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/internal/exchange"
	"plushladle/internal/kitchen"
)

// reckonFlags are the flags as typed.
type reckonFlags struct {
	system, strain, school    string
	serving, makeVolume, base string
	servings, times           float64
	sweetness, fat, fridge    float64
	swaps                     swaps
	json, strict              bool
	kind, blender, heat       string
	pan, brewUsed, scoops     string
	process                   string
	blend, cook               time.Duration
	waterTemp, kitchen        float64
	coarse, covered, hotFill  bool
	given                     map[string]bool
}

// swaps collects a repeated --swap.
type swaps []string

func (s *swaps) String() string { return strings.Join(*s, ", ") }

func (s *swaps) Set(v string) error {
	*s = append(*s, v)
	return nil
}

func reckon(args []string, stdin io.Reader, stdout, stderr io.Writer) int {
	flags, file, err := parseReckonFlags(args, stderr)
	if errors.Is(err, flag.ErrHelp) {
		return exitOK
	}
	if err != nil {
		return fail(stderr, err)
	}
	drink, notes, err := flags.drink()
	if err != nil {
		return fail(stderr, err)
	}
	data, err := readFile(file, stdin)
	if err != nil {
		return fail(stderr, err)
	}
	recipe, err := exchange.ReadRecipe(data)
	if err != nil {
		return fail(stderr, fault.In(file, err))
	}
	return reckonRecipe(flags, drink, recipe, notes, stdout, stderr)
}

func fail(stderr io.Writer, err error) int {
	fmt.Fprintln(stderr, "plushladle reckon:", strings.ReplaceAll(err.Error(), "\n", " "))
	return exitUsage
}

func parseReckonFlags(args []string, stderr io.Writer) (*reckonFlags, string, error) {
	f := &reckonFlags{given: map[string]bool{}}
	set := flag.NewFlagSet("reckon", flag.ContinueOnError)
	set.SetOutput(io.Discard)
	set.StringVar(&f.system, "system", "us", "what a cup, spoon, fluid ounce is: us, metric, au or imperial")
	set.StringVar(&f.strain, "strain", "bag", "how it is strained: bag, cloth, gentle, passes, sieve, sieve-pushed, sieve-cloth, none or juicer")
	set.StringVar(&f.kind, "kind", "", "what kind of drink it is: milk, creamer, cream, horchata, nog, concentrate, chocolate, brewed or cooler (default guessed, and said)")
	set.DurationVar(&f.blend, "blend", 0, "how long in the blender, such as 90s (default by base)")
	set.StringVar(&f.blender, "blender", "regular", "in which blender: regular or high-speed")
	set.Float64Var(&f.waterTemp, "water-temp", 0, "temperature of the grinding liquid in °C (default by the words of the line, else 15)")
	set.StringVar(&f.process, "process", "", "a file with the cook's changes to the process, as JSON")
	set.BoolVar(&f.coarse, "coarse", false, "crushed dry and infused cold, not ground fine")
	set.StringVar(&f.heat, "heat", "", "after straining: none, warm, under-boil, simmer or boil (default by base: soy simmers 10 minutes)")
	set.DurationVar(&f.cook, "cook", 0, "how long at that heat, such as 10m")
	set.BoolVar(&f.covered, "covered", false, "the pan is covered")
	set.StringVar(&f.pan, "pan", "", "the pan's diameter, such as 20cm (default one that suits)")
	set.BoolVar(&f.hotFill, "hot-fill", false, "bottled at 85 °C or more")
	set.StringVar(&f.brewUsed, "brew-used", "", "share of the brewed part that goes in, such as 50%")
	set.StringVar(&f.scoops, "scoops", "", `the measures there are, "1 cup,1/2 cup,1 tbsp": amounts come in them (default all)`)
	set.Float64Var(&f.kitchen, "kitchen", usualKitchenC, "kitchen temperature in °C")
	set.StringVar(&f.serving, "serving", "", "serving size, such as 240ml (default by kind)")
	set.StringVar(&f.makeVolume, "make", "", "scale to this volume of drink, such as 1.5l")
	set.Float64Var(&f.servings, "servings", 0, "scale to this many servings")
	set.StringVar(&f.base, "base", "", "scale to this much dry base, such as 180g")
	set.Float64Var(&f.times, "times", 0, "scale by this factor")
	set.Float64Var(&f.sweetness, "sweetness", 0, "solve the sweetener for this, in g of sucrose equivalents per 100 mL")
	set.Float64Var(&f.fat, "fat", 0, "solve the added fat for this, in % by mass")
	set.Var(&f.swaps, "swap", `swap at equal sweetness, "white sugar=maple syrup" (repeatable)`)
	set.StringVar(&f.school, "school", "cautious", "storage-life school: cautious or customary")
	set.Float64Var(&f.fridge, "fridge", formula.DefaultFridgeC, "fridge temperature in °C")
	set.BoolVar(&f.json, "json", false, "print one JSON object instead of the table")
	set.BoolVar(&f.strict, "strict", false, "fail on a line that is not understood")
	if err := set.Parse(args); err != nil {
		if errors.Is(err, flag.ErrHelp) {
			fmt.Fprintln(stderr, "usage: plushladle reckon [flags] FILE|-")
			set.SetOutput(stderr)
			set.PrintDefaults()
		}
		return nil, "", err
	}
	set.Visit(func(v *flag.Flag) { f.given[v.Name] = true })
	if set.NArg() != 1 {
		return nil, "", fault.New("file", "", "is missing or there is more than one", "name one file, or - for standard input, after the flags")
	}
	return f, set.Arg(0), nil
}

// drink is a drink without lines, made the way the flags say, and notes on
// what is not computed.
func (f *reckonFlags) drink() (formula.Drink, []string, error) {
	d := formula.New("")
	var errs [12]error
	d.System, errs[0] = quantity.ParseSystem(f.system)
	d.Method.Strainer, errs[1] = process.ParseStrainer(f.strain)
	d.School, errs[2] = keep.ParseSchool(f.school)
	d.ServingML, errs[3] = f.volume("serving", f.serving, d.System)
	d.Size, errs[4] = f.size(d.System)
	d.FridgeC, errs[5] = f.fridge, f.inRange("fridge", f.fridge, -2, 30, "°C")
	errs[6] = f.targets()
	errs[7] = f.swaps.check()
	d.Kind, errs[8] = formula.ParseKind(f.kind)
	errs[9] = f.method(&d.Method)
	d.Drawer, errs[10] = f.drawer(d.System)
	d.Changes, errs[11] = f.changes()
	for n, name := range []string{"--system", "--strain", "--school", "--serving", "", "", "", "--swap", "--kind", "", "--scoops", "--process"} {
		if errs[n] != nil && name != "" {
			errs[n] = fault.In(name, errs[n])
		}
	}
	return d, []string{"cost is not reckoned without pantry prices"}, firstError(errs[:])
}

const mostProcessBytes = 1 << 20

// changes are the cook's changes to the process, as the file of --process holds
// them.
func (f *reckonFlags) changes() ([]process.Change, error) {
	if !f.given["process"] {
		return nil, nil
	}
	file, err := os.Open(f.process)
	if err != nil {
		return nil, fault.New("process", f.process, "cannot be read", "name a file that is there")
	}
	defer func() { _ = file.Close() }()
	var written []kitchen.StepChange
	decoder := json.NewDecoder(io.LimitReader(file, mostProcessBytes))
	decoder.DisallowUnknownFields()
	if err := decoder.Decode(&written); err != nil {
		return nil, fault.New("process", f.process, "holds no changes to a process", `use [{"at": {"kind": "grind", "n": 1}, "do": "set", "params": {"seconds": 60}}]`)
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
func (f *reckonFlags) drawer(system quantity.System) (*quantity.Drawer, error) {
	if !f.given["scoops"] {
		return nil, nil
	}
	named := strings.Split(f.scoops, ",")
	for n := range named {
		named[n] = strings.TrimSpace(named[n])
	}
	drawer, err := quantity.Reader{}.NewDrawer(named, system, 0)
	return &drawer, err
}

// usualKitchenC is a room's temperature, °C.
const usualKitchenC = 20

// method is how it is made, as far as the flags say.
func (f *reckonFlags) method(m *process.Method) error {
	m.Seconds, m.Minutes = f.blend.Seconds(), f.cook.Minutes()
	m.WaterC, m.RoomC, m.Coarse, m.Covered, m.HotFill = f.waterTemp, f.kitchen, f.coarse, f.covered, f.hotFill
	errs := []error{
		f.inRange("blend", m.Seconds, 0, 600, "s"), f.inRange("cook", m.Minutes, 0, 600, "minutes"),
		f.inRange("water-temp", f.waterTemp, 0, 100, "°C"), f.inRange("kitchen", f.kitchen, -10, 60, "°C"),
	}
	switch f.blender {
	case "regular":
	case "high-speed":
		m.HighSpeed = true
	default:
		errs = append(errs, fault.New("--blender", f.blender, "is not a kind of blender", "use regular or high-speed"))
	}
	var err error
	if f.given["heat"] {
		m.Heat, err = process.ParseHeat(f.heat)
		if f.heat == "" {
			err = fault.New("heat", "", "is empty", "use none, warm, under-boil, simmer or boil")
		}
		errs = append(errs, fault.In("--heat", err))
	}
	if f.given["pan"] {
		m.PanCM, err = suffixed("--pan", f.pan, "cm", 5, 80)
		errs = append(errs, err)
	}
	if f.given["brew-used"] {
		m.BrewUsed, err = suffixed("--brew-used", f.brewUsed, "%", 1, 100)
		m.BrewUsed /= 100
		errs = append(errs, err)
	}
	return firstError(errs)
}

// suffixed reads a number with its unit, which may be left out.
func suffixed(flag, text, unit string, low, high float64) (float64, error) {
	v, err := strconv.ParseFloat(strings.TrimSpace(strings.TrimSuffix(strings.TrimSpace(text), unit)), 64)
	if err != nil || !(v >= low && v <= high) {
		return 0, fault.New(flag, text, "is out of range or no number", fmt.Sprintf("use %g%s to %g%s", low, unit, high, unit))
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

func (f *reckonFlags) volume(name, text string, system quantity.System) (float64, error) {
	if !f.given[name] {
		return 0, nil
	}
	return f.measure(name, text, "a volume such as 240ml", func(a quantity.Amount) (float64, bool) { return a.Volume(system) })
}

func (f *reckonFlags) measure(name, text, accepts string, of func(quantity.Amount) (float64, bool)) (float64, error) {
	a, err := quantity.ParseAmount(text)
	if err != nil {
		return 0, fault.In("--"+name, err)
	}
	v, ok := of(a)
	if !ok {
		return 0, fault.New("--"+name, text, "is not "+accepts, "use "+accepts)
	}
	return v, nil
}

func (f *reckonFlags) size(system quantity.System) (formula.Size, error) {
	asked := []string{}
	for _, name := range []string{"make", "servings", "base", "times"} {
		if f.given[name] {
			asked = append(asked, "--"+name)
		}
	}
	if len(asked) > 1 {
		return formula.Size{}, fault.New(asked[1], "", "cannot go with "+asked[0], "use one of --make, --servings, --base and --times")
	}
	size := formula.Size{}
	var err error
	switch {
	case f.given["make"]:
		size.By = formula.ByVolume
		size.Value, err = f.volume("make", f.makeVolume, system)
	case f.given["servings"]:
		size = formula.Size{By: formula.ByServings, Value: f.servings}
	case f.given["times"]:
		size = formula.Size{By: formula.ByTimes, Value: f.times}
	case f.given["base"]:
		size.By = formula.ByBase
		size.Value, err = f.measure("base", f.base, "a mass such as 180g", func(a quantity.Amount) (float64, bool) { return a.Mass(system) })
	}
	if err == nil && len(asked) == 1 {
		err = fault.In(asked[0], size.Check())
	}
	return size, err
}

func (f *reckonFlags) inRange(name string, v, low, high float64, unit string) error {
	if v >= low && v <= high {
		return nil
	}
	return fault.New("--"+name, fmt.Sprint(v), "is out of range", strings.TrimSpace(fmt.Sprintf("use %g to %g %s", low, high, unit)))
}

func (f *reckonFlags) targets() error {
	return errors.Join(
		f.inRange("sweetness", f.sweetness, 0, 100, "g per 100 mL"),
		f.inRange("fat", f.fat, 0, 90, "%"),
	)
}

func (s swaps) check() error {
	for _, swap := range s {
		from, to, ok := strings.Cut(swap, "=")
		if !ok {
			return fault.New("swap", swap, "is not a swap", `use "white sugar=maple syrup"`)
		}
		for _, name := range []string{from, to} {
			if _, ok := ingredient.Standard().Find(name); !ok {
				return fault.New("swap", name, "is not in the catalogue", "name an ingredient that is")
			}
		}
	}
	return nil
}

// solve makes the swaps and then brings the drink to the targets; the size
// comes after, so that both hold. texts are the lines as written, notes what
// is worth knowing of what was done.
func (f *reckonFlags) solve(d *formula.Drink, texts []string) (solved formula.Drink, lines, notes []string, err error) {
	solved, lines = *d, texts
	solved.Size = formula.Size{}
	if r, err := solved.Reckon(); err != nil || r.Drink == nil {
		return *d, texts, nil, err // nothing to solve; a refused base is said by its caution
	}
	for _, swap := range f.swaps {
		said, err := swapAll(&solved, swap)
		if err != nil {
			return solved, nil, nil, err
		}
		notes = append(notes, said...)
	}
	turn := formula.Turn{To: map[formula.DialName]float64{}}
	if f.given["sweetness"] {
		turn.To[formula.Sweetness] = f.sweetness
	}
	if f.given["fat"] {
		turn.To[formula.Fat] = f.fat
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
func swapAll(d *formula.Drink, swap string) ([]string, error) {
	from, to, _ := strings.Cut(swap, "=")
	of, _ := ingredient.Standard().Find(from)
	by, _ := ingredient.Standard().Find(to)
	var notes []string
	for place := 0; place < len(d.Lines); place++ {
		if d.Lines[place].Ingredient != of {
			continue
		}
		swapped, err := d.Swap(place, by, "")
		if err != nil {
			return nil, fault.In("--swap", err)
		}
		*d = swapped.Drink
		notes = append(notes, fmt.Sprintf("%s swapped for %s at %s", of.Name, by.Name, swapped.How))
		for _, change := range swapped.Changes {
			notes = append(notes, "the swap: "+change)
		}
	}
	if len(notes) == 0 {
		notes = append(notes, fmt.Sprintf("--swap: there is no %s in it", of.Name))
	}
	return notes, nil
}

// turnTo solves for the targets; one that cannot be solved at all is said and
// the drink left as it is.
func turnTo(d *formula.Drink, turn formula.Turn) ([]string, error) {
	before := len(d.Lines)
	turned, err := d.Turn(turn)
	if err != nil {
		return []string{"the targets were not solved: " + err.Error()}, nil
	}
	*d = turned.Drink
	var notes []string
	for _, line := range d.Lines[before:] {
		notes = append(notes, fmt.Sprintf("%s of %s was added to reach the target", line.Amount, line.Name))
	}
	for _, m := range turned.Missed {
		notes = append(notes, fmt.Sprintf("%s of %.4g cannot be reached: %s; the nearest, %.4g, was taken", m.Dial, m.Wanted, m.Why, m.Nearest))
	}
	return notes, nil
}

// textsOf are the lines' texts: as written where a line still stands in its
// place, anew where lines were added.
func textsOf(d *formula.Drink, texts []string) []string {
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
			return nil, fault.New(name, "", "cannot be read: "+errors.Unwrap(err).Error(), "name a file, or - for standard input")
		}
		defer func() { _ = file.Close() }()
		in = file
	}
	data, err := io.ReadAll(io.LimitReader(in, exchange.MaxRecipeBytes+1))
	if err != nil {
		return nil, fault.New(name, "", "cannot be read", "name a file, or - for standard input")
	}
	return data, nil
}

func reckonRecipe(f *reckonFlags, d formula.Drink, recipe exchange.Recipe, notes []string, stdout, stderr io.Writer) int {
	d.Name = recipe.Name
	understood := 0
	for _, text := range recipe.Lines {
		line, err := formula.ReadLine(text, ingredient.Standard())
		if err != nil {
			notes = append(notes, "left out: "+err.Error())
		}
		if line.Ingredient != nil {
			understood++
		} else if f.strict {
			fmt.Fprintf(stderr, "plushladle reckon: line %q is not understood; correct it, or leave --strict away\n", text)
			return exitWrong
		}
		d.Lines = append(d.Lines, line)
	}
	if understood == 0 {
		fmt.Fprintln(stderr, "plushladle reckon: no line was understood; write one ingredient a line, such as: 1 cup almonds")
		return exitWrong
	}
	solved, texts, said, err := f.solve(&d, recipe.Lines)
	if err != nil {
		return fail(stderr, err)
	}
	r, err := solved.Reckon()
	if err != nil { // a size that these lines cannot reach; its form was checked with the flags
		said = append(said, "the size was not reached, and the amounts are as written: "+fieldless(err))
		solved.Size = formula.Size{}
		if r, err = solved.Reckon(); err != nil {
			return fail(stderr, err)
		}
	}
	out := exchange.Export(&solved, texts, r, append(notes, said...))
	if f.json {
		return printJSON(stdout, stderr, out)
	}
	printTable(stdout, out)
	return exitOK
}

// fieldless is an error without the name of the core's own field.
func fieldless(err error) string {
	var field *fault.Error
	if errors.As(err, &field) {
		return field.Message()
	}
	return err.Error()
}

func printJSON(stdout, stderr io.Writer, out exchange.Reckoning) int {
	encoder := json.NewEncoder(stdout)
	encoder.SetIndent("", "  ")
	encoder.SetEscapeHTML(false)
	if err := encoder.Encode(out); err != nil {
		fmt.Fprintln(stderr, "plushladle reckon:", err)
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
		row("ratio", "1 : %.2g in cups, 1 : %.2g by weight", out.Ratio.ByVolume, out.Ratio.ByMass)
	}
	row("sweetness", "%.1f g/100 mL", out.Per100mL.SucroseEqG)
	row("fat", "%.1f %%", *out.FatPct)
	row("servings", "%.1f of %.0f mL", math.Floor(out.Servings.Count*10)/10, out.Servings.ML)
	row("a serving", "%.0f kcal, %.1f g protein, %.1f g fat, %.1f g sugars (%.1f g free)", out.PerServing.Kcal, out.PerServing.ProteinG, out.PerServing.FatG, out.PerServing.SugarsG, out.PerServing.FreeSugarsG)
	if out.Keeps.CautiousDays != nil {
		row("keeps", "%.1f days cautious, %.1f by custom; frozen %d", *out.Keeps.CautiousDays, *out.Keeps.CustomaryDays, out.Keeps.FreezerDays)
	}
	for _, reason := range out.Keeps.Reasons {
		row("", "%s", reason)
	}
	if out.Soak != nil {
		row("soak", "%s %g h (%g to %g)", out.Soak.Ingredient, out.Soak.IdealH, out.Soak.MinH, out.Soak.MaxH)
	}
	row("contains", "%s", strings.Join(out.Allergens, ", "))
}
