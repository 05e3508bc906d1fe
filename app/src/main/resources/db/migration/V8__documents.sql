-- What the house consists of is kept as documents, each with a version; what a host has changed and not kept yet as drafts;
-- and what was kept as changes that can be undone.

ALTER TABLE house ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE places ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE staff ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE resources ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE offers ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE promo_codes ADD COLUMN version INTEGER NOT NULL DEFAULT 1;

-- version: that of the document from which the draft began; 0: there is no such document yet
CREATE TABLE drafts (
    host       INTEGER NOT NULL REFERENCES hosts (id) ON DELETE CASCADE,
    kind       TEXT    NOT NULL CHECK (kind IN ('house', 'places', 'staff', 'resources', 'offers', 'promo_codes')),
    document   TEXT    NOT NULL,
    version    INTEGER NOT NULL CHECK (version >= 0),
    base       TEXT    NOT NULL,
    definition TEXT    NOT NULL,
    typed      TEXT    NOT NULL DEFAULT '{}',
    changed_at INTEGER NOT NULL,
    PRIMARY KEY (host, kind, document)
) STRICT, WITHOUT ROWID;

-- keeping: the first change of those that were kept together; before and after are missing where there was no document
CREATE TABLE changes (
    id       INTEGER PRIMARY KEY,
    keeping  INTEGER NOT NULL,
    at       INTEGER NOT NULL,
    who      TEXT    NOT NULL,
    kind     TEXT    NOT NULL CHECK (kind IN ('house', 'places', 'staff', 'resources', 'offers', 'promo_codes')),
    document TEXT    NOT NULL,
    version  INTEGER NOT NULL,
    before   TEXT,
    after    TEXT,
    undoes   INTEGER
) STRICT;

CREATE INDEX changes_by_document ON changes (kind, document);
CREATE INDEX changes_by_keeping ON changes (keeping);

-- Whether something was booked with a person, at a place, or of an offer: what was is retired and never deleted.
CREATE INDEX booking_staff_by_staff ON booking_staff (staff);
CREATE INDEX bookings_by_place ON bookings (place) WHERE place IS NOT NULL;
CREATE INDEX bookings_by_offer ON bookings (offer);
CREATE INDEX busy_by_staff ON busy (staff);

-- Which of the house's people a host is; empty: none of them.
ALTER TABLE hosts ADD COLUMN person TEXT NOT NULL DEFAULT '';

-- Who is signed in where; a session of which there is no row here has ended.
CREATE TABLE host_sessions (
    id      TEXT    PRIMARY KEY,
    host    INTEGER NOT NULL REFERENCES hosts (id) ON DELETE CASCADE,
    since   INTEGER NOT NULL,
    seen_at INTEGER NOT NULL,
    address TEXT    NOT NULL,
    agent   TEXT    NOT NULL
) STRICT;

CREATE INDEX host_sessions_by_host ON host_sessions (host);
CREATE INDEX host_sessions_by_since ON host_sessions (since);

-- secret: encrypted; step: the last step of time whose code was used
CREATE TABLE second_factors (
    host   INTEGER PRIMARY KEY REFERENCES hosts (id) ON DELETE CASCADE,
    secret TEXT    NOT NULL,
    step   INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE TABLE spare_codes (
    host INTEGER NOT NULL REFERENCES hosts (id) ON DELETE CASCADE,
    mark TEXT    NOT NULL,
    PRIMARY KEY (host, mark)
) STRICT, WITHOUT ROWID;

-- mark: of the token, which only the mailed link has
CREATE TABLE invitations (
    mark       TEXT    PRIMARY KEY,
    email      TEXT    NOT NULL COLLATE NOCASE,
    role       TEXT    NOT NULL CHECK (role IN ('owner', 'manager', 'staff')),
    person     TEXT    NOT NULL DEFAULT '',
    language   TEXT    NOT NULL,
    invited_by TEXT    NOT NULL,
    expires_at INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

-- The link of a booking that takes place online, where a meeting service makes one for each.
CREATE TABLE meetings (
    booking TEXT    PRIMARY KEY REFERENCES bookings (id) ON DELETE CASCADE,
    link    TEXT    NOT NULL,
    made_at INTEGER NOT NULL
) STRICT;
