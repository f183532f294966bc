package main

// goal is what something should take at most, where its figure comes from, and why it takes more
// where it does.
type goal struct {
	what  string
	unit  string
	most  float64
	of    func(figures) (float64, bool)
	short string
}

// the is a figure of a benchmark, divided into the goal's unit.
func the(name, unit string, per float64) func(figures) (float64, bool) {
	return func(all figures) (float64, bool) {
		v, ok := all[name][unit]
		return v / per, ok
	}
}

// over is a figure of one benchmark as a multiple of the same of another, of the same run.
func over(name, other, unit string) func(figures) (float64, bool) {
	return func(all figures) (float64, bool) {
		v, ok := all[name][unit]
		o, ok2 := all[other][unit]
		return v / max(o, 1e-9), ok && ok2
	}
}

const (
	ns = "ns/op"
	ms = 1e6 // ns in one
	us = 1e3
)

var goals = []goal{
	{"reckon 12 lines, with its process", "µs", 30, the("ReckonTwelveLines", ns, us), "each figure carries its working and its cautions, which are allocated anew for each answer"},
	{"allocations of it", "", 60, the("ReckonTwelveLines", "allocs/op", 1), "one for each line's figures, each step and what is said of it"},
	{"API reckon over an operation that does nothing", "×", 1.5, over("ReckonAgainstEmptyHandlers/reckon", "ReckonAgainstEmptyHandlers/empty", ns), "the answer is 60 times as long as that of the empty one, and is written out whole"},
	{"a weighing, at the server", "ms", 3, the("Weighing", ns, ms), "every weight is on the disk before it is answered, which this machine takes its time for"},
	{"its answer", "B", 2000, the("Weighing", "answer-B", 1), ""},
	{"plan of six drinks over four days", "ms", 15, the("PlanSixDrinksOverFourDays", ns, ms), "it looks for the plan with the fewest visits and proves that there is none with fewer"},
	{"shelf after ten years over the demo kitchen's, 95th of 100", "×", 1.5, over("TenYears/ten-years", "TenYears/demo", "shelf-p95-ms"), "sixty bottles in use beside eleven: each is reckoned along the fridge's record"},
	{"shelf of 60 of 20,000 bottles over 60 of 100", "×", 1.5, over("ShelfGrows/bottles=20000", "ShelfGrows/bottles=100", ns), ""},
	{"Notes after ten years", "ms", 100, the("NotesAfterTenYears/home/10_years", ns, ms), ""},
	{"a drink's history after ten years", "ms", 100, the("NotesAfterTenYears/history/10_years", ns, ms), ""},
	{"cold start to the first answer", "ms", 50, the("StartAndMemory", "start-ms", 1), "most of it is SQLite opening the file and this program being read from the disk"},
	{"memory after some work", "MB", 40, the("StartAndMemory", "resident-MB", 1), "the front end is in the program, and counts as soon as it was sent"},
	{"scripts of the first load, gzip", "kB", 115, the("FirstLoad", "kB-gzip", 1), "React's own renderer is 64 of them; the kit of menus, selects and dialogs 35; the words 20"},
	{"the same by brotli", "kB", 105, the("FirstLoad", "kB-brotli", 1), "likewise"},
	{"first figure painted after opening", "ms", 400, the("FirstFigure", "first-figure-ms", 1), "two cores run the browser, the kitchen and the measurement"},
	{"layout shift after it", "", 0, the("FirstFigure", "layout-shift", 1), ""},
	{"a keystroke, 95th of 100, over one in a bare field", "ms", 16.7, the("KeystrokeToFigure", "more-p95-ms", 1), "the figures go to the kitchen and back, and are painted in the frame after"},
	{"a million readings of a thermometer recognised and read", "ms", 2000, the("ReadTemperatures", ns, ms), ""},
	{"the twelve-line drink over a spreadsheet's recalculation", "×", 1, over("ReckonTwelveLines", "Spreadsheet/recalculate", ns), "the sheet works out four sums, this all figures with their working"},
}

// growth is a benchmark of several sizes.
type growth struct {
	what, name string
	steps      []string
}

var growths = []growth{
	{"Reckoning by lines", "ReckonGrows", []string{"lines=5", "lines=50", "lines=300"}},
	{"Planning by drinks", "PlanGrows", []string{"drinks=1", "drinks=2", "drinks=3", "drinks=6", "drinks=12"}},
	{"Shelf by bottles ever filled", "ShelfGrows", []string{"bottles=100", "bottles=1000", "bottles=5000", "bottles=20000"}},
}
