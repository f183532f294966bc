package device

import (
	"math"
	"regexp"
	"strconv"
	"strings"
	"sync"
	"time"
)

// Own is the cook's own scale. Its readings are sent: by the scale itself over the network, or by
// a browser that has it on a serial port.
type Own struct {
	mu           sync.Mutex
	out          chan Reading // nil while it is not connected
	shownG       float64      // as the scale shows it
	zeroG        float64
	zeroNext     bool      // what it shows next is the zero: it was not heard when that was asked for
	since, heard time.Time // since when it shows that, and when it was heard last
}

// Name is what the cook knows it by.
func (o *Own) Name() string { return "own scale" }

// Connect begins to read, with what lies on it as the zero.
func (o *Own) Connect() (<-chan Reading, error) {
	o.mu.Lock()
	defer o.mu.Unlock()
	o.disconnect()
	o.out = make(chan Reading, 1)
	o.tare()
	return o.out, nil
}

// Disconnect ends the reading.
func (o *Own) Disconnect() {
	o.mu.Lock()
	defer o.mu.Unlock()
	o.disconnect()
}

func (o *Own) disconnect() {
	if o.out != nil {
		close(o.out)
		o.out = nil
	}
}

// Tare makes what lies on it the new zero.
func (o *Own) Tare() error {
	o.mu.Lock()
	defer o.mu.Unlock()
	o.tare()
	return nil
}

// shownFor is how long what it showed last is what lies on it.
const shownFor = time.Second

func (o *Own) tare() {
	o.zeroG, o.zeroNext = o.shownG, time.Since(o.heard) > shownFor
	select {
	case <-o.out: // not looked at yet, and against the zero before
	default:
	}
}

// Waits tells whether nobody knows yet what lies on it: what it shows next is the zero.
func (o *Own) Waits() bool {
	o.mu.Lock()
	defer o.mu.Unlock()
	return o.zeroNext
}

// Sends tells whether it was heard within a time.
func (o *Own) Sends(within time.Duration) bool {
	o.mu.Lock()
	defer o.mu.Unlock()
	return !o.heard.IsZero() && time.Since(o.heard) < within
}

// steadyFor is how long a scale that does not say so has to show the same to be steady.
const steadyFor = 700 * time.Millisecond

// Send is what the scale shows; steady is what it says of that itself, nil where it says nothing.
// It answers whether anyone reads it. A reading that was not looked at yet is replaced.
func (o *Own) Send(r Reading, steady *bool) (isRead bool) {
	o.mu.Lock()
	defer o.mu.Unlock()
	o.heard = time.Now()
	if r.MassG != o.shownG || o.since.IsZero() {
		o.shownG, o.since = r.MassG, r.At
	}
	if o.out == nil {
		return false
	}
	if o.zeroNext {
		o.zeroG, o.zeroNext = r.MassG, false
	}
	if r.Steady = r.At.Sub(o.since) >= steadyFor; steady != nil {
		r.Steady = *steady
	}
	r.MassG = o.shownG - o.zeroG
	select {
	case <-o.out:
	default:
	}
	o.out <- r
	return true
}

// Grams to the units scales show (NIST SP 811, B.8).
var gramsIn = map[string]float64{"g": 1, "kg": 1000, "oz": 28.349523125, "lb": 453.59237}

// weightInLine is a number with its unit, its sign perhaps apart.
var weightInLine = regexp.MustCompile(`(?i)([-+−]?)\s*(\d+(?:[.,]\d+)?)\s*(kg|g|oz|lb)\b`)

// steadyInLine and movingInLine are what scales say before or behind the weight.
var (
	steadyInLine = regexp.MustCompile(`(?i)\b(ST|S|stable|steady)\b`)
	movingInLine = regexp.MustCompile(`(?i)\b(US|U|SD|unstable|moving)\b|\?`)
)

// ParseLine reads a line that a scale sends over a serial port: somewhere in it a number with g,
// kg, oz or lb, and perhaps ST before it where it is steady or US where it is not. steady is nil
// where the line does not say.
func ParseLine(line string) (massG float64, steady *bool, ok bool) {
	found := weightInLine.FindStringSubmatchIndex(line)
	if found == nil {
		return 0, nil, false
	}
	part := func(n int) string { return line[found[2*n]:found[2*n+1]] }
	v, err := strconv.ParseFloat(strings.Replace(part(2), ",", ".", 1), 64)
	if err != nil || v > mostG {
		return 0, nil, false
	}
	v *= gramsIn[strings.ToLower(part(3))]
	if sign := part(1); sign == "-" || sign == "−" {
		v = -v
	}
	rest := line[:found[0]] + " " + line[found[1]:]
	switch {
	case movingInLine.MatchString(rest):
		steady = new(bool)
	case steadyInLine.MatchString(rest):
		is := true
		steady = &is
	}
	return math.Round(v*1e4) / 1e4, steady, true
}

// Line is a reading as a scale sends it over a serial port.
func (r Reading) Line() string {
	says := "US"
	if r.Steady {
		says = "ST"
	}
	return says + "," + strconv.FormatFloat(r.MassG, 'f', 2, 64) + " g"
}
