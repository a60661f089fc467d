package app

import (
	"bytes"
	"errors"
	"runtime"
	"strings"
	"testing"

	"keeler/core/fault"
	"keeler/wire"
)

// A cell that a spreadsheet would run as a formula is made harmless, and comes back as it
// was; a figure and a plain word are left alone.
func TestFormulasAreHarmless(t *testing.T) {
	for cell, want := range map[string]string{
		"=1+1": "'=1+1", "+44 20": "'+44 20", "-A1": "'-A1", "@SUM(A1)": "'@SUM(A1)", "\tcmd": "'\tcmd", "\rx": "'\rx", "'=1": "''=1", "'": "''",
		"-41.2": "-41.2", "+5": "+5", "A1": "A1", "": "", "ein = b": "ein = b",
	} {
		if got := harmless(cell); got != want {
			t.Errorf("%q is written %q, want %q", cell, got, want)
		}
	}
	if got := asWritten("'Anna's"); got != "'Anna's" {
		t.Errorf("a word of its own became %q", got)
	}
}

func FuzzHarmless(f *testing.F) {
	for _, cell := range []string{"", "=1", "'", "''x", "'=", "-1", "-x", "\t"} {
		f.Add(cell)
	}
	f.Fuzz(func(t *testing.T, cell string) {
		written := harmless(cell)
		if back := asWritten(written); back != cell {
			t.Errorf("%q is written %q and read %q", cell, written, back)
		}
		if written != cell && !strings.HasPrefix(written, mark) {
			t.Errorf("%q became %q", cell, written)
		}
	})
}

// Names that a spreadsheet would run go out harmless and come back as they were.
func TestOddNamesComeBack(t *testing.T) {
	first, second := own(t, Settings{}), own(t, Settings{})
	const odd = "yard,colony,boxes,latitude,notes\n'=cmd(),'@A1,deep 10,-41.2,'-x\n'=cmd(),''quoted,deep 10,-41.2,\"+44\n20\"\n"
	if done, err := first.Import(t.Context(), []byte(odd), ImportAll); err != nil || done.Stored != 2 {
		t.Fatalf("%+v %v", done, err)
	}
	y, err := first.Yards(t.Context())
	if err != nil || y.Yards[0].Name != "=cmd()" || y.Yards[0].Latitude != -41.2 {
		t.Errorf("%+v %v", y, err)
	}
	out, err := exportOf(t, first)
	if err != nil || !bytes.Contains(out, []byte("'=cmd(),'@A1")) || !bytes.Contains(out, []byte(",-41.2,")) {
		t.Fatalf("%s %v", out, err)
	}
	if done, err := second.Import(t.Context(), out, ImportAll); err != nil || done.Stored != 2 {
		t.Fatalf("%+v %v", done, err)
	}
	if back, err := exportOf(t, second); err != nil || !bytes.Equal(back, out) {
		t.Errorf("%s\nbecame\n%s, %v", out, back, err)
	}
}

// A file whose end is missing is told by its last line, and nothing of it is stored.
func TestCutFileIsToldByItsLastLine(t *testing.T) {
	d := own(t, Settings{})
	for what, c := range map[string]struct {
		file   string
		reason fault.Reason
	}{
		"whole":                     {table + "rows,2\n", ""},
		"whole, as a program saves": {table + "rows,2,,,,,,\n", ""},
		"one row is gone":           {table + "rows,3\n", fault.CutShort},
		"one too many":              {table + "rows,1\n", fault.CutShort},
	} {
		_, err := d.Import(t.Context(), []byte(c.file), ImportPreview)
		if c.reason == "" && err != nil {
			t.Errorf("%s: %v", what, err)
		} else if c.reason != "" {
			at(t, what, err, "file", c.reason)
		}
	}
}

// Names are one where the database takes them for one: by case, by width, by how a letter
// is put together; an accent makes two. The row is named, and nothing fails later.
func TestNamesAlikeAsTheDatabaseSeesThem(t *testing.T) {
	d := own(t, Settings{})
	const head = "yard,colony,boxes,latitude\n"
	seen, err := d.Import(t.Context(), []byte(head+"Café,A,deep 10,57\nCAFÉ,a,deep 10,57\nCafe\u0301,Ａ,deep 10,57\nCafe,A,deep 10,57\n"), ImportRight)
	if err != nil {
		t.Fatal(err)
	}
	rows := ""
	for _, f := range seen.Faults {
		rows += string(rune('0'+f.Row)) + f.Column + " "
	}
	if rows != "3colony 4colony " || seen.Stored != 2 || len(seen.NewYards) != 2 {
		t.Errorf("faults %s, %d stored, yards %v", rows, seen.Stored, seen.NewYards)
	}
	again, err := d.Import(t.Context(), []byte(head+"ＣＡＦＥ,a,deep 10,57\n"), ImportAll)
	if err != nil || again.Wrong != 1 || again.Faults[0].Column != "colony" {
		t.Errorf("%+v %v", again, err)
	}
	if _, err := d.AddYard(t.Context(), wire.SaveYard{Name: "CAFÉ", Latitude: new(57.0)}); err == nil {
		t.Error("the database sees them otherwise")
	}
}

// A file of a million tiny rows is refused by its rows, and costs little until then.
func TestAMillionRowsAreRefused(t *testing.T) {
	file := []byte("yard,colony,boxes\n" + strings.Repeat("a,b,c\n", 1_000_000))
	var before, after runtime.MemStats
	runtime.ReadMemStats(&before)
	_, err := readTable(file, columns[:needed], nil)
	runtime.ReadMemStats(&after)
	at(t, "a million rows", err, "file", fault.TooMany)
	if took := (after.TotalAlloc - before.TotalAlloc) >> 20; took > 100 {
		t.Errorf("%d MB were taken", took)
	}
	var l fault.List
	if !errors.As(err, &l) || l[0].High != mostRows {
		t.Errorf("the limit is not told: %v", err)
	}
}
