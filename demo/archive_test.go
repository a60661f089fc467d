package demo

import (
	"archive/zip"
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/csv"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math/rand/v2"
	"os"
	"path/filepath"
	"regexp"
	"runtime"
	"slices"
	"strings"
	"testing"
	"time"

	"keeler/store"
	"keeler/store/mariadbd"
)

// shelf gives one empty store after another, on one server.
func shelf(t *testing.T) func() *store.Store {
	t.Helper()
	server, err := mariadbd.Hasty(context.Background())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(server.Stop)
	n := 0
	return func() *store.Store {
		n++
		dsn, err := server.Database(t.Context(), fmt.Sprint("shelf", n))
		if err != nil {
			t.Fatal(err)
		}
		s, err := store.Open(dsn)
		if err != nil {
			t.Fatal(err)
		}
		t.Cleanup(func() { _ = s.Close() })
		if err := s.Migrate(t.Context()); err != nil {
			t.Fatal(err)
		}
		return s
	}
}

func archiveOf(t *testing.T, s *store.Store) []byte {
	t.Helper()
	var out bytes.Buffer
	if err := s.For(store.FirstOperation).WriteArchive(t.Context(), &out, plain); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

// plain leaves a cell of a table as it is.
func plain(cell string) string { return cell }

func take(t *testing.T, s *store.Store, archive []byte) error {
	t.Helper()
	_, err := s.For(store.FirstOperation).ReadArchive(t.Context(), bytes.NewReader(archive), int64(len(archive)))
	return err
}

// filesOf are the entries of an archive, in their order.
func filesOf(t *testing.T, archive []byte) (names []string, files map[string][]byte) {
	t.Helper()
	r, err := zip.NewReader(bytes.NewReader(archive), int64(len(archive)))
	if err != nil {
		t.Fatal(err)
	}
	files = map[string][]byte{}
	for _, f := range r.File {
		open, err := f.Open()
		if err != nil {
			t.Fatal(err)
		}
		if files[f.Name], err = io.ReadAll(open); err != nil {
			t.Fatal(err)
		}
		names = append(names, f.Name)
	}
	return names, files
}

// packed makes an archive of changed files, with a manifest that is right of them.
func packed(t *testing.T, names []string, files map[string][]byte) []byte {
	t.Helper()
	var is store.Archive
	if err := json.Unmarshal(files["manifest.json"], &is); err != nil {
		t.Fatal(err)
	}
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	for _, name := range names {
		raw := files[name]
		if of, counted := is.Files[name]; counted {
			sum := sha256.Sum256(raw)
			of.Lines, of.SHA256 = bytes.Count(raw, []byte("\n")), hex.EncodeToString(sum[:])
			is.Files[name] = of
		}
		if name == "manifest.json" {
			raw, _ = json.Marshal(is)
			raw = append(raw, '\n')
		}
		method := zip.Deflate
		if strings.HasPrefix(name, "photos/") {
			method = zip.Store
		}
		f, err := w.CreateHeader(&zip.FileHeader{Name: name, Method: method})
		if err == nil {
			_, err = f.Write(raw)
		}
		if err != nil {
			t.Fatal(err)
		}
	}
	if err := w.Close(); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

// told are the words and figures of a line that may be any; what they stand for is nobody's business here.
var (
	words   = regexp.MustCompile(`"(name|note|notes|reason|place|supplier_no|vessel|product)":"[^"\\]+"`)
	figures = regexp.MustCompile(`"(price|latitude|weighed|left_before|low_c)":-?[0-9.]+`)
)

// generated is another operation than the one of an archive: other words in many letters, other
// figures to the sixth place, and of what nothing else belongs to a part left out.
func generated(t *testing.T, chance *rand.Rand, archive []byte) []byte {
	t.Helper()
	names, files := filesOf(t, archive)
	letters := []rune("abz ÄöŝЖ蜂🐝'\"\\`%;,\u00a0\u2028<&>\t\n")
	word := func() string {
		out := []rune{rune('A' + chance.IntN(26))}
		for range chance.IntN(12) {
			out = append(out, letters[chance.IntN(len(letters))])
		}
		return string(out) + fmt.Sprint(chance.IntN(1e6))
	}
	for _, name := range names {
		if !strings.HasSuffix(name, ".jsonl") {
			continue
		}
		leaf := slices.Contains([]string{"inspections.jsonl", "batch_remarks.jsonl", "portions.jsonl", "expected_days.jsonl"}, name)
		var kept []byte
		for line := range bytes.Lines(files[name]) {
			if leaf && chance.IntN(3) == 0 {
				continue
			}
			line = words.ReplaceAllFunc(line, func(found []byte) []byte {
				key, _, _ := bytes.Cut(found, []byte(":"))
				said, _ := json.Marshal(word())
				return fmt.Appendf(nil, "%s:%s", key, said)
			})
			line = figures.ReplaceAllFunc(line, func(found []byte) []byte {
				key, _, _ := bytes.Cut(found, []byte(":"))
				return fmt.Appendf(nil, "%s:%d.%05d1", key, chance.IntN(50), chance.IntN(1e5))
			})
			kept = append(kept, line...)
		}
		files[name] = kept
	}
	return packed(t, names, files)
}

// withSheets is an archive with the tables of another.
func withSheets(t *testing.T, archive []byte, of map[string][]byte) []byte {
	t.Helper()
	names, files := filesOf(t, archive)
	for _, name := range names {
		if strings.HasPrefix(name, "csv/") {
			files[name] = of[name]
		}
	}
	return packed(t, names, files)
}

// The tables beside the lines tell the same, row by row.
func TestArchiveHasTables(t *testing.T) {
	first := shelf(t)()
	if err := Seed(t.Context(), first, nil); err != nil {
		t.Fatal(err)
	}
	_, files := filesOf(t, archiveOf(t, first))
	for _, name := range []string{"operation", "yards", "applications", "batches", "mite_counts"} {
		rows, err := csv.NewReader(bytes.NewReader(files["csv/"+name+".csv"])).ReadAll()
		if err != nil || len(rows) < 2 {
			t.Fatalf("%s: %d rows %v", name, len(rows), err)
		}
		lines := bytes.Split(bytes.TrimSpace(files[name+".jsonl"]), []byte("\n"))
		if len(rows)-1 != len(lines) {
			t.Errorf("%s: %d rows, %d lines", name, len(rows)-1, len(lines))
			continue
		}
		for i, line := range lines {
			var told map[string]json.RawMessage
			if err := json.Unmarshal(line, &told); err != nil {
				t.Fatal(err)
			}
			for column, cell := range rows[i+1] {
				want, said := string(told[rows[0][column]]), ""
				if json.Unmarshal(told[rows[0][column]], &said) == nil {
					want = said
				}
				if cell != want {
					t.Errorf("%s, row %d, %s: %q, want %q", name, i+1, rows[0][column], cell, want)
				}
			}
		}
	}
}

// holed is a file whose zeros take no room on the disk.
type holed struct {
	*os.File
	zeros bool // what is written now is nothing but these
}

func (h *holed) Write(raw []byte) (int, error) {
	if !h.zeros {
		return h.File.Write(raw)
	}
	_, err := h.Seek(int64(len(raw)), io.SeekCurrent)
	return len(raw), err
}

// large is an archive with one photo of so many bytes, which claims to be of another number.
func large(t *testing.T, size int64, claims uint64) (*os.File, int64) {
	t.Helper()
	file, err := os.Create(filepath.Join(t.TempDir(), "archive.zip"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = file.Close() })
	const count = "3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01"
	into := &holed{File: file}
	w, is := zip.NewWriter(into), store.Archive{Format: "keeler archive", Version: 1, Schema: store.Newest(), Files: map[string]store.Contained{}}
	put := func(name, line string) error {
		sum := sha256.Sum256([]byte(line))
		is.Files[name] = store.Contained{Lines: 1, SHA256: hex.EncodeToString(sum[:])}
		f, err := w.Create(name)
		if err == nil {
			_, err = io.WriteString(f, line)
		}
		return err
	}
	err = errors.Join(put("operation.jsonl", `{"name":"Large","created_at":"2026-11-02T03:04:05Z"}`+"\n"),
		put("count_photos.jsonl", `{"count_id":"`+count+`","image":"00","created_at":"2026-11-02T03:04:05Z"}`+"\n"))
	f, not := w.CreateRaw(&zip.FileHeader{Name: "photos/" + count, Method: zip.Store, UncompressedSize64: claims, CompressedSize64: uint64(size)})
	if err := errors.Join(err, not, w.Flush()); err != nil {
		t.Fatal(err)
	}
	into.zeros = true
	for part := make([]byte, 1<<20); size > 0 && err == nil; size -= int64(len(part)) {
		_, err = f.Write(part)
	}
	err = errors.Join(err, w.Flush())
	into.zeros = false
	raw, _ := json.Marshal(is)
	f, not = w.Create("manifest.json")
	if err := errors.Join(err, not); err != nil {
		t.Fatal(err)
	}
	_, err = f.Write(raw)
	if err := errors.Join(err, w.Close()); err != nil {
		t.Fatal(err)
	}
	stat, err := file.Stat()
	if err != nil {
		t.Fatal(err)
	}
	return file, stat.Size()
}

// An archive of 2 GB whose one photo is all of it is refused without holding it, and so is a small
// one that would unpack to more than a disk holds.
func TestArchiveOfTwoGigabytes(t *testing.T) {
	s := shelf(t)()
	for what, c := range map[string]struct {
		size   int64
		claims uint64
		want   error
	}{"a photo of 2 GB": {2 << 30, 2 << 30, store.ErrArchiveCut}, "a photo that unpacks to 20 GB": {1 << 20, 20 << 30, store.ErrArchiveVast}} {
		file, size := large(t, c.size, c.claims)
		var before, after runtime.MemStats
		runtime.ReadMemStats(&before)
		_, err := s.For(store.FirstOperation).ReadArchive(t.Context(), file, size)
		runtime.ReadMemStats(&after)
		if !errors.Is(err, c.want) {
			t.Errorf("%s: %v, want %v", what, err, c.want)
		}
		if took := after.TotalAlloc - before.TotalAlloc; took > 64<<20 {
			t.Errorf("%s: %d MB were held", what, took>>20)
		}
	}
}

// Taken out, taken in elsewhere and taken out again, an operation is the same byte for byte:
// the demo, which has something of everything, a photo among it, and operations made of it.
func TestArchiveGoesRound(t *testing.T) {
	next := shelf(t)
	first := next()
	if err := Seed(t.Context(), first, nil); err != nil {
		t.Fatal(err)
	}
	count := struct{ ID string }{}
	if err := first.Pool().QueryRowContext(t.Context(), "SELECT id FROM mite_counts LIMIT 1").Scan(&count.ID); err != nil {
		t.Fatal(err)
	}
	photo := &store.CountPhoto{CountID: count.ID, Image: []byte("RIFF\x00\x01\xff'\"WEBP"), CreatedAt: time.Date(2026, 11, 2, 3, 4, 5, 678901000, time.UTC)}
	if err := first.For(store.FirstOperation).AttachPhoto(t.Context(), photo); err != nil {
		t.Fatal(err)
	}
	whole := archiveOf(t, first)
	_, files := filesOf(t, whole)
	for _, table := range []string{"yards", "colonies", "inspections", "mite_counts", "jobs", "batches", "bench_events", "stock_entries", "applications", "comparisons", "vessels", "photos/" + count.ID} {
		if len(files[table+".jsonl"])+len(files[table]) == 0 {
			t.Errorf("nothing of %s is in it", table)
		}
	}
	if bytes.Contains(bytes.Join([][]byte{files["operation.jsonl"], files["applications.jsonl"]}, nil), []byte("argon2")) {
		t.Error("a password is in it")
	}
	chance := rand.New(rand.NewPCG(20261127, 1))
	for n := range 6 {
		of := whole
		if n > 0 {
			of = generated(t, chance, whole)
		}
		s := next()
		if err := take(t, s, of); err != nil {
			t.Fatalf("operation %d: %v", n, err)
		}
		again := archiveOf(t, s)
		if n > 0 { // its tables are still those of the first, which nobody reads
			_, is := filesOf(t, again)
			of = withSheets(t, of, is)
		}
		if !bytes.Equal(again, of) {
			_, want := filesOf(t, of)
			_, got := filesOf(t, again)
			for name := range want {
				if !bytes.Equal(got[name], want[name]) {
					t.Fatalf("operation %d, %s is\n%.600s\nwant\n%.600s", n, name, got[name], want[name])
				}
			}
			t.Fatalf("operation %d: the files are the same, the archive is not", n)
		}
	}
}

// What is not whole, or not ours, or belongs to nothing is refused, and nothing of it stays;
// nor is one taken on top of another.
func TestArchiveIsRefused(t *testing.T) {
	next := shelf(t)
	first := next()
	if err := Seed(t.Context(), first, nil); err != nil {
		t.Fatal(err)
	}
	whole := archiveOf(t, first)
	names, files := filesOf(t, whole)
	with := func(name string, change func([]byte) []byte) []byte {
		changed := map[string][]byte{}
		for n, raw := range files {
			changed[n] = raw
		}
		changed[name] = change(bytes.Clone(files[name]))
		return packed(t, names, changed)
	}
	replace := func(name, old, new string) []byte {
		return with(name, func(raw []byte) []byte { return bytes.Replace(raw, []byte(old), []byte(new), 1) })
	}
	unsigned := bytes.Clone(whole) // a line is changed and the manifest is not
	at := bytes.Index(unsigned, []byte("yards.jsonl")) + 40
	unsigned[at] ^= 4
	s := next()
	for what, c := range map[string]struct {
		archive []byte
		want    error
	}{
		"cut": {whole[:len(whole)-100], store.ErrArchiveCut}, "changed": {unsigned, store.ErrArchiveCut}, "a letter": {[]byte(strings.Repeat("no archive ", 20)), store.ErrNoArchive},
		"of a newer schema":     {replace("manifest.json", `"schema":`, `"schema":9`), store.ErrArchiveNewer},
		"with another column":   {replace("yards.jsonl", `"name":`, `"moon":3,"name":`), store.ErrArchiveNewer},
		"of a yard that is not": {with("yards.jsonl", func([]byte) []byte { return nil }), store.ErrArchiveBroken},
	} {
		if err := take(t, s, c.archive); !errors.Is(err, c.want) {
			t.Errorf("%s: %v, want %v", what, err, c.want)
		}
		if n := len(archiveOf(t, s)); n > 20_000 {
			t.Fatalf("%s: something of it stays", what)
		}
	}
	if err := take(t, s, whole); err != nil {
		t.Fatal(err)
	}
	if err := take(t, s, whole); !errors.Is(err, store.ErrNotEmpty) {
		t.Errorf("a second time: %v", err)
	}
}
