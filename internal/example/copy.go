package example

import (
	"reflect"
	"sync"

	"zaino/internal/core/fitout"
)

// Copy is a job that shares nothing with another, so that a test may change it, much sooner than by writing and
// reading it again.
func Copy(j *fitout.Job) fitout.Job {
	to := *j
	own(reflect.ValueOf(&to).Elem())
	return to
}

// own makes all that a value of the document points to its own. Fields of it are all exported.
func own(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if v.IsNil() {
			return
		}
		to := reflect.New(v.Type().Elem())
		to.Elem().Set(v.Elem())
		own(to.Elem())
		v.Set(to)
	case reflect.Slice:
		if v.IsNil() {
			return
		}
		to := reflect.MakeSlice(v.Type(), v.Len(), v.Len())
		reflect.Copy(to, v)
		v.Set(to)
		for i := 0; i < v.Len() && points(v.Type().Elem()); i++ {
			own(v.Index(i))
		}
	case reflect.Array:
		for i := range v.Len() {
			own(v.Index(i))
		}
	case reflect.Map:
		if v.IsNil() {
			return
		}
		to := reflect.MakeMapWithSize(v.Type(), v.Len())
		for each := v.MapRange(); each.Next(); {
			value := reflect.New(v.Type().Elem()).Elem()
			value.Set(each.Value())
			own(value)
			to.SetMapIndex(each.Key(), value)
		}
		v.Set(to)
	case reflect.Struct:
		for _, i := range pointing(v.Type()) {
			own(v.Field(i))
		}
	}
}

// points tells whether a value of a type points to something, and would share it with its copy.
func points(t reflect.Type) bool {
	switch t.Kind() {
	case reflect.Pointer, reflect.Slice, reflect.Map:
		return true
	case reflect.Array:
		return points(t.Elem())
	case reflect.Struct:
		return len(pointing(t)) > 0
	}
	return false
}

// pointed has the fields of each type of struct that was looked at.
var pointed sync.Map

// pointing are the fields of a struct that point to something.
func pointing(t reflect.Type) []int {
	if known, ok := pointed.Load(t); ok {
		return known.([]int)
	}
	var fields []int
	for i := range t.NumField() {
		if points(t.Field(i).Type) {
			fields = append(fields, i)
		}
	}
	pointed.Store(t, fields)
	return fields
}
