package store

import (
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/kitchen"
)

// Everything goes out and in again, to the byte.
func TestABackupIsRestoredByteForByte(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	d, err := s.StartDrink(`nog "with" ünicode, <b>`, kitchen.New("us"))
	require.NoError(t, err)
	_, err = s.KeepVersion(d.ID, "first")
	require.NoError(t, err)
	made := NewBatch{DrinkID: d.ID, MadeOn: "2026-11-24", ForecastML: 500.25, Bottles: []Bottle{{VolumeML: 400, LeftML: 400, ServingML: 30, Place: Fridge, UseBy: "2026-11-26", OtherUseBy: "2026-11-28", School: "cautious", Reasons: []string{}, Allergens: []string{}}}}
	_, err = s.MakeBatch(made)
	require.NoError(t, err)
	_, err = s.Pour(1, 30.5)
	require.NoError(t, err)
	_, err = s.Move(1, Door)
	require.NoError(t, err)
	require.NoError(t, s.SetStock("almond", 123.4))
	require.NoError(t, s.StartBowl("almond", 100, true))
	require.NoError(t, s.StartTimer("soak", 60))
	require.NoError(t, s.KeepPlan([]PlanItem{{DrinkID: d.ID, DrinkName: "nog", Formula: d.Draft, ReadyBy: time.Now(), Steps: []kitchen.PlanStep{}}}))
	require.NoError(t, s.Weigh(Weighing{ItemID: 1, Key: "line-1", MassG: 99.5}))
	require.NoError(t, s.KeepTemperatures([]Temperature{{1, 4.2}, {2, -1}}))
	out, err := s.Backup()
	require.NoError(t, err)
	again, err := s.Backup()
	require.NoError(t, err)
	assert.Equal(t, string(out), string(again), "the same kitchen gives the same bytes")

	other, path := newStore(t)
	_, err = other.StartDrink("to be replaced", kitchen.New("metric"))
	require.NoError(t, err)
	require.NoError(t, other.Restore(out))
	in, err := other.Backup()
	require.NoError(t, err)
	assert.Equal(t, string(out), string(in))
	b, err := other.Bottle(1)
	require.NoError(t, err)
	assert.InDelta(t, 369.5, b.LeftML, 1e-9)
	assert.Equal(t, Door, b.Place)
	_, err = other.StartDrink("goes on", kitchen.New("us"))
	require.NoError(t, err, "a restored kitchen is one to go on in")
	require.NoError(t, other.Close())
	reopened, err := Open(path, time.Now)
	require.NoError(t, err)
	require.NoError(t, reopened.Close())
}

func TestWhatIsNoBackupChangesNothing(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	_, err := s.StartDrink("stays", kitchen.New("us"))
	require.NoError(t, err)
	before, err := s.Backup()
	require.NoError(t, err)
	var b backup
	require.NoError(t, json.Unmarshal(before, &b))
	older, odd, broken := b, b, b
	older.Schema = "0001-drinks-batches-bottles"
	odd.Tables = map[string][]json.RawMessage{"cellar": {}}
	broken.Tables = map[string][]json.RawMessage{"bottles": {json.RawMessage(`{"id":1,"batch_id":77}`)}}
	for _, bad := range []any{"", "nothing", map[string]any{"kitchen": "another"}, older, odd, broken} {
		data, err := json.Marshal(bad)
		require.NoError(t, err)
		assert.Error(t, s.Restore(data), string(data[:min(60, len(data))]))
		after, err := s.Backup()
		require.NoError(t, err)
		assert.Equal(t, string(before), string(after), "all stays as it was")
	}
}

func TestADailyCopyIsKeptForAWeek(t *testing.T) {
	t.Parallel()
	path := filepath.Join(t.TempDir(), "kitchen.db")
	now := time.Date(2026, 11, 1, 9, 0, 0, 0, time.UTC)
	s, err := Open(path, func() time.Time { return now })
	require.NoError(t, err)
	defer func() { _ = s.Close() }()
	for range 10 {
		require.NoError(t, s.CopyBeside(t.Context(), path))
		require.NoError(t, s.CopyBeside(t.Context(), path), "twice a day is once")
		_, err = s.StartDrink(now.String(), kitchen.New("us"))
		require.NoError(t, err)
		now = now.AddDate(0, 0, 1)
	}
	copies, err := filepath.Glob(path + ".copy-*")
	require.NoError(t, err)
	require.Len(t, copies, copiesKept)
	assert.True(t, strings.HasSuffix(copies[0], "2026-11-04"))
	kept, err := Open(copies[len(copies)-1], time.Now)
	require.NoError(t, err, "a copy is a kitchen of its own")
	defer func() { _ = kept.Close() }()
	drinks, err := kept.Drinks()
	require.NoError(t, err)
	assert.Len(t, drinks, 9)
	info, err := os.Stat(copies[0])
	require.NoError(t, err)
	assert.Positive(t, info.Size())
}
