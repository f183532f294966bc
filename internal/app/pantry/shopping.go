package pantry

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/reckon"
	"plushladle/core/stock"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// ToBuy is an ingredient that the plan needs.
type ToBuy struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	NeedG  float64 `json:"needG"`
	Need   string  `json:"need" doc:"in cups and spoons; empty where its density is not known"`
	HaveG  float64 `json:"haveG"`
	BuyG   float64 `json:"buyG" doc:"0 where there is enough"`
	Packs  int     `json:"packs" doc:"0 where no pack is known"`
	Pack   string  `json:"pack" doc:"which packs, and how many of each: 2 × 200 g"`
	PacksG float64 `json:"packsG" doc:"what those packs hold that can be eaten"`
	Low    bool    `json:"low" doc:"it runs low, whatever the plan needs"`
	Cost   float64 `json:"cost" doc:"of those packs; 0 where no price is known"`
}

// Bill is what a shopping list comes to.
type Bill struct {
	Cost     float64 `json:"cost"`
	Unpriced int     `json:"unpriced" doc:"how many of it have no price"`
}

// BillOf adds up what is to be bought.
func BillOf(list []ToBuy) Bill {
	var out Bill
	for _, b := range list {
		switch {
		case b.Cost > 0:
			out.Cost += b.Cost
		case b.BuyG > 0:
			out.Unpriced++
		}
	}
	return out
}

func AddNeeds(needs map[string]float64, d *reckon.Drink, r *reckon.Reckoning) {
	for n, l := range r.Lines {
		if i := d.Lines[n].Ingredient; i != nil && l.Err == nil && !i.Has(ingredient.TagWater|ingredient.TagIce) && len(i.Made) == 0 {
			needs[i.ID] += l.MassG
		}
	}
}

// ToBuy is what the plan needs less what there is, in packs where those are
// known.
func (s Service) ToBuy(needs map[string]float64, ways kitchen.Setup) ([]ToBuy, error) {
	there, err := s.store.Stock()
	if err != nil {
		return nil, err
	}
	larder, err := s.store.Larder()
	if err != nil {
		return nil, err
	}
	more, err := s.store.MorePacks()
	if err != nil {
		return nil, err
	}
	low, err := s.store.Low()
	if err != nil {
		return nil, err
	}
	sizes := sizesOf(larder.Prices, more)
	list := []ToBuy{}
	for _, i := range ways.Catalogue.All() {
		need := needs[i.ID]
		left := there[i.ID] - need
		runsLow := low[i.ID] > 0 && left <= low[i.ID]
		if need <= 0 && !runsLow {
			continue
		}
		b := ToBuy{ID: i.ID, Name: i.Name, NeedG: need, HaveG: there[i.ID], BuyG: math.Max(0, -left), Low: runsLow}
		if runsLow {
			b.BuyG = math.Max(b.BuyG, low[i.ID]-left+leastMoreG) // to stand above its mark again
		}
		if i.BulkGPerML > 0 && need > 0 {
			cups, _ := quantity.Kitchen(need/i.BulkGPerML, ways.System, shoppingTolerance)
			b.Need = cups.String()
		}
		b.fill(stock.Cheapest(b.BuyG, sizes[i.ID]))
		list = append(list, b)
	}
	slices.SortStableFunc(list, func(a, b ToBuy) int { return bought(a) - bought(b) })
	return list, nil
}

// leastMoreG is how far above its mark an ingredient is bought at least.
const leastMoreG = 1

// sizesOf are the packs there are of each ingredient, by what of them can be eaten.
func sizesOf(prices []store.Price, more []store.MorePack) map[string][]stock.Size {
	out, edible := map[string][]stock.Size{}, map[string]float64{}
	for _, p := range prices {
		edible[p.Ingredient] = p.EdibleShare
		out[p.Ingredient] = []stock.Size{{Pack: p.Pack, G: p.PackG * p.EdibleShare, Price: p.Price}}
	}
	for _, p := range more {
		out[p.Ingredient] = append(out[p.Ingredient], stock.Size{Pack: p.Pack, G: p.PackG * cmp.Or(edible[p.Ingredient], 1), Price: p.Price})
	}
	return out
}

// fill says which packs are to be bought.
func (b *ToBuy) fill(counts []stock.Count) {
	var names []string
	for _, c := range counts {
		b.Packs += c.N
		b.PacksG += float64(c.N) * c.Size.G
		b.Cost += float64(c.N) * c.Size.Price
		names = append(names, fmt.Sprintf("%d × %s", c.N, c.Size.Pack))
	}
	b.Pack = wording.And(names)
}

// shoppingTolerance is how near a measure on the shopping list has to be.
const shoppingTolerance = 0.05

func bought(b ToBuy) int {
	if b.BuyG > 0 {
		return 0
	}
	return 1
}

// StockOf is how much there is.
type StockOf struct {
	MassG float64 `json:"massG" minimum:"0" maximum:"1000000"`
}

func (s Service) SetStock(ingredientID string, in StockOf) (Pantry, error) {
	if _, err := s.InCatalogue(ingredientID); err != nil {
		return Pantry{}, err
	}
	if err := s.store.SetStock(ingredientID, in.MassG); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

func (s Service) InCatalogue(id string) (*ingredient.Ingredient, error) {
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	i, ok := ways.Catalogue.ByID(id)
	if !ok {
		return nil, store.ErrNotFound
	}
	return i, nil
}
