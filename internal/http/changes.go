package http

import (
	"bufio"
	"encoding/json"
	"net/http"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
)

// events tell those who listen that something changed. They ask for what it
// was themselves, so that what was missed is never lost: one who slept asks
// once on waking.
type events struct {
	mu        sync.Mutex
	listeners map[*listener]struct{}
	closed    chan struct{}
	once      sync.Once
}

func newEvents() *events {
	return &events{listeners: map[*listener]struct{}{}, closed: make(chan struct{})}
}

// listener is one who follows the cook.
type listener struct {
	changed chan struct{} // several changes before it is read are told as one
	weighed chan []byte   // what was weighed, in order; who is too far behind asks for all of it
	scale   chan []byte   // what the scale shows; only the last is kept
	gone    chan struct{} // closed once it may listen no more
	device  int64         // that listens; 0 at the machine itself
}

func (h *events) listen(device int64) *listener {
	l := &listener{make(chan struct{}, 1), make(chan []byte, fallBehind), make(chan []byte, 1), make(chan struct{}), device}
	h.mu.Lock()
	defer h.mu.Unlock()
	h.listeners[l] = struct{}{}
	return l
}

func (h *events) leave(l *listener) {
	h.mu.Lock()
	defer h.mu.Unlock()
	delete(h.listeners, l)
}

// cut ends the streams of devices that were signed out: of the one, or, but for
// it, of all.
func (h *events) cut(device int64, allBut bool) {
	h.mu.Lock()
	defer h.mu.Unlock()
	for l := range h.listeners {
		if l.device != 0 && (l.device == device) != allBut {
			delete(h.listeners, l)
			close(l.gone)
		}
	}
}

// tell tells all that something changed.
func (h *events) tell() {
	h.mu.Lock()
	defer h.mu.Unlock()
	for l := range h.listeners {
		select {
		case l.changed <- struct{}{}:
		default: // it has yet to read of the last one
		}
	}
}

// fallBehind is how many weighings one may not have read yet.
const fallBehind = 16

// Weighed sends all what one weighing changed.
func (h *events) Weighed(weighed any) {
	change, err := json.Marshal(weighed)
	if err != nil {
		return
	}
	h.mu.Lock()
	defer h.mu.Unlock()
	for l := range h.listeners {
		select {
		case l.weighed <- change:
		default:
			select {
			case l.changed <- struct{}{}:
			default:
			}
		}
	}
}

// Shows sends all what the scale shows, in the place of what they have not read.
func (h *events) Shows(shown any) {
	scale, err := json.Marshal(shown)
	if err != nil {
		return
	}
	h.mu.Lock()
	defer h.mu.Unlock()
	for l := range h.listeners {
		select {
		case <-l.scale:
		default:
		}
		l.scale <- scale
	}
}

// close ends all streams, so that the server can stop.
func (h *events) close() error {
	h.once.Do(func() { close(h.closed) })
	return nil
}

// A stream ends by itself before the server's write timeout would cut it off
// in the middle; the browser opens it again after the pause.
const (
	streamFor   = writeTimeout / 2
	streamPause = "retry: 250\n\n"
	streamEvent = "data: changed\n\n"
)

// stream answers with server-sent events: one at the start, for what changed
// while nobody listened, one for each change, and what the scale shows.
func (h *events) stream(c fiber.Ctx) error {
	c.Set("Content-Type", "text/event-stream")
	c.Set("Cache-Control", "no-store")
	if c.Method() == http.MethodHead {
		return nil
	}
	device := int64(0)
	if who, ok := c.Context().Value(callerKey{}).(caller); ok && who.Device != nil {
		device = who.Device.ID
	}
	l := h.listen(device)
	return c.SendStreamWriter(func(w *bufio.Writer) {
		defer h.leave(l)
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
			case <-l.changed:
				text = streamEvent
			case change := <-l.weighed:
				text = "event: weighed\ndata: " + string(change) + "\n\n"
			case scale := <-l.scale:
				text = "event: scale\ndata: " + string(scale) + "\n\n"
			case <-over:
				return
			case <-h.closed:
				return
			case <-l.gone:
				return
			}
		}
	})
}
