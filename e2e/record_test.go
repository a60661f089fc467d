package e2e

import (
	"bytes"
	"fmt"
	"os/exec"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// printed is the text of each sheet of what the page prints, read back by others than who wrote it.
func (p page) printed() []string {
	p.t.Helper()
	file, err := look(p, chromedp.PrintToPDF(chromedp.PDFPaper(chromedp.PaperA4), chromedp.PDFPreferCSSPageSize()))
	if err != nil {
		p.t.Fatal(err)
	}
	reader := exec.CommandContext(p.t.Context(), "pdftotext", "-raw", "-", "-")
	reader.Stdin = bytes.NewReader(file)
	text, err := reader.Output()
	if err != nil {
		p.t.Fatal(err)
	}
	sheets := strings.Split(strings.TrimSuffix(string(text), "\f"), "\f")
	for i, s := range sheets {
		sheets[i] = strings.Join(strings.Fields(s), " ")
	}
	return sheets
}

// The medicine record of the demo's year prints with every yard, its heads on each sheet and a
// line to sign on, and only the columns that were chosen.
func TestMedicineRecordOnPaper(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/record", browser.Desk)
	p.says("[data-record]", "Medicine record 2026", "Ropewalk", "Saltmarsh Hut", "Kiln Lane", "Signature")
	sheets := p.printed()
	if len(sheets) < 3 || len(sheets) > 9 {
		t.Errorf("%d sheets", len(sheets))
	}
	for i, sheet := range sheets {
		if !strings.Contains(sheet, "Hive Date Treatment Amount Active ingredient Batch Made from Withdrawal Used under Given by") || !strings.HasPrefix(sheet, fmt.Sprintf("%d / %d ", i+1, len(sheets))) {
			t.Errorf("sheet %d says %s", i+1, sheet)
		}
	}
	whole := strings.Join(sheets, " ")
	for _, said := range []string{
		"Medicine record 2026 Marrow Quay · as of 4 Dec 2026", "R1 12 Apr 2026 Strips: Spring pot, 3 strips", "29 Aug 2026 11:00 Formic acid: own mixture 20 mL 13.7 g formic acid 11 formic litre bottle, 85 % (85/114)", "Strips: Bought strips 3 pieces 14 days after it comes out By the product's label: Bought strips", "Name Signature Date",
	} {
		if !strings.Contains(whole, said) {
			t.Errorf("nowhere on paper: %s\n%s", said, whole)
		}
	}
	p.pick("Columns", "short, as in a hive book")
	p.pick("Yard", "Kiln Lane")
	p.until(`document.querySelectorAll('[data-record-yard]').length === 1 && document.querySelectorAll('thead th').length === 6`)
	if sheets = p.printed(); len(sheets) != 1 || strings.Contains(sheets[0], "Ropewalk") || !strings.Contains(sheets[0], "Hive Date Treatment Amount Withdrawal Given by K1 1 Sep 2026 11:00") {
		t.Errorf("%d sheets, %s", len(sheets), sheets)
	}
}
