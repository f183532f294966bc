//go:build e2e

package e2e

import (
	"encoding/base64"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"

	"github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// paperPage is a printed page, as pdf.js and jsQR read it: in mm, from the upper left corner.
type paperPage struct {
	Wide, High float64
	Texts      []paperText
	Codes      []paperCode
}

type paperText struct {
	Text       string
	X, Y, Wide float64
	Pt         float64
}

type paperCode struct {
	Text       string
	X, Y, Side float64
}

// reader is a page that reads PDFs: every text with its place, and every code in a box.
const reader = `<!doctype html><title>reader</title><link rel="icon" href="data:,"><script src="/jsqr/dist/jsQR.js"></script><script type="module">
import * as pdfjs from '/pdfjs-dist/legacy/build/pdf.mjs'
pdfjs.GlobalWorkerOptions.workerSrc = '/pdfjs-dist/legacy/build/pdf.worker.mjs'
const mm = 25.4 / 72
globalThis.readPDF = async (base64, boxes) => {
	const data = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))
	const pdf = await pdfjs.getDocument({ data, useSystemFonts: false }).promise
	const pages = []
	for (let n = 1; n <= pdf.numPages; n++) {
		const page = await pdf.getPage(n)
		const [, , wide, high] = page.view
		const scale = 6
		const viewport = page.getViewport({ scale })
		const canvas = document.createElement('canvas')
		canvas.width = viewport.width
		canvas.height = viewport.height
		const pen = canvas.getContext('2d', { willReadFrequently: true })
		await page.render({ canvasContext: pen, viewport }).promise
		const content = await page.getTextContent()
		const texts = content.items.filter((i) => i.str?.trim()).map((i) => ({
			Text: i.str, X: i.transform[4] * mm, Y: (high - i.transform[5]) * mm, Wide: i.width * mm, Pt: Math.hypot(i.transform[2], i.transform[3]),
		}))
		const codes = []
		for (const b of boxes) {
			const px = (v) => Math.round((v / mm) * scale)
			const image = pen.getImageData(px(b.X), px(b.Y), px(b.Wide), px(b.High))
			const code = jsQR(image.data, image.width, image.height)
			if (code) codes.push({ Text: code.data, X: b.X, Y: b.Y, Side: (code.location.topRightCorner.x - code.location.topLeftCorner.x) / scale * mm })
		}
		pages.push({ Wide: wide * mm, High: high * mm, Texts: texts, Codes: codes })
	}
	return pages
}
globalThis.readerIsReady = true
</script>`

// pdfReader is a page that reads what others print.
func pdfReader(t *testing.T) *page {
	t.Helper()
	files := http.FileServer(http.Dir("../web/node_modules"))
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.URL.Path == "/" {
			w.Header().Set("Content-Type", "text/html")
			_, _ = fmt.Fprint(w, reader)
			return
		}
		if strings.HasSuffix(r.URL.Path, ".mjs") {
			w.Header().Set("Content-Type", "text/javascript")
		}
		files.ServeHTTP(w, r)
	}))
	t.Cleanup(server.Close)
	p := visit(t, server.URL)
	p.until("the reader", func() bool { return evaluate[bool](p, "(() => globalThis.readerIsReady === true)") })
	return p
}

type box struct{ X, Y, Wide, High float64 }

func (p *page) reads(pdf []byte, boxes []box) []paperPage {
	p.t.Helper()
	parts := make([]string, len(boxes))
	for n, b := range boxes {
		parts[n] = fmt.Sprintf("{X:%g,Y:%g,Wide:%g,High:%g}", b.X, b.Y, b.Wide, b.High)
	}
	ask := fmt.Sprintf("readPDF(%q, [%s])", base64.StdEncoding.EncodeToString(pdf), strings.Join(parts, ","))
	pages, err := chromedp.Run(p.ctx, chromedp.Evaluate[[]paperPage](ask, func(e *runtime.EvaluateParams) { e.AwaitPromise = new(true) }))
	require.NoError(p.t, err)
	return pages
}

// Every sheet is printed to the millimetre: each label on its paper where the sheet has it, its
// texts within it, name and date readable at a glance, its code read by a reader of its own; no page
// more, and the second one like the first.
func TestLabelsArePrintedToTheMillimetre(t *testing.T) {
	t.Parallel()
	p, read := visit(t, demoKitchen(t)), pdfReader(t)
	for _, s := range []struct {
		name                 string // as it is chosen
		paperWide, paperHigh float64
		wide, high           float64
		across, down         int
		left, top, gap       float64
		start                string
	}{
		{"A4, 14 labels", 210, 297, 99.1, 38.1, 2, 7, 4.65, 15.15, 2.5, "8"},
		{"A4, 21 labels", 210, 297, 63.5, 38.1, 3, 7, 7.25, 15.15, 2.5, "1"},
		{"A4, 8 labels", 210, 297, 99.1, 67.7, 2, 4, 4.65, 13.1, 2.5, "3"},
		{"Letter, 10 labels", 215.9, 279.4, 101.6, 50.8, 2, 5, 3.97, 12.7, 4.76, "1"},
		{"Letter, 14 labels", 215.9, 279.4, 101.6, 33.87, 2, 7, 3.97, 21.15, 4.76, "14"},
		{"Single, 90", 90, 50, 90, 50, 1, 1, 0, 0, 0, ""},
		{"Single, 62", 62, 40, 62, 40, 1, 1, 0, 0, 0, ""},
	} {
		p.open("/labels?bottles=1,2,3,4,5,6,7,8,9,10,11")
		p.sees("Print")
		p.click("combobox", "Labels")
		p.click("option", s.name)
		start := 1
		if s.start != "" {
			p.fill("First free label", s.start)
			_, err := fmt.Sscan(s.start, &start)
			require.NoError(t, err)
		}
		p.until("the codes", func() bool {
			return evaluate[bool](p, "(() => document.querySelectorAll('.label image').length === 11)")
		})
		var boxes []box
		for n := range s.across * s.down {
			boxes = append(boxes, box{s.left + float64(n%s.across)*(s.wide+s.gap), s.top + float64(n/s.across)*s.high, s.wide, s.high})
		}
		pages := read.reads(p.printed(), boxes)
		codes := map[string]bool{}
		need := (start - 1 + 11 + len(boxes) - 1) / len(boxes)
		require.Len(t, pages, need, s.name)
		for n, page := range pages {
			assert.InDelta(t, s.paperWide, page.Wide, .5, s.name)
			assert.InDelta(t, s.paperHigh, page.High, .5, s.name)
			for _, c := range page.Codes {
				codes[c.Text[strings.LastIndex(c.Text, "/shelf/"):]] = true
				assert.Greater(t, c.Side, 8., "%s: %s", s.name, c.Text)
			}
			biggest := map[int]float64{}
			for _, text := range page.Texts {
				at := inBox(text, boxes)
				if !assert.GreaterOrEqual(t, at, 0, "%s, page %d: %q stands on no label: %+v", s.name, n+1, text.Text, text) {
					continue
				}
				biggest[at] = max(biggest[at], text.Pt)
			}
			for at, pt := range biggest {
				assert.GreaterOrEqual(t, pt, 17.9, "%s: the date of label %d", s.name, at+1)
				if n == 0 {
					assert.GreaterOrEqual(t, at, start-1, "%s begins at %d", s.name, start)
				}
			}
		}
		assert.Len(t, codes, 11, "%s: all codes are read", s.name)
	}
}

// inBox is the label that a text stands on whole; -1 for none.
func inBox(text paperText, boxes []box) int {
	for n, b := range boxes {
		if text.X >= b.X && text.X+text.Wide <= b.X+b.Wide+.2 && text.Y <= b.Y+b.High && text.Y-text.Pt*.7*25.4/72 >= b.Y {
			return n
		}
	}
	return -1
}
