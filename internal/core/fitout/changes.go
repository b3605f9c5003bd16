package fitout

import (
	"encoding/json"
	"maps"
	"reflect"
	"slices"
)

// Change is one field that differs between two states of a job, or a thing that came or went. What was not there is
// null.
type Change struct {
	Path []string `json:"path" doc:"keys and ids from the top of the job to the field"`
	Name string   `json:"name" doc:"name of the thing it belongs to, if it has one"`
	Was  any      `json:"was" doc:"the value before; null where it was not there"`
	Is   any      `json:"is" doc:"the value after; null where it is gone"`
}

// Changes lists what differs between two states of a job: lists of things by their key, everything else field by
// field, in the order of the document's own keys. Things that only changed their order are one change of their list.
func Changes(before, after *Job) ([]Change, error) {
	var trees [2]any
	for i, j := range []*Job{before, after} {
		data, err := json.Marshal(j)
		if err != nil {
			return nil, err
		}
		if err := json.Unmarshal(data, &trees[i]); err != nil {
			return nil, err
		}
	}
	c := changer{merger: merger{keys: ListKeys()}, changes: []Change{}}
	c.walk(nil, "", "", trees[0], trees[1])
	return c.changes, nil
}

type changer struct {
	merger
	changes []Change
}

func (c *changer) tell(path []string, name string, was, is any) {
	c.changes = append(c.changes, Change{Path: slices.Clone(path), Name: name, Was: told(was), Is: told(is)})
}

func (c *changer) walk(path []string, pattern, name string, was, is any) {
	if reflect.DeepEqual(was, is) {
		return
	}
	wasFields, ok1 := was.(map[string]any)
	isFields, ok2 := is.(map[string]any)
	if ok1 && ok2 {
		if len(path) > 0 { // the job's own name goes without saying
			name = nameOf(isFields, name)
		}
		keys := maps.Clone(wasFields)
		maps.Copy(keys, isFields)
		for _, key := range slices.Sorted(maps.Keys(keys)) {
			c.walk(append(path, key), join(pattern, key), name, field(wasFields, key), field(isFields, key))
		}
		return
	}
	wasList, ok1 := c.things(pattern, was)
	isList, ok2 := c.things(pattern, is)
	if ok1 && ok2 {
		told := len(c.changes)
		ids := order(isList)
		for _, id := range order(wasList) {
			if !slices.Contains(ids, id) {
				ids = append(ids, id)
			}
		}
		for _, id := range ids {
			c.walk(append(path, id), pattern, name, find(wasList, id), find(isList, id))
		}
		if len(c.changes) == told {
			c.tell(path, name, order(wasList), order(isList))
		}
		return
	}
	for _, side := range []any{is, was} {
		if fields, ok := side.(map[string]any); ok {
			name = nameOf(fields, name)
			break
		}
	}
	c.tell(path, name, was, is)
}
