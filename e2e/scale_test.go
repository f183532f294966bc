//go:build e2e

package e2e

import (
	"testing"
)

// aScaleOnAPort has the page find a scale on a serial port that says ten times a second what
// window.grams is, as a scale would say it, once there is such a figure.
const aScaleOnAPort = `(() => {
  const port = {
    open: async () => {}, close: async () => {},
    readable: new ReadableStream({ start(c) {
      setInterval(() => window.grams && c.enqueue(new TextEncoder().encode('ST,+ ' + window.grams.toFixed(1) + ' g\r\n')), 100)
    } }),
  }
  Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port }, configurable: true })
  return true
})`

// The cook's own scale is read by the browser, from the bowl that stands on it to what is
// recorded, through the same readings that a scale on the network sends.
func TestTheCooksOwnScaleIsRead(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/cook/3")
	p.sees("Connect the scale")
	evaluate[bool](p, aScaleOnAPort)
	p.click("summary", "A scale of your own")
	p.sees("/api/scale/readings")
	p.click("button", "Connect over USB")
	p.sees("Waiting for the scale")
	evaluate[bool](p, "(() => { window.grams = 300; return true })")
	p.sees("0 g", "148 g to go")
	evaluate[bool](p, "(() => { window.grams = 390; return true })")
	p.sees("90 g", "58 g to go")
	look(p, "own-scale")
	evaluate[bool](p, "(() => { window.grams = 448; return true })")
	p.sees("Everything for this step is weighed")
	p.click("button", "Disconnect")
	p.sees("Connect my scale")
}

// What a scale showed before the kitchen went away is not shown as what lies on it; back again,
// the page connects it by itself and says what is lost.
func TestAScaleIsBackAfterARestart(t *testing.T) {
	t.Parallel()
	k := ownProgram(t)
	p := visit(t, k.url)
	p.expects("ERR_")
	p.expects("502")
	p.expects("fetching the script")
	p.open("/cook/3")
	p.click("button", "Connect the scale")
	p.click("summary", "Practice scale")
	p.fill("Grams to pour", "50")
	p.click("button", "Pour")
	p.sees("98 g to go")
	k.kill()
	p.sees("No reading from the scale for a few seconds")
	p.seesNot("98 g to go")
	k.start()
	p.sees("the scale is connected again", "148 g to go")
	look(p, "scale-again")
	p.click("button", "Got it")
	p.seesNot("the scale is connected again")
}
