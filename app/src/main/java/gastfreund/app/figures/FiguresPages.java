package gastfreund.app.figures;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.figures.FiguresPage.Flow;
import gastfreund.app.figures.FiguresPage.Item;
import gastfreund.app.figures.FiguresPage.Link;
import gastfreund.app.figures.FiguresPage.Shares;
import gastfreund.app.figures.FiguresPage.Step;
import gastfreund.app.figures.Report.Sold;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Tab;
import gastfreund.app.sources.Came;
import gastfreund.core.figures.Track;
import gastfreund.core.figures.Track.Kind;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Puts the page of figures together. */
@Component
class FiguresPages {

    static final String OWN = "/desk/figures";
    static final String ROWS = OWN + "/rows";
    static final String PREPAID = OWN + "/prepaid.csv";

    private static final int MOST_SOURCES = 8;
    private static final double WIDEST = 58;
    private static final double NARROWEST = 10;

    private final CatalogueService catalogues;

    FiguresPages(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    FiguresPage of(
            Report report, List<Unmet.Asked> sought, Optional<Unmet.WhatIf> whatIf, FigureFilter filter, Formats f) {
        House house = catalogues.catalogue().house();
        return new FiguresPage(
                FigureFilter.WEEKS.stream()
                        .map(n -> new Tab(
                                f.text("figures.weeks", n), filter.withWeeks(n).address(OWN), n == filter.weeks()))
                        .toList(),
                new Tab(
                        f.text("figures.beside", filter.weeks()),
                        filter.withBeside(!filter.beside()).address(OWN),
                        filter.beside()),
                filters(filter, house, f),
                hidden(filter),
                List.of(
                        new Link(f.text("figures.csv"), filter.address(OWN + ".csv")),
                        new Link(f.text("figures.adviser"), OWN + "/month")),
                MoneyByWeek.of(report, filter, house, f),
                HeatMap.of(report.time(), filter, f),
                shares(report, filter, house, f),
                flow(report.sources(), f),
                sought.stream().map(s -> sought(s, house, f)).toList(),
                whatIf.map(w -> drafts(w, f)).orElse(null),
                new Groups(report, filter, house, f).all());
    }

    private static List<Field> filters(FigureFilter filter, House house, Formats f) {
        return List.of(
                select(
                        "offer",
                        f.text("figures.offer"),
                        f.text("figures.allOffers"),
                        house.offers().stream().map(o -> Field.Option.of(o.id().value(), o.title())),
                        filter.offer()),
                select(
                        "person",
                        f.text("figures.person"),
                        f.text("figures.everybody"),
                        house.staff().stream().map(s -> Field.Option.of(s.id().value(), s.name())),
                        filter.person()));
    }

    private static Field select(String name, String label, String all, Stream<Field.Option> options, String value) {
        return Field.select(
                        name,
                        label,
                        Stream.concat(Stream.of(Field.Option.of("", all)), options)
                                .toList())
                .value(value);
    }

    private static List<Field> hidden(FigureFilter filter) {
        List<Field> hidden = new ArrayList<>();
        hidden.add(Field.hidden("weeks", Integer.toString(filter.weeks())));
        if (!filter.beside()) {
            hidden.add(Field.hidden("beside", "false"));
        }
        return hidden;
    }

    private static List<Shares> shares(Report report, FigureFilter filter, House house, Formats f) {
        return Stream.of(Kind.values())
                .map(kind -> new Shares(
                        f.text("figures.kind." + kind.name().toLowerCase(Locale.ROOT)),
                        report.time().each().stream()
                                .filter(s -> s.kind() == kind)
                                .map(s -> share(s, filter, house, f))
                                .toList()))
                .filter(s -> !s.rows().isEmpty())
                .toList();
    }

    private static Item share(Sold sold, FigureFilter filter, House house, Formats f) {
        Slice.Kind kind = Slice.Kind.valueOf(sold.kind().name());
        return new Item(
                nameOf(sold.kind(), sold.id(), house),
                f.text(
                        "figures.hours",
                        percent(sold.share()),
                        hours(sold.share().sold()),
                        hours(sold.share().could())),
                percent(sold.share()),
                filter.beside() ? f.text("figures.before", percent(sold.before())) : "",
                address(filter, kind, sold.id()));
    }

    /** Where the bookings of a figure are shown. */
    static String address(FigureFilter filter, Slice.Kind kind, String value) {
        return filter.address(ROWS, "of", new Slice(kind, value).code());
    }

    static String nameOf(Kind kind, String id, House house) {
        Stream<String> names =
                switch (kind) {
                    case STAFF -> house.staff().stream()
                            .filter(s -> s.id().value().equals(id))
                            .map(s -> s.name());
                    case RESOURCE -> house.resources().stream()
                            .filter(r -> r.id().value().equals(id))
                            .map(r -> r.name());
                    case OFFER -> house.offers().stream()
                            .filter(o -> o.id().value().equals(id))
                            .map(o -> o.title());
                };
        return names.findFirst().orElse(id);
    }

    /** In hundredths, as a whole number. */
    static int percent(Track.Share share) {
        return (int) Math.round(share.part() * 100);
    }

    /** Minutes as whole hours. */
    static long hours(long minutes) {
        return Math.round(minutes / 60.0);
    }

    private static Flow flow(List<Came> sources, Formats f) {
        int most = sources.stream()
                .flatMapToInt(c -> IntStream.of(c.looked(), c.kept(), c.booked(), c.came()))
                .max()
                .orElse(0);
        return new Flow(
                sources.isEmpty(),
                sources.stream()
                        .limit(MOST_SOURCES)
                        .map(c -> new FiguresPage.Source(
                                c.source().isEmpty() ? f.text("figures.ownPages") : c.source(),
                                c.source().isEmpty() ? "" : "/desk/orders?from=" + c.source(),
                                List.of(
                                        step(c.looked(), most, "looked"),
                                        step(c.kept(), most, "kept"),
                                        step(c.booked(), most, "booked"),
                                        step(c.came(), most, "came"))))
                        .toList());
    }

    private static FiguresPage.Sought sought(Unmet.Asked asked, House house, Formats f) {
        Unmet.Group group = asked.group();
        return new FiguresPage.Sought(
                asked.guests(),
                f.text(
                        "figures.sought.what",
                        f.text("figures.when." + group.when().code()),
                        nameOf(Kind.OFFER, group.offer().value(), house),
                        group.party()),
                f.text("figures.why." + (asked.why().isEmpty() ? "nothing" : asked.why())),
                group.code(),
                asked.given().stream()
                        .map(g -> new FiguresPage.Way(
                                g.change().key(),
                                g.change().words(),
                                f.text(
                                        "figures.gives",
                                        g.result().had(),
                                        f.money(g.result().money()))))
                        .toList());
    }

    private static FiguresPage.Drafts drafts(Unmet.WhatIf whatIf, Formats f) {
        return new FiguresPage.Drafts(f.text(
                "figures.whatIf",
                String.join(", ", whatIf.names()),
                whatIf.with().had(),
                whatIf.with().asked(),
                f.money(whatIf.with().money()),
                whatIf.without().had()));
    }

    private static Step step(int count, int most, String kind) {
        double width = count == 0 ? 0 : NARROWEST + (WIDEST - NARROWEST) * count / most;
        return new Step(count, rounded(width), kind);
    }

    /** A length as it is written into a picture. */
    static double rounded(double length) {
        return Math.round(length * 10) / 10.0;
    }

    /** How much more or less an amount is than before, in words. */
    static String difference(Money now, Money before, Formats f) {
        int compared = now.compareTo(before);
        if (compared == 0) {
            return f.text("figures.asBefore");
        }
        return compared > 0
                ? f.text("figures.more", f.money(now.minus(before)))
                : f.text("figures.less", f.money(before.minus(now)));
    }
}
