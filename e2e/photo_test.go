package e2e

import (
	"fmt"
	"image"
	"image/color"
	"image/png"
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp"

	"keeler/e2e/browser"
)

// board is a photo of a board: grey, with dark spots.
func board(t *testing.T) string {
	t.Helper()
	picture := image.NewGray(image.Rect(0, 0, 600, 400))
	for i := range picture.Pix {
		picture.Pix[i] = 220
	}
	for _, spot := range []image.Point{{150, 100}, {300, 200}, {450, 300}} {
		for dx := -4; dx <= 4; dx++ {
			for dy := -3; dy <= 3; dy++ {
				picture.Set(spot.X+dx, spot.Y+dy, color.Gray{60})
			}
		}
	}
	path := filepath.Join(t.TempDir(), "board.png")
	file, err := os.Create(path)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = file.Close() }()
	if err := png.Encode(file, picture); err != nil {
		t.Fatal(err)
	}
	return path
}

// Mites are tapped on a photo, without signal: what is no photo is told, a tap too many is
// taken off, and a reload loses nothing. The photo stays on the phone until it is to be kept
// with the count; then it goes along once there is signal.
func TestMitesTappedOnAPhoto(t *testing.T) {
	s := up(t, true)
	url, away := offline(t, s)
	p := entered(t, url+saltmarshHut+"/boards", browser.Phone)
	p.until(`document.querySelector('[data-ready]') !== null`)
	p.says("[data-board]", "S1")
	away.Store(true)
	p.click("[data-on-photo]")
	upload := func(file string) {
		t.Helper()
		p.do(chromedp.SetUploadFiles(chromedp.CSS(`[data-board-photo] input[type="file"]`), []string{file}))
	}
	text := filepath.Join(t.TempDir(), "board.txt")
	if err := os.WriteFile(text, []byte("no photo"), 0o600); err != nil {
		t.Fatal(err)
	}
	upload(text)
	p.says("[data-board-photo]", "Keeler cannot open this file")
	upload(board(t))
	tap := func(x, y float64) {
		t.Helper()
		p.until(`document.querySelector('[data-photo] img')?.naturalWidth === 600`)
		p.do(chromedp.Evaluate[chromedp.Void](fmt.Sprintf(`(() => {
			const photo = document.querySelector('[data-photo]')
			const box = photo.getBoundingClientRect()
			photo.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: box.left + %v * box.width, clientY: box.top + %v * box.height }))
		})()`, x, y)))
	}
	for i, at := range [][2]float64{{0.25, 0.25}, {0.5, 0.5}, {0.75, 0.75}, {0.1, 0.9}} {
		tap(at[0], at[1])
		p.says("[data-board-photo]", fmt.Sprintf("%d marked", i+1))
	}
	tap(0.1, 0.9) // that was a crumb
	p.says("[data-board-photo]", "3 marked")
	p.do(chromedp.Reload())
	p.says("[data-board-photo]", "3 marked")
	if mites := p.value("mites"); mites != "3" {
		t.Errorf("%s mites", mites)
	}
	p.fill("mites", "2")
	p.says(`[data-path="mites"]`, "Fewer than are marked")
	p.fill("mites", "4") // one lay beside it
	p.fill("days", "5")
	p.click(`[data-board-photo] input[type="checkbox"]`)
	p.click("[data-save-board]")
	p.until(`document.querySelector('[data-signal="offline"][data-waiting="1"]') !== null`)
	away.Store(false)
	p.until(allSent)
	p.do(chromedp.Navigate(url + "/colonies/5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e3001"))
	p.click("[data-count-photo] summary")
	p.until(`document.querySelector('[data-count-photo] img')?.naturalWidth === 600`)
	p.says("[data-count-photo]", "3 marked")
	p.until(`document.querySelector('[data-count-photo] img').src.endsWith('/photo')`)
}
