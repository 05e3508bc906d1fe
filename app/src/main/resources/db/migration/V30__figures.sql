CREATE INDEX goods_sold ON goods (sold_at) WHERE sold_at IS NOT NULL;
CREATE INDEX prepaid_left ON prepaid (kind, last_day) WHERE rest > 0;

CREATE TABLE asked_in_vain (
    asked_on TEXT    NOT NULL,
    offer    TEXT    NOT NULL,
    length   TEXT    NOT NULL,
    units    INTEGER NOT NULL,
    party    INTEGER NOT NULL,
    add_ons  TEXT    NOT NULL,
    staff    TEXT    NOT NULL,
    place    TEXT    NOT NULL,
    wanted   TEXT    NOT NULL,
    why      TEXT    NOT NULL,
    asked_at INTEGER NOT NULL,
    guests   INTEGER NOT NULL,
    PRIMARY KEY (asked_on, offer, length, units, party, add_ons, staff, place, wanted)
) STRICT, WITHOUT ROWID;

CREATE INDEX documents_by_issued ON documents (issued_at);
CREATE INDEX prepaid_by_issued ON prepaid (issued_at);
CREATE INDEX prepaid_uses_by_time ON prepaid_uses (at);
