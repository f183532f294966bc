package main

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

// What go test prints is read by name and unit, and a row is short, met or not measured.
func TestTheTableIsReadFromWhatIsPrinted(t *testing.T) {
	t.Parallel()
	all := read(strings.NewReader("goos: linux\nBenchmarkReckonTwelveLines-2   \t 13575\t 45000 ns/op\t 28232 B/op\t 50 allocs/op\nBenchmarkReckonGrows/lines=5-2 10 2000000 ns/op\nBenchmarkFirstLoad-2 1 99.5 kB-gzip\nPASS\n"))
	assert.InDelta(t, 45000, all["ReckonTwelveLines"]["ns/op"], 0)
	assert.InDelta(t, 99.5, all["FirstLoad"]["kB-gzip"], 0)
	var out strings.Builder
	printTables(&out, all)
	for _, row := range []string{"| 30 µs | 45 µs | 1.50 | the process", "| allocations of it | 60 | 50 | 0.83 |  |", "| 100 ms | not measured |", "lines=5 2 ms (×1.0)"} {
		assert.Contains(t, out.String(), row)
	}
}
