CREATE TABLE cutter (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, cut_width_in REAL NOT NULL, speed_in2_minute REAL NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;

CREATE TABLE person (
  position INTEGER PRIMARY KEY, id TEXT NOT NULL, name TEXT NOT NULL, wage_micros INTEGER NOT NULL, on_costs_micros INTEGER NOT NULL, lunch_from TEXT, lunch_minutes INTEGER NOT NULL
) STRICT;
CREATE TABLE person_day (person_id TEXT NOT NULL, weekday INTEGER NOT NULL, opens TEXT, closes TEXT, PRIMARY KEY (person_id, weekday)) STRICT;
CREATE TABLE person_off (person_id TEXT NOT NULL, day TEXT NOT NULL, PRIMARY KEY (person_id, day)) STRICT;
CREATE TABLE fixed_cost (position INTEGER PRIMARY KEY, name TEXT NOT NULL, month_micros INTEGER NOT NULL) STRICT;
ALTER TABLE settings ADD COLUMN productive_share REAL NOT NULL DEFAULT 0.6;
ALTER TABLE settings ADD COLUMN tier_steps TEXT NOT NULL DEFAULT '12,24,36,48,72,144';
CREATE TABLE order_move (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, line_id TEXT NOT NULL, press_id TEXT NOT NULL, from_wall TEXT NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
