package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app/planning"
)

type blockInput struct {
	ByID
	Block int `path:"block" minimum:"0" maximum:"50"`
	Body  planning.BlockAt
}

type bowlEnded struct {
	ByID
	Anyway bool `query:"anyway" doc:"also where planned drinks draw from it: they soak for themselves then"`
}

// planningOperations are those of the Plan.
func (s *server) planningOperations(api huma.API) {
	operation(s, api, get, "/api/can-make", "can-make", "What can be made now, what would spoil first first", planning.Of, plain(planning.Service.CanMake))
	operation(s, api, get, "/api/rhythm", "rhythm", "When to make the chosen drinks, and how much", planning.Of, plain(planning.Service.Rhythm))
	operation(s, api, put, "/api/rhythm", "set-rhythm", "Choose the drinks and the days", planning.Of, bodied(planning.Service.SetRhythm))
	operation(s, api, get, "/api/plan", "plan", "What is planned, when, and what to buy for it", planning.Of, plain(planning.Service.Plan))
	act(s, api, post, "/api/plan/items", "plan-drink", "Put a drink on the plan", undoable, planning.Of, bodied(planning.Service.PlanDrink))
	act(s, api, put, "/api/plan/items/{id}", "move-item", "Have it ready at another time", undoable, planning.Of, on(planning.Service.MoveItem))
	operation(s, api, post, "/api/plan/items/{id}/tries", "try-item", "What the plan would be, without keeping it", planning.Of, on(planning.Service.TryItem))
	act(s, api, remove, "/api/plan/items/{id}", "take-off-plan", "Take it off the plan", undoable, planning.Of, byID(planning.Service.TakeOffPlan))
	act(s, api, put, "/api/plan/items/{id}/blocks/{block}", "move-block", "Begin a block of work at another time", undoable, planning.Of, func(p planning.Service, in *blockInput) (planning.Plan, error) {
		return p.MoveBlock(in.ID, in.Block, in.Body)
	})
	operation(s, api, post, "/api/plan/items/{id}/blocks/{block}/tries", "try-block", "What the plan would be with a block moved", planning.Of, func(p planning.Service, in *blockInput) (planning.Plan, error) {
		return p.TryBlock(in.ID, in.Block, in.Body)
	})
	act(s, api, remove, "/api/plan/items/{id}/blocks", "free-blocks", "Let the planner place all blocks again", undoable, planning.Of, byID(planning.Service.FreeBlocks))
	act(s, api, post, "/api/plan/items/{id}/done", "step-done", "Say that a step was done or left out, and plan the rest anew", undoable, planning.Of, on(planning.Service.StepDone))
	act(s, api, post, "/api/plan/anew", "plan-anew", "Plan what is left from now", undoable, planning.Of, plain(planning.Service.PlanAnew))
	act(s, api, post, "/api/plan/bought", "bought", "Put what was bought into the pantry", undoable, planning.Of, bodied(planning.Service.Bought))
	operation(s, api, get, "/api/shopping", "own-items", "What the cook wrote on the shopping list", planning.Of, plain(planning.Service.OwnItems))
	operation(s, api, post, "/api/shopping", "add-own-item", "Write something on the shopping list", planning.Of, bodied(planning.Service.AddOwnItem))
	operation(s, api, put, "/api/shopping/{id}", "tick-own-item", "Put it into the basket, or out again", planning.Of, on(planning.Service.TickOwnItem))
	operation(s, api, remove, "/api/shopping/{id}", "remove-own-item", "Take it off the shopping list", planning.Of, byID(planning.Service.RemoveOwnItem))
	act(s, api, post, "/api/bowls", "start-bowl", "Put a lot in to soak, to draw from", undoable, planning.Of, bodied(planning.Service.StartBowl))
	act(s, api, post, "/api/bowls/{id}/top-up", "top-up-bowl", "Put more into a bowl", undoable, planning.Of, on(planning.Service.TopUpBowl))
	act(s, api, put, "/api/bowls/{id}", "change-bowl", "Change a bowl's water, or where it stands", undoable, planning.Of, on(planning.Service.ChangeBowl))
	act(s, api, remove, "/api/bowls/{id}", "end-bowl", "Take a bowl away: used up or thrown out", undoable, planning.Of, func(s planning.Service, in *bowlEnded) (planning.Plan, error) { return s.EndBowl(in.ID, in.Anyway) })
}
