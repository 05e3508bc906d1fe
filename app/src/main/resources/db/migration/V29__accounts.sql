-- Guests' accounts, where the house has them. Whoever reads an address' mail has its account; a password and passkeys are
-- ways to it beside that.
CREATE TABLE accounts (
    id        INTEGER PRIMARY KEY,
    email     TEXT    NOT NULL UNIQUE,
    handle    TEXT    NOT NULL UNIQUE,
    password  TEXT,
    failures  INTEGER NOT NULL DEFAULT 0,
    failed_at INTEGER,
    made_at   INTEGER NOT NULL,
    entered   INTEGER NOT NULL
) STRICT;

CREATE INDEX accounts_by_entered ON accounts (entered);

-- Links that were mailed; kept by a mark, so that nobody who reads this can follow one.
CREATE TABLE account_links (
    mark     TEXT PRIMARY KEY,
    email    TEXT    NOT NULL,
    leads_to TEXT    NOT NULL,
    made_at  INTEGER NOT NULL
) STRICT;

CREATE INDEX account_links_by_email ON account_links (email);
CREATE INDEX account_links_by_made ON account_links (made_at);

CREATE TABLE account_visits (
    mark    TEXT PRIMARY KEY,
    account INTEGER NOT NULL REFERENCES accounts (id) ON DELETE CASCADE,
    made_at INTEGER NOT NULL
) STRICT;

CREATE INDEX account_visits_of ON account_visits (account);
CREATE INDEX account_visits_by_made ON account_visits (made_at);

CREATE TABLE passkeys (
    id               TEXT PRIMARY KEY,
    account          INTEGER NOT NULL REFERENCES accounts (id) ON DELETE CASCADE,
    label            TEXT    NOT NULL,
    public_key       TEXT    NOT NULL,
    signatures       INTEGER NOT NULL,
    verified         INTEGER NOT NULL,
    transports       TEXT    NOT NULL,
    can_be_backed_up INTEGER NOT NULL,
    backed_up        INTEGER NOT NULL,
    attestation      TEXT    NOT NULL,
    client_data      TEXT    NOT NULL,
    made_at          INTEGER NOT NULL,
    used_at          INTEGER NOT NULL
) STRICT;

CREATE INDEX passkeys_of ON passkeys (account);

-- What browsers were asked to sign, until they have.
CREATE TABLE passkey_challenges (
    challenge TEXT PRIMARY KEY,
    account   INTEGER REFERENCES accounts (id) ON DELETE CASCADE,
    made_at   INTEGER NOT NULL
) STRICT;

CREATE INDEX passkey_challenges_of ON passkey_challenges (account);
CREATE INDEX passkey_challenges_by_made ON passkey_challenges (made_at);
