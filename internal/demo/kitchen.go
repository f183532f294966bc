package demo

// The demo kitchen's drinks, batches and bottles. Made up.

type drink struct {
	name           string
	strainer       string
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
}

type bottle struct {
	ml        float64
	place     string
	pours     int
	finished  bool
	thrownOut string
}

const (
	fridge  = "fridge"
	freezer = "freezer"
)

func ml(v float64) *float64 { return &v }

var drinks = []drink{
	{
		name: "Pecan flask creamer", strainer: "bag", startedDaysAgo: 24,
		versions: []version{
			{"first try", []string{"1 1/2 cups raw pecans, soaked 8 h", "3 cups cold water", "1 1/2 tbsp maple syrup", "1 tsp vanilla extract", "1/8 tsp salt"}},
			{"cardamom, and a little oil for body", []string{"1 1/2 cups raw pecans, soaked 8 h", "3 cups cold water", "1 1/2 tbsp maple syrup", "1/2 tsp ground cardamom after straining", "1 tsp vanilla extract", "1 tbsp refined coconut oil", "1/8 tsp salt"}},
			{"sweeter than 2", []string{"1 1/2 cups raw pecans, soaked 8 h", "3 cups cold water", "2 tbsp maple syrup", "1 small date, pitted", "1/2 tsp ground cardamom after straining", "1 tsp vanilla extract", "1 tbsp refined coconut oil", "1/8 tsp salt"}},
		},
		batches: []batch{
			{20, nil, []bottle{{ml: 400, place: fridge, finished: true}, {ml: 300, place: freezer, pours: 0}}},
			{3, ml(725), []bottle{{ml: 400, place: fridge, pours: 12}}},
			{0, ml(735), []bottle{{ml: 400, place: fridge, pours: 2}, {ml: 330, place: freezer}}},
		},
	},
	{
		name: "Barley and melon-seed horchata", strainer: "cloth", startedDaysAgo: 22,
		versions: []version{{"as at the regatta", []string{"1 cup pearl barley, soaked overnight", "1/2 cup melon seeds", "6 cups cold water", "1 tbsp grated orange peel", "1 star anise", "1/3 cup white sugar", "1/8 tsp salt"}}},
		batches:  []batch{{0, nil, []bottle{{ml: 1000, place: fridge, pours: 1}}}},
	},
	{
		name: "Pistachio and rosewater sherbet concentrate", strainer: "cloth", startedDaysAgo: 21,
		versions: []version{{"cooked thick", []string{"1 cup shelled pistachios, soaked", "1 1/2 cups water", "600 g white sugar, after straining", "2 tbsp rosewater", "1/4 tsp ground cardamom after straining"}}},
		batches:  []batch{{2, nil, []bottle{{ml: 500, place: fridge, pours: 7}}}},
	},
	{
		name: "Pumpkin-seed nog", strainer: "bag", startedDaysAgo: 15,
		versions: []version{
			{"plain", []string{"1 cup pumpkin seeds, soaked", "4 cups water", "1/4 cup date syrup", "1/4 tsp ground mace"}},
			{"a touch of salt", []string{"1 cup pumpkin seeds, soaked", "4 cups water", "1/3 cup date syrup", "1/4 tsp ground mace after straining", "1/8 tsp salt"}},
		},
		batches: []batch{
			{9, nil, []bottle{{ml: 450, place: fridge, pours: 2, thrownOut: "smelled sour after the warm afternoon"}}},
			{0, nil, []bottle{{ml: 400, place: fridge, pours: 1}}},
		},
	},
	{
		name: "Sunflower cocoa milk", strainer: "bag", startedDaysAgo: 14,
		versions: []version{{"peppered flask", []string{"1 cup sunflower seeds, soaked", "4 cups water", "3 tbsp cocoa powder, after straining", "3 tbsp maple syrup", "a pinch of black pepper after straining", "a pinch of salt"}}},
		batches:  []batch{{0, nil, []bottle{{ml: 500, place: fridge, pours: 1}}}},
	},
	{
		name: "Sesame and orange breakfast milk", strainer: "cloth", startedDaysAgo: 12,
		versions: []version{{"for the rowers", []string{"1 cup sesame seeds, soaked", "5 cups water", "1/2 cup orange juice, after straining", "2 large dates, pitted", "a pinch of salt"}}},
		batches:  []batch{{0, nil, []bottle{{ml: 750, place: fridge}}}},
	},
	{
		name: "Walnut cream for porridge", strainer: "sieve", startedDaysAgo: 11,
		versions: []version{{"poured thin", []string{"1 1/2 cups walnuts, soaked", "1 3/4 cups water", "a pinch of salt"}}},
		batches:  []batch{{0, nil, []bottle{{ml: 300, place: fridge, pours: 2}}}},
	},
	{
		name: "Coconut, lemongrass and lime cooler", strainer: "bag", startedDaysAgo: 10,
		versions: []version{{"for the boat", []string{"1 1/2 cups desiccated coconut", "4 cups water", "2 lemongrass stalks", "1/4 cup agave", "2 tbsp lime juice", "a pinch of salt"}}},
		batches:  []batch{{10, nil, []bottle{{ml: 500, place: freezer}}}},
	},
}
