package notes

import (
	"slices"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/plan"
	"plushladle/core/reckon"
	"plushladle/core/record"
	"plushladle/internal/app"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Taste is what a taster says of a batch; sliders are in notches from just right.
type Taste struct {
	BottleID int64    `json:"bottleID,omitempty" minimum:"0" doc:"it was poured from; 0 where that is not known"`
	Who      string   `json:"who,omitempty" maxLength:"60"`
	Sweet    float64  `json:"sweet,omitempty" minimum:"-2" maximum:"2" doc:"-2 far too little, 0 just right, 2 far too much"`
	Body     float64  `json:"body,omitempty" minimum:"-2" maximum:"2" doc:"-2 far too thin, 2 far too thick"`
	Spice    float64  `json:"spice,omitempty" minimum:"-2" maximum:"2"`
	Salt     float64  `json:"salt,omitempty" minimum:"-2" maximum:"2"`
	Stars    float64  `json:"stars,omitempty" minimum:"0" maximum:"5" doc:"by halves; 0 for none given"`
	Flags    []string `json:"flags,omitempty" maxItems:"7" doc:"gritty, slimy, separates, settles, sour-early, bitter, skin-forms"`
	Words    string   `json:"words,omitempty" maxLength:"500"`
}

func (t Taste) tasting() (record.Tasting, error) {
	out := record.Tasting{Sweet: t.Sweet, Body: t.Body, Spice: t.Spice, Salt: t.Salt, Stars: t.Stars, Flags: []record.Flag{}}
	for _, f := range t.Flags {
		if !slices.Contains(record.Flags, record.Flag(f)) {
			return out, fault.New("flags", f, "unknown-flag")
		}
		out.Flags = append(out.Flags, record.Flag(f))
	}
	return out, nil
}

// Tasted is a tasting as it is kept.
type Tasted struct {
	ID int64     `json:"id"`
	At time.Time `json:"at"`
	Taste
}

func tastedOf(t store.Tasting) Tasted {
	out := Tasted{ID: t.ID, At: t.At, Taste: Taste{t.BottleID, t.Who, t.Sweet, t.Body, t.Spice, t.Salt, t.Stars, []string{}, t.Words}}
	for _, f := range t.Flags {
		out.Flags = append(out.Flags, string(f))
	}
	return out
}

// flagsIn are the flags in lists of them as they are kept, one after another.
func flagsIn(kept string) []string {
	out := []string{}
	for _, f := range record.Flags {
		if containsQuoted(kept, string(f)) {
			out = append(out, string(f))
		}
	}
	return out
}

// Taste keeps what a taster says.
func (s Service) Taste(batchID int64, in Taste) (BatchPage, error) {
	if _, err := s.keepTaste(batchID, in); err != nil {
		return BatchPage{}, err
	}
	return s.BatchPage(batchID)
}

// Kept is what is said of a batch, as it is kept.
func (t Taste) Kept(batchID int64) (store.Tasting, error) {
	said, err := t.tasting()
	return store.Tasting{
		BatchID: batchID, BottleID: t.BottleID, Who: kitchen.OneLine(t.Who), Sweet: said.Sweet, Body: said.Body, Spice: said.Spice, Salt: said.Salt,
		Stars: said.Stars, Flags: said.Flags, Words: kitchen.OneLine(t.Words),
	}, err
}

func (s Service) keepTaste(batchID int64, in Taste) (record.Tasting, error) {
	t, err := in.tasting()
	if err != nil {
		return t, err
	}
	kept, err := in.Kept(batchID)
	if err != nil {
		return t, err
	}
	defer s.Changed() // what soured early shortens what is forecast
	if err := s.store.Taste(&kept); err != nil || !slices.Contains(t.Flags, record.SourEarly) {
		return t, err
	}
	return t, s.soured(batchID, in.BottleID)
}

// soured keeps that a bottle soured before its time: the one that was tasted, or the first of
// the batch that still stands there.
func (s Service) soured(batchID, bottleID int64) error {
	b, err := s.store.WholeBatch(batchID)
	if err != nil {
		return err
	}
	for _, x := range b.Bottles {
		if x.ID != bottleID && (bottleID != 0 || x.State != store.InUse) {
			continue
		}
		kept, err := s.store.Bottle(x.ID)
		if err != nil {
			return err
		}
		life, err := shelf.Of(s.Kitchen).LifeLook([]store.Bottle{*kept})
		if err != nil {
			return err
		}
		shown := life.Present(kept)
		return s.Soured(batchID, b.DrinkName, shown.LeftDays, shown.AllDays)
	}
	return nil
}

// DeleteTasting takes a tasting out of the record.
func (s Service) DeleteTasting(id int64) (app.Nothing, error) {
	defer s.Changed()
	return app.Nothing{Done: true}, s.store.DeleteTasting(id)
}

// Cause is why something may have come about.
type Cause struct {
	Code     string `json:"code"`
	Evidence string `json:"evidence"`
	Happened bool   `json:"happened" doc:"in this batch; otherwise it is true in general"`
}

// Finding is something a tasting found, with its likely causes, the likeliest first.
type Finding struct {
	Flag   string  `json:"flag"`
	Text   string  `json:"text"`
	Causes []Cause `json:"causes"`
}

// AmountChange is an amount that is another in the next version.
type AmountChange struct {
	Name string `json:"name"`
	From string `json:"from" doc:"empty for a line that is added"`
	To   string `json:"to"`
}

// TasteProposal is one change for the next version.
type TasteProposal struct {
	Code   string         `json:"code" doc:"to accept it by"`
	Reason string         `json:"reason"`
	What   string         `json:"what" doc:"the change, as a cook would say it"`
	Figure string         `json:"figure" doc:"that it is made for"`
	From   float64        `json:"from"`
	To     float64        `json:"to"`
	Effect string         `json:"effect" doc:"the figure before and after, and what else follows"`
	Lines  []AmountChange `json:"lines"`
}

// Next is what a tasting asks of the next version.
type Next struct {
	Version   int             `json:"version" doc:"the number the next one will have"`
	Findings  []Finding       `json:"findings"`
	Proposals []TasteProposal `json:"proposals"`
}

// Proposals are what a tasting of a batch asks of the next version; nothing is kept.
func (s Service) Proposals(batchID int64, in Taste) (Next, error) {
	t, err := in.tasting()
	if err != nil {
		return Next{}, err
	}
	b, err := s.store.WholeBatch(batchID)
	if err != nil {
		return Next{}, err
	}
	d, facts, err := s.facts(b, in.BottleID)
	if err != nil {
		return Next{}, err
	}
	out := Next{Findings: findings(t, facts), Proposals: []TasteProposal{}}
	for _, p := range record.Propose(d, t, facts) {
		out.Proposals = append(out.Proposals, presentProposal(d, p))
	}
	drink, err := s.store.Drink(b.DrinkID)
	if err != nil {
		return Next{}, err
	}
	out.Version = nextNumber(drink)
	return out, nil
}

func nextNumber(d *store.Drink) int {
	most, kept := 0, false
	for _, v := range d.Versions {
		most = max(most, v.Number)
		kept = kept || kitchen.Same(v.Recipe, d.Draft)
	}
	if !kept { // the draft becomes one first
		most++
	}
	return most + 1
}

// likely is the score from which a cause is told as something that happened.
const likely = .5

func findings(t record.Tasting, facts record.Facts) []Finding {
	out := []Finding{}
	for _, flag := range t.Found() {
		f := Finding{Flag: string(flag), Text: wording.Flag(string(flag)), Causes: []Cause{}}
		for _, c := range record.Diagnose(flag, facts) {
			f.Causes = append(f.Causes, Cause{c.Code, wording.Text(c.Evidence), c.Score >= likely})
		}
		out = append(out, f)
	}
	return out
}

func presentProposal(d *reckon.Drink, p record.Proposal) TasteProposal {
	out := TasteProposal{Code: p.Code, Figure: p.Moves.Figure, From: p.Moves.From, To: p.Moves.To, Lines: []AmountChange{}}
	for _, l := range p.Lines {
		out.Lines = append(out.Lines, AmountChange(l))
	}
	out.Reason, out.What, out.Effect = wording.Proposal(p, d.Method.Strainer)
	return out
}

// Accepted are the changes a cook takes from a tasting.
type Accepted struct {
	Taste  Taste    `json:"taste"`
	Accept []string `json:"accept" minItems:"1" maxItems:"20" doc:"codes of the proposals"`
	Note   string   `json:"note,omitempty" maxLength:"500" doc:"of the version; empty for what was found"`
}

// NextMade is the version that came of a tasting.
type NextMade struct {
	DrinkID int64 `json:"drinkID"`
	Version int   `json:"version"`
}

// NextVersion keeps the tasting, and a version with the changes accepted.
func (s Service) NextVersion(batchID int64, in Accepted) (NextMade, error) {
	b, err := s.store.WholeBatch(batchID)
	if err != nil {
		return NextMade{}, err
	}
	d, facts, err := s.facts(b, in.Taste.BottleID)
	if err != nil {
		return NextMade{}, err
	}
	t, err := s.keepTaste(batchID, in.Taste)
	if err != nil {
		return NextMade{}, err
	}
	changed, note, err := accepted(d, record.Propose(d, t, facts), in.Accept)
	if err != nil {
		return NextMade{}, err
	}
	if in.Note != "" {
		note = kitchen.OneLine(in.Note)
	}
	recipe := b.Version.Recipe.Adopting(d, &changed)
	v, err := s.store.NextVersion(b.DrinkID, recipe, wording.Say("before-tasting"), note)
	if err != nil {
		return NextMade{}, err
	}
	s.Changed()
	return NextMade{b.DrinkID, v.Number}, nil
}

// accepted applies the proposals taken, one after the other, and says what they are for.
// The strength goes first: the other figures are solved in the drink that it gives.
func accepted(d *reckon.Drink, all []record.Proposal, codes []string) (reckon.Drink, string, error) {
	changed, note := *d, ""
	isStrength := func(code string) int {
		if strings.HasSuffix(code, "/"+string(reckon.Strength)) {
			return 0
		}
		return 1
	}
	slices.SortStableFunc(codes, func(a, b string) int { return isStrength(a) - isStrength(b) })
	for _, code := range codes {
		at := slices.IndexFunc(all, func(p record.Proposal) bool { return p.Code == code })
		if at < 0 {
			return changed, "", fault.New("accept", code, "not-proposed")
		}
		next, err := record.Apply(&changed, all[at].Change)
		if err != nil {
			return changed, "", err
		}
		changed = next
		if note != "" {
			note += "; "
		}
		_, what, _ := wording.Proposal(all[at], d.Method.Strainer)
		note += what
	}
	return changed, note, nil
}

// facts are the drink as it was made and what is known of how that went.
func (s Service) facts(b *store.Batch, bottleID int64) (*reckon.Drink, record.Facts, error) {
	d, _, err := s.Read(b.DrinkName, b.Version.Recipe)
	if err != nil {
		return nil, record.Facts{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return nil, record.Facts{}, err
	}
	if r.Drink == nil {
		return nil, record.Facts{}, fault.New("batch", "", "nothing-to-solve")
	}
	f := record.FactsOf(&d, r)
	took(&f, b.Times)
	used(&f, &d, b.Used)
	if err := s.stood(&f, b, bottleID); err != nil {
		return nil, f, err
	}
	return &d, f, nil
}

// took reads the soak and the cooling off the times that steps were done at: each lasts from the
// step before it.
func took(f *record.Facts, times []kitchen.StepTaken) {
	for n, t := range times {
		if n == 0 || t.Skipped {
			continue
		}
		h := t.DoneAt.Sub(times[n-1].DoneAt).Hours()
		switch plan.Kind(t.Kind) {
		case plan.Soak:
			f.SoakH = max(0, h)
		case plan.Cool:
			f.CoolH = max(0, h)
		}
	}
}

// used reads how far what went in lay beside what was planned, by what it is for.
func used(f *record.Facts, d *reckon.Drink, lines []kitchen.UsedLine) {
	planned, really := map[ingredient.Role]float64{}, map[ingredient.Role]float64{}
	for _, u := range lines {
		for _, l := range d.Lines {
			if l.Ingredient != nil && l.Ingredient.Name == u.Name && (u.How == "scale" || u.How == "typed") && u.PlannedG > 0 {
				planned[l.Ingredient.Role] += u.PlannedG
				really[l.Ingredient.Role] += u.UsedG
				break
			}
		}
	}
	over := func(role ingredient.Role) float64 {
		if planned[role] == 0 {
			return 0
		}
		return really[role]/planned[role] - 1
	}
	f.OverSweet, f.OverSpice, f.OverWater, f.OverBase = over(ingredient.Sweetener), over(ingredient.Spice), over(ingredient.Liquid), over(ingredient.Base)
}

// stood is how old it is, how warm it stood, and how long outside.
func (s Service) stood(f *record.Facts, b *store.Batch, bottleID int64) error {
	begun := app.Day(b.MadeOn, s.Now().Location())
	for _, bottle := range b.Bottles {
		if bottle.BegunAt != nil && (bottle.ID == bottleID || bottleID == 0) {
			begun = *bottle.BegunAt
		}
		if bottle.ID == bottleID || bottleID == 0 {
			f.OutsideH = max(f.OutsideH, outsideH(bottle, s.Now()))
		}
	}
	f.AgeDays = max(0, s.Now().Sub(begun).Hours()/24)
	readings, err := s.store.Temperatures(begun)
	if err != nil {
		return err
	}
	sum, n := 0., 0.
	for _, t := range readings {
		if t.TempC > -5 && keep.IsOfAFridge(t.TempC) {
			sum, n = sum+t.TempC, n+1
		}
	}
	if n > 0 {
		f.FridgeC = sum / n
	}
	return nil
}

func outsideH(b store.Bottle, now time.Time) float64 {
	h := 0.
	for n, m := range b.Moves {
		if m.Place != store.Outside {
			continue
		}
		until := now
		if n+1 < len(b.Moves) {
			until = b.Moves[n+1].At
		}
		h += until.Sub(m.At).Hours()
	}
	return h
}
