package api_test

import (
	"bytes"
	"image"
	"image/png"
	"io"
	"net/http"
	"strings"
	"testing"
)

// A photo is kept with its count as it was sent, once. What is no picture, too large, or of
// no count is refused, and nothing is lost by it.
func TestPhotoOfABoard(t *testing.T) {
	anew(t)
	for _, b := range bodies[:6] {
		method, path, _ := strings.Cut(b.call, " ")
		if status, answer := send(t, owner, method, at(path), fill(b.body)); status >= 300 {
			t.Fatalf("%s: %d %v", b.call, status, answer)
		}
	}
	var picture bytes.Buffer
	if err := png.Encode(&picture, image.NewGray(image.Rect(0, 0, 4, 3))); err != nil {
		t.Fatal(err)
	}
	path := "/api/counts/" + marked["counts"] + "/photo"
	for name, c := range map[string]struct {
		path, body string
		want       int
	}{
		"no picture":  {path, "%PDF-1.7", http.StatusUnprocessableEntity},
		"too large":   {path, picture.String() + strings.Repeat("x", 2<<20), http.StatusRequestEntityTooLarge},
		"of no count": {strings.Replace(path, marked["counts"], marked["yards"], 1), picture.String(), http.StatusNotFound},
	} {
		if status, answer := send(t, owner, http.MethodPut, c.path, c.body); status != c.want {
			t.Errorf("%s: %d %v", name, status, answer)
		}
	}
	for range 2 {
		if status, answer := send(t, owner, http.MethodPut, path, picture.String()); status >= 300 {
			t.Fatalf("%d %v", status, answer)
		}
	}
	got, err := owner.Get(keeler.URL + path)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = got.Body.Close() }()
	if body, err := io.ReadAll(got.Body); err != nil || !bytes.Equal(body, picture.Bytes()) || got.Header.Get("Content-Type") != "image/png" || got.Header.Get("X-Content-Type-Options") != "nosniff" {
		t.Errorf("%d bytes of %s, %v %v", len(body), got.Header.Get("Content-Type"), got.Header, err)
	}
}
