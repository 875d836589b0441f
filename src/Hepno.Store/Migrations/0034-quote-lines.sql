-- what each line of a sent quote is sold at and cost then, so that thousands can be re-costed without reading their figures
CREATE TABLE quote_line (
  quote_id TEXT NOT NULL REFERENCES quote(id) ON DELETE CASCADE, line_id TEXT NOT NULL, method_id TEXT NOT NULL, price_micros INTEGER NOT NULL, cost_micros INTEGER NOT NULL,
  PRIMARY KEY (quote_id, line_id)
) STRICT;

INSERT INTO quote_line
  SELECT q.id, json_extract(l.value, '$.lineId'), json_extract(l.value, '$.band.methodId'),
    CAST(round((json_extract(l.value, '$.band.outcome.price') + coalesce(json_extract(l.value, '$.band.outcome.surcharges'), 0)) * 1000000) AS INTEGER),
    CAST(round(json_extract(l.value, '$.band.cost.value') * 1000000) AS INTEGER)
  FROM quote q, json_each(q.json, '$.lines') l
  WHERE json_extract(l.value, '$.band.methodId') IS NOT NULL AND json_extract(l.value, '$.band.outcome.price') IS NOT NULL AND json_extract(l.value, '$.band.cost.value') IS NOT NULL;
