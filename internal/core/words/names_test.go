package words_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/words"
)

func TestNamesAreWholeWords(t *testing.T) {
	assert.True(t, words.Names("Stove and Gas bottle", "gas"))
	assert.True(t, words.Names("Gas-bottle, 4 kg", "gas bottle"))
	assert.False(t, words.Names("Gasket set", "gas"))
	assert.False(t, words.Names("Bottle of gas", "gas bottle"))
	assert.False(t, words.Names("Canoe", "can", "cans"))
	assert.False(t, words.Names("", "gas"))
}
