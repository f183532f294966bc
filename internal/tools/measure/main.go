// Measure runs the benchmarks in one go and prints what they came to as a table: the goal, what
// was measured, how the two compare, and why where one is short. It is what `make bench` prints,
// and it fails no build: a figure in ms is of the machine it was measured on.
//
//	go run ./internal/tools/measure [-raw FILE]
package main

import (
	"bufio"
	"bytes"
	"flag"
	"fmt"
	"io"
	"os"
	"os/exec"
	"regexp"
	"strconv"
	"strings"
)

// suites are the test runs that the figures come from, in the order they run.
var suites = [][]string{
	{"go", "test", "-run", "^$", "-bench", ".", "-benchmem", "./core/..."},
	{"go", "test", "-run", "^$", "-bench", ".", "-benchmem", "-timeout", "20m", "./internal/...", "./cmd/..."},
	{"go", "test", "-tags", "e2e", "-count=1", "-run", "^$", "-bench", ".", "-timeout", "20m", "./e2e"},
}

func main() {
	raw := flag.String("raw", "", "read what go test printed from this file, and run nothing")
	flag.Parse()
	var out bytes.Buffer
	if *raw != "" {
		text, err := os.ReadFile(*raw)
		if err != nil {
			fmt.Fprintln(os.Stderr, "measure:", err)
			os.Exit(1)
		}
		out.Write(text)
	} else {
		for _, suite := range suites {
			run := exec.Command(suite[0], suite[1:]...)
			run.Stdout, run.Stderr = io.MultiWriter(&out, os.Stdout), os.Stderr
			if err := run.Run(); err != nil {
				fmt.Fprintln(os.Stderr, "measure:", strings.Join(suite, " "), err)
				os.Exit(1)
			}
		}
	}
	printTables(os.Stdout, read(&out))
}

// figures are what was measured, by benchmark and unit: figures["ReckonTwelveLines"]["ns/op"].
type figures map[string]map[string]float64

// cores is what go test puts behind a benchmark's name.
var cores = regexp.MustCompile(`-\d+$`)

// read takes the figures from what go test -bench prints.
func read(r io.Reader) figures {
	all := figures{}
	for in := bufio.NewScanner(r); in.Scan(); {
		words := strings.Fields(in.Text())
		if len(words) < 3 || !strings.HasPrefix(words[0], "Benchmark") {
			continue
		}
		name := cores.ReplaceAllString(strings.TrimPrefix(words[0], "Benchmark"), "")
		of := map[string]float64{}
		for n := 2; n+1 < len(words); n += 2 {
			if v, err := strconv.ParseFloat(words[n], 64); err == nil {
				of[words[n+1]] = v
			}
		}
		all[name] = of
	}
	return all
}

// printTables prints what is measured beside its goal, and how it grows.
func printTables(w io.Writer, all figures) {
	fmt.Fprintf(w, "\n| what | goal | measured | measured ÷ goal | |\n|---|---|---|---|---|\n")
	for _, g := range goals {
		v, ok := g.of(all)
		if !ok {
			fmt.Fprintf(w, "| %s | %s | not measured | | |\n", g.what, shown(g.most, g.unit))
			continue
		}
		why := ""
		if v > g.most {
			why = g.short
		}
		ratio := ""
		if g.most > 0 {
			ratio = fmt.Sprintf("%.2f", v/g.most)
		}
		fmt.Fprintf(w, "| %s | %s | %s | %s | %s |\n", g.what, shown(g.most, g.unit), shown(v, g.unit), ratio, why)
	}
	for _, g := range growths {
		fmt.Fprintf(w, "\n%s: ", g.what)
		first := 0.
		for n, step := range g.steps {
			v := all[g.name+"/"+step]["ns/op"]
			if n == 0 {
				first = v
			}
			if n > 0 {
				fmt.Fprint(w, ", ")
			}
			fmt.Fprintf(w, "%s %.3g ms (×%.1f)", step, v/1e6, v/max(first, 1))
		}
		fmt.Fprintln(w)
	}
}

func shown(v float64, unit string) string {
	return strings.TrimSpace(strconv.FormatFloat(v, 'g', 4, 64) + " " + unit)
}
