package main

import (
	"errors"
	"fmt"
	"os"
	"time"

	"plushladle/internal/app/check"
	"plushladle/internal/store"
)

type backupCommand struct {
	dataFlag
	File string `arg:"" help:"file to write"`
}

// run writes everything in a kitchen as one JSON file, whole or not at all.
func (c *backupCommand) run(_ flags, s streams) int {
	data, err := c.file()
	if err != nil {
		return s.refuse("backup", err)
	}
	if _, err := os.Stat(data); err != nil {
		return s.refuse("backup", fmt.Errorf("there is no kitchen at %s; name its file with --data", data))
	}
	kitchen, err := store.OpenToRead(data, time.Now)
	if err != nil {
		return s.refuse("backup", err)
	}
	defer func() { _ = kitchen.Close() }()
	if err := store.WriteWhole(c.File, kitchen.Backup); err != nil {
		return s.refuse("backup", err)
	}
	fmt.Fprintf(s.out, "everything is saved in %s\n", c.File)
	return exitOK
}

type restoreCommand struct {
	dataFlag
	Copy bool   `help:"restore a daily copy: the newest, or the one of a date such as 2026-11-24"`
	File string `arg:"" optional:"" name:"backup" help:"the backup file; with --copy its date, or nothing"`
}

// run puts a backup in the place of everything in a kitchen. What was there is kept
// as a backup beside it first.
func (c *restoreCommand) run(_ flags, s streams) int {
	data, err := c.file()
	switch {
	case err != nil:
		return s.refuse("restore", err)
	case c.Copy:
		return restoreCopy(data, c.File, s)
	case c.File == "":
		return s.refuse("restore", errors.New("name the backup to restore, or --copy for a daily copy"))
	}
	in, err := os.Open(c.File)
	if err != nil {
		return s.refuse("restore", fmt.Errorf("cannot read %s; name an existing backup", c.File))
	}
	defer func() { _ = in.Close() }()
	kitchen, err := store.Open(data, time.Now)
	if err != nil {
		return s.refuse("restore", err)
	}
	defer func() { _ = kitchen.Close() }()
	kept, err := kitchen.RestoreFile(in, check.Kitchen)
	if err != nil {
		return s.refuse("restore", fmt.Errorf("%s was not restored, and nothing was changed: %w", c.File, err))
	}
	fmt.Fprintf(s.out, "%s is restored; what was there before is saved in %s\n", c.File, kept)
	return exitOK
}

// restoreCopy brings back a daily copy.
func restoreCopy(data, date string, s streams) int {
	copied, kept, err := store.RestoreCopy(data, date, time.Now)
	if err != nil {
		return s.refuse("restore", err)
	}
	fmt.Fprintf(s.out, "%s is restored", copied)
	if _, err := os.Stat(kept); err == nil {
		fmt.Fprintf(s.out, "; what was there before is saved in %s", kept)
	}
	fmt.Fprintln(s.out)
	return exitOK
}
