package bench

import (
	"time"

	"plushladle/core/record"
	"plushladle/internal/kitchen"
)

// maxSuggestions is as many as a type-ahead shows.
const maxSuggestions = 8

func (s Service) FindIngredients(typed string) ([]Suggestion, error) {
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	amount, name, err := ways.Reader.ParseLeading(typed)
	if err != nil {
		return []Suggestion{}, nil // the amount is refused when the line is read
	}
	return suggest(amount, ways.Catalogue.Suggest(name, maxSuggestions)), nil
}

// ToReckon is a drink as it stands on the Bench.
type ToReckon struct {
	Name   string         `json:"name" maxLength:"120"`
	Recipe kitchen.Recipe `json:"recipe"`
	MadeOn string         `json:"madeOn" maxLength:"10" doc:"the date its life counts from; empty for today"`
}

func (s Service) Reckon(in ToReckon) (Reckoning, error) {
	madeOn, err := s.MadeOn(in.MadeOn)
	if err != nil {
		return Reckoning{}, err
	}
	return s.ReckonRecipe(in.Name, in.Recipe, madeOn)
}

func (s Service) ReckonRecipe(name string, f kitchen.Recipe, madeOn time.Time) (Reckoning, error) {
	d, lineErrors, err := s.Read(name, f)
	if err != nil {
		return Reckoning{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return Reckoning{}, err
	}
	keys := make([]string, len(f.Lines))
	for n, l := range f.Lines {
		keys[n] = l.Key
	}
	out := present(&d, keys, lineErrors, r, madeOn)
	ways, err := s.Setup()
	if err != nil {
		return Reckoning{}, err
	}
	out.ask(f, r, ways)
	out.FromBatches = ways.Learned[record.FigureKey(record.Held, record.Key(&d))].Batches
	return out, nil
}

func (s Service) WriteAtSize(in ToReckon) (kitchen.Recipe, error) {
	d, _, err := s.Read(in.Name, in.Recipe)
	if err != nil {
		return kitchen.Recipe{}, err
	}
	r, err := d.Reckon()
	if err != nil {
		return kitchen.Recipe{}, err
	}
	return in.Recipe.AtSize(r), nil
}
