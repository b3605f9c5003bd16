package edit

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
)

// Branch adds a variant to a job that starts as a copy of another, and shows it.
func Branch(j *fitout.Job, from, name string) (fitout.Job, error) {
	branched := *j
	branched.Variants = append([]fitout.Variant{}, j.Variants...)
	for i := range j.Variants {
		if j.Variants[i].ID != from {
			continue
		}
		copied, err := j.CopyVariant(i)
		if err != nil {
			return *j, err
		}
		copied.ID, copied.From, copied.Why = freeID(j), from, ""
		copied.Name = name
		if name == "" {
			copied.Name = strings.ToUpper(copied.ID)
		}
		branched.Variants = append(branched.Variants, copied)
		branched.Chosen = copied.ID
		return branched, fitout.Validate(&branched)
	}
	return *j, fitout.Problem{Path: "from", Given: from, Accepted: "the id of a variant of the job"}
}

// freeID is the next letter, or letter with a number, that no variant has.
func freeID(j *fitout.Job) string {
	for n := 0; ; n++ {
		id := string(rune('a' + n%26))
		if n >= 26 {
			id += fmt.Sprint(n / 26)
		}
		free := true
		for i := range j.Variants {
			free = free && j.Variants[i].ID != id
		}
		if free {
			return id
		}
	}
}
