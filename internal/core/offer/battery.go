package offer

import (
	"regexp"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// Of a battery's capacity so much can be taken out without harm: of lithium most, of
// lead half. Practice figures.
const (
	lithiumUse = 0.8
	leadUse    = 0.5
	nominal    = 12.0 // V
)

var rated = regexp.MustCompile(`(\d+(?:[.,]\d+)?) ?(Ah|Wh)\b`)

// usable is what can be taken out of a battery by what its name says, Wh; false where
// it does not say.
func usable(item *fitout.Item) (float64, bool) {
	figure := rated.FindStringSubmatch(item.Name)
	if figure == nil {
		return 0, false
	}
	wh, err := strconv.ParseFloat(strings.ReplaceAll(figure[1], ",", "."), 64)
	if err != nil {
		return 0, false
	}
	if figure[2] == "Ah" {
		wh *= nominal
	}
	name := strings.ToLower(item.Name)
	if strings.Contains(name, "lead") || strings.Contains(name, "agm") || strings.Contains(name, "gel") {
		return wh * leadUse, true
	}
	return wh * lithiumUse, true
}

// feedsAsMuch tells whether a battery gives at least what an old one gives. Where either
// does not say, nobody knows, and it is not offered.
func feedsAsMuch(old, with *fitout.Item) bool {
	if !module.TraitsOf(old.Module.Kind).Stores {
		return true
	}
	was, known := usable(old)
	is, told := usable(with)
	return known && told && is >= was*0.999
}
