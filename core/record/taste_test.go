package record_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/record"
)

func proposals(t *testing.T, d reckon.Drink, taste record.Tasting, change func(*record.Facts)) []record.Proposal {
	t.Helper()
	facts := record.FactsOf(&d, reckontest.Reckoned(t, d))
	if change != nil {
		change(&facts)
	}
	return record.Propose(&d, taste, facts)
}

// One notch of each slider moves its figure by the share of the trade, to what spoons hold of it.
func TestANotchMovesItsFigure(t *testing.T) {
	t.Parallel()
	flask := reckontest.Drink(t, reckontest.Flask...)
	for _, c := range []struct {
		taste  record.Tasting
		figure string
		times  float64 // the share, to the notches
	}{
		{record.Tasting{Sweet: 1}, "sweetness", .85},
		{record.Tasting{Sweet: 2}, "sweetness", .85 * .85},
		{record.Tasting{Sweet: -1}, "sweetness", 1 / .85},
		{record.Tasting{Body: -1}, "strength", .85},
		{record.Tasting{Body: 1}, "strength", 1 / .85},
		{record.Tasting{Spice: 1}, "spice", .8},
		{record.Tasting{Spice: -2}, "spice", 1 / .64},
		{record.Tasting{Salt: 1}, "salt", .75},
	} {
		all := proposals(t, flask, c.taste, nil)
		at := slices.IndexFunc(all, func(p record.Proposal) bool { return p.Moves.Figure == c.figure })
		require.GreaterOrEqual(t, at, 0, "%+v: nothing for %s", c.taste, c.figure)
		assert.InEpsilon(t, c.times, all[at].Moves.To/all[at].Moves.From, .08, "%+v %+v", c.taste, all[at])
	}
}

// What is flat for want of salt is offered salt before sugar; with salt enough it is not.
func TestSaltBeforeSugar(t *testing.T) {
	t.Parallel()
	plain := proposals(t, reckontest.Drink(t, "1 cup almonds", "4 cups water", "1 tbsp maple syrup"), record.Tasting{Sweet: -1}, nil)
	require.Len(t, plain, 2)
	assert.Equal(t, "flat/salt", plain[0].Code)
	assert.Equal(t, "sweetness", plain[1].Moves.Figure)
	salted := proposals(t, reckontest.Drink(t, "1 cup almonds", "4 cups water", "1 tbsp maple syrup", "1/2 tsp salt"), record.Tasting{Sweet: -1}, nil)
	require.Len(t, salted, 1)
	assert.Equal(t, "sweetness", salted[0].Moves.Figure)
}

// Whatever is proposed, applied, brings the figure it names to where it says, in the direction
// of the finding, for drinks and tastings of all kinds.
func TestEveryProposalDoesWhatItSays(t *testing.T) {
	t.Parallel()
	at := rand.New(rand.NewPCG(15, 4))
	bases := []string{"almonds", "cashews", "pecans", "rolled oats", "hazelnuts", "sunflower seeds"}
	sweet := []string{"maple syrup", "white sugar", "date syrup", "honey"}
	seen := map[string]int{}
	for range 400 {
		lines := []string{fmt.Sprintf("%d g %s", 80+at.IntN(200), bases[at.IntN(len(bases))]), fmt.Sprintf("%d mL water", 500+at.IntN(900)), fmt.Sprintf("%d g %s", 5+at.IntN(80), sweet[at.IntN(len(sweet))])}
		if at.IntN(2) == 0 {
			lines = append(lines, fmt.Sprintf("%d g cinnamon", 1+at.IntN(4)), "2 g salt")
		}
		d := reckontest.Drink(t, lines...)
		d.Method.Seconds, d.Method.WaterC, d.Method.Strainer = float64(20+at.IntN(120)), float64(5+at.IntN(40)), process.Strainers()[at.IntN(7)]
		taste := record.Tasting{Sweet: float64(at.IntN(5) - 2), Body: float64(at.IntN(5) - 2), Spice: float64(at.IntN(5) - 2), Salt: float64(at.IntN(5) - 2), Flags: []record.Flag{record.Flags[at.IntN(len(record.Flags))]}}
		for _, p := range proposals(t, d, taste, func(f *record.Facts) { f.SoakH = float64(1 + at.IntN(9)) }) {
			seen[p.Moves.Figure]++
			changed, err := record.Apply(&d, p.Change)
			require.NoError(t, err)
			r := reckontest.Reckoned(t, changed)
			now := map[string]float64{"sweetness": r.Per100mL.SucroseEquivalentG, "fat": r.FatPct, "salt": r.Per100mL.SodiumMg, "seconds": r.Made.Seconds, "water": r.Made.WaterC, "strainer": float64(changed.Method.Strainer), "soak": changed.AsSaid().SoakHours, "steam": r.SteamG}
			if v, there := now[p.Moves.Figure]; there {
				assert.InDelta(t, v, p.Moves.To, 1e-6, "%v %+v", lines, p)
			}
			if up, said := map[string]bool{"too-sweet/sweetness": false, "too-little-sweet/sweetness": true, "too-thin/strength": false, "too-thick/strength": true, "too-little-spice/spice": true, "too-much-spice/spice": false, "too-salty/salt": false, "too-little-salt/salt": true}[p.Code]; said {
				assert.Equal(t, up, p.Moves.To > p.Moves.From, "%v %+v", lines, p)
			}
		}
	}
	for _, figure := range []string{"sweetness", "strength", "spice", "salt", "seconds", "water", "soak", "strainer", "skinned"} {
		assert.Positive(t, seen[figure], "%s was never proposed", figure)
	}
}

// usually is a batch in which nothing went wrong: what a cook's hands vary by.
func usually(at *rand.Rand) record.Facts {
	about := func(middle, sd float64) float64 { return middle + sd*at.NormFloat64() }
	return record.Facts{
		SoakIdealH: 8, SoakH: about(8, .6), UsualS: 60, Seconds: about(60, 5), WaterC: about(12, 2), AgeDays: math.Abs(about(1, .6)), FridgeC: about(3.8, .4),
		OutsideH: math.Abs(about(0, .4)), CoolH: about(1.4, .2), FatPct: about(8, .6), Strainer: process.Passes, OverSweet: about(0, .02), OverSpice: about(0, .03), OverWater: about(0, .02), OverBase: about(0, .02),
	}
}

// A made-up batch in which one thing went wrong, among all that varies anyway: it stands first.
func TestThePlantedCauseStandsFirst(t *testing.T) {
	t.Parallel()
	planted := []struct {
		flag  record.Flag
		cause string
		plant func(*record.Facts, float64)
	}{
		{record.Gritty, "soak-short", func(f *record.Facts, by float64) { f.SoakH = 8 * (1 - .5*by) }},
		{record.Gritty, "blend-short", func(f *record.Facts, by float64) { f.Seconds = 60 * (1 - .55*by) }},
		{record.Gritty, "strainer-coarse", func(f *record.Facts, _ float64) { f.Strainer = process.SievePushed }},
		{record.Slimy, "water-warm", func(f *record.Facts, by float64) { f.WaterC = 15 + 20*by }},
		{record.Slimy, "blend-long", func(f *record.Facts, by float64) { f.Seconds = 60 * (1 + .6*by) }},
		{record.Slimy, "squeezed", func(f *record.Facts, _ float64) { f.Strainer = process.Bag }},
		{record.Separates, "old", func(f *record.Facts, by float64) { f.AgeDays = 2 + 3*by }},
		{record.Separates, "lean", func(f *record.Facts, by float64) { f.FatPct = 6 - 4*by }},
		{record.Settles, "blend-short", func(f *record.Facts, by float64) { f.Seconds = 60 * (1 - .55*by) }},
		{record.SourEarly, "fridge-warm", func(f *record.Facts, by float64) { f.FridgeC = 4 + 4*by }},
		{record.SourEarly, "cooled-slowly", func(f *record.Facts, by float64) { f.CoolH = 2 + 2*by }},
		{record.SourEarly, "stood-outside", func(f *record.Facts, by float64) { f.OutsideH = 1 + 2*by }},
		{record.Bitter, "skins", func(f *record.Facts, _ float64) { f.HasSkins = true }},
		{record.Bitter, "over-spice", func(f *record.Facts, by float64) { f.OverSpice = .3 * by }},
		{record.SkinForms, "heated-open", func(f *record.Facts, _ float64) { f.HeatedC = 95 }},
		{record.TooSweet, "over-sweetener", func(f *record.Facts, by float64) { f.OverSweet = .2 * by }},
		{record.TooThin, "over-water", func(f *record.Facts, by float64) { f.OverWater = .2 * by }},
	}
	at := rand.New(rand.NewPCG(3, 9))
	found, all := 0, 0
	for _, p := range planted {
		here := 0
		for range 100 {
			f := usually(at)
			p.plant(&f, .6+.4*at.Float64())
			if causes := record.Diagnose(p.flag, f); len(causes) > 0 && causes[0].Code == p.cause {
				here++
			}
		}
		assert.GreaterOrEqual(t, here, 85, "%s by %s", p.flag, p.cause)
		found, all = found+here, all+100
	}
	assert.GreaterOrEqual(t, found, all*9/10)
}

// What nobody took down speaks against nothing; the general rules are still told.
func TestWhatIsNotKnownIsNoCause(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water")
	f := record.FactsOf(&d, reckontest.Reckoned(t, d))
	assert.Equal(t, 12., f.SoakIdealH)
	for _, c := range record.Diagnose(record.SourEarly, f) {
		assert.Equal(t, "clean-bottles", c.Code)
	}
	assert.NotEmpty(t, record.Diagnose(record.SourEarly, f))
}
