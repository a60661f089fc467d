package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"

	"github.com/pressly/goose/v3"
)

//go:embed migrations/*.sql
var files embed.FS

// schema is the steps to the newest version. Each can be run again from its beginning,
// for a statement that changes a table cannot be taken back: a step that was cut short
// is done over.
var schema = func() fs.FS {
	steps, err := fs.Sub(files, "migrations")
	if err != nil {
		panic(err) // the folder is part of the program
	}
	return steps
}()

// Versions are the version of the schema that a database has, 0 for an empty one, and the
// newest that this program knows.
type Versions struct{ Is, Newest int64 }

// Upgrades reports whether there is something to lose in bringing it to the newest.
func (v Versions) Upgrades() bool { return v.Is > 0 && v.Is < v.Newest }

// Newest is the version of the schema that this program knows.
func Newest() int64 {
	steps, err := fs.Glob(schema, "*.sql")
	if err != nil {
		panic(err) // the pattern is whole
	}
	return int64(len(steps))
}

// Versions tells the version of the schema.
func (s *Store) Versions(ctx context.Context) (v Versions, err error) {
	err = s.steps(ctx, schema, func(p *goose.Provider) error {
		v.Is, v.Newest, err = p.GetVersions(ctx)
		return err
	})
	return v, err
}

// Migrate brings the schema to the newest version. A database of a newer program is
// refused.
func (s *Store) Migrate(ctx context.Context) error { return s.migrate(ctx, schema) }

func (s *Store) migrate(ctx context.Context, steps fs.FS) error {
	return s.steps(ctx, steps, func(p *goose.Provider) error {
		is, newest, err := p.GetVersions(ctx)
		if err != nil {
			return err
		}
		if is > newest {
			return fmt.Errorf("this database has schema %d, of a newer Keeler; this one knows %d", is, newest)
		}
		_, err = p.Up(ctx)
		return err
	})
}

// ErrFirst is returned where there is no version before.
var ErrFirst = errors.New("there is no schema before this one")

// StepBack takes the newest step back, and what it added with it.
func (s *Store) StepBack(ctx context.Context) error { return s.stepBack(ctx, schema) }

func (s *Store) stepBack(ctx context.Context, steps fs.FS) error {
	return s.steps(ctx, steps, func(p *goose.Provider) error {
		is, err := p.GetDBVersion(ctx)
		if err != nil {
			return err
		}
		if is <= 1 {
			return ErrFirst
		}
		_, err = p.Down(ctx)
		return err
	})
}

// steps does something with the schema while no other server does.
func (s *Store) steps(ctx context.Context, steps fs.FS, do func(*goose.Provider) error) (err error) {
	giveBack, err := s.lease(ctx, "schema")
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, giveBack()) }()
	db, err := s.unhurried()
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	if err := unbegun(ctx, db); err != nil {
		return err
	}
	provider, err := goose.NewProvider(goose.DialectMySQL, db, steps)
	if err != nil {
		return err
	}
	return do(provider)
}

// unbegun takes back a list of steps without its beginning, as one that was cut short leaves it.
func unbegun(ctx context.Context, db *sql.DB) error {
	var lists, steps int
	const list = "goose_db_version"
	err := db.QueryRowContext(ctx, "SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = ?", list).Scan(&lists)
	if err != nil || lists == 0 {
		return err
	}
	if err := db.QueryRowContext(ctx, "SELECT COUNT(*) FROM "+list).Scan(&steps); err != nil || steps > 0 {
		return err
	}
	_, err = db.ExecContext(ctx, "DROP TABLE "+list)
	return err
}
