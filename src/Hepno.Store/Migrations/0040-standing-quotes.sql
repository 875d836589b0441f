-- whether an order has a quote that stands is asked of every order: read from the index alone, not past every quote's page
CREATE INDEX quote_standing ON quote(order_id) WHERE withdrawn_at IS NULL;
