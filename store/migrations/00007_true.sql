-- +goose Up
ALTER TABLE yards
  ADD COLUMN deep_from CHAR(5) NOT NULL DEFAULT '' COMMENT 'month and day of the deepest cluster; empty: by the latitude',
  ADD COLUMN deep_to CHAR(5) NOT NULL DEFAULT '';
ALTER TABLE inspections
  ADD COLUMN eggs BOOLEAN NULL COMMENT 'none: not looked for',
  ADD COLUMN larvae BOOLEAN NULL COMMENT 'open brood';
ALTER TABLE treatments
  ADD COLUMN days_low INT NOT NULL DEFAULT 0 COMMENT 'in the hive by what it was given under; 0: not known',
  ADD COLUMN days_high INT NOT NULL DEFAULT 0;
ALTER TABLE colony_events MODIFY COLUMN kind VARCHAR(16) NOT NULL;
ALTER TABLE jobs
  ADD COLUMN ended_on DATE NULL,
  ADD COLUMN ended_how VARCHAR(10) NOT NULL DEFAULT '' COMMENT 'finished or cancelled';
ALTER TABLE bench_events ADD COLUMN as_is BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'finished although it is off its recipe';

-- +goose Down
ALTER TABLE bench_events DROP COLUMN as_is;
ALTER TABLE jobs DROP COLUMN ended_how, DROP COLUMN ended_on;
ALTER TABLE treatments DROP COLUMN days_high, DROP COLUMN days_low;
ALTER TABLE inspections DROP COLUMN larvae, DROP COLUMN eggs;
ALTER TABLE yards DROP COLUMN deep_to, DROP COLUMN deep_from;
