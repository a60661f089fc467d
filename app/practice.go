package app

import (
	"context"
	"errors"
	"fmt"
	"time"

	"github.com/google/uuid"
	"github.com/samber/lo"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/outlook"
	"keeler/store"
	"keeler/wire"
	"keeler/words"
)

// A season of practice: how long it goes, where and when it begins, and its hives.
const (
	seasonDays = 365
	// Where it lies: about the middle of the latitudes that bees are kept at in the north.
	practiceLatitude = 51
	practiceHives    = 5
	mostSeeds        = 1_000_000
	mostMove         = 31 // days at once
	firstMonth       = time.May
	morningClock     = 9 // o'clock
)

// practice is what makes an operation a season of practice.
type practice struct {
	seed  uint64
	level outlook.Level
	from  calendar.Day
	days  int
	home  uint64 // the operation that it was begun from; 0: not known
}

func practiceOf(of store.Practice) *practice {
	if of.PracticeSeed == nil || of.PracticeFrom == nil {
		return nil
	}
	return &practice{uint64(*of.PracticeSeed), outlook.Level(of.PracticeLevel), dayOf(*of.PracticeFrom), of.PracticeDays, lo.FromPtr(of.PracticeHome)}
}

// now is where its clock stands.
func (p practice) now(zone *time.Location) time.Time {
	return (p.from + calendar.Day(p.days)).Begins(zone).Add(morningClock * time.Hour)
}

// practised is the season as it is told; nil where the operation is real.
func (d Desk) practised() *wire.Practice {
	p := d.who.Practice
	if p == nil {
		return nil
	}
	return &wire.Practice{Seed: uint32(p.seed), Level: int(p.level), From: written(p.from), To: written(p.from + seasonDays)}
}

// BeginPractice makes a season of practice for the person, in place of the one before: an operation of its own with one yard
// of five hives. It gives the person's place in it.
func (d Desk) BeginPractice(ctx context.Context, in wire.BeginPractice) (Member, error) {
	if d.who.Script {
		return Member{}, ErrForbidden
	}
	var l fault.List
	l.Within("level", float64(in.Level), float64(outlook.Gentle), float64(outlook.Hard), "")
	l.Within("seed", float64(in.Seed), 0, mostSeeds-1, "")
	if err := l.Err(); err != nil {
		return Member{}, err
	}
	if in.Seed == 0 {
		in.Seed = uint32(1 + d.app.set.Chance(mostSeeds-1))
	}
	if err := d.endPractices(ctx); err != nil {
		return Member{}, err
	}
	year, month, _ := d.app.clock().Date()
	if month < firstMonth {
		year--
	}
	from := timeOf(calendar.Of(year, int(firstMonth), 1))
	people := d.app.store.People()
	user, err := people.User(ctx, d.who.User)
	if err != nil {
		return Member{}, err
	}
	home := d.who.Operation
	if d.who.Practice != nil {
		home = d.who.Practice.home
	}
	of := store.Practice{PracticeSeed: &in.Seed, PracticeLevel: in.Level, PracticeFrom: &from, PracticeHome: &home}
	operation, err := people.BeginPractice(ctx, words.PracticeName(in.Seed), d.who.Zone.String(), of, user, d.app.now().UTC())
	if err != nil {
		return Member{}, err
	}
	m, err := d.app.MemberOf(ctx, d.who.User, operation)
	if err == nil {
		err = d.app.Desk(m).settle(ctx)
	}
	if err != nil {
		return Member{}, errors.Join(err, d.app.store.For(operation).Erase(ctx))
	}
	return m, nil
}

// settle puts the yard and its hives there.
func (d Desk) settle(ctx context.Context) error {
	latitude := float64(practiceLatitude)
	yard, err := d.AddYard(ctx, wire.SaveYard{ID: uuid.NewString(), Name: words.PracticeYard(), Latitude: &latitude})
	if err != nil {
		return err
	}
	boxes, err := wire.ParseHive("deep 10 + deep 10")
	if err != nil {
		return err
	}
	all := wire.SaveColonies{YardID: yard.ID}
	for i := range practiceHives {
		all.Colonies = append(all.Colonies, wire.SaveColony{
			ID: uuid.NewString(), YardID: yard.ID, Name: fmt.Sprintf("P%d", i+1), ForHoney: true, Queen: "laying", Boxes: boxes,
		})
	}
	if _, err = d.AddColonies(ctx, all); err != nil {
		return err
	}
	for _, l := range practiceLots {
		l.ID, l.Name = uuid.NewString(), words.PracticeLot()
		if _, err := d.AddLot(ctx, l); err != nil {
			return err
		}
	}
	return nil
}

// practiceLots are in stock when a season begins, at prices of about what is paid, in any money.
var practiceLots = []wire.Lot{
	{Ingredient: "acid", Amount: 1000, Price: 15}, {Ingredient: "sugar", Amount: 10_000, Price: 1.5}, {Ingredient: "glycerol", Amount: 5000, Price: 6},
	{Ingredient: "carrier", Amount: 200, Price: 0.2}, {Ingredient: "formic", Amount: 10_000, Price: 8},
}

// endPractices throws the person's seasons of practice away.
func (d Desk) endPractices(ctx context.Context) error {
	old, err := d.app.store.People().Practices(ctx, d.who.User)
	for _, operation := range old {
		err = errors.Join(err, d.app.store.For(operation).Erase(ctx))
	}
	return err
}

// MovePractice brings the clock of the season forward by 1 to 31 days; outside of practice it is ErrForbidden.
func (d Desk) MovePractice(ctx context.Context, in wire.MovePractice) error {
	if d.who.Practice == nil {
		return ErrForbidden
	}
	var l fault.List
	l.Within("days", float64(in.Days), 1, mostMove, "days")
	if err := l.Err(); err != nil {
		return err
	}
	err := d.op.MovePractice(ctx, in.Days, seasonDays)
	if errors.Is(err, store.ErrNotFound) {
		return fault.List{{Field: "days", Reason: fault.Ended}}
	}
	return err
}

// LeavePractice throws the season away and gives the person's place in the operation that it was begun from, or in the first
// real one where that is none of theirs any more.
func (d Desk) LeavePractice(ctx context.Context) (Member, error) {
	if d.who.Practice == nil {
		return Member{}, ErrForbidden
	}
	m, err := d.app.MemberOf(ctx, d.who.User, d.who.Practice.home)
	if err != nil {
		m, err = d.app.MemberOf(ctx, d.who.User, 0)
	}
	if err != nil {
		return Member{}, err
	}
	return m, d.endPractices(ctx)
}
