// Package picture takes in a photograph: a JPEG or PNG of whatever size a camera makes comes out
// as a small JPEG that stands upright and tells nothing of where and with what it was taken.
package picture

import (
	"errors"
	"fmt"
	"image"
	_ "image/jpeg" // what cameras write
	_ "image/png"  // and what screens do
	"io"
	"sync"

	"github.com/disintegration/imaging"
)

const (
	// MostBytes is the largest file taken: the page sends far less.
	MostBytes = 8 << 20
	// mostPixels keeps the memory that one picture takes below 70 MB.
	mostPixels = 16 << 20
	// side is the longer side of what is kept, in pixels.
	side = 1600
	// quality of the JPEG that is kept.
	quality = 82
)

// ErrNotPicture says that a file is no picture that is taken, and why.
var ErrNotPicture = errors.New("it is not a JPEG or PNG picture")

// one keeps the memory flat: pictures are taken in one after another.
var one sync.Mutex

// TakeIn reads a picture and writes it as it is kept. The error is ErrNotPicture where it is none,
// or is too large to be one of a kitchen.
func TakeIn(in io.ReadSeeker, out io.Writer) (width, height int, err error) {
	config, format, err := image.DecodeConfig(in)
	switch {
	case err != nil, format != "jpeg" && format != "png":
		return 0, 0, ErrNotPicture
	case config.Width*config.Height > mostPixels:
		return 0, 0, fmt.Errorf("%w of at most 16 million pixels", ErrNotPicture)
	}
	if _, err := in.Seek(0, io.SeekStart); err != nil {
		return 0, 0, err
	}
	one.Lock()
	defer one.Unlock()
	picture, err := imaging.Decode(in, imaging.AutoOrientation(true))
	if err != nil {
		return 0, 0, ErrNotPicture
	}
	small := imaging.Fit(picture, side, side, imaging.Lanczos)
	bounds := small.Bounds()
	return bounds.Dx(), bounds.Dy(), imaging.Encode(out, small, imaging.JPEG, imaging.JPEGQuality(quality))
}
