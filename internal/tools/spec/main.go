// Specgen writes the OpenAPI description of the server to standard output,
// from which the front end's types are generated.
package main

import (
	"bytes"
	"encoding/json"
	"log"
	"os"

	kitchenhttp "plushladle/internal/http"
)

func main() {
	spec, err := kitchenhttp.Spec()
	if err != nil {
		log.Fatal(err)
	}
	var pretty bytes.Buffer
	if err := json.Indent(&pretty, spec, "", "  "); err != nil {
		log.Fatal(err)
	}
	pretty.WriteByte('\n')
	if _, err := pretty.WriteTo(os.Stdout); err != nil {
		log.Fatal(err)
	}
}
