package exchange

import (
	"fmt"
	"strings"

	"codeberg.org/go-pdf/fpdf"
	"golang.org/x/image/font/gofont/gobold"
	"golang.org/x/image/font/gofont/goregular"
)

// sans is the family that every page is set in. It is embedded, so that it looks the same everywhere.
const sans = "Go"

// withFonts gives a document its letters, and returns what puts text into those that they have.
func withFonts(pdf *fpdf.Fpdf) func(string) string {
	pdf.AddUTF8FontFromBytes(sans, "", goregular.TTF)
	pdf.AddUTF8FontFromBytes(sans, "B", gobold.TTF)
	return func(s string) string {
		return strings.Map(func(r rune) rune {
			if r > 0xffff || r < ' ' && r != '\n' {
				return '?' // the letters end there
			}
			return r
		}, drawable.Replace(s))
	}
}

// drawable replaces the few signs that the letters lack.
var drawable = strings.NewReplacer("\t", " ", "\r", "", "\u202f", " ", "\u00a0", " ", "∓", "-/+")

// pages begins a document of A4 pages with its title, a foot that counts them, and what puts
// text into its letters.
func pages(title, foot string) (*fpdf.Fpdf, func(string) string) {
	pdf := fpdf.New("P", "mm", "A4", "")
	text := withFonts(pdf)
	pdf.SetTitle(title, true)
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
