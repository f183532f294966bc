package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app/shelf"
)

type labelsInput struct {
	IDs string `query:"ids" maxLength:"500" required:"true" doc:"of bottles, with commas between"`
}

// shelfOperations are those of the Shelf.
func (s *server) shelfOperations(api huma.API) {
	act(s, api, post, "/api/packs", "open-pack", "Put an open pack on the shelf", undoable, shelf.Of, bodied(shelf.Service.OpenPack))
	act(s, api, post, "/api/packs/{id}/use", "use-pack", "Take something from an open pack", undoable, shelf.Of, on(shelf.Service.UsePack))
	act(s, api, post, "/api/packs/{id}/end", "end-pack", "Say what became of an open pack", undoable, shelf.Of, on(shelf.Service.EndPack))
	act(s, api, post, "/api/drinks/{id}/batches", "make-batch", "Mark a batch made and bottle it", undoable, shelf.Of, on(shelf.Service.MakeBatch))
	operation(s, api, get, "/api/shelf", "shelf", "Bottles in use, the one to use first first", shelf.Of, plain(shelf.Service.Shelf))
	act(s, api, post, "/api/bottles/{id}/pours", "pour", "Pour from a bottle", undoable, shelf.Of, on(shelf.Service.Pour))
	act(s, api, post, "/api/bottles/{id}/merge", "merge", "Pour two leftovers together", undoable, shelf.Of, on(shelf.Service.Merge))
	act(s, api, post, "/api/pulps/{id}/end", "end-pulp", "Say what became of a pulp", undoable, shelf.Of, on(shelf.Service.EndPulp))
	act(s, api, post, "/api/pulps/{id}/freeze", "freeze-pulp", "Put a pulp into the freezer", undoable, shelf.Of, byID(shelf.Service.FreezePulp))
	operation(s, api, get, "/api/labels", "labels", "What is written on bottles", shelf.Of, func(b shelf.Service, in *labelsInput) ([]shelf.BottleLabel, error) { return b.Labels(in.IDs) })
	operation(s, api, get, "/api/bottles/{id}/story", "story", "All that happened to a bottle", shelf.Of, byID(shelf.Service.Story))
	act(s, api, post, "/api/bottles/{id}/move", "move-bottle", "Put a bottle elsewhere", undoable, shelf.Of, on(shelf.Service.MoveBottle))
	act(s, api, post, "/api/bottles/{id}/undo-pour", "undo-pour", "Take back the last pour", !undoable, shelf.Of, byID(shelf.Service.UndoPour))
	act(s, api, post, "/api/bottles/{id}/finish", "finish", "Say that a bottle was used up", undoable, shelf.Of, byID(shelf.Service.Finish))
	act(s, api, post, "/api/bottles/{id}/throw-out", "throw-out", "Throw a bottle out, and why", undoable, shelf.Of, on(shelf.Service.ThrowOut))
	operation(s, api, get, "/api/thermometer", "thermometer", "What the fridge's thermometer saw", shelf.Of, plain(shelf.Service.Thermometer))
	operation(s, api, post, "/api/thermometer/connect", "connect-thermometer", "Read the thermometer", shelf.Of, plain(shelf.Service.ConnectThermometer))
	operation(s, api, post, "/api/thermometer/disconnect", "disconnect-thermometer", "Read it no more", shelf.Of, plain(shelf.Service.DisconnectThermometer))
	operation(s, api, post, "/api/thermometer/stand-in", "drive-fridge", "Open the stand-in fridge's door, cut its power, and the like", shelf.Of, bodied(shelf.Service.DriveFridge))
	operation(s, api, get, "/api/thermometer/files/{id}", "readings-share", "How far a file of readings was gone through", shelf.Of, byID(shelf.Service.ReadingsShare))
	operation(s, api, remove, "/api/thermometer/files/{id}", "forget-readings", "Let go of a file of readings", shelf.Of, byID(shelf.Service.ForgetReadings))
	operation(s, api, post, "/api/thermometer/files/{id}/look", "look-at-readings", "What is in a file of readings, and what it costs each bottle", shelf.Of, on(shelf.Service.LookAtReadings))
	told(s, api, post, "/api/thermometer/files/{id}/import", "import-readings", "Take a file of readings in as it was shown", shelf.Of, on(shelf.Service.ImportReadings))
	told(s, api, remove, "/api/thermometer/imports/{id}", "remove-import", "Take an import of readings back", shelf.Of, byID(shelf.Service.RemoveImport))
}
