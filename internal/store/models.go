package store

import (
	"time"

	"plushladle/core/plan"
	"plushladle/core/record"
	"plushladle/core/say"
	"plushladle/internal/kitchen"
)

// Drink is a drink with its draft: the recipe being worked on.
type Drink struct {
	ID        int64 `gorm:"primaryKey"`
	Name      string
	Draft     kitchen.Recipe `gorm:"serializer:json"`
	Revision  int            // grows with every saved change of the draft
	Archived  bool           // out of the lists one chooses from
	CreatedAt time.Time
	ChangedAt time.Time
	Versions  []Version
}

// Version is a recipe the cook kept.
type Version struct {
	ID        int64 `gorm:"primaryKey"`
	DrinkID   int64
	Number    int
	Note      string
	Recipe    kitchen.Recipe `gorm:"serializer:json"`
	CreatedAt time.Time
}

// Batch is a drink that was made.
type Batch struct {
	ID         int64 `gorm:"primaryKey"`
	DrinkID    int64
	VersionID  int64
	Version    Version
	DrinkName  string
	MadeOn     string // a date, 2006-01-02
	ForecastML float64
	MeasuredML *float64
	PulpG      *float64            // wet, where it was weighed
	DriedPulpG *float64            // the same, dried
	Studied    bool                // what it teaches is worked back
	Used       []kitchen.UsedLine  `gorm:"serializer:json"` // empty where it was not cooked step by step
	Times      []kitchen.StepTaken `gorm:"serializer:json"`
	Notes      string              // the cook's own
	PerL       float64             // what a litre cost when it was made; 0 where it is not known
	ShopPerL   float64             // what the like cost in a shop then; 0 where it is not known
	Sweetness  float64             // g of sucrose's sweetness in 100 mL
	Figured    bool                // the three are worked out
	CreatedAt  time.Time
	Bottles    []Bottle
	Tastings   []Tasting
}

// Lesson is what a batch teaches of one figure. Of a life the key is empty: it is the drink's.
type Lesson struct {
	BatchID   int64  `gorm:"primaryKey"`
	What      string `gorm:"primaryKey"`
	Key       string `gorm:"primaryKey"`
	Share     float64
	Forgotten bool // it counts no more
}

// Tasting is what one taster said of a batch; the sliders are in notches from just right.
type Tasting struct {
	ID       int64 `gorm:"primaryKey"`
	BatchID  int64
	BottleID int64 // it was poured from; 0 where that is not known
	Who      string
	Sweet    float64
	Body     float64
	Spice    float64
	Salt     float64
	Stars    float64       // 0 where none were given
	Flags    []record.Flag `gorm:"serializer:json"`
	Words    string
	At       time.Time
}

// Photo is a picture of a batch. It stands in the folder beside the kitchen's file.
type Photo struct {
	ID        int64 `gorm:"primaryKey"`
	BatchID   int64
	File      string // its name there: what is in it, hashed
	Width     int    // pixels
	Height    int
	CreatedAt time.Time
}

// Trial is one change, tasted blind: jars by letter, and what was said of each.
type Trial struct {
	ID        int64 `gorm:"primaryKey"`
	BatchID   int64
	VersionID int64 // that keeps the change; 0 where it is told in words only
	Changed   string
	Jars      []record.Jar     `gorm:"serializer:json"` // by letter, which hold the change
	Verdicts  []record.Verdict `gorm:"serializer:json"`
	OpenedAt  *time.Time       // once the answer was looked at
	CreatedAt time.Time
}

// Places a bottle stands in.
const (
	Fridge  = "fridge"
	Door    = "door"
	Freezer = "freezer"
	Outside = "outside"
)

// States of a bottle.
const (
	InUse    = "in use"
	Finished = "finished"
	Thrown   = "thrown out"
)

// Why bottles are thrown away.
const (
	PastDate = "past-date"
	Soured   = "soured"
	Split    = "split"
	NotDrunk = "not-drunk"
)

// Causes are all of them.
var Causes = []string{PastDate, Soured, Split, NotDrunk}

// Bottle is one bottle of a batch.
type Bottle struct {
	ID         int64 `gorm:"primaryKey"`
	BatchID    int64
	Batch      Batch
	VolumeML   float64
	LeftML     float64
	ServingML  float64
	Place      string
	UseBy      string // the last good day, by the kitchen's school
	OtherUseBy string // the same by the other school
	School     string
	Reasons    []say.Text `gorm:"serializer:json"`
	Allergens  []string   `gorm:"serializer:json"`
	State      string
	EndedWhy   string
	EndedCause string // a code of Causes; empty where none was told
	EndedAt    *time.Time
	CreatedAt  time.Time

	BegunAt         *time.Time // its life began; nil where it is told by the day it was made
	CautiousDays    float64    // its life at 4 °C; 0 where it was bottled before that was kept
	CustomaryDays   float64
	FrozenCautious  int // days its quality holds in the freezer
	FrozenCustomary int
	Steady          bool   // a concentrate
	FirstPlace      string // where it stood at first
	Moves           []Move
	FilledML        float64 // what was filled, where it is not VolumeML: something was poured into it since
	FrozenOnce      bool    // something in it was frozen in another bottle
	Joined          []Joined
}

// Filled is what was filled when it was bottled; VolumeML is as much as goes into it.
func (b *Bottle) Filled() float64 {
	if b.FilledML > 0 {
		return b.FilledML
	}
	return b.VolumeML
}

// Joined is what was poured into a bottle out of another.
type Joined struct {
	ID       int64 `gorm:"primaryKey"`
	BottleID int64
	OtherID  int64
	ML       float64
	At       time.Time
}

// TableName is where they are kept.
func (Joined) TableName() string { return "joined" }

// Pulp is what was left in the strainer of a batch.
type Pulp struct {
	ID       int64 `gorm:"primaryKey"`
	BatchID  int64
	Batch    Batch
	Pulp     kitchen.Pulp `gorm:"serializer:json"`
	Place    string
	Since    time.Time // it stands there
	State    string
	EndedWhy string
}

// Move is a bottle being put elsewhere.
type Move struct {
	ID       int64 `gorm:"primaryKey"`
	BottleID int64
	Place    string
	At       time.Time
}

// Temperature is a reading of the fridge's thermometer.
type Temperature struct {
	At       int64 `gorm:"primaryKey"` // seconds since 1970
	TempC    float64
	ImportID *int64 // the file it came in with; nil where the thermometer itself was read
}

// TemperatureImport is a file of readings that was taken in.
type TemperatureImport struct {
	ID       int64 `gorm:"primaryKey"`
	Name     string
	At       time.Time
	Readings int  // that were not there already
	Whole    bool // false where it was cut off, as by a power cut
}

// Pour is a serving taken from a bottle.
type Pour struct {
	ID       int64 `gorm:"primaryKey"`
	BottleID int64
	ML       float64
	PouredAt time.Time
}

// Settings are the kitchen's own ways.
type Settings struct {
	ID      int64 `gorm:"primaryKey"`
	System  string
	School  string
	FridgeC float64
	JugML   float64
	Theme   string

	Currency string
	Measures []string `gorm:"serializer:json"` // in the drawer, as written on them
	ScaleG   float64  // what the scale reads to; 0 for none

	KitchenC   float64 // temperature of the room, for soaks
	HandsQuiet string  // "22:30-06:30", when nothing needs hands
	NoiseQuiet string  // and no blender runs
	TimeZone   string  // an IANA name; "" for the machine's own
	Blender    string  // regular or high-speed
	TapC       float64 // temperature of the tap's water
	PanCM      float64 // the pan's diameter; 0 for one that suits

	Language    string // of what the page and the kitchen say: en or es
	Locale      string // of dates, clock and numbers, such as en-US; "" for the language's own
	Volumes     string // shown in: metric, us or imperial
	Temperature string // shown in: c or f
	WeekStart   string // monday, sunday or saturday
	Welcomed    bool   // the first questions were answered or skipped
	Revision    int    // grows with every change
}

// ShoppingItem is something to buy that no drink on the plan asks for.
type ShoppingItem struct {
	ID   int64 `gorm:"primaryKey"`
	Text string
	Done bool // it is in the basket
}

// PlanItem is a drink on the plan, with the times of its steps.
type PlanItem struct {
	ID        int64 `gorm:"primaryKey"`
	DrinkID   int64
	DrinkName string
	Recipe    kitchen.Recipe `gorm:"serializer:json"` // as it was when it was planned
	ReadyBy   time.Time
	Fridge    bool            // it soaks in the fridge
	Sequence  int             // grows with every change of its times
	Steps     []plan.ItemStep `gorm:"serializer:json"`
	Proved    bool            // no plan of all drinks lay nearer to the ideal lengths
	Pins      []plan.Pin      `gorm:"serializer:json"` // blocks at a time of the cook's own
	AsPlanned *kitchen.Recipe `gorm:"serializer:json"` // where it was rescaled since; nil otherwise
	BowlID    int64           // the bowl its base is drawn from; 0 for none
	DrawnG    float64         // what was drawn from it, as it was dry
	BatchID   int64           // once it is bottled; 0 before
	Trouble   string          // the code of what keeps it from being planned; "" for nothing
	LaterMin  int             // so many minutes later it would fit; 0 where that is not known
	CreatedAt time.Time
}

// Weighing is what really went in of one amount of a planned drink.
type Weighing struct {
	ItemID  int64  `gorm:"primaryKey"`
	Key     string `gorm:"primaryKey"` // of the amount
	MassG   float64
	ByScale bool // or typed
	Taken   bool // as it is, though over or under
	At      time.Time
}

// Bowl is a lot that soaks, topped up and drawn from.
type Bowl struct {
	ID         int64 `gorm:"primaryKey"`
	Ingredient string
	DryG       float64 // what is left, as it was dry
	Fridge     bool
	Since      time.Time // the oldest of it
	Topped     time.Time // the newest of it
	Changed    time.Time // its water
}

// Timer is a time to be told of. It is a moment and not a counter, so that it
// runs on while the program does not.
type Timer struct {
	ID        int64 `gorm:"primaryKey"`
	Name      string
	LengthS   int
	EndsAt    *time.Time // nil while it is held
	LeftS     int        // while it is held
	CreatedAt time.Time
}

// Stock is what there is of an ingredient.
type Stock struct {
	Ingredient string `gorm:"primaryKey"`
	MassG      float64
	LowG       float64 // from here down it runs low; 0 where nobody cares
}

// TableName is in the singular: it is a stock, and not several.
func (Stock) TableName() string { return "stock" }

// Lot is what was bought of an ingredient at one time. It is part of the stock.
type Lot struct {
	ID         int64 `gorm:"primaryKey"`
	Ingredient string
	Pack       string // as the cook wrote it: "2 × 500 g"
	BoughtG    float64
	LeftG      float64
	Price      float64 // paid for all of it; 0 where nobody wrote it down
	BoughtOn   string  // a date
	BestBefore string  // a date; empty for none
}

// MorePack is a pack of another size than the usual one.
type MorePack struct {
	ID         int64 `gorm:"primaryKey"`
	Ingredient string
	Pack       string
	PackG      float64
	Price      float64
}

// Adjustment is what the kitchen knows better of a row that ships.
type Adjustment struct {
	Ingredient string             `gorm:"primaryKey"`
	Row        kitchen.Adjustment `gorm:"serializer:json"`
}

// OwnIngredient is a row the cook added to the catalogue.
type OwnIngredient struct {
	ID   int64 `gorm:"primaryKey"`
	Name string
	Row  kitchen.OwnRow `gorm:"serializer:json"`

	Revision int  // grows with every change
	Retired  bool // no longer offered, and kept for the drinks that are made with it
}

// Price is what a pack of an ingredient costs.
type Price struct {
	Ingredient  string `gorm:"primaryKey"` // its id
	Price       float64
	Pack        string // as the cook wrote it: "500 g"
	PackG       float64
	EdibleShare float64 // 1 where it is bought without shell, peel and stone
	Revision    int     // grows with every change
}

// OwnMeasure is a mug, a jar, a cap, calibrated by the water it holds.
type OwnMeasure struct {
	Name    string `gorm:"primaryKey"`
	WaterG  float64
	Retired bool // no longer offered, and kept for the drinks that are measured with it
}

// TaughtName is a name that the cook taught the kitchen: lines with it are read as the
// ingredient.
type TaughtName struct {
	Name       string `gorm:"primaryKey"`
	Ingredient string // the name of its row
}

// Drinker is someone who drinks here.
type Drinker struct {
	ID      int64 `gorm:"primaryKey"`
	Name    string
	Drinker kitchen.Drinker `gorm:"serializer:json"`

	Revision int // grows with every change
}

// Passphrase lets devices in from beyond this machine.
type Passphrase struct {
	ID   int64 `gorm:"primaryKey"` // there is one
	Hash string
}

// Device was let in with the passphrase.
type Device struct {
	ID        int64 `gorm:"primaryKey"`
	Name      string
	Calendar  bool   // it may read the plan's calendar, and nothing else
	TokenHash string // of what it shows each time
	SignedIn  time.Time
	Seen      time.Time // to the hour
}

// Pack is what is left in an open pack. It is part of the stock.
type Pack struct {
	ID         int64 `gorm:"primaryKey"`
	Ingredient string
	MassG      float64
	OpenedOn   string // a date
	Printed    string // the date on the pack; empty for none
	State      string
	EndedWhy   string
}

// Rhythm is how the cook wants to make drinks, week by week.
type Rhythm struct {
	ID       int64   `gorm:"primaryKey"` // there is one
	DrinkIDs []int64 `gorm:"serializer:json"`
	PerDayML float64 // 0 for what is learned
	Days     []bool  `gorm:"serializer:json"` // willing, Sunday first
	Revision int     // grows with every change; 0 where nothing was said yet
}
