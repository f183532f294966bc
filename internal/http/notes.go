package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app/notes"
)

type batchesInput struct {
	Find string `query:"find" maxLength:"200" doc:"words that a batch has to hold: of its name, its date, its notes and tastings"`
}

type weekInput struct {
	Of string `query:"of" maxLength:"10" doc:"a date in it; empty for this week"`
}

// notesOperations are those of the record.
func (s *server) notesOperations(api huma.API) {
	operation(s, api, get, "/api/notes", "notes", "The record at a glance", notes.Of, func(n notes.Service, in *batchesInput) (notes.Notes, error) { return n.Notes(in.Find) })
	operation(s, api, get, "/api/notes/week", "week", "What a week was worth", notes.Of, func(n notes.Service, in *weekInput) (notes.Week, error) { return n.Week(in.Of) })
	operation(s, api, get, "/api/notes/weeks", "weeks", "How the last weeks went", notes.Of, plain(notes.Service.KitchenHistory))
	operation(s, api, get, "/api/drinks/{id}/history", "history", "How a drink went, batch by batch", notes.Of, byID(notes.Service.History))
	operation(s, api, get, "/api/batches/{id}", "batch", "All there is of a batch", notes.Of, byID(notes.Service.BatchPage))
	act(s, api, put, "/api/batches/{id}", "correct-batch", "Put a batch right", undoable, notes.Of, on(notes.Service.CorrectBatch))
	act(s, api, remove, "/api/batches/{id}", "delete-batch", "Take a batch out of the record, with its bottles", undoable, notes.Of, byID(notes.Service.DeleteBatch))
	act(s, api, post, "/api/batches/{id}/tastings", "taste", "Say how a batch was", undoable, notes.Of, on(notes.Service.Taste))
	act(s, api, remove, "/api/tastings/{id}", "delete-tasting", "Take a tasting out of the record", undoable, notes.Of, byID(notes.Service.DeleteTasting))
	act(s, api, remove, "/api/photos/{id}", "delete-photo", "Take a picture of a batch out of the record", undoable, notes.Of, byID(notes.Service.DeletePhoto))
	operation(s, api, post, "/api/batches/{id}/proposals", "proposals", "What a tasting asks of the next version; nothing is kept", notes.Of, on(notes.Service.Proposals))
	act(s, api, post, "/api/batches/{id}/next-version", "next-version", "Keep a tasting, and a version with the changes accepted", undoable, notes.Of, on(notes.Service.NextVersion))
	act(s, api, post, "/api/batches/{id}/trials", "start-trial", "Code jars for a blind tasting", undoable, notes.Of, on(notes.Service.StartTrial))
	operation(s, api, get, "/api/trials/{id}/fill", "fill-trial", "What goes into which jar, until somebody has tasted", notes.Of, byID(notes.Service.FillTrial))
	act(s, api, post, "/api/trials/{id}/verdicts", "judge-trial", "Say what a taster makes of the jars", undoable, notes.Of, on(notes.Service.JudgeTrial))
	act(s, api, post, "/api/trials/{id}/open", "open-trial", "Tell which jar held what", !undoable, notes.Of, byID(notes.Service.OpenTrial))
	act(s, api, remove, "/api/trials/{id}", "delete-trial", "Take a blind tasting out of the record", undoable, notes.Of, byID(notes.Service.DeleteTrial))
}
