-- every list of the numbers with something in it, and every word another than the first
UPDATE settings SET version = 7, group_mark = ' ', decimal_mark = ',', minor_digits = 3, sign_after = 1, metric = 1,
  twelve_hours = 1, celsius = 1, day_first = 0, language = 'fr', paper = 'a4', wage_micros = 17686759,
  retail_kind = 'Hourly', wholesale_kind = 'Multiple', wholesale_of = 'Materials', fee_base = 'GoodsAndPostage',
  inversion = 'GivePiece', size_pricing = 'Surcharged', tier_steps = '6,1001', floor_policy = 'OneAtATime',
  second_habit = 'Never', hands_worth = 'Typed', hands_worth_micros = 12500000, slow_tenth_share = 0.1,
  productive_share = 0.333333333333333, unattended = 'a' || char(10) || 'b "quoted" \ c', first_piece = 0,
  measured = 1, cold_plate = 1, hands_on_only = 1, test_first = 0, prepare_beside = 1, set_up_while_heating = 0;
INSERT INTO learned_spoilage VALUES ('dtf', 0.047), ('htv', 0.1);
INSERT INTO step_time VALUES ('lint', 9.5), ('peel', 0.1);
INSERT INTO cover_price VALUES ('Sheet', 12000000, 200), ('SingleUse', 125000, 1);
DELETE FROM packaging;
INSERT INTO person (position, id, name, wage_micros, on_costs_micros, lunch_from, lunch_minutes) VALUES
  (0, 'ines', 'Ines "the needle"', 14000000, 0, NULL, 0), (1, 'wren', 'Wren', 18333333, 100001, '12:15', 45);
INSERT INTO person_day (person_id, weekday, opens, closes) VALUES
  ('wren', 0, NULL, NULL), ('wren', 1, '08:05', '16:00'), ('wren', 2, '09:00', '17:00'), ('wren', 3, '09:00', '17:00'),
  ('wren', 4, '09:00', '17:00'), ('wren', 5, '09:00', '17:00'), ('wren', 6, NULL, NULL),
  ('ines', 0, NULL, NULL), ('ines', 1, NULL, NULL), ('ines', 2, '09:00', '13:00'), ('ines', 3, '09:00', '13:00'),
  ('ines', 4, '09:00', '13:00'), ('ines', 5, '09:00', '13:00'), ('ines', 6, '10:00', '12:30');
INSERT INTO person_off (person_id, day) VALUES ('wren', '2026-12-24'), ('wren', '2026-01-02'), ('ines', '2026-12-24');
INSERT INTO fixed_cost (position, name, month_micros) VALUES (0, 'Rent', 700000000), (1, 'A tool, used', 12345678);
