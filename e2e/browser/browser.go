// Package browser starts a real headless Chromium for journeys and screenshots.
package browser

import (
	"context"
	"os"

	"github.com/chromedp/chromedp"
)

// Windows that Keeler is looked at in.
var (
	Desk  = chromedp.EmulateViewport(1280, 800)
	Phone = chromedp.EmulateViewport(390, 844, chromedp.EmulatePortrait, chromedp.EmulateMobile, chromedp.EmulateTouch)
)

// Action is a step that returns nothing.
type Action = chromedp.Action[chromedp.Void]

// New opens a browser with a fresh profile; cancel ends it and removes the profile.
func New(parent context.Context) (context.Context, context.CancelFunc) {
	options := append(chromedp.DefaultExecAllocatorOptions[:],
		chromedp.ExecPath("chromium-headless-shell"), // without the windows that nobody looks at: half the work
		chromedp.Flag("hide-scrollbars", true),
		chromedp.Flag("disable-quic", true),
		chromedp.Flag("disable-component-update", true),
	)
	if os.Geteuid() == 0 { // Chromium's sandbox does not run as root
		options = append(options, chromedp.NoSandbox)
	}
	allocator, endAllocator := chromedp.NewExecAllocator(parent, options...)
	ctx, endTab := chromedp.NewContext(allocator)
	return ctx, func() {
		endTab()
		endAllocator()
	}
}
