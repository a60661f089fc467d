-- +goose Up
-- Jars, bottles and pots of the keeper's own, chosen by their pictures.
CREATE TABLE IF NOT EXISTS vessels (
  operation_id BIGINT UNSIGNED NOT NULL,
  position INT NOT NULL,
  name VARCHAR(40) NOT NULL,
  kind VARCHAR(8) NOT NULL CHECK (kind IN ('jar', 'bottle', 'pot')),
  ml DECIMAL(14,6) NOT NULL CHECK (ml > 0),
  PRIMARY KEY (operation_id, position),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- +goose Down
DROP TABLE IF EXISTS vessels;
