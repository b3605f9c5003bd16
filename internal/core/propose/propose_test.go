package propose

import (
	"context"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// random is a problem with so many parts and options, of which about one pair of
// choices in so many excludes another.
func random(draw func(n int) int, parts, options, oneIn int) *Problem {
	p := &Problem{Options: make([][]Option, parts), SideWeight: 0.01, Base: float64(draw(2000) - 1000)}
	for i := range p.Options {
		p.Options[i] = make([]Option, 1+draw(options))
		for a := range p.Options[i] {
			p.Options[i][a] = Option{Value: float64(draw(1000)) / 10, Side: float64(draw(4000) - 2000)}
		}
	}
	seed := draw(1 << 20)
	mix := func(i, a, k, b int) int { return (seed ^ (i*7919 + a*104729 + k*1299709 + b*15485863)) & 0xffff }
	p.Excludes = func(i, a, k, b int) bool { return mix(i, a, k, b)%oneIn == 0 }
	p.Pair = func(i, a, k, b int) float64 { return -float64(mix(i, a, k, b)%5) * 2 }
	return p
}

// demanding is one in which some options stand on others, and some solutions do not hold for a reason of their own.
func demanding(draw func(n int) int, parts, options, oneIn int) *Problem {
	p := random(draw, parts, options, oneIn)
	seed := draw(1 << 20)
	for i := range p.Options {
		for a := range p.Options[i] {
			if draw(4) == 0 {
				p.Needs = append(p.Needs, Need{Part: i, Option: a, Least: 3, Gives: func(k, b int) float64 {
					return float64(max(0, ((seed^(i*7919+a*104729+k*1299709+b*15485863))&0xffff)%7-2))
				}})
			}
		}
	}
	p.Holds = func(choice []int) bool {
		sum := seed
		for i, a := range choice {
			sum += (i + 1) * a
		}
		return sum%5 != 0
	}
	return p
}

// exhaustive tries every combination, written without anything of the search.
func exhaustive(p *Problem, earlier [][]int, apart int) (best float64, found bool) {
	n := len(p.Options)
	choice := make([]int, n)
	for {
		good := true
		for i := 0; i < n && good; i++ {
			for k := 0; k < i; k++ {
				if p.Excludes(k, choice[k], i, choice[i]) {
					good = false
				}
			}
		}
		for _, need := range p.Needs {
			given := 0.0
			for k, b := range choice {
				if k != need.Part {
					given += need.Gives(k, b)
				}
			}
			good = good && (choice[need.Part] != need.Option || given >= need.Least)
		}
		good = good && (p.Holds == nil || p.Holds(choice))
		for _, e := range earlier {
			differs := 0
			for i := range e {
				if e[i] != choice[i] {
					differs++
				}
			}
			good = good && differs >= apart
		}
		if good {
			sum, side := 0.0, p.Base
			for i, a := range choice {
				sum += p.Options[i][a].Value
				side += p.Options[i][a].Side
				for k := 0; k < i; k++ {
					sum += p.Pair(k, choice[k], i, a)
				}
			}
			if score := sum - p.SideWeight*math.Abs(side); !found || score > best {
				best, found = score, true
			}
		}
		at := 0
		for at < n {
			choice[at]++
			if choice[at] < len(p.Options[at]) {
				break
			}
			choice[at] = 0
			at++
		}
		if at == n {
			return best, found
		}
	}
}

// Up to five parts, the best arrangement is the one that trying all of them finds,
// and so is the best that differs from it in two places.
func TestTheBestIsWhatAnExhaustiveSearchFinds(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		draw := func(n int) int { return rapid.IntRange(0, n-1).Draw(t, "n") }
		p := demanding(draw, 1+draw(5), 7, 2+draw(4))
		s := NewSearch(p)
		want, any := exhaustive(p, nil, 0)
		got, found := s.Best(context.Background(), 0, nil, 0)
		if found != any || any && math.Abs(got.Score-want) > 1e-6 || any && !got.Exact {
			t.Fatalf("found %+v (%v), trying all finds %v (%v)", got, found, want, any)
		}
		if !any || len(p.Options) < 2 {
			return
		}
		earlier := [][]int{got.Choice}
		want, any = exhaustive(p, earlier, 2)
		second, found := s.Best(context.Background(), 0, earlier, 2)
		if found != any || any && math.Abs(second.Score-want) > 1e-6 {
			t.Fatalf("the second is %+v (%v), trying all finds %v (%v)", second, found, want, any)
		}
	})
}

// The search that is bounded by shares finds, from the worst solution there is, what trying all finds: neither a clique nor
// a need nor a step of the program leaves a better one out. So it does for what differs from that in two places.
func TestSharesLeaveNoBetterSolutionOut(t *testing.T) {
	searched := 0
	rapid.Check(t, func(t *rapid.T) {
		draw := func(n int) int { return rapid.IntRange(0, n-1).Draw(t, "n") }
		p := demanding(draw, 2+draw(4), 7, 2+draw(4))
		s := NewSearch(p)
		s.reduced = s.reduce()
		if s.geometry = s.survey(); s.geometry == nil {
			t.Fatal("a small problem has a geometry")
		}
		var earlier [][]int
		for range 2 {
			want, any := exhaustive(p, earlier, 2)
			st := s.begin(context.Background(), earlier, 2)
			st.stands = make([]standing, len(p.Options)+1)
			st.best, st.found = Result{Score: -1e9}, true
			st.start(nil)
			st.root = math.Inf(1)
			st.walk(0, 0, p.Base, 0)
			if found := st.best.Choice != nil; found != any || any && math.Abs(st.best.Score-want) > 1e-6 {
				t.Fatalf("found %+v (%v), trying all finds %v (%v)", st.best, found, want, any)
			}
			if !any {
				return
			}
			if st.root < want-1e-6 {
				t.Fatalf("no solution is better than %v, and one is worth %v", st.root, want)
			}
			searched++
			earlier = append(earlier, st.best.Choice)
		}
	})
	assert.Positive(t, searched)
}

// Fifty larger cases: what is found in a bounded search is a solution, its score
// is what it says, and the bound holds. How near it comes is reported.
func TestLargerCasesAgainstTheirBound(t *testing.T) {
	rng := rand.New(rand.NewPCG(7, 11))
	exact, share := 0, 0.0
	for range 50 {
		p := random(rng.IntN, 12, 60, 8)
		got, found := NewSearch(p).Best(context.Background(), 20000, nil, 0)
		require.True(t, found)
		assert.InDelta(t, p.Score(got.Choice), got.Score, 1e-6)
		for i, a := range got.Choice {
			for k := range i {
				assert.False(t, p.Excludes(k, got.Choice[k], i, a))
			}
		}
		assert.LessOrEqual(t, got.Score, got.Bound+1e-6)
		if got.Exact {
			exact++
		}
		share += got.Score / got.Bound
	}
	t.Logf(
		"of 50 cases with 12 parts and up to 60 places each, %d were proven best; on average the score is %.1f %% of "+
			"its bound",
		exact,
		100*share/50,
	)
}

// Who waits longer is never told something worse.
func TestMoreTimeNeverGivesAWorseAnswer(t *testing.T) {
	rng := rand.New(rand.NewPCG(5, 9))
	better := 0
	for range 12 {
		p := random(rng.IntN, 12, 40, 5)
		last := math.Inf(-1)
		for _, nodes := range []int{1000, 4000, 16000, 64000} {
			got, found := NewSearch(p).Best(context.Background(), nodes, nil, 0)
			if !found {
				require.True(t, math.IsInf(last, -1))
				continue
			}
			require.GreaterOrEqual(t, got.Score, last-1e-9)
			if got.Score > last+1e-9 && !math.IsInf(last, -1) {
				better++
			}
			last = got.Score
		}
	}
	assert.Positive(t, better, "time is worth something")
}

// The reduced form says the same of every solution: it is never below its score, and its bound is below the one that
// each part by itself gives.
func TestTheReducedFormBoundsEverySolution(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		draw := func(n int) int { return rapid.IntRange(0, n-1).Draw(t, "n") }
		p := random(draw, 2+draw(4), 6, 2+draw(4))
		s := NewSearch(p)
		r := s.reduce()
		st := &state{Search: s, choice: make([]int, len(p.Options))}
		for k := range st.choice {
			st.choice[k] = -1
		}
		choice := make([]int, len(p.Options))
		for i := range choice {
			choice[i] = draw(len(p.Options[i]))
		}
		if !s.goes(choice) {
			return
		}
		told := r.constant
		for i, a := range choice {
			told += r.alone[i][a]
			for k := range i {
				told += r.pairs[k][i][choice[k]][a]
			}
		}
		if score := p.Score(choice); told < score-1e-6 || r.bound() < told-1e-6 {
			t.Fatalf("worth %v, told %v, bound %v", score, told, r.bound())
		}
	})
}

func TestWhatCannotBeAndWhatIsCalledOff(t *testing.T) {
	p := &Problem{Options: [][]Option{{{}}, {{}}}, Excludes: func(_, _, _, _ int) bool { return true }}
	_, found := NewSearch(p).Best(context.Background(), 0, nil, 0)
	assert.False(t, found, "two things in the only place")

	rng := rand.New(rand.NewPCG(1, 2))
	ctx, cancel := context.WithCancel(context.Background())
	cancel()
	s := NewSearch(random(rng.IntN, 14, 60, 4))
	s.Best(ctx, 0, nil, 0)
	assert.LessOrEqual(t, s.Nodes(), everyNodes, "it stops when it is called off")

	p = random(rng.IntN, 12, 60, 8)
	known, found := NewSearch(p).Best(context.Background(), 2000, nil, 0)
	require.True(t, found)
	s = NewSearch(p)
	s.Seeds = [][]int{known.Choice}
	got, found := s.Best(ctx, 0, nil, 0)
	require.True(t, found)
	assert.False(t, got.Exact, "what nobody searched is not proven")
	assert.Greater(t, got.Bound, got.Score)
}

func BenchmarkTwelveParts(b *testing.B) {
	rng := rand.New(rand.NewPCG(3, 4))
	p := random(rng.IntN, 12, 100, 4)
	for b.Loop() {
		NewSearch(p).Best(context.Background(), 100000, nil, 0)
	}
}
