//go:build e2e

package e2e

import (
	"image"
	"image/jpeg"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// slide moves the named slider by so many steps with the arrow keys.
func (p *page) slide(name string, steps int) {
	p.t.Helper()
	p.click("slider", name)
	key := kb.ArrowRight
	if steps < 0 {
		key, steps = kb.ArrowLeft, -steps
	}
	for range steps {
		p.press(key)
	}
}

// From the first pour to the next version: how it was is asked, what it asks for is taken, the
// new version is planned and made, and the chart moves.
func TestATastingLeadsToTheNextBatch(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.click("link", "Shelf")
	p.click("button", "Pecan flask creamer, 340 mL")
	p.sees("Pour 30 mL")
	p.click("button", "Pour 30 mL")
	p.click("link", "How was it?")
	p.sees("How was it?", "bottle", "Nobody has tasted it yet.")
	p.slide("Sweetness", 2)
	p.slide("Stars", 8)
	p.click("button", "gritty")
	p.sees("A little too sweet", "sweetness 4.0 → 3.", "Gritty", "Use: Maple syrup 2 tbsp → 1 tbsp")
	look(p, "tasting")
	p.click("checkbox", "Use: Maple syrup 2 tbsp → 1 tbsp")
	p.fill("Who tasted", "mate")
	p.fill("In your words", "sweet for the flask")
	p.click("button", "Save as version 4")
	p.sees("Saved as version 4.", "sweet for the flask", "a little too much")
	look(p, "batch tasted")
	p.click("link", "Open on the Bench")
	p.sees("Version 4 · Maple syrup 2 tbsp → 1 tbsp")
	p.click("button", "Plan it")
	p.sees("Ready by")
	p.click("button", "Plan it")
	p.sees("Put the pecans in water to soak")
	p.click("link", "Bench")
	p.click("button", "Made it")
	p.fill("Measured yield, if you measured it", "700")
	p.fill("Bottle 1", "700")
	p.click("button", "Bottle")
	p.sees("Why this date")
	p.click("link", "Notes")
	p.sees("25 batches", "v4 ·", "700 mL")
	look(p, "notes")
	p.click("link", "All about Pecan flask creamer")
	p.sees("Versions", "v4", "Vitamin B12", "Ask a dietitian or a doctor")
	look(p, "history")
}

// A batch is found by a word, corrected and deleted, and each is taken back.
func TestABatchIsFoundCorrectedAndDeleted(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/notes")
	p.sees("24 of 24 batches", "Worth knowing", "You throw away")
	p.fill("Find a batch", "gritty pecan")
	p.sees("1 of 24 batches")
	p.click("link", "Pecan flask creamer v3")
	p.sees("725 mL", "a bit gritty at the end")
	p.click("button", "Correct")
	p.fill("Yield, if measured", "abc")
	p.click("button", "Save")
	p.sees("Or leave it empty")
	p.fill("Yield, if measured", "690")
	p.click("button", "Save")
	p.sees("690 mL", "Batch corrected.")
	p.click("button", "Delete batch")
	p.sees("Delete this batch?")
	p.click("button", "Delete batch")
	p.sees("Batch deleted.", "23 of 23 batches")
	p.click("button", "Undo")
	p.sees("24 of 24 batches")
}

// Two jars without names: who fills them sees what goes where, who tastes does not, and the answer
// stays with the batch.
func TestABlindTasting(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/notes")
	p.click("link", "Pecan flask creamer v3")
	p.sees("Blind tasting")
	p.expects("/trials")
	p.click("button", "Start a blind tasting")
	p.sees("Enter something here.")
	p.fill("What is different in one of them", "with a pinch of salt")
	p.click("button", "Start a blind tasting")
	p.sees("Fill the jars", "as it was made")
	fill := p.region("Fill the jars")
	with := "A"
	if strings.Contains(fill, "Jar B: with a pinch of salt") {
		with = "B"
	}
	p.click("button", "Filled. Now taste")
	p.seesNot("as it was made")
	assert.NotContains(t, p.region("Blind tasting"), "Jar "+with+": with")
	p.slide("Jar A", 6)
	p.slide("Jar B", 8)
	look(p, "blind")
	p.click("button", "Record")
	p.sees("1 person has tasted.")
	p.click("button", "Show the answer")
	p.sees("Jar "+with+": with a pinch of salt.", "stars")
	require.NotContains(t, p.region("Blind tasting"), "Show the answer")
}

// A photo is chosen, made small by the browser, shown upright and deleted; a table goes out and in
// again; the week is on a page.
func TestPhotosFilesAndTheWeek(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	p := visit(t, url)
	p.open("/notes/batch/24")
	p.sees("Photos", "Add a photo")
	p.attach("image/jpeg", picture(t))
	p.until("the photo", func() bool {
		return evaluate[bool](p, "(() => [...document.images].some((i) => i.alt.startsWith('Photo 1 of') && i.complete && i.naturalWidth === 1600))")
	})
	look(p, "photo")
	p.click("button", "Delete photo 1")
	p.sees("Photo deleted.")

	table := filepath.Join(t.TempDir(), "tastings.csv")
	require.NoError(t, os.WriteFile(table, []byte("batch,who,stars,words\n24,mate,5,from the spreadsheet\n"), 0o600))
	p.open("/settings")
	p.sees("Export and import", "Everything readable (zip)")
	p.attach("csv", table)
	p.sees("1 row imported.")
	require.NoError(t, os.WriteFile(table, []byte("batch,stars\n24,eleven\n"), 0o600))
	p.expects("/api/import")
	p.attach("csv", table)
	p.sees("Nothing was imported. Line 2")
	p.open("/notes/batch/24")
	p.sees("from the spreadsheet")

	p.open("/notes")
	p.click("link", "What the week was worth")
	p.sees("Drinks of the week", "Pecan flask creamer", "The week before")
	look(p, "week")
	assert.Len(t, regexp.MustCompile(`/Type\s*/Page[^s]`).FindAll(p.printed(), -1), 1, "on one page")
	p.click("link", "The week before")
	p.sees("The week after")
}

// attach chooses a file in the field that takes its kind.
func (p *page) attach(kind, path string) {
	p.t.Helper()
	p.do(chromedp.SetUploadFiles(chromedp.CSS("input[type=file][accept*='"+kind+"']"), []string{path}))
}

// picture is a photograph larger than what is kept.
func picture(t *testing.T) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "jar.jpg")
	file, err := os.Create(path)
	require.NoError(t, err)
	require.NoError(t, jpeg.Encode(file, image.NewGray(image.Rect(0, 0, 2400, 1200)), nil))
	require.NoError(t, file.Close())
	return path
}
