package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.Booking;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Layer;
import gastfreund.core.openings.Reason;
import gastfreund.core.sessions.Commitment;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import gastfreund.core.time.Minutes;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Says reasons against a time as sentences, with links to what they are about. */
public final class ReasonWords {

    private static final int MOST_LINKS = 4;

    private final Catalogue catalogue;
    private final Formats f;

    public ReasonWords(Catalogue catalogue, Formats f) {
        this.catalogue = catalogue;
        this.f = f;
    }

    public Sentence of(Reason reason, Offer offer, Interval time) {
        LocalDate date = f.zone().dateOf(time.start());
        if (reason instanceof Reason.Past) {
            return Sentence.of(f.text("reason.past"));
        }
        if (reason instanceof Reason.Notice notice) {
            return Sentence.of(
                    f.text("reason.notice", f.duration(offer.bounds().notice()), f.moment(notice.earliest())));
        }
        if (reason instanceof Reason.Horizon horizon) {
            return Sentence.of(f.text("reason.horizon", f.day(horizon.last())));
        }
        if (reason instanceof Reason.Season season) {
            String from = season.from() == null ? "…" : f.dayAndMonth(season.from());
            String to = season.to() == null ? "…" : f.dayAndMonth(season.to());
            return Sentence.of(f.text("reason.season", from, to));
        }
        if (reason instanceof Reason.Closed) {
            String why = catalogue.whyClosed(date);
            String words = f.text("reason.closed", f.shortDay(date)) + (why.isEmpty() ? "" : " " + why);
            return new Sentence(
                    words, List.of(new Sentence.Link("/desk/hours/house/house#days", f.text("reason.toHours"))));
        }
        if (reason instanceof Reason.OutsideHours outside) {
            return outside(outside, offer, date);
        }
        if (reason instanceof Reason.StaffBusy busy) {
            return busy(busy, time);
        }
        if (reason instanceof Reason.Full full) {
            return full(full);
        }
        return limits(reason);
    }

    private Sentence limits(Reason reason) {
        if (reason instanceof Reason.DayLimit limit) {
            return Sentence.of(f.text("reason.dayLimit", limit.perDay()));
        }
        if (reason instanceof Reason.DayMinutes limit) {
            return Sentence.of(f.text("reason.dayMinutes", f.duration(Minutes.of(limit.minutesPerDay()))));
        }
        if (reason instanceof Reason.StaffDayLimit limit) {
            return Sentence.of(f.text("reason.staffDayLimit", name(limit.staff()), limit.maxPerDay()));
        }
        if (reason instanceof Reason.Seats seats) {
            return Sentence.of(f.text("reason.seats", Math.max(0, seats.left())));
        }
        return Sentence.of(f.text("reason.fill"));
    }

    private Sentence outside(Reason.OutsideHours outside, Offer offer, LocalDate date) {
        Layer layer = outside.layer();
        long start = f.zone().startOf(date);
        IntervalSet day = outside.open().within(Interval.between(start, f.zone().startOf(date.plusDays(1))));
        String open = day.isEmpty()
                ? f.text("reason.notThatDay")
                : day.intervals().stream().map(f::times).collect(Collectors.joining(", "));
        String words = f.text(
                layer.kind() == Layer.Kind.STAFF ? "reason.outside" : "reason.outsideOpen", owner(layer, offer), open);
        return new Sentence(words, List.of(new Sentence.Link(hoursOf(layer, offer), f.text("reason.toHours"))));
    }

    /** Whose hours a layer is, in words. */
    public String owner(Layer layer, Offer offer) {
        String id = layer.id() == null ? "" : layer.id();
        return switch (layer.kind()) {
            case HOUSE -> f.text("reason.theHouse");
            case OFFER -> offer.title();
            case PLACE -> catalogue.house().place(new PlaceId(id)).name();
            case STAFF -> name(new StaffId(id));
            case RESOURCE -> catalogue.house().resource(new ResourceId(id)).name();
        };
    }

    /** The page on which a layer is set. */
    public static String hoursOf(Layer layer, Offer offer) {
        return switch (layer.kind()) {
            case HOUSE -> "/desk/hours/house/house";
            case OFFER -> "/desk/hours/offers/" + offer.id();
            case PLACE -> "/desk/hours/places/" + layer.id();
            case STAFF -> "/desk/hours/staff/" + layer.id();
            case RESOURCE -> "/desk/hours/resources/" + layer.id();
        };
    }

    /** All that stands against a time, one sentence after the other. */
    public String all(List<Reason> reasons, Offer offer, Interval time) {
        return reasons.stream().map(r -> of(r, offer, time).whole()).collect(Collectors.joining(" "));
    }

    /** The names of those who serve together; empty where nobody does. */
    public String names(List<StaffId> staff) {
        return staff.stream().map(this::name).collect(Collectors.joining(", "));
    }

    private String name(StaffId person) {
        return catalogue.house().staff(person).name();
    }

    private Sentence busy(Reason.StaffBusy busy, Interval time) {
        List<Commitment> commitments = busy.commitments();
        long until =
                commitments.stream().mapToLong(c -> c.interval().end()).max().orElse(time.end());
        return new Sentence(f.text("reason.busy", name(busy.staff()), f.time(until)), links(commitments));
    }

    private Sentence full(Reason.Full full) {
        int free = Math.max(0, full.units() - full.taken());
        ResourceId resource = full.resource();
        String words = resource == null
                ? f.text("reason.fullOffer")
                : f.text("reason.full", catalogue.house().resource(resource).name(), free, full.units(), full.needed());
        return new Sentence(words, links(full.commitments()));
    }

    /** What takes somebody's or something's time, with links to the bookings. */
    private List<Sentence.Link> links(List<Commitment> commitments) {
        List<Sentence.Link> links = new ArrayList<>();
        for (Commitment commitment : commitments) {
            if (links.size() == MOST_LINKS) {
                break;
            }
            if (commitment instanceof Commitment.OfSession of) {
                links.add(link(of.session()));
            } else {
                links.add(new Sentence.Link("", f.text("reason.elsewhere", f.times(commitment.interval()))));
            }
        }
        return links;
    }

    private Sentence.Link link(Session session) {
        Offer offer = catalogue.offer(session.offer());
        StringBuilder words = new StringBuilder(offer.title()).append(", ").append(f.times(session.guests()));
        long after = session.taken().end() - session.guests().end();
        if (after > 0) {
            words.append(' ').append(f.text("reason.clearing", f.duration(Minutes.of(after))));
        }
        String address =
                session.bookings().isEmpty() ? "" : address(session.bookings().get(0));
        return new Sentence.Link(address, words.toString());
    }

    public String address(Booking booking) {
        return "/desk?day=" + f.zone().dateOf(booking.start()) + "&booking="
                + booking.id().value();
    }
}
