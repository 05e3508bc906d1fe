-- Where a booking at its guest's address takes place.
-- metres: the straight line from the house's place; NULL where nobody has measured it
CREATE TABLE visits (
    booking TEXT    PRIMARY KEY REFERENCES bookings (id) ON DELETE CASCADE,
    place   TEXT    NOT NULL REFERENCES places (id),
    address TEXT    NOT NULL,
    metres  INTEGER
) STRICT;
