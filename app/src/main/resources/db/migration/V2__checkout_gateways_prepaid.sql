-- What guests say at checkout.
ALTER TABLE orders ADD COLUMN company TEXT NOT NULL DEFAULT '';
ALTER TABLE orders ADD COLUMN address TEXT NOT NULL DEFAULT '';
ALTER TABLE orders ADD COLUMN notes TEXT NOT NULL DEFAULT '';

-- A question keeps the words in which it was asked; person 0 is the booking as a whole.
CREATE TABLE answers (
    booking  TEXT    NOT NULL REFERENCES bookings (id),
    person   INTEGER NOT NULL CHECK (person >= 0),
    question TEXT    NOT NULL,
    position INTEGER NOT NULL,
    label    TEXT    NOT NULL,
    value    TEXT    NOT NULL,
    PRIMARY KEY (booking, person, question)
) STRICT, WITHOUT ROWID;

-- What a guest agreed to, in the words that stood there then.
CREATE TABLE agreements (
    order_id  INTEGER NOT NULL REFERENCES orders (id),
    text_id   TEXT    NOT NULL,
    title     TEXT    NOT NULL,
    wording   TEXT    NOT NULL,
    agreed_at INTEGER NOT NULL,
    PRIMARY KEY (order_id, text_id)
) STRICT, WITHOUT ROWID;

-- A house's own keys for a kind of gateway, in practice and in live mode; encrypted with the key beside this file.
CREATE TABLE gateways (
    kind    TEXT    NOT NULL CHECK (kind IN ('card', 'transfer')),
    mode    TEXT    NOT NULL CHECK (mode IN ('practice', 'live')),
    enabled INTEGER NOT NULL CHECK (enabled IN (0, 1)),
    keys    TEXT    NOT NULL,
    PRIMARY KEY (kind, mode)
) STRICT, WITHOUT ROWID;

UPDATE payments SET gateway = 'practice-card' WHERE gateway = 'practice';
