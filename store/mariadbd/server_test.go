package mariadbd

import (
	"context"
	"database/sql"
	"errors"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"syscall"
	"testing"
	"time"
)

func up(t *testing.T, dir string) (*Server, *sql.DB) {
	t.Helper()
	s, err := Start(context.Background(), dir)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(s.Stop)
	db, err := sql.Open("mysql", s.DSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = db.Close() })
	return s, db
}

func run(t *testing.T, db *sql.DB, statement string) {
	t.Helper()
	if _, err := db.ExecContext(t.Context(), statement); err != nil {
		t.Fatalf("%s: %v", statement, err)
	}
}

// What was committed is there after an orderly stop, and after a kill.
func TestDataOutliveTheServer(t *testing.T) {
	dir := t.TempDir()
	s, db := up(t, dir)
	run(t, db, "CREATE TABLE kept (n INT)")
	run(t, db, "INSERT INTO kept VALUES (1)")
	s.Stop()
	s, db = up(t, dir)
	run(t, db, "INSERT INTO kept VALUES (2)")
	s.Kill()
	<-s.Done()
	_, db = up(t, dir)
	var sum int
	if err := db.QueryRowContext(t.Context(), "SELECT SUM(n) FROM kept").Scan(&sum); err != nil || sum != 3 {
		t.Errorf("got %d %v, want 1 + 2", sum, err)
	}
}

func TestOneAtATime(t *testing.T) {
	dir := t.TempDir()
	up(t, dir)
	if _, err := Start(context.Background(), dir); err == nil || !strings.Contains(err.Error(), "in use by another Keeler") {
		t.Errorf("got %v", err)
	}
}

// A first start that was cut short leaves a folder that the next one replaces.
func TestInterruptedFirstStart(t *testing.T) {
	dir := t.TempDir()
	half := filepath.Join(dir, "mariadb.new")
	if err := os.MkdirAll(half, 0o700); err != nil {
		t.Fatal(err)
	}
	if err := os.WriteFile(filepath.Join(half, "ibdata1"), []byte("half"), 0o600); err != nil {
		t.Fatal(err)
	}
	_, db := up(t, dir)
	run(t, db, "SELECT 1")
}

// It listens on loopback alone, for its user with the password of the folder, who has
// rights to its own database and no other; root comes in by the socket only.
func TestWhoComesIn(t *testing.T) {
	dir := t.TempDir()
	s, db := up(t, dir)
	var name, value string
	if err := db.QueryRowContext(t.Context(), "SHOW VARIABLES LIKE 'bind_address'").Scan(&name, &value); err != nil || value != "127.0.0.1" {
		t.Errorf("%s is %s, %v", name, value, err)
	}
	kept, err := os.Stat(filepath.Join(dir, passwordFile))
	if err != nil || kept.Mode().Perm() != 0o600 {
		t.Errorf("the password: %v %v", kept, err)
	}
	for what, dsn := range map[string]string{
		"without a password": strings.Replace(s.DSN(), s.word, "", 1),
		"with a wrong one":   strings.Replace(s.DSN(), s.word, "guess", 1),
		"as root by port":    "root@tcp(127.0.0.1:" + strconv.Itoa(s.port) + ")/",
		"another database":   s.dsn("mysql"),
	} {
		other, err := sql.Open("mysql", dsn)
		if err != nil {
			t.Fatal(err)
		}
		if err := other.PingContext(t.Context()); err == nil {
			t.Errorf("%s one comes in", what)
		}
		_ = other.Close()
	}
	for _, statement := range []string{"CREATE DATABASE another", "SELECT * FROM mysql.global_priv", "SET GLOBAL max_connections = 1", "SHUTDOWN"} {
		if _, err := db.ExecContext(t.Context(), statement); err == nil {
			t.Errorf("%s is allowed", statement)
		}
	}
	root, err := sql.Open("mysql", s.Maintenance(""))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = root.Close() }()
	run(t, root, "SELECT * FROM mysql.global_priv")
}

// answers waits until a query is answered.
func answers(t *testing.T, db *sql.DB) {
	t.Helper()
	for t.Context().Err() == nil {
		if db.PingContext(t.Context()) == nil {
			return
		}
	}
	t.Fatal("it never answers")
}

// One that ends by itself is started again, on its port, with what was committed; once it
// was stopped it stays so.
func TestStartedAgainWhenItEnds(t *testing.T) {
	s, db := up(t, t.TempDir())
	run(t, db, "CREATE TABLE kept (n INT)")
	run(t, db, "INSERT INTO kept VALUES (7)")
	for range 2 {
		before := s.Pid()
		if err := syscall.Kill(before, syscall.SIGKILL); err != nil {
			t.Fatal(err)
		}
		answers(t, db)
		var n int
		if err := db.QueryRowContext(t.Context(), "SELECT n FROM kept").Scan(&n); err != nil || n != 7 || s.Pid() == before {
			t.Errorf("%d as process %d, before %d: %v", n, s.Pid(), before, err)
		}
	}
	s.Stop()
	<-s.Done()
	if db.PingContext(t.Context()) == nil {
		t.Error("stopped, it still answers")
	}
}

// What a killed Keeler left behind does not keep the next one from starting: neither a
// MariaDB that still runs, nor one that was being made, nor its folders.
func TestOrphanIsStopped(t *testing.T) {
	was := askedFor // in vain: none ends while it reads statements
	askedFor = time.Second
	t.Cleanup(func() { askedFor = was })
	dir := t.TempDir()
	s, db := up(t, dir)
	run(t, db, "CREATE TABLE kept (n INT)")
	left := s.run
	s.Stop()
	if err := os.MkdirAll(left, 0o700); err != nil { // as a kill leaves it
		t.Fatal(err)
	}
	for _, data := range []string{s.data(), s.data() + fresh} {
		if err := os.MkdirAll(data, 0o700); err != nil {
			t.Fatal(err)
		}
		orphan := exec.Command(find("mariadbd"), append([]string{"--no-defaults", dataOption + data, "--skip-networking", "--socket=" + filepath.Join(left, "x.sock"),
			"--log-error=" + filepath.Join(dir, "orphan.log"), "--bootstrap"}, asUser()...)...)
		waits, err := orphan.StdinPipe() // it reads statements until this is closed
		if err != nil {
			t.Fatal(err)
		}
		if err := orphan.Start(); err != nil {
			t.Fatal(err)
		}
		go func() { _ = orphan.Wait() }()
		next, db := up(t, dir)
		run(t, db, "SELECT * FROM kept")
		_ = waits.Close()
		if _, err := os.Stat(left); !errors.Is(err, os.ErrNotExist) {
			t.Errorf("the folder of the one before is still there: %v", err)
		}
		next.Stop()
	}
}
