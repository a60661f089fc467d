package keeler

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
)

// Imports run one way; core stands on the standard library alone and touches neither the
// world outside nor formatting.
func TestImportsRunOneWay(t *testing.T) {
	out, err := exec.Command("go", "list", "-f", `{{.ImportPath}}{{range .Imports}} {{.}}{{end}}`, "./...").Output()
	if err != nil {
		t.Fatal(err)
	}
	forbidden := map[string][]string{
		"keeler/core":  {"keeler/wire", "keeler/app", "keeler/store", "keeler/api", "os", "io", "net", "fmt", "log", "encoding", "database", "github.com"},
		"keeler/wire":  {"keeler/app", "keeler/store", "keeler/api", "net", "os", "database", "github.com"},
		"keeler/store": {"keeler/core", "keeler/wire", "keeler/app", "keeler/api", "net/http"},
		"keeler/app":   {"keeler/api", "net/http", "gorm.io", "keeler/sim", "keeler/forecast", "keeler/push", "keeler/outside"},
		"keeler/sim":   {"keeler/core", "keeler/wire", "keeler/app", "keeler/store", "keeler/api"},
		"keeler/api":   {"keeler/core/method/dribble", "keeler/core/method/strip", "keeler/core/method/pad", "keeler/core/chem", "keeler/core/fit", "keeler/core/mites", "gorm.io"},
	}
	seen := map[string]bool{}
	for line := range strings.Lines(string(out)) {
		fields := strings.Fields(line)
		for layer, never := range forbidden {
			if !under(fields[0], layer) {
				continue
			}
			seen[layer] = true
			for _, imported := range fields[1:] {
				for _, n := range never {
					if under(imported, n) {
						t.Errorf("%s imports %s", fields[0], imported)
					}
				}
			}
		}
	}
	if len(seen) != len(forbidden) {
		t.Errorf("only %v were found", seen)
	}
}

// Core may reckon with dates and zones, but it asks no clock and reads no zone from disk.
func TestCoreAsksNoClock(t *testing.T) {
	allowed := []string{"Date", "Time", "Month", "Location", "UTC", "Unix", "Parse", "Duration", "Hour", "Minute", "Second"}
	seen := 0
	err := filepath.WalkDir("core", func(path string, entry fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(path, ".go") {
			return err
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
		if err != nil {
			return err
		}
		ast.Inspect(file, func(n ast.Node) bool {
			of, ok := n.(*ast.SelectorExpr)
			if !ok {
				return true
			}
			if name, ok := of.X.(*ast.Ident); ok && name.Name == "time" && name.Obj == nil {
				seen++
				if !slices.Contains(allowed, of.Sel.Name) {
					t.Errorf("%s uses time.%s", path, of.Sel.Name)
				}
			}
			return true
		})
		return nil
	})
	if err != nil || seen == 0 {
		t.Errorf("%d uses of time, %v", seen, err)
	}
}

func under(path, root string) bool { return path == root || strings.HasPrefix(path, root+"/") }

// What a comment cites as its source is a section of the page of sources, and each
// section is cited.
func TestSourcesAreThere(t *testing.T) {
	page, err := os.ReadFile("docs/sources.md")
	if err != nil {
		t.Fatal(err)
	}
	cited := map[string]bool{}
	for _, m := range regexp.MustCompile(`(?m)^## (.+)$`).FindAllStringSubmatch(string(page), -1) {
		cited[m[1]] = false
	}
	citation := regexp.MustCompile(`docs/sources\.md, ([A-Z][a-z]+(?: [a-z]+)*)`)
	err = filepath.WalkDir("core", func(path string, entry fs.DirEntry, err error) error {
		if err != nil || entry.IsDir() {
			return err
		}
		text, err := os.ReadFile(path)
		one := strings.ReplaceAll(string(text), "\n// ", " ")
		for _, m := range citation.FindAllStringSubmatch(one, -1) {
			if _, there := cited[m[1]]; !there {
				t.Errorf("%s cites %q", path, m[1])
			}
			cited[m[1]] = true
		}
		return err
	})
	if err != nil || len(cited) < 8 {
		t.Errorf("%d sections, %v", len(cited), err)
	}
	for section, is := range cited {
		if !is && section != "Protection" {
			t.Errorf("nothing cites %q", section)
		}
	}
}

// What runs beside the rest ends the program by no panic: every goroutine is begun by guard, or tries
// what it does with it. The one that starts mariadbd only waits for it.
func TestGoroutinesAreGuarded(t *testing.T) {
	files, err := exec.Command("git", "ls-files", "*.go").Output()
	if err != nil {
		t.Fatal(err)
	}
	seen := 0
	for path := range strings.Lines(string(files)) {
		path = strings.TrimSpace(path)
		if strings.HasSuffix(path, "_test.go") || under(path, "guard") || under(path, "e2e") || under(path, "perf") || path == "store/mariadbd/launch.go" {
			continue
		}
		source, err := os.ReadFile(path)
		if err != nil {
			t.Fatal(err)
		}
		set := token.NewFileSet()
		file, err := parser.ParseFile(set, path, source, 0)
		if err != nil {
			t.Fatal(err)
		}
		ast.Inspect(file, func(n ast.Node) bool {
			if of, is := n.(*ast.GoStmt); is {
				seen++
				if text := string(source[set.Position(of.Pos()).Offset:set.Position(of.End()).Offset]); !strings.Contains(text, "guard.Try") {
					t.Errorf("%s: a goroutine without guard", set.Position(of.Pos()))
				}
			}
			return true
		})
	}
	if seen == 0 {
		t.Error("no goroutine was found")
	}
}
