-- What the house keeps of a guest beside their orders, from when it first notes something. Who is meant is said by mail addresses,
-- and by orders (their ids) that have none; what is no member of a card is a guest of its own.
CREATE TABLE guest_cards (
    id   INTEGER PRIMARY KEY,
    note TEXT    NOT NULL
) STRICT;

CREATE TABLE guest_members (
    kind  TEXT    NOT NULL CHECK (kind IN ('email', 'order')),
    value TEXT    NOT NULL COLLATE NOCASE,
    card  INTEGER NOT NULL REFERENCES guest_cards (id) ON DELETE CASCADE,
    PRIMARY KEY (kind, value)
) STRICT, WITHOUT ROWID;

CREATE INDEX guest_members_by_card ON guest_members (card);

CREATE TABLE guest_tags (
    card INTEGER NOT NULL REFERENCES guest_cards (id) ON DELETE CASCADE,
    tag  TEXT    NOT NULL COLLATE NOCASE,
    PRIMARY KEY (card, tag)
) STRICT, WITHOUT ROWID;

CREATE INDEX guest_tags_by_tag ON guest_tags (tag);
