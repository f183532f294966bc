package store

import (
	"encoding/json"
	"fmt"
	"time"

	"github.com/go-gormigrate/gormigrate/v2"
	"gorm.io/gorm"
)

// migrations are applied in order and never changed once released. They are
// written in SQL so that a later change to a model does not change the past.
var migrations = []*gormigrate.Migration{
	{ID: "0001-drinks-batches-bottles", Migrate: statements(
		`CREATE TABLE drinks (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			name TEXT NOT NULL,
			draft TEXT NOT NULL,
			revision INTEGER NOT NULL,
			created_at DATETIME NOT NULL,
			changed_at DATETIME NOT NULL)`,
		`CREATE TABLE versions (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			drink_id INTEGER NOT NULL REFERENCES drinks(id) ON DELETE CASCADE,
			number INTEGER NOT NULL,
			note TEXT NOT NULL,
			formula TEXT NOT NULL,
			created_at DATETIME NOT NULL,
			UNIQUE (drink_id, number))`,
		`CREATE TABLE batches (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			drink_id INTEGER NOT NULL REFERENCES drinks(id),
			version_id INTEGER NOT NULL REFERENCES versions(id),
			drink_name TEXT NOT NULL,
			made_on TEXT NOT NULL,
			forecast_ml REAL NOT NULL,
			measured_ml REAL,
			created_at DATETIME NOT NULL)`,
		`CREATE TABLE bottles (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			batch_id INTEGER NOT NULL REFERENCES batches(id),
			volume_ml REAL NOT NULL CHECK (volume_ml > 0),
			left_ml REAL NOT NULL CHECK (left_ml >= 0 AND left_ml <= volume_ml),
			serving_ml REAL NOT NULL,
			place TEXT NOT NULL,
			use_by TEXT NOT NULL,
			other_use_by TEXT NOT NULL,
			school TEXT NOT NULL,
			reasons TEXT NOT NULL,
			allergens TEXT NOT NULL,
			state TEXT NOT NULL,
			ended_why TEXT NOT NULL,
			ended_at DATETIME,
			created_at DATETIME NOT NULL)`,
		`CREATE INDEX bottles_by_state ON bottles (state, use_by)`,
		`CREATE TABLE pours (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			bottle_id INTEGER NOT NULL REFERENCES bottles(id),
			ml REAL NOT NULL CHECK (ml > 0),
			poured_at DATETIME NOT NULL)`,
		`CREATE INDEX pours_by_bottle ON pours (bottle_id)`,
		`CREATE TABLE settings (
			id INTEGER PRIMARY KEY CHECK (id = 1),
			system TEXT NOT NULL,
			school TEXT NOT NULL,
			fridge_c REAL NOT NULL,
			jug_ml REAL NOT NULL,
			theme TEXT NOT NULL)`,
		`INSERT INTO settings (id, system, school, fridge_c, jug_ml, theme) VALUES (1, 'us', 'cautious', 4, 1500, 'system')`,
	)},
	{ID: "0002-pantry", Migrate: statements(
		`CREATE TABLE own_ingredients (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			name TEXT NOT NULL UNIQUE COLLATE NOCASE,
			row TEXT NOT NULL)`,
		`CREATE TABLE prices (
			ingredient TEXT PRIMARY KEY,
			price REAL NOT NULL CHECK (price > 0),
			pack TEXT NOT NULL,
			pack_g REAL NOT NULL CHECK (pack_g > 0),
			edible_share REAL NOT NULL CHECK (edible_share > 0 AND edible_share <= 1))`,
		`CREATE TABLE own_measures (
			name TEXT PRIMARY KEY,
			water_g REAL NOT NULL CHECK (water_g > 0))`,
		`CREATE TABLE drinkers (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			name TEXT NOT NULL UNIQUE COLLATE NOCASE,
			drinker TEXT NOT NULL)`,
		`ALTER TABLE settings ADD COLUMN currency TEXT NOT NULL DEFAULT 'GBP'`,
		`ALTER TABLE settings ADD COLUMN measures TEXT NOT NULL DEFAULT '["1 cup","1/2 cup","1/3 cup","1/4 cup","1 tbsp","1 tsp","1/2 tsp","1/4 tsp"]'`,
		`ALTER TABLE settings ADD COLUMN scale_g REAL NOT NULL DEFAULT 1`,
		heatForBoiled("drinks", "draft"),
		heatForBoiled("versions", "formula"),
	)},
	{ID: "0003-plan", Migrate: statements(
		`CREATE TABLE plan_items (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			drink_id INTEGER NOT NULL REFERENCES drinks(id) ON DELETE CASCADE,
			drink_name TEXT NOT NULL,
			formula TEXT NOT NULL,
			ready_by DATETIME NOT NULL,
			fridge BOOLEAN NOT NULL,
			sequence INTEGER NOT NULL,
			steps TEXT NOT NULL,
			created_at DATETIME NOT NULL)`,
		`CREATE TABLE stock (
			ingredient TEXT PRIMARY KEY,
			mass_g REAL NOT NULL CHECK (mass_g >= 0))`,
		`ALTER TABLE settings ADD COLUMN kitchen_c REAL NOT NULL DEFAULT 20`,
		`ALTER TABLE settings ADD COLUMN hands_quiet TEXT NOT NULL DEFAULT '22:30-06:30'`,
		`ALTER TABLE settings ADD COLUMN noise_quiet TEXT NOT NULL DEFAULT '21:00-07:30'`,
	)},
	{ID: "0004-timers", Migrate: statements(
		`CREATE TABLE timers (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			name TEXT NOT NULL,
			length_s INTEGER NOT NULL CHECK (length_s > 0),
			ends_at DATETIME,
			left_s INTEGER NOT NULL,
			created_at DATETIME NOT NULL)`,
	)},
	{ID: "0005-cook", Migrate: inTurn(keyOldAmounts, statements(
		`ALTER TABLE plan_items ADD COLUMN pins TEXT NOT NULL DEFAULT '[]'`,
		`ALTER TABLE plan_items ADD COLUMN proved BOOLEAN NOT NULL DEFAULT FALSE`,
		`ALTER TABLE plan_items ADD COLUMN as_planned TEXT`,
		`ALTER TABLE plan_items ADD COLUMN bowl_id INTEGER NOT NULL DEFAULT 0`,
		`ALTER TABLE plan_items ADD COLUMN drawn_g REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE plan_items ADD COLUMN batch_id INTEGER NOT NULL DEFAULT 0`,
		`CREATE TABLE weighings (
			item_id INTEGER NOT NULL REFERENCES plan_items(id) ON DELETE CASCADE,
			key TEXT NOT NULL,
			mass_g REAL NOT NULL CHECK (mass_g >= 0),
			by_scale BOOLEAN NOT NULL,
			taken BOOLEAN NOT NULL,
			at DATETIME NOT NULL,
			PRIMARY KEY (item_id, key))`,
		`CREATE TABLE bowls (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			ingredient TEXT NOT NULL,
			dry_g REAL NOT NULL CHECK (dry_g >= 0),
			fridge BOOLEAN NOT NULL,
			since DATETIME NOT NULL,
			topped DATETIME NOT NULL,
			changed DATETIME NOT NULL)`,
		`ALTER TABLE batches ADD COLUMN pulp_g REAL`,
		`ALTER TABLE batches ADD COLUMN used TEXT NOT NULL DEFAULT '[]'`,
		`ALTER TABLE batches ADD COLUMN times TEXT NOT NULL DEFAULT '[]'`,
	))},
	{ID: "0006-life", Migrate: statements(
		`ALTER TABLE bottles ADD COLUMN cautious_days REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE bottles ADD COLUMN customary_days REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE bottles ADD COLUMN frozen_cautious INTEGER NOT NULL DEFAULT 30`,
		`ALTER TABLE bottles ADD COLUMN frozen_customary INTEGER NOT NULL DEFAULT 60`,
		`ALTER TABLE bottles ADD COLUMN steady BOOLEAN NOT NULL DEFAULT FALSE`,
		`ALTER TABLE bottles ADD COLUMN first_place TEXT NOT NULL DEFAULT ''`,
		`UPDATE bottles SET first_place = place`,
		`CREATE TABLE moves (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			bottle_id INTEGER NOT NULL REFERENCES bottles(id),
			place TEXT NOT NULL,
			at DATETIME NOT NULL)`,
		`CREATE INDEX moves_by_bottle ON moves (bottle_id)`,
		`CREATE TABLE temperatures (
			at INTEGER PRIMARY KEY,
			temp_c REAL NOT NULL)`,
	)},
	{ID: "0007-pulp", Migrate: statements(
		`CREATE TABLE pulps (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			batch_id INTEGER NOT NULL REFERENCES batches(id),
			pulp TEXT NOT NULL,
			place TEXT NOT NULL,
			since DATETIME NOT NULL,
			state TEXT NOT NULL,
			ended_why TEXT NOT NULL)`,
	)},
	{ID: "0008-devices", Migrate: statements(
		`CREATE TABLE passphrases (
			id INTEGER PRIMARY KEY CHECK (id = 1),
			hash TEXT NOT NULL)`,
		`CREATE TABLE devices (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			name TEXT NOT NULL,
			calendar BOOLEAN NOT NULL,
			token_hash TEXT NOT NULL UNIQUE,
			signed_in DATETIME NOT NULL,
			seen DATETIME NOT NULL)`,
	)},
	{ID: "0009-packs-rhythm", Migrate: statements(
		`CREATE TABLE packs (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			ingredient TEXT NOT NULL,
			mass_g REAL NOT NULL CHECK (mass_g >= 0),
			opened_on TEXT NOT NULL,
			printed TEXT NOT NULL,
			state TEXT NOT NULL,
			ended_why TEXT NOT NULL)`,
		`CREATE TABLE rhythms (
			id INTEGER PRIMARY KEY CHECK (id = 1),
			drink_ids TEXT NOT NULL,
			per_day_ml REAL NOT NULL,
			days TEXT NOT NULL)`,
		`CREATE INDEX bottles_by_batch ON bottles (batch_id)`,
		`CREATE INDEX batches_by_drink ON batches (drink_id, made_on)`,
		`CREATE INDEX pours_by_time ON pours (poured_at)`,
	)},
	{ID: "0010-revisions-requests", Migrate: statements(
		`CREATE TABLE requests (
			key TEXT PRIMARY KEY,
			what TEXT NOT NULL,
			answer TEXT NOT NULL,
			at DATETIME NOT NULL)`,
		`ALTER TABLE settings ADD COLUMN revision INTEGER NOT NULL DEFAULT 1`,
		`ALTER TABLE settings ADD COLUMN time_zone TEXT NOT NULL DEFAULT ''`,
		`ALTER TABLE rhythms ADD COLUMN revision INTEGER NOT NULL DEFAULT 1`,
		`ALTER TABLE drinkers ADD COLUMN revision INTEGER NOT NULL DEFAULT 1`,
		`ALTER TABLE own_ingredients ADD COLUMN revision INTEGER NOT NULL DEFAULT 1`,
		`ALTER TABLE prices ADD COLUMN revision INTEGER NOT NULL DEFAULT 1`,
		`ALTER TABLE bottles ADD COLUMN begun_at DATETIME`,
		`ALTER TABLE plan_items ADD COLUMN trouble TEXT NOT NULL DEFAULT ''`,
		`ALTER TABLE plan_items ADD COLUMN later_min INTEGER NOT NULL DEFAULT 0`,
		`ALTER TABLE own_ingredients ADD COLUMN retired BOOLEAN NOT NULL DEFAULT FALSE`,
		`ALTER TABLE own_measures ADD COLUMN retired BOOLEAN NOT NULL DEFAULT FALSE`,
		`CREATE TABLE undo_acts (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			active BOOLEAN NOT NULL,
			at DATETIME NOT NULL)`,
		`CREATE TABLE undo_log (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			act INTEGER NOT NULL REFERENCES undo_acts(id) ON DELETE CASCADE,
			sql TEXT NOT NULL)`,
		`CREATE INDEX undo_active ON undo_acts (active) WHERE active`,
		`CREATE INDEX undo_log_by_act ON undo_log (act)`,
		`ALTER TABLE settings ADD COLUMN blender TEXT NOT NULL DEFAULT 'regular'`,
		`ALTER TABLE settings ADD COLUMN tap_c REAL NOT NULL DEFAULT 15`,
		`ALTER TABLE settings ADD COLUMN pan_cm REAL NOT NULL DEFAULT 0`,
		methodByBase("drinks", "draft"), methodByBase("versions", "formula"), methodByBase("plan_items", "formula"), methodByBase("plan_items", "as_planned"),
	)},
	{ID: "0011-codes", Migrate: inTurn(codesForSentences, statements(
		`UPDATE bottles SET ended_why = 'poured-into/' || substr(ended_why, length('poured into bottle ') + 1) WHERE ended_why LIKE 'poured into bottle %'`,
		`UPDATE packs SET ended_why = 'used-up' WHERE ended_why = 'used up' AND state = 'finished'`,
		`UPDATE plan_items SET trouble = replace(trouble, ' ', '-')`,
		`ALTER TABLE versions RENAME COLUMN formula TO recipe`,
		`ALTER TABLE plan_items RENAME COLUMN formula TO recipe`,
	))},
	{ID: "0012-taught-names", Migrate: statements(
		`CREATE TABLE taught_names (
			name TEXT PRIMARY KEY,
			ingredient TEXT NOT NULL)`,
	)},
	{ID: "0013-units-and-language", Migrate: statements(
		`ALTER TABLE settings ADD COLUMN language TEXT NOT NULL DEFAULT 'en'`,
		`ALTER TABLE settings ADD COLUMN locale TEXT NOT NULL DEFAULT ''`,
		`ALTER TABLE settings ADD COLUMN volumes TEXT NOT NULL DEFAULT 'metric'`,
		`ALTER TABLE settings ADD COLUMN temperature TEXT NOT NULL DEFAULT 'c'`,
		`ALTER TABLE settings ADD COLUMN week_start TEXT NOT NULL DEFAULT 'monday'`,
		`ALTER TABLE settings ADD COLUMN welcomed BOOLEAN NOT NULL DEFAULT FALSE`,
		`UPDATE settings SET welcomed = EXISTS (SELECT 1 FROM drinks)`,
	)},
	{ID: "0014-archive-and-shopping", Migrate: statements(
		`ALTER TABLE drinks ADD COLUMN archived BOOLEAN NOT NULL DEFAULT FALSE`,
		`CREATE TABLE shopping_items (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			text TEXT NOT NULL,
			done BOOLEAN NOT NULL DEFAULT FALSE)`,
	)},
	{ID: "0015-held-liquid", Migrate: statements(
		`ALTER TABLE batches ADD COLUMN held_key TEXT NOT NULL DEFAULT ''`,
		`ALTER TABLE batches ADD COLUMN held_share REAL NOT NULL DEFAULT 0`,
		`CREATE INDEX batches_held ON batches (held_key) WHERE held_key <> ''`,
	)},
	{ID: "0016-notes", Migrate: statements(
		`ALTER TABLE bottles ADD COLUMN ended_cause TEXT NOT NULL DEFAULT ''`,
		`ALTER TABLE batches ADD COLUMN notes TEXT NOT NULL DEFAULT ''`,
		`ALTER TABLE batches ADD COLUMN per_l REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE batches ADD COLUMN shop_per_l REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE batches ADD COLUMN sweetness REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE batches ADD COLUMN figured BOOLEAN NOT NULL DEFAULT FALSE`,
		`CREATE TABLE tastings (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			batch_id INTEGER NOT NULL REFERENCES batches(id),
			bottle_id INTEGER NOT NULL DEFAULT 0,
			who TEXT NOT NULL,
			sweet REAL NOT NULL, body REAL NOT NULL, spice REAL NOT NULL, salt REAL NOT NULL,
			stars REAL NOT NULL,
			flags TEXT NOT NULL,
			words TEXT NOT NULL,
			at DATETIME NOT NULL)`,
		`CREATE INDEX tastings_by_batch ON tastings (batch_id)`,
		`CREATE TABLE trials (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			batch_id INTEGER NOT NULL REFERENCES batches(id),
			version_id INTEGER NOT NULL DEFAULT 0,
			changed TEXT NOT NULL,
			jars TEXT NOT NULL,
			verdicts TEXT NOT NULL,
			opened_at DATETIME,
			created_at DATETIME NOT NULL)`,
		`CREATE INDEX trials_by_batch ON trials (batch_id)`,
		`CREATE INDEX IF NOT EXISTS batches_by_drink ON batches (drink_id, made_on)`,
	)},
	{ID: "0017-lessons", Migrate: statements(
		`CREATE TABLE lessons (
			batch_id INTEGER NOT NULL REFERENCES batches(id),
			what TEXT NOT NULL,
			key TEXT NOT NULL,
			share REAL NOT NULL CHECK (share > 0),
			forgotten BOOLEAN NOT NULL DEFAULT FALSE,
			PRIMARY KEY (batch_id, what, key))`,
		`CREATE INDEX lessons_by_figure ON lessons (what, key)`,
		`INSERT INTO lessons (batch_id, what, key, share) SELECT id, 'held', held_key, held_share FROM batches WHERE held_key <> '' AND held_share > 0`,
		`ALTER TABLE batches ADD COLUMN studied BOOLEAN NOT NULL DEFAULT FALSE`,
		`UPDATE batches SET studied = held_share <> 0 OR measured_ml IS NULL`,
		`ALTER TABLE batches ADD COLUMN dried_pulp_g REAL`,
		`DROP INDEX batches_held`,
		`ALTER TABLE batches DROP COLUMN held_key`,
		`ALTER TABLE batches DROP COLUMN held_share`,
	)},
	{ID: "0018-lots", Migrate: statements(
		`CREATE TABLE lots (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			ingredient TEXT NOT NULL,
			pack TEXT NOT NULL,
			bought_g REAL NOT NULL CHECK (bought_g > 0),
			left_g REAL NOT NULL CHECK (left_g >= 0),
			price REAL NOT NULL CHECK (price >= 0),
			bought_on TEXT NOT NULL,
			best_before TEXT NOT NULL DEFAULT '')`,
		`CREATE INDEX lots_by_ingredient ON lots (ingredient)`,
		`CREATE TABLE more_packs (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			ingredient TEXT NOT NULL,
			pack TEXT NOT NULL,
			pack_g REAL NOT NULL CHECK (pack_g > 0),
			price REAL NOT NULL CHECK (price > 0))`,
		`CREATE TABLE adjustments (
			ingredient TEXT PRIMARY KEY,
			row TEXT NOT NULL)`,
		`ALTER TABLE stock ADD COLUMN low_g REAL NOT NULL DEFAULT 0`,
	)},
	{ID: "0019-photos", Migrate: statements(
		`CREATE TABLE photos (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			batch_id INTEGER NOT NULL REFERENCES batches(id),
			file TEXT NOT NULL,
			width INTEGER NOT NULL,
			height INTEGER NOT NULL,
			created_at DATETIME NOT NULL)`,
		`CREATE INDEX photos_by_batch ON photos (batch_id)`,
	)},
	{ID: "0020-joined", Migrate: statements(
		`CREATE TABLE joined (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			bottle_id INTEGER NOT NULL REFERENCES bottles(id),
			other_id INTEGER NOT NULL REFERENCES bottles(id),
			ml REAL NOT NULL CHECK (ml >= 0),
			at DATETIME NOT NULL)`,
		`CREATE INDEX joined_by_bottle ON joined (bottle_id)`,
		`ALTER TABLE bottles ADD COLUMN filled_ml REAL NOT NULL DEFAULT 0`,
		`ALTER TABLE bottles ADD COLUMN frozen_once BOOLEAN NOT NULL DEFAULT FALSE`,
	)},
	{ID: "0021-imports", Migrate: statements(
		`CREATE TABLE temperature_imports (
			id INTEGER PRIMARY KEY AUTOINCREMENT,
			name TEXT NOT NULL,
			at DATETIME NOT NULL,
			readings INTEGER NOT NULL,
			whole BOOLEAN NOT NULL)`,
		`ALTER TABLE temperatures ADD COLUMN import_id INTEGER REFERENCES temperature_imports(id)`,
	)},
}

func inTurn(all ...gormigrate.MigrateFunc) gormigrate.MigrateFunc {
	return func(tx *gorm.DB) error {
		for _, migrate := range all {
			if err := migrate(tx); err != nil {
				return err
			}
		}
		return nil
	}
}

// keyOldAmounts gives the amounts of drinks that were planned before amounts
// had keys one each, so that they can be weighed, and their steps the minutes
// they take.
func keyOldAmounts(tx *gorm.DB) error {
	var rows []struct {
		ID    int64
		Steps string
	}
	if err := tx.Raw("SELECT id, steps FROM plan_items").Scan(&rows).Error; err != nil {
		return err
	}
	for _, row := range rows {
		var steps []map[string]any
		if err := json.Unmarshal([]byte(row.Steps), &steps); err != nil {
			return err
		}
		for n, step := range steps {
			step["leastMinutes"] = minutesBetween(step["start"], step["least"])
			step["mostMinutes"] = minutesBetween(step["start"], step["most"])
			amounts, _ := step["amounts"].([]any)
			for k := range amounts {
				if a, ok := amounts[k].(map[string]any); ok {
					key := fmt.Sprintf("before-%d-%d", n, k)
					a["key"], a["line"] = key, key
				}
			}
		}
		data, err := json.Marshal(steps)
		if err != nil {
			return err
		}
		if err := tx.Exec("UPDATE plan_items SET steps = ? WHERE id = ?", string(data), row.ID).Error; err != nil {
			return err
		}
	}
	return nil
}

// minutesBetween are those between two written moments; 0 where they are none.
func minutesBetween(from, to any) int {
	begin, err := time.Parse(time.RFC3339, fmt.Sprint(from))
	if err != nil {
		return 0
	}
	end, err := time.Parse(time.RFC3339, fmt.Sprint(to))
	if err != nil {
		return 0
	}
	return int(end.Sub(begin).Minutes())
}

// heatForBoiled rewrites a formula that was boiled or not as one with a heat.
func heatForBoiled(table, column string) string {
	return fmt.Sprintf(`UPDATE %[1]s SET %[2]s = json_remove(json_set(%[2]s, '$.heat',
		CASE WHEN json_extract(%[2]s, '$.boiled') THEN 'boil' ELSE '' END), '$.boiled')`, table, column)
}

// methodByBase takes seconds and water that were never set for what the bases and
// the tap give, and names the heats by what they are.
func methodByBase(table, column string) string {
	return fmt.Sprintf(`UPDATE %[1]s SET %[2]s = json_set(%[2]s,
		'$.blendS', CASE json_extract(%[2]s, '$.blendS') WHEN 30 THEN 0 ELSE COALESCE(json_extract(%[2]s, '$.blendS'), 0) END,
		'$.waterC', CASE json_extract(%[2]s, '$.waterC') WHEN 10 THEN 0 ELSE COALESCE(json_extract(%[2]s, '$.waterC'), 0) END,
		'$.heat', CASE json_extract(%[2]s, '$.heat') WHEN 'warm' THEN 'under-boil' WHEN 'boil' THEN 'simmer' ELSE '' END)
		WHERE json_valid(%[2]s) AND json_type(%[2]s) = 'object'`, table, column)
}

func statements(sql ...string) gormigrate.MigrateFunc {
	return func(tx *gorm.DB) error {
		for _, statement := range sql {
			if err := tx.Exec(statement).Error; err != nil {
				return err
			}
		}
		return nil
	}
}
