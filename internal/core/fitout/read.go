package fitout

import (
	"encoding/json"
	"fmt"
	"reflect"
	"strconv"
	"unicode/utf8"
)

// reader reads a document of the present version in one pass, straight into the job. Whatever is not plainly
// right (another version, an unknown field, another kind of value, no JSON) makes it give up, and the careful
// way through Decode finds the sentence for it: what this reads, that reads alike.
type reader struct {
	data []byte
	at   int
	way  []step // the way to what is read
	long error  // a list is longer than any may be: said at once, before its things fill the memory
}

// quickly reads a document into a job; false where the careful way has to look.
func (r *reader) quickly(job *Job) bool {
	if !r.object(reflect.ValueOf(job).Elem(), true) {
		return false
	}
	r.blank()
	if mayHide(r.data) {
		showHidden(reflect.ValueOf(job).Elem())
	}
	return r.at == len(r.data) && job.Format == Format && job.Version == Version
}

func (r *reader) blank() {
	for r.at < len(r.data) {
		switch r.data[r.at] {
		case ' ', '\t', '\n', '\r':
			r.at++
		default:
			return
		}
	}
}

// next takes a character, with the blanks before it.
func (r *reader) next(c byte) bool {
	r.blank()
	if r.at < len(r.data) && r.data[r.at] == c {
		r.at++
		return true
	}
	return false
}

// object reads the fields of a struct. Documents that Zaino wrote have them in the order of the struct, so that
// the next one is tried first. The version of the outermost one decides at once.
func (r *reader) object(to reflect.Value, outermost bool) bool {
	own := rules[to.Type()]
	if own == nil || !r.next('{') {
		return false
	}
	if r.next('}') {
		return true
	}
	var seen [2]uint64
	if len(own) > 128 {
		return false
	}
	for expected := 0; ; expected++ {
		name, ok := r.raw()
		if !ok || !r.next(':') {
			return false
		}
		k := expected
		if k >= len(own) || own[k].name != string(name) {
			for k = 0; k < len(own) && own[k].name != string(name); k++ {
			}
			if k == len(own) {
				return false
			}
		}
		if seen[k/64]&(1<<(k%64)) != 0 {
			return false // a field twice
		}
		seen[k/64] |= 1 << (k % 64)
		r.way = append(r.way, step{field: own[k].name})
		if !r.value(to.Field(k), &own[k]) {
			return false
		}
		r.way = r.way[:len(r.way)-1]
		expected = k
		if outermost && own[k].name == "version" && to.Field(k).Int() != Version {
			return false
		}
		if r.next(',') {
			continue
		}
		return r.next('}')
	}
}

func (r *reader) value(to reflect.Value, is *rule) bool {
	r.blank()
	if r.at == len(r.data) {
		return false
	}
	switch to.Kind() {
	case reflect.Struct:
		return r.object(to, false)
	case reflect.Pointer:
		if r.word("null") {
			return true
		}
		own := reflect.New(to.Type().Elem())
		to.Set(own)
		return r.value(own.Elem(), is)
	case reflect.Slice:
		return r.list(to, is)
	case reflect.String:
		return r.text(to)
	case reflect.Float64, reflect.Int:
		return r.number(to)
	case reflect.Bool:
		if r.word("true") {
			to.SetBool(true)
			return true
		}
		return r.word("false")
	}
	return false
}

// word takes a word that is written out.
func (r *reader) word(text string) bool {
	if len(r.data)-r.at >= len(text) && string(r.data[r.at:r.at+len(text)]) == text {
		r.at += len(text)
		return true
	}
	return false
}

// list reads a list, and stops where it is longer than it may be.
func (r *reader) list(to reflect.Value, is *rule) bool {
	if r.word("null") {
		return true
	}
	if !r.next('[') {
		return false
	}
	if r.next(']') {
		to.Set(reflect.MakeSlice(to.Type(), 0, 0))
		return true
	}
	thing := rule{}
	for n := 0; ; n++ {
		if is.mostItems >= 0 && n == is.mostItems && is.mostItems > 0 {
			v := validator{at: r.way}
			r.long = Problems{
				{
					Path:     v.way(),
					Given:    fmt.Sprintf("a list of more than %d", n),
					Accepted: fmt.Sprintf("a list of up to %d", n),
				},
			}
			return false
		}
		if n == to.Cap() {
			to.Grow(max(4, n))
		}
		to.SetLen(n + 1)
		r.way = append(r.way, step{index: n})
		if !r.value(to.Index(n), &thing) {
			return false
		}
		r.way = r.way[:len(r.way)-1]
		if r.next(',') {
			continue
		}
		return r.next(']')
	}
}

// raw takes a text without anything that is written specially; ok is false for any other.
func (r *reader) raw() (text []byte, ok bool) {
	if !r.next('"') {
		return nil, false
	}
	from := r.at
	for r.at < len(r.data) {
		switch c := r.data[r.at]; {
		case c == '"':
			r.at++
			return r.data[from : r.at-1], true
		case c < ' ' || c == '\\':
			return nil, false
		}
		r.at++
	}
	return nil, false
}

// text reads a text; what is written specially in it is left to the standard library.
func (r *reader) text(to reflect.Value) bool {
	from := r.at
	if plainly, ok := r.raw(); ok {
		if !utf8.Valid(plainly) {
			return false
		}
		to.SetString(string(plainly))
		return true
	}
	r.at = from + 1
	for r.at < len(r.data) && r.data[r.at] != '"' {
		if r.data[r.at] == '\\' {
			r.at++
		}
		r.at++
	}
	if from >= len(r.data) || r.data[from] != '"' || r.at >= len(r.data) {
		return false
	}
	r.at++
	var text string
	if !utf8.Valid(r.data[from:r.at]) || json.Unmarshal(r.data[from:r.at], &text) != nil {
		return false
	}
	to.SetString(text)
	return true
}

// number reads a number as JSON writes it.
func (r *reader) number(to reflect.Value) bool {
	from, whole := r.at, true
	digits := func() int {
		n := r.at
		for r.at < len(r.data) && r.data[r.at] >= '0' && r.data[r.at] <= '9' {
			r.at++
		}
		return r.at - n
	}
	is := func(c byte) bool { return r.at < len(r.data) && r.data[r.at] == c }
	if is('-') {
		r.at++
	}
	zero := is('0')
	if n := digits(); n == 0 || zero && n > 1 {
		return false
	}
	if is('.') {
		whole = false
		r.at++
		if digits() == 0 {
			return false
		}
	}
	if is('e') || is('E') {
		whole = false
		r.at++
		if is('+') || is('-') {
			r.at++
		}
		if digits() == 0 {
			return false
		}
	}
	token := r.data[from:r.at]
	if len(token) > longest {
		return false
	}
	if to.Kind() == reflect.Int {
		n, err := strconv.Atoi(string(token))
		if !whole || err != nil {
			return false
		}
		to.SetInt(int64(n))
		return true
	}
	n, err := strconv.ParseFloat(string(token), 64)
	if err != nil {
		return false
	}
	to.SetFloat(n)
	return true
}
