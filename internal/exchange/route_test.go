package exchange_test

import (
	"bytes"
	"encoding/xml"
	"fmt"
	"io"
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/trip"
	"zaino/internal/example"
	"zaino/internal/exchange"
)

// Reading what was written gives the same trip: stops and line from GPX, stops from CSV.
func TestATripComesBackAsItWas(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		if len(j.Route.Stops) < 2 {
			return
		}
		for i := range j.Route.Stops { // names without blanks at their ends, and km that make a way
			s := &j.Route.Stops[i]
			s.ID = fmt.Sprint("stop-", i+1)
			s.Note = strings.TrimSpace(s.Note)
		}
		data, err := exchange.WriteGPX(&j)
		require.NoError(t, err)
		read, err := exchange.ReadGPX(bytes.NewReader(data))
		require.NoError(t, err, string(data))
		assert.Equal(t, j.Route.Stops, read.Stops)
		assert.Equal(t, j.Route.Track, cutTo(read.Track, j.Route.Track))

		data, err = exchange.WriteStops(&j)
		require.NoError(t, err)
		rows, err := exchange.ReadStops(string(data))
		require.NoError(t, err, string(data))
		require.Len(t, rows.Rows, len(j.Route.Stops))
		for i, row := range rows.Rows {
			require.NotNil(t, row.Stop, "%v", row.Errors)
			assert.Equal(t, sorted(j.Route.Stops[i]), sorted(*row.Stop), string(data))
		}
	})
}

// cutTo is the line that was read, where one was written.
func cutTo(read, written string) string {
	if written == "" {
		return ""
	}
	return read
}

// sorted has the fuels of a stop in the order of the columns.
func sorted(s fitout.RouteStop) fitout.RouteStop {
	if len(s.Fuels) == 2 && s.Fuels[0].Fuel == fitout.Petrol {
		s.Fuels = []fitout.FuelHad{s.Fuels[1], s.Fuels[0]}
	}
	return s
}

// track is a GPX file with a line of so many points, in two parts, with heights, times that run back
// and extensions of others; and how long an independent sum finds it.
func track(n int) (string, float64) {
	var text strings.Builder
	text.WriteString(
		`<?xml version="1.0" encoding="UTF-8"?><gpx version="1.1" creator="somebody" xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="-26.45" lon="151.3"><name>Ford &amp; pump</name></wpt><trk><name>Way</name><trkseg>`,
	)
	sum, before := 0.0, [3]float64{}
	for i := range n {
		if i == n/2 {
			text.WriteString("</trkseg><trkseg>")
		}
		lat, lon := -26.5+0.1*math.Sin(float64(i)/900), 151+float64(i)*0.0001
		fmt.Fprintf(
			&text,
			`<trkpt lat="%.7f" lon="%.7f"><ele>%d</ele><time>2030-01-01T00:00:%02dZ</time><extensions><a><b>1</b></a></extensions></trkpt>`,
			lat,
			lon,
			i%90,
			59-i%60,
		)
		rad := math.Pi / 180
		now := [3]float64{
			math.Cos(lat*rad) * math.Cos(lon*rad),
			math.Cos(lat*rad) * math.Sin(lon*rad),
			math.Sin(lat * rad),
		}
		if i > 0 && i != n/2 {
			chord := math.Sqrt(
				math.Pow(now[0]-before[0], 2) + math.Pow(now[1]-before[1], 2) + math.Pow(now[2]-before[2], 2),
			)
			sum += 2 * trip.EarthRadius * math.Asin(chord/2)
		}
		before = now
	}
	text.WriteString("</trkseg></trk></gpx>")
	return text.String(), sum
}

// A line is as long as an independent sum of its parts; its waypoint is a stop; what is drawn is thin.
func TestAGPXTrackBecomesAWay(t *testing.T) {
	text, km := track(5000)
	read, err := exchange.ReadGPX(strings.NewReader(text))
	require.NoError(t, err)
	assert.InEpsilon(t, km, read.Km, 0.001)
	assert.Equal(t, 5000, read.Points)
	require.Len(t, read.Stops, 3)
	assert.Equal(t, "Ford & pump", read.Stops[1].Name)
	assert.InDelta(t, read.Km, read.Stops[0].Leg.Km+read.Stops[1].Leg.Km, 0.02)
	points, err := fitout.ParseTrack(read.Track)
	require.NoError(t, err)
	assert.LessOrEqual(t, len(points), 800)
	assert.InDelta(t, read.Km, points[len(points)-1].Km, 0.01, "km are not taken from what is drawn")
	assert.Contains(t, read.Told[0], "2 parts")
}

// What is no way, or lies nowhere, is refused with a sentence; what is odd is read.
func TestOddGPXFiles(t *testing.T) {
	gpx := func(inside string) string { return "<gpx>" + inside + "</gpx>" }
	two := func(a, b string) string {
		return gpx("<trk><trkseg><trkpt " + a + "/><trkpt " + b + "/></trkseg></trk>")
	}
	bomb := `<!DOCTYPE g [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;"><!ENTITY c "&b;&b;&b;">]><gpx><wpt lat="0" lon="0"><name>&c;</name></wpt></gpx>`
	for name, c := range map[string]struct{ text, sentence string }{
		"empty":       {"", "it has no points"},
		"no points":   {gpx(""), "it has no points"},
		"one point":   {gpx(`<trk><trkseg><trkpt lat="1" lon="1"/></trkseg></trk>`), "it has no points"},
		"not XML":     {"stop,km\nhome,12", "it has no points"},
		"other XML":   {"<html></html>", "it begins with <html>"},
		"entities":    {bomb, "it cannot be read"},
		"not a place": {two(`lat="NaN" lon="0"`, `lat="0" lon="0"`), "point 1 lies nowhere"},
		"no place":    {two(`lat="1" lon="1"`, `lat="5"`), "point 2 lies nowhere"},
		"beyond":      {two(`lat="91" lon="0"`, `lat="0" lon="0"`), "point 1 lies nowhere"},
		"endless":     {two(`lat="Inf" lon="0"`, `lat="0" lon="0"`), "point 1 lies nowhere"},
		"deep":        {gpx(strings.Repeat("<extensions>", 80)), "deep in each other"},
		"cut off":     {`<gpx><trk><trkseg><trkpt lat="1" lon="1"/>`, "it cannot be read"},
		"other words": {`<?xml version="1.0" encoding="KOI8-R"?><gpx/>`, "UTF-8 is read"},
	} {
		_, err := exchange.ReadGPX(strings.NewReader(c.text))
		assert.ErrorContains(t, err, c.sentence, name)
		assert.ErrorContains(t, err, "accepted is a GPX file", name)
	}
	read, err := exchange.ReadGPX(strings.NewReader(two(`lat="10" lon="179.9"`, `lat="10" lon="-179.9"`)))
	require.NoError(t, err)
	assert.InDelta(t, 0.2*111.195*math.Cos(10*math.Pi/180), read.Km, 0.1, "over the date line the short way")
	read, err = exchange.ReadGPX(strings.NewReader(two(`lat="90" lon="0"`, `lat="89" lon="77"`)))
	require.NoError(t, err)
	assert.InDelta(t, 111.195, read.Km, 0.01, "from the pole")
	read, err = exchange.ReadGPX(
		strings.NewReader(
			gpx(`<wpt lat="0" lon="0"/><wpt lat="0" lon="1"><name>` + strings.Repeat("ü", 300) + `</name></wpt>`),
		),
	)
	require.NoError(t, err)
	assert.Contains(t, read.Told[0], "as the crow flies")
	assert.Len(t, []rune(read.Stops[1].Name), 120)
}

// endless gives bytes without end.
type endless struct{ begun bool }

func (e *endless) Read(p []byte) (int, error) {
	if !e.begun {
		e.begun = true
		return copy(p, "<gpx><name>"), nil
	}
	for i := range p {
		p[i] = 'a'
	}
	return len(p), nil
}

func TestAnEndlessGPXFileIsRefused(t *testing.T) {
	_, err := exchange.ReadGPX(&endless{})
	assert.ErrorContains(t, err, "larger than that")
}

// What is written is GPX that others read: one root, waypoints with what to do there.
func TestGPXIsWellFormed(t *testing.T) {
	j := example.Travelling()
	a, b := fitout.NewStop("a", "Home <&>"), fitout.NewStop("b", "Ford")
	a.Place, b.Place = &fitout.Place{
		Latitude:  -26.5,
		Longitude: 151.2,
	}, &fitout.Place{
		Latitude:  -26.9,
		Longitude: 151.8,
	}
	a.Fuels, a.Leg.Km = []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 19500}}, 80
	j.Route.Stops = []fitout.RouteStop{a, b}
	data, err := exchange.WriteGPX(&j)
	require.NoError(t, err)
	var file struct {
		Waypoints []struct {
			Lat  float64 `xml:"lat,attr"`
			Name string  `xml:"name"`
			Desc string  `xml:"desc"`
		} `xml:"wpt"`
		Route []struct {
			Name string `xml:"name"`
		} `xml:"rte>rtept"`
	}
	require.NoError(t, xml.Unmarshal(data, &file))
	require.Len(t, file.Waypoints, 2)
	assert.Equal(t, "Home <&>", file.Waypoints[0].Name)
	assert.Contains(t, file.Waypoints[0].Desc, "Fill fuel tank to 75\u00a0L")
	assert.Len(t, file.Route, 2)
}

// A CSV of stops tells of every row what is wrong with it.
func TestStopsInCSV(t *testing.T) {
	read, err := exchange.ReadStops(
		"Stop;km;diesel;water;sure;closed;wind\nHome;120,5;1,95;hose;sure;;\nFord;x;;river;maybe;sun;2\n;10;;;;;\n",
	)
	require.NoError(t, err)
	require.Len(t, read.Rows, 3)
	assert.Equal(t, 1, read.Good)
	assert.Equal(t, 120.5, read.Rows[0].Stop.Leg.Km)
	assert.Equal(t, []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 19500}}, read.Rows[0].Stop.Fuels)
	assert.Contains(t, strings.Join(read.Rows[1].Errors, " "), `km: "x" is not a number`)
	assert.Contains(t, strings.Join(read.Rows[2].Errors, " "), "name")
	for text, sentence := range map[string]string{"": "the file is empty", "a,b\n1,2": "needed are stop and km", "stop,km\n\"x": "line 2 cannot be read"} {
		_, err := exchange.ReadStops(text)
		assert.ErrorContains(t, err, sentence)
	}
}

// The workbook and the pages have every stop.
func TestTheRangeSheetHasEveryStop(t *testing.T) {
	j := example.Travelling()
	for i, name := range []string{"Home", "Ford", "Far end"} {
		s := fitout.NewStop(fmt.Sprint("s", i), name)
		s.Leg.Km, s.Fuels = 100, []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 20000}}
		j.Route.Stops = append(j.Route.Stops, s)
	}
	data, err := exchange.WriteRangeXLSX(&j)
	require.NoError(t, err)
	book, err := excelize.OpenReader(bytes.NewReader(data))
	require.NoError(t, err)
	rows, err := book.GetRows("Stops")
	require.NoError(t, err)
	require.Len(t, rows, 4)
	assert.Equal(t, "Far end", rows[3][0])
	pdf, err := exchange.WriteRangePDF(&j)
	require.NoError(t, err)
	assert.True(t, bytes.HasPrefix(pdf, []byte("%PDF")))
}

func BenchmarkReadGPXOf100000Points(b *testing.B) {
	text, _ := track(100_000)
	for b.Loop() {
		if _, err := exchange.ReadGPX(io.MultiReader(strings.NewReader(text))); err != nil {
			b.Fatal(err)
		}
	}
}

// Whatever bytes come, a GPX file is refused with a sentence or read into stops that a job may have.
func FuzzReadGPX(f *testing.F) {
	text, _ := track(6)
	f.Add([]byte(text))
	f.Add(
		[]byte(
			`<gpx><wpt lat="0" lon="0"/><wpt lat="1" lon="1"><name>x</name></wpt><rte><rtept lat="2" lon="2"/></rte></gpx>`,
		),
	)
	f.Add(
		[]byte(
			"<gpx><trk><trkseg><trkpt lat=\"90\" lon=\"-180\"/><trkpt lat=\"-90\" lon=\"180\"/></trkseg></trk></gpx>",
		),
	)
	f.Fuzz(func(t *testing.T, data []byte) {
		read, err := exchange.ReadGPX(bytes.NewReader(data))
		if err != nil {
			assert.Contains(t, err.Error(), "accepted is a GPX file")
			return
		}
		j := fitout.NewJob("fuzz", "Fuzz", fitout.AustraliaNZ)
		j.Route.Stops, j.Route.Track = read.Stops, read.Track
		assert.NoError(t, fitout.Validate(&j))
	})
}

// Whatever text comes, a CSV of stops is refused with a sentence or read into stops that a job may have.
func FuzzReadStops(f *testing.F) {
	f.Add("stop,km,closed,surfaces,diesel\nA,1,sun mon,sealed:50,2.1\nB,0,,,yes\n")
	f.Fuzz(func(t *testing.T, text string) {
		read, err := exchange.ReadStops(text)
		if err != nil {
			assert.NotEmpty(t, err.Error())
			return
		}
		j := fitout.NewJob("fuzz", "Fuzz", fitout.AustraliaNZ)
		for i, row := range read.Rows {
			if row.Stop != nil {
				row.Stop.ID = fmt.Sprint("s", i)
				j.Route.Stops = append(j.Route.Stops, *row.Stop)
			} else {
				assert.NotEmpty(t, row.Errors)
			}
		}
		assert.NoError(t, fitout.Validate(&j))
	})
}

// A line of very many points is refused with a sentence, before it fills the memory.
func TestTooManyPointsAreRefused(t *testing.T) {
	text := "<gpx><trk><trkseg>" + strings.Repeat(`<trkpt lat="1" lon="1"/>`, 500_001)
	_, err := exchange.ReadGPX(strings.NewReader(text))
	assert.ErrorContains(t, err, "more than 500000 points")
}
