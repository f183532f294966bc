//go:build e2e

package e2e

import (
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

// TestShots takes the pictures of the main views that the README shows, into
// the folder named by SHOTS.
func TestShots(t *testing.T) {
	folder := os.Getenv("SHOTS")
	if folder == "" {
		t.Skip("SHOTS names no folder")
	}
	p := visit(t, demoKitchen(t))
	shoot := func(name string) {
		p.until("motion to end", func() bool { return evaluate[bool](p, "(() => document.getAnimations().length === 0)") })
		picture, err := chromedp.Run(p.ctx, chromedp.CaptureScreenshot())
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(filepath.Join(folder, name+".png"), picture, 0o644))
	}
	p.sees("Contains pecan")
	shoot("bench")
	p.click("button", "×2")
	p.sees("6 cups")
	shoot("bench-scaled")
	p.click("button", "×1")
	p.click("button", "1 more to know")
	p.sees("Nutrition")
	shoot("what-is-in-it")
	p.click("button", "Close")
	p.click("button", "Made it")
	p.click("button", "Another bottle")
	p.fill("Bottle 1", "400")
	p.fill("Bottle 2", "320")
	p.sees("use by")
	shoot("made-it")
	p.open("/shelf")
	p.sees("Why that date.")
	shoot("shelf")
	p.size(390, 844)
	shoot("shelf-phone")
	p.open("/")
	p.sees("Contains pecan")
	shoot("bench-phone")
	p.size(1280, 800)
	p.click("button", "Kitchen")
	p.sees("How this kitchen measures")
	shoot("kitchen")
	p.click("combobox", "Light")
	p.click("option", "Night kitchen")
	p.click("button", "Keep these")
	p.seesNot("Keep these")
	shoot("bench-night")
	p.open("/shelf")
	p.sees("Why that date.")
	shoot("shelf-night")
}
