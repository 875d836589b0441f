-- what is said of an order beside its lines and its day is one described document, and what it is found by stands beside it
ALTER TABLE orders ADD COLUMN details TEXT NOT NULL DEFAULT '{}';
ALTER TABLE orders ADD COLUMN found_by TEXT NOT NULL DEFAULT '';
UPDATE orders SET details = json_object('note', note) WHERE note IS NOT NULL;
ALTER TABLE orders DROP COLUMN note;
CREATE INDEX order_found_by ON orders (found_by, id) WHERE found_by <> '';
