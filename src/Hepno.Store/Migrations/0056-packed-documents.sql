-- earlier states and sent quotes are kept packed; what was kept before stays as it was written, only packed too
ALTER TABLE history ADD COLUMN document BLOB;
UPDATE history SET document = packed(json) WHERE json IS NOT NULL;
ALTER TABLE history DROP COLUMN json;
ALTER TABLE quote ADD COLUMN document BLOB NOT NULL DEFAULT x'';
UPDATE quote SET document = packed(json);
ALTER TABLE quote DROP COLUMN json;
