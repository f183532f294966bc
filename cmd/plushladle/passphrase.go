package main

import (
	"bufio"
	"errors"
	"fmt"
	"net"
	"os"
	"strings"
	"time"

	"golang.org/x/term"

	"plushladle/internal/passphrase"
	"plushladle/internal/store"
)

type passphraseCommand struct{ dataFlag }

// Help says how the passphrase is given.
func (*passphraseCommand) Help() string {
	return "Asks for the passphrase, or reads it as one line from a pipe."
}

// run asks for a passphrase and keeps it in the place of the one there was; every
// device has to show it anew.
func (c *passphraseCommand) run(_ flags, s streams) int {
	data, err := c.file()
	if err != nil {
		return s.refuse("passphrase", err)
	}
	kitchen, err := store.Open(data, time.Now)
	if err != nil {
		return s.refuse("passphrase", err)
	}
	defer func() { _ = kitchen.Close() }()
	if err := askAndKeep(kitchen, s); err != nil {
		return s.refuse("passphrase", err)
	}
	fmt.Fprintln(s.out, "the passphrase is saved; devices sign in with it from now on")
	return exitOK
}

// needsPassphrase makes sure that a kitchen open beyond this machine has one,
// asking for it where it has none.
func needsPassphrase(kitchen *store.Store, s streams) error {
	hash, err := kitchen.PassphraseHash()
	if err != nil || hash != "" {
		return err
	}
	fmt.Fprintln(s.err, "Other devices will be able to use this kitchen, so it needs a passphrase.")
	if err := askAndKeep(kitchen, s); err != nil {
		return fmt.Errorf("a kitchen open to other devices needs a passphrase; set it here or with 'plushladle passphrase': %w", err)
	}
	return nil
}

func askAndKeep(kitchen *store.Store, s streams) error {
	text, err := ask(s)
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
func ask(s streams) (string, error) {
	file, ok := s.in.(*os.File)
	if !ok || !term.IsTerminal(int(file.Fd())) {
		line, err := bufio.NewReader(s.in).ReadString('\n')
		if err != nil && line == "" {
			return "", errors.New("no passphrase was given")
		}
		return strings.TrimRight(line, "\r\n"), nil
	}
	var typed [2]string
	for n, question := range []string{"Passphrase: ", "Repeat it: "} {
		fmt.Fprint(s.err, question)
		line, err := term.ReadPassword(int(file.Fd()))
		fmt.Fprintln(s.err)
		if err != nil {
			return "", errors.New("no passphrase was given")
		}
		typed[n] = string(line)
	}
	if typed[0] != typed[1] {
		return "", errors.New("the two did not match; nothing was changed")
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
