package exchange

import (
	"fmt"
	"strings"
	"time"

	ics "github.com/arran4/golang-ical"

	"plushladle/internal/kitchen"
)

// Task is a stretch of work in the calendar, or something to think of on a day.
type Task struct {
	UID        string // stays the same while the task moves
	Sequence   int    // grows each time it does
	Title      string
	Steps      []string
	Start, End time.Time
	AllDay     bool // the day of Start, without an hour and without an alarm
}

// alarmBefore is how long before a task its alarm goes.
const alarmBefore = 10 * time.Minute

// Calendar writes tasks as iCalendar (RFC 5545), times in UTC, stamped with
// the moment it is written.
func Calendar(tasks []Task, stamp time.Time) string {
	c := ics.NewCalendarFor("Plush Ladle")
	c.SetMethod(ics.MethodPublish)
	c.SetName("Plush Ladle")
	for _, t := range tasks {
		e := c.AddEvent(t.UID)
		e.SetDtStampTime(stamp)
		e.SetSequence(t.Sequence)
		e.SetSummary(kitchen.OneLine(t.Title))
		e.SetDescription(strings.Join(oneLines(t.Steps), "\n"))
		if t.AllDay {
			e.SetAllDayStartAt(t.Start)
			e.SetAllDayEndAt(t.Start.AddDate(0, 0, 1))
			continue
		}
		e.SetStartAt(t.Start)
		e.SetEndAt(t.End)
		alarm := e.AddAlarm()
		alarm.SetAction(ics.ActionDisplay)
		alarm.SetTrigger(fmt.Sprintf("-PT%dM", int(alarmBefore.Minutes())))
		alarm.SetProperty(ics.ComponentPropertyDescription, kitchen.OneLine(t.Title))
	}
	return c.Serialize(ics.WithNewLineWindows)
}

// oneLines keeps a step from beginning a line of its own.
func oneLines(steps []string) []string {
	out := make([]string, len(steps))
	for n, s := range steps {
		out[n] = kitchen.OneLine(s)
	}
	return out
}
