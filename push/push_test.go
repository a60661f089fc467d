package push

import (
	"errors"
	"net/http"
	"net/http/httptest"
	"testing"

	"keeler/app"
	"keeler/outside"
	"keeler/sim/pushes"
)

// What is sent is read by an independent reader, which checks who sent it; a browser that is gone
// is told apart from a service that fails, or that is not there.
func TestPush(t *testing.T) {
	standIn, err := pushes.New()
	if err != nil {
		t.Fatal(err)
	}
	s := httptest.NewServer(standIn)
	defer s.Close()
	public, private, err := NewKeys()
	if err != nil {
		t.Fatal(err)
	}
	service := New(public, private, "https://keeler.example", outside.Client(Patience, true))
	to := app.Browser{Endpoint: s.URL + "/browser"}
	to.P256dh, to.Auth = standIn.Keys()
	if err := service.Push(t.Context(), to, []byte("two things to do")); err != nil {
		t.Fatal(err)
	}
	if got := standIn.Messages(); len(got) != 1 || got[0] != "two things to do" {
		t.Errorf("came as %q", got)
	}
	for status, gone := range map[int]bool{http.StatusGone: true, http.StatusNotFound: true, http.StatusInternalServerError: false, http.StatusTooManyRequests: false} {
		standIn.Answer(status)
		if err := service.Push(t.Context(), to, []byte("x")); err == nil || errors.Is(err, app.ErrGone) != gone {
			t.Errorf("%d: %v", status, err)
		}
	}
	s.Close()
	if err := service.Push(t.Context(), to, []byte("x")); err == nil || errors.Is(err, app.ErrGone) {
		t.Errorf("nobody there: %v", err)
	}
	if err := New(public, private, "x", outside.Client(Patience, false)).Push(t.Context(), to, []byte("x")); !errors.Is(err, app.ErrInside) {
		t.Errorf("into the server's own network: %v", err)
	}
}
