package mariadbd

import (
	"bufio"
	"io"
	"net"
	"strings"
	"sync"
	"sync/atomic"

	"keeler/guard"

	"github.com/go-sql-driver/mysql"
)

// Line is what a store asks its database through, and what tests can cut at a statement,
// or hold as if the database stood still.
type Line struct {
	listener net.Listener
	to       string

	mu      sync.Mutex
	ends    []net.Conn
	asked   int
	cutAt   int // 0: nowhere
	deliver bool
	held    chan struct{} // nil while it is not; closed when it is let go
}

// NewLine opens a line to the database of a data source name, and gives the name by which
// the store goes through it.
func NewLine(dsn string) (*Line, string, error) {
	config, err := mysql.ParseDSN(dsn)
	if err != nil {
		return nil, "", err
	}
	listener, err := net.Listen("tcp", loopback+":0")
	if err != nil {
		return nil, "", err
	}
	l := &Line{listener: listener, to: config.Addr}
	go func() { _ = guard.Try(func() error { l.accept(); return nil }) }()
	return l, strings.Replace(dsn, config.Addr, listener.Addr().String(), 1), nil
}

// CutAt ends every connection, once, at the nth statement from now: before it is asked,
// or with delivered before it is answered. 0: nowhere.
func (l *Line) CutAt(n int, delivered bool) {
	l.mu.Lock()
	defer l.mu.Unlock()
	l.asked, l.cutAt, l.deliver = 0, n, delivered
}

// Asked is how many statements there were since the last CutAt.
func (l *Line) Asked() int {
	l.mu.Lock()
	defer l.mu.Unlock()
	return l.asked
}

// Hold lets no statement through until Go.
func (l *Line) Hold() {
	l.mu.Lock()
	defer l.mu.Unlock()
	l.held = make(chan struct{})
}

// Go lets statements through again.
func (l *Line) Go() {
	l.mu.Lock()
	defer l.mu.Unlock()
	close(l.held)
	l.held = nil
}

// Close ends the line.
func (l *Line) Close() {
	_ = l.listener.Close()
	l.cut()
}

func (l *Line) cut() {
	l.mu.Lock()
	defer l.mu.Unlock()
	for _, c := range l.ends {
		_ = c.Close()
	}
	l.ends = nil
}

func (l *Line) accept() {
	for {
		client, err := l.listener.Accept()
		if err != nil {
			return
		}
		server, err := net.Dial("tcp", l.to)
		if err != nil {
			_ = client.Close()
			continue
		}
		l.mu.Lock()
		l.ends = append(l.ends, client, server)
		l.mu.Unlock()
		lose := new(atomic.Bool)
		go func() { _ = guard.Try(func() error { l.answer(client, server, lose); return nil }) }()
		go func() { _ = guard.Try(func() error { l.carry(client, server, lose); return nil }) }()
	}
}

// answer passes what comes back, until an answer is to be lost.
func (l *Line) answer(client, server net.Conn, lose *atomic.Bool) {
	defer func() { _ = client.Close() }()
	part := make([]byte, 32<<10)
	for {
		n, err := server.Read(part)
		if err != nil {
			return
		}
		if lose.Load() { // by now the statement has been done
			l.cut()
			return
		}
		if _, err := client.Write(part[:n]); err != nil {
			return
		}
	}
}

// carry passes packets on: three bytes of length, one that counts them within a command,
// and the command in the first byte of the first (MariaDB's client protocol).
func (l *Line) carry(client, server net.Conn, lose *atomic.Bool) {
	defer func() { _ = server.Close() }()
	const head, quit, ping = 4, 0x01, 0x0e
	in := bufio.NewReader(client)
	for {
		lead, err := in.Peek(head + 1)
		if err != nil {
			return
		}
		length := int64(lead[0]) | int64(lead[1])<<8 | int64(lead[2])<<16
		if command := lead[head]; lead[3] == 0 && command != quit && command != ping {
			cut, deliver := l.passes()
			if cut && !deliver {
				l.cut()
				return
			}
			lose.Store(cut)
		}
		if _, err := io.CopyN(server, in, head+length); err != nil {
			return
		}
	}
}

// passes counts a statement, waits while the line is held, and tells whether it is to be
// cut here.
func (l *Line) passes() (cut, deliver bool) {
	l.mu.Lock()
	held := l.held
	l.asked++
	cut, deliver = l.asked == l.cutAt, l.deliver
	l.mu.Unlock()
	if held != nil {
		<-held
	}
	return cut, deliver
}
