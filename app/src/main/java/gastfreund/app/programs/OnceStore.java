package gastfreund.app.programs;

import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what requests of programs that changed something were answered. */
@Repository
class OnceStore {

    /** @param asked a mark of the request */
    record Given(String asked, Once.Answer answer) {}

    private final JdbcClient jdbc;

    OnceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Given> find(String program, String repeat) {
        return jdbc.sql("SELECT asked, status, body FROM program_answers WHERE program = ? AND repeat_key = ?")
                .params(program, repeat)
                .query((row, n) ->
                        new Given(row.getString("asked"), new Once.Answer(row.getInt("status"), row.getString("body"))))
                .optional();
    }

    void insert(String program, String repeat, Given given, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO program_answers (program, repeat_key, asked, status, body, answered_at)
                        VALUES (?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        program,
                        repeat,
                        given.asked(),
                        given.answer().status(),
                        given.answer().body(),
                        now.getEpochSecond())
                .update();
    }

    void forgetBefore(Instant time) {
        jdbc.sql("DELETE FROM program_answers WHERE answered_at < ?")
                .param(time.getEpochSecond())
                .update();
    }
}
