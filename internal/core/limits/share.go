package limits

import (
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// Share is a rule of the workshop about balance: a share or an angle that has to be
// kept. How far it is broken is told by a linear form of the moments, in kg or kg·mm;
// the exact worst is that of the form, which tells exactly whether the rule can be
// broken, and not always the greatest share.
type Share struct {
	facts  Facts
	value  func(in *Situation) float64
	counts []load.Count

	plan  *plan.Plan
	worst *load.State
}

// Facts are what is told of it.
func (s *Share) Facts() *Facts { return &s.facts }

// Load is the share or angle.
func (s *Share) Load(in *Situation) float64 { return s.value(in) }

// Beyond is by how much the rule is broken.
func (s *Share) Beyond(in *Situation) float64 {
	most := in.Sum(s.counts[0])
	for _, count := range s.counts[1:] {
		most = max(most, in.Sum(count))
	}
	return most
}

// Counts are its forms.
func (s *Share) Counts() []load.Count { return s.counts }

// Worst is the state in which the rule is broken most; of what only a coupled trailer
// can break, with that.
func (s *Share) Worst() *load.State {
	if s.worst != nil {
		return s.worst
	}
	for _, count := range s.counts {
		worst := s.plan.Load.Worst(count)
		if s.facts.Towing {
			worst = s.plan.Load.WorstTowing(count)
		}
		if s.worst == nil || worst.Value > s.worst.Value {
			s.worst = &worst
		}
	}
	return s.worst
}
