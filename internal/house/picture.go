package house

import (
	"fmt"
	"html"
	"slices"
	"strings"
)

// The picture's measures, px.
const (
	wide, margin      = 1180, 20
	floorHead         = 44 // above the first row of rooms
	roomHigh, roomGap = 44, 14
	perLetter         = 7.4
)

type box struct{ x, y, w float64 }

// Picture draws the rooms, floor by floor, and a line for each that leans on another,
// as SVG. Within the craft only the nearest are drawn: what one leans on through
// another is not drawn twice.
func Picture(all []Package) string {
	var b strings.Builder
	boxes := map[string]box{}
	y := float64(margin)
	for n := len(Floors) - 1; n >= 0; n-- { // the uppermost first
		high := furnish(boxes, onFloor(Floors[n], all), y)
		fmt.Fprintf(&b, `<rect x="%d" y="%.0f" width="%d" height="%.0f" rx="10" fill="#eef1ec"/><text x="%d" y="%.0f" fill="#5b6472">%s</text>`+"\n",
			margin, y, wide-2*margin, high-16, margin+12, y+20, html.EscapeString(Floors[n].Name))
		y += high
	}
	for _, p := range all {
		for _, i := range nearest(p, all) {
			from, to := boxes[p.Path], boxes[i]
			fmt.Fprintf(&b, `<path d="M%.0f %.0fL%.0f %.0f" stroke="#24408e" stroke-opacity=".55"/>`+"\n", from.x+from.w/2, from.y+roomHigh/2, to.x+to.w/2, to.y+roomHigh/2)
		}
	}
	for _, p := range all {
		at := boxes[p.Path]
		fmt.Fprintf(&b, `<rect x="%.0f" y="%.0f" width="%.0f" height="%d" rx="8" fill="#fff" stroke="#24408e" stroke-width="1.5"/><text x="%.0f" y="%.0f" fill="#18213d">%s</text>`+"\n",
			at.x, at.y, at.w, roomHigh, at.x+9, at.y+27, html.EscapeString(p.Path))
	}
	head := fmt.Sprintf(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %.0f" font-family="sans-serif" font-size="13">`+"\n"+
		`<title>The rooms of the house, and which leans on which</title><rect width="%d" height="%.0f" fill="#fdfdf8"/>`+"\n", wide, y+margin, wide, y+margin)
	return head + b.String() + "</svg>\n"
}

// furnish gives each room of a floor that begins at y its box, in rows as wide as the picture,
// and answers how high the floor is.
func furnish(boxes map[string]box, rooms []string, y float64) float64 {
	const left = margin + 12
	x, row := float64(left), y+floorHead
	for _, path := range rooms {
		w := perLetter*float64(len(path)) + 18
		if x+w > wide-left {
			x, row = left, row+roomHigh+roomGap
		}
		boxes[path] = box{x, row, w}
		x += w + roomGap
	}
	return row - y + roomHigh + 2*roomGap + 4
}

func onFloor(f Floor, all []Package) (paths []string) {
	for _, room := range f.Rooms {
		for _, p := range all {
			if (RoomOf(p.Path) == room || room.holds(p.Path)) && !slices.Contains(paths, p.Path) {
				paths = append(paths, p.Path)
			}
		}
	}
	return paths
}

// nearest are the imports that no other import of the package has itself.
func nearest(p Package, all []Package) (out []string) {
	byPath := map[string]Package{}
	for _, q := range all {
		byPath[q.Path] = q
	}
	for _, i := range p.Imports {
		if !slices.ContainsFunc(p.Imports, func(other string) bool { return other != i && slices.Contains(byPath[other].Imports, i) }) {
			out = append(out, i)
		}
	}
	return out
}
