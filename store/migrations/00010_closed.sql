-- +goose Up
-- An operation that was erased, but for what its register tells.
ALTER TABLE operations
  ADD COLUMN IF NOT EXISTS kept_until DATE NULL COMMENT 'closed: nothing is written, and what is left goes after this day';

-- +goose Down
ALTER TABLE operations DROP COLUMN IF EXISTS kept_until;
