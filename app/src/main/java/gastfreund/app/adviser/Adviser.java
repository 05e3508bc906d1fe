package gastfreund.app.adviser;

import gastfreund.app.adviser.AdviserStore.Amount;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.storage.Reading;
import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Tells what happened in a month; everything is read at one moment. */
@Service
public class Adviser {

    private final AdviserStore store;
    private final CatalogueService catalogues;
    private final Reading reading;
    private final Clock clock;

    Adviser(AdviserStore store, CatalogueService catalogues, Reading reading, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.reading = reading;
        this.clock = clock;
    }

    /** The month that is going on. */
    YearMonth thisMonth() {
        return YearMonth.from(catalogues.catalogue().zone().dateOf(clock.instant()));
    }

    Month of(YearMonth month) {
        HouseZone zone = catalogues.catalogue().zone();
        Instant from = Interval.instantOf(zone.startOf(month.atDay(1)));
        Instant to = Interval.instantOf(zone.startOf(month.plusMonths(1).atDay(1)));
        return reading.of(() -> {
            List<Month.Issued> documents = store.documents(from, to);
            return new Month(month, documents, Month.sums(documents), payments(from, to), store.vouchers(from, to));
        });
    }

    private List<Month.Paid> payments(Instant from, Instant to) {
        Map<String, Month.Paid> ways = new TreeMap<>();
        for (Amount in : store.cameIn(from, to)) {
            ways.put(in.way(), new Month.Paid(in.way(), in.payments(), in.amount(), Money.ZERO));
        }
        for (Amount out : store.wentBack(from, to)) {
            ways.merge(
                    out.way(),
                    new Month.Paid(out.way(), 0, Money.ZERO, out.amount()),
                    (a, b) -> new Month.Paid(a.way(), a.payments(), a.in(), b.out()));
        }
        return new ArrayList<>(ways.values());
    }
}
