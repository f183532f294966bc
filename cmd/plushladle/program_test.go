package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/demo"
	"plushladle/internal/store"
	"plushladle/internal/store/storetest"
)

// TestMain lets the test binary stand in for the program, so that faults of a
// whole process can be tried.
func TestMain(m *testing.M) {
	if os.Getenv("PLUSHLADLE_AS_PROGRAM") != "" {
		os.Exit(run(os.Args[1:], streams{os.Stdin, os.Stdout, os.Stderr}))
	}
	os.Exit(m.Run())
}

func program(args ...string) *exec.Cmd {
	cmd := exec.Command(os.Args[0], args...)
	cmd.Env = append(os.Environ(), "PLUSHLADLE_AS_PROGRAM=1")
	return cmd
}

// opened is a kitchen running as a process of its own.
type opened struct {
	t   testing.TB
	cmd *exec.Cmd
	url string
}

// demoFile is the demo kitchen's file, filled once for all tests.
var demoFile = storetest.Once(func(s *store.Store) error { return demo.Fill(s, time.Now()) })

// openDemo opens the demo kitchen at a path, where it is not there already.
func openDemo(t testing.TB, path string) *opened {
	t.Helper()
	if _, err := os.Stat(path); err != nil {
		demoFile.Copy(t, path)
	}
	return openKitchen(t, "demo", "--data", path)
}

// bottle is the path of a bottle that there is something left in.
func (o *opened) bottle() string {
	_, shelf := o.call("GET", "/api/shelf", "")
	var told struct {
		Bottles []struct {
			ID     int64
			Place  string
			LeftML float64
		}
	}
	require.NoError(o.t, json.Unmarshal([]byte(shelf), &told), shelf)
	for _, b := range told.Bottles {
		if b.Place == "fridge" && b.LeftML > 200 {
			return fmt.Sprintf("/api/bottles/%d", b.ID)
		}
	}
	o.t.Fatal("no bottle in the fridge")
	return ""
}

func openKitchen(t testing.TB, args ...string) *opened {
	t.Helper()
	o := &opened{t: t, cmd: program(append(args, "--listen", "127.0.0.1:0")...)}
	out, err := o.cmd.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, o.cmd.Start())
	t.Cleanup(func() { _ = o.cmd.Process.Kill() })
	line, err := bufio.NewReader(out).ReadString('\n')
	require.NoError(t, err)
	o.url = strings.TrimSpace(line[strings.Index(line, "http"):])
	return o
}

func (o *opened) call(method, path, body string) (int, string) {
	o.t.Helper()
	request, err := http.NewRequest(method, o.url+path, strings.NewReader(body))
	require.NoError(o.t, err)
	request.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(request)
	require.NoError(o.t, err)
	defer func() { _ = response.Body.Close() }()
	answer, err := io.ReadAll(response.Body)
	require.NoError(o.t, err)
	return response.StatusCode, string(answer)
}

func TestWhatWasAcknowledgedSurvivesAKill(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "kitchen.db")
	for n := 1; n <= 5; n++ {
		o := openKitchen(t, "serve", "--data", data)
		status, _ := o.call("POST", "/api/drinks", fmt.Sprintf(`{"name":"drink %d"}`, n))
		require.Equal(t, http.StatusOK, status)
		require.NoError(t, o.cmd.Process.Signal(syscall.SIGKILL))
		_ = o.cmd.Wait()
	}
	o := openKitchen(t, "serve", "--data", data)
	_, drinks := o.call("GET", "/api/drinks", "")
	for n := 1; n <= 5; n++ {
		assert.Contains(t, drinks, fmt.Sprintf(`"drink %d"`, n))
	}
}

// In a loop of kills during pours and moves, what was acknowledged is there and
// nothing is there twice: at most the one request that was under way is more.
// KILLS in the environment makes the loop longer.
func TestPoursAndMovesOutliveKills(t *testing.T) {
	t.Parallel()
	kills := 8
	if _, err := fmt.Sscan(os.Getenv("KILLS"), &kills); err != nil {
		kills = 8
	}
	data := filepath.Join(t.TempDir(), "kitchen.db")
	o := openDemo(t, data)
	bottle := o.bottle()
	left := func() float64 {
		_, story := o.call("GET", bottle+"/story", "")
		var told struct{ Bottle struct{ LeftML float64 } }
		require.NoError(t, json.Unmarshal([]byte(story), &told), story)
		return told.Bottle.LeftML
	}
	before, acknowledged := left(), 0
	_, started := o.call("GET", bottle+"/story", "")
	moves := strings.Count(started, "moved to the")
	for n := range kills {
		stop, going := make(chan struct{}), make(chan struct{})
		done := make(chan int)
		go func() {
			count := 0
			for place := []string{"door", "fridge"}; ; count++ {
				select {
				case <-stop:
					done <- count
					return
				default:
				}
				if !o.tries(bottle+"/pours", `{"ml":1}`) || !o.tries(bottle+"/undo-pour", "") ||
					!o.tries(bottle+"/move", fmt.Sprintf(`{"place":%q}`, place[count%2])) {
					done <- count
					return
				}
				if count == 0 {
					close(going)
				}
			}
		}()
		<-going // so that there is something to lose
		time.Sleep(time.Duration(5+n%23) * time.Millisecond)
		require.NoError(t, o.cmd.Process.Signal(syscall.SIGKILL))
		_ = o.cmd.Wait()
		close(stop)
		acknowledged += <-done
		o = openDemo(t, data)
		now := left()
		assert.True(t, now == before || now == before-1, "a pour is there or it is not: %g of %g", now, before)
		before = now
	}
	_, story := o.call("GET", bottle+"/story", "")
	require.Positive(t, acknowledged, "the kills come while it is poured and moved")
	made := strings.Count(story, "moved to the") - moves
	assert.GreaterOrEqual(t, made+kills, acknowledged, "what was acknowledged is there")
	assert.LessOrEqual(t, made, acknowledged+kills, "and nothing is there twice")
}

// A disk that really is full is said, loses nothing and is got over.
func TestAFullDiskIsSaidAndGotOver(t *testing.T) {
	t.Parallel()
	disk := t.TempDir()
	if err := syscall.Mount("tmpfs", disk, "tmpfs", 0, "size=8m"); err != nil {
		t.Skip("a small disk cannot be mounted here: ", err)
	}
	t.Cleanup(func() { _ = syscall.Unmount(disk, syscall.MNT_DETACH) })
	ballast := filepath.Join(disk, "ballast")
	data := filepath.Join(disk, "kitchen.db")
	o := openDemo(t, data)
	bottle := o.bottle()
	_, before := o.call("GET", bottle+"/story", "")
	file, err := os.Create(ballast)
	require.NoError(t, err)
	for size := 64 << 10; size > 0; size /= 2 { // until nothing more goes in
		for err = nil; err == nil; {
			_, err = file.Write(make([]byte, size))
		}
	}
	require.NoError(t, file.Close())
	status, answer := 0, ""
	for range 3000 {
		if status, answer = o.call("POST", bottle+"/move", `{"place":"door"}`); status != http.StatusOK {
			break
		}
		if status, answer = o.call("POST", bottle+"/move", `{"place":"fridge"}`); status != http.StatusOK {
			break
		}
	}
	assert.Equal(t, http.StatusInsufficientStorage, status)
	assert.Contains(t, answer, "The disk is full")
	status, _ = o.call("GET", "/api/shelf", "")
	assert.Equal(t, http.StatusOK, status, "reading goes on")
	require.NoError(t, os.Remove(ballast))
	status, answer = o.call("POST", bottle+"/pours", `{"ml":1}`)
	assert.Equal(t, http.StatusOK, status, answer)
	require.NoError(t, o.cmd.Process.Signal(syscall.SIGKILL))
	_ = o.cmd.Wait()
	_, after := openDemo(t, data).call("GET", bottle+"/story", "")
	assert.Equal(t, strings.Count(before, "poured")+1, strings.Count(after, "poured"))
}

// tries makes a request that a kill may cut off, and tells whether it was
// acknowledged.
func (o *opened) tries(path, body string) bool {
	answer, err := http.Post(o.url+path, "application/json", strings.NewReader(body))
	if err != nil {
		return false
	}
	_, err = io.Copy(io.Discard, answer.Body)
	_ = answer.Body.Close()
	return err == nil && answer.StatusCode == http.StatusOK
}

func TestItClosesWhenToldTo(t *testing.T) {
	t.Parallel()
	o := openKitchen(t, "serve", "--data", filepath.Join(t.TempDir(), "kitchen.db"))
	require.NoError(t, o.cmd.Process.Signal(syscall.SIGTERM))
	assert.NoError(t, o.cmd.Wait(), "exit status 0")
}

func TestTheDemoIsThereAndThrownAway(t *testing.T) {
	t.Parallel()
	o := openKitchen(t, "demo")
	_, shelf := o.call("GET", "/api/shelf", "")
	assert.Contains(t, shelf, "Pecan flask creamer")
	assert.Contains(t, shelf, `"standing":"past"`)
}

func TestAFileThatWillNotDoIsRefusedInOneLineAndLeftAsItIs(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	write := func(name, content string, mode os.FileMode) string {
		path := filepath.Join(folder, name)
		require.NoError(t, os.WriteFile(path, []byte(content), mode))
		return path
	}
	good := filepath.Join(folder, "good.db")
	o := openKitchen(t, "serve", "--data", good)
	require.NoError(t, o.cmd.Process.Signal(syscall.SIGTERM))
	require.NoError(t, o.cmd.Wait())
	kitchen, err := os.ReadFile(good)
	require.NoError(t, err)
	torn := append([]byte{}, kitchen...)
	copy(torn[4096:], bytes.Repeat([]byte{0xff}, len(torn)-4096))

	tests := []struct{ name, path, says string }{
		{"not a database", write("notes.db", "a shopping list, and not a kitchen at all, long enough to be read", 0o600), "damaged or not a kitchen file"},
		{"torn", write("torn.db", string(torn), 0o600), "damaged or not a kitchen file"},
		{"cut short", write("short.db", string(kitchen[:len(kitchen)/2]), 0o600), "damaged or not a kitchen file"},
		{"read-only", write("readonly.db", string(kitchen), 0o400), "cannot be written"},
		{"a folder", folder, "it is a folder"},
		{"in no folder", filepath.Join(folder, "none", "kitchen.db"), "does not exist"},
	}
	for _, tt := range tests {
		before, _ := os.ReadFile(tt.path)
		cmd := program("serve", "--data", tt.path, "--listen", "127.0.0.1:0")
		var stderr bytes.Buffer
		cmd.Stderr = &stderr
		err := cmd.Run()
		require.Error(t, err, tt.name)
		assert.Equal(t, exitUsage, cmd.ProcessState.ExitCode(), tt.name)
		assert.Contains(t, stderr.String(), tt.says, tt.name)
		assert.Equal(t, 1, strings.Count(stderr.String(), "\n"), "one line: %s", stderr.String())
		after, _ := os.ReadFile(tt.path)
		assert.Equal(t, before, after, "%s: left as it was", tt.name)
	}
}

const flask = `# Hazelnut flask
// the weekday one
1 1/2 cups raw hazelnuts, soaked overnight
48 oz water
2 tbsp + 1 tsp maple syrup
3-4 pitted dates
½ tsp nutmeg
a pinch of salt
`

func reckonText(t *testing.T, input string, args ...string) (int, string, string) {
	t.Helper()
	var stdout, stderr bytes.Buffer
	code := run(append(append([]string{"reckon"}, args...), "-"), streams{strings.NewReader(input), &stdout, &stderr})
	return code, stdout.String(), stderr.String()
}

func reckonJSON(t *testing.T, input string, args ...string) map[string]any {
	t.Helper()
	code, out, errs := reckonText(t, input, append([]string{"--json"}, args...)...)
	require.Equal(t, exitOK, code, errs)
	var object map[string]any
	require.NoError(t, json.Unmarshal([]byte(out), &object))
	return object
}

func at(object map[string]any, keys ...string) any {
	var v any = object
	for _, k := range keys {
		v = v.(map[string]any)[k]
	}
	return v
}

func TestReckonKeepsItsContract(t *testing.T) {
	t.Parallel()
	out := reckonJSON(t, flask)
	assert.Equal(t, "Hazelnut flask", out["name"])
	for _, key := range []string{"name", "style", "lines", "ratio", "drink", "pulp_g", "per_100ml", "fat_pct", "brix", "water_activity",
		"servings", "per_serving", "keeps", "soak", "allergens", "vegan", "cautions", "cost", "assumptions", "kind", "kind_from", "missing", "steps", "balance", "pulp"} {
		assert.Contains(t, out, key)
	}
	assert.Len(t, out["lines"], 6)
	assert.InDelta(t, 4, at(out, "ratio", "by_volume"), .01, "48 oz of water are fluid ounces: 6 cups to 1½")
	assert.Equal(t, []any{"hazelnut"}, out["allergens"])
	assert.Equal(t, true, out["vegan"])
	assert.Nil(t, at(out, "cost", "batch"), "no pantry, no price")
	assert.Equal(t, 12., at(out, "soak", "ideal_h"))
	assert.Contains(t, fmt.Sprint(out["assumptions"]), "the middle of the range is used")
	assert.Equal(t, out["style"], out["kind"])
	assert.Equal(t, true, at(out, "drink", "complete"))
	balance := out["balance"].(map[string]any)
	rest := 0.
	for name, g := range balance {
		if name != "in_g" {
			rest += g.(float64)
		}
	}
	assert.InDelta(t, balance["in_g"], rest, .1)
	gone := reckonJSON(t, flask+"a splash of joy\n")
	assert.Equal(t, false, at(gone, "drink", "complete"))
	assert.Equal(t, []any{"a splash of joy"}, gone["missing"])
	_, table, _ := reckonText(t, flask+"a splash of joy\n")
	assert.Contains(t, table, "without a splash of joy")
}

// Each line's shares in the steps come to its whole amount, and the method flags
// set what is done.
func TestReckonTellsTheMethod(t *testing.T) {
	t.Parallel()
	kinds := func(out map[string]any) (all []string) {
		for _, s := range out["steps"].([]any) {
			all = append(all, at(s.(map[string]any), "kind").(string))
		}
		return all
	}
	soy := "1 cup soybeans\n4 cups water\n2 tbsp sugar\n"
	out := reckonJSON(t, soy, "--times", "3")
	in := map[float64]float64{}
	for _, s := range out["steps"].([]any) {
		for _, l := range s.(map[string]any)["lines"].([]any) {
			in[at(l.(map[string]any), "line").(float64)] += at(l.(map[string]any), "grams").(float64)
		}
	}
	for n, l := range out["lines"].([]any) {
		assert.InDelta(t, at(l.(map[string]any), "grams"), in[float64(n)], .1)
	}
	boiled := kinds(out)
	assert.Subset(t, boiled, []string{"soak", "drain", "grind", "strain", "heat", "skim", "stir-in", "cool", "bottle", "chill"})
	raw := reckonJSON(t, soy, "--heat", "none")
	assert.NotContains(t, kinds(raw), "heat")
	assert.Nil(t, at(raw, "keeps", "cautious_days"), "raw soy has no date")
	assert.Contains(t, kinds(reckonJSON(t, soy, "--strain", "juicer")), "juice")
	assert.Contains(t, kinds(reckonJSON(t, soy, "--coarse")), "crush")
	fat := func(args ...string) float64 { return at(reckonJSON(t, flask, args...), "fat_pct").(float64) }
	assert.Greater(t, fat("--blend", "90s", "--blender", "high-speed"), fat("--blend", "30s"))
	ml := func(args ...string) float64 { return at(reckonJSON(t, soy, args...), "drink", "ml").(float64) }
	assert.Greater(t, ml("--covered", "--heat", "simmer", "--cook", "10m"), ml("--heat", "simmer", "--cook", "10m", "--pan", "28cm"))
	changes := filepath.Join(t.TempDir(), "process.json")
	require.NoError(t, os.WriteFile(changes, []byte(`[{"at": {"kind": "grind", "n": 1}, "do": "set", "params": {"seconds": 45}, "cue": "until it hums"}, {"at": {"kind": "strain"}, "do": "add-after", "cue": "Rest it"}]`), 0o600))
	own := reckonJSON(t, soy, "--process", changes)
	assert.Contains(t, kinds(own), "own")
	assert.Contains(t, fmt.Sprint(own["steps"]), "Blend for 45 seconds")
	assert.Contains(t, fmt.Sprint(own["steps"]), "until it hums")
	require.NoError(t, os.WriteFile(changes, []byte(`[{"at": {"kind": "heat"}, "do": "remove"}]`), 0o600))
	code, _, said := reckonText(t, soy, "--process", changes)
	assert.Equal(t, exitUsage, code)
	assert.Contains(t, said, "--process: \"heat\" cannot be skipped")
	named := reckonJSON(t, soy, "--kind", "creamer")
	assert.Equal(t, []any{"creamer", "flag", 30.}, []any{named["kind"], named["kind_from"], at(named, "servings", "ml")})
	scooped := reckonJSON(t, soy, "--scoops", "1/2 cup,1 tbsp")
	assert.Contains(t, at(scooped["lines"].([]any)[1].(map[string]any), "measure"), "½ cup")
}

func TestReckonFlags(t *testing.T) {
	t.Parallel()
	plain := reckonJSON(t, flask)
	tests := []struct {
		args []string
		keys []string
		want float64
	}{
		{[]string{"--make", "1.5l"}, []string{"drink", "ml"}, 1500},
		{[]string{"--servings", "12"}, []string{"servings", "count"}, 12},
		{[]string{"--serving", "200ml"}, []string{"servings", "ml"}, 200},
		{[]string{"--times", "2"}, []string{"drink", "ml"}, 2 * at(plain, "drink", "ml").(float64)},
		{[]string{"--fridge", "0"}, []string{"keeps", "customary_days"}, 7},
		{[]string{"--school", "customary"}, []string{"keeps", "freezer_days"}, 60},
	}
	for _, tt := range tests {
		got := at(reckonJSON(t, flask, tt.args...), tt.keys...)
		assert.InEpsilon(t, tt.want, got, .0001, tt.args)
	}
	based := reckonJSON(t, flask, "--base", "180g")
	assert.InEpsilon(t, 180, based["lines"].([]any)[0].(map[string]any)["grams"], 1e-6)
	metric := reckonJSON(t, flask, "--system", "metric")
	assert.InEpsilon(t, 1.5*250, metric["lines"].([]any)[0].(map[string]any)["ml"], 1e-6)
	cloth := reckonJSON(t, flask, "--strain", "cloth")
	assert.Less(t, at(cloth, "drink", "ml"), at(plain, "drink", "ml"), "cloth holds more back")
}

func TestReckonSolvesTargetsThenSize(t *testing.T) {
	t.Parallel()
	out := reckonJSON(t, flask, "--sweetness", "6", "--fat", "10.5", "--swap", "maple syrup=honey", "--make", "2l")
	assert.InDelta(t, 6, at(out, "per_100ml", "sucrose_eq_g"), .05)
	assert.InDelta(t, 10.5, out["fat_pct"], .05, "21 CFR 131.180")
	assert.InEpsilon(t, 2000, at(out, "drink", "ml"), 1e-4)
	said := fmt.Sprint(out["assumptions"])
	for _, want := range []string{"Maple syrup swapped for Honey at equal sweetness", "of Coconut oil, refined was added"} {
		assert.Contains(t, said, want)
	}
	lines := out["lines"].([]any)
	assert.Equal(t, "Honey", lines[2].(map[string]any)["ingredient"])
	assert.Equal(t, "Coconut oil, refined", lines[len(lines)-1].(map[string]any)["ingredient"])
	lean := reckonJSON(t, flask, "--fat", "1")
	assert.Contains(t, fmt.Sprint(lean["assumptions"]), "fat of 1 cannot be reached")
	assert.Contains(t, fmt.Sprint(reckonJSON(t, flask, "--swap", "white sugar=honey")["assumptions"]), "there is no White sugar in the drink")
	dry := reckonJSON(t, "1 cup almonds", "--make", "1l")
	assert.Contains(t, fmt.Sprint(dry["assumptions"]), "the size was not reached")
	refused := reckonJSON(t, "1 cup bitter almonds\n4 cups water", "--sweetness", "4", "--swap", "bitter almonds=almonds")
	assert.Nil(t, refused["drink"])
}

func TestReckonReadsJSONLDAndSaysWhatIsRefused(t *testing.T) {
	t.Parallel()
	ld := `{"@context":"https://schema.org","@graph":[{"@type":"WebPage"},{"@type":["Recipe"],"name":"Porch milk","recipeIngredient":["1 cup sesame seeds","4 cups water"]}]}`
	out := reckonJSON(t, ld)
	assert.Equal(t, "Porch milk", out["name"])
	assert.Equal(t, []any{"sesame"}, out["allergens"])
	out = reckonJSON(t, "1 cup bitter almonds\n4 cups water")
	assert.Nil(t, out["drink"])
	assert.Equal(t, "unsafe-base", out["cautions"].([]any)[0].(map[string]any)["code"])
}

func TestReckonRefusesInOneLine(t *testing.T) {
	t.Parallel()
	tests := []struct {
		name, input string
		args        []string
		code        int
		says        string
	}{
		{"nothing understood", "moon dust\nstar dust", nil, exitWrong, "no line was understood"},
		{"empty", "", nil, exitWrong, "no line was understood"},
		{"strict", flask + "a splash of joy\n", []string{"--strict"}, exitWrong, "splash of joy"},
		{"an unknown flag", flask, []string{"--sugar", "4"}, exitUsage, "unknown flag --sugar"},
		{"a system that is none", flask, []string{"--system", "ells"}, exitUsage, "--system: \"ells\" is not a measure system; use us"},
		{"two sizes", flask, []string{"--make", "1l", "--times", "2"}, exitUsage, "use one of --make"},
		{"a size that is none", flask, []string{"--make", "much"}, exitUsage, "--make: \"much\" is not an amount"},
		{"a mass for a volume", flask, []string{"--make", "2 kg"}, exitUsage, "is not a volume"},
		{"times nothing", flask, []string{"--times", "0"}, exitUsage, "--times"},
		{"times NaN", flask, []string{"--times", "NaN"}, exitUsage, "--times"},
		{"a fridge like an oven", flask, []string{"--fridge", "90"}, exitUsage, "--fridge"},
		{"a kind that is none", flask, []string{"--kind", "soup"}, exitUsage, "--kind: \"soup\" is not a kind of drink; use milk"},
		{"a heat that is none", flask, []string{"--heat", "flambé"}, exitUsage, "--heat"},
		{"a blender that is none", flask, []string{"--blender", "whisk"}, exitUsage, "--blender"},
		{"a pan of no size", flask, []string{"--pan", "wide"}, exitUsage, "--pan"},
		{"no time at all", flask, []string{"--blend", "long"}, exitUsage, "blend"},
		{"no scoop", flask, []string{"--scoops", "handful of"}, exitUsage, "--scoops"},
		{"half a swap", flask, []string{"--swap", "honey"}, exitUsage, "--swap"},
		{"too fat", flask, []string{"--fat", "120"}, exitUsage, "--fat"},
		{"binary", "\x00\x01\x02\xff", nil, exitUsage, "is not text"},
		{"broken JSON", `{"@type":"Recipe",`, nil, exitUsage, "looks like JSON"},
		{"JSON of something else", `{"@type":"Person"}`, nil, exitUsage, "no schema.org Recipe"},
		{"ten thousand lines", strings.Repeat("1 cup water\n", 10_000), nil, exitUsage, "too many lines"},
		{"ten megabytes", strings.Repeat("1 cup water and more of it\n", 400_000), nil, exitUsage, "too large"},
	}
	for _, tt := range tests {
		began := time.Now()
		code, out, errs := reckonText(t, tt.input, tt.args...)
		assert.Equal(t, tt.code, code, tt.name)
		assert.Empty(t, out, tt.name)
		assert.Contains(t, errs, tt.says, tt.name)
		assert.Equal(t, 1, strings.Count(errs, "\n"), "%s: one line: %q", tt.name, errs)
		assert.Less(t, time.Since(began), 5*time.Second, tt.name)
	}
	var stderr bytes.Buffer
	assert.Equal(t, exitUsage, run([]string{"reckon", "/no/such/file"}, streams{nil, io.Discard, &stderr}))
	assert.Contains(t, stderr.String(), "cannot be read: no such file")
}

// Huge, tiny and negative amounts are left out and said, never reckoned.
func TestReckonLeavesOutAmountsThatCannotBe(t *testing.T) {
	t.Parallel()
	out := reckonJSON(t, "1 cup almonds\n4 cups water\n1e300 kg white sugar\n-1 cup honey\n0 cups agave\n999999 kg maple syrup\n")
	assert.InDelta(t, 906, at(out, "drink", "ml"), 5)
	said := fmt.Sprint(out["assumptions"])
	assert.Contains(t, said, "is too much")
	assert.Contains(t, said, "is less than zero")
}

func TestReckonPrintsATable(t *testing.T) {
	t.Parallel()
	code, out, _ := reckonText(t, flask)
	assert.Equal(t, exitOK, code)
	for _, text := range []string{"Hazelnut flask", "Hazelnuts", "1½ cups", "likely", "1 : 4 by cups", "keeps", "contains     hazelnut"} {
		assert.Contains(t, out, text)
	}
	_, out, _ = reckonText(t, "1 cup almonds\n4 cups water\n1/4 tsp kelp\n")
	assert.Regexp(t, `Seaweed is rich in iodine.* \([0-9.]+ of 600 µg\)`, out, "a caution has its figure and its limit")
}

func FuzzReckon(f *testing.F) {
	f.Add(flask)
	f.Add(`{"@type":"Recipe","recipeIngredient":["1 cup almonds"]}`)
	f.Fuzz(func(t *testing.T, input string) {
		var stdout, stderr bytes.Buffer
		code := run([]string{"reckon", "--json", "-"}, streams{strings.NewReader(input), &stdout, &stderr})
		if code == exitOK {
			require.True(t, json.Valid(stdout.Bytes()))
			return
		}
		require.NotEmpty(t, stderr.String())
	})
}

// The practice scale as a program of its own is heard as a real one on the network.
func TestThePracticeScaleIsHeard(t *testing.T) {
	t.Parallel()
	k := openDemo(t, filepath.Join(t.TempDir(), "kitchen.db"))
	cmd := program("practice-scale", "--to", k.url, "--for", "2s")
	cmd.Stdin = strings.NewReader("50\nplenty\n")
	said, err := cmd.CombinedOutput()
	require.NoError(t, err)
	assert.Equal(t, "plushladle practice-scale: type grams, such as 50 or -20\n", string(said))
	answer, err := http.Get(k.url + "/api/scale")
	require.NoError(t, err)
	defer func() { _ = answer.Body.Close() }()
	var now struct{ Sends, Connected bool }
	require.NoError(t, json.NewDecoder(answer.Body).Decode(&now))
	assert.True(t, now.Sends)
	assert.False(t, now.Connected, "nobody weighs on it yet")
	alone := program("practice-scale", "--to", "http://127.0.0.1:9", "--for", "500ms")
	said, err = alone.CombinedOutput()
	require.NoError(t, err)
	assert.Equal(t, 1, strings.Count(string(said), "\n"), "it says once that nobody hears it, and goes on")
}
