-- +goose Up
-- What weather a keeper expects on a day, where no service tells.
CREATE TABLE IF NOT EXISTS expected_days (
  operation_id BIGINT UNSIGNED NOT NULL,
  yard_id UUID NOT NULL,
  day DATE NOT NULL,
  low_c DOUBLE NOT NULL,
  high_c DOUBLE NOT NULL,
  wind_ms DOUBLE NOT NULL,
  rain_mm DOUBLE NOT NULL COMMENT 'the most in an hour',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, yard_id, day),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- How an operation writes figures and days, and whom it asks for the weather.
ALTER TABLE operations
  ADD COLUMN IF NOT EXISTS units VARCHAR(8) NOT NULL DEFAULT 'metric' CHECK (units IN ('metric', 'us')),
  ADD COLUMN IF NOT EXISTS hours VARCHAR(3) NOT NULL DEFAULT '24h' CHECK (hours IN ('24h', '12h')),
  ADD COLUMN IF NOT EXISTS dates VARCHAR(9) NOT NULL DEFAULT 'day_month' CHECK (dates IN ('day_month', 'month_day', 'iso')),
  ADD COLUMN IF NOT EXISTS currency VARCHAR(8) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS seasons VARCHAR(1000) COMMENT 'own names as a JSON array, winter first; null: the usual ones',
  ADD COLUMN IF NOT EXISTS forecast_url VARCHAR(300) NOT NULL DEFAULT '' COMMENT 'empty: that of the server',
  ADD COLUMN IF NOT EXISTS version BIGINT UNSIGNED NOT NULL DEFAULT 1;

-- And how a person would have them instead; empty: as the operation.
ALTER TABLE users
  ADD COLUMN IF NOT EXISTS units VARCHAR(8) NOT NULL DEFAULT '' CHECK (units IN ('', 'metric', 'us')),
  ADD COLUMN IF NOT EXISTS hours VARCHAR(3) NOT NULL DEFAULT '' CHECK (hours IN ('', '24h', '12h')),
  ADD COLUMN IF NOT EXISTS dates VARCHAR(9) NOT NULL DEFAULT '' CHECK (dates IN ('', 'day_month', 'month_day', 'iso'));

-- +goose Down
DROP TABLE IF EXISTS expected_days;
ALTER TABLE operations DROP COLUMN IF EXISTS units, DROP COLUMN IF EXISTS hours, DROP COLUMN IF EXISTS dates,
  DROP COLUMN IF EXISTS currency, DROP COLUMN IF EXISTS seasons, DROP COLUMN IF EXISTS forecast_url, DROP COLUMN IF EXISTS version;
ALTER TABLE users DROP COLUMN IF EXISTS units, DROP COLUMN IF EXISTS hours, DROP COLUMN IF EXISTS dates;
