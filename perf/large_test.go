package perf

import (
	"errors"
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"
)

func BenchmarkLarge(b *testing.B) { report(b, large) }

const (
	largeYards, largeColonies = 100, 5000
	tenth                     = 10 // of it an operation as Keeler is made for
	slowerLarge               = 2.0
	noWait                    = 50 * time.Millisecond // nobody waits for less
)

// planned is a job in every yard, for all of its hives.
var planned = []string{
	`INSERT INTO jobs (operation_id, id, name, method, protocol, rule_kind, rule_words, people, user_id, created_at, ended_how)
	SELECT 1, id, CONCAT('Round of ', name), 'dribble', 'winter', 'own', 'permit', 1, 1, '2026-12-01', '' FROM yards`,
	`INSERT INTO job_colonies (operation_id, job_id, position, colony_id, day, verdict, reasons, override_reason)
	SELECT 1, yard_id, position, id, '2026-12-06', 'fits', '', '' FROM colonies`,
	"ANALYZE TABLE jobs, job_colonies",
}

// shownFirst is what a screen or a file has to have before anything of it is seen.
var shownFirst = []struct{ name, path string }{
	{"today", "/api/today?first=true"}, {"check", "/api/check?first=true"}, {"decide", "/api/decide?people=3&first=true"},
	{"medicine record", "/api/record?first=true"}, {"jobs", "/api/jobs?archived=true&first=true"}, {"yards", "/api/yards"}, {"register", "/api/register"},
	{"colonies as CSV", "/api/export/colonies"}, {"record as CSV", "/api/export/record"}, {"register as CSV", "/api/export/register"},
	{"archive", "/api/export/archive"},
}

// begun is how long it takes until a screen has its answer, or a file its first byte.
func (c crew) begun(path string) (time.Duration, error) {
	if !strings.Contains(path, "/export/") {
		return c.answered(path)
	}
	since := time.Now()
	response, err := c.client.Get(c.URL + path)
	if err != nil {
		return 0, err
	}
	_, err = response.Body.Read(make([]byte, 1))
	took := time.Since(since)
	_ = response.Body.Close() // the rest is not waited for
	if err == nil && response.StatusCode != http.StatusOK {
		err = fmt.Errorf("%s: %s", path, response.Status)
	}
	return took, err
}

// large holds what is shown first of a large operation against the same of one a tenth of it.
func large() ([]figure, error) {
	one, err := laden(largeYards/tenth, largeColonies/tenth)
	if err != nil {
		return nil, err
	}
	defer func() { _ = one.Down() }()
	ten, err := laden(largeYards, largeColonies)
	if err != nil {
		return nil, err
	}
	defer func() { _ = ten.Down() }()
	if err := errors.Join(one.exec(planned...), ten.exec(planned...)); err != nil {
		return nil, err
	}
	var out []figure
	for _, of := range shownFirst {
		least := [2]time.Duration{time.Hour, time.Hour}
		for range 5 { // in turn, so that what slows the machine slows both
			for i, c := range []crew{one, ten} {
				took, err := c.begun(of.path)
				if err != nil {
					return nil, err
				}
				least[i] = min(least[i], took)
			}
		}
		ratio := float64(least[1]) / float64(least[0])
		out = append(out, figure{
			fmt.Sprintf("%s, %d colonies, shown first", of.name, largeColonies),
			fmt.Sprintf("%v, %.1f times", least[1].Round(time.Millisecond), ratio), fmt.Sprintf("under %.0f times that of %d, or %v", slowerLarge, largeColonies/tenth, noWait), ratio < slowerLarge || least[1] < noWait,
		})
	}
	return out, nil
}
