package demo

import (
	"plushladle/internal/app/notes"
	"plushladle/internal/kitchen"
)

// The demo kitchen's drinks, batches and bottles. Made up.

type drink struct {
	name           string
	strainer       string
	shopPrice      float64
	startedDaysAgo int
	versions       []version
	batches        []batch
}

type version struct {
	note  string
	lines []string
}

type batch struct {
	daysAgo    int
	measuredML *float64
	bottles    []bottle
	tasted     []notes.Taste
}

type bottle struct {
	ml        float64
	place     string
	pours     int
	finished  bool
	thrownOut string
	cause     string
}

const (
	fridge  = "fridge"
	freezer = "freezer"
)

// drawer has no third of a cup and no half teaspoon.
var drawer = []string{"1 cup", "1/2 cup", "1/4 cup", "1 tbsp", "1 tsp", "1/4 tsp"}

var prices = []struct {
	ingredient string
	price      float64
	pack       string
}{
	{"pecan", 7.5, "500 g"}, {"barley", 1.1, "500 g"}, {"melon-seed", 3.2, "200 g"}, {"pistachio", 8.9, "400 g"},
	{"pumpkin-seed", 4.2, "500 g"}, {"sunflower", 2.4, "500 g"}, {"sesame", 2.6, "250 g"}, {"walnut", 6.4, "500 g"},
	{"coconut-desiccated", 2.1, "200 g"}, {"maple-syrup", 4.5, "250 mL"}, {"date-small", 2.3, "250 g"}, {"date-large", 4.1, "300 g"},
	{"date-syrup", 3.1, "250 mL"}, {"white-sugar", 1.2, "1 kg"}, {"agave", 3.4, "250 mL"}, {"cardamom", 1.9, "30 g"},
	{"mace", 2.2, "25 g"}, {"star-anise", 1.5, "20 g"}, {"black-pepper", 1.4, "50 g"}, {"vanilla", 3.9, "60 mL"},
	{"coconut-oil", 4.6, "450 g"}, {"cocoa", 3.3, "250 g"}, {"rosewater", 2.2, "200 mL"}, {"salt", 0.7, "750 g"},
	{"orange-juice", 2.2, "1 L"}, {"lime-juice", 1.1, "150 mL"}, {"lemongrass", 0.9, "2 pieces"}, {"orange-peel", 0.4, "1 piece"},
}

var stock = map[string]float64{"pecan": 320, "sesame": 250, "white-sugar": 900, "salt": 500, "maple-syrup": 210, "orange-peel": 12, "coconut-oil": 180, "date-large": 150, "walnut": 60, "agave": 240,
	"barley": 350, "vanilla": 45, "cardamom": 22, "date-small": 90, "cocoa": 130, "black-pepper": 40, "mace": 20}

// openPacks are what stands open.
var openPacks = []struct {
	what    string
	daysAgo int
}{{"200 mL orange juice", 0}, {"140 g sesame seeds", 9}, {"120 g walnuts", 24}}

// turns are the drinks of the rhythm.
var turns = []string{"Pecan flask creamer", "Sesame and orange breakfast milk"}

// planned is the Saturday breakfast for fourteen rowers.
var planned = []struct {
	drink string
	hour  int
}{{"Barley and melon-seed horchata", 12}, {"Sesame and orange breakfast milk", 12}, {"Pecan flask creamer", 11}, {"Sunflower cocoa milk", 12}}

// ownSyrup is a row of the cook's own, with only what is written on the jar.
var ownSyrup = kitchen.OwnRow{Name: "Elderflower syrup, towpath", Role: "sweetener", Allergens: []string{}, Vegan: true}

var drinkers = []kitchen.Drinker{
	{Name: "keeper", Age: "adult", WeightKG: 74, ServingsDay: 2, Allergens: []string{}, Dislikes: []string{}},
	{Name: "mate", Age: "adult", WeightKG: 66, ServingsDay: 2, Allergens: []string{}, Dislikes: []string{}},
	{Name: "stroke rower", Age: "adult", WeightKG: 82, Allergens: []string{}, Dislikes: []string{"cinnamon"}},
	{Name: "neighbour", Age: "adult", Allergens: []string{"walnut"}, Dislikes: []string{}},
	{Name: "boat's youngest", Age: "4 to 6", WeightKG: 19, Allergens: []string{}, Dislikes: []string{}},
}

func ml(v float64) *float64 { return &v }

var drinks = []drink{
	{
		name: "Pecan flask creamer", strainer: "bag", startedDaysAgo: 24, shopPrice: 9.8,
		versions: []version{
			{"first try", []string{"1 1/2 cups raw pecans, soaked 8 h", "3 cups cold water", "1 1/2 tbsp maple syrup", "1 tsp vanilla extract", "1/8 tsp salt"}},
			{"cardamom, and a little oil for body", []string{"1 1/2 cups raw pecans, soaked 8 h", "3 cups cold water", "1 1/2 tbsp maple syrup", "1/2 tsp ground cardamom after straining", "1 tsp vanilla extract", "1 tbsp refined coconut oil", "1/8 tsp salt"}},
			{"sweeter than 2", []string{"1 1/2 cups raw pecans, soaked 8 h", "3 cups cold water", "2 tbsp maple syrup", "1 small date, pitted", "1/2 tsp ground cardamom after straining", "1 tsp vanilla extract", "1 tbsp refined coconut oil", "1/8 tsp salt"}},
		},
		batches: []batch{
			{23, ml(730), []bottle{{ml: 400, place: fridge, pours: 12, finished: true}, {ml: 330, place: fridge, pours: 10, finished: true}}, []notes.Taste{{Who: "keeper", Stars: 3, Body: -1, Words: "thin in the flask"}}},
			{20, nil, []bottle{{ml: 400, place: fridge, pours: 13, finished: true}, {ml: 300, place: freezer}}, nil},
			{17, ml(745), []bottle{{ml: 400, place: fridge, pours: 13, finished: true}, {ml: 340, place: fridge, pours: 11, finished: true}}, []notes.Taste{{Who: "mate", Stars: 3.5, Sweet: -.5}}},
			{13, ml(720), []bottle{{ml: 400, place: fridge, pours: 12, finished: true}, {ml: 320, place: fridge, pours: 10, finished: true}}, []notes.Taste{{Who: "keeper", Stars: 4}}},
			{10, ml(738), []bottle{{ml: 400, place: fridge, pours: 13, finished: true}, {ml: 330, place: fridge, pours: 11, finished: true}}, []notes.Taste{{Who: "stroke rower", Stars: 4.5, Words: "went before the flask did"}}},
			{6, ml(728), []bottle{{ml: 400, place: fridge, pours: 12, finished: true}, {ml: 320, place: fridge, pours: 10, finished: true}}, []notes.Taste{{Who: "keeper", Stars: 4.5}}},
			{3, ml(725), []bottle{{ml: 400, place: fridge, pours: 12}}, []notes.Taste{{Who: "mate", Stars: 4.5, Sweet: .5, Flags: []string{"gritty"}, Words: "a bit gritty at the end"}}},
			{0, ml(735), []bottle{{ml: 400, place: fridge, pours: 2}, {ml: 330, place: freezer}}, nil},
		},
	},
	{
		name: "Barley and melon-seed horchata", strainer: "cloth", startedDaysAgo: 22,
		versions: []version{{"as at the regatta", []string{"1 cup pearl barley, soaked overnight", "1/2 cup melon seeds", "6 cups cold water", "1 tbsp grated orange peel", "1 star anise", "1/3 cup white sugar", "1/8 tsp salt"}}},
		batches: []batch{
			{19, ml(1205), []bottle{{ml: 1000, place: fridge, pours: 3, thrownOut: "nobody drank the rest", cause: "not-drunk"}}, []notes.Taste{{Who: "keeper", Stars: 3, Sweet: 1, Words: "sweet for a morning"}}},
			{15, ml(1180), []bottle{{ml: 1000, place: fridge, pours: 3, thrownOut: "nobody drank the rest", cause: "not-drunk"}}, []notes.Taste{{Who: "mate", Stars: 3, Sweet: 1}}},
			{7, nil, []bottle{{ml: 1000, place: fridge, pours: 3, thrownOut: "nobody drank the rest", cause: "not-drunk"}}, []notes.Taste{{Who: "keeper", Stars: 3.5, Sweet: .5}}},
			{0, nil, []bottle{{ml: 1000, place: fridge, pours: 1}}, nil},
		},
	},
	{
		name: "Pistachio and rosewater sherbet concentrate", strainer: "cloth", startedDaysAgo: 21,
		versions: []version{{"cooked thick", []string{"1 cup shelled pistachios, soaked", "1 1/2 cups water", "600 g white sugar, after straining", "2 tbsp rosewater", "1/4 tsp ground cardamom after straining"}}},
		batches: []batch{
			{16, nil, []bottle{{ml: 500, place: fridge, pours: 20, finished: true}}, nil},
			{2, nil, []bottle{{ml: 500, place: fridge, pours: 7}}, nil},
		},
	},
	{
		name: "Pumpkin-seed nog", strainer: "bag", startedDaysAgo: 15,
		versions: []version{
			{"plain", []string{"1 cup pumpkin seeds, soaked", "4 cups water", "1/4 cup date syrup", "1/4 tsp ground mace"}},
			{"a touch of salt", []string{"1 cup pumpkin seeds, soaked", "4 cups water", "1/3 cup date syrup", "1/4 tsp ground mace after straining", "1/8 tsp salt"}},
		},
		batches: []batch{
			{9, nil, []bottle{{ml: 450, place: fridge, pours: 2, thrownOut: "smelled sour after the warm afternoon"}}, nil},
			{0, nil, []bottle{{ml: 400, place: fridge, pours: 1}}, nil},
		},
	},
	{
		name: "Sunflower cocoa milk", strainer: "bag", startedDaysAgo: 14,
		versions: []version{{"peppered flask", []string{"1 cup sunflower seeds, soaked", "4 cups water", "3 tbsp cocoa powder, after straining", "3 tbsp maple syrup", "a pinch of black pepper after straining", "a pinch of salt"}}},
		batches: []batch{
			{11, nil, []bottle{{ml: 500, place: fridge, pours: 2, finished: true}}, nil},
			{4, ml(905), []bottle{{ml: 500, place: fridge, pours: 2, finished: true}}, nil},
			{0, nil, []bottle{{ml: 500, place: fridge, pours: 1}}, nil},
		},
	},
	{
		name: "Sesame and orange breakfast milk", strainer: "cloth", startedDaysAgo: 12,
		versions: []version{{"for the rowers", []string{"1 cup sesame seeds, soaked", "5 cups water", "1/2 cup orange juice, after straining", "2 large dates, pitted", "a pinch of salt"}}},
		batches: []batch{
			{8, nil, []bottle{{ml: 750, place: fridge, pours: 3, finished: true}}, nil},
			{0, nil, []bottle{{ml: 750, place: fridge}}, nil},
		},
	},
	{
		name: "Walnut cream for porridge", strainer: "sieve", startedDaysAgo: 11,
		versions: []version{{"poured thin", []string{"1 1/2 cups walnuts, soaked", "1 3/4 cups water", "a pinch of salt"}}},
		batches: []batch{
			{6, nil, []bottle{{ml: 300, place: fridge, pours: 8, finished: true}}, nil},
			{0, nil, []bottle{{ml: 300, place: fridge, pours: 2}}, nil},
		},
	},
	{
		name: "Coconut, lemongrass and lime cooler", strainer: "bag", startedDaysAgo: 10,
		versions: []version{{"for the boat", []string{"1 1/2 cups desiccated coconut", "4 cups water", "2 lemongrass stalks", "1/4 cup agave", "2 tbsp lime juice", "a pinch of salt"}}},
		batches:  []batch{{10, nil, []bottle{{ml: 500, place: freezer}}, nil}},
	},
}
