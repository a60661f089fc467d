-- +goose Up
-- A season of practice is an operation of its own, in which nothing is real.
ALTER TABLE operations
  ADD COLUMN IF NOT EXISTS practice_seed INT UNSIGNED NULL COMMENT 'what its hidden truth comes from; NULL: the operation is real',
  ADD COLUMN IF NOT EXISTS practice_level TINYINT UNSIGNED NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS practice_from DATE NULL COMMENT 'the day that it began on, by its own clock',
  ADD COLUMN IF NOT EXISTS practice_days INT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'by which that clock was brought forward';

-- +goose Down
ALTER TABLE operations DROP COLUMN IF EXISTS practice_days;
ALTER TABLE operations DROP COLUMN IF EXISTS practice_from;
ALTER TABLE operations DROP COLUMN IF EXISTS practice_level;
ALTER TABLE operations DROP COLUMN IF EXISTS practice_seed;
