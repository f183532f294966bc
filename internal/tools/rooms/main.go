// Rooms draws the picture of the house, from the imports as they are.
package main

import (
	"fmt"
	"os"

	"plushladle/internal/house"
)

func main() {
	all, err := house.Packages(".")
	if err != nil {
		fmt.Fprintln(os.Stderr, "rooms:", err)
		os.Exit(1)
	}
	fmt.Print(house.Picture(all))
}
