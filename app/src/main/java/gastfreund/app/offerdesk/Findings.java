package gastfreund.app.offerdesk;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.effects.Ahead;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.AddOnStock;
import gastfreund.app.pages.Note;
import gastfreund.app.storage.Reading;
import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What the sentences of an offer do now, in numbers of this house, computed by the engine from its own days and bookings. */
@Component
class Findings {

    private static final int DAYS = 28;
    private static final int BACK = 90;
    private static final Minutes NONE = Minutes.of(0);

    private final CatalogueService catalogues;
    private final Ahead ahead;
    private final BookedStore past;
    private final AddOnStock stock;
    private final Reading reading;
    private final Clock clock;

    Findings(
            CatalogueService catalogues,
            Ahead ahead,
            BookedStore past,
            AddOnStock stock,
            Reading reading,
            Clock clock) {
        this.stock = stock;
        this.catalogues = catalogues;
        this.ahead = ahead;
        this.past = past;
        this.reading = reading;
        this.clock = clock;
    }

    /** The starts of some days, by length. */
    private record Starts(Map<Length, List<Answer.Entry>> byLength) {

        int count() {
            return byLength.values().stream().mapToInt(List::size).sum();
        }
    }

    /**
     * What is found, by the part of the editor under which it stands.
     *
     * @param house with the offer as it would be
     */
    Map<String, List<Note>> of(House house, Offer offer, Formats f) {
        Map<String, List<Note>> found = new HashMap<>();
        Instant now = clock.instant();
        Booked booked = ahead.of(catalogues.plain().house(), now);
        Starts starts = starts(house, offer, booked, now);
        starts.byLength()
                .forEach((length, entries) -> found.put(
                        "lengths/" + length.id().value(),
                        List.of(note(entries.isEmpty(), f.text("found.length", entries.size())))));
        starts.byLength().values().stream()
                .filter(e -> !e.isEmpty())
                .findFirst()
                .ifPresent(entries -> found.put("starts", List.of(onFirstDay(entries, f))));
        around(house, offer, booked, now, starts, f, found);
        bounds(house, offer, booked, now, starts, f, found);
        offer.bounds().perDay().ifPresent(limit -> found.put("limits", List.of(reached(offer, limit, now, f))));
        pointless(offer, house.zone().dateOf(now), f, found);
        return found;
    }

    /** How many of its add-ons are taken, by the part of the editor under which it stands. */
    Map<String, List<Note>> ofAddOns(Offer offer, Formats f) {
        Map<String, List<Note>> found = new HashMap<>();
        for (AddOn addOn : offer.addOns()) {
            int taken = stock.taken(offer, addOn, clock.instant());
            if (taken > 0) {
                found.put("addOns/" + addOn.id().value(), List.of(Note.done(f.text("found.stock", taken))));
            }
        }
        return found;
    }

    private static Note note(boolean warns, String words) {
        return warns ? Note.warn(words) : Note.done(words);
    }

    private static Starts starts(House house, Offer offer, Booked booked, Instant now) {
        LocalDate today = house.zone().dateOf(now);
        Map<Length, List<Answer.Entry>> byLength = new HashMap<>();
        for (Length length : offer.lengths()) {
            Query query = Query.of(offer.id(), today, today.plusDays(DAYS - 1L), now)
                    .withLength(length.id(), length.minUnits())
                    .withParty(offer.party().min());
            byLength.put(length, Openings.openings(house, booked, query).entries());
        }
        return new Starts(byLength);
    }

    private static Note onFirstDay(List<Answer.Entry> entries, Formats f) {
        LocalDate first = f.zone().dateOf(entries.get(0).time().start());
        long count = entries.stream()
                .filter(e -> f.zone().dateOf(e.time().start()).equals(first))
                .count();
        return Note.done(f.text("found.starts", count, f.day(first)));
    }

    private static void around(
            House house,
            Offer offer,
            Booked booked,
            Instant now,
            Starts starts,
            Formats f,
            Map<String, List<Note>> found) {
        if (offer.prep().count() + offer.reset().count() > 0) {
            Offer without = offer.with(NONE, NONE, offer.bounds());
            int more = starts(house.with(without), without, booked, now).count() - starts.count();
            found.put(
                    "around",
                    List.of(
                            more > 0
                                    ? Note.warn(f.text("found.around", more))
                                    : Note.done(f.text("found.aroundNothing"))));
        }
    }

    private static void bounds(
            House house,
            Offer offer,
            Booked booked,
            Instant now,
            Starts starts,
            Formats f,
            Map<String, List<Note>> found) {
        Bounds bounds = offer.bounds();
        OptionalInt horizon = bounds.horizonDays();
        if (horizon.isPresent() && bounds.notice().count() > (horizon.getAsInt() + 1) * 1440L) {
            found.put("notice", List.of(Note.bad(f.text("found.noticeBeyond"))));
        } else if (bounds.notice().count() > 0) {
            Offer without = offer.with(offer.prep(), offer.reset(), bounds.with(NONE));
            int closed = starts(house.with(without), without, booked, now).count() - starts.count();
            found.put("notice", List.of(Note.done(f.text("found.notice", closed))));
        }
    }

    /** What makes another setting pointless, with the reason. */
    private static void pointless(Offer offer, LocalDate today, Formats f, Map<String, List<Note>> found) {
        Bounds bounds = offer.bounds();
        long shortest = offer.lengths().stream()
                .mapToLong(l -> l.minutes().count() * l.minUnits())
                .min()
                .orElse(0);
        if (bounds.minutesPerDay().isPresent() && bounds.minutesPerDay().getAsInt() < shortest) {
            found.put("limits", List.of(Note.bad(f.text("found.limitTooShort"))));
        } else if (bounds.perDay().isPresent() && bounds.perDay().getAsInt() == 0) {
            found.put("limits", List.of(Note.bad(f.text("found.limitNone"))));
        }
        LocalDate end = bounds.seasonTo();
        if (end != null && end.isBefore(today)) {
            found.put("season", List.of(Note.warn(f.text("found.seasonOver", f.fullDate(end)))));
        }
        int seats = offer.sharing().seats();
        if (offer.sharing().shared() && offer.party().min() > seats) {
            found.put("who", List.of(Note.bad(f.text("found.partyBeyondSeats", seats))));
        }
    }

    private Note reached(Offer offer, int limit, Instant now, Formats f) {
        LocalDate today = f.zone().dateOf(now);
        Interval back = Interval.between(
                f.zone().startOf(today.minusDays(BACK)), f.zone().startOf(today));
        long days = reading.of(() -> past.touching(back, now)).bookings().stream()
                .filter(b -> b.offer().equals(offer.id()) && b.start() >= back.start() && b.start() < back.end())
                .collect(Collectors.groupingBy((Booking b) -> f.zone().dateOf(b.start()), Collectors.counting()))
                .values()
                .stream()
                .filter(count -> count >= limit)
                .count();
        return Note.done(f.text("found.limit", days));
    }
}
