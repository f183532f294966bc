// Package exchange reads and writes the formats drinks travel in.
package exchange

import (
	"bytes"
	"encoding/json"
	"strings"
	"unicode/utf8"

	"plushladle/core/fault"
)

// Limits of a recipe file.
const (
	MaxRecipeBytes = 1 << 20
	MaxRecipeLines = 300
	maxNameRunes   = 120
	maxDepth       = 8 // of JSON looked through for a Recipe
)

// Recipe is a drink as it comes from outside: a name and its ingredient lines.
type Recipe struct {
	Name  string
	Lines []string
}

// ReadRecipe reads an ingredient list, one a line, with an optional "# Name"
// first, or a schema.org Recipe as JSON-LD. The error is a *fault.Error for
// the field "file".
func ReadRecipe(data []byte) (Recipe, error) {
	if len(data) > MaxRecipeBytes {
		return Recipe{}, fault.New("file", "", "recipe-too-large")
	}
	data = bytes.TrimPrefix(data, []byte("\xef\xbb\xbf"))
	if !utf8.Valid(data) || bytes.IndexByte(data, 0) >= 0 {
		return Recipe{}, fault.New("file", "", "not-text")
	}
	recipe, err := read(data)
	if err != nil {
		return Recipe{}, err
	}
	if len(recipe.Lines) > MaxRecipeLines {
		return Recipe{}, fault.New("file", "", "recipe-too-long")
	}
	return recipe, nil
}

func read(data []byte) (Recipe, error) {
	trimmed := bytes.TrimSpace(data)
	if len(trimmed) == 0 || (trimmed[0] != '{' && trimmed[0] != '[') {
		return readList(string(data)), nil
	}
	var document any
	if err := json.Unmarshal(trimmed, &document); err != nil {
		return Recipe{}, fault.New("file", "", "broken-json", err.Error())
	}
	recipe, ok := findRecipe(document, 0)
	if !ok {
		return Recipe{}, fault.New("file", "", "no-recipe-in-json")
	}
	return recipe, nil
}

func readList(text string) Recipe {
	var r Recipe
	for _, line := range strings.FieldsFunc(text, func(c rune) bool { return c == '\n' || c == '\r' }) {
		line = strings.TrimSpace(line)
		name, isName := strings.CutPrefix(line, "#")
		switch {
		case line == "" || strings.HasPrefix(line, "//"):
		case isName && r.Name == "" && len(r.Lines) == 0:
			r.Name = shortName(name)
		default:
			r.Lines = append(r.Lines, line)
		}
	}
	return r
}

// findRecipe looks for an object of type Recipe, at the top, in an array or
// in an @graph.
func findRecipe(v any, depth int) (Recipe, bool) {
	if depth > maxDepth {
		return Recipe{}, false
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
			r := Recipe{Name: shortName(text(node["name"])), Lines: texts(node["recipeIngredient"])}
			return r, len(r.Lines) > 0
		}
		return findRecipe(node["@graph"], depth+1)
	}
	return Recipe{}, false
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
