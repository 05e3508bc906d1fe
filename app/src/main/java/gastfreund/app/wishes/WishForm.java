package gastfreund.app.wishes;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PartOfDay;
import gastfreund.app.typed.GivenDate;
import gastfreund.app.typed.GivenNumber;
import gastfreund.app.typed.MailAddress;
import gastfreund.app.typed.Written;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.wishes.Wish;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A wish as its guest types it.
 *
 * @param choice of what; its length, person and place come first
 * @param start the one session that is wished for; null: any time
 * @param from the first date, as it was typed
 * @param to the last date
 * @param parts in which it may begin; none: at any time
 * @param differs what else is fine: another {@code staff}, {@code length} or {@code place}
 */
record WishForm(
        Choice choice,
        @Nullable Long start,
        String from,
        String to,
        List<String> parts,
        List<String> differs,
        String name,
        String email) {

    static final int MOST_NAME = 120;
    static final int MOST_MAIL = 200;

    /** For how many days a guest can wait at once. */
    static final int MOST_DAYS = 62;

    /** What was sent, unchecked; each may be null. */
    record Asked(
            @Nullable String start,
            @Nullable String from,
            @Nullable String to,
            @Nullable List<String> parts,
            @Nullable List<String> differs,
            @Nullable String name,
            @Nullable String email) {}

    static WishForm of(Choice choice, Asked asked, LocalDate today, Catalogue catalogue) {
        LocalDate day = choice.day() == null || choice.day().isBefore(today) ? today : choice.day();
        Optional<Long> start = GivenNumber.of(asked.start()).stream().boxed().findFirst();
        LocalDate only = start.map(s -> catalogue.zone().dateOf(s)).orElse(day);
        return new WishForm(
                choice,
                start.orElse(null),
                said(asked.from(), only.toString()),
                said(asked.to(), only.toString()),
                asked.parts() == null ? List.of() : asked.parts(),
                asked.differs() == null ? List.of() : asked.differs(),
                Written.line(said(asked.name(), ""), MOST_NAME),
                said(asked.email(), "").strip());
    }

    private static String said(@Nullable String typed, String otherwise) {
        return typed == null ? otherwise : typed;
    }

    /** What of it cannot be so, as keys of texts by the names of the fields. */
    Map<String, String> wrong(LocalDate today) {
        Map<String, String> wrong = new LinkedHashMap<>();
        Optional<LocalDate> first = GivenDate.of(from);
        Optional<LocalDate> last = GivenDate.of(to);
        if (first.isEmpty()) {
            wrong.put("from", "wish.wrong.date");
        }
        if (last.isEmpty()) {
            wrong.put("to", "wish.wrong.date");
        } else if (last.get().isBefore(today)) {
            wrong.put("to", "wish.wrong.over");
        } else if (first.isPresent() && last.get().isBefore(first.get())) {
            wrong.put("to", "wish.wrong.order");
        } else if (first.isPresent() && first.get().plusDays(MOST_DAYS - 1L).isBefore(last.get())) {
            wrong.put("to", "wish.wrong.long");
        }
        if (name.isEmpty()) {
            wrong.put("name", "wish.wrong.name");
        }
        if (email.length() > MOST_MAIL || !MailAddress.isOne(email)) {
            wrong.put("email", "wish.wrong.email");
        }
        return wrong;
    }

    /** The wish, where nothing of it is wrong. */
    Wish wish(String id, Catalogue catalogue) {
        Offer offer = choice.offer();
        return new Wish(
                id,
                offer.id(),
                choice.party(),
                offer.hasTimetable() ? List.of() : lengths(offer),
                places(catalogue),
                differs.contains("staff") ? null : choice.staff(),
                GivenDate.of(from).orElseThrow(),
                GivenDate.of(to).orElseThrow(),
                start != null
                        ? List.of()
                        : Arrays.stream(PartOfDay.values())
                                .filter(p -> parts.contains(p.word()))
                                .map(PartOfDay::window)
                                .toList(),
                start);
    }

    private List<LengthId> lengths(Offer offer) {
        Set<LengthId> lengths = new LinkedHashSet<>(List.of(choice.length().id()));
        if (differs.contains("length")) {
            offer.lengths().stream().map(Length::id).forEach(lengths::add);
        }
        return List.copyOf(lengths);
    }

    private List<PlaceId> places(Catalogue catalogue) {
        if (choice.offer().hasTimetable()) {
            return List.of();
        }
        List<PlaceId> places = new ArrayList<>();
        if (choice.place() != null) {
            places.add(choice.place());
        }
        if (differs.contains("place")) {
            catalogue.house().placesOf(choice.offer()).stream()
                    .filter(p -> !places.contains(p))
                    .forEach(places::add);
        }
        return places;
    }
}
