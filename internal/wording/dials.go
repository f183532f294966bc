package wording

import (
	"strings"

	"plushladle/core/reckon"
)

var dials = map[reckon.DialName]string{
	reckon.Sweetness: "Sweetness", reckon.Fat: "Fat", reckon.Strength: "Strength", reckon.SpiceDial: "Spice", reckon.KeepsDial: "Keeps",
}

// Dial is a dial's name.
func Dial(code reckon.DialName) string { return dials[code] }

// bands are the stretches of the dials whose codes are not the words a cook would say.
var bands = map[string]string{"there": "balanced", "loud": "strong", "heavy": "heavy cream", "whipping": "whipping cream"}

// Band is the name of a stretch of a dial.
func Band(code string) string {
	if word, ok := bands[code]; ok {
		return word
	}
	return strings.ReplaceAll(code, "-", " ")
}
