-- What lies in bookings of an offer that has add-ons is counted where there are so many only.
CREATE INDEX bookings_with_add_ons ON bookings (offer) WHERE add_ons <> '{}';
