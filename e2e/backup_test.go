//go:build e2e

package e2e

import (
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
