// Package store keeps Keeler's records in MariaDB: models, migrations, queries.
// It knows no HTTP and no rule of the job.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"io/fs"
	"time"

	"github.com/alexedwards/scs/mysqlstore"
	driver "github.com/go-sql-driver/mysql"
	"github.com/pressly/goose/v3"
	"gorm.io/driver/mysql"
	"gorm.io/gorm"
	"gorm.io/gorm/logger"
)

//go:embed migrations/*.sql
var files embed.FS

// ErrNotFound is returned for what the operation does not have.
var ErrNotFound = errors.New("not found")

// ErrConflict is returned when an id is used again for something else.
var ErrConflict = errors.New("this id already belongs to another record")

// Store is a connection pool to one database.
type Store struct {
	db       *gorm.DB
	pool     *sql.DB
	sessions *mysqlstore.MySQLStore
}

// Open connects to the database that the DSN names, in the form of
// go-sql-driver/mysql; times are kept in UTC.
func Open(dsn string) (*Store, error) {
	config, err := driver.ParseDSN(dsn)
	if err != nil {
		return nil, err
	}
	config.ParseTime = true
	config.Loc = time.UTC
	config.InterpolateParams = true     // one way to the server and back, not two
	config.Logger = &driver.NopLogger{} // as below: errors are returned
	// What is read after a row was held is as the last who held it left it.
	config.Params = map[string]string{"tx_isolation": "'READ-COMMITTED'"}
	connector, err := driver.NewConnector(config)
	if err != nil {
		return nil, err
	}
	s := &Store{pool: sql.OpenDB(connector)}
	db, err := gorm.Open(mysql.New(mysql.Config{Conn: pool{s.pool}}), &gorm.Config{
		SkipDefaultTransaction: true, // what is more than one statement says so itself
		TranslateError:         true,
		Logger:                 logger.Discard, // errors are returned, and logged once by the caller
		NowFunc:                func() time.Time { return time.Now().UTC() },
	})
	if err != nil {
		return nil, err
	}
	s.db = db
	return s, db.Callback().Create().Before("gorm:create").Register("operation", enter)
}

// Migrate brings the schema to the newest version.
func (s *Store) Migrate(ctx context.Context) error {
	provider, err := s.migrations()
	if err != nil {
		return err
	}
	_, err = provider.Up(ctx)
	return err
}

func (s *Store) migrations() (*goose.Provider, error) {
	migrations, err := fs.Sub(files, "migrations")
	if err != nil {
		return nil, err
	}
	return goose.NewProvider(goose.DialectMySQL, s.pool, migrations)
}

// Ping asks the database for an answer.
func (s *Store) Ping(ctx context.Context) error {
	return s.db.WithContext(ctx).Exec("SELECT 1").Error
}

// Close gives the connections back.
func (s *Store) Close() error {
	if s.sessions != nil {
		s.sessions.StopCleanup()
	}
	return s.pool.Close()
}

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
