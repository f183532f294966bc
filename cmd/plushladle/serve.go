package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"os"
	"os/signal"
	"path/filepath"
	"strings"
	"sync"
	"syscall"
	"time"

	kitchenhttp "plushladle/internal/http"

	"github.com/gofiber/fiber/v3"

	"plushladle/core/ingredient"
	"plushladle/internal/demo"
	"plushladle/internal/store"
	"plushladle/web"
)

const drainTime = 10 * time.Second

// listenFlag is where serve and demo listen.
type listenFlag struct {
	Listen string `default:"127.0.0.1:8642" help:"address and port"`
	HTTPS  string `name:"https" placeholder:"ADDRESS" help:"address and port for HTTPS (beyond this machine: the next port; off for none)"`
	Cert   string `placeholder:"FILE" help:"certificate for HTTPS, in PEM (the kitchen's own)"`
	Key    string `placeholder:"FILE" help:"its key, in PEM"`
}

// dataFlag is the kitchen's file.
type dataFlag struct {
	Data string `help:"kitchen file (plushladle.db in your configuration folder)"`
}

// file is the kitchen's file, the usual one where none is named.
func (f dataFlag) file() (string, error) {
	if f.Data != "" {
		return f.Data, nil
	}
	return defaultData()
}

type serveCommand struct {
	listenFlag
	dataFlag
}

// run opens the kitchen until it is told to stop.
func (c *serveCommand) run(_ flags, s streams) int {
	data, err := c.file()
	if err != nil {
		return s.refuse("serve", err)
	}
	return open("serve", c.listenFlag, data, func(s *store.Store) (func(), error) { return keepCopies(s), nil }, s)
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
		if err := s.TidyPhotos(); err != nil {
			slog.Warn("old photos could not be thrown away", "error", err)
		}
		select {
		case <-ctx.Done():
			return
		case <-time.After(lookForANewDay):
		}
	}
}

type demoCommand struct {
	listenFlag
	Data string `help:"demo kitchen file (a temporary copy)"`
}

// run opens the demo kitchen on a copy that is thrown away, unless a file is named.
func (c *demoCommand) run(_ flags, s streams) int {
	if c.Data == "" {
		folder, err := os.MkdirTemp("", "plushladle-demo-")
		if err != nil {
			return s.refuse("demo", err)
		}
		defer func() { _ = os.RemoveAll(folder) }()
		c.Data = filepath.Join(folder, "demo.db")
	}
	return open("demo", c.listenFlag, c.Data, fillIfEmpty, s)
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

func open(name string, flags listenFlag, data string, begin begin, s streams) int {
	address := flags.Listen
	log := slog.New(slog.NewTextHandler(s.err, nil))
	slog.SetDefault(log)
	go ingredient.Standard() // is read while the kitchen's file is opened
	kitchen, err := store.Open(data, time.Now)
	if err != nil {
		return s.refuse(name, err)
	}
	defer func() { _ = kitchen.Close() }()
	beyond := isBeyond(address)
	if beyond {
		err = needsPassphrase(kitchen, s)
	}
	if err != nil {
		return s.refuse(name, err)
	}
	end, err := begin(kitchen)
	if err != nil {
		return s.refuse(name, err)
	}
	defer end()
	listener, err := net.Listen("tcp", address)
	if err != nil {
		return s.refuse(name, fmt.Errorf("cannot listen on %s: %w; choose another address with --listen", address, err))
	}
	config := kitchenhttp.Config{Store: kitchen, Now: time.Now, Web: web.Dist(), Hosts: hostsOf(address), Beyond: beyond, Log: log}
	if beyond {
		config.URL = ownURL(address, listener.Addr())
	}
	secure, err := flags.secure(data, listener.Addr(), &config)
	if err != nil {
		return s.refuse(name, err)
	}
	app := kitchenhttp.New(config)
	stop, cancel := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer cancel()
	fmt.Fprintf(s.out, "Plush Ladle is running at http://%s\n", atHome(listener.Addr()))
	if config.URL != "" {
		fmt.Fprintf(s.out, "Other devices can sign in at %s\n", config.URL)
	}
	if secure != nil {
		fmt.Fprintf(s.out, "For offline use and notifications on phones: %s (see Settings there)\n", config.SecureURL)
		go func() { // it ends with the app
			if err := app.Server().Serve(secure); err != nil {
				log.Error("stopped speaking HTTPS", "error", err)
			}
		}()
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
