package edit

import "zaino/internal/core/fitout"

// substance says what a thing holds or is.
var substance = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
	i.Substance = fitout.Substance(e.With)
	return true
})
