-- +goose Up
-- What several servers of one database tell each other.

-- What happened where, for those who listen at the other servers.
CREATE TABLE IF NOT EXISTS changes (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY COMMENT 'those that are written at once may come into sight in another order',
  operation_id BIGINT UNSIGNED NOT NULL,
  topic UUID NOT NULL COMMENT 'the job or the batch',
  server CHAR(26) NOT NULL COMMENT 'whose listeners know already',
  at DATETIME(6) NOT NULL,
  KEY by_age (at)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

-- What was held last: a row that is only locked holds nobody at another node of a cluster, one that
-- is written does.
CREATE TABLE IF NOT EXISTS holds (
  operation_id BIGINT UNSIGNED NOT NULL,
  what CHAR(36) NOT NULL COMMENT 'the id of what was held; empty: the operation',
  times BIGINT UNSIGNED NOT NULL,
  PRIMARY KEY (operation_id, what)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

-- +goose Down
DROP TABLE IF EXISTS changes;
DROP TABLE IF EXISTS holds;
