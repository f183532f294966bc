//go:build e2e

package e2e

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Units, hours and the week are the kitchen's: set on one page, and shown so everywhere.
func TestTheKitchensUnitsAreShownEverywhere(t *testing.T) {
	t.Parallel()
	p := visit(t, ownProgram(t).url) // of a process of its own: the words of a process are those of one kitchen
	p.sees("Contains pecan", "mL")
	p.click("link", "Settings")
	p.fill("Fridge temperature", "cold")
	p.click("button", "Save")
	p.sees("Enter it like this: 4 °C")
	p.fill("Fridge temperature", "39.2 °F")
	choose(p, "Show volumes in", "US fluid ounces")
	choose(p, "Show temperatures in", "°F")
	choose(p, "The week starts on", "Sunday")
	choose(p, "Dates and clock", "United States")
	p.click("button", "Save")
	p.sees("Settings", "°F") // read anew in its units
	p.holds("Fridge temperature", "39.2")
	p.holds("Time zone", "UTC") // the browser's, until another is chosen
	assert.Eventually(t, func() bool {
		now := ask(t, p.url, "GET", "/api/kitchen", nil)
		return now["fridgeC"] == 4. && now["temperature"] == "f" && now["handsQuiet"] == "22:30-06:30"
	}, 5*time.Second, 50*time.Millisecond)

	p.open("/")
	p.sees("Contains pecan", "fl oz")
	p.open("/shelf")
	p.sees("Fridge, set to 39 °F")
	p.open("/plan")
	p.sees("PM")
	look(p, "plan-us")
	p.open("/")
	p.sees("Contains pecan")
	look(p, "bench-us")
	p.open("/settings")
	p.sees("Fridge temperature")
	look(p, "settings")
}

// choose picks one of a labelled list.
func choose(p *page, label, option string) {
	p.t.Helper()
	p.click("combobox", label)
	p.click("option", option)
}

// The whole kitchen speaks another language: the page, what the kitchen says, and the names
// of ingredients.
func TestTheKitchenSpeaksSpanish(t *testing.T) {
	t.Parallel()
	p := visit(t, ownProgram(t).url)
	p.open("/settings")
	choose(p, "Language", "Español")
	p.click("button", "Save")
	p.sees("Ajustes", "Regla de conservación", "Temperatura del frigorífico")
	require.Empty(t, axeFaults(p))
	p.click("link", "Mesa")
	p.sees("Contiene pacana", "No es para neighbour (contiene pacana, emparentado con nuez)", "remojar 8 h, escurrir y lavar", "Dulzor", "Guardar versión")
	look(p, "es-bench")
	p.click("link", "Plan")
	p.sees("Lista de la compra", "Pon en remojo:", "sésamo")
	look(p, "es-plan")
	p.open("/cook/3")
	p.sees("paso 1 de", "Falta 1 de 7 ingredientes", "cuenco de remojo de al menos")
	look(p, "es-cook")
	p.open("/shelf")
	p.sees("Por qué esta fecha", "según la regla tradicional", "Frigorífico, a 4 °C")
	look(p, "es-shelf")
	p.open("/pantry")
	p.sees("Cucharas y tazas", "Nueces pecanas")
	look(p, "es-pantry")
	p.open("/start")
	p.sees("¿Qué te apetece hacer?", "Nueces pecanas", "crema para café")
	p.click("button", "Abrir en la Mesa")
	p.sees("Ya está hecha", "Sirope de arce", "Agua")
	look(p, "es-wish")
	p.click("link", "Ajustes")
	choose(p, "Idioma", "English")
	p.click("button", "Guardar")
	p.sees("Settings", "Fridge temperature")
	p.click("link", "Bench") // what was kept in Spanish is understood in English
	p.sees("Made it", "Contains ")
	p.seesNot("Needs attention")
}
