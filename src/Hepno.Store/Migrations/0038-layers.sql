-- a print that lies on another of its line
ALTER TABLE placement ADD COLUMN on_top_of TEXT;
