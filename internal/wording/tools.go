package wording

// tools are the things to have out.
var tools = map[string]string{
	"tool-scale":             "scale (reads to %[1]g g)",
	"tool-cups-and-spoons":   "cups and spoons",
	"tool-soak-vessel":       "soaking bowl of at least %.0[1]f mL",
	"tool-soak-vessel-roomy": "soaking bowl with room to swell",
	"tool-kettle":            "kettle, and a pot to brew in",
	"tool-juicer":            "juicer",
	"tool-blender":           "blender, filled to the %.0[1]f mL line",
	"tool-strainer":          "%[1]s, clean and dry",
	"tool-bowl":              "bowl of at least %.0[1]f mL to strain into, and one for the pulp",
	"tool-pan":               "pan, spoon, and ice for an ice bath",
	"tool-thermometer":       "thermometer, for cooling",
	"tool-thermometer-raw":   "thermometer (raw means up to %[1]g °C)",
	"tool-hot-bottles":       "clean heatproof bottles for %.0[1]f mL, a cloth to hold them, and labels",
	"tool-bottles":           "clean bottles for %.0[1]f mL, and labels",
	"tool-whisk":             "whisk",
	"strainer-bag":           "nut-milk bag, squeezed firmly",
	"strainer-cloth":         "doubled cloth, squeezed",
	"strainer-gentle":        "cloth, squeezed gently",
	"strainer-passes":        "cloth, three gentle passes",
	"strainer-sieve":         "fine sieve",
	"strainer-sieve-pushed":  "fine sieve, pressed with a spoon",
	"strainer-sieve-cloth":   "sieve, then cloth",
	"strainer-none":          "not strained",
	"strainer-juicer":        "slow juicer",
}
