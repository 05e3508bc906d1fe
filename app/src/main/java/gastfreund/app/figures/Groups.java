package gastfreund.app.figures;

import gastfreund.app.figures.FigureStore.AddOns;
import gastfreund.app.figures.FigureStore.Code;
import gastfreund.app.figures.FigureStore.Lengths;
import gastfreund.app.figures.FiguresPage.Group;
import gastfreund.app.figures.FiguresPage.Item;
import gastfreund.app.figures.Report.Booked;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.TermsInWords;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Smaller figures, each group an answer to a question. */
final class Groups {

    /** So many of the most frequent are shown. */
    private static final int MOST = 8;

    private final Report report;
    private final Booked now;
    private final Booked earlier;
    private final FigureFilter filter;
    private final House house;
    private final Formats f;

    Groups(Report report, FigureFilter filter, House house, Formats f) {
        this.report = report;
        this.now = report.booked();
        this.earlier = report.bookedBefore();
        this.filter = filter;
        this.house = house;
        this.f = f;
    }

    List<Group> all() {
        return List.of(lead(), parties(), lengths(), addOns(), fallen(), again(), codes(), prepaid());
    }

    private Group group(String name, List<Item> items) {
        String key = "figures.group." + name;
        return new Group(f.text(key), f.text(key + ".help"), f.text(key + ".none"), items);
    }

    private Item item(String words, int count, int of, int before, String address) {
        return new Item(
                words,
                Integer.toString(count),
                Math.round(100f * count / Math.max(1, of)),
                filter.beside() ? f.text("figures.countBefore", before) : "",
                count == 0 ? "" : address);
    }

    private String address(Slice.Kind kind, String value) {
        return FiguresPages.address(filter, kind, value);
    }

    private Group lead() {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < now.lead().length && now.stood() > 0; i++) {
            items.add(item(
                    f.text("figures.lead." + i),
                    now.lead()[i],
                    now.stood(),
                    earlier.lead()[i],
                    address(Slice.Kind.LEAD, Integer.toString(i))));
        }
        return group("lead", items);
    }

    private Group parties() {
        List<Item> items = new ArrayList<>();
        now.parties()
                .forEach((party, n) -> items.add(item(
                        f.text("figures.party.of", party),
                        n,
                        now.stood(),
                        earlier.parties().getOrDefault(party, 0),
                        address(Slice.Kind.PARTY, Integer.toString(party)))));
        return group("party", items);
    }

    private Group lengths() {
        List<Item> items = new ArrayList<>();
        for (Lengths one : now.lengths().stream().limit(MOST).toList()) {
            Optional<Offer> offer = house.offer(one.offer());
            String length = offer.flatMap(o -> o.length(new LengthId(one.length())))
                    .map(l -> f.duration(l.minutes()))
                    .orElse(one.length());
            items.add(item(
                    offer.map(Offer::title).orElse(one.offer().value()) + ", " + length,
                    one.bookings(),
                    now.stood(),
                    earlier.lengths().stream()
                            .filter(l ->
                                    l.offer().equals(one.offer()) && l.length().equals(one.length()))
                            .mapToInt(Lengths::bookings)
                            .sum(),
                    address(Slice.Kind.LENGTH, one.offer().value() + "/" + one.length())));
        }
        return group("length", items);
    }

    /** How many bookings have each add-on, by offer and add-on. */
    private static Map<String, Integer> addOns(Booked booked) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (AddOns one : booked.addOns()) {
            one.quantities().forEach((id, n) -> {
                if (n > 0) {
                    counts.merge(one.offer().value() + "/" + id.value(), one.bookings(), Integer::sum);
                }
            });
        }
        return counts;
    }

    private Group addOns() {
        Map<String, Integer> before = addOns(earlier);
        return group(
                "addOns",
                addOns(now).entrySet().stream()
                        .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                                .thenComparing(Map.Entry.comparingByKey()))
                        .limit(MOST)
                        .map(e -> item(
                                addOn(e.getKey()),
                                e.getValue(),
                                now.stood(),
                                before.getOrDefault(e.getKey(), 0),
                                address(Slice.Kind.ADD_ON, e.getKey())))
                        .toList());
    }

    private String addOn(String key) {
        String[] ids = key.split("/", 2);
        return house.offers().stream()
                .filter(o -> o.id().value().equals(ids[0]))
                .flatMap(o -> o.addOns().stream()
                        .filter(a -> a.id().value().equals(ids[1]))
                        .map(a -> o.title() + ": " + a.title()))
                .findFirst()
                .orElse(ids[1]);
    }

    private Group fallen() {
        int whole = now.stood() + now.of(BookingStatus.CANCELLED);
        List<Item> items = new ArrayList<>();
        for (Report.Tier tier : now.tiers()) {
            String terms = tier.tier().map(t -> TermsInWords.sentence(t, f)).orElseGet(() -> f.text("figures.noTier"));
            items.add(item(
                    f.text("figures.cancelled", terms),
                    tier.bookings().size(),
                    whole,
                    earlier.tiers().stream()
                            .filter(t -> t.tier().equals(tier.tier()))
                            .mapToInt(t -> t.bookings().size())
                            .sum(),
                    address(Slice.Kind.TIER, Slice.tier(tier.tier()))));
        }
        if (whole > 0) {
            items.add(item(
                    f.text("figures.byHouse"),
                    now.byHouse().size(),
                    whole,
                    earlier.byHouse().size(),
                    address(Slice.Kind.TIER, Slice.BY_HOUSE)));
            items.add(item(
                    f.text("figures.noShow"),
                    now.of(BookingStatus.NO_SHOW),
                    whole,
                    earlier.of(BookingStatus.NO_SHOW),
                    address(Slice.Kind.STATUS, BookingStatus.NO_SHOW.code())));
        }
        return group("fallen", items);
    }

    private Group again() {
        List<Item> items = new ArrayList<>();
        if (now.again().guests() > 0) {
            items.add(item(
                    f.text("figures.again.of", now.again().guests()),
                    now.again().again(),
                    now.again().guests(),
                    earlier.again().again(),
                    address(Slice.Kind.AGAIN, "yes")));
        }
        return group("again", items);
    }

    private Group codes() {
        List<Item> items = new ArrayList<>();
        for (Code code : now.codes().stream().limit(MOST).toList()) {
            items.add(item(
                    f.text("figures.codes.of", code.code(), f.money(code.discount())),
                    code.bookings(),
                    now.stood(),
                    earlier.codes().stream()
                            .filter(c -> c.code().equals(code.code()))
                            .mapToInt(Code::bookings)
                            .sum(),
                    address(Slice.Kind.CODE, code.code())));
        }
        return group("codes", items);
    }

    private Group prepaid() {
        List<Item> items = new ArrayList<>();
        if (report.vouchers().count() > 0) {
            Money rest = Money.ofMinor(report.vouchers().rest());
            items.add(outstanding(
                    f.text("figures.prepaid.vouchers", f.money(rest)),
                    report.vouchers().count()));
        }
        if (report.passes().count() > 0) {
            items.add(outstanding(
                    f.text("figures.prepaid.passes", report.passes().rest()),
                    report.passes().count()));
        }
        return group("prepaid", items);
    }

    private static Item outstanding(String words, int count) {
        return new Item(words, Integer.toString(count), 0, "", FiguresPages.PREPAID);
    }
}
