-- how far below a platen's mean a point may be, and what heat a printer's powder is cured at
ALTER TABLE press ADD COLUMN cold_below_f REAL NOT NULL DEFAULT 10;
ALTER TABLE film_printer ADD COLUMN cure_f REAL NOT NULL DEFAULT 250;
