package gastfreund.app.figures;

import gastfreund.core.offers.House;
import gastfreund.core.terms.Keep;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.LocalDateTime;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;

/** One figure's part of the bookings, as it is named in an address: {@code week:2026-11-23}, {@code party:2}. */
record Slice(Kind kind, String value) {

    /** By what bookings are told apart. */
    enum Kind {
        /** The Monday of the week in which they begin. */
        WEEK,
        /** The day of the week, Monday is 0, and the hour: {@code 3-14}. */
        HOUR,
        STAFF,
        RESOURCE,
        OFFER,
        /** The place among {@link Figures#LEADS}. */
        LEAD,
        PARTY,
        /** Offer and length. */
        LENGTH,
        /** Offer and add-on. */
        ADD_ON,
        STATUS,
        /** The step of the terms at which they were cancelled. */
        TIER,
        /** {@code yes} of guests who had come before. */
        AGAIN,
        CODE;

        String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** In place of a step of the terms: the house cancelled. */
    static final String BY_HOUSE = "house";

    private static final int MOST = 200;

    /** What an address says; empty where it says nothing that is known. */
    static Optional<Slice> of(String said) {
        int colon = said.indexOf(':');
        if (colon < 0 || said.length() > MOST) {
            return Optional.empty();
        }
        for (Kind kind : Kind.values()) {
            if (kind.code().equals(said.substring(0, colon))) {
                return Optional.of(new Slice(kind, said.substring(colon + 1)));
            }
        }
        return Optional.empty();
    }

    String code() {
        return kind.code() + ":" + value;
    }

    /** A step of terms as it is named in an address. */
    static String tier(Optional<Terms.Tier> tier) {
        return tier.map(t -> t.hoursBefore() + "/" + kept(t.keep())).orElse("none");
    }

    private static String kept(Keep keep) {
        if (keep instanceof Keep.Share share) {
            return share.percent().toString();
        }
        if (keep instanceof Keep.Amount amount) {
            return Long.toString(amount.amount().minor());
        }
        return keep instanceof Keep.Deposit ? "deposit" : "all";
    }

    /** Whether a booking belongs to it; of steps of terms nothing is known here. */
    Predicate<Row> of(House house) {
        HouseZone zone = house.zone();
        return switch (kind) {
            case WEEK -> r ->
                    Span.monday(zone.dateOf(r.time().start())).toString().equals(value);
            case HOUR -> r -> r.stood() && touches(r.time(), zone);
            case STAFF -> r ->
                    r.stood() && r.staff().stream().anyMatch(s -> s.value().equals(value));
            case RESOURCE -> r -> r.stood()
                    && house.offer(r.offer()).stream()
                            .flatMap(o -> o.uses().stream())
                            .anyMatch(u -> u.resource().value().equals(value));
            case OFFER -> r -> r.stood() && r.offer().value().equals(value);
            case LEAD -> r -> r.stood() && Integer.toString(lead(r)).equals(value);
            case PARTY -> r -> r.stood() && Integer.toString(r.party()).equals(value);
            case LENGTH -> r -> r.stood() && (r.offer().value() + "/" + r.length()).equals(value);
            case ADD_ON -> r -> r.stood()
                    && r.addOns().entrySet().stream()
                            .anyMatch(a -> a.getValue() > 0
                                    && (r.offer().value() + "/" + a.getKey().value()).equals(value));
            case STATUS -> r -> r.status().code().equals(value);
            case AGAIN -> r -> r.stood() && r.earlier();
            case CODE -> r -> r.stood() && r.code().equals(value);
            case TIER -> r -> false;
        };
    }

    private static int lead(Row row) {
        long seconds = row.time().start() * 60 - row.placed().getEpochSecond();
        int part = 0;
        while (part < Figures.LEADS.size() && seconds >= Figures.LEADS.get(part)) {
            part++;
        }
        return part;
    }

    private boolean touches(Interval time, HouseZone zone) {
        long at = time.start();
        while (at < time.end()) {
            LocalDateTime local = zone.localOf(at);
            if ((local.getDayOfWeek().ordinal() + "-" + local.getHour()).equals(value)) {
                return true;
            }
            at += 60 - local.getMinute();
        }
        return false;
    }
}
