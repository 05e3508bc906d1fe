package gastfreund.app.hours;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Figures;
import gastfreund.app.effects.Effects;
import gastfreund.app.effects.Names;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.zone.ZoneOffsetTransition;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Makes the page of somebody's hours. */
@Component
class HoursPages {

    private static final int TALLEST = 16;
    private static final int MINUTES_OF_TALLEST = 12 * 60;

    private final HouseDocuments documents;
    private final Editing editing;
    private final Effects effects;
    private final Names names;
    private final Clock clock;

    HoursPages(HouseDocuments documents, Editing editing, Effects effects, Names names, Clock clock) {
        this.documents = documents;
        this.editing = editing;
        this.effects = effects;
        this.names = names;
        this.clock = clock;
    }

    /** Whether a host may change the hours of somebody or something. */
    boolean may(Host host, DocumentRef ref) {
        if (host.may(Right.SET_UP)) {
            return true;
        }
        boolean own = ref.equals(DocumentRef.staff(host.person()));
        return own && host.may(Right.OWN_HOURS) && letsPeople();
    }

    private boolean letsPeople() {
        return documents
                .find(DocumentRef.HOUSE)
                .map(h -> h.json().path("extra").path("ownHours").booleanValue(false))
                .orElse(false);
    }

    /** The documents whose hours a host has changed and not kept, this one first; others only where all can be read. */
    List<DocumentRef> together(Host host, DocumentRef ref) {
        List<DocumentRef> refs = new ArrayList<>(List.of(ref));
        for (Draft draft : editing.drafts(host)) {
            boolean hours = !Hours.of(draft.base()).equals(Hours.of(draft.json()));
            if (hours && draft.typed().isEmpty() && !draft.ref().equals(ref) && may(host, draft.ref())) {
                refs.add(draft.ref());
            }
        }
        return refs;
    }

    HoursPage page(Host host, Document seen, Differ differ, List<Note> notes, Formats f) {
        DocumentRef ref = seen.ref();
        Optional<Draft> draft = editing.draft(host, ref);
        Schedule is = Hours.of(seen.json());
        Schedule was = draft.map(d -> Hours.of(d.base())).orElse(is);
        Schedule house = houseHours(host);
        LocalDate today = f.zone().dateOf(clock.instant());
        boolean isOffer = ref.kind() == Kind.OFFERS;
        boolean asHouse = isOffer && !seen.json().has("hours");
        Figures figures = names.figures(f);
        Lanes lanes =
                Lanes.of(ref.kind() == Kind.HOUSE ? List.of(is, was) : List.of(is, was, asHouse ? house : is), figures);
        Map<String, String> typed = draft.map(Draft::typed).orElse(Map.of());
        List<HoursPage.Day> days = Arrays.stream(DayOfWeek.values())
                .map(d -> day(d, asHouse ? house : was, asHouse ? house : is, ref, house, typed, lanes, figures, f))
                .toList();
        List<Field.Option> weekdays = Arrays.stream(DayOfWeek.values())
                .map(d -> Field.Option.of(Hours.code(d), name(d, f)))
                .toList();
        return new HoursPage(
                ref.kind() == Kind.HOUSE ? f.text("hours.titleHouse") : f.text("hours.title", seen.name()),
                address(ref),
                notes,
                groups(host, ref, f),
                lanes.axis(),
                days,
                remarks(seen, is, f),
                asHouse,
                isOffer && !asHouse,
                names.offers().entrySet().stream()
                        .map(o -> Field.Option.of(o.getKey().value(), o.getValue()))
                        .toList(),
                Field.select("day", f.text("hours.copyFrom"), weekdays),
                Field.choices("to", f.text("hours.copyTo"), weekdays),
                host.may(Right.SET_UP) ? others(ref, f) : null,
                Differ.months(is, today, f),
                differ.fields(f),
                Differ.all(seen, is, today, figures, f),
                effects.of(host, together(host, ref), f));
    }

    static String address(DocumentRef ref) {
        return "/desk/hours/" + ref.kind().code() + "/" + ref.id();
    }

    private static String name(DayOfWeek day, Formats f) {
        return day.getDisplayName(TextStyle.FULL_STANDALONE, f.locale());
    }

    private HoursPage.Day day(
            DayOfWeek day,
            Schedule was,
            Schedule is,
            DocumentRef ref,
            Schedule house,
            Map<String, String> typed,
            Lanes lanes,
            Figures figures,
            Formats f) {
        List<Window> windows = is.windowsOn(day);
        String code = Hours.code(day);
        @Nullable String unread = typed.get(code);
        ArrayNode plain = JsonNodeFactory.instance.arrayNode();
        Lanes.plain(windows, figures)
                .forEach(w ->
                        plain.addArray().add((Integer) w[0]).add((Integer) w[1]).add((String) w[2]));
        Field field = Field.line(code, f.text("hours.timesOf", name(day, f)), 200)
                .value(unread == null ? figures.of(windows) : unread)
                .wrong(unread == null ? "" : figures.read(unread).wrong())
                .with("autocomplete", "off");
        List<HoursPage.Piece> line = ref.kind() == Kind.HOUSE ? List.of() : lanes.line(house.windowsOn(day));
        return new HoursPage.Day(
                code,
                day.getDisplayName(TextStyle.SHORT_STANDALONE, f.locale()),
                field,
                plain.toString(),
                name(day, f) + ": " + figures.of(windows),
                lanes.pieces(was.windowsOn(day), windows),
                line);
    }

    private List<HoursPage.Group> groups(Host host, DocumentRef current, Formats f) {
        Map<Kind, List<HoursPage.Whose>> all = new LinkedHashMap<>();
        Map<DocumentRef, Draft> drafts = editing.drafts(host).stream()
                .collect(Collectors.toMap(Draft::ref, d -> d, (a, b) -> a, LinkedHashMap::new));
        for (Document document : documents.all()) {
            Kind kind = document.ref().kind();
            Draft draft = drafts.get(document.ref());
            ObjectNode json = draft == null ? document.json() : draft.json();
            boolean isCurrent = document.ref().equals(current);
            boolean listed = kind != Kind.PROMO_CODES
                    && !document.isRetired()
                    && may(host, document.ref())
                    && (kind != Kind.OFFERS || json.has("hours") || isCurrent);
            if (listed) {
                all.computeIfAbsent(kind, k -> new ArrayList<>())
                        .add(whose(document, json, isCurrent, draft != null, f));
            }
        }
        List<HoursPage.Group> groups = new ArrayList<>();
        all.forEach((kind, whose) -> groups.add(new HoursPage.Group(f.text("hours.group." + kind.code()), whose)));
        return groups;
    }

    private static HoursPage.Whose whose(
            Document document, ObjectNode json, boolean current, boolean draft, Formats f) {
        Schedule hours = Hours.of(json);
        boolean asHouse = document.ref().kind() == Kind.OFFERS && !json.has("hours");
        String always = asHouse ? f.text("hours.asHouse") : hours.isAlways() ? f.text("hours.always") : "";
        List<Integer> bars = Arrays.stream(DayOfWeek.values())
                .map(d -> bar(hours.windowsOn(d)))
                .toList();
        String name = document.ref().kind() == Kind.HOUSE ? f.text("hours.house") : document.name();
        return new HoursPage.Whose(
                name, address(document.ref()), current, always, always.isEmpty() ? bars : List.of(), draft);
    }

    private static int bar(List<Window> windows) {
        int minutes = windows.stream()
                .mapToInt(w -> w.overMidnight() ? w.to() + 1440 - w.from() : w.to() - w.from())
                .sum();
        return minutes == 0 ? 0 : Math.max(2, Math.min(TALLEST, minutes * TALLEST / MINUTES_OF_TALLEST));
    }

    /** Where the clock changes inside a window, and that it is closed altogether. */
    private List<String> remarks(Document seen, Schedule hours, Formats f) {
        List<String> remarks = new ArrayList<>();
        Instant at = clock.instant();
        for (int i = 0; i < 2; i++) {
            @Nullable ZoneOffsetTransition change = f.zone().id().getRules().nextTransition(at);
            if (change == null) {
                break;
            }
            at = change.getInstant();
            LocalDate date = change.getDateTimeBefore().toLocalDate();
            int minute = change.getDateTimeBefore().getHour() * 60
                    + change.getDateTimeBefore().getMinute();
            hours.windowsOn(date).stream()
                    .filter(w -> w.from() <= minute && minute < (w.overMidnight() ? w.to() + 1440 : w.to()))
                    .findFirst()
                    .ifPresent(w -> remarks.add(clockChange(change, date, Figures.times(w), f)));
            hours.windowsOn(date.minusDays(1)).stream()
                    .filter(w -> w.overMidnight() && minute < w.to())
                    .findFirst()
                    .ifPresent(w -> remarks.add(clockChange(change, date.minusDays(1), Figures.times(w), f)));
        }
        if (seen.isRetired()) {
            remarks.add(f.text("hours.retired"));
        }
        return remarks;
    }

    private static String clockChange(ZoneOffsetTransition change, LocalDate date, String window, Formats f) {
        long minutes = change.getDuration().abs().toMinutes();
        return f.text(change.isGap() ? "hours.clockForward" : "hours.clockBack", f.shortDay(date), window, minutes);
    }

    private Field others(DocumentRef ref, Formats f) {
        List<Field.Option> options = documents.all().stream()
                .filter(d -> !d.isRetired() && !d.ref().equals(ref))
                .filter(d -> d.ref().kind() == Kind.STAFF
                        || d.ref().kind() == Kind.PLACES
                        || d.ref().kind() == Kind.RESOURCES)
                .map(d -> Field.Option.of(d.ref().kind().code() + "/" + d.ref().id(), d.name()))
                .toList();
        return Field.choices("others", f.text("hours.others"), options);
    }

    /** A date as a field has it; null where it is none, or none that a house has to do with. */
    static @Nullable LocalDate date(String written) {
        try {
            LocalDate date = LocalDate.parse(written.strip());
            return date.getYear() < 2000 || date.getYear() > 2199 ? null : date;
        } catch (DateTimeException e) {
            return null;
        }
    }

    /** The document that a host sees, where there is one and they may change its hours. */
    Optional<Document> seen(Host host, String kind, String id) {
        return Kind.ofCode(kind)
                .filter(k -> k != Kind.PROMO_CODES)
                .map(k -> new DocumentRef(k, id))
                .filter(ref -> may(host, ref))
                .flatMap(ref -> editing.seen(host, ref));
    }

    /** Where a host begins: with the house, or with their own hours. */
    Optional<String> first(Host host) {
        return may(host, DocumentRef.HOUSE)
                ? Optional.of(address(DocumentRef.HOUSE))
                : Optional.of(DocumentRef.staff(host.person()))
                        .filter(ref -> may(host, ref) && documents.find(ref).isPresent())
                        .map(HoursPages::address);
    }

    Figures figures(Formats f) {
        return names.figures(f);
    }

    /** The hours of the house, as a document's. */
    Schedule houseHours(Host host) {
        return editing.seen(host, DocumentRef.HOUSE)
                .map(d -> Hours.of(d.json()))
                .orElse(Schedule.always());
    }
}
