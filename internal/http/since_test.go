package http

import (
	"encoding/json"
	"math/rand/v2"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app/bench"
)

// toldSince is how a page asks: with what it has, for what changed.
type toldSince struct {
	Answer  string         `json:"answer"`
	Whole   map[string]any `json:"whole"`
	Changed map[string]any `json:"changed"`
}

func since(in bench.ToReckon, answer string) toReckonSince { return toReckonSince{in, answer} }

// Whatever is changed of a drink, what the page had with what it is told changed is the whole answer.
func TestAnAnswerCarriesWhatChanged(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	random := rand.New(rand.NewPCG(17, 17))
	pick := func(from ...string) string { return from[random.IntN(len(from))] }
	in := bench.ToReckon{Name: "Almond milk", Recipe: almondMilk()}
	first := call[toldSince](c, "POST", "/api/reckonings/since", since(in, ""))
	require.NotNil(t, first.Whole)
	has, name, wholes := first.Whole, first.Answer, 0
	for n := range 80 {
		f := &in.Recipe
		line := random.IntN(len(f.Lines))
		switch random.IntN(9) {
		case 0:
			f.Strainer = pick("bag", "cloth", "none")
		case 1:
			f.RawC = float64(random.IntN(2) * 46)
		case 2:
			f.Heat, f.CookMin = pick("none", "warm", "boil"), float64(random.IntN(10))
		case 3:
			f.Lines = append(f.Lines, call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: pick("1 tsp vanilla", "1/4 tsp nutmeg", "2 tbsp honey", "a splash of joy")}).Lines[0])
			f.Lines[len(f.Lines)-1].Key = "more-" + strconv.Itoa(n)
		case 4:
			if len(f.Lines) > 1 {
				f.Lines = append(f.Lines[:line:line], f.Lines[line+1:]...)
			}
		case 5:
			f.Lines[line].Note = pick("", "soaked", "toasted")
		default:
			f.Lines[line].Amount = pick("1 cup", "100 g", "3 tbsp", "1/3 cup", "nonsense", "250 ml")
		}
		told := call[toldSince](c, "POST", "/api/reckonings/since", since(in, name))
		if told.Whole != nil {
			wholes++
		}
		has, name = withChanged(has, told.Changed).(map[string]any), told.Answer
		require.Equal(t, call[map[string]any](c, "POST", "/api/reckonings", in), has, "change %d", n)
	}
	assert.Zero(t, wholes, "each is told as what changed")
	told := call[toldSince](c, "POST", "/api/reckonings/since", since(in, name))
	assert.Empty(t, told.Changed, "nothing, of the same drink")
	assert.NotNil(t, told.Changed, "which is said, and not left out")
	assert.NotNil(t, call[toldSince](c, "POST", "/api/reckonings/since", since(in, first.Answer)).Whole, "of an answer long ago all is told")
}

// withChanged reads what changed as the page does.
func withChanged(was, change any) any {
	changes, isPart := change.(map[string]any)
	if !isPart {
		return change
	}
	switch was := was.(type) {
	case map[string]any:
		now := map[string]any{}
		for field, value := range was {
			now[field] = value
		}
		for field, to := range changes {
			if now[field] = withChanged(was[field], to); to == nil {
				delete(now, field)
			}
		}
		return now
	case []any:
		now := append([]any{}, was...)
		for place, to := range changes {
			n, err := strconv.Atoi(place)
			if err != nil {
				return err
			}
			now[n] = withChanged(was[n], to)
		}
		return now
	}
	return change
}

// An amount of a drink changes a part of its figures, and less is sent than all.
func TestLessIsSentThanAll(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	in := bench.ToReckon{Recipe: almondMilk()}
	first := call[toldSince](c, "POST", "/api/reckonings/since", since(in, ""))
	in.Recipe.Lines[0].Amount = "111 g"
	told := call[toldSince](c, "POST", "/api/reckonings/since", since(in, first.Answer))
	whole, err := json.Marshal(first.Whole)
	require.NoError(t, err)
	part, err := json.Marshal(told.Changed)
	require.NoError(t, err)
	assert.Less(t, 2*len(part), len(whole))
}
