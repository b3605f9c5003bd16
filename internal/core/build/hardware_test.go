package build_test

import (
	"context"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/build"
	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
)

// counted is how much of each kind of hardware a job takes.
func counted(v *build.BuildView) map[fitout.What]float64 {
	all := map[fitout.What]float64{}
	for _, n := range v.Hardware {
		all[n.What] += n.Count
	}
	return all
}

// chest is a lidded box 1000 long, 500 wide, 400 high of 12 mm plywood.
func chest(change ...func(*fitout.Item)) fitout.Item {
	i := unit()
	i.ID, i.Name, i.Size, i.At.Z = "chest", "Chest", fitout.Size{Length: 1000, Width: 500, Height: 400}, 1100
	i.Module = &fitout.Module{
		Kind:    fitout.LiddedBox,
		Faces:   fitout.FaceRear,
		Wall:    fitout.Plywood,
		Panel:   12,
		Runner:  fitout.NoRunner,
		Stack:   fitout.Beside,
		Latch:   fitout.RatedLatch,
		Struts:  2,
		Fixings: []fitout.Fixing{},
		Cells:   []fitout.Cell{{ID: "a", Name: "Chest"}},
	}
	for _, c := range change {
		c(&i)
	}
	return i
}

// A chest by hand: two hinges for a lid as wide as its face of 500; one latch, one handle; what is glued and screwed
// are twelve joints; lining on the bottom and four sides.
func TestHardwareOfAChestByHand(t *testing.T) {
	j := bench(chest(func(i *fitout.Item) { i.Module.Lining, i.Module.Finish = 3, fitout.OilFinish }))
	j.Build.Shop.Coats, j.Build.Shop.Paint = 2, 0.1
	v := view(&j)
	n := counted(&v)
	assert.Equal(t, 2.0, n[fitout.HingeGoods])
	assert.Equal(t, 2.0, n[fitout.StrutGoods])
	assert.Equal(t, 1.0, n[fitout.LatchGoods])
	assert.Equal(t, 1.0, n[fitout.HandleGoods])
	// Sides of 1000 on lid and bottom: 7 screws each; ends of 476: 4 each; ends on sides along 376: 3 each.
	assert.Equal(t, 4*7.0+4*4+4*3, n[fitout.ScrewGoods])
	metres := 4*1.0 + 4*0.476 + 4*0.376
	assert.InDelta(t, metres*0.03, n[fitout.Adhesive], 1e-9)
	assert.InDelta(t, 1.0*0.5+2*0.4*(1.0+0.5), n[fitout.LiningGoods], 1e-9)
	// Both faces of lid and bottom 1000 × 500, sides 1000 × 376, ends 476 × 376.
	area := 2*1.0*0.5 + 2*1.0*0.376 + 2*0.476*0.376
	assert.InDelta(t, 2*area*2*0.1, n[fitout.PaintGoods], 1e-9)
	for _, none := range []fitout.What{fitout.RunnerBall, fitout.Bracket, fitout.SlotNut, fitout.HingeBlock, fitout.Edging} {
		assert.Zero(t, n[none], "%s", none)
	}
}

// A wide lid takes a hinge for each 600, a heavy one for each 8 kg.
func TestHingesByLengthAndMass(t *testing.T) {
	hinges := func(change func(*fitout.Item)) float64 {
		j := bench(chest(change))
		v := view(&j)
		return counted(&v)[fitout.HingeGoods]
	}
	assert.Equal(t, 2.0, hinges(func(i *fitout.Item) { i.Size.Width = 1200 }))
	assert.Equal(t, 3.0, hinges(func(i *fitout.Item) { i.Size.Width = 1210 }))
	// A lid 1000 × 500 of 12 mm aluminium weighs 16.2 kg: three hinges bear 24.
	assert.Equal(t, 3.0, hinges(func(i *fitout.Item) { i.Module.Wall = fitout.Aluminium }))
}

// What holds panels together goes by what they are: plywood is screwed and glued, foam core bonded on both faces,
// sheet welded.
func TestWhatHoldsByMaterial(t *testing.T) {
	of := func(wall fitout.Material) map[fitout.What]float64 {
		j := bench(chest(func(i *fitout.Item) { i.Module.Wall = wall }))
		v := view(&j)
		return counted(&v)
	}
	ply, foam, sheet := of(fitout.Plywood), of(fitout.FoamCore), of(fitout.Aluminium)
	assert.Positive(t, ply[fitout.ScrewGoods])
	assert.InDelta(t, 2*ply[fitout.Adhesive], foam[fitout.Adhesive], 1e-9)
	assert.Zero(t, foam[fitout.ScrewGoods])
	assert.Zero(t, sheet[fitout.ScrewGoods]+sheet[fitout.Adhesive])
}

// The runner is the longest that is not longer than the drawer, of the lengths that the workshop keeps.
func TestTheNextShorterRunner(t *testing.T) {
	lengths := fitout.NewBuild().Runners
	for drawer, want := range map[float64]float64{889: 850, 900: 900, 899.9: 850, 300: 300, 299: 0, 5000: 1000} {
		assert.Equal(t, want, module.StandardRunner(lengths, drawer).Length, "%.1f", drawer)
	}
	assert.Zero(t, module.StandardRunner(nil, 900).Length)
	rapid.Check(t, func(t *rapid.T) {
		drawer := rapid.Float64Range(50, 2000).Draw(t, "drawer")
		got := module.StandardRunner(lengths, drawer).Length
		if got > drawer+1e-6 {
			t.Fatalf("a runner of %.0f for a drawer of %.1f", got, drawer)
		}
		for _, l := range lengths {
			if l.Length <= drawer && l.Length > got {
				t.Fatalf("%.0f would do for %.1f, not only %.0f", l.Length, drawer, got)
			}
		}
	})
}

// What is in stock is not bought, packs are whole, and what the build takes is asked for by the piece.
func TestStockPacksAndPrices(t *testing.T) {
	j := bench(chest())
	j.Build.Goods = []fitout.Goods{
		{ID: "s", Name: "Screws", What: fitout.ScrewGoods, Pack: 50, Price: 1000, Have: 3},
		{ID: "h", Name: "Hinges", What: fitout.HingeGoods, Price: 700, Have: 5},
	}
	v := view(&j)
	line := map[string]build.Purchase{}
	for _, p := range v.Buy {
		line[p.Name] = p
	}
	screws := line["Screws"]
	assert.Equal(t, 56.0, screws.Needed)
	assert.Equal(t, 2, screws.Buy, "53 are missing: two packs of 50")
	assert.Equal(t, "packs", screws.Of)
	assert.Equal(t, 1120, screws.Sum, "56 of 50 for 10.00")
	assert.Equal(t, 0, line["Hinges"].Buy)
	assert.Equal(t, 2.0, line["Hinges"].Have, "no more than is needed")
	assert.Equal(t, 1400, line["Hinges"].Sum, "what is in stock is paid too")
}

// A runner of its own length is taken before one of any length.
func TestAPriceOfTheRightLengthIsTaken(t *testing.T) {
	j := bench(unit())
	j.Build.Goods = []fitout.Goods{
		{ID: "any", Name: "Any", What: fitout.RunnerBall, Price: 100},
		{ID: "long", Name: "Long", What: fitout.RunnerBall, Length: 900, Price: 200},
		{ID: "right", Name: "Right", What: fitout.RunnerBall, Length: 850, Price: 300},
	}
	v := view(&j)
	require.NotEmpty(t, v.Hardware)
	assert.Equal(t, "Right", v.Hardware[0].Name)
	j.Build.Goods = j.Build.Goods[:2]
	v = view(&j)
	assert.Equal(t, "Any", v.Hardware[0].Name, "one of another length does not do")
}

// The quote of a small job by hand.
func TestAQuoteOfAJobByHand(t *testing.T) {
	j := bench(chest())
	b := &j.Build
	b.Sheets = []fitout.Sheet{
		{
			ID:        "ply",
			Name:      "Ply",
			Of:        fitout.Plywood,
			Thickness: 12,
			Length:    2440,
			Width:     1220,
			Price:     9000,
			More:      true,
		},
	}
	b.Goods = []fitout.Goods{{ID: "h", Name: "Hinge", What: fitout.HingeGoods, Price: 750}}
	b.Money = fitout.Money{MarkUp: 0.2, Rate: 6000, Tax: 0.1, Decimals: 2}
	v := view(&j)
	assert.Equal(t, 9000, v.Quote.Material, "2.6 m² on one sheet of 2.9")
	assert.Equal(t, 1500, v.Quote.Hardware)
	assert.Equal(t, 12600, v.Quote.Parts, "105.00 · 1.2")
	minutes := 0.0
	for _, s := range v.Steps {
		minutes += s.Minutes * math.Max(1, float64(s.People))
	}
	hours := math.Ceil(minutes/15) / 4
	assert.InDelta(t, hours, v.Hours, 1e-9, "by quarters of an hour, up")
	assert.Equal(t, int(math.Round(hours*6000)), v.Quote.Work)
	assert.Equal(t, v.Quote.Parts+v.Quote.Work, v.Quote.Net)
	assert.Equal(t, int(math.Floor(float64(v.Quote.Net)/10+0.5)), v.Quote.Tax)
}

// A part made elsewhere is not cut here and costs what is asked for it; one that is reused is neither bought nor cut.
func TestWhatIsMadeElsewhere(t *testing.T) {
	how := func(how fitout.HowMade, cents int) build.BuildView {
		j := bench(chest(func(i *fitout.Item) {
			i.Making = &fitout.Making{How: how, Ways: []fitout.MakeWay{{How: how, Cost: cents, Proof: "drawing"}}}
		}))
		return view(&j)
	}
	out := how(fitout.MadeOut, 50000)
	assert.Empty(t, out.Groups)
	assert.Len(t, out.Panels, 6, "its cut list goes to whoever cuts it")
	assert.Equal(t, 50000, out.Quote.Bought)
	reused := how(fitout.MadeReused, 0)
	assert.Empty(t, reused.Panels)
	assert.Empty(t, reused.Buy)
	assert.Zero(t, reused.Quote.Total)
	bought := how(fitout.MadeBought, 30000)
	require.Len(t, bought.Buy, 1)
	assert.Equal(t, "whole part", bought.Buy[0].Of)
}

// Whatever is built: every line of the purchase list adds up in the quote, and nothing needed is negative.
func TestThePurchaseListIsTheQuote(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := bench(unit(func(i *fitout.Item) {
			i.Size.Length = float64(rapid.IntRange(400, 1500).Draw(t, "length"))
			i.Size.Width = float64(rapid.IntRange(300, 1100).Draw(t, "width"))
		}), rack(), chest(func(i *fitout.Item) {
			i.Module.Wall = rapid.SampledFrom([]fitout.Material{fitout.Plywood, fitout.Aluminium, fitout.FoamCore}).
				Draw(t, "wall")
		}))
		for _, what := range []fitout.What{fitout.RunnerBall, fitout.ScrewGoods, fitout.HingeGoods, fitout.SlotNut, fitout.Bracket} {
			j.Build.Goods = append(j.Build.Goods, fitout.Goods{ID: string(what), Name: string(what), What: what,
				Pack: float64(
					rapid.IntRange(0, 100).Draw(t, "pack"),
				), Price: rapid.IntRange(0, 20000).Draw(t, "price"),
				Have: float64(rapid.IntRange(0, 50).Draw(t, "have"))})
		}
		v := build.ViewOf(context.Background(), plan.Of(&j), cut.Quick, nil)
		sum := 0
		for _, p := range v.Buy {
			if p.Needed <= 0 || p.Buy < 0 || p.Have < 0 || p.Have > p.Needed+1e-9 {
				t.Fatalf("%+v", p)
			}
			sum += p.Sum
		}
		if want := v.Quote.Material + v.Quote.Hardware + v.Quote.Bought; sum != want {
			t.Fatalf("the list comes to %d, the quote to %d", sum, want)
		}
	})
}
