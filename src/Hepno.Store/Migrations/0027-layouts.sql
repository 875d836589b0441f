-- film sold by length or sheets for layouts of one's own, and the layout settled for each line
ALTER TABLE film ADD COLUMN gap_in REAL;
ALTER TABLE film ADD COLUMN margin_in REAL;
ALTER TABLE film ADD COLUMN roll_width_in REAL;
ALTER TABLE film ADD COLUMN roll_step_in REAL;
CREATE TABLE film_roll_step (film_id TEXT NOT NULL REFERENCES film(id), position INTEGER NOT NULL, from_count INTEGER NOT NULL, price_micros INTEGER NOT NULL, PRIMARY KEY (film_id, position)) STRICT;
CREATE TABLE film_roll_length (film_id TEXT NOT NULL REFERENCES film(id), position INTEGER NOT NULL, length_in REAL NOT NULL, price_micros INTEGER NOT NULL, PRIMARY KEY (film_id, position)) STRICT;
CREATE TABLE film_sheet (film_id TEXT NOT NULL REFERENCES film(id), position INTEGER NOT NULL, name TEXT NOT NULL, width_in REAL NOT NULL, length_in REAL NOT NULL, PRIMARY KEY (film_id, position)) STRICT;
CREATE TABLE film_sheet_break (film_id TEXT NOT NULL REFERENCES film(id), sheet_position INTEGER NOT NULL, position INTEGER NOT NULL, from_count INTEGER NOT NULL, price_micros INTEGER NOT NULL, PRIMARY KEY (film_id, sheet_position, position)) STRICT;

CREATE TABLE order_layout (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, film_id TEXT NOT NULL, on_key TEXT NOT NULL, seed INTEGER NOT NULL, steps INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
CREATE TABLE order_layout_design (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, key TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, needed INTEGER NOT NULL, extra INTEGER NOT NULL, may_turn INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
CREATE TABLE order_layout_copy (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, key TEXT NOT NULL, sheet INTEGER NOT NULL, x_in REAL NOT NULL, y_in REAL NOT NULL, turned INTEGER NOT NULL, pinned INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
