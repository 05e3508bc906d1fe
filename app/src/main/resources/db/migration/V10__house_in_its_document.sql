-- How long places are kept and requests wait stands in the house's document, where its hosts change it. Nobody could set these
-- columns.
ALTER TABLE house DROP COLUMN hold_minutes;
ALTER TABLE house DROP COLUMN answer_hours;

-- What a host's last file would change, until they decide.
CREATE TABLE incoming (
    host    INTEGER PRIMARY KEY REFERENCES hosts (id) ON DELETE CASCADE,
    content TEXT    NOT NULL,
    at      INTEGER NOT NULL
) STRICT;

-- Goods that are sold without a time stand beside vouchers and passes. worth: how many of them; sold_at: when they were paid.
CREATE TABLE goods_with_wares (
    id        TEXT    PRIMARY KEY,
    basket    TEXT    NOT NULL REFERENCES baskets (token),
    order_id  INTEGER REFERENCES orders (id),
    product   TEXT    NOT NULL,
    kind      TEXT    NOT NULL CHECK (kind IN ('voucher', 'pass', 'ware')),
    title     TEXT    NOT NULL,
    price     INTEGER NOT NULL CHECK (price > 0),
    worth     INTEGER NOT NULL CHECK (worth > 0),
    offers    TEXT    NOT NULL,
    tax_rate  TEXT    NOT NULL,
    months    INTEGER NOT NULL CHECK (months > 0),
    recipient TEXT    NOT NULL,
    greeting  TEXT    NOT NULL,
    prepaid   TEXT    REFERENCES prepaid (id),
    returned  INTEGER NOT NULL DEFAULT 0 CHECK (returned IN (0, 1)),
    handover  TEXT    NOT NULL DEFAULT '',
    sold_at   INTEGER
) STRICT;

INSERT INTO goods_with_wares (id, basket, order_id, product, kind, title, price, worth, offers, tax_rate, months, recipient,
                              greeting, prepaid, returned)
SELECT id, basket, order_id, product, kind, title, price, worth, offers, tax_rate, months, recipient, greeting, prepaid, returned
FROM goods ORDER BY rowid;

DROP TABLE goods;
ALTER TABLE goods_with_wares RENAME TO goods;
CREATE INDEX goods_by_basket ON goods (basket);
CREATE INDEX goods_by_order ON goods (order_id) WHERE order_id IS NOT NULL;
CREATE INDEX goods_by_prepaid ON goods (prepaid) WHERE prepaid IS NOT NULL;
CREATE INDEX wares_by_product ON goods (product) WHERE kind = 'ware';
