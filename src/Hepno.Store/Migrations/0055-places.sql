-- where prints lie and how large they customarily are is the shop's: usual places it has changed, and places of its own
CREATE TABLE place (
  id TEXT PRIMARY KEY, version INTEGER NOT NULL, name TEXT NOT NULL, like_place TEXT, retired INTEGER NOT NULL, height_in REAL NOT NULL,
  small_in REAL NOT NULL, large_in REAL NOT NULL, extended_in REAL NOT NULL, youth_in REAL NOT NULL, toddler_in REAL NOT NULL, infant_in REAL NOT NULL,
  from_seam_in REAL NOT NULL, from_seam_youth_in REAL, from_seam_infant_in REAL, aside_in REAL NOT NULL
) STRICT;
