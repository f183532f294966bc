package main

import (
	"crypto/tls"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"strconv"
	"strings"
	"time"

	"plushladle/internal/authority"
	kitchenhttp "plushladle/internal/http"
)

// httpsOff is what --https takes for a kitchen without.
const httpsOff = "off"

// secure listens for HTTPS beside the plain listener at bound, and tells the config where;
// nil where the kitchen is not reached from elsewhere and nothing was asked for. A port
// beside it that is taken already is no reason not to open; one that was asked for is.
func (f listenFlag) secure(data string, bound net.Addr, config *kitchenhttp.Config) (net.Listener, error) {
	if (f.Cert == "") != (f.Key == "") {
		return nil, errors.New("--cert and --key go together; name both files, or neither")
	}
	address, asked := f.HTTPS, f.HTTPS != "" || f.Cert != ""
	if address == httpsOff || !asked && !config.Beyond {
		return nil, nil
	}
	if address == "" {
		address = nextPort(f.Listen, bound)
	}
	how, err := f.certificates(data, config)
	if err != nil {
		return nil, err
	}
	listener, err := net.Listen("tcp", address)
	if err != nil && !asked {
		slog.Warn("no HTTPS: the next port is taken", "error", err)
		config.Authority = nil
		return nil, nil
	}
	if err != nil {
		return nil, fmt.Errorf("cannot listen on %s: %w; choose another address with --https", address, err)
	}
	if url, ok := strings.CutPrefix(ownURL(address, listener.Addr()), "http:"); ok {
		config.SecureURL = "https:" + url
	}
	return tls.NewListener(listener, how), nil
}

// nextPort is the address listened on with the port after it.
func nextPort(listen string, bound net.Addr) string {
	host, _, _ := net.SplitHostPort(listen) // it is listened on, so it is an address
	port := 0
	if tcp, ok := bound.(*net.TCPAddr); ok {
		port = tcp.Port + 1
	}
	return net.JoinHostPort(host, strconv.Itoa(port))
}

// certificates are those of the files named, or of the kitchen's own authority beside its
// file.
func (f listenFlag) certificates(data string, config *kitchenhttp.Config) (*tls.Config, error) {
	if f.Cert != "" {
		pair, err := tls.LoadX509KeyPair(f.Cert, f.Key)
		if err != nil {
			return nil, fmt.Errorf("%w; --cert and --key are PEM files that belong together", err)
		}
		return &tls.Config{MinVersion: tls.VersionTLS12, Certificates: []tls.Certificate{pair}}, nil
	}
	own, err := authority.Open(data+".authority.pem", config.Hosts, time.Now)
	if err != nil {
		return nil, err
	}
	config.Authority = own
	return own.TLS(), nil
}
