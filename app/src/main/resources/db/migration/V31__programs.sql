CREATE TABLE program_keys (
    id       TEXT    NOT NULL PRIMARY KEY,
    name     TEXT    NOT NULL,
    mark     TEXT    NOT NULL UNIQUE,
    scopes   TEXT    NOT NULL,
    made_at  INTEGER NOT NULL,
    made_by  TEXT    NOT NULL,
    used_at  INTEGER,
    ended_at INTEGER
) STRICT;

CREATE TABLE program_answers (
    program     TEXT    NOT NULL REFERENCES program_keys (id),
    repeat_key  TEXT    NOT NULL,
    asked       TEXT    NOT NULL,
    status      INTEGER NOT NULL,
    body        TEXT    NOT NULL,
    answered_at INTEGER NOT NULL,
    PRIMARY KEY (program, repeat_key)
) STRICT, WITHOUT ROWID;

CREATE INDEX program_answers_by_time ON program_answers (answered_at);
