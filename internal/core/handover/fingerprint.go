package handover

import (
	"encoding/binary"
	"fmt"
	"hash"
	"hash/fnv"
	"math"
	"reflect"

	"zaino/internal/core/fitout"
)

// Fingerprint of what a pack is made of: all of a job but who signed, what was gone through and when it was given. It
// tells a pack again, and keeps nothing secret. What is empty leaves no mark, so that a field that a later version of the
// document adds does not make every pack look old.
func Fingerprint(j *fitout.Job) string {
	copied := *j
	copied.Version, copied.Format = 0, ""
	copied.Handover.Signed, copied.Handover.Walk, copied.Handover.Pack = nil, nil, fitout.PackMade{}
	sum := fnv.New128a()
	mark(sum, reflect.ValueOf(&copied).Elem())
	return fmt.Sprintf("%x", sum.Sum(nil))
}

// mark writes what is not empty of a value.
func mark(sum hash.Hash, v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			mark(sum, v.Elem())
		}
	case reflect.Struct:
		t := v.Type()
		for i := range v.NumField() {
			if field := v.Field(i); !field.IsZero() && (field.Kind() != reflect.Slice || field.Len() > 0) {
				sum.Write([]byte(t.Field(i).Name))
				mark(sum, field)
			}
		}
		sum.Write([]byte{'}'})
	case reflect.Slice:
		for i := range v.Len() {
			sum.Write([]byte{'['})
			mark(sum, v.Index(i))
		}
	case reflect.Float64:
		var bits [8]byte
		binary.LittleEndian.PutUint64(bits[:], math.Float64bits(v.Float()))
		sum.Write(bits[:])
	case reflect.Int:
		var bits [8]byte
		binary.LittleEndian.PutUint64(bits[:], uint64(v.Int()))
		sum.Write(bits[:])
	case reflect.Bool:
		sum.Write([]byte{'1'})
	case reflect.String:
		sum.Write([]byte(v.String()))
		sum.Write([]byte{0})
	}
}
