// Package stock is what stands in the pantry: lots that were bought at a price and are good until
// a day, packs of several sizes, and what is left open of a pack once a batch has taken its share.
package stock

import (
	"cmp"
	"math"
	"slices"
	"time"
)

// Lot is what was bought at one time.
type Lot struct {
	ID         int64
	BoughtG    float64
	LeftG      float64
	Price      float64   // paid for all of it; 0 where nobody wrote it down
	BoughtOn   time.Time // a date
	BestBefore time.Time // a date; zero where none is printed
}

// leastG is what is too little to call a rest.
const leastG = .5

// order puts the lot to use first first: by its date where it has one, else by when it was bought,
// as one that was bought earlier stands in front.
func order(a, b Lot) int {
	if a.BestBefore.IsZero() != b.BestBefore.IsZero() {
		if a.BestBefore.IsZero() {
			return 1
		}
		return -1
	}
	return cmp.Or(a.BestBefore.Compare(b.BestBefore), a.BoughtOn.Compare(b.BoughtOn), cmp.Compare(a.ID, b.ID))
}

// Take takes g from lots, the one to use first first, and returns those that changed. What is not
// in any lot is not missed: it was there before lots were written down.
func Take(lots []Lot, g float64) []Lot {
	sorted := slices.SortedFunc(slices.Values(lots), order)
	var out []Lot
	for _, l := range sorted {
		if g <= 0 {
			break
		}
		if l.LeftG <= 0 {
			continue
		}
		took := math.Min(g, l.LeftG)
		g -= took
		l.LeftG -= took
		if l.LeftG < leastG {
			l.LeftG = 0
		}
		out = append(out, l)
	}
	return out
}

// PaidPerG is what a gram really cost: of what is left, by what was paid for it; where nothing is
// left, of what was bought last. ok is false where no price was ever written down.
func PaidPerG(lots []Lot) (perG float64, ok bool) {
	paid, left := 0., 0.
	var last Lot
	for _, l := range lots {
		if l.Price <= 0 || l.BoughtG <= 0 {
			continue
		}
		paid, left = paid+l.Price/l.BoughtG*l.LeftG, left+l.LeftG
		if !ok || l.BoughtOn.After(last.BoughtOn) {
			last, ok = l, true
		}
	}
	switch {
	case !ok:
		return 0, false
	case left > 0:
		return paid / left, true
	}
	return last.Price / last.BoughtG, true
}

// Size is a pack that can be bought.
type Size struct {
	Pack  string // as the cook calls it
	G     float64
	Price float64
}

// Count is so many packs of a size.
type Count struct {
	Size Size
	N    int
}

const (
	mostPacks = 200 // of one size that are looked at
	mostSizes = 6   // that are tried together
)

// Cheapest are the packs that hold at least g for the least money, and of those that cost the
// same the fewest. There is none without a size.
func Cheapest(g float64, sizes []Size) []Count {
	sizes = slices.DeleteFunc(slices.Clone(sizes), func(s Size) bool { return s.G <= 0 })
	slices.SortStableFunc(sizes, func(a, b Size) int { return cmp.Compare(b.G, a.G) })
	sizes = sizes[:min(len(sizes), mostSizes)]
	best := &search{sizes: sizes, cost: math.Inf(1)}
	best.try(g, 0, 0, 0, make([]int, len(sizes)))
	var out []Count
	for n, count := range best.counts {
		if count > 0 {
			out = append(out, Count{sizes[n], count})
		}
	}
	return out
}

// search goes through how many packs of each size there can be.
type search struct {
	sizes  []Size
	cost   float64
	packs  int
	counts []int
}

func (s *search) try(needG, cost float64, packs, at int, counts []int) {
	if cost > s.cost+1e-9 {
		return
	}
	if needG <= 1e-9 {
		if cost < s.cost-1e-9 || packs < s.packs {
			s.cost, s.packs, s.counts = cost, packs, slices.Clone(counts)
		}
		return
	}
	if at == len(s.sizes) {
		return
	}
	size := s.sizes[at]
	most := min(mostPacks, int(math.Ceil(needG/size.G-1e-9)))
	least := 0
	if at == len(s.sizes)-1 { // the last has to hold whatever is left
		least = most
	}
	for n := most; n >= least; n-- {
		counts[at] = n
		s.try(needG-float64(n)*size.G, cost+float64(n)*size.Price, packs+n, at+1, counts)
	}
	counts[at] = 0
}

// Open is what is left open of a pack once a batch has used usedG, where openG stood open before:
// open packs go first, then new ones are opened whole. 0 says that nothing new was opened, or
// that it went in to the last.
func Open(usedG, openG, packG float64) (leftG float64) {
	fresh := usedG - openG
	if packG <= 0 || fresh <= leastG {
		return 0
	}
	left := math.Ceil(fresh/packG-1e-6)*packG - fresh
	if left < leastG {
		return 0
	}
	return left
}
