package fitout

import (
	"reflect"
	"strconv"
	"strings"
)

// ListKey is by which fields the things of one list of the document are told apart.
// Merging, undo in the browser and the check for things that are there twice all read
// it; it stands once, in the key tag of the list.
type ListKey struct {
	Fields  []string `json:"fields"`
	Ordered bool     `json:"ordered" doc:"the order says something; a change of it is a change"`
}

// ListKeys are the keys of all lists of a job by their path, without the ids on the
// way: "vehicle.baseline.tickets.people".
func ListKeys() map[string]ListKey {
	keys := map[string]ListKey{}
	gatherKeys("", reflect.TypeFor[Job](), "", keys)
	return keys
}

func gatherKeys(path string, t reflect.Type, tag reflect.StructTag, keys map[string]ListKey) {
	switch t.Kind() {
	case reflect.Pointer:
		gatherKeys(path, t.Elem(), tag, keys)
	case reflect.Slice:
		keys[path] = keyOf(tag)
		gatherKeys(path, t.Elem(), "", keys)
	case reflect.Struct:
		for i := range t.NumField() {
			field := t.Field(i)
			gatherKeys(join(path, jsonName(field)), field.Type, field.Tag, keys)
		}
	}
}

func keyOf(tag reflect.StructTag) ListKey {
	fields, _ := tag.Lookup("key")
	if fields == "" {
		return ListKey{}
	}
	return ListKey{strings.Split(fields, ","), tag.Get("order") == "meant"}
}

// of is the key of one thing of a list, as JSON has it; false for what has none.
func (k ListKey) of(thing any) (string, bool) {
	fields, isObject := thing.(map[string]any)
	if !isObject || len(k.Fields) == 0 {
		return "", false
	}
	parts := make([]string, len(k.Fields))
	for i, name := range k.Fields {
		parts[i], _ = fields[name].(string)
	}
	key := strings.Join(parts, "/")
	return key, parts[0] != ""
}

// twice refuses things of a list that have the same key.
func (v *validator) twice(name string, list reflect.Value, r *rule) {
	if len(r.key) == 0 || list.Len() < 2 {
		return
	}
	seen := make(map[string]bool, list.Len())
	for i := range list.Len() {
		thing := list.Index(i)
		id := thing.Field(r.key[0]).String()
		for _, n := range r.key[1:] {
			id += "/" + thing.Field(n).String()
		}
		if !seen[id] {
			seen[id] = true
			continue
		}
		called := name
		if own := thing.FieldByName("Name"); own.IsValid() && own.String() != "" {
			called = own.String()
		}
		v.refuse(v.way()+"["+strconv.Itoa(i)+"]."+r.keys.Fields[0], called, shown(id)+" a second time", "one whose "+
			strings.Join(r.keys.Fields, " and ")+" no other entry of the list has")
	}
}
