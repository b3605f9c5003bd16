package words

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/quantity"
)

// Thousands stand apart, as in every other figure; a currency without cents shows none, and what rounds to nothing
// has no sign.
func TestMoneyIsReadAtAGlance(t *testing.T) {
	for _, c := range []struct {
		cents, decimals int
		want            string
	}{
		{29120, 2, "291.20"}, {5, 2, "0.05"}, {491921, 2, "4\u202f919.21"}, {123456789, 2, "1\u202f234\u202f567.89"},
		{-100000, 2, "−1\u202f000.00"}, {99999, 0, "1\u202f000"}, {99940, 1, "999.4"}, {-40, 0, "0"}, {0, 2, "0.00"},
	} {
		assert.Equal(t, c.want, Money(c.cents, c.decimals), "%d cents", c.cents)
	}
}

func TestAnAreaIsInSquareFeetWhereLengthsAreInInches(t *testing.T) {
	assert.Equal(t, "2.50 m²", Speaker{Units: quantity.Metric}.Area(2.5))
	assert.Equal(t, "26.9 ft²", Speaker{Units: quantity.US}.Area(2.5), "2.5 ÷ 0.09290304")
}
