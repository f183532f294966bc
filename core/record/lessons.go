package record

import (
	"fmt"
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/reckon"
)

// The shares that a measurement is worked back to: beyond them there is a slip of the pen.
const (
	leastShare = .2
	mostShare  = 3.
	bisections = 40
)

// Measured is what a cook measured of a batch; 0 where it was not.
type Measured struct {
	MilkML float64
	PulpG  float64 // as it comes out of the strainer
	DriedG float64 // the same, dried
}

// Lessons are what a batch tells that was really made as d. The milk alone tells what the pulp
// kept, or what the pan lost where nothing was strained. Since milk and wet pulp are all there
// is of what was strained cold, its weight tells nothing more; of what was heated it tells what
// went up in steam, and dried it tells what grinding freed.
func Lessons(d *reckon.Drink, m Measured) []Lesson {
	if m.MilkML <= 0 {
		return nil
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return nil
	}
	held, frees, steam := Key(d), freesKey(d), ""
	if r.Made.HeatedC > 0 {
		steam = panKey(d)
	}
	switch {
	case held == "" && steam != "":
		if share, ok := shareAt(d, setSteam, milk, m.MilkML); ok {
			return []Lesson{{Steam, steam, share}}
		}
	case held != "" && m.PulpG > 0 && steam != "":
		return bothTold(d, told{Lesson{Held, held, 0}, setHeld, pulp, m.PulpG}, told{Lesson{Steam, steam, 0}, setSteam, milk, m.MilkML})
	case held != "" && m.DriedG > 0 && frees != "":
		return bothTold(d, told{Lesson{Frees, frees, 0}, setFrees, dried, m.DriedG}, told{Lesson{Held, held, 0}, setHeld, milk, m.MilkML})
	case held != "":
		if share, ok := shareAt(d, setHeld, milk, m.MilkML); ok {
			return []Lesson{{Held, held, share}}
		}
	}
	return nil
}

func setHeld(d *reckon.Drink, share float64)  { d.Method.HeldShare = share }
func setFrees(d *reckon.Drink, share float64) { d.Method.FreesShare = share }
func setSteam(d *reckon.Drink, share float64) { d.Method.SteamShare = share }

func milk(r *reckon.Reckoning) float64  { return r.Drink.VolumeML }
func pulp(r *reckon.Reckoning) float64  { return r.PulpG }
func dried(r *reckon.Reckoning) float64 { return r.Pulp.DriedG }

// told is a lesson with the measurement that tells it.
type told struct {
	Lesson
	set      func(*reckon.Drink, float64)
	of       func(*reckon.Reckoning) float64
	measured float64
}

// bothTold works two shares back in turns, each by the measurement that it moves most. Where
// they do not settle nothing is told.
func bothTold(d *reckon.Drink, a, b told) []Lesson {
	try := *d
	for range rounds {
		before := [2]float64{a.Share, b.Share}
		for _, t := range []*told{&b, &a} {
			share, ok := shareAt(&try, t.set, t.of, t.measured)
			if !ok {
				return nil
			}
			t.Share = share
			t.set(&try, share)
		}
		if math.Abs(before[0]-a.Share) < settled && math.Abs(before[1]-b.Share) < settled {
			return []Lesson{a.Lesson, b.Lesson}
		}
	}
	return nil
}

// settled is how little two shares have to move to be done.
const settled = 1e-4

// HeldShare is the share of the usual liquid that the pulp of a drink kept, where it came to
// measuredML; ok is false where nothing is strained, and where no share between a fifth and
// three times explains it. The drink is as it was really made.
func HeldShare(d *reckon.Drink, measuredML float64) (share float64, ok bool) {
	return shareAt(d, setHeld, milk, measuredML)
}

// shareAt is the share at which a drink comes to what was measured of it; ok is false where no
// share does. What is measured has to rise or to fall with the share all along.
func shareAt(d *reckon.Drink, set func(*reckon.Drink, float64), of func(*reckon.Reckoning) float64, measured float64) (share float64, ok bool) {
	at := func(share float64) (float64, bool) {
		try := *d
		set(&try, share)
		r, err := try.Reckon()
		if err != nil || r.Drink == nil {
			return 0, false
		}
		return of(r), true
	}
	first, okFirst := at(leastShare)
	last, okLast := at(mostShare)
	if !okFirst || !okLast || math.Abs(last-first) < 1 || (measured-first)*(measured-last) > 0 {
		return 0, false
	}
	low, high := leastShare, mostShare
	for range bisections {
		middle := (low + high) / 2
		if v, _ := at(middle); (v > measured) == (first > last) {
			low = middle
		} else {
			high = middle
		}
	}
	return (low + high) / 2, true
}

// Key is what a kitchen's held liquid is learned by: the base that most is in of, and the
// strainer. It is empty where there is none of either.
func Key(d *reckon.Drink) string {
	base := mainBase(d)
	if d.Method.Strainer == process.None || base == nil {
		return ""
	}
	return base.ID + "/" + d.Method.Strainer.String()
}

// freesKey is what freeing is learned by: the base that most is in of, and the blender. Grain is
// left out: what starch it gives hangs on warmth more than on the blender.
func freesKey(d *reckon.Drink) string {
	base := mainBase(d)
	if base == nil || base.Class == ingredient.Grain || d.Method.Strainer == process.Juicer {
		return ""
	}
	blender := "regular"
	if d.Method.HighSpeed {
		blender = "high-speed"
	}
	return base.ID + "/" + blender
}

// panKey is what steam is learned by: the pan, the kitchen's or the usual one, and its lid.
func panKey(d *reckon.Drink) string {
	_, cm := d.Method.Pans(0)
	lid := "open"
	if d.Method.Covered {
		lid = "covered"
	}
	return fmt.Sprintf("%.0f/%s", cm, lid)
}

// mainBase is the base that most is in of; nil without one.
func mainBase(d *reckon.Drink) *ingredient.Ingredient {
	var base *ingredient.Ingredient
	most := 0.
	for _, l := range d.Lines {
		if l.Ingredient == nil || l.Kept || l.Ingredient.Role != ingredient.Base {
			continue
		}
		if g, _, err := l.Grams(d.System); err == nil && g > most {
			base, most = l.Ingredient, g
		}
	}
	return base
}

// FigureKey is how a learned figure is kept among others.
func FigureKey(what What, key string) string { return string(what) + "/" + key }

// Use has a drink reckoned with what a kitchen learned, by FigureKey.
func Use(d *reckon.Drink, known map[string]Learned) {
	if l, ok := known[FigureKey(Held, Key(d))]; ok {
		d.Method.HeldShare, d.Method.HeldRange = l.Share, l.Spread()
	}
	if l, ok := known[FigureKey(Frees, freesKey(d))]; ok {
		d.Method.FreesShare = l.Share
	}
	if l, ok := known[FigureKey(Steam, panKey(d))]; ok {
		d.Method.SteamShare = l.Share
	}
	if l, ok := known[FigureKey(Life, d.Name)]; ok {
		d.Soured = l.Share
	}
}

// A step is learned from where its minutes lie between these shares of what was planned: less was
// marked late, more is a cook who went away (a judgement).
const (
	leastStep = .25
	mostStep  = 4.
	stepsFrom = 3 // batches from which the plan goes by them
)

// StepLesson is what one step tells that took so long; ok is false where it tells nothing.
func StepLesson(kind string, tookMin, plannedMin float64) (Lesson, bool) {
	if plannedMin <= 0 || tookMin < leastStep*plannedMin || tookMin > mostStep*plannedMin {
		return Lesson{}, false
	}
	return Lesson{Minutes, kind, tookMin / plannedMin}, true
}

// StepShares are the kinds of steps whose minutes the plan goes by, from the third time on.
func StepShares(known map[string]Learned) map[string]float64 {
	out := map[string]float64{}
	prefix := FigureKey(Minutes, "")
	for key, l := range known {
		if len(key) > len(prefix) && key[:len(prefix)] == prefix && l.Batches >= stepsFrom {
			out[key[len(prefix):]] = l.Share
		}
	}
	return out
}

// LifeLesson is what a bottle tells that soured with leftDays of its days to go: the share of its
// life it lasted, of the default's, where share was learned already. ok is false where it soured
// after its time.
func LifeLesson(leftDays, days, share float64) (Lesson, bool) {
	if leftDays <= 0 || days <= 0 {
		return Lesson{}, false
	}
	lasted := math.Max(leastShare, 1-leftDays/days)
	if share > 0 {
		lasted *= share
	}
	return Lesson{Life, "", math.Max(leastShare, lasted)}, true
}
