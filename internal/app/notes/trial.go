package notes

import (
	"math/rand/v2"
	"slices"
	"time"

	"plushladle/core/fault"
	"plushladle/core/record"
	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// BlindTrial is one change tasted blind. Which jar holds it is told once it is opened, except to
// whoever fills the jars.
type BlindTrial struct {
	ID       int64          `json:"id"`
	BatchID  int64          `json:"batchID"`
	Version  int            `json:"version" doc:"of the batch it was poured from"`
	MadeOn   string         `json:"madeOn"`
	Other    int            `json:"other" doc:"the version that has the change; 0 where none has"`
	Changed  string         `json:"changed" doc:"what differs, in the cook's words"`
	Letters  []string       `json:"letters" doc:"on the jars"`
	Verdicts []TrialVerdict `json:"verdicts"`
	Opened   bool           `json:"opened"`
	Answer   *TrialAnswer   `json:"answer,omitempty" doc:"once it is opened"`
	At       time.Time      `json:"at"`
}

// TrialVerdict is what one taster said.
type TrialVerdict struct {
	Who   string             `json:"who" maxLength:"60"`
	Stars map[string]float64 `json:"stars" doc:"by letter, 1 to 5; left out where none are given"`
	Odd   string             `json:"odd,omitempty" enum:",A,B,C" doc:"of three jars, the one unlike the others"`
}

// TrialAnswer is what it came to.
type TrialAnswer struct {
	WithChange   []string `json:"withChange" doc:"letters of the jars that held it"`
	ChangedStars float64  `json:"changedStars" doc:"the mean; 0 where none were given"`
	PlainStars   float64  `json:"plainStars"`
	Text         string   `json:"text"`
}

// NewTrial is a change to be tasted blind.
type NewTrial struct {
	Changed string `json:"changed" minLength:"1" maxLength:"200" doc:"what differs, such as: with a pinch of salt"`
	Other   int    `json:"other,omitempty" minimum:"0" doc:"the number of the version that has the change; 0 where none has it yet"`
	Jars    int    `json:"jars" enum:"2,3" doc:"two to compare, three to find the odd one"`
}

// JarsToFill says which jar gets what; for whoever fills them, and for nobody who tastes.
type JarsToFill struct {
	Trial BlindTrial `json:"trial"`
	Fill  []JarFill  `json:"fill"`
}

// JarFill is one jar to be filled.
type JarFill struct {
	Letter  string `json:"letter"`
	Changed bool   `json:"changed"`
}

// StartTrial codes the jars.
func (s Service) StartTrial(batchID int64, in NewTrial) (JarsToFill, error) {
	changed := kitchen.OneLine(in.Changed)
	if changed == "" {
		return JarsToFill{}, fault.New("changed", "", "change-needed")
	}
	other, err := s.otherVersion(batchID, in.Other)
	if err != nil {
		return JarsToFill{}, err
	}
	t := store.Trial{BatchID: batchID, VersionID: other, Changed: changed, Jars: record.Jars(in.Jars, rand.IntN), Verdicts: []record.Verdict{}}
	if err := s.store.MakeTrial(&t); err != nil {
		return JarsToFill{}, err
	}
	return s.filling(&t)
}

// otherVersion is the version of a batch's drink that has a number; 0 for none.
func (s Service) otherVersion(batchID int64, number int) (id int64, err error) {
	if number == 0 {
		return 0, nil
	}
	b, err := s.store.Batch(batchID)
	if err != nil {
		return 0, err
	}
	drink, err := s.store.Drink(b.DrinkID)
	if err != nil {
		return 0, err
	}
	for _, v := range drink.Versions {
		if v.Number == number {
			return v.ID, nil
		}
	}
	return 0, store.ErrNotFound
}

func (s Service) filling(t *store.Trial) (JarsToFill, error) {
	shown, err := s.presentTrial(t)
	out := JarsToFill{Trial: shown, Fill: []JarFill{}}
	for _, j := range t.Jars {
		out.Fill = append(out.Fill, JarFill{j.Letter, j.Changed})
	}
	return out, err
}

// FillTrial tells again what goes into which jar, until somebody has tasted.
func (s Service) FillTrial(id int64) (JarsToFill, error) {
	t, err := s.store.Trial(id)
	if err != nil {
		return JarsToFill{}, err
	}
	if len(t.Verdicts) > 0 {
		return JarsToFill{}, fault.New("trial", "", "already-tasted")
	}
	return s.filling(t)
}

// JudgeTrial keeps what one taster says of the jars.
func (s Service) JudgeTrial(id int64, in TrialVerdict) (BlindTrial, error) {
	t, err := s.store.Trial(id)
	if err != nil {
		return BlindTrial{}, err
	}
	if t.OpenedAt != nil {
		return BlindTrial{}, fault.New("trial", "", "trial-is-opened")
	}
	v := record.Verdict{Who: kitchen.OneLine(in.Who), Stars: map[string]float64{}, Odd: in.Odd}
	for letter, stars := range in.Stars {
		known := slices.ContainsFunc(t.Jars, func(j record.Jar) bool { return j.Letter == letter })
		if !known || stars < 0 || stars > 5 {
			return BlindTrial{}, fault.New("stars", letter, "not-a-jar")
		}
		v.Stars[letter] = stars
	}
	switch {
	case len(t.Jars) == 3 && v.Odd == "":
		return BlindTrial{}, fault.New("odd", "", "odd-jar-needed")
	case len(t.Jars) == 2 && len(v.Stars) < 2:
		return BlindTrial{}, fault.New("stars", "", "stars-needed")
	}
	t.Verdicts = append(t.Verdicts, v)
	if err := s.store.SaveTrial(t); err != nil {
		return BlindTrial{}, err
	}
	return s.presentTrial(t)
}

// OpenTrial tells which jar held what.
func (s Service) OpenTrial(id int64) (BlindTrial, error) {
	t, err := s.store.Trial(id)
	if err != nil {
		return BlindTrial{}, err
	}
	if len(t.Verdicts) == 0 {
		return BlindTrial{}, fault.New("trial", "", "nobody-tasted")
	}
	if t.OpenedAt == nil {
		now := s.Now()
		t.OpenedAt = &now
		if err := s.store.SaveTrial(t); err != nil {
			return BlindTrial{}, err
		}
	}
	return s.presentTrial(t)
}

// DeleteTrial takes a trial out of the record.
func (s Service) DeleteTrial(id int64) (app.Nothing, error) {
	return app.Nothing{Done: true}, s.store.DeleteTrial(id)
}

// trials are those of a batch.
func (s Service) trials(batchID int64) ([]BlindTrial, error) {
	kept, err := s.store.Trials(batchID)
	out := []BlindTrial{}
	if err != nil {
		return out, err
	}
	for n := range kept {
		t, err := s.presentTrial(&kept[n])
		if err != nil {
			return out, err
		}
		out = append(out, t)
	}
	return out, nil
}

// trialsOf are those of some batches.
func (s Service) trialsOf(batches []store.MadeBatch) ([]BlindTrial, error) {
	all, err := s.trials(0)
	if err != nil {
		return nil, err
	}
	return slices.DeleteFunc(all, func(t BlindTrial) bool {
		return !slices.ContainsFunc(batches, func(b store.MadeBatch) bool { return b.ID == t.BatchID })
	}), nil
}

func (s Service) presentTrial(t *store.Trial) (BlindTrial, error) {
	b, err := s.store.Batch(t.BatchID)
	if err != nil {
		return BlindTrial{}, err
	}
	out := BlindTrial{ID: t.ID, BatchID: t.BatchID, Version: b.Version.Number, MadeOn: b.MadeOn, Changed: t.Changed, Letters: []string{}, Verdicts: []TrialVerdict{}, Opened: t.OpenedAt != nil, At: t.CreatedAt}
	if t.VersionID != 0 {
		drink, err := s.store.Drink(b.DrinkID)
		if err != nil {
			return out, err
		}
		for _, v := range drink.Versions {
			if v.ID == t.VersionID {
				out.Other = v.Number
			}
		}
	}
	for _, j := range t.Jars {
		out.Letters = append(out.Letters, j.Letter)
	}
	for _, v := range t.Verdicts {
		out.Verdicts = append(out.Verdicts, TrialVerdict(v))
	}
	if !out.Opened {
		return out, nil
	}
	answer := record.Open(t.Jars, t.Verdicts)
	out.Answer = &TrialAnswer{WithChange: []string{}, ChangedStars: answer.Changed, PlainStars: answer.Plain, Text: wording.TrialAnswer(answer, len(t.Jars))}
	for _, j := range t.Jars {
		if j.Changed {
			out.Answer.WithChange = append(out.Answer.WithChange, j.Letter)
		}
	}
	return out, nil
}
