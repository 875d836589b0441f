CREATE TABLE cloth (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, product TEXT NOT NULL, polyester_percent REAL NOT NULL, weight_gsm REAL NOT NULL, width_in REAL NOT NULL, foot_micros INTEGER NOT NULL, step_in REAL NOT NULL, shrink_share REAL NOT NULL,
  freight_micros INTEGER NOT NULL, lead_days INTEGER NOT NULL
) STRICT;

CREATE TABLE calender (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, paper_width_in REAL NOT NULL, paper_foot_micros INTEGER NOT NULL, print_in2_minute REAL NOT NULL, ink_ml_in2 REAL NOT NULL, ink_ml_micros INTEGER NOT NULL, in_minute REAL NOT NULL, notions_micros INTEGER NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;
