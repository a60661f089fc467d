package mariadbd

import (
	"context"
	"database/sql"
	"os"
	"path/filepath"
	"strconv"
	"strings"
	"testing"
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
