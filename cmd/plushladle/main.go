// Plushladle is the whole product in one file: the kitchen's server, a demo
// of it, and the core from the command line.
package main

import (
	"fmt"
	"io"
	"os"
	"strings"
	_ "time/tzdata" // zones by name, also where the system has none

	"github.com/alecthomas/kong"

	"plushladle/core/process"
	"plushladle/internal/notices"
	"plushladle/internal/wording"
)

// version is set by the build.
var version = "dev"

// commands are all there are, with their flags and what help says of them.
type commands struct {
	Serve      serveCommand         `cmd:"" help:"start Plush Ladle on this computer"`
	Demo       demoCommand          `cmd:"" help:"start the demo kitchen on a temporary copy"`
	Reckon     reckonCommand        `cmd:"" help:"work out a drink from a list of ingredients"`
	Backup     backupCommand        `cmd:"" help:"save everything in one JSON file"`
	Restore    restoreCommand       `cmd:"" help:"replace everything with a backup or a daily copy"`
	Passphrase passphraseCommand    `cmd:"" help:"set the passphrase other devices sign in with"`
	Scale      practiceScaleCommand `cmd:"" name:"practice-scale" help:"send a practice scale's readings to a kitchen"`
	Licences   licencesCommand      `cmd:"" help:"print the licences of third-party software"`
	Version    versionCommand       `cmd:"" help:"print the version"`
}

// Exit codes of all commands.
const (
	exitOK    = 0
	exitWrong = 1 // it ran, and the answer is no
	exitUsage = 2 // bad flags, or a file that cannot be read
)

// streams are what a command reads and writes.
type streams struct {
	in       io.Reader
	out, err io.Writer
}

// refuse says in one line why a command does not go on.
func (s streams) refuse(name string, err error) int {
	fmt.Fprintf(s.err, "plushladle %s: %s\n", name, strings.ReplaceAll(wording.Error(err), "\n", " "))
	return exitUsage
}

// flags are those that were written, by name.
type flags map[string]bool

// command is one of the commands, with its flags.
type command interface {
	run(flags, streams) int
}

func main() { os.Exit(run(os.Args[1:], streams{os.Stdin, os.Stdout, os.Stderr})) }

func run(args []string, s streams) int {
	var all commands
	helped := false
	parser, err := kong.New(&all, kong.Name("plushladle"), kong.Writers(s.out, s.err), kong.Exit(func(int) { helped = true }),
		kong.Vars{"strainers": strainerNames()}, kong.ConfigureHelp(kong.HelpOptions{Compact: true, NoExpandSubcommands: true}))
	if err != nil {
		return s.refuse("", err)
	}
	given := args
	if len(given) == 0 {
		args = []string{"--help"}
	} else if given[0] == "--version" {
		args = []string{"version"}
	}
	parsed, err := parser.Parse(args)
	switch {
	case helped && len(given) == 0:
		return exitUsage
	case helped:
		return exitOK
	case err != nil:
		return s.refuse(nameIn(args), fmt.Errorf("%w; run with --help for the list", err))
	}
	written := flags{}
	for _, p := range parsed.Path {
		if p.Flag != nil {
			written[p.Flag.Name] = true
		}
	}
	return parsed.Selected().Target.Addr().Interface().(command).run(written, s)
}

// strainerNames are those that --strain takes.
func strainerNames() string {
	var names []string
	for _, s := range process.Strainers() {
		names = append(names, s.String())
	}
	return strings.Join(names, ", ")
}

// nameIn is the command that arguments begin with; "" where it is none.
func nameIn(args []string) string {
	if strings.HasPrefix(args[0], "-") {
		return ""
	}
	return args[0]
}

type licencesCommand struct{}

func (*licencesCommand) run(_ flags, s streams) int {
	fmt.Fprint(s.out, notices.Text)
	return exitOK
}

type versionCommand struct{}

func (*versionCommand) run(_ flags, s streams) int {
	fmt.Fprintln(s.out, "plushladle", version)
	return exitOK
}
