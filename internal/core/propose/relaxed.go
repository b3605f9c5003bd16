package propose

import (
	"math"
	"slices"
)

// relaxed is what is left of a problem, with shares of options in the place of choices: the shares of a part's options sum
// to one, and those of a clique, options of which each two exclude each other, to at most one. No choice is better than
// the best of the shares (the linear relaxation of a set packing; Padberg 1973).
type relaxed struct {
	choices []choice // what the first variables are the shares of
	of      [][]int  // of each part and option its variable; -1 where it is out
	worth   []float64
	high    []float64
	rows    []row // those of the parts come first
}

// relax is the relaxed form with the options that are in the domains.
func (st *state) relax(domains []bitset) *relaxed {
	options := st.p.Options
	r := &relaxed{of: make([][]int, len(options))}
	for k := range options {
		own := row{low: 1, high: 1}
		r.of[k] = make([]int, len(options[k]))
		for a := range options[k] {
			r.of[k][a] = -1
			if domains[k].has(a) {
				r.choices = append(r.choices, choice{k, a})
				r.of[k][a] = r.variable(options[k][a].Value, 1)
				own.add(r.of[k][a], 1)
			}
		}
		r.rows = append(r.rows, own)
	}
	for _, clique := range st.geometry.cliques {
		r.clique(st.geometry, clique)
	}
	for _, t := range st.geometry.together {
		// Both of them is one more than either.
		own := row{low: math.Inf(-1), high: 1}
		for _, b := range t.with {
			own.add(r.of[t.part][b], 1)
		}
		if one := r.of[t.one.part][t.one.option]; one >= 0 && len(own.at) > 0 {
			own.add(one, 1)
			own.add(r.variable(t.cost, 1), -1)
			r.rows = append(r.rows, own)
		}
	}
	for _, need := range st.geometry.asked {
		r.need(need)
	}
	if st.p.SideWeight > 0 {
		r.sides(st.p)
	}
	for _, e := range st.earlier {
		same := row{low: math.Inf(-1), high: float64(len(options) - st.apart)}
		for v, c := range r.choices {
			if st.same(c.part, c.option, e) {
				same.add(v, 1)
			}
		}
		r.rows = append(r.rows, same)
	}
	return r
}

// sides has what the sides differ by, in moments of the largest that there is.
func (r *relaxed) sides(p *Problem) {
	unit, most := 1.0, math.Abs(p.Base)
	for _, options := range p.Options {
		own := 0.0
		for _, o := range options {
			own = max(own, math.Abs(o.Side))
		}
		unit, most = max(unit, own), most+own
	}
	differs := r.variable(-p.SideWeight*unit, most/unit)
	right, left := row{low: math.Inf(-1), high: -p.Base / unit}, row{low: -p.Base / unit, high: math.Inf(1)}
	for v, c := range r.choices {
		side := p.Options[c.part][c.option].Side / unit
		right.add(v, side)
		left.add(v, side)
	}
	right.add(differs, -1)
	left.add(differs, 1)
	r.rows = append(r.rows, right, left)
}

// need has that an option is only there with what it needs; false where it is out. What gives more than is needed counts
// as just enough.
func (r *relaxed) need(n *Need) bool {
	own := r.of[n.Part][n.Option]
	if own < 0 {
		return false
	}
	enough := row{low: 0, high: math.Inf(1)}
	enough.add(own, -1)
	for v, c := range r.choices {
		if c.part == n.Part {
			continue
		}
		if gives := n.Gives(c.part, c.option); gives > 0 {
			enough.add(v, min(1, gives/n.Least))
		}
	}
	r.rows = append(r.rows, enough)
	return true
}

func (r *relaxed) variable(worth, high float64) int {
	r.worth, r.high = append(r.worth, worth), append(r.high, high)
	return len(r.worth) - 1
}

// clique adds the row of a clique, where those of the parts do not say as much.
func (r *relaxed) clique(g *geometry, clique []int) {
	own := row{low: math.Inf(-1), high: 1}
	for _, u := range clique {
		own.add(r.of[g.all[u].part][g.all[u].option], 1)
	}
	other := func(v int) bool { return r.choices[v].part != r.choices[own.at[0]].part }
	if slices.ContainsFunc(own.at, other) {
		r.rows = append(r.rows, own)
	}
}

// told is what no solution is better than, from where a program stands: a constant, and what each option adds to it. It
// holds whatever the program says that its rows are worth (weak duality), so rounding in the tableau makes nothing wrong.
func (r *relaxed) told(p *linear, gains [][]float64) (constant float64) {
	n, left := len(r.worth), slices.Clone(r.worth)
	for j, v := range p.free {
		if v < n+len(r.of) { // what a part's row is worth stays in the best of its options
			continue
		}
		w, by := &r.rows[v-n], p.worth[j]
		end := w.high
		if by < 0 {
			end = w.low
		}
		if by == 0 || math.IsInf(end, 0) {
			continue
		}
		constant += by * end
		for k, at := range w.at {
			left[at] -= by * w.times[k]
		}
	}
	for v := len(r.choices); v < n; v++ {
		constant += max(0, left[v]) * r.high[v]
	}
	for k := range r.of {
		for a, v := range r.of[k] {
			gains[k][a] = never
			if v >= 0 {
				gains[k][a] = left[v]
			}
		}
	}
	return constant
}

// standing is a relaxed form and where its program stands at a depth of the search.
type standing struct {
	*relaxed
	program *linear
}

// How often what the shares break is added before the first choice, how many figures of a tableau are gone
// through in the time of a node, how many at most at a time, and the part of the options at which the form is made anew.
const (
	rounds    = 8
	cells     = 6000
	mostCells = 300_000_000
	shrunk    = 0.6
)

// bounded bounds a branch by its relaxed form and leaves the options that cannot be better than what was found. told is
// what the choices are worth in that form; false where nothing of the branch is better.
func (st *state) bounded(depth int) (told float64, ok bool) {
	own := st.stand(depth)
	for v, c := range own.choices {
		own.program.high[v] = 0
		if st.domains[depth][c.part].has(c.option) {
			own.program.high[v] = 1
		}
	}
	for round := 0; ; round++ {
		if st.ctx.Err() != nil {
			st.stopped = true
			return 0, false
		}
		was := own.program.pivots
		any := own.program.solve(mostCells/own.program.size(), st.best.Score)
		st.nodes += (own.program.pivots - was) * own.program.size() / cells
		if !any {
			return 0, false
		}
		told := own.told(own.program, st.gains[depth])
		for k, a := range st.choice {
			if a >= 0 {
				told += st.gains[depth][k][a]
			}
		}
		most, open := st.prune(depth, told)
		if depth == 0 {
			st.root = min(st.root, most)
		}
		if !open {
			return 0, false
		}
		if depth > 0 || round == rounds || !st.tighten(own) {
			return told, true
		}
	}
}

// stand goes on from the depth above, or makes the relaxed form anew where many options are out.
func (st *state) stand(depth int) *standing {
	own, left := &st.stands[depth], 0
	for _, d := range st.domains[depth] {
		left += d.count()
	}
	if depth == 0 || float64(left) < shrunk*float64(len(st.stands[depth-1].choices)) {
		own.relaxed = st.relax(st.domains[depth])
		own.program = newLinear(own.worth, own.high, own.rows)
		return own
	}
	above := &st.stands[depth-1]
	if own.relaxed != above.relaxed {
		*own = standing{above.relaxed, sized(len(above.program.table), len(above.program.free))}
	}
	own.program.take(above.program)
	return own
}

// tighten adds the cliques and needs that the shares break; false where there are none.
func (st *state) tighten(own *standing) bool {
	g, had := st.geometry, len(own.rows)
	shares := make([]float64, len(g.all))
	of := own.program.shares(len(own.choices))
	for u, c := range g.all {
		if v := own.of[c.part][c.option]; v >= 0 {
			shares[u] = of[v]
		}
	}
	for _, clique := range g.broken(shares) {
		g.cliques = append(g.cliques, clique)
		own.clique(g, clique)
	}
	for n := range st.p.Needs {
		need := &st.p.Needs[n]
		v := own.of[need.Part][need.Option]
		if v < 0 || of[v] < breach || slices.Contains(g.asked, need) {
			continue
		}
		given := 0.0
		for w, c := range own.choices {
			if of[w] > 0 && c.part != need.Part {
				given += of[w] * min(1, need.Gives(c.part, c.option)/need.Least)
			}
		}
		if given < of[v]-breach && own.need(need) {
			g.asked = append(g.asked, need)
		}
	}
	for _, r := range own.rows[had:] {
		own.program.add(r)
	}
	return len(own.rows) > had
}
