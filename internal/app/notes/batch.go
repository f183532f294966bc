package notes

import (
	"strings"
	"time"

	"plushladle/core/keep"
	"plushladle/internal/app"
	"plushladle/internal/app/planning"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// BatchPage is all there is of one batch.
type BatchPage struct {
	BatchLine
	PulpG      *float64             `json:"pulpG,omitempty" doc:"wet, where it was weighed"`
	DriedPulpG *float64             `json:"driedPulpG,omitempty" doc:"the same, dried"`
	Notes      string               `json:"notes" doc:"the cook's own"`
	Currency   string               `json:"currency"`
	Used       []kitchen.UsedLine   `json:"used" doc:"empty where it was not cooked step by step"`
	Times      []planning.StepTaken `json:"times"`
	Bottles    []Became             `json:"bottles"`
	Spells     []TooWarm            `json:"spells" doc:"when the fridge was too warm while it stood there"`
	Tastings   []Tasted             `json:"tastings" doc:"the earliest first"`
	Photos     []Photo              `json:"photos"`
	Others     []int                `json:"others" doc:"numbers of the drink's other versions, the newest first"`
	Trials     []BlindTrial         `json:"trials"`
	CreatedAt  time.Time            `json:"createdAt"`
}

// Photo is a picture of a batch, at /api/photos/{id}.jpg.
type Photo struct {
	ID     int64 `json:"id"`
	Width  int   `json:"width" doc:"pixels"`
	Height int   `json:"height"`
}

// Became is a bottle and what became of it.
type Became struct {
	ID       int64   `json:"id"`
	VolumeML float64 `json:"volumeML"`
	PouredML float64 `json:"pouredML"`
	LeftML   float64 `json:"leftML"`
	State    string  `json:"state" enum:"in use,finished,thrown out"`
	Became   string  `json:"became" doc:"in words"`
	UseBy    string  `json:"useBy"`
}

// TooWarm is a stretch in which the fridge was too warm.
type TooWarm struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	TempC float64   `json:"tempC" doc:"the warmest it was"`
}

// BatchPage is all there is of one batch.
func (s Service) BatchPage(id int64) (BatchPage, error) {
	if err := s.figure(); err != nil {
		return BatchPage{}, err
	}
	b, err := s.store.WholeBatch(id)
	if err != nil {
		return BatchPage{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return BatchPage{}, err
	}
	poured, err := s.store.PouredOf(id)
	if err != nil {
		return BatchPage{}, err
	}
	out := BatchPage{
		PulpG: b.PulpG, DriedPulpG: b.DriedPulpG, Notes: b.Notes, Currency: settings.Currency, Used: app.OrEmpty(b.Used), Times: planning.TakenInWords(b.Times),
		Bottles: []Became{}, Spells: []TooWarm{}, Tastings: []Tasted{}, Photos: []Photo{}, Others: []int{}, CreatedAt: b.CreatedAt,
	}
	made := summed(b, poured)
	for _, x := range b.Bottles {
		out.Bottles = append(out.Bottles, Became{x.ID, x.Filled(), poured[x.ID], x.LeftML, x.State, wording.Ended(x.State, x.EndedWhy), x.UseBy})
	}
	for _, t := range b.Tastings {
		out.Tastings = append(out.Tastings, tastedOf(t))
	}
	out.BatchLine = lineOf(&made)
	drink, err := s.store.Drink(b.DrinkID)
	if err != nil {
		return out, err
	}
	for _, v := range drink.Versions {
		if v.ID != b.VersionID {
			out.Others = append(out.Others, v.Number)
		}
	}
	photos, err := s.store.Photos(id)
	if err != nil {
		return out, err
	}
	for _, p := range photos {
		out.Photos = append(out.Photos, Photo{p.ID, p.Width, p.Height})
	}
	if out.Spells, err = s.spells(b, settings); err != nil {
		return out, err
	}
	out.Trials, err = s.trials(id)
	return out, err
}

// summed is a batch as the list has it.
func summed(b *store.Batch, poured map[int64]float64) store.MadeBatch {
	out := store.MadeBatch{
		ID: b.ID, DrinkID: b.DrinkID, DrinkName: b.DrinkName, Version: b.Version.Number, MadeOn: b.MadeOn, ForecastML: b.ForecastML,
		MeasuredML: b.MeasuredML, PerL: b.PerL, ShopPerL: b.ShopPerL, Sweetness: b.Sweetness, Tasted: len(b.Tastings),
	}
	for _, x := range b.Bottles {
		out.MadeML += x.Filled()
		out.DrunkML += poured[x.ID]
		switch x.State {
		case store.Thrown:
			out.ThrownML += x.LeftML
		case store.InUse:
			out.LeftML += x.LeftML
		}
	}
	var stars mean
	for _, t := range b.Tastings {
		stars.add(t.Stars)
		for _, f := range t.Flags {
			out.Flags += `"` + string(f) + `"`
		}
		out.Words = strings.TrimSpace(out.Words + " " + t.Words)
	}
	out.Stars = stars.of()
	return out
}

// DeletePhoto takes a picture out of the record.
func (s Service) DeletePhoto(id int64) (app.Nothing, error) {
	return app.Nothing{Done: true}, s.store.DeletePhoto(id)
}

func containsQuoted(kept, code string) bool { return strings.Contains(kept, `"`+code+`"`) }

// spells are those between the filling and the end of the batch's last bottle.
func (s Service) spells(b *store.Batch, settings store.Settings) ([]TooWarm, error) {
	from, until := time.Time{}, time.Time{}
	for _, x := range b.Bottles {
		if x.BegunAt != nil && (from.IsZero() || x.BegunAt.Before(from)) {
			from = *x.BegunAt
		}
		ended := s.Now()
		if x.EndedAt != nil {
			ended = *x.EndedAt
		}
		if ended.After(until) {
			until = ended
		}
	}
	out := []TooWarm{}
	if from.IsZero() {
		return out, nil
	}
	readings, err := s.store.Temperatures(from)
	if err != nil || len(readings) == 0 {
		return out, err
	}
	record := keep.NewRecord(s.AsReadings(readings), settings.FridgeC)
	for _, spell := range record.Spells(from, until, keep.WarmFridgeC, keep.School(settings.School)) {
		out = append(out, TooWarm{spell.From, spell.To, spell.MostC})
	}
	return out, nil
}

// BatchCorrection is what a cook puts right of a batch.
type BatchCorrection struct {
	MadeOn     string   `json:"madeOn" maxLength:"10"`
	MeasuredML *float64 `json:"measuredML,omitempty" minimum:"1" maximum:"1000000" doc:"absent where it was not measured"`
	PulpG      *float64 `json:"pulpG,omitempty" minimum:"1" maximum:"1000000"`
	DriedPulpG *float64 `json:"driedPulpG,omitempty" minimum:"1" maximum:"1000000" doc:"the same pulp, dried: it tells what the blender freed"`
	Notes      string   `json:"notes,omitempty" maxLength:"2000"`
}

// CorrectBatch puts a batch right; what was learned of it is worked out anew.
func (s Service) CorrectBatch(id int64, in BatchCorrection) (BatchPage, error) {
	b, err := s.store.Batch(id)
	if err != nil {
		return BatchPage{}, err
	}
	madeOn, err := s.MadeOn(in.MadeOn)
	if err != nil {
		return BatchPage{}, err
	}
	c := store.Correction{MadeOn: madeOn.Format(app.DateLayout), MeasuredML: in.MeasuredML, PulpG: in.PulpG, DriedPulpG: in.DriedPulpG, Notes: strings.TrimSpace(in.Notes)}
	if c.Lessons, err = s.LessonsAnew(*b, app.MeasuredOf(in.MeasuredML, in.PulpG, in.DriedPulpG)); err != nil {
		return BatchPage{}, err
	}
	if err := s.store.CorrectBatch(id, c); err != nil {
		return BatchPage{}, err
	}
	s.Changed()
	return s.BatchPage(id)
}

// DeleteBatch takes a batch out of the record, with its bottles.
func (s Service) DeleteBatch(id int64) (app.Nothing, error) {
	defer s.Changed()
	return app.Nothing{Done: true}, s.store.DeleteBatch(id)
}
