//go:build e2e

package e2e

import (
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

func TestLook(t *testing.T) {
	folder := "/tmp/look"
	_ = os.MkdirAll(folder, 0o755)
	p := visit(t, demoKitchen(t))
	shoot := func(name string) {
		p.until("motion to end", func() bool { return evaluate[bool](p, "(() => document.getAnimations().length === 0)") })
		picture, err := chromedp.Run(p.ctx, chromedp.CaptureScreenshot())
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(filepath.Join(folder, name+".png"), picture, 0o644))
	}
	p.sees("Contains pecan")
	shoot("bench")
	work := func(item, sees string) {
		p.click("button", "Work on it")
		p.click("menuitem", item)
		p.sees(sees)
	}
	work("In the cup", "Risk of splitting")
	shoot("cup")
	p.click("button", "Close")
	work("Let it down", "With water")
	p.fill("Water for the second grind", "300")
	p.sees("of wet pulp stays")
	shoot("ladder")
	p.click("button", "Close")
	work("To the spoons you have", "spoons")
	shoot("nudge")
	p.click("button", "Close")
	p.click("button", "More for Maple syrup")
	p.click("menuitem", "Swap for another")
	p.fill("In its place", "honey")
	p.sees("What changes")
	shoot("swap")
	p.click("button", "Close")
	work("Split the base", "Drink 2")
	p.fill("What joins drink 1", "1 tbsp cocoa")
	p.sees("keeps")
	shoot("split")
	p.click("button", "Close")
	work("Compare", "Sweetness")
	shoot("compare")
	p.click("button", "Close")
	p.open("/pantry")
	p.sees("Drawer of measures")
	shoot("pantry")
	p.open("/bench/8/card")
	p.sees("To know")
	shoot("card")
}
