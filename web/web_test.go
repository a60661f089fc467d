package web

import (
	"io/fs"
	"regexp"
	"strings"
	"testing"
)

// The page and its styles ask nobody else for anything: every script, style and font
// ships with the program.
func TestNothingFromElsewhere(t *testing.T) {
	asks := regexp.MustCompile(`(?:src|href)=["']?(?:https?:)?//|url\(["']?(?:https?:)?//|@import`)
	seen := map[string]int{}
	err := fs.WalkDir(Files(), ".", func(path string, entry fs.DirEntry, err error) error {
		if err != nil || entry.IsDir() {
			return err
		}
		kind := path[strings.LastIndex(path, ".")+1:]
		seen[kind]++
		if kind != "html" && kind != "css" {
			return nil
		}
		text, err := fs.ReadFile(Files(), path)
		if asked := asks.Find(text); asked != nil {
			t.Errorf("%s asks for %s", path, asked)
		}
		return err
	})
	if err != nil || seen["html"] == 0 || seen["css"] == 0 || seen["woff2"] == 0 || seen["wasm"] == 0 {
		t.Errorf("the interface is not whole: %v %v", seen, err)
	}
}
