package app

import (
	"context"
	"encoding/json"
	"slices"
	"strings"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/mites"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Count saves counts of mites, all or none.
func (d Desk) Count(ctx context.Context, in wire.MiteCounts) (wire.CountBook, error) {
	rows := make([]store.MiteCount, len(in.Counts))
	var l fault.List
	for i, c := range in.Counts {
		before := len(l)
		rows[i] = d.readCount(c, &l)
		l.Beneath(before, "counts", i)
		if len(c.Marks) > 0 {
			var err error
			if rows[i].Marks, err = json.Marshal(c.Marks); err != nil {
				return wire.CountBook{}, err
			}
		}
	}
	if err := l.Err(); err != nil {
		return wire.CountBook{}, err
	}
	return after(ctx, d.op.Count(ctx, rows), d.told, rows)
}

func (d Desk) readCount(c wire.MiteCount, l *fault.List) store.MiteCount {
	on := readDay("on", c.On, d.today(), d.today(), l)
	count := mites.Count{Kind: mites.Kind(c.Kind), Mites: c.Mites, Days: c.Days, Share: c.Share, Bees: c.Bees, On: on}
	count.CheckMarks(lo.Map(c.Marks, func(m wire.Mark, _ int) [2]float64 { return [2]float64{m.X, m.Y} }), l)
	if of, wrong := count.Check(d.today()).(fault.List); wrong {
		*l = append(*l, of...)
	}
	return store.MiteCount{
		ID: c.ID, ColonyID: c.ColonyID, Kind: c.Kind, Mites: c.Mites, Days: c.Days, Share: c.Share, Bees: c.Bees,
		CountedOn: timeOf(on), Note: strings.TrimSpace(c.Note), UserID: d.who.User, CreatedAt: d.stamp(),
	}
}

// told gives counts with their standing, by the latitudes of their yards.
func (d Desk) told(ctx context.Context, rows []store.MiteCount) (wire.CountBook, error) {
	r := reading{ctx: ctx}
	thresholds, latitudes := all(&r, d.thresholds), all(&r, d.op.Latitudes)
	return wire.CountBook{Counts: lo.Map(rows, func(r store.MiteCount, _ int) wire.MiteCount {
		return countOf(r, latitudes[r.ColonyID], thresholds)
	})}, r.err
}

// Counts lists the counts of a yard, the oldest first.
func (d Desk) Counts(ctx context.Context, yard string) (wire.CountBook, error) {
	r := reading{ctx: ctx}
	by(&r, d.op.Yard, yard)
	rows := by(&r, d.op.CountsIn, yard)
	return after(ctx, r.err, d.told, rows)
}

// VoidCount voids a count; it stays, with the reason.
func (d Desk) VoidCount(ctx context.Context, id string, in wire.Void) error {
	reason := strings.TrimSpace(in.Reason)
	if reason == "" {
		return fault.List{{Field: "reason", Reason: fault.Missing}}
	}
	return d.op.VoidCount(ctx, id, reason, d.stamp())
}

func countOf(r store.MiteCount, latitude float64, thresholds mites.Thresholds) wire.MiteCount {
	s := standing(r, latitude, thresholds)
	out := wire.MiteCount{
		ID: r.ID, ColonyID: r.ColonyID, Kind: r.Kind, Mites: r.Mites, Days: r.Days, Share: r.Share, Bees: r.Bees,
		On: r.CountedOn.Format(dateForm), Note: r.Note, Standing: &s,
	}
	if r.VoidedAt != nil {
		out.VoidReason = r.VoidReason
	}
	_ = json.Unmarshal(r.Marks, &out.Marks) // Keeler wrote them
	out.Photo = r.Photo
	return out
}

// MostPhoto is how large a photo may be, bytes.
const MostPhoto = 2 << 20

// AttachPhoto keeps a photo with a count, once.
func (d Desk) AttachPhoto(ctx context.Context, count string, image []byte) error {
	return d.op.AttachPhoto(ctx, &store.CountPhoto{CountID: count, Image: image, CreatedAt: d.stamp()})
}

// PhotoOf gives the photo of a count.
func (d Desk) PhotoOf(ctx context.Context, count string) ([]byte, error) {
	p, err := d.op.PhotoOf(ctx, count)
	return p.Image, err
}

// thresholds are the trade's, with the operation's own over them.
func (d Desk) thresholds(ctx context.Context) (mites.Thresholds, error) {
	rows, err := d.op.Thresholds(ctx)
	out := mites.Trade
	for _, r := range rows {
		if i := slices.Index(calendar.Names[:], r.Season); i >= 0 {
			out[i] = mites.Threshold{Wash: r.Wash, Board: r.Board}
		}
	}
	return out, err
}

// Thresholds tells where the operation acts, and where the trade does.
func (d Desk) Thresholds(ctx context.Context) (wire.Thresholds, error) {
	own, err := d.thresholds(ctx)
	if err != nil {
		return wire.Thresholds{}, err
	}
	yards, err := d.op.Yards(ctx)
	out := wire.Thresholds{Thresholds: thresholdsOf(own), Trade: thresholdsOf(mites.Trade)}
	latitude := 0.0
	if len(yards) > 0 {
		latitude = yards[0].Latitude
	}
	for i := range out.Thresholds {
		out.Thresholds[i].Months = calendar.Season(i).Months(latitude)
	}
	return out, err
}

func thresholdsOf(thresholds mites.Thresholds) []wire.Threshold {
	out := make([]wire.Threshold, len(thresholds))
	for i, l := range thresholds {
		out[i] = wire.Threshold{Season: calendar.Names[i], Threshold: l}
	}
	return out
}

// SetThresholds changes where the operation acts.
func (d Desk) SetThresholds(ctx context.Context, in wire.Thresholds) (wire.Thresholds, error) {
	var thresholds mites.Thresholds
	rows := make([]store.Threshold, len(thresholds))
	for i, l := range in.Thresholds {
		if l.Season != calendar.Names[i] {
			return wire.Thresholds{}, fault.List{{Field: fault.Index("thresholds", i) + ".season", Reason: fault.Unknown}}
		}
		thresholds[i] = l.Threshold
		rows[i] = store.Threshold{Season: l.Season, Wash: l.Wash, Board: l.Board}
	}
	if err := thresholds.Check(); err != nil {
		return wire.Thresholds{}, err
	}
	if err := d.op.SetThresholds(ctx, rows); err != nil {
		return wire.Thresholds{}, err
	}
	return d.Thresholds(ctx)
}
