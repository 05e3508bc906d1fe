package gastfreund.app.lists;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.core.offers.House;
import java.util.List;
import java.util.stream.Stream;

/** The fields of which lists have the same. */
final class Filters {

    private Filters() {}

    /** One of some, or any. */
    static Field select(String name, String label, Stream<Field.Option> options, String value, Formats f) {
        return Field.select(
                        name,
                        label,
                        Stream.concat(Stream.of(Field.Option.of("", f.text("lists.any"))), options)
                                .toList())
                .value(value);
    }

    /** What is booked, with whom, and where. */
    static List<Field> house(House house, String offer, String person, String place, Formats f) {
        return List.of(
                select(
                        "offer",
                        f.text("lists.offer"),
                        house.offers().stream().map(o -> Field.Option.of(o.id().value(), o.title())),
                        offer,
                        f),
                select(
                        "person",
                        f.text("lists.person"),
                        house.staff().stream().map(s -> Field.Option.of(s.id().value(), s.name())),
                        person,
                        f),
                select(
                        "place",
                        f.text("lists.place"),
                        house.places().stream().map(p -> Field.Option.of(p.id().value(), p.name())),
                        place,
                        f));
    }

    static Field money(String value, Formats f) {
        return select(
                "money",
                f.text("lists.money"),
                BookingFilter.MONEY.stream().map(m -> Field.Option.of(m, f.text("lists.money." + m))),
                value,
                f);
    }

    static Field source(String value, Formats f) {
        return Field.line("source", f.text("lists.source"), 60).value(value).with("autocomplete", "off");
    }
}
