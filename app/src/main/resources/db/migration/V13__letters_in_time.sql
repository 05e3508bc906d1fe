-- Since when a booking has its start, where it was moved to it.
ALTER TABLE bookings ADD COLUMN start_since INTEGER;

-- Letters that go some time before or after a booking (docs/letters.md): each goes once for a booking and its start, or does
-- not, and why.
CREATE TABLE timed_letters (
    booking  TEXT    NOT NULL REFERENCES bookings (id) ON DELETE CASCADE,
    letter   TEXT    NOT NULL,
    start_at INTEGER NOT NULL,
    state    TEXT    NOT NULL CHECK (state IN ('put', 'late', 'made-later')),
    at       INTEGER NOT NULL,
    PRIMARY KEY (booking, letter, start_at)
) STRICT, WITHOUT ROWID;

CREATE INDEX bookings_of_offer_by_start ON bookings (offer, start_at);
CREATE INDEX bookings_of_offer_by_end ON bookings (offer, end_at);
