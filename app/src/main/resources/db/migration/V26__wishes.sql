-- The waiting list: what guests would like to have that cannot be had now, in the order of their turn.
CREATE TABLE wishes (
    token         TEXT PRIMARY KEY,
    offer         TEXT NOT NULL,
    party         INTEGER NOT NULL CHECK (party > 0),
    lengths       TEXT NOT NULL,
    places        TEXT NOT NULL,
    staff         TEXT,
    from_date     TEXT NOT NULL,
    to_date       TEXT NOT NULL,
    parts         TEXT NOT NULL,
    start_at      INTEGER,
    guest         TEXT NOT NULL,
    email         TEXT NOT NULL,
    locale        TEXT NOT NULL,
    source        TEXT NOT NULL,
    made_at       INTEGER NOT NULL,
    turn          INTEGER NOT NULL,
    state         TEXT NOT NULL CHECK (state IN ('waiting', 'offered', 'taken', 'lapsed', 'left', 'over')),
    basket        TEXT,
    booking       TEXT,
    offered_until INTEGER,
    changed_at    INTEGER NOT NULL
) STRICT;

CREATE INDEX wishes_in_turn ON wishes (state, turn);
CREATE INDEX wishes_of_guest ON wishes (email COLLATE NOCASE, state);
CREATE INDEX wishes_ended ON wishes (changed_at);
