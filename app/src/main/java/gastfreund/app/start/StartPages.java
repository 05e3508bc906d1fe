package gastfreund.app.start;

import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Makes the page of the four answers. */
@Component
class StartPages {

    private static final int DAYS = 21;
    private static final int COLUMN = 20;
    private static final int HEIGHT = 62;
    private static final int MOST_SLOTS = 8;
    private static final int FIRST_HOUR = 6;
    private static final int LANE = 560;
    private static final int SHOWN = (24 - FIRST_HOUR) * 60;

    private final Starting starting;
    private final Clock clock;

    StartPages(Starting starting, Clock clock) {
        this.starting = starting;
        this.clock = clock;
    }

    /** @param checked whether what is missing is told too */
    StartPage page(Host host, Answers answers, boolean checked, List<Note> notes, Formats f) {
        Starting.Made made = starting.made(host, answers, f);
        House house = made.house();
        Offer offer = made.offer();
        return new StartPage(
                notes,
                sentences(answers, checked ? made.wrong() : typedWrong(made.wrong(), answers), f),
                week(made.week(), f),
                house == null || offer == null ? null : grows(house, offer, f));
    }

    /** What nobody has typed yet is not wrong. */
    private static Map<String, String> typedWrong(Map<String, String> wrong, Answers answers) {
        Map<String, String> typed = new TreeMap<>(wrong);
        if (answers.title().isBlank()) {
            typed.remove("title");
        }
        if (answers.price().isBlank()) {
            typed.remove("price");
        }
        return typed;
    }

    private static List<StartPage.Answer> sentences(Answers answers, Map<String, String> wrong, Formats f) {
        return List.of(
                new StartPage.Answer(
                        1,
                        Clause.of(
                                "what",
                                f.text("start.what"),
                                line("title", answers.title(), wrong, f)
                                        .with("placeholder", f.text("start.example"))
                                        .with("autofocus", "autofocus")),
                        f.text("start.whatHelp")),
                new StartPage.Answer(
                        2,
                        Clause.of(
                                "takes",
                                f.text("start.takes"),
                                line("minutes", answers.minutes(), wrong, f),
                                line("price", answers.price(), wrong, f)
                                        .with("inputmode", "decimal")
                                        .with("placeholder", "60"),
                                line("party", answers.party(), wrong, f).with("inputmode", "numeric")),
                        f.text("start.takesHelp")),
                new StartPage.Answer(
                        3,
                        Clause.of("when", f.text("start.when"), line("week", answers.week(), wrong, f)),
                        f.text("start.clock", f.zone().id().getId())),
                new StartPage.Answer(
                        4,
                        Clause.of(
                                "pay",
                                f.text("start.pay"),
                                Field.select(
                                                "pay",
                                                f.text("start.payLabel"),
                                                List.of(
                                                        Field.Option.of("venue", f.text("word.when.venue")),
                                                        Field.Option.of("full", f.text("word.when.full")),
                                                        Field.Option.of("deposit", f.text("word.when.deposit"))))
                                        .value(answers.pay())),
                        f.text("start.payHelp")));
    }

    private static Field line(String name, String value, Map<String, String> wrong, Formats f) {
        return Field.line(name, f.text("start.field." + name), name.equals("week") ? 300 : 120)
                .with("autocomplete", "off")
                .value(value)
                .wrong(wrong.getOrDefault(name, ""));
    }

    private static List<StartPage.Day> week(Map<DayOfWeek, List<Window>> week, Formats f) {
        List<StartPage.Day> days = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            List<StartPage.Bar> bars = new ArrayList<>();
            for (Window window : week.getOrDefault(day, List.of())) {
                int to = window.to() <= window.from() ? window.to() + 1440 : window.to();
                int x = at(window.from());
                bars.add(new StartPage.Bar(x, Math.max(2, at(to) - x)));
            }
            days.add(new StartPage.Day(day.getDisplayName(TextStyle.SHORT_STANDALONE, f.locale()), bars));
        }
        return days;
    }

    private static int at(int minute) {
        return Math.max(0, Math.min(SHOWN, minute - FIRST_HOUR * 60)) * LANE / SHOWN;
    }

    private StartPage.Grows grows(House house, Offer offer, Formats f) {
        Instant now = clock.instant();
        LocalDate today = house.zone().dateOf(now);
        Length length = offer.lengths().get(0);
        List<Answer.Entry> entries = Openings.openings(
                        house,
                        Booked.of(List.of(), List.of()),
                        Query.of(offer.id(), today, today.plusDays(DAYS - 1L), now)
                                .withLength(length.id(), 1)
                                .withParty(1))
                .entries();
        Map<LocalDate, List<Answer.Entry>> byDay = new TreeMap<>();
        entries.forEach(e -> byDay.computeIfAbsent(house.zone().dateOf(e.time().start()), d -> new ArrayList<>())
                .add(e));
        int most = byDay.values().stream().mapToInt(List::size).max().orElse(1);
        LocalDate first = byDay.isEmpty() ? today : byDay.keySet().iterator().next();
        List<StartPage.Column> columns = new ArrayList<>();
        for (int day = 0; day < DAYS; day++) {
            LocalDate date = today.plusDays(day);
            int count = byDay.getOrDefault(date, List.of()).size();
            columns.add(new StartPage.Column(
                    day * COLUMN,
                    count * HEIGHT / most,
                    date.equals(first) && count > 0,
                    f.text("start.column", f.shortDay(date), count)));
        }
        String price = f.shortMoney(length.price());
        return new StartPage.Grows(
                offer.title(),
                Spans.said(length.minutes().count(), f) + " · " + price,
                columns,
                byDay.isEmpty() ? "" : f.day(first),
                byDay.getOrDefault(first, List.of()).stream()
                        .limit(MOST_SLOTS)
                        .map(e -> new StartPage.Slot(f.times(e.time()), price))
                        .toList(),
                entries.isEmpty()
                        ? f.text("start.noOpening")
                        : f.text(
                                "start.openings",
                                entries.size(),
                                f.soon(entries.get(0).time().start(), now)));
    }
}
