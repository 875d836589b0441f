CREATE INDEX orders_customer ON orders(customer_id, number);
