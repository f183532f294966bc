package files

import (
	"fmt"
	"strings"

	"plushladle/core/record"
	"plushladle/internal/app"
	"plushladle/internal/app/notes"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/shelf"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
)

// mostFigure is far beyond what any kitchen has.
const mostFigure = 1e6

func (s Service) pantryRows() ([][]string, error) {
	there, err := s.store.Stock()
	if err != nil {
		return nil, err
	}
	low, err := s.store.Low()
	if err != nil {
		return nil, err
	}
	larder, err := s.store.Larder()
	if err != nil {
		return nil, err
	}
	prices := map[string]store.Price{}
	for _, p := range larder.Prices {
		prices[p.Ingredient] = p
	}
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	var rows [][]string
	for _, i := range ways.Catalogue.All() {
		p, priced := prices[i.ID]
		if there[i.ID] == 0 && low[i.ID] == 0 && !priced {
			continue
		}
		inShell := ""
		if priced && p.EdibleShare < 1 {
			inShell = "yes"
		}
		rows = append(rows, []string{i.ID, i.Name, number(there[i.ID]), number(low[i.ID]), number(p.Price), p.Pack, inShell})
	}
	return rows, nil
}

func (s Service) takePantry(row exchange.Row) error {
	ways, err := s.Setup()
	if err != nil {
		return err
	}
	i, ok := ways.Catalogue.ByID(strings.TrimSpace(row.Cells["ingredient_id"]))
	if !ok {
		return store.ErrNotFound
	}
	v, err := floats(row, 0, mostFigure, "stock_g", "low_g", "price")
	if err != nil {
		return err
	}
	if err := s.store.SetStock(i.ID, v[0]); err != nil {
		return err
	}
	if err := s.store.SetLow(i.ID, v[1]); err != nil {
		return err
	}
	if v[2] == 0 {
		return nil
	}
	inShell := i.EdibleShare < 1 && strings.EqualFold(strings.TrimSpace(row.Cells["in_shell"]), "yes")
	_, err = pantry.Of(s.Kitchen).SetPrice(i.ID, pantry.PackPrice{Price: v[2], Pack: row.Cells["pack"], InShell: inShell})
	return err
}

func (s Service) batchRows() ([][]string, error) {
	all, err := s.store.MadeBatches(0)
	if err != nil {
		return nil, err
	}
	rows := make([][]string, len(all))
	for n, made := range all {
		b, err := s.store.Batch(made.ID)
		if err != nil {
			return nil, err
		}
		rows[n] = []string{id(b.ID), b.DrinkName, fmt.Sprint(made.Version), b.MadeOn, number(b.ForecastML), maybe(b.MeasuredML), maybe(b.PulpG), maybe(b.DriedPulpG), number(b.PerL), b.Notes}
	}
	return rows, nil
}

func (s Service) takeBatch(row exchange.Row) error {
	batchID, err := row.Int("batch")
	if err != nil {
		return err
	}
	v, err := floats(row, 0, mostFigure, "measured_ml", "pulp_g", "dried_pulp_g")
	if err != nil {
		return err
	}
	if batchID == 0 {
		return s.addBatch(row, v)
	}
	_, err = notes.Of(s.Kitchen).CorrectBatch(batchID, correction(row, v))
	return err
}

func correction(row exchange.Row, v []float64) notes.BatchCorrection {
	known := func(v float64) *float64 {
		if v == 0 {
			return nil
		}
		return &v
	}
	return notes.BatchCorrection{MadeOn: row.Cells["made_on"], MeasuredML: known(v[0]), PulpG: known(v[1]), DriedPulpG: known(v[2]), Notes: row.Cells["notes"]}
}

// addBatch writes down a batch that was made without the kitchen: of the drink as it is now, without
// bottles.
func (s Service) addBatch(row exchange.Row, v []float64) error {
	drinks, err := s.store.Drinks()
	if err != nil {
		return err
	}
	madeOn, err := s.MadeOn(strings.TrimSpace(row.Cells["made_on"]))
	if err != nil {
		return err
	}
	for _, d := range drinks {
		if !strings.EqualFold(d.Name, strings.TrimSpace(row.Cells["drink"])) {
			continue
		}
		read, _, err := s.Kitchen.Read(d.Name, d.Draft)
		if err != nil {
			return err
		}
		r, err := read.Reckon()
		if err != nil {
			return err
		}
		if r.Drink == nil {
			return store.ErrNotFound
		}
		made := store.NewBatch{DrinkID: d.ID, MadeOn: madeOn.Format(app.DateLayout), ForecastML: r.Drink.VolumeML, Figures: app.FiguresOf(r, d.Draft.ShopPrice)}
		b, err := s.store.MakeBatch(made)
		if err != nil {
			return err
		}
		_, err = notes.Of(s.Kitchen).CorrectBatch(b.ID, correction(row, v))
		return err
	}
	return store.ErrNotFound
}

func (s Service) tastingRows() ([][]string, error) {
	all, err := s.store.AllTastings()
	rows := make([][]string, len(all))
	for n, t := range all {
		var flags []string
		for _, f := range t.Flags {
			flags = append(flags, string(f))
		}
		rows[n] = []string{id(t.ID), id(t.BatchID), id(t.BottleID), t.Who, moment(t.At), number(t.Sweet), number(t.Body), number(t.Spice), number(t.Salt), number(t.Stars), strings.Join(flags, " "), t.Words}
	}
	return rows, err
}

func (s Service) takeTasting(row exchange.Row) error {
	tasting, err := row.Int("tasting")
	if err != nil {
		return err
	}
	batch, err := row.Int("batch")
	if err != nil {
		return err
	}
	bottle, err := row.Int("bottle")
	if err != nil {
		return err
	}
	v, err := floats(row, -record.MostNotches, record.MostNotches, "sweet", "body", "spice", "salt")
	if err != nil {
		return err
	}
	stars, err := floats(row, 0, 5, "stars")
	if err != nil {
		return err
	}
	taste := notes.Taste{BottleID: bottle, Who: row.Cells["who"], Sweet: v[0], Body: v[1], Spice: v[2], Salt: v[3], Stars: stars[0], Flags: strings.Fields(row.Cells["flags"]), Words: row.Cells["words"]}
	if tasting == 0 {
		_, err := notes.Of(s.Kitchen).Taste(batch, taste)
		return err
	}
	kept, err := taste.Kept(batch)
	if err != nil {
		return err
	}
	kept.ID = tasting
	if kept.At, err = s.momentIn(row, "at"); err != nil {
		return err
	}
	return s.store.ChangeTasting(kept)
}

func (s Service) bottleRows() ([][]string, error) {
	all, err := s.store.AllBottles()
	rows := make([][]string, len(all))
	for n, b := range all {
		rows[n] = []string{id(b.ID), id(b.BatchID), b.Batch.DrinkName, number(b.VolumeML), number(b.LeftML), b.Place, b.UseBy, b.State, b.EndedWhy}
	}
	return rows, err
}

func (s Service) takeBottle(row exchange.Row) error {
	bottle, err := row.Int("bottle")
	if err != nil {
		return err
	}
	v, err := floats(row, 0, mostFigure, "volume_ml", "left_ml")
	if err != nil {
		return err
	}
	place := strings.TrimSpace(row.Cells["place"])
	if bottle != 0 {
		return s.store.ChangeBottle(bottle, v[1], place)
	}
	batchID, err := row.Int("batch")
	if err != nil {
		return err
	}
	b, err := s.store.WholeBatch(batchID)
	if err != nil {
		return err
	}
	d, _, err := s.Kitchen.Read(b.DrinkName, b.Version.Recipe)
	if err != nil {
		return err
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil || !r.Keeps.Known() || v[0] == 0 {
		return store.ErrNotFound
	}
	if place != store.Freezer {
		place = store.Fridge
	}
	filled := shelf.Fill(shelf.NewBottle{VolumeML: v[0], Place: place}, r, d.School, app.Day(b.MadeOn, s.Now().Location()))
	filled.BatchID = b.ID
	if left := strings.TrimSpace(row.Cells["left_ml"]); left != "" {
		filled.LeftML = min(v[1], v[0])
	}
	return s.store.AddBottle(&filled)
}

func (s Service) pourRows() ([][]string, error) {
	all, err := s.store.AllPours()
	rows := make([][]string, len(all))
	for n, p := range all {
		rows[n] = []string{id(p.ID), id(p.BottleID), number(p.ML), moment(p.PouredAt)}
	}
	return rows, err
}

func (s Service) takePour(row exchange.Row) error {
	pour, err := row.Int("pour")
	if err != nil {
		return err
	}
	bottle, err := row.Int("bottle")
	if err != nil {
		return err
	}
	v, err := floats(row, .1, mostFigure, "ml")
	if err != nil {
		return err
	}
	at, err := s.momentIn(row, "poured_at")
	if err != nil {
		return err
	}
	kept := store.Pour{ID: pour, BottleID: bottle, ML: v[0], PouredAt: at}
	if pour != 0 {
		return s.store.ChangePour(kept)
	}
	return s.store.AddPour(kept)
}
