package store

import (
	"testing"
	"time"
)

// The log is read from its end, page by page, and forgets after 400 days.
func TestLogPagesAndForgets(t *testing.T) {
	o := operation(t, open(t))
	for i, days := range []int{0, 1, 2, 3} {
		e := LogEntry{At: noon.AddDate(0, 0, days), What: "signed_in", Login: string(rune('a' + i))}
		if err := o.Log(t.Context(), e); err != nil {
			t.Fatal(err)
		}
	}
	logins := func(before uint64, most int) (out string, last uint64) {
		t.Helper()
		rows, err := o.LogBefore(t.Context(), before, most)
		if err != nil {
			t.Fatal(err)
		}
		for _, r := range rows {
			out, last = out+r.Login, r.Seq
		}
		return out, last
	}
	first, last := logins(0, 3)
	if rest, _ := logins(last, 3); first != "dcb" || rest != "a" {
		t.Errorf("the pages are %s and %s", first, rest)
	}
	if err := o.Log(t.Context(), LogEntry{At: noon.Add(logLasts + 36*time.Hour), What: "refused", Login: "e"}); err != nil {
		t.Fatal(err)
	}
	if all, _ := logins(0, 10); all != "edc" {
		t.Errorf("it remembers %s", all)
	}
}
