-- what of its speed a stitching machine reaches, and what a change of colour takes
ALTER TABLE stitch_machine ADD COLUMN reached_share REAL NOT NULL DEFAULT 0.8;
ALTER TABLE stitch_machine ADD COLUMN colour_change_seconds REAL NOT NULL DEFAULT 8;
