-- Times that are kept free with a word, once or every week. What is taken by them stands in busy, an entry for each date.
CREATE TABLE blocked (
    id      INTEGER PRIMARY KEY,
    staff   TEXT    NOT NULL REFERENCES staff (id) ON DELETE CASCADE,
    word    TEXT    NOT NULL,
    weekly  INTEGER NOT NULL CHECK (weekly IN (0, 1)),
    who     TEXT    NOT NULL,
    made_at INTEGER NOT NULL
) STRICT;

CREATE INDEX blocked_by_staff ON blocked (staff);

ALTER TABLE busy ADD COLUMN blocked INTEGER REFERENCES blocked (id) ON DELETE CASCADE;

CREATE INDEX busy_by_blocked ON busy (blocked) WHERE blocked IS NOT NULL;
