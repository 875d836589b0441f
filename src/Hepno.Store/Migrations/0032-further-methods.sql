-- film, or printed and blocked
ALTER TABLE film ADD COLUMN kind TEXT NOT NULL DEFAULT 'film';

-- keeps a cloth's own dye back
ALTER TABLE vinyl ADD COLUMN blocks INTEGER NOT NULL DEFAULT 0;

-- why a method was chosen, and against what
ALTER TABLE order_line ADD COLUMN decision_why TEXT NOT NULL DEFAULT '';

CREATE TABLE paper_printer (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, speed_in2_minute REAL NOT NULL, widest_in REAL NOT NULL, ink_ml_in2 REAL NOT NULL, ink_ml_micros INTEGER NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;

CREATE TABLE garment_printer (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, speed_in2_minute REAL NOT NULL, most_width_in REAL NOT NULL, most_height_in REAL NOT NULL,
  colour_ml_in2 REAL NOT NULL, colour_ml_micros INTEGER NOT NULL, white_ml_in2 REAL NOT NULL, white_ml_micros INTEGER NOT NULL, pretreat_ml_in2 REAL NOT NULL, pretreat_ml_micros INTEGER NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;

CREATE TABLE stitch_machine (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, stitches_minute REAL NOT NULL, heads INTEGER NOT NULL, needles INTEGER NOT NULL, hoop_width_in REAL NOT NULL, hoop_height_in REAL NOT NULL, takes_caps INTEGER NOT NULL,
  thread_thousand_micros INTEGER NOT NULL, backing_micros INTEGER NOT NULL, digitising_micros INTEGER NOT NULL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;

CREATE TABLE paper (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, product TEXT NOT NULL, kind TEXT NOT NULL, sheet_width_in REAL NOT NULL, sheet_height_in REAL NOT NULL, margin_in REAL NOT NULL, marks_in REAL NOT NULL, bleed_in REAL NOT NULL,
  sheet_micros INTEGER NOT NULL, freight_micros INTEGER NOT NULL, lead_days INTEGER NOT NULL
) STRICT;

CREATE TABLE outside_printer (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, set_up_micros INTEGER NOT NULL, least_pieces INTEGER NOT NULL, spare_share REAL NOT NULL, freight_there_micros INTEGER NOT NULL, freight_back_micros INTEGER NOT NULL,
  lead_days INTEGER NOT NULL, most_width_in REAL NOT NULL, most_height_in REAL NOT NULL
) STRICT;
CREATE TABLE outside_break (
  printer_id TEXT NOT NULL REFERENCES outside_printer(id), position INTEGER NOT NULL, screens INTEGER NOT NULL, from_count INTEGER NOT NULL, price_micros INTEGER NOT NULL,
  PRIMARY KEY (printer_id, position)
) STRICT;

CREATE TABLE pod_service (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, further_micros INTEGER NOT NULL, postage_first_micros INTEGER NOT NULL, postage_further_micros INTEGER NOT NULL, making_days INTEGER NOT NULL, transit_days INTEGER NOT NULL,
  order_minutes REAL NOT NULL, most_width_in REAL NOT NULL, most_height_in REAL NOT NULL
) STRICT;
CREATE TABLE pod_price (
  service_id TEXT NOT NULL REFERENCES pod_service(id), position INTEGER NOT NULL, kind TEXT NOT NULL, price_micros INTEGER NOT NULL,
  PRIMARY KEY (service_id, position)
) STRICT;
