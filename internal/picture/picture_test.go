package picture

import (
	"bytes"
	"encoding/binary"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// leftRed is a picture whose left half is red and whose right half is blue.
func leftRed(w, h int) image.Image {
	img := image.NewRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			c := color.RGBA{200, 20, 20, 255}
			if x >= w/2 {
				c = color.RGBA{20, 20, 200, 255}
			}
			img.Set(x, y, c)
		}
	}
	return img
}

// turned is a JPEG with an EXIF block that says how the camera was held, and the word of a place.
func turned(t *testing.T, orientation uint16) []byte {
	t.Helper()
	var plain bytes.Buffer
	require.NoError(t, jpeg.Encode(&plain, leftRed(64, 32), nil))
	var tiff bytes.Buffer
	tiff.WriteString("II*\x00\x08\x00\x00\x00")
	write := func(v any) { require.NoError(t, binary.Write(&tiff, binary.LittleEndian, v)) }
	write(uint16(2))
	for _, tag := range []struct {
		tag, kind    uint16
		count, value uint32
	}{{0x0112, 3, 1, uint32(orientation)}, {0x010E, 2, 16, 38}} {
		write(tag.tag)
		write(tag.kind)
		write(tag.count)
		write(tag.value)
	}
	write(uint32(0))
	tiff.WriteString("Lock cottage 51N\x00")
	exif := append([]byte("Exif\x00\x00"), tiff.Bytes()...)
	out := []byte{0xFF, 0xD8, 0xFF, 0xE1, byte((len(exif) + 2) >> 8), byte(len(exif) + 2)}
	return append(append(out, exif...), plain.Bytes()[2:]...)
}

func isRed(c color.Color) bool { r, _, b, _ := c.RGBA(); return r > b }

// Held on its side, the camera's left is the top: it stands upright, and of the place nothing is left.
func TestAPictureStandsUprightAndTellsNothing(t *testing.T) {
	t.Parallel()
	in := turned(t, 6)
	require.Contains(t, string(in), "Lock cottage")
	var out bytes.Buffer
	w, h, err := TakeIn(bytes.NewReader(in), &out)
	require.NoError(t, err)
	assert.Equal(t, [2]int{32, 64}, [2]int{w, h})
	assert.NotContains(t, out.String(), "Lock cottage")
	assert.NotContains(t, out.String(), "Exif")
	img, err := jpeg.Decode(&out)
	require.NoError(t, err)
	assert.True(t, isRed(img.At(16, 8)))
	assert.False(t, isRed(img.At(16, 56)))
}

func TestPicturesAreSmall(t *testing.T) {
	t.Parallel()
	var in, out bytes.Buffer
	require.NoError(t, png.Encode(&in, leftRed(3200, 800)))
	w, h, err := TakeIn(bytes.NewReader(in.Bytes()), &out)
	require.NoError(t, err)
	assert.Equal(t, [2]int{1600, 400}, [2]int{w, h})
}

func TestWhatIsNoPictureIsRefused(t *testing.T) {
	t.Parallel()
	var huge bytes.Buffer
	require.NoError(t, png.Encode(&huge, image.NewGray(image.Rect(0, 0, 5000, 4000))))
	for name, in := range map[string][]byte{"words": []byte("hello"), "empty": {}, "half a picture": turned(t, 1)[:200], "a gif": []byte("GIF89a\x01\x00\x01\x00\x00\x00\x00;"), "huge": huge.Bytes()} {
		_, _, err := TakeIn(bytes.NewReader(in), &bytes.Buffer{})
		assert.ErrorIs(t, err, ErrNotPicture, name)
	}
}

func FuzzTakeIn(f *testing.F) {
	var small bytes.Buffer
	_ = png.Encode(&small, leftRed(4, 4))
	f.Add(small.Bytes())
	f.Add([]byte("\xFF\xD8\xFF\xE1"))
	f.Fuzz(func(_ *testing.T, data []byte) { _, _, _ = TakeIn(bytes.NewReader(data), &bytes.Buffer{}) })
}
