package e2e

import (
	"context"
	"flag"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
	"keeler/e2e/stand"
)

type view struct {
	name string
	size browser.Action
	path string
	wait string // a selector that is there when the view is whole
	// member: it is for the demo's keeper only.
	member bool
	do     []browser.Action
}

func click(selector string) browser.Action { return chromedp.Click(chromedp.CSS(selector)) }

func typed(selector, text string) browser.Action {
	return chromedp.SendKeys(chromedp.CSS(selector), text)
}

func shown(selector string) browser.Action { return chromedp.WaitVisible(chromedp.CSS(selector)) }

func script(js string) browser.Action {
	return chromedp.Evaluate[chromedp.Void](js, chromedp.EvalAwaitPromise)
}

// Where the demo keeps what is shown.
const (
	r3 = "5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e2003"
)

const saltmarshHut = "/yards/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1002"

const saltmarsh = `[data-decide-yard="Saltmarsh Hut"] `

var views = []view{
	{name: "today-desk", size: browser.Desk, path: "/", wait: "[data-band]", member: true},
	{name: "today-phone", size: browser.Phone, path: "/", wait: "[data-band]", member: true},
	{name: "mix-desk", size: browser.Desk, path: "/mix", wait: "[data-dose]"},
	{name: "strip-desk", size: browser.Desk, path: "/mix", wait: "[data-dose]", do: []browser.Action{
		click(`[data-choose="strip"]`), shown("[data-strips]"),
	}},
	{name: "pad-desk", size: browser.Desk, path: "/mix", wait: "[data-dose]", do: []browser.Action{
		click(`[data-choose="pad"]`), shown("[data-given]"),
	}},
	{name: "decide-desk", size: browser.Desk, path: "/decide", wait: "main:not(:has([data-foreseeing])) [data-tick-all]", member: true, do: []browser.Action{
		script(`document.querySelector('[data-jobs]').scrollIntoView()`), shown(saltmarsh + "[data-tick-all]"),
		click(saltmarsh + "[data-tick-all]"), shown("[data-shares] li"), click(saltmarsh + `[data-row="S7"] [data-cell="dribble"]`),
		script(`document.querySelector('[data-decide-yard="Saltmarsh Hut"]').scrollIntoView()`),
	}},
	{name: "yard-desk", size: browser.Desk, path: ropewalk, wait: "figure svg", member: true},
	{name: "colony-desk", size: browser.Desk, path: "/colonies/" + r3, wait: "[data-fan]", member: true, do: []browser.Action{
		click("[data-plan-year]"), click("[data-offer]"), click(`[data-offer-of="Twice a year"] button`), click(`[data-offer-of="Three times a year"] button`),
		shown(`[data-plan="Plan B"] [data-visits]`), shown(`[data-fan="Plan B"]`), script(`document.querySelector("[data-ahead]").scrollIntoView()`),
	}},
	{name: "inspect-phone", size: browser.Phone, path: ropewalk + "/inspect", wait: "[data-keep-inspection]", member: true},
	{name: "bench-desk", size: browser.Desk, path: "/mix", member: true, wait: "[data-dose]", do: append(onBench("dribble", "sugar"),
		click("[data-pour]"), shown(`[data-state="stable"][data-place="in"]`), click("[data-primary]"), shown("[data-taken]"),
		click("[data-primary]"), shown(`[data-step="gear"]`), click("[data-primary]"),
		shown(`[data-step="water_test"]`), click("[data-third]"), shown(`[data-step="hot_water"]`),
		click("[data-pour]"), shown(`[data-state="stable"][data-place="in"]`), click("[data-primary]"), shown("[data-taken]"),
		click("[data-primary]"), shown(`[data-step="heat_water"]`), click("[data-third]"), shown(`[data-step="acid"]`),
		click("[data-pour]"), shown(`[data-state="stable"][data-place="in"]`),
	)},
	{name: "bench-mend", size: browser.Desk, path: "/mix", member: true, wait: "[data-dose]", do: append(onBench("dribble", "sugar"),
		typed(`[data-path="grams"] input`, "160.4\r"), shown("[data-taken]"), click("[data-primary]"), shown(`[data-step="gear"]`),
		click("[data-primary]"), shown(`[data-step="water_test"]`), click("[data-third]"), shown(`[data-step="hot_water"]`), typed(`[data-path="grams"] input`, "53.5\r"), shown("[data-taken]"),
		click("[data-primary]"), shown(`[data-step="heat_water"]`), click("[data-third]"), shown(`[data-step="acid"]`),
		typed(`[data-path="grams"] input`, "11.2\r"), shown("[data-mend]"), browser.Phone, script("scrollTo(0, 0)"),
	)},
	{name: "round-phone", size: browser.Desk, path: "/mix", member: true, wait: "[data-dose]", do: []browser.Action{
		click("[data-save]"), shown("[data-saved]"), click(`header a[href="/treat"]`), shown("[data-go-round]"), browser.Phone,
		click("[data-go-round]"), shown("[data-given]"), mixed, click("[data-by-hand]"), click("[data-given]:enabled"),
		shown(`[data-signal="sent"][data-waiting="0"]`), shown("[data-ready]"), shown(`[data-colony-open] [data-dose]`),
	}},
	{name: "register-desk", size: browser.Desk, path: "/treat", wait: "[data-go-round]", member: true, do: []browser.Action{
		click("[data-go-round]"), shown("[data-given]"), click("[data-given]"), shown("[data-just-done]"), click("[data-other]"),
		click(`[data-reason="dead"]`), script(`const now = Date.now; Date.now = () => now() + 1100`), click("[data-dead-keep]"), shown(`[data-signal="sent"][data-waiting="0"]`), click(`header a[href="/book"]`), shown(`main a[href="/register"]`), click(`main a[href="/register"]`), shown("[data-line-of]"), shown("[data-day-field]"),
	}},
	{name: "record-desk", size: browser.Desk, path: "/record", wait: "[data-lines]", member: true},
	{name: "check-desk", size: browser.Desk, path: "/check", wait: "[data-job]", member: true},
	{name: "job-check-desk", size: browser.Desk, path: "/check/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9101", wait: "[data-falls]", member: true},
	{name: "compare-desk", size: browser.Desk, path: "/compare?by=groups&comparison=5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e9201", wait: "[data-pairs]", member: true},
	{name: "boards-phone", size: browser.Phone, path: saltmarshHut + "/boards", wait: "[data-board]", member: true, do: []browser.Action{
		typed(`[data-path="mites"] input`, "27"), click("[data-save-board]"), shown(`[data-board="S2"]`), click("[data-full-board]"),
		typed(`[data-path="mites"] input`, "41"), typed(`[data-path="squares"] input`, "48"), typed(`[data-path="counted"] input`, "12"), shown("[data-scaled]"),
	}},
	{name: "label-desk", size: browser.Desk, path: "/batches/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0004/label", wait: "[data-label]", member: true},
}

// mixed chooses the newest batch that was not at the bench.
var mixed = script(`(() => {
	const jar = document.querySelector('[data-jar] select')
	Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(jar, [...jar.options].find((o) => o.text.includes('not mixed at the bench')).value)
	jar.dispatchEvent(new Event('change', { bubbles: true }))
})()`)

// onBench keeps a method's draft and goes on to a step of its bench.
func onBench(method, step string) []browser.Action {
	return []browser.Action{
		click(`[data-choose="` + method + `"]`), shown("[data-dose]"), click("[data-save]"), click("[data-to-bench]"),
		shown("[data-begin]"), typed(`[data-path="vessel_ml"] input`, "500"), click("[data-begin-yes]"),
		shown(`[data-step="` + step + `"] [data-reading]`),
	}
}

// Where the pictures go; without it none are taken.
var shots = flag.String("shots", "", "folder for the pictures of docs/screenshots")

// TestShots takes a picture of each main view of a fresh demo: make shots.
func TestShots(t *testing.T) {
	if *shots == "" {
		t.Skip("no folder for pictures: see make shots")
	}
	s, err := stand.Up(t.Context(), true)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = s.Down() }()
	for _, v := range views {
		t.Run(v.name, func(t *testing.T) {
			picture, err := v.shoot(t.Context(), s.URL)
			if err != nil {
				t.Fatal(err)
			}
			if err := os.WriteFile(filepath.Join(*shots, v.name+".png"), picture, 0o644); err != nil {
				t.Fatal(err)
			}
		})
	}
}

func (v view) shoot(ctx context.Context, url string) ([]byte, error) {
	ctx, cancel := context.WithTimeout(ctx, time.Minute)
	defer cancel()
	ctx, end := browser.New(ctx)
	defer end()
	steps := []browser.Action{v.size}
	if v.member {
		steps = append(steps, chromedp.Navigate(url+"/yards"), click("[data-demo]"), shown("[data-yard]"))
	}
	steps = append(steps, chromedp.Navigate(url+v.path), shown(v.wait))
	steps = append(steps, v.do...)
	steps = append(steps, script(`document.fonts.ready
		.then(() => Promise.all(document.getAnimations().filter((a) => a instanceof CSSTransition).map((a) => a.finished)))
		.then(() => undefined)`))
	if err := chromedp.Do(ctx, steps...); err != nil {
		return nil, err
	}
	return chromedp.Run(ctx, chromedp.CaptureScreenshot())
}
