package brief

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// School is a judgement call: its ways, the case for and against each for one
// brief, in numbers where there are numbers, and the way that this brief speaks
// for. A recommendation is the sum of its arguments, each of weight 1 to 3; it
// is practice, not a rule, and the brief records what was decided.
type School struct {
	ID          string `json:"id"`
	Group       string `json:"group"`
	Title       string `json:"title"`
	Question    string `json:"question"`
	Ways        []*Way `json:"ways"`
	Recommended string `json:"recommended" doc:"id of the way that this brief speaks for"`
	Reason      string `json:"reason"`
	Choice      string `json:"choice" doc:"id of the way decided on; empty is undecided"`
	Why         string `json:"why" doc:"in the specialist's words"`
}

// Way is one way of doing it.
type Way struct {
	ID      string     `json:"id"`
	Label   string     `json:"label"`
	Numbers []Number   `json:"numbers"`
	For     []Argument `json:"for"`
	Against []Argument `json:"against"`
	Score   int        `json:"score" doc:"weights for less weights against"`
}

// Number is a figure of a way, in base units.
type Number struct {
	Label string  `json:"label"`
	Value float64 `json:"value"`
	Kind  string  `json:"kind" enum:"mass,length,volume,price,charge,energy,current,percent" doc:"a price is a level from 1, cheap, to 4"`
}

// Argument speaks for or against a way.
type Argument struct {
	Weight int    `json:"weight" doc:"1 small to 3 decisive"`
	Text   string `json:"text"`
}

// Schools returns every judgement call for a job, in the order in which they come
// up. left is what the payload leaves for the fitout, kg, after people, water,
// fuel and gear; negative where it is already spent.
func Schools(j *fitout.Job, left float64) []*School {
	s := newSituation(j, left)
	var all []*School
	for _, call := range calls {
		school := call(s)
		school.decide(&j.Brief)
		all = append(all, school)
	}
	return all
}

// calls are all judgement calls, in the order of the work.
var calls = []func(*situation) *School{
	carrier, sleeping, fridge, fridgePlace, drawers, drawerLength, drawerLock, runners, material, lining, lid, fitted,
	fixing, holding, high, barrier,
	cookingPlace, cookingFuel, appliances, battery, solar, slideCable,
	waterStore, waterFeed, waste, toilet, freezing, fuelStore,
	insulation, heat, boxRoof, roof, spare, suspension,
}

func ask(group, id, title, question string) *School {
	return &School{ID: id, Group: group, Title: title, Question: question}
}

// way adds a way of doing it with its price level.
func (c *School) way(id, label string, price float64) *Way {
	w := &Way{ID: id, Label: label, Numbers: []Number{{"Price level", price, "price"}}, For: []Argument{},
		Against: []Argument{}}
	c.Ways = append(c.Ways, w)
	return w
}

func (w *Way) mass(kg float64) *Way { return w.number("Mass", kg, "mass") }

// width is what the way costs of the width that is there.
func (w *Way) width(mm float64) *Way { return w.number("Width lost", mm, "length") }

func (w *Way) height(mm float64) *Way { return w.number("Height", mm, "length") }

func (w *Way) number(label string, value float64, kind string) *Way {
	w.Numbers = append(w.Numbers, Number{label, value, kind})
	return w
}

// Figure adds a number that is known of a way from elsewhere; Speaks an argument, for it with
// a weight of 1 to 3, against it with −1 to −3. Decide is to be called afterwards.
func (w *Way) Figure(label string, value float64, kind string) { w.number(label, value, kind) }

// Speaks adds an argument for or against the way.
func (w *Way) Speaks(weight int, format string, args ...any) {
	if weight < 0 {
		w.con(-weight, format, args...)
		return
	}
	w.pro(weight, format, args...)
}

// Way is a way of a school by its id, or nil.
func (c *School) Way(id string) *Way {
	for _, w := range c.Ways {
		if w.ID == id {
			return w
		}
	}
	return nil
}

// Decide picks the way that the arguments speak for.
func (c *School) Decide(b *fitout.Brief) { c.decide(b) }

// pro adds an argument for the way; con one against it.
func (w *Way) pro(weight int, format string, args ...any) *Way {
	w.For = append(w.For, Argument{weight, fmt.Sprintf(format, args...)})
	w.Score += weight
	return w
}

func (w *Way) con(weight int, format string, args ...any) *Way {
	w.Against = append(w.Against, Argument{weight, fmt.Sprintf(format, args...)})
	w.Score -= weight
	return w
}

// decide picks the way with the highest score, the first of equals, and takes
// over what the brief has settled.
func (c *School) decide(b *fitout.Brief) {
	best := c.Ways[0]
	for _, w := range c.Ways[1:] {
		if w.Score > best.Score {
			best = w
		}
	}
	c.Recommended = best.ID
	c.Reason = strongest(best.For)
	for _, w := range c.Ways {
		if w != best && len(w.Against) > 0 && len(c.Ways) == 2 {
			c.Reason += " The other way: " + words.Lower(strongest(w.Against))
		}
	}
	for _, choice := range b.Choices {
		if choice.School == c.ID {
			c.Choice, c.Why = choice.Choice, choice.Why
		}
	}
}

func strongest(arguments []Argument) string {
	best := Argument{}
	for _, a := range arguments {
		if a.Weight > best.Weight {
			best = a
		}
	}
	return best.Text
}
