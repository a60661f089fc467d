// Package mariadbd runs a private MariaDB server on a data directory of its
// own, for the demo, for a keeper without a server, and for tests.
//
// It listens on a free port of loopback, for a user whose password lies in the data
// folder and whose rights end at its own database. For maintenance there is a socket,
// which lets in the user of the system that runs it and nobody else.
package mariadbd

import (
	"context"
	"crypto/rand"
	"database/sql"
	"errors"
	"net"
	"os"
	"os/exec"
	system "os/user"
	"path/filepath"
	"strconv"
	"sync"
	"syscall"
	"time"

	"keeler/guard"

	_ "github.com/go-sql-driver/mysql"
)

const (
	database     = "keeler"
	user         = "keeler"
	passwordFile = "database-password"
	startTimeout = 60 * time.Second
	stopTimeout  = 30 * time.Second
	pollEvery    = 20 * time.Millisecond
)

// Server is a mariadbd that is kept running: should it end by itself, it is started again.
type Server struct {
	dir     string
	run     string // folder of its socket and temporary tables
	port    int
	word    string // the password of user
	scratch bool   // dir vanishes when it is stopped
	options []string
	lock    *os.File

	mu       sync.Mutex
	cmd      *exec.Cmd
	ended    chan struct{} // closed when cmd has ended
	stopping bool
	done     chan struct{} // closed when there is none any more
}

// Temporary starts a server whose data vanish when it is stopped, for what is measured.
func Temporary(ctx context.Context) (*Server, error) { return temporary(ctx) }

// Hasty is Temporary for what is not measured: data that vanish need not be brought to the disk first.
func Hasty(ctx context.Context) (*Server, error) {
	return temporary(ctx, "--innodb-flush-method=nosync", "--debug-no-sync")
}

func temporary(ctx context.Context, options ...string) (*Server, error) {
	dir, err := os.MkdirTemp("", "keeler-data-")
	if err != nil {
		return nil, err
	}
	s, err := start(ctx, dir, options...)
	if err != nil {
		_ = os.RemoveAll(dir)
		return nil, err
	}
	s.scratch = true
	return s, nil
}

// ErrInUse is returned for a folder that another Keeler uses.
var ErrInUse = errors.New("in use by another Keeler")

// Running is the data source name of the server that another Keeler runs in a folder, for
// who runs this program on the same machine as the same user.
func Running(dir string) (string, error) {
	run, err := os.ReadFile(filepath.Join(dir, runNote))
	if err != nil {
		return "", err
	}
	return (&Server{run: string(run)}).Maintenance(database), nil
}

// Start makes the data directory where it is missing, starts mariadbd on it and
// waits until it answers. A directory can be used by one process at a time: what a killed
// one left running there is stopped, and what it left lying is removed.
func Start(ctx context.Context, dir string) (*Server, error) { return start(ctx, dir) }

func start(ctx context.Context, dir string, options ...string) (*Server, error) {
	dir, err := filepath.Abs(dir)
	if err != nil {
		return nil, err
	}
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return nil, err
	}
	s := &Server{dir: dir, options: options, done: make(chan struct{})}
	if s.lock, err = lock(filepath.Join(dir, "in-use")); err != nil {
		return nil, err
	}
	if err := s.prepare(ctx); err != nil {
		s.release()
		return nil, err
	}
	if err := s.again(ctx); err != nil {
		s.release()
		return nil, err
	}
	go func() { _ = guard.Try(func() error { s.keep(); return nil }) }()
	return s, nil
}

func (s *Server) prepare(ctx context.Context) (err error) {
	if s.word, err = password(filepath.Join(s.dir, passwordFile)); err != nil {
		return err
	}
	if err := stopOrphans(s.data()); err != nil {
		return err
	}
	// A socket's path must be short; and a starting mariadbd clears temporary
	// tables out of its tmpdir, another server's with them.
	if s.run, err = runFolder(filepath.Join(s.dir, runNote)); err != nil {
		return err
	}
	return initialise(ctx, s.data(), s.run)
}

func (s *Server) data() string   { return filepath.Join(s.dir, "mariadb") }
func (s *Server) socket() string { return filepath.Join(s.run, "db.sock") }
func (s *Server) log() string    { return filepath.Join(s.dir, "mariadbd.log") }

const mostTries = 3

// again launches a mariadbd, on the port of the one before where there was one.
func (s *Server) again(ctx context.Context) (err error) {
	first := s.port == 0
	for range mostTries {
		// Somebody else may have taken the port that was free a moment before.
		if first {
			if s.port, err = freePort(); err != nil {
				return err
			}
		}
		if err = s.launch(ctx); err == nil || ctx.Err() != nil {
			return err
		}
	}
	return err
}

// keep starts it again whenever it ends, until it is stopped or does not start any more.
func (s *Server) keep() {
	defer close(s.done)
	for {
		<-s.ended
		s.mu.Lock()
		stopping := s.stopping
		s.mu.Unlock()
		if stopping || s.again(context.Background()) != nil {
			return
		}
	}
}

// password reads the database's own, and makes one where there is none.
func password(path string) (string, error) {
	raw, err := os.ReadFile(path)
	if err == nil && len(raw) > 0 {
		return string(raw), os.Chmod(path, 0o600)
	}
	if err != nil && !errors.Is(err, os.ErrNotExist) {
		return "", err
	}
	word := rand.Text()
	return word, os.WriteFile(path, []byte(word), 0o600)
}

// freePort is a port of loopback that nobody listens on now.
func freePort() (int, error) {
	l, err := net.Listen("tcp", loopback+":0")
	if err != nil {
		return 0, err
	}
	return l.Addr().(*net.TCPAddr).Port, l.Close()
}

const loopback = "127.0.0.1"

// DSN is the data source name of the server's one database.
func (s *Server) DSN() string { return s.dsn(database) }

func (s *Server) dsn(database string) string {
	return user + ":" + s.word + "@tcp(" + loopback + ":" + strconv.Itoa(s.port) + ")/" + database
}

// Maintenance is the data source name by which the server itself is looked after, by the socket
// and of nobody but the user whom this program runs as.
func (s *Server) Maintenance(database string) string {
	me, err := system.Current()
	if err != nil {
		me = &system.User{} // who has no name made no server, either
	}
	return me.Username + "@unix(" + s.socket() + ")/" + database
}

// Database makes a further, empty database, or empties the one of that name, and gives
// its data source name; for tests.
func (s *Server) Database(ctx context.Context, name string) (string, error) {
	db, err := sql.Open("mysql", s.Maintenance(""))
	if err != nil {
		return "", err
	}
	defer func() { _ = db.Close() }()
	db.SetMaxOpenConns(1) // what is set holds for one connection
	for _, statement := range []string{
		"SET foreign_key_checks = 0",
		"CREATE OR REPLACE DATABASE `" + name + "`",
		"GRANT ALL ON `" + name + "`.* TO '" + user + "'@'" + loopback + "'",
	} {
		if _, err := db.ExecContext(ctx, statement); err != nil {
			return "", err
		}
	}
	return s.dsn(name), nil
}

// Done is closed when there is no server any more: it was stopped, or ended and did not
// start again.
func (s *Server) Done() <-chan struct{} { return s.done }

// Pid is its process, for tests that end it.
func (s *Server) Pid() int {
	s.mu.Lock()
	defer s.mu.Unlock()
	return s.cmd.Process.Pid
}

// Stop ends the server in order.
func (s *Server) Stop() { s.end(syscall.SIGTERM) }

// Kill ends the server as a power cut would. For tests.
func (s *Server) Kill() { s.end(syscall.SIGKILL) }

func (s *Server) end(by syscall.Signal) {
	s.mu.Lock()
	s.stopping = true
	_ = s.cmd.Process.Signal(by)
	s.mu.Unlock()
	select {
	case <-s.done:
	case <-time.After(stopTimeout):
		s.mu.Lock()
		_ = s.cmd.Process.Kill()
		s.mu.Unlock()
		<-s.done
	}
	s.release()
}

func (s *Server) release() {
	if s.run != "" {
		_ = os.RemoveAll(s.run)
	}
	_ = s.lock.Close()
	if s.scratch {
		_ = os.RemoveAll(s.dir)
	}
}
