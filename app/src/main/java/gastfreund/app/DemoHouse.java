package gastfreund.app;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.checkout.OrderIntake;
import gastfreund.app.hosts.HostService;
import gastfreund.app.hosts.Role;
import gastfreund.app.orders.Contact;
import gastfreund.app.setup.Settings;
import gastfreund.app.storage.DataFolder;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.time.HouseZone;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Fills an empty data folder with the demo house. Its dates are written around one Monday and moved by whole weeks, so
 * that they lie around today on the weekdays they were written for.
 */
@Component
class DemoHouse implements SmartInitializingSingleton {

    /** The demo's sign-in, printed by the launcher and in the README. */
    private static final String EMAIL = "okka@quillmere.example";

    private static final String PASSWORD = "clay and water";

    /** How long lies between two bookings of the demo. */
    private static final Duration BOOKED_EVERY = Duration.ofMinutes(157);

    /** So many bookings are taken in in one transaction. */
    private static final int TOGETHER = 500;

    private final Settings settings;
    private final DataFolder data;
    private final CatalogueService catalogues;
    private final HostService hosts;
    private final OrderIntake intake;
    private final DemoPast past;
    private final TransactionTemplate transaction;
    private final Clock clock;

    DemoHouse(
            Settings settings,
            DataFolder data,
            CatalogueService catalogues,
            HostService hosts,
            OrderIntake intake,
            DemoPast past,
            TransactionTemplate transaction,
            Clock clock) {
        this.settings = settings;
        this.data = data;
        this.catalogues = catalogues;
        this.hosts = hosts;
        this.intake = intake;
        this.past = past;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Before the first page is served, so that nobody meets an empty house. */
    @Override
    public void afterSingletonsInstantiated() {
        if (settings.demoFolder().isPresent() && catalogues.find().isEmpty()) {
            try {
                fill(settings.demoFolder().get());
            } catch (IOException e) {
                throw new UncheckedIOException("the demo house cannot be read", e);
            }
        }
    }

    private void fill(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder.resolve("pictures"))) {
            for (Path file : files.toList()) {
                data.takeIn(file);
            }
        }
        JsonNode written = HouseFile.parse(Files.readString(folder.resolve("quillmere.house.json")));
        LocalDate monday = LocalDate.parse(written.at("/house/extra/monday").stringValue());
        HouseZone zone = HouseZone.of(written.at("/house/zone").stringValue());
        JsonNode json = new MovedDates(zone, weeksSince(monday, zone)).of(written);
        HouseFile file = HouseFile.read(json);
        catalogues.open(json);
        hosts.add(EMAIL, "Okka Brandt", PASSWORD, Role.OWNER, Locale.ENGLISH);
        List<Booking> bookings = file.bookings().stream()
                .sorted(Comparator.comparingLong(Booking::start))
                .toList();
        Instant placed = clock.instant().minus(BOOKED_EVERY.multipliedBy(bookings.size() + 1L));
        for (int first = 0; first < bookings.size(); first += TOGETHER) {
            List<Booking> some = bookings.subList(first, Math.min(bookings.size(), first + TOGETHER));
            Instant before = placed.plus(BOOKED_EVERY.multipliedBy(first));
            transaction.executeWithoutResult(t -> take(some, before, json));
        }
        file.busy().forEach(intake::take);
        List<Contact> guests = bookings.stream()
                .map(b -> contact(json.at("/house/extra/guests").path(b.id().value())))
                .toList();
        past.take(bookings, guests, settings.demoWeeks(), zone, clock.instant());
    }

    private void take(List<Booking> bookings, Instant before, JsonNode json) {
        Instant placed = before;
        for (Booking booking : bookings) {
            placed = placed.plus(BOOKED_EVERY);
            boolean asks = booking.status() == BookingStatus.REQUESTED;
            Instant when = asks ? clock.instant().minus(BOOKED_EVERY) : placed;
            intake.take(
                    booking,
                    contact(json.at("/house/extra/guests").path(booking.id().value())),
                    when);
        }
    }

    private long weeksSince(LocalDate monday, HouseZone zone) {
        Instant now = clock.instant();
        LocalDate thisMonday = zone.dateOf(now).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return ChronoUnit.WEEKS.between(monday, thisMonday);
    }

    private static Contact contact(JsonNode guest) {
        return Contact.of(
                guest.get("name").stringValue(),
                guest.get("email").stringValue(),
                guest.get("phone").stringValue());
    }
}
