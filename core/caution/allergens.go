package caution

import (
	"slices"
	"strings"

	"plushladle/core/fault"
)

// Allergen is something that people avoid, or a group of such: the US nine
// (FALCPA and FASTER Act), the EU fourteen (Regulation 1169/2011, Annex II),
// each tree nut, and coconut, which is outside both lists' tree nuts as of
// FDA's 2025 guidance and is named all the same.
type Allergen struct {
	Code  string   // what is stored
	Name  string   // as it is written on a label
	Words []string // what a label may call it; lower case
	Of    []string // the codes of what a group covers; empty for one
	Kin   string   // the code of what cross-reacts with it
}

// allergens are all of them. Words are those people use, in the singular.
var allergens = []Allergen{
	{Code: "tree-nuts", Name: "all tree nuts", Words: []string{"tree nut", "treenut"}, Of: treeNutCodes},
	{Code: "nuts", Name: "all nuts, peanuts too", Words: []string{"nut", "any nut", "all nuts"}, Of: append([]string{"peanut"}, treeNutCodes...)},
	{Code: "almond", Name: "almond"},
	{Code: "brazil-nut", Name: "Brazil nut", Words: []string{"brazil"}},
	{Code: "cashew", Name: "cashew", Kin: "pistachio"},
	{Code: "hazelnut", Name: "hazelnut", Words: []string{"filbert", "cobnut"}},
	{Code: "macadamia", Name: "macadamia", Words: []string{"macadamia nut", "queensland nut"}},
	{Code: "pecan", Name: "pecan", Kin: "walnut"},
	{Code: "pistachio", Name: "pistachio", Kin: "cashew"},
	{Code: "walnut", Name: "walnut", Kin: "pecan"},
	{Code: "coconut", Name: "coconut", Words: []string{"coco"}},
	{Code: "peanut", Name: "peanut", Words: []string{"groundnut", "monkey nut", "arachis"}},
	{Code: "milk", Name: "milk", Words: []string{"dairy", "lactose", "cow's milk", "cows milk", "cow milk", "casein", "whey", "butter", "cream", "milk protein"}},
	{Code: "gluten", Name: "all cereals with gluten", Words: []string{"coeliac", "celiac", "gluten free", "coeliac disease"}, Of: []string{"wheat", "barley", "rye", "oats", "spelt"}},
	{Code: "wheat", Name: "gluten (wheat)", Words: []string{"wheat", "wheat flour"}},
	{Code: "barley", Name: "gluten (barley)", Words: []string{"barley", "malt"}},
	{Code: "rye", Name: "gluten (rye)", Words: []string{"rye"}},
	{Code: "oats", Name: "gluten (oats)", Words: []string{"oat", "oats"}},
	{Code: "spelt", Name: "gluten (spelt)", Words: []string{"spelt", "kamut"}},
	{Code: "soy", Name: "soy", Words: []string{"soya", "soybean", "soya bean", "tofu"}},
	{Code: "sesame", Name: "sesame", Words: []string{"sesame seed", "tahini"}},
	{Code: "egg", Name: "egg"},
	{Code: "fish", Name: "fish"},
	{Code: "crustaceans", Name: "crustaceans", Words: []string{"shellfish", "prawn", "shrimp", "crab"}},
	{Code: "molluscs", Name: "molluscs", Words: []string{"mollusc", "mussel", "oyster"}},
	{Code: "celery", Name: "celery", Words: []string{"celeriac"}},
	{Code: "mustard", Name: "mustard"},
	{Code: "lupin", Name: "lupin", Words: []string{"lupine"}},
	{Code: "sulphites", Name: "sulphites", Words: []string{"sulphite", "sulfite", "sulphur dioxide", "sulfur dioxide"}},
}

var treeNutCodes = []string{"almond", "brazil-nut", "cashew", "hazelnut", "macadamia", "pecan", "pistachio", "walnut"} // the tree nuts of EU 1169/2011 annex II, a code each

// Allergens are all that can be chosen, groups first.
func Allergens() []Allergen { return slices.Clone(allergens) }

// byWord finds an allergen by its code, its name or a word for it.
var byWord = func() map[string]Allergen {
	known := map[string]Allergen{}
	for _, a := range allergens {
		for _, word := range append([]string{a.Code, a.Name}, a.Words...) {
			known[plainWord(word)] = a
		}
	}
	return known
}()

// plainWord is a word in lower case and in the singular.
func plainWord(word string) string {
	word = strings.ToLower(strings.Join(strings.Fields(strings.ReplaceAll(word, "-", " ")), " "))
	for _, lead := range []string{"no ", "any ", "all "} {
		word = strings.TrimPrefix(word, lead)
	}
	for _, tail := range []string{" allergy", " allergic", " intolerance", " intolerant"} {
		word = strings.TrimSuffix(word, tail)
	}
	if strings.HasSuffix(word, "ss") {
		return word
	}
	return strings.TrimSuffix(word, "s")
}

// AllergenOf is what a word means; false where it means none of them.
func AllergenOf(word string) (Allergen, bool) {
	a, ok := byWord[plainWord(word)]
	return a, ok
}

// Covers tells whether who avoids a must not have b.
func (a Allergen) Covers(b Allergen) bool {
	return a.Code == b.Code || slices.Contains(a.Of, b.Code)
}

// IsKinOf tells whether a, or something it covers, is kin of b.
func (a Allergen) IsKinOf(b Allergen) bool {
	if a.Kin != "" && a.Kin == b.Code {
		return true
	}
	return slices.ContainsFunc(a.Of, func(code string) bool {
		of, ok := AllergenOf(code)
		return ok && of.IsKinOf(b)
	})
}

// suggested is how many are named to who wrote a word that means none.
const suggested = 3

// FindAllergens are those that what was typed may mean, the likeliest first;
// all of them where nothing was typed.
func FindAllergens(typed string) []Allergen {
	word := plainWord(typed)
	if word == "" {
		return Allergens()
	}
	type ranked struct {
		a    Allergen
		rank int
	}
	var found []ranked
	for _, a := range allergens {
		best := -1
		for _, w := range append([]string{a.Code, a.Name}, a.Words...) {
			if rank := likeness(word, plainWord(w)); rank >= 0 && (best < 0 || rank < best) {
				best = rank
			}
		}
		if best >= 0 {
			found = append(found, ranked{a, best})
		}
	}
	slices.SortStableFunc(found, func(x, y ranked) int { return x.rank - y.rank })
	out := make([]Allergen, len(found))
	for n, f := range found {
		out[n] = f.a
	}
	return out
}

// likeness is 0 for the same word, 1 for its beginning, 2 for a part of it and
// from 3 on for slips; -1 for anything else.
func likeness(typed, word string) int {
	switch {
	case typed == word:
		return 0
	case strings.HasPrefix(word, typed):
		return 1
	case len(typed) >= 3 && strings.Contains(word, typed):
		return 2
	}
	if slips := distance(typed, word); slips <= (len(typed)+3)/6 {
		return 2 + slips
	}
	return -1
}

// distance is how many letters have to be changed, added or left out
// (Levenshtein).
func distance(a, b string) int {
	row := make([]int, len(b)+1)
	for j := range row {
		row[j] = j
	}
	for i := range len(a) {
		before := row[0]
		row[0] = i + 1
		for j := range len(b) {
			change := before
			if a[i] != b[j] {
				change++
			}
			before = row[j+1]
			row[j+1] = min(change, row[j]+1, before+1)
		}
	}
	return row[len(b)]
}

// ReadAllergens turns words into codes. A word that means none of them is
// refused with what it may mean, and never taken for nothing to avoid.
func ReadAllergens(field string, words []string) ([]string, error) {
	codes := []string{}
	for _, word := range words {
		if strings.TrimSpace(word) == "" {
			continue
		}
		a, ok := AllergenOf(word)
		if !ok {
			return nil, fault.New(field, word, "unknown-allergen", likely(word))
		}
		if !slices.Contains(codes, a.Code) {
			codes = append(codes, a.Code)
		}
	}
	return codes, nil
}

// likely are the names of the allergens that a word may mean.
func likely(word string) []string {
	names := []string{}
	for _, a := range FindAllergens(word) {
		if len(names) < suggested {
			names = append(names, a.Name)
		}
	}
	return names
}

// NamesOf are the names of allergens, as rows and labels bear them.
func NamesOf(codes []string) []string {
	names := []string{}
	for _, code := range codes {
		if a, ok := AllergenOf(code); ok {
			names = append(names, a.Name)
		}
	}
	return names
}
