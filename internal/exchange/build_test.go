package exchange

import (
	"archive/zip"
	"bytes"
	"encoding/csv"
	"encoding/xml"
	"io"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
	"pgregory.net/rapid"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/demo"
)

func demoJob(t *testing.T, id string) *fitout.Job {
	t.Helper()
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for i := range jobs {
		if jobs[i].ID == id {
			return &jobs[i]
		}
	}
	t.Fatal(id)
	return nil
}

// The cut list as CSV counts every panel once, and its areas are those of the plan.
func TestTheCutListHasEveryPanel(t *testing.T) {
	j := demoJob(t, "river-gauging")
	_, v := built(j)
	data, err := WriteCutCSV(j)
	require.NoError(t, err)
	r := csv.NewReader(bytes.NewReader(data))
	r.FieldsPerRecord = -1
	rows, err := r.ReadAll()
	require.NoError(t, err)
	count, area := 0, 0.0
	for _, row := range rows[2:] {
		n, err := strconv.Atoi(row[1])
		require.NoError(t, err)
		length, _ := strconv.ParseFloat(row[4], 64)
		width, _ := strconv.ParseFloat(row[5], 64)
		assert.Len(t, strings.Fields(row[0]), n, "as many marks as panels")
		count += n
		area += float64(n) * length * width / 1e6
	}
	want := 0.0
	for _, p := range v.Panels {
		want += p.CutLength * p.CutWidth / 1e6
	}
	assert.Equal(t, len(v.Panels), count)
	assert.InDelta(t, want, area, 0.01)
}

// The workbook has figures as figures, and formulas that give the total of the quote.
func TestTheWorkbookAddsUp(t *testing.T) {
	for _, id := range []string{"river-gauging", "sound-recordist", "queen-bees"} {
		j := demoJob(t, id)
		_, v := built(j)
		data, err := WriteBuildXLSX(j)
		require.NoError(t, err)
		f, err := excelize.OpenReader(bytes.NewReader(data))
		require.NoError(t, err)
		rows, err := f.GetRows("Cost")
		require.NoError(t, err)
		last := "E" + strconv.Itoa(len(rows))
		text, err := f.GetCellFormula("Cost", last)
		require.NoError(t, err)
		assert.NotEmpty(t, text, "a formula, not a figure")
		total, err := f.CalcCellValue("Cost", last)
		require.NoError(t, err)
		value, err := strconv.ParseFloat(total, 64)
		require.NoError(t, err)
		assert.InDelta(t, float64(v.Quote.Total)/100, value, 0.005, id)
		kind, err := f.GetCellType("Cut list", "D2")
		require.NoError(t, err)
		assert.NotEqual(t, excelize.CellTypeSharedString, kind, "lengths are numbers")
	}
}

// Each DXF has only closed outlines, cuts on their layer, as large as the panel; of a sheet all its pieces.
func TestTheRouterGetsClosedOutlines(t *testing.T) {
	j := demoJob(t, "river-gauging")
	_, v := built(j)
	data, err := WriteBuildDXF(j)
	require.NoError(t, err)
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	pieces := 0
	for _, f := range z.File {
		r, err := f.Open()
		require.NoError(t, err)
		text, err := io.ReadAll(r)
		require.NoError(t, err)
		lines := strings.Split(strings.ReplaceAll(string(text), "\r\n", "\n"), "\n")
		outlines, closed, cuts := 0, 0, 0
		for k := 0; k+1 < len(lines); k += 2 {
			if lines[k+1] != "POLYLINE" {
				continue
			}
			outlines++
			for n := k + 2; n+1 < len(lines) && lines[n] != "0"; n += 2 {
				if lines[n] == "70" && lines[n+1] == "1" {
					closed++
				}
				if lines[n] == "8" && lines[n+1] == layerCut {
					cuts++
				}
			}
		}
		assert.Positive(t, outlines, f.Name)
		assert.Equal(t, outlines, closed, "%s: every outline is closed", f.Name)
		if strings.HasPrefix(f.Name, "sheet") {
			pieces += cuts
		} else {
			assert.Equal(t, 1, cuts, f.Name)
		}
	}
	assert.Equal(t, len(v.Panels), pieces)
}

// PDFs are written whole with their letters in them, whatever things are called.
func TestPapersAreWritten(t *testing.T) {
	j := demoJob(t, "queen-bees")
	j.Variants[0].Items[3].Name = "=SUM(1) „Ω“ ∓ 🛻"
	steps := func(j *fitout.Job) ([]byte, error) { return WriteStepsPDF(j, "") }
	labels := func(j *fitout.Job) ([]byte, error) { return WriteLabels(j, Labels24, "http://127.0.0.1:8347") }
	empty := fitout.NewJob("empty", "Empty", fitout.AustraliaNZ)
	for name, write := range map[string]func(*fitout.Job) ([]byte, error){"cut": WriteCutPDF, "buy": WriteBuyPDF, "quote": WriteQuotePDF,
		"assembly": WriteAssemblyPDF, "tags": WriteTagsPDF, "steps": steps, "labels": labels} {
		for _, job := range []*fitout.Job{j, &empty} {
			data, err := write(job)
			require.NoError(t, err, name)
			assert.True(t, bytes.HasPrefix(data, []byte("%PDF")), name)
		}
		data, _ := write(j)
		assert.Contains(t, string(data), "/FontFile2", "%s has its letters in it", name)
	}
}

// A template is at full size on as many pages as it takes; each has its line of 100 mm.
func TestATemplateIsTiled(t *testing.T) {
	j := demoJob(t, "sound-recordist")
	pages := func(of string, paper Paper) int {
		data, err := WriteTemplatePDF(j, of, paper)
		require.NoError(t, err)
		return len(regexp.MustCompile(`/Type /Page\b[^s]`).FindAll(data, -1))
	}
	bay := &j.Vehicle.Bays[0]
	// On A3 a page shows 396 × 263 mm, of which 10 lie under the next.
	o, known := outlineOf(j, bay.ID)
	require.True(t, known)
	low, high := o.bounds()
	want := tiles(high.X-low.X, 420-24) * tiles(high.Y-low.Y, 297-34)
	assert.Equal(t, want, pages(bay.ID, A3))
	assert.Greater(t, pages(bay.ID, A4), want)
	assert.Equal(t, 1, tiles(396, 396))
	assert.Equal(t, 2, tiles(397, 396))
	assert.Equal(t, 3, tiles(396+386+1, 396))
	_, err := WriteTemplatePDF(j, "nothing", A4)
	assert.ErrorContains(t, err, "the mark of a panel")
}

// The outline of a floor goes around its arches and follows its walls as they were measured.
func TestTheFloorGoesAroundItsArches(t *testing.T) {
	bay := fitout.Bay{
		ID:          "tub",
		Name:        "Tub",
		At:          fitout.Point{X: 2000, Y: 0},
		LengthLeft:  1500,
		LengthRight: 1500,
		WidthFront:  1400,
		WidthRear:   1400,
		Obstacles: []fitout.Obstacle{
			{ID: "a", Kind: fitout.WheelArch, Side: fitout.Left, Front: 500, Length: 600, Width: 200, Height: 250},
		},
	}
	o := floorOutline(&bay)
	area := func(line []spot) float64 {
		sum := 0.0
		for k, p := range line {
			q := line[(k+1)%len(line)]
			sum += p.X*q.Y - q.X*p.Y
		}
		if sum < 0 {
			sum = -sum
		}
		return sum / 2
	}
	assert.InDelta(t, 1500*1400-600*200, area(o.Lines[0]), 30)
	bay.Walls = []fitout.CurvedWall{
		{
			ID:      "w",
			Side:    fitout.Right,
			Offsets: []fitout.Offset{{ID: "a", At: 0}, {ID: "b", At: 750, Off: 40}, {ID: "c", At: 1500}},
		},
	}
	assert.InDelta(t, 1500*1400-600*200+1500*40/2, area(floorOutline(&bay).Lines[0]), 30)
}

// A price list that was written is read back as it was, and each line that cannot be taken says why.
func TestPriceListsComeIn(t *testing.T) {
	j := demoJob(t, "river-gauging")
	data, err := WritePrices(j)
	require.NoError(t, err)
	read, err := ReadPrices(data, j)
	require.NoError(t, err)
	assert.Equal(t, len(read.Rows), read.Good)
	var sheets []fitout.Sheet
	var bars []fitout.Profile
	var goods []fitout.Goods
	for _, row := range read.Rows {
		assert.True(t, row.Known)
		switch {
		case row.Sheet != nil:
			sheets = append(sheets, *row.Sheet)
		case row.Bar != nil:
			bars = append(bars, *row.Bar)
		default:
			goods = append(goods, *row.Goods)
		}
	}
	assert.Equal(t, j.Build.Sheets, sheets)
	assert.Equal(t, j.Build.Bars, bars)
	assert.Equal(t, j.Build.Goods, goods)

	bad, err := ReadPrices([]byte("What;Name;Price;Material;Thickness;Length;Width;Have\n"+
		"sheet;Ply;0;plywood;12;2440;1220;1\nsheet;Ply;-5;plywood;12;2440;1220;1\nsheet;Ply;9,50;oak;12;2440;1220;1\n"+
		"hinge;;1;;;;;\nscrew;Screws;12,5;;;;;\nwing;Thing;1;;;;;\nsheet;Ply;5;plywood;12;2440;1220;1.5\n"), j)
	require.NoError(t, err)
	assert.Equal(t, 1, bad.Good)
	for k, want := range []string{"accepted is more than 0", "accepted is more than 0", "one of plywood", "an empty text", "", "sheet, bar, or", "a whole number"} {
		if want == "" {
			assert.Empty(t, bad.Rows[k].Errors)
			assert.Equal(t, 1250, bad.Rows[k].Goods.Price)
			continue
		}
		assert.Contains(t, strings.Join(bad.Rows[k].Errors, "; "), want, "line %d", bad.Rows[k].Line)
	}
	for _, refused := range []string{"", "a;b\n1;2\n", "PK\x03\x04nothing", "\xff\xfe"} {
		_, err := ReadPrices([]byte(refused), j)
		assert.Error(t, err, "%q", refused)
	}
}

// A price list comes in from a workbook too.
func TestPriceListsComeInFromAWorkbook(t *testing.T) {
	f := excelize.NewFile()
	require.NoError(t, f.SetSheetRow("Sheet1", "A1", &[]any{"what", "name", "price", "pack"}))
	require.NoError(t, f.SetSheetRow("Sheet1", "A2", &[]any{"screw", "Screws 4 × 40", 14.5, 200}))
	out, err := f.WriteToBuffer()
	require.NoError(t, err)
	j := fitout.NewJob("j", "J", fitout.AustraliaNZ)
	read, err := ReadPrices(out.Bytes(), &j)
	require.NoError(t, err)
	require.Equal(t, 1, read.Good, "%+v", read.Rows)
	assert.Equal(
		t,
		fitout.Goods{ID: "screws-4-40", Name: "Screws 4 × 40", What: fitout.ScrewGoods, Pack: 200, Price: 1450},
		*read.Rows[0].Goods,
	)
}

// Whatever a price list is filled with, it is read or refused with a sentence.
func TestNoPriceListBreaksTheReader(t *testing.T) {
	j := fitout.NewJob("j", "J", fitout.AustraliaNZ)
	rapid.Check(t, func(t *rapid.T) {
		text := "what,name,price,length,have\n" + rapid.StringN(0, 200, 400).Draw(t, "text")
		if read, err := ReadPrices([]byte(text), &j); err == nil {
			for _, row := range read.Rows {
				if (len(row.Errors) == 0) != (row.Sheet != nil || row.Bar != nil || row.Goods != nil) {
					t.Fatalf("line %d has neither a thing nor an error: %+v", row.Line, row)
				}
			}
		}
	})
}

// A workshop that thinks in inches gets its cut list in them, fine enough to cut by.
func TestTheCutListIsInTheUnitsOfTheJob(t *testing.T) {
	data, err := WriteCutCSV(demoJob(t, "queen-bees"))
	require.NoError(t, err)
	assert.Contains(t, string(data), "length in")
	assert.Contains(t, string(data), "34.000,20.000,0.079", "the tray of 863.6 × 508 × 2 mm")
}

// The steps of one person are theirs alone; those of all are all.
func TestStepsOfOnePerson(t *testing.T) {
	j := demoJob(t, "river-gauging")
	all, err := WriteStepsPDF(j, "")
	require.NoError(t, err)
	one, err := WriteStepsPDF(j, "Ines Okoye, electrician")
	require.NoError(t, err)
	nobody, err := WriteStepsPDF(j, "Nobody")
	require.NoError(t, err)
	assert.Less(t, len(one), len(all))
	assert.Less(t, len(nobody), len(one))
}

// Every panel and profile that is made here has a label: as many sheets as it takes of each kind.
func TestLabelsForEveryPanel(t *testing.T) {
	j := demoJob(t, "queen-bees")
	_, v := built(j)
	n := len(v.Panels) + len(v.Rods)
	for sheet, on := range map[LabelSheet]int{Labels24: 24, Labels14: 14, Labels30: 30} {
		data, err := WriteLabels(j, sheet, "http://127.0.0.1:8347/")
		require.NoError(t, err)
		pages := len(regexp.MustCompile(`/Type /Page\b[^s]`).FindAll(data, -1))
		assert.Equal(t, (n+on-1)/on, pages, "%d labels, %s to a sheet", n, sheet)
	}
	_, err := WriteLabels(j, "12", "http://x")
	assert.ErrorContains(t, err, "24, 14 or 30")
}

// The picture of the sheets has every piece, and names that would break it do not.
func TestSheetsAsAPicture(t *testing.T) {
	j := demoJob(t, "river-gauging")
	j.Build.Sheets[0].Name = `Ply <b>"&'`
	data, err := WriteSheetsSVG(j)
	require.NoError(t, err)
	_, v := built(j)
	sheets := 0
	for _, g := range v.Groups {
		sheets += len(g.Sheets)
	}
	assert.Equal(t, len(v.Panels)+sheets, strings.Count(string(data), "<rect"))
	decoder := xml.NewDecoder(bytes.NewReader(data))
	for {
		if _, err := decoder.Token(); err != nil {
			assert.ErrorIs(t, err, io.EOF)
			break
		}
	}
}

// The workbook has what is bought with its supplier, and every step with its day.
func TestTheWorkbookHasItAll(t *testing.T) {
	j := demoJob(t, "river-gauging")
	_, v := built(j)
	data, err := WriteBuildXLSX(j)
	require.NoError(t, err)
	f, err := excelize.OpenReader(bytes.NewReader(data))
	require.NoError(t, err)
	assert.Equal(t, []string{"Cut list", "Bars", "Buy", "Cost", "Steps"}, f.GetSheetList())
	buy, err := f.GetRows("Buy")
	require.NoError(t, err)
	assert.Len(t, buy, 1+len(v.Buy))
	text := ""
	for _, row := range buy {
		text += strings.Join(row, "|") + "\n"
	}
	assert.Contains(t, text, "Cold Chain Supply|CF-62|9")
	steps, err := f.GetRows("Steps")
	require.NoError(t, err)
	assert.Len(t, steps, 2+len(v.Steps))
	hours, err := f.CalcCellValue("Steps", "D"+strconv.Itoa(len(steps)))
	require.NoError(t, err)
	sum := 0.0
	for _, s := range v.Steps {
		sum += s.Minutes / 60
	}
	value, err := strconv.ParseFloat(hours, 64)
	require.NoError(t, err)
	assert.InDelta(t, sum, value, 0.01)
}

// A panel's template has its holes where they were entered, rounded as they were, and turned pieces keep theirs.
func TestHolesOfAPanel(t *testing.T) {
	j := demoJob(t, "river-gauging")
	_, v := built(j)
	for k := range v.Panels {
		p := &v.Panels[k]
		o := panelOutline(p)
		assert.Len(t, o.Marked, len(p.Holes))
		for _, line := range o.Lines {
			for _, at := range line {
				assert.True(
					t,
					at.X >= -1e-6 && at.X <= p.CutLength+1e-6 && at.Y >= -1e-6 && at.Y <= p.CutWidth+1e-6,
					"%s",
					p.Mark,
				)
			}
		}
	}
	corner := roundedRect(100, 50, 60, 40, 10)
	assert.Len(t, corner, 28, "seven points to a corner")
	for _, p := range corner {
		assert.LessOrEqual(t, max(p.X-130, 70-p.X, p.Y-70, 30-p.Y), 1e-9)
	}
	assert.Len(t, roundedRect(100, 50, 60, 40, 0), 4)
	d := newDXF(nil, routerLayers...)
	d.panel(&build.CutPanel{Mark: "1", CutLength: 300, CutWidth: 200,
		Holes: []fitout.Hole{{U: 40, V: 150, Length: 30}}}, 1000, 2000, true)
	text := strings.ReplaceAll(string(d.bytes()), "\r\n", "\n")
	assert.Contains(t, text, "CIRCLE\n8\nDRILL\n10\n1150.000\n20\n2040.000\n40\n15.000")
}
