package api

import (
	"context"
	"errors"
	"log/slog"
	"net/http"
	"strings"
	"time"

	"github.com/alexedwards/scs/v2"
	"github.com/google/uuid"

	"keeler/app"
	"keeler/store"
)

// signedInFor is how long a session lasts; it is renewed by signing in again only.
const signedInFor = 30 * 24 * time.Hour

// What a session holds beside what the store tells of it.
const (
	operationKey = "operation"
	epochKey     = "epoch"
)

// desks opens the desk of whoever is signed in.
type desks struct {
	app      *app.App
	sessions *scs.SessionManager
	log      *slog.Logger
	closing  <-chan struct{}
	streams  open
}

// newDesks keeps who is signed in at the server; the browser holds a random token
// in a cookie that no script can read and no other site sends along.
func newDesks(f Front) *desks {
	s := scs.New()
	s.Store, s.Lifetime, s.HashTokenInStore = f.App.Sessions(), signedInFor, true
	s.Cookie.Name, s.Cookie.HttpOnly, s.Cookie.SameSite, s.Cookie.Secure = f.cookie(), true, http.SameSiteLaxMode, f.Secure
	s.ErrorFunc = func(w http.ResponseWriter, _ *http.Request, err error) {
		f.Log.Error("session", "error", err)
		refuse(w, http.StatusServiceUnavailable, "This could not be done just now. Try again.")
	}
	return &desks{app: f.App, sessions: s, log: f.Log, closing: f.Closing}
}

// cookie is what it is called: over HTTPS in a way that no other site and no plain page
// can have set it.
func (f Front) cookie() string {
	name := "keeler-" + f.Port
	if f.Secure {
		name = "__Host-" + name
	}
	return name
}

// calculating are the operations that need nobody to be signed in, and no database.
var calculating = []string{"/api/dribble/", "/api/strip/", "/api/pad/", "/api/hive/", "/api/round/"}

// withSession loads the session where one is wanted, so that calculating goes on without.
func (d *desks) withSession(next http.Handler) http.Handler {
	loaded := d.sessions.LoadAndSave(next)
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		for _, free := range calculating {
			if strings.HasPrefix(r.URL.Path, free) {
				next.ServeHTTP(w, r)
				return
			}
		}
		if !strings.HasPrefix(r.URL.Path, "/api/") {
			next.ServeHTTP(w, r)
			return
		}
		if token, is := strings.CutPrefix(r.Header.Get("Authorization"), "Bearer "); is {
			next.ServeHTTP(w, r.WithContext(context.WithValue(r.Context(), tokenKey{}, token)))
			return
		}
		if isStream(r.URL.Path) { // what loads and saves would hold back every event
			d.listening(next, w, r)
			return
		}
		loaded.ServeHTTP(w, r)
	})
}

// listening loads the session and leaves it as it is.
func (d *desks) listening(next http.Handler, w http.ResponseWriter, r *http.Request) {
	token := ""
	if cookie, err := r.Cookie(d.sessions.Cookie.Name); err == nil {
		token = cookie.Value
	}
	ctx, err := d.sessions.Load(r.Context(), token)
	if err != nil {
		d.sessions.ErrorFunc(w, r, err)
		return
	}
	next.ServeHTTP(w, r.WithContext(ctx))
}

// enter begins a session under a new token.
func (d *desks) enter(ctx context.Context, m app.Member) error {
	if err := d.sessions.RenewToken(ctx); err != nil {
		return err
	}
	device, _ := ctx.Value(deviceKey{}).(string)
	d.sessions.Put(ctx, store.SessionID, uuid.NewString())
	d.sessions.Put(ctx, store.SessionDevice, device)
	d.sessions.Put(ctx, store.SessionUser, int64(m.User))
	d.sessions.Put(ctx, operationKey, int64(m.Operation))
	d.sessions.Put(ctx, epochKey, m.Epoch)
	return nil
}

// elsewhere is who is signed in, in another operation; what listens in this one ends.
func (d *desks) elsewhere(ctx context.Context, operation uint64) (app.Member, error) {
	m, err := d.member(ctx)
	if err != nil {
		return app.Member{}, err
	}
	if m.Script || operation == 0 {
		return app.Member{}, app.ErrForbidden
	}
	there, err := d.app.MemberOf(ctx, m.User, operation)
	if err == nil {
		d.streams.end(m.Session)
	}
	return there, err
}

// practise brings the person into a season of practice, or out of it.
func (d *desks) practise(ctx context.Context, to func(app.Desk) (app.Member, error)) (app.Member, error) {
	m, err := d.member(ctx)
	if err != nil {
		return app.Member{}, err
	}
	there, err := to(d.app.Desk(m))
	if err == nil {
		d.streams.end(m.Session)
	}
	return there, err
}

// leave ends the session, and what listens by it.
func (d *desks) leave(ctx context.Context) error {
	if _, script := ctx.Value(tokenKey{}).(string); script {
		return app.ErrForbidden
	}
	d.streams.end(d.sessions.GetString(ctx, store.SessionID))
	return d.sessions.Destroy(ctx)
}

var (
	errSignedOut = errors.New("nobody is signed in")
	// errAnother is for what a page asks for one person where another has signed in since.
	errAnother = errors.New("somebody else is signed in")
)

// member is who is signed in; errSignedOut when nobody is, or no longer.
func (d *desks) member(ctx context.Context) (app.Member, error) {
	if token, script := ctx.Value(tokenKey{}).(string); script {
		m, err := d.app.MemberByToken(ctx, token)
		if errors.Is(err, store.ErrNotFound) {
			err = errSignedOut
		}
		m.Address = cameFrom(ctx)
		return m, err
	}
	user := d.sessions.GetInt64(ctx, store.SessionUser)
	if user == 0 {
		return app.Member{}, errSignedOut
	}
	m, err := d.app.MemberOf(ctx, uint64(user), uint64(d.sessions.GetInt64(ctx, operationKey)))
	if errors.Is(err, store.ErrNotFound) || err == nil && m.Epoch != d.sessions.GetInt(ctx, epochKey) {
		return app.Member{}, errors.Join(errSignedOut, d.leave(ctx))
	}
	m.Session, m.Address = d.sessions.GetString(ctx, store.SessionID), cameFrom(ctx)
	return m, err
}

// tokenKey is where the token of a script stands.
type tokenKey struct{}

// forWhom is the header in which a page says for whom it asks.
const forWhom = "Keeler-Me"

// open opens the desk of whoever is signed in and may do so much.
func (d *desks) open(ctx context.Context, least app.Role) (app.Desk, error) {
	m, err := d.member(ctx)
	if err != nil {
		return app.Desk{}, err
	}
	if !m.Role.May(least) {
		return app.Desk{}, app.ErrForbidden
	}
	return d.app.Desk(m), nil
}

// How one is known, as the document names it.
const (
	session = "session"
	token   = "token"
)
