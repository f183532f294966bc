package wording

// cups is what is said of a drink in the cup and let down.
var cups = map[string]string{
	"splits-hot":                 "the coffee is over %.0[1]f °C: let it cool a little, or warm the milk first",
	"splits-acidic":              "the coffee is acidic: use a darker roast, or a pinch of baking soda",
	"splits-old":                 "it is getting old and sour: use a fresher bottle",
	"splits-lean":                "it has little fat to hold it together: use a creamier one, or add a little oil",
	"splits-juice":               "it contains juice",
	"by-cups":                    "by cups",
	"rung-rule":                  "%[1]g %% fat, 21 CFR %[2]s",
	"spoons-to-a-glass":          "%[1]g tablespoons to a glass",
	"spoon-to-a-glass":           "1 tablespoon to a glass",
	"water-each":                 "%.0[1]f mL of water each",
	"rung-paste":                 "paste 1 : %[1]g",
	"rung-sauce":                 "sauce 1 : %[1]g",
	"rung-cream":                 "cream 1 : %[1]g",
	"rung-creamer":               "creamer 1 : %[1]g",
	"rung-rich-milk":             "rich milk 1 : %[1]g",
	"rung-milk":                  "milk 1 : %[1]g",
	"rung-light":                 "light 1 : %[1]g",
	"dairy-heavy-cream":          "heavy cream",
	"dairy-light-whipping-cream": "light whipping cream",
	"dairy-light-cream":          "light cream",
	"dairy-half-and-half":        "half-and-half",
	"dairy-milk":                 "milk",
}
