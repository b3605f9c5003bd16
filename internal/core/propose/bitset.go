package propose

import (
	"iter"
	"math/bits"
)

// bitset is a set of options.
type bitset []uint64

func newBitset(n int) bitset { return make(bitset, (n+63)/64) }

func (s bitset) set(i int)      { s[i/64] |= 1 << (i % 64) }
func (s bitset) clear(i int)    { s[i/64] &^= 1 << (i % 64) }
func (s bitset) has(i int) bool { return s[i/64]&(1<<(i%64)) != 0 }

func (s bitset) fill(n int) {
	for i := range n {
		s.set(i)
	}
}

func (s bitset) zero() {
	for i := range s {
		s[i] = 0
	}
}

// and makes a set of what two have in common; false when that is nothing.
func (s bitset) and(a, b bitset) bool {
	any := uint64(0)
	for i := range s {
		s[i] = a[i] & b[i]
		any |= s[i]
	}
	return any != 0
}

func (s bitset) count() int {
	n := 0
	for _, w := range s {
		n += bits.OnesCount64(w)
	}
	return n
}

// each gives all options of the set, from the first.
func (s bitset) each() iter.Seq[int] {
	return func(yield func(int) bool) {
		for i, word := range s {
			for ; word != 0; word &= word - 1 {
				if !yield(64*i + bits.TrailingZeros64(word)) {
					return
				}
			}
		}
	}
}
