package gastfreund.app.feeds;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.calendars.Reminder;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.Slot;
import gastfreund.app.pages.Address;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.openings.Query;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes the calendars that can be followed, and their addresses. */
@Service
public class Feeds {

    /** How far back a feed goes. */
    private static final Duration BACK = Duration.ofDays(366);

    /** How far ahead what is on is told. */
    private static final int AHEAD_DAYS = 90;

    private final FeedStore store;
    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Speech speech;
    private final Address address;
    private final Tokens tokens;
    private final Clock clock;

    Feeds(
            FeedStore store,
            CatalogueService catalogues,
            OpeningsService openings,
            Speech speech,
            Address address,
            Tokens tokens,
            Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.openings = openings;
        this.speech = speech;
        this.address = address;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** The whole address of a feed, which it has from now on if it had none. */
    @Transactional
    public String address(Feed feed) {
        return address.of(path(store.token(feed).orElseGet(() -> put(feed))));
    }

    /** The same if it has one. */
    public Optional<String> known(Feed feed) {
        return store.token(feed).map(t -> address.of(path(t)));
    }

    /** Gives it another address; whoever follows the one before sees nothing any more. */
    @Transactional
    public void renew(Feed feed) {
        put(feed);
    }

    private String put(Feed feed) {
        String token = tokens.next();
        store.put(feed, token, clock.instant());
        return token;
    }

    private static String path(String token) {
        return "/calendars/" + token + ".ics";
    }

    /** The feed of an address; empty where that is none, or none any more. */
    Optional<String> file(String token, Reminder reminder) {
        return store.byToken(token).map(feed -> file(feed, reminder));
    }

    /** All that is booked, as its feed would say it now to whoever had its address. */
    public String ofHouse() {
        return file(Feed.house(), Reminder.NONE);
    }

    private String file(Feed feed, Reminder reminder) {
        Instant now = clock.instant();
        Catalogue catalogue = catalogues.catalogue();
        Formats f = speech.in(catalogue.extras().manners().first(), catalogue);
        Set<OfferId> using = catalogue.house().offers().stream()
                .filter(o ->
                        o.uses().stream().anyMatch(u -> u.resource().value().equals(feed.subject())))
                .map(Offer::id)
                .collect(Collectors.toSet());
        List<CalendarFile.Event> events = store.after(feed, now.minus(BACK)).stream()
                .filter(b -> feed.kind() != Feed.Kind.THING || using.contains(b.offer()))
                .map(b -> event(b, feed, catalogue, f))
                .toList();
        return CalendarFile.of(
                events, catalogue.zone().id(), day(now), new CalendarFile.Cover(name(feed, catalogue), reminder));
    }

    private CalendarFile.Event event(FeedStore.Booked booked, Feed feed, Catalogue catalogue, Formats f) {
        String title = catalogue.offer(booked.offer()).title();
        boolean guest = feed.kind() == Feed.Kind.GUEST;
        return new CalendarFile.Event(
                booked.id(),
                booked.moves(),
                CalendarFile.State.of(booked.status()),
                booked.time(),
                title + " · " + (guest ? catalogue.house().name() : booked.guest()),
                booked.place() == null
                        ? ""
                        : catalogue.house().place(new PlaceId(booked.place())).name(),
                "",
                guest ? "" : f.text("offer.people", booked.party()),
                address.of(guest ? "/bookings/" + booked.token() : "/desk/orders/" + booked.number()));
    }

    private static String name(Feed feed, Catalogue catalogue) {
        return switch (feed.kind()) {
            case PERSON -> catalogue.house().staff().stream()
                    .filter(s -> s.id().value().equals(feed.subject()))
                    .map(s -> s.name())
                    .findFirst()
                    .orElse(catalogue.house().name());
            default -> catalogue.house().name();
        };
    }

    /** The sessions of timetables in which seats are left. */
    String whatIsOn(Locale language) {
        Instant now = clock.instant();
        Catalogue catalogue = catalogues.in(language);
        Formats f = speech.in(language, catalogue);
        LocalDate today = catalogue.zone().dateOf(now);
        List<CalendarFile.Event> events = new ArrayList<>();
        for (Offer offer : catalogue.listed()) {
            if (offer.hasTimetable()) {
                openings.openings(Query.of(offer.id(), today, today.plusDays(AHEAD_DAYS), now)).entries().stream()
                        .map(e -> Slot.of(e, catalogue.house()))
                        .forEach(s -> events.add(new CalendarFile.Event(
                                offer.id() + "-" + s.time().start(),
                                0,
                                CalendarFile.State.CONFIRMED,
                                s.time(),
                                offer.title(),
                                "",
                                "",
                                f.text("offer.seatsLeft", s.left()),
                                address.of("/offers/" + offer.id()))));
            }
        }
        return CalendarFile.of(
                events,
                catalogue.zone().id(),
                day(now),
                new CalendarFile.Cover(catalogue.house().name(), Reminder.NONE));
    }

    /** The same for a whole day, so that what has not changed looks as it did. */
    private static Instant day(Instant now) {
        return now.truncatedTo(ChronoUnit.DAYS);
    }
}
