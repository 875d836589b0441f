CREATE TABLE artwork (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, kind TEXT NOT NULL, hash TEXT NOT NULL, bytes INTEGER NOT NULL, width_in REAL NOT NULL, report TEXT NOT NULL, came_as TEXT,
  whose TEXT NOT NULL, said_by TEXT NOT NULL, said_on TEXT, proof TEXT NOT NULL
) STRICT;
ALTER TABLE placement ADD COLUMN design_id TEXT REFERENCES artwork(id);
