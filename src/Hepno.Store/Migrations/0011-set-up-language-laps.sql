-- making a press ready, the language of dates, pieces given, what a step took, ways offered beside a quote
ALTER TABLE settings ADD COLUMN language TEXT NOT NULL DEFAULT 'en';
ALTER TABLE settings ADD COLUMN swap_minutes REAL NOT NULL DEFAULT 3;
ALTER TABLE settings ADD COLUMN dial_minutes REAL NOT NULL DEFAULT 2;
ALTER TABLE settings ADD COLUMN set_up_while_heating INTEGER NOT NULL DEFAULT 1;
CREATE TABLE press_lower (press_id TEXT NOT NULL REFERENCES press(id), position INTEGER NOT NULL, name TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, PRIMARY KEY (press_id, position)) STRICT;
ALTER TABLE order_line ADD COLUMN given INTEGER NOT NULL DEFAULT 0;
CREATE TABLE run_lap (event_id TEXT NOT NULL REFERENCES run_event(event_id), position INTEGER NOT NULL, step TEXT NOT NULL, seconds REAL NOT NULL, PRIMARY KEY (event_id, position)) STRICT;
CREATE TABLE order_offer (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, method_id TEXT NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
