// Package house knows the rooms of this program: which package may lean on which.
//
// The craft stands on nothing but itself. What a cook does stands on the craft; what
// speaks HTTP, SQL or English stands on both, and none of them on each other but
// where the table says. A test reads the imports as they are and holds them to it.
package house

import (
	"fmt"
	"os/exec"
	"slices"
	"strings"
)

// Module is the path that all rooms begin with.
const Module = "plushladle/"

// Room is a package, or with a trailing / all packages under it.
type Room string

// Floor is a layer of the house, from the ground up.
type Floor struct {
	Name  string
	Rooms []Room
}

// Floors are all of them.
var Floors = []Floor{
	{"the craft: pure, nothing but itself", []Room{"core/say", "core/fault", "core/stock", "core/quantity", "core/ingredient", "core/process", "core/keep", "core/recipe", "core/reading", "core/caution", "core/reckon", "core/solve", "core/serve", "core/record", "core/reckon/reckontest", "core/plan", "core"}},
	{"what the craft needs around it", []Room{"internal/device", "internal/passphrase", "internal/picture", "internal/authority", "internal/notices", "internal/wording"}},
	{"what a cook does and keeps", []Room{"internal/kitchen", "internal/exchange", "internal/store", "internal/app/"}},
	{"how it is reached", []Room{"internal/http", "internal/demo", "web"}},
	{"the program, and its tools", []Room{"cmd/plushladle", "internal/store/storetest", "internal/tools/", "internal/house", "e2e"}},
}

// leans says on which rooms of the house each may lean. core may on core.
var leans = map[Room][]Room{
	"core/say":                 {},
	"core/fault":               {"core/say"},
	"core/stock":               {},
	"core/quantity":            {"core/fault", "core/say"},
	"core/ingredient":          {"core/quantity", "core/fault", "core/say"},
	"core/process":             {"core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/recipe":              {"core/process", "core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/reading":             {"core/recipe", "core/process", "core/caution", "core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/keep":                {"core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/caution":             {"core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/reckon":              {"core/recipe", "core/process", "core/keep", "core/caution", "core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/reckon/reckontest":   {"core/reckon", "core/reading", "core/recipe", "core/process"},
	"core/solve":               {"core/reckon", "core/recipe", "core/process", "core/keep", "core/caution", "core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core/serve":               {"core/reckon", "core/recipe", "core/process", "core/ingredient", "core/fault", "core/say"},
	"core/record":              {"core/solve", "core/reckon", "core/recipe", "core/process", "core/ingredient", "core/quantity", "core/say"},
	"core/plan":                {"core/recipe", "core/reckon", "core/solve", "core/serve", "core/process", "core/keep", "core/caution", "core/ingredient", "core/quantity", "core/fault", "core/say"},
	"core":                     {},
	"internal/device":          {},
	"internal/passphrase":      {"core/"},
	"internal/picture":         {},
	"internal/authority":       {},
	"internal/notices":         {},
	"internal/wording":         {"core/"},
	"internal/kitchen":         {"core/"},
	"internal/exchange":        {"core/", "internal/kitchen", "internal/wording"},
	"internal/store":           {"core/", "internal/kitchen"},
	"internal/app":             {"core/", "internal/kitchen", "internal/store", "internal/device", "internal/wording", "internal/app/weighing"},
	"internal/app/weighing":    {"core/", "internal/device"},
	"internal/app/bench":       {"core/", "internal/kitchen", "internal/store", "internal/exchange", "internal/wording", "internal/app", "internal/app/pantry"},
	"internal/app/pantry":      {"core/", "internal/kitchen", "internal/store", "internal/wording", "internal/app"},
	"internal/app/shelf":       {"core/", "internal/kitchen", "internal/store", "internal/exchange", "internal/wording", "internal/device", "internal/app", "internal/app/bench", "internal/app/pantry"},
	"internal/app/planning":    {"core/", "internal/kitchen", "internal/store", "internal/exchange", "internal/wording", "internal/app", "internal/app/bench", "internal/app/pantry", "internal/app/shelf"},
	"internal/app/notes":       {"core/", "internal/kitchen", "internal/store", "internal/wording", "internal/app", "internal/app/bench", "internal/app/pantry", "internal/app/shelf", "internal/app/planning"},
	"internal/app/files":       {"core/", "internal/kitchen", "internal/store", "internal/exchange", "internal/wording", "internal/app", "internal/app/pantry", "internal/app/shelf", "internal/app/notes"},
	"internal/app/cooking":     {"core/", "internal/kitchen", "internal/store", "internal/wording", "internal/app", "internal/app/weighing", "internal/app/bench", "internal/app/pantry", "internal/app/shelf", "internal/app/planning"},
	"internal/app/access":      {"internal/kitchen", "internal/store", "internal/passphrase", "internal/app"},
	"internal/app/check":       {"core/", "internal/kitchen", "internal/store", "internal/app/", "internal/app"},
	"internal/http":            {"core/", "internal/kitchen", "internal/exchange", "internal/store", "internal/wording", "internal/device", "internal/passphrase", "internal/picture", "internal/authority", "internal/notices", "internal/app/"},
	"internal/demo":            {"core/", "internal/kitchen", "internal/exchange", "internal/store", "internal/http", "internal/app/", "internal/device"},
	"web":                      {},
	"cmd/plushladle":           {"core/", "internal/", "web"},
	"internal/store/storetest": {"core/", "internal/store"},
	"internal/tools/":          {"core/", "internal/"},
	"internal/house":           {},
	"e2e":                      {"core/", "internal/", "web"},
}

// Outside are the modules that the core may use besides the standard library.
var Outside = []string{"gonum.org/v1/gonum"}

// only says of modules that are one room's business which rooms may lean on them: what a
// cook does is told without HTTP and without SQL.
var only = map[string][]Room{
	"github.com/gofiber/":       {"internal/http", "internal/demo", "cmd/plushladle", "e2e"},
	"github.com/danielgtaylor/": {"internal/http"},
	"gorm.io/":                  {"internal/store"},
	"github.com/glebarez/":      {"internal/store"},
}

// Package is one as it is.
type Package struct {
	Path    string   // without the module's
	Imports []string // of this house, without the module's path
	Foreign []string // of other modules
}

func (r Room) holds(path string) bool {
	under, isFolder := strings.CutSuffix(string(r), "/")
	return path == under || isFolder && strings.HasPrefix(path, string(r))
}

// RoomOf is the room that a package is in; "" where it has none.
func RoomOf(path string) Room {
	best := Room("")
	for room := range leans {
		if room.holds(path) && len(room) > len(best) {
			best = room
		}
	}
	return best
}

// Packages reads all packages of the house as they are.
func Packages(dir string) ([]Package, error) {
	list := exec.Command("go", "list", "-tags", "e2e", "-f", `{{.ImportPath}}{{range .Imports}} {{.}}{{end}}`, "./...")
	list.Dir = dir
	out, err := list.Output()
	if err != nil {
		return nil, fmt.Errorf("go list: %w", err)
	}
	var all []Package
	for line := range strings.Lines(string(out)) {
		fields := strings.Fields(line)
		p := Package{Path: strings.TrimPrefix(fields[0], Module)}
		for _, i := range fields[1:] {
			first, _, _ := strings.Cut(i, "/")
			if own, is := strings.CutPrefix(i, Module); is {
				p.Imports = append(p.Imports, own)
			} else if strings.Contains(first, ".") {
				p.Foreign = append(p.Foreign, i)
			}
		}
		all = append(all, p)
	}
	return all, nil
}

// Breaches say which packages lean where they may not.
func Breaches(all []Package) (out []string) {
	for _, p := range all {
		room := RoomOf(p.Path)
		if room == "" {
			out = append(out, p.Path+" has no room: say in internal/house what it may lean on")
			continue
		}
		for _, i := range p.Imports {
			if !slices.ContainsFunc(leans[room], func(r Room) bool { return r.holds(i) }) {
				out = append(out, fmt.Sprintf("%s leans on %s, and may not", p.Path, i))
			}
		}
		for _, i := range p.Foreign {
			for module, rooms := range only {
				if strings.HasPrefix(i, module) && !slices.Contains(rooms, room) {
					out = append(out, fmt.Sprintf("%s leans on %s, which is for %s", p.Path, i, rooms[0]))
				}
			}
		}
		if !strings.HasPrefix(p.Path, "core") {
			continue
		}
		for _, i := range p.Foreign {
			if !slices.ContainsFunc(Outside, func(o string) bool { return strings.HasPrefix(i, o) }) {
				out = append(out, fmt.Sprintf("%s leans on %s: the craft stands on the standard library, gonum and itself", p.Path, i))
			}
		}
	}
	return out
}
