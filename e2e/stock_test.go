//go:build e2e

package e2e

import "testing"

// From the shop to the batch: bought at a price, used by what is made, put on the list when it runs
// low, and each taken back.
func TestStockFromShoppingToBatch(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/pantry")
	p.fill("Find an ingredient", "pecan")
	p.click("button", "Price and stock of Pecans")
	p.sees("Bought", "Running low", "Other packs")
	p.fill("Pack bought", "500 g")
	p.fill("How many", "2")
	p.fill("Paid in all", "12")
	p.click("button", "Add to stock")
	p.sees("2 × 500 g", "1 kg left", "You paid £12.00 a kilogram")
	p.fill("Runs low at", "1000")
	p.click("button", "Save the mark")
	p.fill("Another pack size", "200 g")
	p.fill("Its price", "3")
	p.click("button", "Add this pack")
	p.sees("£3.00 for 200 g")
	look(p, "stock")
	p.click("button", "Close")
	p.sees("1.1 kg")
	p.seesNot("running low")
	p.open("/")
	p.click("button", "Made it")
	p.click("button", "Bottle")
	p.sees("Why this date")
	p.open("/pantry")
	p.fill("Find an ingredient", "pecan")
	p.sees("952 g", "running low")
	p.open("/plan")
	p.sees("running low", "1 × 200 g")
	p.click("button", "Bought: Pecans")
	p.sees("Added to the pantry.")
	p.open("/pantry")
	p.fill("Find an ingredient", "pecan")
	p.sees("1.15 kg")
	p.seesNot("running low")
}
