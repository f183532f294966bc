package shelf

import (
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/plan"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/internal/exchange"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// BottleLabel is what is written on a bottle.
type BottleLabel struct {
	BottleID  int64    `json:"bottleID"`
	Name      string   `json:"name"`
	MadeOn    string   `json:"madeOn"`
	UseBy     string   `json:"useBy"`
	VolumeML  float64  `json:"volumeML" doc:"what is in it now"`
	Servings  string   `json:"servings" doc:"in words"`
	Dilution  string   `json:"dilution" doc:"how it is let down, and what goes into the glass; empty where it is drunk as it is"`
	Shake     string   `json:"shake"`
	Allergens []string `json:"allergens"`
	Equipment []string `json:"equipment" doc:"allergens of other drinks made here of late, that this one does not contain"`
	Missing   []string `json:"missing" doc:"lines of the drink that no figure counts"`
	Path      string   `json:"path" doc:"of the bottle's page; its QR code holds it with the kitchen's own address"`
	QR        string   `json:"qr" doc:"the path of the code's picture"`
}

// equipmentDays is how far back other drinks count of which something may cling to blender and
// bag (a judgement: two months).
const equipmentDays = 60

// maxLabels is as many as are printed at once.
const maxLabels = 60

func (s Service) Labels(ids string) ([]BottleLabel, error) {
	out := []BottleLabel{}
	handled, err := s.store.AllergensSince(s.Now().AddDate(0, 0, -equipmentDays))
	if err != nil {
		return nil, err
	}
	for _, text := range strings.Split(ids, ",") {
		id, err := strconv.ParseInt(strings.TrimSpace(text), 10, 64)
		if err != nil || len(out) >= maxLabels {
			return nil, fault.New("ids", ids, "not-bottles-to-label", maxLabels)
		}
		kept, err := s.store.Bottle(id)
		if err != nil {
			return nil, err
		}
		label, err := s.label(kept)
		if err != nil {
			return nil, err
		}
		for _, a := range handled {
			if !slices.Contains(kept.Allergens, a) {
				label.Equipment = append(label.Equipment, wording.Allergen(a))
			}
		}
		out = append(out, label)
	}
	return out, nil
}

func (s Service) label(kept *store.Bottle) (BottleLabel, error) {
	b, err := s.bottle(kept, nil)
	if err != nil {
		return BottleLabel{}, err
	}
	out := BottleLabel{
		BottleID: b.ID, Name: b.DrinkName, MadeOn: b.MadeOn, UseBy: b.UseBy, VolumeML: b.LeftML,
		Servings: servingWords(b.Servings, b.ServingML), Shake: wording.Say("shake"), Allergens: b.Allergens, Equipment: []string{}, Missing: []string{},
		Path: fmt.Sprintf("/shelf/%d", b.ID), QR: fmt.Sprintf("/api/bottles/%d/qr.png", b.ID),
	}
	d, _, err := s.Read(b.DrinkName, kept.Batch.Version.Recipe)
	if err != nil {
		return out, err
	}
	r, err := d.Reckon()
	if err == nil {
		out.Dilution, out.Missing = served(&d, r, b.ServingML), kept.Batch.Version.Recipe.Lacking(r)
	}
	return out, nil
}

// served says how a bottle is drunk: let down, and with what goes into the glass.
func served(d *reckon.Drink, r *reckon.Reckoning, servingML float64) string {
	var parts []string
	if r.Kind == recipe.Concentrate {
		parts = append(parts, wording.Say("let-down", servingML, glassML))
	}
	for _, s := range plan.Steps(d, r, exchange.KitchenOf(d), plan.OnTheBench) {
		if s.Kind == plan.Serve {
			parts = append(parts, wording.Text(s.Title))
		}
	}
	return strings.Join(parts, ". ")
}

func servingWords(count, eachML float64) string {
	if n := math.Floor(count + 0.05); n != 1 {
		return wording.Say("servings-of", n, eachML)
	}
	return wording.Say("one-serving-of", eachML)
}

// glassML is the glass a concentrate is let down in (common practice).
const glassML = 200.
