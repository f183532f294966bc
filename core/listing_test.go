package core_test

import (
	"flag"
	"fmt"
	"maps"
	"math"
	"os"
	"path/filepath"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/solve"
)

// A listing is everything that the core says of some drinks, written down: a change to any of it is
// seen and read, as a change to the code is. It is no proof that a figure is right; the tables
// worked by hand and the published ones beside each package are. It is what notices that a figure,
// a step or a sentence became another.
//
//	go test ./core -run Listing -write     writes the listings anew
var writeListings = flag.Bool("write", false, "write the listings anew, to be read before they are kept")

// isListed compares a listing with the one that is kept, figures to three parts in ten thousand: closer
// than a changed constant, and further than the last bits of another machine's sums.
func isListed(t *testing.T, name string, l *listing) {
	t.Helper()
	path := filepath.Join("testdata", name+".txt")
	if *writeListings {
		require.NoError(t, os.WriteFile(path, []byte(l.String()), 0o600))
	}
	kept, err := os.ReadFile(path)
	require.NoError(t, err)
	was, is := strings.Split(string(kept), "\n"), strings.Split(l.String(), "\n")
	heading := ""
	for n := range max(len(was), len(is)) {
		require.Less(t, n, len(is), "after %s nothing follows where there was: %s", heading, was[min(n, len(was)-1)])
		require.Less(t, n, len(was), "after %s more follows: %s", heading, is[n])
		if strings.HasPrefix(is[n], "# ") {
			heading = is[n]
		}
		if !isAlike(was[n], is[n]) {
			require.Equal(t, was[n], is[n], "%s line %d, %s", path, n+1, heading)
		}
	}
}

// isAlike compares two lines word by word, figures as figures.
func isAlike(was, is string) bool {
	if was == is {
		return true
	}
	a, b := words(was), words(is)
	return slices.EqualFunc(a, b, func(a, b string) bool {
		x, errX := strconv.ParseFloat(a, 64)
		y, errY := strconv.ParseFloat(b, 64)
		if errX != nil || errY != nil {
			return a == b
		}
		return math.Abs(x-y) <= 3e-4*max(math.Abs(x), math.Abs(y))
	})
}

func words(line string) []string {
	return strings.FieldsFunc(line, func(r rune) bool { return strings.ContainsRune(" =(),[]:", r) })
}

func TestIsAlikeTellsApart(t *testing.T) {
	t.Parallel()
	assert.True(t, isAlike("a: fat=10.01 [b(3)]", "a: fat=10.012 [b(3)]"))
	for _, other := range []string{"a: fat=10.11 [b(3)]", "a: fat=10.01 [c(3)]", "a: fat=10.01 [b(4)]", "a: fat=10.01 b=1 [b(3)]", "a: fit=10.01 [b(3)]"} {
		assert.False(t, isAlike("a: fat=10.01 [b(3)]", other), other)
	}
}

// listing writes values down, what holds fields one a line with what is in it below; what is zero
// is left out.
type listing struct{ strings.Builder }

func (l *listing) head(format string, args ...any) { fmt.Fprintf(l, "# "+format+"\n", args...) }

func (l *listing) put(name string, v any) { l.write(0, name, reflect.ValueOf(v)) }

// drink writes down a drink that something made of another.
func (l *listing) drink(name string, d reckon.Drink, err error) {
	if err != nil {
		l.put(name, err.Error())
		return
	}
	var lines []string
	for _, line := range d.Lines {
		grams := 0.
		if line.Ingredient != nil {
			grams, _, _ = line.Grams(d.System)
		}
		lines = append(lines, fmt.Sprintf("%s %s %s", line.Name, line.Amount, figure(grams)))
	}
	l.put(name, lines)
	l.put(name+" made", d.Method)
}

func (l *listing) write(depth int, name string, v reflect.Value) {
	if text, ok := plain(v); ok {
		if text != "" {
			fmt.Fprintf(l, "%s%s: %s\n", strings.Repeat(" ", depth), name, text)
		}
		return
	}
	switch v.Kind() {
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() {
			l.write(depth, name, v.Elem())
		}
	case reflect.Slice, reflect.Array:
		for n := range v.Len() {
			l.write(depth, name+" "+strconv.Itoa(n+1), v.Index(n))
		}
	case reflect.Struct:
		l.writeFields(depth, name, v)
	}
}

func (l *listing) writeFields(depth int, name string, v reflect.Value) {
	line := strings.Repeat(" ", depth) + name + ":"
	var below []int
	for n := range v.NumField() {
		field := v.Type().Field(n)
		if !field.IsExported() || isLeftOut(field) {
			continue
		}
		text, ok := plain(v.Field(n))
		switch {
		case !ok:
			below = append(below, n)
		case text != "":
			line += " " + field.Name + "=" + text
		}
	}
	fmt.Fprintln(l, line)
	for _, n := range below {
		l.write(depth+1, v.Type().Field(n).Name, v.Field(n))
	}
}

// isLeftOut are fields that lead back to what is written down already.
func isLeftOut(f reflect.StructField) bool {
	switch f.Type {
	case reflect.TypeFor[*reckon.Batch](), reflect.TypeFor[*reckon.Reckoning](), reflect.TypeFor[reckon.Drink](), reflect.TypeFor[*recipe.Line](), reflect.TypeFor[solve.Trial]():
		return true
	}
	return f.Name == "Through" || f.Name == "Bands"
}

// plain writes what fits into one word or a list of them; "" of what is zero.
func plain(v reflect.Value) (text string, ok bool) {
	if !v.IsValid() || v.Kind() != reflect.Slice && v.Kind() != reflect.Array && v.IsZero() {
		return "", true
	}
	switch is := v.Interface().(type) {
	case *ingredient.Ingredient:
		return is.ID, true
	case time.Time:
		return is.Format("Mon 15:04"), true
	case time.Duration:
		return figure(is.Minutes()) + " min", true
	case ingredient.Content:
		return contents(is), true
	case fmt.Stringer:
		return figuresIn(is.String()), true
	case error:
		return is.Error(), true
	}
	switch v.Kind() {
	case reflect.String:
		return v.String(), true
	case reflect.Bool:
		return "yes", true
	case reflect.Float64:
		return figure(v.Float()), true
	case reflect.Int, reflect.Int64, reflect.Uint8, reflect.Int8:
		return fmt.Sprint(v.Interface()), true
	case reflect.Pointer:
		return plain(v.Elem())
	case reflect.Map:
		return ofMap(v), true
	case reflect.Func:
		return "", true
	case reflect.Slice, reflect.Array:
		return ofList(v)
	}
	return "", false
}

func ofMap(v reflect.Value) string {
	all := map[string]string{}
	for _, key := range v.MapKeys() {
		all[fmt.Sprint(key)], _ = plain(v.MapIndex(key))
	}
	var out []string
	for _, key := range slices.Sorted(maps.Keys(all)) {
		out = append(out, key+":"+all[key])
	}
	return strings.Join(out, " ")
}

func ofList(v reflect.Value) (string, bool) {
	var out []string
	for n := range v.Len() {
		text, ok := plain(v.Index(n))
		if !ok || v.Index(n).Kind() == reflect.Struct && v.Index(n).IsZero() {
			return "", false
		}
		if v.Index(n).CanInt() {
			text = fmt.Sprint(v.Index(n).Int())
		}
		out = append(out, text)
	}
	if len(out) == 0 {
		return "", true
	}
	return "[" + strings.Join(out, " | ") + "]", true
}

// contents are the components there are of something, by their places.
func contents(c ingredient.Content) string {
	var out []string
	for n, v := range c {
		if math.Abs(v) > 1e-9 {
			out = append(out, strconv.Itoa(n)+":"+figure(v))
		}
	}
	return "{" + strings.Join(out, " ") + "}"
}

func figure(v float64) string {
	if math.Abs(v) < 1e-9 {
		return "0" // what is left of a sum that cancels
	}
	return strconv.FormatFloat(v, 'g', 5, 64)
}

// figuresIn writes the figures of a text as figures are written.
func figuresIn(text string) string {
	var out strings.Builder
	for text != "" {
		n := strings.IndexAny(text, "0123456789")
		if n < 0 {
			break
		}
		end := n + len(text[n:]) - len(strings.TrimLeft(text[n:], "0123456789.e"))
		v, err := strconv.ParseFloat(text[n:end], 64)
		out.WriteString(text[:n])
		if err == nil && strings.Contains(text[n:end], ".") {
			out.WriteString(figure(v))
		} else {
			out.WriteString(text[n:end])
		}
		text = text[end:]
	}
	return out.String() + text
}
