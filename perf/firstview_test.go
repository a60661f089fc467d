package perf

import (
	"bytes"
	"compress/gzip"
	"encoding/json"
	"fmt"
	"io/fs"

	"keeler/web"
)

const (
	mostScript = 200_000 // bytes, gzipped
	entry      = "index.html"
	first      = "src/today/TodayPage.tsx"
)

// chunk is an entry of Vite's manifest.
type chunk struct {
	File    string   `json:"file"`
	Imports []string `json:"imports"`
}

// firstView is the gzipped script that the browser loads before the first screen stands: the
// entry and Today, and all that they import at once.
func firstView() ([]figure, error) {
	raw, err := fs.ReadFile(web.Files(), ".vite/manifest.json")
	if err != nil {
		return nil, err
	}
	var manifest map[string]chunk
	if err := json.Unmarshal(raw, &manifest); err != nil {
		return nil, err
	}
	size, seen := 0, map[string]bool{}
	var add func(name string) error
	add = func(name string) error {
		if seen[name] {
			return nil
		}
		seen[name] = true
		n, err := gzipped(manifest[name].File)
		if err != nil {
			return err
		}
		size += n
		for _, next := range manifest[name].Imports {
			if err := add(next); err != nil {
				return err
			}
		}
		return nil
	}
	for _, of := range []string{entry, first} {
		if manifest[of].File == "" {
			return nil, fmt.Errorf("no %s in the manifest", of)
		}
		if err := add(of); err != nil {
			return nil, err
		}
	}
	return []figure{{
		name:  "script of the first view, gzipped",
		value: fmt.Sprintf("%.1f kB", float64(size)/1000), limit: fmt.Sprintf("at most %d kB", mostScript/1000), kept: size <= mostScript,
	}}, nil
}

func gzipped(file string) (int, error) {
	raw, err := fs.ReadFile(web.Files(), file)
	if err != nil {
		return 0, err
	}
	var out bytes.Buffer
	w := gzip.NewWriter(&out)
	if _, err := w.Write(raw); err != nil {
		return 0, err
	}
	if err := w.Close(); err != nil {
		return 0, err
	}
	return out.Len(), nil
}
