package api_test

import (
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"strings"
	"testing"
	"time"
)

// operationOf is an operation as the document has it.
type operationOf struct {
	Security    []any
	RequestBody struct {
		Content map[string]struct{ Schema schemaOf }
	}
}

type schemaOf struct {
	Ref        string `json:"$ref"`
	Type       string
	Items      *schemaOf
	MaxItems   *int
	ReadOnly   bool
	Properties map[string]schemaOf
}

type documentOf struct {
	Paths      map[string]map[string]operationOf
	Components struct{ Schemas map[string]schemaOf }
}

// lists calls back for each list in what is asked.
func (d documentOf) lists(s schemaOf, path string, seen map[string]bool, each func(string, schemaOf)) {
	if s.Ref != "" {
		name := s.Ref[strings.LastIndex(s.Ref, "/")+1:]
		if seen[name] {
			return
		}
		seen[name] = true
		d.lists(d.Components.Schemas[name], name, seen, each)
		return
	}
	if s.Type == "array" {
		each(path, s)
		if s.Items.Ref != "" { // a list of lists is as long as what it stands for
			d.lists(*s.Items, path, seen, each)
		}
	}
	for name, of := range s.Properties {
		if !of.ReadOnly {
			d.lists(of, path+"."+name, seen, each)
		}
	}
}

// Each list that is taken says how long it may be.
func TestEveryListHasItsMost(t *testing.T) {
	d, lists := document[documentOf](t), 0
	for path, operations := range d.Paths {
		for _, o := range operations {
			for _, content := range o.RequestBody.Content {
				d.lists(content.Schema, path, map[string]bool{}, func(at string, s schemaOf) {
					if lists++; s.MaxItems == nil {
						t.Errorf("%s: %s has no most", path, at)
					}
				})
			}
		}
	}
	if lists < 20 {
		t.Errorf("only %d lists", lists)
	}
}

// unread is a body that nobody may ask for.
type unread struct{ t *testing.T }

func (u unread) Read([]byte) (int, error) {
	u.t.Error("the body was read")
	return 0, io.EOF
}

// Who is not signed in is told so before anything that he sends is read.
func TestSignInBeforeEverythingElse(t *testing.T) {
	patient := &http.Client{Transport: &http.Transport{ExpectContinueTimeout: time.Minute}}
	closed := 0
	for path, operations := range document[documentOf](t).Paths {
		for method, o := range operations {
			if len(o.Security) == 0 {
				continue
			}
			closed++
			path = strings.NewReplacer("{id}", "no-id", "{treatment}", "no", "{portion}", "no", "{token}", "no").Replace(path)
			request, err := http.NewRequestWithContext(t.Context(), strings.ToUpper(method), keeler.URL+path, unread{t})
			if err != nil {
				t.Fatal(err)
			}
			request.ContentLength = 200_000
			request.Header.Set("Expect", "100-continue")
			request.Header.Set("Content-Type", "application/json")
			response, err := patient.Do(request)
			if err != nil {
				t.Fatal(method, path, err)
			}
			_ = response.Body.Close()
			if response.StatusCode != http.StatusUnauthorized {
				t.Errorf("%s %s: %s", method, path, response.Status)
			}
		}
	}
	if closed < 50 {
		t.Errorf("only %d operations ask who is there", closed)
	}
}

// many is a list of nothings, as large as a body may be.
func many(n int) string { return "[" + strings.TrimSuffix(strings.Repeat("{},", n), ",") + "]" }

// A list that is too long is refused as that, whatever is in it, and no answer names more
// than twenty places or sends back what was sent.
func TestFewErrorsForMuch(t *testing.T) {
	for path, body := range map[string]string{
		"/api/dribble/dose":     `{"colonies":` + many(160_000) + `}`,
		"/api/dribble/plan":     `{"colonies":` + many(160_000) + `}`,
		"/api/strip/plan":       `{"colonies":` + many(160_000) + `}`,
		"/api/strip/placement":  `{"colonies":` + many(900) + `}`,
		"/api/hive/counts":      `{"typed":` + many(1000) + `}`,
		"/api/round/lasts":      `{"expected":` + many(160_000) + `}`,
		"/api/inspections":      `{"inspections":` + many(160_000) + `}`,
		"/api/counts":           `{"counts":` + many(900) + `}`,
		"/api/batches":          `{"recipe":{"dribble":{"colonies":` + many(900) + `}}}`,
		"/api/jobs":             `{"colonies":` + many(160_000) + `}`,
		"/api/yards":            many(10_000),
		"/api/lots":             `{"name":"` + strings.Repeat("a", 20_000) + `"}`,
		"/api/pad/plan":         `{` + strings.TrimSuffix(strings.Repeat(`"x":{},`, 1000), ",") + `,` + names(20_000) + `}`,
		"/api/strip/plan?twice": `{"colonies":[` + strings.TrimSuffix(strings.Repeat(`{"boxes":`+many(6)+`},`, 900), ",") + `]}`,
	} {
		request, err := http.NewRequestWithContext(t.Context(), http.MethodPost, keeler.URL+path, strings.NewReader(body))
		if err != nil {
			t.Fatal(err)
		}
		request.Header.Set("Content-Type", "application/json")
		response, err := owner.Do(request)
		if err != nil {
			t.Fatal(err)
		}
		raw, err := io.ReadAll(response.Body)
		_ = response.Body.Close()
		var told struct {
			Errors []struct{ Location, Value string }
		}
		if err != nil || json.Unmarshal(raw, &told) != nil || response.StatusCode != http.StatusUnprocessableEntity {
			t.Errorf("%s: %s %.200s %v", path, response.Status, raw, err)
			continue
		}
		if n := len(told.Errors); n == 0 || n > 20 || len(raw) > 8000 {
			t.Errorf("%s: %d errors in %d bytes", path, n, len(raw))
		}
		if strings.Contains(body, many(160_000)) && len(told.Errors) > 4 { // with what else is missing
			t.Errorf("%s: %d errors for a list that is too long", path, len(told.Errors))
		}
	}
}

func names(n int) string {
	var b strings.Builder
	for i := range n {
		fmt.Fprintf(&b, `"n%d":0,`, i)
	}
	return strings.TrimSuffix(b.String(), ",")
}

// What is beyond a route's size is refused without being read to its end.
func TestBodiesAreLimited(t *testing.T) {
	for path, most := range map[string]int{"/api/yards": 40 << 10, "/api/dribble/plan": 600 << 10, "/api/session": 40 << 10, "/api/inspections": 600 << 10} {
		status, _ := call(t, path, `{"x":"`+strings.Repeat("a", most)+`"}`)
		if status != http.StatusRequestEntityTooLarge {
			t.Errorf("%s: %d for %d bytes", path, status, most)
		}
	}
}

// A body that is not sent to its end is not waited for: the connection is ended.
func TestSlowBodyIsNotWaitedFor(t *testing.T) {
	connection, err := net.Dial("tcp", strings.TrimPrefix(keeler.URL, "http://"))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = connection.Close() }()
	if _, err := fmt.Fprintf(connection, "POST /api/dribble/plan HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{"); err != nil {
		t.Fatal(err)
	}
	answer, err := io.ReadAll(connection) // or this waits for ever
	if err != nil || !strings.HasPrefix(string(answer), "HTTP/1.1 408") {
		t.Errorf("%.100s %v", answer, err)
	}
}
