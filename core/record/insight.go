package record

import (
	"cmp"
	"math"
	"slices"
	"time"

	"plushladle/core/say"
)

// Making is what the record has of one batch, for a look over all of them.
type Making struct {
	Batch, Drink int64
	Name         string // of the drink
	Base         string // and the strainer it is learned by; both empty where nothing is learned
	Strainer     say.Text
	Key          string // of both
	MadeOn       time.Time
	ForecastML   float64 // what the figures said then
	YieldML      float64 // measured; 0 where it was not
	MadeML       float64 // that went into bottles
	DrunkML      float64
	ThrownML     float64
	IsGone       bool    // no bottle of it is in use
	PerL         float64 // what a litre cost; 0 where it is not known
	ShopPerL     float64 // of the like in a shop; 0 where it is not known
	Stars        float64 // the mean of its tastings; 0 without any
	Sweet        float64 // the mean notch of its tastings
	Tasted       int     // times
	Soured       bool    // early, as a taster or the bin had it
}

// Action is the one thing an insight offers.
type Action string

// The actions.
const (
	SeeLearned Action = "learned"   // what the forecast goes by now
	MakeLess   Action = "make-less" // size the drink to ML
	PlanOne    Action = "plan"      // put it on the plan
	TasteIt    Action = "taste"     // go on from the last tasting to a next version
	LookAt     Action = "look"      // at the batches
)

// Insight is a sentence worth knowing, with the figures behind it and what to do.
type Insight struct {
	Code     string
	Drink    int64
	Batch    int64    // the newest it rests on
	Text     say.Text // the sentence
	Evidence say.Text // the figures behind it
	ML       float64  // a week, that it is about
	Money    float64  // a week; 0 where it is not known
	Action   Action
	ActionML float64 // of MakeLess
	FreezeML float64 // what might be frozen in its place
}

// What an insight needs (judgements, no source).
const (
	leastBatches = 3   // fewer tell nothing
	mostInsights = 5   // more are not read
	lookBackDays = 120 // what lies further back is told by the history
	lastYields   = 6   // batches that a yield is judged by
	offShare     = .04 // that a cook would notice
	surelySE     = 2.  // standard errors from the forecast
	wasteShare   = .15 // thrown away, of what was made
	goodStars    = 4.
	roundML      = 50. // to which sizes are rounded
	tasteOff     = .5  // of a notch, on average
)

// Insights are what is worth knowing of the batches, the most worth first: by the money in a
// week, and by what a week's mL cost where no money is told.
func Insights(all []Making, now time.Time) []Insight {
	recent := []Making{}
	for _, m := range all {
		if now.Sub(m.MadeOn) <= lookBackDays*24*time.Hour {
			recent = append(recent, m)
		}
	}
	slices.SortStableFunc(recent, func(a, b Making) int { return a.MadeOn.Compare(b.MadeOn) })
	var out []Insight
	for _, of := range grouped(recent, func(m Making) any { return m.Key }) {
		out = append(out, yieldOff(of)...)
	}
	for _, of := range grouped(recent, func(m Making) any { return m.Drink }) {
		out = append(out, thrownAway(of)...)
		out = append(out, tastesOff(of)...)
		out = append(out, soursEarly(of)...)
	}
	out = append(out, bestRated(recent)...)
	perML := meanPerML(recent)
	worth := func(i Insight) float64 { return cmp.Or(i.Money, i.ML*perML) }
	slices.SortStableFunc(out, func(a, b Insight) int { return cmp.Compare(worth(b), worth(a)) })
	return out[:min(len(out), mostInsights)]
}

// grouped are the batches by what they have in common, in the order of their first.
func grouped(all []Making, by func(Making) any) [][]Making {
	at, out := map[any]int{}, [][]Making{}
	for _, m := range all {
		key := by(m)
		n, known := at[key]
		if !known {
			n = len(out)
			at[key], out = n, append(out, nil)
		}
		out[n] = append(out[n], m)
	}
	return out
}

// weeks is how long the batches took, at least a week.
func weeks(of []Making) float64 {
	days := of[len(of)-1].MadeOn.Sub(of[0].MadeOn).Hours() / 24
	return math.Max(1, days/7*float64(len(of))/math.Max(1, float64(len(of)-1)))
}

// yieldOff tells that what comes out lies beside the forecast, batch after batch.
func yieldOff(of []Making) []Insight {
	of = slices.DeleteFunc(slices.Clone(of), func(m Making) bool { return m.Key == "" || m.YieldML <= 0 || m.ForecastML <= 0 })
	if len(of) < leastBatches {
		return nil
	}
	of = of[max(0, len(of)-lastYields):]
	var off, yields, forecasts []float64
	for _, m := range of {
		off, yields, forecasts = append(off, m.YieldML/m.ForecastML-1), append(yields, m.YieldML), append(forecasts, m.ForecastML)
	}
	share, sd := meanSD(off)
	if math.Abs(share) < offShare || math.Abs(share) < surelySE*sd/math.Sqrt(float64(len(off))) {
		return nil
	}
	yield, spread := meanSD(yields)
	forecast, _ := meanSD(forecasts)
	last := of[len(of)-1]
	text := say.Of("insight-yield-below", last.Base, -100*share, len(of))
	if share > 0 {
		text = say.Of("insight-yield-above", last.Base, 100*share, len(of))
	}
	ml := math.Abs(share) * forecast * float64(len(of)) / weeks(of)
	return []Insight{{
		Code: "yield/" + last.Key, Drink: last.Drink, Batch: last.Batch, Text: text, Action: SeeLearned, ML: ml, Money: ml / 1000 * last.PerL,
		Evidence: say.Of("insight-yield-evidence", last.Strainer, yield, spread, forecast),
	}}
}

// thrownAway tells that more is made than is drunk.
func thrownAway(of []Making) []Insight {
	of = slices.DeleteFunc(slices.Clone(of), func(m Making) bool { return !m.IsGone || m.MadeML <= 0 })
	if len(of) < leastBatches {
		return nil
	}
	made, thrown := 0., 0.
	for _, m := range of {
		made, thrown = made+m.MadeML, thrown+m.ThrownML
	}
	share := thrown / made
	if share < wasteShare {
		return nil
	}
	last, n := of[len(of)-1], float64(len(of))
	less := math.Max(roundML, math.Round((made-thrown)/n/roundML)*roundML)
	freeze := math.Max(roundML, math.Round(thrown/n/roundML)*roundML)
	ml := thrown / weeks(of)
	return []Insight{{
		Code: "thrown", Drink: last.Drink, Batch: last.Batch, Action: MakeLess, ActionML: less, FreezeML: freeze, ML: ml, Money: ml / 1000 * last.PerL,
		Text: say.Of("insight-thrown", last.Name, portion(share), less, freeze), Evidence: say.Of("insight-thrown-evidence", thrown, made, len(of)),
	}}
}

// portion is a share in words people use.
func portion(share float64) say.Text {
	for _, p := range []struct {
		near float64
		code string
	}{{.2, "share-fifth"}, {.25, "share-quarter"}, {1. / 3, "share-third"}, {.5, "share-half"}} {
		if math.Abs(share-p.near) < .03 {
			return say.Of(p.code)
		}
	}
	return say.Of("share-pct", 100*share)
}

// tastesOff tells that a drink was found too sweet, or not sweet enough, time after time.
func tastesOff(of []Making) []Insight {
	of = slices.DeleteFunc(slices.Clone(of), func(m Making) bool { return m.Tasted == 0 })
	if len(of) < leastBatches {
		return nil
	}
	of = of[len(of)-leastBatches:]
	var notches []float64
	for _, m := range of {
		notches = append(notches, m.Sweet)
	}
	mean, _ := meanSD(notches)
	same := !slices.ContainsFunc(notches, func(n float64) bool { return n*mean <= 0 })
	if math.Abs(mean) < tasteOff || !same {
		return nil
	}
	last := of[len(of)-1]
	text := say.Of("insight-too-sweet", last.Name, len(of))
	if mean < 0 {
		text = say.Of("insight-not-sweet", last.Name, len(of))
	}
	return []Insight{{Code: "sweet", Drink: last.Drink, Batch: last.Batch, Text: text, Evidence: say.Of("insight-taste-evidence", math.Abs(mean)), Action: TasteIt, ML: last.MadeML / weeks(of)}}
}

// soursEarly tells that a drink soured before its date more than once.
func soursEarly(of []Making) []Insight {
	if len(of) < leastBatches {
		return nil
	}
	soured, ml := 0, 0.
	for _, m := range of {
		if m.Soured {
			soured++
			ml += m.ThrownML
		}
	}
	if soured < 2 {
		return nil
	}
	last := of[len(of)-1]
	ml /= weeks(of)
	return []Insight{{Code: "sours", Drink: last.Drink, Batch: last.Batch, Action: LookAt, ML: ml, Money: ml / 1000 * last.PerL, Text: say.Of("insight-sours", last.Name), Evidence: say.Of("insight-sours-evidence", soured, len(of))}}
}

// bestRated tells which drink is liked best, and what it costs beside the shop's.
func bestRated(all []Making) []Insight {
	var best Insight
	top, rated := 0., 0
	for _, of := range grouped(all, func(m Making) any { return m.Drink }) {
		var stars []float64
		drunk := 0.
		for _, m := range of {
			if m.Stars > 0 {
				stars = append(stars, m.Stars)
			}
			drunk += m.DrunkML
		}
		if len(stars) > 0 {
			rated++
		}
		mean, _ := meanSD(stars)
		if len(stars) < leastBatches || mean < goodStars || mean <= top {
			continue
		}
		last := of[len(of)-1]
		top = mean
		best = Insight{Code: "best", Drink: last.Drink, Batch: last.Batch, Action: PlanOne, ML: drunk / weeks(of), Text: say.Of("insight-best", last.Name), Evidence: say.Of("insight-best-evidence", mean, len(stars))}
		if last.PerL > 0 && last.ShopPerL > last.PerL {
			best.Text = say.Of("insight-best-cheaper", last.Name, 100*last.PerL/last.ShopPerL)
			best.Money = best.ML / 1000 * (last.ShopPerL - last.PerL)
		}
	}
	if best.Code == "" || rated < 2 { // the best of one is no news
		return nil
	}
	return []Insight{best}
}

// meanPerML is what a mL costs on average; 1 where no cost is known, so that mL rank alone.
func meanPerML(all []Making) float64 {
	sum, n := 0., 0.
	for _, m := range all {
		if m.PerL > 0 {
			sum, n = sum+m.PerL/1000, n+1
		}
	}
	if n == 0 {
		return 1
	}
	return sum / n
}

// meanSD are the mean and the standard deviation of a sample; 0 of an empty one.
func meanSD(values []float64) (mean, sd float64) {
	if len(values) == 0 {
		return 0, 0
	}
	for _, v := range values {
		mean += v / float64(len(values))
	}
	for _, v := range values {
		sd += (v - mean) * (v - mean)
	}
	return mean, math.Sqrt(sd / math.Max(1, float64(len(values)-1)))
}
