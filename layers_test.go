package keeler

import (
	"os/exec"
	"strings"
	"testing"
)

// Imports run one way; core stands on the standard library alone and touches
// neither the world outside nor the clock nor formatting.
func TestImportsRunOneWay(t *testing.T) {
	out, err := exec.Command("go", "list", "-f", `{{.ImportPath}}{{range .Imports}} {{.}}{{end}}`, "./...").Output()
	if err != nil {
		t.Fatal(err)
	}
	forbidden := map[string][]string{
		"keeler/core":  {"keeler/wire", "keeler/app", "keeler/store", "keeler/api", "os", "io", "net", "fmt", "time", "log", "encoding", "database", "github.com"},
		"keeler/wire":  {"keeler/app", "keeler/store", "keeler/api", "net", "os", "database", "github.com"},
		"keeler/store": {"keeler/core", "keeler/wire", "keeler/app", "keeler/api", "net/http"},
		"keeler/app":   {"keeler/api", "net/http", "gorm.io", "keeler/sim", "keeler/forecast"},
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

func under(path, root string) bool { return path == root || strings.HasPrefix(path, root+"/") }
