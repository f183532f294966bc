package app

import (
	"errors"
	"io"
	"os"
	"sync"
	"sync/atomic"
	"time"
)

// SentFiles are files that were sent to be taken in, held until they are or for an hour: what is
// in them is shown, and asked about, before anything is done with it.
type SentFiles struct {
	mu   sync.Mutex
	last int64
	held map[int64]*SentFile
}

// SentFile is one of them.
type SentFile struct {
	ID    int64
	Name  string
	SizeB int64
	at    time.Time
	path  string
	read  atomic.Int64
}

const (
	// sentFor is how long a file is held that nothing is done with.
	sentFor = time.Hour
	// mostSent is how many are held; the oldest goes when one more comes.
	mostSent = 4
)

// ErrNoLongerHeld says that a file that was sent is gone.
var ErrNoLongerHeld = errors.New("the file is no longer held")

// Hold writes what is sent to a file of its own, at most so many bytes; what is longer is cut,
// and has more than that.
func (s *SentFiles) Hold(name string, from io.Reader, mostB int64, now time.Time) (*SentFile, error) {
	file, err := os.CreateTemp("", "plushladle-sent-")
	if err != nil {
		return nil, err
	}
	sizeB, err := io.Copy(file, io.LimitReader(from, mostB+1))
	if err := errors.Join(err, file.Close()); err != nil {
		return nil, errors.Join(err, os.Remove(file.Name()))
	}
	s.mu.Lock()
	defer s.mu.Unlock()
	s.forgetOld(now)
	s.last++
	sent := &SentFile{ID: s.last, Name: name, SizeB: sizeB, at: now, path: file.Name()}
	if s.held == nil {
		s.held = map[int64]*SentFile{}
	}
	s.held[sent.ID] = sent
	return sent, nil
}

func (s *SentFiles) forgetOld(now time.Time) {
	var oldest *SentFile
	for _, f := range s.held {
		switch {
		case now.Sub(f.at) > sentFor:
			s.drop(f)
		case oldest == nil || f.ID < oldest.ID:
			oldest = f
		}
	}
	if len(s.held) >= mostSent {
		s.drop(oldest)
	}
}

func (s *SentFiles) drop(f *SentFile) {
	delete(s.held, f.ID)
	_ = os.Remove(f.path) // the machine clears what is left
}

// Get is one of the files.
func (s *SentFiles) Get(id int64) (*SentFile, error) {
	s.mu.Lock()
	defer s.mu.Unlock()
	if f := s.held[id]; f != nil {
		return f, nil
	}
	return nil, ErrNoLongerHeld
}

// Forget lets go of a file; of all where id is 0.
func (s *SentFiles) Forget(id int64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	for _, f := range s.held {
		if id == 0 || f.ID == id {
			s.drop(f)
		}
	}
}

// Read goes through the file from its beginning; Share tells how far it has come.
func (f *SentFile) Read(do func(io.Reader) error) error {
	file, err := os.Open(f.path)
	if err != nil {
		return ErrNoLongerHeld
	}
	defer func() { _ = file.Close() }()
	f.read.Store(0)
	return do(io.TeeReader(file, (*counted)(f)))
}

// Share is how much of it was read, 0 to 1.
func (f *SentFile) Share() float64 {
	if f.SizeB == 0 {
		return 1
	}
	return float64(f.read.Load()) / float64(f.SizeB)
}

type counted SentFile

func (c *counted) Write(b []byte) (int, error) {
	c.read.Add(int64(len(b)))
	return len(b), nil
}
