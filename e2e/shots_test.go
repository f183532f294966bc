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
	p.click("button", "4 more to know")
	p.sees("Nutrition")
	shoot("what-is-in-it")
	p.click("button", "Close")
	p.click("button", "More for Pecans")
	p.click("menuitem", "Swap for another")
	p.expects("422")
	p.pick("In its place", "Walnuts")
	p.sees("adds an allergen")
	shoot("swap")
	p.click("button", "Close")
	p.work("In the cup", "Risk of splitting")
	shoot("in-the-cup")
	p.click("button", "Close")
	p.work("Let it down", "With water")
	shoot("let-it-down")
	p.click("button", "Close")
	p.work("Split the base", "Of the base, drink 2")
	p.fill("Of the base, drink 1", "300")
	p.fill("What joins drink 1", "1 tbsp cocoa")
	p.sees("304 mL")
	shoot("split")
	p.click("button", "Close")
	p.fill("Amount of Maple syrup", "3 tbsp")
	p.work("Compare", "g a 100 mL")
	shoot("compare")
	p.click("button", "Close")
	p.click("button", "Undo")
	p.work("Print or take elsewhere", "A card to print")
	p.click("link", "A card to print")
	p.sees("To know")
	shoot("card")
	p.click("link", "Back to the Bench")
	p.click("button", "Made it")
	p.click("button", "Another bottle")
	p.fill("Bottle 1", "400")
	p.fill("Bottle 2", "320")
	p.sees("use by")
	shoot("made-it")
	p.open("/shelf")
	p.sees("Why that date.")
	shoot("shelf")
	p.open("/plan")
	p.sees("Next in the kitchen")
	shoot("plan")
	p.open("/pantry")
	p.sees("Drawer of measures")
	shoot("pantry")
	p.size(390, 844)
	shoot("pantry-phone")
	p.open("/shelf")
	p.sees("Why that date.")
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
