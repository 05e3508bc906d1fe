-- Statements of the house's bank account that were read, each once. content: what waits until somebody has said which column is
-- what; empty once it is read.
CREATE TABLE statements (
    id      INTEGER PRIMARY KEY,
    hash    TEXT    NOT NULL UNIQUE,
    name    TEXT    NOT NULL,
    who     TEXT    NOT NULL,
    read_at INTEGER NOT NULL,
    content TEXT    NOT NULL DEFAULT ''
) STRICT;

-- What came in by them. mark: what the bank calls it, or what it says, so that it is taken once although statements overlap.
CREATE TABLE statement_lines (
    id        INTEGER PRIMARY KEY,
    statement INTEGER NOT NULL REFERENCES statements (id),
    mark      TEXT    NOT NULL UNIQUE,
    booked_on TEXT    NOT NULL,
    amount    INTEGER NOT NULL CHECK (amount > 0),
    name      TEXT    NOT NULL,
    words     TEXT    NOT NULL,
    state     TEXT    NOT NULL CHECK (state IN ('open', 'matched', 'other')),
    payment   TEXT    REFERENCES payments (id)
) STRICT;

CREATE INDEX statement_lines_by_statement ON statement_lines (statement);
CREATE INDEX statement_lines_open ON statement_lines (booked_on) WHERE state = 'open';
CREATE INDEX statement_lines_by_payment ON statement_lines (payment) WHERE payment IS NOT NULL;

-- Which columns a bank's tables have, by the line of their heads.
CREATE TABLE statement_columns (
    heads   TEXT PRIMARY KEY,
    columns TEXT NOT NULL
) STRICT;

-- Transfers that may still come.
CREATE INDEX payments_of_transfers ON payments (created_at) WHERE gateway IN ('transfer', 'practice-transfer');
