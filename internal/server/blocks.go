package server

import (
	"slices"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/internal/store"
)

// BlockAt is when a block of work is to begin.
type BlockAt struct {
	At string `json:"at" maxLength:"40" doc:"by the kitchen's clock, 2026-11-28T09:00, or with an offset"`
}

type blockInput struct {
	ByID
	Block int `path:"block" minimum:"0" maximum:"50"`
	Body  BlockAt
}

func (s *server) moveBlock(in *blockInput) (Plan, error) {
	planned, err := s.blockMoved(in)
	if err != nil {
		return Plan{}, err
	}
	if err := s.store.KeepPlan(planned); err != nil {
		return Plan{}, err
	}
	return s.plan(nil)
}

func (s *server) tryBlock(in *blockInput) (Plan, error) {
	planned, err := s.blockMoved(in)
	if err != nil {
		return Plan{}, err
	}
	return s.presentPlan(planned)
}

// blockMoved are the items with a block pinned and all others planned around it.
func (s *server) blockMoved(in *blockInput) ([]store.PlanItem, error) {
	at, err := s.moment("at", in.Body.At)
	if err != nil {
		return nil, err
	}
	items, n, err := s.item(in.ID)
	if err != nil {
		return nil, err
	}
	pins := slices.DeleteFunc(slices.Clone(items[n].Pins), func(p plan.Pin) bool { return p.Block == in.Block })
	items[n].Pins = append(pins, plan.Pin{Block: in.Block, At: at})
	planned, err := s.scheduled(items, n)
	if err != nil {
		return nil, s.notThere(items, n, in, err)
	}
	if in.Block >= len(blocksOf(planned[n])) || blocksOf(planned[n])[in.Block].Begun {
		return nil, fault.New("at", in.Body.At, "block-has-begun")
	}
	return planned, nil
}

// notThere says where a block could begin instead.
func (s *server) notThere(items []store.PlanItem, n int, in *blockInput, why error) error {
	w, err := s.work(items, n)
	if err != nil {
		return err
	}
	at := slices.Index(w.places, n)
	if at < 0 {
		return why
	}
	job := w.jobs[at]
	if items[n].Fridge {
		job.Bench = job.Fridge
	}
	span, ok := plan.Movable(job, in.Block, w.rules)
	if !ok {
		return fault.New("at", in.Body.At, "block-fits-nowhere")
	}
	const day = "Mon 15:04"
	return fault.New("at", in.Body.At, "block-fits-elsewhere", span.From.Format(day), span.To.Format(day))
}

// freeBlocks lets the planner place all of an item's blocks.
func (s *server) freeBlocks(in *ByID) (Plan, error) {
	items, at, err := s.item(in.ID)
	if err != nil {
		return Plan{}, err
	}
	items[at].Pins = []plan.Pin{}
	return s.keepPlan(items, at)
}
