package mariadbd

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"os/exec"
	"path/filepath"
	"runtime"
	"slices"
	"strconv"
	"syscall"
	"time"
)

// launch starts a mariadbd and waits until it answers.
func (s *Server) launch(ctx context.Context) error {
	cmd := exec.Command(find("mariadbd"), "--no-defaults", dataOption+s.data(), "--socket="+s.socket(), "--tmpdir="+s.run,
		"--pid-file="+filepath.Join(s.run, "db.pid"), "--log-error="+s.log(),
		"--bind-address="+loopback, "--port="+strconv.Itoa(s.port), "--skip-name-resolve", "--skip-log-bin",
		"--character-set-server=utf8mb4", "--collation-server=utf8mb4_uca1400_as_ci",
		"--innodb-flush-log-at-trx-commit=1", "--innodb-buffer-pool-size=64M")
	cmd.Args = slices.Concat(cmd.Args, s.options, asUser())
	// A group of its own: Ctrl-C reaches Keeler alone, which stops it in order.
	// Should Keeler be killed, the kernel asks mariadbd to stop.
	cmd.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Pdeathsig: syscall.SIGTERM}
	started, ended := make(chan error), make(chan struct{})
	go func() {
		runtime.LockOSThread() // Pdeathsig is tied to the thread that starts the child
		err := cmd.Start()
		started <- err
		if err == nil {
			_ = cmd.Wait()
		}
		close(ended)
	}()
	if err := <-started; err != nil {
		return fmt.Errorf("mariadbd: %w (make setup installs it)", err)
	}
	s.mu.Lock()
	s.cmd, s.ended = cmd, ended
	stopping := s.stopping
	s.mu.Unlock()
	if stopping {
		_ = cmd.Process.Kill()
	}
	if err := s.wait(ctx, ended); err != nil {
		_ = cmd.Process.Kill()
		<-ended
		return fmt.Errorf("mariadbd did not start, see %s: %w", s.log(), err)
	}
	return nil
}

// wait makes the database and its user as soon as the server answers.
func (s *Server) wait(ctx context.Context, ended <-chan struct{}) error {
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
		case <-ended:
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
