package api_test

import (
	"context"
	"fmt"
	"net/http"
	"strings"
	"sync"
	"testing"

	"github.com/google/uuid"

	"keeler/e2e/stand"
)

// record is a yard with a hive, by their ids.
func record(t *testing.T) (yard, hive string) {
	t.Helper()
	yard, hive = uuid.NewString(), uuid.NewString()
	for path, body := range map[string]string{"/api/yards": `{"id":"` + yard + `","name":"` + yard + `","latitude":57}`} {
		if status, answer := call(t, path, body); status != http.StatusOK {
			t.Fatalf("%s: %d %v", path, status, answer)
		}
	}
	if status, answer := call(t, "/api/colonies", `{"id":"`+hive+`","yard_id":"`+yard+`","name":"A1",`+box+`}`); status != http.StatusOK {
		t.Fatalf("%d %v", status, answer)
	}
	return yard, hive
}

// What cannot be is told at its field, through the whole way in.
func TestRecordProblemsNameTheField(t *testing.T) {
	yard, hive := record(t)
	id := uuid.NewString()
	for _, c := range []struct{ method, path, body, location string }{
		{"POST", "/api/yards", `{"name":"X","latitude":200}`, "body.latitude"},
		{"POST", "/api/yards", `{"name":" ","latitude":57}`, "body.name"},
		{"PUT", "/api/yards/" + yard, `{"name":"X","version":1}`, "body.latitude"},
		{"POST", "/api/colonies", `{"name":"X",` + box + `}`, "body.yard_id"},
		{"POST", "/api/colonies", `{"yard_id":"` + yard + `","name":"A1",` + box + `}`, "body.name"},
		{"POST", "/api/colonies", `{"yard_id":"` + yard + `","name":"X","boxes":[]}`, "body.boxes"},
		{"POST", "/api/colonies", `{"yard_id":"` + yard + `","name":"X","boxes":[{"kind":"deep","slots":["cat"]}]}`, "body.boxes[0].slots[0]"},
		{"PUT", "/api/colonies/" + hive, `{"name":"X","queen":"asleep","version":1,` + box + `}`, "body.queen"},
		{"POST", "/api/colonies/" + hive + "/move", `{"yard_id":"` + id + `","version":1}`, "body.yard_id"},
		{"POST", "/api/colonies/" + hive + "/end", `{"reason":"","version":1}`, "body.reason"},
		{"POST", "/api/colonies/" + hive + "/split", `{"child":{"name":"",` + box + `}}`, "body.child.name"},
		{"POST", "/api/colonies/" + hive + "/treatments", `{"id":"` + id + `","method":"pad","given_on":"yesterday"}`, "body.given_on"},
		{"POST", "/api/inspections", `{"inspections":[{"id":"` + id + `","colony_id":"` + hive + `","brood":"some"}]}`, "body.inspections[0].brood"},
		{"POST", "/api/inspections", `{"inspections":[{"id":"` + id + `","colony_id":"` + hive + `","seams":-1}]}`, "body.inspections[0].seams"},
		{"POST", "/api/counts", `{"counts":[{"id":"` + id + `","colony_id":"` + hive + `","kind":"board","mites":3}]}`, "body.counts[0].days"},
		{"POST", "/api/counts", `{"counts":[{"id":"` + id + `","colony_id":"` + hive + `","kind":"wash","mites":3,"bees":0}]}`, "body.counts[0].bees"},
		{"POST", "/api/counts", `{"counts":[{"id":"` + id + `","colony_id":"` + hive + `","kind":"wash","mites":3,"bees":300,"on":"2027-01-01"}]}`, "body.counts[0].on"},
		{"POST", "/api/cards", `{"id":"` + id + `","name":"","method":"strip","content":{"min_c":10,"max_c":30,"supers":"off"}}`, "body.name"},
		{"POST", "/api/jobs/plan", `{"yard_id":"` + yard + `","method":"dribble","under":"guess","colonies":[],"people":1,"from":""}`, "body.under"},
		{"POST", "/api/jobs/plan", `{"yard_id":"` + yard + `","method":"dribble","under":"winter","colonies":["x"],"people":0,"from":""}`, "body.people"},
		{"POST", "/api/jobs", `{"id":"` + id + `","name":"X","method":"dribble","under":"strips","rule_kind":"label","colonies":[{"colony_id":"` + hive + `","day":"2026-12-04"}]}`, "body.under"},
		{"POST", "/api/jobs", `{"id":"` + id + `","name":"X","method":"strip","under":"","rule_kind":"label","colonies":[{"colony_id":"` + hive + `","day":"soon","override":"x"}]}`, "body.colonies[0].day"},
		{"GET", "/api/decide?people=99", "", "body.people"},
		{"GET", "/api/decide?pad=winter", "", "body.pad"},
		{"POST", "/api/import/colonies?mode=all", "name\nA", "body.file"},
	} {
		status, answer := send(t, owner, c.method, c.path, c.body)
		if status != http.StatusUnprocessableEntity {
			t.Errorf("%s %s %s: %d %v", c.method, c.path, c.body, status, answer)
			continue
		}
		first := answer["errors"].([]any)[0].(map[string]any)
		if first["location"] != c.location || first["message"] == "" {
			t.Errorf("%s %s: got %v, want %s", c.path, c.body, first, c.location)
		}
	}
}

// Of several who change a hive at once from what they saw, one does, and the
// others are told; what was sent twice counts once.
func TestSeveralAtOnce(t *testing.T) {
	yard, hive := record(t)
	var all sync.WaitGroup
	got := make(chan int, 5)
	for i := range 5 {
		all.Go(func() {
			status, _ := send(t, owner, http.MethodPut, "/api/colonies/"+hive, fmt.Sprintf(`{"name":"N%d","version":1,%s}`, i, box))
			got <- status
		})
	}
	all.Wait()
	close(got)
	tally := map[int]int{}
	for status := range got {
		tally[status]++
	}
	if tally[http.StatusOK] != 1 || tally[http.StatusConflict] != 4 {
		t.Errorf("got %v", tally)
	}
	look := `{"inspections":[{"id":"` + uuid.NewString() + `","colony_id":"` + hive + `","brood":"none"}]}`
	for range 3 {
		all.Go(func() {
			if status, answer := send(t, owner, http.MethodPost, "/api/inspections", look); status != http.StatusOK {
				t.Errorf("%d %v", status, answer)
			}
		})
	}
	all.Wait()
	if _, c := call(t, "/api/colonies/"+hive, ""); len(c["inspections"].([]any)) != 1 {
		t.Errorf("one look counts %d times", len(c["inspections"].([]any)))
	}
	if _, y := call(t, "/api/yards/"+yard, ""); y["colonies"] != 1.0 {
		t.Errorf("got %v", y["colonies"])
	}
}

// The weather service goes away: the matrix says so and goes on.
func TestWithoutWeather(t *testing.T) {
	other, err := stand.Up(context.Background(), true)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = other.Down() }()
	mine := keeler
	keeler = other
	defer func() { keeler = mine }()
	b := browser()
	if status, _ := send(t, b, http.MethodPost, "/api/demo", "{}"); status != http.StatusOK {
		t.Fatal(status)
	}
	verdicts := func() (string, string) {
		status, d := send(t, b, http.MethodGet, "/api/decide?day=2026-12-05&people=2", "")
		if status != http.StatusOK {
			t.Fatalf("%d %v", status, d)
		}
		for _, raw := range d["yards"].([]any) {
			y := raw.(map[string]any)
			if y["name"] == "Ropewalk" {
				first := y["colonies"].([]any)[0].(map[string]any)["cells"].([]any)[0].(map[string]any)
				return first["verdict"].(string), fmt.Sprint(y["forecast"])
			}
		}
		return "", ""
	}
	other.Overcast()
	if v, forecast := verdicts(); v != "look_first" || forecast != "false" {
		t.Errorf("without weather: %s %s", v, forecast)
	}
	export, err := b.Get(keeler.URL + "/api/export/colonies")
	if err != nil {
		t.Fatal(err)
	}
	_ = export.Body.Close()
	if kind := export.Header.Get("Content-Type"); !strings.HasPrefix(kind, "text/csv") || !strings.Contains(export.Header.Get("Content-Disposition"), "colonies.csv") {
		t.Errorf("got %s", kind)
	}
}
