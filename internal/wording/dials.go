package wording

import "plushladle/core/reckon"

// Dial is a dial's name.
func Dial(code reckon.DialName) string { return phrase("dial-" + string(code)) }

// Band is the name of a stretch of a dial; empty where a dial shows no figure.
func Band(code string) string {
	if code == "" {
		return ""
	}
	return phrase("band-" + code)
}

// DialUnit is what a dial counts in, where that is a word.
func DialUnit(unit string) string {
	if words := phrase("unit-" + unit); words != "" {
		return words
	}
	return unit
}
