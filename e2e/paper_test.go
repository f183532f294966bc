//go:build e2e

package e2e

import (
	"context"
	"strings"
	"testing"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// controls are what does nothing on paper.
const controls = `(() => [...document.querySelectorAll('button, input, select, textarea, [role=combobox], [role=slider], [role=switch], [role=tab], [role=checkbox], nav, a.button, a[download]')].filter(visible).map(nameOf))`

// words are all texts of a page, in the order they are printed.
func (pp paperPage) words() string {
	var all []string
	for _, t := range pp.Texts {
		all = append(all, t.Text)
	}
	return strings.Join(strings.Fields(strings.Join(all, " ")), " ")
}

func (p *page) media(name string) {
	p.t.Helper()
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		_, err := cdp.Call(ctx, t, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{Media: name})
		return err
	}))
}

// Each view prints what one would hang up or take along, and nothing that is to be clicked.
func TestEveryViewPrintsWhatIsUsefulOnPaper(t *testing.T) {
	t.Parallel()
	p, read := visit(t, demoKitchen(t)), pdfReader(t)
	for _, v := range []struct {
		path, seen string
		says       []string
		pages      int // at most
	}{
		{"/bench/1", "servings of 240", []string{"Coconut, lemongrass and lime cooler", "lemongrass", "120 g", "At a glance", "Strain through the nut-milk bag", "not infant formula"}, 1},
		{"/plan", "Shopping list", []string{"Plan", "When", "Soak", "Shopping list"}, 1},
		{"/shelf", "Find a bottle", []string{"Shelf", "Fridge", "Use by", "Left", "walnut"}, 1},
		{"/pantry", "Find an ingredient", []string{"Pantry", "In stock", "Price", "Drinkers"}, 1},
		{"/cook", "Done", []string{"When", "Step", "ready", "Pearl barley, soaked (160 g)"}, 1},
		{"/notes", "Worth knowing", []string{"Notes", "Worth knowing", "Batches", "v3"}, 2},
		{"/plan/shopping", "Total", []string{"Shopping list"}, 1},
		{"/notes/week", "What the week was worth", []string{"What the week was worth"}, 1},
		{"/drinks", "Pecan flask creamer", []string{"Pecan flask creamer"}, 2},
		{"/notes/batch/1", "What went in", []string{"What went in", "944 mL"}, 2},
		{"/settings", "Quiet hours", []string{"Settings"}, 3},
		{"/start", "Flavour", []string{"Start"}, 2},
	} {
		t.Run(v.path, func(t *testing.T) {
			p.open(v.path)
			p.sees(v.seen)
			pages := read.reads(p.printed(), nil)
			assert.LessOrEqual(t, len(pages), v.pages, "pages of %s", v.path)
			var text string
			for _, pp := range pages {
				text += pp.words() + " "
			}
			for _, w := range v.says {
				assert.Contains(t, text, w, v.path)
			}
			p.media("print")
			assert.Empty(t, evaluate[[]string](p, controls), "controls on the paper of %s", v.path)
			look(p, "paper"+strings.ReplaceAll(v.path, "/", "-"))
			p.media("")
		})
	}
}
