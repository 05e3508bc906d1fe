CREATE TABLE arrivals (
    id          INTEGER PRIMARY KEY,
    name        TEXT    NOT NULL,
    who         TEXT    NOT NULL,
    content     TEXT    NOT NULL,
    columns     TEXT    NOT NULL DEFAULT '',
    month_first INTEGER NOT NULL DEFAULT 0,
    left_out    TEXT    NOT NULL DEFAULT '',
    came_at     INTEGER NOT NULL,
    taken_at    INTEGER,
    undone_at   INTEGER
) STRICT;

CREATE INDEX arrivals_open ON arrivals (came_at) WHERE taken_at IS NULL;

CREATE TABLE arrival_orders (
    arrival  INTEGER NOT NULL REFERENCES arrivals (id),
    order_id INTEGER NOT NULL REFERENCES orders (id),
    PRIMARY KEY (arrival, order_id)
) STRICT, WITHOUT ROWID;

CREATE INDEX arrival_orders_by_order ON arrival_orders (order_id);
