package main

import (
	"fmt"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

// The twelve-line drink of the benchmarks, as a cook would put it into a spreadsheet: amounts, what
// a measure of each weighs, its sugar and fat, and sums of mass, sugar, fat and cost. The sheet
// knows nothing of the soak, the pulp, what passes the strainer, how long it keeps or who may
// drink it: those are what it is held against.
var sheetLines = []string{
	"1 cup pecans", "1/2 cup pearl barley", "4 cups water", "2 tbsp maple syrup", "2 large dates", "1/2 tsp cardamom",
	"1/4 tsp nutmeg", "1 tsp vanilla", "1 tbsp coconut oil", "1/8 tsp salt", "1 tbsp cocoa", "1 inch ginger",
}

// sums are the cells of the totals: mass, sugar, fat and cost.
var sums = []string{"C14", "E14", "G14", "I14"}

func sheet(t testing.TB) (*excelize.File, *reckon.Drink) {
	t.Helper()
	reader := reading.Standard()
	d := reckon.New("sheet")
	f := excelize.NewFile()
	for n, text := range sheetLines {
		read, err := reader.Read(text)
		require.NoError(t, err)
		line := read.Lines[0]
		d.Lines = append(d.Lines, line)
		row := n + 2
		values := rowOf(t, line)
		for column, v := range map[string]float64{"A": values[0], "B": values[1], "D": values[2], "F": values[3], "H": .01} {
			require.NoError(t, f.SetCellFloat("Sheet1", column+strconv.Itoa(row), v, 8, 64))
		}
		for column, formula := range map[string]string{"C": "A%[1]d*B%[1]d", "E": "C%[1]d*D%[1]d/100", "G": "C%[1]d*F%[1]d/100", "I": "C%[1]d*H%[1]d"} {
			require.NoError(t, f.SetCellFormula("Sheet1", column+strconv.Itoa(row), fmt.Sprintf(formula, row)))
		}
	}
	for _, cell := range sums {
		require.NoError(t, f.SetCellFormula("Sheet1", cell, fmt.Sprintf("SUM(%[1]s2:%[1]s13)", cell[:1])))
	}
	return f, &d
}

// rowOf is a line's amount as one, what that weighs, and its sugar and fat in 100 g.
func rowOf(t testing.TB, line recipe.Line) [4]float64 {
	t.Helper()
	g, _, err := line.Grams(quantity.US)
	require.NoError(t, err)
	per := line.Ingredient.PerGram
	return [4]float64{1, g, 100 * per.SugarsG(), 100 * per[ingredient.Fat]}
}

// What both can say, they say alike.
func TestTheSheetAndTheKitchenAgree(t *testing.T) {
	t.Parallel()
	f, d := sheet(t)
	r, err := d.Reckon()
	require.NoError(t, err)
	mass := 0.
	for _, line := range r.Lines {
		mass += line.MassG
	}
	said, err := f.CalcCellValue("Sheet1", sums[0])
	require.NoError(t, err)
	v, err := strconv.ParseFloat(said, 64)
	require.NoError(t, err)
	assert.InDelta(t, mass, v, .01)
}

// BenchmarkSpreadsheet changes an amount and works out the four sums anew, in the spreadsheet
// engine of the registries.
func BenchmarkSpreadsheet(b *testing.B) {
	f, _ := sheet(b)
	b.Run("recalculate", func(b *testing.B) {
		for n := 0; b.Loop(); n++ {
			require.NoError(b, f.SetCellFloat("Sheet1", "A5", float64(1+n%3), 8, 64))
			for _, cell := range sums {
				if _, err := f.CalcCellValue("Sheet1", cell); err != nil {
					b.Fatal(err)
				}
			}
		}
	})
}
