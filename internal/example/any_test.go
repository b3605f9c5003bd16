package example_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math"
	"reflect"
	"regexp"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/arrange"
	"zaino/internal/core/assess"
	"zaino/internal/core/draw"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/mend"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/report"
	"zaino/internal/core/space"
	"zaino/internal/core/supply"
	"zaino/internal/core/trip"
	"zaino/internal/example"
	"zaino/internal/exchange"
)

// ruleID is the pattern of a rule's id in the contract.
var ruleID = func() *regexp.Regexp {
	field, _ := reflect.TypeFor[fitout.Finding]().FieldByName("Rule")
	return regexp.MustCompile(field.Tag.Get("pattern"))
}()

// asJSON fails for what is no JSON, NaN and infinity, and says where it stands.
func asJSON(t *rapid.T, what string, of any) {
	if _, err := json.Marshal(of); err != nil {
		t.Fatalf("%s: %v at %s", what, err, notFinite(reflect.ValueOf(of), ""))
	}
	if at, null := nilList(reflect.ValueOf(of)); null {
		t.Fatalf("%s: %s is null and not a list", what, at)
	}
}

// nilList is where a list is null in JSON; the contract promises lists.
func nilList(v reflect.Value) (at string, null bool) {
	switch v.Kind() {
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() && v.Type() != reflect.TypeFor[*fitout.Job]() {
			return nilList(v.Elem())
		}
	case reflect.Struct:
		for _, i := range promised(v.Type()) {
			if at, null := nilList(v.Field(i)); null {
				return "." + v.Type().Field(i).Name + at, true
			}
		}
	case reflect.Slice:
		for i := range v.Len() {
			if at, null := nilList(v.Index(i)); null {
				return fmt.Sprintf("[%d]%s", i, at), true
			}
		}
		return "", v.IsNil()
	}
	return "", false
}

// promises has the fields that each type promises.
var promises = map[reflect.Type][]int{}

// promised are the fields of a type that JSON always has, with lists in them or not; of a job none, which is as it was
// drawn.
func promised(t reflect.Type) []int {
	fields, known := promises[t]
	if known || t == reflect.TypeFor[fitout.Job]() {
		return fields
	}
	for i := range t.NumField() {
		field := t.Field(i)
		if field.IsExported() && !strings.Contains(field.Tag.Get("json"), "omitempty") && field.Tag.Get("json") != "-" {
			fields = append(fields, i)
		}
	}
	promises[t] = fields
	return fields
}

func notFinite(v reflect.Value, at string) string {
	switch v.Kind() {
	case reflect.Float64:
		if math.IsNaN(v.Float()) || math.IsInf(v.Float(), 0) {
			return at
		}
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() {
			return notFinite(v.Elem(), at)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			if found := notFinite(v.Field(i), at+"."+v.Type().Field(i).Name); found != "" {
				return found
			}
		}
	case reflect.Slice, reflect.Array:
		for i := range v.Len() {
			if found := notFinite(v.Index(i), fmt.Sprintf("%s[%d]", at, i)); found != "" {
				return fmt.Sprintf("%s of %+v", found, v.Index(i))
			}
		}
	}
	return ""
}

// Whatever is valid is answered: by every engine, edit and export, without a panic,
// without a figure that is none, and before anybody gives up waiting.
func TestWhateverIsValidIsAnswered(t *testing.T) { rapid.Check(t, answered) }

// FuzzAnswers is the same with documents that are drawn towards code that was not reached yet.
func FuzzAnswers(f *testing.F) { f.Fuzz(rapid.MakeFuzz(answered)) }

func answered(t *rapid.T) {
	shop := example.Shop()
	j := example.Any(t)
	data, _ := json.Marshal(j)
	watch := time.AfterFunc(2*time.Minute, func() { panic("nobody waits so long for an answer: " + string(data)) })
	defer watch.Stop()
	before, err := fitout.Encode(&j)
	if err != nil {
		t.Fatal(err)
	}

	a := assess.Of(&j)
	asJSON(t, "assessment", a)
	for _, f := range a.Findings {
		if !ruleID.MatchString(f.Rule) || len(f.Rule) > 64 || len(f.Key) > 500 {
			t.Fatalf("%q is no id of a rule, or %q no key", f.Rule, f.Key)
		}
	}
	p := plan.Of(&j)
	asJSON(t, "load in every case", report.LoadOf(&j))
	asJSON(t, "card", report.CardOf(&j))
	asJSON(t, "comparison", report.Compare(&j, nil))
	asJSON(t, "sheets", space.Sheets(&j))
	asJSON(t, "judgement calls", report.SchoolsOf(p))
	electrics(t, p, shop)
	asJSON(t, "the way", trip.ViewOf(p))
	for _, kind := range []string{"fill-plan", "route-stop", "route-without", "trip-cases", "trip-days", "route-of-brief", "plumbing-power"} {
		e := fitout.FixEdit{Kind: kind, ID: "routestop0", With: "axles", Value: 10}
		if changed, err := edit.Apply(&j, nil, []fitout.FixEdit{e}); err == nil {
			asJSON(t, kind, trip.ViewOf(plan.Of(&changed)))
		} else if kind == "trip-cases" && len(j.Route.Stops) > 1 {
			t.Fatal(err)
		}
	}
	for _, s := range limits.Of(p).States() {
		account, err := report.AccountOf(&j, s.At)
		if err != nil {
			t.Fatal(err)
		}
		asJSON(t, "account", account)
		shown, err := edit.ShowState(&j, s.At)
		if err != nil {
			t.Fatalf("%s cannot be shown: %v", s.At, err)
		}
		asJSON(t, "state shown", assess.Of(&shown))
	}
	exports(t, &j)
	edits(t, &j, &a, shop)
	for _, l := range limits.Of(p).All {
		if f := l.Facts(); !f.Echo {
			ctx, stop := context.WithTimeout(context.Background(), 5*time.Second)
			mends, err := mend.Limit(ctx, &j, shop[:min(len(shop), 20)], f.ID, func(float64) {})
			stop()
			if err != nil {
				t.Fatal(err)
			}
			asJSON(t, "ways to mend "+f.ID, mends)
		}
	}
	ctx, stop := context.WithTimeout(context.Background(), 300*time.Millisecond)
	defer stop()
	asJSON(t, "proposals", arrange.Propose(ctx, &j, arrange.Wishes{}, func(float64) {}))
	after, err := fitout.Encode(&j)
	if err != nil || string(before) != string(after) {
		t.Fatal("something changed the job that it was given")
	}
}

// electrics asks all that can be asked of the electrics.
func electrics(t *rapid.T, p *plan.Plan, shop []fitout.Component) {
	asJSON(t, "course of the days", power.CourseOf(p))
	asJSON(t, "logic tried", power.TryOut(p, &power.Trial{Hour: 24, Engine: true}))
	asJSON(t, "readings beside the plan", power.LookAt(p).Beside("powersystem0",
		[]power.Measured{{Hours: 1, Charge: 0.5}}))
	ctx, stop := context.WithTimeout(context.Background(), 60*time.Millisecond)
	defer stop()
	answer, _ := supply.Ask(ctx, p, shop, &supply.Wish{Aim: "mass", Most: 1, Loose: true}, func(float64) {})
	asJSON(t, "sets", answer)
	for i := range p.Variant.Electrics.Systems {
		ctx, stop := context.WithTimeout(context.Background(), 40*time.Millisecond)
		mends, err := mend.Limit(ctx, p.Given, shop[:min(len(shop), 30)], "power:"+p.Variant.Electrics.Systems[i].ID,
			func(float64) {})
		stop()
		if err != nil {
			t.Fatal(err)
		}
		asJSON(t, "ways to let a battery last", mends)
	}
	brought, came := edit.BringIn(p.Given, shop)
	asJSON(t, "what came in", came)
	if err := fitout.Validate(&brought); err != nil {
		t.Fatalf("what was brought in is not valid: %v", err)
	}
}

func exports(t *rapid.T, j *fitout.Job) {
	for _, write := range []func(*fitout.Job) ([]byte, error){exchange.WritePowerCSV, exchange.WritePowerXLSX,
		exchange.WritePowerPDF, exchange.WriteBoardSVG, exchange.WriteGPX, exchange.WriteStops, exchange.WriteRangeXLSX,
		exchange.WriteRangePDF} {
		if _, err := write(j); err != nil {
			t.Fatal(err)
		}
	}
	for _, view := range draw.Stands {
		for _, write := range []func(*fitout.Job, draw.Stand) ([]byte, error){exchange.WriteSVG, exchange.WriteDXF} {
			if _, err := write(j, view); err != nil {
				t.Fatal(err)
			}
		}
	}
	if _, err := exchange.WriteItems(j); err != nil {
		t.Fatal(err)
	}
	account, err := report.AccountOf(j, "")
	if err != nil {
		t.Fatal(err)
	}
	for _, write := range []func(*report.Account) ([]byte, error){exchange.WriteAccountCSV, exchange.WriteAccountXLSX,
		exchange.WriteAccountPDF} {
		if _, err := write(&account); err != nil {
			t.Fatal(err)
		}
	}
}

// edits makes every fix that is offered, and every other edit on every thing; what is
// refused changes nothing.
func edits(t *rapid.T, j *fitout.Job, a *assess.Assessment, shop []fitout.Component) {
	look := func(what string, changed fitout.Job, err error) {
		if err == nil {
			asJSON(t, what, assess.Of(&changed))
		}
	}
	for _, f := range a.Findings {
		for _, fix := range f.Fixes {
			changed, err := edit.Apply(j, shop, []fitout.FixEdit{fix.Edit})
			look(fix.Label, changed, err)
		}
	}
	for i := range j.Variants[0].Items {
		id := j.Variants[0].Items[i].ID
		changed, err := edit.Fill(j, id)
		look("fill "+id, changed, err)
		changed, err = edit.Resize(j, id, fitout.Size{Length: 300, Width: 0, Height: 15000})
		look("resize "+id, changed, err)
		changed, err = edit.PutAway(j, id)
		look("put away "+id, changed, err)
		value := rapid.SampledFrom([]float64{0, 1e-310, 100, 20000, -1}).Draw(t, "value")
		for _, kind := range edit.Kinds() {
			changed, err = edit.Apply(j, shop, []fitout.FixEdit{{Kind: kind, ID: id, With: shop[0].ID, Value: value}})
			look(kind+" "+id, changed, err)
		}
	}
	changed, err := edit.Branch(j, j.Variants[0].ID, "")
	look("branch", changed, err)
	for _, way := range edit.Ways(j, shop) {
		changed, err = edit.Vary(j, shop, way.School, way.Choice)
		look(way.Label, changed, err)
	}
}

// Any draws valid jobs of many kinds, and not one kind only.
func TestWhatIsDrawnIsOfManyKinds(t *testing.T) {
	seen := map[string]bool{}
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		seen[fmt.Sprint("tows ", j.Trailer != nil)] = true
		seen[fmt.Sprint("extended ", j.Vehicle.Extension != nil)] = true
		for i := range j.Variants[0].Items {
			item := &j.Variants[0].Items[i]
			seen[fmt.Sprint("lies in ", item.In != nil)] = true
			if item.Module != nil {
				seen["module "+string(item.Module.Kind)] = true
			}
		}
	})
	for _, kind := range []string{"tows true", "tows false", "extended true", "extended false", "lies in true",
		"lies in false"} {
		assert.True(t, seen[kind], kind)
	}
	assert.Greater(t, len(seen), 20, "kinds of module among them")
}
