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
	"fmt"
	"net"
	"os"
	"os/exec"
	"path/filepath"
	"runtime"
	"strconv"
	"syscall"
	"time"

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

// Server is a running mariadbd.
type Server struct {
	socket  string
	port    int
	word    string // the password of user
	scratch string // the data directory of a temporary server
	lock    *os.File
	cmd     *exec.Cmd
	done    chan struct{} // closed when the process has ended
}

// Temporary starts a server whose data vanish when it is stopped, for tests,
// benchmarks and pictures.
func Temporary(ctx context.Context) (*Server, error) {
	dir, err := os.MkdirTemp("", "keeler-data-")
	if err != nil {
		return nil, err
	}
	s, err := Start(ctx, dir)
	if err != nil {
		_ = os.RemoveAll(dir)
		return nil, err
	}
	s.scratch = dir
	return s, nil
}

// Start makes the data directory where it is missing, starts mariadbd on it and
// waits until it answers. A directory can be used by one process at a time.
func Start(ctx context.Context, dir string) (*Server, error) {
	dir, err := filepath.Abs(dir)
	if err != nil {
		return nil, err
	}
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return nil, err
	}
	s := &Server{done: make(chan struct{})}
	if s.lock, err = lock(filepath.Join(dir, "in-use")); err != nil {
		return nil, err
	}
	if s.word, err = password(filepath.Join(dir, passwordFile)); err != nil {
		s.release()
		return nil, err
	}
	for try := 1; ; try++ {
		err := s.start(ctx, dir)
		if err == nil {
			return s, nil
		}
		// Somebody else may have taken the port that was free a moment before.
		if try == mostTries || ctx.Err() != nil {
			s.release()
			return nil, err
		}
		s.done = make(chan struct{})
	}
}

const mostTries = 3

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

func (s *Server) start(ctx context.Context, dir string) error {
	// A socket's path must be short; and a starting mariadbd clears temporary
	// tables out of its tmpdir, another server's with them.
	run, err := os.MkdirTemp("", "keeler-")
	if err != nil {
		return err
	}
	s.socket = filepath.Join(run, "db.sock")
	data := filepath.Join(dir, "mariadb")
	if err := initialise(ctx, data, run); err != nil {
		return err
	}
	if s.port, err = freePort(); err != nil {
		return err
	}
	s.cmd = exec.Command(find("mariadbd"), "--no-defaults", "--datadir="+data, "--socket="+s.socket, "--tmpdir="+run,
		"--pid-file="+filepath.Join(run, "db.pid"), "--log-error="+filepath.Join(dir, "mariadbd.log"),
		"--bind-address="+loopback, "--port="+strconv.Itoa(s.port), "--skip-name-resolve", "--skip-log-bin",
		"--character-set-server=utf8mb4", "--collation-server=utf8mb4_uca1400_as_ci",
		"--innodb-flush-log-at-trx-commit=1", "--innodb-buffer-pool-size=64M")
	s.cmd.Args = append(s.cmd.Args, asUser()...)
	// A group of its own: Ctrl-C reaches Keeler alone, which stops it in order.
	// Should Keeler be killed, the kernel asks mariadbd to stop.
	s.cmd.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Pdeathsig: syscall.SIGTERM}
	started := make(chan error)
	go func() {
		runtime.LockOSThread() // Pdeathsig is tied to the thread that starts the child
		err := s.cmd.Start()
		started <- err
		if err == nil {
			_ = s.cmd.Wait()
		}
		close(s.done)
	}()
	if err := <-started; err != nil {
		return fmt.Errorf("mariadbd: %w (make setup installs it)", err)
	}
	if err := s.wait(ctx); err != nil {
		_ = s.cmd.Process.Kill()
		<-s.done
		return fmt.Errorf("mariadbd did not start, see %s: %w", filepath.Join(dir, "mariadbd.log"), err)
	}
	return nil
}

// wait makes the database and its user as soon as the server answers.
func (s *Server) wait(ctx context.Context) error {
	ctx, cancel := context.WithTimeout(ctx, startTimeout)
	defer cancel()
	db, err := sql.Open("mysql", s.Maintenance(""))
	if err != nil {
		return err
	}
	defer func() { _ = db.Close() }()
	tick := time.NewTicker(pollEvery)
	defer tick.Stop()
	for {
		err := s.grant(ctx, db)
		if err == nil {
			return nil
		}
		select {
		case <-s.done:
			return errors.New("it ended at once")
		case <-ctx.Done():
			return err
		case <-tick.C:
		}
	}
}

func (s *Server) grant(ctx context.Context, db *sql.DB) error {
	at := "'" + user + "'@'" + loopback + "'"
	for _, statement := range []string{
		"CREATE DATABASE IF NOT EXISTS " + database,
		"CREATE USER IF NOT EXISTS " + at + " IDENTIFIED BY '" + s.word + "'",
		"ALTER USER " + at + " IDENTIFIED BY '" + s.word + "'",
		"GRANT ALL ON " + database + ".* TO " + at,
	} {
		if _, err := db.ExecContext(ctx, statement); err != nil {
			return err
		}
	}
	return nil
}

// DSN is the data source name of the server's one database.
func (s *Server) DSN() string { return s.dsn(database) }

func (s *Server) dsn(database string) string {
	return user + ":" + s.word + "@tcp(" + loopback + ":" + strconv.Itoa(s.port) + ")/" + database
}

// Maintenance is the data source name by which the server itself is looked after.
func (s *Server) Maintenance(database string) string {
	return "root@unix(" + s.socket + ")/" + database
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

// Done is closed when the server has ended, for whatever reason.
func (s *Server) Done() <-chan struct{} { return s.done }

// Stop ends the server in order.
func (s *Server) Stop() {
	_ = s.cmd.Process.Signal(syscall.SIGTERM)
	select {
	case <-s.done:
	case <-time.After(stopTimeout):
		_ = s.cmd.Process.Kill()
		<-s.done
	}
	s.release()
}

// Kill ends the server as a power cut would. For tests.
func (s *Server) Kill() {
	_ = s.cmd.Process.Kill()
	<-s.done
	s.release()
}

func (s *Server) release() {
	if s.socket != "" {
		_ = os.RemoveAll(filepath.Dir(s.socket))
	}
	_ = s.lock.Close()
	if s.scratch != "" {
		_ = os.RemoveAll(s.scratch)
	}
}
