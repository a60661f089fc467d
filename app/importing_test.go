package app

import (
	"bytes"
	"errors"
	"slices"
	"strings"
	"testing"
	"unicode/utf16"

	"keeler/core/fault"
)

const table = "yard,colony,boxes,latitude,nuc,for_honey,queen,notes\n" +
	"Slipway,A1,deep 10 + medium 10,57.5,no,yes,laying,\"old, \"\"kind\"\" queen\"\n" +
	"Slipway,A2,deep ccccf,57.5,yes,no,,\n"

func wide(text string, high int, mark bool) []byte {
	var out []byte
	units := utf16.Encode([]rune(text))
	if mark {
		units = append([]uint16{0xfeff}, units...)
	}
	for _, u := range units {
		pair := []byte{byte(u), byte(u >> 8)}
		out = append(out, pair[high], pair[1-high])
	}
	return out
}

// The same table in every dress it comes in.
func TestImportDresses(t *testing.T) {
	for what, file := range map[string][]byte{
		"plain": []byte(table), "with a mark": []byte("\xef\xbb\xbf" + table),
		"semicolons": []byte(strings.ReplaceAll(strings.ReplaceAll(table, `"old, ""kind"" queen"`, "old queen"), ",", ";")),
		"tabs":       []byte(strings.ReplaceAll(strings.ReplaceAll(table, `"old, ""kind"" queen"`, "old queen"), ",", "\t")),
		"Windows":    []byte(strings.ReplaceAll(table, "\n", "\r\n")),
		"UTF-16":     wide(table, 0, true), "UTF-16 the other way": wide(table, 1, true),
		"UTF-16 without a mark": wide(table, 0, false), "the other way without": wide(table, 1, false),
	} {
		d := own(t, Settings{})
		seen, err := d.Import(t.Context(), file, ImportPreview)
		if err != nil || seen.Right != 2 || seen.Wrong != 0 || seen.Stored != 0 || seen.NewYards[0] != "Slipway" {
			t.Errorf("%s: %+v %v", what, seen, err)
			continue
		}
		if yards, _ := d.Yards(t.Context()); len(yards.Yards) != 0 {
			t.Errorf("%s: a preview stored something", what)
		}
		if done, err := d.Import(t.Context(), file, ImportAll); err != nil || done.Stored != 2 {
			t.Errorf("%s: %+v %v", what, done, err)
		}
	}
}

// Each row that is wrong is named; nothing is stored unless the keeper says so.
func TestImportFaults(t *testing.T) {
	d := own(t, Settings{})
	rows := []struct{ row, column string }{
		{"Slipway,,deep 10,57.5", "colony"},
		{"Slipway,A1,tower 10,57.5", "boxes"},
		{"Slipway,A2,deep 40,57.5", "boxes"},
		{"Slipway,A3,,57.5", "boxes"},
		{"Slipway,A4,deep 10,200", "latitude"},
		{"Slipway,A5,deep 10,north", "latitude"},
		{"Slipway,A6,deep 10,57.5,perhaps", "nuc"},
		{"Slipway,A7,deep 10,57.5,no,yes,sleepy", "queen"},
		{",A8,deep 10,57.5", "yard"},
		{"Slipway,A9,deep 10,57.5,no,no,,x,y,z", ""},
		{`Slipway,"A"10,deep 10,57.5`, ""},
	}
	file := "yard,colony,boxes,latitude,nuc,for_honey,queen,notes\n"
	for _, r := range rows {
		file += r.row + "\n"
	}
	rows = append(rows, struct{ row, column string }{"Slipway," + strings.Repeat("ü", 41) + ",deep 10,57.5", "colony"},
		struct{ row, column string }{"Slipway,A12,deep 10,57.5,,,," + strings.Repeat("n", 2001), "notes"})
	for _, r := range rows[len(rows)-2:] {
		file += r.row + "\n"
	}
	file += "Slipway," + strings.Repeat("ü", 40) + ",deep 10,57.5\n"
	file += "Slipway,B1,deep 10,57.5\nSlipway,B1,deep 10,57.5\n"
	got, err := d.Import(t.Context(), []byte(file), ImportAll)
	if err != nil || got.Stored != 0 || got.Right != 2 || got.Wrong != len(rows)+1 {
		t.Fatalf("got %+v %v", got, err)
	}
	told := map[int][]string{}
	for _, f := range got.Faults {
		told[f.Row] = append(told[f.Row], f.Column)
		if f.Text == "" {
			t.Errorf("row %d: no words", f.Row)
		}
	}
	for i, r := range rows {
		if !strings.Contains(strings.Join(told[i+2], " ")+" ", r.column) || len(told[i+2]) == 0 {
			t.Errorf("%s: told %v", r.row, told[i+2])
		}
	}
	if done, err := d.Import(t.Context(), []byte(file), ImportRight); err != nil || done.Stored != 2 {
		t.Errorf("the right ones: %+v %v", done, err)
	}
	if again, err := d.Import(t.Context(), []byte("yard,colony,boxes\nslipway,b1,deep 10"), ImportAll); err != nil || again.Wrong != 1 {
		t.Errorf("a name that stands there: %+v %v", again, err)
	}
}

// A new yard without a latitude gets that of the first there is; where there is none, none is
// assumed, and both are told.
func TestImportWithoutLatitude(t *testing.T) {
	d := own(t, Settings{})
	first, err := d.Import(t.Context(), []byte("yard,colony,boxes\nSlipway,A1,deep 10"), ImportAll)
	if err != nil || first.Stored != 1 || !slices.Equal(first.NoLatitude, []string{"Slipway"}) || first.LatitudeOf != "" {
		t.Fatalf("%+v %v", first, err)
	}
	given, err := own(t, Settings{}), error(nil)
	if _, err = given.Import(t.Context(), []byte("yard,colony,boxes,latitude\nQuay,Q1,deep 10,57.5"), ImportAll); err != nil {
		t.Fatal(err)
	}
	second, err := given.Import(t.Context(), []byte("yard,colony,boxes\nSlipway,A1,deep 10\nQuay,Q2,deep 10"), ImportAll)
	if err != nil || second.Stored != 2 || !slices.Equal(second.NoLatitude, []string{"Slipway"}) || second.LatitudeOf != "Quay" {
		t.Fatalf("%+v %v", second, err)
	}
	out, err := exportOf(t, given)
	if err != nil || strings.Count(string(out), ",57.5,") != 3 {
		t.Errorf("%s %v", out, err)
	}
}

func TestImportNoTable(t *testing.T) {
	d := own(t, Settings{})
	for what, c := range map[string]struct {
		file   string
		field  string
		reason fault.Reason
	}{
		"nothing":       {"", "file", fault.Missing},
		"only a head":   {"yard,colony,boxes\n", "file", fault.Missing},
		"a picture":     {"\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR", "file", fault.NotText},
		"another code":  {"yard,colony,boxes\nHüve\xfc,A,deep 10", "file", fault.NotText},
		"other columns": {"name,age\nA,3", "file", fault.NoColumn},
	} {
		_, err := d.Import(t.Context(), []byte(c.file), ImportAll)
		at(t, what, err, c.field, c.reason)
	}
}

// What was exported is imported by another operation as it was.
func TestExportAndBack(t *testing.T) {
	first, second := own(t, Settings{}), own(t, Settings{})
	if _, err := first.Import(t.Context(), []byte(table), ImportAll); err != nil {
		t.Fatal(err)
	}
	out, err := exportOf(t, first)
	if err != nil {
		t.Fatal(err)
	}
	if done, err := second.Import(t.Context(), out, ImportAll); err != nil || done.Stored != 2 {
		t.Fatalf("%s: %+v %v", out, done, err)
	}
	back, err := exportOf(t, second)
	if err != nil || string(back) != string(out) || !strings.Contains(string(out), `"old, ""kind"" queen"`) {
		t.Errorf("got %s, want %s", back, out)
	}
}

// Whatever is sent, it is read or refused, and a preview stores nothing.
func FuzzReadTable(f *testing.F) {
	f.Add([]byte(table))
	f.Add(wide(table, 0, true))
	f.Add([]byte("yard;colony;boxes\n\"a;b\";c\n"))
	f.Add([]byte("yard,colony,boxes\n\"")) // a row without any field
	f.Fuzz(func(t *testing.T, file []byte) {
		rows, err := readTable(file, columns[:needed], nil)
		if err == nil && len(rows) == 0 {
			t.Error("no rows and no fault")
		}
	})
}

// exportOf is the colonies as they are taken out.
func exportOf(t *testing.T, d Desk) ([]byte, error) {
	t.Helper()
	var out bytes.Buffer
	err := errors.Join(d.BeginColoniesFile(t.Context()), d.ColoniesFile(t.Context(), &out))
	return out.Bytes(), err
}
