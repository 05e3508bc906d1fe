package gastfreund.app.hours;

import gastfreund.app.catalogue.Document;
import gastfreund.app.editing.Figures;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.Schedule;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a host wrote about days that differ and cannot be kept as it is, with what is wrong with it. */
record Differ(String from, String to, String figures, String note, String wrongDates, String wrongFigures) {

    static Differ nothing() {
        return new Differ("", "", "", "", "", "");
    }

    private static final int MONTHS = 6;
    private static final int CELL = 17;

    /** The months in which days are chosen. */
    static List<HoursPage.Month> months(Schedule hours, LocalDate today, Formats f) {
        List<HoursPage.Month> months = new ArrayList<>();
        for (int i = 0; i < MONTHS; i++) {
            YearMonth month = YearMonth.from(today).plusMonths(i);
            List<HoursPage.Cell> cells = new ArrayList<>();
            for (int day = 1; day <= month.lengthOfMonth(); day++) {
                LocalDate date = month.atDay(day);
                cells.add(new HoursPage.Cell((day - 1) * CELL, date, look(hours, date, today)));
            }
            months.add(new HoursPage.Month(
                    month.getMonth().getDisplayName(TextStyle.SHORT_STANDALONE, f.locale()), cells));
        }
        return months;
    }

    private static String look(Schedule hours, LocalDate date, LocalDate today) {
        Optional<HoursException> exception = hours.exceptionOn(date);
        String look = exception.isPresent()
                ? (exception.get().isClosure() ? "shut" : "other")
                : hours.windowsOn(date).isEmpty() ? "free" : "open";
        return date.isBefore(today) ? look + " over" : look;
    }

    /** The fields with what was written. */
    List<Field> fields(Formats f) {
        return List.of(
                Field.date("from", f.text("hours.from"))
                        .required()
                        .value(from())
                        .wrong(wrongDates()),
                Field.date("to", f.text("hours.to")).value(to()).help(f.text("hours.toHelp")),
                Field.line("figures", f.text("hours.differTimes"), 200)
                        .value(figures())
                        .wrong(wrongFigures())
                        .with("autocomplete", "off")
                        .with("placeholder", f.text("hours.closed")),
                Field.line("note", f.text("hours.note"), 120).value(note()).help(f.text("hours.noteHelp")));
    }

    /** The days that differ, from today on. */
    static List<HoursPage.Differing> all(Document seen, Schedule hours, LocalDate today, Figures figures, Formats f) {
        return hours.exceptionsApart().stream()
                .filter(e -> !e.to().isBefore(today))
                .map(e -> new HoursPage.Differing(
                        e.from().equals(e.to())
                                ? f.shortDay(e.from())
                                : f.shortDay(e.from()) + " – " + f.shortDay(e.to()),
                        figures.of(e.windows()),
                        Hours.note(seen.json(), e),
                        e.from(),
                        e.to()))
                .toList();
    }
}
