//go:build e2e

package e2e

import "testing"

// The batches that were measured move the yield on the Bench, which says so and why; Settings
// show what was learned and give the usual figure back.
func TestMeasuredBatchesMoveTheYield(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("732 mL", "from your last 7 batches")
	p.click("button", "Made it")
	p.fill("Measured yield, if you measured it", "700")
	p.fill("Bottle 1", "700")
	p.click("button", "Bottle")
	p.sees("Shelf")
	p.click("link", "Bench")
	p.sees("from your last 8 batches")
	p.seesNot("732 mL")
	look(p, "bench learned")
	p.click("button", "How the yield is worked out")
	p.sees("from your own batches; we usually expect")
	p.open("/settings")
	p.sees("What your batches taught", "% of the usual, give or take", "8 batches")
	look(p, "settings learned")
	p.click("button", "Back to the usual Pecans, nut-milk bag, squeezed")
	p.sees("They stay in your records")
	p.click("button", "Back to the usual")
	p.seesNot("8 batches")
	p.open("/")
	p.sees("746 mL", "Contains pecan")
	p.seesNot("from your last")
}
