-- A booking stands in one line at most. Money that comes or goes finds it by the booking.
CREATE UNIQUE INDEX order_lines_by_booking ON order_lines (booking);
CREATE INDEX order_lines_owing ON order_lines (asked_at) WHERE total > paid + waived;

-- How far a query reaches back: by the longest booking that takes time, not by one that was called off.
DROP INDEX bookings_by_duration;
CREATE INDEX bookings_by_duration ON bookings (end_at - start_at) WHERE status IN ('requested', 'confirmed', 'completed', 'no-show');

-- Bookings that are still to end: those behind us are asked for their end, those before us for what is owed.
CREATE INDEX bookings_to_end ON bookings (end_at) WHERE status = 'confirmed';

-- Payments that the house waits for.
CREATE INDEX payments_awaited ON payments (order_id) WHERE state = 'created';
CREATE INDEX payments_by_booking ON payments (booking) WHERE booking IS NOT NULL;
CREATE INDEX payment_steps_by_booking ON payment_steps (booking) WHERE booking IS NOT NULL;

-- What is tidied away, and what may still speak of it.
DROP INDEX bookings_by_basket;
CREATE INDEX bookings_by_basket ON bookings (basket) WHERE basket IS NOT NULL;
CREATE INDEX bookings_not_ordered ON bookings (expires_at) WHERE order_id IS NULL;
CREATE INDEX orders_by_basket ON orders (basket) WHERE basket IS NOT NULL;
CREATE INDEX orders_remembered ON orders (placed_at) WHERE forgotten_at IS NULL;
DROP INDEX goods_by_basket;
CREATE INDEX goods_by_basket ON goods (basket);
CREATE INDEX goods_by_prepaid ON goods (prepaid) WHERE prepaid IS NOT NULL;
CREATE INDEX spent_seals_by_time ON spent_seals (at);
