package pantry

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"time"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/stock"
	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// StockPage is all there is of one ingredient.
type StockPage struct {
	ID        string              `json:"id"`
	Name      string              `json:"name"`
	MassG     float64             `json:"massG"`
	LowG      float64             `json:"lowG" doc:"from here down it runs low; 0 where nobody asked"`
	PaidPerKG float64             `json:"paidPerKg" doc:"what a kilogram really cost, of what there is; 0 where no purchase has a price"`
	Currency  string              `json:"currency"`
	Lots      []LotRow            `json:"lots" doc:"the newest first"`
	Packs     []PackSize          `json:"packs" doc:"of other sizes than the usual one"`
	Adjusted  *kitchen.Adjustment `json:"adjusted,omitempty" doc:"what the kitchen knows better of a row that ships"`
	CanAdjust bool                `json:"canAdjust" doc:"it ships; a row of the cook's own is edited instead"`
}

// LotRow is what was bought at one time.
type LotRow struct {
	ID         int64   `json:"id"`
	Pack       string  `json:"pack"`
	BoughtG    float64 `json:"boughtG"`
	LeftG      float64 `json:"leftG"`
	Price      float64 `json:"price" doc:"paid for all of it; 0 where it was not written down"`
	PerKG      float64 `json:"perKg" doc:"0 where it was not written down"`
	BoughtOn   string  `json:"boughtOn"`
	BestBefore string  `json:"bestBefore" doc:"empty for none"`
	Past       bool    `json:"past" doc:"some of it is left, and its date is over"`
}

// PackSize is a pack of another size.
type PackSize struct {
	ID    int64   `json:"id"`
	Pack  string  `json:"pack"`
	PackG float64 `json:"packG"`
	Price float64 `json:"price"`
}

// StockPage is all there is of an ingredient.
func (s Service) StockPage(id string) (StockPage, error) {
	i, err := s.InCatalogue(id)
	if err != nil {
		return StockPage{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return StockPage{}, err
	}
	_, ships := ingredient.Standard().ByID(id)
	out := StockPage{ID: id, Name: i.Name, Currency: settings.Currency, Lots: []LotRow{}, Packs: []PackSize{}, CanAdjust: ships}
	if err := s.amounts(&out); err != nil {
		return out, err
	}
	packs, err := s.store.MorePacks()
	if err != nil {
		return out, err
	}
	for _, p := range packs {
		if p.Ingredient == id {
			out.Packs = append(out.Packs, PackSize{p.ID, p.Pack, p.PackG, p.Price})
		}
	}
	adjusted, err := s.store.Adjustments()
	if a, ok := adjusted[id]; ok {
		out.Adjusted = &a
	}
	return out, err
}

// amounts are how much there is, lot by lot.
func (s Service) amounts(out *StockPage) error {
	there, err := s.store.Stock()
	if err != nil {
		return err
	}
	low, err := s.store.Low()
	if err != nil {
		return err
	}
	lots, err := s.store.Lots(out.ID)
	if err != nil {
		return err
	}
	out.MassG, out.LowG = there[out.ID], low[out.ID]
	if perG, ok := stock.PaidPerG(store.CoreLots(lots)[out.ID]); ok {
		out.PaidPerKG = 1000 * perG
	}
	today := s.Now().Format(app.DateLayout)
	for _, l := range lots {
		out.Lots = append(out.Lots, LotRow{
			ID: l.ID, Pack: l.Pack, BoughtG: l.BoughtG, LeftG: l.LeftG, Price: l.Price, PerKG: 1000 * l.Price / l.BoughtG, BoughtOn: l.BoughtOn,
			BestBefore: l.BestBefore, Past: l.LeftG > 0 && l.BestBefore != "" && l.BestBefore < today,
		})
	}
	return nil
}

// Purchase is what was bought of an ingredient.
type Purchase struct {
	Pack       string  `json:"pack" maxLength:"60" doc:"what is in one: 500 g, 1 L, 1 piece"`
	Packs      float64 `json:"packs,omitempty" minimum:"0" maximum:"1000" doc:"how many; 0 for one"`
	Price      float64 `json:"price,omitempty" minimum:"0" maximum:"1000000" doc:"paid for all of them; 0 where it is not written down"`
	BestBefore string  `json:"bestBefore,omitempty" maxLength:"10" doc:"a date; empty for none"`
}

// Buy puts what was bought into the pantry, as a lot of its own.
func (s Service) Buy(id string, in Purchase) (StockPage, error) {
	i, err := s.InCatalogue(id)
	if err != nil {
		return StockPage{}, err
	}
	ways, err := s.Setup()
	if err != nil {
		return StockPage{}, err
	}
	g, err := s.PackG(i, in.Pack, ways)
	if err != nil {
		return StockPage{}, err
	}
	if in.BestBefore != "" {
		if _, err := time.Parse(app.DateLayout, in.BestBefore); err != nil {
			return StockPage{}, fault.New("bestBefore", in.BestBefore, "not-a-date")
		}
	}
	share, err := s.edibleShare(id)
	if err != nil {
		return StockPage{}, err
	}
	pack := kitchen.OneLine(in.Pack)
	if in.Packs > 1 {
		pack = fmt.Sprintf("%g × %s", in.Packs, pack)
	}
	lot := store.Lot{
		Ingredient: id, Pack: pack, BoughtG: g * share * cmp.Or(in.Packs, 1), Price: in.Price,
		BoughtOn: s.Now().Format(app.DateLayout), BestBefore: in.BestBefore,
	}
	if err := s.store.Buy(lot); err != nil {
		return StockPage{}, err
	}
	s.Changed()
	return s.StockPage(id)
}

// edibleShare is what is left of a pack that is bought in shell or peel; 1 otherwise.
func (s Service) edibleShare(id string) (float64, error) {
	larder, err := s.store.Larder()
	for _, p := range larder.Prices {
		if p.Ingredient == id {
			return p.EdibleShare, err
		}
	}
	return 1, err
}

// RemoveLot takes a lot out of the pantry, with what is left of it.
func (s Service) RemoveLot(id int64) (app.Nothing, error) {
	defer s.Changed()
	return app.Nothing{Done: true}, s.store.RemoveLot(id)
}

// LowAt says from how much down an ingredient runs low.
type LowAt struct {
	LowG float64 `json:"lowG" minimum:"0" maximum:"1000000" doc:"0 for never"`
}

// SetLow says from how much down an ingredient runs low.
func (s Service) SetLow(id string, in LowAt) (StockPage, error) {
	if _, err := s.InCatalogue(id); err != nil {
		return StockPage{}, err
	}
	if err := s.store.SetLow(id, in.LowG); err != nil {
		return StockPage{}, err
	}
	return s.StockPage(id)
}

// NewPack is a pack of another size.
type NewPack struct {
	Pack  string  `json:"pack" maxLength:"60" doc:"what is in it: 200 g, 250 mL"`
	Price float64 `json:"price"`
}

// AddPack keeps a pack of another size, so that the shopping list can choose.
func (s Service) AddPack(id string, in NewPack) (StockPage, error) {
	i, err := s.InCatalogue(id)
	if err != nil {
		return StockPage{}, err
	}
	ways, err := s.Setup()
	if err != nil {
		return StockPage{}, err
	}
	if !(in.Price >= leastPrice && in.Price <= maxPrice) {
		return StockPage{}, fault.New("price", "", "price-needed")
	}
	g, err := s.PackG(i, in.Pack, ways)
	if err != nil {
		return StockPage{}, err
	}
	if err := s.store.AddPack(store.MorePack{Ingredient: id, Pack: kitchen.OneLine(in.Pack), PackG: g, Price: in.Price}); err != nil {
		return StockPage{}, err
	}
	return s.StockPage(id)
}

// RemovePack forgets a pack of another size.
func (s Service) RemovePack(id int64) (app.Nothing, error) {
	return app.Nothing{Done: true}, s.store.RemovePack(id)
}

// Adjust keeps what the kitchen knows better of a row that ships; nothing at all has it as it
// ships.
func (s Service) Adjust(id string, in kitchen.Adjustment) (StockPage, error) {
	i, ok := ingredient.Standard().ByID(id)
	if !ok {
		return StockPage{}, store.ErrNotFound
	}
	if _, err := in.Adjusted(i); err != nil {
		return StockPage{}, err
	}
	if err := s.store.Adjust(id, in); err != nil {
		return StockPage{}, err
	}
	s.Changed()
	return s.StockPage(id)
}

// LeftOpen is what a batch made on a day leaves open on the shelf: the rest of packs that keep only
// so long once they are opened, and what was brewed and not used. Of a batch that is written down
// later it is long gone.
func (s Service) LeftOpen(usedG map[string]float64, leftoverML float64, madeOn string) ([]store.Pack, error) {
	if madeOn != s.Now().Format(app.DateLayout) {
		return nil, nil
	}
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	larder, err := s.store.Larder()
	if err != nil {
		return nil, err
	}
	open, err := s.store.OpenG()
	if err != nil {
		return nil, err
	}
	var out []store.Pack
	for _, p := range larder.Prices {
		i, ok := ways.Catalogue.ByID(p.Ingredient)
		if !ok || usedG[p.Ingredient] == 0 || !spoilsOpened(i) {
			continue
		}
		if left := stock.Open(usedG[p.Ingredient], open[p.Ingredient], p.PackG); left > 0 {
			out = append(out, store.Pack{Ingredient: p.Ingredient, MassG: left, OpenedOn: madeOn})
		}
	}
	if brewed, ok := ways.Catalogue.ByID("decoction"); ok && leftoverML >= leastLeftML {
		out = append(out, store.Pack{Ingredient: brewed.ID, MassG: math.Round(leftoverML), OpenedOn: madeOn})
	}
	slices.SortFunc(out, func(a, b store.Pack) int { return cmp.Compare(a.Ingredient, b.Ingredient) })
	return out, nil
}

const (
	leastLeftML = 10 // of a decoction that is worth keeping (a judgement)
	openedDays  = 30 // what keeps longer once it is opened goes back on its shelf (a judgement)
)

// spoilsOpened tells what has to be used up once its pack is open: cans, cartons, juices.
func spoilsOpened(i *ingredient.Ingredient) bool {
	days := keep.OpenedLife(i).Days(keep.Cautious)
	wet := i.Role == ingredient.Liquid || i.Role == ingredient.Dairy || i.Has(ingredient.TagJuice)
	return wet && days > 0 && days < openedDays && !i.Has(ingredient.TagWater) && !i.Has(ingredient.TagIce)
}
