package store

import (
	"encoding/json"
	"regexp"
	"strconv"
	"strings"

	"gorm.io/gorm"

	"plushladle/core/say"
)

// Until 0011 a kitchen kept sentences where it now keeps codes. This is what they were,
// and what they are now. Nothing is added to it: it is history.

// oldReasons are why a bottle kept as it did.
var oldReasons = []struct {
	was  *regexp.Regexp
	code string
}{
	{regexp.MustCompile(`^soy that was not boiled is not drunk, so it has no date$`), "raw-soy-has-no-date"},
	{regexp.MustCompile(`^a line that is not settled is not counted and may keep less$`), "unsettled-line"},
	{regexp.MustCompile(`^nothing in it has a known fridge life$`), "no-known-life"},
	{regexp.MustCompile(`^a concentrate, filled hot, water activity (\S+): (\S+) days, (\S+) by custom$`), "concentrate-life-hot"},
	{regexp.MustCompile(`^a concentrate, not filled hot, water activity (\S+): (\S+) days, (\S+) by custom$`), "concentrate-life"},
	{regexp.MustCompile(`^(.+) cuts it: (\S+) days, (\S+) by custom$`), "life-cut-by"},
	{regexp.MustCompile(`^(.+): (\S+) days, (\S+) by custom$`), "least-life"},
	{regexp.MustCompile(`^boiled and cooled fast in a sterilised bottle: a day more by custom, none by caution$`), "boiled-day-more"},
	{regexp.MustCompile(`^added sugar makes it (\S+) in the cautious school; custom leaves it$`), "sugar-shortens"},
	{regexp.MustCompile(`^a fridge at (\S+) °C spends it at (\S+) times the rate of 4 °C$`), "fridge-rate"},
	{regexp.MustCompile(`^no home-made drink is kept over 7 days$`), "seven-days-most"},
	{regexp.MustCompile(`^a fridge set above 7 °C: one day at most in the cautious school$`), "fridge-above-7"},
	{regexp.MustCompile(`^a fridge set above 5 °C: half the life at most in the cautious school$`), "fridge-above-5"},
}

// reasonOf is the code of a sentence, with its figures; words that no version wrote stay
// as they are.
func reasonOf(sentence string) say.Text {
	for _, r := range oldReasons {
		if found := r.was.FindStringSubmatch(sentence); found != nil {
			args := make([]any, len(found)-1)
			for n, arg := range found[1:] {
				args[n] = arg
				if figure, err := strconv.ParseFloat(arg, 64); err == nil {
					args[n] = figure
				}
			}
			return say.Of(r.code, args...)
		}
	}
	return say.Written(sentence)
}

// oldPulpUses are what a pulp was said to be good for.
var oldPulpUses = map[string]string{
	"stirred into porridge": "porridge", "crackers, dried and rolled thin": "crackers", "dried and ground as meal": "meal",
	"biscuits and cakes, in the place of some of the fat": "biscuits",
}

// codesForSentences rewrites what was kept in sentences.
func codesForSentences(tx *gorm.DB) error {
	for _, rewrite := range []struct {
		table, column string
		of            func(any) any
	}{
		{"bottles", "reasons", oldReasonList}, {"plan_items", "steps", oldSteps}, {"batches", "times", oldSteps}, {"pulps", "pulp", oldPulp},
	} {
		if err := rewriteJSON(tx, rewrite.table, rewrite.column, rewrite.of); err != nil {
			return err
		}
	}
	return nil
}

// rewriteJSON puts each row's column through a function; what is no JSON is left as it
// is, for the check of rows to name.
func rewriteJSON(tx *gorm.DB, table, column string, of func(any) any) error {
	var rows []struct {
		ID   int64
		Data string
	}
	if err := tx.Raw("SELECT id, " + column + " AS data FROM " + table + " WHERE " + column + " IS NOT NULL").Scan(&rows).Error; err != nil {
		return err
	}
	for _, row := range rows {
		var value any
		if json.Unmarshal([]byte(row.Data), &value) != nil {
			continue
		}
		data, err := json.Marshal(of(value))
		if err != nil {
			return err
		}
		if err := tx.Exec("UPDATE "+table+" SET "+column+" = ? WHERE id = ?", string(data), row.ID).Error; err != nil {
			return err
		}
	}
	return nil
}

func oldReasonList(value any) any {
	list, ok := value.([]any)
	if !ok {
		return value
	}
	for n, v := range list {
		if sentence, ok := v.(string); ok {
			list[n] = reasonOf(sentence)
		}
	}
	return list
}

// oldSteps keeps the words of steps as they were written, and takes out of the names of
// amounts what is now said beside them.
func oldSteps(value any) any {
	steps, _ := value.([]any)
	for _, s := range steps {
		step, ok := s.(map[string]any)
		if !ok {
			continue
		}
		asWritten(step, "title", "right", "caution", "never")
		amounts, _ := step["amounts"].([]any)
		for _, a := range amounts {
			amount, ok := a.(map[string]any)
			if !ok {
				continue
			}
			asWritten(amount, "text")
			name, _ := amount["name"].(string)
			plain, kept := strings.CutSuffix(name, ", with its water")
			if soaked, _ := amount["soaked"].(bool); soaked {
				amount["kept"], amount["name"] = kept, strings.TrimSuffix(plain, ", soaked")
			}
		}
	}
	return value
}

func asWritten(in map[string]any, names ...string) {
	for _, name := range names {
		if words, ok := in[name].(string); ok {
			in[name] = say.Written(words)
		}
	}
}

func oldPulp(value any) any {
	pulp, ok := value.(map[string]any)
	if !ok {
		return value
	}
	uses, _ := pulp["goodFor"].([]any)
	for n, u := range uses {
		if words, ok := u.(string); ok && oldPulpUses[words] != "" {
			uses[n] = oldPulpUses[words]
		}
	}
	return value
}
