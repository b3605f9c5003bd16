package fitout

import (
	"encoding/json"
	"maps"
	"reflect"
	"slices"
)

// Conflict is one field that two people changed differently since their common
// base, or a thing that one changed and the other removed. A missing value is
// null.
type Conflict struct {
	Path   []string `json:"path" doc:"keys and ids from the top of the job to the field"`
	Name   string   `json:"name" doc:"name of the thing it belongs to, if it has one"`
	Mine   any      `json:"mine" doc:"the value in the edit; null where the edit removed it"`
	Theirs any      `json:"theirs" doc:"the value saved meanwhile; null where it was removed"`
}

// Merge joins two sets of changes to a common base: lists of things
// are matched by their key, everything else field by field. Where both changed the
// same field differently, theirs is kept and the conflict is listed.
//
// The result may break a rule of Validate that neither side breaks (one took
// away the seat that the other put a person in); the error is then Problems.
func Merge(base, mine, theirs *Job) (Job, []Conflict, error) {
	var trees [3]any
	for i, j := range []*Job{base, mine, theirs} {
		data, err := json.Marshal(j)
		if err != nil {
			return Job{}, nil, err
		}
		if err := json.Unmarshal(data, &trees[i]); err != nil {
			return Job{}, nil, err
		}
	}
	m := merger{keys: ListKeys()}
	merged := m.merge(nil, "", "", trees[0], trees[1], trees[2])
	data, err := json.Marshal(merged)
	if err != nil {
		return Job{}, nil, err
	}
	job, err := Decode(data)
	return job, m.conflicts, err
}

// missing stands for a field or thing that is not there.
type missing struct{}

type merger struct {
	keys      map[string]ListKey
	conflicts []Conflict
}

func (m *merger) merge(path []string, pattern, name string, base, mine, theirs any) any {
	switch {
	case reflect.DeepEqual(mine, theirs), reflect.DeepEqual(base, mine):
		return theirs
	case reflect.DeepEqual(base, theirs):
		return mine
	}
	baseFields, ok1 := base.(map[string]any)
	mineFields, ok2 := mine.(map[string]any)
	theirFields, ok3 := theirs.(map[string]any)
	if ok1 && ok2 && ok3 {
		return m.fields(path, pattern, nameOf(theirFields, name), baseFields, mineFields, theirFields)
	}
	baseList, ok1 := m.things(pattern, base)
	mineList, ok2 := m.things(pattern, mine)
	theirList, ok3 := m.things(pattern, theirs)
	if ok1 && ok2 && ok3 {
		return m.list(path, pattern, name, baseList, mineList, theirList)
	}
	if fields, ok := theirs.(map[string]any); ok {
		name = nameOf(fields, name)
	} else if fields, ok := mine.(map[string]any); ok {
		name = nameOf(fields, name)
	}
	m.conflicts = append(m.conflicts, Conflict{Path: slices.Clone(path), Name: name, Mine: told(mine),
		Theirs: told(theirs)})
	return theirs
}

func nameOf(fields map[string]any, otherwise string) string {
	if name, _ := fields["name"].(string); name != "" {
		return name
	}
	return otherwise
}

// told is a value as a conflict tells it.
func told(value any) any {
	if _, gone := value.(missing); gone {
		return nil
	}
	return value
}

func (m *merger) fields(path []string, pattern, name string, base, mine, theirs map[string]any) map[string]any {
	keys := map[string]bool{}
	for _, fields := range []map[string]any{base, mine, theirs} {
		for key := range fields {
			keys[key] = true
		}
	}
	merged := map[string]any{}
	for _, key := range slices.Sorted(maps.Keys(keys)) {
		value := m.merge(append(path, key), join(pattern, key), name, field(base, key), field(mine, key), field(theirs, key))
		if _, gone := value.(missing); !gone {
			merged[key] = value
		}
	}
	return merged
}

func field(fields map[string]any, key string) any {
	if value, ok := fields[key]; ok {
		return value
	}
	return missing{}
}

// thing is an element of a list, with the key by which it is matched.
type thing struct {
	id    string
	value any
}

// things returns a list's elements with their keys; ok is false for what is not a list
// of things that the document's own key tells apart.
func (m *merger) things(pattern string, value any) (list []thing, ok bool) {
	elements, ok := value.([]any)
	key := m.keys[pattern]
	for _, element := range elements {
		id, known := key.of(element)
		if !known {
			return nil, false
		}
		list = append(list, thing{id, element})
	}
	return list, ok
}

func find(list []thing, id string) any {
	for _, t := range list {
		if t.id == id {
			return t.value
		}
	}
	return missing{}
}

// list merges by id, in their order with mine added behind; where they left
// the order as it was, in my order with theirs added.
func (m *merger) list(path []string, pattern, name string, base, mine, theirs []thing) []any {
	first, second := theirs, mine
	if slices.Equal(order(base), order(theirs)) {
		first, second = mine, theirs
	}
	ids := order(first)
	for _, id := range order(second) {
		if !slices.Contains(ids, id) {
			ids = append(ids, id)
		}
	}
	merged := []any{}
	for _, id := range ids {
		value := m.merge(append(path, id), pattern, name, find(base, id), find(mine, id), find(theirs, id))
		if _, gone := value.(missing); !gone {
			merged = append(merged, value)
		}
	}
	return merged
}

func order(list []thing) []string {
	ids := make([]string, len(list))
	for i, t := range list {
		ids[i] = t.id
	}
	return ids
}
