package edit

import "zaino/internal/core/fitout"

// traySaid says whether the empty mass holds the tray.
var traySaid = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed := *j
	said := fitout.TraySaid(e.With)
	changed.Vehicle.Baseline.Tray = said
	return changed, said == fitout.TrayHeld || said == fitout.TrayBare
}}
