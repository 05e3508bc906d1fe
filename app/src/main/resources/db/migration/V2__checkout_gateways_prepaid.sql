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

-- Vouchers and passes that were issued: worth and rest are minor units of a voucher, visits of a pass.
CREATE TABLE prepaid (
    id        TEXT    PRIMARY KEY,
    kind      TEXT    NOT NULL CHECK (kind IN ('voucher', 'pass')),
    code      TEXT    NOT NULL UNIQUE,
    title     TEXT    NOT NULL,
    worth     INTEGER NOT NULL CHECK (worth > 0),
    rest      INTEGER NOT NULL CHECK (rest BETWEEN 0 AND worth),
    offers    TEXT    NOT NULL,
    last_day  TEXT    NOT NULL,
    recipient TEXT    NOT NULL,
    greeting  TEXT    NOT NULL,
    issued_at INTEGER NOT NULL
) STRICT;

-- Each use, and each giving back as a negative one: rest is always worth less their sum.
CREATE TABLE prepaid_uses (
    id       INTEGER PRIMARY KEY,
    prepaid  TEXT    NOT NULL REFERENCES prepaid (id),
    order_id INTEGER NOT NULL REFERENCES orders (id),
    booking  TEXT    REFERENCES bookings (id),
    amount   INTEGER NOT NULL CHECK (amount <> 0),
    at       INTEGER NOT NULL,
    why      TEXT    NOT NULL
) STRICT;

CREATE INDEX prepaid_uses_by_prepaid ON prepaid_uses (prepaid);
CREATE INDEX prepaid_uses_by_booking ON prepaid_uses (booking) WHERE booking IS NOT NULL;

-- Vouchers and passes in a basket, and then in its order; what they were sold as stays with them.
CREATE TABLE goods (
    id        TEXT    PRIMARY KEY,
    basket    TEXT    NOT NULL REFERENCES baskets (token),
    order_id  INTEGER REFERENCES orders (id),
    product   TEXT    NOT NULL,
    kind      TEXT    NOT NULL CHECK (kind IN ('voucher', 'pass')),
    title     TEXT    NOT NULL,
    price     INTEGER NOT NULL CHECK (price > 0),
    worth     INTEGER NOT NULL CHECK (worth > 0),
    offers    TEXT    NOT NULL,
    tax_rate  TEXT    NOT NULL,
    months    INTEGER NOT NULL CHECK (months > 0),
    recipient TEXT    NOT NULL,
    greeting  TEXT    NOT NULL,
    prepaid   TEXT    REFERENCES prepaid (id),
    returned  INTEGER NOT NULL DEFAULT 0 CHECK (returned IN (0, 1))
) STRICT;

CREATE INDEX goods_by_basket ON goods (basket) WHERE order_id IS NULL;
CREATE INDEX goods_by_order ON goods (order_id) WHERE order_id IS NOT NULL;

CREATE TABLE basket_prepaid (
    basket  TEXT NOT NULL REFERENCES baskets (token),
    prepaid TEXT NOT NULL REFERENCES prepaid (id),
    PRIMARY KEY (basket, prepaid)
) STRICT;

-- What a pass paid for, beside the line's amount.
ALTER TABLE order_lines ADD COLUMN covered INTEGER NOT NULL DEFAULT 0;

-- What the house gave back of a line although its booking stands, and does not ask for again.
ALTER TABLE order_lines ADD COLUMN waived INTEGER NOT NULL DEFAULT 0 CHECK (waived >= 0);

-- The voucher that a payment was made with.
ALTER TABLE payments ADD COLUMN prepaid TEXT REFERENCES prepaid (id);
