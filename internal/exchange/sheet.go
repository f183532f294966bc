package exchange

import (
	"cmp"
	"encoding/json"
	"fmt"
	"math"
	"strings"

	"plushladle/core/plan"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/internal/wording"
)

// Sheet is a drink written down for people and programs elsewhere.
type Sheet struct {
	Name        string
	Yield       string
	Ingredients []string // each reads back as the same line
	Grams       []string // of each, "148 g"; empty where it is not known
	Steps       []string
	Notes       []string // cautions, keeping, allergens
	nutrition   reckon.Nutrition
	servingML   float64
}

// SheetOf writes a reckoned drink down at its size.
func SheetOf(d *reckon.Drink, r *reckon.Reckoning) Sheet {
	s := Sheet{Name: d.Name}
	if s.Name == "" {
		s.Name = wording.Say("unnamed-drink")
	}
	for n, l := range d.Lines {
		s.Ingredients = append(s.Ingredients, ingredientLine(l, r.Lines[n]))
		s.Grams = append(s.Grams, weight(r.Lines[n].MassG))
	}
	if r.Drink == nil {
		return s
	}
	s.Yield = wording.Say("sheet-yield", wording.Volume(r.Drink.VolumeML), math.Max(1, math.Round(r.Servings.Count)), r.Servings.SizeML)
	s.nutrition, s.servingML = r.PerServing, r.Servings.SizeML
	s.Steps = steps(d, r)
	s.Notes = notes(r)
	if lacking := lackingOf(d, r); len(lacking) > 0 {
		s.Notes = append([]string{wording.WithoutLines(lacking)}, s.Notes...)
	}
	return s
}

// lackingOf are the lines that no figure counts.
func lackingOf(d *reckon.Drink, r *reckon.Reckoning) []string {
	var out []string
	for _, n := range r.Lacks() {
		out = append(out, strings.TrimSpace(d.Lines[n].Amount.String()+" "+d.Lines[n].Name))
	}
	return out
}

// ingredientLine is the line as it is measured at this size. It is read back
// as the same line.
func ingredientLine(l recipe.Line, r reckon.LineReckoning) string {
	amount := r.Amount.String()
	if r.Err != nil || amount == "" {
		amount = l.Amount.String()
	}
	parts := []string{strings.TrimSpace(named(amount, wording.InLine(l.Name)))}
	if l.Note != "" {
		parts = append(parts, l.Note)
	}
	if l.Unsoaked && !strings.Contains(l.Note, "unsoaked") {
		parts = append(parts, "unsoaked")
	}
	if words := wording.Stage(l.Stage); words != "" && !strings.Contains(l.Note, words) {
		parts = append(parts, words)
	}
	return strings.Join(parts, ", ")
}

// weight writes a mass to the gram, and small ones to the tenth.
func weight(g float64) string {
	switch {
	case g <= 0:
		return ""
	case g < 10:
		return fmt.Sprintf("%.1f g", g)
	}
	return fmt.Sprintf("%.0f g", g)
}

// KitchenOf is the kitchen that a drink's steps on paper hang on.
func KitchenOf(d *reckon.Drink) plan.Room {
	return plan.Room{TempC: cmp.Or(d.Method.RoomC, usualRoomC)}
}

const usualRoomC = 20

// steps are what is done, in order: the same as Plan and Cook lay out.
func steps(d *reckon.Drink, r *reckon.Reckoning) []string {
	made := plan.Steps(d, r, KitchenOf(d), plan.OnTheBench)
	out := make([]string, len(made))
	for n, step := range made {
		out[n] = StepText(step)
	}
	return out
}

// StepText is a step with how long it takes where it is waited for, what goes in,
// what right looks like, and its caution.
func StepText(step plan.Step) string {
	parts := []string{wording.Text(step.Title) + waiting(step) + "."}
	var in []string
	for _, a := range step.Amounts {
		if !a.Extra {
			in = append(in, amountText(a))
		}
	}
	if len(in) > 0 {
		parts = append(parts, wording.Say("use-these", strings.Join(in, ", ")))
	}
	caution := wording.Text(step.Caution)
	for _, text := range append(wording.Texts([]say.Text{step.Right, step.Never}), caution) {
		if text != "" && (text == caution || !strings.Contains(caution, text)) { // nothing is said twice
			parts = append(parts, strings.TrimSuffix(text, ".")+".")
		}
	}
	return strings.Join(parts, " ")
}

func waiting(step plan.Step) string {
	if step.HandsOn || step.Length.Ideal == 0 {
		return ""
	}
	least, best, most := step.Length.Min.Hours(), step.Length.Ideal.Hours(), step.Length.Max.Hours()
	switch {
	case best < 1:
		return wording.Say("for-minutes", best*60)
	case best == 1:
		return wording.Say("for-an-hour")
	case step.Length.Max >= plan.Unlimited || most > 72 || least == most:
		return wording.Say("for-hours", best)
	}
	return wording.Say("for-hours-between", best, least, most)
}

func amountText(a plan.Amount) string {
	name, _, _ := strings.Cut(strings.ToLower(a.Name), ",")
	text := wording.Text(a.Text)
	switch {
	case a.Soaked && a.Kept:
		return wording.Say("weight-of-soaked-with-liquid", weight(a.MassG), name)
	case a.Soaked:
		return wording.Say("weight-of-soaked", weight(a.MassG), name)
	case a.Open:
		return name
	case text != "":
		return named(text, name) + beside(text, a.MassG)
	}
	return weight(a.MassG) + " " + name
}

// fruitOf parts the name of what is in a fruit: the juice of a lime, the peel of an orange. of is
// empty for any other.
func fruitOf(name string) (part, of string) {
	fruit, part := lastWord(name)
	if part != "juice" && part != "peel" {
		return "", ""
	}
	return part, strings.TrimSpace(fruit)
}

// named is a measure with what it measures, as people say it: one date, three dates, two cinnamon
// sticks, the juice of two limes.
func named(text, name string) string {
	number, unit := lastWord(text)
	part, of := fruitOf(name)
	switch {
	case of != "" && unit == "piece":
		return part + " of " + number + of
	case of != "" && unit == "pieces":
		return part + " of " + number + of + "s"
	case unit == "piece":
		return number + one(name)
	case unit == "pieces":
		return number + name
	case isCountedBy(unit, name):
		return number + strings.TrimSuffix(name, one(unit)) + unit
	}
	return text + " " + name
}

// leastBesideG is a mass, g, that would be written as 0.0 beside a measure: a pinch of saffron.
const leastBesideG = .05

// beside is a mass in brackets, where the measure is not the same in grams already.
func beside(text string, massG float64) string {
	if massG < leastBesideG || strings.HasSuffix(text, " g") || strings.HasSuffix(text, " kg") {
		return ""
	}
	return " (" + weight(massG) + ")"
}

// isCountedBy tells whether the unit of an amount is what its name ends with: two sticks of cinnamon
// stick are two cinnamon sticks.
func isCountedBy(unit, name string) bool {
	return unit != "" && strings.HasSuffix(name, " "+one(unit))
}

// lastWord parts a text before its last word: "1½ ", "sticks".
func lastWord(text string) (before, last string) {
	at := strings.LastIndexByte(text, ' ') + 1
	return text[:at], text[at:]
}

// one is a single one of what a name has many of: dates, but not lemongrass.
func one(name string) string {
	if strings.HasSuffix(name, "ss") {
		return name
	}
	return strings.TrimSuffix(name, "s")
}

func notes(r *reckon.Reckoning) []string {
	contains := wording.Say("contains-none")
	if len(r.Allergens) > 0 {
		contains = wording.Say("contains", strings.Join(wording.Allergens(r.Allergens), ", "))
	}
	out := []string{contains}
	if r.Raw != nil {
		out = append(out, wording.Text(r.Raw.Told()))
	}
	if r.Keeps.Known() {
		out = append(out, wording.Say("sheet-keeps", wording.Days(int(r.Keeps.CautiousDays)), wording.Days(int(r.Keeps.CustomaryDays))))
	}
	for _, c := range r.Cautions {
		text := wording.Text(c.Text)
		if c.Value != nil && c.Limit != nil {
			text += " " + wording.Say("here", *c.Value, *c.Limit, c.Unit)
		}
		out = append(out, text)
	}
	return append(out, wording.Say("all-estimates"))
}

// JSONLD is the sheet as a schema.org Recipe.
func (s Sheet) JSONLD() ([]byte, error) {
	type step struct {
		Type string `json:"@type"`
		Text string `json:"text"`
	}
	recipe := map[string]any{
		"@context": "https://schema.org", "@type": "Recipe", "name": s.Name, "recipeIngredient": s.Ingredients, "recipeCategory": "drink",
	}
	if s.Yield != "" {
		recipe["recipeYield"] = s.Yield
		recipe["nutrition"] = map[string]string{
			"@type": "NutritionInformation", "servingSize": fmt.Sprintf("%.0f mL", s.servingML),
			"calories": fmt.Sprintf("%.0f kcal", s.nutrition.EnergyKcal), "fatContent": grams(s.nutrition.FatG),
			"saturatedFatContent": grams(s.nutrition.SaturatedFatG), "carbohydrateContent": grams(s.nutrition.CarbohydrateG),
			"sugarContent": grams(s.nutrition.SugarsG), "fiberContent": grams(s.nutrition.FibreG),
			"proteinContent": grams(s.nutrition.ProteinG), "sodiumContent": fmt.Sprintf("%.0f mg", s.nutrition.SodiumMg),
		}
	}
	var instructions []step
	for _, text := range append(append([]string{}, s.Steps...), s.Notes...) {
		instructions = append(instructions, step{"HowToStep", text})
	}
	if instructions != nil {
		recipe["recipeInstructions"] = instructions
	}
	return json.MarshalIndent(recipe, "", "  ")
}

func grams(v float64) string { return fmt.Sprintf("%.1f g", v) }

// Markdown is the sheet as a page of text.
func (s Sheet) Markdown() string {
	var b strings.Builder
	fmt.Fprintf(&b, "# %s\n\n", escape(s.Name))
	if s.Yield != "" {
		fmt.Fprintf(&b, "Makes %s.\n\n", s.Yield)
	}
	list := func(head, mark string, items []string) {
		if len(items) == 0 {
			return
		}
		fmt.Fprintf(&b, "## %s\n\n", head)
		for _, item := range items {
			fmt.Fprintf(&b, "%s %s\n", mark, escape(item))
		}
		b.WriteByte('\n')
	}
	list(wording.Say("heading-ingredients"), "-", s.measured())
	list(wording.Say("heading-steps"), "1.", s.Steps)
	list(wording.Say("heading-notes"), "-", s.Notes)
	return b.String()
}

// measured are the ingredients with what they weigh.
func (s Sheet) measured() []string {
	out := make([]string, len(s.Ingredients))
	for n, line := range s.Ingredients {
		out[n] = line
		if s.Grams[n] != "" {
			out[n] += " (" + s.Grams[n] + ")"
		}
	}
	return out
}

// escape keeps what was typed from being taken for Markdown or HTML.
func escape(text string) string {
	return strings.NewReplacer("\n", " ", `\`, `\\`, "*", `\*`, "_", `\_`, "#", `\#`, "<", "&lt;", ">", "&gt;", "[", `\[`, "]", `\]`, "`", "\\`").Replace(text)
}
