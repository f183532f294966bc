package plan

import (
	"fmt"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

var london = func() *time.Location {
	l, err := time.LoadLocation("Europe/London")
	if err != nil {
		return time.UTC
	}
	return l
}()

func job(t testing.TB, name string, readyBy time.Time, tempC float64, lines ...string) Job {
	t.Helper()
	d, r := drink(t, nil, lines...)
	k := Room{TempC: tempC}
	return Job{ID: name, Name: name, ReadyBy: readyBy, Bench: Steps(&d, r, k, OnTheBench), Fridge: Steps(&d, r, k, InTheFridge)}
}

// drink reads lines and reckons them, made the way that is given.
func drink(t testing.TB, way func(*reckon.Drink), lines ...string) (reckon.Drink, *reckon.Reckoning) {
	t.Helper()
	d := reckon.New("drink")
	for n, text := range lines {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err)
		line.Key = fmt.Sprint("line-", n+1)
		d.Lines = append(d.Lines, line)
	}
	if way != nil {
		way(&d)
	}
	r, err := d.Reckon()
	require.NoError(t, err)
	return d, r
}

func at(day, hour, minute int) time.Time { return time.Date(2026, 11, day, hour, minute, 0, 0, london) }

var night = Rules{From: at(26, 18, 0), Hands: Quiet{23 * 60, 6*60 + 30}, Noise: Quiet{21 * 60, 8 * 60}}

func kinds(l Lane) (out []Kind) {
	for _, s := range l.Steps {
		out = append(out, s.Kind)
	}
	return out
}

// holds checks what every plan must keep to.
func holds(t *testing.T, p Plan, rules Rules) {
	t.Helper()
	type work struct {
		lane     int
		from, to time.Time
	}
	var hands []work
	for n, lane := range p.Lanes {
		before := time.Time{}
		for m, s := range lane.Steps {
			require.False(t, s.Start.Before(before), "%s keeps its order at %s", lane.JobID, s.Title)
			before = s.End
			took := s.End.Sub(s.Start)
			assert.GreaterOrEqual(t, took, s.Length.Min-Slot, "%s: %s", lane.JobID, s.Title)
			assert.LessOrEqual(t, took, s.Length.Max+Slot, "%s: %s", lane.JobID, s.Title)
			if s.Kind == Chill {
				assert.False(t, s.End.After(lane.ReadyBy))
			}
			if !s.HandsOn {
				continue
			}
			hands = append(hands, work{n, s.Start, s.End})
			for moment := s.Start; moment.Before(s.End); moment = moment.Add(time.Minute) {
				require.False(t, rules.Hands.covers(moment), "%s at %s in the quiet", s.Title, moment)
				require.False(t, s.Blender && rules.Noise.covers(moment), "%s at %s makes noise", s.Title, moment)
			}
			_ = m
		}
	}
	for i, a := range hands {
		for _, b := range hands[i+1:] {
			if a.lane != b.lane {
				require.False(t, a.from.Before(b.to) && b.from.Before(a.to), "one pair of hands: %v %v", a, b)
			}
		}
	}
}

// An overnight soak for a breakfast of fourteen, four drinks on one blender.
func TestASaturdayBreakfast(t *testing.T) {
	t.Parallel()
	ready := at(28, 13, 0)
	jobs := []Job{
		job(t, "horchata", ready, 20, "3 cups pearl barley", "1 cup melon seeds", "16 cups water"),
		job(t, "sesame", ready, 20, "2 cups sesame seeds", "8 cups water", "1 cup orange juice"),
		job(t, "creamer", ready, 20, "1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup"),
		job(t, "cocoa", ready, 20, "1 cup sunflower seeds", "4 cups water", "3 tbsp cocoa"),
	}
	p, problem := Make(jobs, night)
	require.Nil(t, problem)
	require.Len(t, p.Lanes, 4)
	holds(t, p, night)
	assert.Less(t, EffortOf(p.Work()).Visits, 9, "some visits do for several drinks")
	assert.Equal(t, []Kind{GetReady, Soak, Drain, Grind, Strain, Taste, Bottle, Wash, Chill}, kinds(p.Lanes[2]), "syrup goes into an unheated blend with the base")
}

// Source of the windows: common practice.
func TestSoaksFollowTheirTable(t *testing.T) {
	t.Parallel()
	soak := func(tempC float64, where Soaking, lines ...string) (length Window, parts int) {
		j := job(t, "x", at(28, 9, 0), tempC, lines...)
		steps := j.Bench
		if where == InTheFridge {
			steps = j.Fridge
		}
		for _, s := range steps {
			if s.Kind == Soak {
				parts++
				length = Window{length.Min + s.Length.Min, length.Ideal + s.Length.Ideal, length.Max + s.Length.Max}
			}
		}
		return length, parts
	}
	tests := []struct {
		line            string
		tempC           float64
		where           Soaking
		min, ideal, max float64
		parts           int
	}{
		{"1 cup almonds", 20, OnTheBench, 6, 12, 12, 1},
		{"1 cup almonds", 28, OnTheBench, 6, 6, 6, 1}, // halved eight degrees up
		{"1 cup almonds", 28, InTheFridge, 6, 12, 36, 1},
		{"1 cup cashews", 20, OnTheBench, 1, 8, 12, 1},
		{"1 cup dried tiger nuts", 20, OnTheBench, 24, 48, 48, 2}, // its water changed every day
		{"1 cup dried tiger nuts", 20, InTheFridge, 24, 48, 48, 2},
		{"1 cup quinoa", 20, OnTheBench, 1, 4, 8, 1},
		{"1 cup soybeans", 20, InTheFridge, 10, 12, 72, 1}, // three times as long, never past 72 hours
	}
	for _, tt := range tests {
		w, parts := soak(tt.tempC, tt.where, tt.line, "4 cups water")
		assert.InDelta(t, tt.min, w.Min.Hours(), .01, "%s %v", tt.line, tt.where)
		assert.InDelta(t, tt.ideal, w.Ideal.Hours(), .01, "%s %v", tt.line, tt.where)
		assert.InDelta(t, tt.max, w.Max.Hours(), .01, "%s %v", tt.line, tt.where)
		assert.Equal(t, tt.parts, parts, tt.line)
	}
	w, _ := soak(20, OnTheBench, "1 cup white rice", "4 cups water, soaking water kept")
	assert.InDelta(t, 4, w.Max.Hours(), .01, "the liquid stays in: four hours warm")
	_, parts := soak(20, OnTheBench, "1 cup hemp seeds", "4 cups water")
	assert.Zero(t, parts)
}

func TestASoakVesselHoldsTheSwelling(t *testing.T) {
	j := job(t, "Almond milk", at(28, 9, 0), 20, "200 g almonds", "6 cups water")
	// By hand: 200 g at 143 g a cup of 236.6 mL, swelling to 1.4 times; two and
	// a half times that of water, and a vessel for both with a tenth to spare, up to
	// the next 50 mL.
	assert.Regexp(t, `^soak-vessel\(330\.9\d+, 463\.\d+, 850, 1300\)$`, j.Bench[0].Right.String())
}

func TestAThreeDaySoakHasItsWaterChanged(t *testing.T) {
	t.Parallel()
	j := job(t, "tiger", at(30, 20, 0), 20, "1 cup dried tiger nuts", "4 cups water")
	p, problem := Make([]Job{j}, night)
	require.Nil(t, problem)
	holds(t, p, night)
	assert.Equal(t, []Kind{GetReady, Soak, ChangeWater, Soak, Drain, Grind, Strain, Taste, Bottle, Wash, Chill}, kinds(p.Lanes[0]))
}

// The night the clock goes back there are 25 hours in the day: the soak is as
// long as it is, and nobody is woken.
func TestANightTheClockChanges(t *testing.T) {
	t.Parallel()
	rules := Rules{From: time.Date(2026, 10, 24, 18, 0, 0, 0, london), Hands: Quiet{23 * 60, 7 * 60}, Noise: Quiet{21 * 60, 8 * 60}}
	j := job(t, "almond", time.Date(2026, 10, 25, 14, 0, 0, 0, london), 20, "1 cup almonds", "4 cups water")
	p, problem := Make([]Job{j}, rules)
	require.Nil(t, problem)
	holds(t, p, rules)
	for _, s := range p.Lanes[0].Steps {
		if s.Kind == Soak {
			assert.Equal(t, 12*time.Hour, s.End.Sub(s.Start).Round(Slot))
		}
	}
}

func TestWhenNothingFitsItSaysWhyAndWhatWould(t *testing.T) {
	t.Parallel()
	almond := func(ready time.Time) Job { return job(t, "almond", ready, 20, "1 cup almonds", "4 cups water") }
	_, problem := Make([]Job{almond(at(26, 20, 0))}, night)
	require.NotNil(t, problem)
	assert.Equal(t, "time", problem.Which)
	require.True(t, problem.HasLater)
	_, problem = Make([]Job{almond(at(26, 20, 0).Add(problem.LaterBy))}, night)
	assert.Nil(t, problem, "later by that, it fits")
	early := almond(at(27, 9, 15)) // would have to grind before the blender may
	_, problem = Make([]Job{early}, night)
	require.NotNil(t, problem)
	assert.Equal(t, "quiet-hours", problem.Which)
	loud := night
	loud.Noise = Quiet{}
	_, problem = Make([]Job{early}, loud)
	assert.Nil(t, problem)
}

// A warm kitchen leaves almonds six hours on the bench, too few for a night:
// they go into the fridge.
func TestAWarmKitchenSoaksInTheFridge(t *testing.T) {
	t.Parallel()
	rules := Rules{From: at(26, 22, 0), Hands: Quiet{22*60 + 30, 7 * 60}, Noise: Quiet{21 * 60, 8 * 60}}
	j := job(t, "almond", at(27, 11, 30), 28, "1 cup almonds", "4 cups water")
	p, problem := Make([]Job{j}, rules)
	require.Nil(t, problem)
	holds(t, p, rules)
	assert.True(t, p.Lanes[0].Fridge)
}

// Two hours late, the rest is planned from what really happened.
func TestItIsPlannedAnewFromWhatHappened(t *testing.T) {
	t.Parallel()
	j := job(t, "pecan", at(27, 14, 0), 20, "1 cup pecans", "2 cups water")
	j.Begun = []time.Time{at(26, 20, 0)}
	now := night
	now.From = at(26, 22, 30)
	p, problem := Make([]Job{j}, now)
	require.Nil(t, problem)
	assert.Equal(t, at(26, 20, 0), p.Lanes[0].Steps[0].Start)
	assert.True(t, p.Lanes[0].Steps[2].Start.After(now.From))
	for _, s := range p.Lanes[0].Steps {
		if s.Kind == Soak {
			assert.LessOrEqual(t, s.End.Sub(s.Start), 12*time.Hour)
		}
	}
}

// randomJob is a chain of two or three short blocks with narrow windows.
func randomJob(random *rand.Rand, n, slots int, from time.Time) Job {
	minutes := func(most int) time.Duration { return time.Duration(1+random.IntN(most)) * Slot }
	j := Job{ID: fmt.Sprint(n), ReadyBy: from.Add(time.Duration(slots-random.IntN(6)) * Slot)}
	for k := range 2 + random.IntN(2) {
		if k > 0 {
			least := minutes(3)
			best := least + minutes(3)
			j.Bench = append(j.Bench, Step{Kind: Soak, Length: Window{least, best, best + minutes(4)}})
		}
		d := minutes(3)
		j.Bench = append(j.Bench, Step{Kind: Grind, HandsOn: true, Blender: random.IntN(2) == 0, Length: Window{d, d, d}})
	}
	if random.IntN(4) == 0 {
		j.Pins = []Pin{{random.IntN(2), from.Add(time.Duration(random.IntN(slots/2)) * Slot)}}
	}
	if random.IntN(6) == 0 {
		j.Between = Span{from.Add(minutes(3)), from.Add(minutes(slots / 2))}
	}
	j.Bench = append(j.Bench, Step{Kind: Chill, Length: Window{minutes(2), minutes(2) + 2*Slot, Unlimited}})
	return j
}

// every lists all ways to place a chain, with how far each is from ideal.
func (c *chain) every(k, from int, starts []int, length int, out *[]placed) {
	if k == len(c.blocks) {
		w, end := c.waits[k-1], starts[k-1]+c.blocks[k-1].slots
		if end+w.min <= c.ready {
			*out = append(*out, placed{append([]int{}, starts...), length + max(0, w.ideal-(c.ready-end))})
		}
		return
	}
	for s := from; s < c.g.slots; s++ {
		add := 0
		if k > 0 {
			gap := s - starts[k-1] - c.blocks[k-1].slots
			if gap < c.waits[k-1].min || gap > c.waits[k-1].max {
				continue
			}
			add = abs(gap - c.waits[k-1].ideal)
		}
		if c.allowed(k, s, nil, nil) {
			c.every(k+1, s+1, append(starts, s), length+add, out)
		}
	}
}

// Up to three drinks, a plan is found whenever there is one on the grid, and
// none lies nearer to the ideal lengths: checked against every way there is.
func TestPlansAreAsGoodAsAnExhaustiveSearch(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(5, 6))
	from := at(26, 9, 0)
	found, none := 0, 0
	for range 250 {
		const slots = 26
		rules := Rules{From: from, Hands: Quiet{10 * 60, 10*60 + 5*random.IntN(6)}, Noise: Quiet{9*60 + 30, 9*60 + 30 + 5*random.IntN(8)}}
		var jobs []Job
		for n := range 1 + random.IntN(3) {
			jobs = append(jobs, randomJob(random, n, slots, from))
		}
		g := newGrid(jobs, rules)
		best := exhaustive(g, jobs)
		p, ok := g.solve(jobs, make([]bool, len(jobs)))
		require.Equal(t, best >= 0, ok)
		if !ok {
			none++
			continue
		}
		found++
		require.True(t, p.Proved)
		holds(t, p, rules)
		require.Equal(t, best, lengthOf(g, jobs, p))
	}
	assert.Greater(t, found, 50)
	assert.Greater(t, none, 20)
}

func exhaustive(g *grid, jobs []Job) int {
	ways := make([][]placed, len(jobs))
	chains := make([]*chain, len(jobs))
	for n, j := range jobs {
		chains[n] = g.chain(j, j.Bench)
		chains[n].every(0, 0, nil, 0, &ways[n])
	}
	best := -1
	var choose func(n, length int, busy []span)
	choose = func(n, length int, busy []span) {
		if best >= 0 && length >= best {
			return
		}
		if n == len(jobs) {
			best = length
			return
		}
	way:
		for _, w := range ways[n] {
			mine := chains[n].spans(w)
			for _, a := range mine {
				for _, b := range busy {
					if a.meets(b) {
						continue way
					}
				}
			}
			choose(n+1, length+w.length, append(busy[:len(busy):len(busy)], mine...))
		}
	}
	choose(0, 0, nil)
	return best
}

func lengthOf(g *grid, jobs []Job, p Plan) int {
	total := 0
	for n, lane := range p.Lanes {
		c := g.chain(jobs[n], jobs[n].Bench)
		for k, w := range c.waits {
			end := g.slot(lane.Steps[c.blocks[k].steps[0]].Start) + c.blocks[k].slots
			if k == len(c.waits)-1 {
				total += max(0, w.ideal-(c.ready-end))
				continue
			}
			total += abs(g.slot(lane.Steps[c.blocks[k+1].steps[0]].Start) - end - w.ideal)
		}
	}
	return total
}

func BenchmarkPlanOneDrink(b *testing.B) {
	j := job(b, "almond", at(28, 12, 0), 20, "1 cup almonds", "4 cups water")
	for b.Loop() {
		if _, problem := Make([]Job{j}, night); problem != nil {
			b.Fatal(problem)
		}
	}
}

func BenchmarkPlanSixDrinksOverFourDays(b *testing.B) {
	var jobs []Job
	for n, line := range []string{"1 cup almonds", "1 cup cashews", "1 cup pearl barley", "1 cup sesame seeds", "1 cup dried tiger nuts", "1 cup pecans"} {
		jobs = append(jobs, job(b, line, at(30, 10+n/2, 0), 20, line, "4 cups water"))
	}
	for b.Loop() {
		if _, problem := Make(jobs, night); problem != nil {
			b.Fatal(problem)
		}
	}
}

// BenchmarkPlanGrows shows what one more drink costs, each for a time of its own.
func BenchmarkPlanGrows(b *testing.B) {
	bases := []string{"1 cup almonds", "1 cup cashews", "1 cup pearl barley", "1 cup sesame seeds", "1 cup dried tiger nuts", "1 cup pecans"}
	for _, count := range []int{1, 2, 3, 6, 12} {
		b.Run(fmt.Sprintf("drinks=%d", count), func(b *testing.B) {
			var jobs []Job
			for n := range count {
				line := bases[n%len(bases)]
				jobs = append(jobs, job(b, fmt.Sprint(n), at(30, 10, 0).Add(time.Duration(n)*5*time.Hour), 20, line, "4 cups water"))
			}
			for b.Loop() {
				if _, problem := Make(jobs, night); problem != nil {
					b.Fatal(problem)
				}
			}
		})
	}
}

// A block that the cook sets to a time of its own stays there, and where it
// may go is all of where it fits and nothing else.
func TestABlockMovesWithinItsWindow(t *testing.T) {
	t.Parallel()
	j := job(t, "almond", at(28, 12, 0), 20, "1 cup almonds", "4 cups water")
	span, ok := Movable(j, 1, night)
	require.True(t, ok)
	for _, tt := range []struct {
		at   time.Time
		fits bool
	}{
		{span.From, true}, {span.To, true}, {span.From.Add(-Slot), false}, {span.To.Add(Slot), false},
		{at(28, 8, 30), true}, {at(28, 3, 0), false},
	} {
		pinned := j
		pinned.Pins = []Pin{{1, tt.at}}
		p, problem := Make([]Job{pinned}, night)
		require.Equal(t, tt.fits, problem == nil, tt.at)
		if tt.fits {
			holds(t, p, night)
			assert.True(t, p.Lanes[0].Steps[2].Start.Equal(tt.at))
		}
	}
	j.Begun = []time.Time{at(26, 20, 0)}
	_, ok = Movable(j, 0, night)
	assert.False(t, ok, "what is begun stays where it was")
}

func TestStartedNow(t *testing.T) {
	t.Parallel()
	now := Rules{From: at(26, 7, 2), Hands: night.Hands, Noise: night.Noise}
	cashew := job(t, "cashew", time.Time{}, 20, "1 cup cashews", "4 cups water")
	started, ok := StartNow([]Job{cashew}, 0, now)
	require.True(t, ok)
	p, problem := Make([]Job{started}, now)
	require.Nil(t, problem)
	holds(t, p, now)
	assert.Equal(t, at(26, 7, 5), p.Lanes[0].Steps[0].Start, "at once")
	assert.Equal(t, 8*time.Hour, p.Lanes[0].Steps[1].End.Sub(p.Lanes[0].Steps[1].Start).Round(Slot), "and soaks as long as is best")
	late := Rules{From: at(26, 22, 55), Hands: night.Hands, Noise: night.Noise}
	started, ok = StartNow([]Job{cashew}, 0, late)
	require.True(t, ok, "too late to begin today")
	p, problem = Make([]Job{started}, late)
	require.Nil(t, problem)
	holds(t, p, late)
}

// Two loads are two steps, each with its share; what was soaked weighs what it
// took up besides (almonds .45 g a gram, common practice).
func TestEachLoadHasItsOwnAmounts(t *testing.T) {
	t.Parallel()
	j := job(t, "almond", at(28, 12, 0), 20, "300 g almonds", "2100 g water", "10 g salt")
	var grinds []Step
	for _, s := range j.Bench {
		if s.Kind == Grind {
			grinds = append(grinds, s)
		}
	}
	require.Len(t, grinds, 2)
	keys := map[string]bool{}
	total := 0.
	for n, g := range grinds {
		assert.Equal(t, n+1, g.Load)
		assert.Equal(t, fmt.Sprintf("grind-load(%d, 2, for-seconds(90))", n+1), g.Title.String())
		for _, a := range g.Amounts {
			total += a.MassG
			keys[a.Key] = true
		}
		assert.InDelta(t, 300*1.45/2, g.Amounts[0].MassG, .01)
		assert.True(t, g.Amounts[0].Soaked)
		assert.InDelta(t, 1050, g.Amounts[1].MassG, .01)
		assert.Equal(t, Band{1050 * .95, 1050 * 1.05}, g.Amounts[1].Band, "water within 5 %")
		assert.InDelta(t, 5*.02, g.Amounts[2].Band.HighG-5, 1e-9, "salt within 2 %")
	}
	assert.InDelta(t, 300*1.45+2110, total, .01, "nothing is lost between the loads")
	assert.Len(t, keys, 6)
}

func TestTheRarerSteps(t *testing.T) {
	t.Parallel()
	soy := func(d *reckon.Drink) { d.Method.Heat, d.Method.Minutes = process.Simmer, 20 }
	tests := []struct {
		what  string
		lines []string
		way   func(*reckon.Drink)
		kinds []Kind
	}{
		{"skins and sprouts", []string{"1 cup almonds, skins rubbed off, sprouted", "4 cups water"}, nil,
			[]Kind{GetReady, Soak, Drain, RubSkins, Sprout, RinseSprout, Sprout, RinseSprout, Grind, Strain, Taste, Bottle, Wash, Chill}},
		{"a day's cold infusion", []string{"1 cup white rice, unsoaked", "4 cups water"}, func(d *reckon.Drink) { d.Method.Coarse = true },
			[]Kind{GetReady, Crush, StirIn, Infuse, Strain, Taste, Bottle, Wash, Chill}},
		{"saffron, ice and a second grind", []string{"1 cup cashews", "3 cups water", "1 cup water for the second grind", "1 pinch saffron", "100 g ice, after straining"}, nil,
			[]Kind{GetReady, Soak, Drain, Bloom, Grind, Ice, Strain, SecondGrind, Strain, DrawOn, StirIn, Taste, Bottle, Wash, Chill}},
		{"boiled, with cardamom at its end", []string{"1/2 cup soybeans", "3 cups water", "1/4 tsp ground cardamom, while cooking"}, soy,
			[]Kind{GetReady, Soak, Drain, Grind, Strain, Heat, Skim, LateSpice, Cool, Taste, Bottle, Wash, Chill}},
		{"boiled, with a stick in it", []string{"1/2 cup soybeans", "3 cups water", "1 cinnamon stick, while cooking"}, soy,
			[]Kind{GetReady, Soak, Drain, Grind, Strain, Heat, Skim, Cool, Taste, Bottle, Wash, Chill}},
		{"brewed and divided", []string{"1 cup hemp seeds", "4 cups water", "2 tsp ground cinnamon, to brew"}, func(d *reckon.Drink) {
			d.Portions = []recipe.Portion{{Name: "plain"}, {Name: "peppered", ML: 300}}
		}, []Kind{GetReady, Brew, Cool, Grind, Strain, PourIn, Taste, Split, Bottle, Wash, Chill}},
	}
	for _, tt := range tests {
		d, r := drink(t, tt.way, tt.lines...)
		steps := Steps(&d, r, Room{TempC: 20}, OnTheBench)
		assert.Equal(t, tt.kinds, kinds(Lane{Steps: timeless(steps)}), tt.what)
		for _, s := range steps {
			assert.NotEmpty(t, s.Title)
			assert.Equal(t, s.Kind == Heat && tt.what[0] == 'b', !s.Never.IsZero(), "only soy's boil is never left out: %s", s.Title)
			if s.Kind == Cool && s.TempC > 0 {
				assert.Contains(t, s.Right.String(), "cooling-on-ice")
				assert.Contains(t, s.Right.String(), "cooling-in-fridge-too-slow")
			}
			if s.Kind == Sprout {
				assert.Equal(t, "sprout-caution", s.Caution.Code)
			}
		}
	}
	d, r := drink(t, nil, "1 cup almonds", "4 cups water")
	assert.Equal(t, []Kind{GetReady, Drain, Grind, Strain, Taste, Bottle, Wash, Chill}, kinds(Lane{Steps: timeless(Steps(&d, r, Room{TempC: 20}, FromABowl))}))
	assert.Len(t, Tools(&d, r, Room{TempC: 20, ScaleG: 1}), 6)
}

func timeless(steps []Step) []Timed {
	out := make([]Timed, len(steps))
	for n, s := range steps {
		out[n].Step = s
	}
	return out
}

// A coarse infusion stands a day and a night in the fridge (24/24/48 h, common
// practice), and the plan makes room for it.
func TestADaysChilledInfusionIsPlanned(t *testing.T) {
	t.Parallel()
	d, r := drink(t, func(d *reckon.Drink) { d.Method.Coarse = true }, "1 cup white rice, unsoaked", "1/2 cup almonds, unsoaked", "6 cups water")
	j := Job{ID: "horchata", ReadyBy: at(29, 12, 0), Bench: Steps(&d, r, Room{TempC: 20}, OnTheBench)}
	p, problem := Make([]Job{j}, night)
	require.Nil(t, problem)
	holds(t, p, night)
	for _, s := range p.Lanes[0].Steps {
		if s.Kind == Infuse {
			assert.True(t, s.Fridge)
			assert.InDelta(t, 24, s.End.Sub(s.Start).Hours(), .25)
			assert.Equal(t, 4., s.TempC)
		}
	}
}

func TestAWeighOutIsTakenWhenItStandsStill(t *testing.T) {
	t.Parallel()
	w := Weighing{Band: BandOf(100, .02, 1)}
	start := at(26, 9, 0)
	tests := []struct {
		afterMS int
		g       float64
		steady  bool
		verdict Verdict
		taken   bool
	}{
		{0, 100, false, Within, false}, {200, 100, true, Within, false}, {1000, 101, true, Within, false}, {1500, 101, false, Within, false},
		{1600, 101, true, Within, false}, {3000, 101, true, Within, false}, {3100, 101, true, Within, true},
		{3200, 103, true, Over, false}, {4700, 103, true, Over, true}, {4800, 90, true, Under, false}, {9000, 90, true, Under, false},
	}
	for _, tt := range tests {
		verdict, taken := w.Feed(tt.g, tt.steady, start.Add(time.Duration(tt.afterMS)*time.Millisecond))
		assert.Equal(t, tt.verdict, verdict, tt)
		assert.Equal(t, tt.taken, taken, tt)
	}
	for g, verdict := range map[float64]Verdict{0: Nothing, 97.9: Under, 98: Within, 102: Within, 102.1: Over} {
		assert.Equal(t, verdict, w.Band.Judge(g), g)
	}
	assert.Equal(t, Band{0, 2}, BandOf(1, .02, 1), "never narrower than the scale reads")
	assert.Equal(t, Nothing, BandOf(1, .02, 1).Judge(0), "an empty scale is never near enough")
	assert.True(t, TooFine(1, .02, 1))
	assert.False(t, TooFine(1, .02, .01) || TooFine(700, .05, 1) || TooFine(1, .02, 0))
	open := Weighing{}
	open.Feed(50, true, start)
	_, taken := open.Feed(50, true, start.Add(time.Minute))
	assert.False(t, taken, "what was left open is taken by the cook")
	assert.True(t, Settled(Within, false) && Settled(Over, true) && Settled(Under, true))
	assert.False(t, Settled(Over, false) || Settled(Nothing, true))
}

// A rolling bowl: the oldest of it sets how long it keeps (72 h in the fridge,
// three times its 12 on the bench at most), the newest when it is ready (6 h).
func TestABowlIsDrawnFromForAsLongAsItKeeps(t *testing.T) {
	t.Parallel()
	almond, ok := ingredient.Standard().ByID("almond")
	require.True(t, ok)
	since := at(26, 8, 0)
	b := Bowl{Ingredient: almond, DryG: 400, Since: since, Topped: since.Add(10 * time.Hour), Changed: since.Add(20 * time.Hour), Fridge: true}
	k := Room{TempC: 20}
	s := b.In(k, since.Add(12*time.Hour))
	assert.InDelta(t, 400*1.45, s.WetG, .01)
	assert.Equal(t, since.Add(16*time.Hour), s.Ready)
	assert.Equal(t, since.Add(36*time.Hour), s.Within)
	assert.Equal(t, s.Within, s.ChangeBy, "no fresh water after it is to be used up")
	early := b
	early.Changed = since.Add(5 * time.Hour)
	assert.Equal(t, since.Add(29*time.Hour), early.In(k, since).ChangeBy)
	assert.Equal(t, 2550., s.VesselML)
	assert.False(t, s.Past)
	assert.True(t, b.In(k, since.Add(37*time.Hour)).Past)
	draws := []Draw{{since.Add(30 * time.Hour), 250}, {since.Add(20 * time.Hour), 150}, {since.Add(35 * time.Hour), 60}, {since.Add(40 * time.Hour), 100}}
	assert.Equal(t, Enough{Draws: 2, ShortG: 60, Late: 1}, b.Enough(draws, k, since))
	b.Fridge = false
	assert.Equal(t, since.Add(12*time.Hour), b.In(k, since).Within)
	rice, _ := ingredient.Standard().ByID("hemp")
	assert.True(t, CanBowl(almond))
	assert.False(t, CanBowl(rice))
}

// What was soaked fills the jug with what it took up (by hand: 500 g of almonds
// take up 225 g), and hot liquid may fill it half way only (common practice).
func TestLoadsCountTheSoakAndTheHeat(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		lines  []string
		grinds int
	}{
		{[]string{"500 g almonds, unsoaked", "1000 g water"}, 1},
		{[]string{"500 g almonds", "1000 g water"}, 2},
		{[]string{"200 g almonds, unsoaked", "900 g boiling water"}, 2},
	} {
		d, r := drink(t, nil, tt.lines...)
		grinds := 0
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			if s.Kind == Grind {
				grinds++
				assert.Equal(t, tt.lines[1] == "900 g boiling water", !s.Caution.IsZero(), "hot liquid is cautioned about at the blender")
			}
		}
		assert.Equal(t, tt.grinds, grinds, tt.lines)
	}
	d, r := drink(t, func(d *reckon.Drink) { d.Method.Strainer = process.Sieve }, "200 g almonds", "1200 g water")
	for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
		if s.Kind == Strain {
			assert.Equal(t, 3, s.Loads, "a sieve of 700 mL is emptied in between")
			assert.Regexp(t, `^strained-in-turns\(.*, 3, 49[12]\.\d+\)$`, s.Title.String())
		}
	}
}
