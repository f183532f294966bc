package formula

import (
	"fmt"
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// DialName names a dial that can be set.
type DialName string

// The dials that can be set.
const (
	Sweetness DialName = "sweetness" // g of sucrose equivalents per 100 mL
	Fat       DialName = "fat"       // % by mass
	Strength  DialName = "strength"  // grinding liquid to 1 of dry base, by cups
	SpiceDial DialName = "spice"     // g/L
)

var dialNames = [...]DialName{Sweetness, Fat, Strength, SpiceDial}

// dialLimits are what can be asked of each dial.
var dialLimits = map[DialName]struct {
	most    float64
	accepts string
}{
	Sweetness: {150, "use 0 to 150 g per 100 mL"},
	Fat:       {90, "use 0 to 90 %"},
	Strength:  {100, "use 0.1 to 100 of liquid to 1 of base"},
	SpiceDial: {500, "use 0 to 500 g/L"},
}

// Turn is what is asked of the dials.
type Turn struct {
	To   map[DialName]float64 // the figures wanted
	Give map[DialName]int     // the line that gives, by its place; all lines of the kind where it is left out
	Hold bool                 // keep the other dials where they are, as far as lines of their kind can
}

// Solved is the drink with its dials set.
type Solved struct {
	Drink  Drink  // its amounts solved; a line may have been added at its end
	Moved  []Move // dials that were not asked to move and did
	Missed []Miss // dials that could not be brought to where they were asked
}

// Move is a dial that went from one figure to another.
type Move struct {
	Dial     DialName
	From, To float64
}

// Miss is a dial that stopped at the nearest figure it can reach, and why.
type Miss struct {
	Dial            DialName
	Wanted, Nearest float64
	Why             string
}

// Turn solves the amounts for the dials. Locked lines stay as they are; the
// lines of a kind grow and shrink together unless one is chosen to give. A
// drink with no sweetener gets white sugar and one with no added fat refined
// coconut oil, where those are asked for. Neither figure asked for nor amount
// is ever negative. The error, a *fault.Error, names the dial.
func (d *Drink) Turn(t Turn) (*Solved, error) {
	work := *d
	work.Lines = slices.Clone(d.Lines)
	s, before, err := work.toSolve()
	if err != nil {
		return nil, err
	}
	setting := turning{d: &work, solver: s, turn: t, values: before.values(), taken: map[int]bool{}}
	wanted, err := setting.knobs()
	if err != nil {
		return nil, err
	}
	reached := s.solve()
	s.write(&work)
	after := s.at(s.doses())
	if s.err != nil {
		return nil, s.err
	}
	if after.ml < leastShare*before.ml {
		return nil, fault.New(string(wanted[0]), "", "leaves nothing of the drink", "add a liquid, or ask for less")
	}
	now := after.values() // before lines are dropped: it reads them
	out := &Solved{Moved: moves(before.values(), now, t.To)}
	for n, dial := range wanted {
		if _, asked := t.To[dial]; asked && !reached[n] {
			out.Missed = append(out.Missed, miss(dial, t.To[dial], now[dial], s.knobs[n]))
		}
	}
	s.dropEmpty()
	out.Drink = work
	return out, nil
}

// leastShare of its volume must be left of a drink by turning a dial.
const leastShare = 0.01

func (s *solver) doses() []float64 {
	doses := make([]float64, len(s.knobs))
	for n, k := range s.knobs {
		doses[n] = k.dose
	}
	return doses
}

// toSolve weighs the lines for a solver. Amounts that follow from the others
// are written out first, as the others are about to change.
func (d *Drink) toSolve() (*solver, *batch, error) {
	r := &Reckoning{Lines: make([]LineReckoning, len(d.Lines))}
	lines := d.weigh(r)
	for n, w := range lines {
		if w.line.Amount.IsToCover() || w.line.Amount.IsToTotal() {
			d.Lines[w.index].Amount = quantity.Of(fourFigures(w.g), quantity.Gram)
			lines[n].line = &d.Lines[w.index]
		}
	}
	s := &solver{d: d, lines: lines}
	b := s.at(nil)
	if s.err != nil {
		return nil, nil, s.err
	}
	if b.finished.MassG() == 0 {
		return nil, nil, fault.New("lines", "", "there is no drink to solve yet", "add a base or a liquid with an amount")
	}
	return s, b, nil
}

// values are the figures of the dials.
func (b *batch) values() map[DialName]float64 {
	v := map[DialName]float64{
		Sweetness: b.finished.SucroseEquivalentG() / b.ml * 100,
		Fat:       100 * b.finished[ingredient.Fat] / b.finished.MassG(),
		SpiceDial: b.spiceG() / b.ml * 1000,
	}
	if b.baseML > 0 {
		v[Strength] = b.groundML / b.baseML
	}
	return v
}

func (b *batch) spiceG() float64 {
	g := 0.
	for _, w := range b.lines {
		if w.line.Ingredient.Role == ingredient.Spice && w.line.When() != ingredient.Serve {
			g += w.g
		}
	}
	return g
}

func aimFor(dial DialName, to float64) aim {
	switch dial {
	case Sweetness:
		return func(b *batch) float64 { return b.finished.SucroseEquivalentG() - to*b.ml/100 }
	case Fat:
		return func(b *batch) float64 { return b.finished[ingredient.Fat] - to/100*b.finished.MassG() }
	case Strength:
		return func(b *batch) float64 { return b.groundML - to*b.baseML }
	}
	return func(b *batch) float64 { return b.spiceG() - to*b.ml/1000 }
}

// turning sets up the knobs of a turn.
type turning struct {
	d      *Drink
	solver *solver
	turn   Turn
	values map[DialName]float64
	taken  map[int]bool // lines that a knob turns already
}

// knobs makes a knob for every dial asked for, then for every dial to be held,
// and returns the dials in the order of the knobs.
func (t *turning) knobs() ([]DialName, error) {
	for dial, to := range t.turn.To {
		if err := checkTarget(dial, to); err != nil {
			return nil, err
		}
	}
	var dials []DialName
	for _, dial := range dialNames {
		to, asked := t.turn.To[dial]
		if !asked {
			continue
		}
		lines, err := t.givers(dial)
		if err != nil {
			return nil, err
		}
		dials = append(dials, dial)
		t.turnFor(dial, to, lines)
	}
	for _, dial := range dialNames {
		now, known := t.values[dial]
		if _, asked := t.turn.To[dial]; asked || !t.turn.Hold || !known || dial == Strength {
			// Strength is moved by base and liquid alone, which turn for it or for fat.
			continue
		}
		if lines := t.left(dial); len(lines) > 0 {
			dials = append(dials, dial)
			t.turnFor(dial, now, lines)
		}
	}
	return dials, nil
}

func (t *turning) turnFor(dial DialName, to float64, lines []int) {
	k := t.solver.knobOf(lines)
	for _, at := range lines {
		t.taken[at] = true
	}
	switch t.solver.lines[lines[0]].line.Ingredient.Role {
	case ingredient.Base:
		k.most = mostBaseTimes * math.Max(k.dose, 1)
	case ingredient.Spice:
		k.most *= mostSpiceShare
	}
	t.solver.knobs = append(t.solver.knobs, k)
	t.solver.aims = append(t.solver.aims, aimFor(dial, to))
}

// How much more of a base a dial may ask for, and how much of other doses a
// spice: beyond, all liquid would stay in the pulp.
const (
	mostBaseTimes  = 8
	mostSpiceShare = 0.05
)

func checkTarget(dial DialName, to float64) error {
	limit, known := dialLimits[dial]
	if !known {
		return fault.New(string(dial), "", "is not a dial", "use sweetness, fat, strength or spice")
	}
	low := 0.
	if dial == Strength {
		low = 0.1
	}
	if !(to >= low && to <= limit.most) {
		return fault.New(string(dial), fmt.Sprint(to), "is out of range", limit.accepts)
	}
	return nil
}

// givers are the lines that give for a dial that is asked for.
func (t *turning) givers(dial DialName) ([]int, error) {
	if place, chosen := t.turn.Give[dial]; chosen {
		for at, w := range t.solver.lines {
			if w.index == place && !t.taken[at] && canGive(w, dial) {
				return []int{at}, nil
			}
		}
		return nil, fault.New(string(dial), "", "the line chosen cannot give: it is locked or does not count", "choose another line")
	}
	if lines := t.left(dial); len(lines) > 0 {
		return lines, nil
	}
	if t.anyOf(dial) {
		return nil, fault.New(string(dial), "", "all lines that could give are locked", "unlock one, or add another")
	}
	id, ok := map[DialName]string{Sweetness: "white-sugar", Fat: "coconut-oil"}[dial]
	if !ok {
		return nil, fault.New(string(dial), "", "there is no line that could give", map[DialName]string{
			Strength: "add a base and a liquid to grind it with", SpiceDial: "add a spice",
		}[dial])
	}
	return []int{t.d.addLine(t.solver, id)}, nil
}

// anyOf tells whether there are lines of the dial's kind, locked or not.
func (t *turning) anyOf(dial DialName) bool {
	return slices.ContainsFunc(t.solver.lines, func(w weighed) bool { return isOf(w, dial) })
}

// left are the free lines of the dial's own kind.
func (t *turning) left(dial DialName) []int {
	var lines []int
	for at, w := range t.solver.lines {
		if !t.taken[at] && isOf(w, dial) && canGive(w, dial) {
			lines = append(lines, at)
		}
	}
	if _, hasBase := t.values[Strength]; dial == Strength && !hasBase {
		return nil
	}
	return lines
}

// addLine puts a line of an ingredient at the drink's end, with no amount yet,
// and returns its place among the solver's lines.
func (d *Drink) addLine(s *solver, id string) int {
	i, _ := ingredient.Standard().ByID(id)
	d.Lines = append(d.Lines, recipe.Line{Ingredient: i, Name: i.Name, Amount: quantity.Of(0, quantity.Gram), Stage: i.Stage, Added: true})
	for n := range s.lines { // the lines may have moved in memory
		s.lines[n].line = &d.Lines[s.lines[n].index]
	}
	place := len(d.Lines) - 1
	s.lines = append(s.lines, weighed{line: &d.Lines[place], index: place, per: &i.PerGram})
	return len(s.lines) - 1
}

// isOf tells whether a line is of the kind that gives for a dial unasked.
func isOf(w weighed, dial DialName) bool {
	i := w.line.Ingredient
	switch dial {
	case Sweetness:
		return i.Role == ingredient.Sweetener && i.PerGram.SucroseEquivalentG() > 0
	case Fat:
		return i.Role == ingredient.FatRole && i.PerGram[ingredient.Fat] > 0
	case Strength:
		return i.Role == ingredient.Liquid && beforeStraining(w.line.When())
	}
	return i.Role == ingredient.Spice
}

// canGive tells whether a line can give for a dial at all: free, in the
// bottle, and of a kind that moves it.
func canGive(w weighed, dial DialName) bool {
	if w.line.Locked || w.line.When() == ingredient.Serve {
		return false
	}
	base := w.line.Ingredient.Role == ingredient.Base
	return isOf(w, dial) || base && (dial == Fat || dial == Strength)
}

// Givers are the places of the lines that can give for each dial.
func (r *Reckoning) Givers() map[DialName][]int {
	givers := map[DialName][]int{}
	if r.batch == nil {
		return givers
	}
	for _, dial := range dialNames {
		for _, w := range r.batch.lines {
			if canGive(w, dial) {
				givers[dial] = append(givers[dial], w.index)
			}
		}
	}
	return givers
}

// NameOf is the name of the ingredient of a line that counts; "" for any other.
func (r *Reckoning) NameOf(place int) string {
	for _, w := range r.batch.lines {
		if w.index == place {
			return w.line.Ingredient.Name
		}
	}
	return ""
}

// notable is what a dial must move by to be told.
var notable = map[DialName]float64{Sweetness: 0.05, Fat: 0.05, Strength: 0.05, SpiceDial: 0.05}

func moves(before, after map[DialName]float64, asked map[DialName]float64) []Move {
	var moved []Move
	for _, dial := range dialNames {
		if _, wanted := asked[dial]; !wanted && math.Abs(after[dial]-before[dial]) >= notable[dial] {
			moved = append(moved, Move{dial, before[dial], after[dial]})
		}
	}
	return moved
}

func miss(dial DialName, wanted, nearest float64, k knob) Miss {
	m := Miss{Dial: dial, Wanted: wanted, Nearest: nearest, Why: "the lines that give cannot bring more"}
	if k.dose == 0 {
		m.Why = "the other lines bring that much without them"
	}
	return m
}

// AtPosition is the figure of a dial at a place on its scale, 0 to 1.
func (r *Reckoning) AtPosition(dial DialName, position float64) float64 {
	position = math.Max(0, math.Min(1, position))
	switch dial {
	case Sweetness:
		return sweetnessScale.value(position)
	case Fat:
		return fatScale.value(position)
	case Strength:
		return strengthScale.value(position)
	}
	return r.spiceAt(spiceScale.value(position))
}

// value is the figure at a place on the scale.
func (s scale) value(position float64) float64 {
	along := position * float64(len(s.names))
	band := min(int(along), len(s.names)-1)
	return s.edges[band] + (along-float64(band))*(s.edges[band+1]-s.edges[band])
}

// spiceAt is the g/L of all spices at which the loudest stands at a level of
// its usual range.
func (r *Reckoning) spiceAt(level float64) float64 {
	if r.batch == nil {
		return 0
	}
	times, gPerL := math.Inf(1), 0.
	for _, w := range r.batch.lines {
		i := w.line.Ingredient
		if i.Role != ingredient.Spice || w.line.When() == ingredient.Serve || w.g == 0 {
			continue
		}
		here := w.g / r.Drink.VolumeML * 1000
		gPerL += here
		times = math.Min(times, usualAt(level, i.Usual, r.strongerBy())/here)
	}
	if math.IsInf(times, 1) {
		return 0
	}
	return gPerL * times
}

// usualAt is the g/L at a level of a usual range: the inverse of usualLevel.
func usualAt(level float64, usual ingredient.Usual, strongerBy float64) float64 {
	usual = known(usual)
	low, high := usual.LowGPerL*strongerBy, usual.HighGPerL*strongerBy
	switch {
	case level < 1:
		return low * level
	case level <= 2:
		return low * math.Pow(high/low, level-1)
	}
	return high * (level - 1)
}

// known takes a middling range for a spice whose own is not known (from memory).
func known(u ingredient.Usual) ingredient.Usual {
	if u.LowGPerL == 0 {
		return ingredient.Usual{LowGPerL: 1, HighGPerL: 5}
	}
	return u
}

var dialWords = map[DialName]struct{ name, unit string }{
	Sweetness: {"Sweetness", " g/100 mL"}, Fat: {"Fat", " %"}, Strength: {"Strength", " of liquid to 1 of base"}, SpiceDial: {"Spice", " g/L"},
}

// Words say what moved besides, and what could not be reached.
func (t *Solved) Words() []string {
	words := []string{}
	for _, m := range t.Missed {
		w := dialWords[m.Dial]
		words = append(words, fmt.Sprintf("%s cannot reach %.3g%s: %s. The nearest, %.3g, was taken.", w.name, m.Wanted, w.unit, m.Why, m.Nearest))
	}
	for _, m := range t.Moved {
		w := dialWords[m.Dial]
		words = append(words, fmt.Sprintf("%s moves from %.3g to %.3g%s.", w.name, m.From, m.To, w.unit))
	}
	return words
}
