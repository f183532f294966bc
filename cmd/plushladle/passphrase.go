package main

import (
	"bufio"
	"errors"
	"flag"
	"fmt"
	"io"
	"net"
	"os"
	"strings"
	"time"

	"golang.org/x/term"

	"plushladle/internal/passphrase"
	"plushladle/internal/store"
)

// setPassphrase asks for a passphrase and keeps it in the place of the one
// there was; every device has to show it anew.
func setPassphrase(args []string, stdin io.Reader, stdout, stderr io.Writer) int {
	var data string
	set := flag.NewFlagSet("passphrase", flag.ContinueOnError)
	set.SetOutput(io.Discard)
	set.StringVar(&data, "data", "", "the kitchen's file (plushladle.db in your configuration folder)")
	err := set.Parse(args)
	if errors.Is(err, flag.ErrHelp) {
		fmt.Fprintln(stderr, "usage: plushladle passphrase [--data FILE]\n\nThe passphrase is asked for, or read as one line where it is piped in.")
		set.SetOutput(stderr)
		set.PrintDefaults()
	}
	if err == nil && set.NArg() > 0 {
		err = fmt.Errorf("%q is not a flag; the passphrase itself is asked for", set.Arg(0))
	}
	if err == nil && data == "" {
		data, err = defaultData()
	}
	if err != nil {
		return refuse("passphrase", err, stderr)
	}
	kitchen, err := store.Open(data, time.Now)
	if err != nil {
		return refuse("passphrase", err, stderr)
	}
	defer func() { _ = kitchen.Close() }()
	if err := askAndKeep(kitchen, stdin, stderr); err != nil {
		return refuse("passphrase", err, stderr)
	}
	fmt.Fprintln(stdout, "the passphrase is kept; devices sign in with it from now on")
	return exitOK
}

// needsPassphrase makes sure that a kitchen open beyond this machine has one,
// asking for it where it has none.
func needsPassphrase(kitchen *store.Store, stdin io.Reader, stderr io.Writer) error {
	hash, err := kitchen.PassphraseHash()
	if err != nil || hash != "" {
		return err
	}
	fmt.Fprintln(stderr, "This kitchen is to be open beyond this machine. Other devices will have to show a passphrase.")
	if err := askAndKeep(kitchen, stdin, stderr); err != nil {
		return fmt.Errorf("a kitchen open beyond this machine needs a passphrase, set here or with 'plushladle passphrase': %w", err)
	}
	return nil
}

func askAndKeep(kitchen *store.Store, stdin io.Reader, stderr io.Writer) error {
	text, err := ask(stdin, stderr)
	if err != nil {
		return err
	}
	if err := passphrase.Check(text); err != nil {
		return err
	}
	hash, err := passphrase.Hash(text)
	if err != nil {
		return err
	}
	return kitchen.SetPassphrase(hash, 0)
}

// ask reads a passphrase: twice and unseen at a terminal, as one line where it
// is piped in.
func ask(stdin io.Reader, stderr io.Writer) (string, error) {
	file, ok := stdin.(*os.File)
	if !ok || !term.IsTerminal(int(file.Fd())) {
		line, err := bufio.NewReader(stdin).ReadString('\n')
		if err != nil && line == "" {
			return "", errors.New("none was given")
		}
		return strings.TrimRight(line, "\r\n"), nil
	}
	var typed [2]string
	for n, question := range []string{"Passphrase: ", "The same again: "} {
		fmt.Fprint(stderr, question)
		line, err := term.ReadPassword(int(file.Fd()))
		fmt.Fprintln(stderr)
		if err != nil {
			return "", errors.New("none was given")
		}
		typed[n] = string(line)
	}
	if typed[0] != typed[1] {
		return "", errors.New("the two were not the same; nothing was changed")
	}
	return typed[0], nil
}

// isBeyond tells whether an address is one that other machines can reach.
func isBeyond(listen string) bool {
	host, _, err := net.SplitHostPort(listen)
	if err != nil || host == "localhost" {
		return false
	}
	ip := net.ParseIP(host)
	return ip == nil || !ip.IsLoopback()
}

// atHome is where a browser on this machine finds the kitchen.
func atHome(bound net.Addr) string {
	if tcp, ok := bound.(*net.TCPAddr); ok && tcp.IP.IsUnspecified() {
		return fmt.Sprintf("127.0.0.1:%d", tcp.Port)
	}
	return bound.String()
}

// ownURL is where other machines find the kitchen: the address it listens on,
// or, where it listens on all of them, this machine's first in a network.
func ownURL(listen string, bound net.Addr) string {
	host, _, err := net.SplitHostPort(listen)
	tcp, ok := bound.(*net.TCPAddr)
	if err != nil || !ok {
		return ""
	}
	if ip := net.ParseIP(host); host == "" || ip != nil && ip.IsUnspecified() {
		if host = firstAddress(); host == "" {
			return ""
		}
	}
	return "http://" + net.JoinHostPort(host, fmt.Sprint(tcp.Port))
}

func firstAddress() string {
	addresses, err := net.InterfaceAddrs()
	if err != nil {
		return ""
	}
	for _, a := range addresses {
		network, ok := a.(*net.IPNet)
		if ok && network.IP.To4() != nil && !network.IP.IsLoopback() && !network.IP.IsLinkLocalUnicast() {
			return network.IP.String()
		}
	}
	return ""
}
