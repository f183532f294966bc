// Notices gathers the licences of everything that ships in the program: the Go modules
// it is built of, and what the front end's build takes in.
package main

import (
	"encoding/json"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
)

// part is something of others that ships.
type part struct{ name, version, dir string }

func main() {
	modules, err := goModules()
	if err == nil {
		var packages []part
		if packages, err = npmPackages("web"); err == nil {
			err = write(append(modules, packages...))
		}
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "notices:", err)
		os.Exit(1)
	}
}

// goModules are those that the program is built of.
func goModules() ([]part, error) {
	out, err := exec.Command("go", "list", "-deps", "-f", `{{with .Module}}{{.Path}} {{.Version}} {{.Dir}}{{end}}`, "./cmd/plushladle").Output()
	if err != nil {
		return nil, fmt.Errorf("go list: %w", err)
	}
	var all []part
	for line := range strings.Lines(string(out)) {
		f := strings.Fields(line)
		if len(f) == 3 && !slices.ContainsFunc(all, func(p part) bool { return p.name == f[0] }) {
			all = append(all, part{f[0], f[1], f[2]})
		}
	}
	root, err := exec.Command("go", "env", "GOROOT", "GOVERSION").Output()
	if err != nil {
		return nil, fmt.Errorf("go env: %w", err)
	}
	f := strings.Fields(string(root))
	return append(all, part{"The Go standard library and runtime", f[1], f[0]}), nil
}

// npmPackages are those that the front end is built of, but not with.
func npmPackages(web string) ([]part, error) {
	list := exec.Command("npm", "ls", "--omit=dev", "--all", "--parseable", "--silent")
	list.Dir = web
	out, err := list.Output()
	if err != nil {
		return nil, fmt.Errorf("npm ls: %w", err)
	}
	var all []part
	for line := range strings.Lines(string(out)) {
		dir := strings.TrimSpace(line)
		text, err := os.ReadFile(filepath.Join(dir, "package.json"))
		if err != nil || !strings.Contains(dir, "node_modules") {
			continue
		}
		var p struct{ Name, Version string }
		if err := json.Unmarshal(text, &p); err != nil {
			return nil, fmt.Errorf("%s: %w", dir, err)
		}
		all = append(all, part{p.Name, p.Version, dir})
	}
	return all, nil
}

// write prints every licence once, under the parts that come with it.
func write(all []part) error {
	slices.SortFunc(all, func(a, b part) int { return strings.Compare(a.name+a.version, b.name+b.version) })
	all = slices.CompactFunc(all, func(a, b part) bool { return a.name == b.name && a.version == b.version })
	under := map[string][]part{}
	var texts []string
	for _, p := range all {
		text, err := licence(p.dir)
		if err != nil {
			return fmt.Errorf("%s: %w", p.name, err)
		}
		if under[text] == nil {
			texts = append(texts, text)
		}
		under[text] = append(under[text], p)
	}
	fmt.Println("Plush Ladle is built of the work of others. These are their licences.")
	for _, text := range texts {
		fmt.Printf("\n%s\n", strings.Repeat("-", 80))
		for _, p := range under[text] {
			fmt.Println(p.name, p.version)
		}
		fmt.Printf("\n%s\n", text)
	}
	return nil
}

// licence is the text of the licence in a folder, or what its package says of one.
func licence(dir string) (string, error) {
	files, err := os.ReadDir(dir)
	if err != nil {
		return "", err
	}
	var found []string
	for _, f := range files {
		name := strings.ToLower(f.Name())
		if f.IsDir() || !strings.HasPrefix(name, "licen") && !strings.HasPrefix(name, "copying") && !strings.HasPrefix(name, "notice") || strings.HasSuffix(name, ".go") {
			continue
		}
		text, err := os.ReadFile(filepath.Join(dir, f.Name()))
		if err != nil {
			return "", err
		}
		found = append(found, strings.TrimSpace(strings.ReplaceAll(string(text), "\r\n", "\n")))
	}
	if len(found) > 0 {
		return strings.Join(found, "\n\n"), nil
	}
	text, err := os.ReadFile(filepath.Join(dir, "package.json"))
	if err != nil {
		return "", fmt.Errorf("there is no licence in %s", dir)
	}
	var p struct{ License string }
	if err := json.Unmarshal(text, &p); err != nil || p.License == "" {
		return "", fmt.Errorf("there is no licence in %s", dir)
	}
	return "Its package names its licence: " + p.License, nil
}
