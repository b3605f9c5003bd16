package fitout

import (
	"encoding/json"
	"math"
	"os"
	"reflect"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// sample is a small valid job with one of everything.
func sample() Job {
	j := NewJob("sample", "Sample", AustraliaNZ)
	j.Vehicle.Baseline.Tickets = []Ticket{{ID: "first", Name: "Bridge", Reading: ReadAxles, Front: 1200, Rear: 900,
		Counted: true, Level: true,
		Tanks: []WeighedTank{
			{Tank: "fuel", Litres: 30},
		}, People: []WeighedPerson{{ID: "ann", Seat: "driver", Kg: 80}},
		Parts: []WeighedPart{{Part: "tub"}}}}
	j.Vehicle.Modifications = []Modification{{ID: "springs", Name: "Springs", Kind: Springs, Counted: true, Mass: 9,
		Source: DataSheet, Certificate: NotNeeded,
		Axle: RearAxle, Rate: 55, Limits: []LimitMoved{{Limit: LimitRearAxle, Kg: 2000}}}}
	j.Vehicle.Bays = []Bay{{ID: "tray", Name: "Tray", Kind: BayCanopyRear, LengthLeft: 1800,
		Opening: Opening{Face: FaceRear, Hinge: HingeTop},
		More:    []MoreOpening{}, Obstacles: []Obstacle{{ID: "arch", Name: "Arch", Kind: WheelArch, Side: Left}},
		Walls: []CurvedWall{}}}
	j.Vehicle.Mounts = []Mount{{ID: "ring", Name: "Ring", Rating: 400}}
	j.Vehicle.LowPoints = []LowPoint{{ID: "bar", Name: "Bar", At: Point{X: 4300, Z: 520}}}
	j.Brief.Travellers = []Traveller{{ID: "ann", Name: "Ann", Kind: TravellerPerson, Mass: 70}}
	j.Brief.Gear = []Gear{{ID: "stove", Name: "Stove", Count: 1, Used: UsedDaily}}
	j.Brief.Later = []Later{{ID: "awning", Name: "Awning", By: ByLater}}
	j.Brief.Daily = Daily{Seats: []SeatKept{{Seat: "driver"}},
		LiftOut: []LiftOut{{ID: "bed", Name: "Bed", Minutes: 10, People: 2}}}
	j.Brief.Choices = []SchoolChoice{{School: "solar", Choice: "roof"}}
	j.Vehicle.Parts = []Part{{ID: "tub", Name: "Tub", Mass: 100, InBaseline: true, State: Removed, Source: DataSheet}}
	j.Vehicle.Extension = &Extension{By: 300, Cut: 2200}
	j.Trailer = &Trailer{Source: DataSheet, Name: "Box trailer", Mass: 900, Ball: 80}
	v := &j.Variants[0]
	v.Switches = []Switch{{ID: "raft", Name: "Raft", On: true},
		{ID: "motor", Name: "Motor", Requires: &Require{Switch: "raft"}}}
	v.Choices = []Choice{{ID: "roof", Name: "Roof", Members: []Member{{ID: "tent", Name: "Tent"}}, None: true}}
	item := func(id string, p Presence) Item {
		return Item{ID: id, Name: strings.ToUpper(id), Form: FormBox, Source: ByScale, Mass: 10, Presence: p}
	}
	v.Items = []Item{
		item("fridge", Presence{Kind: Always}),
		item("motor", Presence{Kind: BySwitch, Switch: "motor"}),
		item("tent", Presence{Kind: ByChoice, Choice: "roof", Member: "tent"}),
		item("water", Presence{Kind: ByLevel, Level: &Level{Min: 0, Max: 50, Now: 20, Density: 1}}),
	}
	v.Items[0].Seat, v.Items[0].Bay = "driver", "tray"
	unit := item("unit", Presence{Kind: Always})
	unit.Module = &Module{Kind: Drawers, Faces: FaceRear, Wall: Plywood, Panel: 12, Runner: BallRunner, Stack: Beside,
		Fixings: []Fixing{}, Holes: []Hole{}, Cells: []Cell{{ID: "left", Name: "Left"}}}
	stove := item("stove", Presence{Kind: Always})
	stove.In = &InCell{Module: "unit", Cell: "left"}
	v.Items = append(v.Items, unit, stove)
	return j
}

func encoded(t require.TestingT, j Job) []byte {
	data, err := Encode(&j)
	require.NoError(t, err)
	return data
}

func TestDocumentRoundTrip(t *testing.T) {
	j := sample()
	again, err := Decode(encoded(t, j))
	require.NoError(t, err)
	assert.Equal(t, j, again)
	assert.Equal(t, encoded(t, j), encoded(t, again), "the same job is the same bytes")
}

// A refused document names the field, what was given and what is accepted.
func TestBadDocumentsAreRefusedWithASentence(t *testing.T) {
	// with edits the sample as JSON text.
	with := func(old, replacement string) string {
		text := string(encoded(t, sample()))
		require.Contains(t, text, old)
		return strings.Replace(text, old, replacement, 1)
	}
	changed := func(change func(*Job)) string {
		j := sample()
		change(&j)
		data, err := json.Marshal(j)
		require.NoError(t, err)
		return string(data)
	}
	items := func(j *Job) []Item { return j.Variants[0].Items }
	cases := []struct{ name, document, sentence string }{
		{"nothing", "", "line 1 is not JSON"},
		{"not JSON", "{\n\"format\": zaino}", "line 2 is not JSON"},
		{"a list", "[]", "not an object"},
		{"two jobs", string(encoded(t, sample())) + "{}", "goes on after the end"},
		{
			"another format",
			`{"format":"other","version":1}`,
			`format: the text "other" was given; accepted is "zaino.job"`,
		},
		{
			"no version",
			`{"format":"zaino.job"}`,
			"version: nothing was given; accepted is a whole number from 1 to 15",
		},
		{
			"a newer version with new fields",
			`{"format":"zaino.job","version":99,"novelty":true}`,
			"written by a newer Zaino",
		},
		{"10 MB", `{"format":"zaino.job","note":"` + strings.Repeat("x", 10<<20) + `"}`,
			"has 10.0 MB; accepted is up to 4 MB"},
		{"unknown field", with(`"mass": 10,`, `"mas": 10,`),
			"variants[0].items[0].mas (FRIDGE): an unknown field was given; accepted is only id, name,"},
		{"text for a number", with(`"mass": 10,`, `"mass": "ten",`),
			`variants[0].items[0].mass (FRIDGE): the text "ten" was given; accepted is a number`},
		{"number for a text", with(`"name": "FRIDGE"`, `"name": 7`),
			"variants[0].items[0].name (A): the number 7 was given; accepted is a text in quotes"},
		{"list for an object", with(`"hitch": {`, `"hitch": [], "x": {`), "vehicle.hitch"},
		{"NaN", with(`"mass": 10,`, `"mass": NaN,`), "is not JSON"},
		{"infinity by size", with(`"mass": 10,`, `"mass": 1e999,`),
			`variants[0].items[0].mass (FRIDGE): the number "1e999" was given; accepted is a number of up to 32 characters`},
		{"a number too long", with(`"mass": 10,`, `"mass": 1.`+strings.Repeat("3", 60)+","),
			"accepted is a number of up to 32 characters"},
		{"an absurd mass", changed(func(j *Job) {
			items(j)[0].Mass = 90000
		}), "variants[0].items[0].mass (FRIDGE): 90000 kg was given; accepted is a number from 0 to 20000 kg"},
		{"a negative mass", changed(func(j *Job) { items(j)[0].Mass = -1 }), "-1 kg was given"},
		{"no wheelbase", changed(func(j *Job) {
			j.Vehicle.Wheelbase = 0
		}), "vehicle.wheelbase (Dual-cab ute (replace by the plate)): 0 mm was given; accepted is a number from 1000 to 12000 mm"},
		{"an empty name", changed(func(j *Job) {
			j.Name = ""
		}), "name: an empty text was given; accepted is a text of 1 to 120 characters"},
		{"an endless name", changed(func(j *Job) {
			j.Name = strings.Repeat("é", 121)
		}), "a text of 121 characters was given; accepted is up to 120 characters"},
		{"an unknown word", changed(func(j *Job) {
			j.Region = "mars"
		}), `region (Sample): "mars" was given; accepted is one of anz, uk-eu, na`},
		{"an unknown word where none need be said", changed(func(j *Job) {
			items(j)[0].Work = "soon"
		}), `"soon" was given; accepted is one of "", existing, later, others`},
		{"an id with a slash", changed(func(j *Job) {
			items(j)[0].ID = "../x"
		}), `"../x" was given; accepted is an id of 1 to 64 letters`},
		{"too many items", changed(func(j *Job) {
			j.Variants[0].Items = make([]Item, 2001)
		}), "a list of more than 2000 was given; accepted is a list of up to 2000"},
		{"duplicate ids", changed(func(j *Job) {
			items(j)[1].ID = "fridge"
		}), `variants[0].items[1].id (MOTOR): "fridge" a second time was given`},
		{"no variant", changed(func(j *Job) { j.Variants = nil }), "accepted is at least one variant"},
		{"a chosen variant that is not there", changed(func(j *Job) {
			j.Chosen = "z"
		}), `chosen: "z" was given; accepted is the id of a variant of the job`},
		{"a seat that is not there", changed(func(j *Job) {
			items(j)[0].Seat = "roof"
		}), "accepted is the id of a seat of the vehicle"},
		{"a weighed tank that is not there", changed(func(j *Job) {
			j.Vehicle.Baseline.Tickets[0].Tanks[0].Tank = "x"
		}), "vehicle.baseline.tickets[0].tanks[0].tank (Bridge): \"x\" was given; accepted is the id of a tank of the vehicle"},
		{"a weighed part that is not there", changed(func(j *Job) {
			j.Vehicle.Baseline.Tickets[0].Parts[0].Part = "x"
		}), "accepted is the id of a part or modification of the vehicle"},
		{"a part and a modification of one id", changed(func(j *Job) {
			j.Vehicle.Modifications[0].ID = "tub"
		}), `"tub" a second time was given`},
		{"a limit moved twice", changed(func(j *Job) {
			m := &j.Vehicle.Modifications[0]
			m.Limits = append(m.Limits, m.Limits[0])
		}), `vehicle.modifications[0].limits[1].limit (Springs): "rearAxle" a second time`},
		{"a bay that is not there", changed(func(j *Job) {
			items(j)[0].Bay = "x"
		}), "accepted is the id of a bay of the vehicle"},
		{"an extension longer than the wheelbase", changed(func(j *Job) {
			j.Vehicle.Extension.By = 3200
		}), "3200 mm was given; accepted is up to the wheelbase, 3100 mm"},
		{"half a tyre index", with(`"index": 0,`, `"index": 110.5,`),
			"vehicle.front.tyre.index (Dual-cab ute (replace by the plate)): the number 110.5 was given; accepted is a whole " +
				"number"},
		{"a kept seat that is not there", changed(func(j *Job) {
			j.Brief.Daily.Seats[0].Seat = "x"
		}), "brief.daily.seats[0].seat: \"x\" was given"},
		{"two choices of one school", changed(func(j *Job) {
			j.Brief.Choices = append(j.Brief.Choices, j.Brief.Choices[0])
		}), `brief.choices[1].school (Sample): "solar" a second time`},
		{"an unknown kind of bay", changed(func(j *Job) {
			j.Vehicle.Bays[0].Kind = "cellar"
		}), `vehicle.bays[0].kind (Tray): "cellar" was given`},
		{"a swing beyond the hinge", changed(func(j *Job) {
			j.Vehicle.Bays[0].Opening.Swing = 400
		}), "400 ° was given; accepted is a number from 0 to 270 °"},
		{"a switch that is not there", changed(func(j *Job) {
			items(j)[1].Presence.Switch = "x"
		}), "accepted is the id of a switch of the variant"},
		{"a member that is not there", changed(func(j *Job) {
			items(j)[2].Presence.Member = "x"
		}), `"roof/x" was given; accepted is a member of a choice of the variant`},
		{"a level without figures", changed(func(j *Job) {
			items(j)[3].Presence.Level = nil
		}), "accepted is its least, most and present content"},
		{"more than full", changed(func(j *Job) {
			items(j)[3].Presence.Level.Now = 60
		}), "60 L was given; accepted is from 0 to its most, 50 L"},
		{"a least above the capacity", changed(func(j *Job) {
			j.Vehicle.Tanks[0].Min = 80
		}), "80 L was given; accepted is up to its capacity, 75 L"},
		{"a choice of nothing", changed(func(j *Job) {
			j.Variants[0].Choices[0].None = false
		}), "accepted is one of its members"},
		{"moved to nowhere", changed(func(j *Job) {
			j.Vehicle.Parts[0].State = Moved
		}), "accepted is the place that it was moved to"},
		{"a requirement of both kinds", changed(func(j *Job) {
			j.Variants[0].Switches[1].Requires.Choice = "roof"
		}), "accepted is either a switch or a member of a choice"},
		{"a requirement of nothing known", changed(func(j *Job) {
			j.Variants[0].Switches[1].Requires = &Require{Choice: "roof", Member: "x"}
		}), "accepted is a switch or a member of a choice"},
		{"a circle of requirements", changed(func(j *Job) {
			j.Variants[0].Switches[0].Requires = &Require{Switch: "motor"}
		}), "variants[0].switches[0].requires (Raft): a circle of requirements was given"},
		{"a switch that requires itself", changed(func(j *Job) {
			j.Variants[0].Switches[0].Requires = &Require{Switch: "raft"}
		}), "a circle of requirements"},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			_, err := Decode([]byte(c.document))
			require.Error(t, err)
			assert.Contains(t, err.Error(), c.sentence)
			assert.Less(t, len(err.Error()), 20000)
		})
	}
}

func TestNoNumberThatIsNoneIsWritten(t *testing.T) {
	for _, bad := range []float64{math.NaN(), math.Inf(1), math.Inf(-1)} {
		j := sample()
		j.Variants[0].Items[0].Mass = bad
		_, err := Encode(&j)
		assert.ErrorContains(t, err, "accepted is a number from 0 to 20000 kg")
	}
}

func TestNothingBreaksTheReader(t *testing.T) {
	good := encoded(t, sample())
	rapid.Check(t, func(t *rapid.T) {
		data := append([]byte{}, good...)
		for range rapid.IntRange(1, 6).Draw(t, "edits") {
			at := rapid.IntRange(0, len(data)-1).Draw(t, "at")
			data[at] = rapid.SampledFrom([]byte(`{}[]",:0e-tn `)).Draw(t, "byte")
		}
		if job, err := Decode(data); err == nil {
			require.NoError(t, Validate(&job))
		}
	})
}

func TestEveryFieldIsInTheDocumentation(t *testing.T) {
	doc, err := os.ReadFile("../../../docs/file-format.md")
	require.NoError(t, err)
	var visit func(reflect.Type)
	visit = func(typ reflect.Type) {
		switch typ.Kind() {
		case reflect.Pointer, reflect.Slice:
			visit(typ.Elem())
		case reflect.Struct:
			for i := range typ.NumField() {
				name := jsonName(typ.Field(i))
				assert.True(
					t,
					strings.Contains(string(doc), "`"+name+"`"),
					"docs/file-format.md does not tell of %s.%s",
					typ.Name(),
					name,
				)
				visit(typ.Field(i).Type)
			}
		}
	}
	visit(reflect.TypeFor[Job]())
}

func TestDatumsRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := sample()
		v := &j.Vehicle
		v.Extension.By = rapid.Float64Range(0, 1000).Draw(t, "by")
		datum := rapid.SampledFrom(Datums[:]).Draw(t, "datum")
		x := rapid.Float64Range(-3000, 9000).Draw(t, "x")
		assert.InDelta(t, x, v.FromDatum(datum, v.ToDatum(datum, x)), 1e-9)
	})
	j := sample()
	j.Vehicle.Extension = nil
	assert.InDelta(
		t,
		-420,
		j.Vehicle.ToDatum(DatumRearAxle, j.Vehicle.Wheelbase-420),
		1e-9,
		"420 ahead of the rear axle",
	)
	assert.InDelta(t, 110, j.Vehicle.ToDatum(DatumHeadboard, j.Vehicle.Outline.Headboard+110), 1e-9,
		"110 from the headboard")
}

func TestEachRegionHasItsOwnWords(t *testing.T) {
	assert.Equal(t, "GVM", AustraliaNZ.Word(TermGross))
	assert.Equal(t, "MAM", UKEurope.Word(TermGross))
	assert.Equal(t, "tongue weight", NorthAmerica.Word(TermBall))
	for region, words := range Vocabulary() {
		for term, word := range words {
			assert.NotEmpty(t, word, "%s %s", region, term)
		}
	}
}

// Figures of money, stock and the workshop outside their range are refused with the field and what is accepted.
func TestABuildOutsideItsRangesIsRefused(t *testing.T) {
	for _, c := range []struct {
		change func(b *Build)
		want   string
	}{
		{func(b *Build) { b.Money.Tax = 1.2 }, "build.money.tax (J): 1.2 was given; accepted is a number from 0 to 1"},
		{func(b *Build) { b.Money.Decimals = 3 }, "build.money.decimals"},
		{func(b *Build) { b.Money.Rate = -1 }, "build.money.rate"},
		{func(b *Build) { b.Shop.Kerf = 25 }, "build.shop.kerf"},
		{func(b *Build) { b.Shop.HingeEvery = 0 }, "build.shop.hingeEvery"},
		{func(b *Build) { b.Shop.Day = 0 }, "build.shop.day"},
		{func(b *Build) {
			b.Sheets = []Sheet{{ID: "s", Name: "S", Of: "oak", Thickness: 12, Length: 100, Width: 100}}
		},
			"build.sheets[0].of"},
		{func(b *Build) {
			b.Sheets = []Sheet{{ID: "s", Name: "S", Of: Plywood, Thickness: 12, Length: 100, Width: 100, Price: -5}}
		},
			"build.sheets[0].price (S): -5 cents was given"},
		{func(b *Build) { b.Goods = []Goods{{ID: "g", Name: "G", What: "wing"}} }, "build.goods[0].what"},
		{func(b *Build) { b.Pace = []Pace{{Work: "saw"}, {Work: "saw"}} }, `build.pace[1].work (J): "saw" a second time`},
		{func(b *Build) { b.Decisions = []Decision{{ID: "d"}} }, "build.decisions[0].question"},
	} {
		j := NewJob("j", "J", AustraliaNZ)
		c.change(&j.Build)
		assert.ErrorContains(t, Validate(&j), c.want)
	}
}

// Figures of weighings and handovers outside their range, or twice, are refused with the field and what is accepted.
func TestAWeighingOutsideItsRangesIsRefused(t *testing.T) {
	weighed := func(change func(w *WeighIn)) func(j *Job) {
		return func(j *Job) {
			w := WeighIn{ID: "w", Name: "W", Reading: ReadAxles, Aboard: []Aboard{{Of: "tank:fuel", Source: ByScale}}}
			change(&w)
			j.Variants[0].WeighIns = []WeighIn{w}
		}
	}
	for want, change := range map[string]func(j *Job){
		"variants[0].weighIns[0].front (W): -1 kg was given": weighed(func(w *WeighIn) { w.Front = -1 }),
		"variants[0].weighIns[0].slope":                      weighed(func(w *WeighIn) { w.Slope = 40 }),
		"variants[0].weighIns[0].padRear":                    weighed(func(w *WeighIn) { w.PadRear = 900 }),
		"variants[0].weighIns[0].reading":                    weighed(func(w *WeighIn) { w.Reading = "wheels" }),
		"variants[0].weighIns[0].aboard[1].of":               weighed(func(w *WeighIn) { w.Aboard = append(w.Aboard, w.Aboard[0]) }),
		"variants[0].weighIns[0].aboard[0].source":           weighed(func(w *WeighIn) { w.Aboard[0].Source = "guess" }),
		"variants[0].tests[1].test":                          func(j *Job) { j.Variants[0].Tests = []TestDone{{Test: "a"}, {Test: "a"}} },
		"variants[0].tests[0].passed":                        func(j *Job) { j.Variants[0].Tests = []TestDone{{Test: "a", Passed: "maybe"}} },
		"handover.papers[0].kind":                            func(j *Job) { j.Handover.Papers = []Paper{{ID: "p", Name: "P", Kind: "poem"}} },
		"handover.intervals[0].months":                       func(j *Job) { j.Handover.Intervals = []Interval{{ID: "i", Name: "I", Months: -1}} },
		"handover.signed[0].role":                            func(j *Job) { j.Handover.Signed = []Signature{{ID: "s", Name: "S", Role: "dog"}} },
		"handover.locks[0].name":                             func(j *Job) { j.Handover.Locks = []Locked{{ID: "l"}} },
		"handover.km (J): 10000000 km was given":             func(j *Job) { j.Handover.Km = 1e7 },
	} {
		j := NewJob("j", "J", AustraliaNZ)
		change(&j)
		assert.ErrorContains(t, Validate(&j), want)
	}
}
