package http

import (
	"errors"
	"io"
	"net/http"
	"os"
	"strconv"

	"github.com/gofiber/fiber/v3"

	"plushladle/core/fault"
	"plushladle/internal/picture"
	"plushladle/internal/store"
)

// photosPath is where pictures of a batch are sent, as they are.
const photosPath = "/api/batches/:id/photos"

// addPhoto takes a picture of a batch in: received into a file, so that no slow sender keeps the
// kitchen waiting, and written anew, so that nothing of the camera's stays in it.
func (s *server) addPhoto(c fiber.Ctx) error {
	id, err := strconv.ParseInt(c.Params("id"), 10, 64)
	if err != nil {
		return fiber.ErrNotFound
	}
	if c.Request().Header.ContentLength() > picture.MostBytes {
		return s.problem(fault.New("file", "", "picture-too-large"))
	}
	sent, err := temporary("plushladle-sent-")
	if err != nil {
		return err
	}
	defer gone(sent)
	n, err := io.Copy(sent, io.LimitReader(bodyOf(c), picture.MostBytes+1))
	switch {
	case err != nil:
		return fiber.NewError(http.StatusBadRequest, "the picture did not arrive completely")
	case n > picture.MostBytes:
		return s.problem(fault.New("file", "", "picture-too-large"))
	}
	if _, err := sent.Seek(0, io.SeekStart); err != nil {
		return err
	}
	kept, err := temporary("plushladle-kept-")
	if err != nil {
		return err
	}
	defer gone(kept)
	width, height, err := picture.TakeIn(sent, kept)
	if errors.Is(err, picture.ErrNotPicture) {
		return s.problem(fault.New("file", "", "not-a-picture"))
	}
	if _, err2 := kept.Seek(0, io.SeekStart); err != nil || err2 != nil {
		return errors.Join(err, err2)
	}
	photo, err := s.Store.AddPhoto(id, kept, width, height)
	if errors.Is(err, store.ErrManyPhotos) {
		return s.problem(fault.New("file", "", "many-photos"))
	}
	if err != nil {
		return s.problem(err)
	}
	s.events.tell()
	return c.JSON(map[string]int64{"id": photo.ID})
}

func temporary(name string) (*os.File, error) { return os.CreateTemp("", name) }

func gone(file *os.File) { _ = file.Close(); _ = os.Remove(file.Name()) }

// photo answers a picture. What is in it never changes.
func (s *server) photo(c fiber.Ctx) error {
	id, err := strconv.ParseInt(c.Params("id"), 10, 64)
	if err != nil {
		return fiber.ErrNotFound
	}
	file, err := s.Store.OpenPhoto(id)
	if errors.Is(err, store.ErrNotFound) {
		return fiber.ErrNotFound
	}
	if err != nil {
		return err
	}
	info, err := file.Stat()
	if err != nil {
		_ = file.Close()
		return err
	}
	c.Set("Content-Type", "image/jpeg")
	c.Set("Cache-Control", "private, max-age=31536000, immutable")
	return c.SendStream(file, int(info.Size()))
}
