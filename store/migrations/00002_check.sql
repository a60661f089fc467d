-- +goose Up
-- What is done at a hive besides a dose, and what is skipped of what a keeper comes back for.
ALTER TABLE applications
  MODIFY kind VARCHAR(10) NOT NULL CHECK (kind IN ('given', 'skipped', 'out', 'other', 'board', 'moved', 'weighed', 'checked')),
  ADD COLUMN IF NOT EXISTS extra BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'of given: it replaces or tops up a part of what is in' AFTER days_high,
  ADD COLUMN IF NOT EXISTS swaps BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'of given: it takes the place of all of its method that was in' AFTER extra,
  ADD COLUMN IF NOT EXISTS eggs BOOLEAN NULL COMMENT 'of checked: seen or not; none: not looked for' AFTER swaps,
  ADD COLUMN IF NOT EXISTS board BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'a clean board went in with it' AFTER eggs;

ALTER TABLE mite_counts
  ADD COLUMN IF NOT EXISTS share DOUBLE NOT NULL DEFAULT 0 COMMENT 'of a board that was counted, its squares spread; 0: all of it' AFTER days,
  ADD COLUMN IF NOT EXISTS marks JSON NULL COMMENT 'where mites were tapped on a photo of the board: [across, down], 0 to 1' AFTER note,
  ADD INDEX IF NOT EXISTS by_day (operation_id, counted_on, voided_at, colony_id, kind, mites, days, share, bees);

CREATE TABLE IF NOT EXISTS followup_skips (
  operation_id BIGINT UNSIGNED NOT NULL,
  colony_id UUID NOT NULL,
  what VARCHAR(80) NOT NULL COMMENT 'kind, number, and the job or application that it follows from',
  reason VARCHAR(300) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, colony_id, what),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS job_controls (
  operation_id BIGINT UNSIGNED NOT NULL,
  job_id UUID NOT NULL,
  colony_id UUID NOT NULL COMMENT 'left untreated, drawn by chance from colonies with like counts',
  PRIMARY KEY (operation_id, job_id, colony_id),
  FOREIGN KEY (operation_id, job_id) REFERENCES jobs (operation_id, id),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS count_photos (
  operation_id BIGINT UNSIGNED NOT NULL,
  count_id UUID NOT NULL,
  image MEDIUMBLOB NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, count_id),
  FOREIGN KEY (operation_id, count_id) REFERENCES mite_counts (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS spent_pieces (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  job_id UUID NOT NULL COMMENT 'whose strips, sponges or pads came out',
  kind VARCHAR(10) NOT NULL CHECK (kind IN ('stored', 'disposed')),
  pieces INT NOT NULL,
  note VARCHAR(300) NOT NULL COMMENT 'where to',
  happened_on DATE NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  FOREIGN KEY (operation_id, job_id) REFERENCES jobs (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS comparisons (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  name VARCHAR(200) NOT NULL,
  made_on DATE NOT NULL COMMENT 'what was given before tells nothing of its groups',
  dealt BOOLEAN NOT NULL COMMENT 'colonies went to groups by chance within like strength',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS comparison_colonies (
  operation_id BIGINT UNSIGNED NOT NULL,
  comparison_id UUID NOT NULL,
  colony_id UUID NOT NULL,
  position INT NOT NULL,
  group_no INT NOT NULL COMMENT 'counts up from 0, as the groups were named',
  in_group VARCHAR(80) NOT NULL COMMENT 'its name',
  PRIMARY KEY (operation_id, comparison_id, colony_id),
  FOREIGN KEY (operation_id, comparison_id) REFERENCES comparisons (operation_id, id) ON DELETE CASCADE,
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- +goose Down
DROP TABLE IF EXISTS count_photos, spent_pieces, comparison_colonies, comparisons, job_controls, followup_skips;
ALTER TABLE mite_counts DROP INDEX IF EXISTS by_day, DROP COLUMN IF EXISTS marks, DROP COLUMN IF EXISTS share;
UPDATE applications a JOIN applications b ON b.operation_id = a.operation_id AND b.id = a.amends_id
  SET a.amends_id = NULL WHERE b.kind IN ('board', 'moved', 'weighed', 'checked');
DELETE FROM applications WHERE kind IN ('board', 'moved', 'weighed', 'checked');
ALTER TABLE applications
  MODIFY kind VARCHAR(10) NOT NULL CHECK (kind IN ('given', 'skipped', 'out', 'other')),
  DROP COLUMN IF EXISTS board, DROP COLUMN IF EXISTS eggs, DROP COLUMN IF EXISTS swaps, DROP COLUMN IF EXISTS extra;
