package wording

import "plushladle/core/solve"

// SwapWay says at what one thing is swapped for another.
func SwapWay(how solve.SwapHow) string {
	return map[solve.SwapHow]string{
		solve.EqualSweetness: "equal sweetness", solve.EqualWeight: "equal weight", solve.EqualFat: "equal fat", solve.EqualVolume: "equal volume",
		solve.EqualUse: "equal use", solve.ByCount: "the same count", solve.ForItsParts: "its parts", solve.AsBlend: "the sum of the spices",
	}[how]
}
