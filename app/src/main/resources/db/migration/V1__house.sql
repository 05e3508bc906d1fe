-- Instants are whole seconds since the epoch, amounts whole minor units of the house's one currency.
-- What is sold is kept as the house file's own JSON (docs/house-format.md): one form, read and checked in one place.

CREATE TABLE house (
    id           INTEGER PRIMARY KEY CHECK (id = 1),
    definition   TEXT    NOT NULL,
    hold_minutes INTEGER NOT NULL DEFAULT 15 CHECK (hold_minutes BETWEEN 1 AND 240),
    answer_hours INTEGER NOT NULL DEFAULT 24 CHECK (answer_hours BETWEEN 1 AND 720)
) STRICT;

CREATE TABLE places (
    id         TEXT    PRIMARY KEY,
    position   INTEGER NOT NULL,
    definition TEXT    NOT NULL
) STRICT;

CREATE TABLE staff (
    id         TEXT    PRIMARY KEY,
    position   INTEGER NOT NULL,
    definition TEXT    NOT NULL
) STRICT;

CREATE TABLE resources (
    id         TEXT    PRIMARY KEY,
    position   INTEGER NOT NULL,
    definition TEXT    NOT NULL
) STRICT;

CREATE TABLE offers (
    id         TEXT    PRIMARY KEY,
    position   INTEGER NOT NULL,
    definition TEXT    NOT NULL
) STRICT;

CREATE TABLE promo_codes (
    code       TEXT    PRIMARY KEY COLLATE NOCASE,
    position   INTEGER NOT NULL,
    definition TEXT    NOT NULL
) STRICT;

CREATE TABLE hosts (
    id         INTEGER PRIMARY KEY,
    email      TEXT    NOT NULL UNIQUE COLLATE NOCASE,
    name       TEXT    NOT NULL,
    password   TEXT    NOT NULL,
    role       TEXT    NOT NULL CHECK (role IN ('owner', 'manager', 'staff')),
    created_at INTEGER NOT NULL
) STRICT;

CREATE TABLE baskets (
    token      TEXT    PRIMARY KEY,
    promo_code TEXT    NOT NULL DEFAULT '',
    created_at INTEGER NOT NULL
) STRICT;

CREATE TABLE orders (
    id        INTEGER PRIMARY KEY,
    number    INTEGER NOT NULL UNIQUE,
    token     TEXT    NOT NULL UNIQUE,
    basket    TEXT    REFERENCES baskets (token),
    name      TEXT    NOT NULL,
    email     TEXT    NOT NULL,
    phone     TEXT    NOT NULL,
    locale    TEXT    NOT NULL,
    status    TEXT    NOT NULL CHECK (status IN ('waiting', 'placed', 'lapsed')),
    total     INTEGER NOT NULL,
    due_now   INTEGER NOT NULL,
    placed_at INTEGER NOT NULL,
    promo_code TEXT   COLLATE NOCASE
) STRICT;

CREATE INDEX orders_by_promo_code ON orders (promo_code) WHERE promo_code IS NOT NULL;

CREATE INDEX orders_waiting ON orders (placed_at) WHERE status = 'waiting';

CREATE TABLE bookings (
    id         TEXT    PRIMARY KEY,
    offer      TEXT    NOT NULL REFERENCES offers (id),
    start_at   INTEGER NOT NULL,
    end_at     INTEGER NOT NULL CHECK (end_at > start_at),
    place      TEXT    REFERENCES places (id),
    length     TEXT    NOT NULL,
    units      INTEGER NOT NULL CHECK (units > 0),
    party      INTEGER NOT NULL CHECK (party > 0),
    add_ons    TEXT    NOT NULL DEFAULT '{}',
    pay        TEXT    NOT NULL DEFAULT 'now' CHECK (pay IN ('now', 'venue')),
    status     TEXT    NOT NULL CHECK (status IN ('held', 'requested', 'confirmed', 'completed', 'no-show',
                                                  'cancelled', 'declined', 'lapsed')),
    held_at    INTEGER NOT NULL,
    expires_at INTEGER CHECK (expires_at IS NOT NULL OR status <> 'held'),
    basket     TEXT    REFERENCES baskets (token),
    order_id   INTEGER REFERENCES orders (id)
) STRICT;

-- A query finds what can touch its dates by the start, reaching back by the longest booking there is.
CREATE INDEX bookings_by_start ON bookings (start_at);
CREATE INDEX bookings_by_duration ON bookings (end_at - start_at);
CREATE INDEX bookings_by_basket ON bookings (basket) WHERE order_id IS NULL;
CREATE INDEX bookings_by_order ON bookings (order_id);
CREATE INDEX bookings_asking ON bookings (start_at) WHERE status = 'requested';

CREATE TABLE booking_staff (
    booking TEXT NOT NULL REFERENCES bookings (id) ON DELETE CASCADE,
    staff   TEXT NOT NULL REFERENCES staff (id),
    PRIMARY KEY (booking, staff)
) STRICT, WITHOUT ROWID;

CREATE TABLE busy (
    id       INTEGER PRIMARY KEY,
    staff    TEXT    NOT NULL REFERENCES staff (id),
    start_at INTEGER NOT NULL,
    end_at   INTEGER NOT NULL CHECK (end_at > start_at)
) STRICT;

CREATE INDEX busy_by_end ON busy (end_at);

CREATE TABLE order_lines (
    order_id    INTEGER NOT NULL REFERENCES orders (id),
    line        INTEGER NOT NULL,
    booking     TEXT    NOT NULL REFERENCES bookings (id),
    amount      INTEGER NOT NULL,
    discount    INTEGER NOT NULL,
    total       INTEGER NOT NULL,
    deposit     INTEGER NOT NULL,
    due_now     INTEGER NOT NULL,
    balance     INTEGER NOT NULL,
    balance_due TEXT,
    tax_rate    TEXT    NOT NULL,
    paid        INTEGER NOT NULL DEFAULT 0 CHECK (paid >= 0),
    asked_at    INTEGER,
    reminded_at INTEGER,
    PRIMARY KEY (order_id, line)
) STRICT, WITHOUT ROWID;

CREATE INDEX order_lines_by_balance ON order_lines (balance_due) WHERE balance_due IS NOT NULL;

CREATE TABLE payments (
    id         TEXT    PRIMARY KEY,
    order_id   INTEGER NOT NULL REFERENCES orders (id),
    gateway    TEXT    NOT NULL,
    reference  TEXT,
    amount     INTEGER NOT NULL CHECK (amount > 0),
    capture    TEXT    NOT NULL DEFAULT 'now' CHECK (capture IN ('now', 'later')),
    captured   INTEGER NOT NULL DEFAULT 0,
    released   INTEGER NOT NULL DEFAULT 0,
    refunded   INTEGER NOT NULL DEFAULT 0,
    booking    TEXT    REFERENCES bookings (id),
    state      TEXT    NOT NULL CHECK (state IN ('created', 'authorised', 'captured', 'partly refunded', 'refunded',
                                                 'failed', 'voided', 'expired')),
    reason     TEXT    NOT NULL DEFAULT '',
    pay_url    TEXT,
    created_at INTEGER NOT NULL,
    expires_at INTEGER,
    UNIQUE (gateway, reference),
    CHECK (refunded BETWEEN 0 AND captured AND released >= 0 AND captured + released <= amount)
) STRICT;

CREATE INDEX payments_by_order ON payments (order_id);

-- What is to be done at a gateway: decided in a transaction, carried out after it, as often as it takes.
CREATE TABLE payment_steps (
    id         TEXT    PRIMARY KEY,
    payment    TEXT    NOT NULL REFERENCES payments (id),
    kind       TEXT    NOT NULL CHECK (kind IN ('capture', 'release', 'refund')),
    booking    TEXT    REFERENCES bookings (id),
    amount     INTEGER NOT NULL CHECK (amount > 0),
    why        TEXT    NOT NULL,
    asked_at   INTEGER NOT NULL,
    tries      INTEGER NOT NULL DEFAULT 0,
    next_try   INTEGER NOT NULL DEFAULT 0,
    done_at    INTEGER
) STRICT;

CREATE INDEX payment_steps_to_do ON payment_steps (next_try) WHERE done_at IS NULL;

CREATE TABLE journal (
    id        INTEGER PRIMARY KEY,
    at        INTEGER NOT NULL,
    who       TEXT    NOT NULL,
    order_id  INTEGER NOT NULL REFERENCES orders (id),
    about     TEXT    NOT NULL CHECK (about IN ('order', 'booking', 'payment')),
    subject   TEXT    NOT NULL,
    step_from TEXT    NOT NULL,
    step_to   TEXT    NOT NULL,
    why       TEXT    NOT NULL
) STRICT;

CREATE INDEX journal_by_order ON journal (order_id);

-- Receipts and credit notes: numbered without gaps, and kept as they were issued.
CREATE TABLE documents (
    number    INTEGER PRIMARY KEY,
    order_id  INTEGER NOT NULL REFERENCES orders (id),
    kind      TEXT    NOT NULL CHECK (kind IN ('receipt', 'credit-note')),
    issued_at INTEGER NOT NULL,
    content   TEXT    NOT NULL
) STRICT;

CREATE INDEX documents_by_order ON documents (order_id);

CREATE TABLE outbox (
    id         TEXT    PRIMARY KEY,
    order_id   INTEGER REFERENCES orders (id),
    kind       TEXT    NOT NULL,
    recipient  TEXT    NOT NULL,
    subject    TEXT    NOT NULL,
    text_part  TEXT    NOT NULL,
    html_part  TEXT    NOT NULL,
    calendar   TEXT,
    created_at INTEGER NOT NULL,
    next_try   INTEGER NOT NULL,
    tries      INTEGER NOT NULL DEFAULT 0,
    sent_at    INTEGER,
    last_error TEXT    NOT NULL DEFAULT ''
) STRICT;

CREATE INDEX outbox_to_send ON outbox (next_try) WHERE sent_at IS NULL;
