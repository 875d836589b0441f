-- an order has several lines: what stood on the order becomes its line "1"
CREATE TABLE order_line (
  order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, id TEXT NOT NULL, style_id TEXT REFERENCES style(id), colourway_id TEXT, mark_micros INTEGER,
  decision_method TEXT, decision_at TEXT, decision_price_micros INTEGER, PRIMARY KEY (order_id, position)
) STRICT;
INSERT INTO order_line SELECT id, 0, '1', style_id, colourway_id, mark_micros, decision_method, decision_at, decision_price_micros FROM orders;
CREATE INDEX order_line_style ON order_line(style_id);
DROP INDEX orders_style;
ALTER TABLE orders DROP COLUMN style_id;
ALTER TABLE orders DROP COLUMN colourway_id;
ALTER TABLE orders DROP COLUMN mark_micros;
ALTER TABLE orders DROP COLUMN decision_method;
ALTER TABLE orders DROP COLUMN decision_at;
ALTER TABLE orders DROP COLUMN decision_price_micros;
ALTER TABLE orders ADD COLUMN ship_zone TEXT;
ALTER TABLE orders ADD COLUMN ship_in_price INTEGER NOT NULL DEFAULT 0;
ALTER TABLE order_size ADD COLUMN line_id TEXT NOT NULL DEFAULT '1';
ALTER TABLE placement ADD COLUMN line_id TEXT NOT NULL DEFAULT '1';
ALTER TABLE order_counted ADD COLUMN line_id TEXT NOT NULL DEFAULT '1';

-- earlier states of orders are of the old shape: they stay in the history as deeds, but cannot be put back
UPDATE history SET json = NULL, undoable = 0 WHERE kind = 'order';

-- frozen quotes: every figure and text stays, under its line
UPDATE quote SET json = json_remove(json_set(json,
  '$.lines', json_array(json_object('lineId', '1', 'style', json -> '$.style', 'colourway', json -> '$.colourway', 'band', json -> '$.band', 'pressingSeconds', json -> '$.pressingSeconds', 'goods', json -> '$.goods')),
  '$.ask.lines', json_array(json_object('id', '1', 'styleId', json -> '$.ask.styleId', 'colourwayId', json -> '$.ask.colourwayId', 'sizes', json -> '$.ask.sizes', 'placements', json -> '$.ask.placements', 'mark', json -> '$.ask.mark')),
  '$.document.lines', json_array(json_object('what', json -> '$.document.what', 'details', json -> '$.document.details', 'sizes', json -> '$.document.sizes', 'pieces', json -> '$.document.pieces', 'each', json -> '$.document.each', 'amount', json -> '$.document.amount', 'extras', json('[]'))),
  '$.document.kind', 'Quote', '$.postage', 0),
  '$.style', '$.colourway', '$.band', '$.pressingSeconds', '$.ask.styleId', '$.ask.colourwayId', '$.ask.sizes', '$.ask.placements', '$.ask.mark', '$.ask.pieces', '$.ask.dueAt',
  '$.document.what', '$.document.details', '$.document.sizes', '$.document.pieces', '$.document.each', '$.document.amount');

CREATE TABLE packaging (position INTEGER PRIMARY KEY, name TEXT NOT NULL, most_tees REAL NOT NULL, most_grams REAL NOT NULL, own_grams REAL NOT NULL, price_micros INTEGER NOT NULL) STRICT;
ALTER TABLE settings ADD COLUMN parcel_minutes REAL NOT NULL DEFAULT 4;
ALTER TABLE settings ADD COLUMN size_pricing TEXT NOT NULL DEFAULT 'Averaged';
ALTER TABLE customer ADD COLUMN address TEXT NOT NULL DEFAULT '';
