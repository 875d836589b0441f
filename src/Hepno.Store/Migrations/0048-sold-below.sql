-- whether a supplier sells fewer than the first break of a size, at its price
ALTER TABLE film ADD COLUMN sold_below INTEGER NOT NULL DEFAULT 0;
