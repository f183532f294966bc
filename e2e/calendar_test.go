//go:build e2e

package e2e

import (
	"os"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const icalPath = "../web/node_modules/ical.js/dist/ical.es5.min.cjs"

// task is an event of the calendar, as ical.js reads it.
type task struct {
	UID, Summary, Description string
	Start, End                float64 // ms since 1970
	Sequence                  int
	Alarms                    int
	AlarmBeforeS              float64
}

// The calendar is read by ical.js 2.2.1, a reader of its own, and says there
// what the plan says.
func TestTheCalendarIsReadByAnother(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/plan")
	p.sees("Next")
	script, err := os.ReadFile(icalPath)
	require.NoError(t, err)
	load := "globalThis.ical = (() => { const module = { exports: {} }; const exports = module.exports; " + string(script) + "; return module.exports })(); undefined"
	_, err = chromedp.Run(p.ctx, chromedp.Evaluate[chromedp.Void](load))
	require.NoError(t, err)
	const read = `fetch('/api/plan.ics').then((r) => r.text()).then((text) => {
		const ICAL = globalThis.ical.default ?? globalThis.ical
		const calendar = new ICAL.Component(ICAL.parse(text))
		return calendar.getAllSubcomponents('vevent').map((v) => {
			const e = new ICAL.Event(v)
			const alarms = v.getAllSubcomponents('valarm')
			return {
				UID: e.uid, Summary: e.summary, Description: e.description, Sequence: e.sequence,
				Start: e.startDate.toJSDate().getTime(), End: e.endDate.toJSDate().getTime(),
				Alarms: alarms.length, AlarmBeforeS: alarms.length ? -alarms[0].getFirstPropertyValue('trigger').toSeconds() : 0,
			}
		})
	})`
	tasks, err := chromedp.Run(p.ctx, chromedp.Evaluate[[]task](read, func(e *runtime.EvaluateParams) { e.AwaitPromise = new(true) }))
	require.NoError(t, err)
	blocks := evaluate[[]string](p, "(() => [...document.querySelectorAll('[role=slider]:not([aria-label$=\"ready by\"])')].map((e) => e.ariaLabel + '|' + e.ariaValueNow))")
	require.NotEmpty(t, tasks)
	seen, bottles := map[string]bool{}, 0
	for _, task := range tasks {
		assert.False(t, seen[task.UID], "a UID names one task: %s", task.UID)
		seen[task.UID] = true
		assert.Less(t, task.Start, task.End)
		if strings.HasPrefix(task.UID, "bottle-") { // a use-by date, of a whole day
			assert.Equal(t, (24 * time.Hour).Milliseconds(), int64(task.End-task.Start))
			assert.Zero(t, task.Alarms)
			bottles++
			continue
		}
		assert.Equal(t, 1, task.Alarms)
		assert.InDelta(t, (10 * time.Minute).Seconds(), task.AlarmBeforeS, .1)
		assert.NotEmpty(t, task.Description)
	}
	assert.Equal(t, 11, bottles, "one a bottle that there is")
	for _, block := range blocks {
		words, at, _ := strings.Cut(block, "|")
		found := false
		for _, task := range tasks {
			found = found || task.Summary == words && at == strconv.FormatFloat(task.Start, 'f', -1, 64)
		}
		assert.True(t, found, "the calendar has %s", block)
	}
}
