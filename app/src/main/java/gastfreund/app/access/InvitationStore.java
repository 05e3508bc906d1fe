package gastfreund.app.access;

import gastfreund.app.hosts.Role;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps invitations until they are taken or have expired. */
@Repository
class InvitationStore {

    private final JdbcClient jdbc;

    InvitationStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** One address has one invitation: the last. Those that have expired go. */
    void put(Invitation invitation, String by, Instant now) {
        jdbc.sql("DELETE FROM invitations WHERE email = ? OR expires_at <= ?")
                .params(invitation.email(), now.getEpochSecond())
                .update();
        jdbc.sql("INSERT INTO invitations (mark, email, role, person, language, invited_by, expires_at)"
                        + " VALUES (?, ?, ?, ?, ?, ?, ?)")
                .params(
                        invitation.mark(),
                        invitation.email(),
                        invitation.role().code(),
                        invitation.person(),
                        invitation.language().getLanguage(),
                        by,
                        invitation.expires().getEpochSecond())
                .update();
    }

    Optional<Invitation> find(String mark, Instant now) {
        return jdbc.sql("SELECT * FROM invitations WHERE mark = ? AND expires_at > ?")
                .params(mark, now.getEpochSecond())
                .query(InvitationStore::invitation)
                .optional();
    }

    List<Invitation> open(Instant now) {
        return jdbc.sql("SELECT * FROM invitations WHERE expires_at > ? ORDER BY expires_at")
                .param(now.getEpochSecond())
                .query(InvitationStore::invitation)
                .list();
    }

    private static Invitation invitation(ResultSet row, int number) throws SQLException {
        return new Invitation(
                row.getString("mark"),
                row.getString("email"),
                Role.valueOf(row.getString("role").toUpperCase(Locale.ROOT)),
                row.getString("person"),
                Locale.forLanguageTag(row.getString("language")),
                Instant.ofEpochSecond(row.getLong("expires_at")));
    }

    /** Whether it was there. */
    boolean delete(String mark) {
        return jdbc.sql("DELETE FROM invitations WHERE mark = ?").param(mark).update() == 1;
    }
}
