package app

import (
	"fmt"
	"strings"
	"testing"

	"keeler/wire"
)

// Each kind of records is looked at first and told row by row, and stored whole, or as far as it
// is right; sent twice it counts once.
func TestImportRecords(t *testing.T) {
	d := own(t, Settings{})
	colony, err := d.AddColony(t.Context(), wire.SaveColony{ID: "4d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d02", YardID: yard(t, d, "Quay"), Name: "A1", Boxes: stack(t, "deep 10")})
	if err != nil {
		t.Fatal(err)
	}
	take := func(kind, file string, mode ImportMode) wire.RecordsImport {
		t.Helper()
		out, err := d.ImportRecords(t.Context(), kind, []byte(file), mode)
		if err != nil {
			t.Fatalf("%s: %v", kind, err)
		}
		return out
	}
	for _, c := range []struct {
		kind, file string
		right      int
		faults     string // row column, in their order
	}{
		{"counts", `yard;colony;on;kind;mites;bees;days;note
Quay;a1;2026-11-20;wash;9;300;;"after, the drip"
Quay;A1;2026-11-21;board;12;;3;
Quay;A2;2026-11-21;board;12;;3;
Quay;A1;21.11.2026;board;12;;3;
Quay;A1;2026-11-21;board;many;;3;
Quay;A1;2026-11-21;sieve;2;;3;
Quay;A1;2026-11-22;wash;2,5;300;;
Quay;A1;;wash;2;300;;
Quay;A1;2026-11-23;board;1,000;;3;`, 2, "4 colony, 5 on, 6 mites, 7 kind, 8 mites, 9 on, 10 mites"},
		{"inspections", `colony,yard,on,seams,brood,eggs,stores,supers,queen
A1,Quay,2026-11-02,6½,none,no,heavy,0,laying
A1,Quay,2026-11-03,23,none,,heavy,0,laying
A1,Quay,2026-11-04,6,some,,,,
A1,Quay,2026-11-05,,little,maybe,,,`, 1, "3 seams, 4 brood, 5 eggs"},
		{"treatments", `yard,colony,on,method,product,amount,unit,withdrawal_days
Quay,A1,2025-12-20,vapour,Crystals,2,g,0
Quay,A1,2025-12-21,smoke,Crystals,2,g,0
Quay,A1,2025-12-21,other,,,,
Quay,A1,2025-12-21,strip,Bought strips,4,pieces,900
Quay,A1,2025-12-22,other,Syrup,"1,500",ml,0`, 1, "3 method, 4 product, 5 withdrawal_days, 6 amount"},
	} {
		seen := take(c.kind, c.file, ImportPreview)
		var told []string
		for _, f := range seen.Faults {
			told = append(told, fmt.Sprint(f.Row, " ", f.Column))
			if f.Text == "" {
				t.Errorf("%s: row %d, %s is wrong without a word", c.kind, f.Row, f.Column)
			}
		}
		if seen.Right != c.right || strings.Join(told, ", ") != c.faults || seen.Stored != 0 {
			t.Errorf("%s: %d right, wrong are %q, want %d and %q", c.kind, seen.Right, strings.Join(told, ", "), c.right, c.faults)
		}
		if all := take(c.kind, c.file, ImportAll); all.Stored != 0 {
			t.Errorf("%s: %d are stored beside wrong ones", c.kind, all.Stored)
		}
		for range 2 {
			if right := take(c.kind, c.file, ImportRight); right.Stored != c.right {
				t.Errorf("%s: %d are stored, want %d", c.kind, right.Stored, c.right)
			}
		}
	}
	whole, err := d.Colony(t.Context(), colony.ID)
	if err != nil {
		t.Fatal(err)
	}
	register, err := d.Register(t.Context(), RegisterQuery{Colony: colony.ID})
	if err != nil || len(whole.Counts) != 2 || len(whole.Inspections) != 1 || len(register.Lines) != 1 {
		t.Fatalf("%d counts, %d inspections, %d lines, want 2, 1 and 1: %v", len(whole.Counts), len(whole.Inspections), len(register.Lines), err)
	}
	if i := whole.Inspections[0]; *i.Seams != 6.5 || i.Brood != "none" || *i.Eggs || i.On != "2026-11-02" {
		t.Errorf("the inspection came as %+v", i)
	}
	if a := register.Lines[0]; a.Method != "vapour" || a.Amount != 2 || a.Unit != "g" || a.Product != "Crystals" {
		t.Errorf("the treatment came as %+v", a)
	}
}

// A file of anything gives rows and faults, and never more rows than it has.
func FuzzImportRecords(f *testing.F) {
	f.Add("yard,colony,on,kind,mites\nQuay,A1,2026-11-20,wash,9", uint8(0))
	f.Fuzz(func(t *testing.T, file string, kind uint8) {
		of := recordFiles[RecordKinds[int(kind)%len(RecordKinds)]]
		rows, err := readTable([]byte(file), of.columns[:of.needed])
		if err == nil && len(rows) > strings.Count(file, "\n")+strings.Count(file, "\r")+1 {
			t.Errorf("%d rows of %q", len(rows), file)
		}
	})
}
