-- +goose Up
CREATE TABLE users (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  login VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL COMMENT 'e-mail or name; case does not tell two apart',
  password_hash VARCHAR(160) NOT NULL COMMENT 'argon2id in its usual encoding; empty: no password opens it',
  epoch INT NOT NULL DEFAULT 1 COMMENT 'a session of another epoch is void',
  created_at DATETIME(6) NOT NULL,
  UNIQUE KEY login (login)
);

CREATE TABLE members (
  operation_id BIGINT UNSIGNED NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  role VARCHAR(8) NOT NULL,
  joined_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, user_id),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (user_id) REFERENCES users (id)
);

CREATE TABLE invitations (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  token_hash CHAR(64) NOT NULL COMMENT 'SHA-256 of the token in the link, in hex',
  role VARCHAR(8) NOT NULL,
  note VARCHAR(120) NOT NULL,
  created_at DATETIME(6) NOT NULL,
  expires_at DATETIME(6) NOT NULL,
  used_at DATETIME(6) NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY token (token_hash),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE sessions (
  token VARCHAR(64) NOT NULL PRIMARY KEY,
  data BLOB NOT NULL,
  expiry TIMESTAMP(6) NOT NULL,
  KEY expiry (expiry)
);

CREATE TABLE sign_in_failures (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  login VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL,
  address VARCHAR(64) NOT NULL,
  at DATETIME(6) NOT NULL,
  KEY by_login (login, at),
  KEY by_address (address, at)
);

-- +goose Down
DROP TABLE sign_in_failures;
DROP TABLE sessions;
DROP TABLE invitations;
DROP TABLE members;
DROP TABLE users;
