-- +goose Up
-- What on the shelf is not seen to, and why.
CREATE TABLE IF NOT EXISTS shelf_skips (
  operation_id BIGINT UNSIGNED NOT NULL,
  what VARCHAR(80) NOT NULL COMMENT 'kind and id of a batch or lot',
  reason VARCHAR(300) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, what),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- In which days all yards are treated, so that neighbours treat together; one at a time.
CREATE TABLE IF NOT EXISTS fortnights (
  operation_id BIGINT UNSIGNED NOT NULL,
  begins DATE NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- +goose Down
DROP TABLE IF EXISTS fortnights, shelf_skips;
