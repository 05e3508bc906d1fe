-- Where guests come from, kept from the first look to the order.
ALTER TABLE baskets ADD COLUMN source TEXT NOT NULL DEFAULT '';
ALTER TABLE orders ADD COLUMN source TEXT NOT NULL DEFAULT '';
CREATE INDEX orders_by_source ON orders (source, placed_at) WHERE source <> '';

-- How often an offer or the house was looked at, and a basket begun, on a day by those who came from somewhere.
CREATE TABLE sightings (
    day    TEXT    NOT NULL,
    source TEXT    NOT NULL,
    looked INTEGER NOT NULL DEFAULT 0,
    kept   INTEGER NOT NULL DEFAULT 0,
    PRIMARY KEY (day, source)
) STRICT;
