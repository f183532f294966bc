//go:build e2e

package e2e

import (
	"os"

	"github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

const axePath = "../web/node_modules/axe-core/axe.min.js"

// motionless is for how many looks nothing moves before the page is looked at.
const motionless = 2

// axeFaults lists all faults that axe-core finds.
func axeFaults(p *page) []string {
	p.t.Helper()
	script, err := os.ReadFile(axePath)
	require.NoError(p.t, err)
	still := 0 // a colour that is about to change is not one to look at
	p.until("motion to end", func() bool {
		if still++; !evaluate[bool](p, "(() => document.getAnimations().length === 0)") {
			still = 0
		}
		return still > motionless
	})
	_, err = chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](string(script)+";undefined"))
	require.NoError(p.t, err)
	const run = `axe.run(document, { resultTypes: ['violations'], preload: false, iframes: false }).then((r) => r.violations
		.flatMap((v) => v.nodes.map((n) => v.id + ': ' + n.html.slice(0, 160) + ' ' + n.failureSummary.slice(0, 200))))`
	faults, err := chromedp.Run(p.ctx, chromedp.Evaluate[[]string](run, func(e *runtime.EvaluateParams) { e.AwaitPromise = new(true) }))
	require.NoError(p.t, err)
	return faults
}
