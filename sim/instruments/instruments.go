// Package instruments is a stand-in for a balance and a thermometer: each is a TCP
// server that speaks the lines of docs/formats/instruments.md, with noise, drift,
// settling and overload. Besides what a real one is told, it can be poured onto,
// emptied and heated.
package instruments

import (
	"bufio"
	"context"
	"errors"
	"net"
	"strconv"
	"strings"
	"sync"
	"time"

	"keeler/guard"
)

// Every is how often a reading is sent.
const Every = 50 * time.Millisecond

// longest is the longest command taken, in bytes.
const longest = 80

// An Instrument moves on in time, shows something and is told something.
type Instrument interface {
	// Hello is its first line.
	Hello() string
	// Step moves it on by seconds.
	Step(seconds float64)
	// Line is what it shows now.
	Line() string
	// Told is a command with its number, 0 when it has none; false when it cannot.
	Told(command string, amount float64) bool
}

// Serve lets an instrument speak to everybody who connects, until the context ends.
func Serve(ctx context.Context, listener net.Listener, i Instrument) error {
	s := &server{is: i, to: map[net.Conn]struct{}{}}
	context.AfterFunc(ctx, func() { _ = listener.Close() })
	go func() { _ = guard.Try(func() error { s.run(ctx); return nil }) }()
	for {
		conn, err := listener.Accept()
		if err != nil {
			s.end()
			if ctx.Err() != nil || errors.Is(err, net.ErrClosed) {
				return nil
			}
			return err
		}
		s.join(conn)
		go func() { _ = guard.Try(func() error { s.listen(conn); return nil }) }()
	}
}

type server struct {
	mu sync.Mutex
	is Instrument
	to map[net.Conn]struct{}
}

func (s *server) run(ctx context.Context) {
	beat := time.NewTicker(Every)
	defer beat.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-beat.C:
			s.mu.Lock()
			s.is.Step(Every.Seconds())
			line := []byte(s.is.Line() + "\n")
			for conn := range s.to {
				_ = conn.SetWriteDeadline(time.Now().Add(Every))
				if _, err := conn.Write(line); err != nil {
					delete(s.to, conn)
					_ = conn.Close()
				}
			}
			s.mu.Unlock()
		}
	}
}

func (s *server) join(conn net.Conn) {
	s.mu.Lock()
	defer s.mu.Unlock()
	if _, err := conn.Write([]byte(s.is.Hello() + "\n")); err == nil {
		s.to[conn] = struct{}{}
	}
}

func (s *server) listen(conn net.Conn) {
	lines := bufio.NewScanner(conn)
	lines.Buffer(make([]byte, longest), longest)
	for lines.Scan() {
		word, rest, _ := strings.Cut(strings.TrimSpace(lines.Text()), " ")
		amount, _ := strconv.ParseFloat(rest, 64)
		s.mu.Lock()
		s.is.Told(word, amount)
		s.mu.Unlock()
	}
	s.mu.Lock()
	defer s.mu.Unlock()
	delete(s.to, conn)
	_ = conn.Close()
}

func (s *server) end() {
	s.mu.Lock()
	defer s.mu.Unlock()
	for conn := range s.to {
		_ = conn.Close()
	}
}
