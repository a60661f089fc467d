-- +goose Up
-- Where a season of practice was begun from, to go back to.
ALTER TABLE operations
  ADD COLUMN IF NOT EXISTS practice_home BIGINT UNSIGNED NULL COMMENT 'the operation that it was begun from';

-- +goose Down
ALTER TABLE operations DROP COLUMN IF EXISTS practice_home;
