package planning

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

func (s Service) MoveBlock(id int64, block int, in BlockAt) (Plan, error) {
	planned, err := s.blockMoved(id, block, in)
	if err != nil {
		return Plan{}, err
	}
	if err := s.store.KeepPlan(planned); err != nil {
		return Plan{}, err
	}
	return s.Plan()
}

func (s Service) TryBlock(id int64, block int, in BlockAt) (Plan, error) {
	planned, err := s.blockMoved(id, block, in)
	if err != nil {
		return Plan{}, err
	}
	return s.presentPlan(planned)
}

// blockMoved are the items with a block pinned and all others planned around it.
func (s Service) blockMoved(id int64, block int, in BlockAt) ([]store.PlanItem, error) {
	at, err := s.moment("at", in.At)
	if err != nil {
		return nil, err
	}
	items, n, err := s.Item(id)
	if err != nil {
		return nil, err
	}
	pins := slices.DeleteFunc(slices.Clone(items[n].Pins), func(p plan.Pin) bool { return p.Block == block })
	items[n].Pins = append(pins, plan.Pin{Block: block, At: at})
	planned, err := s.scheduled(items, n)
	if err != nil {
		return nil, s.notThere(items, n, block, in, err)
	}
	if block >= len(blocksOf(planned[n])) || blocksOf(planned[n])[block].Begun {
		return nil, fault.New("at", in.At, "block-has-begun")
	}
	return planned, nil
}

// notThere says where a block could begin instead.
func (s Service) notThere(items []store.PlanItem, n int, block int, in BlockAt, why error) error {
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
	span, ok := plan.Movable(job, block, w.rules)
	if !ok {
		return fault.New("at", in.At, "block-fits-nowhere")
	}
	return fault.New("at", in.At, "block-fits-elsewhere", span.From, span.To)
}

// FreeBlocks lets the planner place all of an item's blocks.
func (s Service) FreeBlocks(id int64) (Plan, error) {
	items, at, err := s.Item(id)
	if err != nil {
		return Plan{}, err
	}
	items[at].Pins = []plan.Pin{}
	return s.KeepPlan(items, at)
}
