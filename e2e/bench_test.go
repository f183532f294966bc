//go:build e2e

package e2e

import (
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

// BenchmarkKeystrokeToFigure is the time from a key going down in an amount to the changed figure
// being painted, in the page itself, beside the time to the letter in a field that computes
// nothing. It reports the 95th percentiles in milliseconds and what one is more than the other.
func BenchmarkKeystrokeToFigure(b *testing.B) {
	p := visit(b, demoKitchen(b))
	p.sees("Contains pecan")
	p.fill("Amount of Maple syrup", "9 g")
	p.press(kb.Home)
	took := p.keystrokes(b, "() => document.querySelector('section[aria-label=Dials]').textContent")
	const bare = `(() => {
		const field = document.createElement('input')
		const shown = document.createElement('output')
		field.setAttribute('aria-label', 'Bare field')
		field.addEventListener('input', () => { shown.textContent = field.value })
		field.style.position = 'fixed'
		field.style.top = '0'
		field.style.zIndex = '99'
		document.body.append(field, shown)
		window.bare = shown
		field.focus()
	})()`
	_, err := chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](bare))
	require.NoError(b, err)
	alone := p.keystrokes(b, "() => window.bare.textContent")
	b.ReportMetric(took[len(took)/2], "median-ms")
	b.ReportMetric(took[len(took)*95/100], "p95-ms")
	b.ReportMetric(alone[len(alone)*95/100], "bare-p95-ms")
	b.ReportMetric(took[len(took)*95/100]-alone[len(alone)*95/100], "more-p95-ms")
	b.ReportMetric(0, "ns/op")
}

// keystrokes types a digit before another and takes both out again, at a typist's pace, and answers
// how long each second one took until what is shown changed and was painted, in order of length: each
// makes an amount that was not there before, whose figures are not known. The time ends in the frame
// after the one that painted it.
func (p *page) keystrokes(b *testing.B, shown string) []float64 {
	watch := fmt.Sprintf(`(() => {
		window.took = []
		window.watching?.disconnect()
		let began = 0
		const read = %s
		let shown = read()
		window.counts = false
		document.addEventListener('keydown', () => { began = window.counts ? performance.now() : 0 }, true)
		window.watching = new MutationObserver(() => {
			if (!began || read() === shown) return
			shown = read()
			const from = began
			began = 0
			requestAnimationFrame(() => setTimeout(() => window.took.push(performance.now() - from)))
		})
		window.watching.observe(document.body, { subtree: true, childList: true, characterData: true })
	})()`, shown)
	_, err := chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](watch))
	require.NoError(b, err)
	for n := range 60 {
		p.press(strconv.Itoa(1 + n%9))
		time.Sleep(100 * time.Millisecond)
		evaluate[bool](p, "(() => window.counts = true)")
		p.press(strconv.Itoa(1 + n/9))
		time.Sleep(100 * time.Millisecond)
		evaluate[bool](p, "(() => window.counts = false)")
		p.press(kb.Backspace)
		p.press(kb.Backspace)
		time.Sleep(100 * time.Millisecond)
	}
	took := evaluate[[]float64](p, "(() => window.took)")
	require.Greater(b, len(took), 40)
	sort.Float64s(took)
	return took
}

// BenchmarkFirstFigure is how long after the page was opened its first figure is painted, and how
// far what was painted moved afterwards (the browser's own layout-shift score; 0 is nothing).
func BenchmarkFirstFigure(b *testing.B) {
	url := demoKitchen(b)
	visit(b, url).sees("Contains pecan") // the kitchen has answered before
	var firsts, shifts []float64
	for range 5 {
		p := visit(b, url)
		time.Sleep(time.Second) // and not by looking for it again and again, which holds the page up
		p.sees("Contains pecan")
		firsts = append(firsts, evaluate[float64](p, "(() => performance.getEntriesByName('first-figure')[0]?.startTime ?? 0)"))
		time.Sleep(300 * time.Millisecond)
		shifts = append(shifts, evaluate[float64](p, "(() => window.shifted)"))
	}
	sort.Float64s(firsts)
	sort.Float64s(shifts)
	b.ReportMetric(firsts[len(firsts)/2], "first-figure-ms")
	b.ReportMetric(shifts[len(shifts)/2], "layout-shift")
	b.ReportMetric(0, "ns/op")
}

// BenchmarkDialDrag is how long the page's frames take while a dial is dragged
// and all figures follow: the 95th percentile in milliseconds, and how often
// the figures changed.
func BenchmarkDialDrag(b *testing.B) {
	p := visit(b, demoKitchen(b))
	p.sees("Contains pecan")
	p.dial("Sweetness") // its marker comes after the first figure
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

// BenchmarkFirstLoad is the size of the scripts of the first load, as they go over the wire: the
// page's own, and what it asks for beside them. Sheets and the other views come when they are
// opened.
func BenchmarkFirstLoad(b *testing.B) {
	index, err := fs.ReadFile(web.Dist(), "index.html")
	require.NoError(b, err)
	scripts := firstScripts.FindAllString(string(index), -1)
	require.NotEmpty(b, scripts)
	total := map[string]int{}
	for _, name := range scripts {
		for _, ending := range []string{".br", ".gz"} {
			data, err := fs.ReadFile(web.Dist(), name+ending)
			if err != nil { // too short to be packed
				data, err = fs.ReadFile(web.Dist(), name)
			}
			require.NoError(b, err)
			total[ending] += len(data)
		}
	}
	b.ReportMetric(float64(total[".gz"])/1000, "kB-gzip")
	b.ReportMetric(float64(total[".br"])/1000, "kB-brotli")
	b.ReportMetric(0, "ns/op")
}

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
