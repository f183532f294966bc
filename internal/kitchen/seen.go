package kitchen

import "sync"

// Seen remembers what was found of lines as they are written, for as long as the kitchen's names
// and measures stay: while a recipe is worked on, one line changes and the others are as before.
type Seen struct {
	mu sync.Mutex
	of map[string]any
}

// mostSeen is how many are remembered; then it begins anew.
const mostSeen = 5_000

// Find is what was found of a line before, or what find finds now. It must not be changed by
// whoever gets it.
func (s *Seen) Find(line string, find func() any) any {
	if s == nil {
		return find()
	}
	s.mu.Lock()
	found, ok := s.of[line]
	s.mu.Unlock()
	if ok {
		return found
	}
	found = find()
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.of == nil || len(s.of) >= mostSeen {
		s.of = map[string]any{}
	}
	s.of[line] = found
	return found
}
