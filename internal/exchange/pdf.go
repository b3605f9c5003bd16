package exchange

import (
	"fmt"
	"strings"
	"sync"
	"time"
	"unicode"
	"unicode/utf8"

	"codeberg.org/go-pdf/fpdf"
	"golang.org/x/image/font/gofont/gobold"
	"golang.org/x/image/font/gofont/goregular"
	"golang.org/x/image/font/sfnt"
	"golang.org/x/text/unicode/norm"
)

// sans is the family that every page is set in. It is embedded, so that it looks the same everywhere.
const sans = "Go"

// drawable replaces the few signs that the letters lack.
var drawable = strings.NewReplacer("\t", " ", "\r", "", "\u202f", "\u00a0", "∓", "-/+", " %", "\u00a0%")

// letters are those that the pages can be set in.
var letters = sync.OnceValue(func() *sfnt.Font {
	font, err := sfnt.Parse(goregular.TTF)
	if err != nil {
		panic(err) // it is compiled in
	}
	return font
})

// withFonts gives a document its letters, and returns what puts text into those that they have: Latin, Greek and
// Cyrillic are there; of a letter beyond them its base is written, and of what has none a question mark.
func withFonts(pdf *fpdf.Fpdf) func(string) string {
	pdf.AddUTF8FontFromBytes(sans, "", goregular.TTF)
	pdf.AddUTF8FontFromBytes(sans, "B", gobold.TTF)
	var buffer sfnt.Buffer
	has := func(r rune) bool {
		if r == '\n' {
			return true
		}
		glyph, err := letters().GlyphIndex(&buffer, r)
		return r >= ' ' && r <= 0xffff && err == nil && glyph != 0
	}
	return func(s string) string {
		var out strings.Builder
		for _, r := range drawable.Replace(s) {
			switch base, _ := utf8.DecodeRuneInString(norm.NFKD.String(string(r))); {
			case has(r):
				out.WriteRune(r)
			case has(base):
				out.WriteRune(base)
			case unicode.Is(unicode.Mn, r) || unicode.Is(unicode.Cf, r): // stands on the letter before it
			default:
				out.WriteRune('?')
			}
		}
		return out.String()
	}
}

// pages begins a document of A4 pages with its title, a foot that counts them, and what puts
// text into its letters.
func pages(title, foot string) (*fpdf.Fpdf, func(string) string) {
	pdf := fpdf.New("P", "mm", "A4", "")
	text := withFonts(pdf)
	pdf.SetTitle(title, true)
	pdf.SetCreator("Zaino", true)
	pdf.SetLang("en")
	pdf.SetCreationDate(time.Now().UTC())
	pdf.SetModificationDate(time.Now().UTC())
	pdf.SetMargins(14, 14, 14)
	pdf.SetAutoPageBreak(true, 16)
	pdf.SetFooterFunc(func() {
		pdf.SetY(-12)
		pdf.SetFont(sans, "", 8)
		pdf.CellFormat(0, 5, text(fmt.Sprintf("%s, page %d", foot, pdf.PageNo())), "", 0, "R", false, 0, "")
	})
	pdf.AddPage()
	return pdf, text
}
