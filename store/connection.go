package store

import (
	"context"
	"database/sql"
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"
	"sync"
	"time"

	driver "github.com/go-sql-driver/mysql"
)

const (
	mostConnections = 24 // the others wait: more at once make no disk faster
	idleFor         = 5 * time.Minute
	answerWithin    = 4 * time.Second // a network read, so that a database that stands still is noticed
)

// session is what is set for each connection, whatever the server is set to.
var session = map[string]string{
	"sql_mode":  "'STRICT_ALL_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION'",
	"time_zone": "'+00:00'",
	// What is read after a row was held is as the last who held it left it.
	"tx_isolation":             "'READ-COMMITTED'",
	"innodb_lock_wait_timeout": "3",
	// In a cluster, what another node has acknowledged is waited for before it is read or counted on;
	// a server by itself has nothing to wait for.
	"wsrep_sync_wait":    "7",
	"max_statement_time": "8", // one whose asker has gone goes on at the server
}

func configure(dsn string) (*driver.Config, error) {
	config, err := driver.ParseDSN(dsn)
	if err != nil {
		return nil, err
	}
	config.ParseTime = true
	config.Loc = time.UTC
	config.InterpolateParams = true     // one way to the server and back, not two
	config.Logger = &driver.NopLogger{} // errors are returned
	config.Collation = "utf8mb4_general_ci"
	config.Timeout, config.ReadTimeout, config.WriteTimeout = answerWithin, answerWithin, answerWithin
	if config.Params == nil {
		config.Params = map[string]string{}
	}
	maps.Copy(config.Params, session)
	return config, nil
}

// unhurried is a connection for what may take long, such as a change of a large table.
func (s *Store) unhurried() (*sql.DB, error) {
	config := s.config.Clone()
	config.ReadTimeout, config.WriteTimeout = 0, 0
	config.Params["max_statement_time"], config.Params["innodb_lock_wait_timeout"] = "0", "60"
	connector, err := driver.NewConnector(config)
	if err != nil {
		return nil, err
	}
	db := sql.OpenDB(connector)
	db.SetMaxOpenConns(1) // it may lock for itself what is set for one connection
	return db, nil
}

// Check asks whether the server is one that Keeler can keep records in, and tells what
// about it is otherwise than asked for.
func (s *Store) Check(ctx context.Context) error {
	var version, mode, letters, zone, isolation, format string
	var logged bool
	err := s.pool.QueryRowContext(ctx, "SELECT VERSION(), @@sql_mode, @@character_set_connection, @@time_zone, @@tx_isolation, @@binlog_format, @@log_bin").
		Scan(&version, &mode, &letters, &zone, &isolation, &format, &logged)
	if err != nil {
		return err
	}
	if err := enough(version); err != nil {
		return err
	}
	if logged && format == "STATEMENT" {
		return fmt.Errorf("this server logs statements; set binlog_format to MIXED or ROW")
	}
	for what, is := range map[string][2]string{
		"letters": {letters, "utf8mb4"}, "time zone": {zone, "+00:00"}, "isolation": {isolation, "READ-COMMITTED"},
	} {
		if is[0] != is[1] {
			return fmt.Errorf("this server does not let its %s be set to %s for a connection: it is %s", what, is[1], is[0])
		}
	}
	if !slices.Contains(strings.Split(mode, ","), "STRICT_ALL_TABLES") {
		return fmt.Errorf("this server does not let a connection be strict: its sql_mode is %s", mode)
	}
	return nil
}

// enough asks for a MariaDB that has all that the schema uses.
func enough(version string) error {
	const major, minor = 10, 11 // Debian 12's
	number, _, _ := strings.Cut(version, "-")
	parts := strings.SplitN(number, ".", 3)
	if !strings.Contains(version, "MariaDB") || len(parts) < 2 {
		return fmt.Errorf("this server is %s; Keeler needs MariaDB %d.%d or newer", version, major, minor)
	}
	first, _ := strconv.Atoi(parts[0])
	second, _ := strconv.Atoi(parts[1])
	if first < major || first == major && second < minor {
		return fmt.Errorf("this is MariaDB %s; Keeler needs %d.%d or newer", number, major, minor)
	}
	return nil
}

// health is when the database was last asked how it is, and what it said.
type health struct {
	sync.Mutex
	asked time.Time
	said  error
}

const (
	askEvery     = time.Second // however often it is wanted: asking costs a write
	healthWithin = 900 * time.Millisecond
)

// Healthy tells whether the database reads and writes.
func (s *Store) Healthy(ctx context.Context) error {
	s.health.Lock()
	defer s.health.Unlock()
	if time.Since(s.health.asked) > askEvery {
		// One that asks for all others is not hurried by who leaves.
		ctx, cancel := context.WithTimeout(context.WithoutCancel(ctx), healthWithin)
		defer cancel()
		s.health.said = s.db.WithContext(ctx).Exec("INSERT INTO health (id, at) VALUES (1, UTC_TIMESTAMP(6)) ON DUPLICATE KEY UPDATE at = UTC_TIMESTAMP(6)").Error
		s.health.asked = time.Now()
	}
	return s.health.said
}
