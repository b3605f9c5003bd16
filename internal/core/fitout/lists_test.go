package fitout_test

import (
	"crypto/sha256"
	"encoding/hex"
	"fmt"
	"os"
	"path/filepath"
	"reflect"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// Every list of the document says by what its things are told apart, by fields that they
// have: a list without a key would lose things in a merge.
func TestEveryListHasItsKey(t *testing.T) {
	keys := fitout.ListKeys()
	assert.Greater(t, len(keys), 40)
	var see func(at reflect.Type, path string)
	see = func(at reflect.Type, path string) {
		switch at.Kind() {
		case reflect.Pointer:
			see(at.Elem(), path)
		case reflect.Slice:
			key := keys[path]
			assert.NotEmpty(t, key.Fields, "%s says by nothing what is what", path)
			for _, field := range key.Fields {
				assert.True(
					t,
					slices.ContainsFunc(reflect.VisibleFields(at.Elem()), func(f reflect.StructField) bool {
						return f.Tag.Get("json") == field
					}),
					"%s has no field %s",
					path,
					field,
				)
			}
			see(at.Elem(), path)
		case reflect.Struct:
			for i := range at.NumField() {
				name := at.Field(i).Tag.Get("json")
				if j := slices.Index([]byte(name), ','); j >= 0 {
					name = name[:j]
				}
				if path != "" {
					name = path + "." + name
				}
				see(at.Field(i).Type, name)
			}
		}
	}
	see(reflect.TypeFor[fitout.Job](), "")
}

// lists are all lists of a job that have at least two things.
func lists(v reflect.Value, found []reflect.Value) []reflect.Value {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			return lists(v.Elem(), found)
		}
	case reflect.Slice:
		if v.Len() > 1 {
			found = append(found, v)
		}
		for i := range v.Len() {
			found = lists(v.Index(i), found)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			found = lists(v.Field(i), found)
		}
	}
	return found
}

// copyOf is a job of its own with the things of one of its lists, counted from the top,
// without some of them.
func copyOf(t *rapid.T, j *fitout.Job, list int, without ...int) fitout.Job {
	data, err := fitout.Encode(j)
	if err != nil {
		t.Fatal(err)
	}
	c, err := fitout.Decode(data)
	if err != nil {
		t.Fatal(err)
	}
	things := lists(reflect.ValueOf(&c), nil)[list]
	kept := reflect.MakeSlice(things.Type(), 0, things.Len())
	for i := range things.Len() {
		if !slices.Contains(without, i) {
			kept = reflect.Append(kept, things.Index(i))
		}
	}
	things.Set(kept)
	return c
}

// Two people who each take one thing off the same list, whatever list it is, take off
// both, nothing else, and are asked nothing.
func TestTwoWhoTakeDifferentThingsOffAListTakeOffBoth(t *testing.T) {
	merged := map[string]int{}
	rapid.Check(t, func(t *rapid.T) {
		drawn := example.Any(t)
		if len(lists(reflect.ValueOf(&drawn), nil)) == 0 {
			return // nothing in it can be taken off by two
		}
		base := copyOf(t, &drawn, 0)
		all := lists(reflect.ValueOf(&base), nil)
		list := rapid.IntRange(0, len(all)-1).Draw(t, "list")
		mine, theirs, want := copyOf(t, &base, list, 0), copyOf(t, &base, list, 1), copyOf(t, &base, list, 0, 1)
		for _, j := range []*fitout.Job{&mine, &theirs, &want} {
			if fitout.Validate(j) != nil {
				return // something else names what was taken off
			}
		}
		is, conflicts, err := fitout.Merge(&base, &mine, &theirs)
		if err != nil || len(conflicts) > 0 {
			t.Fatalf("%s: %v, %+v", all[list].Type(), err, conflicts)
		}
		merged[all[list].Type().String()]++
		one, _ := fitout.Encode(&is)
		other, _ := fitout.Encode(&want)
		if string(one) != string(other) {
			t.Fatalf("%s: merged is\n%s\nwanted\n%s", all[list].Type(), one, other)
		}
	})
	assert.Greater(t, len(merged), 3, "%v", merged)
}

// Two people of a ticket may have sat on one seat, one after the other: each stays.
func TestTwoPeopleOfATicketOnOneSeatStayTwo(t *testing.T) {
	job := func(change func(*fitout.Ticket)) *fitout.Job {
		j := example.Ute()
		ticket := &j.Vehicle.Baseline.Tickets[0]
		ticket.People = []fitout.WeighedPerson{{ID: "a", Seat: "driver", Kg: 80}, {ID: "b", Seat: "driver", Kg: 60}}
		change(ticket)
		require.NoError(t, fitout.Validate(&j))
		return &j
	}
	merged, conflicts, err := fitout.Merge(job(func(*fitout.Ticket) {}),
		job(func(t *fitout.Ticket) { t.People[0].Kg = 82 }), job(func(t *fitout.Ticket) { t.People[1].Kg = 61 }))
	require.NoError(t, err)
	assert.Empty(t, conflicts)
	assert.Equal(t, []fitout.WeighedPerson{{ID: "a", Seat: "driver", Kg: 82}, {ID: "b", Seat: "driver", Kg: 61}},
		merged.Vehicle.Baseline.Tickets[0].People)
}

// A golden file is what people have in their hands: it is read for ever, and never
// edited. A new shape or meaning is a new version, with a file of its own.
func TestGoldenFilesAreNeverEdited(t *testing.T) {
	sums := []string{
		"276d0e232f9576fc86d7e4c347762f3cef1f72187cbf87313194302951aaf1e8",
		"1413514cbb8ce21825fadea2f76708d0d10b4d337292cea9c02db8397dd9b87c",
		"e4bfb7ed070bc71ed4da5d5f8462ccfbb2ecb720edce6141f9b471b86034290c",
		"82d776bbc6f48a2951cb7145d874141dad87c5042a698e49119d4edc4defbe7d",
		"62e2cfac5eb0222dd5e697bc011d7e528b00b3b5c899d5b81f2b33969ccf96c3",
		"4e2c75f210b06994f46d017c6d9a7dd28482c2ad110f2be01292b5efffee1b6d",
		"a7dbc637526b50c3ce2bec9afccebb594fc52a7e25b412df91e457af4ecc69d6",
		"474ca22fb5a1e2dce32fa490f9706a2a7a04434a01cae19f8ec9830bfe50da8e",
		"d337a8631416df549479caf4d2f2581e3f8c85ec67e27cc99dc130cc15acf5f4",
		"1a3339fb575922869cea487356680e603c93d826c7de7ee594c20d35dd026abf",
		"4c613b51e0bb94fdd370df583edbe4428618a04fe411c519d79fc05b6878252a",
		"45b3c361a3972e93a5166005b53f5ce86f1a0ac629181db99c5c9394986299f7",
		"cef485db3564a35d3c6c4da4862eea9a12661ad134dcdb4120efd0515fe4ecaf",
		"646dd56cf8fdd1486cda18db229665ed660ce8cc3c24d4084534f582444223aa",
		"1dd3c8d52bb4faecd1d496889a68960fc0b9761a17246dc8572515c76a596de3",
	}
	require.Len(t, sums, fitout.Version, "a version without the sum of its golden file")
	for i, want := range sums {
		data, err := os.ReadFile(filepath.Join("testdata", fmt.Sprintf("v%d.zaino.json", i+1)))
		require.NoError(t, err)
		sum := sha256.Sum256(data)
		assert.Equal(t, want, hex.EncodeToString(sum[:]), "v%d.zaino.json", i+1)
	}
}

// Every figure of the document says from where to where it may be: without a range one
// that is far too large would end in a figure that is none.
func TestEveryFigureHasItsRange(t *testing.T) {
	var see func(at reflect.Type, path string, tag reflect.StructTag)
	see = func(at reflect.Type, path string, tag reflect.StructTag) {
		switch at.Kind() {
		case reflect.Pointer, reflect.Slice:
			see(at.Elem(), path, "")
		case reflect.Struct:
			for i := range at.NumField() {
				see(at.Field(i).Type, path+"."+at.Field(i).Name, at.Field(i).Tag)
			}
		case reflect.Float64:
			assert.NotEmpty(t, tag.Get("minimum"), path)
			assert.NotEmpty(t, tag.Get("maximum"), path)
		}
	}
	see(reflect.TypeFor[fitout.Job](), "job", "")
	see(reflect.TypeFor[fitout.Component](), "component", "")
}
