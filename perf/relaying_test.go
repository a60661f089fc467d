package perf

import (
	"context"
	"fmt"
	"io"
	"net"
	"slices"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/google/uuid"

	"keeler/core/method/dribble"
	"keeler/core/mixing"
	"keeler/e2e/browser"
	"keeler/wire"
)

const (
	listeners    = 20
	readingEvery = 50 * time.Millisecond
	readingsSent = 200
	onScreen     = 100 * time.Millisecond
)

// ticking is a balance that shows another weight with each reading, and remembers
// when it sent it.
type ticking struct {
	net.Listener
	begin chan struct{}
	sent  []time.Time
}

func newTicking() (*ticking, error) {
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	return &ticking{Listener: listener, begin: make(chan struct{})}, err
}

// speak shows nothing until it begins, then counts up.
func (b *ticking) speak() {
	conn, err := b.Accept()
	if err != nil {
		return
	}
	defer func() { _ = conn.Close() }()
	_, _ = fmt.Fprintln(conn, "KEELER 1 balance 1 20000")
	beat := time.NewTicker(readingEvery)
	defer beat.Stop()
	counting := false
	for range beat.C {
		select {
		case <-b.begin:
			counting = true
		default:
		}
		if counting && len(b.sent) == readingsSent {
			return
		}
		if counting {
			b.sent = append(b.sent, time.Now())
		}
		if _, err := fmt.Fprintf(conn, "S %d g\n", len(b.sent)); err != nil {
			return
		}
	}
}

// watched writes down when each figure is drawn.
const watched = `(() => {
	window.drawn = {}
	const figure = document.querySelector('[data-reading]')
	new MutationObserver(() => {
		const n = figure.innerText.replace(',', '')
		requestAnimationFrame(() => (window.drawn[n] ??= performance.timeOrigin + performance.now()))
	}).observe(figure, { characterData: true, childList: true, subtree: true })
})()`

// relaying measures from a balance that sends a reading to the figure on the
// screen, with 20 who listen.
func relaying() ([]figure, error) {
	balance, err := newTicking()
	if err != nil {
		return nil, err
	}
	defer func() { _ = balance.Close() }()
	spoken := make(chan struct{})
	go func() { defer close(spoken); balance.speak() }()
	c, err := newCrew(balance.Addr().String())
	if err != nil {
		return nil, err
	}
	defer func() { _ = c.Down() }()
	id := uuid.NewString()
	err = c.post("/api/batches", wire.SaveBatch{ID: id, Name: "Bench", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "protocol", Protocol: "mild"}, Size: wire.Size{By: "volume", Volume: 9000},
	}}}})
	if err != nil {
		return nil, err
	}
	bench := "/api/batches/" + id + "/bench"
	if err := c.post(bench, wire.BeginBench{Balances: []wire.BenchBalance{{Name: "one", Balance: mixing.Balance{Division: 1}}}}); err != nil {
		return nil, err
	}
	if err := c.post(bench+"/events", wire.BenchEvent{ID: uuid.NewString(), Kind: "opened", Act: "sugar"}); err != nil {
		return nil, err
	}
	for range listeners - 1 {
		response, err := c.client.Get(c.URL + "/api/stream?readings=true&at=" + id)
		if err != nil {
			return nil, err
		}
		defer func() { _ = response.Body.Close() }()
		go func() { _, _ = io.Copy(io.Discard, response.Body) }()
	}
	drawn, err := c.watch(id, balance, spoken)
	if err != nil {
		return nil, err
	}
	var took []time.Duration
	for i, at := range balance.sent {
		if ms, seen := drawn[fmt.Sprint(i+1)]; seen {
			took = append(took, time.UnixMicro(int64(ms*1000)).Sub(at))
		}
	}
	if len(took) < readingsSent*9/10 {
		return nil, fmt.Errorf("only %d of %d readings were drawn", len(took), readingsSent)
	}
	slices.Sort(took)
	p95 := took[len(took)*95/100]
	return []figure{{
		name:  fmt.Sprintf("balance to screen, p95, %d listening", listeners),
		value: p95.Round(time.Millisecond / 10).String(), limit: "under " + onScreen.String(), kept: p95 < onScreen,
	}}, nil
}

// watch opens the bench in a browser, lets the balance count, and gives when each
// figure was drawn, in ms.
func (c crew) watch(id string, balance *ticking, spoken <-chan struct{}) (map[string]float64, error) {
	limited, cancel := context.WithTimeout(context.Background(), time.Minute)
	defer cancel()
	ctx, end := browser.New(limited)
	defer end()
	err := chromedp.Do(ctx, browser.Desk, chromedp.Navigate(c.URL+"/yards"), chromedp.Evaluate[chromedp.Void](signIn, chromedp.EvalAwaitPromise),
		chromedp.Navigate(c.URL+"/bench/"+id),
		chromedp.WaitVisible(chromedp.CSS("[data-reading]")), chromedp.Evaluate[chromedp.Void](watched))
	if err != nil {
		return nil, err
	}
	close(balance.begin)
	<-spoken
	return chromedp.Run(ctx, chromedp.Evaluate[map[string]float64]("window.drawn"))
}
