-- machines that run day and night, one a line; the others run in the open hours
ALTER TABLE settings ADD COLUMN unattended TEXT NOT NULL DEFAULT '';
