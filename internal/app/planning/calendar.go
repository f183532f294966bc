package planning

import (
	"fmt"
	"strings"
	"time"

	"plushladle/internal/app/shelf"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Calendar is the plan as iCalendar.
func (s Service) Calendar() (string, error) {
	items, err := s.store.Plan()
	if err != nil {
		return "", err
	}
	var tasks []exchange.Task
	for _, item := range items {
		tasks = append(tasks, tasksOf(item)...)
	}
	planned, err := s.presentPlan(items)
	if err != nil {
		return "", err
	}
	for _, b := range planned.Bowls {
		tasks = append(tasks, exchange.Task{
			UID: fmt.Sprintf("bowl-%d@plush-ladle", b.ID), Sequence: int(b.Changed.Sub(b.Since).Minutes()),
			Title: wording.Say("change-water-of", strings.ToLower(b.Name)), Steps: []string{wording.Say("bowl-left", b.DryG, b.Within.In(s.Now().Location()))},
			Start: b.ChangeBy, End: b.ChangeBy.Add(bowlMinutes * time.Minute),
		})
	}
	useBy, err := s.useByDates()
	if err != nil {
		return "", err
	}
	return exchange.Calendar(append(tasks, useBy...), s.Now()), nil
}

// useByDates are the last good days of the bottles that there are. They move with what the
// fridge sees, and with where a bottle stands.
func (s Service) useByDates() ([]exchange.Task, error) {
	there, err := shelf.Of(s.Kitchen).Shelf()
	if err != nil {
		return nil, err
	}
	var tasks []exchange.Task
	for _, b := range there.Bottles {
		day := shelf.ParseDate(b.UseBy)
		if day.IsZero() {
			continue
		}
		tasks = append(tasks, exchange.Task{
			UID: fmt.Sprintf("bottle-%d@plush-ladle", b.ID), Sequence: int(day.Unix() / secondsADay), AllDay: true, Start: day,
			Title: wording.Say("use-by-of", b.DrinkName), Steps: []string{wording.Say("use-by-note", fmt.Sprint(b.ID), b.LeftML)},
		})
	}
	return tasks, nil
}

const secondsADay = 24 * 60 * 60

// tasksOf are an item's stretches of work; what is done is left out.
func tasksOf(item store.PlanItem) []exchange.Task {
	var tasks []exchange.Task
	block, open := 0, false
	for _, step := range item.Steps {
		if !step.HandsOn {
			open = false
			continue
		}
		if !open {
			block++
		}
		if step.DoneAt != nil {
			open = true
			continue
		}
		last := len(tasks) - 1
		uid := fmt.Sprintf("plan-%d-%d@plush-ladle", item.ID, block)
		if open && last >= 0 && tasks[last].UID == uid {
			tasks[last].End = step.End
			tasks[last].Steps = append(tasks[last].Steps, wording.Text(step.Title))
			continue
		}
		open = true
		tasks = append(tasks, exchange.Task{
			UID: uid, Sequence: item.Sequence, Title: item.DrinkName + ": " + wording.Text(step.Title),
			Steps: []string{wording.Text(step.Title)}, Start: step.Start, End: step.End,
		})
	}
	return tasks
}
