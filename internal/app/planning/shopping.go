package planning

import (
	"plushladle/core/fault"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// OwnItem is something the cook wrote on the shopping list.
type OwnItem struct {
	ID   int64  `json:"id"`
	Text string `json:"text"`
	Done bool   `json:"done" doc:"it is in the basket"`
}

// NewOwnItem is something to be written on the list.
type NewOwnItem struct {
	Text string `json:"text" minLength:"1" maxLength:"120"`
}

// Ticked says whether something is in the basket.
type Ticked struct {
	Done bool `json:"done"`
}

// OwnItems are those the cook wrote.
func (s Service) OwnItems() ([]OwnItem, error) {
	items, err := s.store.ShoppingItems()
	out := make([]OwnItem, len(items))
	for n, i := range items {
		out[n] = OwnItem(i)
	}
	return out, err
}

// AddOwnItem writes one more.
func (s Service) AddOwnItem(in NewOwnItem) ([]OwnItem, error) {
	text := kitchen.OneLine(in.Text)
	if text == "" {
		return nil, fault.New("text", "", "use-needed")
	}
	if err := s.store.KeepShoppingItem(store.ShoppingItem{Text: text}); err != nil {
		return nil, err
	}
	return s.OwnItems()
}

// TickOwnItem puts one into the basket, or out again.
func (s Service) TickOwnItem(id int64, in Ticked) ([]OwnItem, error) {
	if err := s.store.KeepShoppingItem(store.ShoppingItem{ID: id, Done: in.Done}); err != nil {
		return nil, err
	}
	return s.OwnItems()
}

// RemoveOwnItem takes one off the list.
func (s Service) RemoveOwnItem(id int64) ([]OwnItem, error) {
	if err := s.store.RemoveShoppingItem(id); err != nil {
		return nil, err
	}
	return s.OwnItems()
}
