package propose

import (
	"math/rand/v2"
	"slices"
)

// improve moves single parts and pairs of parts of the best solution, as long as that makes it better, and for so long.
func (st *state) improve() {
	was := slices.Clone(st.choice)
	defer func() { copy(st.choice, was) }()
	choice, end := st.best.Choice, st.nodes+improveNodes
	for again := true; again && st.ctx.Err() == nil; {
		again = false
		for i := range choice {
			for a := range st.p.Options[i] {
				if st.nodes > end {
					return
				}
				if st.try(choice, i, a, -1, -1) {
					again = true
				}
				for k := i + 1; k < len(choice) && !again; k++ {
					for b := range st.p.Options[k] {
						if st.ok[i][a][k].has(b) && st.try(choice, i, a, k, b) {
							again = true
						}
					}
				}
			}
		}
	}
}

// How many nodes are looked at for something to begin with; how often some parts are chosen anew together then, how
// many, and how many nodes each such search looks at.
const (
	diveNodes   = 1000
	polishings  = 120
	polishParts = 7
	polishNodes = 1500

	improveNodes = 40 * holdNodes
)

// polish takes a few parts of the best solution out at a time and finds the best for them beside the others, before all
// of them are gone through: what it finds leaves little of that. Which parts those are does not depend on chance.
func (st *state) polish(constant float64, most int) {
	n, end := len(st.choice), st.nodes+most
	rng := rand.New(rand.NewPCG(uint64(n), 1))
	for range polishings {
		if st.ctx.Err() != nil || most > 0 && st.nodes >= end {
			return
		}
		st.start(rng.Perm(n)[:min(n, polishParts)])
		st.stopped, st.most = false, st.nodes+polishNodes
		was := st.best.Score
		if st.walk(0, 0, st.p.Base, constant); st.best.Score > was {
			st.improve()
		}
	}
}

// try makes a change if it goes with the rest and is better.
func (st *state) try(choice []int, i, a, k, b int) bool {
	oldA := choice[i]
	oldB := -1
	if k >= 0 {
		oldB = choice[k]
	}
	goes := func(part, option int) bool {
		for m, c := range choice {
			if m != part && !st.ok[part][option][m].has(c) {
				return false
			}
		}
		return true
	}
	choice[i] = a
	if k >= 0 {
		choice[k] = b
	}
	if goes(i, a) && (k < 0 || goes(k, b)) {
		copy(st.choice, choice)
		alike := st.tooAlike()
		if score := st.p.Score(choice); !alike && score > st.best.Score+1e-9 && st.holds(choice) {
			st.best.Score = score
			return true
		}
	}
	choice[i] = oldA
	if k >= 0 {
		choice[k] = oldB
	}
	return false
}
