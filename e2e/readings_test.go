//go:build e2e

package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// A thermometer's file is seen as it is read, with what it costs each bottle, before anything of
// it is imported; and it is taken back whole.
func TestReadingsAreSeenBeforeTheyAreImported(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	var file strings.Builder
	file.WriteString("\uFEFFsep=;\r\nTime;Temp (°F);Humidity\r\n")
	begin := time.Now().Add(-5 * time.Hour)
	for n := range 17 {
		fmt.Fprintf(&file, "%s;55,4;81\r\n", begin.Add(time.Duration(n)*15*time.Minute).Format("02/01/2006 15:04"))
	}
	file.WriteString("then the battery was empty\r\n")
	path := filepath.Join(t.TempDir(), "probe.csv")
	require.NoError(t, os.WriteFile(path, []byte(file.String()), 0o600))

	p.open("/shelf")
	p.click("button", "Import readings")
	p.sees("Drop a file here, or choose one", "Nothing is imported until you say so")
	look(p, "readings-choose")
	p.attach("csv", path)
	p.sees("probe.csv", "is read as", "13.0 °C", "17 readings from", "What it changes", "throw it away")
	look(p, "readings-look")
	choose(p, "Temperatures in", "°C")
	p.sees("choose °F if that is what the thermometer shows")
	require.False(t, evaluate[found](p, "find", "button", "Import").Able, "not as it is read now")
	choose(p, "Temperatures in", "°F")
	p.sees("throw it away")
	p.click("summary", "Show the lines that are left out")
	p.sees("then the battery was empty")
	require.Empty(t, axeFaults(p))
	p.click("button", "Import")
	p.sees("Imported files")
	p.click("summary", "Imported files")
	p.sees("17 readings imported on")
	look(p, "readings-imported")
	p.click("button", "Take back probe.csv")
	p.seesNot("17 readings imported on")

	p.click("button", "Import readings")
	p.fill("Or paste the readings", "a shopping list")
	p.expects("422")
	p.click("button", "Show what is in it")
	p.sees("no readings that can be made out")
	p.click("button", "Another file")
	p.fill("Or paste the readings", begin.Format("2006-01-02 15:04")+",4,2")
	p.click("button", "Show what is in it")
	p.sees("4,2 is read as", "4.2 °C", "1 reading from")
}
