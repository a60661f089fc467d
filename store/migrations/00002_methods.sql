-- +goose Up
ALTER TABLE batches
  ADD COLUMN pieces INT NOT NULL DEFAULT 0 COMMENT 'ready pads',
  ADD COLUMN parent_id CHAR(36) NULL COMMENT 'where the liquor carried into a pot comes from',
  ADD FOREIGN KEY (operation_id, parent_id) REFERENCES batches (operation_id, id);

CREATE TABLE batch_components (
  operation_id BIGINT UNSIGNED NOT NULL,
  batch_id CHAR(36) NOT NULL,
  component VARCHAR(32) NOT NULL,
  grams DOUBLE NOT NULL,
  PRIMARY KEY (operation_id, batch_id, component),
  FOREIGN KEY (operation_id, batch_id) REFERENCES batches (operation_id, id)
);

-- What was kept so far are dribbles, by snapshot version 1.
INSERT INTO batch_components (operation_id, batch_id, component, grams)
  SELECT operation_id, id, 'oxalic_acid_dihydrate', COALESCE(JSON_VALUE(answer, '$.made.oad_g'), g_per_l * volume_ml / 1000) FROM batches;
INSERT INTO batch_components (operation_id, batch_id, component, grams)
  SELECT operation_id, id, 'water', JSON_VALUE(answer, '$.made.water_g') FROM batches WHERE JSON_VALUE(answer, '$.made.water_g') > 0;
INSERT INTO batch_components (operation_id, batch_id, component, grams)
  SELECT operation_id, id, 'sugar', JSON_VALUE(answer, '$.made.sugar_g') FROM batches WHERE JSON_VALUE(answer, '$.made.sugar_g') > 0;
UPDATE batches SET
  inputs = JSON_OBJECT(
    'rule_worked_under', COALESCE(JSON_VALUE(inputs, '$.rule_worked_under'), ''),
    'recipe', JSON_OBJECT('dribble', JSON_EXTRACT(inputs, '$.plan'))),
  answer = JSON_OBJECT('dribble', JSON_EXTRACT(REPLACE(answer, '"water_c":', '"temp_c":'), '$')),
  snapshot_version = 2
  WHERE snapshot_version = 1;

ALTER TABLE batches DROP COLUMN g_per_l;

-- +goose Down
ALTER TABLE batches ADD COLUMN g_per_l DOUBLE NOT NULL DEFAULT 0;
UPDATE batches SET
  inputs = JSON_OBJECT(
    'rule_worked_under', COALESCE(JSON_VALUE(inputs, '$.rule_worked_under'), ''),
    'plan', JSON_EXTRACT(inputs, '$.recipe.dribble')),
  g_per_l = COALESCE(JSON_VALUE(answer, '$.dribble.strength.g_per_l'), 0),
  answer = COALESCE(JSON_EXTRACT(answer, '$.dribble'), '{}'),
  snapshot_version = 1
  WHERE method = 'dribble';
DROP TABLE batch_components;
DELETE FROM batch_lines WHERE batch_id IN (SELECT id FROM batches WHERE method <> 'dribble');
DELETE FROM batch_remarks WHERE batch_id IN (SELECT id FROM batches WHERE method <> 'dribble');
UPDATE batches SET parent_id = NULL;
DELETE FROM batches WHERE method <> 'dribble';
ALTER TABLE batches DROP FOREIGN KEY batches_ibfk_2;
ALTER TABLE batches DROP COLUMN pieces, DROP COLUMN parent_id;
