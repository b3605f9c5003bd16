package quantity

import (
	"math"
	"regexp"
	"strconv"
	"strings"
)

// noCopper is the gauge that stands for no conductor at all: finer than any that is sold.
const noCopper = 99

// Gauge is the area of a conductor of an American gauge, mm²: A = 0.012668 · 92^((36 −
// n)/19.5) (ASTM B258). 0 is written 0 or 1/0, −1 is 00 or 2/0, and so on.
func Gauge(n float64) float64 { return 0.012668 * math.Pow(92, (36-n)/19.5) }

// gaugeOf is the gauge of an area in mm², more than 0.
func gaugeOf(area float64) float64 { return 36 - 19.5*math.Log(area/0.012668)/math.Log(92) }

// thick are the ways to write gauges thicker than 1.
var thick = regexp.MustCompile(`^(0{1,4}|[1-4]/0) *(?:awg)?$`)

// thickGauge reads a gauge from 0 to 0000, written so or 1/0 to 4/0.
func thickGauge(text string) (float64, bool) {
	found := thick.FindStringSubmatch(text)
	if found == nil {
		return 0, false
	}
	zeros := float64(len(found[1]))
	if count, _, slash := strings.Cut(found[1], "/"); slash {
		zeros, _ = strconv.ParseFloat(count, 64)
	}
	return 1 - zeros, true
}

// gauge writes the nearest whole gauge.
func gauge(n float64) string {
	if n >= noCopper {
		return "0"
	}
	whole := math.Round(n)
	if whole > 0 {
		return strconv.FormatFloat(whole, 'f', -1, 64)
	}
	return strconv.FormatFloat(1-whole, 'f', -1, 64) + "/0"
}
