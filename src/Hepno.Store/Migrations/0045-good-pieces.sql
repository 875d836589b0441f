-- what went over a press is counted from its verdicts alone, over years of them
CREATE INDEX run_event_good ON run_event(order_id, piece_no, received_at, event_id) WHERE verdict = 'Good';
CREATE INDEX run_event_taken ON run_event(takes_back) WHERE takes_back IS NOT NULL;
