package gastfreund.app.explainer;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.openings.Sentence;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What would open a time that cannot be booked. */
@Component
class Ways {

    private static final int MOST_OPENING = 3;

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Clock clock;

    Ways(CatalogueService catalogues, OpeningsService openings, Clock clock) {
        this.catalogues = catalogues;
        this.openings = openings;
        this.clock = clock;
    }

    /** What else could be had at the same start, what could be had near it, or the one rule against it. */
    List<Sentence> of(Asked asked, Answer.Entry entry, List<Answer.Entry> entries, ReasonWords words, Formats f) {
        List<Sentence> opens = new ArrayList<>();
        Choice choice = asked.choice();
        long start = entry.time().start();
        House house = catalogues.catalogue().house();
        if (choice.staff() != null) {
            openAt(asked, choice.withStaff(null), start)
                    .ifPresent(e -> opens.add(way(
                            asked.with(choice.withStaff(null)),
                            start,
                            f.text("explain.others", words.names(e.open().get(0).staff()), price(e, f)))));
        }
        for (int party = choice.party() - 1; party >= choice.offer().party().min(); party--) {
            Choice fewer = choice.withParty(party);
            Optional<Answer.Entry> open = openAt(asked, fewer, start);
            if (open.isPresent()) {
                opens.add(way(asked.with(fewer), start, f.text("explain.fewer", party)));
                break;
            }
        }
        for (Length length : choice.offer().lengths()) {
            Choice other = choice.withLength(length);
            if (!length.equals(choice.length()) && openAt(asked, other, start).isPresent()) {
                opens.add(way(asked.with(other), start, f.text("explain.length", f.duration(length.minutes()))));
            }
        }
        for (PlaceId place : house.placesOf(choice.offer())) {
            Choice other = choice.withPlace(place);
            if (!place.equals(choice.place()) && openAt(asked, other, start).isPresent()) {
                opens.add(way(
                        asked.with(other),
                        start,
                        f.text("explain.place", house.place(place).name())));
            }
        }
        nearest(asked, entries, start, f).ifPresent(opens::add);
        single(entry, choice.offer(), words, f).ifPresent(opens::add);
        if (asked.audience() == Audience.GUEST) {
            Asked desk = new Asked(choice, asked.day(), Audience.DESK);
            openAt(desk, choice, start).ifPresent(e -> opens.add(way(desk, start, f.text("explain.byDesk"))));
        }
        return opens.isEmpty() ? List.of(Sentence.of(f.text("explain.nothing"))) : opens;
    }

    private static String price(Answer.Entry entry, Formats f) {
        return f.shortMoney(entry.open().get(0).opening().price());
    }

    private static Sentence way(Asked asked, long start, String words) {
        return new Sentence("", List.of(new Sentence.Link(asked.address(start), words)));
    }

    private Optional<Answer.Entry> openAt(Asked asked, Choice choice, long start) {
        return openings.openings(asked.query(choice, clock.instant())).entries().stream()
                .filter(e -> e.time().start() == start && e.isOpen())
                .findFirst();
    }

    private static Optional<Sentence> nearest(Asked asked, List<Answer.Entry> entries, long start, Formats f) {
        List<Sentence.Link> links = entries.stream()
                .filter(Answer.Entry::isOpen)
                .sorted(Comparator.comparingLong(e -> Math.abs(e.time().start() - start)))
                .limit(MOST_OPENING)
                .sorted(Comparator.comparingLong(e -> e.time().start()))
                .map(e -> new Sentence.Link(
                        asked.address(e.time().start()), f.time(e.time().start())))
                .toList();
        return links.isEmpty() ? Optional.empty() : Optional.of(new Sentence(f.text("explain.nearest"), links));
    }

    /** The one rule that stands against it for somebody, where there is no second. */
    private static Optional<Sentence> single(Answer.Entry entry, Offer offer, ReasonWords words, Formats f) {
        return entry.options().stream()
                .map(Answer.Judged::reasons)
                .filter(r -> r.size() == 1)
                .map(r -> r.get(0))
                .filter(Ways::isRule)
                .findFirst()
                .map(r -> {
                    Sentence only = words.of(r, offer, entry.time());
                    return new Sentence(f.text("explain.single", only.words()), only.links());
                });
    }

    /** Whether somebody set it: what is over or taken is no rule, and is told with its reason already. */
    private static boolean isRule(Reason reason) {
        return !(reason instanceof Reason.Past
                || reason instanceof Reason.StaffBusy
                || reason instanceof Reason.Full
                || reason instanceof Reason.Seats
                || reason instanceof Reason.Fill);
    }
}
