-- whether a supplier counts an order's value at list prices, or what it invoices
ALTER TABLE style ADD COLUMN value_at_list INTEGER NOT NULL DEFAULT 0;
