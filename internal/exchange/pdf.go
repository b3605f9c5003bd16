package exchange

import (
	"fmt"
	"strings"

	"codeberg.org/go-pdf/fpdf"
)

// latin puts text into the letters that the standard fonts of a PDF have.
var latin = strings.NewReplacer("Σ", "Sum ", "σ", "sigma", "Φ", "Phi", "θ", "t", "°", "\u00b0", "−", "-", "∓", "-/+",
	"\u202f", " ", "\u00a0", " ", "“", `"`, "”", `"`, "→", "to")

// pages begins a document of A4 pages with its title, a foot that counts them, and what puts
// text into its letters.
func pages(title, foot string) (*fpdf.Fpdf, func(string) string) {
	pdf := fpdf.New("P", "mm", "A4", "")
	encode := pdf.UnicodeTranslatorFromDescriptor("")
	text := func(s string) string { return encode(latin.Replace(s)) }
	pdf.SetTitle(title, true)
	pdf.SetMargins(14, 14, 14)
	pdf.SetAutoPageBreak(true, 16)
	pdf.SetFooterFunc(func() {
		pdf.SetY(-12)
		pdf.SetFont("Helvetica", "", 8)
		pdf.CellFormat(0, 5, text(fmt.Sprintf("%s, page %d", foot, pdf.PageNo())), "", 0, "R", false, 0, "")
	})
	pdf.AddPage()
	return pdf, text
}
