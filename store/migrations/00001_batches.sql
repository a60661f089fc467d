-- +goose Up
CREATE TABLE operations (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  created_at DATETIME(6) NOT NULL
);
INSERT INTO operations (id, name, created_at) VALUES (1, '', UTC_TIMESTAMP(6));

CREATE TABLE batches (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  name VARCHAR(120) NOT NULL,
  method VARCHAR(16) NOT NULL,
  made_on CHAR(16) NOT NULL COMMENT 'date and time of the work where it was done, 2006-01-02T15:04',
  created_at DATETIME(6) NOT NULL COMMENT 'wall time of the server, UTC',
  volume_ml DOUBLE NOT NULL,
  g_per_l DOUBLE NOT NULL COMMENT 'OAD',
  snapshot_version INT NOT NULL,
  inputs JSON NOT NULL,
  answer JSON NOT NULL,
  voided_at DATETIME(6) NULL,
  void_reason VARCHAR(500) NOT NULL DEFAULT '',
  PRIMARY KEY (operation_id, id),
  KEY newest (operation_id, created_at),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE batch_lines (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id CHAR(36) NOT NULL,
  position INT NOT NULL,
  step VARCHAR(24) NOT NULL,
  ingredient VARCHAR(32) NOT NULL,
  wanted_g DOUBLE NOT NULL,
  wanted_ml DOUBLE NOT NULL,
  wanted_count INT NOT NULL,
  PRIMARY KEY (operation_id, batch_id, position),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
);

CREATE TABLE batch_remarks (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  batch_id CHAR(36) NOT NULL,
  text VARCHAR(2000) NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_batch (operation_id, batch_id, created_at),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
);

-- +goose Down
DROP TABLE batch_remarks;
DROP TABLE batch_lines;
DROP TABLE batches;
DROP TABLE operations;
