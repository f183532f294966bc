package store

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/plan"
	"plushladle/core/say"
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
	made := NewBatch{DrinkID: d.ID, MadeOn: "2026-11-24", ForecastML: 500.25, Bottles: []Bottle{{VolumeML: 400, LeftML: 400, ServingML: 30, Place: Fridge, UseBy: "2026-11-26", OtherUseBy: "2026-11-28", School: "cautious", Reasons: []say.Text{}, Allergens: []string{}}}}
	_, err = s.MakeBatch(made)
	require.NoError(t, err)
	_, err = s.Pour(1, 30.5, 0)
	require.NoError(t, err)
	_, err = s.Move(1, Door)
	require.NoError(t, err)
	require.NoError(t, s.SetStock("almond", 123.4))
	require.NoError(t, s.StartBowl("almond", 100, true))
	require.NoError(t, s.StartTimer("soak", 60))
	require.NoError(t, s.KeepPlan([]PlanItem{{DrinkID: d.ID, DrinkName: "nog", Recipe: d.Draft, ReadyBy: time.Now(), Steps: []plan.ItemStep{}}}))
	require.NoError(t, s.Weigh(Weighing{ItemID: 1, Key: "line-1", MassG: 99.5}))
	require.NoError(t, s.KeepTemperatures([]Temperature{{At: 1, TempC: 4.2}, {At: 2, TempC: -1}}))
	require.NoError(t, s.SetPassphrase("hashed", 0))
	_, err = s.SignIn(Device{Name: "the boat", TokenHash: "token"})
	require.NoError(t, err)
	out := backedUp(t, s)
	assert.Equal(t, out, backedUp(t, s), "the same kitchen gives the same bytes")
	assert.NotContains(t, out, "hashed", "who may come in is not part of it")
	assert.NotContains(t, out, "the boat")

	other, path := newStore(t)
	_, err = other.StartDrink("to be replaced", kitchen.New("metric"))
	require.NoError(t, err)
	require.NoError(t, other.SetPassphrase("its own", 0))
	before := backedUp(t, other)
	kept, err := other.Restore(strings.NewReader(out), nil)
	require.NoError(t, err)
	assert.Equal(t, out, backedUp(t, other))
	hash, err := other.PassphraseHash()
	require.NoError(t, err)
	assert.Equal(t, "its own", hash, "and stays as it was")
	was, err := os.ReadFile(kept)
	require.NoError(t, err)
	assert.Equal(t, before, string(was), "what was there is kept")
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
	before := backedUp(t, s)
	with := func(schema, tables string) string {
		return fmt.Sprintf(`{"kitchen":"Plush Ladle backup","schema":%q,"tables":{%s}}`, schema, tables)
	}
	for _, bad := range []string{
		"", "a shopping list", `{"kitchen":"another"}`, `[1,2,3,4,5,6]`, before[:len(before)/2], before[:len(before)-4],
		with("9999-to-come", ""), with("0001-drinks-batches-bottles", `"pulps":[]`), with(lastMigration(), `"cellar":[]`),
		with(lastMigration(), `"devices":[{"id":1}]`), with(lastMigration(), `"bottles":{}`), with(lastMigration(), `"bottles":["x"]`),
		with(lastMigration(), `"bottles":[{"id":1,"batch_id":77}]`),
	} {
		_, err := s.Restore(strings.NewReader(bad), nil)
		assert.ErrorIs(t, err, ErrNotBackup, bad[:min(90, len(bad))])
		assert.Equal(t, before, backedUp(t, s), "all stays as it was")
	}
}

// A backup of any older version is brought up to this one.
func TestABackupOfAnOlderVersionIsRestored(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	const first = `{"kitchen":"Plush Ladle backup","schema":"0001-drinks-batches-bottles","tables":{
		"bottles":[{"id":1,"batch_id":1,"volume_ml":500,"left_ml":380,"serving_ml":30,"place":"fridge","use_by":"2026-11-26","other_use_by":"2026-11-27","school":"cautious","reasons":"[]","allergens":"[]","state":"in use","ended_why":"","created_at":"2026-11-24 09:00:00+00:00"}],
		"batches":[{"id":1,"drink_id":1,"version_id":1,"drink_name":"nog","made_on":"2026-11-24","forecast_ml":500,"measured_ml":null,"created_at":"2026-11-24 09:00:00+00:00"}],
		"drinks":[{"id":1,"name":"nog","draft":"{\"system\":\"us\",\"strainer\":\"bag\",\"blendS\":60,\"boiled\":true,\"lines\":[]}","revision":3,"created_at":"2026-11-24 09:00:00+00:00","changed_at":"2026-11-24 09:00:00+00:00"}],
		"versions":[{"id":1,"drink_id":1,"number":1,"note":"","formula":"{\"system\":\"us\",\"strainer\":\"bag\",\"blendS\":60,\"lines\":[]}","created_at":"2026-11-24 09:00:00+00:00"}],
		"settings":[{"id":1,"system":"us","school":"cautious","fridge_c":4,"jug_ml":1500,"theme":"system"}]}}`
	_, err := s.Restore(strings.NewReader(first), nil)
	require.NoError(t, err)
	d, err := s.Drink(1)
	require.NoError(t, err)
	assert.Equal(t, "simmer", d.Draft.Heat, "as later versions write it")
	b, err := s.Bottle(1)
	require.NoError(t, err)
	assert.Equal(t, 380., b.LeftML)
	assert.Equal(t, Fridge, b.FirstPlace)
	out := backedUp(t, s)
	_, err = s.Restore(strings.NewReader(out), nil)
	require.NoError(t, err)
	assert.Equal(t, out, backedUp(t, s))
}

func backedUp(t *testing.T, s *Store) string {
	t.Helper()
	var out strings.Builder
	require.NoError(t, s.Backup(&out))
	return out.String()
}

func TestADailyCopyIsKeptForAWeek(t *testing.T) {
	t.Parallel()
	path := filepath.Join(t.TempDir(), "kitchen.db")
	now := time.Date(2026, 11, 1, 9, 0, 0, 0, time.UTC)
	s, err := Open(path, func() time.Time { return now })
	require.NoError(t, err)
	defer func() { _ = s.Close() }()
	for range 10 {
		require.NoError(t, s.CopyBeside(t.Context()))
		require.NoError(t, s.CopyBeside(t.Context()), "twice a day is once")
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
	assert.Equal(t, os.FileMode(0o600), info.Mode().Perm(), "for its owner's eyes only")
}

// Whatever is given as a backup, it is taken whole or changes nothing.
func FuzzRestore(f *testing.F) {
	f.Add(fmt.Sprintf(`{"kitchen":"Plush Ladle backup","schema":%q,"tables":{"stock":[{"ingredient":"almond","mass_g":3}]}}`, lastMigration()))
	f.Add(`{"kitchen":"Plush Ladle backup","schema":"0001-drinks-batches-bottles","tables":{"drinks":[{"id":1}]}}`)
	f.Add(`{"kitchen":"Plush Ladle backup","schema":"0007-pulp","tables":{"stock":[[1,2],null,"x"]}}`)
	f.Add(`{"kitchen":`)
	s, err := Open(filepath.Join(f.TempDir(), "kitchen.db"), time.Now)
	require.NoError(f, err)
	f.Cleanup(func() { _ = s.Close() })
	f.Fuzz(func(t *testing.T, text string) { // one kitchen for all, so that thousands are tried a minute
		before := backedUp(t, s)
		if _, err := s.Restore(strings.NewReader(text), nil); err != nil {
			require.Equal(t, before, backedUp(t, s))
			return
		}
		again := backedUp(t, s)
		_, err := s.Restore(strings.NewReader(again), nil)
		require.NoError(t, err)
		require.Equal(t, again, backedUp(t, s))
	})
}
