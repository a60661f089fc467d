package api_test

import (
	"bufio"
	"context"
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
)

// mixing is a batch at the bench.
func mixing(t *testing.T) (id string) {
	t.Helper()
	id = uuid.NewString()
	if status, answer := call(t, "/api/batches", `{"id":"`+id+`","name":"Bench",`+recipe+`}`); status != http.StatusCreated {
		t.Fatalf("%d %v", status, answer)
	}
	if status, answer := call(t, "/api/batches/"+id+"/bench", `{"balances":[{"name":"fine","balance_g":0.1}]}`); status != http.StatusOK {
		t.Fatalf("%d %v", status, answer)
	}
	return id
}

func TestBenchProblemsNameTheField(t *testing.T) {
	bench := "/api/batches/" + mixing(t)
	event := func(rest string) string { return `{"id":"` + uuid.NewString() + `",` + rest + `}` }
	for _, c := range []struct{ path, body, location string }{
		{"/bench/events", event(`"kind":"added","act":"sugar","grams":-3`), "body.grams"},
		{"/bench/events", event(`"kind":"added","act":"sugar","grams":9000`), "body.grams"},
		{"/bench/events", event(`"kind":"added","act":"nothing","grams":3`), "body.act"},
		{"/bench/events", event(`"kind":"added","act":"gear","grams":3`), "body.act"},
		{"/bench/events", event(`"kind":"added","act":"sugar","grams":50,"source":"balance","instrument":"i1"`), "body.grams"},
		{"/bench/events", event(`"kind":"removed","act":"sugar","load":4`), "body.load"},
		{"/bench/events", event(`"kind":"answered","act":"gear","answer":"perhaps"`), "body.answer"},
		{"/bench/events", event(`"kind":"measured","act":"heat_water","temp_c":900`), "body.temp_c"},
		{"/bench/events", event(`"kind":"started","act":"sugar"`), "body.act"},
		{"/bench/events", event(`"kind":"corrected"`), "body.kind"},
		{"/bench/events", event(`"kind":"lot","act":"acid","answer":"` + uuid.NewString() + `"`), "body.answer"},
		{"/bench/events", event(`"kind":"finished","keeping":"room"`), "body.acts[sugar]"},
		{"/bench/plan", `{"balances":[{"name":"x","balance_g":0.1,"balance_capacity_g":1}]}`, "body.balances[0].balance_capacity_g"},
		{"/bench/plan", `{"order":"by-spoon","balances":[{"name":"x","balance_g":0.1}]}`, "body.order"},
		{"/entries", event(`"kind":"bought","amount":5`), "body.kind"},
		{"/entries", event(`"kind":"used","amount":-5`), "body.amount"},
		{"/entries", event(`"kind":"discarded","amount":5`), "body.reason"},
		{"/portions", event(`"vessel":"can","amount":0`), "body.amount"},
	} {
		status, answer := call(t, bench+c.path, c.body)
		if status != http.StatusUnprocessableEntity {
			t.Errorf("%s %s: %d %v", c.path, c.body, status, answer)
			continue
		}
		if first := answer["errors"].([]any)[0].(map[string]any); first["location"] != c.location || first["message"] == "" {
			t.Errorf("%s: got %v, want %s", c.body, first, c.location)
		}
	}
	for body, location := range map[string]string{
		`{"id":"` + uuid.NewString() + `","ingredient":"acid","name":" ","amount":5}`:                          "body.name",
		`{"id":"` + uuid.NewString() + `","ingredient":"acid","name":"x","amount":0}`:                          "body.amount",
		`{"id":"` + uuid.NewString() + `","ingredient":"acid","name":"x","amount":5,"expires_on":"in spring"}`: "body.expires_on",
		`{"id":"` + uuid.NewString() + `","ingredient":"moonlight","name":"x","amount":5}`:                     "body.ingredient",
	} {
		status, answer := call(t, "/api/lots", body)
		if status != http.StatusUnprocessableEntity || answer["errors"].([]any)[0].(map[string]any)["location"] != location {
			t.Errorf("%s: %d %v", body, status, answer)
		}
	}
}

// Whoever listens at a bench is told of what others do there, and what the balance
// shows as it stands still; nobody takes a weight that it does not stand on.
func TestListeningAtTheBench(t *testing.T) {
	id := mixing(t)
	ctx, end := context.WithCancel(t.Context())
	defer end()
	request, err := http.NewRequestWithContext(ctx, http.MethodGet, keeler.URL+"/api/stream?readings=true&at="+id, nil)
	if err != nil {
		t.Fatal(err)
	}
	response, err := owner.Do(request)
	if err != nil || response.StatusCode != http.StatusOK || !strings.HasPrefix(response.Header.Get("Content-Type"), "text/event-stream") {
		t.Fatal(response, err)
	}
	defer func() { _ = response.Body.Close() }()
	lines := bufio.NewScanner(response.Body)
	until := func(want string) {
		t.Helper()
		for lines.Scan() {
			if strings.Contains(lines.Text(), want) {
				return
			}
		}
		t.Fatalf("%q never came: %v", want, lines.Err())
	}
	until("event:open")
	if status, answer := call(t, "/api/instruments", `{"instrument":"i2","do":"lift"}`); status != http.StatusOK { // of what another test poured
		t.Fatalf("%d %v", status, answer)
	}
	until(`"instrument":"i2","state":"stable","value":0`)
	if status, answer := call(t, "/api/instruments", `{"instrument":"i2","do":"pour","amount":48}`); status != http.StatusOK {
		t.Fatalf("%d %v", status, answer)
	}
	until(`"instrument":"i2","state":"unstable"`)
	until(`"instrument":"i2","state":"stable","value":48}`)
	took := `{"id":"%s","kind":"added","act":"sugar","grams":%v,"source":"balance","instrument":"i2"}`
	if status, answer := call(t, "/api/batches/"+id+"/bench/events", fmt.Sprintf(took, uuid.NewString(), 58)); status != http.StatusUnprocessableEntity {
		t.Errorf("58 g while it shows 48: %d %v", status, answer)
	}
	once := fmt.Sprintf(took, uuid.NewString(), 48)
	for range 2 {
		status, answer := call(t, "/api/batches/"+id+"/bench/events", once)
		if status != http.StatusOK || answer["seq"] != 1.0 {
			t.Fatalf("%d %v", status, answer)
		}
	}
	until("event:changed")
	until("data:" + id)
}
