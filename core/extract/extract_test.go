package extract

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

// Source: NIST Circular 440, Table 114, as GNU Units 2.22 has it: apparent
// specific gravity 20/20 of sucrose solutions, times water's .99717 in air
// (12 and 66 °Bx); 1.04 g/mL is 10.70 °Bx, 1.229 is 50.08.
func TestDensityOfSucroseSolutions(t *testing.T) {
	t.Parallel()
	for brix, want := range map[float64]float64{10.70: 1.040, 12: 1.0454 * .99717, 50.08: 1.229, 66: 1.3214 * .99717} {
		solution := ingredient.Content{ingredient.Sucrose: brix, ingredient.Water: 100 - brix}
		assert.InEpsilon(t, want, DensityGPerML(solution, 20), .01, "%v °Bx", brix)
	}
}

// Source: whole cow's milk 1.03 g/mL, common practice; water by IAPWS.
func TestDensityOfMilkAndWater(t *testing.T) {
	t.Parallel()
	milk, _ := ingredient.Standard().ByID("dairy-milk")
	assert.InEpsilon(t, 1.03, DensityGPerML(milk.PerGram, 4), .01)
	water := ingredient.Content{ingredient.Water: 1}
	for tempC, want := range map[float64]float64{20: .99821, 60: .98321, 90: .96532} {
		assert.InEpsilon(t, want, DensityGPerML(water, tempC), .005, "%v °C", tempC)
	}
}

func charge(id string, massG, soakedInG float64) Charge {
	i, _ := ingredient.Standard().ByID(id)
	return Charge{Content: i.PerGram.Times(massG), Class: i.Class, SoakedInG: soakedInG}
}

// Each component that goes in comes out again, whatever is pressed and how.
func TestMassInEqualsMassOut(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(1, 2))
	all := ingredient.Standard().All()
	for range 2000 {
		var charges []Charge
		var in ingredient.Content
		for range 1 + random.IntN(8) {
			i := all[random.IntN(len(all))]
			c := Charge{Content: i.PerGram.Times(random.Float64() * 500), Class: i.Class, SoakedInG: random.Float64() * 100}
			charges = append(charges, c)
			in = in.Plus(c.Content)
			in[ingredient.Water] += c.SoakedInG
		}
		var rinse ingredient.Content
		if random.IntN(2) == 0 {
			rinse[ingredient.Water] = random.Float64() * 800
		}
		m := Method{Strainer: Strainers()[random.IntN(6)], BlendS: 1 + random.Float64()*120, WaterC: random.Float64() * 60, HeldShare: .5 + random.Float64()}
		p := Press(charges, rinse, m)
		out := p.Milk.Plus(p.Pulp).Plus(p.Lost)
		in = in.Plus(rinse)
		for _, c := range ingredient.Components {
			assert.InDelta(t, in[c], out[c], 1e-9*math.Max(1, in[c]), "component %d by %v", c, m)
			assert.GreaterOrEqual(t, p.Milk[c], 0.)
			assert.GreaterOrEqual(t, p.Pulp[c], -1e-12)
		}
	}
}

// Worked by hand from the mass balance: 100 g almonds, 45 g soak water and
// 400 g water through a firm bag.
func TestPressByHand(t *testing.T) {
	t.Parallel()
	p := Press([]Charge{charge("almond", 100, 45), charge("water", 400, 0)}, ingredient.Content{}, Method{Strainer: Bag})
	const (
		protein, fat, sugars, starch, fibre, ash = 21.15, 49.93, 4.17, 4.77, 12.5, 2.97
		water                                    = 4.41 + 45 + 400
	)
	solids := .4*protein + .4*fat + .05*sugars + .6*starch + .95*fibre + .3*ash
	liquid := water + .6*protein + .6*fat + .95*sugars + .4*starch + .05*fibre + .7*ash
	held := 2.4 * solids
	assert.InDelta(t, solids, p.PulpSolidsG, 0.1)
	assert.InDelta(t, (liquid-held)*.98, p.Milk.MassG(), 0.2)
	assert.InDelta(t, solids+held, p.Pulp.MassG(), 0.2)
	assert.InDelta(t, .6*fat*(liquid-held)/liquid*.98, p.Milk[ingredient.Fat], 0.05)
}

func TestAFinerStrainerAndARinseDoWhatTheyDo(t *testing.T) {
	t.Parallel()
	charges := []Charge{charge("almond", 143, 64), charge("water", 800, 0)}
	milk := func(s Strainer, rinseG float64) ingredient.Content {
		return Press(charges, ingredient.Content{ingredient.Water: rinseG}, Method{Strainer: s}).Milk
	}
	assert.Greater(t, milk(Bag, 0).MassG(), milk(Cloth, 0).MassG(), "a firm bag holds less than cloth")
	assert.Greater(t, milk(Sieve, 0)[ingredient.Fibre], 3*milk(Bag, 0)[ingredient.Fibre], "a sieve lets fines through")
	assert.Greater(t, milk(Bag, 200)[ingredient.Fat], milk(Bag, 0)[ingredient.Fat], "a rinse brings out more")
	unstrained := Press(charges, ingredient.Content{}, Method{Strainer: None})
	assert.InDelta(t, 0, unstrained.Pulp.MassG(), 1e-9)
}

// Slime rises with blend time and temperature, within its bounds.
func TestGrainStarch(t *testing.T) {
	t.Parallel()
	starch := func(blendS, waterC float64) float64 {
		return grainRelease(Method{BlendS: blendS, WaterC: waterC})[ingredient.Starch]
	}
	assert.InDelta(t, .25, starch(30, 5), 1e-12)
	assert.InDelta(t, .15, starch(1, 5), 1e-12)
	assert.InDelta(t, .6, starch(600, 60), 1e-12)
	assert.Greater(t, starch(60, 20), starch(30, 20))
}
