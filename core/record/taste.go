package record

import (
	"cmp"
	"math"
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/core/solve"
)

// Flag is something a taster noticed that no slider says.
type Flag string

// The flags.
const (
	Gritty    Flag = "gritty"     // between the teeth
	Slimy     Flag = "slimy"      // ropy, as oats get
	Separates Flag = "separates"  // flakes in hot coffee
	Settles   Flag = "settles"    // a thick layer soon stands at the bottom
	SourEarly Flag = "sour-early" // before its date
	Bitter    Flag = "bitter"
	SkinForms Flag = "skin-forms" // on top, once it was heated
)

// Flags are all of them, in the order they are offered.
var Flags = []Flag{Gritty, Slimy, Separates, Settles, SourEarly, Bitter, SkinForms}

// What the sliders say, where what happened may explain it.
const (
	TooSweet Flag = "too-sweet"
	TooSpicy Flag = "too-much-spice"
	TooThin  Flag = "too-thin"
	TooThick Flag = "too-thick"
)

// Found is all that a tasting found: what the sliders say, then the flags.
func (t Tasting) Found() []Flag {
	var out []Flag
	for _, s := range []struct {
		is   bool
		flag Flag
	}{{t.Sweet > 0, TooSweet}, {t.Spice > 0, TooSpicy}, {t.Body < 0, TooThin}, {t.Body > 0, TooThick}} {
		if s.is {
			out = append(out, s.flag)
		}
	}
	return append(out, t.Flags...)
}

// Tasting is what one taster said of a batch. Each slider is in notches from just right, which
// is 0: -2 is far too little, 2 far too much.
type Tasting struct {
	Sweet, Body, Spice, Salt float64
	Stars                    float64 // 1 to 5 by halves; 0 where none were given
	Flags                    []Flag
}

// MostNotches is how far a slider goes either way.
const MostNotches = 2.

// What a notch is, as a share of the figure. Sweetness goes by the practice of the trade;
// that a tenth of sugar is just noticed and three tenths are much is told of drinks of all
// kinds. The others are judgements, of the same size or a little more, since spice and salt
// are told apart less finely (no source).
const (
	notchSweet = .85
	notchWater = .85 // liquid to a cup of base
	notchSpice = .80
	notchSalt  = .75
	notchFat   = .85
)

// saltedGPerL is a pinch (a sixteenth of a teaspoon) to the litre, which a notch asks for where
// no salt is in.
const saltedGPerL = .37

// How says what a change does.
type How string

// What can be changed.
const (
	TurnDial    How = "dial"     // amounts are solved for a figure
	AddSalt     How = "salt"     // grams of it
	SetSeconds  How = "seconds"  // in the blender
	SetWaterC   How = "water"    // °C of grinding liquid
	SetSoakH    How = "soak"     // hours
	SetStrainer How = "strainer" // another one
	SetCovered  How = "covered"  // a lid on the pan
	SetSkinned  How = "skinned"  // the base goes in without its skins
)

// Change is one thing made otherwise.
type Change struct {
	How      How
	Dial     reckon.DialName  // of TurnDial
	To       float64          // the figure, in the dial's unit, s, °C, h or g
	Strainer process.Strainer // of SetStrainer
}

// Moved is a figure and where it goes.
type Moved struct {
	Figure   string // sweetness, fat, strength, spice, salt, seconds, water, soak, strainer, steam, skinned
	From, To float64
}

// LineChange is an amount that is another in the next version.
type LineChange struct{ Name, From, To string }

// Proposal is one change for the next version, with what it rests on and what it does.
type Proposal struct {
	Code   string       // the finding and the change, the same while both are: too-sweet/dial
	Reason []say.Text   // what was found, and what speaks for this
	Change Change       // to be applied
	Moves  Moved        // the figure it is made for
	Lines  []LineChange // amounts that are others then
	KeepsH float64      // how many hours longer it keeps; negative for shorter
	PerL   float64      // what a litre costs more
}

// Propose is what a tasting asks of the next version, by the rules of the trade: first what the
// sliders say, the loudest first, then what the flags come to by the facts of the batch. Each
// stands on its own, applied to the drink as it was made.
func Propose(d *reckon.Drink, t Tasting, facts Facts) []Proposal {
	var out []Proposal
	for _, f := range findings(d, t) {
		if p, ok := propose(d, f); ok {
			out = append(out, p)
		}
	}
	for _, flag := range t.Found() {
		for _, c := range Diagnose(flag, facts) {
			if c.Change == nil {
				continue
			}
			f := finding{string(flag) + "/" + c.Code, []say.Text{say.Of("flag-" + string(flag)), c.Evidence}, *c.Change, facts.was(*c.Change)}
			if p, ok := propose(d, f); ok && !slices.ContainsFunc(out, func(o Proposal) bool { return o.Change == p.Change }) {
				out = append(out, p)
			}
		}
	}
	return out
}

// finding is a reason to change something.
type finding struct {
	code   string
	reason []say.Text
	change Change
	was    float64 // what really happened of the figure; 0 for what the recipe says
}

// findings are what the sliders come to.
func findings(d *reckon.Drink, t Tasting) []finding {
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return nil
	}
	values := map[reckon.DialName]float64{}
	for _, dial := range r.Dials {
		if dial.Known {
			values[dial.Code] = dial.Value
		}
	}
	turn := func(n float64, little, much string, dial reckon.DialName, share float64) (finding, bool) {
		now := values[dial]
		if n == 0 || now <= 0 {
			return finding{}, false
		}
		code := much
		if n < 0 {
			code = little
		}
		return finding{code + "/" + string(dial), []say.Text{degree(n, code)}, Change{How: TurnDial, Dial: dial, To: now * math.Pow(share, n)}, 0}, true
	}
	type slider struct {
		off float64
		f   finding
	}
	var all []slider
	add := func(n float64, f finding, ok bool) {
		if ok {
			all = append(all, slider{math.Abs(n), f})
		}
	}
	if f, ok := salted(r, t); ok {
		add(math.Max(math.Abs(t.Salt), math.Abs(t.Sweet)+.1), f, true) // salt before sugar
	}
	f, ok := turn(t.Sweet, "too-little-sweet", "too-sweet", reckon.Sweetness, notchSweet)
	add(t.Sweet, f, ok)
	if values[reckon.Strength] > 0 {
		f, ok = turn(-t.Body, "too-thick", "too-thin", reckon.Strength, notchWater)
	} else {
		f, ok = turn(t.Body, "too-thin", "too-thick", reckon.Fat, notchFat)
	}
	add(t.Body, f, ok)
	f, ok = turn(t.Spice, "too-little-spice", "too-much-spice", reckon.SpiceDial, notchSpice)
	add(t.Spice, f, ok)
	slices.SortStableFunc(all, func(a, b slider) int { return cmp.Compare(b.off, a.off) })
	out := make([]finding, len(all))
	for n, s := range all {
		out[n] = s.f
	}
	return out
}

// littleSaltMg is sodium in 100 mL below which a drink that wants more sugar may only want salt
// (a judgement: half of what cartons have).
const littleSaltMg = 20

// salted is what the salt slider says, or a pinch where the drink tastes flat for want of it.
func salted(r *reckon.Reckoning, t Tasting) (finding, bool) {
	saltG := 0.
	for _, w := range r.Batch.Lines {
		if w.Line.Ingredient.Role == ingredient.Salt && !w.Line.Locked {
			saltG += w.MassG
		}
	}
	litres := r.Drink.VolumeML / 1000
	flat := t.Salt == 0 && t.Sweet < 0 && r.Per100mL.SodiumMg < littleSaltMg
	switch {
	case t.Salt > 0 && saltG > 0:
		return finding{"too-salty/salt", []say.Text{degree(t.Salt, "too-salty")}, Change{How: AddSalt, To: saltG*math.Pow(notchSalt, t.Salt) - saltG}, 0}, true
	case t.Salt < 0:
		return finding{"too-little-salt/salt", []say.Text{degree(t.Salt, "too-little-salt")}, Change{How: AddSalt, To: math.Max(saltG*(math.Pow(notchSalt, t.Salt)-1), -t.Salt*saltedGPerL*litres)}, 0}, true
	case flat:
		return finding{"flat/salt", []say.Text{say.Of("salt-before-sugar")}, Change{How: AddSalt, To: saltedGPerL * litres}, 0}, true
	}
	return finding{}, false
}

// degree is a finding with how much of it.
func degree(n float64, code string) say.Text {
	if math.Abs(n) > 1 {
		return say.Of("much-" + code)
	}
	return say.Of("a-little-" + code)
}

// leastMove is the least of a figure that is worth a new version, as a share.
const leastMove = .01

// propose works out what a change does; ok is false where it does nothing, or cannot be.
func propose(d *reckon.Drink, f finding) (Proposal, bool) {
	before, err := d.Reckon()
	if err != nil || before.Drink == nil {
		return Proposal{}, false
	}
	changed, err := Apply(d, f.change)
	if err != nil {
		return Proposal{}, false
	}
	after, err := changed.Reckon()
	if err != nil || after.Drink == nil {
		return Proposal{}, false
	}
	p := Proposal{Code: f.code, Reason: f.reason, Change: f.change, Moves: f.change.moves(d, before, &changed, after), Lines: lineChanges(d, &changed)}
	if f.was > 0 { // the recipe may have been right, and the cook in a hurry
		p.Moves.From = f.was
	}
	far := math.Abs(p.Moves.To - p.Moves.From)
	if f.change.How != SetStrainer && far <= leastMove*math.Max(math.Abs(p.Moves.From), math.Abs(p.Moves.To)) {
		return Proposal{}, false
	}
	if before.Keeps.Known() && after.Keeps.Known() {
		p.KeepsH = 24 * (after.Keeps.Days(d.School) - before.Keeps.Days(d.School))
	}
	if before.Cost.Known && after.Cost.Known {
		p.PerL = after.Cost.PerLitre - before.Cost.PerLitre
	}
	return p, true
}

// moves is the figure that a change is made for, before and after.
func (c Change) moves(d *reckon.Drink, before *reckon.Reckoning, changed *reckon.Drink, after *reckon.Reckoning) Moved {
	switch c.How {
	case TurnDial:
		return Moved{string(c.Dial), dialOf(before, c.Dial), dialOf(after, c.Dial)}
	case AddSalt:
		return Moved{"salt", before.Per100mL.SodiumMg, after.Per100mL.SodiumMg}
	case SetSeconds:
		return Moved{"seconds", before.Made.Seconds, after.Made.Seconds}
	case SetWaterC:
		return Moved{"water", before.Made.WaterC, after.Made.WaterC}
	case SetSoakH:
		return Moved{"soak", soakH(d, before), soakH(changed, after)}
	case SetStrainer:
		return Moved{"strainer", float64(d.Method.Strainer), float64(changed.Method.Strainer)}
	case SetCovered:
		return Moved{"steam", before.SteamG, after.SteamG}
	}
	return Moved{"skinned", skinned(d), skinned(changed)}
}

func dialOf(r *reckon.Reckoning, name reckon.DialName) float64 {
	for _, dial := range r.Dials {
		if dial.Code == name {
			return dial.Value
		}
	}
	return 0
}

// soakH is how long it soaks: as said, else the ideal of what soaks longest.
func soakH(d *reckon.Drink, r *reckon.Reckoning) float64 {
	if h := d.AsSaid().SoakHours; h > 0 || r.Soak == nil {
		return h
	}
	return r.Soak.Hours.Ideal
}

// skinned is the share of the bases, by number, that go in without their skins.
func skinned(d *reckon.Drink) float64 {
	all, without := 0., 0.
	for _, l := range d.Lines {
		if l.Ingredient != nil && l.Ingredient.Role == ingredient.Base {
			all++
			if l.Treatment.Skinned {
				without++
			}
		}
	}
	if all == 0 {
		return 0
	}
	return without / all
}

// Apply is the drink with one change. The error, a *fault.Error, says what cannot be reached.
func Apply(d *reckon.Drink, c Change) (reckon.Drink, error) {
	out := *d
	out.Lines, out.Changes = slices.Clone(d.Lines), slices.Clone(d.Changes)
	switch c.How {
	case TurnDial:
		return turned(d, c)
	case AddSalt:
		addSalt(&out, c.To)
	case SetSeconds:
		out.Method.Seconds = c.To
		out.Changes = without(out.Changes, "grind", "seconds")
	case SetWaterC:
		out.Method.WaterC = c.To
	case SetSoakH:
		out.Changes = append(without(out.Changes, "soak", "hours"), process.Change{At: process.At{Kind: "soak", N: 1}, Do: process.Set, Params: map[string]float64{"hours": c.To}})
	case SetStrainer:
		out.Method.Strainer = c.Strainer
	case SetCovered:
		out.Method.Covered = true
	case SetSkinned:
		for n := range out.Lines {
			if l := &out.Lines[n]; l.Ingredient != nil && l.Ingredient.Role == ingredient.Base {
				l.Treatment.Skinned = true
			}
		}
	}
	return out, nil
}

// without are the changes but for what they set of one param.
func without(changes []process.Change, kind, param string) []process.Change {
	return slices.DeleteFunc(changes, func(c process.Change) bool {
		_, sets := c.Params[param]
		return c.Do == process.Set && c.At.Kind == kind && sets
	})
}

// spoonNear is how near a spoon has to come to a solved amount to be written in its place, as a
// share: a notch is fifteen per cent, and a cook would sooner have the spoon.
const spoonNear = .075

// turned is the drink with a dial turned, and the amounts that changed in the nearest spoons.
func turned(d *reckon.Drink, c Change) (reckon.Drink, error) {
	turn := solve.Turn{To: map[reckon.DialName]float64{c.Dial: c.To}}
	if giver, ok := strongest(d, c.Dial); ok {
		turn.Give = map[reckon.DialName]int{c.Dial: giver}
	}
	solved, err := solve.Dials(d, turn)
	if err == nil && len(solved.Missed) > 0 && turn.Give != nil { // that line alone does not reach it
		turn.Give = nil
		solved, err = solve.Dials(d, turn)
	}
	if err != nil {
		return reckon.Drink{}, err
	}
	out := solved.Drink
	was := map[string]string{}
	for _, l := range d.Lines {
		was[l.Key+"/"+l.Name] = l.Amount.String()
	}
	for n := range out.Lines {
		l := &out.Lines[n]
		if l.Ingredient == nil || l.Amount.String() == was[l.Key+"/"+l.Name] {
			continue
		}
		a, ok := spoon(d, *l)
		if !ok {
			a = inGrams(d, *l)
		}
		l.Amount = a
	}
	return out, nil
}

// strongest is the line that gives most of a dial: a cook changes the syrup, and not the date
// along with it. Spices are turned together, since nobody says which of them is too much.
func strongest(d *reckon.Drink, dial reckon.DialName) (place int, ok bool) {
	gives := map[reckon.DialName]func(recipe.Line) float64{
		reckon.Sweetness: func(l recipe.Line) float64 { return l.Ingredient.PerGram.SucroseEquivalentG() },
		reckon.Fat:       func(l recipe.Line) float64 { return l.Ingredient.PerGram[ingredient.Fat] },
	}[dial]
	role := map[reckon.DialName]ingredient.Role{reckon.Sweetness: ingredient.Sweetener, reckon.Fat: ingredient.FatRole}[dial]
	if gives == nil {
		return 0, false
	}
	most := 0.
	for n, l := range d.Lines {
		if l.Ingredient == nil || l.Kept || l.Locked || l.Ingredient.Role != role || l.When() == ingredient.Serve {
			continue
		}
		if g, _, err := l.Grams(d.System); err == nil && g*gives(l) > most {
			place, most = n, g*gives(l)
		}
	}
	return place, most > 0
}

// mostScoops is how many scoops an amount is written in; more are weighed.
const mostScoops = 4

// inGrams is a line's amount to three figures, which is what a scale and a cook have use for.
func inGrams(d *reckon.Drink, l recipe.Line) quantity.Amount {
	g, _, err := l.Grams(d.System)
	if err != nil || g <= 0 {
		return l.Amount
	}
	digits := math.Pow(10, 2-math.Floor(math.Log10(g)))
	return quantity.Of(math.Round(g*digits)/digits, quantity.Gram)
}

// spoon is a line's amount in the spoons there are, where they come near.
func spoon(d *reckon.Drink, l recipe.Line) (quantity.Amount, bool) {
	g, _, err := l.Grams(d.System)
	bulk := l.BulkGPerML()
	if err != nil || bulk <= 0 || g <= 0 || l.Amount.IsMetric() && d.Drawer == nil {
		return quantity.Amount{}, false
	}
	if d.Drawer != nil {
		scoop, ok := d.Drawer.Scoop(g/bulk, spoonNear)
		return scoop.Amount(), ok && scoop.Scoops <= mostScoops
	}
	a, off := quantity.Kitchen(g/bulk, d.System, spoonNear)
	return a, !a.IsMetric() && math.Abs(off) <= spoonNear
}

// addSalt puts grams of salt onto the salt there is, or onto a line of its own.
func addSalt(d *reckon.Drink, g float64) {
	for n := range d.Lines {
		l := &d.Lines[n]
		if l.Ingredient == nil || l.Ingredient.Role != ingredient.Salt || l.Locked {
			continue
		}
		if was, _, err := l.Grams(d.System); err == nil && was+g > 0 {
			l.Amount = d.MeasureOf(*l, was+g)
			return
		}
	}
	salt, _ := ingredient.Standard().ByID("salt")
	line := recipe.Line{Ingredient: salt, Name: salt.Name, Stage: salt.Stage, Amount: quantity.Of(reckon.FourFigures(g), quantity.Gram), Added: true}
	d.Lines = append(d.Lines, line)
}

// lineChanges are the amounts that differ, and the lines that came.
func lineChanges(from, to *reckon.Drink) []LineChange {
	out := []LineChange{}
	for n, l := range to.Lines {
		switch {
		case n >= len(from.Lines):
			out = append(out, LineChange{l.Name, "", l.Amount.String()})
		case from.Lines[n].Amount.String() != l.Amount.String():
			out = append(out, LineChange{l.Name, from.Lines[n].Amount.String(), l.Amount.String()})
		}
	}
	return out
}
