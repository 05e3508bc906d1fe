package gastfreund.app.extras;

import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.PlaceId;
import gastfreund.housefile.Node;
import org.jspecify.annotations.Nullable;

/**
 * How far a house goes to its guests, and what that costs. Distances are straight lines, from the address of one of the
 * house's places.
 *
 * @param from where they begin; null where nothing is measured
 * @param km how far it goes at most (inclusive); 0: as far as it takes
 * @param freeKm how many kilometres cost nothing
 * @param perKm what each further kilometre costs that is begun
 */
public record Reach(@Nullable PlaceId from, int km, int freeKm, Money perKm) {

    private static final int MOST_KM = 1000;
    private static final int METRES = 1000;
    private static final Reach ANYWHERE = new Reach(null, 0, 0, Money.ZERO);

    /** As far as it takes, for nothing. */
    static Reach anywhere() {
        return ANYWHERE;
    }

    static Reach of(Node extra) {
        int km = extra.integer("km", 0, MOST_KM, 0);
        int freeKm = extra.integer("freeKm", 0, MOST_KM, 0);
        Money perKm = extra.member("perKm").map(Node::amount).orElse(Money.ZERO);
        String from = extra.textOrBlank("from");
        if (from.isEmpty() && (km > 0 || perKm.isPositive())) {
            extra.at("from").problem("must name the place from which the way is measured");
        }
        return new Reach(from.isEmpty() ? null : new PlaceId(from), km, freeKm, perKm);
    }

    /** Whether anything depends on the distance. */
    public boolean isMeasured() {
        return from != null && (km > 0 || perKm.isPositive());
    }

    public boolean covers(int metres) {
        return km == 0 || metres <= km * METRES;
    }

    /** What a way costs. */
    public Money price(int metres) {
        return perKm.times(Math.max(0, begun(metres) - freeKm));
    }

    /** A distance in kilometres, the last of which is begun. */
    public static int begun(int metres) {
        return (metres + METRES - 1) / METRES;
    }

    /** What guests are told of it before they book. */
    public String words(House house, Formats f) {
        StringBuilder words = new StringBuilder(
                km == 0 || from == null
                        ? f.text("place.comes")
                        : f.text("place.comesWithin", km, house.place(from).name()));
        if (perKm.isPositive()) {
            words.append(' ')
                    .append(
                            freeKm > 0
                                    ? f.text("place.perKmBeyond", freeKm, f.money(perKm))
                                    : f.text("place.perKm", f.money(perKm)));
        }
        return words.toString();
    }
}
