-- What is said with guests about a booking, or about an order as a whole (booking ''). The key stands in the mail address that
-- brings a guest's answer back.
CREATE TABLE threads (
    key      TEXT    PRIMARY KEY,
    order_id INTEGER NOT NULL REFERENCES orders (id),
    booking  TEXT    NOT NULL,
    UNIQUE (order_id, booking)
) STRICT, WITHOUT ROWID;

-- who: the name of the host who wrote, or the mail address of a guest's answer. files: how many came along and were not taken.
-- message: what the mail called itself, so that it is taken once.
CREATE TABLE talks (
    id         INTEGER PRIMARY KEY,
    thread     TEXT    NOT NULL REFERENCES threads (key),
    at         INTEGER NOT NULL,
    from_guest INTEGER NOT NULL CHECK (from_guest IN (0, 1)),
    who        TEXT    NOT NULL,
    words      TEXT    NOT NULL,
    files      INTEGER NOT NULL,
    message    TEXT    UNIQUE,
    seen_at    INTEGER
) STRICT;

CREATE INDEX talks_by_thread ON talks (thread);
CREATE INDEX talks_unseen ON talks (at) WHERE from_guest = 1 AND seen_at IS NULL;

-- What the house notes of a booking for itself.
CREATE TABLE house_notes (
    booking TEXT    PRIMARY KEY REFERENCES bookings (id),
    words   TEXT    NOT NULL,
    who     TEXT    NOT NULL,
    at      INTEGER NOT NULL
) STRICT;

-- Whether its guests came, as somebody at the desk noted it.
ALTER TABLE bookings ADD COLUMN came TEXT NOT NULL DEFAULT '' CHECK (came IN ('', 'came', 'late'));

-- What was taken and given by hand, each once and never changed: what was wrong is made good by another entry. The id is the
-- number of its receipt. way: what it was paid with; amount: positive where it came in.
CREATE TABLE till (
    id       INTEGER PRIMARY KEY,
    at       INTEGER NOT NULL,
    who      TEXT    NOT NULL,
    kind     TEXT    NOT NULL CHECK (kind IN ('taken', 'given', 'change', 'handed', 'counted')),
    way      TEXT    NOT NULL CHECK (way IN ('cash', 'terminal', 'on-the-spot')),
    amount   INTEGER NOT NULL CHECK (amount <> 0),
    order_id INTEGER REFERENCES orders (id),
    words    TEXT    NOT NULL
) STRICT;

CREATE INDEX till_by_time ON till (at);
CREATE INDEX till_by_way ON till (way, amount);
CREATE INDEX till_by_order ON till (order_id) WHERE order_id IS NOT NULL;

INSERT INTO till (at, who, kind, way, amount, order_id, words)
SELECT created_at, '', 'taken', gateway, captured, order_id, '' FROM payments WHERE gateway = 'on-the-spot' AND captured > 0
ORDER BY created_at;
INSERT INTO till (at, who, kind, way, amount, order_id, words)
SELECT created_at, '', 'given', gateway, -refunded, order_id, '' FROM payments WHERE gateway = 'on-the-spot' AND refunded > 0
ORDER BY created_at;

-- What came in and went out on a day.
CREATE INDEX journal_of_payments ON journal (at) WHERE about = 'payment' AND step_to = 'captured';
CREATE INDEX payment_steps_done ON payment_steps (done_at) WHERE done_at IS NOT NULL;
