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
		return huma.Error409Conflict("This drink was changed in another tab or on another device since you opened it. Nothing was overwritten.")
	case errors.As(err, &empty):
		return fieldProblem("ml", "cannot be poured: "+wording.Empty(empty.State == store.InUse, empty.State, empty.LeftML), "")
	case errors.As(err, &tooLittle):
		return fieldProblem("bowlID", wording.TooLittle(tooLittle.HasG, tooLittle.WantedG)+"; top it up, or use less", "")
	case errors.As(err, &merge):
		return fieldProblem("other", "cannot be combined: "+wording.NotTogether(merge.Why, merge.TogetherML, merge.LargestML), "")
	case errors.Is(err, store.ErrFrozenOnce):
		return fieldProblem("place", "cannot be the freezer: "+"a thawed bottle must not be frozen again; use it up, or leave it in the fridge", "")
	case errors.Is(err, store.ErrNothingPoured):
		return huma.Error409Conflict("There is nothing to undo: " + err.Error() + ".")
	case errors.Is(err, store.ErrBottled):
		return huma.Error409Conflict("It is already bottled, here or on another device. Nothing was bottled twice.")
	case errors.Is(err, device.ErrUnplugged):
		return huma.Error409Conflict("The scale is not plugged in. Plug it in, or type what you weigh.")
	case errors.Is(err, store.ErrMade):
		return huma.Error409Conflict("The drink cannot be removed: " + err.Error())
	case errors.Is(err, store.ErrNameTaken):
		return fieldProblem("name", err.Error()+"; use another", "")
	case errors.Is(err, store.ErrKeyReused):
		return huma.Error422UnprocessableEntity("This request bears the idempotency key of another one; nothing was done.")
	case errors.Is(err, store.ErrChangedSince):
		return huma.Error409Conflict("It has been changed since, so it cannot be undone.")
	case store.IsBusy(err):
		return huma.ErrorWithHeaders(huma.Error503ServiceUnavailable("Plush Ladle is busy and nothing was changed. Try again in a moment."), http.Header{"Retry-After": {"1"}})
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("It is no longer there. It may have been deleted in another tab.")
	}
	s.Log.Error("operation failed", "error", err)
	if store.IsFull(err) {
		return huma.NewError(http.StatusInsufficientStorage, "The disk is full and nothing was changed. Make room and try again.")
	}
	return huma.NewError(http.StatusInternalServerError, "That could not be saved and nothing was changed. Try again.")
}

func fieldProblem(field, message, value string) error {
	return huma.Error422UnprocessableEntity("Please correct one entry.",
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
				Message: fmt.Sprintf("You entered %s, but it was set to %s in another tab or on another device. Save again to use yours.", shown(a[name]), shown(b[name])),
			})
		}
	}
	return huma.Error409Conflict("This was changed in another tab or on another device since you opened it. Nothing was overwritten.", details...)
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
