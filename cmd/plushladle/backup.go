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

// backupArgs are the flags and the one file of backup and restore.
func backupArgs(name string, args []string, stderr io.Writer) (data, file string, err error) {
	set := flag.NewFlagSet(name, flag.ContinueOnError)
	set.SetOutput(io.Discard)
	set.StringVar(&data, "data", "", "the kitchen's file (plushladle.db in your configuration folder)")
	err = set.Parse(args)
	if errors.Is(err, flag.ErrHelp) {
		fmt.Fprintf(stderr, "usage: plushladle %s [--data FILE] BACKUP\n", name)
		set.SetOutput(stderr)
		set.PrintDefaults()
	}
	if err == nil && set.NArg() != 1 {
		err = fmt.Errorf("name one file for the backup; %d were named", set.NArg())
	}
	if err == nil && data == "" {
		data, err = defaultData()
	}
	return data, set.Arg(0), err
}

// backUp writes everything in a kitchen as one JSON file, whole or not at all.
func backUp(args []string, stdout, stderr io.Writer) int {
	data, file, err := backupArgs("backup", args, stderr)
	if err != nil {
		return refuse("backup", err, stderr)
	}
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
	data, file, err := backupArgs("restore", args, stderr)
	if err != nil {
		return refuse("restore", err, stderr)
	}
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
