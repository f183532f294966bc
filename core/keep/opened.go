package keep

import (
	"time"

	"plushladle/core/ingredient"
)

// Opened is how long the rest of a pack keeps once it is open, in days by each
// school, and where it belongs.
type Opened struct {
	CautiousDays, CustomaryDays float64 // days after opening
	Where                       string  // a code: where it belongs once opened
}

// Shares of its mass by which an opened pack is told apart, and how long each
// kind is kept (common practice, no source). What has a fridge life of its own,
// such as a carton or a tin, has that.
const (
	strong  = 0.20 // of alcohol, on which nothing grows
	moist   = 0.20 // of water: a syrup at least
	fresh   = 0.40 // and what spoils within days
	oily    = 0.90 // of fat: an oil or butter
	fatty   = 0.20 // of fat, which turns rancid
	scented = 0.01 // of sugars and protein, in a flower water
)

// Where an opened pack is kept, as codes.
const (
	inACool    = "cupboard"          // dry and dark
	inTheJar   = "closed-jar"        // dry, and shut against damp
	inTheCold  = "fridge"            // 4 °C
	inACovered = "covered-in-fridge" // poured out of the can, under a lid
)

// OpenedLife is how long the rest of an opened pack of an ingredient keeps.
func OpenedLife(i *ingredient.Ingredient) Opened {
	c := i.PerGram
	switch {
	case c[ingredient.Alcohol] >= strong:
		return Opened{365, 730, inACool}
	case i.Life.CautiousDays > 0 && (c[ingredient.Water] >= moist || i.Bare): // a bare row has what the cook wrote
		return Opened{i.Life.CautiousDays, i.Life.CustomaryDays, inACovered}
	case c[ingredient.Water] >= fresh && i.Role == ingredient.Sweetener:
		return Opened{60, 180, inTheCold}
	case c[ingredient.Water] >= fresh && i.Class == ingredient.Soluble && c.SugarsG()+c[ingredient.Protein] < scented:
		return Opened{90, 180, inTheCold}
	case c[ingredient.Water] >= fresh:
		return Opened{5, 7, inTheCold}
	case c[ingredient.Fat] >= oily, c[ingredient.Water] >= moist:
		return Opened{90, 180, inACool}
	case c[ingredient.Fat] >= fatty:
		return Opened{30, 90, inTheJar}
	}
	return Opened{180, 365, inTheJar}
}

// Days is the life by a school.
func (o Opened) Days(s School) float64 {
	if s == Customary {
		return o.CustomaryDays
	}
	return o.CautiousDays
}

// UseBy is the last good day of a pack opened on a day, the day it is opened
// being day 1, and never later than the date printed on it (zero for none).
func (o Opened) UseBy(openedOn, printed time.Time, s School) time.Time {
	last := openedOn.AddDate(0, 0, WholeDays(o.Days(s))-1)
	if !printed.IsZero() && printed.Before(last) {
		return printed
	}
	return last
}
