package store

import (
	"testing"
	"time"

	"github.com/alexedwards/scs/v2"
)

// A session is found until it runs out or is ended; another write keeps when it was begun,
// and what is no session of anybody is not kept.
func TestSessionsAreKept(t *testing.T) {
	s := open(t).Sessions()
	data := func(id string, user any) []byte {
		t.Helper()
		raw, err := scs.GobCodec{}.Encode(time.Now(), map[string]any{SessionID: id, SessionUser: user, SessionDevice: "a phone"})
		if err != nil {
			t.Fatal(err)
		}
		return raw
	}
	const one = "6f1f1c5e-3f52-4c7b-8a51-6f0e2b7c9d01"
	mine := data(one, int64(someone))
	for _, until := range []time.Time{time.Now().Add(time.Hour), time.Now().Add(2 * time.Hour)} {
		if err := s.CommitCtx(t.Context(), "t1", mine, until); err != nil {
			t.Fatal(err)
		}
	}
	if err := s.CommitCtx(t.Context(), "old", data("6f1f1c5e-3f52-4c7b-8a51-6f0e2b7c9d02", int64(someone)), time.Now().Add(-time.Second)); err != nil {
		t.Fatal(err)
	}
	for token, want := range map[string]bool{"t1": true, "old": false, "none": false} {
		if got, found, err := s.FindCtx(t.Context(), token); found != want || err != nil || want && string(got) != string(mine) {
			t.Errorf("%s: %v %v", token, found, err)
		}
	}
	people := People(s)
	list, err := people.SessionsOf(t.Context(), someone)
	if err != nil || len(list) != 1 || list[0].ID != one || list[0].Device != "a phone" {
		t.Errorf("%+v %v", list, err)
	}
	for what, bad := range map[string][]byte{"no id": data("", int64(someone)), "nobody": data(one, int64(0)), "no user": data(one, "x"), "rubbish": []byte("x"), "nothing": nil} {
		if err := s.CommitCtx(t.Context(), what, bad, time.Now().Add(time.Hour)); err == nil {
			t.Errorf("%s is kept", what)
		}
	}
	if err := people.EndSession(t.Context(), someone, one); err != nil {
		t.Error(err)
	}
	if _, found, err := s.FindCtx(t.Context(), "t1"); found || err != nil {
		t.Errorf("ended, it is found: %v", err)
	}
}

// Whatever stands in a session's data, it is read or refused.
func FuzzSessionOf(f *testing.F) {
	whole, err := scs.GobCodec{}.Encode(time.Now(), map[string]any{SessionID: "x", SessionUser: int64(1)})
	if err != nil {
		f.Fatal(err)
	}
	f.Add(whole)
	f.Add(whole[:len(whole)/2])
	f.Add([]byte{})
	f.Fuzz(func(t *testing.T, data []byte) {
		if row, err := sessionOf(data); err == nil && (row.ID == "" || row.UserID == nil || *row.UserID == 0) {
			t.Errorf("%+v is somebody's", row)
		}
	})
}
