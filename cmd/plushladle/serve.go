package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"log/slog"
	"net"
	"os"
	"os/signal"
	"path/filepath"
	"strings"
	"syscall"
	"time"

	"github.com/gofiber/fiber/v3"

	"plushladle/internal/demo"
	"plushladle/internal/server"
	"plushladle/internal/store"
	"plushladle/web"
)

const (
	defaultListen = "127.0.0.1:8642"
	drainTime     = 10 * time.Second
)

// serveFlags are the flags of serve and demo.
type serveFlags struct {
	listen, data string
}

func parseServeFlags(name string, args []string, stderr io.Writer) (*serveFlags, error) {
	f := &serveFlags{}
	set := flag.NewFlagSet(name, flag.ContinueOnError)
	set.SetOutput(io.Discard)
	set.StringVar(&f.listen, "listen", defaultListen, "address and port to listen on")
	set.StringVar(&f.data, "data", "", "the kitchen's file (serve: plushladle.db in your configuration folder; demo: a throwaway copy)")
	err := set.Parse(args)
	if errors.Is(err, flag.ErrHelp) {
		fmt.Fprintln(stderr, "usage: plushladle", name, "[flags]")
		set.SetOutput(stderr)
		set.PrintDefaults()
	}
	if err == nil && set.NArg() > 0 {
		err = fmt.Errorf("%q is not a flag; %s takes only flags", set.Arg(0), name)
	}
	return f, err
}

// serve opens the kitchen until it is told to stop.
func serve(args []string, stdout, stderr io.Writer) int {
	f, err := parseServeFlags("serve", args, stderr)
	if err == nil && f.data == "" {
		f.data, err = defaultData()
	}
	if err != nil {
		return refuse("serve", err, stderr)
	}
	return open(f, "serve", func(s *store.Store) error {
		go copyDaily(s, f.data)
		return nil
	}, stdout, stderr)
}

// lookForANewDay is how often it is looked whether a copy is due.
const lookForANewDay = 10 * time.Minute

// copyDaily keeps a copy of each day beside the kitchen, for a week. One that
// cannot be written is said, and the kitchen stays open.
func copyDaily(s *store.Store, path string) {
	for {
		if err := s.CopyBeside(path); err != nil {
			slog.Warn("the daily copy could not be written", "error", err)
		}
		time.Sleep(lookForANewDay)
	}
}

// serveDemo opens the demo kitchen on a copy that is thrown away, unless a
// file is named.
func serveDemo(args []string, stdout, stderr io.Writer) int {
	f, err := parseServeFlags("demo", args, stderr)
	if err != nil {
		return refuse("demo", err, stderr)
	}
	if f.data == "" {
		folder, err := os.MkdirTemp("", "plushladle-demo-")
		if err != nil {
			return refuse("demo", err, stderr)
		}
		defer func() { _ = os.RemoveAll(folder) }()
		f.data = filepath.Join(folder, "demo.db")
	}
	return open(f, "demo", fillIfEmpty, stdout, stderr)
}

func refuse(name string, err error, stderr io.Writer) int {
	if errors.Is(err, flag.ErrHelp) {
		return exitOK
	}
	fmt.Fprintf(stderr, "plushladle %s: %s\n", name, strings.ReplaceAll(err.Error(), "\n", " "))
	return exitUsage
}

func defaultData() (string, error) {
	folder, err := os.UserConfigDir()
	if err != nil {
		return "", errors.New("there is no configuration folder; name a file with --data")
	}
	folder = filepath.Join(folder, "plushladle")
	return filepath.Join(folder, "plushladle.db"), os.MkdirAll(folder, 0o700)
}

func fillIfEmpty(s *store.Store) error {
	drinks, err := s.Drinks()
	if err != nil || len(drinks) > 0 {
		return err
	}
	return demo.Fill(s, time.Now())
}

func open(f *serveFlags, name string, prepare func(*store.Store) error, stdout, stderr io.Writer) int {
	log := slog.New(slog.NewTextHandler(stderr, nil))
	slog.SetDefault(log)
	kitchen, err := store.Open(f.data, time.Now)
	if err != nil {
		return refuse(name, err, stderr)
	}
	defer func() { _ = kitchen.Close() }()
	if prepare != nil {
		if err := prepare(kitchen); err != nil {
			return refuse(name, err, stderr)
		}
	}
	listener, err := net.Listen("tcp", f.listen)
	if err != nil {
		return refuse(name, fmt.Errorf("cannot listen on %s: %w; name another address with --listen", f.listen, err), stderr)
	}
	app := server.New(server.Config{Store: kitchen, Now: time.Now, Web: web.Dist(), Hosts: hostsOf(f.listen), Log: log})
	stop, cancel := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer cancel()
	fmt.Fprintf(stdout, "Plush Ladle is open at http://%s\n", listener.Addr())
	return listen(stop, app, listener, log)
}

// hostsOf are the names a browser may ask for when listening beyond loopback.
func hostsOf(listen string) []string {
	host, _, err := net.SplitHostPort(listen)
	if err != nil || host == "" || net.ParseIP(host) != nil {
		return nil
	}
	return []string{strings.ToLower(host)}
}

// listen serves until stop is done, then lets running requests end.
func listen(stop context.Context, app *fiber.App, listener net.Listener, log *slog.Logger) int {
	ended := make(chan error, 1)
	go func() { ended <- app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	select {
	case err := <-ended:
		log.Error("stopped listening", "error", err)
		return exitWrong
	case <-stop.Done():
	}
	log.Info("closing the kitchen")
	if err := app.ShutdownWithTimeout(drainTime); err != nil {
		log.Error("some requests were cut off", "error", err)
		return exitWrong
	}
	return exitOK
}
