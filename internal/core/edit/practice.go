package edit

import "zaino/internal/core/fitout"

// practiceUsual sets a figure of the workshop's rules, by its path, to the usual one of the trade in the region.
var practiceUsual = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed, usual := *j, fitout.NewPractice(j.Region)
	has, of := changed.Practice.Figures()[e.ID], usual.Figures()[e.ID]
	if has == nil || *has == *of {
		return changed, false
	}
	*has = *of
	return changed, true
}}
