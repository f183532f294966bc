package main

import (
	"errors"
	"flag"
	"fmt"
	"io"
	"os"
	"time"

	"plushladle/internal/server"
	"plushladle/internal/store"
)

// backupArgs are the flags and the one file of backup and restore. With copied,
// which restore has, the file is the date of a daily copy, or left out.
type backupArgs struct {
	data, file string
	copied     bool
}

func parseBackupArgs(name string, args []string, stderr io.Writer) (backupArgs, error) {
	var a backupArgs
	set := flag.NewFlagSet(name, flag.ContinueOnError)
	set.SetOutput(io.Discard)
	set.StringVar(&a.data, "data", "", "the kitchen's file (plushladle.db in your configuration folder)")
	takes := "BACKUP"
	if name == "restore" {
		takes = "BACKUP | --copy [DATE]"
		set.BoolVar(&a.copied, "copy", false, "bring back the daily copy beside the kitchen's file: the newest, or that of a date such as 2026-11-24")
	}
	err := set.Parse(args)
	if errors.Is(err, flag.ErrHelp) {
		fmt.Fprintf(stderr, "usage: plushladle %s [--data FILE] %s\n", name, takes)
		set.SetOutput(stderr)
		set.PrintDefaults()
	}
	a.file = set.Arg(0)
	switch {
	case err != nil:
	case a.copied && set.NArg() > 1:
		err = fmt.Errorf("name one date at most after --copy; %d were named", set.NArg())
	case !a.copied && set.NArg() != 1:
		err = fmt.Errorf("name one file for the backup; %d were named", set.NArg())
	}
	if err == nil && a.data == "" {
		a.data, err = defaultData()
	}
	return a, err
}

// backUp writes everything in a kitchen as one JSON file, whole or not at all.
func backUp(args []string, stdout, stderr io.Writer) int {
	a, err := parseBackupArgs("backup", args, stderr)
	if err != nil {
		return refuse("backup", err, stderr)
	}
	data, file := a.data, a.file
	if _, err := os.Stat(data); err != nil {
		return refuse("backup", fmt.Errorf("there is no kitchen at %s; name its file with --data", data), stderr)
	}
	kitchen, err := store.OpenToRead(data, time.Now)
	if err != nil {
		return refuse("backup", err, stderr)
	}
	defer func() { _ = kitchen.Close() }()
	if err := store.WriteWhole(file, kitchen.Backup); err != nil {
		return refuse("backup", err, stderr)
	}
	fmt.Fprintf(stdout, "all of it is in %s\n", file)
	return exitOK
}

// restore puts a backup in the place of everything in a kitchen. What was
// there is kept as a backup beside it first.
func restore(args []string, stdout, stderr io.Writer) int {
	a, err := parseBackupArgs("restore", args, stderr)
	if err != nil {
		return refuse("restore", err, stderr)
	}
	if a.copied {
		return restoreCopy(a, stdout, stderr)
	}
	data, file := a.data, a.file
	in, err := os.Open(file)
	if err != nil {
		return refuse("restore", fmt.Errorf("cannot read %s; name a backup that is there", file), stderr)
	}
	defer func() { _ = in.Close() }()
	kitchen, err := store.Open(data, time.Now)
	if err != nil {
		return refuse("restore", err, stderr)
	}
	defer func() { _ = kitchen.Close() }()
	kept, err := kitchen.Restore(in, server.CheckKitchen)
	if err != nil {
		return refuse("restore", fmt.Errorf("%s was not restored, and nothing was changed: %w", file, err), stderr)
	}
	fmt.Fprintf(stdout, "%s is restored; what was there before is in %s\n", file, kept)
	return exitOK
}

// restoreCopy brings back a daily copy.
func restoreCopy(a backupArgs, stdout, stderr io.Writer) int {
	copied, kept, err := store.RestoreCopy(a.data, a.file, time.Now)
	if err != nil {
		return refuse("restore", err, stderr)
	}
	fmt.Fprintf(stdout, "%s is brought back", copied)
	if _, err := os.Stat(kept); err == nil {
		fmt.Fprintf(stdout, "; what was there before is in %s", kept)
	}
	fmt.Fprintln(stdout)
	return exitOK
}
