package exchange

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestATableOutAndInAgain(t *testing.T) {
	t.Parallel()
	columns := []string{"name", "words", "ml"}
	rows := [][]string{{"Almond milk", "=1+1", "-0.5"}, {"a \"quoted\", one", "two\nlines", ""}, {"'tis", "+44 and @home", "1e3"}, {"\tindented", "ñandú", "3"}, {"\nbelow", "'", "="}}
	var file strings.Builder
	require.NoError(t, WriteTable(&file, columns, rows))
	assert.Contains(t, file.String(), "'=1+1")
	assert.NotContains(t, file.String(), "'-0.5")
	read, err := ReadTable(file.String(), columns)
	require.NoError(t, err)
	require.Len(t, read, len(rows))
	for n, row := range read {
		assert.Equal(t, rows[n], []string{row.Cells["name"], row.Cells["words"], row.Cells["ml"]})
	}
}

// What spreadsheets of other countries write is read as well; what is missing is named.
func TestTablesOfOtherPrograms(t *testing.T) {
	t.Parallel()
	read, err := ReadTable("\ufeffML;Name\n4.8;Oat\n", []string{"name", "ml"})
	require.NoError(t, err)
	assert.Equal(t, "Oat", read[0].Cells["name"])
	v, ok, err := read[0].Float("ml")
	assert.Equal(t, []any{4.8, true, nil}, []any{v, ok, err})
	for name, end := range map[string]string{"Unix": "\n", "Windows": "\r\n", "an old Mac": "\r"} {
		read, err = ReadTable(strings.Join([]string{"name,ml", "Oat,4", "\"two", "lines\",5"}, end), []string{"name", "ml"})
		require.NoError(t, err, name)
		require.Len(t, read, 2, name)
		assert.Equal(t, "two\nlines", read[1].Cells["name"], name)
	}
	_, err = ReadTable("name\nOat\n", []string{"name", "ml"})
	assert.ErrorContains(t, err, "the column ml is missing")
	_, _, err = Row{1, map[string]string{"ml": "4,8"}}.Float("ml")
	assert.ErrorContains(t, err, "write 4.8")
}

func FuzzReadTable(f *testing.F) {
	f.Add("name,ml\nOat,4\n")
	f.Add("name\r\"a\r\r\r\n\"\r")
	f.Add("\ufeffname;ml\n'=1;\"a\nb\"\n")
	f.Fuzz(func(t *testing.T, text string) {
		rows, err := ReadTable(text, []string{"name"})
		if err != nil {
			return
		}
		var again [][]string
		for _, r := range rows {
			again = append(again, []string{r.Cells["name"]})
		}
		var file strings.Builder
		require.NoError(t, WriteTable(&file, []string{"name"}, again))
		back, err := ReadTable(file.String(), []string{"name"})
		require.NoError(t, err)
		n := 0
		for _, r := range again { // an empty line of one column is no line
			if r[0] == "" {
				continue
			}
			for n < len(back) && back[n].Cells["name"] == "" {
				n++
			}
			require.Less(t, n, len(back))
			require.Equal(t, r[0], back[n].Cells["name"])
			n++
		}
	})
}
