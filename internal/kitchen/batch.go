package kitchen

import (
	"time"

	"plushladle/core/say"
)

// UsedLine is what went into a batch of one ingredient.
type UsedLine struct {
	Name     string     `json:"name"`
	PlannedG float64    `json:"plannedG" doc:"0 where no amount was given"`
	UsedG    float64    `json:"usedG"`
	How      string     `json:"how" enum:"scale,typed,as planned,left out,worked back,not known"`
	LeastG   float64    `json:"leastG" doc:"where it was worked back"`
	LargestG float64    `json:"largestG"`
	At       *time.Time `json:"at,omitempty" doc:"when it was weighed"`
}

// StepTaken is a step of a batch and when it was done.
type StepTaken struct {
	Kind    string    `json:"kind,omitempty" doc:"empty in batches of older versions"`
	Title   say.Text  `json:"title"`
	Minutes int       `json:"minutes,omitempty" doc:"it was planned to take"`
	Planned time.Time `json:"planned" doc:"when it was to begin"`
	DoneAt  time.Time `json:"doneAt"`
	Skipped bool      `json:"skipped"`
}

// Pulp is what was left in the strainer.
type Pulp struct {
	WetG     float64  `json:"wetG"`
	DriedG   float64  `json:"driedG" doc:"at 8 % water"`
	ProteinG float64  `json:"proteinG"`
	FatG     float64  `json:"fatG"`
	FibreG   float64  `json:"fibreG"`
	SugarG   float64  `json:"sugarG"`
	GoodFor  []string `json:"goodFor"` // as codes
}
