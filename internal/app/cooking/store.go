package cooking

import "plushladle/internal/store"

// Store is the little this area needs of what is kept.
type Store interface {
	HoldTimer(id int64) error
	MakeBatch(made store.NewBatch) (*store.Batch, error)
	Settings() (store.Settings, error)
	StartTimer(name string, lengthS int) error
	StopTimer(id int64) error
	Timers() ([]store.Timer, error)
	Unweigh(itemID int64, key string) error
	Weigh(w store.Weighing) error
}
