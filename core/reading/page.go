package reading

import (
	"regexp"
	"slices"
	"strings"
	"unicode"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

// ItemKind is what a line of a page is.
type ItemKind string

// The kinds of line of a page.
const (
	Title      ItemKind = "title"      // of the recipe
	YieldLine  ItemKind = "yield"      // "makes about a litre"
	Heading    ItemKind = "heading"    // "for the spice paste"
	Ingredient ItemKind = "ingredient" // a line of the list
	Step       ItemKind = "step"       // of the method
	Note       ItemKind = "note"       // anything else that may be worth keeping
)

// Item is one line of a page: what it is, and, of an ingredient, what was read.
type Item struct {
	Kind    ItemKind // how it is taken
	Text    string   // as written, without the marks of a list
	Reading Reading  // of an ingredient
	Problem error    // of an ingredient whose amount cannot be one
}

// Page is a recipe as it was written down or copied: every line of it is in Items, in
// its order.
type Page struct {
	Title    string  // empty where nothing looks like one
	Servings float64 // 0 where it is not said
	YieldML  float64 // 0 where it is not said
	Items    []Item  // in the order written
	Offers   []Offer // what the method says of how it is made
}

// maxPageLines is how many lines of a page are read; the rest is kept as notes.
const maxPageLines = 400

// section is the part of a page that a line stands in.
type section uint8

const (
	above   section = iota // above all headings
	listed                 // among the ingredients
	method                 // among the steps
	remarks                // after the steps
)

// ReadPage reads a whole recipe. Nothing of it is lost: what is no title, yield,
// heading, ingredient or step is a note.
func (r Reader) ReadPage(text string) Page {
	p := page{reader: r}
	for row := range strings.Lines(strings.ReplaceAll(text, "\r", "\n")) {
		text := clean(strings.TrimSpace(row))
		if text == "" || strings.HasPrefix(text, "//") { // the cook's own comment
			continue
		}
		p.line(text, strings.TrimSpace(row))
		p.readYieldWithin(strings.ToLower(text))
	}
	p.listWithoutAmounts()
	p.Offers = offersIn(p.Items)
	return p.Page
}

// listWithoutAmounts takes what was held for a title as the first ingredient, where the page is
// but a list of names: "almonds", "water".
func (p *page) listWithoutAmounts() {
	if len(p.Items) < 2 || p.Items[0].Kind != Title || p.Items[0].Text != p.Title {
		return
	}
	for _, item := range p.Items[1:] {
		if item.Kind != Ingredient || slices.ContainsFunc(item.Reading.Lines, func(l recipe.Line) bool { return !l.Amount.IsOpen() }) {
			return
		}
	}
	read, err := p.reader.Read(p.Title)
	if !read.IsRead() {
		return
	}
	p.Items[0] = Item{Kind: Ingredient, Text: p.Title, Reading: read, Problem: err}
	p.Title = ""
}

// page is a page while it is read.
type page struct {
	Page                    // what was read so far
	reader Reader           // for amounts and names
	in     section          // where in the recipe the next line stands
	stage  ingredient.Stage // of the heading above
}

// line finds what a line is. The order matters: what is plainly something else is told
// from an ingredient before it is read as one.
func (p *page) line(text, written string) {
	lower := strings.ToLower(strings.TrimRight(text, ": "))
	switch {
	case len(p.Items) >= maxPageLines, len(text) > maxLineText:
		p.add(noteOrStep(p.in), text)
	case p.opens(lower):
		p.add(Heading, text)
	case p.readYield(lower):
		p.add(YieldLine, text)
	case p.in == remarks || isTiming(lower) || isAside(lower):
		p.add(Note, text)
	case p.in == method:
		p.add(Step, text)
	case p.Title == "" && p.in == above && (len(p.Items) == 0 || strings.HasPrefix(written, "# ")) && !startsWithAmount(text):
		p.Title = strings.TrimFunc(text, func(r rune) bool {
			return !unicode.IsLetter(r) && !unicode.IsDigit(r) && !strings.ContainsRune("()'\"!?", r)
		})
		p.add(Title, text)
	case isStep(lower, text):
		p.add(Step, text)
	default:
		p.ingredientOr(text, lower)
	}
}

// noteOrStep is what a line is that is not looked at closer.
func noteOrStep(in section) ItemKind {
	if in == method {
		return Step
	}
	return Note
}

// add keeps a line of the page that is no ingredient.
func (p *page) add(kind ItemKind, text string) {
	p.Items = append(p.Items, Item{Kind: kind, Text: text})
}

// ingredientOr reads a line of the list. What names nothing and has no amount is a
// heading where it looks like one, and a note where it is a sentence.
func (p *page) ingredientOr(text, lower string) {
	read, err := p.reader.Read(text)
	hasAmount := startsWithAmount(text) || len(read.Lines) > 0 && !read.Lines[0].Amount.IsOpen()
	words := len(strings.Fields(text))
	switch {
	case !hasAmount && looksLikeHeading(text, lower) && (!read.IsRead() || strings.HasSuffix(text, ":")):
		p.stage = stageOfHeading(lower)
		p.add(Heading, text)
		return
	case !hasAmount && !read.IsRead() && (words > 9 || strings.HasSuffix(text, ".")), !read.IsRead() && isTold(text, words):
		p.add(Note, text)
		return
	}
	for n := range read.Lines {
		if p.stage != "" && read.Lines[n].Stage == "" {
			read.Lines[n].Stage = p.stage
		}
	}
	p.Items = append(p.Items, Item{Kind: Ingredient, Text: text, Reading: read, Problem: err})
}

// sections are the headings that open a part of a page.
var sections = map[string]section{
	"ingredients": listed, "ingredient list": listed, "ingredient": listed, "what you need": listed, "you will need": listed, "you'll need": listed, "shopping list": listed, "zutaten": listed, "ingredientes": listed,
	"method": method, "instructions": method, "directions": method, "steps": method, "how to make": method, "how to make it": method, "preparation": method, "procedure": method, "to make": method, "what to do": method, "zubereitung": method, "preparación": method,
	"notes": remarks, "note": remarks, "tips": remarks, "tip": remarks, "nutrition": remarks, "storage": remarks, "equipment": remarks, "variations": remarks, "recipe notes": remarks, "faq": remarks, "nutrition information": remarks, "cook's notes": remarks,
}

// opens tells whether a line opens a part of the page, and goes there.
func (p *page) opens(lower string) bool {
	in, ok := sections[strings.Trim(lower, "*#:- ")]
	if !ok {
		return false
	}
	p.in, p.stage = in, ""
	return true
}

var (
	yieldLine = regexp.MustCompile(`^(?:serves|makes|yields?|servings?|portions?|zutaten für|para|recipe makes|this makes)\b[ :–-]*(?:about|approx\.?|around|up to)?\s*(.*)$`) // what tells how much it makes, in the languages of words.txt
	forPeople = regexp.MustCompile(`^(?:for )?(\d+)(?:\s*(?:-|–|to)\s*\d+)? (?:people|persons|servings|portions|drinks|cups to serve)\.?$`)                                    // likewise, the number first
	timing    = regexp.MustCompile(`^(?:prep(?:aration)?|cook(?:ing)?|total|soak(?:ing)?|chill(?:ing)?|active|hands-on|resting|ready)(?: ?time| in)\b`)                        // "Prep time: 10 min", which is no ingredient
	leading   = regexp.MustCompile(`^[\d½¼¾⅓⅔⅛]`)                                                                                                                              // a line that begins with a number is likely one
)

// isTiming tells whether a line says how long it all takes, or is a tip.
func isTiming(lower string) bool {
	return timing.MatchString(lower) || strings.HasPrefix(lower, "tip:") || strings.HasPrefix(lower, "note:") || strings.HasPrefix(lower, "notes:")
}

// aside is what pages have around a recipe: who wrote it, how it is rated, another way to make it.
var aside = regexp.MustCompile(`^(?:author|course|cuisine|keywords?|category|calories|rating|us customary|metric|print|pin|jump to)\b|★|^[^:]*\b(?:version|variation|variant|option)s?:`)

func isAside(lower string) bool { return aside.MatchString(lower) && !startsWithAmount(lower) }

// startsWithAmount tells whether a line begins with a number, as most lines of a list do
// and no title does.
func startsWithAmount(text string) bool { return leading.MatchString(text) }

// readYield reads how much the recipe makes: "Serves 4", "Makes 1 litre", "for 6
// people". How large one serving is says nothing of all of it.
func (p *page) readYield(lower string) bool {
	if strings.HasPrefix(lower, "serving size") {
		return true
	}
	if m := forPeople.FindStringSubmatch(lower); m != nil {
		p.Servings = firstNumber(m[1])
		return true
	}
	m := yieldLine.FindStringSubmatch(lower)
	if m == nil || m[1] == "" {
		return false
	}
	l := line{reader: p.reader, text: m[1]}
	l.tokens = tokens(m[1])
	if !l.isNumber(0) && cardinals[l.wordAt(0)] == 0 && !l.isWord(0, "a") {
		return false
	}
	l.findMeasures()
	p.makes(l)
	return true
}

// makes takes how much and how many servings the measures of a line say: the first volume is all of
// it, unless it is of each serving, "4 servings of 200 ml"; what it is "enough for" are servings.
func (p *page) makes(l line) {
	for _, a := range l.measures {
		ml := a.term.Middle() * a.term.Unit.Size(p.reader.System)
		isOfEach := a.each || l.isWord(a.from-1, "of", "x")
		switch {
		case l.isWord(a.from-1, "for") && p.YieldML > 0, !a.hasUnit || ml == 0:
			if p.Servings == 0 {
				p.Servings = a.term.Middle()
			}
		case p.YieldML > 0:
		case isOfEach && p.Servings > 0:
			p.YieldML = p.Servings * ml
		default:
			p.YieldML = ml
		}
	}
}

// parts are what a line says beside each other: "Prep time: 5 min | Yield: 2 cups", "Soak: 24 hrs.
// Serves 4-6."
var parts = regexp.MustCompile(`\s*[|·•]\s*|\.\s+`)

// readYieldWithin reads a yield that stands beside something else in its line.
func (p *page) readYieldWithin(lower string) {
	for _, part := range parts.Split(lower, -1)[1:] {
		p.readYield(part)
	}
}

// fewestTold are the words from which on what ends as a sentence does is one, though it begins with
// "a", which would count something: "A creamy drink. My family loves it!" (a judgement, no source).
const fewestTold = 6

func isTold(text string, words int) bool {
	return words >= fewestTold && strings.ContainsAny(text[len(text)-1:], ".!?") && firstNumber(text) == 0
}

// firstNumber is the number a text begins with; 0 where it begins with none.
func firstNumber(text string) float64 {
	list := tokens(text)
	if len(list) == 0 || list[0].kind != number {
		return 0
	}
	return list[0].value
}

// doing are the words a step begins with.
var doing = lists["doing"]

// isStep tells whether a line tells what to do rather than what goes in: it begins with
// a word of doing, and is a sentence.
func isStep(lower, text string) bool {
	words := strings.Fields(lower)
	if len(words) == 0 {
		return false
	}
	first := ingredient.Singular(strings.Trim(words[0], ",.:;!"))
	isSentence := strings.HasSuffix(text, ".") || strings.HasSuffix(text, "!") || len(words) > 4
	if doing[first] && (isSentence || len(words) <= 3) {
		return true
	}
	return len(words) > 12 && strings.Contains(text, ". ")
}

// looksLikeHeading tells whether a short line stands above others: it ends with a
// colon, is in capitals, or says what the lines are for.
func looksLikeHeading(text, lower string) bool {
	words := len(strings.Fields(text))
	if words > 7 {
		return false
	}
	isCapitals := text == strings.ToUpper(text) && strings.IndexFunc(text, unicode.IsLetter) >= 0
	return strings.HasSuffix(text, ":") || isCapitals || strings.HasPrefix(lower, "for the ") || strings.HasPrefix(lower, "to serve") || words <= 2
}

// headingStages are the words of a heading that say when its lines go in.
var headingStages = []struct {
	words string
	stage ingredient.Stage
}{
	{"serve", ingredient.Serve}, {"serving", ingredient.Serve}, {"topping", ingredient.Serve}, {"garnish", ingredient.Serve}, {"to finish", ingredient.Strained},
	{"flavour", ingredient.Strained}, {"flavor", ingredient.Strained}, {"straining", ingredient.Strained}, {"sweeten", ingredient.Strained}, {"simmer", ingredient.CookIt}, {"brew", ingredient.Brew},
}

// stageOfHeading is the stage that a heading names; "" for that of each ingredient.
func stageOfHeading(lower string) ingredient.Stage {
	for _, h := range headingStages {
		if strings.Contains(lower, h.words) {
			return h.stage
		}
	}
	return ""
}
