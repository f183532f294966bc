package http

import (
	"bufio"
	"errors"
	"fmt"
	"io"
	"net/http"
	"os"
	"time"

	"github.com/gofiber/fiber/v3"

	"plushladle/core/fault"
	"plushladle/internal/app"
	"plushladle/internal/app/check"
	"plushladle/internal/store"
)

const (
	restorePath = "/api/restore"
	// restoreLimit is the largest backup taken from a page.
	restoreLimit = store.MaxBackupBytes
	// restoreTime is how long sending it may take.
	restoreTime = 5 * time.Minute
)

// backup answers everything in the kitchen as one file.
func (s *server) backup(c fiber.Ctx) error {
	name := fmt.Sprintf("plush-ladle-%s.json", s.Now().Format(app.DateLayout))
	return sendWritten(c, name, "application/json", s.Store.Backup)
}

// backupZip answers everything in the kitchen with its pictures, as one file.
func (s *server) backupZip(c fiber.Ctx) error {
	name := fmt.Sprintf("plush-ladle-%s-with-photos.zip", s.Now().Format(app.DateLayout))
	return sendWritten(c, name, "application/zip", s.Store.BackupZip)
}

// sendWritten answers a file to be kept. It is written in full first, so that
// no slow reader keeps the kitchen waiting.
func sendWritten(c fiber.Ctx, name, kind string, write func(io.Writer) error) error {
	file, err := os.CreateTemp("", "plushladle-")
	if err != nil {
		return err
	}
	defer func() { _ = os.Remove(file.Name()) }() // it stays readable while it is open
	out := bufio.NewWriter(file)
	err = errors.Join(write(out), out.Flush())
	size, err2 := file.Seek(0, io.SeekCurrent)
	_, err3 := file.Seek(0, io.SeekStart)
	if err := errors.Join(err, err2, err3); err != nil {
		_ = file.Close()
		return err
	}
	c.Set("Content-Type", kind)
	c.Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", name))
	c.Set("Cache-Control", "no-store")
	return c.SendStream(file, int(size)) // which closes it
}

// Restored says what became of a restore.
type Restored struct {
	Kept string `json:"kept" doc:"the file, beside the kitchen's own, with what was there before"`
}

// restore takes a backup in the place of everything there is. It is received
// in full first, so that no slow sender keeps the kitchen waiting.
func (s *server) restore(c fiber.Ctx) error {
	if c.Request().Header.ContentLength() > restoreLimit {
		return fiber.NewError(http.StatusRequestEntityTooLarge, "the file is larger than 256 MB; restore it with 'plushladle restore' where the kitchen runs")
	}
	file, err := os.CreateTemp("", "plushladle-restore-")
	if err != nil {
		return err
	}
	defer func() { _ = file.Close(); _ = os.Remove(file.Name()) }()
	if _, err := io.Copy(file, bodyOf(c)); err != nil {
		if store.IsFull(err) {
			return s.problem(err)
		}
		return fiber.NewError(http.StatusBadRequest, "the file did not arrive completely; nothing was changed")
	}
	if _, err := file.Seek(0, io.SeekStart); err != nil {
		return err
	}
	kept, err := s.Store.RestoreFile(file, check.Kitchen)
	return s.restored(c, kept, err)
}

// restoreCopy takes a daily copy in the place of everything there is.
func (s *server) restoreCopy(c fiber.Ctx) error {
	if _, err := time.Parse(time.DateOnly, c.Params("day")); err != nil {
		return fiber.ErrNotFound
	}
	kept, err := s.Store.RestoreDay(c.Params("day"), check.Kitchen)
	return s.restored(c, kept, err)
}

// restored tells what became of a restore, and everyone of what there is now.
func (s *server) restored(c fiber.Ctx, kept string, err error) error {
	if errors.Is(err, store.ErrNotBackup) {
		s.Log.Warn("a backup was not restored", "error", err)
		return s.problem(fault.New("file", "", "not-restored", err.Error()))
	}
	if err != nil {
		return s.problem(err)
	}
	s.happened(app.Stale{Ways: true, Record: true})
	return c.JSON(Restored{Kept: kept})
}
