package record_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/record"
)

// Least numbers of right answers at the level .05, from ISO 4120's table (from memory): 3 of 3,
// 4 of 4, 4 of 5, 5 of 6, 6 of 8, 7 of 10 and 8 of 12.
func TestTheTriangleTest(t *testing.T) {
	t.Parallel()
	jars := []record.Jar{{Letter: "A"}, {Letter: "B", Changed: true}, {Letter: "C"}}
	for tasters, right := range map[int]int{3: 3, 4: 4, 5: 4, 6: 5, 8: 6, 10: 7, 12: 8} {
		for _, c := range []struct {
			right int
			told  bool
		}{{right, true}, {right - 1, false}} {
			var all []record.Verdict
			for n := range tasters {
				odd := "A"
				if n < c.right {
					odd = "B"
				}
				all = append(all, record.Verdict{Odd: odd})
			}
			a := record.Open(jars, all)
			assert.Equal(t, c.told, a.Told, "%d of %d: %g", c.right, tasters, a.ByChance)
			assert.Equal(t, c.right, a.Right)
		}
	}
}

func TestStarsGoWithWhatTheJarsHeld(t *testing.T) {
	t.Parallel()
	jars := []record.Jar{{Letter: "A"}, {Letter: "B", Changed: true}}
	a := record.Open(jars, []record.Verdict{{Stars: map[string]float64{"A": 3, "B": 4}}, {Stars: map[string]float64{"A": 4, "B": 5}}, {}})
	assert.Equal(t, record.Answer{Changed: 4.5, Plain: 3.5, Tasters: 3}, a)
	assert.Empty(t, record.OddOf(jars))
}

// Over all picks the change comes into every jar, and of three the odd one is as often with it as without.
func TestJarsAreCodedByChance(t *testing.T) {
	t.Parallel()
	for count := 2; count <= 3; count++ {
		with := map[string]int{}
		for first := range count {
			for second := range 2 {
				picks := []int{first, second}
				jars := record.Jars(count, func(int) int { n := picks[0]; picks = picks[1:]; return n })
				changed := 0
				for _, j := range jars {
					if j.Changed {
						with[j.Letter]++
						changed++
					}
				}
				assert.Contains(t, []int{1, count - 1}, changed)
				assert.Equal(t, count == 3, record.OddOf(jars) != "")
			}
		}
		assert.Len(t, with, count)
	}
}
