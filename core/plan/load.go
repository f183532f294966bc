package plan

import (
	"fmt"
	"math"

	"plushladle/core/quantity"
	"plushladle/core/say"
)

// The jug is filled in equal loads, as near as hands can: what spoons cannot part
// is not parted. A pinch of salt goes into the first load whole, since the loads
// are poured together again, and dates are dealt out whole and in halves.
// The shares are judgements, no source.
const (
	exactShare = .005 // a part that a measure comes as near to is given by it
	smallShare = .02  // of all that is ground: less than that need not be parted
	lightShare = .05  // of a load: pieces no heavier may be dealt out unevenly
)

// loaded are the amounts of one of so many loads.
func (c *compiler) loaded(load, loads int) []Amount {
	var out []Amount
	for _, a := range c.of(c.layout.Ground) {
		switch {
		case c.isKeptLiquid(a.At):
			continue // it is with what soaked in it
		case c.soaks(a.At):
			a = c.wet(a.At)
		}
		if loads > 1 {
			share, text := c.part(a, load, loads)
			if share == 0 {
				continue
			}
			a = c.portion(a, share)
			a.Key, a.Text = fmt.Sprintf("%s/%d", a.Key, load), text
		}
		out = append(out, a)
	}
	return out
}

// portion is a share of an amount.
func (c *compiler) portion(a Amount, share float64) Amount {
	a.MassG, a.WetG = a.MassG*share, a.WetG*share
	if tolerance := c.r.Lines[a.At].Tolerance; !a.Open {
		a.Band, a.Fine = BandOf(a.MassG, tolerance, c.kitchen.ScaleG), TooFine(a.MassG, tolerance, c.kitchen.ScaleG)
	}
	return a
}

// part is the share of an amount that goes into a load, and how it is measured.
func (c *compiler) part(a Amount, load, loads int) (share float64, text say.Text) {
	equal := 1 / float64(loads)
	if a.Open || a.Text.IsZero() {
		return equal, a.Text
	}
	if text, ok := c.measuredPart(a.At, loads); ok {
		return equal, say.Written(text)
	}
	groundG := c.r.Made.Ground.MassG()
	amount := c.r.Lines[a.At].Amount
	if halves, n, ok := inHalves(amount); ok && a.MassG/n < lightShare*groundG*equal {
		mine := dealt(int(n), load, loads)
		if mine == 0 {
			return 0, say.Text{}
		}
		part, _ := halves.Scaled(float64(mine)/n, c.d.System, 0)
		return float64(mine) / n, say.Written(part.String())
	}
	if a.MassG < smallShare*groundG {
		if load > 1 {
			return 0, say.Text{}
		}
		return 1, a.Text
	}
	if len(amount.Terms()) > 1 {
		return equal, say.Text{} // parted by weight
	}
	return equal, partOf(a.Text, loads)
}

// inHalves is an amount of pieces in whole and half ones, and how many halves it
// is; ok is false where it does not come out so.
func inHalves(a quantity.Amount) (halves quantity.Amount, n float64, ok bool) {
	halves, errorShare, ok := a.InHalves()
	if !ok || math.Abs(errorShare) > exactShare || len(halves.Terms()) != 1 || halves.IsRange() {
		return a, 0, false
	}
	return halves, 2 * halves.Terms()[0].Low, true
}

// dealt is how many of n halves go into a load, dealt out whole pieces first: what
// is over goes into the first loads.
func dealt(n, load, loads int) int {
	if wholes := n / 2; n%2 == 0 && wholes >= loads {
		return 2 * inTurn(wholes, load, loads)
	}
	return inTurn(n, load, loads)
}

// inTurn is how many of n pieces go into a filling of the jug: as even as whole pieces are,
// the first fillings one more.
func inTurn(n, load, loads int) int {
	each := n / loads
	if load <= n%loads {
		each++
	}
	return each
}

// measuredPart is one of equal parts of a line, where a measure holds it exactly.
func (c *compiler) measuredPart(n, parts int) (text string, ok bool) {
	l, line := c.r.Lines[n], c.d.Lines[n]
	if c.d.Drawer != nil && !l.Amount.IsMetric() && l.VolumeML > 0 {
		scoop, found := c.d.Drawer.Scoop(l.VolumeML/float64(parts), exactShare)
		return scoop.Text, found && !scoop.Half
	}
	part, errorShare := line.Amount.Scaled(l.Growth/float64(parts), c.d.System, exactShare)
	if line.Amount.IsCount() {
		halves, errorShare, ok := part.InHalves()
		return halves.String(), ok && math.Abs(errorShare) < exactShare
	}
	return part.String(), math.Abs(errorShare) < exactShare && (line.Amount.IsMetric() || !part.IsMetric())
}

// partOf is a part of what is measured at once.
func partOf(text say.Text, parts int) say.Text {
	codes := [...]string{2: "half-of", 3: "third-of", 4: "quarter-of"}
	if parts < len(codes) {
		return say.Of(codes[parts], text)
	}
	return say.Of("part-of", parts, text)
}
