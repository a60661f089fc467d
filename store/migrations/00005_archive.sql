-- +goose Up
-- Jobs that are put away: lists of what there is to do leave them out.
ALTER TABLE jobs ADD COLUMN IF NOT EXISTS archived BOOLEAN NOT NULL DEFAULT FALSE;

-- +goose Down
ALTER TABLE jobs DROP COLUMN IF EXISTS archived;
