-- which change of a kind was the last: what is read once and kept must notice it
CREATE INDEX change_kind ON change(kind, seq);
