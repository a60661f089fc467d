-- +goose Up
-- By which keys this server speaks to push services (VAPID, RFC 8292): one pair for all.
CREATE TABLE IF NOT EXISTS push_keys (
  id TINYINT UNSIGNED NOT NULL PRIMARY KEY CHECK (id = 1),
  public_key VARCHAR(100) NOT NULL,
  private_key VARCHAR(100) NOT NULL,
  created_at DATETIME(6) NOT NULL
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

-- Where a member wants to be reminded: one row a browser.
CREATE TABLE IF NOT EXISTS reminders (
  operation_id BIGINT UNSIGNED NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  id CHAR(64) NOT NULL COMMENT 'SHA-256 of the endpoint, in hex',
  endpoint VARCHAR(1000) NOT NULL,
  p256dh VARCHAR(120) NOT NULL COMMENT 'the browser''s key, in base64',
  auth VARCHAR(60) NOT NULL COMMENT 'its secret, in base64',
  sent_on DATE NULL COMMENT 'the last day that it was reminded of',
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  FOREIGN KEY (operation_id, user_id) REFERENCES members (operation_id, user_id) ON DELETE CASCADE
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

-- +goose Down
DROP TABLE IF EXISTS reminders, push_keys;
