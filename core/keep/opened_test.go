package keep

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
)

// What is open keeps as its kind does (common practice, no source; a tin's
// three to four days are also USDA FoodKeeper's, from memory).
func TestWhatIsOpenKeepsAsItsKindDoes(t *testing.T) {
	t.Parallel()
	tests := []struct {
		id                  string
		cautious, customary float64
	}{
		{"coconut-milk-can", 3, 4}, {"dairy-milk", 3, 4}, {"carton-oat", 3, 4}, {"pumpkin-canned", 2, 3}, {"lime-juice", 1, 2}, {"condensed-milk", 3, 4},
		{"lemongrass", 5, 7}, {"ginger-fresh", 3, 5}, {"rosewater", 90, 180}, {"stevia-liquid", 60, 180}, {"vanilla", 365, 730},
		{"maple-syrup", 90, 180}, {"date", 90, 180}, {"coconut-oil", 90, 180}, {"walnut", 30, 90}, {"milk-powder", 30, 90},
		{"white-sugar", 180, 365}, {"white-rice", 180, 365}, {"cocoa", 180, 365}, {"salt", 180, 365},
	}
	catalogue := ingredient.Standard()
	for _, tt := range tests {
		i, ok := catalogue.ByID(tt.id)
		require.True(t, ok, tt.id)
		life := OpenedLife(i)
		assert.Equal(t, tt.cautious, life.Days(Cautious), tt.id)
		assert.Equal(t, tt.customary, life.Days(Customary), tt.id)
		assert.NotEmpty(t, life.Where, tt.id)
	}
	for _, i := range catalogue.All() {
		life := OpenedLife(i)
		assert.GreaterOrEqual(t, life.CustomaryDays, life.CautiousDays, i.ID)
		assert.GreaterOrEqual(t, life.CautiousDays, 1., i.ID)
	}
}

func TestThePrintedDateComesFirst(t *testing.T) {
	t.Parallel()
	opened := time.Date(2026, 11, 24, 0, 0, 0, 0, time.UTC)
	life := Opened{3, 4, "the fridge"}
	assert.Equal(t, opened.AddDate(0, 0, 2), life.UseBy(opened, time.Time{}, Cautious), "the day it is opened is day 1")
	assert.Equal(t, opened.AddDate(0, 0, 3), life.UseBy(opened, opened.AddDate(0, 0, 30), Customary))
	assert.Equal(t, opened.AddDate(0, 0, 1), life.UseBy(opened, opened.AddDate(0, 0, 1), Cautious))
}
