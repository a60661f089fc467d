package app

import (
	"fmt"

	"keeler/core/outlook"

	lru "github.com/hashicorp/golang-lru/v2"
	"github.com/samber/lo"
)

// tried keeps what was tried last: while a treatment of one plan is dragged, the hive and its other plans stay as they are.
type tried struct {
	hives *lru.Cache[string, lived]
	plans *lru.Cache[string, outlook.Comes]
}

// How much of it is kept. A hive of all possible colonies takes a megabyte.
const (
	hivesKept = 32
	plansKept = 256
)

// kept is room for so many, of which the ones that were asked for last stay.
func kept[Key comparable, Made any](many int) *lru.Cache[Key, Made] {
	room, _ := lru.New[Key, Made](many) // fails for no number above 0
	return room
}

// try tells what plans for a hive come to, of which so many possible colonies are followed.
func (d Desk) try(m miteYear, many int, plans [][]planned) []outlook.Comes {
	hive := fmt.Sprint(d.who.Operation, m.key(), many)
	of := once(d.app.tried.hives, hive, func() lived { return m.follow(many, false) })
	return lo.Map(plans, func(p []planned, i int) outlook.Comes {
		doses := doses(p, i)
		return once(d.app.tried.plans, fmt.Sprint(hive, doses), func() outlook.Comes {
			return of.WhatIf([][]outlook.Dose{doses}, m.horizon())[0]
		})
	})
}

// once is what is kept under a key, made where it is not there yet.
func once[Made any](room *lru.Cache[string, Made], key string, made func() Made) Made {
	of, has := room.Get(key)
	if !has {
		of = made()
		room.Add(key, of)
	}
	return of
}
