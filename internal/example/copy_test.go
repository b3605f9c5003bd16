package example_test

import (
	"reflect"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// A copy is the same, and whatever is done to it is not done to what it is a copy of.
func TestACopySharesNothing(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		before, err := fitout.Encode(&j)
		require.NoError(t, err)
		c := example.Copy(&j)
		require.Equal(t, j, c)
		empty(reflect.ValueOf(&c).Elem())
		after, err := fitout.Encode(&j)
		require.NoError(t, err)
		require.Equal(t, string(before), string(after))
	})
}

// empty empties all that a value leads to, in its place.
func empty(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			empty(v.Elem())
		}
	case reflect.Slice, reflect.Array:
		for i := range v.Len() {
			empty(v.Index(i))
		}
	case reflect.Map:
		v.Clear()
	case reflect.Struct:
		for i := range v.NumField() {
			empty(v.Field(i))
		}
	default:
		v.SetZero()
	}
}
