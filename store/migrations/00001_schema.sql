-- +goose Up
-- Amounts and prices are DECIMAL, so that a ledger adds up to the last figure; what is
-- measured of weather and place is DOUBLE. Days are the operation's own; DATETIMEs are
-- UTC. Words that code knows are held by a CHECK; their meaning stands in core.

CREATE TABLE IF NOT EXISTS operations (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  time_zone VARCHAR(64) NOT NULL DEFAULT 'UTC' COMMENT 'by its IANA name: its days are days there',
  claim_code CHAR(9) NOT NULL DEFAULT '' COMMENT 'told by the console to who makes the first owner; empty once there is one',
  created_at DATETIME(6) NOT NULL
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;
INSERT IGNORE INTO operations (id, name, created_at) VALUES (1, '', UTC_TIMESTAMP(6));

CREATE TABLE IF NOT EXISTS users (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  login VARCHAR(190) NOT NULL COMMENT 'e-mail or name; case does not tell two apart',
  password_hash VARCHAR(160) NOT NULL COMMENT 'argon2id in its usual encoding; empty: no password opens it',
  epoch INT NOT NULL DEFAULT 1 COMMENT 'a session of another epoch is void',
  second_secret VARCHAR(64) NOT NULL DEFAULT '' COMMENT 'of the second factor (RFC 6238), in base32; empty: none',
  second_on BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'it was proven, and is asked for',
  second_step BIGINT NOT NULL DEFAULT 0 COMMENT 'of the last code that was taken: none works twice',
  created_at DATETIME(6) NOT NULL,
  UNIQUE KEY login (login)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS members (
  operation_id BIGINT UNSIGNED NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  role VARCHAR(8) NOT NULL CHECK (role IN ('owner', 'keeper', 'helper', 'viewer')),
  joined_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, user_id),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS invitations (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  token_hash CHAR(64) NOT NULL COMMENT 'SHA-256 of the token in the link, in hex',
  role VARCHAR(8) NOT NULL CHECK (role IN ('owner', 'keeper', 'helper', 'viewer')),
  note VARCHAR(120) NOT NULL,
  created_at DATETIME(6) NOT NULL,
  expires_at DATETIME(6) NOT NULL,
  used_at DATETIME(6) NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY token (token_hash),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS recovery_codes (
  user_id BIGINT UNSIGNED NOT NULL,
  code_hash CHAR(64) NOT NULL COMMENT 'SHA-256 of a code that stands for the second factor, once',
  PRIMARY KEY (user_id, code_hash),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

CREATE TABLE IF NOT EXISTS sessions (
  token VARCHAR(64) NOT NULL PRIMARY KEY COMMENT 'a hash of what the browser holds',
  id UUID NOT NULL,
  user_id BIGINT UNSIGNED NULL,
  device VARCHAR(120) NOT NULL COMMENT 'browser and system, as the browser says',
  data BLOB NOT NULL,
  begun_at DATETIME(6) NOT NULL,
  seen_at DATETIME(6) NOT NULL,
  expiry DATETIME(6) NOT NULL,
  KEY expiry (expiry),
  KEY of_user (user_id, begun_at)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

CREATE TABLE IF NOT EXISTS tokens (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL COMMENT 'in whose name a script asks',
  name VARCHAR(60) NOT NULL,
  token_hash CHAR(64) NOT NULL COMMENT 'SHA-256 of the token, in hex',
  created_at DATETIME(6) NOT NULL,
  expires_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY token (token_hash),
  FOREIGN KEY (operation_id, user_id) REFERENCES members (operation_id, user_id) ON DELETE CASCADE
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

CREATE TABLE IF NOT EXISTS log_entries (
  operation_id BIGINT UNSIGNED NOT NULL,
  seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE COMMENT 'the order in which they were written',
  at DATETIME(6) NOT NULL,
  what VARCHAR(24) NOT NULL CHECK (what IN ('signed_in', 'refused', 'role', 'taken_out', 'invited', 'uninvited', 'joined', 'exported',
    'password', 'password_link', 'second_on', 'second_off', 'token', 'token_ended', 'session_ended')),
  login VARCHAR(190) NOT NULL COMMENT 'who did it, as named then',
  detail VARCHAR(200) NOT NULL,
  address VARCHAR(64) NOT NULL,
  PRIMARY KEY (operation_id, seq),
  KEY by_age (operation_id, at),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS health (
  id INT NOT NULL PRIMARY KEY,
  at DATETIME(6) NOT NULL COMMENT 'when the database was last seen to take a write'
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

CREATE TABLE IF NOT EXISTS password_links (
  token_hash CHAR(64) NOT NULL PRIMARY KEY COMMENT 'SHA-256 of the token in the link, in hex',
  user_id BIGINT UNSIGNED NOT NULL COMMENT 'who may set a new password by it, once',
  expires_at DATETIME(6) NOT NULL,
  used_at DATETIME(6) NULL,
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;

CREATE TABLE IF NOT EXISTS sign_in_tries (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY COMMENT 'a try is counted before it is looked at, and forgotten when it was right',
  login VARCHAR(190) NOT NULL,
  address VARCHAR(64) NOT NULL,
  at DATETIME(6) NOT NULL,
  KEY by_both (login, address, at),
  KEY by_address (address, at)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS yards (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  name VARCHAR(60) NOT NULL,
  place VARCHAR(200) NOT NULL,
  latitude DOUBLE NOT NULL COMMENT 'degrees, negative in the south',
  deep_from CHAR(5) NOT NULL COMMENT 'month and day of the deepest cluster; empty: by the latitude',
  deep_to CHAR(5) NOT NULL,
  notes VARCHAR(2000) NOT NULL,
  version INT NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY name (operation_id, name),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS colonies (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  yard_id UUID NOT NULL,
  name VARCHAR(40) NOT NULL,
  position INT NOT NULL COMMENT 'in the stand line, from the left',
  nuc BOOLEAN NOT NULL,
  for_honey BOOLEAN NOT NULL,
  queen VARCHAR(12) NOT NULL COMMENT 'as last seen' CHECK (queen IN ('', 'laying', 'young', 'queenless', 'unseen')),
  queen_on DATE NULL,
  notes VARCHAR(2000) NOT NULL,
  version INT NOT NULL,
  started_on DATE NOT NULL,
  ended_on DATE NULL,
  end_reason VARCHAR(200) NOT NULL,
  created_at DATETIME(6) NOT NULL,
  living_name VARCHAR(40) AS (IF(ended_on IS NULL, name, NULL)) PERSISTENT,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY living (operation_id, yard_id, living_name),
  KEY in_yard (operation_id, yard_id, position),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS colony_boxes (
  operation_id BIGINT UNSIGNED NOT NULL,
  colony_id UUID NOT NULL,
  position INT NOT NULL COMMENT 'from the floor up',
  kind VARCHAR(8) NOT NULL CHECK (kind IN ('deep', 'medium', 'shallow')),
  slots VARCHAR(20) NOT NULL COMMENT 'a letter a place: comb, feeder, dummy, empty',
  PRIMARY KEY (operation_id, colony_id, position),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS colony_events (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE COMMENT 'the order in which they were written',
  colony_id UUID NOT NULL,
  kind VARCHAR(16) NOT NULL,
  other_id UUID NULL,
  happened_on DATE NOT NULL,
  detail VARCHAR(200) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_colony (operation_id, colony_id, happened_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (operation_id, other_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS inspections (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  colony_id UUID NOT NULL,
  seen_on DATE NOT NULL,
  quarters INT NULL COMMENT 'seams of bees in quarters, all boxes together',
  seams JSON NULL COMMENT 'for each box from the floor up its gaps, 0 to 1',
  drawn BOOLEAN AS (seams IS NOT NULL) PERSISTENT,
  brood VARCHAR(8) NOT NULL COMMENT 'sealed; empty: not seen' CHECK (brood IN ('', 'none', 'little', 'much')),
  eggs BOOLEAN NULL COMMENT 'none: not looked for',
  larvae BOOLEAN NULL COMMENT 'open brood',
  stores VARCHAR(8) NOT NULL COMMENT 'empty: not hefted' CHECK (stores IN ('', 'light', 'enough', 'heavy')),
  supers INT NULL,
  queen VARCHAR(12) NOT NULL CHECK (queen IN ('', 'laying', 'young', 'queenless', 'unseen')),
  temper VARCHAR(8) NOT NULL CHECK (temper IN ('', 'calm', 'nervous', 'fierce')),
  note VARCHAR(1000) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_colony (operation_id, colony_id, seen_on, created_at),
  KEY last_drawn (operation_id, colony_id, drawn, seen_on),
  KEY by_day (operation_id, seen_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS mite_counts (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  colony_id UUID NOT NULL,
  kind VARCHAR(8) NOT NULL CHECK (kind IN ('board', 'wash')),
  mites INT NOT NULL CHECK (mites >= 0),
  days DOUBLE NOT NULL COMMENT 'that a board lay',
  bees INT NOT NULL COMMENT 'in a wash',
  counted_on DATE NOT NULL,
  note VARCHAR(500) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  voided_at DATETIME(6) NULL,
  void_reason VARCHAR(500) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY newest (operation_id, colony_id, voided_at, counted_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id),
  CHECK (IF(kind = 'board', days > 0, bees > 0 AND mites <= bees))
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS thresholds (
  operation_id BIGINT UNSIGNED NOT NULL,
  season VARCHAR(12) NOT NULL CHECK (season IN ('winter', 'spring', 'early_summer', 'late_summer', 'autumn')),
  wash DOUBLE NOT NULL COMMENT 'mites per 100 bees, 0 for none' CHECK (wash >= 0),
  board DOUBLE NOT NULL COMMENT 'mites a day, 0 for none' CHECK (board >= 0),
  PRIMARY KEY (operation_id, season),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS label_cards (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  name VARCHAR(80) NOT NULL,
  method VARCHAR(8) NOT NULL CHECK (method IN ('dribble', 'strip', 'pad')),
  content JSON NOT NULL,
  version INT NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY name (operation_id, name),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS jobs (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  name VARCHAR(120) NOT NULL,
  method VARCHAR(8) NOT NULL CHECK (method IN ('dribble', 'strip', 'pad')),
  protocol VARCHAR(32) NOT NULL,
  card_id UUID NULL,
  rule_kind VARCHAR(16) NOT NULL CHECK (rule_kind IN ('label', 'permit', 'own')),
  rule_words VARCHAR(200) NOT NULL,
  people INT NOT NULL CHECK (people > 0),
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  ended_on DATE NULL,
  ended_how VARCHAR(10) NOT NULL CHECK (ended_how IN ('', 'finished', 'cancelled')),
  PRIMARY KEY (operation_id, id),
  KEY newest (operation_id, created_at),
  FOREIGN KEY (operation_id, card_id) REFERENCES label_cards (operation_id, id),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS job_colonies (
  operation_id BIGINT UNSIGNED NOT NULL,
  job_id UUID NOT NULL,
  position INT NOT NULL,
  colony_id UUID NOT NULL,
  day DATE NOT NULL,
  verdict VARCHAR(16) NOT NULL COMMENT 'as it was when the job was made',
  reasons VARCHAR(500) NOT NULL COMMENT 'codes of what spoke against it, by comma',
  override_reason VARCHAR(500) NOT NULL,
  PRIMARY KEY (operation_id, job_id, position),
  FOREIGN KEY (operation_id, job_id) REFERENCES jobs (operation_id, id),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS batches (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  number INT NOT NULL COMMENT 'counts up in an operation: what stands on the jar' CHECK (number > 0),
  name VARCHAR(120) NOT NULL,
  method VARCHAR(8) NOT NULL CHECK (method IN ('dribble', 'strip', 'pad')),
  state VARCHAR(10) NOT NULL CHECK (state IN ('planned', 'bench', 'made', 'discarded')),
  unit VARCHAR(6) NOT NULL COMMENT 'what its ledger is kept in' CHECK (unit IN ('ml', 'g', 'pieces')),
  volume_ml DECIMAL(14,6) NOT NULL,
  pieces INT NOT NULL COMMENT 'strips or ready pads',
  leftover BOOLEAN NOT NULL COMMENT 'liquor that the pot of its parent left over',
  parent_id UUID NULL COMMENT 'where the liquor carried into a pot comes from',
  keeping VARCHAR(10) NOT NULL COMMENT 'where it is kept' CHECK (keeping IN ('', 'room', 'fridge', 'sealed', 'closed')),
  use_by DATE NULL,
  made_on CHAR(16) NOT NULL COMMENT 'date and time of the work where it was done, 2006-01-02T15:04',
  created_at DATETIME(6) NOT NULL,
  snapshot_version INT NOT NULL,
  inputs JSON NOT NULL,
  bare JSON AS (JSON_REMOVE(inputs, '$.recipe.dribble.colonies', '$.recipe.strip.colonies', '$.recipe.pad.colonies')) STORED COMMENT 'the same without colonies, which a round doses by: read at each tap',
  answer JSON NOT NULL,
  voided_at DATETIME(6) NULL,
  void_reason VARCHAR(500) NOT NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY number (operation_id, number),
  KEY newest (operation_id, created_at),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (operation_id, parent_id) REFERENCES batches (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS batch_components (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id UUID NOT NULL,
  component VARCHAR(32) NOT NULL CHECK (component IN ('oxalic_acid_dihydrate', 'formic_acid', 'glycerol', 'water', 'sugar')),
  grams DECIMAL(14,6) NOT NULL,
  PRIMARY KEY (operation_id, batch_id, component),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS batch_lines (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id UUID NOT NULL,
  position INT NOT NULL,
  step VARCHAR(24) NOT NULL,
  ingredient VARCHAR(32) NOT NULL,
  wanted_g DECIMAL(14,6) NOT NULL,
  wanted_ml DECIMAL(14,6) NOT NULL,
  wanted_count INT NOT NULL,
  PRIMARY KEY (operation_id, batch_id, position),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS batch_remarks (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  batch_id UUID NOT NULL,
  text VARCHAR(2000) NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_batch (operation_id, batch_id, created_at),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS balances (
  operation_id BIGINT UNSIGNED NOT NULL,
  position INT NOT NULL,
  name VARCHAR(40) NOT NULL,
  division_g DECIMAL(14,6) NOT NULL CHECK (division_g > 0),
  capacity_g DECIMAL(14,6) NOT NULL COMMENT '0: not said',
  least_g DECIMAL(14,6) NOT NULL COMMENT '0: not said',
  PRIMARY KEY (operation_id, position),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS bench_runs (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id UUID NOT NULL,
  work_order VARCHAR(16) NOT NULL,
  cup_g DECIMAL(14,6) NOT NULL,
  vessel_ml DECIMAL(14,6) NOT NULL COMMENT '0: not said',
  balances JSON NOT NULL COMMENT 'as they were',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS bench_events (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id UUID NOT NULL,
  seq INT NOT NULL COMMENT 'from 1; only ever added to',
  id UUID NOT NULL,
  kind VARCHAR(10) NOT NULL,
  act VARCHAR(32) NOT NULL,
  load_no INT NOT NULL,
  grams DECIMAL(14,6) NOT NULL,
  off_g DECIMAL(14,6) NOT NULL,
  pieces INT NOT NULL,
  sure BOOLEAN NOT NULL,
  as_is BOOLEAN NOT NULL COMMENT 'finished although it is off its recipe',
  answer VARCHAR(40) NOT NULL,
  temp_c DOUBLE NOT NULL,
  additions JSON NULL,
  source VARCHAR(10) NOT NULL CHECK (source IN ('typed', 'balance', 'probe')),
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  worked_at DATETIME(6) NOT NULL COMMENT 'by the clock of the work',
  PRIMARY KEY (operation_id, batch_id, seq),
  UNIQUE KEY once (operation_id, id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES bench_runs (operation_id, batch_id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS uptakes (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id UUID NOT NULL,
  carrier VARCHAR(8) NOT NULL CHECK (carrier IN ('strip', 'long', 'sponge')),
  each_g DECIMAL(14,6) NOT NULL,
  off_g DECIMAL(14,6) NOT NULL,
  pieces INT NOT NULL CHECK (pieces > 0),
  accepted BOOLEAN NOT NULL COMMENT 'goes into what is learnt',
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS lots (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  ingredient VARCHAR(12) NOT NULL CHECK (ingredient IN ('acid', 'sugar', 'glycerol', 'tablets', 'ready_mix', 'formic', 'carrier', 'product', 'ready_pads')),
  name VARCHAR(80) NOT NULL,
  supplier_no VARCHAR(60) NOT NULL,
  expires_on DATE NULL,
  unit VARCHAR(6) NOT NULL CHECK (unit IN ('ml', 'g', 'pieces')),
  price DECIMAL(14,6) NOT NULL COMMENT 'for 1,000 g or mL, or for a piece' CHECK (price >= 0),
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  FOREIGN KEY (operation_id) REFERENCES operations (id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS stock_entries (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE COMMENT 'the order in which they were written',
  batch_id UUID NULL COMMENT 'whose ledger it is in; or lot_id',
  lot_id UUID NULL,
  kind VARCHAR(10) NOT NULL CHECK (kind IN ('made', 'bought', 'used', 'spilled', 'discarded', 'amended', 'found')),
  amount DECIMAL(14,6) NOT NULL COMMENT 'above 0 what came, below 0 what went',
  left_before DECIMAL(14,6) NOT NULL,
  colony_id UUID NULL COMMENT 'that it was used on',
  for_batch_id UUID NULL COMMENT 'that it went into',
  reason VARCHAR(500) NOT NULL COMMENT 'in a person''s words',
  cause VARCHAR(16) NOT NULL COMMENT 'of what Keeler wrote by itself' CHECK (cause IN ('', 'by_hand', 'at_bench', 'amended')),
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
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id),
  CHECK ((batch_id IS NULL) <> (lot_id IS NULL))
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS portions (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  batch_id UUID NOT NULL,
  yard_id UUID NULL,
  vessel VARCHAR(60) NOT NULL,
  amount DECIMAL(14,6) NOT NULL COMMENT 'in the unit of the batch' CHECK (amount > 0),
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_batch (operation_id, batch_id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- The one record of what bees were given. A row is never changed but for superseded.
CREATE TABLE IF NOT EXISTS applications (
  operation_id BIGINT UNSIGNED NOT NULL,
  id UUID NOT NULL,
  seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE COMMENT 'the order in which they were written',
  superseded BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'amended by a later row',
  amends_id UUID NULL,
  ends_id UUID NULL COMMENT 'of out: the application that comes out; none: all of the method',
  job_id UUID NULL,
  visit_day DATE NOT NULL,
  colony_id UUID NOT NULL,
  yard_id UUID NOT NULL COMMENT 'where it stood',
  kind VARCHAR(10) NOT NULL CHECK (kind IN ('given', 'skipped', 'out', 'other')),
  reason VARCHAR(20) NOT NULL,
  method VARCHAR(10) NOT NULL CHECK (method IN ('dribble', 'strip', 'pad', 'vapour', 'other')),
  product VARCHAR(120) NOT NULL COMMENT 'as a card or a person names it; empty: by the rule',
  batch_id UUID NULL,
  amount DECIMAL(14,6) NOT NULL CHECK (amount >= 0),
  asked DECIMAL(14,6) NOT NULL,
  unit VARCHAR(6) NOT NULL CHECK (unit IN ('', 'ml', 'g', 'pieces')),
  oad_mg DECIMAL(14,6) NOT NULL,
  formic_mg DECIMAL(14,6) NOT NULL,
  days_low INT NOT NULL COMMENT 'in the hive by what it was given under; 0: not known',
  days_high INT NOT NULL,
  detail JSON NOT NULL COMMENT 'boxes, seams, extras, what came out, a remark',
  rule_kind VARCHAR(16) NOT NULL CHECK (rule_kind IN ('', 'label', 'permit', 'own')),
  rule_words VARCHAR(200) NOT NULL,
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
  KEY by_job (operation_id, job_id, visit_day, superseded, seq),
  KEY of_job (operation_id, job_id, colony_id, superseded),
  FOREIGN KEY (operation_id, amends_id) REFERENCES applications (operation_id, id),
  FOREIGN KEY (operation_id, ends_id) REFERENCES applications (operation_id, id),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id),
  FOREIGN KEY (operation_id, job_id) REFERENCES jobs (operation_id, id),
  FOREIGN KEY (user_id) REFERENCES users (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

CREATE TABLE IF NOT EXISTS visit_extras (
  operation_id BIGINT UNSIGNED NOT NULL,
  season VARCHAR(12) NOT NULL CHECK (season IN ('winter', 'spring', 'early_summer', 'late_summer', 'autumn', 'none')),
  extras JSON NOT NULL COMMENT 'what is ticked on a visit in that season',
  PRIMARY KEY (operation_id, season),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci;

-- +goose Down
DROP TABLE IF EXISTS visit_extras, applications, portions, stock_entries, lots, uptakes, bench_events, bench_runs, balances,
  batch_remarks, batch_lines, batch_components, batches, job_colonies, jobs, label_cards, thresholds, mite_counts,
  inspections, colony_events, colony_boxes, colonies, yards, sign_in_tries, password_links, health, log_entries, tokens, sessions, recovery_codes, invitations, members, users, operations;
