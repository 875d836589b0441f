-- how sure a run is to come out whole of what was bought for it, and how long a test piece takes
ALTER TABLE settings ADD COLUMN complete_share REAL NOT NULL DEFAULT 0.95;
ALTER TABLE settings ADD COLUMN test_minutes REAL NOT NULL DEFAULT 20;
