// Package notices holds the licences of what the program is built of. make notices
// gathers them anew.
package notices

import _ "embed"

// Text is all of them, part by part.
//
//go:embed notices.txt
var Text string
