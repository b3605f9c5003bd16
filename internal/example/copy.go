package example

import (
	"reflect"

	"zaino/internal/core/fitout"
)

// Copy is a job that shares nothing with another, so that a test may change it, much sooner than by writing and
// reading it again.
func Copy(j *fitout.Job) fitout.Job { return deep(reflect.ValueOf(*j)).Interface().(fitout.Job) }

// deep copies a value of the document with all that it points to. Fields of it are all exported.
func deep(v reflect.Value) reflect.Value {
	switch v.Kind() {
	case reflect.Pointer:
		if v.IsNil() {
			return v
		}
		to := reflect.New(v.Type().Elem())
		to.Elem().Set(deep(v.Elem()))
		return to
	case reflect.Slice:
		if v.IsNil() {
			return v
		}
		to := reflect.MakeSlice(v.Type(), v.Len(), v.Len())
		for i := range v.Len() {
			to.Index(i).Set(deep(v.Index(i)))
		}
		return to
	case reflect.Map:
		if v.IsNil() {
			return v
		}
		to := reflect.MakeMapWithSize(v.Type(), v.Len())
		for _, key := range v.MapKeys() {
			to.SetMapIndex(key, deep(v.MapIndex(key)))
		}
		return to
	case reflect.Struct:
		to := reflect.New(v.Type()).Elem()
		for i := range v.NumField() {
			to.Field(i).Set(deep(v.Field(i)))
		}
		return to
	}
	return v
}
