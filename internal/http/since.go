package http

import (
	"crypto/rand"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"sync"

	"plushladle/internal/app/bench"
)

// keptReckonings is how many answers are kept to tell later ones apart from: some for each page
// that is open.
const keptReckonings = 24

// reckonings are the last answers of a drink's figures, by the name each was answered under.
type reckonings struct {
	mu   sync.Mutex
	last []*namedReckoning // the newest at the end
}

type namedReckoning struct {
	name string
	of   bench.Reckoning
}

type toReckonSince struct {
	bench.ToReckon
	Since string `json:"since" maxLength:"40" doc:"the answer that the page has; empty where it has none"`
}

// reckonedSince is a drink's figures as what changed in them since an answer, or all of them where
// that answer is not known any more.
type reckonedSince struct {
	Answer  string           `json:"answer" doc:"the name of this answer, to ask on from"`
	Whole   *bench.Reckoning `json:"whole,omitempty" doc:"absent where what changed is told"`
	Changed any              `json:"changed" doc:"the fields that changed, null for one that is gone; of a list as long as it was, the places that did; {} for nothing, and null where all is told"`
}

// since answers with what changed since the answer that the page has, and keeps what it answers.
func (k *reckonings) since(b bench.Service, in toReckonSince) (reckonedSince, error) {
	now, err := b.Reckon(in.ToReckon)
	if err != nil {
		return reckonedSince{}, err
	}
	withLists(&now) // so that what is told apart is what is sent
	out := reckonedSince{Answer: rand.Text()}
	answer := &namedReckoning{out.Answer, now}
	was := k.keep(answer, in.Since)
	if was == nil {
		out.Whole = &answer.of
		return out, nil
	}
	differs := false
	if out.Changed, differs = changed(reflect.ValueOf(&was.of).Elem(), reflect.ValueOf(&answer.of).Elem()); !differs {
		out.Changed = map[string]any{}
	}
	return out, nil
}

// keep keeps an answer, and gives the one of a name; nil where it is not known.
func (k *reckonings) keep(answer *namedReckoning, name string) *namedReckoning {
	k.mu.Lock()
	defer k.mu.Unlock()
	n := slices.IndexFunc(k.last, func(a *namedReckoning) bool { return a.name == name })
	var was *namedReckoning
	if n >= 0 {
		was = k.last[n]
	}
	k.last = append(k.last, answer)
	if len(k.last) > keptReckonings {
		k.last = slices.Delete(k.last, 0, 1)
	}
	return was
}

// changed tells what of a value is another than it was, in the form it is sent: of a struct the
// fields that changed, of a list as long as it was the places that did, and else the value.
func changed(was, is reflect.Value) (any, bool) {
	switch is.Kind() {
	case reflect.Struct:
		return changedFields(was, is)
	case reflect.Slice:
		return changedPlaces(was, is)
	case reflect.Pointer:
		if was.IsNil() || is.IsNil() {
			return is.Interface(), was.IsNil() != is.IsNil()
		}
		return changed(was.Elem(), is.Elem())
	}
	if was.Equal(is) {
		return nil, false
	}
	return is.Interface(), true
}

func changedFields(was, is reflect.Value) (any, bool) {
	var out map[string]any
	for n := range is.NumField() {
		value, differs := changed(was.Field(n), is.Field(n))
		if !differs {
			continue
		}
		name, _, _ := strings.Cut(is.Type().Field(n).Tag.Get("json"), ",")
		if out == nil {
			out = map[string]any{}
		}
		out[name] = value
	}
	return out, out != nil
}

func changedPlaces(was, is reflect.Value) (any, bool) {
	if was.Len() != is.Len() {
		return is.Interface(), true
	}
	var out map[string]any
	for n := range is.Len() {
		value, differs := changed(was.Index(n), is.Index(n))
		if !differs {
			continue
		}
		if out == nil {
			out = map[string]any{}
		}
		out[strconv.Itoa(n)] = value
	}
	return out, out != nil
}
