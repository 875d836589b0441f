-- how a vinyl looks, and how a print is to look
ALTER TABLE vinyl ADD COLUMN finish TEXT NOT NULL DEFAULT 'Plain';
ALTER TABLE placement ADD COLUMN finish TEXT NOT NULL DEFAULT 'Plain';
