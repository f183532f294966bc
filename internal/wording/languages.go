package wording

// language is everything that is said, in one language, by the codes of the English tables.
type language struct {
	texts    map[string]string // those of texts and of phrases
	refusals map[string]refusal
}

// languages are those besides English.
var languages = map[string]language{"es": spanish}
