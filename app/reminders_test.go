package app

import (
	"context"
	"encoding/json"
	"errors"
	"testing"

	"keeler/core/fault"
	"keeler/wire"
)

// pushed keeps what is sent, and fails as it is told to.
type pushed struct {
	messages []wire.Reminder
	fails    error
}

func (p *pushed) Key() string { return "key" }

func (p *pushed) Push(_ context.Context, _ Browser, message []byte) error {
	if p.fails != nil {
		return p.fails
	}
	var m wire.Reminder
	err := json.Unmarshal(message, &m)
	p.messages = append(p.messages, m)
	return err
}

// A browser as RFC 8291 has it in its example.
var browser = wire.RemindMe{
	Endpoint: "https://push.example/one",
	P256dh:   "BCVxsr7N_eNgVRqvHtD0zTZsEc6-VV-JvLexhqUzORcxaOzi6-AYWXvTBHm4bjyPjs7Vd8pZGH6SRpkNtoIAiw4", Auth: "BTBZMqHH6r4Tts7J_aSIgg",
}

// One is reminded of a day once, in the morning and when there is something to do. A service that
// fails is tried again; a browser that is gone is forgotten.
func TestReminders(t *testing.T) {
	v := goOut(t, "winter")
	p := &pushed{}
	v.d.app.set.Pusher = p
	d := v.d
	enrolled(t, d)
	one := wire.Reminded{Endpoint: browser.Endpoint}
	at(t, "a browser that nobody keeps", d.TryReminder(t.Context(), one), "endpoint", fault.Unknown)
	for range 2 { // turned on twice, it is one
		if err := d.RemindMe(t.Context(), browser); err != nil {
			t.Fatal(err)
		}
	}
	all := func() int {
		t.Helper()
		if err := d.app.RemindAll(t.Context()); err != nil && p.fails == nil {
			t.Fatal(err)
		}
		return len(p.messages)
	}
	p.fails = errors.New("no answer")
	if err := d.app.RemindAll(t.Context()); err == nil {
		t.Error("nobody tells that it failed")
	}
	at(t, "no answer", d.TryReminder(t.Context(), one), "endpoint", fault.NoAnswer)
	p.fails = nil
	for range 2 {
		if n := all(); n != 1 {
			t.Fatalf("reminded %d times of a day", n)
		}
	}
	if got := p.messages[0]; got.Title == "" || got.Body == "" || got.URL != "/" {
		t.Errorf("got %+v", got)
	}
	p.fails = ErrGone
	at(t, "gone", d.TryReminder(t.Context(), one), "endpoint", fault.Gone)
	p.fails = nil
	at(t, "forgotten", d.TryReminder(t.Context(), one), "endpoint", fault.Unknown)
}

func TestBrowsersThatCannotBe(t *testing.T) {
	d := own(t, Settings{})
	for field, change := range map[string]func(*wire.RemindMe){
		"endpoint": func(b *wire.RemindMe) { b.Endpoint = "push" },
		"p256dh":   func(b *wire.RemindMe) { b.P256dh = "BCVx" },
		"auth":     func(b *wire.RemindMe) { b.Auth = "not base64!" },
	} {
		b := browser
		change(&b)
		reason := fault.Unknown
		if field == "endpoint" {
			reason = fault.NoAddress
		}
		at(t, field, d.RemindMe(t.Context(), b), field, reason)
	}
}
