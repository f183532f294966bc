package store

import (
	"errors"
	"fmt"
	"path/filepath"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/glebarez/sqlite"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gorm.io/gorm"

	"plushladle/core/say"
	"plushladle/internal/kitchen"
)

func newStore(t testing.TB) (*Store, string) {
	t.Helper()
	path := filepath.Join(t.TempDir(), "a kitchen?.db") // a path that has to be escaped
	s, err := Open(path, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s, path
}

func bottled(t *testing.T, s *Store, volumeML float64) int64 {
	t.Helper()
	d, err := s.StartDrink("Pecan flask creamer", kitchen.New("us"))
	require.NoError(t, err)
	b, err := s.MakeBatch(NewBatch{DrinkID: d.ID, MadeOn: "2026-11-24", ForecastML: volumeML, Bottles: []Bottle{
		{VolumeML: volumeML, LeftML: volumeML, ServingML: 30, Place: Fridge, UseBy: "2026-11-26", OtherUseBy: "2026-11-27", School: "cautious", Reasons: []say.Text{say.Of("least-life", "Pecans", 3, 5)}, Allergens: []string{"pecan"}},
	}})
	require.NoError(t, err)
	return b.Bottles[0].ID
}

func TestItIsAllThereWhenOpenedAgain(t *testing.T) {
	t.Parallel()
	s, path := newStore(t)
	id := bottled(t, s, 400)
	_, err := s.Pour(id, 30, 0)
	require.NoError(t, err)
	require.NoError(t, s.SetSettings(Settings{System: "au", School: "customary", FridgeC: 3, JugML: 900, Theme: "night", Measures: []string{"1 cup"}}))
	begun := time.Now()
	require.NoError(t, s.StartTimer("Soak the pecans", 3600))
	require.NoError(t, s.Close())

	again, err := Open(path, time.Now)
	require.NoError(t, err)
	defer func() { _ = again.Close() }()
	timers, err := again.Timers()
	require.NoError(t, err)
	require.Len(t, timers, 1)
	assert.WithinDuration(t, begun.Add(time.Hour), *timers[0].EndsAt, time.Minute, "it ran on while the store was closed")
	b, err := again.Bottle(id)
	require.NoError(t, err)
	assert.InDelta(t, 370, b.LeftML, 1e-9)
	assert.Equal(t, "least-life(Pecans, 3, 5)", say.Strings(b.Reasons))
	assert.Equal(t, 1, b.Batch.Version.Number)
	settings, err := again.Settings()
	require.NoError(t, err)
	assert.Equal(t, "au", settings.System)
	pours, err := again.Pours(id)
	require.NoError(t, err)
	assert.Len(t, pours, 1)
}

// Two devices pouring the last serving: one of them gets it.
func TestTheLastServingIsPouredOnce(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	id := bottled(t, s, 30)
	var poured, refused atomic.Int32
	var group sync.WaitGroup
	for range 8 {
		group.Go(func() {
			_, err := s.Pour(id, 30, 0)
			var empty *EmptyError
			switch {
			case err == nil:
				poured.Add(1)
			case errors.As(err, &empty):
				refused.Add(1)
			}
		})
	}
	group.Wait()
	assert.EqualValues(t, 1, poured.Load())
	assert.EqualValues(t, 7, refused.Load())
	b, err := s.Bottle(id)
	require.NoError(t, err)
	assert.Equal(t, Finished, b.State)
	assert.Zero(t, b.LeftML)
}

// Two tabs saving from the same revision: one of them is told.
func TestOneOfTwoSavesIsTold(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	d, err := s.StartDrink("first", kitchen.New("us"))
	require.NoError(t, err)
	var saved, told atomic.Int32
	var group sync.WaitGroup
	for range 6 {
		group.Go(func() {
			_, err := s.SaveDraft(d.ID, d.Revision, "second", kitchen.New("metric"))
			var conflict *Conflict
			switch {
			case err == nil:
				saved.Add(1)
			case errors.As(err, &conflict):
				told.Add(1)
			}
		})
	}
	group.Wait()
	assert.EqualValues(t, 1, saved.Load())
	assert.EqualValues(t, 5, told.Load())
}

func TestVersionsCountUpAndStay(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	d, err := s.StartDrink("nog", kitchen.New("us"))
	require.NoError(t, err)
	for want := 1; want <= 3; want++ {
		v, err := s.KeepVersion(d.ID, "note")
		require.NoError(t, err)
		assert.Equal(t, want, v.Number)
	}
	changed := kitchen.New("us")
	changed.Strainer = "cloth"
	_, err = s.SaveDraft(d.ID, 1, "nog", changed)
	require.NoError(t, err)
	kept, err := s.Drink(d.ID)
	require.NoError(t, err)
	assert.Equal(t, "bag", kept.Versions[0].Recipe.Strainer, "a version does not follow the draft")
	require.NoError(t, s.DeleteDrink(d.ID))
	assert.ErrorIs(t, s.DeleteDrink(d.ID), ErrNotFound)
	_, err = s.Drink(d.ID)
	assert.ErrorIs(t, err, ErrNotFound)
}

func TestABatchIsWrittenWhollyOrNotAtAll(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	d, err := s.StartDrink("nog", kitchen.New("us"))
	require.NoError(t, err)
	_, err = s.MakeBatch(NewBatch{DrinkID: d.ID, MadeOn: "2026-11-24", ForecastML: 500, Bottles: []Bottle{
		{VolumeML: 400, LeftML: 400, Place: Fridge, Reasons: []say.Text{}, Allergens: []string{}},
		{VolumeML: -1, LeftML: 0, Place: Fridge, Reasons: []say.Text{}, Allergens: []string{}},
	}})
	require.ErrorContains(t, err, "volume_ml > 0")
	shelf, err := s.Shelf()
	require.NoError(t, err)
	assert.Empty(t, shelf)
	kept, err := s.Drink(d.ID)
	require.NoError(t, err)
	assert.Empty(t, kept.Versions)
}

func TestANewerKitchenIsRefusedPolitely(t *testing.T) {
	t.Parallel()
	s, path := newStore(t)
	require.NoError(t, s.db.Exec("INSERT INTO migrations (id) VALUES ('9999-from-the-future')").Error)
	require.NoError(t, s.Close())
	_, err := Open(path, time.Now)
	assert.ErrorIs(t, err, ErrNewer)
	besides, err := filepath.Glob(filepath.Join(filepath.Dir(path), "*-[ws]*"))
	require.NoError(t, err)
	assert.Empty(t, besides, "nothing is put beside it")
}

// older is a kitchen's file as a former version left it.
func older(t *testing.T, schema string, statements ...string) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "older.db")
	db, err := gorm.Open(sqlite.Open(dsn(path, pragmas)), config())
	require.NoError(t, err)
	require.NoError(t, migrator(db).MigrateTo(schema))
	for _, sql := range statements {
		require.NoError(t, db.Exec(sql).Error, sql)
	}
	require.NoError(t, (&Store{db: db}).Close())
	return path
}

// A kitchen kept before there were heats says the same as it did.
func TestABoiledRecipeBecomesOneWithAHeat(t *testing.T) {
	t.Parallel()
	path := older(t, "0001-drinks-batches-bottles",
		`INSERT INTO drinks VALUES (1, 'soy', '{"boiled":true,"system":"us"}', 1, '2026-11-24 09:00:00+00:00', '2026-11-24 09:00:00+00:00')`,
		`INSERT INTO versions VALUES (1, 1, 1, '', '{"boiled":false,"system":"us"}', '2026-11-24 09:00:00+00:00')`)
	again, err := Open(path, time.Now)
	require.NoError(t, err)
	defer func() { _ = again.Close() }()
	kept, err := again.Drink(1)
	require.NoError(t, err)
	assert.Equal(t, "simmer", kept.Draft.Heat)
	assert.Empty(t, kept.Versions[0].Recipe.Heat)
	settings, err := again.Settings()
	require.NoError(t, err)
	assert.Equal(t, "GBP", settings.Currency)
}

// A drink planned before amounts could be weighed can be, once opened by a
// version that weighs.
func TestADrinkPlannedBeforeCanBeWeighed(t *testing.T) {
	t.Parallel()
	path := older(t, "0004-timers",
		`INSERT INTO drinks VALUES (1, 'nog', '{"system":"us"}', 1, '2026-11-24 09:00:00+00:00', '2026-11-24 09:00:00+00:00')`,
		`INSERT INTO plan_items (drink_id, drink_name, formula, ready_by, fridge, sequence, steps, created_at) VALUES (1, 'nog', '{"system":"us"}', '2026-11-24 09:00:00+00:00', 0, 0,
			'[{"kind":"grind","handsOn":true,"start":"2026-11-24T09:00:00Z","least":"2026-11-24T09:04:00Z","most":"2026-11-24T09:04:00Z","amounts":[{"name":"Water","massG":700},{"name":"Salt","massG":1}]}]', '2026-11-24 09:00:00+00:00')`)
	again, err := Open(path, time.Now)
	require.NoError(t, err)
	defer func() { _ = again.Close() }()
	items, err := again.Plan()
	require.NoError(t, err)
	amounts := items[0].Steps[0].Amounts
	assert.NotEqual(t, amounts[0].Key, amounts[1].Key)
	assert.Equal(t, 700., amounts[0].MassG)
	assert.Equal(t, 4, items[0].Steps[0].LeastM)
	require.NoError(t, again.Weigh(Weighing{ItemID: items[0].ID, Key: amounts[0].Key, MassG: 690}))
}

func TestABowlGivesNoMoreThanItHolds(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	require.NoError(t, s.SetStock("almond", 500))
	require.NoError(t, s.StartBowl("almond", 300, true))
	require.NoError(t, s.KeepDrawn(nil, map[int64]float64{1: 200}))
	var tooLittle *TooLittleError
	require.ErrorAs(t, s.KeepDrawn(nil, map[int64]float64{1: 200}), &tooLittle)
	assert.Equal(t, 100., tooLittle.HasG)
	require.NoError(t, s.TopUpBowl(1, 150))
	bowls, err := s.Bowls()
	require.NoError(t, err)
	assert.Equal(t, 250., bowls[0].DryG)
	stock, err := s.Stock()
	require.NoError(t, err)
	assert.Equal(t, 50., stock["almond"])
	require.NoError(t, s.EndBowl(1))
	assert.ErrorIs(t, s.TopUpBowl(1, 5), ErrNotFound)
	assert.ErrorIs(t, s.ChangeBowl(1, true, true), ErrNotFound)
}

// Where there is no room left, what was kept stays, and it goes on once there
// is room again.
func TestAFullDiskLosesNothing(t *testing.T) {
	t.Parallel()
	s, path := newStore(t)
	raw, err := s.db.DB()
	require.NoError(t, err)
	raw.SetMaxOpenConns(1) // the limit is a connection's
	require.NoError(t, s.db.Exec("PRAGMA max_page_count = 60").Error)
	kept := 0
	for ; err == nil && kept < 5000; kept++ {
		_, err = s.StartDrink(fmt.Sprint("drink ", kept), kitchen.New("us"))
	}
	kept--
	require.True(t, IsFull(err), "%v", err)
	drinks, err := s.Drinks()
	require.NoError(t, err, "reading goes on")
	assert.Len(t, drinks, kept)
	require.NoError(t, s.db.Exec("PRAGMA max_page_count = 6000").Error)
	_, err = s.StartDrink("after room was made", kitchen.New("us"))
	require.NoError(t, err)
	require.NoError(t, s.Close())
	again, err := Open(path, time.Now)
	require.NoError(t, err)
	drinks, err = again.Drinks()
	require.NoError(t, err)
	assert.Len(t, drinks, kept+1)
	require.NoError(t, again.Close())
	assert.False(t, IsFull(ErrNotFound))
}
