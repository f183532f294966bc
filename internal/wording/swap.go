package wording

import "plushladle/core/solve"

// SwapWay says at what one thing is swapped for another.
func SwapWay(how solve.SwapHow) string { return phrase("swap-" + string(how)) }
