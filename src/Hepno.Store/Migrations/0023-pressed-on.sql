CREATE TABLE order_pressed (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, press_id TEXT NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
CREATE INDEX order_pressed_press ON order_pressed(press_id);
