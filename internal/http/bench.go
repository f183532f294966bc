package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app/bench"
)

type findInput struct {
	Typed string `query:"typed" maxLength:"300" doc:"the beginning of a name, with or without an amount before it"`
}

type wishKindInput struct {
	Kind string `query:"kind" enum:"milk,creamer,cream,horchata,nog,chocolate,concentrate,cooler"`
}

// benchOperations are those of the Bench.
func (s *server) benchOperations(api huma.API) {
	operation(s, api, post, "/api/turns", "turn", "Set a dial, and solve the amounts for it", bench.Of, bodied(bench.Service.Turn))
	operation(s, api, post, "/api/swaps", "swap", "Put an ingredient in the place of another", bench.Of, bodied(bench.Service.Swap))
	operation(s, api, post, "/api/nudges", "nudge", "Bring all amounts to what the drawer can measure", bench.Of, bodied(bench.Service.Nudge))
	operation(s, api, post, "/api/ice", "ice", "Put ice in the place of some grinding water", bench.Of, bodied(bench.Service.Ice))
	operation(s, api, post, "/api/ladders", "ladder", "What the drink becomes when it is let down", bench.Of, bodied(bench.Service.Ladder))
	operation(s, api, post, "/api/blends", "blend", "Blend two liquids to a fat or solids target", bench.Of, bodied(bench.Service.Blend))
	operation(s, api, post, "/api/trials", "try-cup", "Scale what went into a cup to the rest", bench.Of, bodied(bench.Service.TryCup))
	operation(s, api, post, "/api/splits", "split", "Divide one base into finished drinks", bench.Of, bodied(bench.Service.Split))
	operation(s, api, post, "/api/cups", "serve", "The drink in a cup of coffee, a glass, or over ice", bench.Of, bodied(bench.Service.Serve))
	operation(s, api, post, "/api/matches", "match", "The drinks nearest to some figures", bench.Of, bodied(bench.Service.Match))
	operation(s, api, post, "/api/pastes", "paste", "Read a pasted recipe", bench.Of, bodied(bench.Service.Paste))
	operation(s, api, post, "/api/comparisons", "compare", "Two drinks side by side per 100 mL", bench.Of, bodied(bench.Service.Compare))
	operation(s, api, post, "/api/workings", "working", "How a figure of the drink came about", bench.Of, bodied(bench.Service.Working))
	operation(s, api, post, "/api/exports", "export", "The drink as schema.org JSON-LD and as Markdown", bench.Of, bodied(bench.Service.Export))
	operation(s, api, get, "/api/ingredients", "find-ingredients", "Ingredients for a type-ahead", bench.Of, func(b bench.Service, in *findInput) ([]bench.Suggestion, error) { return b.FindIngredients(in.Typed) })
	operation(s, api, post, "/api/lines", "read-line", "Read one line as people write it", bench.Of, bodied(bench.Service.ReadLine))
	operation(s, api, post, "/api/reckonings", "reckon", "Reckon a drink", bench.Of, bodied(bench.Service.Reckon))
	operation(s, api, post, "/api/reckonings/since", "reckon-since", "Reckon a drink, and tell what changed", bench.Of, bodied(s.reckoned.since))
	operation(s, api, post, "/api/recipes/at-size", "write-at-size", "Write a recipe anew at its size", bench.Of, bodied(bench.Service.WriteAtSize))
	operation(s, api, get, "/api/wishes/choices", "wish-choices", "The answers to the questions of a wish", bench.Of, func(b bench.Service, in *wishKindInput) (bench.WishChoices, error) { return b.WishChoices(in.Kind) })
	operation(s, api, post, "/api/wishes", "design", "Design a drink for a wish", bench.Of, bodied(bench.Service.Design))
	operation(s, api, get, "/api/drinks", "drinks", "All drinks, the one worked on last first", bench.Of, plain(bench.Service.Drinks))
	operation(s, api, get, "/api/library", "library", "All drinks with their figures", bench.Of, plain(bench.Service.Library))
	operation(s, api, put, "/api/drinks/{id}/archived", "archive-drink", "Put a drink away, or bring it back", bench.Of, on(bench.Service.Archive))
	act(s, api, post, "/api/drinks", "start-drink", "Begin a new drink", !undoable, bench.Of, bodied(bench.Service.StartDrink))
	operation(s, api, get, "/api/drinks/{id}", "drink", "A drink with its draft and versions", bench.Of, byID(bench.Service.Drink))
	act(s, api, remove, "/api/drinks/{id}", "remove-drink", "Remove a drink that was never made", undoable, bench.Of, byID(bench.Service.RemoveDrink))
	operation(s, api, put, "/api/drinks/{id}/draft", "save-draft", "Save what is being worked on", bench.Of, on(bench.Service.SaveDraft))
	act(s, api, post, "/api/drinks/{id}/versions", "keep-version", "Keep the draft as a version", !undoable, bench.Of, on(bench.Service.KeepVersion))
}
