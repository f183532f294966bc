package store

import (
	"compress/gzip"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"runtime"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/say"
	"plushladle/internal/kitchen"
)

// What a kitchen could not show is refused with its place, and changes nothing.
func TestABackupThatCouldNotBeShownIsRefusedWithItsPlace(t *testing.T) {
	t.Parallel()
	s, path := newStore(t)
	id := bottled(t, s, 400)
	require.NoError(t, s.SetStock("almond", 3))
	good := backedUp(t, s)
	tests := []struct{ name, from, to, says string }{
		{"no settings", `"settings": [` + between(good, `"settings": [`, "\n  ]"), `"settings": [`, "no settings"},
		{"a draft that is none", `"draft":"{`, `"draft":"{{{`, `row 1 of "drinks"`},
		{"a moment that is none", `"created_at":"` + between(good, `"made_on":"2026-11-24","forecast_ml":400.0,"measured_ml":null,"created_at":"`, `"`), `"created_at":"yesterday`, `row 1 of "`},
		{"a state that is none", `"state":"in use"`, `"state":"eaten"`, `"eaten" is no state`},
		{"a place that is none", `"first_place":"fridge"`, `"first_place":"oven"`, `"oven" is no place`},
		{"a system that is none", `"system":"us","school"`, `"system":"klingon","school"`, `"klingon": unknown-system`},
		{"a name that is an object", `"name":"Pecan flask creamer"`, `"name":{"a":1}`, `"name" does not hold text`},
		{"a number that is text", `"left_ml":400.0`, `"left_ml":"400"`, `"left_ml" does not hold a number`},
		{"no number at all", `"mass_g":3.0`, `"mass_g":1e999`, `does not hold a number`},
		{"a serving of nothing", `"serving_ml":30.0`, `"serving_ml":1e-320`, "serving_ml"},
		{"a column there is not", `"mass_g":3.0`, `"mass_g":3.0,"colour":1`, `no column "colour"`},
		{"text after its end", good, good + "and more", "something follows its end"},
		{"a second one after it", good, good + good, "something follows its end"},
	}
	for _, tt := range tests {
		bad := strings.ReplaceAll(good, tt.from, tt.to)
		require.NotEqual(t, good, bad, tt.name)
		_, err := s.Restore(strings.NewReader(bad), nil)
		require.ErrorIs(t, err, ErrNotBackup, tt.name)
		assert.ErrorContains(t, err, tt.says, tt.name)
		assert.Equal(t, good, backedUp(t, s), tt.name)
	}
	_, err := s.Restore(strings.NewReader(good), func(*Store) error { return errors.New("drink 1 cannot be reckoned") })
	assert.ErrorContains(t, err, "drink 1 cannot be reckoned")
	copies, err := filepath.Glob(path + beforeRestoreMark + "*")
	require.NoError(t, err)
	assert.Empty(t, copies, "what is refused is not worth a copy")
	_, err = s.Bottle(id)
	require.NoError(t, err)
}

func between(text, from, to string) string {
	_, after, _ := strings.Cut(text, from)
	inside, _, _ := strings.Cut(after, to)
	return inside
}

// Each restore keeps what was there under its time; the last five stay.
func TestWhatWasThereBeforeARestoreIsKept(t *testing.T) {
	t.Parallel()
	path := filepath.Join(t.TempDir(), "kitchen.db")
	now := time.Date(2026, 11, 24, 9, 0, 0, 0, time.UTC)
	s, err := Open(path, func() time.Time { return now })
	require.NoError(t, err)
	defer func() { _ = s.Close() }()
	empty := backedUp(t, s)
	for n := range 7 {
		_, err := s.StartDrink(fmt.Sprintf("drink %d", n), kitchen.New("us"))
		require.NoError(t, err)
		kept, err := s.Restore(strings.NewReader(empty), nil)
		require.NoError(t, err)
		data, err := os.ReadFile(kept)
		require.NoError(t, err)
		assert.Contains(t, string(data), fmt.Sprintf("drink %d", n))
		now = now.Add(time.Duration(n%2) * time.Second) // two of them within a second
	}
	copies, err := filepath.Glob(path + beforeRestoreMark + "*")
	require.NoError(t, err)
	assert.Len(t, copies, beforeKept)
}

// One enormous string is refused without being held, and a large backup takes
// less than three times its length.
func TestARestoreTakesLittleMemory(t *testing.T) {
	s, _ := newStore(t)
	head := fmt.Sprintf(`{"kitchen":%q,"schema":%q,"tables":{`, backupIs, lastMigration())
	long := io.MultiReader(strings.NewReader(head+`"stock":[{"ingredient":"`), io.LimitReader(endless('x'), 200<<20), strings.NewReader(`","mass_g":1}]}}`))
	used := memoryUsed(func() {
		_, err := s.Restore(long, nil)
		assert.ErrorContains(t, err, "longer than 4 MB")
	})
	assert.Less(t, used, uint64(100<<20), "of 200 MB")

	rows := strings.Repeat(fmt.Sprintf(`{"key":%q},`, strings.Repeat("y", 1000)), 20_000)
	many := head + `"pours":[` + rows
	used = memoryUsed(func() {
		_, err := s.Restore(strings.NewReader(many), nil)
		assert.Error(t, err)
	})
	assert.Less(t, used, uint64(3*len(many)))
	large, err := os.CreateTemp(t.TempDir(), "")
	require.NoError(t, err)
	require.NoError(t, large.Truncate(MaxBackupBytes+1))
	_, err = s.Restore(large, nil)
	assert.ErrorContains(t, err, "larger than 256 MB")
}

type endless byte

func (b endless) Read(p []byte) (int, error) {
	for n := range p {
		p[n] = byte(b)
	}
	return len(p), nil
}

// memoryUsed is the most that the heap grew while something was done.
func memoryUsed(do func()) uint64 {
	var before, now runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&before)
	done, most := make(chan struct{}), make(chan uint64)
	go func() {
		peak := uint64(0)
		for {
			runtime.ReadMemStats(&now)
			peak = max(peak, now.HeapInuse)
			select {
			case <-done:
				most <- peak
				return
			case <-time.After(5 * time.Millisecond):
			}
		}
	}()
	do()
	close(done)
	peak := <-most
	return peak - min(peak, before.HeapInuse)
}

// The demo kitchen as the version before left it: brought up to this one, and
// the same to the byte from then on.
func TestTheKitchenOfTheLastVersionComesBack(t *testing.T) {
	t.Parallel()
	old := kitchenOf(t, "demo-0009.json.gz")
	s, _ := newStore(t)
	_, err := s.Restore(strings.NewReader(old), nil)
	require.NoError(t, err)
	drinks, err := s.Drinks()
	require.NoError(t, err)
	assert.Len(t, drinks, 8)
	var before struct {
		Tables struct {
			Versions []struct{ Formula string }
			Bottles  []struct {
				UseBy string `json:"use_by"`
			}
		}
	}
	require.NoError(t, json.Unmarshal([]byte(old), &before))
	var versions []Version
	require.NoError(t, s.db.Order("id").Find(&versions).Error)
	require.Len(t, versions, len(before.Tables.Versions))
	for n, v := range versions {
		var was kitchen.Recipe
		require.NoError(t, json.Unmarshal([]byte(before.Tables.Versions[n].Formula), &was))
		assert.Equal(t, was.Lines, v.Recipe.Lines, "as the cook wrote it")
		assert.Equal(t, []float64{30, 10, 0, 0}, []float64{was.BlendS, was.WaterC, v.Recipe.BlendS, v.Recipe.WaterC}, "what was never set goes by the base and the tap")
	}
	var bottles []Bottle
	require.NoError(t, s.db.Order("id").Find(&bottles).Error)
	for n, b := range bottles {
		assert.Equal(t, before.Tables.Bottles[n].UseBy, b.UseBy, "a bottle keeps its date")
	}
	now := backedUp(t, s)
	other, _ := newStore(t)
	_, err = other.Restore(strings.NewReader(now), nil)
	require.NoError(t, err)
	assert.Equal(t, now, backedUp(t, other))
}

// The last version's own file comes in whole: what it wrote is what this one writes, but for what
// is new.
func TestTheLastVersionsBackupIsRestored(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	old := kitchenOf(t, "demo-0019.json.gz")
	_, err := s.Restore(strings.NewReader(old), nil)
	require.NoError(t, err)
	now := backedUp(t, s)
	rows := func(text string) map[string]int {
		var file struct{ Tables map[string][]json.RawMessage }
		require.NoError(t, json.Unmarshal([]byte(text), &file))
		count := map[string]int{}
		for table, rows := range file.Tables {
			count[table] = len(rows)
		}
		return count
	}
	was, is := rows(old), rows(now)
	require.Greater(t, was["bottles"]*was["tastings"]*was["temperatures"], 0)
	for table, n := range was {
		assert.Equal(t, n, is[table], table)
	}
	other, _ := newStore(t)
	_, err = other.Restore(strings.NewReader(now), nil)
	require.NoError(t, err)
	assert.Equal(t, now, backedUp(t, other))
}

// A copy of a day is brought back into a kitchen that is open, which keeps what was there.
func TestACopyOfADayIsRestored(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	_, err := s.StartDrink("of the morning", kitchen.New("us"))
	require.NoError(t, err)
	morning := backedUp(t, s)
	require.NoError(t, s.CopyBeside(t.Context()))
	require.Len(t, s.Copies(), 1)
	_, err = s.StartDrink("of the afternoon", kitchen.New("us"))
	require.NoError(t, err)
	afternoon := backedUp(t, s)
	look := func(*Store) error { return nil }
	_, err = s.RestoreDay("1999-01-01", look)
	require.ErrorIs(t, err, ErrNotBackup)
	kept, err := s.RestoreDay(s.Copies()[0], look)
	require.NoError(t, err)
	assert.Equal(t, morning, backedUp(t, s))
	was, err := os.ReadFile(kept)
	require.NoError(t, err)
	assert.Equal(t, afternoon, string(was))
}

// Until 0011 sentences were kept: they come back as the codes that tell the same.
func TestSentencesThatWereKeptComeBackAsCodes(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	_, err := s.Restore(strings.NewReader(kitchenOf(t, "demo-0010.json.gz")), nil)
	require.NoError(t, err)
	var bottles []Bottle
	require.NoError(t, s.db.Find(&bottles).Error)
	require.NotEmpty(t, bottles)
	for _, b := range bottles {
		require.NotEmpty(t, b.Reasons)
		for _, r := range b.Reasons {
			assert.NotEqual(t, say.AsWritten, r.Code, "%s", r)
		}
	}
	assert.Equal(t, say.Of("least-life", "Pecans", 3, 5), reasonOf("Pecans: 3 days, 5 by custom"))
	assert.Equal(t, say.Of("concentrate-life-hot", 0.86, 30, 60), reasonOf("a concentrate, filled hot, water activity 0.86: 30 days, 60 by custom"))
	assert.Equal(t, say.Written("because I say so"), reasonOf("because I say so"))
	items, err := s.Plan()
	require.NoError(t, err)
	for _, item := range items {
		for _, step := range item.Steps {
			assert.Equal(t, say.AsWritten, step.Title.Code)
			assert.NotEmpty(t, step.Title.Args[0])
			for _, a := range step.Amounts {
				assert.NotContains(t, a.Name, ", soaked", "it is said beside the name now")
			}
		}
	}
}

func kitchenOf(t *testing.T, name string) string {
	t.Helper()
	file, err := os.Open("testdata/" + name)
	require.NoError(t, err)
	defer func() { _ = file.Close() }()
	plain, err := gzip.NewReader(file)
	require.NoError(t, err)
	data, err := io.ReadAll(plain)
	require.NoError(t, err)
	return string(data)
}

func TestOneKitchenIsOpenOnce(t *testing.T) {
	t.Parallel()
	s, path := newStore(t)
	_, err := Open(path, time.Now)
	require.ErrorIs(t, err, ErrOpenElsewhere)
	assert.ErrorContains(t, err, fmt.Sprintf("process %d", os.Getpid()))
	_, _, err = RestoreCopy(path, "", time.Now)
	require.ErrorIs(t, err, ErrOpenElsewhere)
	link := filepath.Join(t.TempDir(), "also.db")
	require.NoError(t, os.Symlink(path, link))
	_, err = Open(link, time.Now)
	require.ErrorIs(t, err, ErrOpenElsewhere, "by another name it is the same")

	_, err = s.StartDrink("nog", kitchen.New("us"))
	require.NoError(t, err)
	read, err := OpenToRead(path, time.Now)
	require.NoError(t, err, "a backup does not have to wait")
	assert.Equal(t, backedUp(t, s), backedUp(t, read))
	require.NoError(t, read.Close())
	require.NoError(t, s.Close())
	again, err := Open(path, time.Now)
	require.NoError(t, err)
	require.NoError(t, again.Close())
}

// A file that was emptied is not begun anew while its copies are there.
func TestAnEmptiedFileIsRefusedBesideItsCopies(t *testing.T) {
	t.Parallel()
	path := filepath.Join(t.TempDir(), "kitchen.db")
	now := time.Date(2026, 11, 1, 9, 0, 0, 0, time.UTC)
	clock := func() time.Time { return now }
	s, err := Open(path, clock)
	require.NoError(t, err)
	_, err = s.StartDrink("nog", kitchen.New("us"))
	require.NoError(t, err)
	require.NoError(t, s.CopyBeside(t.Context()))
	require.NoError(t, s.Close())
	for _, content := range []string{"", "x"} {
		require.NoError(t, os.WriteFile(path, []byte(content), 0o600))
		_, err = Open(path, clock)
		assert.ErrorContains(t, err, "kitchen.db.copy-2026-11-01")
	}
	require.NoError(t, os.Remove(path))
	_, err = Open(path, clock)
	assert.ErrorContains(t, err, "restore --copy")

	_, _, err = RestoreCopy(path, "2026-10-30", clock)
	assert.ErrorContains(t, err, "there is one of 2026-11-01")
	_, _, err = RestoreCopy(path, "", clock)
	require.NoError(t, err)
	s, err = Open(path, clock)
	require.NoError(t, err)
	drinks, err := s.Drinks()
	require.NoError(t, err)
	assert.Len(t, drinks, 1)
	// emptied from within, and copied day after day, the last with content stays
	require.NoError(t, s.DeleteDrink(1))
	for range 12 {
		now = now.AddDate(0, 0, 1)
		require.NoError(t, s.CopyBeside(t.Context()))
	}
	require.NoError(t, s.Close())
	assert.Contains(t, copiesOf(path), path+copyMark+"2026-11-01")
	assert.FileExists(t, copyName(path, now))

	alone := filepath.Join(t.TempDir(), "alone.db")
	require.NoError(t, os.WriteFile(alone, []byte("x"), 0o600))
	_, err = Open(alone, clock)
	assert.ErrorIs(t, err, errDamaged)
	require.NoError(t, os.WriteFile(alone, nil, 0o600))
	s, err = Open(alone, clock)
	require.NoError(t, err, "an empty file with nothing beside it is a new kitchen")
	require.NoError(t, s.Close())
}

// A full disk and a folder that is read-only are called what they are, leave
// nothing beside the file, and a backup can still be had.
func TestOnlyWhatIsDamagedIsCalledSo(t *testing.T) {
	disk := t.TempDir()
	if err := syscall.Mount("tmpfs", disk, "tmpfs", 0, "size=2m"); err != nil {
		t.Skip("a small disk cannot be mounted here: ", err)
	}
	t.Cleanup(func() { _ = syscall.Unmount(disk, syscall.MNT_DETACH) })
	path := filepath.Join(disk, "kitchen.db")
	s, err := Open(path, time.Now)
	require.NoError(t, err)
	_, err = s.StartDrink("nog", kitchen.New("us"))
	require.NoError(t, err)
	want := backedUp(t, s)
	require.NoError(t, s.Close())
	there := func() []string {
		names, err := filepath.Glob(filepath.Join(disk, "*"))
		require.NoError(t, err)
		return names
	}
	ballast := filepath.Join(disk, "ballast")
	_ = os.WriteFile(ballast, make([]byte, 4<<20), 0o600) // as much as there is room for
	before := there()
	_, err = Open(path, time.Now)
	require.ErrorIs(t, err, errFull)
	assert.Equal(t, before, there())
	read, err := OpenToRead(path, time.Now)
	require.NoError(t, err)
	assert.Equal(t, want, backedUp(t, read))
	require.NoError(t, read.Close())
	require.NoError(t, os.Remove(ballast))

	require.NoError(t, syscall.Mount("tmpfs", disk, "tmpfs", syscall.MS_REMOUNT|syscall.MS_RDONLY, "size=2m"))
	before = there()
	_, err = Open(path, time.Now)
	require.ErrorIs(t, err, errUnwritable)
	assert.Equal(t, before, there())
	read, err = OpenToRead(path, time.Now)
	require.NoError(t, err)
	assert.Equal(t, want, backedUp(t, read))
	require.NoError(t, read.Close())
	require.NoError(t, syscall.Mount("tmpfs", disk, "tmpfs", syscall.MS_REMOUNT, "size=2m"))

	require.NoError(t, os.WriteFile(path, []byte(strings.Repeat("no kitchen ", 100)), 0o600))
	before = there()
	_, err = Open(path, time.Now)
	assert.ErrorIs(t, err, errDamaged)
	assert.Equal(t, before, there())
}

// The same request acts once, together with its answer; another under its key
// is refused, and what failed may be tried again.
func TestAnActIsDoneOnce(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	pour := Act{Key: "k", What: "POST pours 30"}
	id := bottled(t, s, 400)
	act := func(a Act, ml float64) (Done, error) {
		return s.Act(a, func(tx *Store) ([]byte, error) {
			_, err := tx.Pour(id, ml, 0)
			return []byte("poured"), err
		})
	}
	for n := range 3 {
		done, err := act(pour, 30)
		require.NoError(t, err)
		assert.Equal(t, n > 0, done.Before)
		assert.Equal(t, "poured", string(done.Answer))
	}
	b, err := s.Bottle(id)
	require.NoError(t, err)
	assert.InDelta(t, 370, b.LeftML, 1e-9)
	_, err = act(Act{Key: "k", What: "POST pours 40"}, 40)
	require.ErrorIs(t, err, ErrKeyReused)
	_, err = act(Act{Key: "too much", What: "x"}, 5000)
	require.Error(t, err)
	_, err = act(Act{Key: "too much", What: "x"}, 70)
	require.NoError(t, err, "what failed was not done")
}

// Whatever was done is taken back as it was, unless it was changed since.
func TestAnActIsTakenBack(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	id := bottled(t, s, 400)
	d, err := s.StartDrink("never made", kitchen.New("us"))
	require.NoError(t, err)
	_, err = s.KeepVersion(d.ID, "first")
	require.NoError(t, err)
	require.NoError(t, s.SetStock("almond", 100))
	acts := map[string]func(*Store) error{
		"thrown out": func(tx *Store) error { _, err := tx.ThrowOut(id, "smelled sour", Soured); return err },
		"finished":   func(tx *Store) error { _, err := tx.Finish(id); return err },
		"moved":      func(tx *Store) error { _, err := tx.Move(id, Freezer); return err },
		"removed":    func(tx *Store) error { return tx.DeleteDrink(d.ID) },
		"soaked":     func(tx *Store) error { return tx.StartBowl("almond", 60, true) },
		"restocked":  func(tx *Store) error { return tx.AddStock("almond", 7) },
		"read in": func(tx *Store) error {
			return tx.KeepTemperatures([]Temperature{{At: 1, TempC: 4}, {At: 2, TempC: 5.5}})
		},
	}
	before := backedUp(t, s)
	for name, do := range acts {
		done, err := s.Act(Act{Undoable: true}, func(tx *Store) ([]byte, error) { return nil, do(tx) })
		require.NoError(t, err, name)
		require.NotZero(t, done.Undo, name)
		require.NotEqual(t, before, backedUp(t, s), name)
		require.NoError(t, s.Undo(done.Undo), name)
		assert.Equal(t, before, backedUp(t, s), name)
		assert.ErrorIs(t, s.Undo(done.Undo), ErrNotFound, "once is all")
	}
	done, err := s.Act(Act{Undoable: true}, func(tx *Store) ([]byte, error) { return nil, tx.SetStock("almond", 50) })
	require.NoError(t, err)
	require.NoError(t, s.SetStock("almond", 40))
	require.ErrorIs(t, s.Undo(done.Undo), ErrChangedSince)
	there, err := s.Stock()
	require.NoError(t, err)
	assert.Equal(t, 40., there["almond"], "what was done since is not lost")
	same, err := s.Act(Act{Undoable: true}, func(*Store) ([]byte, error) { return nil, nil })
	require.NoError(t, err)
	assert.Zero(t, same.Undo, "nothing was done")
}

// One damaged row costs that row, and not the view.
func TestADamagedRowCostsOnlyItself(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	id := bottled(t, s, 400)
	other := bottled(t, s, 500)
	for _, sql := range []string{"UPDATE drinks SET draft = '{{{' WHERE id = 1", "UPDATE bottles SET created_at = 'yesterday' WHERE id = 1"} {
		require.NoError(t, s.db.Exec(sql).Error)
	}
	drinks, err := s.Drinks()
	require.NoError(t, err)
	require.Len(t, drinks, 1)
	assert.EqualValues(t, 2, drinks[0].ID)
	shelf, err := s.Shelf()
	require.NoError(t, err)
	require.Len(t, shelf, 1)
	assert.Equal(t, other, shelf[0].ID)
	_, err = s.Bottle(id)
	assert.Error(t, err)
}
