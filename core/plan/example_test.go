package plan_test

import (
	"fmt"
	"time"

	"plushladle/core/plan"
	"plushladle/core/reading"
	"plushladle/core/reckon"
)

func almondMilk() (*reckon.Drink, *reckon.Reckoning) {
	d := reckon.New("almond milk")
	for _, text := range []string{"1 cup almonds", "4 cups water", "3 dates"} {
		line, _ := reading.Standard().Line(text)
		d.Lines = append(d.Lines, line)
	}
	r, _ := d.Reckon()
	return &d, r
}

// The method, step by step.
func ExampleSteps() {
	d, r := almondMilk()
	for _, s := range plan.Steps(d, r, plan.Room{TempC: 20}, plan.OnTheBench) {
		fmt.Println(s.Title)
	}
	// Output:
	// put-to-soak([almonds])
	// soak([almonds])
	// drain-and-rinse([almonds])
	// pit([dates])
	// grind(for-seconds(90))
	// strainer-step-bag
	// taste
	// bottle
	// wash-up
	// chill
}

// Wanted at noon on Friday, with nobody up at night.
func ExampleMake() {
	d, r := almondMilk()
	friday := time.Date(2026, 11, 27, 12, 0, 0, 0, time.UTC)
	job := plan.Job{ID: "milk", Name: d.Name, ReadyBy: friday, Bench: plan.Steps(d, r, plan.Room{TempC: 20}, plan.OnTheBench)}
	p, _ := plan.Make([]plan.Job{job}, plan.Rules{From: friday.AddDate(0, 0, -2), Hands: plan.Quiet{FromMin: 23 * 60, ToMin: 7 * 60}})
	for _, s := range p.Lanes[0].Steps[:4] {
		fmt.Println(s.Start.Format("Mon 15:04"), s.Title)
	}
	fmt.Println(plan.EffortOf(p.Work()).Visits, "visits, proved", p.Proved)
	// Output:
	// Thu 19:10 put-to-soak([almonds])
	// Thu 19:20 soak([almonds])
	// Fri 07:20 drain-and-rinse([almonds])
	// Fri 07:25 pit([dates])
	// 2 visits, proved true
}

// Weighed out to within a fiftieth, and no finer than the scale reads.
func ExampleBandOf() {
	band := plan.BandOf(200, .02, 1)
	fmt.Println(band.Judge(150), band.Judge(197), band.Judge(205))
	// Output:
	// under within over
}

// How often a drink is made as its batches tell, and what that wastes.
func ExampleHabitOf() {
	day := func(n int) time.Time { return time.Date(2026, 11, n, 0, 0, 0, 0, time.UTC) }
	habit, _ := plan.HabitOf([]plan.MadeOnce{{On: day(2), ML: 900}, {On: day(9), ML: 900}, {On: day(16), ML: 900}})
	waste := plan.Keeping{PerDayML: 120, LifeDays: 3}.Wastes(habit)
	fmt.Printf("%.0f mL every %.0f days: %.0f mL a week past its date\n", habit.BatchML, habit.EveryDays, waste.ML)
	// Output:
	// 900 mL every 7 days: 540 mL a week past its date
}

// A round of making in which nothing passes its date.
func ExampleDrinking_Propose() {
	d := plan.Drinking{Drinks: []plan.Keeping{{PerDayML: 120, LifeDays: 4, FreezerDays: 30}}, Willing: plan.Week{true, false, false, true, false, false, false}}
	round, ok := d.Propose()
	for _, m := range round.Makings {
		fmt.Println(time.Weekday(m.Day), m.BatchML, m.FreezeML)
	}
	fmt.Println(ok)
	// Output:
	// Sunday 360 0
	// Wednesday 480 0
	// true
}
