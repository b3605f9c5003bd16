package fitout

import (
	"bytes"
	"encoding/json"
)

// lifts are the pure steps from each version to the next; lifts[0] is 1 to 2.
var lifts = [...]func(document map[string]any){toVersion2, toVersion3, toVersion4}

// lift brings a document of an older version up to the present one and returns
// it as JSON. What a step does not know it leaves for the checks that follow.
func lift(document any, version int) ([]byte, error) {
	fields := object(document)
	for _, step := range lifts[version-1:] {
		step(fields)
	}
	return json.Marshal(fields)
}

// toVersion2 adds an unanswered brief and the limits of the roof, and turns
// the one weighing of a baseline into its first ticket.
func toVersion2(job map[string]any) {
	job["version"] = json.Number("2")
	job["brief"] = tree(NewBrief())
	vehicle := object(job["vehicle"])
	limits := object(vehicle["limits"])
	for _, roof := range []string{"roofMoving", "roofParked"} {
		limits[roof] = map[string]any{"source": string(FromPlate)}
	}
	baseline := object(vehicle["baseline"])
	ticket, weighed := baseline["weighed"].(map[string]any)
	if !weighed {
		delete(baseline, "weighed")
		return
	}
	delete(baseline, "weighed")
	ticket["id"], ticket["name"], ticket["counted"] = "ticket", ticket["where"], true
	if ticket["where"] == "" || ticket["where"] == nil {
		ticket["name"] = "Weighing ticket"
	}
	delete(ticket, "where")
	ticket["reading"], ticket["front"], ticket["rear"] = string(ReadAxles), baseline["front"], baseline["rear"]
	if baseline["split"] == string(SplitAssumed) {
		ticket["reading"], ticket["total"] = string(ReadTotal), baseline["total"]
	}
	for _, reading := range []string{"front", "rear", "total"} {
		if ticket[reading] == nil {
			delete(ticket, reading)
		}
	}
	aboard := []any{}
	parts, _ := vehicle["parts"].([]any)
	for _, part := range parts {
		if part := object(part); part["inBaseline"] == true {
			aboard = append(aboard, map[string]any{"part": part["id"]})
		}
	}
	ticket["parts"] = aboard
	baseline["tickets"] = []any{ticket}
}

// toVersion3 only counts on: modules, compartments and who fits a thing are
// said where they are, and no older document says any of it.
func toVersion3(job map[string]any) { job["version"] = json.Number("3") }

// toVersion4 adds the usual rules of a workshop in the job's region; stances and
// what holds a module are said where they are, and no older document says any.
func toVersion4(job map[string]any) {
	job["version"] = json.Number("4")
	region, _ := job["region"].(string)
	job["practice"] = tree(NewPractice(Region(region)))
}

// object returns a JSON object, or an empty one for anything else.
func object(value any) map[string]any {
	if fields, ok := value.(map[string]any); ok {
		return fields
	}
	return map[string]any{}
}

// tree is a value as JSON reads it, with its numbers as they are written.
func tree(value any) any {
	data, err := json.Marshal(value)
	if err != nil {
		panic(err) // a plain struct always marshals
	}
	var fields any
	decoder := json.NewDecoder(bytes.NewReader(data))
	decoder.UseNumber()
	if err := decoder.Decode(&fields); err != nil {
		panic(err)
	}
	return fields
}
