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

-- By which address a member's calendar is read elsewhere.
CREATE TABLE IF NOT EXISTS feeds (
  operation_id BIGINT UNSIGNED NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  token_hash CHAR(64) NOT NULL COMMENT 'SHA-256 of the secret in the address, in hex',
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, user_id),
  UNIQUE KEY token (token_hash),
  FOREIGN KEY (operation_id, user_id) REFERENCES members (operation_id, user_id) ON DELETE CASCADE
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

ALTER TABLE log_entries
  MODIFY what VARCHAR(24) NOT NULL CHECK (what IN ('signed_in', 'refused', 'role', 'taken_out', 'invited', 'uninvited', 'joined', 'exported',
    'password', 'password_link', 'second_on', 'second_off', 'token', 'token_ended', 'session_ended', 'feed', 'feed_ended'));

-- +goose Down
DELETE FROM log_entries WHERE what IN ('feed', 'feed_ended');
ALTER TABLE log_entries
  MODIFY what VARCHAR(24) NOT NULL CHECK (what IN ('signed_in', 'refused', 'role', 'taken_out', 'invited', 'uninvited', 'joined', 'exported',
    'password', 'password_link', 'second_on', 'second_off', 'token', 'token_ended', 'session_ended'));
DROP TABLE IF EXISTS feeds, fortnights, shelf_skips;
