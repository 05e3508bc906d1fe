package gastfreund.app.figures;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.languages.Formats;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Use;
import gastfreund.core.time.Minutes;
import gastfreund.housefile.HoursFile;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What single changes a house could make for something that was asked for in vain. */
final class Changes {

    private static final int HOUR = 60;
    private static final int MIDNIGHT = 24 * HOUR;

    /** The notice that is tried, where it is longer. */
    private static final int SHORT_NOTICE = 2 * HOUR;

    private static final int SHORTER = 30;

    private final House house;
    private final Formats f;

    Changes(House house, Formats f) {
        this.house = house;
        this.f = f;
    }

    /**
     * All that can be tried.
     *
     * @param days the days of the week that were wanted
     * @param length what was wanted most
     */
    List<Change> of(Offer offer, Set<DayOfWeek> days, LengthId length) {
        List<Change> all = new ArrayList<>();
        if (!offer.hasTimetable()) {
            evening(all, offer, days);
            opens(all, offer, days);
            people(all, offer, days);
        }
        notice(all, offer);
        limit(all, offer);
        things(all, offer);
        seats(all, offer);
        if (!offer.hasTimetable() && !offer.sharing().shared()) {
            offer.length(length).ifPresent(l -> shorter(all, offer, l));
        }
        return all;
    }

    private static DocumentRef ref(Offer offer) {
        return new DocumentRef(DocumentRef.Kind.OFFERS, offer.id().value());
    }

    private static DocumentRef ref(StaffId person) {
        return new DocumentRef(DocumentRef.Kind.STAFF, person.value());
    }

    private static Change change(String key, String words, DocumentRef ref, Consumer<ObjectNode> edit) {
        return new Change(key, words, Map.of(ref, edit), query -> null);
    }

    /** Everything that closes the offer in the evening ends an hour later. */
    private void evening(List<Change> all, Offer offer, Set<DayOfWeek> days) {
        Map<DocumentRef, Consumer<ObjectNode>> edits = new LinkedHashMap<>();
        Schedule own = offer.hours();
        Schedule hours = own != null ? own : house.hours();
        if (isLater(hours, days)) {
            edits.put(own != null ? ref(offer) : DocumentRef.HOUSE, json -> later(json, days));
        }
        for (StaffId person : serving(offer)) {
            if (isLater(house.staff(person).hours(), days)) {
                edits.put(ref(person), json -> later(json, days));
            }
        }
        if (!edits.isEmpty()) {
            all.add(new Change("evening", f.text("figures.change.evening"), edits, query -> null));
        }
    }

    /** The house, or the offer where it has hours of its own, opens on days on which it does not, as on the day before. */
    private void opens(List<Change> all, Offer offer, Set<DayOfWeek> days) {
        Schedule own = offer.hours();
        Schedule hours = own != null ? own : house.hours();
        List<DayOfWeek> closed = days.stream()
                .sorted()
                .filter(d -> hours.windowsOn(d).isEmpty() && !before(hours, d).isEmpty())
                .toList();
        if (!closed.isEmpty()) {
            all.add(change(
                    "opens",
                    f.text("figures.change.opens", closed.size()),
                    own != null ? ref(offer) : DocumentRef.HOUSE,
                    json -> {
                        Schedule open = HoursFile.hoursOf(json);
                        for (DayOfWeek day : closed) {
                            open = open.withDay(day, before(hours, day));
                        }
                        json.set("hours", HoursFile.written(open));
                    }));
        }
    }

    /** The windows of the last day before one that has any. */
    private static List<Window> before(Schedule hours, DayOfWeek day) {
        for (int back = 1; back < DayOfWeek.values().length; back++) {
            List<Window> windows = hours.windowsOn(day.minus(back));
            if (!windows.isEmpty()) {
                return windows;
            }
        }
        return List.of();
    }

    private List<StaffId> serving(Offer offer) {
        return offer.serving().of().stream()
                .filter(s -> !house.retired().staff().contains(s))
                .toList();
    }

    /** Whether some window of these days can end later. */
    private static boolean isLater(Schedule hours, Set<DayOfWeek> days) {
        return !hours.isAlways()
                && days.stream().anyMatch(d -> !later(hours.windowsOn(d)).equals(hours.windowsOn(d)));
    }

    /** The same windows, the last of which ends an hour later, at midnight at the latest. */
    private static List<Window> later(List<Window> windows) {
        if (windows.isEmpty()) {
            return windows;
        }
        List<Window> longer = new ArrayList<>(windows);
        Window last = windows.stream()
                .filter(w -> !w.overMidnight())
                .reduce((a, b) -> b.to() > a.to() ? b : a)
                .orElse(windows.get(0));
        int at = longer.indexOf(last);
        if (!last.overMidnight()) {
            int to = Math.min(MIDNIGHT, last.to() + HOUR);
            longer.set(at, new Window(last.from(), to, last.offers(), last.deskOnly()));
        }
        return longer;
    }

    private static void later(ObjectNode json, Set<DayOfWeek> days) {
        Schedule hours = HoursFile.hoursOf(json);
        for (DayOfWeek day : days) {
            hours = hours.withDay(day, later(hours.windowsOn(day)));
        }
        json.set("hours", HoursFile.written(hours));
    }

    /** Somebody works on days on which they do not, as long as the house or the offer is open. */
    private void people(List<Change> all, Offer offer, Set<DayOfWeek> days) {
        Schedule own = offer.hours();
        Schedule hours = own != null ? own : house.hours();
        for (StaffId id : serving(offer)) {
            Staff person = house.staff(id);
            List<DayOfWeek> free = days.stream()
                    .sorted()
                    .filter(d -> person.hours().windowsOn(d).isEmpty()
                            && !hours.windowsOn(d).isEmpty())
                    .toList();
            if (!free.isEmpty()) {
                all.add(change(
                        "works:" + id.value(),
                        f.text("figures.change.works", person.name(), free.size()),
                        ref(id),
                        json -> {
                            Schedule theirs = HoursFile.hoursOf(json);
                            for (DayOfWeek day : free) {
                                theirs = theirs.withDay(day, hours.windowsOn(day));
                            }
                            json.set("hours", HoursFile.written(theirs));
                        }));
            }
            if (person.maxPerDay().isPresent()) {
                int more = person.maxPerDay().getAsInt() + 1;
                all.add(change(
                        "staff-limit:" + id.value(),
                        f.text("figures.change.staffLimit", person.name(), more),
                        ref(id),
                        json -> json.put("maxPerDay", more)));
            }
        }
    }

    private void notice(List<Change> all, Offer offer) {
        long now = offer.bounds().notice().count();
        if (now > 0) {
            long shorter = now > SHORT_NOTICE ? SHORT_NOTICE : 0;
            String words = shorter == 0
                    ? f.text("figures.change.noNotice", f.duration(Minutes.of(now)))
                    : f.text("figures.change.notice", f.duration(Minutes.of(shorter)), f.duration(Minutes.of(now)));
            all.add(change("notice", words, ref(offer), json -> json.put("notice", shorter)));
        }
    }

    private void limit(List<Change> all, Offer offer) {
        offer.bounds()
                .perDay()
                .ifPresent(n -> all.add(change(
                        "limit", f.text("figures.change.limit", n + 1), ref(offer), json -> json.withObject("limits")
                                .put("perDay", n + 1))));
    }

    private void things(List<Change> all, Offer offer) {
        offer.uses().stream().map(Use::resource).distinct().forEach(id -> {
            Resource thing = house.resource(id);
            all.add(change(
                    "units:" + id.value(),
                    f.text("figures.change.units", thing.name(), thing.units() + 1),
                    new DocumentRef(DocumentRef.Kind.RESOURCES, id.value()),
                    json -> json.put("units", thing.units() + 1)));
        });
    }

    /** Half as many seats more, in each session. */
    private void seats(List<Change> all, Offer offer) {
        if (offer.sharing().shared()) {
            all.add(change("seats", f.text("figures.change.seats"), ref(offer), json -> {
                more(json);
                json.path("timetable").forEach(entry -> more((ObjectNode) entry));
            }));
        }
    }

    private static void more(ObjectNode json) {
        JsonNode seats = json.path("seats");
        if (seats.isNumber()) {
            json.put("seats", seats.intValue() + Math.max(1, seats.intValue() / 2));
        }
    }

    /** A length that is half an hour shorter, at its part of the price, which guests would have taken instead. */
    private void shorter(List<Change> all, Offer offer, Length wanted) {
        long minutes = wanted.minutes().count() - SHORTER;
        if (minutes < SHORTER
                || offer.lengths().stream().anyMatch(l -> l.minutes().count() == minutes)) {
            return;
        }
        LengthId id = new LengthId("short-" + minutes);
        long price = wanted.price().minor() * minutes / wanted.minutes().count();
        all.add(new Change(
                "length",
                f.text("figures.change.length", f.duration(Minutes.of(minutes))),
                Map.of(ref(offer), json -> json.withArray("lengths")
                        .addObject()
                        .put("id", id.value())
                        .put("minutes", minutes)
                        .put("price", price)),
                query -> wanted.id().equals(query.length()) ? query.withLength(id, 1) : null));
    }
}
