package ingredient

import "strings"

// Treatment is what is done to an ingredient: before it is measured, or, where
// it is rubbed or sprouted, here after its soak. What is toasted is toasted here,
// before it is measured, and is roasted all the same.
type Treatment struct{ Roasted, Toasted, Salted, Skinned, Rubbed, Sprouted bool } // what a line says was done before it was bought or measured

// TreatmentIn finds the treatments that words name: "roasted, salted".
func TreatmentIn(words string) Treatment {
	named := func(any ...string) bool {
		for _, w := range any {
			if strings.Contains(words, w) {
				return true
			}
		}
		return false
	}
	rubbed := named("skins rubbed", "rub off the skins", "rub the skins", "rubbed skins")
	return Treatment{
		Roasted: named("roasted", "toasted") && !named("unroasted"),
		Toasted: named("toasted"),
		Salted:  named("salted") && !named("unsalted", "not salted"),
		Rubbed:  rubbed, Sprouted: named("sprout") && !named("unsprouted", "not sprouted"),
		Skinned: rubbed || named("skinned", "blanched", "skins off", "skins removed", "without skins", "peeled", "dehulled", "hulls off"),
	}
}

const (
	roastedWaterShare = 0.02  // of a roasted nut is water, from memory
	saltOnSalted      = 0.012 // g of salt on a gram of salted nuts, from memory
	saltSodiumMg      = 387.6 // mg of sodium in a gram of salt
)

// Treated is the content of a gram of the ingredient as it is measured, after
// its treatment. What is thrown away (skins, a stone) is left out, so that it
// may weigh less than a gram. It is not to be changed.
func (i *Ingredient) Treated(t Treatment) *Content {
	if t == (Treatment{}) && i.StoneShare == 0 {
		return &i.PerGram
	}
	c := i.PerGram
	if t.Roasted && (i.Role == Base || i.Role == Flavour) {
		dried := c
		dryG := c.MassG() - c[Water]
		dried[Water] = min(c[Water], dryG*roastedWaterShare/(1-roastedWaterShare))
		c = dried.Times(c.MassG() / dried.MassG())
	}
	if t.Skinned {
		c[Fibre] -= min(c[Fibre], i.SkinShare*(1-i.PerGram[Water]))
	}
	if t.Salted && i.Role == Base {
		c[Ash] += saltOnSalted
		c[SodiumMg] += saltOnSalted * saltSodiumMg
	}
	c = c.Times(1 - i.StoneShare)
	return &c
}
