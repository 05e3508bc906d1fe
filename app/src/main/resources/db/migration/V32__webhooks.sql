CREATE TABLE webhooks (
    id            TEXT    NOT NULL PRIMARY KEY,
    address       TEXT    NOT NULL,
    subjects      TEXT    NOT NULL,
    secret        TEXT    NOT NULL,
    made_at       INTEGER NOT NULL,
    failing_since INTEGER,
    paused        TEXT    NOT NULL DEFAULT ''
) STRICT;

-- Up to where the journal and the changes of the house have been told.
CREATE TABLE webhooks_told (
    step   INTEGER NOT NULL,
    change INTEGER NOT NULL
) STRICT;

INSERT INTO webhooks_told (step, change) VALUES (0, 0);

CREATE TABLE webhook_messages (
    id      TEXT    NOT NULL PRIMARY KEY,
    type    TEXT    NOT NULL,
    about   TEXT    NOT NULL UNIQUE,
    body    TEXT    NOT NULL,
    made_at INTEGER NOT NULL
) STRICT;

CREATE INDEX webhook_messages_by_time ON webhook_messages (made_at);

CREATE TABLE webhook_deliveries (
    id      INTEGER PRIMARY KEY,
    message TEXT    NOT NULL REFERENCES webhook_messages (id),
    webhook TEXT    NOT NULL REFERENCES webhooks (id),
    tries   INTEGER NOT NULL DEFAULT 0,
    next_at INTEGER,
    state   TEXT    NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'there', 'lost')),
    answer  TEXT    NOT NULL DEFAULT '',
    last_at INTEGER
) STRICT;

CREATE INDEX webhook_deliveries_to_send ON webhook_deliveries (webhook, next_at) WHERE state = 'waiting';
CREATE INDEX webhook_deliveries_by_webhook ON webhook_deliveries (webhook);
CREATE INDEX webhook_deliveries_by_message ON webhook_deliveries (message);
