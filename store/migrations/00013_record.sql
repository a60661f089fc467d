-- +goose Up
-- A line says who gave what and when, who wrote it first and when, who changed it and why, and how it came in.
ALTER TABLE applications
  MODIFY visit_day DATE NOT NULL COMMENT 'of the round that it belongs to, as its job planned it; when it happened is given_at',
  MODIFY withdrawal_days INT NULL COMMENT 'none: not stated',
  MODIFY flags VARCHAR(255) NOT NULL,
  ADD COLUMN IF NOT EXISTS card_id UUID NULL COMMENT 'the label card that it was given under' AFTER product,
  ADD COLUMN IF NOT EXISTS giver_id BIGINT UNSIGNED NULL COMMENT 'the member who gave it; none: see giver_name' AFTER given_at,
  ADD COLUMN IF NOT EXISTS giver_name VARCHAR(80) NOT NULL DEFAULT '' COMMENT 'who gave it and is no member; empty, and no member: nobody said' AFTER giver_id,
  ADD COLUMN IF NOT EXISTS recorder_id BIGINT UNSIGNED NULL COMMENT 'who wrote it first; of an amendment user_id is who changed it' AFTER giver_name,
  ADD COLUMN IF NOT EXISTS recorded_at DATETIME(6) NULL COMMENT 'when it was written first, by the clock of the work' AFTER recorder_id,
  ADD COLUMN IF NOT EXISTS entered VARCHAR(10) NOT NULL DEFAULT '' COMMENT 'how it came in; empty: as it was done' AFTER recorded_at,
  ADD COLUMN IF NOT EXISTS entered_from VARCHAR(200) NOT NULL DEFAULT '' COMMENT 'of an import: its file' AFTER entered,
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(6) NULL COMMENT 'of an amendment: when, by the clock of the work' AFTER entered_from,
  ADD COLUMN IF NOT EXISTS change_reason VARCHAR(300) NOT NULL DEFAULT '' COMMENT 'of an amendment: why' AFTER changed_at,
  ADD CONSTRAINT IF NOT EXISTS applications_entered CHECK (entered IN ('', 'afterwards', 'import')),
  ADD FOREIGN KEY IF NOT EXISTS applications_giver (giver_id) REFERENCES users (id),
  ADD FOREIGN KEY IF NOT EXISTS applications_recorder (recorder_id) REFERENCES users (id),
  ADD FOREIGN KEY IF NOT EXISTS applications_card (operation_id, card_id) REFERENCES label_cards (operation_id, id);

-- Who keeps the bees, and where things come from, as an inspector asks for it.
ALTER TABLE operations
  ADD COLUMN IF NOT EXISTS holder VARCHAR(120) NOT NULL DEFAULT '' COMMENT 'who keeps the bees',
  ADD COLUMN IF NOT EXISTS holder_address VARCHAR(300) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS holder_no VARCHAR(60) NOT NULL DEFAULT '' COMMENT 'by which an authority knows the holder';
ALTER TABLE yards
  ADD COLUMN IF NOT EXISTS registration_no VARCHAR(60) NOT NULL DEFAULT '' COMMENT 'by which an authority knows it';
ALTER TABLE lots
  ADD COLUMN IF NOT EXISTS supplier VARCHAR(120) NOT NULL DEFAULT '' COMMENT 'of whom it was bought',
  ADD COLUMN IF NOT EXISTS bought_on DATE NULL,
  ADD COLUMN IF NOT EXISTS authorisation VARCHAR(60) NOT NULL DEFAULT '' COMMENT 'number of the product that it is';

-- What a line says by its job, and an amendment by the line that was written first.
UPDATE applications a JOIN jobs j ON j.operation_id = a.operation_id AND j.id = a.job_id SET a.card_id = j.card_id WHERE j.card_id IS NOT NULL;

UPDATE applications SET changed_at = created_at WHERE amends_id IS NOT NULL AND changed_at IS NULL;

UPDATE applications a JOIN (
  WITH RECURSIVE versions (operation_id, id, first_id) AS (
    SELECT operation_id, id, id FROM applications WHERE amends_id IS NULL
    UNION ALL
    SELECT a.operation_id, a.id, v.first_id FROM applications a JOIN versions v ON v.operation_id = a.operation_id AND v.id = a.amends_id
  )
  SELECT v.operation_id, v.id, f.user_id, f.created_at FROM versions v JOIN applications f ON f.operation_id = v.operation_id AND f.id = v.first_id
) f ON f.operation_id = a.operation_id AND f.id = a.id
SET a.giver_id = f.user_id, a.recorder_id = f.user_id, a.recorded_at = f.created_at
WHERE a.recorder_id IS NULL;

-- +goose Down
ALTER TABLE operations DROP COLUMN IF EXISTS holder, DROP COLUMN IF EXISTS holder_address, DROP COLUMN IF EXISTS holder_no;
ALTER TABLE yards DROP COLUMN IF EXISTS registration_no;
ALTER TABLE lots DROP COLUMN IF EXISTS supplier, DROP COLUMN IF EXISTS bought_on, DROP COLUMN IF EXISTS authorisation;
UPDATE applications SET withdrawal_days = 0 WHERE withdrawal_days IS NULL;
ALTER TABLE applications
  DROP CONSTRAINT IF EXISTS applications_entered,
  DROP FOREIGN KEY IF EXISTS applications_giver,
  DROP FOREIGN KEY IF EXISTS applications_recorder,
  DROP FOREIGN KEY IF EXISTS applications_card;
ALTER TABLE applications
  DROP INDEX IF EXISTS applications_giver,
  DROP INDEX IF EXISTS applications_recorder,
  DROP INDEX IF EXISTS applications_card;
UPDATE applications SET flags = LEFT(flags, 120) WHERE LENGTH(flags) > 120;
ALTER TABLE applications
  MODIFY visit_day DATE NOT NULL,
  MODIFY withdrawal_days INT NOT NULL,
  MODIFY flags VARCHAR(120) NOT NULL,
  DROP COLUMN IF EXISTS change_reason, DROP COLUMN IF EXISTS changed_at, DROP COLUMN IF EXISTS entered_from, DROP COLUMN IF EXISTS entered, DROP COLUMN IF EXISTS recorded_at,
  DROP COLUMN IF EXISTS recorder_id, DROP COLUMN IF EXISTS giver_name, DROP COLUMN IF EXISTS giver_id, DROP COLUMN IF EXISTS card_id;
