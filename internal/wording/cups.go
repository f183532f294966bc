package wording

// cups is what is said of a drink in the cup and let down.
var cups = map[string]string{
	"splits-hot":                 "coffee over %.0[1]f °C: let it cool a little, or warm the milk first",
	"splits-acidic":              "an acidic coffee: a darker roast, or a pinch of baking soda",
	"splits-old":                 "it is getting old and sours: a fresher bottle",
	"splits-lean":                "little fat to hold it together: a creamier one, or a little oil",
	"splits-juice":               "there is juice in it",
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
