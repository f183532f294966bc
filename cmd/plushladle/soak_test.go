//go:build soak

package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"math/rand/v2"
	"net/http"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// How much is asked of the program; SOAK=0.01 in the environment makes it a hundredth.
const (
	soakKills    = 500
	soakRequests = 200_000
	soakStreams  = 500
)

func soaked(n int) int {
	if share, err := strconv.ParseFloat(os.Getenv("SOAK"), 64); err == nil {
		return max(2, int(float64(n)*share))
	}
	return n
}

// writer is one kind of thing that is written: how, and the table whose rows it becomes.
type writer struct{ table, path, body string }

// writers are ten kinds; %[1]d is a number of its own for each.
var writers = []writer{
	{"drinks", "/api/drinks", `{"name":"soak %[1]d"}`},
	{"timers", "/api/timers", `{"name":"soak %[1]d","minutes":60}`},
	{"bowls", "/api/bowls", `{"ingredient":"almond","dryG":50,"fridge":true}`},
	{"packs", "/api/packs", `{"what":"400 g coconut milk","openedOn":"2026-11-20","printed":""}`},
	{"lots", "/api/pantry/stock/almond/lots", `{"pack":"100 g","price":3}`},
	{"own_ingredients", "/api/pantry/ingredients", `{"name":"Soak nut %[1]d","role":"base","vegan":true,"allergens":[],"gPerCup":120,"label":{"proteinG":6,"fatG":50,"saturatedFatG":6,"carbohydrateG":20,"sugarsG":2,"fibreG":4,"sodiumMg":5}}`},
	{"pours", "", `{"ml":1}`},
	{"shopping_items", "/api/shopping", `{"text":"soak %[1]d"}`},
	{"drinkers", "/api/pantry/drinkers", `{"name":"soaker %[1]d","age":"adult","weightKG":0,"allergens":[],"cleared":[],"vegan":false,"dairyFree":false,"dislikes":[],"servingsDay":1}`},
	{"temperatures", "", ""},
}

// rows counts a kitchen's rows by table, from its backup.
func (o *opened) rows() map[string]int {
	o.t.Helper()
	status, text := o.call("GET", "/api/backup.json", "")
	require.Equal(o.t, http.StatusOK, status)
	var backup struct{ Tables map[string][]json.RawMessage }
	require.NoError(o.t, json.Unmarshal([]byte(text), &backup))
	count := map[string]int{}
	for table, rows := range backup.Tables {
		count[table] = len(rows)
	}
	return count
}

// write does one kind of writing, and tells whether it was acknowledged.
func (o *opened) write(w writer, n int64, bottle string) bool {
	switch w.table {
	case "pours":
		return o.tries(bottle+"/pours", w.body)
	case "temperatures":
		at := time.Date(2020, 1, 1, 0, 0, 0, 0, time.UTC).Add(time.Duration(n) * time.Minute)
		answer, err := http.Post(o.url+"/api/thermometer/files", "text/csv", strings.NewReader(at.Format(time.RFC3339)+",4\n"))
		if err != nil {
			return false
		}
		var sent struct{ ID int }
		err = json.NewDecoder(answer.Body).Decode(&sent)
		_ = answer.Body.Close()
		return err == nil && o.tries(fmt.Sprintf("/api/thermometer/files/%d/import", sent.ID), "{}")
	}
	body := w.body
	if strings.Contains(body, "%[1]d") {
		body = fmt.Sprintf(body, n)
	}
	return o.tries(w.path, body)
}

// Hundreds of kills under ten kinds of writers at once: what was acknowledged is there, and of
// what was cut off no more than the one of each writer.
func TestSoakKills(t *testing.T) {
	data := filepath.Join(t.TempDir(), "kitchen.db")
	o := openDemo(t, data)
	bottle := o.bottle()
	first := o.rows()
	acknowledged := make([]atomic.Int64, len(writers))
	var number atomic.Int64
	kills := soaked(soakKills)
	for range kills {
		stop := make(chan struct{})
		var done sync.WaitGroup
		for w := range writers {
			done.Go(func() {
				for {
					select {
					case <-stop:
						return
					default:
					}
					if o.write(writers[w], number.Add(1), bottle) {
						acknowledged[w].Add(1)
					}
				}
			})
		}
		time.Sleep(time.Duration(100+rand.IntN(300)) * time.Millisecond)
		require.NoError(t, o.cmd.Process.Signal(syscall.SIGKILL))
		_ = o.cmd.Wait()
		close(stop)
		done.Wait()
		o = openDemo(t, data)
	}
	now := o.rows()
	for n, w := range writers {
		made, said := now[w.table]-first[w.table], int(acknowledged[n].Load())
		t.Logf("%s: %d acknowledged, %d there", w.table, said, made)
		assert.Positive(t, said, w.table)
		assert.GreaterOrEqual(t, made, said, w.table)
		assert.LessOrEqual(t, made, said+kills, w.table)
	}
}

// Hundreds of thousands of mixed requests, and hundreds of event streams opened and left: memory
// and open files are in the end what they were after the first tenth.
func TestSoakRequests(t *testing.T) {
	o := openDemo(t, filepath.Join(t.TempDir(), "kitchen.db"))
	bottle := o.bottle()
	_, drink := o.call("GET", "/api/drinks/1", "")
	var begun struct {
		Name  string
		Draft json.RawMessage
	}
	require.NoError(t, json.Unmarshal([]byte(drink), &begun))
	asked := map[string]any{"name": begun.Name, "recipe": begun.Draft, "madeOn": ""}
	reckon, err := json.Marshal(asked)
	require.NoError(t, err)
	asked["since"] = ""
	since, err := json.Marshal(asked)
	require.NoError(t, err)
	requests := [][3]string{
		{"GET", "/api/shelf", ""}, {"GET", "/api/plan", ""}, {"GET", "/api/kitchen", ""}, {"GET", "/api/drinks", ""}, {"GET", "/api/timers", ""},
		{"POST", "/api/reckonings", string(reckon)}, {"POST", "/api/reckonings/since", string(since)}, {"POST", "/api/lines", `{"text":"1 1/2 cups hazelnuts, soaked overnight"}`},
		{"GET", "/api/ingredients?typed=alm", ""}, {"GET", bottle + "/story", ""}, {"POST", "/api/lines", `{"text":`}, {"GET", "/api/nothing", ""},
	}
	all, done := soaked(soakRequests), atomic.Int64{}
	var failed atomic.Int64
	run := func(upTo int) {
		var workers sync.WaitGroup
		for range 8 {
			workers.Go(func() {
				for n := done.Add(1); n <= int64(upTo); n = done.Add(1) {
					r := requests[int(n)%len(requests)]
					if status, _ := o.call(r[0], r[1], r[2]); status >= 500 {
						failed.Add(1)
					}
				}
				done.Add(-1)
			})
		}
		workers.Wait()
	}
	began := time.Now()
	run(all / 10)
	early, files := residentNow(t, o.cmd.Process.Pid), openFiles(t, o.cmd.Process.Pid)
	run(all)
	took := time.Since(began)
	for range soaked(soakStreams) {
		answer, err := http.Get(o.url + "/api/changes")
		require.NoError(t, err)
		_, err = bufio.NewReader(answer.Body).ReadString('\n')
		require.NoError(t, err)
		require.NoError(t, answer.Body.Close())
	}
	http.DefaultClient.CloseIdleConnections()
	late := residentNow(t, o.cmd.Process.Pid)
	t.Logf("%d requests in %v, resident %.1f MB after the first tenth and %.1f MB in the end", all, took.Round(time.Second), early, late)
	assert.Zero(t, failed.Load(), "no request fails")
	assert.Less(t, late, 1.3*early+10)
	assert.Eventually(t, func() bool { return openFiles(t, o.cmd.Process.Pid) <= files+20 }, 20*time.Second, 200*time.Millisecond, "streams that were left are closed")
}

func residentNow(t *testing.T, pid int) float64 {
	status, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", pid))
	require.NoError(t, err)
	for _, line := range strings.Split(string(status), "\n") {
		var kB float64
		if _, err := fmt.Sscanf(line, "VmRSS: %f kB", &kB); err == nil {
			return kB / 1024
		}
	}
	return 0
}

func openFiles(t *testing.T, pid int) int {
	files, err := os.ReadDir(fmt.Sprintf("/proc/%d/fd", pid))
	require.NoError(t, err)
	return len(files)
}

// schema is what of a schema is needed to make a value of it.
type schema struct {
	Ref        string            `json:"$ref"`
	Type       any               `json:"type"`
	Enum       []any             `json:"enum"`
	Minimum    *float64          `json:"minimum"`
	Exclusive  *float64          `json:"exclusiveMinimum"`
	MinItems   int               `json:"minItems"`
	MinLength  int               `json:"minLength"`
	Items      *schema           `json:"items"`
	Properties map[string]schema `json:"properties"`
	Required   []string          `json:"required"`
}

type parameter struct {
	Name, In string
	Required bool
	Schema   schema
}

type operation struct {
	Parameters  []parameter
	RequestBody *struct {
		Content map[string]struct{ Schema schema }
	}
}

// Every operation of the OpenAPI document, asked with the least that its schema takes and with what
// it does not: an answer is a success or problem+json, and never a fault of the kitchen's own.
func TestSoakOperations(t *testing.T) {
	o := openDemo(t, filepath.Join(t.TempDir(), "kitchen.db"))
	_, text := o.call("GET", "/api/openapi.json", "")
	var document struct {
		Paths      map[string]map[string]operation
		Components struct{ Schemas map[string]schema }
	}
	require.NoError(t, json.Unmarshal([]byte(text), &document))
	_, drink := o.call("GET", "/api/drinks/1", "")
	var begun struct{ Draft any }
	require.NoError(t, json.Unmarshal([]byte(drink), &begun))
	sensible["recipe"], sensible["draft"] = begun.Draft, begun.Draft
	var reached, all int
	var not []string
	for _, method := range []string{"get", "post", "put", "delete"} { // what is there is taken away last
		for _, path := range slices.Sorted(maps.Keys(document.Paths)) {
			of, has := document.Paths[path][method]
			if !has {
				continue
			}
			all++
			address := path
			var query []string
			for _, p := range of.Parameters {
				v := fmt.Sprint(p.Schema.least(p.Name, document.Components.Schemas, 0))
				switch {
				case p.In == "path":
					address = strings.ReplaceAll(address, "{"+p.Name+"}", v)
				case p.In == "query" && p.Required:
					query = append(query, p.Name+"="+v)
				}
			}
			if len(query) > 0 {
				address += "?" + strings.Join(query, "&")
			}
			bodies := []string{""}
			if of.RequestBody != nil {
				least, err := json.Marshal(of.RequestBody.Content["application/json"].Schema.least("", document.Components.Schemas, 0))
				require.NoError(t, err)
				bodies = []string{string(least), `{`, `[]`, `{"massG":1e999}`, `{"a":"\u0000"}`, strings.Repeat("[", 2000)}
			}
			ok := false
			for _, body := range bodies {
				ok = o.answersWell(strings.ToUpper(method), address, body) || ok
			}
			if ok {
				reached++
			} else {
				not = append(not, strings.ToUpper(method)+" "+path)
			}
		}
	}
	t.Logf("%d of %d operations succeed with the least their schema takes; the others want what is of this kitchen, and the tests of internal/http bring each to a success:\n%s", reached, all, strings.Join(not, "\n"))
	assert.Greater(t, reached, all/2)
}

// answersWell asks, and tells whether it succeeded; a refusal has to be problem+json.
func (o *opened) answersWell(method, path, body string) bool {
	o.t.Helper()
	request, err := http.NewRequest(method, o.url+path, bytes.NewReader([]byte(body)))
	require.NoError(o.t, err)
	request.Header.Set("Content-Type", "application/json")
	answer, err := http.DefaultClient.Do(request)
	require.NoError(o.t, err, "%s %s", method, path)
	defer func() { _ = answer.Body.Close() }()
	said, err := io.ReadAll(io.LimitReader(answer.Body, 1<<20))
	require.NoError(o.t, err)
	assert.Less(o.t, answer.StatusCode, 500, "%s %s %s: %s", method, path, body[:min(len(body), 200)], said)
	if answer.StatusCode >= 400 {
		assert.Contains(o.t, answer.Header.Get("Content-Type"), "application/problem+json", "%s %s", method, path)
	}
	return answer.StatusCode < 300
}

// sensible are values for names that a schema alone does not tell.
var sensible = map[string]any{
	"ingredient": "almond", "amount": "1 cup", "text": "1 cup almonds", "line": "ST,+ 123.4 g", "pack": "100 g", "what": "400 g coconut milk",
	"readyBy": time.Now().AddDate(0, 0, 2).Format("2006-01-02T15:04"), "at": time.Now().AddDate(0, 0, 1).Format("2006-01-02T15:04"),
	"madeOn": time.Now().Format(time.DateOnly), "openedOn": "", "printed": "", "typed": "alm", "measure": "1 cup", "timeZone": "Europe/London", "currency": "GBP", "table": "pantry",
	"bestBefore": "", "handsQuiet": "22:30-06:30", "noiseQuiet": "", "age": "adult", "kind": "milk", "base": "almond", "ids": "1", "volumeML": 200., "stars": 3.,
}

// least is the least value that a schema takes, or a sensible one for its name.
func (s schema) least(name string, all map[string]schema, depth int) any {
	if v, ok := sensible[name]; ok && len(s.Enum) == 0 {
		return v
	}
	if s.Ref != "" {
		return all[s.Ref[strings.LastIndex(s.Ref, "/")+1:]].least(name, all, depth+1)
	}
	if len(s.Enum) > 0 {
		return s.Enum[0]
	}
	kind := fmt.Sprint(s.Type)
	switch {
	case strings.Contains(kind, "object"):
		out := map[string]any{}
		for _, name := range s.Required {
			if depth < 6 {
				out[name] = s.Properties[name].least(name, all, depth+1)
			}
		}
		return out
	case strings.Contains(kind, "array"):
		out := []any{}
		for range s.MinItems {
			out = append(out, s.Items.least("", all, depth+1))
		}
		return out
	case strings.Contains(kind, "integer"), strings.Contains(kind, "number"):
		least := 1.
		if s.Minimum != nil {
			least = max(*s.Minimum, 1)
		}
		if s.Exclusive != nil {
			least = *s.Exclusive + 1
		}
		return least
	case strings.Contains(kind, "boolean"):
		return false
	}
	return strings.Repeat("a", max(s.MinLength, 1))
}
