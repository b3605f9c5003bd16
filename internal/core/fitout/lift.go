package fitout

import (
	"bytes"
	"encoding/json"
	"fmt"
	"strings"
)

// lifts are the pure steps from each version to the next; lifts[0] is 1 to 2.
var lifts = [...]func(document map[string]any){
	toVersion2, toVersion3, toVersion4, toVersion5, toVersion6, toVersion7, toVersion8,
	toVersion9,
	toVersion10,
	toVersion11,
	toVersion12,
	toVersion13,
	toVersion14,
	toVersion15,
}

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

// toVersion5 says where trailer figures come from (its papers, as was taken so far),
// tells the people on a ticket apart, and keeps what was let stand by all that it names.
// Of things that a list has twice the last one stays: it is the one that counted.
// Documents of version 4 were written with and without what came to it later (a longest
// extension, shares of the ball, what rides on the trailer): what is missing has the
// usual figures.
func toVersion5(job map[string]any) {
	job["version"] = json.Number("5")
	if trailer, tows := job["trailer"].(map[string]any); tows && trailer["source"] == nil {
		trailer["source"] = string(DataSheet)
	}
	region, _ := job["region"].(string)
	complete(object(job["practice"]), object(tree(NewPractice(Region(region)))))
	for _, ticket := range list(object(object(job["vehicle"])["baseline"])["tickets"]) {
		for i, person := range list(object(ticket)["people"]) {
			if person := object(person); person["id"] == nil {
				person["id"] = fmt.Sprintf("person-%d", i+1)
			}
		}
	}
	for _, accepted := range list(job["accepted"]) {
		a := object(accepted)
		rule, _ := a["rule"].(string)
		subject, _ := a["subject"].(string)
		a["key"], a["severity"] = rule+"/"+subject, ""
		delete(a, "rule")
		delete(a, "subject")
	}
	once(job, "", ListKeys())
}

// toVersion6 adds electrics in which nothing is entered yet; no older document says any.
func toVersion6(job map[string]any) {
	job["version"] = json.Number("6")
	for _, variant := range list(job["variants"]) {
		object(variant)["electrics"] = tree(NewElectrics())
	}
}

// toVersion7 adds a route without stops and plumbing of which nothing is said; no older
// document says any of it.
func toVersion7(job map[string]any) {
	job["version"] = json.Number("7")
	job["route"] = tree(NewRoute())
	for _, variant := range list(job["variants"]) {
		object(variant)["plumbing"], object(variant)["fills"] = tree(NewPlumbing()), []any{}
	}
}

// toVersion8 adds the usual figures of a workshop. Drawers kept nothing free below and behind them
// before: those of older documents go on to.
func toVersion8(job map[string]any) {
	job["version"] = json.Number("8")
	job["build"] = tree(NewBuild())
	for _, variant := range list(job["variants"]) {
		for _, item := range list(object(variant)["items"]) {
			if module, ok := object(item)["module"].(map[string]any); ok {
				module["gaps"] = tree(Gaps{Above: DrawerGaps.Above})
			}
		}
	}
}

// toVersion9 adds a handover of which nothing is said yet, and that nothing was weighed or tried.
func toVersion9(job map[string]any) {
	job["version"] = json.Number("9")
	job["handover"] = tree(NewHandover())
	for _, variant := range list(job["variants"]) {
		object(variant)["weighIns"], object(variant)["tests"] = []any{}, []any{}
	}
}

// toVersion10 adds what a workshop does not say of runners, profiles and screws: what is usual.
func toVersion10(job map[string]any) {
	job["version"] = json.Number("10")
	build, usual := object(job["build"]), NewBuild().Shop
	for _, g := range list(object(job["brief"])["gear"]) {
		substance(g, job["region"])
	}
	complete(
		object(build["shop"]),
		map[string]any{"runnerInset": tree(usual.RunnerInset), "pilot": tree(usual.Pilot)},
	)
	for _, r := range list(build["runners"]) {
		complete(object(r), map[string]any{"kg": json.Number("0"), "travel": json.Number("0")})
	}
	for _, bar := range list(build["bars"]) {
		complete(object(bar), map[string]any{"width": json.Number("0")})
	}
	for _, variant := range list(job["variants"]) {
		for _, item := range list(object(variant)["items"]) {
			if module, ok := object(item)["module"].(map[string]any); ok {
				complete(module, map[string]any{"profile": json.Number("0")})
			}
			substance(item, job["region"])
		}
	}
}

// toVersion11 says of things that they stand for the cables, where their names told it before. What is open
// without a share is open all the way, as was taken so far, and no older document says anything of further
// openings, people and things around a stance, tyres, and noise.
func toVersion11(job map[string]any) {
	job["version"] = json.Number("11")
	for _, variant := range list(job["variants"]) {
		for _, item := range list(object(variant)["items"]) {
			name, _ := object(item)["name"].(string)
			name = strings.ToLower(name)
			module, built := object(item)["module"].(map[string]any)
			if (strings.Contains(name, "cable") || strings.Contains(name, "wiring")) &&
				(!built || module["kind"] == string(PlainGear)) {
				complete(object(item), map[string]any{"cables": true})
			}
		}
	}
}

// toVersion12 says nothing new of what stands: no seat turns, no box has a lock of its own, springs have one rate, and
// where struts turn is not said.
func toVersion12(job map[string]any) {
	job["version"] = json.Number("12")
}

// toVersion13 says of nothing that it is food or dirt.
func toVersion13(job map[string]any) {
	job["version"] = json.Number("13")
}

// toVersion14 has no exhausts among the marks.
func toVersion14(job map[string]any) {
	job["version"] = json.Number("14")
}

// substance says of a thing what its name told before: of food and dirt it told nothing then.
func substance(thing, region any) {
	name, _ := object(thing)["name"].(string)
	where, _ := region.(string)
	told := ProposedSubstance(name, Region(where))
	if told == SubstanceFood || told == SubstanceDirt {
		told = SubstanceNotSaid
	}
	complete(object(thing), map[string]any{"substance": string(told)})
}

// complete puts in what is missing of fields, however deep.
func complete(fields, usual map[string]any) {
	for name, value := range usual {
		if fields[name] == nil {
			fields[name] = value
		}
		complete(object(fields[name]), object(value))
	}
}

// once leaves of things with the same key the last. Things with an id of their own were
// never allowed twice: those are refused by the checks that follow.
func once(value any, pattern string, keys map[string]ListKey) any {
	switch value := value.(type) {
	case map[string]any:
		for name, field := range value {
			value[name] = once(field, join(pattern, name), keys)
		}
	case []any:
		kept := make([]any, 0, len(value))
		at := map[string]int{}
		for _, thing := range value {
			thing = once(thing, pattern, keys)
			key, known := keys[pattern].of(thing)
			if k, twice := at[key]; known && twice && keys[pattern].Fields[0] != "id" {
				kept[k] = thing
				continue
			}
			at[key] = len(kept)
			kept = append(kept, thing)
		}
		return kept
	}
	return value
}

// toVersion15 has no shafts and lines among the marks, no shields, no sizes of the vehicle's parts, and nothing said of
// the tray.
func toVersion15(job map[string]any) {
	job["version"] = json.Number("15")
}

// list returns a JSON list, or an empty one for anything else.
func list(value any) []any {
	all, _ := value.([]any)
	return all
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
