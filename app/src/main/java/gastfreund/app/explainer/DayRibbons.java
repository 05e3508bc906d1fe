package gastfreund.app.explainer;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.explainer.ExplainerPage.Piece;
import gastfreund.app.explainer.ExplainerPage.Ribbon;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.ReasonWords;
import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Layer;
import gastfreund.core.sessions.Levels;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/** The layers of a day as ribbons, one under the other: hours, who and what is taken, and the rules. */
@Component
class DayRibbons {

    static final int TOP = 46;
    static final int STEP = 46;

    private final CatalogueService catalogues;
    private final Clock clock;

    DayRibbons(CatalogueService catalogues, Clock clock) {
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /** All of them, in the order in which they are judged. */
    List<Ribbon> of(
            Asked asked, List<Layer> layers, List<StaffId> serving, Days days, Booked all, Scale scale, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = asked.choice().offer();
        ReasonWords words = new ReasonWords(catalogue, f);
        Instant now = clock.instant();
        List<Booking> live = all.bookings().stream().filter(b -> b.isLive(now)).toList();
        Sessions gathered =
                Sessions.of(catalogue.house(), live, Interval.between(days.start(0), days.start(days.count() - 1)));
        List<Session> sessions = new ArrayList<>(gathered.apart());
        sessions.addAll(gathered.shared().values());
        List<Ribbon> ribbons = new ArrayList<>();
        for (Layer layer : layers) {
            IntervalSet open = layer.hours().openTime(days, offer.id(), asked.audience());
            String key = layer.kind() == Layer.Kind.STAFF ? "explain.works" : "explain.isOpen";
            ribbons.add(ribbon(ribbons, f.text(key, words.owner(layer, offer)), "", ground(open, scale)));
        }
        for (StaffId person : serving) {
            String name = catalogue.house().staff(person).name();
            List<Piece> pieces = new ArrayList<>(ground(whole(scale), scale));
            pieces.addAll(taken(person, sessions, all, scale, words, f));
            ribbons.add(ribbon(ribbons, f.text("explain.taken", name), f.text("explain.takenSub"), pieces));
        }
        for (Needs need : Needs.of(offer)) {
            if (need.resource() != null) {
                ribbons.add(level(ribbons, need, asked, sessions, scale, f));
            }
        }
        rules(asked, serving, sessions, scale, ribbons, f);
        return ribbons;
    }

    private static Ribbon ribbon(List<Ribbon> above, String title, String sub, List<Piece> pieces) {
        return new Ribbon(TOP + above.size() * STEP, title, sub, List.copyOf(pieces));
    }

    private static IntervalSet whole(Scale scale) {
        return IntervalSet.of(Interval.between(scale.start(), scale.end()));
    }

    /** What is open on light ground, what is not on grey. */
    private static List<Piece> ground(IntervalSet open, Scale scale) {
        List<Piece> pieces = new ArrayList<>();
        whole(scale)
                .without(open)
                .intervals()
                .forEach(i -> pieces.add(piece(i.start(), i.end(), "shut", "", "", scale)));
        open.within(Interval.between(scale.start(), scale.end()))
                .intervals()
                .forEach(i -> pieces.add(piece(i.start(), i.end(), "open", "", "", scale)));
        return pieces;
    }

    private static Piece piece(long from, long to, String look, String words, String address, Scale scale) {
        return new Piece(scale.x(from), Math.max(2, scale.width(from, to)), look, words, address);
    }

    private List<Piece> taken(
            StaffId person, List<Session> sessions, Booked all, Scale scale, ReasonWords words, Formats f) {
        List<Piece> pieces = new ArrayList<>();
        for (Session session : sessions) {
            Interval taken = session.taken();
            if (session.staff().contains(person) && taken.start() < scale.end() && taken.end() > scale.start()) {
                String title = catalogues.catalogue().offer(session.offer()).title();
                String address = session.bookings().isEmpty()
                        ? ""
                        : words.address(session.bookings().get(0));
                pieces.add(piece(taken.start(), taken.end(), "taken", title, address, scale));
            }
        }
        for (Busy busy : all.busyTouching(Interval.between(scale.start(), scale.end()))) {
            if (busy.staff().equals(person)) {
                pieces.add(piece(
                        busy.interval().start(),
                        busy.interval().end(),
                        "outside",
                        f.text("explain.elsewhere"),
                        "",
                        scale));
            }
        }
        return pieces;
    }

    /** Where too few units of a thing are free. */
    private Ribbon level(List<Ribbon> above, Needs need, Asked asked, List<Session> sessions, Scale scale, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        var resource = catalogue.house().resource(Objects.requireNonNull(need.resource()));
        int needed = need.of(asked.choice().party(), false);
        Levels.Builder builder = new Levels.Builder();
        TreeSet<Long> moments = new TreeSet<>(Set.of(scale.start(), scale.end()));
        for (Session session : sessions) {
            int units = Needs.of(catalogue.offer(session.offer())).stream()
                    .filter(n -> need.resource().equals(n.resource()))
                    .mapToInt(n -> n.of(session))
                    .sum();
            if (units > 0) {
                builder.take(session.taken().start(), session.taken().end(), units);
                moments.add(Math.max(
                        scale.start(), Math.min(scale.end(), session.taken().start())));
                moments.add(Math.max(
                        scale.start(), Math.min(scale.end(), session.taken().end())));
            }
        }
        Levels levels = builder.build();
        List<Piece> pieces = new ArrayList<>(ground(whole(scale), scale));
        Long from = null;
        for (Long to : moments) {
            if (from != null && from < to) {
                int taken = levels.most(from, to);
                if (resource.units() - taken < needed) {
                    pieces.add(piece(from, to, "taken", f.text("explain.level", taken, resource.units()), "", scale));
                }
            }
            from = to;
        }
        return ribbon(
                above,
                f.text("explain.free", needed, resource.name()),
                f.text("explain.freeSub", resource.units()),
                pieces);
    }

    /** Notice, horizon, season and limits, in the order in which they are judged. */
    private void rules(
            Asked asked, List<StaffId> serving, List<Session> sessions, Scale scale, List<Ribbon> ribbons, Formats f) {
        Offer offer = asked.choice().offer();
        Instant now = clock.instant();
        if (asked.audience() == Audience.GUEST && offer.bounds().notice().count() > 0) {
            long earliest = now.getEpochSecond() / 60 + offer.bounds().notice().count();
            IntervalSet open = earliest >= scale.end()
                    ? IntervalSet.empty()
                    : IntervalSet.of(Interval.between(Math.max(scale.start(), earliest), scale.end()));
            ribbons.add(ribbon(
                    ribbons,
                    f.text("explain.notice", f.duration(offer.bounds().notice())),
                    f.text("explain.noticeSub", f.moment(Instant.ofEpochSecond(earliest * 60))),
                    ground(open, scale)));
        }
        Bounds bounds = offer.bounds();
        if (asked.audience() == Audience.GUEST && bounds.horizonDays().isPresent()) {
            LocalDate last = catalogues
                    .catalogue()
                    .zone()
                    .dateOf(now)
                    .plusDays(bounds.horizonDays().getAsInt());
            ribbons.add(ribbon(
                    ribbons,
                    f.text("explain.horizon", bounds.horizonDays().getAsInt()),
                    f.text("explain.horizonSub", f.shortDay(last)),
                    whether(!asked.day().isAfter(last), scale)));
        }
        if (bounds.seasonFrom() != null || bounds.seasonTo() != null) {
            boolean inside = (bounds.seasonFrom() == null || !asked.day().isBefore(bounds.seasonFrom()))
                    && (bounds.seasonTo() == null || !asked.day().isAfter(bounds.seasonTo()));
            String from = bounds.seasonFrom() == null ? "…" : f.dayAndMonth(bounds.seasonFrom());
            String to = bounds.seasonTo() == null ? "…" : f.dayAndMonth(bounds.seasonTo());
            ribbons.add(ribbon(ribbons, f.text("explain.season"), from + " – " + to, whether(inside, scale)));
        }
        limits(asked, serving, sessions, scale, ribbons, f);
    }

    private static List<Piece> whether(boolean open, Scale scale) {
        return ground(open ? whole(scale) : IntervalSet.empty(), scale);
    }

    private void limits(
            Asked asked, List<StaffId> serving, List<Session> sessions, Scale scale, List<Ribbon> ribbons, Formats f) {
        House house = catalogues.catalogue().house();
        Offer offer = asked.choice().offer();
        List<Session> thatDay = sessions.stream()
                .filter(s -> house.zone().dateOf(s.guests().start()).equals(asked.day()))
                .filter(s -> !s.bookings().isEmpty())
                .toList();
        if (offer.bounds().perDay().isPresent()) {
            int most = offer.bounds().perDay().getAsInt();
            long count =
                    thatDay.stream().filter(s -> s.offer().equals(offer.id())).count();
            ribbons.add(ribbon(
                    ribbons,
                    f.text("explain.perDay", most),
                    f.text("explain.soFar", count),
                    whether(count < most, scale)));
        }
        for (StaffId person : serving) {
            if (house.staff(person).maxPerDay().isPresent()) {
                int most = house.staff(person).maxPerDay().getAsInt();
                long count =
                        thatDay.stream().filter(s -> s.staff().contains(person)).count();
                ribbons.add(ribbon(
                        ribbons,
                        f.text("explain.personPerDay", house.staff(person).name(), most),
                        f.text("explain.soFar", count),
                        whether(count < most, scale)));
            }
        }
    }
}
