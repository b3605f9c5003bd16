package example

import (
	"reflect"

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
		for i := range v.Len() {
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
		for _, i := range pointing[v.Type()] {
			own(v.Field(i))
		}
	}
}

// pointing has, of each type of struct in a job, the fields that point to something.
var pointing = func() map[reflect.Type][]int {
	of := map[reflect.Type][]int{}
	points(reflect.TypeFor[fitout.Job](), of)
	return of
}()

// points tells whether a value of a type points to something, and would share it with its copy.
func points(t reflect.Type, pointing map[reflect.Type][]int) bool {
	switch t.Kind() {
	case reflect.Pointer, reflect.Slice, reflect.Map:
		points(t.Elem(), pointing)
		return true
	case reflect.Array:
		return points(t.Elem(), pointing)
	case reflect.Struct:
		if fields, known := pointing[t]; known {
			return len(fields) > 0
		}
		pointing[t] = nil // it may lead to itself
		var fields []int
		for i := range t.NumField() {
			if points(t.Field(i).Type, pointing) {
				fields = append(fields, i)
			}
		}
		pointing[t] = fields
		return len(fields) > 0
	}
	return false
}
