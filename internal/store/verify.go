package store

import (
	"errors"
	"fmt"
	"math"
	"slices"
	"time"

	"gorm.io/gorm"

	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/quantity"
	"plushladle/core/record"
	"plushladle/internal/kitchen"
)

// What a kitchen holds has bounds, so that no sum of it overflows and every
// view can show it: far beyond what anyone has.
const (
	mostML    = 1e6
	mostG     = 1e7
	mostPrice = 1e6
	mostDays  = 4000
	longText  = 2000
)

// lookThrough reads every row through the program's own types, and refuses the
// first that could not be shown, with its place.
func (s *Store) lookThrough() error {
	return errors.Join(
		each(s.db, "drinks", (*Drink).wrong), each(s.db, "versions", (*Version).wrong), each(s.db, "batches", (*Batch).wrong),
		each(s.db, "bottles", (*Bottle).wrong), each(s.db, "pulps", (*Pulp).wrong), each(s.db, "moves", (*Move).wrong),
		each(s.db, "temperatures", (*Temperature).wrong), each(s.db, "pours", (*Pour).wrong), s.lookAtSettings(),
		each(s.db, "plan_items", (*PlanItem).wrong), each(s.db, "weighings", (*Weighing).wrong), each(s.db, "bowls", (*Bowl).wrong),
		each(s.db, "timers", (*Timer).wrong), each(s.db, "stock", (*Stock).wrong), each(s.db, "own_ingredients", (*OwnIngredient).wrong),
		each(s.db, "prices", (*Price).wrong), each(s.db, "own_measures", (*OwnMeasure).wrong), each(s.db, "drinkers", (*Drinker).wrong),
		each(s.db, "packs", (*Pack).wrong), each(s.db, "rhythms", (*Rhythm).wrong), each(s.db, "taught_names", (*TaughtName).wrong),
		each(s.db, "tastings", (*Tasting).wrong), each(s.db, "trials", (*Trial).wrong), each(s.db, "lessons", (*Lesson).wrong),
		each(s.db, "photos", (*Photo).wrong), each(s.db, "lots", (*Lot).wrong), each(s.db, "more_packs", (*MorePack).wrong), each(s.db, "adjustments", (*Adjustment).wrong),
		each(s.db, "temperature_imports", (*TemperatureImport).wrong),
	)
}

// each goes through a table's rows, one held at a time.
func each[T any](db *gorm.DB, table string, wrong func(*T) string) error {
	rows, err := db.Model(new(T)).Order("rowid").Rows()
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for n := 1; rows.Next(); n++ {
		var row T
		why := ""
		if err := db.ScanRows(rows, &row); err != nil {
			why = "it cannot be read: " + err.Error()
		} else {
			why = wrong(&row)
		}
		if why != "" {
			return fmt.Errorf("%w: row %d of %q: %s", ErrNotBackup, n, table, why)
		}
	}
	return rows.Err()
}

func (s *Store) lookAtSettings() error {
	var count int64
	if err := s.db.Model(&Settings{}).Count(&count).Error; err != nil {
		return err
	}
	if count != 1 {
		return fmt.Errorf("%w: it has no settings", ErrNotBackup)
	}
	return each(s.db, "settings", (*Settings).wrong)
}

// first is the first of some complaints; "" for none.
func first(complaints ...string) string {
	for _, c := range complaints {
		if c != "" {
			return c
		}
	}
	return ""
}

func oneOf(name, value string, of ...string) string {
	if slices.Contains(of, value) {
		return ""
	}
	return fmt.Sprintf("%q is no %s", value, name)
}

func within(name string, value, from, to float64) string {
	if value >= from && value <= to { // NaN is within nothing
		return ""
	}
	return fmt.Sprintf("%s is %g", name, value)
}

func text(name, value string) string {
	if value == "" || len(value) > longText {
		return fmt.Sprintf("%s is empty or too long", name)
	}
	return ""
}

func date(name, value string) string {
	if _, err := time.Parse(time.DateOnly, value); err != nil {
		return fmt.Sprintf("%s is no date: %q", name, value)
	}
	return ""
}

func said(err error) string {
	if err != nil {
		return err.Error()
	}
	return ""
}

var (
	allPlaces = []string{Fridge, Door, Freezer, Outside}
	allStates = []string{InUse, Finished, Thrown}
)

func (d *Drink) wrong() string    { return first(text("its name", d.Name), said(d.Draft.Check())) }
func (v *Version) wrong() string  { return said(v.Recipe.Check()) }
func (p *Pour) wrong() string     { return within("ml", p.ML, 0, mostML) }
func (m *Move) wrong() string     { return oneOf("place", m.Place, allPlaces...) }
func (s *Stock) wrong() string    { return within("mass_g", s.MassG, 0, mostG) }
func (w *Weighing) wrong() string { return within("mass_g", w.MassG, 0, mostG) }
func (b *Bowl) wrong() string     { return within("dry_g", b.DryG, 0, mostG) }
func (t *Timer) wrong() string    { return within("length_s", float64(t.LengthS), 1, mostDays*86400) }

func (b *Batch) wrong() string {
	measured := 0.
	if b.MeasuredML != nil {
		measured = *b.MeasuredML
	}
	return first(date("made_on", b.MadeOn), within("forecast_ml", b.ForecastML, 0, mostML), within("measured_ml", measured, 0, mostML))
}

func (t *Tasting) wrong() string {
	return first(
		within("sweet", t.Sweet, -record.MostNotches, record.MostNotches), within("body", t.Body, -record.MostNotches, record.MostNotches),
		within("spice", t.Spice, -record.MostNotches, record.MostNotches), within("salt", t.Salt, -record.MostNotches, record.MostNotches), within("stars", t.Stars, 0, 5),
	)
}

func (p *Photo) wrong() string {
	if !photoName.MatchString(p.File) {
		return "file is no photo's name"
	}
	return first(within("width", float64(p.Width), 1, mostML), within("height", float64(p.Height), 1, mostML))
}

func (l *Lot) wrong() string {
	return first(date("bought_on", l.BoughtOn), within("bought_g", l.BoughtG, 0, mostG), within("left_g", l.LeftG, 0, mostG), within("price", l.Price, 0, mostPrice))
}

func (p *MorePack) wrong() string {
	return first(within("price", p.Price, 0, mostPrice), within("pack_g", p.PackG, math.SmallestNonzeroFloat32, mostG))
}

func (a *Adjustment) wrong() string {
	i, ok := ingredient.Standard().ByID(a.Ingredient)
	if !ok {
		return "" // a row that ships no more is kept, and does nothing
	}
	_, err := a.Row.Adjusted(i)
	return said(err)
}

func (l *Lesson) wrong() string {
	return first(text("what", l.What), within("share", l.Share, math.SmallestNonzeroFloat32, 100))
}

func (t *Trial) wrong() string {
	if n := len(t.Jars); n < 2 || n > 3 {
		return "jars are not two or three"
	}
	return text("changed", t.Changed)
}

func (b *Bottle) wrong() string {
	return first(
		oneOf("state", b.State, allStates...), oneOf("place", b.Place, allPlaces...), oneOf("place", b.FirstPlace, append(allPlaces, "")...),
		oneOf("school", b.School, string(keep.Cautious), string(keep.Customary)), date("use_by", b.UseBy), date("other_use_by", b.OtherUseBy),
		oneOf("ended_cause", b.EndedCause, append(Causes, "")...),
		within("volume_ml", b.VolumeML, 0, mostML), within("left_ml", b.LeftML, 0, mostML), within("serving_ml", b.ServingML, leastServingML, mostML),
		within("cautious_days", b.CautiousDays, 0, mostDays), within("customary_days", b.CustomaryDays, 0, mostDays),
		within("frozen_cautious", float64(b.FrozenCautious), 0, mostDays), within("frozen_customary", float64(b.FrozenCustomary), 0, mostDays),
	)
}

// leastServingML is the least a serving can be, so that their number stays one
// that can be written.
const leastServingML = 0.1

func (p *Pulp) wrong() string {
	return first(oneOf("place", p.Place, Fridge, Freezer), oneOf("state", p.State, allStates...), within("wet_g", p.Pulp.WetG, 0, mostG))
}

func (t *TemperatureImport) wrong() string {
	return first(text("name", t.Name), within("readings", float64(t.Readings), 0, 1e9))
}

func (t *Temperature) wrong() string { return within("temp_c", t.TempC, -273, 1000) }

func (s *Settings) wrong() string {
	_, notASystem := quantity.ParseSystem(s.System)
	_, notASchool := keep.ParseSchool(s.School)
	_, notHands := kitchen.ParseQuiet("hands_quiet", s.HandsQuiet)
	_, notNoise := kitchen.ParseQuiet("noise_quiet", s.NoiseQuiet)
	return first(
		said(notASystem), said(notASchool), said(notHands), said(notNoise), oneOf("theme", s.Theme, "system", "day", "night"),
		within("fridge_c", s.FridgeC, -5, 40), within("kitchen_c", s.KitchenC, -10, 60), within("jug_ml", s.JugML, 50, mostML), within("scale_g", s.ScaleG, 0, 1000),
		oneOf("blender", s.Blender, "regular", "high-speed"), within("tap_c", s.TapC, 0, 60), within("pan_cm", s.PanCM, 0, 80),
		oneOf("language", s.Language, "en", "es"), oneOf("volumes", s.Volumes, "metric", "us", "imperial"), oneOf("temperature", s.Temperature, "c", "f"),
		oneOf("week_start", s.WeekStart, "monday", "sunday", "saturday"),
	)
}

func (i *PlanItem) wrong() string { return said(i.Recipe.Check()) }

func (i *OwnIngredient) wrong() string {
	_, err := i.Row.Ingredient("own")
	return said(err)
}

func (p *Price) wrong() string {
	if !(p.EdibleShare > 0 && p.EdibleShare <= 1) {
		return "edible_share is no share"
	}
	return first(within("price", p.Price, 0, mostPrice), within("pack_g", p.PackG, math.SmallestNonzeroFloat32, mostG))
}

func (m *OwnMeasure) wrong() string {
	_, err := quantity.Calibrated(m.Name, m.WaterG)
	return said(err)
}

func (n *TaughtName) wrong() string {
	if n.Name == "" || n.Ingredient == "" {
		return "name or ingredient is empty"
	}
	return ""
}

func (d *Drinker) wrong() string { return said(d.Drinker.Core().Check()) }

func (p *Pack) wrong() string {
	return first(date("opened_on", p.OpenedOn), oneOf("state", p.State, allStates...), within("mass_g", p.MassG, 0, mostG))
}

func (r *Rhythm) wrong() string {
	if len(r.Days) != 7 {
		return "days are not seven"
	}
	return within("per_day_ml", r.PerDayML, 0, mostML)
}

// EachRecipe goes through every recipe there is, with where it stands and
// its drink's name, until take answers an error.
func (s *Store) EachRecipe(take func(place, name string, f kitchen.Recipe) error) error {
	failed := func(place string, n int64, name string, f kitchen.Recipe) string {
		return said(take(fmt.Sprintf("%s %d", place, n), name, f))
	}
	return errors.Join(
		each(s.db, "drinks", func(d *Drink) string { return failed("drink", d.ID, d.Name, d.Draft) }),
		each(s.db, "versions", func(v *Version) string { return failed("version", v.ID, "", v.Recipe) }),
		each(s.db, "plan_items", func(i *PlanItem) string { return failed("planned drink", i.ID, i.DrinkName, i.Recipe) }),
	)
}
