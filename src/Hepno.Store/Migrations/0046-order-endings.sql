-- how an order left the line without being handed over
ALTER TABLE orders ADD COLUMN ended_kind TEXT CHECK (ended_kind IN ('ThrownAway', 'Declined', 'Lost', 'Cancelled'));
ALTER TABLE orders ADD COLUMN ended_why TEXT NOT NULL DEFAULT '';
ALTER TABLE orders ADD COLUMN ended_to TEXT NOT NULL DEFAULT '';
ALTER TABLE orders ADD COLUMN ended_their_price_micros INTEGER;
ALTER TABLE orders ADD COLUMN ended_settled_micros INTEGER NOT NULL DEFAULT 0;
