-- When a kind of work was last gone through, so that after a long time without power what came to nothing is found, too.
CREATE TABLE rounds (
    kind TEXT    PRIMARY KEY,
    at   INTEGER NOT NULL
) STRICT, WITHOUT ROWID;
