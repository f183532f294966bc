package store

import (
	"errors"
	"os"
	"path/filepath"
	"syscall"
)

// SQLite's result codes (https://sqlite.org/rescode.html).
const (
	sqliteBusy     = 5
	sqliteReadOnly = 8
	sqliteIOErr    = 10
	sqliteCorrupt  = 11
	sqliteFull     = 13
	sqliteCantOpen = 14
	sqliteNotADB   = 26
)

var (
	errDamaged    = errors.New("it is damaged or not a kitchen file; it was left as it is")
	errFull       = errors.New("there is no room left on its disk; make room and try again")
	errUnwritable = errors.New("its folder does not exist or cannot be written; make it writable, or name a file elsewhere")
	errReadOnly   = errors.New("it cannot be written; make it writable or name another file")
	errBusy       = errors.New("another program is writing to it; try again in a moment")
	errDisk       = errors.New("its disk cannot be read or written; look after the disk first")
)

// codeOf is SQLite's code of an error; 0 where it has none.
func codeOf(err error) int {
	var coded interface{ Code() int }
	if !errors.As(err, &coded) {
		return 0
	}
	return coded.Code() & 0xff
}

// IsFull tells whether something was not kept because the disk is full.
func IsFull(err error) bool {
	return codeOf(err) == sqliteFull || errors.Is(err, errFull) || errors.Is(err, syscall.ENOSPC)
}

// IsBusy tells whether something was not kept because others were writing for
// longer than is waited for.
func IsBusy(err error) bool { return codeOf(err) == sqliteBusy || errors.Is(err, errBusy) }

// inWords says what keeps a file from being opened. Only what is damaged is
// called so: a full disk or a folder that is read-only is somebody's to mend,
// and loses nothing.
func inWords(err error) error {
	switch codeOf(err) {
	case sqliteCorrupt, sqliteNotADB:
		return errDamaged
	case sqliteFull:
		return errFull
	case sqliteReadOnly, sqliteCantOpen:
		return errUnwritable
	case sqliteBusy:
		return errBusy
	case sqliteIOErr:
		return errDisk
	}
	switch {
	case errors.Is(err, syscall.ENOSPC):
		return errFull
	case errors.Is(err, os.ErrPermission), errors.Is(err, os.ErrNotExist), errors.Is(err, syscall.EROFS), errors.Is(err, syscall.ENOTDIR):
		return errUnwritable
	}
	return err
}

// inWordsAt says the same of a file, whose disk is tried where SQLite only knows
// that it would not do.
func inWordsAt(path string, err error) error {
	err = inWords(err)
	if !errors.Is(err, errDisk) {
		return err
	}
	if tried := tryWriting(filepath.Dir(path)); tried != nil {
		return inWords(tried)
	}
	return err
}

// triedBytes is as much as SQLite needs beside a file at first.
const triedBytes = 64 << 10

func tryWriting(folder string) error {
	file, err := os.CreateTemp(folder, ".plushladle-*")
	if err != nil {
		return err
	}
	defer func() { _ = os.Remove(file.Name()) }()
	_, err = file.Write(make([]byte, triedBytes))
	return errors.Join(err, file.Close())
}

// beside are the files SQLite keeps beside a kitchen while it is open.
type beside struct {
	path string
	were map[string]bool
}

var besideEndings = []string{"-wal", "-shm", "-journal"}

// besides remembers which of them are there.
func besides(path string) beside {
	b := beside{path, map[string]bool{}}
	for _, end := range besideEndings {
		_, err := os.Stat(path + end)
		b.were[end] = err == nil
	}
	return b
}

// restore takes away those that were not: a file that is refused is left as it
// was found.
func (b beside) restore() {
	for _, end := range besideEndings {
		if !b.were[end] {
			_ = os.Remove(b.path + end)
		}
	}
}
