//go:build e2e

package e2e

import (
	"context"
	_ "embed"
	"encoding/json"
	"fmt"
	"os"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/input"
	browserpage "github.com/chromedp/cdproto/page"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/require"
)

// patience is how long the page may take to show what is waited for.
var patience = func() time.Duration {
	if d, err := time.ParseDuration(os.Getenv("PATIENCE")); err == nil {
		return d
	}
	return 20 * time.Second
}()

// page is a browser page driven by what a user sees: roles, names and text.
type page struct {
	t   testing.TB
	ctx context.Context
	url string

	taps int // how often it was clicked

	mu       sync.Mutex
	problems []string // console errors
	expected []string // what of them this test brings about
}

//go:embed find.js
var findJS string

// visit opens a page of its own, at a desk's size, and fails the test on any
// console error.
func visit(t testing.TB, url string) *page {
	t.Helper()
	ctx, cancel := chromedp.NewContext(browser, chromedp.WithNewBrowserContext())
	p := &page{t: t, ctx: ctx, url: url}
	t.Cleanup(func() {
		p.mu.Lock()
		defer p.mu.Unlock()
		for _, problem := range p.problems {
			if !p.isExpected(problem) {
				t.Errorf("console: %s", problem)
			}
		}
		cancel()
	})
	require.NoError(t, chromedp.Do(ctx))
	messages := chromedp.Console(ctx)
	go func() {
		for message, err := range messages {
			if err != nil {
				return
			}
			if message.Type == chromedp.ConsoleError || message.Type == chromedp.ConsoleException {
				p.mu.Lock()
				p.problems = append(p.problems, message.Text+" "+message.URL)
				p.mu.Unlock()
			}
		}
	}()
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		_, err := cdp.Call(ctx, t, browserpage.AddScriptToEvaluateOnNewDocument, browserpage.AddScriptToEvaluateOnNewDocumentParams{Source: findJS})
		return err
	}))
	p.size(1280, 800)
	p.open("/")
	return p
}

func (p *page) isExpected(problem string) bool {
	for _, e := range p.expected {
		if strings.Contains(problem, e) {
			return true
		}
	}
	return false
}

// expects lets a console message pass that a refused request brings about.
func (p *page) expects(text string) { p.expected = append(p.expected, text) }

func (p *page) do(steps ...chromedp.Action[chromedp.Void]) {
	p.t.Helper()
	ctx, cancel := context.WithTimeout(p.ctx, 2*patience) // a step that waits for what never comes fails its own test
	defer cancel()
	require.NoError(p.t, chromedp.Do(ctx, steps...))
}

func (p *page) size(width, height int64) { p.do(chromedp.EmulateViewport(width, height)) }

func (p *page) open(path string) {
	p.t.Helper()
	p.do(chromedp.Navigate(p.url + path))
}

func (p *page) reload() {
	p.t.Helper()
	p.do(chromedp.Reload())
}

// evaluate runs a function of find.js.
func evaluate[T any](p *page, call string, args ...any) T {
	p.t.Helper()
	encoded := make([]string, len(args))
	for n, arg := range args {
		data, err := json.Marshal(arg)
		require.NoError(p.t, err)
		encoded[n] = string(data)
	}
	expression := fmt.Sprintf("(%s)(%s)", call, strings.Join(encoded, ","))
	for tries := 0; ; tries++ {
		value, err := chromedp.Run(p.ctx, chromedp.Evaluate[T](expression))
		if err != nil && tries < betweenPages && isBetweenPages(err) {
			time.Sleep(50 * time.Millisecond)
			continue
		}
		require.NoError(p.t, err, "%s(%v)", call, args)
		return value
	}
}

// betweenPages is how often a page is asked again that was just being left.
const betweenPages = 20

// isBetweenPages tells whether a page could not be asked because it was being left,
// and the next had not begun.
func isBetweenPages(err error) bool {
	said := err.Error()
	return strings.Contains(said, "context") || strings.Contains(said, "is not defined") || strings.Contains(said, "navigated")
}

// pollEvery is how long is waited between two looks at the page: looking is work for it too.
const pollEvery = 80 * time.Millisecond

// until waits for a condition and says what was on the page where it fails.
func (p *page) until(what string, holds func() bool) {
	p.t.Helper()
	for deadline := time.Now().Add(patience); time.Now().Before(deadline); time.Sleep(pollEvery) {
		if holds() {
			return
		}
	}
	p.t.Fatalf("waited in vain for %s; the page shows:\n%s", what, evaluate[string](p, "shown"))
}

// found is where an element is.
type found struct {
	X, Y  float64
	There bool
	Able  bool // visible, enabled and not covered
	Value string
}

func (p *page) find(role, name string) found {
	p.t.Helper()
	var f found
	still := 0
	p.until(role+" "+name, func() bool {
		before := f
		f = evaluate[found](p, "find", role, name)
		if !f.Able || f != before {
			still = 0
			return false
		}
		still++
		return still >= 2 // it stands still, and the page with it
	})
	return f
}

func (p *page) click(role, name string) {
	p.t.Helper()
	f := p.find(role, name)
	p.do(chromedp.MouseClickXY(f.X, f.Y))
	p.taps++
}

// opens opens a menu, again where the page closed it as it came, until an entry of
// it is there.
func (p *page) opens(button, role, name string) {
	p.t.Helper()
	p.until(name+" under "+button, func() bool {
		if evaluate[found](p, "find", role, name).There {
			return true
		}
		if f := evaluate[found](p, "find", "button", button); f.Able {
			p.do(chromedp.MouseClickXY(f.X, f.Y))
			time.Sleep(200 * time.Millisecond)
		}
		return false
	})
}

// fill replaces what a text field holds by typing.
func (p *page) fill(name, text string) {
	p.t.Helper()
	p.until(name+" to take the keyboard", func() bool { // a moving page can make a click miss
		p.click("textbox", name)
		return strings.HasPrefix(p.focused(), name)
	})
	p.fillFocused(text)
}

// fillFocused replaces what the field with the keyboard holds.
func (p *page) fillFocused(text string) {
	p.t.Helper()
	p.do(chromedp.KeyEvent("a", chromedp.KeyModifiers(chromedp.ModifierCtrl)), chromedp.KeyEvent(kb.Backspace))
	p.typeIn(text)
}

func (p *page) typeIn(text string) {
	p.t.Helper()
	p.do(chromedp.KeyEvent(text))
}

func (p *page) press(key string, modifiers ...chromedp.Modifier) {
	p.t.Helper()
	p.do(chromedp.KeyEvent(key, chromedp.KeyModifiers(modifiers...)))
}

// shortcut presses a character key as a keyboard does: what the page takes for
// a command is not typed as well.
func (p *page) shortcut(key string) {
	p.t.Helper()
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		_, err := cdp.Call(ctx, t, input.DispatchKeyEvent, input.DispatchKeyEventParams{Type: kb.KeyDown, Key: key, Text: key})
		return err
	}))
}

// sees waits until the text is on the page, in what is shown or in a field.
func (p *page) sees(texts ...string) {
	p.t.Helper()
	for _, text := range texts {
		p.until("the text "+text, func() bool { return evaluate[bool](p, "sees", text) })
	}
}

func (p *page) seesNot(text string) {
	p.t.Helper()
	p.until("the text "+text+" to go", func() bool { return !evaluate[bool](p, "sees", text) })
}

// holds waits until the named field holds the text.
func (p *page) holds(name, text string) {
	p.t.Helper()
	p.until(name+" to hold "+text, func() bool { return evaluate[found](p, "find", "textbox", name).Value == text })
}

// shown is the text of the named part of the page.
func (p *page) region(name string) string {
	p.t.Helper()
	return evaluate[string](p, "region", name)
}

// focused is the name of what has the keyboard.
func (p *page) focused() string {
	p.t.Helper()
	return evaluate[string](p, "focused")
}

// drag moves the named slider's marker by so many pixels.
func (p *page) drag(name string, byX float64) {
	p.t.Helper()
	f := p.find("slider", name)
	p.hand(f.X, f.Y, f.X+byX, f.Y)
}

// carry takes a button by the mouse and lets it go over a region.
func (p *page) carry(button, region string) {
	p.t.Helper()
	from, to := p.find("button", button), p.find("region", region)
	p.hand(from.X, from.Y, to.X, to.Y)
}

// hand presses the mouse at one place and lets it go at another, in steps as a
// hand does.
func (p *page) hand(x, y, toX, toY float64) {
	p.t.Helper()
	const steps = 20
	p.mouse(input.DispatchMouseEventTypeMousePressed, x, y)
	for n := 1.; n <= steps; n++ {
		p.mouse(input.DispatchMouseEventTypeMouseMoved, x+(toX-x)*n/steps, y+(toY-y)*n/steps)
		time.Sleep(8 * time.Millisecond)
	}
	p.mouse(input.DispatchMouseEventTypeMouseReleased, toX, toY)
}

// busy tells whether something that was moved is still being kept.
func (p *page) busy() bool {
	return evaluate[bool](p, "(() => document.querySelector('[aria-busy=true]') !== null)")
}

func (p *page) mouse(kind input.DispatchMouseEventType, x, y float64) {
	p.t.Helper()
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		_, err := cdp.Call(ctx, t, input.DispatchMouseEvent, input.DispatchMouseEventParams{Type: kind, X: x, Y: y, Button: input.MouseButtonLeft, ClickCount: 1})
		return err
	}))
}

// dial is what the named dial says it stands at.
func (p *page) dial(name string) string {
	p.t.Helper()
	p.until("the marker of "+name, func() bool { return evaluate[string](p, "valueText", name) != "" })
	return evaluate[string](p, "valueText", name)
}

// work opens one of the sheets for working on the drink.
func (p *page) work(item, sees string) {
	p.t.Helper()
	p.sees("Contains ")
	p.opens("Tools", "menuitem", item)
	p.click("menuitem", item)
	p.sees(sees)
}

// paste puts text into a field at once, as the clipboard does.
func (p *page) paste(name, text string) {
	p.t.Helper()
	p.click("textbox", name)
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		_, err := cdp.Call(ctx, t, input.InsertText, input.InsertTextParams{Text: text})
		return err
	}))
}

// pick types a name and takes the first that is suggested.
func (p *page) pick(name, text string) {
	p.t.Helper()
	p.fill(name, text)
	p.find("option", text)
	p.press(kb.ArrowDown)
	p.press(kb.Enter)
	p.holds(name, text)
}

// setDate puts a day and time into the one field that takes it, as its picker
// does.
func setDate(value string) func(context.Context, *chromedp.Target) error {
	return func(ctx context.Context, t *chromedp.Target) error {
		expression := fmt.Sprintf(`(() => {
			const field = document.querySelector('input[type=datetime-local]')
			Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, %q)
			field.dispatchEvent(new Event('input', { bubbles: true }))
		})()`, value)
		_, err := chromedp.Run(ctx, chromedp.Evaluate[chromedp.Void](expression))
		return err
	}
}
