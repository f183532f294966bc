// Mutate changes the core in one place at a time, an operator or a constant, and runs the tests:
// what no test notices is told. It is how the tests themselves are tested.
//
//	go run ./internal/tools/mutate [-sample 40] [-seed 1] [-least 0] [-since REF] [PACKAGE…]
//
// Packages are folders such as core/keep; without any, all of core. Each change is laid over the
// sources for one run of go test, and nothing is written into them. First the package's own tests
// run, and where they notice nothing those of all of core.
package main

import (
	"flag"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
)

func main() {
	sample := flag.Int("sample", 40, "changes of each kind tried in a package; 0 for all")
	seed := flag.Uint64("seed", 1, "of the sample")
	least := flag.Int("least", 0, "fail where fewer per cent are noticed in all")
	since := flag.String("since", "", "only files changed since this commit")
	own := flag.Bool("own", false, "count only what a package's own tests notice")
	flag.Parse()
	folders := flag.Args()
	if len(folders) == 0 {
		folders = coreFolders()
	}
	only, err := changedSince(*since)
	if err != nil {
		fail(err)
	}
	var total tally
	for _, folder := range folders {
		mutants, err := mutantsOf(folder, only)
		if err != nil {
			fail(err)
		}
		chosen := sampled(mutants, *sample, *seed)
		if len(chosen) == 0 {
			continue
		}
		t := tryAll(folder, chosen, *own)
		t.print(folder)
		total.add(t)
	}
	total.print("in all")
	if share := total.share(); total.tried() > 0 && share < float64(*least) {
		fail(fmt.Errorf("%.0f %% were noticed, %d %% are wanted", share, *least))
	}
}

func fail(err error) {
	fmt.Fprintln(os.Stderr, "mutate:", err)
	os.Exit(1)
}

// coreFolders are the packages of the core.
func coreFolders() []string {
	var folders []string
	_ = filepath.WalkDir("core", func(path string, d os.DirEntry, err error) error {
		if err == nil && d.IsDir() && d.Name() != "testdata" {
			folders = append(folders, path)
		}
		return nil
	})
	return folders
}

// changedSince are the files changed since a commit; nil for all where there is none.
func changedSince(ref string) (map[string]bool, error) {
	if ref == "" {
		return nil, nil
	}
	out, err := exec.Command("git", "diff", "--name-only", ref).Output()
	if err != nil {
		return nil, fmt.Errorf("what changed since %s cannot be told: %w", ref, err)
	}
	only := map[string]bool{}
	for _, name := range strings.Fields(string(out)) {
		only[name] = true
	}
	return only, nil
}

// tally is how many changes of each kind were tried and noticed.
type tally struct {
	logic, logicNoticed, constants, constantsNoticed int
	survived                                         []string
}

func (t *tally) count(m mutant, noticed bool) {
	n := 0
	if noticed {
		n = 1
	} else {
		t.survived = append(t.survived, m.String())
	}
	if m.kind == constant {
		t.constants++
		t.constantsNoticed += n
		return
	}
	t.logic++
	t.logicNoticed += n
}

func (t *tally) add(o tally) {
	t.logic, t.logicNoticed = t.logic+o.logic, t.logicNoticed+o.logicNoticed
	t.constants, t.constantsNoticed = t.constants+o.constants, t.constantsNoticed+o.constantsNoticed
}

func (t tally) tried() int { return t.logic + t.constants }

func (t tally) share() float64 {
	return 100 * float64(t.logicNoticed+t.constantsNoticed) / float64(max(1, t.tried()))
}

func (t tally) print(name string) {
	per := func(of, in int) string {
		if in == 0 {
			return "none"
		}
		return fmt.Sprintf("%d of %d, %d %%", of, in, 100*of/in)
	}
	fmt.Printf("%-18s logic %-20s constants %s\n", name, per(t.logicNoticed, t.logic), per(t.constantsNoticed, t.constants))
	slices.Sort(t.survived)
	for _, s := range t.survived {
		fmt.Println("   not noticed:", s)
	}
}
