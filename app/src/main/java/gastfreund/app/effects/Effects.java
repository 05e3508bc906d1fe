package gastfreund.app.effects;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.Fault;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Change;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Sentences;
import gastfreund.app.editing.Undoing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Note;
import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Clash;
import gastfreund.core.openings.Comparison;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Says what a host's drafts would do ({@code docs/openings.md}, "What a change does"). */
@Service
public class Effects {

    /** For how many dates it is said. */
    public static final int DAYS = 28;

    /** How many bookings that would lie outside are named. */
    private static final int MOST_NAMED = 6;

    private static final int BAR = 18;
    private static final int STEP = 7;

    private final Editing editing;
    /** The members that are hours, with the reasons for days that differ. */
    private static final List<String> OWN_HOURS = List.of("hours", "extra/notes");

    /** The house as it is, with what it has on sale. */
    private record Kept(House house, Booked booked, Comparison.Before before) {}

    private final Undoing undoing;
    private final HouseDocuments documents;
    private final CatalogueService catalogues;
    private final Ahead ahead;
    private final OpeningsService openings;
    private final Orders orders;
    private final HostService hosts;
    private final Names names;
    private final Clock clock;
    private volatile @Nullable Kept kept;

    Effects(
            Editing editing,
            Undoing undoing,
            HouseDocuments documents,
            CatalogueService catalogues,
            Ahead ahead,
            OpeningsService openings,
            Orders orders,
            HostService hosts,
            Names names,
            Clock clock) {
        this.editing = editing;
        this.undoing = undoing;
        this.documents = documents;
        this.catalogues = catalogues;
        this.ahead = ahead;
        this.openings = openings;
        this.orders = orders;
        this.hosts = hosts;
        this.names = names;
        this.clock = clock;
    }

    /** @param refs the documents that the page is about; the first is the one whose last change is told */
    public Effect of(Host host, List<DocumentRef> refs, Formats f) {
        List<Draft> drafts = refs.stream()
                .map(r -> editing.draft(host, r))
                .flatMap(Optional::stream)
                .toList();
        Sentences sentences = names.sentences(f);
        List<String> changes = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        List<Effect.Both> both = new ArrayList<>();
        List<Document> changed = new ArrayList<>();
        for (Draft draft : drafts) {
            List<String> said = sentences.of(draft.base(), draft.json());
            boolean first = draft.ref().equals(refs.get(0));
            String name = new Document(draft.ref(), 0, draft.json()).name();
            said.forEach(s -> changes.add(first ? s : name + " – " + s));
            changed.add(new Document(draft.ref(), draft.version(), draft.json()));
            editing.conflicts(draft)
                    .forEach(c -> both.add(new Effect.Both(
                            draft.ref().kind().code() + "/" + draft.ref().id(),
                            c.member(),
                            sentences.label(c.member()),
                            sentences.value(c.member(), c.mine()),
                            sentences.value(c.member(), c.theirs()))));
            if (!draft.typed().isEmpty()) {
                problems.add(f.text("effect.unread"));
            }
        }
        drafts.stream()
                .filter(d -> !d.isNew() && documents.find(d.ref()).isEmpty())
                .forEach(d -> problems.add(FaultWords.of(Editing.GONE, f)));
        Tried tried = documents.tryOut(changed);
        tried.faults().forEach(fault -> problems.add(problem(fault, refs.get(0), sentences, f)));
        Comparison comparison = drafts.isEmpty() || !problems.isEmpty()
                ? new Comparison(List.of(), List.of())
                : compared(tried.right());
        return effect(changes, problems, both, tried.house(), comparison, last(host, refs.get(0), f), f);
    }

    /** What some documents would do in the place of those that there are, and without others. */
    public Effect of(List<Document> fresh, List<DocumentRef> gone, Formats f) {
        Sentences sentences = names.sentences(f);
        Tried tried = documents.tryWithout(gone, fresh);
        List<String> problems = tried.faults().stream()
                .map(fault -> problem(fault, DocumentRef.HOUSE, sentences, f))
                .toList();
        Comparison comparison = tried.isRight() ? compared(tried.right()) : new Comparison(List.of(), List.of());
        return effect(List.of(), problems, List.of(), tried.house(), comparison, null, f);
    }

    private String problem(Fault fault, DocumentRef first, Sentences sentences, Formats f) {
        String label =
                fault.path().isEmpty() ? "" : sentences.label(fault.path().replace('.', '/'));
        String words = FaultWords.of(fault.message(), f);
        String said = label.isEmpty() ? words : label + ": " + words;
        return fault.document().equals(first)
                ? said
                : documents
                                .find(fault.document())
                                .map(Document::name)
                                .orElse(fault.document().id()) + " – " + said;
    }

    private Comparison compared(House after) {
        House house = catalogues.plain().house();
        Booked all = ahead.of(house, clock.instant());
        Kept current = kept;
        if (current == null || current.house() != house || current.booked() != all) {
            // What is booked is read anew with each minute: so is this.
            current = new Kept(house, all, Comparison.Before.of(house, all, clock.instant(), DAYS));
            kept = current;
        }
        return Comparison.of(current.before(), after, all);
    }

    private Effect effect(
            List<String> changes,
            List<String> problems,
            List<Effect.Both> both,
            @Nullable House after,
            Comparison comparison,
            Effect.@Nullable Last last,
            Formats f) {
        List<Effect.Row> rows = new ArrayList<>();
        List<Note> remarks = new ArrayList<>();
        for (Comparison.Change one : comparison.offers()) {
            String title = title(one);
            rows.add(new Effect.Row(
                    title,
                    one.startsGained() == 0 ? "" : "+\u202f" + one.startsGained(),
                    one.startsLost() == 0 ? "" : "−\u202f" + one.startsLost()));
            if (one.after() == 0) {
                remarks.add(Note.warn(f.text("effect.empty", title) + why(after, one.offer(), f)));
            }
        }
        List<Clash> clashes = comparison.clashes();
        List<Effect.Link> links =
                clashes.stream().limit(MOST_NAMED).map(c -> link(c, f)).toList();
        int more = clashes.size() - links.size();
        boolean quiet = !changes.isEmpty() && problems.isEmpty() && rows.isEmpty() && clashes.isEmpty();
        return new Effect(
                List.copyOf(changes),
                problems.stream().distinct().toList(),
                List.copyOf(rows),
                chart(comparison, f),
                quiet,
                List.copyOf(remarks),
                clashes.isEmpty() ? "" : f.text("effect.outside", clashes.size()),
                links,
                more == 0 ? "" : f.text("effect.more", more),
                List.copyOf(both),
                last);
    }

    /** What stands against most of the starts of an offer in these days, where there is one thing; with a blank before it. */
    private String why(@Nullable House after, OfferId offer, Formats f) {
        Optional<Offer> found = after == null ? Optional.empty() : after.offer(offer);
        if (found.isEmpty() || after == null) {
            return "";
        }
        LocalDate today = after.zone().dateOf(clock.instant());
        Query query = Query.of(offer, today, today.plusDays(DAYS - 1L), clock.instant())
                .withParty(found.get().party().min());
        Map<String, Integer> count = new HashMap<>();
        openings.explain(after, query).entries().stream()
                .flatMap(e -> e.options().stream())
                .flatMap(o -> o.reasons().stream())
                .forEach(r -> count.merge(kind(r.code()), 1, Integer::sum));
        return count.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .flatMap(most -> f.words().find("effect.why." + most.getKey()))
                .map(words -> " " + words)
                .orElse("");
    }

    /** The code of a reason without what it is about. */
    private static String kind(String code) {
        int colon = code.indexOf(':');
        return colon < 0 ? code : code.substring(0, colon);
    }

    private String title(Comparison.Change change) {
        return documents
                .find(DocumentRef.offer(change.offer().value()))
                .map(Document::name)
                .orElse(change.offer().value());
    }

    private Effect.Link link(Clash clash, Formats f) {
        Booking booking = clash.session().bookings().get(0);
        Interval time = clash.session().guests();
        LocalDate day = f.zone().dateOf(time.start());
        String who =
                orders.byBooking(booking.id()).map(o -> o.contact().name()).orElseGet(() -> f.text("effect.somebody"));
        return new Effect.Link(
                "/desk?day=" + day + "&booking=" + booking.id().value(), who + ", " + f.moment(time.startInstant()));
    }

    private Effect.@Nullable Chart chart(Comparison comparison, Formats f) {
        Map<LocalDate, int[]> byDay = new TreeMap<>();
        comparison.offers().forEach(o -> o.days().forEach(d -> {
            int[] sum = byDay.computeIfAbsent(d.date(), x -> new int[2]);
            sum[0] += d.gained();
            sum[1] += d.lost();
        }));
        if (byDay.isEmpty()) {
            return null;
        }
        int most = byDay.values().stream()
                .mapToInt(s -> Math.max(s[0], s[1]))
                .max()
                .orElse(1);
        LocalDate first = f.zone().dateOf(clock.instant());
        List<Effect.Bar> bars = new ArrayList<>();
        for (int day = 0; day < DAYS; day++) {
            int[] sum = byDay.getOrDefault(first.plusDays(day), new int[2]);
            bars.add(new Effect.Bar(
                    day * STEP,
                    height(sum[0], most),
                    height(sum[1], most),
                    f.text("effect.bar", f.shortDay(first.plusDays(day)), sum[0], sum[1])));
        }
        return new Effect.Chart(bars, f.dayAndMonth(first), f.dayAndMonth(first.plusDays(DAYS - 1L)));
    }

    private static int height(int count, int most) {
        return count == 0 ? 0 : Math.max(3, count * BAR / most);
    }

    private Effect.@Nullable Last last(Host host, DocumentRef ref, Formats f) {
        return editing.last(ref)
                .map(change -> new Effect.Last(
                        f.text(
                                "effect.last",
                                who(change),
                                f.dayAndMonth(f.zone().dateOf(change.at()))),
                        undoing.canUndo(change) && (host.may(Right.SET_UP) || isOwnHours(host, change.keeping()))
                                ? change.keeping()
                                : 0,
                        host.may(Right.SET_UP) ? "/desk/changes/undo" : "/desk/hours/undo"))
                .orElse(null);
    }

    /** Whether what was kept together are hours of a host's own, which they set themselves. */
    public boolean isOwnHours(Host host, long keeping) {
        return undoing.isOnly(host, keeping, DocumentRef.staff(host.person()), OWN_HOURS);
    }

    /** The name of the host who kept a change; the mail address where they are a host no more. */
    public String who(Change change) {
        return hosts.byEmail(change.who()).map(Host::name).orElse(change.who());
    }
}
