-- stitches of a print by its stitch file; null while there is none
ALTER TABLE placement ADD COLUMN stitches INTEGER;
