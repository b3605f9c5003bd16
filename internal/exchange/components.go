package exchange

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/quantity"
)

// componentColumns are the columns of a catalogue as CSV, in mm, kg, L and W.
var componentColumns = []string{"id", "name", "group", "kind", "length", "width", "height", "mass", "source", "litres",
	"watts", "faces", "wall", "panel", "compartments", "why"}

// WriteComponentsJSON writes components so that nothing of them is lost.
func WriteComponentsJSON(components []fitout.Component) ([]byte, error) {
	return json.MarshalIndent(components, "", " ")
}

// WriteComponentsCSV writes components as a table that ReadComponents reads back.
// How compartments share the room, linings and runners are only in the JSON.
func WriteComponentsCSV(components []fitout.Component) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	rows := [][]string{componentColumns}
	for _, c := range components {
		i, m, litres := c.Item, c.Item.Module, ""
		if i.Presence.Level != nil {
			litres = number(i.Presence.Level.Max)
		}
		names := make([]string, len(m.Cells))
		for k, cell := range m.Cells {
			names[k] = cell.Name
		}
		rows = append(rows, []string{c.ID, plainText(i.Name), plainText(i.Group), string(m.Kind), number(i.Size.Length),
			number(i.Size.Width), number(i.Size.Height),
			number(i.Mass), string(i.Source), litres, number(m.Watts), string(m.Faces), string(m.Wall), number(m.Panel),
			plainText(strings.Join(names, " | ")), plainText(c.Why)})
	}
	err := w.WriteAll(rows)
	return out.Bytes(), err
}

// ReadComponents reads a catalogue, JSON or CSV by its first letter. It refuses
// the whole file, with a sentence for each line, when one component cannot be.
func ReadComponents(text string) ([]fitout.Component, error) {
	text = strings.TrimPrefix(text, "\ufeff")
	if strings.TrimSpace(text) == "" {
		return nil, errors.New("the file is empty; accepted is a catalogue as JSON or CSV")
	}
	var components []fitout.Component
	if strings.HasPrefix(strings.TrimSpace(text), "[") {
		decoder := json.NewDecoder(strings.NewReader(text))
		decoder.DisallowUnknownFields()
		if err := decoder.Decode(&components); err != nil {
			return nil, fmt.Errorf("the file is not a catalogue (%s); accepted is a list of components as Zaino writes it",
				strings.TrimPrefix(err.Error(), "json: "))
		}
	} else {
		var err error
		if components, err = readComponentRows(text); err != nil {
			return nil, err
		}
	}
	if len(components) > MaxRows {
		return nil, fmt.Errorf("the file has %d components; accepted are up to %d", len(components), MaxRows)
	}
	var refusals []string
	seen := map[string]bool{}
	for k := range components {
		c := &components[k]
		c.Own = true
		c.Loosen()
		if c.Item.Module != nil && c.Item.Module.Cells == nil {
			c.Item.Module.Cells = []fitout.Cell{}
		}
		if seen[c.ID] {
			refusals = append(refusals,
				fmt.Sprintf("component %d: the id %s a second time was given; accepted is an id that no other has", k+1, c.ID))
		}
		seen[c.ID] = true
		var problems fitout.Problems
		if errors.As(fitout.CheckComponent(c), &problems) {
			for _, p := range problems {
				refusals = append(refusals, fmt.Sprintf("component %d: %v", k+1, p))
			}
		}
	}
	if len(refusals) > 0 {
		return nil, errors.New(strings.Join(refusals[:min(len(refusals), 20)], "\n"))
	}
	return components, nil
}

func readComponentRows(text string) ([]fitout.Component, error) {
	reader := csv.NewReader(strings.NewReader(text))
	reader.Comma = separator(text)
	reader.FieldsPerRecord = -1
	rows, err := reader.ReadAll()
	if err != nil {
		return nil, fmt.Errorf("the file cannot be read: %w", err)
	}
	at := map[string]int{}
	for i, head := range rows[0] {
		at[strings.ToLower(strings.TrimSpace(head))] = i
	}
	for _, needed := range []string{"name", "length", "width", "height"} {
		if _, ok := at[needed]; !ok {
			return nil, fmt.Errorf("no column is headed %s; the header has %s; needed are name, length, width and height",
				needed, strings.Join(rows[0], ", "))
		}
	}
	components := make([]fitout.Component, 0, len(rows)-1)
	var refusals []string
	for line, cells := range rows[1:] {
		c, err := componentOf(func(column string) string {
			if i, ok := at[column]; ok && i < len(cells) {
				return strings.TrimPrefix(strings.TrimSpace(cells[i]), "'")
			}
			return ""
		})
		if err != nil {
			refusals = append(refusals, fmt.Sprintf("line %d: %v", line+2, err))
		}
		components = append(components, c)
	}
	if len(refusals) > 0 {
		return nil, errors.New(strings.Join(refusals[:min(len(refusals), 20)], "\n"))
	}
	return components, nil
}

// componentOf reads one line. What is left out is usual: plain gear, an
// estimate, bought whole.
func componentOf(cell func(string) string) (fitout.Component, error) {
	var wrong error
	value := func(column string, kind quantity.Kind) float64 {
		text := cell(column)
		if text == "" {
			return 0
		}
		v, err := quantity.Parse(text, kind, quantity.Metric)
		if err != nil && wrong == nil {
			wrong = fmt.Errorf("%s: %w", column, err)
		}
		return v
	}
	or := func(text, usual string) string {
		if text == "" {
			return usual
		}
		return text
	}
	kind := fitout.ModuleKind(or(cell("kind"), string(fitout.PlainGear)))
	name := cell("name")
	m := fitout.Module{Kind: kind, Faces: fitout.Face(or(cell("faces"), "none")),
		Wall: fitout.Material(or(cell("wall"), "none")), Panel: value("panel", quantity.Length),
		Runner: fitout.NoRunner, Stack: fitout.Beside, Watts: value("watts", quantity.Plain), Cells: []fitout.Cell{}}
	for k, cellName := range strings.Split(cell("compartments"), "|") {
		if cellName = strings.TrimSpace(cellName); cellName != "" {
			m.Cells = append(m.Cells, fitout.Cell{ID: "c" + strconv.Itoa(k+1), Name: cellName, Share: 1})
		}
	}
	c := fitout.Component{ID: or(cell("id"), idOf(name)), Why: cell("why"), Item: fitout.Item{
		Name: name, Group: cell("group"), Form: module.Of(kind).Form, Mass: value("mass", quantity.Mass),
		Size: fitout.Size{Length: value("length", quantity.Length), Width: value("width", quantity.Length),
			Height: value("height", quantity.Length)},
		Source:   fitout.MassSource(or(cell("source"), string(fitout.Estimate))),
		Presence: fitout.Presence{Kind: fitout.Always}, Module: &m,
	}}
	c.Item.ID = c.ID
	if litres := value("litres", quantity.Volume); litres > 0 {
		c.Item.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: litres, Now: litres, Density: 1}}
	}
	return c, wrong
}

// idOf makes an id of a name.
func idOf(name string) string {
	id := FileName(name)
	if len(id) > 60 {
		id = id[:60]
	}
	return id
}
