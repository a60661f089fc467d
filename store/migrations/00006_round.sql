-- +goose Up
CREATE TABLE applications (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE COMMENT 'the order in which they were written',
  superseded BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'amended by a later row',
  amends CHAR(36) NULL,
  job_id CHAR(36) NULL,
  visit_day DATE NOT NULL,
  colony_id CHAR(36) NOT NULL,
  yard_id CHAR(36) NOT NULL COMMENT 'where it stood',
  kind VARCHAR(10) NOT NULL COMMENT 'given, skipped, out or other',
  reason VARCHAR(20) NOT NULL,
  method VARCHAR(10) NOT NULL COMMENT 'dribble, strip, pad, vapour or other',
  product VARCHAR(120) NOT NULL,
  batch_id CHAR(36) NULL,
  amount DOUBLE NOT NULL,
  asked DOUBLE NOT NULL,
  unit VARCHAR(6) NOT NULL,
  oad_mg DOUBLE NOT NULL,
  formic_mg DOUBLE NOT NULL,
  detail JSON NOT NULL COMMENT 'boxes, seams, extras, what came out, a remark',
  rule_words VARCHAR(260) NOT NULL,
  withdrawal_days INT NOT NULL,
  override_reason VARCHAR(500) NOT NULL,
  open_s INT NOT NULL,
  flags VARCHAR(120) NOT NULL,
  given_at DATETIME(6) NOT NULL COMMENT 'by the clock of the work',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY newest (operation_id, superseded, given_at, seq),
  KEY by_colony (operation_id, superseded, colony_id, given_at, seq),
  KEY by_yard (operation_id, superseded, yard_id, given_at, seq),
  KEY by_batch (operation_id, superseded, batch_id, given_at, seq),
  KEY by_job (operation_id, job_id, visit_day),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (operation_id, job_id) REFERENCES jobs (operation_id, id)
);

CREATE TABLE round_extras (
  operation_id BIGINT UNSIGNED NOT NULL,
  season VARCHAR(16) NOT NULL,
  extras JSON NOT NULL COMMENT 'what is ticked on a visit in that season',
  PRIMARY KEY (operation_id, season),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

-- +goose Down
DROP TABLE round_extras;
DROP TABLE applications;
