package e2e

import (
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"

	"keeler/e2e/browser"
	"keeler/sim/pushes"

	"github.com/chromedp/chromedp"
)

// subscribes makes a browser without a push service subscribe at the stand-in.
const subscribes = `(() => {
	Object.defineProperty(Notification, 'permission', { get: () => 'granted' })
	Notification.requestPermission = async () => 'granted'
	let made = null
	PushManager.prototype.getSubscription = async () => made
	PushManager.prototype.subscribe = async (how) => (made = {
		endpoint: %q, expectsBy: how.applicationServerKey,
		toJSON: () => ({ endpoint: %q, keys: { p256dh: %q, auth: %q } }),
		unsubscribe: async () => { made = null },
	})
})()`

// A browser is reminded by way of its push service: what there is to do comes to the stand-in,
// encrypted for that browser; a service that no longer knows it says so at its place.
func TestReminderToAPushService(t *testing.T) {
	standIn, err := pushes.New()
	if err != nil {
		t.Fatal(err)
	}
	service := httptest.NewServer(standIn)
	defer service.Close()
	p256dh, auth := standIn.Keys()
	s := up(t, true)
	p := entered(t, s.URL+"/calendar", browser.Phone)
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-reminders]")),
		chromedp.Evaluate[chromedp.Void](fmt.Sprintf(subscribes, service.URL+"/phone", service.URL+"/phone", p256dh, auth)))
	// The page asked for permission before it was given: it is drawn anew.
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('a[href="/"]').click()`))
	p.says("h1", "Friday 4 December")
	p.do(chromedp.Evaluate[chromedp.Void]("history.back()"))
	p.click("[data-remind]")
	p.until(`document.querySelector('[data-reminders="on"]') !== null`)
	p.click("[data-try-reminder]")
	p.says("[data-reminders]", "Sent.")
	if got := standIn.Messages(); len(got) != 1 || !strings.Contains(got[0], "late") || !strings.Contains(got[0], "Take the strips out, Kiln Lane") {
		t.Errorf("came as %q", got)
	}
	standIn.Answer(http.StatusInternalServerError)
	p.click("[data-try-reminder]")
	p.says("[data-reminders]", "Nothing answers at this address")
	standIn.Answer(http.StatusGone)
	p.click("[data-try-reminder]")
	p.says("[data-reminders]", "no longer knows this browser: turn reminders off and on again")
}
