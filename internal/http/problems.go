package http

import (
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"net/http"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/fault"
	"plushladle/internal/app"
	"plushladle/internal/device"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// problem turns an error into an answer (RFC 9457) that names the field.
func (s *server) problem(err error) error {
	var said *huma.ErrorModel
	var field *fault.Error
	var conflict *store.Conflict
	var empty *store.EmptyError
	var tooLittle *store.TooLittleError
	var merge *store.MergeError
	var pack *store.PackError
	var refusal *app.Refused
	var both *app.ChangedSince
	switch {
	case err == nil:
		return nil
	case errors.As(err, &said):
		return said
	case errors.As(err, &field):
		return fieldProblem(field.Field, wording.Fault(field), field.Value)
	case errors.As(err, &refusal) && refusal.Field == "":
		return huma.Error409Conflict(refusal.Text)
	case errors.As(err, &refusal):
		return huma.Error409Conflict(refusal.Text, &huma.ErrorDetail{Location: "body." + refusal.Field, Message: refusal.Message, Value: refusal.Value})
	case errors.As(err, &both):
		return bothProblem(both)
	case errors.As(err, &conflict):
		return huma.Error409Conflict(wording.Say("drink-changed-elsewhere"))
	case errors.As(err, &empty):
		return fieldProblem("ml", wording.Say("cannot-be-poured", wording.Empty(empty.State == store.InUse, empty.State, empty.LeftML)), "")
	case errors.As(err, &tooLittle):
		return fieldProblem("bowlID", wording.Say("top-up-or-less", wording.TooLittle(tooLittle.HasG, tooLittle.WantedG)), "")
	case errors.As(err, &pack):
		return fieldProblem("massG", wording.Say("pack-holds", pack.HasG), "")
	case errors.As(err, &merge):
		return fieldProblem("other", wording.Say("cannot-be-combined", wording.NotTogether(merge.Why, merge.TogetherML, merge.LargestML)), "")
	case errors.Is(err, store.ErrFrozen):
		return fieldProblem("ml", wording.Say("frozen-not-poured"), "")
	case errors.Is(err, store.ErrFrozenOnce):
		return fieldProblem("place", wording.Say("frozen-once"), "")
	case errors.Is(err, store.ErrNothingPoured):
		return huma.Error409Conflict(wording.Say("nothing-to-undo"))
	case errors.Is(err, store.ErrBottled):
		return huma.Error409Conflict(wording.Say("already-bottled"))
	case errors.Is(err, device.ErrUnplugged):
		return huma.Error409Conflict(wording.Say("scale-unplugged"))
	case errors.Is(err, store.ErrMade):
		return huma.Error409Conflict(wording.Say("drink-was-made"))
	case errors.Is(err, store.ErrNameTaken):
		return fieldProblem("name", wording.Say("name-taken"), "")
	case errors.Is(err, store.ErrKeyReused):
		return huma.Error422UnprocessableEntity(wording.Say("key-reused"))
	case errors.Is(err, store.ErrChangedSince):
		return huma.Error409Conflict(wording.Say("changed-since"))
	case store.IsBusy(err):
		return huma.ErrorWithHeaders(huma.Error503ServiceUnavailable(wording.Say("busy")), http.Header{"Retry-After": {"1"}})
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound(wording.Say("no-longer-there"))
	}
	s.Log.Error("operation failed", "error", err)
	if store.IsFull(err) {
		return huma.NewError(http.StatusInsufficientStorage, wording.Say("disk-full"))
	}
	return huma.NewError(http.StatusInternalServerError, wording.Say("not-saved"))
}

func fieldProblem(field, message, value string) error {
	return huma.Error422UnprocessableEntity(wording.Say("correct-one-entry"),
		&huma.ErrorDetail{Location: "body." + field, Message: message, Value: value})
}

// bothProblem says that something was changed elsewhere since it was read, with both
// values of each field that differs.
func bothProblem(c *app.ChangedSince) error {
	a, errA := asFields(c.Mine)
	b, errB := asFields(c.Theirs)
	if err := errors.Join(errA, errB); err != nil {
		return err
	}
	var details []error
	for _, name := range slices.Sorted(maps.Keys(b)) {
		if name != "revision" && !reflect.DeepEqual(a[name], b[name]) {
			details = append(details, &huma.ErrorDetail{
				Location: "body." + name, Value: b[name],
				Message: wording.Say("both-set", shown(a[name]), shown(b[name])),
			})
		}
	}
	return huma.Error409Conflict(wording.Say("changed-elsewhere"), details...)
}

func asFields(v any) (map[string]any, error) {
	data, err := json.Marshal(v)
	if err != nil {
		return nil, err
	}
	var fields map[string]any
	return fields, json.Unmarshal(data, &fields)
}

func shown(v any) string {
	switch v := v.(type) {
	case nil:
		return "nothing"
	case string:
		return strconv.Quote(v)
	case []any:
		parts := make([]string, len(v))
		for n, one := range v {
			parts[n] = fmt.Sprint(one)
		}
		return strings.Join(parts, ", ")
	}
	return fmt.Sprint(v)
}
