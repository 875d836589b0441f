-- screens a printer keeps cost less the next time; some print on garments of their own
ALTER TABLE outside_printer ADD COLUMN repeat_micros INTEGER;
ALTER TABLE outside_printer ADD COLUMN keeps_months INTEGER NOT NULL DEFAULT 12;
CREATE TABLE outside_blank (
  printer_id TEXT NOT NULL REFERENCES outside_printer(id), position INTEGER NOT NULL, kind TEXT NOT NULL, price_micros INTEGER NOT NULL,
  PRIMARY KEY (printer_id, position)
) STRICT;

-- which artwork, as which picture, a sent quote makes by screens or stitches, and how large
CREATE TABLE quote_design (
  quote_id TEXT NOT NULL REFERENCES quote(id) ON DELETE CASCADE, design_id TEXT NOT NULL, hash TEXT NOT NULL, maker_id TEXT NOT NULL, width_in REAL NOT NULL, height_in REAL NOT NULL, screens INTEGER NOT NULL
) STRICT;
CREATE INDEX quote_design_by_design ON quote_design(design_id);

INSERT INTO quote_design
  SELECT q.id, a.id, a.hash, json_extract(d.value, '$.recipe.productId'), json_extract(d.value, '$.placement.widthIn'), json_extract(d.value, '$.placement.heightIn'),
    CASE WHEN coalesce(nullif(json_extract(d.value, '$.methodId'), ''), json_extract(l.value, '$.band.methodId')) = 'embroidery' THEN 0
      ELSE json_extract(d.value, '$.placement.colours') + (json_extract(l.value, '$.colourway.class') IN ('mid', 'dark')) END
  FROM quote q, json_each(q.json, '$.lines') l, json_each(l.value, '$.band.decorations') d JOIN artwork a ON a.id = json_extract(d.value, '$.placement.designId')
  WHERE coalesce(nullif(json_extract(d.value, '$.methodId'), ''), json_extract(l.value, '$.band.methodId')) IN ('screen-out', 'embroidery');
