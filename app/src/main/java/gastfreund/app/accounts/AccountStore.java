package gastfreund.app.accounts;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps accounts, the links that lead to them, and visits. Links and visits are kept by marks of their tokens. */
@Repository
class AccountStore {

    /**
     * How a password of an account was tried.
     *
     * @param hash null: there is none
     * @param failures since it was right the last time
     * @param last when it failed the last time; null: never
     */
    record Password(long account, @Nullable String hash, int failures, @Nullable Instant last) {}

    /** Where a link leads, and whose it is. */
    record Link(String email, String leadsTo) {}

    private static final String ACCOUNT =
            "SELECT a.id, a.email, a.handle, a.password IS NOT NULL AS has_password, a.made_at FROM accounts a";

    private final JdbcClient jdbc;

    AccountStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private static Account read(ResultSet row, int n) throws SQLException {
        return new Account(
                row.getLong("id"),
                row.getString("email"),
                row.getString("handle"),
                row.getBoolean("has_password"),
                Instant.ofEpochSecond(row.getLong("made_at")));
    }

    Optional<Account> byEmail(String email) {
        return jdbc.sql(ACCOUNT + " WHERE a.email = ?")
                .param(email)
                .query(AccountStore::read)
                .optional();
    }

    Optional<Account> byHandle(String handle) {
        return jdbc.sql(ACCOUNT + " WHERE a.handle = ?")
                .param(handle)
                .query(AccountStore::read)
                .optional();
    }

    /** Makes the account of an address, if it has none. */
    void make(String email, String handle, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO accounts (email, handle, made_at, entered) VALUES (?, ?, ?, ?)
                        ON CONFLICT (email) DO NOTHING
                        """)
                .params(email, handle, now.getEpochSecond(), now.getEpochSecond())
                .update();
    }

    /** Forgets an account with its visits, passkeys and links. */
    void delete(String email) {
        jdbc.sql("DELETE FROM account_links WHERE email = ?").param(email).update();
        jdbc.sql("DELETE FROM accounts WHERE email = ?").param(email).update();
    }

    /** Addresses of accounts that nobody got into since an instant and under which nothing was booked; no more than so many. */
    List<String> unusedSince(Instant before, int most) {
        return jdbc.sql(
                        """
                        SELECT a.email FROM accounts a WHERE a.entered < ?
                        AND NOT EXISTS (SELECT 1 FROM orders o WHERE o.email = a.email COLLATE NOCASE)
                        LIMIT ?
                        """)
                .params(before.getEpochSecond(), most)
                .query(String.class)
                .list();
    }

    void insertLink(String mark, Link link, Instant now) {
        jdbc.sql("INSERT INTO account_links (mark, email, leads_to, made_at) VALUES (?, ?, ?, ?)")
                .params(mark, link.email(), link.leadsTo(), now.getEpochSecond())
                .update();
    }

    /** A link that was mailed at an instant or since. */
    Optional<Link> link(String mark, Instant since) {
        return jdbc.sql("SELECT email, leads_to FROM account_links WHERE mark = ? AND made_at >= ?")
                .params(mark, since.getEpochSecond())
                .query((row, n) -> new Link(row.getString("email"), row.getString("leads_to")))
                .optional();
    }

    /** Whether an address has a link that was mailed after an instant and was not used yet. */
    boolean waits(String email, Instant after) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM account_links WHERE email = ? AND made_at > ?)")
                .params(email, after.getEpochSecond())
                .query(Boolean.class)
                .single();
    }

    /** A link serves once; with it all others of its address end. */
    void useUp(String email) {
        jdbc.sql("DELETE FROM account_links WHERE email = ?").param(email).update();
    }

    void removeLinks(Instant before) {
        jdbc.sql("DELETE FROM account_links WHERE made_at < ?")
                .param(before.getEpochSecond())
                .update();
    }

    void insertVisit(String mark, long account, Instant now) {
        jdbc.sql("INSERT INTO account_visits (mark, account, made_at) VALUES (?, ?, ?)")
                .params(mark, account, now.getEpochSecond())
                .update();
        jdbc.sql("UPDATE accounts SET entered = ? WHERE id = ?")
                .params(now.getEpochSecond(), account)
                .update();
    }

    /** Whose a visit is that began at an instant or since. */
    Optional<Account> byVisit(String mark, Instant since) {
        return jdbc.sql(ACCOUNT + " JOIN account_visits v ON v.account = a.id WHERE v.mark = ? AND v.made_at >= ?")
                .params(mark, since.getEpochSecond())
                .query(AccountStore::read)
                .optional();
    }

    /** How many visits of an account are going on. */
    int countVisits(long account, Instant since) {
        return jdbc.sql("SELECT count(*) FROM account_visits WHERE account = ? AND made_at >= ?")
                .params(account, since.getEpochSecond())
                .query(Integer.class)
                .single();
    }

    void endVisit(String mark) {
        jdbc.sql("DELETE FROM account_visits WHERE mark = ?").param(mark).update();
    }

    /** Ends all of an account's but one. */
    void endOthers(long account, String mark) {
        jdbc.sql("DELETE FROM account_visits WHERE account = ? AND mark <> ?")
                .params(account, mark)
                .update();
    }

    void removeVisits(Instant before) {
        jdbc.sql("DELETE FROM account_visits WHERE made_at < ?")
                .param(before.getEpochSecond())
                .update();
    }

    Optional<Password> password(String email) {
        return jdbc.sql("SELECT id, password, failures, failed_at FROM accounts WHERE email = ?")
                .param(email)
                .query((row, n) -> {
                    long failed = row.getLong("failed_at");
                    Instant last = row.wasNull() ? null : Instant.ofEpochSecond(failed);
                    return new Password(row.getLong("id"), row.getString("password"), row.getInt("failures"), last);
                })
                .optional();
    }

    /** @param hash null: there is none any more */
    void setPassword(long account, @Nullable String hash) {
        jdbc.sql("UPDATE accounts SET password = ?, failures = 0, failed_at = NULL WHERE id = ?")
                .param(hash)
                .param(account)
                .update();
    }

    void setFailures(long account, int failures, Instant now) {
        jdbc.sql("UPDATE accounts SET failures = ?, failed_at = ? WHERE id = ?")
                .params(failures, now.getEpochSecond(), account)
                .update();
    }
}
