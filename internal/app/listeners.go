package app

// Listeners are told at once of what does not wait for the next look.
type Listeners interface {
	Weighed(change any) // what one weighing changed
	Shows(scale any)    // what the scale shows
}

// Silent tells nobody.
type Silent struct{}

func (Silent) Weighed(any) {}
func (Silent) Shows(any)   {}
