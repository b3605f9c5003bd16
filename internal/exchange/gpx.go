package exchange

import (
	"bytes"
	"encoding/json"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
	"unicode/utf8"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
)

// Of a GPX file: how large it may be, how many points and waypoints it may have, how deep its
// elements may lie in each other, and how long a name may be.
const (
	MaxGPX       = 100 << 20
	maxPoints    = 500_000
	maxWaypoints = 150
	maxDepth     = 60
	maxText      = 41000
)

// drawnPoints is how many points of a line are kept for drawing.
const drawnPoints = 800

// stopSpace is the name space in which our own files keep all of a stop.
const stopSpace = "urn:zaino:stop:1"

// GPXRead is a GPX file as it was understood. Nothing is changed by it.
type GPXRead struct {
	Km     float64            `json:"km" doc:"along the line, by every point of it"`
	Points int                `json:"points" doc:"of the line"`
	Stops  []fitout.RouteStop `json:"stops" doc:"its ends and waypoints, with the legs between them"`
	Track  string             `json:"track" doc:"the line, thinned for drawing"`
	Told   []string           `json:"told" doc:"what there is to know about how it was read"`
}

// ReadGPX reads tracks, routes and waypoints of a GPX 1.1 file. Tracks come before routes; their
// parts are joined, and what lies between two parts is not counted. Times, heights and extensions of
// others are passed over. What is no GPX, has no points, or has a point that lies nowhere is refused
// with a sentence.
func ReadGPX(in io.Reader) (GPXRead, error) {
	r := gpxReader{}
	if err := r.read(io.LimitReader(in, MaxGPX+1)); err != nil {
		return GPXRead{}, err
	}
	return r.result()
}

type gpxReader struct {
	track, route []fitout.TrackPoint
	parts        int // of tracks
	gap          float64
	fresh        bool // the next point begins a part
	waypoints    []trip.Waypoint
	exact        []fitout.RouteStop
	own          string // line of our own files
	told         []string
	many         bool
}

// refusal is why a file is not read, with what would be.
func refusal(format string, args ...any) error {
	return fmt.Errorf("%s; accepted is a GPX file up to 100 MB with a track, a route or waypoints", fmt.Sprintf(format, args...))
}

func (r *gpxReader) read(in io.Reader) error {
	counted := &counter{in: in}
	decoder := xml.NewDecoder(counted)
	decoder.CharsetReader = func(charset string, _ io.Reader) (io.Reader, error) {
		return nil, fmt.Errorf("its characters are %q; UTF-8 is read", charset)
	}
	var path []string
	var text strings.Builder
	var at fitout.Place
	var name, ours string
	points := 0
	for {
		token, err := decoder.Token()
		if counted.bytes > MaxGPX {
			return refusal("the file is larger than that")
		}
		if errors.Is(err, io.EOF) {
			break
		}
		if err != nil {
			return refusal("it cannot be read: %v", err)
		}
		switch token := token.(type) {
		case xml.StartElement:
			if len(path) == 0 && token.Name.Local != "gpx" {
				return refusal("it begins with <%.40s>", token.Name.Local)
			}
			if path = append(path, token.Name.Local); len(path) > maxDepth {
				return refusal("elements lie more than %d deep in each other", maxDepth)
			}
			text.Reset()
			switch token.Name.Local {
			case "trkseg":
				r.fresh = true
			case "wpt", "trkpt", "rtept":
				if points++; points > maxPoints {
					return refusal("it has more than %d points", maxPoints)
				}
				name, ours = "", ""
				if at, err = placeOf(token.Attr, points); err != nil {
					return err
				}
			}
		case xml.CharData:
			if text.Len() < maxText {
				text.Write(token[:min(len(token), maxText-text.Len())])
			}
		case xml.EndElement:
			last := len(path) - 1
			within := ""
			if last > 0 {
				within = path[last-1]
			}
			switch token.Name.Local {
			case "name":
				if within == "wpt" || within == "rtept" || within == "trkpt" {
					name = cleanName(text.String())
				}
			case "stop":
				if token.Name.Space == stopSpace {
					ours = text.String()
				}
			case "track":
				if token.Name.Space == stopSpace {
					r.own = text.String()
				}
			case "wpt":
				r.waypoint(at, name, ours)
			case "trkpt":
				r.point(&r.track, at)
			case "rtept":
				r.point(&r.route, at)
				if name != "" && len(r.track) == 0 && len(r.exact) == 0 {
					r.waypoint(at, name, "")
				}
			}
			path = path[:last]
			text.Reset()
		}
	}
	return nil
}

// counter counts what was read.
type counter struct {
	in    io.Reader
	bytes int
}

func (c *counter) Read(p []byte) (int, error) {
	n, err := c.in.Read(p)
	c.bytes += n
	return n, err
}

func placeOf(attributes []xml.Attr, number int) (fitout.Place, error) {
	at := fitout.Place{Latitude: math.NaN(), Longitude: math.NaN()}
	for _, a := range attributes {
		value, err := strconv.ParseFloat(strings.TrimSpace(a.Value), 64)
		if err != nil {
			value = math.NaN()
		}
		switch a.Name.Local {
		case "lat":
			at.Latitude = value
		case "lon":
			at.Longitude = value
		}
	}
	if !(math.Abs(at.Latitude) <= 90) || !(math.Abs(at.Longitude) <= 180) {
		return at, refusal("point %d lies nowhere: latitude from −90 to 90 and longitude from −180 to 180 are wanted", number)
	}
	return at, nil
}

// cleanName is a name as a stop may have it.
func cleanName(text string) string {
	text = strings.Join(strings.Fields(strings.ToValidUTF8(text, "")), " ")
	text = strings.Map(func(r rune) rune {
		if r < ' ' || r == 0x7f {
			return -1
		}
		return r
	}, text)
	for utf8.RuneCountInString(text) > 120 {
		_, size := utf8.DecodeLastRuneInString(text)
		text = text[:len(text)-size]
	}
	return text
}

func (r *gpxReader) waypoint(at fitout.Place, name, ours string) {
	if len(r.waypoints) >= maxWaypoints {
		r.many = true
		return
	}
	if name == "" {
		name = fmt.Sprintf("Waypoint %d", len(r.waypoints)+1)
	}
	r.waypoints = append(r.waypoints, trip.Waypoint{Place: at, Name: name})
	if ours == "" {
		return
	}
	stop := fitout.NewStop("", "")
	decoder := json.NewDecoder(strings.NewReader(ours))
	decoder.DisallowUnknownFields()
	if decoder.Decode(&stop) == nil {
		r.exact = append(r.exact, stop)
	}
}

func (r *gpxReader) point(line *[]fitout.TrackPoint, at fitout.Place) {
	p := fitout.TrackPoint{Place: at}
	if n := len(*line); n > 0 {
		before := (*line)[n-1]
		step := trip.Apart(before.Place, at)
		if r.fresh {
			r.gap += step
			r.parts++
			step = 0
		}
		p.Km = before.Km + step
	}
	r.fresh = false
	*line = append(*line, p)
}

func (r *gpxReader) result() (GPXRead, error) {
	line := r.track
	if len(line) < 2 {
		line = r.route
	}
	out := GPXRead{Told: []string{}, Stops: []fitout.RouteStop{}}
	if len(r.exact) > 1 && len(r.exact) == len(r.waypoints) && valid(r.exact) {
		out.Stops = r.exact
	}
	if len(out.Stops) == 0 && len(line) < 2 && len(r.waypoints) > 1 { // only waypoints: from one to the next, as the crow flies
		line = nil
		for _, w := range r.waypoints {
			r.point(&line, w.Place)
		}
		r.told = append(r.told, "It has waypoints only: legs are as the crow flies between them. Type the real km.")
	}
	if len(line) < 2 {
		if len(out.Stops) == 0 {
			return out, refusal("it has no points")
		}
		return out, nil
	}
	out.Points, out.Km = len(line), line[len(line)-1].Km
	if out.Km > 20000*200 || math.IsNaN(out.Km) {
		return out, refusal("its line is %.0f km long", out.Km)
	}
	if len(out.Stops) == 0 {
		out.Stops = trip.RouteAlong(line, r.waypoints, func(n int, name string, _ float64, at fitout.Place) fitout.RouteStop {
			s := fitout.NewStop(fmt.Sprint("stop-", n), name)
			s.Place = &at
			return s
		})
	}
	if !valid(out.Stops) {
		return out, refusal("a leg of it is longer than 20 000 km")
	}
	out.Track = fitout.FormatTrack(trip.Thin(line, drawnPoints))
	if points, err := fitout.ParseTrack(r.own); err == nil && len(points) > 1 && len(r.own) <= 40000 {
		out.Track = r.own
	}
	if r.parts > 0 {
		r.told = append(r.told, fmt.Sprintf("Its track has %d parts; %.1f km between them are not counted.", r.parts+1, r.gap))
	}
	if r.many {
		r.told = append(r.told, fmt.Sprintf("It has more than %d waypoints; the rest were left out.", maxWaypoints))
	}
	out.Told = append(out.Told, r.told...)
	return out, nil
}

// valid tells whether stops can stand in a job.
func valid(stops []fitout.RouteStop) bool {
	j := fitout.NewJob("trial", "Trial", fitout.AustraliaNZ)
	j.Route.Stops = stops
	j.Fill()
	return fitout.Validate(&j) == nil
}

// WriteGPX writes the route of a job: a waypoint for each stop whose place is known, with what to do
// there; the stops as a route; and the line as a track. All of a stop stands in an extension, so that
// reading it here again gives the same stops.
func WriteGPX(j *fitout.Job) ([]byte, error) {
	v := trip.ViewOf(plan.Of(j))
	var out bytes.Buffer
	out.WriteString(xml.Header)
	out.WriteString(`<gpx version="1.1" creator="Zaino" xmlns="http://www.topografix.com/GPX/1/1" xmlns:z="` + stopSpace + "\">\n")
	fmt.Fprintf(&out, " <metadata><name>%s</name></metadata>\n", escaped(j.Name))
	stops := v.Stops
	place := func(p *fitout.Place) string {
		if p == nil {
			p = &fitout.Place{} // a GPX point has a place; its extension says that nobody gave one
		}
		return fmt.Sprintf(`lat="%s" lon="%s"`, strconv.FormatFloat(p.Latitude, 'f', -1, 64),
			strconv.FormatFloat(p.Longitude, 'f', -1, 64))
	}
	for i := range stops {
		s := &stops[i]
		data, err := json.Marshal(s)
		if err != nil {
			return nil, err
		}
		fmt.Fprintf(&out, " <wpt %s><name>%s</name><desc>%s</desc><extensions><z:stop>%s</z:stop></extensions></wpt>\n",
			place(s.Place), escaped(s.Name), escaped(strings.Join(v.AtStops[i].Tasks, "; ")), escaped(string(data)))
	}
	known := 0
	for i := range stops {
		if stops[i].Place != nil {
			known++
		}
	}
	if known > 1 {
		out.WriteString(" <rte>\n")
		for i := range stops {
			if s := &stops[i]; s.Place != nil {
				fmt.Fprintf(&out, "  <rtept %s><name>%s</name></rtept>\n", place(s.Place), escaped(s.Name))
			}
		}
		out.WriteString(" </rte>\n")
	}
	if points, err := fitout.ParseTrack(j.Route.Track); err == nil && len(points) > 0 {
		out.WriteString(" <trk><trkseg>\n")
		for i := range points {
			fmt.Fprintf(&out, "  <trkpt %s/>\n", place(&points[i].Place))
		}
		out.WriteString(" </trkseg></trk>\n")
	}
	if j.Route.Track != "" {
		fmt.Fprintf(&out, " <extensions><z:track>%s</z:track></extensions>\n", escaped(j.Route.Track))
	}
	out.WriteString("</gpx>\n")
	return out.Bytes(), nil
}
