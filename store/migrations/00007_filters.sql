-- +goose Up
-- Filters of masks stand on the shelf, too, and go out of date.
ALTER TABLE lots
  MODIFY ingredient VARCHAR(12) NOT NULL CHECK (ingredient IN ('acid', 'sugar', 'glycerol', 'tablets', 'ready_mix', 'formic', 'carrier', 'product', 'ready_pads', 'filter'));

-- +goose Down
DELETE FROM stock_entries WHERE lot_id IN (SELECT id FROM lots WHERE ingredient = 'filter');
DELETE FROM lots WHERE ingredient = 'filter';
ALTER TABLE lots
  MODIFY ingredient VARCHAR(12) NOT NULL CHECK (ingredient IN ('acid', 'sugar', 'glycerol', 'tablets', 'ready_mix', 'formic', 'carrier', 'product', 'ready_pads'));
