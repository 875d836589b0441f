-- the multiple of materials a piece was sold at before there were figures; 0 for none
ALTER TABLE settings ADD COLUMN rule_of_thumb_micros INTEGER NOT NULL DEFAULT 3000000;
