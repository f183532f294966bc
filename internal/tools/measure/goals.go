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
	{"reckon 12 lines, with its process", "µs", 30, the("ReckonTwelveLines", ns, us), "the process is run through in full for every answer, nutrient by nutrient: 28 kB of it, which this machine takes its time to make"},
	{"allocations of it", "", 60, the("ReckonTwelveLines", "allocs/op", 1), "ten are the amounts in spoons, eight the sentences of cautions; what is left are the lists of the answer itself"},
	{"API reckon over an operation that does nothing", "×", 1.5, over("ReckonAgainstEmptyHandlers/reckon", "ReckonAgainstEmptyHandlers/empty", ns), "every step and caution is put into words anew, and every line as it was written is read anew for what is asked about it; only what changed is sent, a fifth of it"},
	{"a weighing, at the server", "ms", 3, the("Weighing", ns, ms), "every weight is on the disk before it is answered, which this machine takes its time for"},
	{"its answer", "B", 2000, the("Weighing", "answer-B", 1), ""},
	{"plan of six drinks over four days", "ms", 15, the("PlanSixDrinksOverFourDays", ns, ms), ""},
	{"shelf after ten years over the demo kitchen's, 95th of 100", "×", 1.5, over("TenYears/ten-years", "TenYears/demo", "shelf-p95-ms"), "sixty bottles in use beside eleven, each reckoned along the fridge's record; the row below has the same bottles on both sides"},
	{"shelf of 60 of 20,000 bottles over 60 of 100", "×", 1.5, over("ShelfGrows/bottles=20000", "ShelfGrows/bottles=100", ns), ""},
	{"Notes after ten years", "ms", 100, the("NotesAfterTenYears/home/10_years", ns, ms), ""},
	{"a drink's history after ten years", "ms", 100, the("NotesAfterTenYears/history/10_years", ns, ms), ""},
	{"cold start to the first answer", "ms", 50, the("StartAndMemory", "start-ms", 1), "most of it is SQLite opening the file and this program being read from the disk"},
	{"memory after some work", "MB", 40, the("StartAndMemory", "resident-MB", 1), "29 of them are this program's own file, as far as the kernel has mapped it, and given back at need; 20 to 24 are held"},
	{"scripts of the first load, gzip", "kB", 115, the("FirstLoad", "kB-gzip", 1), "React's renderer is 64 of them, React and the queries 14, what asks the kitchen 4, the words of the first view 4; what is left is the view"},
	{"the same by brotli", "kB", 105, the("FirstLoad", "kB-brotli", 1), "likewise"},
	{"first figure painted after opening", "ms", 400, the("FirstFigure", "first-figure-ms", 1), "200 ms are the scripts being fetched and run for the first time, 140 the Bench being made by React and 100 its being laid out and painted, on two cores that also run the kitchen and the browser"},
	{"layout shift after it", "", 0.001, the("FirstFigure", "layout-shift", 1), ""},
	{"a keystroke, 95th of 100, over one in a bare field", "ms", 16.7, the("KeystrokeToFigure", "more-p95-ms", 1), "of 50 at the median 5 are until the request is on its way, 12 the kitchen and its answer, 16 React making the figures anew and 14 the frames they are painted in; each amount is one that was not there before"},
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
