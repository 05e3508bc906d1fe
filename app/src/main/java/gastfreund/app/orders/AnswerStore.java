package gastfreund.app.orders;

import gastfreund.app.extras.CheckoutRules;
import gastfreund.core.bookings.BookingId;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what guests answered, and what they agreed to. */
@Repository
public class AnswerStore {

    private final JdbcClient jdbc;

    AnswerStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Writes answers in place of earlier ones to the same questions; what was not answered is left out. */
    public void replace(List<GivenAnswer> answers) {
        for (int i = 0; i < answers.size(); i++) {
            GivenAnswer answer = answers.get(i);
            jdbc.sql("DELETE FROM answers WHERE booking = ? AND person = ? AND question = ?")
                    .params(answer.booking().value(), answer.person(), answer.question())
                    .update();
            if (answer.isGiven()) {
                jdbc.sql(
                                "INSERT INTO answers (booking, person, question, position, label, value) VALUES (?, ?, ?, ?, ?, ?)")
                        .params(
                                answer.booking().value(),
                                answer.person(),
                                answer.question(),
                                i,
                                answer.label(),
                                answer.value())
                        .update();
            }
        }
    }

    /** The answers of a booking in the order in which they were asked for. */
    public List<GivenAnswer> of(BookingId booking) {
        return jdbc.sql("SELECT * FROM answers WHERE booking = ? ORDER BY position")
                .param(booking.value())
                .query((row, n) -> new GivenAnswer(
                        booking,
                        row.getInt("person"),
                        row.getString("question"),
                        row.getString("label"),
                        row.getString("value")))
                .list();
    }

    /**
     * A text as a guest agreed to it.
     *
     * @param wording of then, whatever it is now
     */
    public record Agreement(String title, String wording, Instant at) {

        /** The text, cut where a line is empty. */
        public List<String> paragraphs() {
            return new CheckoutRules.Text("", title, wording, true).paragraphs();
        }
    }

    /** What a guest agreed to with an order. */
    public List<Agreement> agreements(long order) {
        return jdbc.sql("SELECT title, wording, agreed_at FROM agreements WHERE order_id = ? ORDER BY text_id")
                .param(order)
                .query((row, n) -> new Agreement(
                        row.getString("title"),
                        row.getString("wording"),
                        Instant.ofEpochSecond(row.getLong("agreed_at"))))
                .list();
    }

    public void agreed(long order, List<CheckoutRules.Text> texts, Instant now) {
        for (CheckoutRules.Text text : texts) {
            jdbc.sql("INSERT INTO agreements (order_id, text_id, title, wording, agreed_at) VALUES (?, ?, ?, ?, ?)")
                    .params(order, text.id(), text.title(), text.wording(), now.getEpochSecond())
                    .update();
        }
    }
}
