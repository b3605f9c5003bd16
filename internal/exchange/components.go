package exchange

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/quantity"
)

// componentColumns are the usual columns of a catalogue as CSV, in mm, kg, L and W.
var componentColumns = []string{"id", "name", "group", "kind", "length", "width", "height", "mass", "source", "litres",
	"watts", "faces", "wall", "panel", "compartments", "why"}

// WriteComponentsJSON writes components so that nothing of them is lost.
func WriteComponentsJSON(components []fitout.Component) ([]byte, error) {
	return json.MarshalIndent(components, "", " ")
}

// WriteComponentsCSV writes components as a table that ReadComponents reads back without a loss: the usual columns, and
// behind them one for each further field in which some component differs from what its usual columns say, headed by
// the field's name in the document.
func WriteComponentsCSV(components []fitout.Component) ([]byte, error) {
	usual := make([][]string, len(components))
	further := make([]map[string]string, len(components))
	names := map[string]bool{}
	for k := range components {
		c := &components[k]
		i, m, litres := c.Item, c.Item.Module, ""
		if m == nil {
			m = &fitout.Module{}
		}
		if i.Presence.Level != nil {
			litres = exactly(i.Presence.Level.Max)
		}
		cells := make([]string, len(m.Cells))
		for k, cell := range m.Cells {
			cells[k] = cell.Name
		}
		usual[k] = []string{c.ID, plainText(i.Name), plainText(i.Group), string(m.Kind), exactly(i.Size.Length),
			exactly(i.Size.Width), exactly(i.Size.Height),
			exactly(i.Mass), string(i.Source), litres, exactly(m.Watts), string(m.Faces), string(m.Wall), exactly(m.Panel),
			plainText(strings.Join(cells, " | ")), plainText(c.Why)}
		read, err := componentOf(func(head string) string {
			return fromPlain(usual[k][slices.Index(componentColumns, head)])
		})
		if err != nil {
			return nil, err
		}
		read.Own = c.Own
		if further[k], err = differing(&read, c); err != nil {
			return nil, err
		}
		for name := range further[k] {
			names[name] = true
		}
	}
	heads := slices.Sorted(maps.Keys(names))
	rows := [][]string{slices.Concat(componentColumns, heads)}
	for k := range usual {
		row := usual[k]
		for _, head := range heads {
			row = append(row, plainText(further[k][head]))
		}
		rows = append(rows, row)
	}
	var out bytes.Buffer
	err := csv.NewWriter(&out).WriteAll(rows)
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
	var further []string
	for i, head := range rows[0] {
		head = strings.TrimSpace(strings.TrimPrefix(head, "\ufeff"))
		if strings.HasPrefix(head, "item.") || strings.HasPrefix(head, "device.") {
			further = append(further, head)
		} else {
			head = strings.ToLower(head)
		}
		at[head] = i
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
		cell := func(column string) string {
			if i, ok := at[column]; ok && i < len(cells) {
				return fromPlain(strings.TrimSpace(cells[i]))
			}
			return ""
		}
		c, err := componentOf(cell)
		if err == nil {
			told := map[string]string{}
			for _, head := range further {
				told[head] = cell(head)
			}
			if err = putFurther(&c, told); err != nil && reader.Comma == ';' {
				for head, text := range told {
					if decimalComma.MatchString(text) {
						told[head] = strings.Replace(text, ",", ".", 1)
					}
				}
				err = putFurther(&c, told)
			}
		}
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
		if plainNumber.MatchString(text) {
			v, _ := strconv.ParseFloat(text, 64)
			return v
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
