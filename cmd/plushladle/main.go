// Plushladle is the whole product in one file: the kitchen's server, a demo
// of it, and the core from the command line.
package main

import (
	"fmt"
	"os"
	_ "time/tzdata" // zones by name, also where the system has none
)

// version is set by the build.
var version = "dev"

const usage = `usage: plushladle COMMAND [flags]

  serve       open the kitchen on this machine
  demo        open the demo kitchen, on a copy that is thrown away
  reckon      reckon a drink from a list of ingredients
  backup      write everything in the kitchen as one JSON file
  restore     put such a file in the place of everything there is
  passphrase  set what other devices show to come in
  version     say which version this is

plushladle COMMAND -h lists a command's flags.`

// Exit codes of all commands.
const (
	exitOK    = 0
	exitWrong = 1 // it ran, and the answer is no
	exitUsage = 2 // bad flags, or a file that cannot be read
)

func main() { os.Exit(run(os.Args[1:])) }

func run(args []string) int {
	if len(args) == 0 {
		fmt.Fprintln(os.Stderr, usage)
		return exitUsage
	}
	switch args[0] {
	case "serve":
		return serve(args[1:], os.Stdin, os.Stdout, os.Stderr)
	case "demo":
		return serveDemo(args[1:], os.Stdin, os.Stdout, os.Stderr)
	case "reckon":
		return reckon(args[1:], os.Stdin, os.Stdout, os.Stderr)
	case "backup":
		return backUp(args[1:], os.Stdout, os.Stderr)
	case "restore":
		return restore(args[1:], os.Stdout, os.Stderr)
	case "passphrase":
		return setPassphrase(args[1:], os.Stdin, os.Stdout, os.Stderr)
	case "version", "--version":
		fmt.Println("plushladle", version)
		return exitOK
	case "help", "-h", "--help":
		fmt.Println(usage)
		return exitOK
	}
	fmt.Fprintf(os.Stderr, "plushladle: there is no command %q; use serve, demo, reckon, backup, restore, passphrase or version\n", args[0])
	return exitUsage
}
