package e2e

import (
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/pquerna/otp/totp"

	"keeler/e2e/browser"
)

// One's own account: a second factor is set up by its picture or its letters and then asked
// for; another device is signed out; a script gets a token; and the owner reads what
// happened.
func TestOnesOwnAccount(t *testing.T) {
	s := up(t, false)
	ownerOf(t, s)
	p := open(t, s.URL+"/people", browser.Desk)
	p.signIn("Owner")
	p.says(`[data-session="here"]`, "here")
	p.click(`[data-session="elsewhere"] button`)
	p.until(`document.querySelector('[data-session="elsewhere"]') === null`)
	p.open("Second factor: off")
	p.choose("Set it up")
	code, err := totp.GenerateCode(p.text("[data-secret]"), time.Now())
	if err != nil {
		t.Fatal(err)
	}
	p.fill("code", code)
	p.choose("Turn on")
	p.says("[data-second-factor]", "Second factor: on, 10 recovery codes left", "Write these down now")
	recovery := p.text("[data-recovery]")[:14]
	p.open("Tokens for scripts")
	p.fill("name", "Backup")
	p.choose("Make token")
	p.says("[data-token]", "keeler_")
	p.says("[data-tokens]", "Backup", "until")
	p.open("Log: sign-ins")
	p.says("[data-log]", "Owner signed in", "turned the second factor on", "made a token for scripts: Backup", "127.0.0.1")
	p.click("[data-sign-out]")
	p.says("main", "Sign in")
	p.do(chromedp.SendKeys(chromedp.CSS(`input[autocomplete="username"]`), "Owner"),
		chromedp.SendKeys(chromedp.CSS(`input[autocomplete="current-password"]`), secret+"\r"))
	p.says(`[data-path="code"]`, "Type the six digits")
	p.fill("code", "000000\r")
	p.says(`[data-path="code"]`, "This code is wrong")
	p.fill("code", recovery+"\r")
	p.says("main", "People of Quay")
}
