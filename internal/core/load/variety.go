package load

import (
	"cmp"
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
)

// variety is what may vary in a plan, and what hangs on what. An item is aboard
// exactly when some switches are on and some choices have a certain member: its own,
// and those of every module that it lies in. The greatest sum over all settings is
// found by settling one variable after another, each for every setting of those that
// it still shares an item or a requirement with, so that nothing is tried twice and
// nothing is missed: exact, and as quick as the arrangement is loosely knit.
type variety struct {
	variables []variable
	terms     []term
	order     []int // in which variables are settled
	cut       []int // variables that are knit too closely: they are tried out instead
}

// variable is a switch, with the values off and on, or a choice, with its members
// and, where it is allowed, none first.
type variable struct {
	id     string
	choice bool
	values []string
}

// term are the items that are aboard under the same settings.
type term struct {
	when  []setting
	items []int
}

// setting is a variable at one of its values.
type setting struct{ variable, value int }

// on is the value of a switch that is on.
const on = 1

func newVariety(p *Plan) variety {
	v := variety{}
	for i := range p.variant.Switches {
		v.variables = append(v.variables, variable{p.variant.Switches[i].ID, false, []string{"", "on"}})
	}
	for i := range p.variant.Choices {
		c := &p.variant.Choices[i]
		values := []string{}
		if c.None || len(c.Members) == 0 {
			values = append(values, "")
		}
		for _, m := range c.Members {
			values = append(values, m.ID)
		}
		v.variables = append(v.variables, variable{c.ID, true, values})
	}
	v.terms = v.termsOf(p)
	v.order, v.cut = v.elimination(p.variant.Switches)
	return v
}

func (v *variety) find(id string, choice bool) int {
	return slices.IndexFunc(v.variables, func(x variable) bool { return x.id == id && x.choice == choice })
}

// named is the setting that a switch or a member of a choice names.
func (v *variety) named(sw, choice, member string) (setting, bool) {
	if sw != "" {
		k := v.find(sw, false)
		return setting{k, on}, k >= 0
	}
	k := v.find(choice, true)
	if k < 0 {
		return setting{}, false
	}
	value := slices.Index(v.variables[k].values, member)
	return setting{k, value}, value >= 0
}

// termsOf gathers the items by the settings under which they are aboard. What comes
// later, or hangs on two members of one choice at once, is never aboard.
func (v *variety) termsOf(p *Plan) []term {
	byKey := map[string]int{}
	var terms []term
	for i := range p.variant.Items {
		if !p.now(i) {
			continue
		}
		when, possible := v.conditions(p, i)
		if !possible {
			continue
		}
		key := fmt.Sprint(when)
		k, known := byKey[key]
		if !known {
			k = len(terms)
			byKey[key] = k
			terms = append(terms, term{when: when})
		}
		terms[k].items = append(terms[k].items, i)
	}
	return terms
}

// conditions are the settings under which an item is aboard, in order.
func (v *variety) conditions(p *Plan, i int) (when []setting, possible bool) {
	possible = p.within(i, func(k int) bool {
		presence := &p.variant.Items[k].Presence
		var s setting
		known := true
		switch presence.Kind {
		case fitout.BySwitch:
			s, known = v.named(presence.Switch, "", "")
		case fitout.ByChoice:
			s, known = v.named("", presence.Choice, presence.Member)
		default:
			return true
		}
		same := slices.IndexFunc(when, func(w setting) bool { return w.variable == s.variable })
		if !known || same >= 0 {
			return known && when[same].value == s.value
		}
		when = append(when, s)
		return true
	})
	slices.SortFunc(when, func(a, b setting) int { return cmp.Compare(a.variable, b.variable) })
	return when, possible
}

// mostEntries is how large a table of settings may become, and mostTried how many
// settings of the cut are tried before it is climbed instead.
const (
	mostEntries = 1 << 14
	mostTried   = 1 << 10
)

// elimination is the order in which variables are settled: always the one that is
// knit to the fewest settings of others. Those whose table would become too large
// are cut out.
func (v *variety) elimination(switches []fitout.Switch) (order, cut []int) {
	knit := make([]map[int]bool, len(v.variables))
	for i := range knit {
		knit[i] = map[int]bool{}
	}
	join := func(a, b int) {
		if a != b {
			knit[a][b], knit[b][a] = true, true
		}
	}
	for _, t := range v.terms {
		for _, a := range t.when {
			for _, b := range t.when {
				join(a.variable, b.variable)
			}
		}
	}
	for i := range switches {
		if r := switches[i].Requires; r != nil {
			if s, known := v.named(r.Switch, r.Choice, r.Member); known {
				join(v.find(switches[i].ID, false), s.variable)
			}
		}
	}
	left := make([]int, len(v.variables))
	for i := range left {
		left[i] = i
	}
	entries := func(i int) int {
		n := len(v.variables[i].values)
		for k := range knit[i] {
			n = min(n*len(v.variables[k].values), mostEntries+1)
		}
		return n
	}
	sizes := make([]int, len(v.variables))
	for i := range sizes {
		sizes[i] = entries(i)
	}
	for len(left) > 0 {
		next := slices.MinFunc(left, func(a, b int) int { return cmp.Or(cmp.Compare(sizes[a], sizes[b]), cmp.Compare(a, b)) })
		tooLarge := sizes[next] > mostEntries
		if tooLarge { // the one that is knit to most is tried out instead
			next = slices.MaxFunc(left, func(a, b int) int {
				return cmp.Or(cmp.Compare(len(knit[a]), len(knit[b])), cmp.Compare(b, a))
			})
			cut = append(cut, next)
		} else {
			order = append(order, next)
		}
		for a := range knit[next] {
			for b := range knit[next] {
				if !tooLarge {
					join(a, b)
				}
			}
			delete(knit[a], next)
		}
		for a := range knit[next] {
			sizes[a] = entries(a)
		}
		left = slices.DeleteFunc(left, func(i int) bool { return i == next })
	}
	return order, cut
}

// table is a function of some variables, in the order of their scope.
type table struct {
	scope  []int
	values []float64
}

// at is where a table has a setting of all variables.
func (v *variety) at(scope, set []int) int {
	k := 0
	for _, i := range scope {
		k = k*len(v.variables[i].values) + set[i]
	}
	return k
}

// settled is what was found best of a variable, for each setting of a scope.
type settled struct {
	variable int
	scope    []int
	best     []int
}

// best is the greatest sum of the terms that are aboard, and the setting that has
// it: the value of each variable by its index. worth is what each term brings;
// forbidden tells of a switch that is on which setting it requires.
func (v *variety) best(worth []float64, requires map[int]setting) (float64, []int) {
	set := make([]int, len(v.variables))
	combinations := 1
	for _, i := range v.cut {
		combinations = min(combinations*len(v.variables[i].values), mostTried+1)
	}
	if combinations > mostTried {
		return v.climb(worth, requires, set)
	}
	var most float64
	var best []int
	v.each(v.cut, set, func() {
		value, found := v.settle(worth, requires, set)
		if best == nil || value > most {
			most, best = value, found
		}
	})
	return most, best
}

// each visits every setting of some variables.
func (v *variety) each(of, set []int, visit func()) {
	if len(of) == 0 {
		visit()
		return
	}
	for value := range v.variables[of[0]].values {
		set[of[0]] = value
		v.each(of[1:], set, visit)
	}
}

// climb changes one variable of the cut after another as long as that is better. It
// may miss the very best; it takes hundreds of switches that share modules crosswise
// to come here.
func (v *variety) climb(worth []float64, requires map[int]setting, set []int) (float64, []int) {
	most, best := v.settle(worth, requires, set)
	for again := true; again; {
		again = false
		for _, i := range v.cut {
			kept := set[i]
			for value := range v.variables[i].values {
				set[i] = value
				if now, found := v.settle(worth, requires, set); now > most {
					most, best, kept, again = now, found, value, true
				}
			}
			set[i] = kept
		}
	}
	return most, best
}

// never is what a setting is worth that lacks what it requires.
const never = -1e18

// settle finds the best setting of all variables that are not cut, with those of the
// cut as they are set.
func (v *variety) settle(worth []float64, requires map[int]setting, set []int) (float64, []int) {
	set = slices.Clone(set)
	tables := v.tables(worth, requires, set)
	var done []settled
	for _, i := range v.order {
		scope, with := []int{}, []table{}
		tables = slices.DeleteFunc(tables, func(t table) bool {
			if !slices.Contains(t.scope, i) {
				return false
			}
			with = append(with, t)
			for _, k := range t.scope {
				if k != i && !slices.Contains(scope, k) {
					scope = append(scope, k)
				}
			}
			return true
		})
		slices.Sort(scope)
		t, found := table{scope, nil}, settled{i, scope, nil}
		v.each(scope, set, func() {
			most, best := 0.0, -1
			for value := range v.variables[i].values {
				set[i] = value
				total := 0.0
				for k := range with {
					total += with[k].values[v.at(with[k].scope, set)]
				}
				if best < 0 || total > most {
					most, best = total, value
				}
			}
			t.values, found.best = append(t.values, most), append(found.best, best)
		})
		done = append(done, found)
		tables = append(tables, t)
	}
	sum := 0.0
	for _, t := range tables {
		sum += t.values[0]
	}
	for _, found := range slices.Backward(done) {
		set[found.variable] = found.best[v.at(found.scope, set)]
	}
	return sum, set
}

// tables are what the terms bring and what the requirements forbid, as functions of
// the variables that are not cut.
func (v *variety) tables(worth []float64, requires map[int]setting, set []int) []table {
	var all []table
	add := func(of []int, value func() float64) {
		t := table{scope: slices.DeleteFunc(of, func(i int) bool { return slices.Contains(v.cut, i) })}
		v.each(t.scope, set, func() { t.values = append(t.values, value()) })
		all = append(all, t)
	}
	for k, t := range v.terms {
		of := make([]int, len(t.when))
		for n := range t.when {
			of[n] = t.when[n].variable
		}
		add(of, func() float64 {
			if slices.ContainsFunc(t.when, func(s setting) bool { return set[s.variable] != s.value }) {
				return 0
			}
			return worth[k]
		})
	}
	for i := range v.variables {
		needs, hangs := requires[i]
		if !hangs {
			continue
		}
		of := []int{i, needs.variable}
		slices.Sort(of)
		add(of, func() float64 {
			if set[i] == on && set[needs.variable] != needs.value {
				return never
			}
			return 0
		})
	}
	return all
}
