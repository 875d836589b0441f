-- where a second copy goes, and what became of the last one that was put back aside as a trial
CREATE TABLE copying (
  id INTEGER PRIMARY KEY CHECK (id = 1), second_folder TEXT, trial_at TEXT, trial_well INTEGER NOT NULL DEFAULT 1 CHECK (trial_well IN (0, 1)), trial_said TEXT NOT NULL DEFAULT ''
) STRICT;
INSERT INTO copying (id) VALUES (1);
