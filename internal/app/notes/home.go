package notes

import (
	"math"
	"slices"

	"plushladle/core/process"
	"plushladle/core/record"
	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// BatchLine is one batch in the list.
type BatchLine struct {
	ID         int64    `json:"id"`
	DrinkID    int64    `json:"drinkID"`
	DrinkName  string   `json:"drinkName"`
	Version    int      `json:"version"`
	MadeOn     string   `json:"madeOn"`
	ForecastML float64  `json:"forecastML"`
	MeasuredML *float64 `json:"measuredML,omitempty"`
	MadeML     float64  `json:"madeML" doc:"that went into bottles"`
	DrunkML    float64  `json:"drunkML"`
	ThrownML   float64  `json:"thrownML"`
	LeftML     float64  `json:"leftML"`
	PerL       float64  `json:"perL" doc:"what a litre cost; 0 where it is not known"`
	Saved      float64  `json:"saved" doc:"against the shop, of what went into bottles; 0 where it is not known"`
	Sweetness  float64  `json:"sweetness" doc:"g of sucrose's sweetness in 100 mL"`
	Tasted     int      `json:"tasted" doc:"times"`
	Stars      float64  `json:"stars" doc:"the mean; 0 where none were given"`
	Flags      []string `json:"flags" doc:"what its tasters noticed, as codes"`
	Words      string   `json:"words"`
}

// Insight is a sentence worth knowing.
type Insight struct {
	Code     string  `json:"code"`
	DrinkID  int64   `json:"drinkID"`
	BatchID  int64   `json:"batchID" doc:"the newest it rests on"`
	Text     string  `json:"text"`
	Evidence string  `json:"evidence" doc:"the figures behind it"`
	Money    float64 `json:"money" doc:"a week; 0 where it is not known"`
	ML       float64 `json:"ml" doc:"a week"`
	Action   string  `json:"action" enum:"learned,make-less,plan,taste,look"`
	ActionML float64 `json:"actionML" doc:"what make-less sizes the drink to"`
}

// DrinkMade is a drink with how often it was made.
type DrinkMade struct {
	ID      int64  `json:"id"`
	Name    string `json:"name"`
	Batches int    `json:"batches"`
}

// Notes is the record at a glance.
type Notes struct {
	Batches   int         `json:"batches" doc:"all there are"`
	Since     string      `json:"since" doc:"the date of the first; empty before any"`
	MadeML    float64     `json:"madeML"`
	DrunkML   float64     `json:"drunkML"`
	ThrownML  float64     `json:"thrownML"`
	Saved     float64     `json:"saved" doc:"against the shop, where both prices are known"`
	Currency  string      `json:"currency"`
	WorthIt   []Insight   `json:"insights" doc:"worth knowing, the most worth first"`
	Found     int         `json:"found" doc:"that hold what is looked for"`
	Lines     []BatchLine `json:"lines" doc:"the newest of these first"`
	DrinkMade []DrinkMade `json:"drinks" doc:"the one made last first"`
}

// mostLines are listed at once; more are found by a word.
const mostLines = 60

// Notes is the record at a glance; find narrows the list to batches that hold all of its words.
func (s Service) Notes(find string) (Notes, error) {
	if err := s.figure(); err != nil {
		return Notes{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return Notes{}, err
	}
	all, err := s.store.MadeBatches(0)
	if err != nil {
		return Notes{}, err
	}
	out := Notes{Batches: len(all), Currency: settings.Currency, WorthIt: []Insight{}, Lines: []BatchLine{}, DrinkMade: []DrinkMade{}}
	for n := range all {
		out.count(&all[n], find)
	}
	if len(all) > 0 {
		out.Since = all[len(all)-1].MadeOn
	}
	ways, err := s.Setup()
	if err != nil {
		return Notes{}, err
	}
	for _, i := range record.Insights(makings(all, ways), s.Now()) {
		out.WorthIt = append(out.WorthIt, Insight{
			Code: i.Code, DrinkID: i.Drink, BatchID: i.Batch, Text: wording.Text(i.Text), Evidence: wording.Text(i.Evidence),
			Money: i.Money, ML: i.ML, Action: string(i.Action), ActionML: i.ActionML,
		})
	}
	return out, nil
}

// count adds a batch up, and lists it where it is looked for.
func (n *Notes) count(b *store.MadeBatch, find string) {
	line := lineOf(b)
	n.MadeML, n.DrunkML, n.ThrownML, n.Saved = n.MadeML+line.MadeML, n.DrunkML+line.DrunkML, n.ThrownML+line.ThrownML, n.Saved+line.Saved
	n.name(b)
	if !b.Has(find) {
		return
	}
	n.Found++
	if len(n.Lines) < mostLines {
		n.Lines = append(n.Lines, line)
	}
}

func (n *Notes) name(b *store.MadeBatch) {
	for k := range n.DrinkMade {
		if n.DrinkMade[k].ID == b.DrinkID {
			n.DrinkMade[k].Batches++
			return
		}
	}
	n.DrinkMade = append(n.DrinkMade, DrinkMade{b.DrinkID, b.DrinkName, 1})
}

func lineOf(b *store.MadeBatch) BatchLine {
	return BatchLine{
		ID: b.ID, DrinkID: b.DrinkID, DrinkName: b.DrinkName, Version: b.Version, MadeOn: b.MadeOn, ForecastML: b.ForecastML, MeasuredML: b.MeasuredML,
		MadeML: b.MadeML, DrunkML: b.DrunkML, ThrownML: b.ThrownML, LeftML: b.LeftML, PerL: b.PerL, Saved: savedOf(b), Sweetness: b.Sweetness,
		Tasted: b.Tasted, Stars: b.Stars, Flags: flagsIn(b.Flags), Words: b.Words,
	}
}

// savedOf is what the shop's like of it would have cost more; what was thrown away saved nothing.
func savedOf(b *store.MadeBatch) float64 {
	if b.PerL == 0 || b.ShopPerL == 0 {
		return 0
	}
	return (b.MadeML-b.ThrownML)/1000*b.ShopPerL - b.MadeML/1000*b.PerL
}

// makings are the batches as the core looks over them.
func makings(all []store.MadeBatch, ways kitchen.Setup) []record.Making {
	out := make([]record.Making, len(all))
	for n := range all {
		b := &all[n]
		m := record.Making{
			Batch: b.ID, Drink: b.DrinkID, Name: b.DrinkName, Key: b.HeldKey, MadeOn: b.Day(), ForecastML: b.ForecastML,
			MadeML: b.MadeML, DrunkML: b.DrunkML, ThrownML: b.ThrownML, IsGone: b.InUse == 0, PerL: b.PerL, ShopPerL: b.ShopPerL,
			Stars: b.Stars, Sweet: b.Sweet, Tasted: b.Tasted, Soured: b.Soured,
		}
		if b.MeasuredML != nil {
			m.YieldML = *b.MeasuredML
		}
		if base, strainer, ok := app.Keyed(b.HeldKey); ok {
			m.Base = base
			if i, known := ways.Catalogue.ByID(base); known {
				m.Base = i.Name
			}
			if s, err := process.ParseStrainer(strainer); err == nil {
				m.Strainer = s.Told()
			}
		}
		out[n] = m
	}
	return out
}

// figure works out what batches of an older version cost and how sweet they are, once.
func (s Service) figure() error {
	batches, err := s.store.Unfigured()
	if err != nil {
		return err
	}
	for _, b := range batches {
		figures := store.BatchFigures{ShopPerL: b.Version.Recipe.ShopPrice}
		if d, _, err := s.Read(b.DrinkName, b.Version.Recipe); err == nil {
			if r, err := d.Reckon(); err == nil && r.Drink != nil {
				figures = app.FiguresOf(r, b.Version.Recipe.ShopPrice)
			}
		}
		if err := s.store.KeepFigures(b.ID, figures); err != nil {
			return err
		}
	}
	return nil
}

// History is how one drink went, batch by batch, the earliest first.
type History struct {
	ID       int64        `json:"id"`
	Name     string       `json:"name"`
	Version  int          `json:"version" doc:"the newest that was made"`
	Kept     []int        `json:"kept" doc:"the numbers of the versions that were saved, the newest first"`
	Currency string       `json:"currency"`
	Points   []BatchLine  `json:"points"`
	Charts   []Chart      `json:"charts"`
	MadeML   float64      `json:"madeML"`
	DrunkML  float64      `json:"drunkML"`
	ThrownML float64      `json:"thrownML"`
	Saved    float64      `json:"saved"`
	Versions []Tally      `json:"versions" doc:"how each version did"`
	Trials   []BlindTrial `json:"trials"`
	Gap      []GapLine    `json:"gap" doc:"what a litre lacks beside a fortified carton and cow's milk"`
}

// Tally is how a version did, over its batches.
type Tally struct {
	Version   int     `json:"version"`
	Batches   int     `json:"batches"`
	YieldML   float64 `json:"yieldML" doc:"the mean of those measured; 0 for none"`
	Stars     float64 `json:"stars"`
	PerL      float64 `json:"perL"`
	Sweetness float64 `json:"sweetness"`
	ThrownPct float64 `json:"thrownPct"`
}

// Chart is one small chart: its values along the batches, 0 at the foot and 1 at the top.
type Chart struct {
	Figure string  `json:"figure" enum:"yield,stars,cost,sweetness,waste,made,drunk,thrown,saved"`
	Low    float64 `json:"low" doc:"at the foot"`
	High   float64 `json:"high" doc:"at the top"`
	Last   float64 `json:"last"`
	Aim    float64 `json:"aim" doc:"0 to 1: the forecast of the last, for the yield; -1 for none"`
	Dots   []Dot   `json:"dots"`
}

// Dot is one batch on a chart, or one week.
type Dot struct {
	X     float64 `json:"x" doc:"0 the first batch, 1 the last"`
	Y     float64 `json:"y"`
	Batch int64   `json:"batch"`
}

// History is how a drink went.
func (s Service) History(id int64) (History, error) {
	if err := s.figure(); err != nil {
		return History{}, err
	}
	drink, err := s.store.Drink(id)
	if err != nil {
		return History{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return History{}, err
	}
	all, err := s.store.MadeBatches(id)
	if err != nil {
		return History{}, err
	}
	out := History{ID: id, Name: drink.Name, Currency: settings.Currency, Points: []BatchLine{}, Charts: []Chart{}, Versions: []Tally{}, Trials: []BlindTrial{}, Gap: []GapLine{}, Kept: []int{}}
	for _, v := range drink.Versions {
		out.Kept = append(out.Kept, v.Number)
	}
	slices.SortFunc(out.Kept, func(a, b int) int { return b - a })
	for n := len(all) - 1; n >= 0; n-- {
		line := lineOf(&all[n])
		out.Points, out.Version = append(out.Points, line), line.Version
		out.MadeML, out.DrunkML, out.ThrownML, out.Saved = out.MadeML+line.MadeML, out.DrunkML+line.DrunkML, out.ThrownML+line.ThrownML, out.Saved+line.Saved
	}
	out.Versions = tallies(out.Points)
	out.Points = out.Points[max(0, len(out.Points)-mostDots):] // all of them are in the CSV
	out.Charts = charts(out.Points)
	if out.Trials, err = s.trialsOf(all); err != nil {
		return out, err
	}
	out.Gap, err = s.gap(drink)
	return out, err
}

// charted are the figures there are charts of, and whether a batch has one.
var charted = []struct {
	figure string
	of     func(BatchLine) (float64, bool)
}{
	{"yield", func(l BatchLine) (float64, bool) {
		if l.MeasuredML == nil {
			return 0, false
		}
		return *l.MeasuredML, true
	}},
	{"stars", func(l BatchLine) (float64, bool) { return l.Stars, l.Stars > 0 }},
	{"cost", func(l BatchLine) (float64, bool) { return l.PerL, l.PerL > 0 }},
	{"sweetness", func(l BatchLine) (float64, bool) { return l.Sweetness, l.Sweetness > 0 }},
	{"waste", func(l BatchLine) (float64, bool) {
		return 100 * l.ThrownML / math.Max(1, l.MadeML), l.MadeML > 0 && l.LeftML == 0
	}},
}

// charts draws each figure that two batches have.
func charts(points []BatchLine) []Chart {
	out := []Chart{}
	for _, c := range charted {
		if chart, ok := chartOf(points, c.figure, c.of); ok {
			out = append(out, chart)
		}
	}
	return out
}

// mostDots batches are shown, the newest: no more dots fit beside one another.
const mostDots = 100

func chartOf(points []BatchLine, figure string, of func(BatchLine) (float64, bool)) (Chart, bool) {
	chart := Chart{Figure: figure, Low: math.Inf(1), High: math.Inf(-1), Aim: -1, Dots: []Dot{}}
	forecast := 0.
	for n, p := range points {
		v, has := of(p)
		if !has {
			continue
		}
		chart.Low, chart.High, chart.Last = math.Min(chart.Low, v), math.Max(chart.High, v), v
		forecast = p.ForecastML
		chart.Dots = append(chart.Dots, Dot{X: float64(n) / math.Max(1, float64(len(points)-1)), Y: v, Batch: p.ID})
	}
	if len(chart.Dots) < 2 {
		return chart, false
	}
	if figure == "yield" {
		chart.Low, chart.High = math.Min(chart.Low, forecast), math.Max(chart.High, forecast)
	}
	chart.widen()
	for n := range chart.Dots {
		chart.Dots[n].Y = chart.at(chart.Dots[n].Y)
	}
	if figure == "yield" {
		chart.Aim = chart.at(forecast)
	}
	return chart, true
}

// leastWide is how wide a chart at least is, as a share of its figure, so that what hardly moves
// does not look as if it did.
const leastWide = .1

func (c *Chart) widen() {
	if c.Figure == "stars" {
		c.Low, c.High = 0, mostStars
		return
	}
	middle := (c.Low + c.High) / 2
	half := math.Max((c.High-c.Low)/2, math.Max(middle*leastWide/2, 1e-9))
	c.Low, c.High = math.Max(0, middle-half), middle+half
}

func (c *Chart) at(v float64) float64 { return (v - c.Low) / math.Max(1e-9, c.High-c.Low) }

// tallies are how each version did, the newest first.
func tallies(points []BatchLine) []Tally {
	out := []Tally{}
	for n := len(points) - 1; n >= 0; n-- {
		if len(out) == 0 || out[len(out)-1].Version != points[n].Version {
			if known := indexOf(out, points[n].Version); known < 0 {
				out = append(out, tallyOf(points, points[n].Version))
			}
		}
	}
	return out
}

func indexOf(all []Tally, version int) int {
	for n, t := range all {
		if t.Version == version {
			return n
		}
	}
	return -1
}

func tallyOf(points []BatchLine, version int) Tally {
	t := Tally{Version: version}
	var yields, stars, costs mean
	made, thrown := 0., 0.
	for _, p := range points {
		if p.Version != version {
			continue
		}
		t.Batches++
		t.Sweetness = p.Sweetness
		if p.MeasuredML != nil {
			yields.add(*p.MeasuredML)
		}
		stars.add(p.Stars)
		costs.add(p.PerL)
		made, thrown = made+p.MadeML, thrown+p.ThrownML
	}
	t.YieldML, t.Stars, t.PerL = yields.of(), stars.of(), costs.of()
	if made > 0 {
		t.ThrownPct = 100 * thrown / made
	}
	return t
}

// mean is that of what is known; 0 where nothing is.
type mean struct{ sum, n float64 }

func (m *mean) add(v float64) {
	if v > 0 {
		m.sum, m.n = m.sum+v, m.n+1
	}
}

func (m *mean) of() float64 { return m.sum / math.Max(1, m.n) }
