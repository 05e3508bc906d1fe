-- How often a booking was moved, for calendars that know it already.
ALTER TABLE bookings ADD COLUMN moves INTEGER NOT NULL DEFAULT 0;

-- Addresses under which calendars can be followed: whoever knows one sees it, until it is made anew.
CREATE TABLE feeds (
    token   TEXT    PRIMARY KEY,
    kind    TEXT    NOT NULL CHECK (kind IN ('house', 'person', 'thing', 'guest')),
    subject TEXT    NOT NULL,
    made_at INTEGER NOT NULL,
    UNIQUE (kind, subject)
) STRICT, WITHOUT ROWID;
