package e2e

import (
	"bytes"
	"context"
	"encoding/json"
	"flag"
	"fmt"
	"math"
	"net/http"
	"net/http/cookiejar"
	"net/url"
	"os"
	"slices"
	"sync"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/google/uuid"

	"keeler/e2e/browser"
	"keeler/e2e/cluster"
	"keeler/wire"
)

var keeler = flag.String("cluster", "", "Keeler's program, to try on a cluster")

// firstPort is where the ports of the cluster's addresses begin.
const firstPort = 18180

// at is the demo's keeper at one address of a cluster.
func at(t *testing.T, url string) owner {
	t.Helper()
	cookies, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	o := owner{t, url, &http.Client{Jar: cookies, Timeout: patience}}
	o.post("/api/demo", nil)
	return o
}

// status sends something, and tells only what was answered.
func (o owner) status(path string, in any) int {
	o.t.Helper()
	body, err := json.Marshal(in)
	if err != nil {
		o.t.Fatal(err)
	}
	response, err := o.http.Post(o.url+path, "application/json", bytes.NewReader(body))
	if err != nil {
		return 0
	}
	_ = response.Body.Close()
	return response.StatusCode
}

// TestCluster tries three servers on three nodes: make cluster-test.
func TestCluster(t *testing.T) {
	if *keeler == "" {
		t.Skip("make cluster-test")
	}
	dir, err := os.MkdirTemp("", "keeler-cluster-")
	if err != nil {
		t.Fatal(err)
	}
	c, err := cluster.Up(t.Context(), dir, *keeler, firstPort)
	t.Cleanup(func() {
		c.Down()
		if !t.Failed() { // else it can be read what each said
			_ = os.RemoveAll(dir)
		}
	})
	if err != nil {
		t.Fatal(err)
	}
	var servers [cluster.Size]owner
	for n := range servers {
		servers[n] = at(t, c.Server(n))
	}
	t.Run("saves that meet", func(t *testing.T) { savesMeet(t, servers) })
	t.Run("one for all", func(t *testing.T) { oneForAll(t, c, servers) })
	t.Run("one jar", func(t *testing.T) { oneJar(t, servers) })
	t.Run("what it takes", func(t *testing.T) { whatItTakes(t, c, servers) })
	t.Run("backed up", func(t *testing.T) { backedUp(t, c, servers) })
	t.Run("a round, a node and a server killed", func(t *testing.T) { killedInARound(t, c, servers) })
	t.Run("without a quorum", func(t *testing.T) { withoutQuorum(t, c, servers) })
}

// writers do something at once at all servers in turn, each so many times.
func writers(servers [cluster.Size]owner, each int, do func(owner, int)) {
	const many = 6
	var all sync.WaitGroup
	for w := range many {
		all.Go(func() {
			for n := range each {
				do(servers[w%cluster.Size], w*each+n)
			}
		})
	}
	all.Wait()
}

// savesMeet saves batches at once: each is acknowledged, and no two have one number.
func savesMeet(t *testing.T, servers [cluster.Size]owner) {
	var mu sync.Mutex
	answers := map[int]int{}
	mine := map[string]bool{}
	begun := time.Now()
	writers(servers, 17, func(o owner, n int) {
		id := uuid.NewString()
		status := o.status("/api/batches", jar(id, fmt.Sprint("Meeting ", n), 100))
		mu.Lock()
		defer mu.Unlock()
		answers[status]++
		mine[id] = true
	})
	three := time.Since(begun)
	begun = time.Now()
	writers([cluster.Size]owner{servers[0], servers[0], servers[0]}, 17, func(o owner, n int) {
		if status := o.status("/api/batches", jar(uuid.NewString(), fmt.Sprint("By itself ", n), 100)); status != http.StatusCreated {
			t.Errorf("at one server: %d", status)
		}
	})
	one := time.Since(begun)
	t.Logf("%d saves by six writers, all into one operation: %.0f a second at three servers, %.0f at one of them", len(mine), float64(len(mine))/three.Seconds(), float64(len(mine))/one.Seconds())
	if len(answers) != 1 || answers[http.StatusCreated]+answers[http.StatusOK] != len(mine) {
		t.Errorf("answered were %v", answers)
	}
	numbers := map[int]bool{}
	for id := range mine {
		b := read[struct{ Number int }](servers[0], "/api/batches/"+id)
		if b.Number == 0 || numbers[b.Number] {
			t.Errorf("batch %s has number %d, which another has", id, b.Number)
		}
		numbers[b.Number] = true
	}
}

// oneForAll tries what all servers must have alike: who is signed in, how often somebody tried to, an
// id that is sent to several, an address of the calendar, and the key of reminders.
func oneForAll(t *testing.T, c *cluster.Cluster, servers [cluster.Size]owner) {
	for n := range servers {
		servers[n].t = t
	}
	base := func(n int) *url.URL {
		address, err := url.Parse(c.Server(n))
		if err != nil {
			t.Fatal(err)
		}
		return address
	}
	cookies, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	cookies.SetCookies(base(1), servers[0].http.Jar.Cookies(base(0)))
	elsewhere := owner{t, c.Server(1), &http.Client{Jar: cookies}}
	if me := read[wire.Start](elsewhere, "/api/start").Me; me == nil {
		t.Error("who signs in at one server is nobody at another")
	}

	id, name := uuid.NewString(), "Sent to all"
	before := len(read[wire.BatchList](servers[0], "/api/batches").Batches)
	writers(servers, 3, func(o owner, _ int) {
		if status := o.status("/api/batches", jar(id, name, 100)); status != http.StatusCreated && status != http.StatusOK {
			t.Errorf("sent again: %d", status)
		}
	})
	if after := len(read[wire.BatchList](servers[2], "/api/batches").Batches); after != before+1 {
		t.Errorf("one id made %d batches", after-before)
	}

	tried := map[int]int{}
	for n := range 12 {
		tried[servers[n%cluster.Size].status("/api/session", wire.SignIn{Login: "Nobody here", Password: "a guess of mine"})]++
	}
	if tried[http.StatusUnauthorized] != 8 || tried[http.StatusTooManyRequests] != 4 {
		t.Errorf("tries were answered %v", tried)
	}

	var feed wire.Feed
	if err := json.Unmarshal(servers[0].post("/api/feed", struct{}{}), &feed); err != nil {
		t.Fatal(err)
	}
	response, err := http.Get(c.Server(2) + "/api/calendar/" + feed.Token)
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	if response.StatusCode != http.StatusOK {
		t.Errorf("a calendar's address at another server: %s", response.Status)
	}

	var keys []string
	for _, o := range servers {
		keys = append(keys, read[wire.PushKey](o, "/api/reminders").Key)
	}
	if keys[0] == "" || keys[1] != keys[0] || keys[2] != keys[0] {
		t.Errorf("the keys of reminders are %v", keys)
	}
}

// oneJar gives doses out of one jar at once, and measures what is left of it at others: none is
// lost, all servers have the jar alike, and each line stands on the one before it.
func oneJar(t *testing.T, servers [cluster.Size]owner) {
	job, batch, doses := servers[0].job(60, 2000)
	var hives []string
	for id := range doses {
		hives = append(hives, id)
	}
	writers(servers, 10, func(o owner, n int) {
		line := wire.Application{ID: uuid.NewString(), ColonyID: hives[n], Kind: "given", BatchID: batch, Amount: doses[hives[n]], ApplicationDetail: wire.ApplicationDetail{ByHand: true}}
		if status := o.status("/api/jobs/"+job+"/applications?day="+roundDay, wire.Applications{Applications: []wire.Application{line}}); status != http.StatusOK {
			t.Errorf("dose %d: %d", n, status)
		}
	})
	for _, o := range servers {
		o.t = t
		o.onceEach(job, batch, doses, 2000)
	}
	writers(servers, 5, func(o owner, n int) {
		entry := wire.StockEntry{ID: uuid.NewString(), Kind: "used", Amount: 3}
		if n%3 == 0 {
			entry = wire.StockEntry{ID: entry.ID, Kind: "found", Amount: float64(100 + n), Reason: "measured"}
		}
		if status := o.status("/api/batches/"+batch+"/entries", entry); status != http.StatusOK {
			t.Errorf("entry %d: %d", n, status)
		}
	})
	for i, o := range servers {
		ledger, running := read[wire.Ledger](o, "/api/batches/"+batch+"/entries"), 0.0
		if len(ledger.Entries) < len(doses)+30 {
			t.Errorf("server %d has %d lines of the jar", i+1, len(ledger.Entries))
		}
		for n, e := range ledger.Entries {
			if math.Abs(e.LeftBefore-running) > 0.001 {
				t.Errorf("server %d, line %d (%s %v) was written on %v, and stands on %v", i+1, n, e.Kind, e.Amount, e.LeftBefore, running)
			}
			running += e.Change
		}
	}
}

// killedInARound gives 200 hives their doses by three browsers behind the proxy; half-way a node
// and a server are killed. Phones go on, and every dose counts once; what was killed comes back by itself.
func killedInARound(t *testing.T, c *cluster.Cluster, servers [cluster.Size]owner) {
	const ml = 6000
	o := servers[0]
	o.t = t
	job, batch, doses := o.jobAt("Staithe", 200, ml)
	number := read[struct{ Number int }](o, "/api/batches/"+batch).Number
	codes.Store(t.Name(), "") // it is the demo's keeper who goes out
	var pages [3]page
	for i := range pages {
		ctx, end := browser.New(context.Background())
		t.Cleanup(end)
		if err := chromedp.Do(ctx, browser.Phone); err != nil {
			t.Fatal(err)
		}
		pages[i] = page{t, ctx}
		pages[i].do(chromedp.Navigate(c.URL + "/yards"))
		pages[i].enter()
		pages[i].do(chromedp.Navigate(c.URL + "/rounds/" + job + "/" + roundDay))
		pages[i].do(chromedp.WaitVisible(chromedp.CSS("[data-colony-open]")), chromedp.WaitVisible(chromedp.CSS("[data-ready]")))
		pages[i].byHand(fmt.Sprintf("No. %d Big jar", number))
	}
	heard := o.heard(job) // at one server, of what is written at all
	failed := make(chan error, len(pages))
	var all sync.WaitGroup
	for i, p := range pages {
		all.Go(func() {
			ctx, cancel := context.WithTimeout(p.ctx, 3*patience)
			defer cancel()
			if _, err := chromedp.Run(ctx, chromedp.Evaluate[int](fmt.Sprintf(giveThird, i), chromedp.EvalAwaitPromise)); err != nil {
				failed <- fmt.Errorf("browser %d: %w", i, err)
			}
		})
	}
	for len(read[wire.Visit](o, "/api/jobs/"+job+"/visit?day="+roundDay).Records) < 60 {
		select {
		case err := <-failed:
			t.Fatal(err)
		case <-heard:
		}
	}
	through := at(t, c.URL)
	c.KillNode(2)
	c.KillServer(1)
	killed, again := time.Now(), wire.SaveYard{ID: uuid.NewString(), Name: "After it", Latitude: ptr(57.0)}
	for status := 0; status < http.StatusOK || status >= http.StatusMultipleChoices; status = through.status("/api/yards", again) {
		if time.Since(killed) > patience {
			t.Fatal("nothing is written any more")
		}
	}
	t.Logf("written again %.1f s after a node and a server were killed", time.Since(killed).Seconds())
	all.Wait()
	select {
	case err := <-failed:
		t.Fatal(err)
	default:
	}
	for _, p := range pages {
		p.until(`document.querySelector('[data-signal="sent"][data-waiting="0"]') !== null`)
	}
	o.onceEach(job, batch, doses, ml)
	if err := c.StartNode(t.Context(), 2); err != nil {
		t.Fatal(err)
	}
	if err := c.StartServer(t.Context(), 1); err != nil {
		t.Fatal(err)
	}
	for n := range cluster.Size {
		if members, err := c.Members(t.Context(), n); members != cluster.Size {
			t.Errorf("node %d sees %d: %v", n+1, members, err)
		}
		back := at(t, c.Server(n))
		back.onceEach(job, batch, doses, ml)
	}
}

// withoutQuorum kills two nodes of three: the last one acknowledges nothing, and says so. Once they
// are back, what was acknowledged is there.
func withoutQuorum(t *testing.T, c *cluster.Cluster, servers [cluster.Size]owner) {
	o := servers[0]
	o.t = t
	kept := uuid.NewString()
	o.post("/api/yards", wire.SaveYard{ID: kept, Name: "Kept", Latitude: ptr(57.0)})
	c.KillNode(1)
	c.KillNode(2)
	lost := uuid.NewString()
	edge := wire.SaveYard{ID: uuid.NewString(), Name: "On the edge", Latitude: ptr(57.0)}
	for o.status("/api/yards", edge) < http.StatusMultipleChoices {
		// until the last one has noticed
	}
	if status := o.status("/api/yards", wire.SaveYard{ID: lost, Name: "Lost", Latitude: ptr(57.0)}); status != http.StatusServiceUnavailable {
		t.Errorf("a write without a quorum: %d", status)
	}
	response, err := o.http.Get(o.url + "/api/yards")
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	if response.StatusCode != http.StatusServiceUnavailable {
		t.Errorf("a read without a quorum: %d", response.StatusCode)
	}
	var both sync.WaitGroup
	for _, n := range []int{1, 2} {
		both.Go(func() {
			if err := c.StartNode(t.Context(), n); err != nil {
				t.Error(err)
			}
		})
	}
	both.Wait()
	var ids []string
	for _, y := range read[struct{ Yards []wire.Yard }](at(t, c.Server(2)), "/api/yards").Yards {
		ids = append(ids, y.ID)
	}
	if !slices.Contains(ids, kept) || slices.Contains(ids, lost) {
		t.Errorf("there are %v; %s was acknowledged, %s was not", ids, kept, lost)
	}
}
