-- when an hour of hands is worth more than its wage, and how much more where the owner typed it
ALTER TABLE settings ADD COLUMN hands_worth TEXT NOT NULL DEFAULT 'ByPlan';
ALTER TABLE settings ADD COLUMN hands_worth_micros INTEGER NOT NULL DEFAULT 0;
