package http

import (
	"encoding/json"
	"flag"
	"fmt"
	"net/http"
	"os"
	"regexp"
	"slices"
	"strings"
	"sync"
	"testing"
)

// succeeded are the requests of the tests that were answered with a success, as "GET /api/drinks/1".
var succeeded sync.Map

// noted takes down a success.
func noted(request *http.Request, status int) {
	if status >= 200 && status < 300 {
		succeeded.Store(request.Method+" "+request.URL.Path, true)
	}
}

// Every operation of the OpenAPI document is brought to a success by some test of the package: one
// that no test can use is one that nobody has tried. Of a part of the tests nothing is asked.
func TestMain(m *testing.M) {
	code := m.Run()
	flag.Parse()
	if whole := flag.Lookup("test.run").Value.String() == "" && flag.Lookup("test.skip").Value.String() == "" && !testing.Short(); whole && code == 0 {
		if untried := withoutSuccess(); len(untried) > 0 {
			fmt.Fprintf(os.Stderr, "no test brings these operations to a success:\n%s\n", strings.Join(untried, "\n"))
			code = 1
		}
	}
	os.Exit(code)
}

// withoutSuccess are the operations that no request of the tests succeeded with.
func withoutSuccess() []string {
	var document struct {
		Paths map[string]map[string]json.RawMessage
	}
	text, err := Spec()
	if err == nil {
		err = json.Unmarshal(text, &document)
	}
	if err != nil {
		return []string{err.Error()}
	}
	var untried []string
	for path, of := range document.Paths {
		pattern := regexp.MustCompile("^" + parameter.ReplaceAllString(path, "[^/]+") + "$")
		for method := range of {
			if method = strings.ToUpper(method); !anySucceeded(method, pattern) {
				untried = append(untried, method+" "+path)
			}
		}
	}
	slices.Sort(untried)
	return untried
}

// parameter is a part of a path that is filled in.
var parameter = regexp.MustCompile(`\{[^}]*\}`)

func anySucceeded(method string, pattern *regexp.Regexp) bool {
	found := false
	succeeded.Range(func(key, _ any) bool {
		at, path, _ := strings.Cut(key.(string), " ")
		found = at == method && pattern.MatchString(path)
		return !found
	})
	return found
}
