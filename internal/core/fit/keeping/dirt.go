package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// besideFood is how far what is dirty keeps from food that no wall parts from it, mm. Practice.
const besideFood = 150

// isDirty tells of what is dirty when it is used: it is said, or it is a toilet or takes up what was used, and
// nothing else is said.
func isDirty(item *fitout.Item, p *scene.Part) bool {
	return item.Substance == fitout.SubstanceDirt ||
		item.Substance == fitout.SubstanceNotSaid && p != nil &&
			(p.Traits().Waste || p.Module().Kind == fitout.ToiletModule)
}

// keepsFood tells of a pantry or a fridge, where nothing else is said of it.
func keepsFood(p *scene.Part) bool {
	if p.Item == nil || p.Item.Substance != fitout.SubstanceNotSaid {
		return p.Item != nil && p.Item.Substance == fitout.SubstanceFood
	}
	return p.Traits().Cools || p.Module().Kind == fitout.Pantry
}

// DirtyBesideFood cautions of what is dirty in one compartment with food, in a pantry or fridge, or beside food with
// no wall between.
func DirtyBesideFood(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Things {
		t := &s.Things[i]
		if t.Item == nil || !isDirty(t.Item, nil) {
			continue
		}
		holder := s.Part(t.Part)
		with, where := foodIn(s, t.Part, t.Cell), ""
		if holder != nil {
			where = words.Lower(holder.Name())
		}
		if with == "" && holder != nil && keepsFood(holder) {
			with = holder.ID
		}
		if with == "" {
			continue
		}
		f := scene.AboutThing("dirty-beside-food", fitout.Caution, t)
		f.With = []string{with}
		f.Title = t.Item.Name + " lies with food"
		f.Sentence = fmt.Sprintf(
			"%s is dirty when it is used, and lies where food is kept, in %s. Put one of them elsewhere, "+
				"or into a box of its own that shuts.",
			t.Item.Name,
			where,
		)
		f.Unit, f.Margin = "", -1
		found = append(found, f)
	}
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Item == nil || !isDirty(p.Item, p) {
			continue
		}
		for k := range s.Parts {
			q := &s.Parts[k]
			// Food in something that is built has a wall before it.
			if k == i || q.Item == nil || q.Item.Substance != fitout.SubstanceFood || q.Bay != p.Bay ||
				q.Module().Kind != fitout.PlainGear {
				continue
			}
			mm := distance(p.Box, q.Box)
			if mm >= besideFood {
				continue
			}
			f := scene.About("dirty-beside-food", fitout.Caution, p)
			f.With = []string{q.ID}
			f.Title = fmt.Sprintf("%s stands beside %s", p.Name(), words.Lower(q.Name()))
			f.Sentence = fmt.Sprintf(
				"%s is dirty when it is used, and is %s from %s, with no wall between. Keep %s between them, "+
					"or put one of them into a box that shuts.",
				p.Name(),
				s.Say.Length(mm),
				words.Lower(q.Name()),
				s.Say.Length(besideFood),
			)
			f.Value, f.Limit, f.Margin = mm, besideFood, mm-besideFood
			f.Lines = []fitout.Line{scene.Line(p.Box.Middle(), q.Box.Middle(), s.Say.Length(mm))}
			f.Fixes = append(s.Moves(p, q.Box.Grown(besideFood), nil), s.Moves(q, p.Box.Grown(besideFood), nil)...)
			found = append(found, f)
			break
		}
	}
	return found
}

// foodIn is the first food in a compartment, by its id; empty for none.
func foodIn(s *scene.Scene, part, cell string) string {
	for i := range s.Things {
		if t := &s.Things[i]; t.Part == part && t.Cell == cell && t.Item != nil &&
			t.Item.Substance == fitout.SubstanceFood {
			return t.Item.ID
		}
	}
	return ""
}

// PutFromFood offers to lay what is dirty into a compartment without food.
func PutFromFood(s *scene.Scene, p *plan.Plan, f *fitout.Finding) []fitout.Fix {
	to := PlaceFor(s, p, f.Subject.ID)
	if to == nil || foodIn(s, to.Module, to.Cell) != "" {
		return f.Fixes
	}
	if holder := s.Part(to.Module); holder == nil || keepsFood(holder) {
		return f.Fixes
	}
	return append(f.Fixes, putAway(s, p, f.Subject.ID)...)
}
