package e2e

import (
	"bufio"
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"math"
	"net/http"
	"net/http/cookiejar"
	"os"
	"strings"
	"sync"
	"sync/atomic"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/chem"
	"keeler/core/method/dribble"
	"keeler/e2e/browser"
	"keeler/e2e/stand"
	"keeler/wire"
)

const roundDay = "2026-12-04"

// owner speaks to a Keeler as its owner, who is made at first.
type owner struct {
	t    *testing.T
	url  string
	http *http.Client
}

func ownerOf(t *testing.T, s *stand.Stand) owner {
	t.Helper()
	cookies, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	o := owner{t, s.URL, &http.Client{Jar: cookies}}
	if s.Code == "" {
		o.post("/api/demo", nil)
		return o
	}
	o.post("/api/claim", wire.Claim{Code: s.Code, Operation: "Quay", Login: "Owner", Password: "a long enough one"})
	return o
}

func (o owner) post(path string, in any) []byte {
	o.t.Helper()
	return o.send(http.MethodPost, path, in)
}

func (o owner) send(method, path string, in any) []byte {
	o.t.Helper()
	body, err := json.Marshal(in)
	if err != nil {
		o.t.Fatal(err)
	}
	request, err := http.NewRequestWithContext(o.t.Context(), method, o.url+path, bytes.NewReader(body))
	if err != nil {
		o.t.Fatal(err)
	}
	request.Header.Set("Content-Type", "application/json")
	response, err := o.http.Do(request)
	if err != nil {
		o.t.Fatal(err)
	}
	defer func() { _ = response.Body.Close() }()
	raw, err := io.ReadAll(response.Body)
	if err != nil || response.StatusCode >= http.StatusMultipleChoices {
		o.t.Fatalf("%s: %s %s %v", path, response.Status, raw, err)
	}
	return raw
}

func read[T any](o owner, path string) T {
	o.t.Helper()
	response, err := o.http.Get(o.url + path)
	if err != nil {
		o.t.Fatal(err)
	}
	defer func() { _ = response.Body.Close() }()
	var out T
	if err := json.NewDecoder(response.Body).Decode(&out); err != nil {
		o.t.Fatal(err)
	}
	return out
}

// heard tells of what happens in a job, as often as the server says so.
func (o owner) heard(job string) <-chan struct{} {
	o.t.Helper()
	response, err := o.http.Get(o.url + "/api/stream?at=" + job)
	if err != nil {
		o.t.Fatal(err)
	}
	out := make(chan struct{}, 1)
	go func() {
		defer func() { _ = response.Body.Close() }()
		for lines := bufio.NewScanner(response.Body); lines.Scan(); {
			select {
			case out <- struct{}{}:
			default:
			}
		}
	}()
	return out
}

// job is so many hives in one yard, each with seams that ask for 5, 10, … 50 mL in
// turn, every fourth a double, a job for them on one day, and a batch that does them.
func (o owner) job(hives int, ml float64) (job, batch string, doses map[string]float64) {
	o.t.Helper()
	return o.jobAt("Slipway", hives, ml)
}

// jobAt is job in a yard of another name.
func (o owner) jobAt(place string, hives int, ml float64) (job, batch string, doses map[string]float64) {
	o.t.Helper()
	yard := uuid.NewString()
	job, batch = uuid.NewString(), uuid.NewString()
	o.post("/api/yards", wire.SaveYard{ID: yard, Name: place, Latitude: ptr(57.0)})
	in := wire.SaveJob{ID: job, Name: place, Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit held", People: 3}
	doses = map[string]float64{}
	var inspections wire.Inspections
	ten := strings.Split(strings.Repeat("comb ", 10)[:49], " ")
	for i := range hives {
		id, full := uuid.NewString(), 1+i%10
		boxes := []wire.HiveBox{{Kind: "deep", Slots: ten}}
		if i%4 == 3 {
			boxes = append(boxes, boxes[0])
		}
		o.post("/api/colonies", wire.SaveColony{ID: id, YardID: yard, Name: fmt.Sprintf("H%03d", i), Boxes: boxes})
		board := make([][]float64, len(boxes))
		for b := range board {
			board[b] = make([]float64, 11)
		}
		for g := range full {
			board[g%len(boxes)][g/len(boxes)] = 1
		}
		inspections.Inspections = append(inspections.Inspections, wire.Inspection{ID: uuid.NewString(), ColonyID: id, Board: board, Brood: "none", Stores: "enough"})
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: id, Day: roundDay, Override: "as agreed"})
		doses[id] = 5 * float64(full)
	}
	o.post("/api/inspections", inspections)
	o.post("/api/jobs", in)
	o.post("/api/batches", jar(batch, "Big jar", ml))
	return job, batch, doses
}

// jar is a batch of syrup for a dribble.
func jar(id, name string, ml float64) wire.SaveBatch {
	return wire.SaveBatch{ID: id, Name: name, Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "protocol", Protocol: "label-litre"}, Size: wire.Size{By: "volume", Volume: chem.Millilitres(ml)},
	}}}}
}

func ptr[T any](v T) *T { return &v }

// byHand chooses a batch, and says that it was mixed without the bench.
func (p page) byHand(batch string) {
	p.t.Helper()
	p.pick("Giving from", batch+" (not mixed at the bench)")
	p.click("[data-by-hand]")
	p.until(`document.querySelector('[data-unsaid]') === null`)
}

// given presses Given, more than a second after the last time.
func (p page) given() {
	p.t.Helper()
	p.do(chromedp.Evaluate[chromedp.Void](later))
	p.click("[data-given]")
}

// later sets the page's clock on, by more than two taps of one hand are apart.
const later = `(() => { const now = Date.now; Date.now = () => now() + 1100 })()`

// Each vector of core/testdata comes out of the core in the browser as it does of the
// server: answers to the sixth decimal as told, refusals with the same words at the
// same fields.
func TestCoreInTheBrowserAgrees(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/treat", browser.Phone)
	p.click("[data-go-round]")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-colony-open]")))
	good := map[string]map[string]any{}
	testdata(t, "good.json", &good)
	type call struct {
		name, file string
		Method     string `json:"method"`
		Request    string `json:"request"`
	}
	var calls []call
	for method, file := range map[string]string{"dribblePlan": "dribble", "stripPlan": "strip", "padPlan": "pad"} {
		for _, name := range []string{file + ".json", file + "_refused.json"} {
			var vectors []struct {
				Name         string
				Request, Set map[string]any
			}
			testdata(t, name, &vectors)
			for _, v := range vectors {
				if v.Set != nil {
					v.Request = maps.Clone(good[file])
					maps.Copy(v.Request, v.Set)
				}
				request, err := json.Marshal(v.Request)
				if err != nil {
					t.Fatal(err)
				}
				calls = append(calls, call{name + " " + v.Name, file, method, string(request)})
			}
		}
	}
	if len(calls) < 60 {
		t.Errorf("only %d vectors were asked", len(calls))
	}
	all, err := json.Marshal(calls)
	if err != nil {
		t.Fatal(err)
	}
	here, err := look(p, chromedp.Evaluate[[]string](fmt.Sprintf(`%s.map(({ method, request }) => keelerCore[method](request))`, all)))
	if err != nil {
		t.Fatal(err)
	}
	for i, c := range calls {
		if there := answered(t, s.URL+"/api/"+c.file+"/plan", []byte(c.Request)); there != canonical(t, []byte(here[i])) {
			t.Errorf("%s: the browser says\n%s\nthe server\n%s", c.name, here[i], there)
		}
	}
}

func testdata(t *testing.T, name string, into any) {
	t.Helper()
	raw, err := os.ReadFile("../core/testdata/" + name)
	if err != nil {
		t.Fatal(err)
	}
	if err := json.Unmarshal(raw, into); err != nil {
		t.Fatal(err)
	}
}

// answered is what the server says, in the form of the core in the browser.
func answered(t *testing.T, url string, request []byte) string {
	t.Helper()
	response, err := http.Post(url, "application/json", bytes.NewReader(request))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = response.Body.Close() }()
	raw, err := io.ReadAll(response.Body)
	if err != nil {
		t.Fatal(err)
	}
	if response.StatusCode == http.StatusOK {
		return canonical(t, fmt.Appendf(nil, `{"answer":%s}`, raw))
	}
	var problem struct {
		Errors []struct{ Location, Message string }
	}
	if err := json.Unmarshal(raw, &problem); err != nil {
		t.Fatal(err)
	}
	faults := map[string]string{}
	for _, e := range problem.Errors {
		faults[strings.TrimPrefix(e.Location, "body.")] = e.Message
	}
	out, err := json.Marshal(map[string]any{"faults": faults})
	if err != nil {
		t.Fatal(err)
	}
	return canonical(t, out)
}

func canonical(t *testing.T, raw []byte) string {
	t.Helper()
	var v any
	if err := json.Unmarshal(raw, &v); err != nil {
		t.Fatalf("%v in %s", err, raw)
	}
	if m, ok := v.(map[string]any); ok {
		if a, ok := m["answer"].(map[string]any); ok {
			delete(a, "$schema")
		}
	}
	out, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return string(out)
}

// A phone in the yard: a gap is tapped and the dose follows; given, other, undone; the
// double is shared, bottom first, or given from above; ticks go with it; and the end
// says what is left.
func TestARound(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, batch, _ := o.job(4, 100)
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.says("[data-colony-open]", "H000", "1 of 4", "draw 5")
	p.says("[data-jar]", "No finished batch for it")
	p.byHand("No. 1 Big jar")
	p.says("[data-jar]", "100 mL left", "enough for all, 50 mL to spare") // 5 + 10 + 15 + 20 of 100
	for range 2 {
		p.click(`[data-colony-open] [data-gap="5"]`) // half a seam more is 2.5 mL, which a syringe of 60 gives as 2: a tie goes down
	}
	p.says("[data-dose]", "7")
	p.click("[data-choose-extras]")
	p.click(`[data-extra="hefted"]`)
	p.until(`document.querySelector('[data-extra="hefted"]').getAttribute('aria-pressed') === 'true'`)
	p.click("[data-choose-extras]")
	p.click(`[data-extra="hefted"]`)
	p.given()
	p.says("[data-colony-open]", "H001", "draw 10")
	p.says("[data-jar-left]", "93")

	p.click("[data-other]")
	p.click(`[data-reason="dead"]`)
	p.do(chromedp.Evaluate[chromedp.Void](later))
	p.click("[data-dead-keep]")
	p.says("[data-colony-open]", "H002")
	p.click("[data-other]")
	p.click(`[data-reason="ran_out"]`)
	p.says("[data-colony-open]", "H002", "Actually given") // nothing is written before it is said how much
	p.fill("amount", "4")
	p.do(chromedp.Evaluate[chromedp.Void](later))
	p.click("[data-write-it]")
	p.says("[data-colony-open]", "H003", "The cluster spans the joint", "bottom first: box 1: 10 · box 2: 10")
	p.choose("From above")
	p.says("[data-colony-open]", "box 1: 0 · box 2: 10", "2 seams below are not reached: open the boxes")
	p.given()
	p.says("[data-finished]", "Round done", "79 mL left over")

	p.click(`[data-hive="H002"]`)
	p.says("[data-done]", "4 mL", "Ran out", "Owner")
	p.click("[data-undo]")
	p.says("[data-jar-left]", "83")
	p.given()
	p.says("[data-jar-left]", "68") // 83 less the 15 mL of its three seams
	p.click(`[data-hive="H000"]`)
	p.says("[data-done]", "7 mL", "Hefted")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)

	other := open(t, s.URL+"/mix", browser.Desk) // a second phone really doses one of them again
	other.enter()
	other.do(chromedp.Navigate(s.URL + "/register"))
	other.says("[data-register]", "H000", "7 mL", "245 mg oxalic dihydrate", "H001", "nothing given", "Dead", "No. 1", "permit held")
	o.post("/api/jobs/"+job+"/applications?day="+roundDay, wire.Applications{Applications: []wire.Application{{
		ID: uuid.NewString(), ColonyID: read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Colonies[0].ID, Kind: "given", BatchID: batch, Amount: 8,
	}}})
	p.says("[data-colony-open]", "two doses")

	other.do(chromedp.Reload())
	other.until(`document.querySelectorAll('[data-line-of]').length === 6`) // four hives, one twice, one taken back
	other.click("[data-correct]")
	other.fill("amount", "6")
	other.fill("why", "the syringe leaked")
	other.click("[data-save-form=correct]")
	other.says("[data-register]", "Changed on", "amount 8 mL → 6 mL", "the syringe leaked")
	other.neverNaN()

	// Another jar, planned with 4 mL a seam and a gun of 2 mL: the round doses by that.
	o.post("/api/batches", wire.SaveBatch{ID: uuid.NewString(), Name: "Thin jar", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "protocol", Protocol: "label-litre"}, Size: wire.Size{By: "volume", Volume: 100},
		Rule: wire.Rule{FullSeam: new(chem.Millilitres(4))}, Applicator: &wire.Applicator{Device: "gun", Unit: 2},
	}}}})
	other.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/" + roundDay))
	other.byHand("No. 2 Thin jar")
	other.click(`[data-hive="H001"]`)
	other.click("[data-undo]")
	other.says("[data-colony-open]", "H001", "8 mL", "4 shots", "4 mL, 140 mg of acid in a full seam") // two seams

	other.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/" + roundDay + "/sheet"))
	other.says("[data-sheet]", "H000", "H003", "nitrile gloves", "permit held", "4 mL for a full seam")
	other.says("[data-dose-table]", "1 2 3", "4 8 12", "40 44 48")
	if n := other.pages(chromedp.PaperA4); n != 1 {
		t.Errorf("the sheet of a yard takes %d pages", n)
	}
}

// With no signal the round goes on, over a reload, too: what was done waits in sight,
// and is sent in its order when the signal is back. Typed in from paper, and practised,
// it is the same line of hives.
func TestRoundWithoutSignal(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, batch, _ := o.job(3, 100)
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
	p.byHand("No. 1 Big jar")
	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	p.given()
	p.says("[data-colony-open]", "H001")
	p.says("[data-signal]", "No signal", "1 waiting")
	p.do(chromedp.Reload())
	p.says("[data-colony-open]", "H001")
	p.says("[data-signal]", "No signal", "1 waiting")
	for range 4 { // the core answers without the server
		p.click(`[data-colony-open] [data-gap="7"]`)
	}
	p.says("[data-dose]", "15")
	p.says("[data-jar-left]", "95")
	p.given()
	p.says("[data-signal]", "2 waiting")
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	records := read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records
	if len(records) != 2 || records[0].Amount != 5 || records[1].Amount != 15 || records[0].GivenAt.After(records[1].GivenAt) {
		t.Errorf("sent: %+v", records)
	}
	if l := read[wire.Ledger](o, "/api/batches/"+batch+"/entries"); math.Abs(l.Left-80) > 0.1 {
		t.Errorf("%v left", l.Left)
	}
	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/" + roundDay + "/sheet"))
	p.click("[data-type-in]")
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-typed="H002"]`), "12"))
	p.click("[data-write]")
	p.until(`document.querySelector('[data-typed]') === null`)
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	p.do(chromedp.Navigate(s.URL + "/practice"))
	p.click("[data-pace]")
	p.do(chromedp.WaitVisible(chromedp.CSS(`[data-practice="running"] [data-done]`))) // the first seam fills
	p.says("[data-poured]", "of 6 · 5 mL")
	p.says("[data-poured-ml]", "of 30 mL")
	p.choose("Stop")
	if records = read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records; len(records) != 3 || records[2].Amount != 12 {
		t.Errorf("typed in: %+v", records)
	}
}

// onceEach says whether every hive has the dose that was meant for it, once, and whether the jar of so
// many mL and its ledger agree with them to 0.1 mL.
func (o owner) onceEach(job, batch string, doses map[string]float64, ml float64) {
	o.t.Helper()
	sum := 0.0
	seen := map[string]int{}
	for _, r := range read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records {
		seen[r.ColonyID]++
		sum += r.Amount
		if r.Amount != doses[r.ColonyID] || len(r.Flags) > 0 {
			o.t.Errorf("%s got %v, meant %v, flagged %v", r.Colony, r.Amount, doses[r.ColonyID], r.Flags)
		}
	}
	if len(seen) != len(doses) {
		o.t.Errorf("%d of %d colonies have a dose", len(seen), len(doses))
	}
	for id, n := range seen {
		if n != 1 {
			o.t.Errorf("%s has %d doses", id, n)
		}
	}
	ledger := read[wire.Ledger](o, "/api/batches/"+batch+"/entries")
	used := 0.0
	for _, e := range ledger.Entries {
		if e.Kind == "used" {
			used -= e.Change
		}
	}
	if math.Abs(used-sum) > 0.1 || math.Abs(ml-sum-ledger.Left) > 0.1 || sum != lo.Sum(lo.Values(doses)) {
		o.t.Errorf("doses %v, ledger %v, %v left of %v", sum, used, ledger.Left, ml)
	}
}

// giveThird gives every hive of a third of the line that is still open; it runs in the page,
// as fast as a hand never is.
const giveThird = `(async (mine) => {
	const until = async (what) => { for (let n = 0; !what(); n++) { if (n > 4000) throw new Error('waited in vain: ' + what); await new Promise((r) => setTimeout(r, 5)) } }
	const names = [...document.querySelectorAll('[data-hive]')].map((b) => b.dataset.hive).filter((_, i) => i %% 3 === mine)
	for (const name of names) {
		document.querySelector('[data-hive="' + name + '"]').click()
		await until(() => document.querySelector('[data-colony-open="' + name + '"]'))
		if (document.querySelector('[data-done]')) continue
		const now = Date.now
		Date.now = () => now() + 1100
		document.querySelector('[data-given]').click()
		await until(() => document.querySelector('[data-hive="' + name + '"]').dataset.state === 'done')
	}
	return names.length
})(%d)`

// Three browsers go over 200 colonies at once; the server is killed and started again
// half-way, and two of the browsers lose their signal for part of it. Every dose is
// recorded exactly once, and jar, ledger and doses agree to 0.1 mL.
func TestThreeBrowsersOverTwoHundredColonies(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	const hives = 200
	job, batch, doses := o.job(hives, 6000)
	var gone [3]atomic.Bool
	var pages [3]page
	for i := range pages {
		url := between(t, s.URL, func(w http.ResponseWriter, r *http.Request, onward http.Handler) {
			if gone[i].Load() {
				panic(http.ErrAbortHandler)
			}
			onward.ServeHTTP(w, r)
		})
		ctx, end := browser.New(context.Background()) // one each: the tabs of one are throttled
		t.Cleanup(end)
		if err := chromedp.Do(ctx, browser.Phone); err != nil {
			t.Fatal(err)
		}
		pages[i] = page{t, ctx}
		pages[i].do(chromedp.Navigate(url + "/yards"))
		pages[i].enter()
		pages[i].do(chromedp.Navigate(url + "/rounds/" + job + "/" + roundDay))
		pages[i].do(chromedp.WaitVisible(chromedp.CSS("[data-colony-open]")), chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
		pages[i].byHand("No. 1 Big jar")
	}
	var all sync.WaitGroup
	failed := make(chan error, len(pages))
	for i, p := range pages {
		all.Go(func() {
			ctx, cancel := context.WithTimeout(p.ctx, 3*patience)
			defer cancel()
			n, err := chromedp.Run(ctx, chromedp.Evaluate[int](fmt.Sprintf(giveThird, i), chromedp.EvalAwaitPromise))
			if err != nil || n < hives/3 {
				failed <- fmt.Errorf("browser %d gave %d: %w", i, n, err)
			}
		})
	}
	heard := o.heard(job)
	reached := func(share float64) {
		t.Helper()
		for len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records) < int(share*hives) {
			select {
			case err := <-failed:
				t.Fatal(err)
			case <-heard:
			}
		}
	}
	reached(0.2)
	gone[1].Store(true)
	gone[2].Store(true)
	reached(0.3)
	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	all.Wait() // offline, two of them go on to their end
	close(failed)
	for err := range failed {
		t.Fatal(err)
	}
	for i := range pages[1:] {
		pages[i+1].says("[data-signal]", "No signal", "waiting")
	}
	gone[1].Store(false)
	gone[2].Store(false)
	for _, p := range pages {
		p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	}
	o.onceEach(job, batch, doses, 6000)
	pages[0].do(chromedp.Reload())
	pages[0].says("[data-jar-left]", "500")
}

// Strips are placed by their drawing, and taken out on a later day with what is missing.
func TestRoundOfStrips(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/mix", browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-dose]")))
	fetched := func(js string) string {
		t.Helper()
		out, err := look(p, chromedp.Evaluate[string](js, chromedp.EvalAwaitPromise))
		if err != nil {
			t.Fatal(err)
		}
		return out
	}
	job := uuid.NewString()
	fetched(fmt.Sprintf(`(async () => {
		const send = async (path, body) => { const r = await fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }); if (!r.ok) throw new Error(await r.text()) }
		const yard = await (await fetch('/api/yards/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1001')).json()
		await send('/api/jobs', { id: %q, name: 'Strips', method: 'strip', under: 'strips', rule_kind: 'own', rule: 'permit', people: 1,
			colonies: yard.stands.slice(0, 2).map((c) => ({ colony_id: c.id, day: '2026-12-04', override: 'as a trial' })) })
		await send('/api/batches', { id: crypto.randomUUID(), name: 'Trial pot', recipe: { strip: { recipe: { protocol: 'two-to-three' }, uptake_g: 20, stays_ml: 60, size: { by: 'strips', strips: 8 } } } })
		return ''
	})()`, job))
	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/2026-12-04"))
	p.says("[data-colony-open]", "R1", "strips")
	p.byHand("No. 14 Trial pot")
	p.says("[data-jar]", "8 strips left")
	p.given()
	p.says("[data-colony-open]", "R2")
	p.given()
	p.says("[data-finished]", "Take out from 15 Jan 2027, by 29 Jan 2027 at the latest")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	taking := func() int {
		p.do(chromedp.Navigate(s.URL + "/treat"))
		p.until(`document.querySelector('[data-outing]') !== null`)
		return p.count(`[data-taking-out="Strips"]`)
	}
	if n := taking(); n != 0 {
		t.Error("they are to be taken out on the day they went in")
	}
	twoWeeks := func() {
		fetched(`fetch('/api/demo/clock', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: '{"days":14}' }).then((r) => r.text())`)
	}
	twoWeeks()
	p.do(chromedp.Navigate(s.URL + "/rounds/" + job + "/2026-12-18"))
	p.says("[data-early]", "28 days before they are due out")
	if n := p.count("[data-given]"); n != 0 {
		t.Error("they come out on day 14 of 42 unasked")
	}
	twoWeeks()
	twoWeeks()
	p.do(chromedp.Navigate(s.URL + "/treat"))
	p.click("[data-go-out]")
	p.says("[data-colony-open]", "R1", "in for 42 days")
	p.do(chromedp.Click(chromedp.CSS(`[aria-label="Missing +"]`)))
	p.given()
	p.says("[data-colony-open]", "R2")
	p.click(`[data-hive="R1"]`)
	p.says("[data-done]", "1 missing")
	p.click(`[data-hive="R2"]`)
	p.given()
	p.says("[data-finished]", "Round done")
	p.until(`document.querySelector('[data-hive="R2"]').dataset.state === 'done'`)
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	if n := taking(); n != 0 {
		t.Error("what came out is to be taken out")
	}
	p.do(chromedp.Navigate(s.URL + "/register"))
	p.says("[data-register]", "1 missing", "strips")
}

// Who was signed out meanwhile is asked to sign in; what waits stays on the phone, and
// goes through then. What cannot be kept says why.
func TestQueueOfAMemberWhoIsGone(t *testing.T) {
	s := up(t, false)
	o := ownerOf(t, s)
	job, _, _ := o.job(3, 100)
	p := entered(t, s.URL+"/rounds/"+job+"/"+roundDay, browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-ready]")), chromedp.Evaluate[chromedp.Void](`fetch('/api/session', { method: 'DELETE' })`, chromedp.EvalAwaitPromise))
	p.given()
	p.says("[data-queue]", "One line of a round waits on this phone")
	p.signIn("Owner")
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)

	// The phone's store is full: the line is held in the page, told, and sent all the same.
	if err := s.Hush(); err != nil {
		t.Fatal(err)
	}
	p.do(chromedp.Evaluate[chromedp.Void](`IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError') }`))
	p.given()
	p.says("[data-full]", "storage is full")
	p.says("[data-signal]", "1 waiting")
	if err := s.Serve(); err != nil {
		t.Fatal(err)
	}
	p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	if n := len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records); n != 2 {
		t.Errorf("%d lines were kept, want 2", n)
	}
}
