package example

import (
	"reflect"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// A copy is the same document, and whatever is done to the one leaves the other as it was.
func TestACopySharesNothing(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := Any(t)
		was, err := fitout.Encode(&j)
		require.NoError(t, err)
		c := Copy(&j)
		require.Equal(t, j, c)
		spoil(reflect.ValueOf(&c))
		is, err := fitout.Encode(&j)
		require.NoError(t, err)
		require.Equal(t, string(was), string(is))
	})
}

// spoil changes every figure, word and answer of a value, and all that it points to.
func spoil(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			spoil(v.Elem())
		}
	case reflect.Slice:
		for i := range v.Len() {
			spoil(v.Index(i))
		}
	case reflect.Struct:
		for i := range v.NumField() {
			spoil(v.Field(i))
		}
	case reflect.String:
		v.SetString(v.String() + " spoiled")
	case reflect.Float64:
		v.SetFloat(v.Float() + 1)
	case reflect.Int:
		v.SetInt(v.Int() + 1)
	case reflect.Bool:
		v.SetBool(!v.Bool())
	}
}
