package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"strconv"
	"strings"
	"time"

	"plushladle/internal/device"
)

// practiceScaleCommand is the practice scale as a program of its own, which sends what it shows
// to a kitchen as a real scale would.
type practiceScaleCommand struct {
	To  string        `default:"http://127.0.0.1:8642" help:"address of the kitchen"`
	For time.Duration `help:"stop after this long, such as 30s; without it, when interrupted"`
}

// sentEvery is how often a scale sends: enough to pour by.
const sentEvery = 200 * time.Millisecond

// Help tells what can be typed.
func (*practiceScaleCommand) Help() string {
	return "Type grams and press Enter to pour them on; -50 takes 50 g off."
}

func (c *practiceScaleCommand) run(_ flags, s streams) int {
	scale := device.NewStandIn(1, uint64(time.Now().UnixNano()))
	go pourTyped(scale, s)
	var stop <-chan time.Time
	if c.For > 0 {
		stop = time.After(c.For)
	}
	tick := time.NewTicker(sentEvery)
	defer tick.Stop()
	said := ""
	for {
		select {
		case <-stop:
			return exitOK
		case <-tick.C:
		}
		problem := ""
		if err := c.send(scale.Advance(sentEvery)); err != nil {
			problem = err.Error()
		}
		if problem != said && problem != "" {
			fmt.Fprintln(s.err, "plushladle practice-scale:", problem)
		}
		said = problem
	}
}

// pourTyped pours what is typed, a line each.
func pourTyped(scale *device.StandIn, s streams) {
	const gPerS = 60
	for in := bufio.NewScanner(s.in); in.Scan(); {
		g, err := strconv.ParseFloat(strings.TrimSpace(in.Text()), 64)
		if err != nil {
			fmt.Fprintln(s.err, "plushladle practice-scale: type grams, such as 50 or -20")
			continue
		}
		scale.Pour(g, gPerS)
	}
}

// send sends a reading as the line a scale says.
func (c *practiceScaleCommand) send(r device.Reading) error {
	body, err := json.Marshal(map[string]string{"line": r.Line()})
	if err != nil {
		return err
	}
	answer, err := http.Post(strings.TrimRight(c.To, "/")+"/api/scale/readings", "application/json", bytes.NewReader(body))
	if err != nil {
		return err
	}
	defer func() { _ = answer.Body.Close() }()
	if answer.StatusCode >= http.StatusBadRequest {
		said, _ := io.ReadAll(io.LimitReader(answer.Body, 500))
		return fmt.Errorf("%s: %s", answer.Status, said)
	}
	return nil
}
