//go:build e2e

package e2e

import (
	"compress/gzip"
	"errors"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

// What was done since a backup is gone once it is put back, and nothing else.
func TestABackupIsPutBackFromThePantry(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	answer, err := http.Get(p.url + "/api/backup.json")
	require.NoError(t, err)
	backup, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	require.NoError(t, answer.Body.Close())
	folder := t.TempDir()
	file, notes := filepath.Join(folder, "all.json"), filepath.Join(folder, "notes.json")
	require.NoError(t, os.WriteFile(file, backup, 0o600))
	require.NoError(t, os.WriteFile(notes, []byte(`{"a":"shopping list"}`), 0o600))

	p.click("button", "Drinks")
	p.click("menuitem", "New drink")
	p.click("button", "Empty drink")
	p.fill("Drink name", "Made since the backup")
	p.sees("saved")
	p.open("/settings")
	p.sees("Restore a backup")
	p.expects("422")
	p.do(chromedp.SetUploadFiles(chromedp.CSS(`input[type=file][accept*=json]`), []string{notes}))
	p.sees("This replaces everything in this kitchen")
	p.click("button", "Replace everything")
	p.sees("was not restored, and nothing was changed")
	p.click("button", "Cancel")
	p.do(chromedp.SetUploadFiles(chromedp.CSS(`input[type=file][accept*=json]`), []string{file}))
	p.click("button", "Replace everything")
	p.sees("The backup is restored", ".before-restore-")
	p.open("/")
	p.click("button", "Drinks")
	p.sees("Pistachio and rosewater")
	p.seesNot("Made since the backup")
}

// Through the page alone: out of one kitchen and into an empty one, the same to the byte; from the
// file of the version before; and from the copy of a day.
func TestBackupsGoInAndOutThroughThePage(t *testing.T) {
	t.Parallel()
	bytesOf := func(url string) string {
		answer, err := http.Get(url + "/api/backup.json")
		require.NoError(t, err)
		backup, err := io.ReadAll(answer.Body)
		require.NoError(t, errors.Join(err, answer.Body.Close()))
		return string(backup)
	}
	full := demoKitchen(t)
	ask(t, full, "PUT", "/api/kitchen/time-zone", map[string]any{"timeZone": "UTC"}) // which a browser would set at some moment
	backup := bytesOf(full)
	folder := t.TempDir()
	file, old := filepath.Join(folder, "all.json"), filepath.Join(folder, "old.json")
	require.NoError(t, os.WriteFile(file, []byte(backup), 0o600))
	packed, err := os.Open("../internal/store/testdata/demo-0019.json.gz")
	require.NoError(t, err)
	unpacked, err := gzip.NewReader(packed)
	require.NoError(t, err)
	text, err := io.ReadAll(unpacked)
	require.NoError(t, errors.Join(err, packed.Close(), os.WriteFile(old, text, 0o600)))

	s := newStore(t)
	url := serve(t, s)
	p := visit(t, url)
	restore := func(file string) {
		p.open("/settings")
		p.sees("Restore a backup")
		p.attach("json", file)
		p.click("button", "Replace everything")
		p.sees("The backup is restored")
	}
	p.open("/settings")
	p.sees("There is no daily copy of this kitchen yet.")
	restore(file)
	require.Equal(t, backup, bytesOf(url))
	require.NoError(t, s.CopyBeside(t.Context()))
	restore(old)
	p.open("/shelf")
	p.sees("Pecan flask creamer", "mL")
	require.NotEqual(t, backup, bytesOf(url))
	p.open("/settings")
	p.click("button", "Restore this copy")
	p.sees("Copy of", "This replaces everything in this kitchen")
	p.click("button", "Replace everything")
	p.sees("The backup is restored")
	require.Equal(t, backup, bytesOf(url), "as it was when it was copied")
}
