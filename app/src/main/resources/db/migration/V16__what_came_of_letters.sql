-- What became of a letter that was refused for good, or came back: it is not tried again.
ALTER TABLE outbox ADD COLUMN lost TEXT NOT NULL DEFAULT '' CHECK (lost IN ('', 'refused', 'bounced'));
ALTER TABLE outbox ADD COLUMN lost_at INTEGER;
ALTER TABLE outbox ADD COLUMN lost_why TEXT NOT NULL DEFAULT '';

CREATE INDEX outbox_lost ON outbox (lost_at) WHERE lost_at IS NOT NULL;
CREATE INDEX outbox_by_time ON outbox (created_at);

DROP INDEX outbox_to_send;
CREATE INDEX outbox_to_send ON outbox (not_before) WHERE sent_at IS NULL AND lost_at IS NULL;

-- When those in charge were last told of what is stuck.
CREATE TABLE troubles_told (
    id      INTEGER PRIMARY KEY CHECK (id = 1),
    told_at INTEGER NOT NULL
) STRICT;
