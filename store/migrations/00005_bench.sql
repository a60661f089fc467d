-- +goose Up
ALTER TABLE batches
  ADD COLUMN number INT NOT NULL DEFAULT 0 COMMENT 'counts up in an operation: what stands on the jar',
  ADD COLUMN state VARCHAR(10) NOT NULL DEFAULT 'planned' COMMENT 'planned, bench, made or discarded',
  ADD COLUMN unit VARCHAR(6) NOT NULL DEFAULT 'ml' COMMENT 'what its account is kept in: ml, g or pieces',
  ADD COLUMN leftover BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'liquor that the pot of its parent left over',
  ADD COLUMN keeping VARCHAR(10) NOT NULL DEFAULT '' COMMENT 'where it is kept',
  ADD COLUMN use_by DATE NULL;
UPDATE batches SET unit = 'pieces' WHERE method = 'strip' OR pieces > 0;
UPDATE batches SET pieces = COALESCE(JSON_VALUE(answer, '$.strip.strips'), 0) WHERE method = 'strip';
UPDATE batches b JOIN (
  SELECT operation_id, id, ROW_NUMBER() OVER (PARTITION BY operation_id ORDER BY created_at, id) AS n FROM batches
) c USING (operation_id, id) SET b.number = c.n;
ALTER TABLE batches ADD UNIQUE KEY number (operation_id, number);

CREATE TABLE balances (
  operation_id BIGINT UNSIGNED NOT NULL,
  position INT NOT NULL,
  name VARCHAR(40) NOT NULL,
  division_g DOUBLE NOT NULL,
  capacity_g DOUBLE NOT NULL COMMENT '0: not said',
  least_g DOUBLE NOT NULL COMMENT '0: not said',
  PRIMARY KEY (operation_id, position),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE bench_runs (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id CHAR(36) NOT NULL,
  work_order VARCHAR(16) NOT NULL,
  cup_g DOUBLE NOT NULL,
  vessel_ml DOUBLE NOT NULL COMMENT '0: not said',
  balances JSON NOT NULL COMMENT 'as they were',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
);

CREATE TABLE bench_events (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id CHAR(36) NOT NULL,
  seq INT NOT NULL COMMENT 'from 1; only ever added to',
  id CHAR(36) NOT NULL,
  kind VARCHAR(10) NOT NULL,
  act VARCHAR(32) NOT NULL,
  load_no INT NOT NULL,
  grams DOUBLE NOT NULL,
  off_g DOUBLE NOT NULL,
  pieces INT NOT NULL,
  sure BOOLEAN NOT NULL,
  answer VARCHAR(40) NOT NULL,
  temp_c DOUBLE NOT NULL,
  additions JSON NULL,
  source VARCHAR(10) NOT NULL COMMENT 'typed, balance or probe',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  worked_at DATETIME(6) NOT NULL COMMENT 'by the clock of the work',
  PRIMARY KEY (operation_id, batch_id, seq),
  UNIQUE KEY once (operation_id, id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES bench_runs (operation_id, batch_id)
);

CREATE TABLE lots (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  ingredient VARCHAR(12) NOT NULL,
  name VARCHAR(80) NOT NULL,
  supplier_no VARCHAR(60) NOT NULL,
  expires_on DATE NULL,
  unit VARCHAR(6) NOT NULL,
  price DOUBLE NOT NULL COMMENT 'for 1,000 g or mL, or for a piece',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE stock_entries (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE COMMENT 'the order in which they were written',
  batch_id CHAR(36) NULL COMMENT 'whose account it is; or lot_id',
  lot_id CHAR(36) NULL,
  kind VARCHAR(10) NOT NULL,
  amount DOUBLE NOT NULL COMMENT 'above 0 what came, below 0 what went',
  left_before DOUBLE NOT NULL,
  colony_id CHAR(36) NULL COMMENT 'that it was used on',
  for_batch_id CHAR(36) NULL COMMENT 'that it went into',
  reason VARCHAR(500) NOT NULL,
  worked_at DATETIME(6) NOT NULL COMMENT 'by the clock of the work',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_batch (operation_id, batch_id, seq),
  KEY of_lot (operation_id, lot_id, seq),
  KEY into_batch (operation_id, for_batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (operation_id, lot_id) REFERENCES lots (operation_id, id),
  FOREIGN KEY (operation_id, for_batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

CREATE TABLE portions (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  batch_id CHAR(36) NOT NULL,
  yard_id CHAR(36) NULL,
  vessel VARCHAR(60) NOT NULL,
  amount DOUBLE NOT NULL COMMENT 'in the unit of the batch',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_batch (operation_id, batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id)
);

CREATE TABLE uptakes (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id CHAR(36) NOT NULL,
  carrier VARCHAR(8) NOT NULL,
  each_g DOUBLE NOT NULL,
  off_g DOUBLE NOT NULL,
  pieces INT NOT NULL,
  accepted BOOLEAN NOT NULL COMMENT 'goes into what is learnt',
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
);

-- +goose Down
DROP TABLE uptakes;
DROP TABLE portions;
DROP TABLE stock_entries;
DROP TABLE lots;
DROP TABLE bench_events;
DROP TABLE bench_runs;
DROP TABLE balances;
ALTER TABLE batches DROP KEY number, DROP COLUMN number, DROP COLUMN state, DROP COLUMN unit, DROP COLUMN leftover, DROP COLUMN keeping, DROP COLUMN use_by;
