package http

import (
	"archive/zip"
	"bytes"
	"fmt"
	"image"
	"image/jpeg"
	"io"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/notes"
)

// shot is a picture of a batch, as a page sends it.
func shot(t *testing.T, w, h int) string {
	t.Helper()
	var out bytes.Buffer
	require.NoError(t, jpeg.Encode(&out, image.NewGray(image.Rect(0, 0, w, h)), nil))
	return out.String()
}

// A picture is kept small, shown, deleted and had back; it goes along in the backup with pictures,
// and the backup without them stays as it was to the byte.
func TestPhotosOfABatch(t *testing.T) {
	t.Parallel()
	c, bottles := recorded(t)
	batch := fmt.Sprintf("/api/batches/%d", bottles[0].BatchID)
	plain := c.file("/api/backup.json")
	status, said, _ := c.send(request("POST", batch+"/photos", shot(t, 2400, 1200)))
	require.Equal(t, http.StatusOK, status, said)
	page := call[notes.BatchPage](c, "GET", batch, nil)
	require.Equal(t, []notes.Photo{{ID: 1, Width: 1600, Height: 800}}, page.Photos)
	picture := c.file("/api/photos/1.jpg")
	config, err := jpeg.DecodeConfig(strings.NewReader(picture))
	require.NoError(t, err)
	assert.Equal(t, 1600, config.Width)

	archive := c.file("/api/backup.zip")
	z, err := zip.NewReader(strings.NewReader(archive), int64(len(archive)))
	require.NoError(t, err)
	require.Len(t, z.File, 2)
	in, err := z.File[0].Open()
	require.NoError(t, err)
	text, err := io.ReadAll(in)
	require.NoError(t, err)
	assert.Equal(t, c.file("/api/backup.json"), string(text))
	assert.NotEqual(t, plain, string(text), "the row of the picture")

	_, _, header := c.send(request("DELETE", "/api/photos/1", nil))
	assert.Empty(t, call[notes.BatchPage](c, "GET", batch, nil).Photos)
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	assert.Len(t, call[notes.BatchPage](c, "GET", batch, nil).Photos, 1)

	other := newClient(t)
	call[Restored](other, "POST", restorePath, archive)
	assert.Equal(t, picture, other.file("/api/photos/1.jpg"), "restored with its pictures")
	without := newClient(t)
	call[Restored](without, "POST", restorePath, string(text))
	status, _, _ = without.send(request("GET", "/api/photos/1.jpg", nil))
	assert.Equal(t, http.StatusNotFound, status)
	assert.Len(t, call[notes.BatchPage](without, "GET", batch, nil).Tastings, 1, "all else is there")
}

func TestWhatIsNoPhotoIsRefused(t *testing.T) {
	t.Parallel()
	c, bottles := recorded(t)
	path := fmt.Sprintf("/api/batches/%d/photos", bottles[0].BatchID)
	for body, says := range map[string]string{"a shopping list": "not a picture", shot(t, 5000, 4000): "not a picture", strings.Repeat("x", 9<<20): "too large"} {
		assert.Contains(t, fmt.Sprint(c.refused("POST", path, body)), says)
	}
	small := shot(t, 8, 8)
	for range 12 {
		status, said, _ := c.send(request("POST", path, small))
		require.Equal(t, http.StatusOK, status, said)
	}
	assert.Contains(t, fmt.Sprint(c.refused("POST", path, small)), "12 photos already")
	status, _, _ := c.send(request("POST", "/api/batches/999/photos", small))
	assert.Equal(t, http.StatusNotFound, status)
}
