package gastfreund.app.agenda;

import gastfreund.app.agenda.Sought.View;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.PartOfDay;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The fields in which a guest says what they look for in the agenda; each only where there is something to choose. */
final class AgendaFilters {

    /** In how many steps a guest can say what it may cost. */
    private static final List<Integer> STEPS = List.of(1, 2, 3, 4, 6, 8);

    private static final int MOST_PRICES = 8;

    private AgendaFilters() {}

    /** What the form says beside the fields. */
    static List<Field> hidden(View view, Links links) {
        List<Field> hidden = new ArrayList<>();
        if (links.basket() != null) {
            hidden.add(Field.hidden("basket", links.basket()));
        } else if (!links.source().isEmpty()) {
            hidden.add(Field.hidden("from", links.source()));
        }
        if (view != View.DAY) {
            hidden.add(Field.hidden("view", view.word()));
        }
        return hidden;
    }

    /** How many come first, the date last. */
    static List<Field> fields(Catalogue catalogue, Sought sought, LocalDate day, Formats f) {
        House house = catalogue.house();
        List<Field> filters = new ArrayList<>();
        filters.add(Field.select(
                        "party",
                        f.text("offer.who"),
                        IntStream.rangeClosed(1, Sought.MOST_PARTY)
                                .mapToObj(p -> Field.Option.of(Integer.toString(p), f.text("agenda.people", p)))
                                .toList())
                .value(Integer.toString(sought.party())));
        addTo(
                filters,
                "category",
                f.text("agenda.what"),
                f.text("agenda.everything"),
                Sought.categories(catalogue).stream()
                        .map(c -> Field.Option.of(c, c))
                        .toList(),
                sought.category());
        addTo(
                filters,
                "staff",
                f.text("agenda.withWhom"),
                f.text("agenda.anyone"),
                Sought.people(catalogue).stream()
                        .map(p -> Field.Option.of(p.value(), house.staff(p).name()))
                        .toList(),
                sought.person() == null ? "" : sought.person().value());
        addTo(
                filters,
                "place",
                f.text("offer.where"),
                f.text("agenda.anywhere"),
                Sought.places(catalogue).stream()
                        .map(p -> Field.Option.of(p.value(), house.place(p).name()))
                        .toList(),
                sought.place() == null ? "" : sought.place().value());
        filters.add(Field.select(
                        "part",
                        f.text("agenda.part"),
                        Stream.concat(
                                        Stream.of(Field.Option.of("", f.text("agenda.anyTime"))),
                                        Arrays.stream(PartOfDay.values())
                                                .map(p -> Field.Option.of(p.word(), f.text("part." + p.word()))))
                                .toList())
                .value(sought.part() == null ? "" : sought.part().word()));
        addTo(
                filters,
                "most",
                f.text("agenda.price"),
                f.text("agenda.anyPrice"),
                prices(catalogue, sought).stream()
                        .map(p -> Field.Option.of(
                                Integer.toString(p),
                                f.text("agenda.upTo", f.shortMoney(Sought.amount(p, house.currency())))))
                        .toList(),
                sought.most() == 0 ? "" : Integer.toString(sought.most()));
        filters.add(Field.date("day", f.text("agenda.day")).value(day.toString()));
        return filters;
    }

    /** A filter, where there is something to choose. */
    private static void addTo(
            List<Field> filters, String name, String label, String any, List<Field.Option> options, String chosen) {
        if (options.size() > 1 || !chosen.isEmpty()) {
            filters.add(Field.select(
                            name,
                            label,
                            Stream.concat(Stream.of(Field.Option.of("", any)), options.stream())
                                    .toList())
                    .value(chosen));
        }
    }

    /** Round amounts between the lowest price of the house and the highest, in whole units of its currency. */
    private static List<Integer> prices(Catalogue catalogue, Sought sought) {
        List<Money> all = catalogue.listed().stream()
                .filter(o -> !catalogue.isAgreed(o.id()))
                .flatMap(o -> o.lengths().stream().map(l -> {
                    Money from = catalogue.house().fromPrice(o, l);
                    return o.basis() == Offer.Basis.PERSON ? from.times(sought.party()) : from;
                }))
                .filter(m -> m.compareTo(Money.ZERO) > 0)
                .sorted()
                .toList();
        List<Integer> prices = new ArrayList<>();
        if (!all.isEmpty()) {
            for (int ten = 1; ten <= 100_000; ten *= 10) {
                for (int step : STEPS) {
                    Money amount = Sought.amount(step * ten, catalogue.house().currency());
                    if (amount.compareTo(all.get(0)) >= 0 && amount.compareTo(all.get(all.size() - 1)) < 0) {
                        prices.add(step * ten);
                    }
                }
            }
        }
        List<Integer> shown = new ArrayList<>(prices.subList(0, Math.min(MOST_PRICES, prices.size())));
        if (sought.most() > 0 && !shown.contains(sought.most())) {
            shown.add(sought.most());
            Collections.sort(shown);
        }
        return shown;
    }
}
