package api_test

import (
	"cmp"
	"database/sql"
	"fmt"
	"net/http"
	"slices"
	"strings"
	"testing"

	_ "github.com/go-sql-driver/mysql"
)

// mark is in every name that the owner's operation holds.
const mark = "Marked"

// The rows of the owner's operation that others try to reach.
var marked = map[string]string{
	"yards": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01", "colonies": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d02",
	"{treatment}": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d03", "counts": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d04",
	"cards": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d05", "jobs": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d06",
	"batches": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d07", "inspections": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d08",
	"register": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d0b", "comparisons": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d0c",
	"lots": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d09", "{portion}": "2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d0a",
}

const (
	box        = `"boxes":[{"kind":"deep","slots":["comb","comb"]}]`
	card       = `"method":"strip","content":{"min_c":10,"max_c":30,"supers":"off","strip":{"by":"bees"}}`
	recipe     = `"recipe":{"dribble":{"hold":{"kind":"crystals"},"strength":{"by":"protocol","protocol":"mild"},"size":{"by":"volume","volume_ml":100}}}`
	thresholds = `{"thresholds":[{"season":"winter","wash":3,"board":1},{"season":"spring","wash":2,"board":0},{"season":"early_summer","wash":3,"board":0},{"season":"late_summer","wash":3,"board":10},{"season":"autumn","wash":3,"board":0}]}`
)

// bodies has what is sent to each route; <yards> and the like are the marked rows.
// The first ones, in this order, make those rows.
var bodies = []struct{ call, body string }{
	{"POST /api/yards", `{"id":"<yards>","name":"Marked yard","latitude":57}`},
	{"POST /api/colonies", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de6","yard_id":"<yards>","name":"Other hive",` + box + `}`},
	{"POST /api/colonies", `{"id":"<colonies>","yard_id":"<yards>","name":"Marked hive",` + box + `}`},
	{"POST /api/inspections", `{"inspections":[{"id":"<inspections>","colony_id":"<colonies>","brood":"none","note":"Marked look"}]}`},
	{"POST /api/colonies/{id}/treatments", `{"id":"<{treatment}>","method":"strip","what":"Marked strips","given_on":"2026-11-30"}`},
	{"POST /api/counts", `{"counts":[{"id":"<counts>","colony_id":"<colonies>","kind":"board","mites":3,"days":7,"note":"Marked count"}]}`},
	{"POST /api/cards", `{"id":"<cards>","name":"Marked card",` + card + `}`},
	{"POST /api/jobs", `{"id":"<jobs>","name":"Marked job","method":"strip","under":"card:<cards>","rule_kind":"permit","rule":"Marked rule","colonies":[{"colony_id":"<colonies>","day":"2026-12-04","override":"Marked why"}]}`},
	{"POST /api/batches", `{"id":"<batches>","name":"Marked batch",` + recipe + `}`},
	{"POST /api/invitations", `{"role":"viewer","note":"Marked guest"}`},
	{"POST /api/lots", `{"id":"<lots>","ingredient":"acid","name":"Marked tub","amount":500}`},
	{"POST /api/batches/{id}/bench", `{"balances":[{"name":"Marked balance","balance_g":0.1}]}`},
	{"POST /api/batches/{id}/bench/events", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de0","kind":"lot","act":"acid","answer":"<lots>"}`},
	{"POST /api/batches/{id}/portions", `{"id":"<{portion}>","vessel":"Marked can","amount":20,"yard_id":"<yards>"}`},
	{"POST /api/jobs/{id}/applications", `{"applications":[{"id":"<register>","colony_id":"<colonies>","kind":"given","amount":2,"note":"Marked dose"}]}`},
	{"POST /api/comparisons", `{"id":"<comparisons>","name":"Marked comparison","groups":[{"name":"Marked group","colonies":[{"id":"<colonies>"}]},{"name":"Other","colonies":[{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de6"}]}]}`},

	{"POST /api/batches/{id}/composition", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9dea","why":"weighed wrongly","components":[{"name":"oxalic_acid_dihydrate","grams":45}]}`},
	{"POST /api/register/{id}/correct", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de4","why":"typed wrongly","amount":3}`},
	{"POST /api/register/{id}/amend", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de3","colony_id":"<colonies>","kind":"skipped","reason":"taken_back"}`},
	{"POST /api/register", `{"colonies":[{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de4","colony_id":"<colonies>"}],"method":"vapour","product":"Taken","given_on":"2026-12-01"}`},
	{"PUT /api/extras", `{"season":"winter","extras":["hefted"]}`},
	{"PUT /api/balances", `{"balances":[{"name":"Taken balance","balance_g":0.1}]}`},
	{"PUT /api/vessels", `{"vessels":[{"name":"Taken jar","kind":"jar","ml":500}]}`},
	{"POST /api/batches/{id}/bench/plan", `{"balances":[{"name":"Taken balance","balance_g":0.1}]}`},
	{"POST /api/batches/{id}/entries", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de1","kind":"used","amount":5}`},
	{"POST /api/lots/{id}/entries", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de2","kind":"used","amount":5}`},
	{"POST /api/instruments", `{"instrument":"none","do":"tare"}`},
	{"PUT /api/yards/{id}", `{"name":"Taken over","latitude":57,"version":1}`},
	{"PUT /api/yards/{id}/order", `{"colonies":["<colonies>"]}`},
	{"PUT /api/colonies/{id}", `{"name":"Taken over","version":1,` + box + `}`},
	{"POST /api/colonies/{id}/what-if", `{"plans":[{"steps":[]}]}`},
	{"POST /api/colonies/{id}/move", `{"yard_id":"<yards>","version":1}`},
	{"POST /api/colonies/{id}/split", `{"child":{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de5","name":"Taken off",` + box + `}}`},
	{"POST /api/colonies/{id}/happened", `{"kind":"swarmed"}`},
	{"POST /api/jobs/{id}/archive", `{"archived":false}`},
	{"POST /api/jobs/{id}/end", `{"how":"cancelled"}`},
	{"POST /api/colonies/{id}/end", `{"reason":"Taken away","version":1}`},
	{"POST /api/colonies/{id}/treatments/{treatment}/out", `{}`},
	{"POST /api/colonies/{id}/board", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de8"}`},
	{"POST /api/counts/{id}/void", `{"reason":"Taken back"}`},
	{"PUT /api/cards/{id}", `{"id":"<cards>","version":1,"name":"Taken over",` + card + `}`},
	{"POST /api/cards/tried", `{"id":"<cards>","colony_id":"<colonies>","name":"",` + card + `}`},
	{"POST /api/today/skip", `{"key":"use_up.<batches>","reason":"Taken over"}`},
	{"POST /api/session/operation", `{"operation":1}`},
	{"POST /api/feed", `{}`},
	{"PUT /api/fortnight", `{"from":"2026-12-07"}`},
	{"POST /api/followups/skip", `{"key":"count.1.<jobs>","colonies":["<colonies>"],"reason":"Taken over"}`},
	{"PUT /api/counts/{id}/photo", "RIFF0000WEBPVP8 taken"},
	{"POST /api/jobs/{id}/spent", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9de7","kind":"disposed","pieces":2,"note":"Taken to the tip"}`},
	{"POST /api/comparisons/power", `{"kind":"wash","over":300,"rate":3,"first":90,"second":50,"spread":"usual","groups":2}`},
	{"POST /api/colonies/several", `{"yard_id":"<yards>","colonies":[{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9dd1","name":"Taken one",` + box + `},{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9dd2","name":"Taken two",` + box + `}]}`},
	{"POST /api/reminders", `{"endpoint":"http://127.0.0.1:9/taken","p256dh":"BNcRdreALRFXTkOOUHK1EtK2wtaz5Ry4YfYCA_0QTpQtUbVlUls0VJXg7A8u-Ts1XbjhazAkj7I99e8QcYP7DkM","auth":"tBHItJI5svbpez7KI4CCXg"}`},
	{"POST /api/reminders/test", `{"endpoint":"http://127.0.0.1:9/other"}`},
	{"POST /api/reminders/end", `{"endpoint":"http://127.0.0.1:9/other"}`},
	{"PUT /api/weather", `{"day":"2026-12-20","yards":["<yards>"],"low_c":2,"high_c":7,"wind_ms":2,"rain_mm":0}`},
	{"PUT /api/settings", `{"version":2,"time_zone":"UTC","units":"us","hours":"12h","dates":"iso","currency":"T"}`},
	{"PUT /api/settings/own", `{"units":"us"}`},
	{"POST /api/settings/forecast", `{"forecast":"http://127.0.0.1:9"}`},
	{"POST /api/jobs/plan", `{"yard_id":"<yards>","method":"dribble","under":"winter","colonies":["<colonies>"],"people":1,"from":"2026-12-04"}`},
	{"POST /api/batches/{id}/remarks", `{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9dff","text":"Taken note"}`},
	{"POST /api/batches/{id}/void", `{"reason":"Taken away"}`},
	{"POST /api/import/colonies", "yard,colony,boxes\nTaken,Z,deep 2"},
	{"POST /api/import/records/{kind}", "yard,colony,on,kind,mites\nMarked yard,Marked hive,2026-12-01,board,3"},
	{"POST /api/import/archive", "no archive"},
	{"POST /api/operation/erase", `{"password":"not the owner's"}`},
	{"PUT /api/thresholds", thresholds},
	{"POST /api/people/{id}/role", `{"role":"viewer"}`},
	{"POST /api/people/{id}/password", `{}`},
	{"POST /api/demo/clock", `{"days":1}`},
	{"POST /api/practice/clock", `{"days":1}`},
	{"POST /api/tokens", `{"name":"Marked token","days":3}`},
	{"POST /api/second-factor/offer", `{}`},
	{"POST /api/second-factor", `{"code":"000000"}`},
	{"POST /api/second-factor/off", `{"code":"000000"}`},
	{"POST /api/password", `{"old":"no","new":"a longer password"}`},
}

func fill(text string) string {
	for what, id := range marked {
		text = strings.ReplaceAll(text, "<"+what+">", id)
	}
	return text
}

// at puts the marked rows into the path of a route.
func at(path string) string {
	resource := strings.Split(path, "/")[2]
	return strings.NewReplacer("{id}", marked[resource], "{treatment}", marked["{treatment}"], "{portion}", marked["{portion}"]).Replace(path)
}

// route is an operation on what is kept.
type route struct{ call, method, path, least, body string }

// routes are those of the document, each with its body.
func routes(t *testing.T) []route {
	t.Helper()
	var out []route
	for path, methods := range document[map[string]any](t)["paths"].(map[string]any) {
		for method, raw := range methods.(map[string]any) {
			least, kept := raw.(map[string]any)["x-least-role"].(string)
			if !kept {
				continue
			}
			r := route{strings.ToUpper(method) + " " + path, strings.ToUpper(method), path, least, ""}
			for _, b := range bodies {
				if b.call == r.call {
					r.body = fill(b.body)
				}
			}
			if r.body == "" && r.method != http.MethodGet && r.method != http.MethodDelete {
				t.Errorf("%s is not covered: give it a body here", r.call)
			}
			out = append(out, r)
		}
	}
	// What makes rows of one's own under the same ids comes last.
	slices.SortFunc(out, func(a, b route) int {
		return cmp.Or(cmp.Compare(strings.Count(b.path, "{"), strings.Count(a.path, "{")), strings.Compare(a.call, b.call))
	})
	return out
}

func database(t *testing.T) *sql.DB {
	t.Helper()
	db, err := sql.Open("mysql", dsn)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = db.Close() })
	return db
}

// rows is all that an operation holds, in every table there is.
func rows(t *testing.T, db *sql.DB, operation int) string {
	t.Helper()
	names, err := db.Query("SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'operation_id' ORDER BY 1")
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = names.Close() }()
	var all strings.Builder
	for names.Next() {
		var table string
		if err := names.Scan(&table); err != nil {
			t.Fatal(err)
		}
		dump(t, db, &all, table, operation)
	}
	return all.String()
}

func dump(t *testing.T, db *sql.DB, into *strings.Builder, table string, operation int) {
	t.Helper()
	r, err := db.Query("SELECT * FROM "+table+" WHERE operation_id = ? ORDER BY 1, 2, 3", operation)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = r.Close() }()
	columns, _ := r.Columns()
	for r.Next() {
		values := make([]any, len(columns))
		for i := range values {
			values[i] = new(sql.RawBytes)
		}
		if err := r.Scan(values...); err != nil {
			t.Fatal(err)
		}
		fmt.Fprint(into, table)
		for _, v := range values {
			fmt.Fprintf(into, " %s", *v.(*sql.RawBytes))
		}
		fmt.Fprintln(into)
	}
}

// joined makes a member by invitation.
func joined(t *testing.T, login, role string) *http.Client {
	t.Helper()
	_, invitation := call(t, "/api/invitations", `{"role":"`+role+`"}`)
	b := browser()
	if status, answer := send(t, b, http.MethodPost, "/api/join", fmt.Sprintf(`{"token":%q,"login":%q,"password":%q}`, invitation["token"], login, password)); status != http.StatusOK {
		t.Fatalf("%s: %d %v", login, status, answer)
	}
	return b
}

// Nobody reads or changes another operation's rows by any route there is; a new
// route fails here until it is covered. Nor does anybody who is not signed in, or
// whose part it is not.
func TestNoRouteReachesAnotherOperation(t *testing.T) {
	anew(t)
	for _, b := range bodies[:16] {
		method, path, _ := strings.Cut(b.call, " ")
		if status, answer := send(t, owner, method, at(path), fill(b.body)); status >= 300 {
			t.Fatalf("%s: %d %v", b.call, status, answer)
		}
	}
	if status, _ := call(t, "/api/tokens", `{"name":"Marked token","days":3}`); status != http.StatusOK {
		t.Fatal(status)
	}
	db := database(t)
	other := joined(t, "Neighbour", "owner")
	for _, statement := range []string{
		"INSERT INTO operations (id, name, created_at) VALUES (77, 'Next door', NOW(6))",
		"UPDATE members m JOIN users u ON u.id = m.user_id SET m.operation_id = 77 WHERE u.login = 'Neighbour'",
	} {
		if _, err := db.Exec(statement); err != nil {
			t.Fatal(err)
		}
	}
	if status, _ := send(t, other, http.MethodPost, "/api/session", `{"login":"neighbour","password":"`+password+`"}`); status != http.StatusOK {
		t.Fatal("the neighbour does not get in")
	}
	for what := range marked {
		if what != "{treatment}" && what != "inspections" && !strings.Contains(rows(t, db, 1), marked[what]) {
			t.Fatalf("%s holds no marked row", what)
		}
	}
	members := map[string]*http.Client{"": browser()}
	for _, role := range []string{"viewer", "helper", "keeper"} {
		members[role] = joined(t, "a "+role, role)
	}
	ranks := []string{"", "viewer", "helper", "keeper", "owner"}
	before := rows(t, db, 1)
	for _, r := range routes(t) {
		// The one signs the neighbour out, the other never ends: neither tells of an operation.
		if r.call == "DELETE /api/sessions" || r.call == "GET /api/stream" {
			continue
		}
		path := at(r.path)
		for prefix, id := range map[string]string{
			"/api/invitations/": "SELECT id FROM invitations WHERE note = 'Marked guest'", "/api/tokens/": "SELECT id FROM tokens WHERE name = 'Marked token'",
			"/api/people/":   "SELECT id FROM users WHERE login = 'Owner'",
			"/api/sessions/": "SELECT s.id FROM sessions s JOIN users u ON u.id = s.user_id WHERE u.login = 'Owner' LIMIT 1",
		} {
			if strings.HasPrefix(r.path, prefix) {
				path = strings.Replace(r.path, "{id}", column(t, db, id), 1)
			}
		}
		status, answer := send(t, other, r.method, path, r.body)
		if strings.Contains(fmt.Sprint(answer), mark) && !strings.Contains(r.body, mark) {
			t.Errorf("%s shows %v", r.call, answer)
		}
		if strings.Contains(r.path, "{id}") && status != http.StatusNotFound {
			t.Errorf("%s: %d %v, want 404", r.call, status, answer)
		}
		for _, role := range ranks[:slices.Index(ranks, r.least)] {
			want := http.StatusForbidden
			if role == "" {
				want = http.StatusUnauthorized
			}
			if status, _ := send(t, members[role], r.method, path, r.body); status != want {
				t.Errorf("%s as %q: %d, want %d", r.call, role, status, want)
			}
		}
	}
	if after := rows(t, db, 1); after != before {
		t.Errorf("something of the operation changed:\n%s\nbefore:\n%s", after, before)
	}
}

func column(t *testing.T, db *sql.DB, query string) string {
	t.Helper()
	var out string
	if err := db.QueryRow(query).Scan(&out); err != nil {
		t.Fatal(err)
	}
	return out
}
