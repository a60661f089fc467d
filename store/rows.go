package store

import (
	"errors"

	"github.com/samber/lo"
	"gorm.io/gorm"
)

// all reads what a query finds.
func all[Row any](q *gorm.DB) ([]Row, error) {
	var out []Row
	err := q.Find(&out).Error
	return out, err
}

// each hands over what a query finds, column by column and one row at a time: for thousands.
func each[Row any](q *gorm.DB, columns func(*Row) []any, with func(Row)) (err error) {
	rows, err := q.Rows()
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, rows.Close()) }()
	var row Row
	into := columns(&row)
	for rows.Next() {
		if err := rows.Scan(into...); err != nil {
			return err
		}
		with(row)
	}
	return rows.Err()
}

// first reads one row, or gives ErrNotFound.
func first[Row any](q *gorm.DB) (Row, error) {
	var row Row
	err := q.First(&row).Error
	if errors.Is(err, gorm.ErrRecordNotFound) {
		err = ErrNotFound
	}
	return row, err
}

// orElse is what became of a change that must meet a row: none where it met none.
func orElse(none error, done *gorm.DB) error {
	if done.Error == nil && done.RowsAffected == 0 {
		return none
	}
	return done.Error
}

// value reads one column of one row; nothing where there is none.
func value[Value any](q *gorm.DB) (Value, error) {
	var v Value
	err := q.Scan(&v).Error
	return v, err
}

// byID reads the columns id and value.
func byID[Value any](q *gorm.DB) (map[string]Value, error) {
	type pair struct {
		ID    string
		Value Value
	}
	var pairs []pair
	err := q.Scan(&pairs).Error
	return lo.SliceToMap(pairs, func(p pair) (string, Value) { return p.ID, p.Value }), err
}
