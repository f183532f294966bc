package http

import "reflect"

// withLists replaces every list that is nil by an empty one, all the way down:
// a page that goes through a list never meets null.
func withLists[T any](v *T) { fillLists(reflect.ValueOf(v).Elem()) }

func fillLists(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			fillLists(v.Elem())
		}
	case reflect.Struct:
		if v.Type().PkgPath() == "time" {
			return
		}
		for n := range v.NumField() {
			if field := v.Field(n); field.CanSet() && holdsLists(field.Type()) {
				fillLists(field)
			}
		}
	case reflect.Slice:
		if v.IsNil() {
			v.Set(reflect.MakeSlice(v.Type(), 0, 0))
		}
		if !holdsLists(v.Type().Elem()) {
			return
		}
		for n := range v.Len() {
			fillLists(v.Index(n))
		}
	}
}

// holdsLists tells whether there can be a list within a type.
func holdsLists(t reflect.Type) bool {
	switch t.Kind() {
	case reflect.Slice, reflect.Struct:
		return true
	case reflect.Pointer:
		return holdsLists(t.Elem())
	}
	return false
}
