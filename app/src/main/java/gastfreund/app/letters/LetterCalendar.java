package gastfreund.app.letters;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.MailSettings;
import gastfreund.app.pages.Address;
import gastfreund.core.bookings.BookingId;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The calendar file of a letter: with a confirmation what is booked, with a move or a cancellation a change of the same events,
 * which the guest's mail program puts into their calendar.
 */
@Component
class LetterCalendar {

    private final CatalogueService catalogues;
    private final MovesStore moves;
    private final MailSettings mailed;
    private final Address address;
    private final Clock clock;

    LetterCalendar(CatalogueService catalogues, MovesStore moves, MailSettings mailed, Address address, Clock clock) {
        this.catalogues = catalogues;
        this.moves = moves;
        this.mailed = mailed;
        this.address = address;
        this.clock = clock;
    }

    /** Null where the letter brings none. */
    @Nullable
    String of(String kind, Facts facts, Formats f) {
        return switch (kind) {
            case "confirmation", "host", CompanionLetters.INVITED -> facts.certain()
                            .isEmpty()
                    ? null
                    : CalendarFile.of(
                            events(facts.certain(), CalendarFile.State.CONFIRMED, facts, f),
                            f.zone().id(),
                            clock.instant(),
                            CalendarFile.Cover.NONE);
            case "moved", "moved-by-host", CompanionLetters.MOVED -> update(CalendarFile.State.CONFIRMED, facts, f);
            case "cancelled", "cancelled-by-host", CompanionLetters.CANCELLED -> update(
                    CalendarFile.State.CANCELLED, facts, f);
            default -> null;
        };
    }

    private @Nullable String update(CalendarFile.State state, Facts facts, Formats f) {
        if (facts.rows().isEmpty()
                || mailed.mailFrom().isBlank()
                || facts.email().isBlank()) {
            return null;
        }
        String house = catalogues.in(f.locale()).house().name();
        CalendarFile.Parties parties = new CalendarFile.Parties(mailed.mailFrom(), house, facts.email());
        return CalendarFile.update(
                events(facts.rows(), state, facts, f), parties, f.zone().id(), clock.instant());
    }

    private List<CalendarFile.Event> events(List<Facts.Row> rows, CalendarFile.State state, Facts facts, Formats f) {
        String house = catalogues.in(f.locale()).house().name();
        return rows.stream()
                .map(row -> OrderCalendar.event(
                        row.booking(),
                        moves.of(new BookingId(row.booking())),
                        state,
                        row.time(),
                        row.title() + " · " + house,
                        row.title(),
                        row.place(),
                        row.directions(),
                        address.inLetters(facts.token().isEmpty() ? "/" : "/bookings/" + facts.token())))
                .toList();
    }
}
