package store

import (
	"context"
	"database/sql"
	"errors"
	"time"

	"github.com/go-sql-driver/mysql"
	"github.com/sethvargo/go-retry"
	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Within does several things, all or nothing; within another, as part of that.
func (o Operation) Within(ctx context.Context, do func(Operation) error) error {
	return transact(ctx, o.db, func(tx *gorm.DB) error { return do(Operation{tx, o.id}) })
}

// transact is the only way into a transaction.
func transact(ctx context.Context, db *gorm.DB, do func(tx *gorm.DB) error) error {
	if _, inside := db.Statement.ConnPool.(gorm.TxCommitter); inside {
		return do(db.WithContext(ctx))
	}
	return retried(ctx, func() error {
		return db.WithContext(ctx).Transaction(func(tx *gorm.DB) error { return do(tx.Set(spoken, new(bool)).Session(&gorm.Session{})) })
	})
}

// pool is the connections to a database. A statement by itself is a transaction, too.
type pool struct{ *sql.DB }

// ExecContext writes.
func (p pool) ExecContext(ctx context.Context, query string, args ...any) (done sql.Result, err error) {
	err = retried(ctx, func() error {
		done, err = p.DB.ExecContext(ctx, query, args...)
		return err
	})
	return done, err
}

// How often a transaction is tried, and how long after the first time again: a little
// longer each time, and never just when another is.
const (
	mostTries  = 12
	firstPause = 2 * time.Millisecond
	jitter     = 60 // percent
)

// retried does a transaction again that the database ended, whole, because it and another
// waited for each other, or because another server of the cluster was faster.
func retried(ctx context.Context, do func() error) error {
	pauses := retry.WithMaxRetries(mostTries-1, retry.WithJitterPercent(jitter, retry.NewFibonacci(firstPause)))
	return retry.Do(ctx, pauses, func(context.Context) error {
		err := do()
		if outrun(err) {
			return retry.RetryableError(err)
		}
		return err
	})
}

func outrun(err error) bool {
	const deadlock = 1213 // a certification that failed in a cluster is told as one
	var of *mysql.MySQLError
	return errors.As(err, &of) && of.Number == deadlock
}

// hold keeps others from changing a row until the transaction is over; ErrNotFound where
// there is none.
func (o Operation) hold(ctx context.Context, table, id string) error {
	if err := o.holdName(ctx, id); err != nil {
		return err
	}
	there, err := value[string](o.own(ctx).Table(table).Clauses(clause.Locking{Strength: "UPDATE"}).Select("id").Where("id = ?", id))
	if err == nil && there == "" {
		return ErrNotFound
	}
	return err
}

// wholeOperation is held for what all of an operation has one of.
const wholeOperation = ""

// holdName writes who held something last: of two who hold it at different nodes of a cluster,
// which lock nothing for each other, one is told so at the end and tries again.
func (o Operation) holdName(ctx context.Context, what string) error {
	return o.db.WithContext(ctx).Exec("INSERT INTO holds (operation_id, what, times) VALUES (?, ?, 1) ON DUPLICATE KEY UPDATE times = times + 1", o.id, what).Error
}

// HoldBatch reads a batch that nobody else changes until the transaction is over, nor
// writes into its account.
func (o Operation) HoldBatch(ctx context.Context, id string) (Batch, error) {
	if err := o.hold(ctx, "batches", id); err != nil {
		return Batch{}, err
	}
	return o.Batch(ctx, id)
}

// HoldYard keeps the line of a yard as it is until the transaction is over.
func (o Operation) HoldYard(ctx context.Context, id string) error { return o.hold(ctx, "yards", id) }
