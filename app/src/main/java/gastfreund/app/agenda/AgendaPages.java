package gastfreund.app.agenda;

import gastfreund.app.agenda.Sought.View;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Manners;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;

/** Makes the agenda's page. */
@Component
class AgendaPages {

    /** How many dates have a bar. */
    static final int BARS = 70;

    private static final int DAY_WIDTH = 18;
    private static final int WEEK_GAP = 4;
    private static final int TALLEST = 66;
    private static final int LOWEST = 10;
    private static final int WEEK = 7;

    private final CatalogueService catalogues;
    private final Agenda agenda;

    AgendaPages(CatalogueService catalogues, Agenda agenda) {
        this.catalogues = catalogues;
        this.agenda = agenda;
    }

    /** @param wanted the date that is looked at; null: the first that has something */
    AgendaPage page(
            Sought sought,
            View view,
            @Nullable LocalDate wanted,
            List<Note> notes,
            Instant now,
            Links links,
            Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        Manners manners = catalogue.extras().manners();
        LocalDate today = catalogue.zone().dateOf(now);
        LocalDate thisWeek = manners.weekOf(today);
        long block = wanted == null ? 0 : Math.max(0, ChronoUnit.DAYS.between(thisWeek, wanted) / BARS);
        LocalDate firstBar = thisWeek.plusDays(block * BARS);
        List<Integer> counts = agenda.counts(sought, firstBar, BARS, now);
        LocalDate day = wanted == null ? firstOpen(counts, firstBar, today) : wanted;
        LocalDate last = today.plusDays(Query.MOST_DAYS);

        LocalDate from =
                switch (view) {
                    case DAY -> day;
                    case WEEK -> manners.weekOf(day);
                    case MONTH -> day.withDayOfMonth(1);
                };
        LocalDate to =
                switch (view) {
                    case DAY -> day;
                    case WEEK -> from.plusDays(WEEK - 1L);
                    case MONTH -> YearMonth.from(day).atEndOfMonth();
                };
        LocalDate earlier =
                view == View.MONTH ? from.minusMonths(1) : from.minusDays(ChronoUnit.DAYS.between(from, to) + 1);
        LocalDate later = to.plusDays(1);
        AgendaLanes drawn = new AgendaLanes(catalogue, links, f);
        AgendaPage.Lanes lanes = null;
        List<List<AgendaPage.Day>> weeks = null;
        boolean some;
        if (view == View.MONTH) {
            weeks = weeks(sought, from, to, now, drawn, links, f);
            some = weeks.stream().flatMap(List::stream).anyMatch(d -> !d.sessions()
                    .isEmpty());
        } else {
            List<List<Agenda.Lane>> days = agenda.days(sought, from, to, now);
            lanes = view == View.DAY
                    ? drawn.day(days.get(0), day)
                    : drawn.week(days, from, date -> sought.address(View.DAY, date, links));
            some = !lanes.heads().isEmpty();
        }
        return new AgendaPage(
                notes,
                AgendaFilters.fields(catalogue, sought, day, f),
                AgendaFilters.hidden(view, links),
                Arrays.stream(View.values())
                        .filter(v -> v != View.MONTH || hasTimetables(catalogue) || view == View.MONTH)
                        .map(v -> new AgendaPage.Tab(
                                v.word(), f.text("agenda.view." + v.word()), sought.address(v, day, links), v == view))
                        .toList(),
                bars(counts, firstBar, from, to, sought, view, today, links, f),
                f.text(
                        "agenda.total",
                        counts.stream().mapToInt(Integer::intValue).sum(),
                        BARS / WEEK),
                block == 0 ? null : sought.address(view, later(firstBar.minusDays(BARS), today), links),
                sought.address(view, firstBar.plusDays(BARS), links),
                title(view, from, to, f),
                to.isAfter(today) && !from.isBefore(today) && !from.equals(today)
                        ? sought.address(view, later(earlier, today), links)
                        : null,
                later.isAfter(last) ? null : sought.address(view, later, links),
                sought.keepAddress(view, day, links),
                f.text("agenda.people", sought.party()),
                lanes,
                weeks,
                some ? "" : f.text(view == View.MONTH ? "agenda.noSessions" : "agenda.none"),
                hasTimetables(catalogue),
                sought.address(View.WEEK, day, links) + "&print");
    }

    private static boolean hasTimetables(Catalogue catalogue) {
        return catalogue.listed().stream().anyMatch(Offer::hasTimetable);
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isBefore(other) ? other : one;
    }

    private static LocalDate firstOpen(List<Integer> counts, LocalDate first, LocalDate today) {
        return IntStream.range(0, counts.size())
                .filter(i -> counts.get(i) > 0 && !first.plusDays(i).isBefore(today))
                .mapToObj(first::plusDays)
                .findFirst()
                .orElse(today);
    }

    private static String title(View view, LocalDate from, LocalDate to, Formats f) {
        return switch (view) {
            case DAY -> f.day(from);
            case WEEK -> f.text("agenda.fromTo", f.shortDay(from), f.shortDay(to));
            case MONTH -> f.month(from);
        };
    }

    private List<AgendaPage.Bar> bars(
            List<Integer> counts,
            LocalDate first,
            LocalDate from,
            LocalDate to,
            Sought sought,
            View view,
            LocalDate today,
            Links links,
            Formats f) {
        int most = Math.max(1, Collections.max(counts));
        List<AgendaPage.Bar> bars = new ArrayList<>();
        int x = 0;
        for (int i = 0; i < counts.size(); i++) {
            LocalDate date = first.plusDays(i);
            boolean week = i % WEEK == 0;
            x += week && i > 0 ? WEEK_GAP : 0;
            int count = counts.get(i);
            bars.add(new AgendaPage.Bar(
                    date.toString(),
                    sought.address(view, later(date, today), links),
                    f.text("agenda.bar", f.shortDay(date), count),
                    x,
                    count == 0 ? 0 : Math.max(LOWEST, TALLEST * count / most),
                    week ? f.dayAndMonth(date) : "",
                    !date.isBefore(from) && !date.isAfter(to)));
            x += DAY_WIDTH;
        }
        return bars;
    }

    private List<List<AgendaPage.Day>> weeks(
            Sought sought, LocalDate from, LocalDate to, Instant now, AgendaLanes drawn, Links links, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        Manners manners = catalogue.extras().manners();
        LocalDate today = catalogue.zone().dateOf(now);
        LocalDate first = manners.weekOf(from);
        LocalDate last = manners.weekOf(to).plusDays(WEEK - 1L);
        List<Agenda.Session> sessions = agenda.sessions(sought, later(first, today), later(last, today), now);
        List<List<AgendaPage.Day>> weeks = new ArrayList<>();
        for (LocalDate week = first; !week.isAfter(last); week = week.plusWeeks(1)) {
            weeks.add(week.datesUntil(week.plusDays(WEEK))
                    .map(date -> new AgendaPage.Day(
                            numbered(date, first, f),
                            f.day(date),
                            !date.isBefore(from) && !date.isAfter(to),
                            date.equals(today),
                            sessions.stream()
                                    .filter(s -> catalogue
                                            .zone()
                                            .dateOf(s.entry().time().start())
                                            .equals(date))
                                    .map(s -> session(s, sought, catalogue, drawn, links, f))
                                    .toList()))
                    .toList());
        }
        return weeks;
    }

    /** The number of a date; with its weekday in the first week, and with its month where one begins. */
    private static String numbered(LocalDate date, LocalDate first, Formats f) {
        String number = date.getDayOfMonth() == 1 ? f.dayAndMonth(date) : Integer.toString(date.getDayOfMonth());
        return date.isBefore(first.plusDays(WEEK))
                ? date.getDayOfWeek().getDisplayName(TextStyle.SHORT, f.locale()) + " " + number
                : number;
    }

    private static AgendaPage.Session session(
            Agenda.Session session, Sought sought, Catalogue catalogue, AgendaLanes drawn, Links links, Formats f) {
        Offer offer = session.offer();
        String wish = UriComponentsBuilder.fromUriString(links.with("/offers/" + offer.id() + "/wish"))
                .queryParam("party", sought.party())
                .queryParam("start", session.entry().time().start())
                .build()
                .toUriString();
        return new AgendaPage.Session(
                offer.title(),
                catalogue.wishMinutes() == 0 ? links.offer(offer.id()) : wish,
                f.time(session.entry().time().start()),
                session.opening()
                        .map(o -> drawn.chip(
                                new Agenda.Lane(offer, offer.lengths().get(0), List.of(o)), o, 1, 1))
                        .orElse(null));
    }
}
