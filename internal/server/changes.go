package server

import (
	"bufio"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
)

// changes tells those who listen that something changed. They ask for what it
// was themselves, so that what was missed is never lost: one who slept asks
// once on waking.
type changes struct {
	mu        sync.Mutex
	listeners map[chan struct{}]struct{}
	closed    chan struct{}
	once      sync.Once
}

func newChanges() *changes {
	return &changes{listeners: map[chan struct{}]struct{}{}, closed: make(chan struct{})}
}

// listen gives a channel that is told of changes until leave is called.
// Several changes before it is read are told as one.
func (h *changes) listen() (told <-chan struct{}, leave func()) {
	c := make(chan struct{}, 1)
	h.mu.Lock()
	defer h.mu.Unlock()
	h.listeners[c] = struct{}{}
	return c, func() {
		h.mu.Lock()
		defer h.mu.Unlock()
		delete(h.listeners, c)
	}
}

func (h *changes) tell() {
	h.mu.Lock()
	defer h.mu.Unlock()
	for c := range h.listeners {
		select {
		case c <- struct{}{}:
		default: // it has yet to read of the last one
		}
	}
}

// close ends all streams, so that the server can stop.
func (h *changes) close() error {
	h.once.Do(func() { close(h.closed) })
	return nil
}

// telling is the operation with those who follow the cook told of it.
func telling[In, Out any](s *server, handle func(*In) (Out, error)) func(*In) (Out, error) {
	return func(in *In) (Out, error) {
		out, err := handle(in)
		if err == nil {
			s.told.tell()
		}
		return out, err
	}
}

// A stream ends by itself before the server's write timeout would cut it off
// in the middle; the browser opens it again after the pause.
const (
	streamFor   = writeTimeout / 2
	streamPause = "retry: 250\n\n"
	streamEvent = "data: changed\n\n"
)

// stream answers with server-sent events: one at the start, for what changed
// while nobody listened, and one for each change.
func (h *changes) stream(c fiber.Ctx) error {
	c.Set("Content-Type", "text/event-stream")
	c.Set("Cache-Control", "no-store")
	told, leave := h.listen()
	return c.SendStreamWriter(func(w *bufio.Writer) {
		defer leave()
		over := time.After(streamFor)
		text := streamPause + streamEvent
		for {
			if _, err := w.WriteString(text); err != nil {
				return
			}
			if w.Flush() != nil {
				return
			}
			select {
			case <-told:
				text = streamEvent
			case <-over:
				return
			case <-h.closed:
				return
			}
		}
	})
}
