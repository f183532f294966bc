package wording

// tools are the things to have out.
var tools = map[string]string{
	"tool-scale":             "the scale, which reads to %[1]g g",
	"tool-cups-and-spoons":   "cups and spoons",
	"tool-soak-vessel":       "a vessel of %.0[1]f mL or more to soak in",
	"tool-soak-vessel-roomy": "a vessel with room to swell, to soak in",
	"tool-kettle":            "a kettle, and a pot to brew in",
	"tool-juicer":            "the juicer",
	"tool-blender":           "the blender, its jug to the %.0[1]f mL line",
	"tool-strainer":          "%[1]s, clean and dry",
	"tool-bowl":              "a bowl of %.0[1]f mL or more to strain into, and one for the pulp",
	"tool-pan":               "a pan, a spoon, and ice for its bath",
	"tool-thermometer":       "a thermometer, for the cooling",
	"tool-thermometer-raw":   "a thermometer: raw up to %[1]g °C",
	"tool-hot-bottles":       "clean bottles made for heat, for %.0[1]f mL, a cloth to hold them, and labels",
	"tool-bottles":           "clean bottles for %.0[1]f mL, and labels",
	"tool-whisk":             "a whisk",
	"strainer-bag":           "nut-milk bag, squeezed firmly",
	"strainer-cloth":         "doubled cloth, squeezed",
	"strainer-gentle":        "cloth, gently",
	"strainer-passes":        "cloth, three gentle passes",
	"strainer-sieve":         "fine sieve",
	"strainer-sieve-pushed":  "fine sieve, pushed through with a spoon",
	"strainer-sieve-cloth":   "sieve, then cloth left alone",
	"strainer-none":          "not strained",
	"strainer-juicer":        "masticating juicer",
}
