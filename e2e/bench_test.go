//go:build e2e

package e2e

import (
	"compress/gzip"
	"fmt"
	"io"
	"io/fs"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"sort"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/require"

	"plushladle/web"
)

// BenchmarkKeystrokeToFigure is the time from a key going down in an amount to
// the changed figure being painted, in the page itself. It reports the 95th
// percentile in milliseconds.
func BenchmarkKeystrokeToFigure(b *testing.B) {
	p := visit(b, demoKitchen(b))
	p.sees("Contains pecan")
	p.click("textbox", "Amount of Maple syrup")
	// Each key makes another amount, so that the sweetness in the dial changes.
	// The time ends in the frame after the one that painted it.
	const watch = `(() => {
		window.took = []
		let began = 0
		const dial = () => document.querySelector('section[aria-label=Dials]').innerText
		let shown = dial()
		document.addEventListener('keydown', () => { began = performance.now() }, true)
		new MutationObserver(() => {
			if (!began || dial() === shown) return
			shown = dial()
			const from = began
			began = 0
			requestAnimationFrame(() => setTimeout(() => window.took.push(performance.now() - from)))
		}).observe(document.body, { subtree: true, childList: true, characterData: true })
	})()`
	_, err := chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](watch))
	require.NoError(b, err)
	p.press(kb.Home)
	for n := range 60 { // a digit before the amount, and gone again, at a typist's pace
		if n%2 == 0 {
			p.press("1")
		} else {
			p.press(kb.Backspace)
		}
		time.Sleep(100 * time.Millisecond)
	}
	took := evaluate[[]float64](p, "(() => window.took)")
	require.Greater(b, len(took), 40)
	sort.Float64s(took)
	b.ReportMetric(took[len(took)/2], "median-ms")
	b.ReportMetric(took[len(took)*95/100], "p95-ms")
	b.ReportMetric(0, "ns/op")
}

// BenchmarkDialDrag is how long the page's frames take while a dial is dragged
// and all figures follow: the 95th percentile in milliseconds, and how often
// the figures changed.
func BenchmarkDialDrag(b *testing.B) {
	p := visit(b, demoKitchen(b))
	p.sees("Contains pecan")
	const watch = `(() => {
		window.frames = []
		window.changes = 0
		let last = performance.now()
		const frame = (now) => { window.frames.push(now - last); last = now; requestAnimationFrame(frame) }
		requestAnimationFrame(frame)
		const thumb = document.querySelector('[role=slider][aria-label=Sweetness]')
		new MutationObserver(() => window.changes++).observe(thumb, { attributes: true, attributeFilter: ['aria-valuetext'] })
	})()`
	_, err := chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](watch))
	require.NoError(b, err)
	for n := range 4 { // to and fro, as a hand looks for the place
		p.drag("Sweetness", []float64{80, -110, 90, -60}[n])
	}
	frames := evaluate[[]float64](p, "(() => window.frames)")
	require.Greater(b, len(frames), 30)
	sort.Float64s(frames)
	b.ReportMetric(frames[len(frames)/2], "median-ms")
	b.ReportMetric(frames[len(frames)*95/100], "p95-ms")
	b.ReportMetric(evaluate[float64](p, "(() => window.changes)"), "changes")
	b.ReportMetric(0, "ns/op")
}

// BenchmarkStripDrag is how long the page's frames take while a drink's time is
// dragged along the strip and the plan is made anew under it.
func BenchmarkStripDrag(b *testing.B) {
	p := visit(b, demoKitchen(b))
	p.open("/plan")
	p.sees("Next")
	const watch = `(() => {
		window.frames = []
		let last = performance.now()
		const frame = (now) => { window.frames.push(now - last); last = now; requestAnimationFrame(frame) }
		requestAnimationFrame(frame)
	})()`
	_, err := chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](watch))
	require.NoError(b, err)
	for n := range 4 {
		p.drag("Pecan flask creamer ready by", []float64{60, -70, 50, -40}[n])
		p.until("it to be kept", func() bool { return !p.busy() })
	}
	frames := evaluate[[]float64](p, "(() => window.frames)")
	require.Greater(b, len(frames), 30)
	sort.Float64s(frames)
	b.ReportMetric(frames[len(frames)/2], "median-ms")
	b.ReportMetric(frames[len(frames)*95/100], "p95-ms")
	b.ReportMetric(0, "ns/op")
}

var firstScripts = regexp.MustCompile(`assets/[^"]+\.js`)

// BenchmarkFirstLoad is the size of the scripts of the first load, packed: the
// page's own, and what it asks for beside them. Sheets and the Pantry come
// when they are opened.
func BenchmarkFirstLoad(b *testing.B) {
	index, err := fs.ReadFile(web.Dist(), "index.html")
	require.NoError(b, err)
	scripts := firstScripts.FindAllString(string(index), -1)
	require.NotEmpty(b, scripts)
	total := 0
	for _, name := range scripts {
		data, err := fs.ReadFile(web.Dist(), name)
		require.NoError(b, err)
		counted := &counter{}
		packed := gzip.NewWriter(counted)
		_, err = packed.Write(data)
		require.NoError(b, err)
		require.NoError(b, packed.Close())
		total += counted.n
	}
	b.ReportMetric(float64(total)/1000, "kB-gzip")
	b.ReportMetric(0, "ns/op")
}

type counter struct{ n int }

func (c *counter) Write(p []byte) (int, error) { c.n += len(p); return len(p), nil }

// BenchmarkStartAndMemory starts the program on a kitchen that is there, takes
// the time to its first answer, works a while, and reports its resident memory.
func BenchmarkStartAndMemory(b *testing.B) {
	data := filepath.Join(b.TempDir(), "kitchen.db")
	start := func() (*exec.Cmd, time.Duration) {
		began := time.Now()
		cmd := exec.Command("../bin/plushladle", "demo", "--data", data, "--listen", "127.0.0.1:18642")
		require.NoError(b, cmd.Start())
		for {
			if response, err := http.Get("http://127.0.0.1:18642/api/drinks"); err == nil {
				_ = response.Body.Close()
				return cmd, time.Since(began)
			}
			require.Less(b, time.Since(began), 20*time.Second)
			time.Sleep(time.Millisecond)
		}
	}
	first, _ := start() // fills the kitchen
	require.NoError(b, first.Process.Kill())
	_ = first.Wait()
	cmd, took := start()
	defer func() { _ = cmd.Process.Kill() }()
	p := visit(b, "http://127.0.0.1:18642")
	p.sees("Contains pecan")
	p.fill("Amount of Maple syrup", "3 tbsp")
	p.click("button", "×2")
	p.click("link", "Shelf")
	p.sees("Why this date")
	b.ReportMetric(float64(took.Microseconds())/1000, "start-ms")
	b.ReportMetric(residentMB(b, cmd.Process.Pid), "resident-MB")
	b.ReportMetric(0, "ns/op")
}

func residentMB(b *testing.B, pid int) float64 {
	file, err := os.Open(fmt.Sprintf("/proc/%d/status", pid))
	require.NoError(b, err)
	defer func() { _ = file.Close() }()
	status, err := io.ReadAll(file)
	require.NoError(b, err)
	for _, line := range strings.Split(string(status), "\n") {
		if rest, ok := strings.CutPrefix(line, "VmRSS:"); ok {
			kB, err := strconv.ParseFloat(strings.Fields(rest)[0], 64)
			require.NoError(b, err)
			return kB / 1000
		}
	}
	return 0
}
