package reading_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"plushladle/core/quantity"
	"plushladle/core/reading"
)

func ExampleReader_Line() {
	line, _ := reading.Standard().Line("1 1/2 cups raw hazelnuts, soaked overnight")
	fmt.Println(line.Amount, "|", line.Ingredient.Name, "|", line.Note)
	// Output: 1½ cups | Hazelnuts | soaked overnight
}

// Whatever is typed is read without a panic, and what was read, written out and read
// again is the same.
func FuzzReadLine(f *testing.F) {
	for _, seed := range []string{"1 1/2 cups raw hazelnuts, soaked overnight", "½ tsp nutmeg", "a pinch of salt", "seeds of 1 vanilla bean", "- 2 (14 oz) cans condensed milk (cold), to serve", "-1 cup water", "((((", "1e300 kg sugar", "€€ 3/0 ½"} {
		f.Add(seed)
	}
	f.Fuzz(func(t *testing.T, text string) {
		line, err := reading.Standard().Line(text)
		if err != nil || line.Ingredient == nil || line.Amount.IsOpen() || line.Amount.IsToCover() || line.Amount.IsToTotal() {
			return
		}
		g, _, err := line.Grams(quantity.US)
		require.False(t, err == nil && (math.IsNaN(g) || math.IsInf(g, 0)))
		again, err := reading.Standard().Line(line.Amount.String() + " " + line.Ingredient.Name)
		require.NoError(t, err)
		require.Equal(t, line.Ingredient, again.Ingredient)
		require.Equal(t, line.Amount.String(), again.Amount.String())
	})
}

// No page makes the reader fail, and none of its lines is lost.
func FuzzReadPage(f *testing.F) {
	for _, seed := range []string{"# A\n1 cup almonds\nMethod\nSoak 8 h.", "Serves\n\n::\n", "for 4 people\n(((\n1/0 cups water", "FOR THE\n½ of a"} {
		f.Add(seed)
	}
	f.Fuzz(func(t *testing.T, text string) {
		page := reading.Standard().ReadPage(text)
		for _, o := range page.Offers {
			require.NotEmpty(t, o.Sentence)
			require.LessOrEqual(t, o.Low, max(o.Low, o.High))
		}
		for _, item := range page.Items {
			require.NotEmpty(t, item.Text)
			require.True(t, item.Kind != reading.Ingredient || len(item.Reading.Lines) > 0)
		}
	})
}

// The goals: a line in 20 µs, a page of 200 in 5 ms. The line is measured against
// finding the name alone.
func BenchmarkRead(b *testing.B) {
	r := reading.Standard()
	lines := []string{"1 1/2 cups raw hazelnuts, soaked overnight", "1 (14 oz) can sweetened condensed milk", "½ to 1 tsp ground cinnamon", "2 tbsp maple syrup, agave or honey", "juice of half a lemon"}
	b.Run("line", func(b *testing.B) {
		for n := 0; b.Loop(); n++ {
			_, _ = r.Read(lines[n%len(lines)])
		}
	})
	b.Run("name", func(b *testing.B) {
		for b.Loop() {
			_, _ = r.Name("Hazelnuts")
		}
	})
	page := "A milk\n" + strings.Repeat(strings.Join(lines, "\n")+"\n", 40)
	b.Run("page-of-200", func(b *testing.B) {
		for b.Loop() {
			r.ReadPage(page)
		}
	})
}
