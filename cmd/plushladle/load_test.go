package main

import (
	"fmt"
	"math"
	"net/http"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/glebarez/sqlite"
	"github.com/stretchr/testify/require"
	"gorm.io/gorm"
)

// A kitchen as it is after ten years: what is in use is little, what is on
// record is much.
const (
	tenYearsBatches = 5_000
	tenYearsBottles = 20_000
	tenYearsInUse   = 60 // the oldest of them two months in the freezer
	tenYearsMinutes = 10 * 365 * 24 * 60
)

// tenYears fills the demo kitchen's file up to that. It is one statement a
// table, so that it takes seconds.
func tenYears(t testing.TB, path string) {
	t.Helper()
	db, err := gorm.Open(sqlite.Open(path), &gorm.Config{})
	require.NoError(t, err)
	now := time.Now()
	day := func(ago string) string { return fmt.Sprintf("date('now', '-' || (%s) || ' days')", ago) }
	for _, sql := range []string{
		fmt.Sprintf(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < %d)
			INSERT INTO batches (drink_id, version_id, drink_name, made_on, forecast_ml, created_at, used, times)
			SELECT v.drink_id, v.id, d.name, %s, 1000, datetime('now'), '[]', '[]' FROM n
			JOIN versions v ON v.id = 1 + n.i %% (SELECT COUNT(*) FROM versions) JOIN drinks d ON d.id = v.drink_id`, tenYearsBatches, day("10 + i % 3640")),
		fmt.Sprintf(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < %d)
			INSERT INTO bottles (batch_id, volume_ml, left_ml, serving_ml, place, first_place, use_by, other_use_by, school, reasons, allergens, state, ended_why, ended_at, created_at, cautious_days, customary_days)
			SELECT (SELECT MAX(id) FROM batches) - i / 4, 500, 0, 30, 'fridge', 'fridge', %s, %s, 'cautious', '[]', '[]', 'finished', 'used up', datetime('now'), datetime('now'), 3, 5 FROM n`,
			tenYearsBottles, day("7 + i % 3640"), day("5 + i % 3640")),
		fmt.Sprintf(`UPDATE bottles SET state = 'in use', left_ml = 300, place = CASE WHEN id %% 2 THEN 'freezer' ELSE 'fridge' END, first_place = CASE WHEN id %% 2 THEN 'freezer' ELSE 'fridge' END
			WHERE id > (SELECT MAX(id) FROM bottles) - %d`, tenYearsInUse),
		fmt.Sprintf(`UPDATE batches SET made_on = %s WHERE id IN (SELECT batch_id FROM bottles WHERE state = 'in use')`, day("id % 60")),
		`INSERT INTO pours (bottle_id, ml, poured_at) SELECT id, 200, created_at FROM bottles`,
		fmt.Sprintf(`WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i < %d)
			INSERT OR REPLACE INTO temperatures (at, temp_c) SELECT %d + 60 * i, 4 + (i %% 7) / 10.0 FROM n`, tenYearsMinutes, now.Unix()-60*tenYearsMinutes),
	} {
		require.NoError(t, db.Exec(sql).Error)
	}
	raw, err := db.DB()
	require.NoError(t, err)
	require.NoError(t, raw.Close())
}

// residentMB is the most memory a process has held so far.
func residentMB(t testing.TB, pid int) float64 {
	t.Helper()
	status, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", pid))
	require.NoError(t, err)
	for _, line := range strings.Split(string(status), "\n") {
		var kB float64
		if _, err := fmt.Sscanf(line, "VmHWM: %f kB", &kB); err == nil {
			return kB / 1024
		}
	}
	return math.NaN()
}

// p95MS is how long a request takes at most, nineteen times of twenty.
func p95MS(times []time.Duration) float64 {
	slices.Sort(times)
	return float64(times[len(times)*95/100].Microseconds()) / 1000
}

// BenchmarkTenYears looks at the shelf and pours, in a kitchen ten years full
// and in the demo kitchen in the same run.
func BenchmarkTenYears(b *testing.B) {
	data := filepath.Join(b.TempDir(), "kitchen.db")
	closed := openDemo(b, data)
	require.NoError(b, closed.cmd.Process.Signal(syscall.SIGTERM))
	require.NoError(b, closed.cmd.Wait())
	small := filepath.Join(b.TempDir(), "small.db")
	whole, err := os.ReadFile(data)
	require.NoError(b, err)
	require.NoError(b, os.WriteFile(small, whole, 0o600))
	tenYears(b, data)
	for _, tt := range []struct{ name, path string }{{"demo", small}, {"ten-years", data}} {
		b.Run(tt.name, func(b *testing.B) {
			o := openDemo(b, tt.path)
			bottle := o.bottle()
			var shelf, pour []time.Duration
			for b.Loop() {
				began := time.Now()
				status, _ := o.call("GET", "/api/shelf", "")
				shelf = append(shelf, time.Since(began))
				require.Equal(b, http.StatusOK, status)
				began = time.Now()
				status, answer := o.call("POST", bottle+"/pours", `{"ml":1}`)
				pour = append(pour, time.Since(began))
				require.Equal(b, http.StatusOK, status, answer)
				status, _ = o.call("POST", bottle+"/undo-pour", "")
				require.Equal(b, http.StatusOK, status)
			}
			b.ReportMetric(p95MS(shelf), "shelf-p95-ms")
			b.ReportMetric(p95MS(pour), "pour-p95-ms")
			b.ReportMetric(residentMB(b, o.cmd.Process.Pid), "resident-MB")
		})
	}
}
