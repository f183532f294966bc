package http

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/files"
	"plushladle/internal/app/notes"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/shelf"
)

// recorded is a kitchen with something in each table.
func recorded(t *testing.T) (*client, []shelf.Bottle) {
	t.Helper()
	c := newClient(t)
	_, bottles := tastedMilk(t, c)
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/pours", bottles[0].ID), shelf.Poured{ML: 150})
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/throw-out", bottles[1].ID), shelf.Why{Why: "nobody, really", Cause: "not-drunk"})
	call[notes.BatchPage](c, "POST", fmt.Sprintf("/api/batches/%d/tastings", bottles[0].BatchID), notes.Taste{BottleID: bottles[0].ID, Who: "=cmd()", Sweet: -.5, Stars: 4.5, Flags: []string{"gritty", "bitter"}, Words: "two\nlines, \"quoted\""})
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 7.5, Pack: "500 g"})
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 320})
	call[pantry.StockPage](c, "PUT", "/api/pantry/stock/almond/low", pantry.LowAt{LowG: 100})
	return c, bottles
}

func (c *client) file(path string) string {
	c.t.Helper()
	status, text, _ := c.send(request("GET", path, nil))
	require.Equal(c.t, 200, status, "%s: %s", path, text)
	return text
}

// Every table, written and read again, is the same; no cell of it is a formula.
func TestTablesOutAndInAgain(t *testing.T) {
	t.Parallel()
	c, _ := recorded(t)
	for _, name := range files.Names() {
		before := c.file("/api/export/" + name + ".csv")
		require.Greater(t, strings.Count(before, "\n"), 1, name)
		taken := call[files.Taken](c, "POST", "/api/import/"+name, files.Table{CSV: before})
		assert.Positive(t, taken.Rows, name)
		assert.Equal(t, before, c.file("/api/export/"+name+".csv"), name)
	}
	assert.Contains(t, c.file("/api/export/tastings.csv"), "'=cmd()")
}

// Rows without a number are added, whole files or nothing, and taken back as one.
func TestTablesAddAndRefuse(t *testing.T) {
	t.Parallel()
	c, bottles := recorded(t)
	batch := bottles[0].BatchID
	_, _, header := c.send(request("POST", "/api/import/tastings", files.Table{CSV: fmt.Sprintf("batch;who;stars;flags\n%d;mate;5;slimy\n%d;keeper;3;\n", batch, batch)}))
	page := call[notes.BatchPage](c, "GET", fmt.Sprintf("/api/batches/%d", batch), nil)
	require.Len(t, page.Tastings, 3)
	assert.Equal(t, []string{"slimy"}, page.Tastings[1].Flags)
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	assert.Equal(t, 1, call[notes.BatchPage](c, "GET", fmt.Sprintf("/api/batches/%d", batch), nil).Tasted)

	call[files.Taken](c, "POST", "/api/import/batches", files.Table{CSV: "drink,made_on,measured_ml,notes\nalmond milk,2026-11-01,870,by hand\n"})
	call[files.Taken](c, "POST", "/api/import/bottles", files.Table{CSV: fmt.Sprintf("batch,volume_ml\n%d,300\n", batch)})
	call[files.Taken](c, "POST", "/api/import/pours", files.Table{CSV: fmt.Sprintf("bottle,ml\n%d,50\n", bottles[0].ID)})
	n := call[notes.Notes](c, "GET", "/api/notes", nil)
	assert.Equal(t, 2, n.Batches)
	assert.Equal(t, []any{"2026-11-01", 870., 200.}, []any{n.Since, *n.Lines[1].MeasuredML, n.DrunkML})

	before := c.file("/api/export/tastings.csv")
	refused := fmt.Sprint(c.refused("POST", "/api/import/tastings", files.Table{CSV: fmt.Sprintf("batch,stars\n%d,4\n%d,seven\n999,4\n%d,9\n", batch, batch, batch)}))
	for _, says := range []string{"Nothing was imported", "Line 3", "not a number", "Line 4", "nothing of that number", "Line 5", "not between"} {
		assert.Contains(t, refused, says)
	}
	assert.Equal(t, before, c.file("/api/export/tastings.csv"))
	assert.Contains(t, fmt.Sprint(c.refused("POST", "/api/import/pours", files.Table{CSV: "a,b\n1,2\n"})), "the column bottle is missing")
}

// One archive of everything readable: each drink as a page and as a Recipe, and every table.
func TestTheArchiveHoldsAllThatIsReadable(t *testing.T) {
	t.Parallel()
	c, _ := recorded(t)
	data := c.file("/api/export/everything.zip")
	z, err := zip.NewReader(bytes.NewReader([]byte(data)), int64(len(data)))
	require.NoError(t, err)
	there := map[string]string{}
	for _, f := range z.File {
		r, err := f.Open()
		require.NoError(t, err)
		text, err := io.ReadAll(r)
		require.NoError(t, err)
		there[f.Name] = string(text)
	}
	assert.Contains(t, there["drinks/1-almond-milk.md"], "# Almond milk")
	assert.Contains(t, there["drinks/1-almond-milk.jsonld"], `"@type": "Recipe"`)
	for _, name := range append(files.Names(), "temperatures") {
		assert.NotEmpty(t, there["tables/"+name+".csv"], name)
	}
	var all struct {
		Graph []struct {
			Type string `json:"@type"`
			Name string `json:"name"`
		} `json:"@graph"`
	}
	require.NoError(t, json.Unmarshal([]byte(c.file("/api/export/drinks.jsonld")), &all))
	require.Len(t, all.Graph, 1)
	assert.Equal(t, "Recipe", all.Graph[0].Type)
}

// The calendar has the last good day of each bottle beside the work.
func TestTheCalendarHasUseByDates(t *testing.T) {
	t.Parallel()
	c, bottles := recorded(t)
	text := c.file(app.CalendarPath)
	assert.Contains(t, text, fmt.Sprintf("UID:bottle-%d@plush-ladle", bottles[0].ID))
	assert.NotContains(t, text, fmt.Sprintf("UID:bottle-%d@plush-ladle", bottles[1].ID), "it was thrown away")
	assert.Contains(t, text, "DTSTART;VALUE=DATE:"+strings.ReplaceAll(bottles[0].UseBy, "-", ""))
	assert.Contains(t, text, "Use by today: Almond milk")
}
