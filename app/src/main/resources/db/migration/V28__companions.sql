-- Those whom a guest has invited to come along: they get the calendar file by mail, and no rights.
CREATE TABLE companions (
    id      INTEGER PRIMARY KEY,
    booking TEXT    NOT NULL REFERENCES bookings (id) ON DELETE CASCADE,
    name    TEXT    NOT NULL,
    email   TEXT    NOT NULL,
    invited INTEGER NOT NULL,
    UNIQUE (booking, email)
) STRICT;
