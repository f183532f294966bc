package files

import (
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"time"

	"plushladle/internal/app"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// table is one file: its columns, what stands in it, and how a row of it is taken in. A row that
// bears the number of something changes that; one without adds something.
type table struct {
	name    string
	columns []string
	needed  []string // to be read
	rows    func(Service) ([][]string, error)
	take    func(Service, exchange.Row) error
}

// tables are all of them, in the order they are taken in.
func tables() []table {
	return []table{
		{"pantry", []string{"ingredient_id", "ingredient", "stock_g", "low_g", "price", "pack", "in_shell"}, []string{"ingredient_id"}, Service.pantryRows, Service.takePantry},
		{"batches", []string{"batch", "drink", "version", "made_on", "forecast_ml", "measured_ml", "pulp_g", "dried_pulp_g", "cost_per_l", "notes"}, []string{"drink", "made_on"}, Service.batchRows, Service.takeBatch},
		{"tastings", []string{"tasting", "batch", "bottle", "who", "at", "sweet", "body", "spice", "salt", "stars", "flags", "words"}, []string{"batch"}, Service.tastingRows, Service.takeTasting},
		{"bottles", []string{"bottle", "batch", "drink", "volume_ml", "left_ml", "place", "use_by", "state", "ended_why"}, []string{"batch", "volume_ml"}, Service.bottleRows, Service.takeBottle},
		{"pours", []string{"pour", "bottle", "ml", "poured_at"}, []string{"bottle", "ml"}, Service.pourRows, Service.takePour},
	}
}

// Names are the tables there are; that of temperatures is the thermometer's.
func Names() []string {
	var out []string
	for _, t := range tables() {
		out = append(out, t.name)
	}
	return out
}

func named(name string) (table, error) {
	all := tables()
	at := slices.IndexFunc(all, func(t table) bool { return t.name == name })
	if at < 0 {
		return table{}, store.ErrNotFound
	}
	return all[at], nil
}

// Write writes a table as CSV.
func (s Service) Write(name string, w io.Writer) error {
	t, err := named(name)
	if err != nil {
		return err
	}
	rows, err := t.rows(s)
	if err != nil {
		return err
	}
	return exchange.WriteTable(w, t.columns, rows)
}

// Table is a file to be taken in.
type Table struct {
	CSV string `json:"csv" maxLength:"4000000" doc:"the first line names the columns; see the guide"`
}

// Taken is what was taken in.
type Taken struct {
	Rows int `json:"rows"`
}

// mostTold are the rows told of that were not understood.
const mostTold = 5

// Read takes a table in, whole or not at all: what is wrong with it is told line by line.
func (s Service) Read(name string, in Table) (Taken, error) {
	t, err := named(name)
	if err != nil {
		return Taken{}, err
	}
	rows, err := exchange.ReadTable(in.CSV, t.needed)
	if err != nil {
		return Taken{}, refusedFile(err.Error())
	}
	var wrong []string
	for _, row := range rows {
		if err := t.take(s, row); err != nil {
			wrong = append(wrong, wording.Say("csv-line", row.Line, toldOf(err)))
		}
	}
	if len(wrong) > 0 {
		more := ""
		if len(wrong) > mostTold {
			more = " " + wording.Say("csv-more-lines", len(wrong)-mostTold)
		}
		return Taken{}, refusedFile(strings.Join(wrong[:min(len(wrong), mostTold)], " ") + more)
	}
	s.Changed()
	return Taken{len(rows)}, nil
}

func refusedFile(words string) error {
	said := wording.Say("csv-refused", words)
	return &app.Refused{Text: said, Field: "csv", Message: said}
}

// toldOf is what is wrong with a row, in words.
func toldOf(err error) string {
	if errors.Is(err, store.ErrNotFound) {
		return wording.Say("csv-not-there")
	}
	return wording.Error(err)
}

func number(v float64) string {
	if v == 0 {
		return ""
	}
	return strconv.FormatFloat(v, 'f', -1, 64)
}

func maybe(v *float64) string {
	if v == nil {
		return ""
	}
	return strconv.FormatFloat(*v, 'f', -1, 64)
}

func id(n int64) string {
	if n == 0 {
		return ""
	}
	return strconv.FormatInt(n, 10)
}

func moment(t time.Time) string { return t.UTC().Format(time.RFC3339) }

// momentIn is a moment of a row; now for an empty cell.
func (s Service) momentIn(row exchange.Row, column string) (time.Time, error) {
	cell := strings.TrimSpace(row.Cells[column])
	if cell == "" {
		return s.Now(), nil
	}
	at, err := time.Parse(time.RFC3339, cell)
	if err != nil {
		return at, fmt.Errorf("%s: write 2026-11-24T15:00:00Z", column)
	}
	return at, nil
}

// floats are several numbers of a row; 0 for empty cells. Each has to lie between least and most.
func floats(row exchange.Row, least, most float64, columns ...string) ([]float64, error) {
	out := make([]float64, len(columns))
	for n, column := range columns {
		v, _, err := row.Float(column)
		if err != nil {
			return nil, err
		}
		if !(v >= least && v <= most) {
			return nil, fmt.Errorf("%s: %g is not between %g and %g", column, v, least, most)
		}
		out[n] = v
	}
	return out, nil
}
