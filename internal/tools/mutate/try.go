package main

import (
	"context"
	"encoding/json"
	"errors"
	"os"
	"os/exec"
	"path/filepath"
	"runtime"
	"strings"
	"sync"
	"syscall"
	"time"
)

// tooLong is when tests give up: a change that has them run for ever is noticed. They are given up
// as a whole, with all they started, only where they cannot do so themselves.
const (
	tooLong    = "60s"
	farTooLong = 3 * time.Minute
)

// tryAll tries changes of a package, some at a time.
func tryAll(folder string, mutants []mutant, own bool) tally {
	var t tally
	var mu sync.Mutex
	var done sync.WaitGroup
	next := make(chan mutant)
	for range runtime.NumCPU() {
		done.Go(func() {
			for m := range next {
				noticed, built := try(folder, m, own)
				if !built {
					continue // it is no program: a shift of a text, or a constant that does not fit
				}
				mu.Lock()
				t.count(m, noticed)
				mu.Unlock()
			}
		})
	}
	for _, m := range mutants {
		next <- m
	}
	close(next)
	done.Wait()
	return t
}

// try runs the tests with a change laid over its file.
func try(folder string, m mutant, own bool) (noticed, built bool) {
	text, err := os.ReadFile(m.file)
	if err != nil {
		return false, false
	}
	scratch, err := os.MkdirTemp("", "mutate-")
	if err != nil {
		return false, false
	}
	defer func() { _ = os.RemoveAll(scratch) }()
	changed := filepath.Join(scratch, "changed.go")
	overlay := filepath.Join(scratch, "overlay.json")
	here, err := filepath.Abs(m.file)
	if err != nil {
		return false, false
	}
	plan, err := json.Marshal(map[string]map[string]string{"Replace": {here: changed}})
	text = append(text[:m.at:m.at], append([]byte(m.with), text[m.at+m.long:]...)...)
	if err := errors.Join(err, os.WriteFile(changed, text, 0o600), os.WriteFile(overlay, plan, 0o600)); err != nil {
		return false, false
	}
	noticed, built = run(overlay, "./"+folder)
	if noticed || !built || own {
		return noticed, built
	}
	noticed, _ = run(overlay, "./core/...")
	return noticed, true
}

func run(overlay, packages string) (noticed, built bool) {
	ctx, cancel := context.WithTimeout(context.Background(), farTooLong)
	defer cancel()
	tests := exec.CommandContext(ctx, "go", "test", "-vet=off", "-failfast", "-ldflags=-s -w", "-timeout", tooLong, "-overlay", overlay, packages)
	tests.SysProcAttr = &syscall.SysProcAttr{Setpgid: true}
	tests.Cancel = func() error { return syscall.Kill(-tests.Process.Pid, syscall.SIGKILL) }
	out, err := tests.CombinedOutput()
	if ctx.Err() != nil {
		return true, true
	}
	return err != nil, !strings.Contains(string(out), "[build failed]") && !strings.Contains(string(out), "[setup failed]")
}
