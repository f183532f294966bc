package record

import (
	"math"
	"slices"
)

// Jar is one of the jars of a blind tasting.
type Jar struct {
	Letter  string // on it: A, B, and C of three
	Changed bool   // it holds the change
}

// Verdict is what one taster said of the jars.
type Verdict struct {
	Who   string
	Stars map[string]float64 // by letter; absent where none were given
	Odd   string             // the letter that was thought to be the odd one of three; "" of two
}

// letters are those that jars bear.
var letters = []string{"A", "B", "C"}

// Jars puts a change into jars: of two, one holds it; of three, one is the odd one, by chance
// with it or without. pick answers a number from 0 to n-1.
func Jars(count int, pick func(n int) int) []Jar {
	jars := make([]Jar, count)
	odd, oddChanged := pick(count), count == 2 || pick(2) == 0
	for n := range jars {
		jars[n] = Jar{letters[n], (n == odd) == oddChanged}
	}
	return jars
}

// OddOf is the letter of the jar unlike the others; "" of two.
func OddOf(jars []Jar) string {
	if len(jars) != 3 {
		return ""
	}
	for _, j := range jars {
		alike := slices.ContainsFunc(jars, func(o Jar) bool { return o.Letter != j.Letter && o.Changed == j.Changed })
		if !alike {
			return j.Letter
		}
	}
	return ""
}

// Answer is what a blind tasting came to.
type Answer struct {
	Changed, Plain float64 // mean stars of the jars with the change and without; 0 where none were given
	Tasters        int
	Right          int     // of three jars: how many found the odd one
	ByChance       float64 // how likely as many, or more, would have found it by guessing
	Told           bool    // they can tell it apart
}

// surely is the level at which a difference counts as tasted (ISO 4120:2021, triangle test).
const surely = .05

// Open works out the answer. Of two jars a difference in the stars is told as it is: it takes
// three jars to say whether anybody can taste one.
func Open(jars []Jar, verdicts []Verdict) Answer {
	out := Answer{Tasters: len(verdicts)}
	var with, without []float64
	odd := OddOf(jars)
	for _, v := range verdicts {
		for _, j := range jars {
			stars, given := v.Stars[j.Letter]
			switch {
			case !given || stars == 0:
			case j.Changed:
				with = append(with, stars)
			default:
				without = append(without, stars)
			}
		}
		if odd != "" && v.Odd == odd {
			out.Right++
		}
	}
	out.Changed, _ = meanSD(with)
	out.Plain, _ = meanSD(without)
	if odd != "" && out.Tasters > 0 {
		out.ByChance = atLeast(out.Right, out.Tasters, 1./3)
		out.Told = out.ByChance <= surely
	}
	return out
}

// atLeast is how likely k or more of n succeed, each with chance p (the binomial distribution).
func atLeast(k, n int, p float64) float64 {
	sum := 0.
	for x := k; x <= n; x++ {
		ways := 1.
		for j := range x {
			ways *= float64(n-j) / float64(j+1)
		}
		sum += ways * math.Pow(p, float64(x)) * math.Pow(1-p, float64(n-x))
	}
	return math.Min(1, sum)
}
