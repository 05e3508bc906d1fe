package gastfreund.app.checkout;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.Question;
import gastfreund.app.orders.GivenAnswer;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** The questions that some bookings ask, with what was answered. */
public final class Questionnaire {

    static final int MOST_TEXT = 200;
    static final int MOST_LONG = 2000;

    /** What a tick is kept as. */
    static final String TICKED = "✓";

    /** A booking that asks. */
    public record Subject(BookingId booking, OfferId offer, int party, Interval time) {}

    /**
     * A question with the place for its answer.
     *
     * @param name of the form's field
     * @param person 0: the booking as a whole
     * @param given what was chosen or written
     * @param error the key of what is wrong with it; empty: nothing
     */
    public record Field(String name, Question question, int person, List<String> given, String error) {

        /** What is written, with all its lines. */
        public String text() {
            return String.join("\n", given);
        }

        public boolean isWrong() {
            return !error.isEmpty();
        }
    }

    /** The questions of one booking. */
    public record Group(BookingId booking, Offer offer, Interval time, int party, List<Field> fields) {}

    private final List<Group> groups;

    private Questionnaire(List<Group> groups) {
        this.groups = groups;
    }

    /** @param given what is answered, by the field's name; empty: nothing */
    public static Questionnaire of(List<Subject> subjects, Catalogue catalogue, Function<String, List<String>> given) {
        List<Group> groups = new ArrayList<>();
        for (Subject subject : subjects) {
            List<Field> fields = new ArrayList<>();
            for (Question question : catalogue.questionsOf(subject.offer())) {
                for (int i = 1; i <= (question.perPerson() ? subject.party() : 1); i++) {
                    int person = question.perPerson() ? i : 0;
                    String name = name(subject.booking(), person, question.id());
                    fields.add(new Field(name, question, person, clean(question, given.apply(name)), ""));
                }
            }
            if (!fields.isEmpty()) {
                Offer offer = catalogue.offer(subject.offer());
                groups.add(new Group(subject.booking(), offer, subject.time(), subject.party(), List.copyOf(fields)));
            }
        }
        return new Questionnaire(List.copyOf(groups));
    }

    public static String name(BookingId booking, int person, String question) {
        return "answer." + booking + "." + person + "." + question;
    }

    private static List<String> clean(Question question, List<String> given) {
        return given.stream()
                .map(String::strip)
                .filter(g -> !g.isEmpty()
                        && (question.options().isEmpty() || question.options().contains(g)))
                .toList();
    }

    /** The same with what is wrong in it. */
    public Questionnaire checked() {
        return new Questionnaire(groups.stream()
                .map(g -> new Group(
                        g.booking(),
                        g.offer(),
                        g.time(),
                        g.party(),
                        g.fields().stream().map(Questionnaire::checked).toList()))
                .toList());
    }

    private static Field checked(Field field) {
        return new Field(field.name(), field.question(), field.person(), field.given(), error(field));
    }

    private static String error(Field field) {
        Question question = field.question();
        if (question.required() && field.given().isEmpty()) {
            return question.kind() == Question.Kind.TICK ? "question.tick" : "question.missing";
        }
        int most = question.kind() == Question.Kind.LONG ? MOST_LONG : MOST_TEXT;
        boolean free = question.options().isEmpty();
        return free && field.text().length() > most ? "question.long" : "";
    }

    public List<Group> groups() {
        return groups;
    }

    public boolean isRight() {
        return groups.stream().flatMap(g -> g.fields().stream()).noneMatch(Field::isWrong);
    }

    /** What was answered to each question. */
    public List<GivenAnswer> answers() {
        List<GivenAnswer> answers = new ArrayList<>();
        for (Group group : groups) {
            for (Field field : group.fields()) {
                Question question = field.question();
                answers.add(new GivenAnswer(
                        group.booking(),
                        field.person(),
                        question.id(),
                        question.label(),
                        String.join("\n", field.given())));
            }
        }
        return answers;
    }
}
