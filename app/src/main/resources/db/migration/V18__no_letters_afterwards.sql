-- Mail addresses that want no letters after bookings any more (RFC 8058).
CREATE TABLE unsubscribed (
    email TEXT    PRIMARY KEY COLLATE NOCASE,
    at    INTEGER NOT NULL
) STRICT, WITHOUT ROWID;
