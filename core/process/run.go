package process

import (
	"cmp"
	"math"

	"plushladle/core/ingredient"
)

// Balance is where everything that went in came to be. In is the sum of the rest.
type Balance struct {
	In         ingredient.Content // all lines but what goes into the glass, and the process water
	Drink      ingredient.Content // in the bottle
	Pulp       ingredient.Content // and what is lifted out
	Thrown     ingredient.Content // soak water, and what soaked in it only
	Walls      ingredient.Content // what sticks to jug and bag
	Evaporated ingredient.Content // into the air
	Skimmed    ingredient.Content // the skin of soy
	Leftover   ingredient.Content // of the brew
}

// Made is what a process makes, and how it went.
type Made struct {
	Layout  Layout             // which line went where
	Balance Balance            // where every gram of it is now
	Seconds float64            // in the blender, each load
	LateS   float64            // of them, for which oats are in; 0 where nothing joins late
	Ground  ingredient.Content // what was in the jug, before the strainer
	SolidsG float64            // of the pulp, before fines pass
	GroundC float64            // as it leaves the blender, °C
	IcedC   float64            // after the ice
	WaterC  float64            // what is poured on to grind with, all together
	HeatedC float64            // the hottest it gets on the stove; 0 unheated
	HeldG   float64            // liquid in the pulp

	pulp pulp // for a second grind
}

// pulp is what a second grind begins with.
type pulp struct {
	lines  []Line               // as ground
	solids []ingredient.Content // of each line, what stays behind
	held   ingredient.Content   // the liquid between them
	g      grinding             // how it was done the first time
}

const (
	WallShare        = .02      // of what is strained stays on walls and cloth (common practice)
	soakWaterTimes   = 2.5      // mL of process water per mL dry (common practice)
	rinsedThrown     = 2.       // mL of rinsing water thrown away, per g (common practice)
	seedHolds        = .3       // g of liquid on a gram of whisked-off seed (from memory)
	whiskedShare     = .8       // of pulp, sugars apart, that is whisked off its seed (from memory)
	meltingHeat      = 334      // J/g of ice (handbook value)
	regularWatts     = 150      // into the load (from memory)
	highSpeedWatts   = 500      // likewise, of a strong blender
	mostGroundC      = 98.      // a blender brings nothing to the boil
	usualLoadML      = 1500.    // at once, where the kitchen named no jug
	brewHolds        = 2.8      // g of liquid held by a gram of what was brewed, in cloth
	foamShare        = .01      // of boiled soy milk is skimmed off as foam (common practice)
	leastWaterStays  = .1       // of the water, however long a pan stands open
	panMostML        = 2500.    // the usual pan takes so much
	widePanMostML    = 4000.    // and a wide one so much
	panCM, widePanCM = 20., 24. // across; the surface decides what evaporates
	panWatts         = 1000     // into a pan on a full flame (from memory)
)

// HeldSpread is the standard deviation of the liquid that pulp holds, as a share
// of it, until a kitchen has records of its own.
const HeldSpread = .25

// run is a process under way.
type run struct {
	lines []Line               // all of the recipe's
	m     Method               // how it is made
	made  Made                 // what becomes of it
	l     *Layout              // the same as made's, shorter to write
	jugC  float64              // °C in the jug once everything is in
	jug   ingredient.Content   // liquid in the jug
	loose ingredient.Content   // fine solids that go wherever the liquid goes
	solid []ingredient.Content // what stays solid of each ground line
	of    []Line               // the lines of solid
	g     grinding             // how it is ground
}

// Make takes the lines through their process.
func Make(lines []Line, m Method) Made {
	r := begin(lines, m)
	r.end()
	return r.made
}

// Likely are the drinks that the lines make where the pulp holds as much
// more and less than expected as is likely.
func Likely(lines []Line, m Method) (least, most ingredient.Content) {
	r := begin(lines, m)
	more, less := r, r
	more.m.HeldShare, less.m.HeldShare = m.Held()+m.Spread(), m.Held()-m.Spread()
	more.end()
	less.end()
	return more.made.Balance.Drink, less.made.Balance.Drink
}

// begin is the process up to the straining.
func begin(lines []Line, m Method) run {
	if m.WaterC == 0 {
		m.WaterC = TapC
	}
	if m.RoomC == 0 {
		m.RoomC = usualRoomC
	}
	r := run{lines: lines, m: m}
	layout := Lay(lines, m)
	r.made.Layout, r.l = layout, &layout
	r.made.Balance.In = r.ingoing()
	r.soak()
	r.grind()
	r.ice()
	return r
}

// end strains and finishes it.
func (r *run) end() {
	r.strain()
	r.finish(r.brew(), r.whisk())
}

// ingoing is everything but what goes into the glass: what the balance must find again.
func (r *run) ingoing() ingredient.Content {
	var in ingredient.Content
	for n := range r.lines {
		if !contains(r.l.Serve, n) {
			in.Add(r.lines[n].G, r.lines[n].Per)
		}
	}
	return in
}

func (l *Line) content() ingredient.Content { return l.Per.Times(l.G) }

// contains is slices.Contains for the few places there are, without its generics' cost.
func contains(all []int, n int) bool {
	for _, at := range all {
		if at == n {
			return true
		}
	}
	return false
}

// SoakWaterML is the process water that a dry mass is soaked in, mL.
func (l *Line) SoakWaterML() float64 {
	if l.Ingredient.BulkGPerML == 0 {
		return soakWaterTimes * l.G * (1 + l.Ingredient.UptakeGPerG)
	}
	return math.Max(soakWaterTimes/l.Ingredient.BulkGPerML, 1.25*l.Ingredient.UptakeGPerG) * l.G
}

// soak lets bases take up water, and throws the rest of it away.
func (r *run) soak() {
	waterG, takenG := 0., 0.
	for _, n := range r.l.Soaked {
		waterG += r.lines[n].SoakWaterML()
		takenG += r.TakenUpG(n)
	}
	for _, n := range r.l.Rinsed {
		waterG += rinsedThrown*r.lines[n].G + r.TakenUpG(n)
		takenG += r.TakenUpG(n)
	}
	r.jug[ingredient.Water] += takenG
	b := &r.made.Balance
	b.In[ingredient.Water] += waterG
	b.Thrown[ingredient.Water] += waterG - takenG
	for _, n := range r.l.Aids {
		aid := r.lines[n].content()
		if waterG > 0 {
			passes := aid[ingredient.IodineUg] * takenG / waterG
			aid[ingredient.IodineUg] -= passes
			r.jug[ingredient.IodineUg] += passes
		}
		b.Thrown = b.Thrown.Plus(aid)
	}
}

// TakenUpG is the water a line takes up before it is ground, g.
func (r *run) TakenUpG(n int) float64 { return r.lines[n].G * r.lines[n].Ingredient.UptakeGPerG }

// TakenUpG is the water that a line takes up in a soak or rinse that is thrown
// away, g.
func (l *Layout) TakenUpG(lines []Line, n int) float64 {
	if contains(l.Soaked, n) || contains(l.Rinsed, n) {
		return lines[n].G * lines[n].Ingredient.UptakeGPerG
	}
	return 0
}

// grind parts what is in the jug into what runs and what stays.
func (r *run) grind() {
	r.made.Seconds = r.m.Seconds
	if r.made.Seconds == 0 {
		r.made.Seconds = DefaultSeconds(r.lines, r.l.Ground)
	}
	if !r.m.Coarse && r.m.Strainer != Juicer {
		r.made.LateS = lateSeconds(r.lines, r.l.Ground, r.made.Seconds)
	}
	r.warm()
	r.g = grinding{seconds: r.made.Seconds, lateS: r.made.LateS, highSpeed: r.m.HighSpeed, juicer: r.m.Strainer == Juicer, coarse: r.m.Coarse, tempC: r.made.GroundC, frees: r.m.FreesShare}
	r.of, r.solid = make([]Line, 0, len(r.l.Ground)), make([]ingredient.Content, 0, len(r.l.Ground))
	for _, n := range r.l.Ground {
		line := &r.lines[n]
		r.made.Ground.Add(line.G, line.Per)
		if !r.l.IsGround || !line.leavesSolids() {
			r.jug.Add(line.G, line.Per)
			continue
		}
		liquid, solids := part(line.content(), line.releaseOf(r.g))
		r.jug = r.jug.Plus(liquid)
		if line.Ingredient.Class == ingredient.SpiceDry {
			r.loose = r.loose.Plus(solids) // ground spice is fine enough for any strainer
			continue
		}
		if solids.MassG() > 0 {
			r.of, r.solid = append(r.of, *line), append(r.solid, solids)
		}
	}
	r.made.SolidsG = total(r.solid).MassG()
}

// part divides what is ground into what the liquid takes and what stays solid.
func part(in ingredient.Content, share released) (liquid, solids ingredient.Content) {
	for c, amount := range in {
		liquid[c] = amount * share[c]
		solids[c] = amount - liquid[c]
	}
	return liquid, solids
}

// total adds up what several lines bring.
func total(all []ingredient.Content) ingredient.Content {
	var sum ingredient.Content
	for _, c := range all {
		sum = sum.Plus(c)
	}
	return sum
}

// warm is the temperature at the end of grinding: what goes in, mixed, and what
// the blender puts into a load of it.
func (r *run) warm() {
	var capacity, heat, waterCapacity, waterHeat, massG float64
	add := func(c ingredient.Content, tempC float64, isWater bool) {
		k := HeatCapacity(c, tempC)
		capacity, heat, massG = capacity+k, heat+k*tempC, massG+c.MassG()
		if isWater {
			waterCapacity, waterHeat = waterCapacity+k, waterHeat+k*tempC
		}
	}
	var taken ingredient.Content
	taken[ingredient.Water] = r.jug[ingredient.Water]
	add(taken, r.m.RoomC, false)
	for _, n := range r.l.Ground {
		line := &r.lines[n]
		add(line.content(), r.startsC(line), line.Ingredient.Role == ingredient.Liquid)
	}
	if waterCapacity > 0 {
		r.made.WaterC = waterHeat / waterCapacity
	}
	if capacity == 0 {
		return
	}
	r.jugC = heat / capacity
	r.made.GroundC = math.Max(r.jugC, math.Min(mostGroundC, r.jugC+r.blendingWarms(capacity, massG)))
	r.jugC = r.made.GroundC
}

// startsC is how warm a line goes in.
func (r *run) startsC(line *Line) float64 {
	switch {
	case line.Ingredient.Role != ingredient.Liquid:
		return r.m.RoomC
	case line.Ingredient.Has(ingredient.TagIce):
		return 0
	case line.TempC != 0:
		return line.TempC
	}
	return r.m.WaterC
}

// blendingWarms is what the blender adds to a load, °C: its power over the time
// by the load's heat capacity, or as the cook measured it.
func (r *run) blendingWarms(capacityJPerK, massG float64) float64 {
	if !r.l.IsGround || r.m.Strainer == Juicer {
		return 0
	}
	if r.m.WarmsC > 0 {
		return r.m.WarmsC * r.made.Seconds / 60
	}
	jug := r.m.JugML
	if jug == 0 {
		jug = usualLoadML
	}
	share := r.m.share()
	loads := math.Max(1, massG/share/jug)
	watts := float64(regularWatts)
	if r.m.HighSpeed {
		watts = highSpeedWatts
	}
	return watts * r.made.Seconds * loads * share / capacityJPerK
}

// share is the part of a batch that is followed.
func (m Method) share() float64 {
	if m.Share == 0 {
		return 1
	}
	return m.Share
}

// ice melts into what was ground, before it is strained.
func (r *run) ice() {
	var ice ingredient.Content
	for _, n := range r.l.Ice {
		ice = ice.Plus(r.lines[n].content())
	}
	if g := ice.MassG(); g > 0 {
		all := r.jug.Plus(total(r.solid)).Plus(r.loose)
		capacity := HeatCapacity(all, r.jugC)
		r.jugC = math.Max(0, (capacity*r.jugC-g*meltingHeat)/(capacity+HeatCapacity(ice, 0)))
		r.jug = r.jug.Plus(ice)
	}
	if r.m.Coarse && r.l.IsGround {
		r.jugC = r.m.FridgeC // it has stood there for a day
	}
	r.made.IcedC = r.jugC
}

// strain parts the jug into milk and pulp, with what rinses it and what comes of
// grinding the pulp again.
func (r *run) strain() {
	if len(r.solid) == 0 && !r.l.IsGround {
		r.jug = r.jug.Plus(r.gather(r.l.Early)).Plus(r.gather(r.l.Rinse)).Plus(r.gather(r.l.Again))
		return
	}
	if r.m.Strainer == None {
		r.jug = r.jug.Plus(total(r.solid)).Plus(r.gather(r.l.Early)).Plus(r.gather(r.l.Rinse)).Plus(r.gather(r.l.Again))
		r.jug = r.jug.Plus(r.loose)
		return
	}
	stays, fines := make([]ingredient.Content, len(r.solid)), r.loose
	for n, solids := range r.solid {
		p := r.of[n].fines(r.m.Strainer, r.g)
		fines = fines.Plus(solids.Times(p))
		stays[n] = solids.Times(1 - p)
	}
	milk, held := drain(r.jug.Plus(r.gather(r.l.Early)), r.holdsG())
	if rinse := r.gather(r.l.Rinse); rinse.MassG() > 0 {
		var through ingredient.Content
		through, held = drain(held.Plus(rinse), r.holdsG())
		milk = milk.Plus(through)
	}
	r.made.pulp = pulp{lines: r.of, solids: stays, held: held, g: r.g}
	if again := r.gather(r.l.Again); again.MassG() > 0 {
		var second ingredient.Content
		second, r.made.pulp = r.made.pulp.again(again, r.m)
		milk = milk.Plus(second)
	}
	milk = milk.Plus(fines)
	b := &r.made.Balance
	b.Walls = milk.Times(WallShare)
	b.Pulp = r.made.pulp.all()
	r.made.HeldG = r.made.pulp.held.MassG()
	r.jug = milk.Times(1 - WallShare)
}

func (p pulp) all() ingredient.Content { return total(p.solids).Plus(p.held) }

// holdsG is what all the pulp can hold.
func (r *run) holdsG() float64 {
	holds := 0.
	for n := range r.of {
		holds += r.of[n].holds(r.m.Strainer, r.solid[n], r.g)
	}
	return holds * r.m.Held()
}

// Held is what the strainer leaves in the pulp, against the default; 1 where nobody measured.
func (m Method) Held() float64 { return cmp.Or(m.HeldShare, 1) }

// Spread is how far Held may be off either way: HeldSpread until a kitchen's own batches tell.
func (m Method) Spread() float64 { return cmp.Or(m.HeldRange, HeldSpread) }

// again grinds the pulp once more with liquid: the solids give up what as long
// again in the blender would have brought, and what the pulp holds is let down.
func (p pulp) again(liquid ingredient.Content, m Method) (milk ingredient.Content, left pulp) {
	longer := p.g
	longer.seconds, longer.lateS = 2*longer.seconds, 2*longer.lateS
	left = pulp{lines: p.lines, solids: make([]ingredient.Content, len(p.solids)), g: longer}
	jug, holds := p.held.Plus(liquid), 0.
	for n := range p.solids {
		line := &p.lines[n]
		once, twice := line.releaseOf(p.g), line.releaseOf(longer)
		for c, amount := range p.solids[n] {
			gives := 0.
			if once[c] < 1 {
				gives = amount * math.Max(0, (twice[c]-once[c])/(1-once[c]))
			}
			jug[c] += gives
			left.solids[n][c] = amount - gives
		}
		holds += line.holdsAgain(m.Strainer, left.solids[n], longer)
	}
	milk, left.held = drain(jug, holds*m.Held())
	return milk, left
}

// holdsAgain is holds, of solids that no fines pass from any more.
func (l *Line) holdsAgain(s Strainer, stays ingredient.Content, g grinding) float64 {
	if p := l.fines(s, g); p < 1 {
		return l.holds(s, stays.Times(1/(1-p)), g)
	}
	return 0
}

// Again is what grinding the pulp once more with so much water, g, gives.
func (m Made) Again(waterG float64, how Method) (milk, left ingredient.Content) {
	milk, p := m.pulp.again(ingredient.Content{ingredient.Water: waterG}, how)
	return milk.Times(1 - WallShare), p.all()
}

// drain parts a liquid into what runs off and what a pulp of the given capacity,
// in g, keeps hold of.
func drain(liquid ingredient.Content, capacityG float64) (runs, held ingredient.Content) {
	q := liquid.MassG()
	if q == 0 {
		return liquid, held
	}
	share := math.Min(capacityG, q) / q
	return liquid.Times(1 - share), liquid.Times(share)
}

// gather is what the lines at these places bring together.
func (r *run) gather(at []int) ingredient.Content {
	var sum ingredient.Content
	for _, n := range at {
		sum.Add(r.lines[n].G, r.lines[n].Per)
	}
	return sum
}

// brew is the share of the brewed part that goes in.
func (r *run) brew() ingredient.Content {
	var liquid, stays ingredient.Content
	for _, n := range r.l.Brewed {
		line := &r.lines[n]
		in, solids := part(line.content(), line.releaseOf(grinding{coarse: true}))
		liquid, stays = liquid.Plus(in), stays.Plus(solids)
	}
	runs, held := drain(liquid, brewHolds*stays.MassG())
	used := r.m.BrewUsed
	if used == 0 {
		used = 1
	}
	b := &r.made.Balance
	b.Pulp = b.Pulp.Plus(stays).Plus(held)
	b.Leftover = runs.Times(1 - used)
	return runs.Times(used)
}

// whisk is what is whisked off its seed; the seed holds some of it.
func (r *run) whisk() ingredient.Content {
	var off ingredient.Content
	b := &r.made.Balance
	for _, n := range r.l.Whisked {
		line := &r.lines[n]
		share := shares{whiskedShare, whiskedShare, sugarsAlways, whiskedShare, whiskedShare, whiskedShare}.all()
		in, stays := part(line.content(), share)
		off = off.Plus(in)
		b.Pulp = b.Pulp.Plus(stays)
		_, held := drain(r.jug.Plus(off), seedHolds*line.G*line.Ingredient.StoneShare)
		b.Pulp = b.Pulp.Plus(held)
		off = off.Plus(held.Times(-1))
	}
	return off
}

// pan is what is heated with the drink. Of a spice that is lifted out it keeps what a brew would.
func (r *run) pan() ingredient.Content {
	in := r.gather(r.l.InPan)
	for _, n := range r.l.LiftOut {
		line := &r.lines[n]
		_, out := part(line.content(), line.releaseOf(grinding{coarse: true}))
		in = in.Plus(out.Times(-1))
		r.made.Balance.Thrown = r.made.Balance.Thrown.Plus(out)
	}
	return in
}

// finish heats what is heated, and joins what joins.
func (r *run) finish(brewed, whisked ingredient.Content) {
	drink := r.heat(r.jug.Plus(whisked).Plus(r.pan()))
	drink = drink.Plus(brewed).Plus(r.gather(r.l.Joins)).Plus(r.gather(r.l.Late)).Plus(r.gather(r.l.Blooms))
	r.made.Balance.Drink = drink
}

// targetC is how hot a heat gets, °C.
func (h Heat) targetC() float64 {
	switch h {
	case Warm:
		return warmC
	case UnderIt:
		return underBoilC
	case Simmer, Boil:
		return boilingC
	}
	return 0
}

// What an open pan loses, kg of water an hour and square metre (from memory): it
// needs 2257 J a gram, and a hob at a simmer gives three to five hundred watts.
const (
	belowLoss     = 2.    // up to warm
	simmerLoss    = 15.   // just bubbling
	boilLoss      = 35.   // rolling
	losesFromC    = 90.   // half of the target's from here on
	coveredShare  = .1    // of it, under a lid
	secondsAnHour = 3600. // s
)

// lossAt is the loss at a heat, once it is reached.
func (h Heat) lossAt() float64 {
	switch h {
	case Boil:
		return boilLoss
	case Simmer:
		return simmerLoss
	case UnderIt:
		return simmerLoss / 2
	}
	return belowLoss
}

// Pans are how many pans of which diameter, cm, a volume is heated in.
func (m Method) Pans(ml float64) (count, cm float64) {
	switch {
	case m.PanCM > 0:
		return 1, m.PanCM
	case ml <= panMostML:
		return 1, panCM
	case ml <= widePanMostML:
		return 1, widePanCM
	}
	return math.Ceil(ml / widePanMostML), widePanCM
}

// heat brings the drink to its heat and keeps it there, losing water by the pan's
// open surface, and soy its foam.
func (r *run) heat(c ingredient.Content) ingredient.Content {
	h := r.l.Heat
	if h == Unheated || c.MassG() == 0 {
		return c
	}
	target := h.targetC()
	r.made.HeatedC = target
	share := r.m.share()
	count, cm := r.m.Pans(VolumeML(c, 4) / share)
	areaM2 := share * count * math.Pi / 4 * cm * cm / 1e4
	full := h.lossAt()
	capacity := HeatCapacity(c, (r.jugC+target)/2)
	toS := func(fromC, toC float64) float64 {
		return capacity * math.Max(0, toC-fromC) / (panWatts * count * share)
	}
	lossKg := areaM2 / secondsAnHour * (belowLoss*toS(r.jugC, math.Min(target, losesFromC)) +
		full/2*toS(math.Max(r.jugC, losesFromC), target) + full*r.l.Minutes*60)
	if r.m.Covered {
		lossKg *= coveredShare
	}
	lossKg *= cmp.Or(r.m.SteamShare, 1)
	b := &r.made.Balance
	if r.hasSoy() && h.Reaches() {
		b.Skimmed = c.Times(foamShare)
		c = c.Times(1 - foamShare)
	}
	lossG := math.Min(lossKg*1000, (1-leastWaterStays)*c[ingredient.Water])
	b.Evaporated[ingredient.Water] = lossG
	c[ingredient.Water] -= lossG
	return c
}

// hasSoy tells whether the boil must not be left out.
func (r *run) hasSoy() bool {
	for n := range r.lines {
		if r.lines[n].Ingredient.Class == ingredient.Soy && r.lines[n].G > 0 {
			return true
		}
	}
	return false
}

// Released is the share of a component that grinding brought out of a line's
// solids; ok is false of a line that has none.
func (m *Made) Released(l *Line, n int, how Method, c ingredient.Component) (share float64, ok bool) {
	if !m.Layout.IsGround || !contains(m.Layout.Ground, n) || l.Ingredient.Role != ingredient.Base {
		return 0, false
	}
	r := l.releaseOf(grinding{seconds: m.Seconds, lateS: m.LateS, highSpeed: how.HighSpeed, juicer: how.Strainer == Juicer, coarse: how.Coarse, tempC: m.GroundC, frees: how.FreesShare})
	return r[c], true
}

// SecondsOf is how long an ingredient is in the blender while it runs.
func (m *Made) SecondsOf(i *ingredient.Ingredient) float64 {
	return grinding{seconds: m.Seconds, lateS: m.LateS}.of(i).seconds
}

// JoinsLate tells whether a line goes into the jug for the end of the grind only.
func (m *Made) JoinsLate(i *ingredient.Ingredient) bool { return m.LateS > 0 && joinsLate(i) }
