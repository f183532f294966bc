package storetest

import (
	"time"

	"plushladle/core/record"
	"plushladle/core/say"
	"plushladle/internal/store"
)

// What a diligent kitchen keeps in a week: batches, each in bottles, each of those poured from.
const (
	batchesAWeek = 3
	bottlesEach  = 2
	poursEach    = 3
	weeksAYear   = 52
)

// Years fills a drink's record with so many years of batches that ended now, through the store's
// own ways, in as few transactions as it takes.
func Years(s *store.Store, drinkID int64, years int, now time.Time) error {
	begin := now.AddDate(-years, 0, 0)
	_, err := s.Act(store.Act{}, func(tx *store.Store) ([]byte, error) {
		for n := range years * weeksAYear * batchesAWeek {
			at := begin.Add(time.Duration(n) * 7 * 24 * time.Hour / batchesAWeek)
			if err := batch(tx.ByClock(func() time.Time { return at }), drinkID, n, at); err != nil {
				return nil, err
			}
		}
		return nil, nil
	})
	return err
}

// batch is one that was made, tasted, and drunk up.
func batch(s *store.Store, drinkID int64, n int, at time.Time) error {
	ml := 850 + 20*float64(n%5)
	made := store.NewBatch{DrinkID: drinkID, MadeOn: at.Format(time.DateOnly), ForecastML: 890, MeasuredML: &ml,
		Figures: store.BatchFigures{PerL: 3 + float64(n%7)/10, ShopPerL: 5, Sweetness: 4},
		Lessons: []record.Lesson{{What: record.Held, Key: "almond/bag", Share: 1 + float64(n%5)/50}}}
	for range bottlesEach {
		made.Bottles = append(made.Bottles, store.Bottle{VolumeML: 400, LeftML: 400, ServingML: 40, Place: store.Fridge, UseBy: at.AddDate(0, 0, 4).Format(time.DateOnly), OtherUseBy: at.AddDate(0, 0, 4).Format(time.DateOnly), School: "cautious", BegunAt: &at, CautiousDays: 4, CustomaryDays: 5, Reasons: []say.Text{}, Allergens: []string{"almond"}})
	}
	b, err := s.MakeBatch(made)
	if err != nil {
		return err
	}
	for _, bottle := range b.Bottles {
		for range poursEach {
			if _, err := s.Pour(bottle.ID, 400./poursEach, 0); err != nil {
				return err
			}
		}
	}
	return s.Taste(&store.Tasting{BatchID: b.ID, Who: "keeper", Stars: 3 + float64(n%4)/2, Flags: []record.Flag{record.Flags[n%len(record.Flags)]}, Words: "as ever"})
}

// Bottles fills so many bottles over the last years, of which the last inUse are not drunk up:
// those were filled in the last two days.
func Bottles(s *store.Store, drinkID int64, bottles, inUse int, now time.Time) error {
	_, err := s.Act(store.Act{}, func(tx *store.Store) ([]byte, error) {
		for n := 0; n < bottles; n += mostInABatch {
			at := now.Add(-time.Duration(bottles-n) * 4 * time.Hour)
			if left := bottles - n; left <= inUse {
				at = now.Add(-time.Duration(left) * 45 * time.Minute)
			}
			if err := filled(tx.ByClock(func() time.Time { return at }), drinkID, min(mostInABatch, bottles-n), bottles-n > inUse, at); err != nil {
				return nil, err
			}
		}
		return nil, nil
	})
	return err
}

const mostInABatch = 20

// filled is a batch in so many bottles, drunk up or not.
func filled(s *store.Store, drinkID int64, bottles int, drunk bool, at time.Time) error {
	made := store.NewBatch{DrinkID: drinkID, MadeOn: at.Format(time.DateOnly), ForecastML: 890}
	for range bottles {
		made.Bottles = append(made.Bottles, store.Bottle{VolumeML: 400, LeftML: 400, ServingML: 40, Place: store.Fridge, UseBy: at.AddDate(0, 0, 4).Format(time.DateOnly), OtherUseBy: at.AddDate(0, 0, 4).Format(time.DateOnly), School: "cautious", BegunAt: &at, CautiousDays: 4, CustomaryDays: 5, Reasons: []say.Text{}, Allergens: []string{"almond"}})
	}
	b, err := s.MakeBatch(made)
	if err != nil || !drunk {
		return err
	}
	for _, bottle := range b.Bottles {
		if _, err := s.Finish(bottle.ID); err != nil {
			return err
		}
	}
	return nil
}
