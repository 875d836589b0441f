-- what each order taught, kept as it is handed over: by which rule, of which of its versions, up to which verdict; totals are sums of it
CREATE TABLE learned_order (order_id TEXT PRIMARY KEY REFERENCES orders(id), rule INTEGER NOT NULL, order_version INTEGER NOT NULL, last_event INTEGER NOT NULL) STRICT;
CREATE TABLE learned_part (
  order_id TEXT NOT NULL REFERENCES learned_order(order_id) ON DELETE CASCADE, kind TEXT NOT NULL, method_id TEXT NOT NULL, what TEXT NOT NULL,
  standard REAL NOT NULL, recorded REAL NOT NULL, seen INTEGER NOT NULL, spoiled INTEGER NOT NULL, PRIMARY KEY (order_id, kind, method_id, what)
) STRICT;
CREATE INDEX orders_handed ON orders(handed_at) WHERE handed_at IS NOT NULL;
CREATE INDEX orders_created ON orders(created_at);
-- earlier states of orders older than this are let go; 0 keeps them for ever
ALTER TABLE copying ADD COLUMN history_months INTEGER NOT NULL DEFAULT 36 CHECK (history_months BETWEEN 0 AND 600);
