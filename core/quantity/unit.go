package quantity

import (
	"strings"

	"plushladle/core/fault"
)

// System is a system of kitchen measures: what a cup, a spoon and a fluid
// ounce hold. Masses and metric volumes are the same in all of them.
type System uint8

// The measure systems.
const (
	US         System = iota // cup of 236.6 mL, legal in the United States
	Metric                   // cup of 250 mL, spoon of 15
	Australian               // tablespoon of 20 mL, which only Australia has
	Imperial                 // pint of 568 mL
)

var systemNames = [...]string{US: "us", Metric: "metric", Australian: "au", Imperial: "imperial"} // as stored and sent

func (s System) String() string { return systemNames[s] }

// ParseSystem reads us, metric, au or imperial.
func ParseSystem(name string) (System, error) {
	for i, n := range systemNames {
		if n == name {
			return System(i), nil
		}
	}
	return US, fault.New("system", name, "unknown-system")
}

// Dimension tells what a unit measures.
type Dimension uint8

// The dimensions of kitchen units.
const (
	Count  Dimension = iota // pieces
	Mass                    // in grams
	Volume                  // in millilitres
)

// Unit is a unit people write amounts in.
type Unit uint8

// The units. Piece stands for a bare number of things.
const (
	Piece        Unit = iota // of nothing in particular: 3 dates
	Milligram                // g/1000
	Gram                     // the unit all masses are reckoned in
	Kilogram                 // 1000 g
	Ounce                    // avoirdupois
	Pound                    // 16 oz
	Millilitre               // the unit all volumes are reckoned in
	Centilitre               // 10 mL
	Decilitre                // 100 mL, usual in Scandinavia
	Litre                    // 1000 mL
	Teaspoon                 // by the system
	Tablespoon               // by the system; four teaspoons in Australia
	FluidOunce               // of volume, never of weight
	Cup                      // by the system
	Pint                     // by the system
	Quart                    // two pints
	Gallon                   // four quarts
	Dash                     // ⅛ tsp, common practice
	Pinch                    // 1⁄16 tsp, common practice
	Smidgen                  // 1⁄32 tsp, common practice
	Capful                   // of the bottle it closes
	Drizzle                  // from a bottle, thin
	Shake                    // of a shaker
	Inch                     // of ginger or cinnamon, by length
	Thumb                    // of ginger, as long as one
	Stick                    // of butter, or of cinnamon
	Bean                     // of vanilla
	Pod                      // of cardamom
	Can                      // its contents, drained or not by the ingredient
	Carton                   // its contents
	Jar                      // its contents
	Bottle                   // its contents
	Sachet                   // its contents
	Strip                    // of peel
	Strand                   // of saffron
	Slice                    // of ginger, lemon
	Drop                     // from a dropper
	Splash                   // a word, not a measure: nothing is reckoned from it alone
	Glug                     // likewise
	Handful                  // likewise
	Shot                     // of espresso
	Dessertspoon             // 10 mL, between tea and table
	Glass                    // to drink from
	Mug                      // to drink from
	Bowl                     // to eat from
	Centimetre               // of a root or a stick
	OwnMeasure               // a measure of the cook's own, named in its Term
	unitCount                // how many there are
)

// Masses in grams and volumes in millilitres.
// Source of the customary figures: NIST Handbook 44, Appendix C.
const (
	gramsPerOunce = 28.349523125 // exact, by definition since 1959
	gramsPerPound = 453.59237    // likewise

	usTeaspoonML   = 4.92892159375  // exact: a 768th of a gallon
	usTablespoonML = 14.78676478125 // a 256th
	usFluidOunceML = 29.5735295625  // a 128th
	usCupML        = 236.5882365    // a 16th
	usPintML       = 473.176473     // an 8th
	usQuartML      = 946.352946     // a quarter
	usGallonML     = 3785.411784    // 231 cubic inches, exact

	imperialFluidOunceML = 28.4130625 // exact: a 160th of 4.54609 L
	imperialPintML       = 568.26125  // an 8th of 4.54609 L

	imperialTablespoonML = 17.758     // common practice: five eighths of a fluid ounce
	imperialTeaspoonML   = 5.919      // common practice: a third of the tablespoon
	imperialCupML        = 284.130625 // ten fluid ounces, as old cups had it

	capfulML      = 5    // from memory, until the cook calibrates it
	drizzleML     = 5    // from memory, until the cook calibrates it
	gramsPerShake = 0.3  // from memory, until the cook calibrates it
	dropML        = 0.05 // common practice, no source: twenty to the millilitre
	splashML      = 5    // common practice, no source: about a teaspoon
	glugML        = 15   // common practice, no source: about a tablespoon
	handfulML     = 120  // common practice, no source: about half a cup
	shotML        = 30   // of espresso; common practice, no source
	glassML       = 240  // common practice, no source, until the cook calibrates it
	mugML         = 300  // common practice, no source, until the cook calibrates it
	bowlML        = 150  // the katori of Indian kitchens; common practice, no source
)

// unitInfo is what is known of a unit: how it is written and what it holds.
type unitInfo struct {
	singular, plural string     // its words after one and after several
	dimension        Dimension  // what it counts
	size             [4]float64 // g or mL in each System; 0 for counts
	fractions        bool       // written in vulgar fractions rather than decimals
}

func same(v float64) [4]float64 { return [4]float64{v, v, v, v} }

// perTeaspoon is a share of the system's own teaspoon.
func perTeaspoon(share float64) [4]float64 {
	return [4]float64{usTeaspoonML * share, 5 * share, 5 * share, imperialTeaspoonML * share}
}

var units = [unitCount]unitInfo{ // facts of each, by Unit
	Piece:      {"piece", "pieces", Count, same(0), true},
	Milligram:  {"mg", "mg", Mass, same(0.001), false},
	Gram:       {"g", "g", Mass, same(1), false},
	Kilogram:   {"kg", "kg", Mass, same(1000), false},
	Ounce:      {"oz", "oz", Mass, same(gramsPerOunce), false},
	Pound:      {"lb", "lb", Mass, same(gramsPerPound), true},
	Millilitre: {"mL", "mL", Volume, same(1), false},
	Centilitre: {"cL", "cL", Volume, same(10), false},
	Decilitre:  {"dL", "dL", Volume, same(100), false},
	Litre:      {"L", "L", Volume, same(1000), false},
	Teaspoon:   {"tsp", "tsp", Volume, perTeaspoon(1), true},
	Tablespoon: {"tbsp", "tbsp", Volume, [4]float64{usTablespoonML, 15, 20, imperialTablespoonML}, true},
	FluidOunce: {"fl oz", "fl oz", Volume, [4]float64{usFluidOunceML, imperialFluidOunceML, imperialFluidOunceML, imperialFluidOunceML}, false},
	Cup:        {"cup", "cups", Volume, [4]float64{usCupML, 250, 250, imperialCupML}, true},
	Pint:       {"pint", "pints", Volume, [4]float64{usPintML, imperialPintML, imperialPintML, imperialPintML}, true},
	Quart:      {"quart", "quarts", Volume, [4]float64{usQuartML, 2 * imperialPintML, 2 * imperialPintML, 2 * imperialPintML}, true},
	Gallon:     {"gallon", "gallons", Volume, [4]float64{usGallonML, 8 * imperialPintML, 8 * imperialPintML, 8 * imperialPintML}, true},
	// Metric and Australian kitchens have no pint of their own and use the imperial one.
	// Dash, pinch and smidgen: common practice, no source.
	Dash:         {"dash", "dashes", Volume, perTeaspoon(1. / 8), true},
	Pinch:        {"pinch", "pinches", Volume, perTeaspoon(1. / 16), true},
	Smidgen:      {"smidgen", "smidgens", Volume, perTeaspoon(1. / 32), true},
	Capful:       {"capful", "capfuls", Volume, same(capfulML), true},
	Drizzle:      {"drizzle", "drizzles", Volume, same(drizzleML), true},
	Shake:        {"shake", "shakes", Mass, same(gramsPerShake), true},
	Inch:         {"inch", "inches", Count, same(0), true},
	Thumb:        {"thumb", "thumbs", Count, same(0), true},
	Stick:        {"stick", "sticks", Count, same(0), true},
	Bean:         {"bean", "beans", Count, same(0), true},
	Pod:          {"pod", "pods", Count, same(0), true},
	Can:          {"can", "cans", Count, same(0), true},
	Carton:       {"carton", "cartons", Count, same(0), true},
	Jar:          {"jar", "jars", Count, same(0), true},
	Bottle:       {"bottle", "bottles", Count, same(0), true},
	Sachet:       {"sachet", "sachets", Count, same(0), true},
	Strip:        {"strip", "strips", Count, same(0), true},
	Strand:       {"strand", "strands", Count, same(0), true},
	Slice:        {"slice", "slices", Count, same(0), true},
	Drop:         {"drop", "drops", Volume, same(dropML), true},
	Splash:       {"splash", "splashes", Volume, same(splashML), true},
	Glug:         {"glug", "glugs", Volume, same(glugML), true},
	Handful:      {"handful", "handfuls", Volume, same(handfulML), true},
	Dessertspoon: {"dessertspoon", "dessertspoons", Volume, perTeaspoon(2), true},
	Shot:         {"shot", "shots", Volume, same(shotML), true},
	Glass:        {"glass", "glasses", Volume, same(glassML), true},
	Mug:          {"mug", "mugs", Volume, same(mugML), true},
	Bowl:         {"katori", "katoris", Volume, same(bowlML), true},
	Centimetre:   {"cm", "cm", Count, same(0), false},
	OwnMeasure:   {"", "", Volume, same(0), true},
}

func (u Unit) String() string { return units[u].singular }

// Dimension tells whether u is a mass, a volume or a count.
func (u Unit) Dimension() Dimension { return units[u].dimension }

// Size is what one u holds in the given system: grams for a mass,
// millilitres for a volume, 0 for a count.
func (u Unit) Size(s System) float64 { return units[u].size[s] }

// unitWords are the ways each unit is written, in lower case and without
// full stops. T and t are told apart before this table is asked.
var unitWords = map[string]Unit{
	"piece": Piece, "pieces": Piece, "whole": Piece, "pc": Piece, "pcs": Piece, "no": Piece, "nos": Piece, "cone": Piece, "cones": Piece, "block": Piece, "blocks": Piece, "stalk": Piece, "stalks": Piece, "cube": Piece, "cubes": Piece, "blade": Piece, "blades": Piece, "keping": Piece, "tukda": Piece, "helai": Piece, "kuntum": Piece, "butir": Piece,
	"mg": Milligram, "milligram": Milligram, "milligrams": Milligram,
	"g": Gram, "gr": Gram, "gram": Gram, "grams": Gram, "gramme": Gram, "grammes": Gram, "gm": Gram, "gms": Gram, "grm": Gram, "grms": Gram, "grs": Gram,
	"kg": Kilogram, "kgs": Kilogram, "kilogramme": Kilogram, "kilogrammes": Kilogram, "kilo": Kilogram, "kilos": Kilogram, "kilogram": Kilogram, "kilograms": Kilogram,
	"oz": Ounce, "ozs": Ounce, "ounce": Ounce, "ounces": Ounce,
	"lb": Pound, "lbs": Pound, "pound": Pound, "pounds": Pound,
	"ml": Millilitre, "mls": Millilitre, "mil": Millilitre, "mils": Millilitre, "ccs": Millilitre, "millilitre": Millilitre, "millilitres": Millilitre, "milliliter": Millilitre, "milliliters": Millilitre, "cc": Millilitre,
	"cl": Centilitre, "centilitre": Centilitre, "centilitres": Centilitre, "centiliter": Centilitre, "centiliters": Centilitre,
	"dl": Decilitre, "decilitre": Decilitre, "decilitres": Decilitre, "deciliter": Decilitre, "deciliters": Decilitre,
	"l": Litre, "litro": Litre, "litros": Litre, "lt": Litre, "lts": Litre, "ltrs": Litre, "lit": Litre, "ls": Litre, "litre": Litre, "litres": Litre, "liter": Litre, "liters": Litre, "ltr": Litre,
	"tsp": Teaspoon, "tspn": Teaspoon, "teasp": Teaspoon, "tea spoon": Teaspoon, "tea spoons": Teaspoon, "teaspoonsful": Teaspoon, "tl": Teaspoon, "cdta": Teaspoon, "cdita": Teaspoon, "cditas": Teaspoon, "sdt": Teaspoon, "cdtas": Teaspoon, "cucharadita": Teaspoon, "cucharaditas": Teaspoon, "tsps": Teaspoon, "teaspoon": Teaspoon, "teaspoons": Teaspoon, "teaspoonful": Teaspoon, "teaspoonfuls": Teaspoon,
	"tbsp": Tablespoon, "tb": Tablespoon, "tbspn": Tablespoon, "tblspn": Tablespoon, "tablesp": Tablespoon, "tblsps": Tablespoon, "table spoon": Tablespoon, "table spoons": Tablespoon, "tablespoonsful": Tablespoon, "el": Tablespoon, "cda": Tablespoon, "sdm": Tablespoon, "cdas": Tablespoon, "cucharada": Tablespoon, "cucharadas": Tablespoon, "tbsps": Tablespoon, "tbs": Tablespoon, "tbl": Tablespoon, "tblsp": Tablespoon, "tablespoon": Tablespoon, "tablespoons": Tablespoon, "tablespoonful": Tablespoon, "tablespoonfuls": Tablespoon,
	"fl oz": FluidOunce, "floz": FluidOunce, "fl ounce": FluidOunce, "fl ounces": FluidOunce, "fluid oz": FluidOunce, "fluid ounce": FluidOunce, "fluid ounces": FluidOunce, "fl ozs": FluidOunce, "flozs": FluidOunce,
	"cup": Cup, "cups": Cup, "c": Cup, "cupful": Cup, "cupfuls": Cup, "cupsful": Cup, "taza": Cup, "tazas": Cup, "cawan": Cup,
	"pint": Pint, "pints": Pint, "pt": Pint, "pts": Pint,
	"quart": Quart, "quarts": Quart, "qt": Quart, "qts": Quart,
	"gallon": Gallon, "gallons": Gallon, "gal": Gallon, "gals": Gallon,
	"dash": Dash, "dashes": Dash,
	"pinch": Pinch, "pinches": Pinch, "prise": Pinch, "pizca": Pinch,
	"smidgen": Smidgen, "smidgens": Smidgen, "smidge": Smidgen,
	"capful": Capful, "capfuls": Capful,
	"drizzle": Drizzle, "drizzles": Drizzle,
	"shake": Shake, "shakes": Shake,
	"inch": Inch, "inches": Inch, "ruas": Inch, "cm": Centimetre, "cms": Centimetre, "centimetre": Centimetre, "centimetres": Centimetre, "centimeter": Centimetre, "centimeters": Centimetre,
	"thumb": Thumb, "thumbs": Thumb, "knob": Thumb, "knobs": Thumb, "nub": Thumb, "thumb sized": Thumb,
	"stick": Stick, "sticks": Stick, "quill": Stick, "quills": Stick, "raja": Stick, "rajas": Stick,
	"bean": Bean, "beans": Bean,
	"pod": Pod, "pods": Pod,
	"can": Can, "cans": Can, "tin": Can, "tins": Can, "lata": Can, "latas": Can,
	"carton": Carton, "cartons": Carton,
	"jar": Jar, "jars": Jar, "bottle": Bottle, "bottles": Bottle,
	"sachet": Sachet, "sachets": Sachet, "packet": Sachet, "packets": Sachet, "pack": Sachet, "packs": Sachet, "pkt": Sachet, "pkg": Sachet, "package": Sachet,
	"bag": Sachet, "bags": Sachet, "pouch": Sachet, "pouches": Sachet, "tub": Jar, "tubs": Jar, "box": Carton, "boxes": Carton,
	"strip": Strip, "strips": Strip, "strand": Strand, "strands": Strand, "thread": Strand, "threads": Strand, "slice": Slice, "slices": Slice, "coin": Slice, "coins": Slice,
	"drop": Drop, "drops": Drop, "splash": Splash, "splashes": Splash, "glug": Glug, "glugs": Glug,
	"dessertspoon": Dessertspoon, "dessertspoons": Dessertspoon, "dessertspoonful": Dessertspoon, "dessertspoonfuls": Dessertspoon, "dsp": Dessertspoon, "dstsp": Dessertspoon, "dessert spoon": Dessertspoon, "dessert spoons": Dessertspoon,
	"squeeze": Splash, "squeezes": Splash, "grating": Pinch, "gratings": Pinch, "scraping": Pinch, "sprinkle": Pinch, "sprinkling": Pinch, "dusting": Pinch, "twist": Pinch, "twists": Pinch, "cob": Piece, "cobs": Piece,
	"handful": Handful, "handfuls": Handful, "handsful": Handful, "shot": Shot, "shots": Shot,
	"glass": Glass, "glasses": Glass, "glassful": Glass, "glassfuls": Glass, "mug": Mug, "mugs": Mug, "mugful": Mug, "mugfuls": Mug,
	"katori": Bowl, "katoris": Bowl,
}

// IsVague tells whether a unit is as much as a hand or a wrist makes it, and nobody's is another's.
func (u Unit) IsVague() bool {
	switch u {
	case Pinch, Dash, Splash, Handful, Drizzle, Glug, Thumb:
		return true
	}
	return false
}

// IsContainer tells whether one u is a shop's pack, whose content is written on it.
func (u Unit) IsContainer() bool {
	return u == Can || u == Carton || u == Jar || u == Bottle || u == Sachet
}

// UnitOf finds the unit written as word: a name, an abbreviation or a plural.
// A capital T is a tablespoon and a small t a teaspoon.
func UnitOf(word string) (Unit, bool) {
	switch word {
	case "T":
		return Tablespoon, true
	case "t":
		return Teaspoon, true
	}
	u, ok := unitWords[strings.ToLower(word)]
	return u, ok
}
