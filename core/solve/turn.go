// Package solve runs the figures of a drink the other way: from what is wanted to the
// amounts that give it.
//
// # Dials
//
// [Dials] is asked for a sweetness, a fat, a strength, and finds the amounts of the lines
// that give. The figures are close to linear in the amounts, so that a few steps of
// Newton's method, each with a full reckoning, bring them to a thousandth. Dials that were
// not asked to move are held; what cannot be reached is said with the nearest that can.
//
// # What else is asked
//
// [Swap] keeps what the swapped line was there for (sweetness, fat, weight, use) and says
// first what it changes besides. [ToSpoons] moves amounts to what the spoons in the drawer
// hold, [Match] looks for a drink with given figures, [TryCup] scales to the batch what a
// cup was sweetened with, [WithIce] puts ice in the place of water.
//
// # From a wish
//
// [Design] goes the whole way: from a kind of drink and whatever else is known to a recipe.
// A base stands at the strength of its kind, a family of tastes in the amounts its spices
// usually have, and the dials are solved to the middle of the kind's bands. Then it is
// sized in quarter cups, the bases first and the water after them, so that the drink stays
// as strong, and what is left is solved once more and brought to the spoons there are.
// What is not said stays open: each idea is another base or another taste, what the pantry
// holds coming first, and none holds what somebody it is for must not have.
//
// # What really went in
//
// [WorkBack] infers what was left open from the milk and the pulp that were weighed, by
// conservation of mass; [Made] is the drink as it was made, [Rescaled] what the lines that
// are still to come follow to after too much of one.
package solve

import (
	"fmt"
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// dialLimits are what can be asked of each dial.
var dialLimits = map[reckon.DialName]struct {
	most float64
	code string // of the fault beyond it
}{
	reckon.Sweetness: {150, "sweetness-out-of-range"},
	reckon.Fat:       {90, "fat-out-of-range"},
	reckon.Strength:  {100, "strength-out-of-range"},
	reckon.SpiceDial: {500, "spice-out-of-range"},
}

// Turn is what is asked of the dials.
type Turn struct {
	To   map[reckon.DialName]float64 // the figures wanted
	Give map[reckon.DialName]int     // the line that gives, by its place; all lines of the kind where it is left out
	Hold bool                        // keep the other dials where they are, as far as lines of their kind can
}

// Solved is the drink with its dials set.
type Solved struct {
	Drink  reckon.Drink // its amounts solved; a line may have been added at its end
	Moved  []Move       // dials that were not asked to move and did
	Missed []Miss       // dials that could not be brought to where they were asked
}

// Move is a dial that went from one figure to another.
type Move struct {
	Dial     reckon.DialName // one that nobody turned
	From, To float64         // that it went along
}

// Miss is a dial that stopped at the nearest figure it can reach, and why.
type Miss struct {
	Dial            reckon.DialName // could not be reached
	Wanted, Nearest float64         // the value asked for, and the best there is
	Why             say.Text        // in words
}

// Turn solves the amounts for the dials. Locked lines stay as they are; the
// lines of a kind grow and shrink together unless one is chosen to give. A
// drink with no sweetener gets white sugar and one with no added fat refined
// coconut oil, where those are asked for. Neither figure asked for nor amount
// is ever negative. The error, a *fault.Error, names the dial.
func Dials(d *reckon.Drink, t Turn) (*Solved, error) {
	work := *d
	work.Lines = slices.Clone(d.Lines)
	s, before, err := toSolve(&work)
	if err != nil {
		return nil, err
	}
	setting := turning{d: &work, solver: s, turn: t, values: values(before), taken: map[int]bool{}}
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
	if after.VolumeML < leastShare*before.VolumeML {
		return nil, fault.New(string(wanted[0]), "", "leaves-nothing-of-the-drink")
	}
	now := values(after) // before lines are dropped: it reads them
	out := &Solved{Moved: moves(values(before), now, t.To)}
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

// doses is where every knob stands, g.
func (s *solver) doses() []float64 {
	doses := make([]float64, len(s.knobs))
	for n, k := range s.knobs {
		doses[n] = k.dose
	}
	return doses
}

// toSolve weighs the lines for a solver. Amounts that follow from the others
// are written out first, as the others are about to change.
func toSolve(d *reckon.Drink) (*solver, *reckon.Batch, error) {
	r := &reckon.Reckoning{Lines: make([]reckon.LineReckoning, len(d.Lines))}
	lines := d.Weigh(r)
	for n, w := range lines {
		if w.Line.Amount.IsToCover() || w.Line.Amount.IsToTotal() {
			d.Lines[w.Index].Amount = quantity.Of(reckon.FourFigures(w.MassG), quantity.Gram)
			lines[n].Line = &d.Lines[w.Index]
		}
	}
	s := &solver{d: d, lines: lines}
	b := s.at(nil)
	if s.err != nil {
		return nil, nil, s.err
	}
	if b.Finished.MassG() == 0 {
		return nil, nil, fault.New("lines", "", "nothing-to-solve")
	}
	return s, b, nil
}

// values are the figures of the dials.
func values(b *reckon.Batch) map[reckon.DialName]float64 {
	v := map[reckon.DialName]float64{
		reckon.Sweetness: b.Finished.SucroseEquivalentG() / b.VolumeML * 100,
		reckon.Fat:       100 * b.Finished[ingredient.Fat] / b.Finished.MassG(),
		reckon.SpiceDial: b.SpiceG() / b.VolumeML * 1000,
	}
	if b.BaseML > 0 {
		v[reckon.Strength] = b.GroundML / b.BaseML
	}
	return v
}

// aimFor is the distance from what was asked, by dial: each is written so that it is
// linear in grams where the process is.
func aimFor(dial reckon.DialName, to float64) aim {
	switch dial {
	case reckon.Sweetness:
		return func(b *reckon.Batch) float64 { return b.Finished.SucroseEquivalentG() - to*b.VolumeML/100 }
	case reckon.Fat:
		return func(b *reckon.Batch) float64 { return b.Finished[ingredient.Fat] - to/100*b.Finished.MassG() }
	case reckon.Strength:
		return func(b *reckon.Batch) float64 { return b.GroundML - to*b.BaseML }
	}
	return func(b *reckon.Batch) float64 { return b.SpiceG() - to*b.VolumeML/1000 }
}

// turning sets up the knobs of a turn.
type turning struct {
	d      *reckon.Drink               // what is turned
	solver *solver                     // whose knobs
	turn   Turn                        // what was asked
	values map[reckon.DialName]float64 // what to reach
	taken  map[int]bool                // lines that a knob turns already
}

// knobs makes a knob for every dial asked for, then for every dial to be held,
// and returns the dials in the order of the knobs.
func (t *turning) knobs() ([]reckon.DialName, error) {
	for dial, to := range t.turn.To {
		if err := checkTarget(dial, to); err != nil {
			return nil, err
		}
	}
	var dials []reckon.DialName
	for _, dial := range reckon.DialNames {
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
	for _, dial := range reckon.DialNames {
		now, known := t.values[dial]
		if _, asked := t.turn.To[dial]; asked || !t.turn.Hold || !known || dial == reckon.Strength {
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

// turnFor makes the lines one knob for a dial; bases and spices have a lid, so that a slip
// does not empty the pantry.
func (t *turning) turnFor(dial reckon.DialName, to float64, lines []int) {
	k := t.solver.knobOf(lines)
	for _, at := range lines {
		t.taken[at] = true
	}
	switch t.solver.lines[lines[0]].Line.Ingredient.Role {
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
	mostBaseTimes  = 8    // what there was
	mostSpiceShare = 0.05 // of the rest of the batch
)

// checkTarget refuses what no drink has, by the dial's own limit.
func checkTarget(dial reckon.DialName, to float64) error {
	limit, known := dialLimits[dial]
	if !known {
		return fault.New(string(dial), "", "unknown-dial")
	}
	low := 0.
	if dial == reckon.Strength {
		low = 0.1
	}
	if !(to >= low && to <= limit.most) {
		return fault.New(string(dial), fmt.Sprint(to), limit.code)
	}
	return nil
}

// givers are the lines that give for a dial that is asked for.
func (t *turning) givers(dial reckon.DialName) ([]int, error) {
	if place, chosen := t.turn.Give[dial]; chosen {
		for at, w := range t.solver.lines {
			if w.Index == place && !t.taken[at] && canGive(w, dial) {
				return []int{at}, nil
			}
		}
		return nil, fault.New(string(dial), "", "chosen-line-cannot-give")
	}
	if lines := t.left(dial); len(lines) > 0 {
		return lines, nil
	}
	if t.anyOf(dial) {
		return nil, fault.New(string(dial), "", "all-givers-locked")
	}
	id, ok := map[reckon.DialName]string{reckon.Sweetness: "white-sugar", reckon.Fat: "coconut-oil"}[dial]
	if !ok {
		return nil, fault.New(string(dial), "", map[reckon.DialName]string{reckon.Strength: "nothing-to-thin", reckon.SpiceDial: "nothing-to-spice"}[dial])
	}
	return []int{addLine(t.d, t.solver, id)}, nil
}

// anyOf tells whether there are lines of the dial's kind, locked or not.
func (t *turning) anyOf(dial reckon.DialName) bool {
	return slices.ContainsFunc(t.solver.lines, func(w reckon.Weighed) bool { return isOf(w, dial) })
}

// left are the free lines of the dial's own kind.
func (t *turning) left(dial reckon.DialName) []int {
	var lines []int
	for at, w := range t.solver.lines {
		if !t.taken[at] && isOf(w, dial) && canGive(w, dial) {
			lines = append(lines, at)
		}
	}
	if _, hasBase := t.values[reckon.Strength]; dial == reckon.Strength && !hasBase {
		return nil
	}
	return lines
}

// addLine puts a line of an ingredient at the drink's end, with no amount yet,
// and returns its place among the solver's lines.
func addLine(d *reckon.Drink, s *solver, id string) int {
	i, _ := ingredient.Standard().ByID(id)
	d.Lines = append(d.Lines, recipe.Line{Ingredient: i, Name: i.Name, Amount: quantity.Of(0, quantity.Gram), Stage: i.Stage, Added: true})
	for n := range s.lines { // the lines may have moved in memory
		s.lines[n].Line = &d.Lines[s.lines[n].Index]
	}
	place := len(d.Lines) - 1
	s.lines = append(s.lines, reckon.Weighed{Line: &d.Lines[place], Index: place, Per: &i.PerGram})
	return len(s.lines) - 1
}

// isOf tells whether a line is of the kind that gives for a dial unasked.
func isOf(w reckon.Weighed, dial reckon.DialName) bool {
	i := w.Line.Ingredient
	switch dial {
	case reckon.Sweetness:
		return i.Role == ingredient.Sweetener && i.PerGram.SucroseEquivalentG() > 0
	case reckon.Fat:
		return i.Role == ingredient.FatRole && i.PerGram[ingredient.Fat] > 0
	case reckon.Strength:
		return i.Role == ingredient.Liquid && reckon.BeforeStraining(w.Line.When())
	}
	return i.Role == ingredient.Spice
}

// canGive tells whether a line can give for a dial at all: free, in the
// bottle, and of a kind that moves it.
func canGive(w reckon.Weighed, dial reckon.DialName) bool {
	if w.Line.Locked || w.Line.When() == ingredient.Serve {
		return false
	}
	base := w.Line.Ingredient.Role == ingredient.Base
	return isOf(w, dial) || base && (dial == reckon.Fat || dial == reckon.Strength)
}

// Givers are the places of the lines that can give for each dial.
func Givers(r *reckon.Reckoning) map[reckon.DialName][]int {
	givers := map[reckon.DialName][]int{}
	if r.Batch == nil {
		return givers
	}
	for _, dial := range reckon.DialNames {
		for _, w := range r.Batch.Lines {
			if canGive(w, dial) {
				givers[dial] = append(givers[dial], w.Index)
			}
		}
	}
	return givers
}

// notable is what a dial must move by to be told.
var notable = map[reckon.DialName]float64{reckon.Sweetness: 0.05, reckon.Fat: 0.05, reckon.Strength: 0.05, reckon.SpiceDial: 0.05}

// moves tells which other dials went along by enough to notice.
func moves(before, after map[reckon.DialName]float64, asked map[reckon.DialName]float64) []Move {
	var moved []Move
	for _, dial := range reckon.DialNames {
		if _, wanted := asked[dial]; !wanted && math.Abs(after[dial]-before[dial]) >= notable[dial] {
			moved = append(moved, Move{dial, before[dial], after[dial]})
		}
	}
	return moved
}

// miss says why a dial stopped short.
func miss(dial reckon.DialName, wanted, nearest float64, k knob) Miss {
	m := Miss{Dial: dial, Wanted: wanted, Nearest: nearest, Why: say.Of("givers-at-their-most")}
	if k.dose == 0 {
		m.Why = say.Of("others-bring-as-much")
	}
	return m
}

// told are the codes of what is said of each dial.
var told = map[reckon.DialName]struct{ missed, moved string }{
	reckon.Sweetness: {"sweetness-not-reached", "sweetness-moves"}, reckon.Fat: {"fat-not-reached", "fat-moves"},
	reckon.Strength: {"strength-not-reached", "strength-moves"}, reckon.SpiceDial: {"spice-not-reached", "spice-moves"},
}

// Told is what could not be reached, and what moved besides.
func (t *Solved) Told() []say.Text {
	out := []say.Text{}
	for _, m := range t.Missed {
		out = append(out, say.Of(told[m.Dial].missed, m.Wanted, m.Why, m.Nearest))
	}
	for _, m := range t.Moved {
		out = append(out, say.Of(told[m.Dial].moved, m.From, m.To))
	}
	return out
}
