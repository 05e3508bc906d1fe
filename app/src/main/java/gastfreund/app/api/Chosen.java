package gastfreund.app.api;

import gastfreund.app.bookings.Quantities;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.openings.Choice;
import gastfreund.app.programs.Refused;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.Interval;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads what a program chose of an offer. Unlike a page it puts nothing in the place of what cannot be had. */
final class Chosen {

    private static final String NOT_HAD = "cannot be had of this offer";
    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2199;

    private Chosen() {}

    /** @throws Refused where the house has no such offer for everybody */
    static Offer offer(Catalogue catalogue, String id) {
        return catalogue.openOffer(id).orElseThrow(() -> Refused.because(Refused.Why.NOT_THERE));
    }

    /** @throws Refused with all that cannot be had */
    static Choice of(Catalogue catalogue, Offer offer, Choice.Asked asked) {
        Choice choice = Choice.of(catalogue.house(), offer, asked);
        List<Refused.Wrong> wrong = new ArrayList<>();
        choice.otherThan(asked).forEach(field -> wrong.add(new Refused.Wrong(field, NOT_HAD)));
        String units = asked.units();
        if (units != null && !units.isBlank() && !units.equals(Integer.toString(choice.units()))) {
            wrong.add(new Refused.Wrong("units", NOT_HAD));
        }
        List<String> add = asked.add() == null ? List.of() : asked.add();
        List<String> had = Quantities.said(choice.addOns());
        add.stream()
                .filter(a -> !a.isBlank() && !a.endsWith(":0"))
                .filter(a -> !had.contains(a.indexOf(':') < 0 ? a + ":1" : a))
                .findFirst()
                .ifPresent(a -> wrong.add(new Refused.Wrong("add", NOT_HAD)));
        if (!wrong.isEmpty()) {
            throw Refused.wrong(wrong);
        }
        return choice;
    }

    /**
     * A start, in minutes since the epoch.
     *
     * @throws Refused where it is no moment with an offset, at a whole minute
     */
    static long start(String field, @Nullable String said) {
        return moment(said)
                .orElseThrow(() -> Refused.wrong(
                        field, "must be a moment at a whole minute with an offset, such as 2027-01-31T10:00+01:00"));
    }

    private static Optional<Long> moment(@Nullable String said) {
        try {
            // A plus that was not encoded arrives as a blank.
            OffsetDateTime moment = OffsetDateTime.parse(said == null ? "" : said.replace(' ', '+'));
            boolean inReach = moment.getYear() >= FIRST_YEAR && moment.getYear() <= LAST_YEAR;
            boolean whole = moment.getSecond() == 0 && moment.getNano() == 0;
            return inReach && whole ? Optional.of(Interval.minuteOf(moment.toInstant())) : Optional.empty();
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** @throws Refused where what is said is no date */
    static LocalDate date(String field, @Nullable String said, LocalDate otherwise) {
        if (said == null || said.isBlank()) {
            return otherwise;
        }
        try {
            LocalDate date = LocalDate.parse(said);
            if (date.getYear() >= FIRST_YEAR && date.getYear() <= LAST_YEAR) {
                return date;
            }
        } catch (DateTimeException e) {
            // Said below, like a date out of reach.
        }
        throw Refused.wrong(field, "must be a date, such as 2027-01-31");
    }

    /**
     * A span of dates, both inclusive.
     *
     * @throws Refused where it ends before it begins, or is longer than the most
     */
    static void within(LocalDate from, LocalDate to, int most) {
        if (to.isBefore(from)) {
            throw Refused.wrong("to", "must not lie before from");
        }
        if (to.isAfter(from.plusDays(most - 1L))) {
            throw Refused.wrong("to", "must lie within " + most + " days from from on");
        }
    }
}
