// Package web embeds the built front end. Without a build it holds only a
// placeholder, and the server says so.
package web

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Dist is the built front end.
func Dist() fs.FS {
	sub, err := fs.Sub(dist, "dist")
	if err != nil {
		panic("web: " + err.Error()) // the folder is embedded above
	}
	return sub
}
