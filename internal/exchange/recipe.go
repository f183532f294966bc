// Package exchange reads and writes the formats drinks travel in.
package exchange

import (
	"bytes"
	"encoding/json"
	"strings"
	"unicode/utf8"

	"golang.org/x/net/html"

	"plushladle/core/fault"
	"plushladle/core/reading"
)

// Limits of a recipe file.
const (
	MaxRecipeBytes = 1 << 20
	MaxRecipeLines = 300
	maxNameRunes   = 120
	maxDepth       = 8 // of JSON looked through for a Recipe
)

// ReadRecipe reads a whole recipe: a list of ingredients, one a line, a page with title,
// headings and method, a schema.org Recipe as JSON-LD, or a web page that may hold one.
// The error is a *fault.Error for the field "file".
func ReadRecipe(data []byte, reader reading.Reader) (reading.Page, error) {
	if len(data) > MaxRecipeBytes {
		return reading.Page{}, fault.New("file", "", "recipe-too-large")
	}
	data = bytes.TrimPrefix(data, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(data) || bytes.IndexByte(data, 0) >= 0 {
		return reading.Page{}, fault.New("file", "", "not-text")
	}
	text, err := textOf(data)
	if err != nil {
		return reading.Page{}, err
	}
	page := reader.ReadPage(text)
	page.Title = shortName(page.Title)
	lines := 0
	for _, item := range page.Items {
		lines += len(item.Reading.Lines)
	}
	if lines > MaxRecipeLines {
		return reading.Page{}, fault.New("file", "", "recipe-too-long")
	}
	return page, nil
}

// textOf is a recipe as a page of text, whatever it travels in.
func textOf(data []byte) (string, error) {
	trimmed := bytes.TrimSpace(data)
	switch {
	case len(trimmed) > 0 && (trimmed[0] == '{' || trimmed[0] == '['):
		var document any
		if err := json.Unmarshal(trimmed, &document); err != nil {
			return "", fault.New("file", "", "broken-json", err.Error())
		}
		text, ok := findRecipe(document, 0)
		if !ok {
			return "", fault.New("file", "", "no-recipe-in-json")
		}
		return text, nil
	case len(trimmed) > 0 && trimmed[0] == '<':
		return textOfHTML(trimmed), nil
	}
	return string(data), nil
}

// linkedData is how a web page marks data for machines.
const linkedData = "application/ld+json"

// textOfHTML is the recipe that a web page holds for machines; where it holds none, the
// words of the page, a block a line.
func textOfHTML(data []byte) string {
	tokens := html.NewTokenizer(bytes.NewReader(data))
	var words strings.Builder
	hidden := ""
	isData := false
	for {
		switch tokens.Next() {
		case html.ErrorToken:
			return words.String()
		case html.StartTagToken:
			t := tokens.Token()
			if t.Data == "script" || t.Data == "style" || t.Data == "head" && hidden == "" {
				hidden = t.Data
				isData = t.Data == "script" && attribute(t, "type") == linkedData
			}
			breakLine(&words, t.Data)
		case html.EndTagToken:
			t := tokens.Token()
			if t.Data == hidden {
				hidden, isData = "", false
			}
			breakLine(&words, t.Data)
		case html.SelfClosingTagToken:
			breakLine(&words, tokens.Token().Data)
		case html.TextToken:
			text := tokens.Token().Data
			if isData {
				if recipe, ok := recipeIn(text); ok {
					return recipe
				}
			}
			if hidden == "" {
				words.WriteString(strings.Join(strings.Fields(" "+text+" "), " ") + " ")
			}
		}
	}
}

func attribute(t html.Token, name string) string {
	for _, a := range t.Attr {
		if a.Key == name {
			return a.Val
		}
	}
	return ""
}

// inline are the elements that words run on in.
var inline = map[string]bool{"a": true, "b": true, "i": true, "em": true, "strong": true, "span": true, "small": true, "u": true, "sup": true, "sub": true, "label": true, "input": true, "mark": true}

func breakLine(words *strings.Builder, element string) {
	if !inline[element] {
		words.WriteByte('\n')
	}
}

// recipeIn is the recipe in a piece of JSON, if it holds one.
func recipeIn(text string) (string, bool) {
	var document any
	if json.Unmarshal([]byte(text), &document) != nil {
		return "", false
	}
	return findRecipe(document, 0)
}

// findRecipe looks for an object of type Recipe, at the top, in an array or in an
// @graph, and gives it as a page of text.
func findRecipe(v any, depth int) (string, bool) {
	if depth > maxDepth {
		return "", false
	}
	switch node := v.(type) {
	case []any:
		for _, item := range node {
			if r, ok := findRecipe(item, depth+1); ok {
				return r, true
			}
		}
	case map[string]any:
		if isRecipe(node["@type"]) {
			return pageOf(node)
		}
		return findRecipe(node["@graph"], depth+1)
	}
	return "", false
}

// pageOf is a schema.org Recipe as a page of text.
func pageOf(node map[string]any) (string, bool) {
	lines := texts(node["recipeIngredient"])
	if len(lines) == 0 {
		return "", false
	}
	var page []string
	if name := shortName(text(node["name"])); name != "" {
		page = append(page, "# "+oneLine(name))
	}
	page = append(page, "Ingredients")
	for _, l := range lines {
		page = append(page, oneLine(l))
	}
	if yields := texts(node["recipeYield"]); len(yields) > 0 {
		page = append(page, "Makes "+oneLine(yields[0]))
	}
	page = append(page, "Method")
	for _, step := range instructions(node["recipeInstructions"], 0) {
		page = append(page, oneLine(step))
	}
	return strings.Join(page, "\n"), true
}

func oneLine(text string) string { return strings.Join(strings.Fields(text), " ") }

// instructions are the steps of a Recipe: one text, a list of texts, or steps in
// sections.
func instructions(v any, depth int) []string {
	if depth > maxDepth {
		return nil
	}
	if s := text(v); s != "" {
		return strings.FieldsFunc(s, func(r rune) bool { return r == '\n' })
	}
	var out []string
	switch node := v.(type) {
	case []any:
		for _, item := range node {
			out = append(out, instructions(item, depth+1)...)
		}
	case map[string]any:
		if s := text(node["text"]); s != "" {
			return []string{s}
		}
		return instructions(node["itemListElement"], depth+1)
	}
	return out
}

func isRecipe(kind any) bool {
	for _, k := range texts(kind) {
		if k == "Recipe" || strings.HasSuffix(k, "schema.org/Recipe") {
			return true
		}
	}
	return false
}

func text(v any) string {
	s, _ := v.(string)
	return strings.TrimSpace(s)
}

// texts are the strings of a value that may be one string or a list of them.
func texts(v any) []string {
	if s := text(v); s != "" {
		return []string{s}
	}
	items, _ := v.([]any)
	var out []string
	for _, item := range items {
		if s := text(item); s != "" {
			out = append(out, s)
		}
	}
	return out
}

func shortName(name string) string {
	runes := []rune(strings.TrimSpace(name))
	return string(runes[:min(len(runes), maxNameRunes)])
}
