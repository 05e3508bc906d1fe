package gastfreund.app.arrivals;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.orders.Contact;
import gastfreund.app.typed.GivenTable;
import gastfreund.app.typed.MailAddress;
import gastfreund.app.typed.Written;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads rows as far as they can be understood without asking what is booked. */
final class RowReader {

    private static final Pattern BETWEEN = Pattern.compile("[T ]++");
    private static final Pattern WHOLE = Pattern.compile("\\d{1,4}+");
    private static final Pattern HOURS = Pattern.compile("(\\d{1,2}+)[:.h](\\d{2})(?::\\d{2})?+");
    private static final int MINUTES = 60;

    private final Catalogue catalogue;
    private final List<Column> columns;
    private final List<DateTimeFormatter> dates;

    RowReader(Catalogue catalogue, Arrival arrival) {
        this.catalogue = catalogue;
        this.columns = arrival.columns();
        String slashes = arrival.monthFirst() ? "M/d/" : "d/M/";
        this.dates = Stream.of("uuuu-MM-dd", "d.M.uuuu", "d.M.uu", slashes + "uuuu", slashes + "uu", "uuuu/M/d")
                .map(DateTimeFormatter::ofPattern)
                .toList();
    }

    Row row(int number, List<String> cells) {
        List<Row.Wrong> wrong = new ArrayList<>();
        Contact contact = contact(cells, wrong);
        boolean booking = !said(cells, Column.OFFER).isEmpty()
                || !said(cells, Column.START).isEmpty();
        Row.Wish wish = booking ? wish(cells, wrong) : null;
        return new Row(number, contact, wish, List.copyOf(wrong));
    }

    private String said(List<String> cells, Column column) {
        StringBuilder said = new StringBuilder();
        for (int i = 0; i < Math.min(cells.size(), columns.size()); i++) {
            if (columns.get(i) == column && !cells.get(i).isBlank()) {
                said.append(said.isEmpty() ? "" : " ").append(cells.get(i).strip());
            }
        }
        return said.toString();
    }

    private Contact contact(List<String> cells, List<Row.Wrong> wrong) {
        String name = Written.line(said(cells, Column.NAME), 120);
        String email = Written.line(said(cells, Column.EMAIL), 254);
        if (name.isEmpty()) {
            wrong.add(new Row.Wrong("noName", ""));
        }
        if (!email.isEmpty() && !MailAddress.isOne(email)) {
            wrong.add(new Row.Wrong("email", email));
        }
        return new Contact(
                        name,
                        email,
                        Written.line(said(cells, Column.PHONE), 60),
                        Written.line(said(cells, Column.COMPANY), 160),
                        "",
                        Written.text(said(cells, Column.NOTES), 2000),
                        false)
                .trimmed();
    }

    private Row.@Nullable Wish wish(List<String> cells, List<Row.Wrong> wrong) {
        Optional<Offer> offer = offer(said(cells, Column.OFFER), wrong);
        Optional<LocalDateTime> start = moment(said(cells, Column.START), said(cells, Column.TIME));
        if (start.isEmpty()) {
            wrong.add(new Row.Wrong("start", (said(cells, Column.START) + " " + said(cells, Column.TIME)).strip()));
        }
        if (offer.isEmpty() || start.isEmpty()) {
            return null;
        }
        long minute = catalogue.zone().minuteOf(start.get());
        if (catalogue.zone().skips(start.get())) {
            wrong.add(new Row.Wrong("start", said(cells, Column.START)));
        }
        Optional<Sized> size = size(offer.get(), cells, start.get(), wrong);
        Money paid = money(said(cells, Column.PAID), wrong).orElse(Money.ZERO);
        Optional<Money> price = money(said(cells, Column.PRICE), wrong);
        int party = party(offer.get(), said(cells, Column.PARTY), wrong);
        Optional<StaffId> staff = staff(offer.get(), said(cells, Column.STAFF), wrong);
        Optional<PlaceId> place = place(offer.get(), said(cells, Column.PLACE), wrong);
        return size.map(s -> new Row.Wish(
                        offer.get(),
                        s.length(),
                        s.units(),
                        minute,
                        party,
                        staff.orElse(null),
                        place.orElse(null),
                        price.orElse(null),
                        paid))
                .orElse(null);
    }

    private Optional<Offer> offer(String said, List<Row.Wrong> wrong) {
        Optional<Offer> offer = catalogue.house().offers().stream()
                .filter(o -> o.id().value().equals(said) || o.title().equalsIgnoreCase(said))
                .findFirst();
        if (offer.isEmpty()) {
            wrong.add(new Row.Wrong(said.isEmpty() ? "noOffer" : "offer", said));
        }
        return offer;
    }

    /** A moment on the house's clock; a time of its own column goes before one beside the date. */
    private Optional<LocalDateTime> moment(String said, String time) {
        try {
            OffsetDateTime whole = OffsetDateTime.parse(said.replace(' ', 'T'));
            return Optional.of(catalogue
                    .zone()
                    .localOf(whole.withOffsetSameInstant(ZoneOffset.UTC).toEpochSecond() / MINUTES));
        } catch (DateTimeException e) {
            // It says no offset: the house's own clock is meant.
        }
        String[] parts = BETWEEN.split(said, 2);
        Optional<LocalTime> at = time(time.isEmpty() ? parts.length > 1 ? parts[1] : "" : time);
        return date(parts[0]).flatMap(d -> at.map(d::atTime));
    }

    private Optional<LocalDate> date(String text) {
        for (DateTimeFormatter format : dates) {
            try {
                return Optional.of(LocalDate.parse(text, format)).filter(d -> d.getYear() > 1900 && d.getYear() < 2200);
            } catch (DateTimeException e) {
                // The next one may fit.
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalTime> time(String text) {
        Matcher found = HOURS.matcher(text.strip());
        if (!found.lookingAt()) {
            return Optional.empty();
        }
        String rest = text.strip().substring(found.end()).strip().toLowerCase(Locale.ROOT);
        int hour = Integer.parseInt(found.group(1));
        int late = rest.startsWith("pm") && hour < 12 ? 12 : rest.startsWith("am") && hour == 12 ? -12 : 0;
        try {
            return Optional.of(LocalTime.of(hour + late, Integer.parseInt(found.group(2))));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private record Sized(Length length, int units) {}

    private Optional<Sized> size(Offer offer, List<String> cells, LocalDateTime start, List<Row.Wrong> wrong) {
        String said = said(cells, Column.LENGTH);
        Optional<LocalTime> end = time(said(cells, Column.END))
                .or(() -> moment(said(cells, Column.END), "").map(LocalDateTime::toLocalTime));
        if (said.isEmpty() && end.isEmpty()) {
            Length first = offer.lengths().get(0);
            return Optional.of(new Sized(first, first.minUnits()));
        }
        long minutes = said.isEmpty()
                ? Math.floorMod(
                        end.orElseThrow().toSecondOfDay() / MINUTES
                                - start.toLocalTime().toSecondOfDay() / MINUTES,
                        24 * MINUTES)
                : minutes(said);
        Optional<Sized> size = offer.lengths().stream()
                .flatMap(l -> Stream.iterate(l.minUnits(), u -> u <= l.maxUnits(), u -> u + 1)
                        .map(u -> new Sized(l, u)))
                .filter(s -> s.length().id().value().equals(said)
                        || s.length().minutes().count() * s.units() == minutes)
                .findFirst();
        if (size.isEmpty()) {
            wrong.add(new Row.Wrong("length", said.isEmpty() ? Long.toString(minutes) : said));
        }
        return size;
    }

    /** Minutes, or hours and minutes with something between them; -1: neither. */
    private static long minutes(String said) {
        Matcher hours = HOURS.matcher(said);
        if (hours.matches()) {
            return Long.parseLong(hours.group(1)) * MINUTES + Long.parseLong(hours.group(2));
        }
        Matcher whole = WHOLE.matcher(said);
        return whole.lookingAt() ? Long.parseLong(whole.group()) : -1;
    }

    private static int party(Offer offer, String said, List<Row.Wrong> wrong) {
        if (said.isEmpty()) {
            return offer.party().min();
        }
        Matcher whole = WHOLE.matcher(said);
        int party = whole.lookingAt() ? Integer.parseInt(whole.group()) : 0;
        if (!offer.party().allows(party)) {
            wrong.add(new Row.Wrong("party", said));
            return offer.party().min();
        }
        return party;
    }

    private Optional<Money> money(String said, List<Row.Wrong> wrong) {
        if (said.isEmpty()) {
            return Optional.empty();
        }
        int digits = Math.max(0, catalogue.house().currency().getDefaultFractionDigits());
        Optional<Money> money = GivenTable.amount(said, digits).filter(m -> m.minor() >= 0);
        if (money.isEmpty()) {
            wrong.add(new Row.Wrong("money", said));
        }
        return money;
    }

    private Optional<StaffId> staff(Offer offer, String said, List<Row.Wrong> wrong) {
        House house = catalogue.house();
        Optional<StaffId> staff = offer.serving().of().stream()
                .filter(id -> is(house.staff(id), said))
                .findFirst();
        if (!said.isEmpty() && staff.isEmpty()) {
            wrong.add(new Row.Wrong("staff", said));
        }
        return staff;
    }

    private static boolean is(Staff staff, String said) {
        return staff.id().value().equals(said) || staff.name().equalsIgnoreCase(said);
    }

    private Optional<PlaceId> place(Offer offer, String said, List<Row.Wrong> wrong) {
        House house = catalogue.house();
        if (said.isEmpty()) {
            return offer.places().stream().findFirst();
        }
        Optional<PlaceId> place =
                offer.places().stream().filter(id -> is(house.place(id), said)).findFirst();
        if (place.isEmpty()) {
            wrong.add(new Row.Wrong("place", said));
        }
        return place;
    }

    private static boolean is(Place place, String said) {
        return place.id().value().equals(said) || place.name().equalsIgnoreCase(said);
    }
}
