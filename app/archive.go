package app

import (
	"context"
	"io"

	"keeler/wire"
)

// MostArchive is how large an archive may be that is taken in, bytes.
const MostArchive = 4 << 30

// BeginArchive writes down that everything is being taken out.
func (d Desk) BeginArchive(ctx context.Context) error {
	return d.logged(ctx, d.op, exported, "archive")
}

// Archive writes everything of the operation into one file.
func (d Desk) Archive(ctx context.Context, into io.Writer) error {
	return d.op.WriteArchive(ctx, into, harmless)
}

// TakeArchive takes an archive into the operation, which must be empty.
func (d Desk) TakeArchive(ctx context.Context, from io.ReaderAt, size int64) (wire.ArchiveTaken, error) {
	is, err := d.op.ReadArchive(ctx, from, size)
	return wire.ArchiveTaken{Colonies: is.Files["colonies.jsonl"].Lines, Applications: is.Files["applications.jsonl"].Lines}, err
}
