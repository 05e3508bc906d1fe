package gastfreund.app.hosts;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps hosts, and who signed in when. */
@Repository
class HostStore {

    private final JdbcClient jdbc;

    HostStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean any() {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM hosts)")
                        .query(Integer.class)
                        .single()
                == 1;
    }

    Optional<Host> byEmail(String email) {
        return jdbc.sql("SELECT id, email, name, password, role, epoch, language, person FROM hosts WHERE email = ?")
                .param(email.strip())
                .query(HostStore::host)
                .optional();
    }

    private static Host host(ResultSet row, int number) throws SQLException {
        return new Host(
                row.getLong("id"),
                row.getString("email"),
                row.getString("name"),
                row.getString("password"),
                Role.ofCode(row.getString("role")),
                row.getInt("epoch"),
                Locale.forLanguageTag(row.getString("language")),
                row.getString("person"));
    }

    /** Owners and managers, the first one first. */
    List<Host> inCharge() {
        return jdbc.sql("SELECT id, email, name, password, role, epoch, language, person FROM hosts"
                        + " WHERE role IN ('owner', 'manager') ORDER BY id")
                .query(HostStore::host)
                .list();
    }

    void setLanguage(String email, Locale language) {
        jdbc.sql("UPDATE hosts SET language = ? WHERE email = ?")
                .params(language.getLanguage(), email)
                .update();
    }

    void insert(String email, String name, String password, Role role, Locale language, Instant now) {
        jdbc.sql("INSERT INTO hosts (email, name, password, role, language, created_at) VALUES (?, ?, ?, ?, ?, ?)")
                .params(
                        email.strip(),
                        name.strip(),
                        password,
                        role.code(),
                        language.getLanguage(),
                        now.getEpochSecond())
                .update();
    }

    void setPassword(String email, String password) {
        jdbc.sql("UPDATE hosts SET password = ? WHERE email = ?")
                .params(password, email)
                .update();
    }

    /** Ends every session that began before. */
    void raiseEpoch(String email) {
        jdbc.sql("UPDATE hosts SET epoch = epoch + 1 WHERE email = ?")
                .param(email)
                .update();
    }

    void note(SignIn signIn) {
        jdbc.sql("INSERT INTO sign_ins (at, host, what, address) VALUES (?, ?, ?, ?)")
                .params(
                        signIn.at().getEpochSecond(),
                        signIn.host(),
                        signIn.what().code(),
                        signIn.address())
                .update();
    }

    /** What is noted of sign-ins, the newest first. */
    List<SignIn> signIns(int most) {
        return jdbc.sql("SELECT * FROM sign_ins ORDER BY id DESC LIMIT ?")
                .param(most)
                .query((row, n) -> new SignIn(
                        Instant.ofEpochSecond(row.getLong("at")),
                        row.getString("host"),
                        SignIn.What.valueOf(row.getString("what").toUpperCase(Locale.ROOT)),
                        row.getString("address")))
                .list();
    }

    /** All hosts, in the order in which they came. */
    List<Host> all() {
        return jdbc.sql("SELECT id, email, name, password, role, epoch, language, person FROM hosts ORDER BY id")
                .query(HostStore::host)
                .list();
    }

    int countOwners() {
        return jdbc.sql("SELECT count(*) FROM hosts WHERE role = 'owner'")
                .query(Integer.class)
                .single();
    }

    void setRole(long host, Role role, String person) {
        jdbc.sql("UPDATE hosts SET role = ?, person = ? WHERE id = ?")
                .params(role.code(), person, host)
                .update();
    }

    void delete(long host) {
        jdbc.sql("DELETE FROM hosts WHERE id = ?").param(host).update();
    }

    void openSession(HostSession session) {
        jdbc.sql("INSERT INTO host_sessions (id, host, since, seen_at, address, agent) VALUES (?, ?, ?, ?, ?, ?)")
                .params(
                        session.id(),
                        session.host(),
                        session.since().getEpochSecond(),
                        session.seen().getEpochSecond(),
                        session.address(),
                        session.agent())
                .update();
    }

    /** The host to whom a session belongs; empty where it has ended. */
    Optional<Host> bySession(String id) {
        return jdbc.sql("SELECT h.id, email, name, password, role, epoch, language, person FROM hosts h"
                        + " JOIN host_sessions s ON s.host = h.id WHERE s.id = ?")
                .param(id)
                .query(HostStore::host)
                .optional();
    }

    Instant seen(String id) {
        return jdbc.sql("SELECT seen_at FROM host_sessions WHERE id = ?")
                .param(id)
                .query((row, n) -> Instant.ofEpochSecond(row.getLong(1)))
                .optional()
                .orElse(Instant.MAX);
    }

    void setSeen(String id, Instant now) {
        jdbc.sql("UPDATE host_sessions SET seen_at = ? WHERE id = ?")
                .params(now.getEpochSecond(), id)
                .update();
    }

    List<HostSession> sessions(long host) {
        return jdbc.sql("SELECT * FROM host_sessions WHERE host = ? ORDER BY since DESC")
                .param(host)
                .query((row, n) -> new HostSession(
                        row.getString("id"),
                        row.getLong("host"),
                        Instant.ofEpochSecond(row.getLong("since")),
                        Instant.ofEpochSecond(row.getLong("seen_at")),
                        row.getString("address"),
                        row.getString("agent")))
                .list();
    }

    void endSession(String id) {
        jdbc.sql("DELETE FROM host_sessions WHERE id = ?").param(id).update();
    }

    void endSessions(long host) {
        jdbc.sql("DELETE FROM host_sessions WHERE host = ?").param(host).update();
    }

    /** Sessions that began before; at a start, all of them. */
    void endSessionsBefore(Instant since) {
        jdbc.sql("DELETE FROM host_sessions WHERE since < ?")
                .param(since.getEpochSecond())
                .update();
    }
}
