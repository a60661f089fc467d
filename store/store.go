// Package store keeps Keeler's records in MariaDB: models, migrations, queries.
// It knows no HTTP and no rule of the job.
package store

import (
	"context"
	"crypto/rand"
	"database/sql"
	"errors"
	"time"

	driver "github.com/go-sql-driver/mysql"
	"gorm.io/driver/mysql"
	"gorm.io/gorm"
	"gorm.io/gorm/logger"
)

// ErrNotFound is returned for what the operation does not have.
var ErrNotFound = errors.New("not found")

// ErrConflict is returned when an id is used again for something else.
var ErrConflict = errors.New("this id already belongs to another record")

// Store is a connection pool to one database.
type Store struct {
	db     *gorm.DB
	pool   *sql.DB
	config *driver.Config
	health health
	self   string // which of the servers of its database it is for
}

// Open prepares connections to the database that the DSN names, in the form of
// go-sql-driver/mysql; times are kept in UTC.
func Open(dsn string) (*Store, error) {
	config, err := configure(dsn)
	if err != nil {
		return nil, err
	}
	connector, err := driver.NewConnector(config)
	if err != nil {
		return nil, err
	}
	s := &Store{pool: sql.OpenDB(connector), config: config, self: rand.Text()}
	s.pool.SetMaxOpenConns(mostConnections)
	s.pool.SetMaxIdleConns(mostConnections)
	s.pool.SetConnMaxIdleTime(idleFor)
	s.db, err = gorm.Open(mysql.New(mysql.Config{Conn: pool{s.pool}}), &gorm.Config{
		SkipDefaultTransaction: true, // what is more than one statement says so itself
		TranslateError:         true,
		Logger:                 logger.Discard, // errors are returned, and logged once by the caller
		NowFunc:                func() time.Time { return time.Now().UTC() },
	})
	if err != nil {
		return nil, errors.Join(err, s.pool.Close())
	}
	s.db = s.db.Set(teller, s.self).Session(&gorm.Session{})
	return s, errors.Join(s.db.Callback().Create().Before("gorm:create").Register("operation", enter), telling(s.db))
}

// Pool is the connections, for who watches over them.
func (s *Store) Pool() *sql.DB { return s.pool }

// Close gives the connections back.
func (s *Store) Close() error { return s.pool.Close() }

// FirstOperation is there from the beginning; the first owner claims it.
const FirstOperation uint64 = 1

// Operation is the store as one operation sees it: it reads and writes nothing
// of any other.
type Operation struct {
	db *gorm.DB
	id uint64
}

// For opens the store for one operation.
func (s *Store) For(operation uint64) Operation {
	return Operation{db: s.db.Set(owner, operation).Session(&gorm.Session{}), id: operation}
}

// owner is the setting under which a query carries its operation.
const owner = "operation"

// enter makes new rows those of the operation that writes them.
func enter(q *gorm.DB) {
	if id, known := q.Get(owner); known && q.Statement.Schema.LookUpField("OperationID") != nil {
		q.Statement.SetColumn("OperationID", id, true)
	}
}

// own starts a query on the operation's own rows.
func (o Operation) own(ctx context.Context) *gorm.DB {
	return o.db.WithContext(ctx).Where("operation_id = ?", o.id)
}
