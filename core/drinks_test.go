package core_test

import (
	"encoding/json"
	"fmt"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/plan"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/record"
	"plushladle/core/serve"
	"plushladle/core/solve"
)

// listed are drinks that between them have every kind of step, line and way of making.
var listed = []struct {
	name, lines string
	way         func(*reckon.Drink)
}{
	{"almond milk", "150 g almonds, soaked overnight\n4 cups water\n2 large dates\n1/8 tsp salt\n1 tsp vanilla extract", nil},
	{"pecan creamer", "1 1/2 cups pecans\n3 cups water\n2 tbsp maple syrup\n1/2 tsp cardamom after straining\n1 tbsp coconut oil\n1/8 tsp salt", func(d *reckon.Drink) {
		d.Method.Heat, d.Method.Minutes, d.Method.Strainer = process.Warm, 5, process.Cloth
	}},
	{"oat milk", "1 cup rolled oats, rinsed\n3 cups cold water\n1 tbsp sunflower oil\n2 tbsp honey\n100 g ice", func(d *reckon.Drink) { d.Method.Strainer = process.Sieve }},
	{"rice horchata", "1 cup white rice\n1/4 cup almonds\n1 cinnamon stick, while cooking\n5 cups water\n1/2 cup sugar\n1 cup water to rinse the pulp\n1 tsp cinnamon, to serve", func(d *reckon.Drink) {
		d.Size = recipe.Size{By: recipe.ByVolume, Value: 2000}
		d.Method.Heat, d.Method.Minutes = process.Boil, 8
	}},
	{"tiger nut horchata", "250 g tiger nuts\n1 L water\n80 g white sugar\n500 g water for the second grind\n1 strip lemon peel", func(d *reckon.Drink) { d.RawLimitC, d.Method.HighSpeed = 46, true }},
	{"soy milk", "200 g soybeans\n1.5 L water\n1 tbsp sugar\n1 pinch salt", func(d *reckon.Drink) { d.Size = recipe.Size{By: recipe.ByTimes, Value: 2} }},
	{"cashew nog", "1 cup cashews\n2 1/2 cups water\n4 medjool dates\n1/2 tsp nutmeg\n2 cloves, while cooking\n1/4 tsp turmeric\n1 tsp cinnamon\n1/4 cup rum", func(d *reckon.Drink) {
		d.Method.Strainer, d.Method.Heat, d.Method.Minutes, d.Method.Covered = process.None, process.Warm, 10, true
	}},
	{"pistachio concentrate", "60 g pistachios\n20 g almonds\n1 tbsp poppy seeds\n300 ml water\n300 g sugar\n1 pinch saffron\n6 cardamom pods\n1 tbsp rose water", func(d *reckon.Drink) {
		d.Kind, d.Method.Heat, d.Method.Minutes, d.Method.HotFill = recipe.Concentrate, process.Boil, 3, true
	}},
	{"barley cooler", "1/2 cup pearl barley\n6 cups water, soaking water kept\n1/3 cup lemon juice\n3 tbsp honey\n1 inch fresh ginger", func(d *reckon.Drink) {
		d.Size = recipe.Size{By: recipe.ByServings, Value: 6}
		d.Method.Heat, d.Method.Minutes = process.Boil, 12
	}},
	{"hazelnut chocolate", "1 cup hazelnuts, roasted, skins rubbed off\n3 cups water\n3 tbsp cocoa\n60 g dark chocolate\n1/4 cup brown sugar\n1 tsp instant coffee", func(d *reckon.Drink) {
		d.Method.Heat, d.Method.Minutes = process.Warm, 4
		d.Portions = []recipe.Portion{{Name: "plain", ML: 300}, {Name: "sweet"}}
	}},
	{"sesame tea milk", "1/2 cup sesame seeds, toasted\n2 cups hot water\n1 cup black tea, to brew\n2 tbsp date syrup", func(d *reckon.Drink) { d.Method.Coarse = true }},
	{"brazil and coconut", "100 g brazil nuts\n1 cup shredded coconut\n1 can coconut milk\n700 ml water\n2 tbsp agave syrup\n1 tsp xylitol\na splash of joy", func(d *reckon.Drink) {
		d.Size = recipe.Size{By: recipe.ByBottles, Value: 3, EachML: 500}
		d.School = keep.Customary
	}},
}

var drinkers = []caution.Drinker{
	{Name: "one", Age: caution.To3, ServingsDay: 2}, {Name: "two", Age: caution.To10, WeightKG: 30, Allergens: []string{"almond"}},
	{Name: "three", Vegan: true, Age: caution.Adult, ServingsDay: 3}, {Name: "four", Age: caution.To14, Dislikes: []string{"cardamom"}},
}

// reckoned is a listed drink in a kitchen with a drawer, a scale, prices and drinkers.
func reckoned(t testing.TB, n int) (reckon.Drink, *reckon.Reckoning) {
	t.Helper()
	d := reckon.New(listed[n].name)
	reader := reading.Standard()
	for place, text := range strings.Split(listed[n].lines, "\n") {
		line, err := reader.Line(text)
		if err != nil {
			line = recipe.Line{Name: text}
		}
		line.Key = fmt.Sprint("l", place+1)
		d.Lines = append(d.Lines, line)
	}
	drawer, err := reader.Measures.NewDrawer(quantity.StandardDrawer, d.System, 1)
	require.NoError(t, err)
	d.Drawer, d.Drinkers, d.Prices = &drawer, drinkers, reckon.Prices{}
	for place, line := range d.Lines {
		if line.Ingredient != nil && place != 2 {
			d.Prices[line.Ingredient.ID] = .004 * float64(place+1)
		}
	}
	if listed[n].way != nil {
		listed[n].way(&d)
	}
	r, err := d.Reckon()
	require.NoError(t, err)
	return d, r
}

var figures = []reckon.Figure{reckon.YieldFigure, reckon.FatFigure, reckon.SweetnessFigure, reckon.KeepsFigure, reckon.CostFigure, reckon.SeleniumFigure, reckon.CoumarinFigure, reckon.NutmegFigure}

// Every figure of a drink, what is said of it, and how it is made.
func TestListingOfFigures(t *testing.T) {
	t.Parallel()
	var l listing
	for n, one := range listed {
		d, r := reckoned(t, n)
		l.head("%s", one.name)
		l.put("reckoned", r)
		l.put("contributions", r.Contributions())
		l.put("assumptions", r.Assumptions())
		for _, f := range figures {
			if w, err := r.Working(f); err == nil {
				l.put(string(f), w)
			}
		}
		_, other := reckoned(t, (n+1)%len(listed))
		l.put("beside the next", reckon.Compare(r, other))
		l.put("needs", plan.Tools(&d, r, plan.Room{TempC: 20}))
	}
	isListed(t, "figures", &l)
}

// Every step on the bench, in a warm kitchen and in the fridge, and when it is done.
func TestListingOfSteps(t *testing.T) {
	t.Parallel()
	from := time.Date(2026, 11, 26, 18, 0, 0, 0, time.UTC)
	rules := plan.Rules{From: from, Hands: plan.Quiet{FromMin: 23 * 60, ToMin: 6*60 + 30}, Noise: plan.Quiet{FromMin: 21 * 60, ToMin: 8 * 60}}
	var l listing
	var jobs []plan.Job
	for n, one := range listed {
		d, r := reckoned(t, n)
		l.head("%s", one.name)
		bench, fridge := plan.Steps(&d, r, plan.Room{TempC: 20, ScaleG: 1}, plan.OnTheBench), plan.Steps(&d, r, plan.Room{TempC: 29}, plan.InTheFridge)
		l.put("step", bench)
		l.put("warm and cold", windows(fridge))
		l.put("from a bowl", windows(plan.Steps(&d, r, plan.Room{TempC: 20, Minutes: map[string]float64{"grind": 2}}, plan.FromABowl)))
		for place := range bench {
			if to := plan.MoveTo(bench, place); len(to) > 0 {
				l.put(fmt.Sprint("may be moved ", place+1), to)
			}
		}
		job := plan.Job{ID: one.name, Name: one.name, ReadyBy: from.Add(time.Duration(40+5*n) * time.Hour), Bench: bench, Fridge: fridge}
		jobs = append(jobs, job)
		l.planned("planned", []plan.Job{job}, rules)
		for block := range 3 {
			if span, ok := plan.Movable(job, block, rules); ok {
				l.put(fmt.Sprint("block ", block), span)
			}
		}
		if now, ok := plan.StartNow([]plan.Job{job}, 0, rules); ok {
			l.put("begun now it is ready", now.ReadyBy)
		}
	}
	for n := 0; n < len(jobs); n += 4 {
		l.head("four drinks from %s on", jobs[n].Name)
		l.planned("planned", jobs[n:n+4], rules)
		l.planned("kept apart", jobs[n:n+2], plan.Rules{From: from, Hands: rules.Hands})
	}
	isListed(t, "steps", &l)
}

// windows are steps as their kinds and how long they take.
func windows(steps []plan.Step) []string {
	var out []string
	for _, s := range steps {
		out = append(out, fmt.Sprintf("%s %s %s %s at %s", s.Kind, figure(s.Length.Min.Minutes()), figure(s.Length.Ideal.Minutes()), figure(s.Length.Max.Minutes()), figure(s.TempC)))
	}
	return out
}

func (l *listing) planned(name string, jobs []plan.Job, rules plan.Rules) {
	p, problem := plan.Make(jobs, rules)
	if problem != nil {
		l.put(name, problem)
		return
	}
	for _, lane := range p.Lanes {
		var out []string
		for _, s := range lane.Steps {
			out = append(out, fmt.Sprintf("%s %s", s.Start.Format("Mon 15:04"), s.Kind))
		}
		l.put(name+" "+lane.JobID, out)
	}
	l.put(name+" effort", plan.EffortOf(p.Work()))
}

// What comes of turning each dial, swapping, spoons, cups, jars, and what is learned and asked for.
func TestListingOfChanges(t *testing.T) {
	t.Parallel()
	var l listing
	for n, one := range listed {
		d, r := reckoned(t, n)
		l.head("%s", one.name)
		l.turned(&d, r)
		l.swapped(t, &d)
		l.served(&d, r)
		l.learned(&d, r)
	}
	isListed(t, "changes", &l)
}

func (l *listing) turned(d *reckon.Drink, r *reckon.Reckoning) {
	l.put("givers", solve.Givers(r))
	for _, dial := range r.Dials {
		for _, share := range []float64{.6, 1.4} {
			s, err := solve.Dials(d, solve.Turn{To: map[reckon.DialName]float64{dial.Code: share * dial.Value}, Hold: share > 1})
			name := fmt.Sprintf("%s by %g", dial.Code, share)
			if err != nil {
				l.put(name, err)
				continue
			}
			l.drink(name, s.Drink, nil)
			l.put(name+" told", s.Told())
		}
	}
	spoons, err := solve.ToSpoons(d)
	if err == nil {
		l.drink("to spoons", spoons.Drink, nil)
		l.put("changed", spoons.Changes)
		l.put("kept", spoons.Kept)
	}
	if iced, err := solve.WithIce(d); err == nil {
		l.drink("iced", *iced, nil)
	}
}

func (l *listing) swapped(t *testing.T, d *reckon.Drink) {
	for place, line := range d.Lines {
		for _, name := range []string{"cashews", "maple syrup", "stevia", "ceylon cinnamon", "oat milk"} {
			to, ok := reading.Standard().Name(name)
			require.True(t, ok, name)
			if line.Ingredient == nil || line.Ingredient.Role != to.Role || line.Ingredient.ID == to.ID {
				continue
			}
			for _, how := range solve.WaysToSwap(d, place, to) {
				s, err := solve.Swap(d, place, to, how)
				title := fmt.Sprintf("%s for %s by %s", to.ID, line.Name, how)
				if err != nil {
					l.put(title, err)
					continue
				}
				l.drink(title, s.Drink, nil)
				l.put(title+" worst", s.Worst)
				l.put(title+" changes", s.Changes)
			}
		}
	}
}

func (l *listing) served(d *reckon.Drink, r *reckon.Reckoning) {
	for _, c := range []serve.Cup{{Into: serve.IntoCoffee, CupML: 200, CupC: 85, Acid: true, AgeDays: 1}, {Into: serve.IntoCoffee, SpoonML: 30, CupML: 250, CupC: 70}, {Into: serve.OverIce, SpoonML: 200, CupML: 100}} {
		if cup, err := serve.Serve(r, c); err == nil {
			l.put("in "+string(c.Into), cup)
		}
	}
	l.put("ladder", serve.Ladder(r))
	if again, err := serve.PressAgain(r, 300); err == nil {
		l.put("pressed again", again)
	}
	jugs, err := serve.Split(d, []recipe.Portion{{Name: "a", ML: 200}, {Name: "b"}, {Name: "c"}})
	for n, jug := range jugs {
		l.drink(fmt.Sprint("jug ", n+1), jug, err)
	}
	line, err := reading.Standard().Line("1 tsp maple syrup")
	if err == nil {
		if tried, err := solve.TryCup(d, solve.Trial{CupML: 100, Lines: []recipe.Line{line}, Returned: true}); err == nil {
			l.drink("as the cup", tried.Drink, nil)
		}
	}
	if i, ok := r.AsIngredient("own", "own"); ok {
		l.put("as an ingredient", i.PerGram)
	}
}

func (l *listing) learned(d *reckon.Drink, r *reckon.Reckoning) {
	facts := record.FactsOf(d, r)
	l.put("facts", facts)
	l.put("learned by", record.Key(d))
	if r.Drink != nil {
		l.put("little milk tells", record.Lessons(d, record.Measured{MilkML: .93 * r.Drink.VolumeML, PulpG: 1.1 * r.PulpG}))
		l.put("dried pulp tells", record.Lessons(d, record.Measured{MilkML: .97 * r.Drink.VolumeML, PulpG: r.PulpG, DriedG: .9 * r.Pulp.DriedG}))
		if worked, err := solve.WorkBack(d, .95*r.Drink.MassG, r.PulpG); err == nil {
			l.put("worked back", worked)
		}
	}
	for n, tasted := range []record.Tasting{
		{Sweet: 1, Body: -1, Spice: 1, Salt: -1, Flags: []record.Flag{record.Gritty, record.Separates, record.SkinForms}},
		{Sweet: -2, Body: 1, Spice: -1, Salt: 1, Flags: []record.Flag{record.Slimy, record.Settles, record.Bitter, record.SourEarly}},
	} {
		l.put(fmt.Sprint("asked for ", n+1), record.Propose(d, tasted, facts))
	}
	facts.SoakH, facts.Seconds, facts.WaterC, facts.AgeDays, facts.FridgeC, facts.OutsideH, facts.CoolH = .5*facts.SoakIdealH, .5*facts.UsualS, 45, 3, 8, 3, 5
	facts.OverSweet, facts.OverSpice, facts.OverWater, facts.OverBase = .2, .3, .1, -.1
	for _, flag := range append([]record.Flag{record.TooSweet, record.TooSpicy, record.TooThin, record.TooThick}, record.Flags...) {
		l.put("why "+string(flag), record.Diagnose(flag, facts))
	}
}

// What is designed for a wish, of every kind, and what comes nearest to a carton's figures.
func TestListingOfWishes(t *testing.T) {
	t.Parallel()
	var l listing
	named := func(name string) *ingredient.Ingredient {
		i, ok := reading.Standard().Name(name)
		require.True(t, ok, name)
		return i
	}
	like := reckon.New("")
	for n, kind := range solve.Wishable {
		for _, w := range []solve.Wish{
			{Kind: kind, Sweetness: 2, VolumeML: 750},
			{Kind: kind, Idea: 3, Sweetness: n % 4, Richness: solve.Richer, VolumeML: 750, Days: 6, Avoid: drinkers[1:2], StockG: map[string]float64{"cashew": 200, "oats": 500, "white-sugar": 30}},
			{Kind: kind, Bases: []*ingredient.Ingredient{named("pecans"), named("oats")}, Sweetness: 3, Sweetener: named("date syrup"), Richness: solve.Lighter, Whole: n%2 == 0, VolumeML: 1200},
			{Kind: kind, Bases: []*ingredient.Ingredient{named("tiger nuts")}, Flavour: solve.FlavoursOf(kind)[1%len(solve.FlavoursOf(kind))], Sweetness: 1, Days: 4, VolumeML: 500, Avoid: drinkers[:1], WithinH: 60},
		} {
			made, err := solve.Design(w, like, ingredient.Standard())
			l.head("%s %d", kind, w.Idea)
			if err != nil {
				l.put("refused", err.Error())
				continue
			}
			l.drink("designed", made.Drink, nil)
			l.put("of", made)
		}
	}
	for _, want := range []solve.Figures{{FatG: 1.5, SugarsG: 4, ProteinG: .8}, {FatG: 3.4, SugarsG: 4.8, ProteinG: 3.3}, {FatG: 12, SugarsG: 8, ProteinG: 2}} {
		found, err := solve.Match(want, like, ingredient.Standard())
		require.NoError(t, err)
		l.head("like %v", want)
		for _, m := range found {
			l.drink("match", m.Drink, nil)
			l.put("reached", m)
		}
	}
	isListed(t, "wishes", &l)
}

// How lines and pages are read: which ingredient and amount, what is asked, and what each word is.
func TestListingOfReadings(t *testing.T) {
	t.Parallel()
	var l listing
	reader := reading.Standard()
	for _, name := range []string{"lines", "shapes"} {
		text, err := os.ReadFile("reading/testdata/" + name + ".txt")
		require.NoError(t, err)
		l.head("%s", name)
		for line := range strings.Lines(withoutMeanings(string(text))) {
			if line = strings.TrimSpace(line); line == "" || line[0] == '#' {
				continue
			}
			if r, err := reader.Read(line); err != nil {
				l.put(line, err.Error())
			} else {
				l.put(line, r)
			}
		}
	}
	text, err := os.ReadFile("reading/testdata/reference.json")
	require.NoError(t, err)
	var reference []struct{ Line string }
	require.NoError(t, json.Unmarshal(text, &reference))
	l.head("lines of the reference")
	for _, one := range reference {
		if r, err := reader.Read(one.Line); err != nil {
			l.put(one.Line, err.Error())
		} else {
			l.put(one.Line, r)
		}
	}
	for _, name := range []string{"recipes", "pages"} {
		text, err = os.ReadFile("reading/testdata/" + name + ".txt")
		require.NoError(t, err)
		for n, page := range strings.Split(withoutMeanings(string(text)), "=== ")[1:] {
			l.head("%s %d", name, n)
			_, page, _ = strings.Cut(page, "\n")
			l.put("page", reader.ReadPage(page))
		}
	}
	isListed(t, "readings", &l)
}

// withoutMeanings are lines as written, without what they are said to mean.
func withoutMeanings(text string) string {
	var out strings.Builder
	for line := range strings.Lines(text) {
		line, _, _ = strings.Cut(strings.TrimRight(line, "\n"), " ;;")
		out.WriteString(line + "\n")
	}
	return out.String()
}
