// Package push sends reminders to browsers by way of their push services (RFC 8030): encrypted
// for each browser (RFC 8291), and signed with the server's own key (VAPID, RFC 8292).
package push

import (
	"context"
	"fmt"
	"net/http"
	"time"

	"github.com/SherClockHolmes/webpush-go"

	"keeler/app"
)

// Patience is how long a push service may take.
const Patience = 5 * time.Second

// keeps is for how many seconds a service keeps what it cannot deliver: a reminder of yesterday
// is none.
const keeps = 12 * 60 * 60

// NewKeys makes a pair of keys for a server.
func NewKeys() (public, private string, err error) {
	private, public, err = webpush.GenerateVAPIDKeys()
	return public, private, err
}

// Service speaks to push services with one pair of keys.
type Service struct {
	public, private string
	from            string // how who runs a push service reaches who runs this server
	http            *http.Client
}

// New makes one; by is whom it asks with.
func New(public, private, from string, by *http.Client) *Service {
	return &Service{public, private, from, by}
}

// Key is what browsers are told to expect reminders by.
func (s *Service) Key() string { return s.public }

// Push sends a message to a browser. app.ErrGone: it takes none any more.
func (s *Service) Push(ctx context.Context, to app.Browser, message []byte) error {
	answer, err := webpush.SendNotificationWithContext(ctx, message,
		&webpush.Subscription{Endpoint: to.Endpoint, Keys: webpush.Keys{P256dh: to.P256dh, Auth: to.Auth}},
		&webpush.Options{
			HTTPClient: s.http, Subscriber: s.from, TTL: keeps, Urgency: webpush.UrgencyNormal,
			VAPIDPublicKey: s.public, VAPIDPrivateKey: s.private,
		})
	if err != nil {
		return err
	}
	defer func() { _ = answer.Body.Close() }()
	switch answer.StatusCode {
	case http.StatusNotFound, http.StatusGone:
		return app.ErrGone
	case http.StatusOK, http.StatusCreated, http.StatusAccepted, http.StatusNoContent:
		return nil
	}
	return fmt.Errorf("push: %s", answer.Status)
}
