package plan

import (
	"errors"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/core/serve"
)

// Steps are the steps of making a reckoned drink at its size, in order; none
// for a drink that comes to nothing. They are its process told: what the figures
// reckon with is what is done, in the same order.
func Steps(d *reckon.Drink, r *reckon.Reckoning, k Room, where Soaking) []Step {
	if r.Drink == nil && r.Rough == nil {
		return nil
	}
	c := newCompiler(d, r, k, where)
	switch {
	case !c.anySoaks() && where == FromABowl:
		c.where = OnTheBench
	case where == OnTheBench && c.method.SoakCold:
		c.where = InTheFridge
	}
	c.toast()
	c.ready()
	c.brew()
	c.soak()
	c.drain()
	c.prepare()
	c.pit()
	c.bloom()
	c.grind()
	c.strain()
	c.whisk()
	c.heat()
	c.join()
	if c.hotFills() {
		c.taste()
		c.bottleHot()
	} else {
		c.cool()
		c.taste()
		c.bottle()
	}
	c.chill()
	c.serve()
	steps, _ := changed(c.steps, d.Changes)
	return atOwnPace(steps, k.Minutes)
}

// atOwnPace has the steps done by hand take as long as they do in this kitchen.
func atOwnPace(steps []Step, minutes map[string]float64) []Step {
	for n := range steps {
		share, known := minutes[string(steps[n].Kind)]
		if !known || !slices.Contains(TimedByHand, steps[n].Kind) {
			continue
		}
		l := &steps[n].Length
		for _, d := range []*time.Duration{&l.Min, &l.Ideal, &l.Max} {
			if *d < Unlimited {
				*d = minutesOf(math.Ceil(d.Minutes() * share))
			}
		}
	}
	return steps
}

// compiler makes the steps of one drink, one after another.
type compiler struct {
	d       *reckon.Drink     // what is made
	r       *reckon.Reckoning // its figures
	layout  *process.Layout   // which line goes where
	method  process.Method    // the recipe's, as the cook said it
	soaking []bool            // by line: a base that soaks
	kitchen Room              // what the kitchen has
	where   Soaking           // where the base soaks
	steps   []Step            // what was written so far
}

// newCompiler finds out which lines soak before any step is written, since soaking shows
// in names, amounts and the first steps alike.
func newCompiler(d *reckon.Drink, r *reckon.Reckoning, k Room, where Soaking) *compiler {
	c := &compiler{d: d, r: r, layout: &r.Made.Layout, method: d.AsSaid(), kitchen: k, where: where, soaking: make([]bool, len(d.Lines))}
	for _, at := range [][]int{c.layout.Soaked, c.layout.InKept} {
		for _, n := range at {
			line := &r.Through[n]
			c.soaking[line.Index] = line.G > 0 && line.Ingredient.Role == ingredient.Base
		}
	}
	return c
}

// ml is what it comes to, or may come to where an amount was left open.
func (c *compiler) ml() float64 {
	if c.r.Drink == nil {
		return c.r.Rough.VolumeML
	}
	return c.r.Drink.VolumeML
}

func (c *compiler) add(s Step) { c.steps = append(c.steps, s) }

// of are the amounts of lines by their places in the process.
func (c *compiler) of(places []int) []Amount {
	sorted := slices.Clone(places)
	slices.SortFunc(sorted, func(a, b int) int { return c.r.Through[a].Index - c.r.Through[b].Index })
	out := make([]Amount, 0, len(sorted))
	for _, n := range sorted {
		out = append(out, c.amount(c.r.Through[n].Index))
	}
	return out
}

// amount is what a line brings, as it is measured.
func (c *compiler) amount(n int) Amount {
	l, line := c.r.Lines[n], c.d.Lines[n]
	text := l.Amount.String()
	if l.Scoop != nil && l.Scoop.Text != "" && !l.Amount.IsMetric() {
		text = l.Scoop.Told()
	}
	a := Amount{Key: line.Key, Line: line.Key, At: n, Name: line.Ingredient.Name, MassG: l.MassG, Text: say.Written(text), Open: l.MassG == 0}
	if !a.Open {
		a.Band, a.Fine = BandOf(l.MassG, l.Tolerance, c.kitchen.ScaleG), TooFine(l.MassG, l.Tolerance, c.kitchen.ScaleG)
	}
	return a
}

// names is what the amounts are called in a sentence: lower case, without what follows a comma.
func names(amounts []Amount) []string {
	all := make([]string, 0, len(amounts))
	for _, a := range amounts {
		if name, _, _ := strings.Cut(strings.ToLower(a.Name), ","); !slices.Contains(all, name) {
			all = append(all, name)
		}
	}
	return all
}

// ready is the first step: everything out, weighed, and the soak begun.
func (c *compiler) ready() {
	amounts, _, soaks := c.soaked()
	step := Step{Kind: GetReady, Title: say.Of("set-out"), Right: say.Of("set-out-right"), Length: fixed(readyMin), HandsOn: true}
	switch {
	case c.where == FromABowl:
		step.Title, step.Right = say.Of("take-from-bowl", names(amounts)), say.Of("from-bowl-right")
		step.Amounts = c.fromTheBowl()
	case soaks:
		step.Title, step.Right, step.Amounts = c.putToSoak(amounts), c.vessel(), amounts
	}
	c.add(step)
}

// putToSoak says what is put to soak, and in which liquid where a line says so.
func (c *compiler) putToSoak(amounts []Amount) say.Text {
	if liquids := c.liquids(amounts); len(liquids) > 0 {
		return say.Of("put-to-soak-in", names(c.lying(amounts)), names(liquids))
	}
	return say.Of("put-to-soak", names(amounts))
}

// liquids are what something soaks in, and lying is what lies in it.
func (c *compiler) liquids(amounts []Amount) []Amount { return c.ofRole(amounts, true) }
func (c *compiler) lying(amounts []Amount) []Amount   { return c.ofRole(amounts, false) }

func (c *compiler) ofRole(amounts []Amount, liquid bool) (some []Amount) {
	for _, a := range amounts {
		if (c.d.Lines[a.At].Ingredient.Role == ingredient.Liquid) == liquid {
			some = append(some, a)
		}
	}
	return some
}

// brew draws what is brewed, to be poured in when the rest is ready.
func (c *compiler) brew() {
	brewed := c.of(c.layout.Brewed)
	if len(brewed) == 0 {
		return
	}
	right := say.Of("brew-right")
	if len(c.brewedInSome(brewed)) > 0 {
		right = say.Together(say.Of("brew-in-some-right"), right)
	}
	c.add(Step{Kind: Brew, Title: c.brewTitle(brewed), Amounts: brewed, Length: fixed(brewMin), HandsOn: true, TempC: brewC, Timer: minutesOf(brewMin),
		Right: right})
}

// brewedInSome is the liquid of the drink that some is taken of for a brew which has none of its own.
func (c *compiler) brewedInSome(brewed []Amount) []Amount {
	if len(c.liquids(brewed)) > 0 {
		return nil
	}
	for _, a := range c.of(c.layout.Ground) {
		if c.d.Lines[a.At].Ingredient.Has(ingredient.TagWater) {
			return []Amount{a}
		}
	}
	return nil
}

// fromTheBowl are the bases as they come out of a soak.
func (c *compiler) fromTheBowl() []Amount {
	var out []Amount
	for n := range c.d.Lines {
		if c.soaks(n) {
			out = append(out, c.wet(n))
		}
	}
	return out
}

// wet is a soaked base, drained.
func (c *compiler) wet(n int) Amount {
	a := c.amount(n)
	a.WetG = c.r.Lines[n].SoakedInG
	if c.keepsSoak() && c.soakingG() > 0 {
		a.WetG = c.keptLiquidG() * a.MassG / c.soakingG()
	}
	a.MassG += a.WetG
	a.Band = BandOf(a.MassG, c.r.Lines[n].Tolerance, c.kitchen.ScaleG)
	a.Soaked, a.Kept, a.Key, a.Text = true, c.keepsSoak(), a.Line+"/soaked", say.Text{}
	return a
}

// soakingG is how much is soaked, dry.
func (c *compiler) soakingG() float64 {
	total := 0.
	for n := range c.d.Lines {
		if c.soaks(n) {
			total += c.r.Lines[n].MassG
		}
	}
	return total
}

// keptLiquidG is the soaking liquid that stays in.
func (c *compiler) keptLiquidG() float64 {
	total := 0.
	for _, a := range c.of(c.layout.Kept) {
		total += a.MassG
	}
	return total
}

// drain: the water of the soak goes away with what it drew out, unless the recipe keeps it.
func (c *compiler) drain() {
	amounts, _, soaks := c.soaked()
	if rinsed := c.of(c.layout.Rinsed); len(rinsed) > 0 {
		c.add(Step{Kind: Rinse, Title: say.Of("rinse", names(rinsed)), Length: fixed(drainMin), HandsOn: true, Right: say.Of("rinse-right")})
	}
	if !soaks {
		return
	}
	if !c.keepsSoak() {
		c.add(Step{Kind: Drain, Title: say.Of("drain-and-rinse", names(c.lying(amounts))), Length: fixed(drainMin), HandsOn: true, Right: c.drained()})
	}
	c.afterSoak()
}

// drained says what goes out with the soak water.
func (c *compiler) drained() say.Text {
	if aids := c.lying(c.of(c.layout.Aids)); len(aids) > 0 {
		return say.Of("drain-aids-right", names(aids))
	}
	return say.Of("drain-right")
}

// pit takes the stones out of dates and the like, and softens them.
func (c *compiler) pit() {
	var stoned []Amount
	for n := range c.r.Through {
		line := &c.r.Through[n]
		if line.Ingredient.Has(ingredient.TagStones) && c.layout.BeforeStraining(n) {
			stoned = append(stoned, c.amount(line.Index))
		}
	}
	if len(stoned) == 0 {
		return
	}
	c.add(Step{Kind: Pit, Title: say.Of("pit", names(stoned)), Length: fixed(pitMin), HandsOn: true,
		Right: say.Of("pit-right")})
}

// bloom sets going what has to draw in warm water first.
func (c *compiler) bloom() {
	blooming := c.of(c.layout.Blooms)
	if len(blooming) == 0 {
		return
	}
	c.add(Step{Kind: Bloom, Title: say.Of("bloom", names(blooming)), Amounts: blooming, Length: fixed(bloomMin), HandsOn: true, TempC: bloomC,
		Timer: minutesOf(bloomWaitMin), Right: say.Of("bloom-right")})
}

// waitForBloom waits out the half hour that has not passed meanwhile.
func (c *compiler) waitForBloom(blooming []Amount) {
	passed, begun := time.Duration(0), false
	for _, s := range c.steps {
		if begun {
			passed += s.Length.Min
		}
		begun = begun || s.Kind == Bloom
	}
	if left := minutesOf(bloomWaitMin) - passed; left > 0 {
		c.add(Step{Kind: DrawOn, Title: say.Of("steep", names(blooming)), Length: Window{left, left, left + minutesOf(bloomWaitMin)}, Timer: left,
			Right: say.Of("steep-right")})
	}
}

// isJuicer tells whether a juicer does the grinding.
func (c *compiler) isJuicer() bool { return c.method.Strainer == process.Juicer }

// grind fills the jug as often as it takes, each load with its share.
func (c *compiler) grind() {
	switch {
	case len(c.layout.Ground) == 0:
		return
	case !c.layout.IsGround:
		c.stirTogether()
		return
	case c.isJuicer():
		c.juice()
		return
	case c.method.Coarse:
		c.infuse()
		return
	}
	loads := c.r.Jug.Loads
	seconds := c.r.Made.Seconds
	for load := 1; load <= loads; load++ {
		step := Step{
			Kind: Grind, HandsOn: true, Blender: true, TempC: math.Round(c.r.Made.WaterC), Load: load, Loads: loads, Amounts: c.loaded(load, loads),
			Length: fixed(loadMin + seconds/60), Timer: minutesOf(seconds / 60),
			Title: say.Of("grind", blendFor(seconds)), Right: say.Of("grind-right"), Caution: c.grindCaution(),
		}
		if loads > 1 {
			step.Title = say.Of("grind-load", load, loads, blendFor(seconds))
		}
		if late := c.late(); len(late) > 0 {
			step.Title = say.Of("joined-late", step.Title, late, c.r.Made.LateS)
		}
		c.add(step)
	}
	c.ice()
}

// toldInMinutes are the seconds from which on a blend is told in minutes, where these are halves (a
// judgement, no source).
const toldInMinutes = 120

// blendFor is how long something is blended, as people say it: 90 seconds, two minutes.
func blendFor(seconds float64) say.Text {
	if seconds >= toldInMinutes && math.Mod(seconds, 30) == 0 {
		return say.Of("for-minutes", seconds/60)
	}
	return say.Of("for-seconds", seconds)
}

// late is what joins the grind for its end: oats turn slimy when they are ground
// for long.
func (c *compiler) late() []string {
	var late []int
	for _, n := range c.layout.Ground {
		if c.r.Made.JoinsLate(c.r.Through[n].Ingredient) {
			late = append(late, n)
		}
	}
	return names(c.of(late))
}

// stirTogether is for what needs no blender.
func (c *compiler) stirTogether() {
	amounts := c.of(c.layout.Ground)
	if c.blendsIn(c.layout.Ground) && c.r.Made.WaterC < process.VentFromC {
		c.add(blendIn(say.Of("blend-together", names(amounts)), amounts))
		return
	}
	title := say.Of("stir-together", names(amounts))
	if len(amounts) == 1 {
		title = say.Of("measure-out", names(amounts))
	}
	step := Step{Kind: StirIn, Title: title, Amounts: amounts, Length: fixed(stirMin), HandsOn: true}
	if c.hasPowder(c.layout.Ground) {
		step.Right = say.Of("stir-together-right")
	}
	c.add(step)
}

// hasPowder tells whether something is stirred in that may lump: all but what is poured, and what is
// counted.
func (c *compiler) hasPowder(places []int) bool {
	return slices.ContainsFunc(places, func(n int) bool {
		line := &c.r.Through[n]
		return line.Ingredient.Role != ingredient.Liquid && !line.Ingredient.Has(ingredient.TagFluid) && !c.d.Lines[line.Index].Amount.IsCount()
	})
}

// juice runs it through the juicer by handfuls, with the water.
func (c *compiler) juice() {
	minutes := math.Max(minJuiceMin, c.method.Strainer.MinutesPerL()*c.groundML()/1000)
	c.add(Step{Kind: Juice, Title: say.Of("juice"), Amounts: c.loaded(1, 1), Length: fixed(math.Ceil(minutes)), HandsOn: true, Blender: true,
		Right: say.Of("juice-right")})
	c.ice()
}

// infuse crushes the base dry and lets it draw cold in the rest.
func (c *compiler) infuse() {
	var bases, rest []int
	for _, n := range c.layout.Ground {
		if c.r.Through[n].Ingredient.Role == ingredient.Base {
			bases = append(bases, n)
		} else {
			rest = append(rest, n)
		}
	}
	c.add(Step{Kind: Crush, Title: say.Of("crush", names(c.of(bases))), Amounts: c.of(bases), Length: fixed(loadMin + crushMin), HandsOn: true, Blender: true, Right: say.Of("crush-right")})
	c.add(Step{Kind: StirIn, Title: say.Of("pour-on", names(c.of(rest))), Amounts: c.of(rest), Length: fixed(stirMin), HandsOn: true, Right: say.Of("pour-on-right"), Caution: say.Of("pour-on-warm")})
	c.ice()
	c.add(Step{Kind: Infuse, Title: say.Of("infuse"), Length: hours(24, 24, 48), Fridge: true, TempC: c.d.FridgeC})
}

// ice goes into the jug to keep it cool, and melts: it is water like any other.
func (c *compiler) ice() {
	if ice := c.of(c.layout.Ice); len(ice) > 0 {
		right := say.Of("ice-right", c.r.Made.IcedC)
		if c.r.Made.IcedC == 0 {
			right = say.Of("ice-left-right")
		}
		c.add(Step{Kind: Ice, Title: say.Of("ice"), Amounts: ice, Length: fixed(iceMin), HandsOn: true, Right: right})
	}
}

// isKeptLiquid tells whether a line is the liquid of a soak that has something
// in it.
func (c *compiler) isKeptLiquid(n int) bool {
	return c.anySoaks() && slices.ContainsFunc(c.layout.Kept, func(at int) bool { return c.r.Through[at].Index == n })
}

func (c *compiler) grindCaution() say.Text {
	return say.Together(c.caution("hot-blend"), c.caution("slime"))
}

// caution is the text of the first raised caution of these kinds.
func (c *compiler) caution(codes ...string) say.Text {
	for _, code := range codes {
		for _, raised := range c.r.Cautions {
			if raised.Code == code {
				return raised.Text
			}
		}
	}
	return say.Text{}
}

// groundML is what is in the jug when it is strained: what joins later is not.
func (c *compiler) groundML() float64 { return c.r.Jug.GroundML }

// strain: where nothing was ground or no strainer is used, what would go in is poured in.
func (c *compiler) strain() {
	strainer := c.method.Strainer
	early, rinse, again := c.of(c.layout.Early), c.of(c.layout.Rinse), c.of(c.layout.Again)
	if !c.isStrained() {
		if with := slices.Concat(early, rinse, again); len(with) > 0 {
			c.add(Step{Kind: StirIn, Title: say.Of("pour-in", names(with)), Amounts: with, Length: fixed(stirMin), HandsOn: true})
		}
		return
	}
	if !c.isJuicer() {
		title := strainer.Step()
		if c.pressesLightly() {
			title = say.Of("strain-lightly", strainer.Tool())
		}
		step := c.straining(title, early)
		if whole := c.wholeSpices(c.layout.Ground); c.method.Coarse && len(whole) > 0 {
			step.Right = say.Together(say.Of("lift-out", whole), step.Right)
		}
		c.add(step)
	}
	if len(rinse) > 0 {
		c.add(Step{Kind: RinsePulp, Title: say.Of("rinse-pulp", names(rinse)), Amounts: rinse, Length: fixed(rinseMin), HandsOn: true})
	}
	if len(again) > 0 {
		seconds := c.r.Made.Seconds
		c.add(Step{Kind: SecondGrind, Title: say.Of("grind-again", names(again)), Amounts: again, HandsOn: true, Blender: true,
			Length: fixed(loadMin + seconds/60), Timer: minutesOf(seconds / 60)})
		c.add(c.straining(say.Of("strain-again"), nil))
	}
}

// isStrained tells whether something is strained off.
func (c *compiler) isStrained() bool {
	return c.r.Made.SolidsG > 0 && c.method.Strainer != process.None
}

// wholeSpices are those among some lines that steep whole: sticks, pods, and a vanilla bean, but not
// the juice or the zest of a fruit.
func (c *compiler) wholeSpices(places []int) []string {
	var whole []Amount
	for _, n := range places {
		line := &c.r.Through[n]
		amount := c.d.Lines[line.Index].Amount
		isFruit := line.Ingredient.Role == ingredient.Flavour && amount.IsCount() && amount.Terms()[0].Unit == quantity.Piece
		if line.Whole && !isFruit {
			whole = append(whole, c.amount(line.Index))
		}
	}
	return names(whole)
}

// straining takes as long as there is to strain, and a strainer that is full
// is emptied in between.
func (c *compiler) straining(title say.Text, early []Amount) Step {
	ml, strains := c.groundML(), max(1, c.r.Jug.Strains)
	minutes := c.method.Strainer.MinutesPerL()*ml/1000 + emptyMin*float64(strains-1)
	if strains > 1 {
		title = say.Of("strained-in-turns", title, strains, ml/float64(strains))
	}
	if len(early) > 0 {
		title = say.Of("strained-with", title, names(early))
	}
	return Step{Kind: Strain, Title: title, Amounts: early, Length: fixed(math.Ceil(math.Max(2, minutes))), HandsOn: true,
		Right: c.strained(), Loads: strains, Caution: c.caution("clogs")}
}

// pressesLightly tells whether what would be squeezed must not be, since it turns slimy.
func (c *compiler) pressesLightly() bool {
	return c.method.Strainer.Squeezes() && slices.ContainsFunc(c.layout.Ground, func(n int) bool { return c.r.Through[n].Ingredient.Has(ingredient.TagSlimes) })
}

// strained is how it looks when it is strained enough.
func (c *compiler) strained() say.Text {
	if c.pressesLightly() {
		return say.Of("strain-lightly-right")
	}
	return say.Of("strain-right")
}

// whisk takes pulp off its seeds, which are lifted out.
func (c *compiler) whisk() {
	whisked := c.of(c.layout.Whisked)
	if len(whisked) == 0 {
		return
	}
	c.add(Step{Kind: WhiskOff, Title: say.Of("whisk-off", names(whisked)), Amounts: whisked, Length: fixed(whiskMin), HandsOn: true, TempC: whiskC,
		Timer: minutesOf(whiskMin), Right: say.Of("whisk-off-right")})
}

// heat brings it to its heat, with what is cooked, and takes the foam off soy.
func (c *compiler) heat() {
	h := c.layout.Heat
	if h == process.Unheated {
		return
	}
	inPan := c.of(c.layout.InPan)
	minutes := c.layout.Minutes
	step := Step{Kind: Heat, HandsOn: true, Amounts: inPan, TempC: c.r.Made.HeatedC, Right: say.Of("warm-right"),
		Length: fixed(math.Ceil(heatMinPerL*c.ml()/1000) + minutes), Timer: minutesOf(minutes), Caution: c.caution("soy-boil")}
	switch h {
	case process.Warm:
		step.Title = say.Of("warm", minutes)
	case process.UnderIt:
		step.Title = say.Of("under-boil", minutes)
	case process.Simmer:
		step.Title = say.Of("simmer", minutes)
		step.Right = say.Of("boil-right")
	default:
		step.Title = say.Of("boil", minutes)
		step.Right = say.Of("boil-right")
	}
	if len(inPan) > 0 {
		step.Title = say.Of("heated-with", step.Title, names(inPan))
	}
	if whole := c.of(c.layout.LiftOut); len(whole) > 0 {
		step.Right = say.Together(step.Right, say.Of("lift-out-after", names(whole)))
	}
	for _, line := range c.d.Lines {
		if line.Ingredient != nil && line.Ingredient.Has(ingredient.TagBoil) {
			name, _, _ := strings.Cut(line.Ingredient.Name, ",")
			step.Never = say.Of("never-raw", name)
		}
	}
	c.add(step)
	if c.r.FoamG > 0 {
		c.add(Step{Kind: Skim, Title: say.Of("skim"), Length: fixed(skimMin), HandsOn: true})
	}
	if late := c.of(c.layout.Late); len(late) > 0 {
		c.add(Step{Kind: LateSpice, Title: say.Of("off-heat-stir-in", names(late)), Amounts: late, Length: fixed(stirMin), HandsOn: true,
			Right: say.Of("late-spice-right")})
	}
}

// brewTitle says what is brewed, and in which liquid where that is a line of its own.
func (c *compiler) brewTitle(brewed []Amount) say.Text {
	if liquids, lying := c.liquids(brewed), c.lying(brewed); len(liquids) > 0 && len(lying) > 0 {
		return say.Of("brew-in", names(lying), names(liquids))
	}
	if water := c.brewedInSome(brewed); len(water) > 0 {
		return say.Of("brew-in-some", names(brewed), names(water))
	}
	return say.Of("brew", names(brewed))
}

// brewNames are what a brew is called by: what was brewed, or the liquid where that is all of it.
func (c *compiler) brewNames(brewed []Amount) []string {
	if lying := c.lying(brewed); len(lying) > 0 {
		return names(lying)
	}
	return names(brewed)
}

// join stirs in what joins after straining, and pours in what was brewed.
func (c *compiler) join() {
	blooming := c.of(c.layout.Blooms)
	if len(blooming) > 0 {
		c.waitForBloom(blooming)
	}
	if brewed := c.of(c.layout.Brewed); len(brewed) > 0 {
		step := Step{Kind: PourIn, Title: say.Of("pour-in-brew", c.brewNames(brewed)), Length: fixed(pourMin), HandsOn: true, Right: say.Of("pour-in-brew-right")}
		if used := c.method.BrewUsed; used > 0 && used < 1 {
			step.Title = say.Of("pour-in-part-of-brew", 100*used, c.brewNames(brewed))
			step.Right = say.Of("brew-left-over", c.r.LeftoverML)
		}
		c.add(step)
	}
	joins := c.of(c.layout.Joins)
	if c.layout.Heat == process.Unheated && c.blendsIn(c.layout.Joins) {
		var blended, stirred []int
		for _, n := range c.layout.Joins {
			if c.r.Through[n].BlendsIn() {
				blended = append(blended, n)
			} else {
				stirred = append(stirred, n)
			}
		}
		c.add(blendIn(say.Of("blend-in", names(c.of(blended))), c.of(blended)))
		joins = c.of(stirred)
	}
	if len(joins)+len(blooming) == 0 {
		return
	}
	c.add(Step{Kind: StirIn, Title: c.stirInTitle(joins, blooming), Amounts: joins, Length: fixed(stirMin), HandsOn: true, Right: say.Of("stir-in-right")})
}

// stirInTitle says what is stirred in, on the stove or off it, and what bloomed for it.
func (c *compiler) stirInTitle(joins, blooming []Amount) say.Text {
	isHot := c.layout.Heat != process.Unheated
	switch {
	case len(joins) == 0 && isHot:
		return say.Of("off-heat-stir-in-the-bloomed", names(blooming))
	case len(joins) == 0:
		return say.Of("stir-in-the-bloomed", names(blooming))
	case len(blooming) > 0 && isHot:
		return say.Of("off-heat-stir-in-bloomed", names(joins), names(blooming))
	case len(blooming) > 0:
		return say.Of("stir-in-bloomed", names(joins), names(blooming))
	case isHot:
		return say.Of("off-heat-stir-in", names(joins))
	}
	return say.Of("stir-in", names(joins))
}

// blendsIn tells whether something among these lines is blended rather than
// stirred where it meets what is cold.
func (c *compiler) blendsIn(places []int) bool {
	return slices.ContainsFunc(places, func(n int) bool { return c.r.Through[n].BlendsIn() })
}

// blendIn: what is whirled under the milk for a moment, with a timer for it.
func blendIn(title say.Text, amounts []Amount) Step {
	return Step{Kind: BlendIn, Title: title, Amounts: amounts, Length: fixed(loadMin + blendInMin), Timer: minutesOf(blendInMin), HandsOn: true, Blender: true,
		Right: say.Of("blend-in-right")}
}

// cool brings what was heated down, fast.
func (c *compiler) cool() {
	fromC := c.hotC()
	if fromC == 0 {
		return
	}
	step := Step{Kind: Cool, Title: say.Of("cool-in-ice"), Length: hours(.25, .5, 2), TempC: cooledC, Right: c.cooling(fromC)}
	if fromC >= keep.CookedC { // Food Code 3-501.14: 57 to 21 °C within two hours.
		step.Caution = say.Of("cooling-limits")
	}
	c.add(step)
}

// coolsFromC is from where on a drink that was ground with hot liquid is cooled before it is
// bottled, °C: ice water cracks a bottle that is hotter, and a closed one stays warm for hours
// (common practice, no source).
const coolsFromC = 40

// hotC is how hot a drink is that has to be cooled before it is bottled; 0 for any other.
func (c *compiler) hotC() float64 {
	if c.layout.Heat != process.Unheated {
		return c.r.Made.HeatedC
	}
	if c.r.Made.IcedC >= coolsFromC {
		return c.r.Made.IcedC
	}
	return 0
}

// hotFills tells whether it is bottled hot, and hot enough for that.
func (c *compiler) hotFills() bool {
	return c.method.HotFill && c.r.Made.HeatedC >= process.HotFillC
}

// bottleHot fills the bottles hot, and cools them full.
func (c *compiler) bottleHot() {
	c.add(Step{Kind: Bottle, Title: say.Of("bottle-hot"), Length: fixed(bottleMin), HandsOn: true, TempC: process.HotFillC,
		Right:   say.Together(say.Of("bottle-hot-right"), c.keptForTheGlass()),
		Caution: say.Of("hot-glass")})
	c.add(Step{Kind: Cool, Title: say.Of("cool-bottles"), Length: hours(.5, 1, 2), TempC: cooledC, Right: say.Of("cool-bottles-right")})
	c.washUp()
}

// washUp is forgotten in most plans. A cloth is boiled, where there was one.
func (c *compiler) washUp() {
	step := Step{Kind: Wash, Title: say.Of("wash-up"), Length: fixed(washMin), HandsOn: true}
	if c.isStrained() && c.method.Strainer.IsWashed() {
		step.Right = say.Of("wash-up-right")
	}
	c.add(step)
}

// taste is the last adjusting, and the dividing.
func (c *compiler) taste() {
	c.add(Step{Kind: Taste, Title: say.Of("taste"), Amounts: c.toTaste(), Length: fixed(tasteMin), HandsOn: true,
		Right: say.Of("taste-right")})
	if len(c.d.Portions) > 0 {
		c.add(c.splitting())
	}
}

// toTaste are the lines of which a little more may go in.
func (c *compiler) toTaste() []Amount {
	var out []Amount
	for n, l := range c.r.Lines {
		if l.Err != nil || !l.Understood || l.Stage == ingredient.Serve {
			continue
		}
		switch c.d.Lines[n].Ingredient.Role {
		case ingredient.Sweetener, ingredient.Salt, ingredient.Spice, ingredient.Flavour:
			a := c.amount(n)
			out = append(out, Amount{Key: "taste/" + a.Key, Line: a.Line, At: a.At, Name: a.Name, Open: true, Extra: true})
		}
	}
	return out
}

// cooling says how long it takes on ice, and that it would miss its points
// left to itself, with what helps.
func (c *compiler) cooling(fromC float64) say.Text {
	k := keep.Cooling{VolumeML: c.ml(), FromC: fromC, RoomC: c.kitchen.TempC, Bath: keep.InIce}
	first, _ := k.Until(keep.FirstC)
	cold, _ := k.Until(keep.ColdC)
	told := say.Of("cooling-on-ice", math.Ceil(first.Minutes()), math.Ceil(cold.Minutes()))
	k.Bath = keep.InAFridge
	slow, _ := k.Until(keep.FirstC)
	if !k.InTime() {
		told = say.Together(told, say.Of("cooling-in-fridge-too-slow", slow.Hours()))
	}
	return told
}

// splitting divides one base into drinks, each with what joins it.
func (c *compiler) splitting() Step {
	step := Step{Kind: Split, Length: fixed(splitMin * float64(len(c.d.Portions))), HandsOn: true, Right: say.Of("divide-right")}
	drinks, err := serve.Split(c.d, c.d.Portions)
	if err != nil {
		step.Title, step.Caution = say.Of("divide"), tellError(err)
		return step
	}
	var parts []say.Text
	for p, d := range drinks {
		r, err := d.Reckon()
		if err != nil || r.Drink == nil {
			continue
		}
		parts = append(parts, say.Of("portion", r.Drink.VolumeML, d.Name))
		for n := len(c.d.Lines); n < len(d.Lines); n++ {
			if l := r.Lines[n]; l.MassG > 0 {
				key := fmt.Sprintf("split/%d/%d", p, n-len(c.d.Lines))
				step.Amounts = append(step.Amounts, Amount{Key: key, Line: key, Name: d.Lines[n].Ingredient.Name, Into: d.Name,
					MassG: l.MassG, Text: say.Written(l.Amount.String()), Band: BandOf(l.MassG, l.Tolerance, c.kitchen.ScaleG)})
			}
		}
	}
	step.Title = say.Of("divide-into", parts)
	return step
}

// bottle is filling, and the washing-up.
func (c *compiler) bottle() {
	right := say.Together(say.Of("bottle-right"), c.keptForTheGlass())
	steeped := c.layout.Joins
	if !c.layout.IsGround && !c.isStrained() {
		steeped = slices.Concat(c.layout.Ground, steeped)
	}
	if whole := c.wholeSpices(steeped); len(whole) > 0 {
		right = say.Together(say.Of("lift-out", whole), right)
	}
	c.add(Step{Kind: Bottle, Title: say.Of("bottle"), Length: fixed(bottleMin), HandsOn: true, Right: right})
	c.washUp()
}

// keptForTheGlass says what is not bottled with it.
func (c *compiler) keptForTheGlass() say.Text {
	if in := c.of(c.layout.Serve); len(in) > 0 {
		return say.Of("kept-for-the-glass", names(in))
	}
	return say.Text{}
}

// chill is the wait in the fridge: no longer than the drink keeps.
func (c *compiler) chill() {
	most := Unlimited
	if days := c.r.Keeps.CautiousDays; days > 0 {
		most = max(minutesOf(chillBestMin), minutesOf(days*24*60)-keepsSpare)
	}
	c.add(Step{Kind: Chill, Title: say.Of("chill"), Length: Window{minutesOf(chillMin), minutesOf(chillBestMin), most}, Fridge: true, TempC: c.d.FridgeC, Right: c.chilling()})
}

// serve is what goes into the glass.
func (c *compiler) serve() {
	if in := c.of(c.layout.Serve); len(in) > 0 {
		c.add(Step{Kind: Serve, Title: say.Of("in-the-glass", names(in)), Amounts: in, Length: fixed(0), Right: say.Of("in-the-glass-right")})
	}
}

// A bottle as it stands in the fridge (common practice).
const (
	bottleML      = 500. // mL, the usual bottle
	bottleDepthCM = 15.  // cm of milk in it when full, for the cooling
)

// chilling says where what was ground at room temperature would not be cold in
// its four hours, and what helps. What was cooked was cooled before.
func (c *compiler) chilling() say.Text {
	if c.hotC() > 0 {
		return say.Text{}
	}
	k := keep.Cooling{VolumeML: math.Min(bottleML, c.ml()), DepthCM: bottleDepthCM, FromC: c.r.Made.IcedC, Bath: keep.InAFridge}
	cold, can := k.Until(keep.ColdC)
	if !can || cold <= keep.RoomMost {
		return say.Text{}
	}
	ice, _ := k.Divided(1, keep.InIce, bottleDepthCM).Until(keep.ColdC)
	code := "chill-too-slow"
	if c.layout.IsGround {
		code = "chill-too-slow-ground"
	}
	return say.Of(code, k.FromC, math.Ceil(cold.Hours()), math.Ceil(ice.Minutes()))
}

// tellError is why something cannot be done.
func tellError(err error) say.Text {
	var e *fault.Error
	if errors.As(err, &e) {
		return e.Told()
	}
	return say.Written(err.Error())
}
