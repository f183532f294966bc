package http

import (
	"fmt"
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app/bench"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/notes"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/device"
)

// What was written down can be taken off again, and then it is gone.
func TestWhatIsWrittenDownCanBeTakenOff(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	_, bottles := tastedMilk(t, c)
	batch := fmt.Sprintf("/api/batches/%d", bottles[0].BatchID)
	gone := func(path string) {
		t.Helper()
		status, answer, _ := c.send(request("DELETE", path, nil))
		assert.Less(t, status, 300, "%s: %s", path, answer)
		assert.Equal(t, http.StatusNotFound, c.refused("DELETE", path, nil).Status, path)
	}
	stock := call[pantry.StockPage](c, "POST", "/api/pantry/stock/almond/lots", pantry.Purchase{Pack: "500 g", Price: 6})
	gone(fmt.Sprintf("/api/pantry/lots/%d", stock.Lots[0].ID))
	stock = call[pantry.StockPage](c, "POST", "/api/pantry/stock/almond/packs", pantry.NewPack{Price: 3.4, Pack: "200 g"})
	gone(fmt.Sprintf("/api/pantry/packs/%d", stock.Packs[0].ID))
	assert.Empty(t, call[pantry.StockPage](c, "GET", "/api/pantry/stock/almond", nil).Lots)

	tasted := call[notes.BatchPage](c, "POST", batch+"/tastings", notes.Taste{Stars: 4})
	gone(fmt.Sprintf("/api/tastings/%d", tasted.Tastings[0].ID))
	jars := call[notes.JarsToFill](c, "POST", batch+"/trials", notes.NewTrial{Changed: "less maple", Jars: 2})
	trial := fmt.Sprintf("/api/trials/%d", jars.Trial.ID)
	assert.Equal(t, jars.Fill, call[notes.JarsToFill](c, "GET", trial+"/fill", nil).Fill, "the jars are filled as they were said to be")
	gone(trial)

	sent := call[shelf.SentReadings](c, "POST", readingsPath+"?name=fridge.csv", "time,temperature\n2026-11-23 10:00,4.5\n")
	readings := fmt.Sprintf("%s/%d", readingsPath, sent.ID)
	assert.Equal(t, http.StatusOK, must(c, "GET", readings))
	assert.Equal(t, http.StatusOK, must(c, "DELETE", readings))
}

// must is the status of a request that is to succeed.
func must(c *client, method, path string) int {
	c.t.Helper()
	status, answer, _ := c.send(request(method, path, nil))
	require.Less(c.t, status, 300, "%s %s: %s", method, path, answer)
	return status
}

func TestTheCooksOwnShoppingList(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	items := call[[]planning.OwnItem](c, "POST", "/api/shopping", planning.NewOwnItem{Text: "washing soda"})
	require.Len(t, items, 1)
	path := fmt.Sprintf("/api/shopping/%d", items[0].ID)
	assert.True(t, call[[]planning.OwnItem](c, "PUT", path, planning.Ticked{Done: true})[0].Done)
	assert.Equal(t, "washing soda", call[[]planning.OwnItem](c, "GET", "/api/shopping", nil)[0].Text)
	assert.Empty(t, call[[]planning.OwnItem](c, "DELETE", path, nil))
}

func TestTheLibraryAndWhatIsKept(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	status, text, _ := c.send(request("PUT", "/api/drinks/1/archived", map[string]bool{"archived": true}))
	require.Less(t, status, 300, text)
	drinks := call[[]bench.DrinkName](c, "GET", "/api/drinks", nil)
	assert.True(t, drinks[0].Archived)
	for _, path := range []string{"/api/library", "/api/copies", "/api/secure"} {
		assert.Equal(t, http.StatusOK, must(c, "GET", path), path)
	}
}

// The practice scale is poured onto, tared and read as it is; the cook's own sends its readings.
func TestTheScalesThatCanBeRead(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "800 g water")
	c.app = New(Config{Store: c.store, Now: func() time.Time { return c.now }, Web: page, Log: c.log, Scale: device.NewStandIn(1, 1)})
	call[cooking.ScaleNow](c, "POST", "/api/scale/connect", cooking.OnScale{ItemID: 1})
	call[cooking.ScaleNow](c, "POST", "/api/scale/tare", nil)
	call[cooking.ScaleNow](c, "POST", "/api/scale/stand-in", cooking.Drive{PourG: 150, GPerS: 1000})
	require.Eventually(t, func() bool {
		status, _, _ := c.send(request("POST", "/api/scale/take", nil))
		return status == http.StatusOK
	}, 10*time.Second, 50*time.Millisecond)
	massG := 12.5
	status, text, _ := c.send(request("POST", "/api/scale/readings", cooking.ScaleReading{MassG: &massG, Steady: new(true)}))
	assert.Less(t, status, 300, text)
}
