CREATE TABLE screen_list (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, product TEXT NOT NULL, formula TEXT NOT NULL, set_up_micros INTEGER NOT NULL, counts_white INTEGER NOT NULL,
  least_sheets INTEGER NOT NULL, freight_micros INTEGER NOT NULL, lead_days INTEGER NOT NULL
) STRICT;
CREATE TABLE screen_sheet (list_id TEXT NOT NULL REFERENCES screen_list(id), position INTEGER NOT NULL, name TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, PRIMARY KEY (list_id, position)) STRICT;
CREATE TABLE screen_break (
  list_id TEXT NOT NULL REFERENCES screen_list(id), position INTEGER NOT NULL, sheet_position INTEGER NOT NULL, colours INTEGER NOT NULL, from_count INTEGER NOT NULL, price_micros INTEGER NOT NULL,
  PRIMARY KEY (list_id, position)
) STRICT;

CREATE TABLE film_printer (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, roll_width_in REAL NOT NULL, gap_in REAL NOT NULL, speed_in2_minute REAL NOT NULL,
  colour_ml_in2 REAL NOT NULL, colour_ml_micros INTEGER NOT NULL, white_ml_in2 REAL NOT NULL, white_ml_micros INTEGER NOT NULL, white_on_light INTEGER NOT NULL,
  film_in2_micros INTEGER NOT NULL, powder_g_in2 REAL NOT NULL, powder_g_micros INTEGER NOT NULL, cleaning_ml_day REAL NOT NULL, cleaning_ml_micros INTEGER NOT NULL, prints_day REAL NOT NULL, cure TEXT NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;

CREATE TABLE dye_printer (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, speed_in2_minute REAL NOT NULL, ink_ml_in2 REAL NOT NULL, ink_ml_micros INTEGER NOT NULL,
  sheet_width_in REAL NOT NULL, sheet_height_in REAL NOT NULL, sheet_margin_in REAL NOT NULL, sheet_micros INTEGER NOT NULL, tape_in_print REAL NOT NULL, tape_in_micros INTEGER NOT NULL, protection_micros INTEGER NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;
