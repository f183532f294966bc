package exchange

import (
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
)

// WriteTable writes rows as CSV (RFC 4180, UTF-8) under a head of columns. A cell that a
// spreadsheet would take for a formula gets an apostrophe before it, as spreadsheets have it for
// text; ReadTable takes it off again.
func WriteTable(w io.Writer, columns []string, rows [][]string) error {
	out := csv.NewWriter(w)
	if err := out.Write(columns); err != nil {
		return err
	}
	for _, row := range rows {
		safe := make([]string, len(row))
		for n, cell := range row {
			safe[n] = defused(newlines.Replace(cell))
		}
		if err := out.Write(safe); err != nil {
			return err
		}
	}
	out.Flush()
	return out.Error()
}

// newlines ends lines alike, however a file or a field ended them: a table that is read, written and
// read again is the same.
var newlines = strings.NewReplacer("\r\n", "\n", "\r", "\n")

// formulaSigns begin what a spreadsheet works out; the apostrophe stands for itself, so that
// reading is the exact way back.
const formulaSigns = "=+-@\t\n'"

func defused(cell string) string {
	if cell == "" || !strings.ContainsRune(formulaSigns, rune(cell[0])) {
		return cell
	}
	if _, err := strconv.ParseFloat(cell, 64); err == nil { // −0.5 is a number and no formula
		return cell
	}
	return "'" + cell
}

func armed(cell string) string {
	if len(cell) > 1 && cell[0] == '\'' && strings.ContainsRune(formulaSigns, rune(cell[1])) {
		return cell[1:]
	}
	return cell
}

// Row is a line of a table, by its columns.
type Row struct {
	Line  int // in the file, from 1
	Cells map[string]string
}

// Float is a number in a column; ok is false for an empty cell. The error says what will do.
func (r Row) Float(column string) (v float64, ok bool, err error) {
	cell := strings.TrimSpace(r.Cells[column])
	if cell == "" {
		return 0, false, nil
	}
	v, err = strconv.ParseFloat(cell, 64)
	if err != nil {
		return 0, false, fmt.Errorf("%s: %q is not a number; write 4.8", column, cell)
	}
	return v, true, nil
}

// Int is a whole number in a column; 0 for an empty cell.
func (r Row) Int(column string) (int64, error) {
	cell := strings.TrimSpace(r.Cells[column])
	if cell == "" {
		return 0, nil
	}
	v, err := strconv.ParseInt(cell, 10, 64)
	if err != nil || v < 0 {
		return 0, fmt.Errorf("%s: %q is not a number of one", column, cell)
	}
	return v, nil
}

// ReadTable reads a table whose first line names its columns, in any order; others are left
// alone. Commas or semicolons stand between cells. A column that is needed and missing fails the
// whole.
func ReadTable(text string, needed []string) ([]Row, error) {
	text = newlines.Replace(strings.TrimPrefix(text, "\ufeff"))
	in := csv.NewReader(strings.NewReader(text))
	in.FieldsPerRecord, in.LazyQuotes = -1, true
	if head := firstLine(text); strings.Count(head, ";") > strings.Count(head, ",") {
		in.Comma = ';'
	}
	head, err := in.Read()
	if err != nil {
		return nil, fmt.Errorf("the first line has to name the columns: %s", strings.Join(needed, ","))
	}
	for n := range head {
		head[n] = strings.ToLower(strings.TrimSpace(head[n]))
	}
	for _, column := range needed {
		if !slices.Contains(head, column) {
			return nil, fmt.Errorf("the column %s is missing; the first line has to name %s", column, strings.Join(needed, ","))
		}
	}
	var rows []Row
	for {
		fields, err := in.Read()
		if errors.Is(err, io.EOF) {
			return rows, nil
		}
		if err != nil {
			return nil, err
		}
		line, _ := in.FieldPos(0)
		row := Row{line, map[string]string{}}
		for n, cell := range fields {
			if n < len(head) {
				row.Cells[head[n]] = armed(cell)
			}
		}
		rows = append(rows, row)
	}
}

func firstLine(text string) string {
	line, _, _ := strings.Cut(strings.TrimSpace(text), "\n")
	return strings.TrimSpace(line)
}
