CREATE TABLE upkeep (id TEXT PRIMARY KEY, version INTEGER NOT NULL) STRICT;
CREATE TABLE upkeep_task (upkeep_id TEXT NOT NULL REFERENCES upkeep(id), position INTEGER NOT NULL, task_id TEXT NOT NULL, name TEXT NOT NULL, every TEXT NOT NULL, minutes REAL NOT NULL, cost_micros INTEGER NOT NULL, times_a_year REAL NOT NULL, PRIMARY KEY (upkeep_id, position)) STRICT;
CREATE TABLE upkeep_done (upkeep_id TEXT NOT NULL REFERENCES upkeep(id), position INTEGER NOT NULL, task_id TEXT NOT NULL, day TEXT NOT NULL, by_whom TEXT NOT NULL, note TEXT NOT NULL, PRIMARY KEY (upkeep_id, position)) STRICT;
