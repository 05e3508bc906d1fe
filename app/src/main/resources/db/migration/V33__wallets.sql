-- Another kind of gateway: the table is made anew, since what a column may hold cannot be changed.
CREATE TABLE gateways_anew (
    kind    TEXT    NOT NULL CHECK (kind IN ('card', 'wallet', 'transfer')),
    mode    TEXT    NOT NULL CHECK (mode IN ('practice', 'live')),
    enabled INTEGER NOT NULL CHECK (enabled IN (0, 1)),
    keys    TEXT    NOT NULL,
    origin  TEXT,
    PRIMARY KEY (kind, mode)
) STRICT, WITHOUT ROWID;

INSERT INTO gateways_anew SELECT kind, mode, enabled, keys, origin FROM gateways;
DROP TABLE gateways;
ALTER TABLE gateways_anew RENAME TO gateways;
