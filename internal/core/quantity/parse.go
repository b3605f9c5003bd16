package quantity

import (
	"fmt"
	"math"
	"strconv"
	"strings"
)

// longest is how many characters an input may have.
const longest = 80

// Parse reads a value with unit and arithmetic: numbers with + - * / and
// brackets, units behind any number or bracket, feet followed by inches, mixed
// fractions, decimal commas. A number without a unit is in the system's own
// (mm, kg, L, km or in, lb, gal, mi). The result is in the kind's base unit:
// mm, kg, litres, km, N/mm, °C, L/100 km, degrees, W, Wh, Ah, A, V, h or mm² of copper.
//
// It refuses, saying why: an empty or over-long text, units of another kind or
// unknown ones, products of two measures, division by zero, and a comma that
// could be either decimal or thousands ("1,200" in metric units).
func Parse(text string, kind Kind, system System) (float64, error) {
	if len(text) > longest {
		return 0, fmt.Errorf("%d characters were given; accepted are up to %d", len(text), longest)
	}
	if n, is := thickGauge(clean(text)); is && kind == Copper && (system == US || strings.HasSuffix(clean(text), "awg")) {
		return Gauge(n), nil
	}
	bare, system := withoutUnit(clean(text), kind, system)
	p := parser{text: bare, kind: kind, system: system}
	p.space()
	if p.done() {
		return 0, fmt.Errorf("nothing was given; accepted is a value such as %s", example(kind))
	}
	value, err := p.sum()
	if err != nil {
		return 0, err
	}
	if !p.done() {
		return 0, fmt.Errorf("%q is not understood; accepted is a value such as %s", p.text[p.at:], example(kind))
	}
	result := p.base(value)
	if math.IsInf(result, 0) || math.IsNaN(result) {
		return 0, fmt.Errorf("%q is not a finite number", text)
	}
	return result, nil
}

// withoutUnit cuts a unit that holds for the whole value, with the system that
// it belongs to.
func withoutUnit(text string, kind Kind, system System) (string, System) {
	for _, named := range []System{US, Metric} { // "gal/min" ends as "l/min" does
		for _, spelling := range written[kind][named] {
			if bare, found := strings.CutSuffix(text, spelling); found {
				return bare, named
			}
		}
	}
	return text, system
}

// clean folds case and the typographic forms of signs and spaces.
func clean(text string) string {
	return strings.NewReplacer("−", "-", "–", "-", "×", "*", "·", "*", "÷", "/", "″", `"`, "”", `"`, "′", "'", "’", "'",
		"º", "°", "\u00a0", " ", "\u202f", " ", "\u2009", " ", "\t", " ").Replace(strings.ToLower(strings.TrimSpace(text)))
}

func example(kind Kind) string {
	switch kind {
	case Length:
		return `1200, 42in or 640-2*12`
	case Mass:
		return `12.5, 30 lb or 4*9.5`
	case Volume:
		return `55, 30 gal or 2*20`
	case Distance:
		return `450, 280 mi or 2*220`
	case Rate:
		return `38 or 220 lb/in`
	case Temperature:
		return `35 or 95 °F`
	case Consumption:
		return `12.5 or 19 mpg`
	case Power:
		return `45, 1.2 kW or 2*8`
	case Energy:
		return `500 or 1.2 kWh`
	case Charge:
		return `105 or 2*105`
	case Current:
		return `30 or 500 mA`
	case Voltage:
		return `12.8`
	case Time:
		return `1.5 or 10 min`
	case Pressure:
		return `240, 2.4 bar or 35 psi`
	case Airflow:
		return `75, 75 L/min or 2.6 cfm`
	case Flow:
		return `8, 2 gal/min or 2*4`
	case Copper:
		return `6, 2.5 mm² or 10 AWG`
	}
	return `12 or 3*4`
}

// amount is a value on the way: plain, or already in base units.
type amount struct {
	value    float64
	measured bool
}

type parser struct {
	text   string
	at     int
	depth  int
	kind   Kind
	system System
}

func (p *parser) done() bool { return p.at >= len(p.text) }

func (p *parser) peek() byte {
	if p.done() {
		return 0
	}
	return p.text[p.at]
}

func (p *parser) space() {
	for p.peek() == ' ' {
		p.at++
	}
}

// base puts a plain amount into base units by the system's own unit.
func (p *parser) base(a amount) float64 {
	if a.measured {
		return a.value
	}
	return p.system.toBase(a.value, p.kind)
}

func (p *parser) sum() (amount, error) {
	left, err := p.product()
	for err == nil {
		sign := p.peek()
		if sign != '+' && sign != '-' {
			return left, nil
		}
		p.at++
		var right amount
		if right, err = p.product(); err != nil {
			break
		}
		if left.measured != right.measured {
			left, right = amount{p.base(left), true}, amount{p.base(right), true}
		}
		if sign == '-' {
			right.value = -right.value
		}
		left.value += right.value
	}
	return left, err
}

func (p *parser) product() (amount, error) {
	left, err := p.factor()
	for err == nil {
		sign := p.peek()
		if sign != '*' && sign != '/' {
			return left, nil
		}
		p.at++
		var right amount
		if right, err = p.factor(); err != nil {
			break
		}
		switch {
		case sign == '*' && left.measured && right.measured:
			err = fmt.Errorf("two measures cannot be multiplied; accepted is a measure times a number")
		case sign == '/' && right.measured:
			err = fmt.Errorf("nothing can be divided by a measure; accepted is a measure divided by a number")
		case sign == '/' && right.value == 0:
			err = fmt.Errorf("nothing can be divided by zero")
		case sign == '/':
			left.value /= right.value
		default:
			left = amount{left.value * right.value, left.measured || right.measured}
		}
	}
	return left, err
}

func (p *parser) factor() (amount, error) {
	p.space()
	switch p.peek() {
	case '-', '+':
		sign := p.peek()
		p.at++
		a, err := p.nested(p.factor)
		if sign == '-' {
			a.value = -a.value
		}
		return a, err
	}
	a, err := p.primary()
	if err != nil || !a.measured {
		return a, err
	}
	// Feet and inches, pounds and ounces: a second measure right behind.
	for isDigit(p.peek()) {
		more, err := p.primary()
		if err != nil {
			return a, err
		}
		if !more.measured {
			return a, fmt.Errorf("a number without unit follows a measure; accepted is one like 5ft 3in")
		}
		a.value += more.value
	}
	return a, nil
}

// nested calls a rule one level deeper and refuses bottomless input.
func (p *parser) nested(rule func() (amount, error)) (amount, error) {
	if p.depth++; p.depth > 20 {
		return amount{}, fmt.Errorf("the brackets are nested too deeply; accepted are up to 20 levels")
	}
	defer func() { p.depth-- }()
	return rule()
}

func (p *parser) primary() (amount, error) {
	var a amount
	if p.peek() == '(' {
		p.at++
		inner, err := p.nested(p.sum)
		if err != nil {
			return a, err
		}
		if p.peek() != ')' {
			return a, fmt.Errorf("a closing bracket is missing")
		}
		p.at++
		a = inner
	} else {
		value, err := p.number()
		if err != nil {
			return a, err
		}
		a.value = value
	}
	p.space()
	name := p.word()
	if name == "" {
		return a, nil
	}
	u, known := units[name]
	if !known || u.kind != p.kind {
		return a, fmt.Errorf("%q is not a unit of %s; accepted are %s", name, p.kind, accepted(p.kind))
	}
	if a.measured {
		return a, fmt.Errorf("%q follows what already has a unit", name)
	}
	p.space()
	return amount{a.value * u.factor, true}, nil
}

// word reads a unit's name, if one stands here.
func (p *parser) word() string {
	start := p.at
	if c := p.peek(); c == '\'' || c == '"' {
		p.at++
		return p.text[start:p.at]
	}
	if strings.HasPrefix(p.text[p.at:], "°") {
		p.at += len("°")
		return "°"
	}
	for !p.done() && isLetter(p.text[p.at:]) {
		p.at++
	}
	return p.text[start:p.at]
}

// number reads a decimal, a fraction before a unit ("1/2in") or a mixed
// fraction ("3 1/2").
func (p *parser) number() (float64, error) {
	whole, err := p.decimal()
	if err != nil {
		return 0, err
	}
	start := p.at
	if p.peek() == '/' && whole == math.Trunc(whole) {
		// "1/2in" is half an inch; "640/2" is left to the division.
		p.at++
		if below, ok := p.digits(); ok && below != 0 {
			end := p.at
			p.space()
			if c := p.peek(); c == '\'' || c == '"' || (!p.done() && isLetter(p.text[p.at:])) {
				p.at = end
				return whole / below, nil
			}
		}
		p.at = start
		return whole, nil
	}
	p.space()
	if above, ok := p.digits(); ok && p.peek() == '/' {
		p.at++
		if below, ok := p.digits(); ok && below != 0 {
			return whole + above/below, nil
		}
	}
	p.at = start
	return whole, nil
}

func (p *parser) digits() (float64, bool) {
	start := p.at
	for isDigit(p.peek()) {
		p.at++
	}
	value, err := strconv.ParseFloat(p.text[start:p.at], 64)
	return value, err == nil
}

// decimal reads digits with points, commas, and spaces between thousands.
func (p *parser) decimal() (float64, error) {
	p.space()
	start := p.at
	for !p.done() && (isDigit(p.peek()) || p.peek() == '.' || p.peek() == ',' || p.thousandsSpace(start)) {
		p.at++
	}
	raw := p.text[start:p.at]
	if raw == "" {
		return 0, fmt.Errorf("a number is missing; accepted is a value such as %s", example(p.kind))
	}
	plain, err := decimalPoint(strings.ReplaceAll(raw, " ", ""), p.system)
	if err != nil {
		return 0, err
	}
	value, err := strconv.ParseFloat(plain, 64)
	if err != nil {
		return 0, fmt.Errorf("%q is not a number; accepted is a value such as %s", raw, example(p.kind))
	}
	return value, nil
}

// thousandsSpace reports whether the space here stands between a digit and
// exactly three more digits.
func (p *parser) thousandsSpace(start int) bool {
	rest := p.text[p.at:]
	if p.at == start || len(rest) < 4 || rest[0] != ' ' || !isDigit(p.text[p.at-1]) {
		return false
	}
	return isDigit(rest[1]) && isDigit(rest[2]) && isDigit(rest[3]) && (len(rest) == 4 || !isDigit(rest[4]) &&
		rest[4] != '/')
}

// decimalPoint turns a written number into one with a decimal point only.
func decimalPoint(raw string, system System) (string, error) {
	commas, points := strings.Count(raw, ","), strings.Count(raw, ".")
	comma, point := strings.LastIndexByte(raw, ','), strings.LastIndexByte(raw, '.')
	switch {
	case commas == 0:
		return raw, nil
	case commas > 1 && points <= 1 && point < comma && points == 0, points == 1 && point > comma:
		return strings.ReplaceAll(raw, ",", ""), nil
	case commas == 1 && points > 0:
		return strings.Replace(strings.ReplaceAll(raw, ".", ""), ",", ".", 1), nil
	case commas == 1 && len(raw)-comma-1 == 3 && comma > 0 && raw[:comma] != "0":
		if system == US {
			return strings.ReplaceAll(raw, ",", ""), nil
		}
		return "", fmt.Errorf("%q can mean two numbers; accepted is %s or %s", raw, strings.Replace(raw, ",", "", 1),
			strings.Replace(raw, ",", ".", 1))
	case commas == 1:
		return strings.Replace(raw, ",", ".", 1), nil
	}
	return "", fmt.Errorf("%q is not a number", raw)
}

func isDigit(c byte) bool { return c >= '0' && c <= '9' }

// isLetter reports whether the text begins with a letter of a unit's name.
func isLetter(text string) bool { return text[0] >= 'a' && text[0] <= 'z' }
