-- What somebody looks for again and again in a list, as its address says it.
CREATE TABLE kept_views (
    id    INTEGER PRIMARY KEY,
    list  TEXT    NOT NULL,
    name  TEXT    NOT NULL,
    query TEXT    NOT NULL,
    who   TEXT    NOT NULL,
    UNIQUE (list, name)
) STRICT;

CREATE INDEX orders_by_placed ON orders (placed_at);
CREATE INDEX payments_by_created ON payments (created_at);
