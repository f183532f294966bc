// Package plan turns a drink into the steps of making it, and finds when each is to be
// done: backwards from when the drink is wanted, around quiet hours, with one blender and
// one pair of hands for all drinks together.
//
// # Steps
//
// [Steps] tells a drink's process: what package process reckons with is what is done, in
// the same order, on the card as in the kitchen. A step either needs hands or is a wait,
// with a least, a best and a most length. Each says what goes in, as it is measured in this
// load, and what right looks like. The cook's changes come last.
//
// # Placing them
//
// [Make] lays time out in slots of five minutes. Steps that need hands and follow each
// other are one block; between blocks lie waits that may be shorter or longer within their
// windows, at a cost that grows with how far from the best they are. One drink alone is
// placed by dynamic programming over its blocks. Drinks that meet are taken apart by
// conflict-based search: where two blocks are at work in one slot, either the one is not at
// work there, or it is and no other is; both are followed, the better first, and between
// them they leave nothing out. What comes out without a clash is the best there is, and
// only that is called proved.
//
// # What becomes of it
//
// An [ItemStep] is a step of a drink on the plan: marked, weighed, left out. Which is in
// front, what marking one brings along, what follows too much of one thing, when the life
// of the drink began: all of it follows from the steps alone.
//
// A rhythm is a plan without a date: which days to make what, how much and how much of it
// to freeze, so that nothing passes its date.
package plan

import (
	"time"

	"plushladle/core/say"
)

// Kind is what a step does.
type Kind string

// The kinds of step.
const (
	GetReady    Kind = "get ready"     // measure and lay out
	Soak        Kind = "soak"          // a wait
	ChangeWater Kind = "change water"  // during a long soak
	Drain       Kind = "drain"         // the soak's water goes away
	Brew        Kind = "brew"          // pour hot over and wait
	Grind       Kind = "grind"         // the blender
	Strain      Kind = "strain"        // through what the method names
	RinsePulp   Kind = "rinse pulp"    // with liquid that was held back
	SecondGrind Kind = "second grind"  // the pulp once more with fresh water
	RubSkins    Kind = "rub skins"     // skins of soaked almonds or beans
	Sprout      Kind = "sprout"        // a wait of days
	RinseSprout Kind = "rinse sprouts" // twice a day
	Bloom       Kind = "bloom"         // saffron and the like in something warm
	Infuse      Kind = "infuse"        // warm with whole spices
	Ice         Kind = "ice"           // into the jug
	StirIn      Kind = "stir in"       // what dissolves
	Heat        Kind = "heat"          // on the stove
	LateSpice   Kind = "late spice"    // spice that boiling would dull
	Cool        Kind = "cool"          // against the clock
	Taste       Kind = "taste"         // before the last sweetening
	Split       Kind = "split"         // one base into several drinks
	Bottle      Kind = "bottle"        // with a clean funnel
	Wash        Kind = "wash up"       // hands-on, and last at the sink
	WashBetween Kind = "wash between"  // of what another drink's allergen was in
	Chill       Kind = "chill"         // in the fridge until it is wanted
	Rinse       Kind = "rinse"         // grain that is not soaked
	Pit         Kind = "pit"           // stones out of fruit
	Crush       Kind = "crush"         // by hand
	Juice       Kind = "juice"         // the machine that presses
	WhiskOff    Kind = "whisk off"     // the pulp off its seed, in hot liquid
	Skim        Kind = "skim"          // the foam of boiled soy
	DrawOn      Kind = "draw"          // what blooms, until its time is up
	PourIn      Kind = "pour in"       // what was brewed
	Serve       Kind = "serve"         // at the table
	Toast       Kind = "toast"         // in a dry pan
	Prepare     Kind = "prepare"       // wash, peel, cut
	BlendIn     Kind = "blend in"      // under the milk, for a moment
	Own         Kind = "own"           // a step of the cook's
)

// codes are the kinds by the names that the cook's changes and the command line
// know them by, where those are others.
var codes = map[Kind]string{
	GetReady: "prepare", ChangeWater: "change-water", RinsePulp: "rinse-pulp", SecondGrind: "grind-again", RubSkins: "skin", RinseSprout: "rinse",
	StirIn: "stir-in", LateSpice: "stir-in", PourIn: "stir-in", Split: "divide", BlendIn: "blend-in", Wash: "wash-up", WashBetween: "wash-between", WhiskOff: "whisk-off", DrawOn: "bloom",
}

// Code is the kind's name in changes and on the command line.
func (k Kind) Code() string {
	if code, other := codes[k]; other {
		return code
	}
	return string(k)
}

// Window is how long a step may take: at least, best, at most.
type Window struct{ Min, Ideal, Max time.Duration } // how long it may take

// Unlimited is the most of a wait that has none: longer than any plan.
const Unlimited = 10000 * time.Hour

// fixed is for what takes as long as it takes, in minutes.
func fixed(minutes float64) Window {
	d := minutesOf(minutes)
	return Window{d, d, d}
}

func minutesOf(m float64) time.Duration { return time.Duration(m * float64(time.Minute)) }

// hours is for waits, in hours.
func hours(min, ideal, max float64) Window {
	return Window{minutesOf(60 * min), minutesOf(60 * ideal), minutesOf(60 * max)}
}

// Amount is what goes in at a step.
type Amount struct {
	Key    string   // of its line, and of its load where there are several; the same however often it is planned
	Line   string   // the line's own key
	At     int      // the line's place
	Name   string   // of the ingredient
	Into   string   // the drink it goes into, of those the base is divided into
	Kept   bool     // soaked in liquid that is in its mass
	MassG  float64  // g, as it goes in
	Band   Band     // how near is near enough; what was left open has none
	Text   say.Text // as it is measured
	Fine   bool     // finer than the scale reads: spoons tell better
	Extra  bool     // only where the taste asks for it
	Open   bool     // no amount was given: what goes in is taken down
	Soaked bool     // was counted when it went to soak, and weighs what it took up besides
	WetG   float64  // of MassG, what it took up
}

// Step is one thing to do, or to wait for.
type Step struct {
	Kind    Kind          // what it is, for the order and the drawing
	Title   say.Text      // what to do, begins the card's line
	Right   say.Text      // what right looks like
	Caution say.Text      // said at the step, where the harm would happen
	Amounts []Amount      // what goes in, in the order it is weighed
	Length  Window        // how long it may take
	HandsOn bool          // needs hands all the while
	Blender bool          // and makes noise
	Fridge  bool          // it waits in the cold
	TempC   float64       // it is done or stands at; 0 where it does not matter
	Load    int           // which filling of the jug it is, from 1; 0 where it is not filled
	Loads   int           // fillings of the jug or of the strainer; 0 where neither is filled
	Timer   time.Duration // what a timer is set to meanwhile; 0 where none helps
	Never   say.Text      // why it must not be left out; zero where it may be
}

// Room is what the steps hang on.
type Room struct {
	TempC  float64 // of the room, for soaks
	ScaleG float64 // what the scale reads to; 0 for none

	// Minutes are how long steps of a kind take here, as a share of the usual; absent for 1.
	Minutes map[string]float64
}

// TimedByHand are the kinds of steps whose minutes are the cook's own: the others stand, soak
// or cool as long as they do anywhere.
var TimedByHand = []Kind{GetReady, Drain, Grind, Strain, RinsePulp, SecondGrind, RubSkins, Pit, Prepare, WhiskOff, Bottle, Wash}

// Where there is no other source a time is common practice.
const (
	loadMin      = 3.   // to fill and empty the jug, besides blending
	emptyMin     = 1.   // to empty a full strainer
	rubMin       = 10.  //
	toastMin     = 12.  // at toastC, of 8 to 15
	prepareMin   = 2.   // a 100 g
	blendInMin   = 1.   // until no drops stand on top
	bloomMin     = 3.   // to set it going
	pitMin       = 5.   //
	crushMin     = 1.   //
	minJuiceMin  = 5.   //
	whiskMin     = 15.  // until the seeds are bare
	skimMin      = 2.   //
	pourMin      = 2.   //
	bloomWaitMin = 30.  // until it has drawn
	iceMin       = 2.   //
	tasteMin     = 3.   //
	splitMin     = 5.   //
	drainMin     = 5.   //
	readyMin     = 10.  // to set everything out, weigh, and put it to soak
	changeMin    = 5.   //
	brewMin      = 10.  //
	rinseMin     = 3.   //
	stirMin      = 4.   // and to taste
	bottleMin    = 6.   // with the foam settled
	washMin      = 10.  //
	chillMin     = 120. // until it is cold
	chillBestMin = 240. // and has drawn together
	heatMinPerL  = 8.   // to bring a litre to the boil
	changeEveryH = 24.  // soaks longer than this have their water changed
	warmsFromC   = 20.  // soak windows hold at this temperature
	halvesEveryC = 8.   // above it (from memory)
	fridgeTimes  = 3.   // as long in the fridge
	fridgeMostH  = 72.  // and never longer
)

// Temperatures that steps are done at, °C; cooled is the Food Code's (3-501.14),
// the others from memory.
const (
	brewC   = 95.  // just off the boil
	whiskC  = 80.  // hot liquid, which takes the pulp off its seed
	bloomC  = 40.  // warm, for saffron and cocoa
	cooledC = 5.   // what counts as cold
	toastC  = 160. // in the pan
)

// keepsSpare is how long before the end of its life a drink is wanted at the
// latest: its life is counted from the grinding, not from the fridge.
const keepsSpare = time.Hour

// Soaking is where a soak stands: on the bench, in the fridge where it keeps
// three times as long, or in a bowl that is there already.
type Soaking uint8

// The places of a soak.
const (
	OnTheBench  Soaking = iota // at room temperature
	InTheFridge                // slower, and safe over night
	FromABowl                  // from one that soaks for several drinks
)
