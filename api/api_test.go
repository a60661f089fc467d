package api_test

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"

	"keeler/api"
	"keeler/e2e/stand"
)

var (
	keeler *stand.Stand
	owner  *http.Client // of the operation that the tests write to
	dsn    string       // of its database
)

func TestMain(m *testing.M) {
	os.Exit(func() int {
		var err error
		if keeler, err = stand.Up(context.Background(), false); err != nil {
			panic(err)
		}
		defer func() { _ = keeler.Down() }()
		owner, dsn = browser(), keeler.DB.DSN()
		if err := claim(owner); err != nil {
			panic(err)
		}
		return m.Run()
	}())
}

// anew gives a test a Keeler of its own: for what can be done once only, or is about all
// that there is.
func anew(t *testing.T) {
	t.Helper()
	its, err := keeler.DB.Database(t.Context(), strings.ReplaceAll(t.Name(), "/", " "))
	if err != nil {
		t.Fatal(err)
	}
	s, err := stand.On(context.Background(), its, false)
	if err != nil {
		t.Fatal(err)
	}
	of, by, at := keeler, owner, dsn
	keeler, owner, dsn = s, browser(), its
	t.Cleanup(func() {
		keeler, owner, dsn = of, by, at
		if err := s.Down(); err != nil {
			t.Error(err)
		}
	})
	if err := claim(owner); err != nil {
		t.Fatal(err)
	}
}

// browser keeps its cookies, as one does.
func browser() *http.Client {
	cookies, _ := cookiejar.New(nil) // fails by its options alone
	return &http.Client{Jar: cookies}
}

const password = "a long enough one"

func claim(b *http.Client) error {
	response, err := b.Post(keeler.URL+"/api/claim", "application/json", strings.NewReader(`{"code":"`+keeler.Code+`","operation":"Quay","login":"Owner","password":"`+password+`"}`))
	if err != nil {
		return err
	}
	return response.Body.Close()
}

// call sends a request as the owner; an empty body is a GET.
func call(t *testing.T, path, body string) (int, map[string]any) {
	t.Helper()
	method := http.MethodGet
	if body != "" {
		method = http.MethodPost
	}
	return send(t, owner, method, path, body)
}

func send(t *testing.T, b *http.Client, method, path, body string) (int, map[string]any) {
	t.Helper()
	request, err := http.NewRequestWithContext(t.Context(), method, keeler.URL+path, strings.NewReader(body))
	if err != nil {
		t.Fatal(err)
	}
	request.Header.Set("Content-Type", "application/json")
	response, err := b.Do(request)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = response.Body.Close() }()
	raw, err := io.ReadAll(response.Body)
	if err != nil {
		t.Fatal(err)
	}
	var out map[string]any
	if bytes.HasPrefix(raw, []byte("{")) {
		if err := json.Unmarshal(raw, &out); err != nil {
			t.Fatalf("%s: %v in %s", path, err, raw)
		}
	}
	if bytes.Contains(raw, []byte(":null")) {
		t.Errorf("%s: a null in %s", path, raw)
	}
	if response.StatusCode >= 400 && response.Header.Get("Content-Type") != "application/problem+json" {
		t.Errorf("%s: an error of type %s", path, response.Header.Get("Content-Type"))
	}
	return response.StatusCode, out
}

// bearer sends a token along.
type bearer string

func (b bearer) RoundTrip(r *http.Request) (*http.Response, error) {
	r.Header.Set("Authorization", "Bearer "+string(b))
	return http.DefaultTransport.RoundTrip(r)
}

// Each example of docs/api.md is sent as it stands there.
func TestDocumentedCalls(t *testing.T) {
	anew(t)
	page, err := os.ReadFile("../docs/api.md")
	if err != nil {
		t.Fatal(err)
	}
	example := regexp.MustCompile("(?s)```sh\ncurl (-b jar |-H \"\\$AUTH\" )?(?:-X (\\w+) )?(?:(--json|--data-binary) '(.*?)' )?(?:\\\\\n\\s*)?\"?http://127.0.0.1:8080(\\S+?)\"?\n```")
	_, made := call(t, "/api/tokens", `{"name":"The examples","days":1}`)
	script := &http.Client{Transport: bearer(made["token"].(string))}
	used := map[string]bool{}
	for _, m := range example.FindAllStringSubmatch(string(page), -1) {
		by := map[string]*http.Client{"": http.DefaultClient, "-b jar ": owner, `-H "$AUTH" `: script}[m[1]]
		method, body, path := m[2], m[4], m[5]
		if method == "" {
			method = map[bool]string{true: http.MethodPost, false: http.MethodGet}[body != ""]
		}
		if status, answer := send(t, by, method, path, body); status >= 300 {
			t.Errorf("%s %s %s: %d %v", method, path, body, status, answer)
		}
		bare, _, _ := strings.Cut(path, "?")
		used[method+" "+regexp.MustCompile(`[0-9a-f-]{36}`).ReplaceAllString(bare, "{id}")] = true
	}
	// Those would sign the tests out or in, or need what an example cannot know.
	prose := map[string]bool{
		"GET /api/start": true, "POST /api/session": true, "POST /api/session/operation": true, "DELETE /api/session": true, "DELETE /api/sessions": true,
		"POST /api/practice": true, "POST /api/practice/leave": true, "POST /api/practice/clock": true, "GET /api/practice/verdict": true, "GET /api/colonies/{id}/glimpse": true,
		"POST /api/claim": true, "POST /api/demo": true, "POST /api/demo/clock": true, "POST /api/join": true, "GET /api/join/{token}": true, "GET /api/password/{token}": true, "POST /api/password/new": true,
		"POST /api/password": true, "GET /api/stream": true, "POST /api/people/{id}/role": true, "POST /api/people/{id}/password": true, "DELETE /api/sessions/{id}": true, "DELETE /api/tokens/{id}": true,
		"GET /api/export/archive": true, "POST /api/import/archive": true, "POST /api/operation/erase": true, "POST /api/second-factor": true, "POST /api/second-factor/off": true, "DELETE /api/invitations/{id}": true,
		"POST /api/batches/{id}/composition": true, "PUT /api/settings": true, "POST /api/settings/forecast": true, "GET /api/reminders": true, "POST /api/reminders": true, "POST /api/reminders/test": true, "POST /api/reminders/end": true, "PUT /api/fortnight": true, "POST /api/feed": true, "DELETE /api/feed": true, "GET /api/calendar/{token}": true, "GET /api/counts/{id}/photo": true, "PUT /api/counts/{id}/photo": true,
	}
	for path, methods := range document[map[string]any](t)["paths"].(map[string]any) {
		for method := range methods.(map[string]any) {
			call := strings.ToUpper(method) + " " + path
			if !prose[call] && !used[strings.NewReplacer("{treatment}", "{id}", "{portion}", "{id}", "{kind}", "counts").Replace(call)] {
				t.Errorf("docs/api.md shows no call of %s", call)
			}
			if _, told, _ := strings.Cut(call, " "); prose[call] && call != "GET /api/start" && !strings.Contains(string(page), told) {
				t.Errorf("docs/api.md does not speak of %s", call)
			}
		}
	}
}

// document is the OpenAPI document.
func document[T any](t *testing.T) (out T) {
	t.Helper()
	raw, err := api.Document()
	if err == nil {
		err = json.Unmarshal(raw, &out)
	}
	if err != nil {
		t.Fatal(err)
	}
	return out
}

// A figure without its unit or range is the mistake Keeler is there to prevent.
func TestRequestFiguresAreDescribed(t *testing.T) {
	schemas := document[map[string]any](t)["components"].(map[string]any)["schemas"].(map[string]any)
	unit := regexp.MustCompile(`\d|%|mL|\bg\b|°C|kilogram|packet`)
	for _, name := range []string{"Hold", "Stock", "CardRow", "Active", "Aim", "Size", "Box", "Mean", "Rule", "Applicator", "Prices",
		"DribbleRequest", "DoseRequest", "TabletsRequest", "ThinningRequest", "CalibrationRequest", "StrengthRequest",
		"StripAim", "StripNumber", "StripSize", "StripCarried", "StripJig", "StripPrices", "StripRequest",
		"PadReading", "PadCard", "PadHold", "PadAim", "PadSize", "PadMean", "PadSheet", "PadPrices", "PadRequest", "PadDilutionRequest"} {
		schema, ok := schemas[name].(map[string]any)
		if !ok {
			t.Errorf("no schema %s", name)
			continue
		}
		for field, raw := range schema["properties"].(map[string]any) {
			p := raw.(map[string]any)
			if kind := p["type"]; kind != "number" && kind != "integer" {
				continue
			}
			if text, _ := p["description"].(string); !unit.MatchString(text) {
				t.Errorf("%s.%s has no unit or range in %q", name, field, text)
			}
		}
	}
}

func TestProblemsNameTheField(t *testing.T) {
	const ok = `"hold":{"kind":"crystals"},"strength":{"by":"protocol","protocol":"mild"}`
	for _, c := range []struct{ path, body, location string }{
		{"/api/dribble/plan", `{` + ok + `,"size":{"by":"volume","volume_ml":-5}}`, "body.size.volume_ml"},
		{"/api/dribble/plan", `{` + ok + `,"size":{"by":"volume","volume_ml":"much"}}`, "body.size.volume_ml"},
		{"/api/dribble/plan", `{` + ok + `,"size":{"by":"guess"}}`, "body.size.by"},
		{"/api/dribble/plan", `{` + ok + `,"size":{"by":"volume","volume_ml":100},"spoons":3}`, "body.spoons"},
		{"/api/dribble/plan", `{"hold":{"kind":"crystals"},"size":{"by":"volume","volume_ml":100}}`, "body.strength.by"},
		{"/api/dribble/dose", `{"g_per_l":35,"colonies":[{"name":"A","boxes":[{"kind":"deep","frames":2,"seams":[1,1,1,1]}]}]}`, "body.colonies[0].boxes[0].seams"},
		{"/api/dribble/dose", `{"g_per_l":35,"colonies":[]}`, "body.colonies"},
		{"/api/dribble/packet", `{"hold":{"kind":"packet","grams":35,"oad_percent":0,"count":1},"strength":{"by":"protocol","protocol":"mild"}}`, "body.hold.oad_percent"},
		{"/api/dribble/tablets", `{"hold":{"kind":"tablets","grams":1,"oad_percent":100},"strength":{"by":"protocol","protocol":"mild"},"volume_ml":1}`, "body.volume_ml"},
		{"/api/dribble/thinning", `{"stock":{"value":3,"form":"percent_wv"},"strength":{"by":"protocol","protocol":"medium"},"sugar_percent_ww":30,"volume_ml":500}`, "body.stock.basis"},
		{"/api/dribble/thinning", `{"stock":{"value":3,"form":"percent_wv","basis":"dihydrate"},"strength":{"by":"protocol","protocol":"medium"},"sugar_percent_ww":30,"volume_ml":500}`, "body.strength.protocol"},
		{"/api/strip/plan", `{"recipe":{"protocol":"two-to-three"},"size":{"by":"strips"}}`, "body.size.strips"},
		{"/api/strip/plan", `{"recipe":{"protocol":"two-to-three"},"size":{"by":"strips","strips":9},"colonies":[{"name":"A","boxes":[{"kind":"deep","frames":4}],"placed":[[9]]}]}`, "body.colonies[0].placed[0][0]"},
		{"/api/strip/placement", `{"carrier":"rope","colonies":[]}`, "body.carrier"},
		{"/api/pad/dilution", `{"hold":{"kind":"acid","percent":60},"working_percent":65,"size":{"by":"working","working_ml":100}}`, "body.working_percent"},
		{"/api/pad/assay", `{"reading":{"g_per_ml":1.19}}`, "body.reading.temp_c"},
		{"/api/batches", `{"id":"0d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d99","name":"x","recipe":{}}`, "body.recipe"},
		{"/api/batches", `{"id":"0d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d99","name":"x","recipe":{"dribble":{` + ok + `,"size":{"by":"volume"}}}}`, "body.recipe.dribble.size.volume_ml"},
		{"/api/batches", `{"id":"0d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d99","name":"  ","recipe":{"dribble":{` + ok + `,"size":{"by":"volume","volume_ml":100}}}}`, "body.name"},
	} {
		status, answer := call(t, c.path, c.body)
		if status != http.StatusUnprocessableEntity {
			t.Errorf("%s: got %d %v", c.body, status, answer)
			continue
		}
		first := answer["errors"].([]any)[0].(map[string]any)
		if first["location"] != c.location || first["message"] == "" {
			t.Errorf("%s: got %v, want %s", c.body, first, c.location)
		}
	}
}

// A figure beyond all sense is answered at its field, with what could be there, and never
// in words of the machine; what is named as possible is taken.
func TestBadFiguresAreNamed(t *testing.T) {
	const hold = `"hold":{"kind":"crystals"},"strength":{"by":"protocol","protocol":"mild"}`
	for _, c := range []struct{ path, body, location, possible string }{
		{"/api/round/lasts", `{"left":1e308,"expected":[1e308]}`, "body.left", "0 to 10,000,000"},
		{"/api/round/lasts", `{"left":5,"expected":[1,1e308]}`, "body.expected[1]", "0 to 10,000,000"},
		{"/api/round/lasts", `{"left":5,"expected":[-1]}`, "body.expected[0]", "0 to 10,000,000"},
		{"/api/round/lasts", `{"left":1e999,"expected":[]}`, "body.left", "0 to 10,000,000"},
		{"/api/dribble/plan", `{` + hold + `,"size":{"by":"colonies","colonies":99999999999999999999}}`, "body.size.colonies", "1 to 1000 colonies"},
		{"/api/dribble/plan", `{` + hold + `,"size":{"by":"colonies","colonies":-1}}`, "body.size.colonies", "1 to 1000 colonies"},
		{"/api/dribble/plan", `{` + hold + `,"size":{"by":"colonies","colonies":1},"rule":{"cap_ml":5}}`, "body.size.colonies", "2 to 20,000 colonies"},
		{"/api/dribble/plan", `{` + hold + `,"size":{"by":"volume","volume_ml":1e308}}`, "body.size.volume_ml", "10 to 100,000 mL"},
		{"/api/strip/plan", `{"recipe":{"protocol":"two-to-three"},"size":{"by":"strips","strips":1e30}}`, "body.size.strips", "1 to 20,000 strips"},
		{"/api/strip/plan", `{"recipe":{"protocol":"two-to-three"},"size":{"by":"strips","strips":20000}}`, "body.size.strips", "1 to 7500 strips"},
		{"/api/pad/plan", `{"hold":{"kind":"acid","percent":60},"amount":{"protocol":"sponge-above","visits":-1},"size":{"by":"working","working_ml":100}}`, "body.amount.visits", "1 to 15 visits"},
		{"/api/pad/plan", `{"hold":{"kind":"acid","percent":60},"amount":{"protocol":"sponge-above"},"size":{"by":"visit"},"mean":{"colonies":3,"combs":10,"boxes":-1}}`, "body.mean.boxes", "1 to 6 boxes"},
		{"/api/counts", `{"counts":[{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9df1","colony_id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9df2","kind":"board","mites":1e30,"days":7}]}`, "body.counts[0].mites", "0 to 100,000 mites"},
		{"/api/dribble/dose", `{"g_per_l":35,"colonies":[{"name":"` + strings.Repeat("a", 41) + `","boxes":[{"kind":"deep","frames":4}]}]}`, "body.colonies[0].name", "at most 40 characters"},
		{"/api/dribble/plan", `{"hold":{"kind":"ready_to_use","card":{"name":"` + strings.Repeat("a", 81) + `","rows":[{"dose_ml":9}]}},"size":{"by":"volume","volume_ml":100}}`, "body.hold.card.name", "at most 80 characters"},
	} {
		status, answer := call(t, c.path, c.body)
		errs, _ := answer["errors"].([]any)
		if status != http.StatusUnprocessableEntity || len(errs) == 0 {
			t.Errorf("%s: got %d %v", c.body, status, answer)
			continue
		}
		first := errs[0].(map[string]any)
		message, _ := first["message"].(string)
		if first["location"] != c.location || !strings.Contains(message, c.possible) {
			t.Errorf("%s: got %v, want %s at %s", c.body, first, c.possible, c.location)
		}
		if said := fmt.Sprint(answer); strings.Contains(said, "Go ") || strings.Contains(said, "struct") || strings.Contains(said, "marshal") {
			t.Errorf("%s: told in the machine's words: %s", c.body, said)
		}
	}
	for _, text := range []string{`{"left":`, `[]`, `{"left":1,"expected":[]} {}`} {
		status, answer := call(t, "/api/round/lasts", text)
		if said := fmt.Sprint(answer); status < 400 || status >= 500 || strings.Contains(said, "Go ") || strings.Contains(said, "struct") {
			t.Errorf("%s: %d %s", text, status, said)
		}
	}
}

// Every operation says of a syrup, an acid or a dose what the plan says.
func TestEveryOperationWarns(t *testing.T) {
	anew(t)
	for _, c := range []struct{ path, body, code string }{
		{"/api/dribble/dose", `{"g_per_l":120,"colonies":[{"name":"A","boxes":[{"kind":"deep","frames":10,"counted":5}]}]}`, "above_protocols"},
		{"/api/dribble/dose", `{"g_per_l":59,"rule":{"flat_ml":50},"colonies":[{"name":"A","boxes":[{"kind":"deep","frames":10,"counted":4}]}]}`, "seam_high"},
		{"/api/dribble/dose", `{"g_per_l":35,"rule":{"from_above":true},"colonies":[{"name":"A","boxes":[{"kind":"deep","frames":10,"counted":9},{"kind":"deep","frames":10,"counted":1}]}]}`, "not_reached"},
		{"/api/dribble/thinning", `{"stock":{"value":70,"form":"g_per_l","basis":"dihydrate"},"strength":{"by":"value","value":65,"form":"g_per_l","basis":"dihydrate"},"sugar_percent_ww":0,"volume_ml":500}`, "above_protocols"},
		{"/api/pad/dilution", `{"hold":{"kind":"acid","percent":98},"working_percent":80,"size":{"by":"working","working_ml":500}}`, "above_protocols"},
		{"/api/strip/placement", `{"piece_oad_g":20,"number":{"by":"colony","each":4},"colonies":[{"name":"A","boxes":[{"kind":"deep","frames":10,"counted":9}]}]}`, "box_oad_high"},
		{"/api/cards", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9df4","name":"Another acid","method":"dribble","content":{"min_c":0,"max_c":10,"supers":"off","dribble":{"actives":[{"name":"oxalic","g_per_l":35,"basis":"dihydrate"},{"name":"other","g_per_l":9}],"rows":[{"dose_ml":20}]}}}`, "other_acid"},
	} {
		status, answer := call(t, c.path, c.body)
		notes, _ := answer["notes"].([]any)
		if status != http.StatusOK || !slices.ContainsFunc(notes, func(n any) bool {
			of := n.(map[string]any)
			return of["code"] == c.code && of["warn"] == true
		}) {
			t.Errorf("%s %s: %d %v, want %s", c.path, c.body, status, answer["notes"], c.code)
		}
	}
	// A card beyond all sense is refused at its figure.
	status, answer := call(t, "/api/cards", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9df5","name":"Too much","method":"pad","content":{"min_c":10,"max_c":29,"supers":"off","pad":{"formic_g":90,"per":"box","each":6,"from":"above","visits":1}}}`)
	if status != http.StatusUnprocessableEntity || !strings.Contains(fmt.Sprint(answer), "content.pad.each") {
		t.Errorf("a card of 540 g a box: %d %v", status, answer)
	}
}

// Batches of all three kinds stand in one list, each with what it holds.
func TestBatchesOfAllKinds(t *testing.T) {
	anew(t)
	for _, c := range []struct {
		id, method, recipe string
		strength           float64
		unit               string
		components         int
	}{
		{"7a1f4b1e-0f7e-4d0a-9f5e-2f8f5f9b0101", "dribble", `"dribble":{"hold":{"kind":"crystals"},"strength":{"by":"protocol","protocol":"label-litre"},"size":{"by":"volume","volume_ml":262}}`, 35.046, "g_per_l", 3},
		{"7a1f4b1e-0f7e-4d0a-9f5e-2f8f5f9b0102", "strip", `"strip":{"recipe":{"protocol":"two-to-three"},"size":{"by":"strips","strips":40}}`, 34.602, "percent_ww", 3},
		{"7a1f4b1e-0f7e-4d0a-9f5e-2f8f5f9b0103", "pad", `"pad":{"hold":{"kind":"acid","percent":85},"working_percent":62,"amount":{"protocol":"floor-sheet"},"size":{"by":"working","working_ml":300}}`, 62, "percent_ww", 2},
	} {
		status, b := call(t, "/api/batches", `{"id":"`+c.id+`","name":"`+c.method+`","recipe":{`+c.recipe+`}}`)
		if status != http.StatusCreated {
			t.Fatalf("%s: %d %v", c.method, status, b)
		}
		_, list := call(t, "/api/batches", "")
		var found map[string]any
		for _, raw := range list["batches"].([]any) {
			if one := raw.(map[string]any); one["id"] == c.id {
				found = one
			}
		}
		if found == nil || found["method"] != c.method || len(found["composition"].([]any)) != c.components {
			t.Fatalf("%s in the list: %v", c.method, found)
		}
		strength := found["strength"].(map[string]any)
		if v := strength["value"].(float64); v < c.strength-0.001 || v > c.strength+0.001 || strength["unit"] != c.unit {
			t.Errorf("%s: strength %v, want %v %s", c.method, strength, c.strength, c.unit)
		}
		_, whole := call(t, "/api/batches/"+c.id, "")
		if answer := whole["answer"].(map[string]any); answer[c.method] == nil || len(answer) != 1 {
			t.Errorf("%s: kept %v", c.method, answer)
		}
	}
}

func TestBatchIdsCountOnce(t *testing.T) {
	anew(t)
	const id = "7a1f4b1e-0f7e-4d0a-9f5e-2f8f5f9b0001"
	save := func(name string) (int, map[string]any) {
		return call(t, "/api/batches", `{"id":"`+id+`","name":"`+name+`","recipe":{"dribble":{"hold":{"kind":"crystals"},
			"strength":{"by":"protocol","protocol":"label-litre"},"size":{"by":"volume","volume_ml":262}}}}`)
	}
	if status, b := save("A"); status != http.StatusCreated || b["made_on"] != "2026-12-04T08:30" {
		t.Fatalf("got %d %v", status, b)
	}
	if status, _ := save("A"); status != http.StatusOK {
		t.Errorf("sent twice: got %d, want 200", status)
	}
	if status, _ := save("B"); status != http.StatusConflict {
		t.Errorf("other content: got %d, want 409", status)
	}
	_, b := call(t, "/api/batches/"+id, "")
	lines := b["answer"].(map[string]any)["dribble"].(map[string]any)["lines"].([]any)
	if grams := lines[2].(map[string]any)["show_g"]; grams != 9.2 {
		t.Errorf("kept %v g acid, want 9.2", grams)
	}
	if status, _ := call(t, "/api/batches/7a1f4b1e-0f7e-4d0a-9f5e-2f8f5f9bffff", ""); status != http.StatusNotFound {
		t.Errorf("an unknown batch: got %d", status)
	}
}

func TestHealthAnswersFromTheDatabase(t *testing.T) {
	other, err := stand.Up(context.Background(), false)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = other.Down() }()
	health := func(url string) int {
		response, err := http.Get(url + "/healthz")
		if err != nil {
			t.Fatal(err)
		}
		_ = response.Body.Close()
		return response.StatusCode
	}
	if got := health(keeler.URL); got != http.StatusOK {
		t.Errorf("got %d, want 200", got)
	}
	other.DB.Stop()
	if got := health(other.URL); got != http.StatusServiceUnavailable {
		t.Errorf("without its database: got %d, want 503", got)
	}
}

// Every address inside the page can be reloaded; nothing comes from elsewhere.
func TestPage(t *testing.T) {
	get := func(path string) (*http.Response, string) {
		response, err := http.Get(keeler.URL + path)
		if err != nil {
			t.Fatal(err)
		}
		defer func() { _ = response.Body.Close() }()
		raw, err := io.ReadAll(response.Body)
		if err != nil {
			t.Fatal(err)
		}
		return response, string(raw)
	}
	var script string
	for _, path := range []string{"/", "/batches", "/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0002"} {
		response, html := get(path)
		if response.StatusCode != http.StatusOK || !strings.Contains(html, `<div id="root">`) {
			t.Errorf("%s: %d", path, response.StatusCode)
		}
		if policy := response.Header.Get("Content-Security-Policy"); !strings.Contains(policy, "default-src 'self'") {
			t.Errorf("%s: policy %q", path, policy)
		}
		script = regexp.MustCompile(`/assets/[^"]+\.js`).FindString(html)
	}
	if response, _ := get(script); !strings.Contains(response.Header.Get("Cache-Control"), "immutable") {
		t.Errorf("%s is not cached", script)
	}
	if response, _ := get("/api/nothing"); response.StatusCode != http.StatusNotFound || response.Header.Get("Content-Type") != "application/problem+json" {
		t.Errorf("an unknown operation: %d", response.StatusCode)
	}
}
