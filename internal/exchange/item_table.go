package exchange

import (
	"bytes"
	"encoding/csv"
	"math"
	"slices"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// column is a field that a CSV column can hold.
type column string

const (
	colName      column = "name"
	colGroup     column = "group"
	colMass      column = "mass"
	colX         column = "station"
	colY         column = "side"
	colZ         column = "height"
	colSource    column = "source"
	colNote      column = "note"
	colTows      column = "trailer"
	colPresent   column = "present when"
	colSeat      column = "seat"
	colNow       column = "litres now"
	colLeast     column = "litres least"
	colMost      column = "litres most"
	colDensity   column = "kg per litre"
	colLong      column = "size length"
	colWide      column = "size width"
	colTall      column = "size height"
	colForm      column = "form"
	colBehind    column = "behind the cut"
	colSubstance column = "substance"

	colDerived column = "derived" // Zaino says it, and does not read it
)

// itemHeads are the heads that WriteItems writes, in their order, with what they are.
var itemHeads = []struct {
	head string
	of   column
}{
	{"Name", colName}, {"Group", colGroup}, {"Mass (kg)", colMass}, {"Station (mm)", colX}, {"Side (mm)", colY},
	{"Height (mm)", colZ}, {"Source", colSource}, {"Present when", colPresent}, {"Seat", colSeat},
	{"Litres now (L)", colNow}, {"Litres least (L)", colLeast}, {"Litres most (L)", colMost}, {"Kg per litre", colDensity},
	{"On trailer", colTows}, {"Size length (mm)", colLong}, {"Size width (mm)", colWide}, {"Size height (mm)", colTall},
	{"Behind the cut", colBehind}, {"Form", colForm}, {"Substance", colSubstance}, {"Present now", colDerived}, {"Together now (kg)", colDerived},
	{"On front axle (kg)", colDerived}, {"On rear axle (kg)", colDerived}, {"Note", colNote},
}

// exactHeading finds a head that WriteItems writes, whatever its case and the unit behind it.
func exactHeading(text string) (c column, unit string, exact bool) {
	bare := func(s string) string {
		s, _, _ = strings.Cut(s, "(")
		return strings.ToLower(strings.TrimSpace(s))
	}
	for _, h := range itemHeads {
		if bare(h.head) == bare(text) {
			_, unit = heading(text)
			return h.of, unit, true
		}
	}
	return "", "", false
}

// headings are the words by which other heads are matched, lower case.
var headings = map[string]column{
	"name": colName, "item": colName, "description": colName, "what": colName,
	"group": colGroup, "category": colGroup,
	"mass": colMass, "weight": colMass, "kg": colMass, "lb": colMass, "lbs": colMass,
	"station": colX, "x": colX, "position": colX,
	"side": colY, "y": colY,
	"height": colZ, "z": colZ,
	"source": colSource, "note": colNote, "notes": colNote, "remark": colNote, "trailer": colTows,
}

// heading matches a header such as "Mass (lb)" and returns the unit it names.
func heading(text string) (c column, unit string) {
	words := strings.FieldsFunc(
		strings.ToLower(text),
		func(r rune) bool { return strings.ContainsRune(" ()[]/_-,:", r) },
	)
	for _, word := range words {
		if found, ok := headings[word]; ok && c == "" {
			c = found
		}
		if slices.Contains(
			[]string{"kg", "g", "t", "lb", "lbs", "oz", "mm", "cm", "m", "in", "inch", "inches", "ft", "l", "gal"},
			word,
		) {
			unit = word
		}
	}
	return c, unit
}

// WriteItems writes the chosen variant's items as CSV that ReadItems reads back, in the job's datum, in mm, kg and
// litres, with what each puts on the axles. What lies in a compartment or on a seat has the station that it has there.
func WriteItems(j *fitout.Job) ([]byte, error) {
	heads := make([]string, len(itemHeads))
	for i, h := range itemHeads {
		heads[i] = h.head
	}
	rows := [][]string{heads}
	p := plan.Of(j)
	plain := p.Load.Plain()
	for i := range p.Variant.Items {
		item, thing := &j.ChosenVariant().Items[i], &plain.Items[i]
		at, effect := thing.Mass, thing.Effect(p.Load.Wheelbase)
		if item.Seat == "" && item.In == nil { // its own place, to which it also comes back from a trailer
			at = load.Mass{X: item.At.X, Y: item.At.Y, Z: item.At.Z}
		}
		var content [4]string
		if l := item.Presence.Level; l != nil && item.Presence.Kind == fitout.ByLevel {
			content = [4]string{exactly(l.Now), exactly(l.Min), exactly(l.Max), exactly(l.Density)}
		}
		rows = append(rows, []string{
			plainText(item.Name), plainText(item.Group), exactly(item.Mass),
			fine(j.Vehicle.ToDatum(j.Datum, at.X)), fine(at.Y), fine(at.Z), string(item.Source),
			presentWhen(p.Variant, &item.Presence), plainText(seatOf(j, item.Seat)),
			content[0], content[1], content[2], content[3], yesNo(item.OnTrailer),
			exactly(item.Size.Length), exactly(item.Size.Width), exactly(item.Size.Height),
			yesNo(item.Behind), string(item.Form), string(item.Substance),
			yesNo(thing.Present), number(thing.Kg()), number(effect.Front), number(effect.Rear), plainText(item.Note),
		})
	}
	var out bytes.Buffer
	err := csv.NewWriter(&out).WriteAll(rows)
	return out.Bytes(), err
}

// presentWhen says when an item is aboard as ReadItems reads it: by names, where they tell things apart.
func presentWhen(v *fitout.Variant, p *fitout.Presence) string {
	switch p.Kind {
	case fitout.ByLevel:
		return "content"
	case fitout.BySwitch:
		for i, s := range v.Switches {
			if s.ID == p.Switch && slices.IndexFunc(v.Switches, func(o fitout.Switch) bool {
				return o.Name == s.Name || o.ID == s.Name
			}) == i && strings.TrimSpace(s.Name) == s.Name {
				return "switch: " + s.Name
			}
		}
		return "switch: " + p.Switch
	case fitout.ByChoice:
		return "choice: " + p.Choice + " / " + p.Member
	}
	return "always"
}

// seatOf is a seat's name where no other has it, else its id.
func seatOf(j *fitout.Job, id string) string {
	named := map[string]int{}
	for _, s := range j.Vehicle.Seats {
		named[s.Name]++
		named[s.ID]++
	}
	for _, s := range j.Vehicle.Seats {
		if s.ID == id && (named[s.Name] == 1 || s.Name == s.ID) && strings.TrimSpace(s.Name) == s.Name {
			return s.Name
		}
	}
	return id
}

// formulaSigns are those by which a spreadsheet takes a cell for a formula.
const formulaSigns = "=+-@\t\r"

// plainText keeps a spreadsheet from running a cell as a formula; fromPlain takes that off again.
func plainText(text string) string {
	if text != "" && strings.ContainsRune(formulaSigns+"'", rune(text[0])) {
		return "'" + text
	}
	return text
}

// fromPlain is what plainText was given.
func fromPlain(text string) string {
	if len(text) > 1 && text[0] == '\'' && strings.ContainsRune(formulaSigns+"'", rune(text[1])) {
		return text[1:]
	}
	return text
}

func yesNo(yes bool) string {
	if yes {
		return "yes"
	}
	return "no"
}

func number(value float64) string {
	return strconv.FormatFloat(math.Round(value*1000)/1000, 'f', -1, 64)
}

// fine is a measure without what adding and taking off a datum leaves behind the point.
func fine(value float64) string { return exactly(math.Round(value*1e6) / 1e6) }
