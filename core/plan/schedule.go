package plan

import (
	"cmp"
	"container/heap"
	"math"
	"slices"
	"time"
)

// Slot is the grid that plans are made on.
const Slot = 5 * time.Minute

// Quiet is a daily stretch of the clock, in minutes from midnight. It may run
// over midnight. Equal ends are no quiet at all.
type Quiet struct{ FromMin, ToMin int } // minutes of the day; over midnight where From is later than To

// covers tells whether a moment lies in the quiet, by the clock on the wall
// there, so that a change of the clock moves it as it moves the cook.
func (q Quiet) covers(t time.Time) bool {
	now := t.Hour()*60 + t.Minute()
	if q.FromMin <= q.ToMin {
		return now >= q.FromMin && now < q.ToMin
	}
	return now >= q.FromMin || now < q.ToMin
}

const dayMin = 24 * 60 // minutes in a day

// Minutes is how long it is.
func (q Quiet) Minutes() int { return (q.ToMin - q.FromMin + dayMin) % dayMin }

// Before is the moment itself, or the last slot before the quiet it falls into;
// the moment all the same where the whole day is quiet.
func (q Quiet) Before(t time.Time) time.Time {
	if !q.covers(t) {
		return t
	}
	at := t.Truncate(Slot)
	for begin := at.AddDate(0, 0, -1); at.After(begin); at = at.Add(-Slot) {
		if !q.covers(at) {
			return at
		}
	}
	return t
}

// Rules are what a plan must keep to.
type Rules struct {
	From  time.Time // nothing begins before; in the kitchen's own time zone
	Hands Quiet     // asleep: nothing that needs hands
	Noise Quiet     // and no blender
}

// Job is a drink to be planned.
type Job struct {
	ID      string      // the plan item's
	Name    string      // the drink's, for messages
	Bench   []Step      // its steps with the soak on the bench
	Fridge  []Step      // and in the fridge, where that is another way
	ReadyBy time.Time   // when it is wanted cold and filled
	Begun   []time.Time // when the blocks that are begun already began, in order
	Pins    []Pin       // blocks that the cook wants at a time of their own
	Between Span        // within which its first block has to begin; the zero Span is no bound

	Allergens []string // codes of what it holds; see [MakeClean]
}

// Pin is when a block of work is to begin.
type Pin struct {
	Block int       `json:"block"` // its place among the blocks, from 0
	At    time.Time `json:"at"`    // the block begins exactly then
}

// Span is a stretch of time.
type Span struct{ From, To time.Time } // From before To

// Timed is a step with its time.
type Timed struct {
	Step                 // what is done
	Start, End time.Time // when, to five minutes
}

// Lane is a drink's steps in time.
type Lane struct {
	JobID   string    // whose job
	Fridge  bool      // soaked in the fridge, since the bench left no time that fits
	Steps   []Timed   // in order
	ReadyBy time.Time // as the job has it
}

// Plan is when everything is done.
type Plan struct {
	Lanes  []Lane // one a job, in the order of the jobs
	Proved bool   // no plan lies nearer to the ideal lengths
}

// Work are the stretches that need hands.
func (p Plan) Work() []Span {
	var out []Span
	for _, lane := range p.Lanes {
		for _, s := range lane.Steps {
			if s.HandsOn {
				out = append(out, Span{s.Start, s.End})
			}
		}
	}
	return out
}

// Problem says which constraint leaves no plan, and the least change that would.
type Problem struct {
	JobID    string        // of the drink that does not fit; "" where it is several together
	Which    string        // quiet-hours, time, hands-and-blender
	LaterBy  time.Duration // how much later it would fit; 0 where it never does
	HasLater bool          // LaterBy would do
}

// Make plans the jobs together: best by ideal lengths, then fewest visits,
// then latest start. Up to three jobs it finds a plan whenever there is one on
// the grid; beyond, the best it comes to, and Proved tells. Where there is
// none it says which constraint fails.
func Make(jobs []Job, rules Rules) (Plan, *Problem) {
	if len(jobs) == 0 {
		return Plan{Proved: true}, nil
	}
	if p, ok := attempt(jobs, rules); ok {
		return p, nil
	}
	return Plan{}, explain(jobs, rules)
}

// attempt tries the bench for every soak, then the fridge for those that do
// not fit alone, then the fridge for all.
func attempt(jobs []Job, rules Rules) (Plan, bool) {
	g := newGrid(jobs, rules)
	alone := make([]bool, len(jobs))
	for n, j := range jobs {
		if j.Fridge == nil {
			continue
		}
		c := g.chain(j, j.Bench)
		_, ok := c.best(nil, nil, nil)
		alone[n] = !ok
	}
	all := make([]bool, len(jobs))
	for n, j := range jobs {
		all[n] = j.Fridge != nil
	}
	for _, fridge := range [][]bool{alone, all} {
		if p, ok := g.solve(jobs, fridge); ok {
			return p, true
		}
		if slices.Equal(alone, all) {
			break
		}
	}
	return Plan{}, false
}

// grid is the time the jobs are planned in, in slots from a first moment.
type grid struct {
	start        time.Time // of the first slot
	slots        int       // of five minutes each
	hands, noise []int     // how many quiet slots lie before each
}

// newGrid lays five-minute slots from the first that is begun to the last that is wanted.
func newGrid(jobs []Job, rules Rules) *grid {
	first, last := rules.From, rules.From
	for _, j := range jobs {
		if len(j.Begun) > 0 && j.Begun[0].Before(first) {
			first = j.Begun[0]
		}
		if j.ReadyBy.After(last) {
			last = j.ReadyBy
		}
	}
	g := &grid{start: first.Truncate(Slot)}
	if g.start.Before(first) && !first.Before(rules.From) {
		g.start = g.start.Add(Slot)
	}
	g.slots = min(maxSlots, max(0, int(last.Sub(g.start)/Slot)))
	g.hands, g.noise = make([]int, g.slots+1), make([]int, g.slots+1)
	for s := range g.slots {
		at := g.time(s)
		before := at.Before(rules.From)
		g.hands[s+1] = g.hands[s] + one(rules.Hands.covers(at) || before)
		g.noise[s+1] = g.noise[s] + one(rules.Noise.covers(at) || before)
	}
	return g
}

// maxSlots is how far a plan looks ahead: three weeks.
const maxSlots = 21 * 24 * 12

// one turns a yes into a number to add up.
func one(is bool) int {
	if is {
		return 1
	}
	return 0
}

// time is when a slot begins.
func (g *grid) time(slot int) time.Time {
	return g.start.Add(time.Duration(slot) * Slot).In(g.start.Location())
}

// slot is the slot that a moment lies in.
func (g *grid) slot(t time.Time) int { return int(math.Floor(float64(t.Sub(g.start)) / float64(Slot))) }

// block is work done in one go.
type block struct {
	slots              int   // its length
	noiseFrom, noiseTo int   // of its slots, in which the blender runs
	steps              []int // which of the chain's steps it holds
}

// wait is what lies between two blocks, or behind the last.
type wait struct {
	min, ideal, max int   // slots
	steps           []int // which of the chain's steps it holds
}

// chain is a job on the grid: blocks with waits behind them.
type chain struct {
	g      *grid       // where slots become times
	steps  []Step      // of the job, compiled
	blocks []block     // runs of hands-on steps without a wait between
	waits  []wait      // as many as blocks
	ready  int         // the slot it is wanted by
	begun  []int       // slots of the blocks that are begun, which stand
	pinned map[int]int // block to slot
	first  span        // the slots in which the first block may begin
	room   room        // for working out what it costs
}

// chain cuts a job into blocks of hands-on work and the waits between them. Steps that
// touch become one block: nobody leaves between grinding and straining.
func (g *grid) chain(j Job, steps []Step) *chain {
	c := &chain{g: g, steps: steps, ready: min(g.slots, g.slot(j.ReadyBy))}
	var minutes, noiseFrom, noiseTo float64
	for n, s := range steps {
		if !s.HandsOn {
			c.waitFor(n, s)
			continue
		}
		if len(c.blocks) == 0 || len(c.waits) == len(c.blocks) {
			c.blocks = append(c.blocks, block{})
			minutes, noiseFrom, noiseTo = 0, -1, -1
		}
		b := &c.blocks[len(c.blocks)-1]
		if s.Blender && noiseFrom < 0 {
			noiseFrom = minutes
		}
		minutes += s.Length.Ideal.Minutes()
		if s.Blender {
			noiseTo = minutes
			b.noiseFrom, b.noiseTo = int(noiseFrom/5), int(math.Ceil(noiseTo/5-1e-9))
		}
		b.slots = int(math.Ceil(minutes/5 - 1e-9))
		b.steps = append(b.steps, n)
	}
	if len(c.waits) < len(c.blocks) {
		c.waits = append(c.waits, wait{max: g.slots})
	}
	for _, t := range j.Begun[:min(len(j.Begun), len(c.blocks))] {
		c.begun = append(c.begun, g.slot(t))
	}
	c.pinned = make(map[int]int, len(j.Pins))
	for _, p := range j.Pins {
		c.pinned[p.Block] = g.slot(p.At)
	}
	c.first = span{0, g.slots + 1}
	if j.Between != (Span{}) {
		c.first = span{g.slot(j.Between.From.Add(Slot - 1)), g.slot(j.Between.To) + 1}
	}
	return c
}

// waitFor adds a wait after the last block, or to the wait that stands there already.
func (c *chain) waitFor(n int, s Step) {
	w := wait{
		min: int(math.Ceil(s.Length.Min.Minutes()/5 - 1e-9)), ideal: int(math.Round(s.Length.Ideal.Minutes() / 5)),
		max: int(math.Min(float64(c.g.slots), math.Floor(s.Length.Max.Minutes()/5+1e-9))), steps: []int{n},
	}
	w.max = max(w.max, min(w.min, c.g.slots))
	if len(c.waits) == len(c.blocks) && len(c.waits) > 0 {
		last := &c.waits[len(c.waits)-1]
		last.min, last.ideal, last.max = last.min+w.min, last.ideal+w.ideal, min(c.g.slots, last.max+w.max)
		last.steps = append(last.steps, n)
		return
	}
	c.waits = append(c.waits, w)
}

// span is a stretch of slots, the last one not in it.
type span struct{ from, to int } // slots, half open

func (s span) meets(o span) bool { return s.from < o.to && o.from < s.to }

// costs weigh what a plan is best by: lengths first, then visits, then a late
// start.
const (
	costLength = 1 << 24           // of each slot away from the ideal lengths
	costVisit  = 1 << 14           // of one more trip to the kitchen
	never      = math.MaxInt64 / 4 // more than anything costs, and far from overflowing
)

// best is the cheapest way to place the chain's blocks: none of them where it
// is forbidden or hands are busy, and rather near the moments given. It
// returns their starts and how far the waits are from ideal, in slots.
func (c *chain) best(forbidden [][]span, busy, near []span) (placed, bool) {
	next := c.costs(forbidden, busy, near)
	start, cheapest := -1, int64(never)
	for s, cost := range next[0] {
		if cost < never && cost+int64(c.g.slots-s) < cheapest {
			start, cheapest = s, cost+int64(c.g.slots-s)
		}
	}
	if start < 0 {
		return placed{}, false
	}
	return placed{starts: c.follow(start, next), length: int(cheapest / costLength)}, true
}

// costs are what follows from each start of each block on; never where nothing
// can.
func (c *chain) costs(forbidden [][]span, busy, near []span) [][]int64 {
	next := c.room.next(len(c.blocks), c.g.slots+1)
	rest := c.lastWait()
	for k := len(c.blocks) - 1; k >= 0; k-- {
		for s := range next[k] {
			next[k][s] = never
			if !c.allowed(k, s, forbidden, busy) {
				continue
			}
			if follows := rest[s+c.blocks[k].slots]; follows < never {
				next[k][s] = follows + costVisit*int64(1-one(c.isNear(k, s, near)))
			}
		}
		if k > 0 {
			rest = c.waits[k-1].before(next[k], &c.room)
		}
	}
	return next
}

// reach tells which starts of a block can be come to from the blocks before.
func (c *chain) reach(block int) []bool {
	at := make([]bool, c.g.slots+1)
	for s := range at {
		at[s] = c.allowed(0, s, nil, nil)
	}
	for k := range block {
		next := make([]bool, c.g.slots+1)
		for s, can := range at {
			for length := c.waits[k].min; can && length <= c.waits[k].max; length++ {
				if on := s + c.blocks[k].slots + length; on <= c.g.slots && c.allowed(k+1, on, nil, nil) {
					next[on] = true
				}
			}
		}
		at = next
	}
	return at
}

type placed struct { // where a chain came to stand
	starts []int // a slot each block
	length int   // slots away from the ideal lengths
}

// allowed tells whether block k may begin at slot s: within its hours and the first window,
// not in sleep or quiet, not where another drink has the hands.
func (c *chain) allowed(k, s int, forbidden [][]span, busy []span) bool {
	b := c.blocks[k]
	if k < len(c.begun) {
		return s == c.begun[k]
	}
	if pin, is := c.pinned[k]; is && s != pin {
		return false
	}
	if s+b.slots > c.g.slots || k == 0 && (s < c.first.from || s >= c.first.to) {
		return false
	}
	if c.g.hands[s+b.slots] > c.g.hands[s] || c.g.noise[s+b.noiseTo] > c.g.noise[s+b.noiseFrom] {
		return false
	}
	at := span{s, s + b.slots}
	for _, other := range busy {
		if at.meets(other) {
			return false
		}
	}
	if forbidden != nil {
		for _, f := range forbidden[k] {
			if s >= f.from && s < f.to {
				return false
			}
		}
	}
	return true
}

// lastWait is what the last wait costs from each end of the last block on.
func (c *chain) lastWait() []int64 {
	w, costs := c.waits[len(c.blocks)-1], c.room.late
	for end := range costs {
		costs[end] = never
		if end+w.min <= c.ready {
			costs[end] = costLength * int64(max(0, w.ideal-(c.ready-end)))
		}
	}
	return costs
}

// before is the cheapest of what follows a block from each of its ends on, where each start of the
// next block costs what after says. A wait costs by how far it is from its ideal, so that a longer
// one costs after + x and a shorter one after − x but for what is the same for all of them: the
// least of either is that of a window which moves along with the end.
func (w wait) before(after []int64, r *room) []int64 {
	late, early := r.late, r.early
	leastWithin(late, after, costLength, max(w.min, w.ideal), w.max, r.rising)
	leastWithin(early, after, -costLength, w.min, min(w.max, w.ideal), r.rising)
	for end := range late {
		ideal := costLength * int64(end+w.ideal)
		if late[end] < never {
			late[end] -= ideal
		}
		if early[end] < never {
			late[end] = min(late[end], early[end]+ideal)
		}
	}
	return late
}

// room is what costs are worked out in, time and again the same for a chain: a plan tries thousands
// of times.
type room struct {
	after       [][]int64 // by block and start
	late, early []int64   // by end
	rising      []int     // places, each the least of those behind it
}

// next is the room by block and start, made where it is not there yet.
func (r *room) next(blocks, slots int) [][]int64 {
	if r.after == nil {
		r.late, r.early, r.rising, r.after = make([]int64, slots), make([]int64, slots), make([]int, slots), make([][]int64, blocks)
		for k := range r.after {
			r.after[k] = make([]int64, slots)
		}
	}
	return r.after
}

// leastWithin puts into out the least of costs, each more by slope times its place, from low to high
// places on from each place; never where there is none. What is no longer the least of any window to
// come is dropped from those rising, so that each is looked at twice and not once a window.
func leastWithin(out, costs []int64, slope int64, low, high int, rising []int) {
	first, behind := 0, 0 // those rising that count
	seen := low
	for at := range costs {
		for ; seen <= min(at+high, len(costs)-1); seen++ {
			if costs[seen] == never {
				continue
			}
			for behind > first && costs[rising[behind-1]]+slope*int64(rising[behind-1]) >= costs[seen]+slope*int64(seen) {
				behind--
			}
			rising[behind] = seen
			behind++
		}
		for first < behind && rising[first] < at+low {
			first++
		}
		out[at] = never
		if first < behind {
			out[at] = costs[rising[first]] + slope*int64(rising[first])
		}
	}
}

func abs(v int) int { return max(v, -v) }

// follow reads the starts off the costs.
func (c *chain) follow(start int, next [][]int64) []int {
	starts := []int{start}
	for k := 0; k+1 < len(c.blocks); k++ {
		w, end := c.waits[k], starts[k]+c.blocks[k].slots
		chosen, cheapest := -1, int64(never)
		for length := w.min; length <= w.max && end+length <= c.g.slots; length++ {
			after := next[k+1][end+length]
			if cost := after + costLength*int64(abs(length-w.ideal)); after < never && cost < cheapest {
				chosen, cheapest = end+length, cost
			}
		}
		starts = append(starts, chosen)
	}
	return starts
}

// oneVisit is how near two blocks must lie to be one visit, in slots.
const oneVisit = 3

// isNear tells whether a visit there can be one with another drink's.
func (c *chain) isNear(k, s int, near []span) bool {
	wide := span{s - oneVisit, s + c.blocks[k].slots + oneVisit}
	for _, n := range near {
		if wide.meets(n) {
			return true
		}
	}
	return false
}

// spans is what the blocks take up once placed.
func (c *chain) spans(p placed) []span {
	out := make([]span, len(p.starts))
	for k, s := range p.starts {
		out[k] = span{s, s + c.blocks[k].slots}
	}
	return out
}

// How many tries a joint plan is given before it is left as it comes.
const (
	provedUpTo   = 3     // jobs: with so few the best plan is found and proved
	triesProved  = 20000 // tries, with so few jobs
	triesBeyond  = 60    // tries, with more
	polishRounds = 2     // times that each chain is placed anew around the others
)

// node is a try: what each chain may not do, and how it is placed.
type node struct {
	forbidden [][][]span // by chain and block
	placed    []placed   // of every chain
	length    int        // slots away from the ideal lengths, over all chains
}

type queue []*node // nodes, the cheapest first, as container/heap wants it

func (q queue) Len() int           { return len(q) }
func (q queue) Less(a, b int) bool { return q[a].length < q[b].length }
func (q queue) Swap(a, b int)      { q[a], q[b] = q[b], q[a] }
func (q *queue) Push(x any)        { *q = append(*q, x.(*node)) }

// Pop takes the last away, as container/heap asks.
func (q *queue) Pop() any {
	old := *q
	last := old[len(old)-1]
	*q = old[:len(old)-1]
	return last
}

// solve places all chains so that no two need hands at once. Each is placed
// for itself first. Where two blocks meet, either one of them is not at work at
// a moment they share, or it is and then no other is: both are followed, the
// better first, and between them they leave nothing out. What comes out first
// without a clash is the best there is.
func (g *grid) solve(jobs []Job, fridge []bool) (Plan, bool) {
	chains := make([]*chain, len(jobs))
	root := &node{forbidden: make([][][]span, len(jobs)), placed: make([]placed, len(jobs))}
	for n, j := range jobs {
		steps := j.Bench
		if fridge[n] {
			steps = j.Fridge
		}
		chains[n] = g.chain(j, steps)
		root.forbidden[n] = make([][]span, len(chains[n].blocks))
		p, ok := chains[n].best(nil, nil, nil)
		if !ok {
			return Plan{}, false
		}
		root.placed[n] = p
		root.length += p.length
	}
	tries := triesBeyond
	if len(jobs) <= provedUpTo {
		tries = triesProved
	}
	q := &queue{root}
	for range tries {
		if q.Len() == 0 {
			return Plan{}, false
		}
		n := heap.Pop(q).(*node)
		at, clash := clashOf(chains, n.placed)
		if !clash {
			return g.present(jobs, chains, polish(chains, n.placed), fridge, true), true
		}
		for _, child := range []*node{n.without(chains, at), n.with(chains, at)} {
			if child != nil {
				heap.Push(q, child)
			}
		}
	}
	placed, ok := oneAfterAnother(chains)
	if !ok {
		return Plan{}, false
	}
	return g.present(jobs, chains, polish(chains, placed), fridge, false), true
}

// meeting is a block at work in a slot in which another is too.
type meeting struct{ chain, block, slot int } // who meets whom, where

// clashOf is the first clash, from the side of the block that is begun, if one is.
func clashOf(chains []*chain, all []placed) (meeting, bool) {
	for i := range chains {
		for j := i + 1; j < len(chains); j++ {
			for k, x := range chains[i].spans(all[i]) {
				for m, y := range chains[j].spans(all[j]) {
					if !x.meets(y) {
						continue
					}
					slot := max(x.from, y.from)
					if m < len(chains[j].begun) {
						return meeting{j, m, slot}, true
					}
					return meeting{i, k, slot}, true
				}
			}
		}
	}
	return meeting{}, false
}

// without is the try in which the block is not at work in the slot; nil where
// that cannot be.
func (n *node) without(chains []*chain, m meeting) *node {
	c := chains[m.chain]
	if m.block < len(c.begun) {
		return nil // what has happened cannot be moved
	}
	child := n.copy()
	child.forbid(m.chain, m.block, c.covering(m.block, m.slot))
	return child.place(chains, m.chain)
}

// with is the try in which the block is at work in the slot, and no other
// chain's is; nil where that cannot be.
func (n *node) with(chains []*chain, m meeting) *node {
	c := chains[m.chain]
	child := n.copy()
	if m.block >= len(c.begun) {
		at := c.covering(m.block, m.slot)
		child.forbid(m.chain, m.block, span{0, at.from})
		child.forbid(m.chain, m.block, span{at.to, c.g.slots + 1})
	}
	for other := range chains {
		if other == m.chain {
			continue
		}
		moves := false
		for k, s := range chains[other].spans(child.placed[other]) {
			child.forbid(other, k, chains[other].covering(k, m.slot))
			moves = moves || s.from <= m.slot && m.slot < s.to
		}
		if moves && child.place(chains, other) == nil {
			return nil
		}
	}
	return child
}

// covering are the starts from which a block is at work in a slot.
func (c *chain) covering(k, slot int) span { return span{slot - c.blocks[k].slots + 1, slot + 1} }

// copy is a node to change: what is forbidden is copied, what is placed shared until it moves.
func (n *node) copy() *node {
	child := &node{forbidden: make([][][]span, len(n.forbidden)), placed: slices.Clone(n.placed), length: n.length}
	for c := range n.forbidden {
		child.forbidden[c] = slices.Clone(n.forbidden[c])
	}
	return child
}

// forbid keeps a block of a chain out of a span.
func (n *node) forbid(chain, block int, s span) {
	n.forbidden[chain][block] = append(slices.Clone(n.forbidden[chain][block]), s)
}

// place places a chain anew under what it is forbidden; nil where it cannot be.
func (n *node) place(chains []*chain, c int) *node {
	p, ok := chains[c].best(n.forbidden[c], nil, nil)
	if !ok {
		return nil
	}
	n.length += p.length - n.placed[c].length
	n.placed[c] = p
	return n
}

// oneAfterAnother places each chain around those before it.
func oneAfterAnother(chains []*chain) ([]placed, bool) {
	var busy []span
	out := make([]placed, len(chains))
	for n, c := range chains {
		p, ok := c.best(nil, busy, nil)
		if !ok {
			return nil, false
		}
		out[n] = p
		busy = append(busy, c.spans(p)...)
	}
	return out, true
}

// polish moves each chain nearer to the others' work where its lengths stay as
// good, so that one visit to the kitchen does for several.
func polish(chains []*chain, all []placed) []placed {
	for range polishRounds {
		for n, c := range chains {
			var others []span
			for m := range chains {
				if m != n {
					others = append(others, chains[m].spans(all[m])...)
				}
			}
			if p, ok := c.best(nil, others, others); ok && p.length <= all[n].length {
				all[n] = p
			}
		}
	}
	return all
}

// present puts the placed chains back into times.
func (g *grid) present(jobs []Job, chains []*chain, all []placed, fridge []bool, proved bool) Plan {
	p := Plan{Proved: proved}
	for n, c := range chains {
		lane := Lane{JobID: jobs[n].ID, Fridge: fridge[n], ReadyBy: jobs[n].ReadyBy, Steps: make([]Timed, len(c.steps))}
		for k, s := range all[n].starts {
			lane.placeBlock(c, k, g.time(s))
			until := jobs[n].ReadyBy
			if k+1 < len(all[n].starts) {
				until = g.time(all[n].starts[k+1])
			}
			lane.placeWait(c, k, until)
		}
		p.Lanes = append(p.Lanes, lane)
	}
	return p
}

// placeBlock writes times to the steps of a block, one after the other.
func (l *Lane) placeBlock(c *chain, k int, at time.Time) {
	for _, i := range c.blocks[k].steps {
		end := at.Add(c.steps[i].Length.Ideal)
		l.Steps[i] = Timed{c.steps[i], at, end}
		at = end
	}
}

// placeWait shares a wait among its steps.
func (l *Lane) placeWait(c *chain, k int, until time.Time) {
	last := c.blocks[k].steps[len(c.blocks[k].steps)-1]
	at := l.Steps[last].End
	windows := make([]Window, len(c.waits[k].steps))
	for n, i := range c.waits[k].steps {
		windows[n] = c.steps[i].Length
	}
	for n, length := range shared(until.Sub(at), windows) {
		i := c.waits[k].steps[n]
		l.Steps[i] = Timed{c.steps[i], at, at.Add(length)}
		at = l.Steps[i].End
	}
}

// shared is how long each of several windows lasts that fill a span together: its ideal, and what
// that leaves over or lacks is the later ones' first, as far as they may. So what is done at the
// table waits for the table, and the fridge lasts until then. The grid's rounding, which fits none
// of them, goes to the last that gives way at all.
func shared(whole time.Duration, windows []Window) []time.Duration {
	out := make([]time.Duration, len(windows))
	left, gives := whole, len(windows)-1
	for n, w := range windows {
		out[n] = w.Ideal
		left -= w.Ideal
	}
	for n := len(windows) - 1; n >= 0; n-- {
		w := windows[n]
		by := min(max(left, w.Min-w.Ideal), w.Max-w.Ideal)
		out[n] += by
		left -= by
		if windows[gives].Min == windows[gives].Max {
			gives = n
		}
	}
	if len(out) > 0 {
		out[gives] = max(0, out[gives]+left)
	}
	return out
}

// explain finds which constraint leaves no plan, and how much later would do.
func explain(jobs []Job, rules Rules) *Problem {
	for _, j := range jobs {
		if _, ok := attempt([]Job{j}, rules); ok {
			continue
		}
		p := &Problem{JobID: j.ID, Which: "time"}
		loud := rules
		loud.Hands, loud.Noise = Quiet{}, Quiet{}
		if _, ok := attempt([]Job{j}, loud); ok {
			p.Which = "quiet-hours"
		}
		p.LaterBy, p.HasLater = later([]Job{j}, 0, rules)
		return p
	}
	return &Problem{Which: "hands-and-blender"}
}

// Later is the least that one of the jobs would have to be ready later for all of them to
// fit; false where nothing within four days does.
func Later(jobs []Job, n int, rules Rules) (time.Duration, bool) { return later(jobs, n, rules) }

// InTheWay is the job without which the others fit: of several the one that is wanted last
// and not begun. It is the last of them where no single one will do.
func InTheWay(jobs []Job, rules Rules) int {
	places := make([]int, len(jobs))
	for n := range jobs {
		places[n] = n
	}
	slices.SortStableFunc(places, func(a, b int) int {
		begun := cmp.Compare(len(jobs[a].Begun), len(jobs[b].Begun))
		return cmp.Or(begun, jobs[b].ReadyBy.Compare(jobs[a].ReadyBy))
	})
	for _, n := range places {
		if _, ok := attempt(slices.Delete(slices.Clone(jobs), n, n+1), rules); ok {
			return n
		}
	}
	return places[0]
}

// Movable is from when to when a block of work may begin, with all others of
// its job free to follow; false where it may not move.
func Movable(j Job, block int, rules Rules) (Span, bool) {
	free := j
	free.Pins = slices.DeleteFunc(slices.Clone(j.Pins), func(p Pin) bool { return p.Block == block })
	g := newGrid([]Job{free}, rules)
	c := g.chain(free, free.Bench)
	if block < len(c.begun) || block >= len(c.blocks) {
		return Span{}, false
	}
	first, last := -1, -1
	after := c.costs(nil, nil, nil)[block]
	for s, can := range c.reach(block) {
		if !can || after[s] == never {
			continue
		}
		if first < 0 {
			first = s
		}
		last = s
	}
	return Span{g.time(max(0, first)), g.time(max(0, last))}, first >= 0
}

// StartNow is the job begun at once: ready when its ideal lengths are over, or
// as soon after as the quiet hours and the other jobs let it be. false where
// nothing within four days would do.
func StartNow(jobs []Job, n int, rules Rules) (Job, bool) {
	moved := slices.Clone(jobs)
	j := &moved[n]
	ideal := time.Duration(0)
	for _, s := range j.Bench {
		ideal += s.Length.Ideal
	}
	now := rules.From.Truncate(Slot)
	if now.Before(rules.From) {
		now = now.Add(Slot)
	}
	j.ReadyBy = now.Add((ideal + 2*Slot).Truncate(Slot)) // blocks are rounded up to the grid
	for _, pins := range [][]Pin{{{0, now}}, nil} {
		j.Pins = pins
		if _, ok := attempt(moved, rules); ok {
			return *j, true
		}
		if by, ok := later(moved, n, rules); ok {
			j.ReadyBy = j.ReadyBy.Add(by)
			return *j, true
		}
	}
	return Job{}, false
}

// latestBy is how much later is looked at.
const latestBy = 4 * 24 * 12 // slots

// later is the least that a job would have to be ready later. A later time
// only ever leaves more room, so it can be halved.
func later(jobs []Job, n int, rules Rules) (time.Duration, bool) {
	moved := slices.Clone(jobs)
	fits := func(slots int) bool {
		moved[n].ReadyBy = jobs[n].ReadyBy.Add(time.Duration(slots) * Slot)
		_, ok := attempt(moved, rules)
		return ok
	}
	if !fits(latestBy) {
		return 0, false
	}
	low, high := 0, latestBy
	for high-low > 1 {
		if middle := (low + high) / 2; fits(middle) {
			high = middle
		} else {
			low = middle
		}
	}
	return time.Duration(high) * Slot, true
}
