package bench

import (
	"fmt"
	"math"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/reading"
	"plushladle/core/reckon"
	"plushladle/internal/exchange"
	"plushladle/internal/kitchen"
	"plushladle/internal/wording"
)

// TypedLine is a line as people write it.
type TypedLine struct {
	Text string `json:"text" minLength:"1" maxLength:"2000"`
	As   string `json:"as,omitempty" maxLength:"200" doc:"the ingredient that the cook says it is"`
}

// ReadLine is how a line is read.
type ReadLine struct {
	Lines      []kitchen.Line `json:"lines" doc:"one for each ingredient"`
	Understood bool           `json:"understood" doc:"every one of them is in the catalogue"`
	Question   string         `json:"question" doc:"what is asked about it; empty where nothing is"`
	Choices    []string       `json:"choices" doc:"ingredients it may mean, the likeliest first"`
	Words      []WordsRead    `json:"words" doc:"every word, and what it was read as"`
	Told       string         `json:"told" doc:"how it is read, in short"`
	Teach      string         `json:"teach" doc:"what the cook calls it, of a line that was settled; empty where there is nothing to teach"`
	Mended     string         `json:"mended" doc:"what was taken for a slip; empty where nothing was"`
}

// WordsRead are some words of a line, as written.
type WordsRead struct {
	Words string `json:"words"`
	As    string `json:"as" doc:"amount, second-amount, size, ingredient, form, prepared, purpose, neutral, note, instead; empty where they have no part"`
}

// ReadLine reads a line; where the cook says what it is, as that.
func (s Service) ReadLine(in TypedLine) (ReadLine, error) {
	ways, err := s.Setup()
	if err != nil {
		return ReadLine{}, err
	}
	read, err := reading.Reading{}, error(nil)
	if in.As == "" {
		read, err = ways.Lines().Read(in.Text)
	} else {
		of, ok := ways.Catalogue.Find(in.As)
		if !ok {
			return ReadLine{}, fault.New("as", in.As, "not-in-catalogue-choose")
		}
		read, err = ways.Lines().ReadAs(in.Text, of)
	}
	if err != nil {
		return ReadLine{}, fault.In("text", err)
	}
	return presentReading(read), nil
}

func presentReading(read reading.Reading) ReadLine {
	out := ReadLine{
		Lines: kitchen.LinesOf(read), Understood: read.IsRead(), Question: wording.Doubt(read), Choices: []string{}, Words: []WordsRead{},
		Told: toldOf(read), Teach: read.Teach, Mended: wording.Slips(read.Slips),
	}
	for _, c := range read.Choices {
		out.Choices = append(out.Choices, c.Name)
	}
	for _, p := range read.Parts {
		out.Words = append(out.Words, WordsRead{p.Words, string(p.As)})
	}
	return out
}

// toldOf is how a line is read: "1½ cups · Hazelnuts · soaked 8 h".
func toldOf(read reading.Reading) string {
	var told []string
	for _, l := range read.Lines {
		if l.Ingredient == nil {
			continue
		}
		var parts []string
		for _, part := range []string{l.Amount.String(), l.Ingredient.Name, l.Note} {
			if part != "" {
				parts = append(parts, part)
			}
		}
		told = append(told, strings.Join(parts, " · "))
	}
	return strings.Join(told, "; ")
}

// ask adds to the figures what is asked about the lines, and which of them no figure
// counts. A line that was settled, or that the cook keeps as a note, is not asked about.
func (r *Reckoning) ask(f kitchen.Recipe, of *reckon.Reckoning, ways kitchen.Setup) {
	r.Missing = f.Lacking(of)
	if len(r.Missing) > 0 {
		r.MissingTold = wording.WithoutLines(r.Missing)
	}
	for n := range r.Lines {
		line := f.Lines[n]
		r.Lines[n].Choices = []string{}
		if line.IsNote || line.Text() == "" || r.Lines[n].Understood && (line.Written == "" || line.Settled) {
			continue
		}
		asked := askedOf(line.Text(), ways)
		if asked == nil {
			continue
		}
		r.Lines[n].Words = asked.Words
		if r.Lines[n].Understood && asked.sure {
			continue
		}
		r.Lines[n].Question, r.Lines[n].Choices = asked.Question, asked.Choices
	}
}

// askedLine is what is asked about a line, and whether there is no doubt about it.
type askedLine struct {
	ReadLine
	sure bool
}

// askedOf is what is asked about a line as it is written; nil where it cannot be read.
func askedOf(text string, ways kitchen.Setup) *askedLine {
	found, _ := ways.Seen.Find(ways.System.String()+" "+text, func() any {
		read, err := ways.Lines().Read(text)
		if err != nil {
			return (*askedLine)(nil)
		}
		return &askedLine{presentReading(read), read.Doubt == reading.Sure}
	}).(*askedLine)
	return found
}

// Paste is a recipe as it was copied, or as it stands in a file.
type Paste struct {
	Text string `json:"text" maxLength:"200000"`
}

// Pasted is what was read of it. No line is lost.
type Pasted struct {
	Name      string       `json:"name"`
	Servings  float64      `json:"servings" doc:"0 where it is not said"`
	ServingML float64      `json:"servingML" doc:"of what was read of it, parted into so many; 0 where it cannot be told"`
	Notes     []string     `json:"notes" doc:"what is no ingredient, kept with the drink"`
	YieldML   float64      `json:"yieldML" doc:"0 where it is not said"`
	Lines     []PastedLine `json:"lines" doc:"all lines of the page, in their order"`
	Offers    []Offer      `json:"offers" doc:"what the method says of how it is made"`
}

// PastedLine is one line of the page: as written, and as read.
type PastedLine struct {
	Kind    string `json:"kind" enum:"title,yield,heading,ingredient,step,note"`
	Text    string `json:"text"`
	Problem string `json:"problem" doc:"why its amount cannot be one; empty where it can"`
	ReadLine
}

// Offer is something the method says, beside its sentence.
type Offer struct {
	Kind     string              `json:"kind" enum:"soak,blend,heat,strain,chill,keep"`
	Words    string              `json:"words" doc:"what it would change, as a cook says it"`
	Sentence string              `json:"sentence"`
	BlendS   float64             `json:"blendS,omitempty"`
	Heat     string              `json:"heat,omitempty"`
	CookMin  float64             `json:"cookMin,omitempty"`
	Strainer string              `json:"strainer,omitempty"`
	Change   *kitchen.StepChange `json:"change,omitempty" doc:"of the process"`
}

// Paste reads a whole recipe.
func (s Service) Paste(in Paste) (Pasted, error) {
	ways, err := s.Setup()
	if err != nil {
		return Pasted{}, err
	}
	page, err := exchange.ReadRecipe([]byte(in.Text), ways.Lines())
	if err != nil {
		return Pasted{}, fault.In("text", err)
	}
	if len(page.Items) == 0 {
		return Pasted{}, fault.New("text", "", "paste-has-no-lines")
	}
	out := Pasted{Name: page.Title, Servings: page.Servings, YieldML: page.YieldML, Lines: make([]PastedLine, len(page.Items)), Offers: []Offer{}, Notes: []string{}}
	for n, item := range page.Items {
		out.Lines[n] = PastedLine{Kind: string(item.Kind), Text: item.Text, ReadLine: presentReading(item.Reading)}
		if item.Problem != nil {
			out.Lines[n].Problem = wording.Error(item.Problem)
		}
		for k := range out.Lines[n].Lines {
			out.Lines[n].Lines[k].Key = fmt.Sprintf("pasted-%d-%d", n, k)
		}
	}
	for _, item := range page.Items {
		if item.Kind != reading.Ingredient && item.Kind != reading.Title {
			out.Notes = append(out.Notes, item.Text)
		}
	}
	out.ServingML = s.servingOf(page, ways)
	for _, o := range page.Offers {
		out.Offers = append(out.Offers, presentOffer(o))
	}
	return out, nil
}

// servingOf is what one serving holds, where the page says how many it makes.
func (s Service) servingOf(page reading.Page, ways kitchen.Setup) float64 {
	if page.Servings <= 0 {
		return 0
	}
	d := reckon.New(page.Title)
	d.System, d.FridgeC = ways.System, ways.FridgeC
	for _, item := range page.Items {
		d.Lines = append(d.Lines, item.Reading.Lines...)
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil || len(r.Lacks()) > 0 {
		return 0
	}
	return math.Round(r.Drink.VolumeML / page.Servings)
}

// presentOffer is an offer with what it changes in a drink. Chilling and keeping change
// nothing: they are shown to be compared with.
func presentOffer(o reading.Offer) Offer {
	out := Offer{Kind: string(o.Kind), Words: wording.Offer(o), Sentence: o.Sentence}
	middle := (o.Low + o.High) / 2
	switch o.Kind {
	case reading.OfferSoak:
		out.Change = &kitchen.StepChange{At: kitchen.StepAt{Kind: "soak", N: 1}, Do: "set", Params: map[string]float64{"hours": middle}}
	case reading.OfferBlend:
		out.BlendS = min(middle, mostBlendS)
	case reading.OfferHeat:
		out.Heat, out.CookMin = o.What, middle
	case reading.OfferStrain:
		out.Strainer = o.What
	}
	return out
}

// mostBlendS is the longest a blender runs in a recipe, seconds.
const mostBlendS = 600
