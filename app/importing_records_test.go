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
		out, err := d.ImportRecords(t.Context(), kind, []byte(file), RecordsQuery{Mode: mode})
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
Quay;A1;31.11.2026;board;12;;3;
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
		rows, err := readTable([]byte(file), of.columns[:of.needed], nil)
		if err == nil && len(rows) > strings.Count(file, "\n")+strings.Count(file, "\r")+1 {
			t.Errorf("%d rows of %q", len(rows), file)
		}
	})
}

// A table from elsewhere: its own heads, days with points, semicolons and decimal commas. What each head is taken
// for is shown before anything is written; strips that must be out by now are asked about once; the lines say
// that they were imported, from which file, and who gave.
func TestImportTreatmentsOfAForeignTable(t *testing.T) {
	d := own(t, Settings{})
	helper := joins(t, d, "helper", Helper)
	y := yard(t, d, "Quay")
	hives := []string{colony(t, d, y, "A1").ID, colony(t, d, y, "A2").ID}
	const file = "Stand;Volk;Datum;Methode;Mittel;Menge;Einheit;Entfernt;Charge;Anwender;Grund;Farbe\n" +
		"Quay;A1;14.02.2026;strip;Bought strips;4;pieces;;L-88;HELPER;autumn count;blue\n" +
		"Quay;A1;2.1.2026;dribble;Syrup;2,5;ml;;;A neighbour;;\n" +
		"Quay;A2;14.02.2026;strip;Bought strips;4;pieces;15.04.2026;L-89;;;\n"
	text := strings.ReplaceAll(file, "HELPER", helper.who.Login)
	q := RecordsQuery{Mode: ImportPreview, File: "last year.csv"}
	seen, err := d.ImportRecords(t.Context(), "treatments", []byte(text), q)
	if err != nil || seen.Right != 3 || seen.Wrong != 0 || seen.NoOut != 1 {
		t.Fatalf("%+v %v", seen, err)
	}
	heads := map[string]wire.MappedColumn{}
	for _, h := range seen.Heads {
		heads[h.Head] = h
	}
	if h := heads["Datum"]; h.Column != "on" || h.Days != "day_month" || h.Sample != "14.02.2026" || h.Unsure {
		t.Errorf("Datum: %+v", h)
	}
	if heads["Charge"].Column != "lot" || heads["Entfernt"].Column != "out" || heads["Farbe"].Column != "" {
		t.Errorf("heads: %+v", seen.Heads)
	}
	q.Mode, q.AllOut = ImportAll, true
	for range 2 { // sent twice, it counts once
		if _, err := d.ImportRecords(t.Context(), "treatments", []byte(text), q); err != nil {
			t.Fatal(err)
		}
	}
	one, err := d.Colony(t.Context(), hives[0])
	// 56 days after 14 February are 11 April.
	if err != nil || len(one.Treatments) != 2 || one.Treatments[0].GivenOn != "2026-02-14" || one.Treatments[0].OutOn != "2026-04-11" || one.Treatments[1].GivenOn != "2026-01-02" {
		t.Errorf("A1: %+v %v", one.Treatments, err)
	}
	if two, err := d.Colony(t.Context(), hives[1]); err != nil || two.Treatments[0].OutOn != "2026-04-15" {
		t.Errorf("A2: %+v %v", two.Treatments, err)
	}
	register, err := d.Register(t.Context(), RegisterQuery{Colony: hives[0], Oldest: true})
	if err != nil || len(register.Lines) != 3 {
		t.Fatalf("%+v %v", register, err)
	}
	syrup, strips := register.Lines[0], register.Lines[1]
	if syrup.By != "A neighbour" || syrup.Amount != 2.5 || syrup.Entered != "import" || syrup.EnteredFrom != "last year.csv" || syrup.RecordedBy != "Owner" {
		t.Errorf("the syrup: %+v", syrup)
	}
	if strips.By != helper.who.Login || strips.For != "autumn count" || len(strips.Lots) != 1 || strips.Lots[0] != "L-88" {
		t.Errorf("the strips: %+v", strips)
	}
	// What the keeper says of a head goes before its name.
	q.Column = map[string]string{"farbe": "note", "menge": ""}
	if seen, err = d.ImportRecords(t.Context(), "treatments", []byte(text), RecordsQuery{Mode: ImportPreview, Column: q.Column}); err != nil || seen.Seen[0].Cells[13] != "blue" || seen.Seen[0].Cells[5] != "" {
		t.Errorf("as said: %+v %v", seen.Seen, err)
	}
}
