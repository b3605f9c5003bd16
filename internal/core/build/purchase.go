package build

import "zaino/internal/core/fitout"

// Purchase is one line of the purchase list: what the build takes, and what of it is not in stock.
type Purchase struct {
	What    fitout.What   `json:"what" doc:"kind of hardware; empty for sheets, bars and whole parts"`
	Name    string        `json:"name"`
	Needed  float64       `json:"needed"`
	Unit    string        `json:"unit" doc:"that it is counted in, in the number that fits"`
	Have    float64       `json:"have" doc:"in stock, of what is needed"`
	Buy     int           `json:"buy"`
	Of      string        `json:"of" doc:"what is bought: sheets, bars, packs or whole parts, in the number that fits"`
	Sum     int           `json:"sum" doc:"of what the build takes, in cents; 0: no price is known"`
	Offcut  bool          `json:"offcut" doc:"it was kept and costs nothing"`
	Modules []string      `json:"modules" doc:"ids of the parts that it is for; empty: the whole build"`
	Supply  fitout.Supply `json:"supply"`
}

// numbered puts a word that has a plural in s into the number that fits a count.
func numbered(count float64, word string) string {
	if count == 1 {
		return word
	}
	return word + "s"
}

// singular are the words that needs are counted in, where they have a plural.
var singular = map[string]string{"pieces": "piece", "pairs": "pair"}

// purchases are the purchase list: sheets, bars, hardware, whole parts.
func (l *Look) purchases() []Purchase {
	b := &l.Job.Build
	all := []Purchase{}
	for k := range l.Groups {
		g := &l.Groups[k]
		for _, kind := range l.kinds(g) {
			line := Purchase{Name: kind.Name, Needed: float64(kind.Used), Unit: numbered(float64(kind.Used), "sheet"),
				Have: float64(
					kind.Used - kind.Buy,
				), Buy: kind.Buy, Of: numbered(float64(kind.Buy), "sheet"), Sum: kind.Sum,
				Modules: l.modulesOf(g.Pieces)}
			for i := range b.Sheets {
				if b.Sheets[i].ID == kind.Sheet {
					line.Supply, line.Offcut = b.Sheets[i].Supply, b.Sheets[i].Offcut
				}
			}
			all = append(all, line)
		}
	}
	for _, g := range l.Bars {
		n := float64(len(g.Bars))
		line := Purchase{Name: g.Name, Needed: n, Unit: numbered(n, "bar"), Have: n - float64(g.Buy), Buy: g.Buy,
			Of: numbered(float64(g.Buy), "bar"), Sum: g.Sum, Modules: []string{}}
		for i := range b.Bars {
			if b.Bars[i].ID == g.Bar {
				line.Supply = b.Bars[i].Supply
			}
		}
		for i := range l.List.Made {
			if m := &l.List.Made[i]; len(m.Rods) > 0 && m.How == fitout.MadeHere {
				line.Modules = append(line.Modules, m.ID)
			}
		}
		all = append(all, line)
	}
	for _, n := range l.Hardware {
		line := Purchase{
			What:    n.What,
			Name:    n.Name,
			Needed:  n.Count,
			Unit:    n.Unit,
			Have:    min(n.Have, n.Count),
			Buy:     n.Packs,
			Of:      numbered(float64(n.Packs), "pack"),
			Sum:     n.Sum,
			Modules: n.Modules,
		}
		if word, known := singular[n.Unit]; known {
			line.Unit = numbered(n.Count, word)
		}
		for i := range b.Goods {
			if b.Goods[i].ID == n.Goods {
				line.Supply = b.Goods[i].Supply
			}
		}
		all = append(all, line)
	}
	for i := range l.List.Made {
		m := &l.List.Made[i]
		if m.How != fitout.MadeBought && m.How != fitout.MadeOut {
			continue
		}
		way := WayOf(m.item)
		all = append(
			all,
			Purchase{Name: m.Name, Needed: 1, Unit: "piece", Buy: 1, Of: "whole part", Sum: wholePrice(m),
				Modules: []string{m.ID}, Supply: way.Supply},
		)
	}
	return all
}

// modulesOf are the parts that some panels belong to, each once.
func (l *Look) modulesOf(panels []int) []string {
	var all []string
	for _, k := range panels {
		if id := l.List.Panels[k].Module; len(all) == 0 || all[len(all)-1] != id {
			all = append(all, id)
		}
	}
	return all
}

// wholePrice is what is paid for a part that is not made here, or beside what it takes to make it, in cents.
func wholePrice(m *Made) int {
	way := WayOf(m.item)
	if way.Cost == 0 && (m.How == fitout.MadeBought || m.How == fitout.MadeOut) {
		return m.item.Price
	}
	return way.Cost
}
