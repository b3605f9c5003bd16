package propose

import "math"

// row is one condition of a linear program: some of its variables, each times a figure, sum to something between two
// ends.
type row struct {
	at        []int
	times     []float64
	low, high float64
}

// add puts a variable into a row; one that is out, below 0, is left out.
func (w *row) add(v int, times float64) {
	if v >= 0 {
		w.at, w.times = append(w.at, v), append(w.times, times)
	}
}

// linear is a linear program: the sum of what its variables are worth is as large as it can be, each variable between 0
// and its high end, each row between its own ends. It is solved by the dual simplex method with bounds on a dense tableau
// (Lemke 1954; Wagner 1958). After a variable has lost room, or a row was added, it goes on from where it stood.
//
// The sum of a row is a variable too, behind the others. As many variables as there are rows are told by those that are
// free, and each free one stands at one of its ends.
type linear struct {
	low, high []float64   // of each variable
	told      []int       // the variable of each line
	free      []int       // the variable of each column
	top       []bool      // of each column: it stands at its high end
	table     [][]float64 // of each line, what it is of each column
	worth     []float64   // of each column, what the sum gains by it
	value     []float64   // of each line
	pivots    int         // so far
	idle      int         // steps since the sum last lost something
}

// Figures below these are taken for nothing: of a tableau, of how far a value is out of its ends, of what a step loses, and
// of how much a sum is off for the size of what is summed.
const (
	noFigure = 1e-9
	noBreach = 1e-7
	noLoss   = 1e-12
	rounding = 1e-9
)

// widest is more than any sum of a row moves.
const widest = 1e6

// mostIdle is after how many steps that lost nothing the program goes by the order of its variables.
const mostIdle = 200

// newLinear is a program before its first step: every variable stands at the end that is worth more.
func newLinear(worth, high []float64, rows []row) *linear {
	p := sized(len(rows), len(worth))
	copy(p.high, high)
	copy(p.worth, worth)
	for j := range worth {
		p.free[j], p.top[j] = j, worth[j] > 0
	}
	for i, r := range rows {
		v := len(worth) + i
		p.low[v], p.high[v], p.told[i] = r.low, r.high, v
		for k, at := range r.at {
			p.table[i][at] += r.times[k]
		}
	}
	return p
}

func sized(lines, columns int) *linear {
	all := lines + columns
	p := &linear{
		low: make([]float64, all), high: make([]float64, all), told: make([]int, lines), free: make([]int, columns),
		top: make([]bool, columns), table: make([][]float64, lines), worth: make([]float64, columns),
		value: make([]float64, lines),
	}
	for i := range p.table {
		p.table[i] = make([]float64, columns)
	}
	return p
}

// size is how many figures the tableau has.
func (p *linear) size() int { return len(p.table) * len(p.free) }

// take makes the program stand as another of the same size does.
func (p *linear) take(o *linear) {
	copy(p.low, o.low)
	copy(p.high, o.high)
	copy(p.told, o.told)
	copy(p.free, o.free)
	copy(p.top, o.top)
	copy(p.worth, o.worth)
	copy(p.value, o.value)
	for i := range o.table {
		copy(p.table[i], o.table[i])
	}
}

// add puts in one more row.
func (p *linear) add(r row) {
	times := make([]float64, len(p.low))
	for k, at := range r.at {
		times[at] += r.times[k]
	}
	line := make([]float64, len(p.free))
	for j, v := range p.free {
		line[j] = times[v]
	}
	for i, v := range p.told {
		if times[v] == 0 {
			continue
		}
		for j, told := range p.table[i] {
			line[j] += times[v] * told
		}
	}
	p.told = append(p.told, len(p.low))
	p.low, p.high = append(p.low, r.low), append(p.high, r.high)
	p.table, p.value = append(p.table, line), append(p.value, 0)
}

// solve steps until every line is between its ends, at most so often, or until the sum cannot be more than enough. false
// says that no values at all keep every row.
func (p *linear) solve(most int, enough float64) bool {
	p.settle()
	for range most {
		if p.sum() <= enough {
			return true
		}
		line := p.worst()
		if line < 0 {
			return true
		}
		if !p.step(line) {
			return !p.breaks(line)
		}
	}
	return true
}

// worst is the line that is furthest out of its ends, -1 for none. After many steps that lost nothing it is the one of the
// first variable, so that no such steps go round for ever (Bland 1977).
func (p *linear) worst() int {
	line, out := -1, noBreach
	for i, v := range p.value {
		b := p.told[i]
		by := max(p.low[b]-v, v-p.high[b])
		switch {
		case by <= noBreach:
		case p.idle > mostIdle:
			if line < 0 || b < p.told[line] {
				line = i
			}
		case by > out:
			line, out = i, by
		}
	}
	return line
}

// settle works out the values of all lines from where the columns stand.
func (p *linear) settle() {
	for i, line := range p.table {
		p.value[i] = 0
		for j, by := range line {
			if by != 0 {
				p.value[i] += by * p.end(j)
			}
		}
	}
}

// sum is what the columns are worth where they stand: no solution is better.
func (p *linear) sum() float64 {
	sum := 0.0
	for j, worth := range p.worth {
		if worth != 0 {
			sum += worth * p.end(j)
		}
	}
	return sum
}

// end is where the variable of a column stands.
func (p *linear) end(column int) float64 {
	if p.top[column] {
		return p.high[p.free[column]]
	}
	return p.low[p.free[column]]
}

// step takes a line to the end that it is out of; the column that loses least by it moves. false when none can.
func (p *linear) step(line int) bool {
	b := p.told[line]
	up := p.value[line] < p.low[b]
	column, least, size := -1, math.Inf(1), 0.0
	for j, by := range p.table[line] {
		if v := p.free[j]; math.Abs(by) < noFigure || p.high[v] == p.low[v] || (by > 0) == up == p.top[j] {
			continue
		}
		ratio := math.Abs(p.worth[j]) / math.Abs(by)
		better := math.Abs(by) > size
		if p.idle > mostIdle && column >= 0 {
			better = p.free[j] < p.free[column]
		}
		if ratio < least-noLoss || ratio < least+noLoss && better {
			column, least, size = j, ratio, math.Abs(by)
		}
	}
	if column < 0 {
		return false
	}
	if p.idle++; least > noLoss {
		p.idle = 0
	}
	goal := p.low[b]
	if !up {
		goal = p.high[b]
	}
	p.pivot(line, column, (goal-p.value[line])/p.table[line][column])
	p.top[column] = !up
	return true
}

// pivot changes a line for a column that has moved by so much.
func (p *linear) pivot(line, column int, by float64) {
	p.pivots++
	now := p.end(column) + by
	for i := range p.table {
		p.value[i] += p.table[i][column] * by
	}
	own := p.table[line]
	inverse := 1 / own[column]
	for j := range own {
		own[j] *= -inverse
	}
	own[column] = inverse
	replace := func(other []float64) {
		times := other[column]
		if times == 0 {
			return
		}
		other[column] = 0
		for j, v := range own {
			other[j] += times * v
		}
	}
	for i, other := range p.table {
		if i != line {
			replace(other)
		}
	}
	replace(p.worth)
	p.told[line], p.free[column] = p.free[column], p.told[line]
	p.value[line] = now
}

// breaks tells whether a line that no column can move is out of its ends by more than rounding can make of it.
func (p *linear) breaks(line int) bool {
	b := p.told[line]
	out := max(p.low[b]-p.value[line], p.value[line]-p.high[b])
	for j, by := range p.table[line] {
		out -= rounding * math.Abs(by*p.end(j))
		if v := p.free[j]; by != 0 && math.Abs(by) < noFigure {
			out -= math.Abs(by) * min(p.high[v]-p.low[v], widest)
		}
	}
	return out > noBreach/2
}

// shares are the values of so many variables, from the first.
func (p *linear) shares(count int) []float64 {
	x := make([]float64, count)
	for j, v := range p.free {
		if v < count {
			x[v] = p.end(j)
		}
	}
	for i, v := range p.told {
		if v < count {
			x[v] = p.value[i]
		}
	}
	return x
}
