-- money for an in² of the film that applique is cut from; null where none is kept
ALTER TABLE stitch_machine ADD COLUMN applique_micros INTEGER;
