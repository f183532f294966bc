package http

import (
	"context"
	"encoding/json"
	"net/http"
	"strconv"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app"
	"plushladle/internal/store"
)

// An operation is a use case at an address. How it is asked is told by one of
//
//	plain(pantry.Service.Pantry)    of nothing
//	byID(bench.Service.Drink)       of the number in its path
//	bodied(bench.Service.Turn)      of what it is sent
//	on(shelf.Service.Pour)          of both
//
// and by a function of its own where it is asked otherwise.

const get, post, put, remove = http.MethodGet, http.MethodPost, http.MethodPut, http.MethodDelete

// body wraps what is sent, either way.
type body[T any] struct{ Body T }

type noInput struct{}

// ByID is the number in an operation's path.
type ByID struct {
	ID int64 `path:"id" minimum:"1"`
}

type onOne[T any] struct {
	ByID
	Body T
}

func plain[A, Out any](do func(A) (Out, error)) func(A, *noInput) (Out, error) {
	return func(a A, _ *noInput) (Out, error) { return do(a) }
}

func byID[A, Out any](do func(A, int64) (Out, error)) func(A, *ByID) (Out, error) {
	return func(a A, in *ByID) (Out, error) { return do(a, in.ID) }
}

func bodied[A, T, Out any](do func(A, T) (Out, error)) func(A, *body[T]) (Out, error) {
	return func(a A, in *body[T]) (Out, error) { return do(a, in.Body) }
}

func on[A, T, Out any](do func(A, int64, T) (Out, error)) func(A, *onOne[T]) (Out, error) {
	return func(a A, in *onOne[T]) (Out, error) { return do(a, in.ID, in.Body) }
}

// itself is the kitchen as its own area.
func itself(k *app.Kitchen) *app.Kitchen { return k }

// operation registers one operation of an area; its errors become problems.
func operation[A, In, Out any](s *server, api huma.API, method, path, id, summary string, of func(*app.Kitchen) A, handle func(A, *In) (Out, error)) {
	huma.Register(api, huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary},
		func(_ context.Context, in *In) (*body[Out], error) {
			out, err := handle(of(s.Kitchen), in)
			if err != nil {
				return nil, s.problem(err)
			}
			withLists(&out)
			return &body[Out]{out}, nil
		})
}

// told is an operation that those who follow the cook are told of.
func told[A, In, Out any](s *server, api huma.API, method, path, id, summary string, of func(*app.Kitchen) A, handle func(A, *In) (Out, error)) {
	operation(s, api, method, path, id, summary, of, func(a A, in *In) (Out, error) {
		out, err := handle(a, in)
		if err == nil {
			s.Station.Refresh()
			s.events.tell()
		}
		return out, err
	})
}

// acted wraps what an act answers, with the number by which it is taken back.
type acted[T any] struct {
	Undo string `header:"Undo"`
	Body T
}

// undoable says of an act that it can be taken back.
const undoable = true

// act registers an operation that does something: as one, once however often
// the same request comes, and told to those who follow. Its errors become
// problems.
func act[A, In, Out any](s *server, api huma.API, method, path, id, summary string, canUndo bool, of func(*app.Kitchen) A, handle func(A, *In) (Out, error)) {
	huma.Register(api, huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary},
		func(ctx context.Context, in *In) (*acted[Out], error) {
			who, _ := ctx.Value(callerKey{}).(caller)
			out, seen := acted[Out]{}, &app.Stale{}
			done, err := s.Store.Act(store.Act{Key: who.key, What: who.what, Undoable: canUndo}, func(within *store.Store) ([]byte, error) {
				var err error
				if out.Body, err = handle(of(s.Within(within, seen)), in); err != nil || who.key == "" {
					return nil, err
				}
				return json.Marshal(out.Body)
			})
			if err == nil && done.Before {
				err = json.Unmarshal(done.Answer, &out.Body)
			}
			if err != nil {
				return nil, s.problem(err)
			}
			if done.Undo != 0 {
				out.Undo = strconv.FormatInt(done.Undo, 10)
			}
			s.happened(*seen)
			withLists(&out.Body)
			return &out, nil
		})
}

// happened forgets what is out of date, and tells those who follow.
func (s *server) happened(seen app.Stale) {
	if seen.Ways {
		s.Changed()
	}
	if seen.Record {
		s.ForgetRecord()
	}
	s.Station.Refresh()
	s.events.tell()
}

type undoInput struct {
	ID int64 `path:"id" minimum:"1" doc:"from the Undo header of what was done"`
}

// undo takes back something that was done.
func (s *server) undo(k *app.Kitchen, in *undoInput) (app.Nothing, error) {
	if err := k.Store.Undo(in.ID); err != nil {
		return app.Nothing{}, err
	}
	s.happened(app.Stale{Ways: true, Record: true})
	return app.Nothing{Done: true}, nil
}

func (s *server) register(api huma.API) {
	operation(s, api, post, "/api/undo/{id}", "undo", "Take back what was done", itself, s.undo)
	s.kitchenOperations(api)
	s.accessOperations(api)
	s.benchOperations(api)
	s.pantryOperations(api)
	s.planningOperations(api)
	s.cookingOperations(api)
	s.shelfOperations(api)
	s.notesOperations(api)
	s.filesOperations(api)
}
