-- Other calendars of those who serve: an address that is read again and again, or a file. What was read last stays until
-- something newer can be read.
CREATE TABLE busy_sources (
    id          INTEGER PRIMARY KEY,
    staff       TEXT    NOT NULL REFERENCES staff (id) ON DELETE CASCADE,
    address     TEXT    NOT NULL,
    name        TEXT    NOT NULL,
    added_at    INTEGER NOT NULL,
    tried_at    INTEGER,
    read_at     INTEGER,
    next_at     INTEGER NOT NULL,
    failing_at  INTEGER,
    told_at     INTEGER,
    error       TEXT    NOT NULL DEFAULT '',
    etag        TEXT    NOT NULL DEFAULT '',
    modified    TEXT    NOT NULL DEFAULT '',
    content     BLOB,
    occurrences INTEGER NOT NULL DEFAULT 0,
    unread      INTEGER NOT NULL DEFAULT 0,
    zones       TEXT    NOT NULL DEFAULT ''
) STRICT;

CREATE INDEX busy_sources_by_staff ON busy_sources (staff);
CREATE INDEX busy_sources_due ON busy_sources (next_at);
CREATE INDEX busy_sources_failing ON busy_sources (failing_at) WHERE failing_at IS NOT NULL;

ALTER TABLE busy ADD COLUMN source INTEGER REFERENCES busy_sources (id) ON DELETE CASCADE;

CREATE INDEX busy_by_source ON busy (source);
