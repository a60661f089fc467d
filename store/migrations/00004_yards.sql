-- +goose Up
CREATE TABLE yards (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  place VARCHAR(200) NOT NULL,
  latitude DOUBLE NOT NULL COMMENT 'degrees, negative in the south',
  notes VARCHAR(2000) NOT NULL,
  version INT NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY name (operation_id, name),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE colonies (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  yard_id CHAR(36) NOT NULL,
  name VARCHAR(40) NOT NULL,
  position INT NOT NULL COMMENT 'in the stand line, from the left',
  nuc BOOLEAN NOT NULL,
  for_honey BOOLEAN NOT NULL,
  queen VARCHAR(12) NOT NULL COMMENT 'as last seen',
  queen_on DATE NULL,
  notes VARCHAR(2000) NOT NULL,
  version INT NOT NULL,
  started_on DATE NOT NULL,
  ended_on DATE NULL,
  end_reason VARCHAR(200) NOT NULL DEFAULT '',
  created_at DATETIME(6) NOT NULL,
  living_name VARCHAR(40) AS (IF(ended_on IS NULL, name, NULL)) PERSISTENT,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY living (operation_id, yard_id, living_name),
  KEY in_yard (operation_id, yard_id, position),
  FOREIGN KEY (operation_id, yard_id) REFERENCES yards (operation_id, id)
);

CREATE TABLE colony_boxes (
  operation_id BIGINT UNSIGNED NOT NULL,
  colony_id CHAR(36) NOT NULL,
  position INT NOT NULL COMMENT 'from the floor up',
  kind VARCHAR(8) NOT NULL,
  slots VARCHAR(20) NOT NULL COMMENT 'a letter a place: comb, feeder, dummy, empty',
  PRIMARY KEY (operation_id, colony_id, position),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

CREATE TABLE inspections (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  colony_id CHAR(36) NOT NULL,
  seen_on DATE NOT NULL,
  quarters INT NULL COMMENT 'seams of bees in quarters, all boxes together',
  seams JSON NULL COMMENT 'for each box from the floor up its gaps, 0 to 1',
  brood VARCHAR(8) NOT NULL COMMENT 'sealed: none, little, much; empty: not seen',
  stores VARCHAR(8) NOT NULL COMMENT 'light, enough, heavy; empty: not hefted',
  supers INT NULL,
  queen VARCHAR(12) NOT NULL,
  temper VARCHAR(8) NOT NULL,
  note VARCHAR(1000) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_colony (operation_id, colony_id, seen_on),
  KEY by_day (operation_id, seen_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

CREATE TABLE mite_counts (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  colony_id CHAR(36) NOT NULL,
  kind VARCHAR(8) NOT NULL,
  mites INT NOT NULL,
  days DOUBLE NOT NULL,
  bees INT NOT NULL,
  counted_on DATE NOT NULL,
  note VARCHAR(500) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  voided_at DATETIME(6) NULL,
  void_reason VARCHAR(200) NOT NULL DEFAULT '',
  PRIMARY KEY (operation_id, id),
  KEY newest (operation_id, colony_id, voided_at, counted_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

CREATE TABLE thresholds (
  operation_id BIGINT UNSIGNED NOT NULL,
  season INT NOT NULL,
  wash DOUBLE NOT NULL COMMENT 'mites per 100 bees, 0 for none',
  board DOUBLE NOT NULL COMMENT 'mites a day, 0 for none',
  PRIMARY KEY (operation_id, season),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE treatments (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  colony_id CHAR(36) NOT NULL,
  method VARCHAR(8) NOT NULL,
  what VARCHAR(120) NOT NULL COMMENT 'in the words of the keeper',
  given_on DATE NOT NULL,
  out_on DATE NULL COMMENT 'the same day for what does not stay; none while it is in',
  carried_from CHAR(36) NULL COMMENT 'the colony that the bees were in when they were treated',
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_colony (operation_id, colony_id, given_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

CREATE TABLE colony_events (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  colony_id CHAR(36) NOT NULL,
  kind VARCHAR(12) NOT NULL,
  other_id CHAR(36) NULL,
  happened_on DATE NOT NULL,
  detail VARCHAR(200) NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY of_colony (operation_id, colony_id, happened_on),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

CREATE TABLE label_cards (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  name VARCHAR(80) NOT NULL,
  method VARCHAR(8) NOT NULL,
  content JSON NOT NULL,
  version INT NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  UNIQUE KEY name (operation_id, name),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE jobs (
  operation_id BIGINT UNSIGNED NOT NULL,
  id CHAR(36) NOT NULL,
  name VARCHAR(120) NOT NULL,
  method VARCHAR(8) NOT NULL,
  protocol VARCHAR(32) NOT NULL,
  card_id CHAR(36) NULL,
  rule_kind VARCHAR(16) NOT NULL,
  rule_words VARCHAR(200) NOT NULL,
  people INT NOT NULL,
  user_id BIGINT UNSIGNED NOT NULL,
  created_at DATETIME(6) NOT NULL,
  PRIMARY KEY (operation_id, id),
  KEY newest (operation_id, created_at),
  FOREIGN KEY (operation_id, card_id) REFERENCES label_cards (operation_id, id),
  FOREIGN KEY (operation_id) REFERENCES operations (id)
);

CREATE TABLE job_colonies (
  operation_id BIGINT UNSIGNED NOT NULL,
  job_id CHAR(36) NOT NULL,
  position INT NOT NULL,
  colony_id CHAR(36) NOT NULL,
  day DATE NOT NULL,
  verdict VARCHAR(16) NOT NULL COMMENT 'as it was when the job was made',
  reasons VARCHAR(500) NOT NULL COMMENT 'codes of what spoke against it, by comma',
  override_reason VARCHAR(500) NOT NULL,
  PRIMARY KEY (operation_id, job_id, position),
  FOREIGN KEY (operation_id, job_id) REFERENCES jobs (operation_id, id),
  FOREIGN KEY (operation_id, colony_id) REFERENCES colonies (operation_id, id)
);

-- +goose Down
DROP TABLE job_colonies;
DROP TABLE jobs;
DROP TABLE label_cards;
DROP TABLE colony_events;
DROP TABLE treatments;
DROP TABLE thresholds;
DROP TABLE mite_counts;
DROP TABLE inspections;
DROP TABLE colony_boxes;
DROP TABLE colonies;
DROP TABLE yards;
