// Package app is what a cook does here, without HTTP and without SQL: each area of the
// kitchen is a package beside this one, and this one is what they share.
//
// A use case takes core values and gives them back with what stands beside them; what it
// needs of the store it names itself. The words in what comes back are package wording's.
// Package http decodes a request, calls one use case and encodes what it answers; nothing
// of the craft is decided there.
package app

import (
	"log/slog"
	"time"

	"plushladle/core/reckon"
	"plushladle/internal/app/weighing"
	"plushladle/internal/device"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// UsualRoomC is the kitchen's temperature until it says its own.
const UsualRoomC = 20

// Kitchen is the open kitchen that every use case works in.
type Kitchen struct {
	Store   *store.Store
	Now     func() time.Time // its clock, in its own time zone
	Log     *slog.Logger
	Station *weighing.Station
	Probe   *Probe // of the fridge's thermometer
	Sent    *SentFiles
	Tell    Listeners // those who follow
	caches  *caches
	record  *recordKept
	stale   *Stale // inside an act; nil otherwise
}

// New is a kitchen on a store, by a clock. Nobody follows it yet, and nothing is weighed.
func New(s *store.Store, now func() time.Time, log *slog.Logger) *Kitchen {
	k := &Kitchen{Store: s, Log: log, Tell: Silent{}, caches: &caches{}, record: &recordKept{}, Sent: &SentFiles{}}
	k.Now = k.inZone(now)
	_, _ = k.Setup() // so that the first words already are in the kitchen's language; what is wrong is said to whoever asks
	k.Probe = &Probe{Meter: device.NewStandInFridge(reckon.DefaultFridgeC, UsualRoomC, uint64(now().UnixNano()))}
	return k
}

// inZone is the kitchen's clock in its own time zone, wherever the machine stands; the
// machine's while it has none.
func (k *Kitchen) inZone(now func() time.Time) func() time.Time {
	return func() time.Time {
		settings, err := k.Store.Settings()
		if err != nil {
			return now()
		}
		zone, err := kitchen.ParseZone(settings.TimeZone)
		if err != nil || zone == nil {
			return now()
		}
		return now().In(zone)
	}
}
