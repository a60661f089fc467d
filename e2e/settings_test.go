package e2e

import (
	"bytes"
	"fmt"
	"net/http"
	"os"
	"path/filepath"
	"testing"
	"time"

	"keeler/e2e/browser"
	"keeler/store"
	"keeler/store/mariadbd"

	"github.com/chromedp/chromedp"
)

// One's own units, hours and dates reach every page and stay at the server; the operation's
// are an owner's. Two windows that change them are told of each other, and nothing is lost.
func TestSettings(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/settings", browser.Desk)
	p.says("[data-sample]", "Fri, 4 Dec 2026, 08:30 · 8 °C")
	for _, chosen := range []string{"us", "12h", "month_day"} {
		p.click(`[data-own] button[value="` + chosen + `"]`)
		p.until(`document.querySelector('[data-own] button[value="` + chosen + `"]').getAttribute('aria-pressed') === 'true'`)
	}
	p.says("[data-sample]", "Fri, Dec 4, 2026, 8:30 am · 46 °F")
	p.do(chromedp.Navigate(s.URL + "/decide"))
	p.says(`[data-decide-yard="Ropewalk"]`, "°F", "8 am–")
	p.says("header", "Dec 4, 2026")

	o := ownerOf(t, s)
	settings := read[map[string]any](o, "/api/settings")
	p.do(chromedp.Navigate(s.URL + "/settings"))
	p.fill("currency", "£")
	settings["version"] = settings["version"].(float64) + 1
	settings["currency"] = "$"
	delete(settings, "own")
	delete(settings, "forecasts")
	o.send(http.MethodPut, "/api/settings", settings)
	p.click(`[data-save-form="settings"]`)
	p.says("[data-stale]", "Somebody else changed these settings in the meantime", "Set now", "$")
	p.do(chromedp.Reload())
	if got := p.value("currency"); got != "£" {
		t.Errorf("what was typed became %q", got)
	}
	p.click(`[data-save-form="settings"]`)
	p.says("[data-operation-settings]", "Saved.")
	if now := read[map[string]any](o, "/api/settings"); now["currency"] != "£" {
		t.Errorf("saved: %v", now)
	}

	// A service that tells something else is told of at its field, before anything is saved.
	p.fill("forecast", s.URL)
	p.click("[data-try-forecast]")
	p.says(`[data-path="forecast"]`, "not with a forecast Keeler can read")
	p.fill("forecast", "weather")
	p.click("[data-try-forecast]")
	p.says(`[data-path="forecast"]`, "Type the whole address")
}

// A jar of one's own size is described once, filled on Mix by its picture, and picked at the
// bench; balances left in the house are not weighed with.
func TestJarsOfOnesOwn(t *testing.T) {
	s := up(t, true)
	p := entered(t, s.URL+"/settings", browser.Desk)
	p.click(`[data-add-vessel="473"]`)
	p.fill("vessels[4].ml", "4")
	p.choose("Save jars, bottles and pots")
	p.says(`[data-path="vessels[4].ml"]`, "Use 20 to 100,000 mL")
	p.do(chromedp.Reload())
	p.fill("vessels[4].ml", "473")
	p.choose("Save jars, bottles and pots")
	p.says("[data-vessels]", "Saved")
	p.do(chromedp.Navigate(s.URL + "/mix"))
	p.click(`button[value="volume"]`)
	p.click(`[data-vessel="US pint jar"]`)
	p.says("[data-docket]", "Weigh for 473 mL")
	p.click("[data-save]")
	p.click("[data-to-bench]")
	p.says("[data-begin]", "fine balance")
	p.click(`[data-balance="fine balance"]`)
	p.until(`!document.querySelector('[data-begin] ul').innerText.includes('fine balance') && document.querySelector('[data-balance="kitchen balance"]').disabled`)
	p.click(`[data-vessel="stock pot"]`)
	if got := p.value("vessel_ml"); got != "5000" {
		t.Errorf("the pot holds %q mL", got)
	}
}

// Everything of an operation is taken into an empty one by its file, and a file that is not one
// is told; into one that is not empty none is taken.
func TestEverythingInOneFile(t *testing.T) {
	s := up(t, false)
	dsn, err := database.Database(t.Context(), t.Name()+" demo")
	if err != nil {
		t.Fatal(err)
	}
	copied, err := filled()
	if err != nil {
		t.Fatal(err)
	}
	if err := mariadbd.Load(t.Context(), dsn, bytes.NewReader(copied)); err != nil {
		t.Fatal(err)
	}
	of, err := store.Open(dsn)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = of.Close() }()
	var archive bytes.Buffer
	if err := of.For(store.FirstOperation).WriteArchive(t.Context(), &archive, func(cell string) string { return cell }); err != nil {
		t.Fatal(err)
	}
	folder := t.TempDir()
	file := func(name string, raw []byte) []string {
		path := filepath.Join(folder, name)
		if err := os.WriteFile(path, raw, 0o600); err != nil {
			t.Fatal(err)
		}
		return []string{path}
	}
	p := entered(t, s.URL+"/settings", browser.Desk)
	p.says("[data-everything]", "Take everything out")
	takes := func(name string, raw []byte, says string) {
		t.Helper()
		p.do(chromedp.SetUploadFiles(chromedp.CSS("[data-archive]"), file(name, raw)))
		p.says("[data-everything]", says)
	}
	takes("letter.zip", []byte("a letter to the keeper, and no archive of anything"), "not an archive from Keeler")
	takes("cut.zip", archive.Bytes()[:archive.Len()-90], "cut short or changed")
	takes("whole.zip", archive.Bytes(), "Taken in: ")
	p.goes(s.URL+"/yards", "[data-yard]")
	p.says(`[data-yard="Ropewalk"]`, "8 hives")
	p.goes(s.URL+"/settings", "[data-everything]")
	takes("whole.zip", archive.Bytes(), "Take an archive into a new, empty operation")
}

// An owner closes an operation, keeping its register; what is left can be read and not written, and
// is erased for good in a second step.
func TestOperationIsErased(t *testing.T) {
	s := up(t, false)
	p := entered(t, s.URL+"/settings", browser.Desk)
	p.choose("Erase…")
	p.says("[data-erasing]", "often five")
	year := time.Now().Year() + 5
	p.day("keep_until", fmt.Sprintf("31dec%d", year))
	p.fill("password", "another one")
	p.choose("Erase all but the register")
	p.says("[data-erasing]", "not your password")
	p.fill("password", "a long enough one")
	p.choose("Erase all but the register")
	p.says("[data-closed]", "Quay is closed", fmt.Sprintf("31 Dec %d", year), "Nothing more can be written")
	p.held("closed")
	p.turn("/yards")
	p.says("[data-closed]", "Quay is closed")
	p.turn("/record")
	p.do(chromedp.WaitVisible(chromedp.CSS("[data-record]")))
	p.turn("/")
	p.choose("Erase…")
	p.fill("password", "a long enough one")
	p.choose("Erase everything for good")
	p.until(`document.querySelector('[data-closed]') === null && !document.body.innerText.includes('Quay')`)
	p.goes(s.URL+"/yards", "main form") // somebody else can begin here
	p.says("main", "Where your yards are")
}
