package wording

import (
	"math"
	"strings"

	"plushladle/core/process"
	"plushladle/core/record"
	"plushladle/core/say"
)

// notes are what the record says: what tasters find, what may have caused it, and what is worth
// knowing.
var notes = map[string]string{
	"a-little-too-sweet":        "A little too sweet",
	"much-too-sweet":            "Too sweet",
	"a-little-too-little-sweet": "Not quite sweet enough",
	"much-too-little-sweet":     "Not sweet enough",
	"a-little-too-thin":         "A little thin",
	"much-too-thin":             "Too thin",
	"a-little-too-thick":        "A little thick",
	"much-too-thick":            "Too thick",
	"a-little-too-little-spice": "A little more spice",
	"much-too-little-spice":     "Not enough spice",
	"a-little-too-much-spice":   "A little too much spice",
	"much-too-much-spice":       "Too much spice",
	"a-little-too-little-salt":  "A little more salt",
	"much-too-little-salt":      "Not enough salt",
	"a-little-too-salty":        "A little too salty",
	"much-too-salty":            "Too salty",
	"salt-before-sugar":         "Try a pinch of salt before more sugar",

	"flag-gritty":         "Gritty",
	"flag-slimy":          "Slimy",
	"flag-separates":      "Separates in coffee",
	"flag-settles":        "Settles fast",
	"flag-sour-early":     "Sour early",
	"flag-bitter":         "Bitter",
	"flag-skin-forms":     "A skin forms",
	"flag-too-sweet":      "Too sweet",
	"flag-too-much-spice": "Too much spice",
	"flag-too-thin":       "Too thin",
	"flag-too-thick":      "Too thick",

	"cause-soak-short":         "soaked %[1]s of %[2]s hours",
	"cause-soak-long":          "soaked %[1]s hours, %[2]s is best",
	"cause-blend-short":        "blended %.0[1]f seconds, usually %.0[2]f",
	"cause-blend-long":         "blended %.0[1]f seconds, usually %.0[2]f",
	"cause-strainer-coarse":    "strained through %[1]s, which lets fine grains through",
	"cause-water-warm":         "the water was %.0[1]f °C; cold water keeps it from turning slimy",
	"cause-squeezed":           "the bag was squeezed; let it drain",
	"cause-old":                "it was %.1[1]f days old; fresh drinks hold together best in coffee",
	"cause-lean":               "%.1[1]f %% fat; from about %.0[2]f %% it holds together",
	"cause-coffee-warm-first":  "warm it before the coffee goes in, or pour the coffee into it",
	"cause-coffee-acid":        "a darker, less sour coffee, or a pinch of baking soda",
	"cause-shake-it":           "homemade milk settles; shake it before you pour",
	"cause-fridge-warm":        "the fridge was at %.1[1]f °C on average",
	"cause-cooled-slowly":      "it took %.1[1]f hours to cool to 21 °C; it should take at most %.0[2]f",
	"cause-stood-outside":      "it stood outside the fridge for %.1[1]f hours",
	"cause-clean-bottles":      "scald the bottles, and dry them before filling",
	"cause-skins":              "the nuts went in with their skins",
	"cause-taste-the-nuts":     "taste the nuts before you soak them; old ones turn bitter",
	"cause-over-spice":         "%.0[1]f %% more spice went in than planned",
	"cause-over-sweetener":     "%.0[1]f %% more sweetener went in than planned; the recipe may be right",
	"cause-over-water":         "%.0[1]f %% more water went in than planned; the recipe may be right",
	"cause-over-base":          "%.0[1]f %% more of the base went in than planned; the recipe may be right",
	"cause-short-water":        "%.0[1]f %% less water went in than planned; the recipe may be right",
	"cause-short-base":         "%.0[1]f %% less of the base went in than planned; the recipe may be right",
	"cause-heated-open":        "it was heated without a lid",
	"cause-stir-while-cooling": "stir it now and then while it cools, and cover it",

	"insight-yield-below":     "Your yield from %[1]s is %.0[2]f %% below the forecast over the last %.0[3]f batches.",
	"insight-yield-above":     "Your yield from %[1]s is %.0[2]f %% above the forecast over the last %.0[3]f batches.",
	"insight-yield-evidence":  "%[1]s: %.0[2]f mL, give or take %.0[3]f; the forecast was %.0[4]f mL, and goes by your batches now",
	"insight-thrown":          "You throw away %[2]s of each batch of %[1]s. Make %.0[3]f mL, or freeze %.0[4]f mL.",
	"insight-thrown-evidence": "%.0[1]f mL of %.0[2]f mL over %.0[3]f batches",
	"share-fifth":             "a fifth",
	"share-quarter":           "a quarter",
	"share-third":             "a third",
	"share-half":              "half",
	"share-pct":               "%.0[1]f %%",
	"insight-too-sweet":       "You found %[1]s too sweet the last %.0[2]f times.",
	"insight-not-sweet":       "You found %[1]s not sweet enough the last %.0[2]f times.",
	"insight-taste-evidence":  "by %.1[1]f notches on average",
	"insight-sours":           "%[1]s turns sour before its date.",
	"insight-sours-evidence":  "%.0[1]f of the last %.0[2]f batches",
	"insight-best":            "%[1]s is your favourite.",
	"insight-best-cheaper":    "%[1]s is your favourite, and costs %.0[2]f %% of the shop's price.",
	"insight-best-evidence":   "%.1[1]f of 5 stars over %.0[2]f batches",
}

// Learned is what batches taught of a figure, in words: of what it is, and how it lies to the
// default. of and by are the two parts of its key, the first by its name.
func Learned(what, of, by string, l record.Learned) (name, text string) {
	name = of
	switch record.What(what) {
	case record.Held:
		name = phrase("learned-of", of, Strainer(by))
	case record.Frees:
		name = phrase("learned-of", of, phrase("blender-"+by))
	case record.Steam:
		name = phrase("pan-"+by, of)
	case record.Minutes:
		name = phrase("learned-step", phrase("step-kind-"+strings.ReplaceAll(of, " ", "-")))
	}
	return name, phrase("learned-"+what, 100*l.Share, 100*l.Spread(), l.Batches)
}

// Flag is what a taster noticed, in words.
func Flag(code string) string { return sentence("flag-" + code) }

// Proposal is one change for the next version in words: why, what to do, and what it does.
func Proposal(p record.Proposal, was process.Strainer) (reason, what, effect string) {
	reason = Text(p.Reason[0])
	if len(p.Reason) > 1 {
		reason = phrase("because-of", reason, Text(p.Reason[1]))
	}
	return reason, proposed(p), effectOf(p, was)
}

// proposed is the change itself.
func proposed(p record.Proposal) string {
	switch p.Change.How {
	case record.SetSeconds:
		return phrase("propose-seconds", p.Moves.To)
	case record.SetWaterC:
		return phrase("propose-water", p.Moves.To)
	case record.SetSoakH:
		return phrase("propose-soak", p.Moves.To)
	case record.SetStrainer:
		return phrase("propose-strainer", Text(p.Change.Strainer.Told()))
	case record.SetCovered:
		return phrase("propose-covered")
	case record.SetSkinned:
		return phrase("propose-skinned")
	}
	var all []string
	for _, l := range p.Lines {
		if l.From == "" {
			all = append(all, phrase("propose-added", l.To, l.Name))
			continue
		}
		all = append(all, phrase("propose-line", l.Name, l.From, l.To))
	}
	return And(all)
}

// leastTold are the hours and the money from which a proposal tells of them.
const (
	leastKeepsH = 1.
	leastPerL   = .01
)

// effectOf is the figure that moves, and what follows for how long it keeps.
func effectOf(p record.Proposal, was process.Strainer) string {
	var all []say.Text
	switch p.Moves.Figure {
	case "strainer":
		all = append(all, say.Of("effect-strainer", was.Told(), process.Strainer(p.Moves.To).Told()))
	case "skinned", "steam":
	default:
		all = append(all, say.Of("effect-"+p.Moves.Figure, p.Moves.From, p.Moves.To))
	}
	switch {
	case p.KeepsH >= leastKeepsH:
		all = append(all, say.Of("effect-longer", p.KeepsH))
	case p.KeepsH <= -leastKeepsH:
		all = append(all, say.Of("effect-shorter", -p.KeepsH))
	}
	out := ""
	for n, t := range all {
		if n > 0 {
			out += ", "
		}
		out += phrase(t.Code, t.Args...)
	}
	return out
}

// TrialAnswer is what a blind tasting of so many jars came to.
func TrialAnswer(a record.Answer, jars int) string {
	stars := ""
	if a.Changed > 0 && a.Plain > 0 {
		code := "trial-stars-same"
		switch {
		case a.Changed-a.Plain >= .25:
			code = "trial-stars-better"
		case a.Plain-a.Changed >= .25:
			code = "trial-stars-worse"
		}
		stars = phrase(code, a.Changed, a.Plain)
	}
	if jars == 2 {
		return stars
	}
	code := "trial-not-told"
	if a.Told {
		code = "trial-told"
	}
	told := phrase(code, a.Right, a.Tasters, math.Round(100*a.ByChance))
	if stars == "" {
		return told
	}
	return told + " " + stars
}
