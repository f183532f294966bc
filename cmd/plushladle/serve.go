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
	"sync"
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
func serve(args []string, stdin io.Reader, stdout, stderr io.Writer) int {
	f, err := parseServeFlags("serve", args, stderr)
	if err == nil && f.data == "" {
		f.data, err = defaultData()
	}
	if err != nil {
		return refuse("serve", err, stderr)
	}
	return open(f, "serve", func(s *store.Store) (func(), error) { return keepCopies(s), nil }, stdin, stdout, stderr)
}

// keepCopies copies the kitchen daily, beside everything else, until it is told
// to stop.
func keepCopies(s *store.Store) (stop func()) {
	ctx, giveUp := context.WithCancel(context.Background())
	var copying sync.WaitGroup
	copying.Go(func() { copyDaily(ctx, s) })
	return func() {
		giveUp()
		copying.Wait()
	}
}

// lookForANewDay is how often it is looked whether a copy is due.
const lookForANewDay = 10 * time.Minute

// copyDaily keeps a copy of each day beside the kitchen, for a week, until ctx
// is done. One that cannot be written is said, and the kitchen stays open.
func copyDaily(ctx context.Context, s *store.Store) {
	for {
		err := s.CopyBeside(ctx)
		if ctx.Err() != nil {
			return
		}
		if err != nil {
			slog.Warn("the daily copy could not be written", "error", err)
		}
		select {
		case <-ctx.Done():
			return
		case <-time.After(lookForANewDay):
		}
	}
}

// serveDemo opens the demo kitchen on a copy that is thrown away, unless a
// file is named.
func serveDemo(args []string, stdin io.Reader, stdout, stderr io.Writer) int {
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
	return open(f, "demo", fillIfEmpty, stdin, stdout, stderr)
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

func fillIfEmpty(s *store.Store) (func(), error) {
	nothing := func() {}
	drinks, err := s.Drinks()
	if err != nil || len(drinks) > 0 {
		return nothing, err
	}
	return nothing, demo.Fill(s, time.Now())
}

// begin readies an open kitchen, and tells how to end what it began.
type begin func(*store.Store) (end func(), err error)

func open(f *serveFlags, name string, begin begin, stdin io.Reader, stdout, stderr io.Writer) int {
	log := slog.New(slog.NewTextHandler(stderr, nil))
	slog.SetDefault(log)
	kitchen, err := store.Open(f.data, time.Now)
	if err != nil {
		return refuse(name, err, stderr)
	}
	defer func() { _ = kitchen.Close() }()
	beyond := isBeyond(f.listen)
	if beyond {
		err = needsPassphrase(kitchen, stdin, stderr)
	}
	if err != nil {
		return refuse(name, err, stderr)
	}
	end, err := begin(kitchen)
	if err != nil {
		return refuse(name, err, stderr)
	}
	defer end()
	listener, err := net.Listen("tcp", f.listen)
	if err != nil {
		return refuse(name, fmt.Errorf("cannot listen on %s: %w; name another address with --listen", f.listen, err), stderr)
	}
	config := server.Config{Store: kitchen, Now: time.Now, Web: web.Dist(), Hosts: hostsOf(f.listen), Beyond: beyond, Log: log}
	if beyond {
		config.URL = ownURL(f.listen, listener.Addr())
	}
	app := server.New(config)
	stop, cancel := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer cancel()
	fmt.Fprintf(stdout, "Plush Ladle is open at http://%s\n", atHome(listener.Addr()))
	if config.URL != "" {
		fmt.Fprintf(stdout, "Other devices find it, and show its passphrase, at %s\n", config.URL)
	}
	return listen(stop, app, listener, log)
}

// hostsOf are the names a browser may ask for when listening beyond loopback:
// the one listened on, and this machine's own, which no page elsewhere can
// take over.
func hostsOf(listen string) []string {
	var names []string
	if own, err := os.Hostname(); err == nil && isBeyond(listen) {
		own = strings.ToLower(own)
		names = append(names, own, own+".local")
	}
	host, _, err := net.SplitHostPort(listen)
	if err != nil || host == "" || net.ParseIP(host) != nil {
		return names
	}
	return append(names, strings.ToLower(host))
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
