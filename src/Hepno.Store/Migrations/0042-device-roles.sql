-- what a device was let in for; those let in before are for the press, until their owner is told and says otherwise
ALTER TABLE paired_device ADD COLUMN role TEXT NOT NULL DEFAULT 'Press' CHECK (role IN ('Press', 'Counter'));
ALTER TABLE paired_device ADD COLUMN role_told INTEGER NOT NULL DEFAULT 0 CHECK (role_told IN (0, 1));
