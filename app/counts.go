package app

import (
	"context"
	"strings"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/mites"
	"keeler/store"
	"keeler/wire"
)

// Count keeps counts of mites, all or none.
func (d Desk) Count(ctx context.Context, in wire.MiteCounts) (wire.CountBook, error) {
	rows := make([]store.MiteCount, len(in.Counts))
	var l fault.List
	for i, c := range in.Counts {
		before := len(l)
		on := readDay("on", c.On, d.today(), d.today(), &l)
		count := mites.Count{Kind: mites.Kind(c.Kind), Mites: c.Mites, Days: c.Days, Bees: c.Bees, On: on}
		if of, wrong := count.Check(d.today()).(fault.List); wrong {
			l = append(l, of...)
		}
		l.Beneath(before, "counts", i)
		rows[i] = store.MiteCount{
			ID: c.ID, ColonyID: c.ColonyID, Kind: c.Kind, Mites: c.Mites, Days: c.Days, Bees: c.Bees,
			CountedOn: timeOf(on), Note: strings.TrimSpace(c.Note), UserID: d.who.User, CreatedAt: d.stamp(),
		}
	}
	if err := l.Err(); err != nil {
		return wire.CountBook{}, err
	}
	if err := d.op.Count(ctx, rows); err != nil {
		return wire.CountBook{}, err
	}
	return d.told(ctx, rows)
}

// told gives counts with their standing, by the latitudes of their yards.
func (d Desk) told(ctx context.Context, rows []store.MiteCount) (wire.CountBook, error) {
	lines, err := d.lines(ctx)
	if err != nil {
		return wire.CountBook{}, err
	}
	latitudes, err := d.op.Latitudes(ctx)
	if err != nil {
		return wire.CountBook{}, err
	}
	out := wire.CountBook{Counts: make([]wire.MiteCount, len(rows))}
	for i, r := range rows {
		out.Counts[i] = countOf(r, latitudes[r.ColonyID], lines)
	}
	return out, nil
}

// Counts lists the counts of a yard, the oldest first.
func (d Desk) Counts(ctx context.Context, yard string) (wire.CountBook, error) {
	if _, err := d.op.Yard(ctx, yard); err != nil {
		return wire.CountBook{}, err
	}
	rows, err := d.op.Counts(ctx, "", yard)
	if err != nil {
		return wire.CountBook{}, err
	}
	return d.told(ctx, rows)
}

// VoidCount strikes a count out; it stays, with the reason.
func (d Desk) VoidCount(ctx context.Context, id, reason string) error {
	reason = strings.TrimSpace(reason)
	if reason == "" {
		return fault.List{{Field: "reason", Reason: fault.Missing}}
	}
	return d.op.VoidCount(ctx, id, reason, d.stamp())
}

func countOf(r store.MiteCount, latitude float64, lines mites.Lines) wire.MiteCount {
	s := standing(r, latitude, lines)
	out := wire.MiteCount{
		ID: r.ID, ColonyID: r.ColonyID, Kind: r.Kind, Mites: r.Mites, Days: r.Days, Bees: r.Bees,
		On: r.CountedOn.Format(dateForm), Note: r.Note, Standing: &s,
	}
	if r.VoidedAt != nil {
		out.VoidReason = r.VoidReason
	}
	return out
}

// lines are the trade's, with the operation's own over them.
func (d Desk) lines(ctx context.Context) (mites.Lines, error) {
	rows, err := d.op.Lines(ctx)
	out := mites.Trade
	for _, r := range rows {
		if r.Season >= 0 && r.Season < len(out) {
			out[r.Season] = mites.Line{Wash: r.Wash, Board: r.Board}
		}
	}
	return out, err
}

// Lines tells where the operation acts, and where the trade does.
func (d Desk) Lines(ctx context.Context) (wire.MiteLines, error) {
	own, err := d.lines(ctx)
	return wire.MiteLines{Lines: linesOf(own), Trade: linesOf(mites.Trade)}, err
}

func linesOf(lines mites.Lines) []wire.MiteLine {
	out := make([]wire.MiteLine, len(lines))
	for i, l := range lines {
		out[i] = wire.MiteLine{Season: calendar.Names[i], Wash: l.Wash, Board: l.Board}
	}
	return out
}

// SetLines changes where the operation acts.
func (d Desk) SetLines(ctx context.Context, in wire.MiteLines) (wire.MiteLines, error) {
	var lines mites.Lines
	rows := make([]store.MiteLine, len(lines))
	for i, l := range in.Lines {
		if l.Season != calendar.Names[i] {
			return wire.MiteLines{}, fault.List{{Field: fault.Index("lines", i) + ".season", Reason: fault.Unknown}}
		}
		lines[i] = mites.Line{Wash: l.Wash, Board: l.Board}
		rows[i] = store.MiteLine{Season: i, Wash: l.Wash, Board: l.Board}
	}
	if err := lines.Check(); err != nil {
		return wire.MiteLines{}, err
	}
	if err := d.op.SetLines(ctx, rows); err != nil {
		return wire.MiteLines{}, err
	}
	return d.Lines(ctx)
}
