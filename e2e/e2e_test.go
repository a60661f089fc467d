// Package e2e walks through Keeler as its users do, in a real Chromium.
package e2e

import (
	"bytes"
	"context"
	"fmt"
	"net/url"
	"os"
	"slices"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"

	"keeler/e2e/browser"
	"keeler/e2e/stand"
	"keeler/store/mariadbd"
)

// patience is how long a step may take to come about.
const patience = 60 * time.Second

// together is how many journeys run at once, each in a browser of its own: the tabs of
// one are throttled.
const together = 2

var (
	database *mariadbd.Server
	browsers = make(chan context.Context, together) // those that nobody uses; their first tab stays empty
)

func TestMain(m *testing.M) {
	os.Exit(func() int {
		var err error
		if database, err = mariadbd.Hasty(context.Background()); err != nil {
			panic(err)
		}
		defer database.Stop()
		for range together {
			chromium, end := browser.New(context.Background())
			defer end()
			if err := chromedp.Do(chromium); err != nil {
				panic(err)
			}
			browsers <- chromium
		}
		return m.Run()
	}())
}

// codes make the first owner of a test's Keeler.
var codes sync.Map

// taken are the browsers of the tests that run.
var taken sync.Map

// chromium is the test's browser, its own until it ends. It goes on beside another.
func chromium(t *testing.T) context.Context {
	t.Helper()
	if its, has := taken.Load(t.Name()); has {
		return its.(context.Context)
	}
	t.Parallel()
	its := <-browsers
	taken.Store(t.Name(), its)
	t.Cleanup(func() {
		taken.Delete(t.Name())
		browsers <- its
	})
	return its
}

// up starts a Keeler of its own for the test, on a database of its own.
func up(t *testing.T, demo bool) *stand.Stand {
	t.Helper()
	chromium(t)
	dsn, err := database.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	if demo {
		copied, err := filled()
		if err == nil {
			err = mariadbd.Load(t.Context(), dsn, bytes.NewReader(copied))
		}
		if err != nil {
			t.Fatal(err)
		}
	}
	s, err := stand.On(context.Background(), dsn, demo)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = s.Down() })
	codes.Store(t.Name(), s.Code)
	return s
}

// filled is a copy of the demo as it is first filled, made once: to read one takes a tenth of
// the time.
var filled = sync.OnceValues(func() ([]byte, error) {
	dsn, err := database.Database(context.Background(), "demo")
	if err != nil {
		return nil, err
	}
	s, err := stand.On(context.Background(), dsn, true)
	if err != nil {
		return nil, err
	}
	if err := s.Down(); err != nil {
		return nil, err
	}
	var copied bytes.Buffer
	err = mariadbd.Dump(context.Background(), dsn, &copied)
	return copied.Bytes(), err
})

// page is a tab with a fresh profile.
type page struct {
	t   *testing.T
	ctx context.Context
}

func open(t *testing.T, address string, window browser.Action) page {
	t.Helper()
	ctx, end := chromedp.NewContext(chromium(t), chromedp.WithNewBrowserContext())
	t.Cleanup(end)
	p := page{t, ctx}
	if err := chromedp.Do(ctx, window); err != nil { // opens the tab, which must outlive any step's limit
		t.Fatal(err)
	}
	p.do(chromedp.Navigate(address))
	return p
}

// entered is a tab that is signed in before it shows a page: starting pages is what most of
// a journey's time goes to.
func entered(t *testing.T, address string, window browser.Action) page {
	t.Helper()
	where, err := url.Parse(address)
	if err != nil {
		t.Fatal(err)
	}
	p := open(t, "http://"+where.Host+"/healthz", window)
	p.admit()
	p.do(chromedp.Navigate(address))
	return p
}

// enter signs the page in.
func (p page) enter() {
	p.t.Helper()
	p.admit()
	p.do(chromedp.Reload())
}

// admit signs the tab in: as the demo's keeper, or as the owner that it makes.
func (p page) admit() {
	p.t.Helper()
	code, _ := codes.Load(p.t.Name())
	p.do(chromedp.Evaluate[chromedp.Void](fmt.Sprintf(`(async () => {
		const post = (path, body) => fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })
		const who = { login: 'Owner', password: 'a long enough one' }
		for (const [path, body] of [['/api/demo', {}], ['/api/claim', { code: %q, operation: 'Quay', ...who }], ['/api/session', who]])
			if ((await post(path, body)).ok) return
		throw new Error('nobody gets in')
	})()`, code), chromedp.EvalAwaitPromise))
}

// replaced reports whether the page has put another node or document in place of the one
// that was looked at.
func replaced(err error) bool {
	return err != nil && slices.ContainsFunc([]string{"Could not find node", "Cannot find context", "target navigated"}, func(said string) bool {
		return strings.Contains(err.Error(), said)
	})
}

// look takes a step that tells something. Where the page was faster, by replacing what it
// was about, it is taken again.
func look[T any](p page, step chromedp.Action[T]) (T, error) {
	ctx, cancel := context.WithTimeout(p.ctx, patience+time.Second) // a poll says first that it waited in vain
	defer cancel()
	seen, err := chromedp.Run(ctx, step)
	for replaced(err) && ctx.Err() == nil {
		seen, err = chromedp.Run(ctx, step)
	}
	return seen, err
}

// comes waits for something to come true of the page.
func (p page) comes(js string) error {
	_, err := look(p, chromedp.Poll[bool]("("+js+") === true", chromedp.WithPollingTimeout(patience)))
	return err
}

// reload begins the page anew. It is asked of the page itself: of one that keeps a stream open the
// browser does not always tell that it is loaded.
func (p page) reload() {
	p.t.Helper()
	p.do(chromedp.Evaluate[chromedp.Void](`globalThis.before = true; setTimeout(() => location.reload())`))
	p.until(`globalThis.before === undefined && document.readyState === 'complete'`)
}

// do runs steps, failing the test when one does not come about.
func (p page) do(steps ...browser.Action) {
	p.t.Helper()
	for _, step := range steps {
		if _, err := look(p, step); err != nil {
			p.t.Fatalf("%v\nthe page says:\n%s", err, p.words())
		}
	}
}

// words is what the page says; nothing where it does not even answer any more.
func (p page) words() string {
	ctx, cancel := context.WithTimeout(p.ctx, 5*time.Second)
	defer cancel()
	text, _ := chromedp.Run(ctx, chromedp.Evaluate[string](`document.body.innerText`))
	return text
}

// click presses a part of the page, brought clear of the header first as a person
// would: the browser counts what lies beneath it as in view. Where the page has moved
// under the finger, it is pressed again.
func (p page) click(selector string) {
	p.t.Helper()
	for range 5 {
		p.do(chromedp.WaitVisible(chromedp.CSS(selector)),
			chromedp.Evaluate[chromedp.Void](fmt.Sprintf(`(() => {
				document.querySelector(%[1]q).scrollIntoView({ block: 'center' })
				globalThis.hit = false
				addEventListener('click', (e) => { globalThis.hit = e.target.closest(%[1]q) !== null }, { capture: true, once: true })
			})()`, selector)),
			chromedp.Click(chromedp.CSS(selector)))
		if hit, err := look(p, chromedp.Evaluate[bool](`globalThis.hit !== false`)); err != nil || hit {
			return // or it has led to another page
		}
	}
	p.t.Fatal(selector, "is never pressed\nthe page says:\n", p.words())
}

// otherUnits changes between g and lb.
func (p page) otherUnits() {
	p.t.Helper()
	p.click("[data-menu]")
	p.click("[data-units]")
	p.until(`document.querySelector('[data-units]') === null`)
}

// choose presses the button with these words, as click does.
func (p page) choose(words string) {
	p.t.Helper()
	button := fmt.Sprintf(`//button[normalize-space()=%q]`, words)
	p.do(chromedp.WaitVisible(button), chromedp.Evaluate[chromedp.Void](fmt.Sprintf(`(() => {
		document.querySelector('[data-chosen]')?.removeAttribute('data-chosen')
		document.evaluate(%q, document).iterateNext().setAttribute('data-chosen', '')
	})()`, button)))
	p.click("[data-chosen]")
}

// open unfolds a section by its title.
func (p page) open(title string) {
	p.t.Helper()
	p.do(chromedp.Click(fmt.Sprintf(`//summary[starts-with(normalize-space(), %q)]`, title)))
}

// count is how many parts of the page there are of a kind.
func (p page) count(selector string) int {
	p.t.Helper()
	n, err := look(p, chromedp.Evaluate[int](fmt.Sprintf(`document.querySelectorAll(%q).length`, selector)))
	if err != nil {
		p.t.Fatal(err)
	}
	return n
}

// pick chooses an option of a list by its words, once it is there.
func (p page) pick(list, words string) {
	p.t.Helper()
	p.pickIn("body", list, words)
}

// pickIn is pick in a part of the page.
func (p page) pickIn(part, list, words string) {
	p.t.Helper()
	js := fmt.Sprintf(`(() => {
		const list = document.querySelector('%s select[aria-label=%q]')
		const option = [...(list?.options ?? [])].find((o) => o.text === %q)
		if (!option) return false
		Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(list, option.value)
		list.dispatchEvent(new Event('change', { bubbles: true }))
		return true
	})()`, part, list, words)
	if err := p.comes(js); err != nil {
		p.t.Fatalf("no %q to choose in %q: %v\n%s", words, list, err, p.words())
	}
}

// fill replaces what a field holds, as a person does: the field by its path.
func (p page) fill(path, text string) {
	p.t.Helper()
	selector := chromedp.CSS(fmt.Sprintf(`[data-path=%q] input`, path))
	p.do(chromedp.Focus(selector), chromedp.Evaluate[chromedp.Void](`document.execCommand('selectAll')`),
		chromedp.SendKeys(selector, text))
}

// day types a day as its field takes it, such as 04dec2026; nothing empties it.
func (p page) day(path, typed string) {
	p.t.Helper()
	first := fmt.Sprintf(`[data-path=%q] [data-sectionindex="0"] [role="spinbutton"]`, path)
	p.do(chromedp.WaitVisible(chromedp.CSS(first)), chromedp.Click(chromedp.CSS(first)))
	p.do(chromedp.KeyEvent("a", chromedp.KeyModifiers(chromedp.ModifierCtrl)), chromedp.KeyEvent(kb.Backspace))
	if typed == "" {
		return
	}
	p.do(chromedp.KeyEvent(kb.ArrowLeft), chromedp.KeyEvent(kb.ArrowLeft), chromedp.KeyEvent(typed), chromedp.KeyEvent(kb.Tab))
}

// says waits until a part of the page holds each of these words.
func (p page) says(selector string, words ...string) {
	p.t.Helper()
	for _, w := range words {
		js := fmt.Sprintf(`(document.querySelector(%q)?.innerText ?? '').replace(/\s+/g, ' ').includes(%q)`, selector, w)
		if err := p.comes(js); err != nil {
			p.t.Fatalf("%s never says %q: %v\nit says:\n%s", selector, w, err, p.words())
		}
	}
}

// value is what a field holds.
func (p page) value(path string) string {
	p.t.Helper()
	v, err := look(p, chromedp.Value(chromedp.CSS(fmt.Sprintf(`[data-path=%q] input`, path))))
	if err != nil {
		p.t.Fatal(err)
	}
	return v
}

// neverNaN fails when the page shows a figure that is none.
func (p page) neverNaN() {
	p.t.Helper()
	for _, bad := range []string{"NaN", "undefined", "Infinity"} {
		if strings.Contains(p.words(), bad) {
			p.t.Errorf("the page says %s:\n%s", bad, p.words())
		}
	}
}
