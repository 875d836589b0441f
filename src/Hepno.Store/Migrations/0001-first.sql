CREATE TABLE settings (
  id INTEGER PRIMARY KEY CHECK (id = 1), version INTEGER NOT NULL,
  shop_name TEXT NOT NULL, address TEXT NOT NULL, contact TEXT NOT NULL,
  sign TEXT NOT NULL, sign_after INTEGER NOT NULL, decimal_mark TEXT NOT NULL, group_mark TEXT NOT NULL, minor_digits INTEGER NOT NULL,
  day_first INTEGER NOT NULL, twelve_hours INTEGER NOT NULL, metric INTEGER NOT NULL, celsius INTEGER NOT NULL,
  paper TEXT NOT NULL, time_zone TEXT NOT NULL,
  wage_micros INTEGER NOT NULL, overhead_micros INTEGER NOT NULL, tariff_micros INTEGER NOT NULL, consumables_micros INTEGER NOT NULL, packing_micros INTEGER NOT NULL,
  order_minutes REAL NOT NULL, artwork_minutes REAL NOT NULL,
  fee_share_micros INTEGER NOT NULL, fee_fixed_micros INTEGER NOT NULL, tax_share_micros INTEGER NOT NULL, margin_share_micros INTEGER NOT NULL,
  minimum_charge_micros INTEGER NOT NULL, rounding_step_micros INTEGER NOT NULL, deposit_share_micros INTEGER NOT NULL,
  validity_days INTEGER NOT NULL, slow_tenth_share REAL NOT NULL
) STRICT;
CREATE TABLE day_hours (weekday INTEGER PRIMARY KEY, opens TEXT, closes TEXT) STRICT;

CREATE TABLE customer (id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, contact TEXT NOT NULL, search TEXT NOT NULL) STRICT;

CREATE TABLE style (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, supplier TEXT NOT NULL, kind TEXT NOT NULL, weight_gsm REAL NOT NULL, heat_ceiling_f REAL NOT NULL,
  unit_price_micros INTEGER NOT NULL, freight_micros INTEGER NOT NULL, lead_days INTEGER NOT NULL, retired INTEGER NOT NULL
) STRICT;
CREATE TABLE style_fabric (style_id TEXT NOT NULL REFERENCES style(id), position INTEGER NOT NULL, fibre TEXT NOT NULL, percent REAL NOT NULL, PRIMARY KEY (style_id, position)) STRICT;
CREATE TABLE style_colourway (style_id TEXT NOT NULL REFERENCES style(id), position INTEGER NOT NULL, id TEXT NOT NULL, name TEXT NOT NULL, hex TEXT NOT NULL, class TEXT NOT NULL, PRIMARY KEY (style_id, position)) STRICT;
CREATE TABLE style_size (style_id TEXT NOT NULL REFERENCES style(id), position INTEGER NOT NULL, name TEXT NOT NULL, surcharge_micros INTEGER NOT NULL, PRIMARY KEY (style_id, position)) STRICT;

CREATE TABLE film (id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, product TEXT NOT NULL, freight_micros INTEGER NOT NULL, lead_days INTEGER NOT NULL) STRICT;
CREATE TABLE film_size (film_id TEXT NOT NULL REFERENCES film(id), position INTEGER NOT NULL, name TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, PRIMARY KEY (film_id, position)) STRICT;
CREATE TABLE film_break (film_id TEXT NOT NULL REFERENCES film(id), size_position INTEGER NOT NULL, position INTEGER NOT NULL, from_count INTEGER NOT NULL, price_micros INTEGER NOT NULL, PRIMARY KEY (film_id, size_position, position)) STRICT;

CREATE TABLE vinyl (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, supplier TEXT NOT NULL, product TEXT NOT NULL, usable_width_in REAL NOT NULL, price_foot_micros INTEGER NOT NULL,
  weeding_margin_in REAL NOT NULL, freight_micros INTEGER NOT NULL, lead_days INTEGER NOT NULL
) STRICT;

CREATE TABLE press (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, kind TEXT NOT NULL, platen_width_in REAL NOT NULL, platen_height_in REAL NOT NULL,
  warm_up_minutes REAL NOT NULL, rise_f REAL NOT NULL, drop_f REAL NOT NULL, offset_f REAL,
  price_new_micros INTEGER NOT NULL, resale_micros INTEGER NOT NULL, useful_years REAL NOT NULL, hours_a_year REAL NOT NULL, power_kw REAL NOT NULL, duty_share REAL NOT NULL, upkeep_micros INTEGER NOT NULL,
  cautions TEXT NOT NULL
) STRICT;

CREATE TABLE recipe (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, product_id TEXT NOT NULL, revision TEXT NOT NULL, fabric TEXT NOT NULL, temperature_f REAL NOT NULL, dwell_seconds REAL NOT NULL, dwell_slack_seconds REAL NOT NULL,
  pressure TEXT NOT NULL, pre_press_seconds REAL NOT NULL, peel TEXT NOT NULL, peel_after_seconds REAL NOT NULL, second_press_seconds REAL NOT NULL, side TEXT NOT NULL, source TEXT NOT NULL, as_of TEXT NOT NULL, caution TEXT NOT NULL
) STRICT;

CREATE TABLE orders (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, number INTEGER NOT NULL UNIQUE,
  customer_id TEXT REFERENCES customer(id), style_id TEXT REFERENCES style(id), colourway_id TEXT, due_date TEXT, due_time TEXT, mark_micros INTEGER, note TEXT,
  decision_method TEXT, decision_at TEXT, laid_out_at TEXT, approved_by TEXT, approved_at TEXT, deposit_micros INTEGER, deposit_override TEXT, deposit_at TEXT,
  run_started_at TEXT, handed_to TEXT, handed_at TEXT, closed_at TEXT, created_at TEXT NOT NULL
) STRICT;
CREATE INDEX orders_open ON orders(closed_at, number);
CREATE INDEX orders_style ON orders(style_id);
CREATE TABLE order_size (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, size TEXT NOT NULL, pieces INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;
CREATE TABLE placement (
  order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, id TEXT NOT NULL, place TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, coverage_percent REAL NOT NULL,
  colours INTEGER NOT NULL, gradient INTEGER NOT NULL, thinnest_line_pt REAL NOT NULL, PRIMARY KEY (order_id, position)
) STRICT;
CREATE TABLE gather_item (
  order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, id TEXT NOT NULL, kind TEXT NOT NULL, text TEXT NOT NULL, supplier TEXT NOT NULL, quantity REAL NOT NULL, unit TEXT NOT NULL,
  cost_micros INTEGER NOT NULL, expected TEXT NOT NULL, done_at TEXT, PRIMARY KEY (order_id, position)
) STRICT;
CREATE TABLE order_counted (order_id TEXT NOT NULL REFERENCES orders(id), position INTEGER NOT NULL, size TEXT NOT NULL, pieces INTEGER NOT NULL, PRIMARY KEY (order_id, position)) STRICT;

CREATE TABLE quote (id TEXT PRIMARY KEY, order_id TEXT NOT NULL REFERENCES orders(id), sent_at TEXT NOT NULL, withdrawn_at TEXT, json TEXT NOT NULL, pdf BLOB NOT NULL) STRICT;
CREATE INDEX quote_order ON quote(order_id, sent_at);

CREATE TABLE run_event (
  seq INTEGER PRIMARY KEY AUTOINCREMENT, event_id TEXT NOT NULL UNIQUE, order_id TEXT NOT NULL REFERENCES orders(id), device TEXT NOT NULL, piece_no INTEGER NOT NULL, attempt INTEGER NOT NULL, pass INTEGER NOT NULL,
  size TEXT NOT NULL, verdict TEXT NOT NULL, reason TEXT, takes_back TEXT, seconds REAL NOT NULL, received_at TEXT NOT NULL
) STRICT;
CREATE INDEX run_event_order ON run_event(order_id, seq);

CREATE TABLE change (seq INTEGER PRIMARY KEY AUTOINCREMENT, kind TEXT NOT NULL, id TEXT NOT NULL, version INTEGER NOT NULL, at TEXT NOT NULL) STRICT;
CREATE TABLE history (
  seq INTEGER PRIMARY KEY AUTOINCREMENT, kind TEXT NOT NULL, id TEXT NOT NULL, version INTEGER NOT NULL, json TEXT, deed TEXT NOT NULL, device TEXT NOT NULL, at TEXT NOT NULL,
  undoable INTEGER NOT NULL, undone INTEGER NOT NULL DEFAULT 0, restores INTEGER
) STRICT;
CREATE INDEX history_thing ON history(kind, id, version);
CREATE INDEX history_device ON history(device, seq);

CREATE TABLE paired_device (id TEXT PRIMARY KEY, token_hash TEXT NOT NULL UNIQUE, name TEXT NOT NULL, paired_at TEXT NOT NULL, shut_out INTEGER NOT NULL) STRICT;
