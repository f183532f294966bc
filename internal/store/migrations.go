package store

import (
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
