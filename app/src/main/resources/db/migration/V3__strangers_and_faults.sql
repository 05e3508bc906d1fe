-- What a guest's earlier moves keep at least of a line (docs/money.md, "Terms"), and whether they used up its visits.
ALTER TABLE order_lines ADD COLUMN floor INTEGER NOT NULL DEFAULT 0 CHECK (floor >= 0);
ALTER TABLE order_lines ADD COLUMN visits_kept INTEGER NOT NULL DEFAULT 0 CHECK (visits_kept IN (0, 1));

-- How much a payment paid of what (a booking, or a voucher or pass that was bought), and how much of that went back: what
-- a line gets back goes the way that line was paid. What was paid before this table came has no rows.
CREATE TABLE payment_parts (
    payment  TEXT    NOT NULL REFERENCES payments (id),
    subject  TEXT    NOT NULL,
    amount   INTEGER NOT NULL CHECK (amount > 0),
    refunded INTEGER NOT NULL DEFAULT 0 CHECK (refunded BETWEEN 0 AND amount),
    PRIMARY KEY (payment, subject)
) STRICT, WITHOUT ROWID;

CREATE INDEX payment_parts_by_subject ON payment_parts (subject);

-- What a gateway said of a payment that is not what was asked for; empty: nothing, or a host has seen to it.
ALTER TABLE payments ADD COLUMN oddity TEXT NOT NULL DEFAULT '';
CREATE INDEX payments_odd ON payments (created_at) WHERE oddity <> '';

-- What was tried in vain, of every kind: one row until it succeeds.
CREATE TABLE work (
    kind       TEXT    NOT NULL,
    subject    TEXT    NOT NULL,
    tries      INTEGER NOT NULL CHECK (tries > 0),
    since      INTEGER NOT NULL,
    next_try   INTEGER NOT NULL,
    last_error TEXT    NOT NULL,
    PRIMARY KEY (kind, subject)
) STRICT, WITHOUT ROWID;

INSERT INTO work (kind, subject, tries, since, next_try, last_error)
SELECT 'letter', id, tries, created_at, next_try, last_error FROM outbox WHERE sent_at IS NULL AND tries > 0;

INSERT INTO work (kind, subject, tries, since, next_try, last_error)
SELECT 'step', id, tries, asked_at, next_try, '' FROM payment_steps WHERE done_at IS NULL AND tries > 0;

DROP INDEX outbox_to_send;
ALTER TABLE outbox DROP COLUMN next_try;
ALTER TABLE outbox DROP COLUMN tries;
ALTER TABLE outbox DROP COLUMN last_error;
-- Too many letters to one recipient wait for another day.
ALTER TABLE outbox ADD COLUMN not_before INTEGER NOT NULL DEFAULT 0;
CREATE INDEX outbox_to_send ON outbox (not_before) WHERE sent_at IS NULL;
CREATE INDEX outbox_by_recipient ON outbox (recipient, created_at);
CREATE INDEX outbox_by_order ON outbox (order_id) WHERE order_id IS NOT NULL;
CREATE INDEX outbox_sent ON outbox (sent_at) WHERE sent_at IS NOT NULL;

DROP INDEX payment_steps_to_do;
ALTER TABLE payment_steps DROP COLUMN next_try;
ALTER TABLE payment_steps DROP COLUMN tries;
CREATE INDEX payment_steps_to_do ON payment_steps (payment) WHERE done_at IS NULL;
CREATE INDEX payment_steps_by_payment ON payment_steps (payment);

-- Where a guest is led to pay, in the clear: the policy of every page names it.
ALTER TABLE gateways ADD COLUMN origin TEXT;

-- Who keeps a place (a keyed hash of an address), when it was first kept, and how often its time began anew.
ALTER TABLE bookings ADD COLUMN visitor TEXT;
ALTER TABLE bookings ADD COLUMN first_held_at INTEGER;
ALTER TABLE bookings ADD COLUMN renewals INTEGER NOT NULL DEFAULT 0;
CREATE INDEX bookings_held ON bookings (expires_at) WHERE status = 'held';
CREATE INDEX bookings_held_by_visitor ON bookings (visitor) WHERE status = 'held';

-- Seals of pages that have served.
CREATE TABLE spent_seals (
    seal TEXT    PRIMARY KEY,
    at   INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

-- Whether a guest is to open a link from their mail: 'wanted' until they have.
ALTER TABLE orders ADD COLUMN proof TEXT NOT NULL DEFAULT 'none' CHECK (proof IN ('none', 'wanted', 'given'));
-- When the guest's own data were taken out of an order.
ALTER TABLE orders ADD COLUMN forgotten_at INTEGER;
CREATE INDEX baskets_by_time ON baskets (created_at);
CREATE INDEX orders_by_email ON orders (email COLLATE NOCASE);

-- Raised when a host's sessions are to end.
ALTER TABLE hosts ADD COLUMN epoch INTEGER NOT NULL DEFAULT 0;

CREATE TABLE sign_ins (
    id      INTEGER PRIMARY KEY,
    at      INTEGER NOT NULL,
    host    TEXT    NOT NULL,
    what    TEXT    NOT NULL CHECK (what IN ('in', 'failed', 'out', 'password', 'ended')),
    address TEXT    NOT NULL
) STRICT;

CREATE INDEX sign_ins_by_host ON sign_ins (host, at);
CREATE INDEX sign_ins_by_time ON sign_ins (at);
