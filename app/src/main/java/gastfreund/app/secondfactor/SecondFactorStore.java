package gastfreund.app.secondfactor;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps second factors and the marks of spare codes. */
@Repository
class SecondFactorStore {

    /** @param secret encrypted */
    record Kept(String secret, long step) {}

    private final JdbcClient jdbc;

    SecondFactorStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Kept> find(long host) {
        return jdbc.sql("SELECT secret, step FROM second_factors WHERE host = ?")
                .param(host)
                .query((row, n) -> new Kept(row.getString("secret"), row.getLong("step")))
                .optional();
    }

    void put(long host, String secret, long step, List<String> spare) {
        delete(host);
        jdbc.sql("INSERT INTO second_factors (host, secret, step) VALUES (?, ?, ?)")
                .params(host, secret, step)
                .update();
        spare.forEach(mark -> jdbc.sql("INSERT INTO spare_codes (host, mark) VALUES (?, ?)")
                .params(host, mark)
                .update());
    }

    void delete(long host) {
        jdbc.sql("DELETE FROM second_factors WHERE host = ?").param(host).update();
        jdbc.sql("DELETE FROM spare_codes WHERE host = ?").param(host).update();
    }

    /** Whether the step is used now, and was not before. */
    boolean use(long host, long step) {
        return jdbc.sql("UPDATE second_factors SET step = ? WHERE host = ? AND step < ?")
                        .params(step, host, step)
                        .update()
                == 1;
    }

    /** Whether the spare code was there; it is not any more. */
    boolean useSpare(long host, String mark) {
        return jdbc.sql("DELETE FROM spare_codes WHERE host = ? AND mark = ?")
                        .params(host, mark)
                        .update()
                == 1;
    }

    int spare(long host) {
        return jdbc.sql("SELECT count(*) FROM spare_codes WHERE host = ?")
                .param(host)
                .query(Integer.class)
                .single();
    }
}
