package gastfreund.app.byhand;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.MailAddress;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Series;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** The page on which a host books for a guest, from what was typed. */
@Component
class ByHandPages {

    /** How guests come who do not book by themselves. */
    static final List<String> SOURCES = List.of("telephone", "walk-in", "mail", "desk");

    private final ByHand byHand;
    private final ByHandFields fields;
    private final CatalogueService catalogues;
    private final Tokens tokens;
    private final TransactionTemplate transaction;
    private final Clock clock;

    ByHandPages(
            ByHand byHand,
            ByHandFields fields,
            CatalogueService catalogues,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock) {
        this.fields = fields;
        this.tokens = tokens;
        this.transaction = transaction;
        this.byHand = byHand;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * What was typed, and what that means.
     *
     * @param chosen null where nothing can be had
     * @param basket for its place; no more than a name before something is held
     * @param wrong what is wrong, by fields
     */
    record State(
            ByHandForm form,
            Choice choice,
            LocalDate day,
            List<Answer.Entry> times,
            ByHand.@Nullable Chosen chosen,
            String basket,
            Map<String, String> wrong) {

        State in(String other) {
            return new State(form, choice, day, times, chosen, other, wrong);
        }

        State wrong(Map<String, String> what) {
            return new State(form, choice, day, times, chosen, basket, what);
        }
    }

    /** @param order null where something is wrong, which the page says */
    record Done(@Nullable Order order, @Nullable ByHandPage page) {}

    /** What was typed means; nothing is held by it. */
    State state(ByHandForm form) {
        Catalogue catalogue = catalogues.catalogue();
        List<Offer> offers = ByHandFields.offers(catalogue);
        StaffId person = new StaffId(ByHandForm.said(form.staff()).isBlank() ? "-" : ByHandForm.said(form.staff()));
        Offer offer = offers.stream()
                .filter(o -> o.id().value().equals(form.offer()))
                .findFirst()
                .or(() -> offers.stream().filter(o -> o.servedBy(person)).findFirst())
                .orElseGet(() -> offers.get(0));
        Choice choice = Choice.of(catalogue.house(), offer, form.asked());
        LocalDate today = catalogue.zone().dateOf(clock.instant());
        LocalDate day = form.date()
                .or(() -> form.near().isPresent()
                        ? Optional.of(catalogue.zone().dateOf(form.near().getAsLong()))
                        : Optional.empty())
                .filter(d -> !d.isBefore(today.minusYears(1)) && d.isBefore(today.plusYears(3)))
                .orElse(today);
        String basket = form.basket().orElseGet(tokens::next);
        List<Answer.Entry> times = byHand.times(choice, day, basket);
        OptionalLong start = form.chosenStart();
        ByHand.Chosen chosen = start.isPresent()
                ? byHand.chosen(choice, times, start.getAsLong(), form.inSpite(), basket)
                        .orElse(null)
                : null;
        if (chosen == null) {
            chosen = nearest(times, form, day, today)
                    .flatMap(e -> byHand.chosen(choice, times, e.time().start(), form.inSpite(), basket))
                    .orElse(null);
        }
        return new State(form, choice, day, times, chosen, basket, Map.of());
    }

    /** The opening that lies nearest to what was asked for: a minute, now where it is today, or the first. */
    private Optional<Answer.Entry> nearest(List<Answer.Entry> times, ByHandForm form, LocalDate day, LocalDate today) {
        long now = clock.instant().getEpochSecond() / 60;
        long from = form.near().orElse(day.equals(today) ? now : Long.MIN_VALUE);
        Stream<Answer.Entry> open = times.stream().filter(Answer.Entry::isOpen);
        return form.near().isPresent()
                ? open.min(Comparator.comparingLong(e -> Math.abs(e.time().start() - from)))
                : open.filter(e -> e.time().start() >= from).findFirst();
    }

    /**
     * The same, with what is chosen held from now on: it is free when it is held, for it is looked for in the same transaction. A
     * form that was booked holds nothing more: what of it comes late would be held for nobody.
     */
    State held(ByHandForm form, Host host) {
        return transaction.execute(status -> {
            State state = state(form);
            if (byHand.madeOf(state.basket()).isPresent()) {
                return state.in(tokens.next());
            }
            hold(state, host);
            return state;
        });
    }

    private void hold(State state, Host host) {
        ByHand.Chosen chosen = state.chosen();
        if (chosen == null) {
            byHand.release(state.basket());
        } else if (!byHand.holds(state.basket(), state.choice(), chosen)) {
            byHand.hold(state.choice(), chosen, state.basket(), "desk-" + host.id());
        }
    }

    void leave(String basket) {
        byHand.release(basket);
    }

    /**
     * Books it: in one transaction, so that what else comes of the same form finds it either held or booked. The same form again is
     * the same booking.
     */
    Done place(ByHandForm form, Host host, Formats f) {
        return transaction.execute(status -> {
            State state = state(form);
            Optional<Order> made = byHand.madeOf(state.basket());
            if (made.isPresent() && form.isOf(made.get(), f)) {
                return new Done(made.get(), null);
            }
            return placed(made.isPresent() ? state.in(tokens.next()) : state, host, f);
        });
    }

    private Done placed(State state, Host host, Formats f) {
        hold(state, host);
        Map<String, String> wrong = wrong(state, host, f);
        if (!wrong.isEmpty()) {
            return new Done(null, page(state.wrong(wrong), host, f));
        }
        ByHandForm form = state.form();
        Optional<Money> own = form.ownPrice(f);
        Contact contact = form.contact();
        Optional<Order> order = byHand.book(new ByHand.Wish(
                state.basket(),
                contact,
                SOURCES.contains(ByHandForm.said(form.source())) ? ByHandForm.said(form.source()) : SOURCES.get(0),
                repeat(state),
                own.filter(p -> computed(state).stream().anyMatch(c -> !c.equals(p)))
                        .orElse(null),
                form.reason(),
                ByHand.Way.of(form.way()),
                form.tells() && !contact.email().isBlank(),
                catalogues.catalogue().extras().manners().first(),
                host.actor()));
        return order.map(o -> new Done(o, null))
                .orElseGet(() -> new Done(null, page(state.wrong(Map.of("start", f.text("byhand.gone"))), host, f)));
    }

    private Map<String, String> wrong(State state, Host host, Formats f) {
        Map<String, String> wrong = new HashMap<>();
        ByHandForm form = state.form();
        Contact contact = form.contact();
        boolean link = ByHand.Way.of(form.way()) == ByHand.Way.LINK;
        if (contact.name().isBlank()) {
            wrong.put("name", f.text("byhand.noName"));
        }
        if (!contact.email().isBlank() && !MailAddress.isOne(contact.email())) {
            wrong.put("email", f.text("checkout.email.wrong"));
        } else if (contact.email().isBlank() && (link || form.tells())) {
            wrong.put("email", f.text(link ? "byhand.linkNeedsMail" : "byhand.tellNeedsMail"));
        }
        ByHand.Chosen chosen = state.chosen();
        if (chosen == null) {
            wrong.put("start", f.text("byhand.nothing"));
        } else if (form.chosenStart().orElse(chosen.time().start())
                != chosen.time().start()) {
            wrong.put("start", f.text("byhand.gone"));
        }
        if (!ByHandForm.said(form.price()).isBlank()) {
            Optional<Money> price = form.ownPrice(f);
            List<Money> computed = computed(state);
            if (price.isEmpty()) {
                wrong.put("price", f.text("byhand.noAmount"));
            } else if (computed.stream().anyMatch(p -> !p.equals(price.get()))) {
                boolean lower = computed.stream().anyMatch(p -> price.get().compareTo(p) < 0);
                if (lower && !host.may(Right.GIVE_MONEY)) {
                    wrong.put("price", f.text("byhand.mayNotLower"));
                } else if (form.reason().isBlank()) {
                    wrong.put("why", f.text("byhand.noReason"));
                }
            }
        }
        return wrong;
    }

    /** What each of its dates costs as it is computed; nothing where nothing is chosen. */
    private List<Money> computed(State state) {
        if (state.chosen() == null) {
            return List.of();
        }
        ByHand.Repeat repeat = repeat(state);
        Stream<Money> dates = repeat == null
                ? Stream.of()
                : byHand.series(repeat, state.basket()).dates().stream()
                        .flatMap(d -> Optional.ofNullable(d.option()).stream())
                        .map(o -> o.opening().price());
        return Stream.concat(Stream.of(state.chosen().price()), dates).toList();
    }

    ByHandPage page(State state, Host host, Formats f) {
        ByHand.Chosen chosen = state.chosen();
        ByHand.Repeat repeat = repeat(state);
        Series.Found found = repeat == null ? null : byHand.series(repeat, state.basket());
        return new ByHandPage(
                state.wrong().isEmpty() ? List.of() : List.of(Note.warn(f.text("byhand.wrong"))),
                fields.what(state, f),
                ByHandFields.addOns(state, f),
                List.of(Field.hidden("held", state.basket())),
                ByHandFields.who(state, f),
                ByHandFields.money(state, host, f),
                chosen == null ? "" : title(state, chosen, f),
                chosen == null ? "" : f.money(chosen.price()),
                chosen == null || chosen.option().isOpen() ? "" : against(state, chosen, f),
                series(found, state, f),
                found == null ? "" : f.text("byhand.seriesSum", found.free(), f.money(found.price())),
                byHand.heldUntil(state.basket()).orElse(null),
                host.may(Right.SEE_ALL));
    }

    /** The same time again, where that is wanted. */
    private ByHand.@Nullable Repeat repeat(State state) {
        ByHand.Chosen chosen = state.chosen();
        boolean again = chosen != null
                && state.form().dates() > 1
                && !state.choice().offer().hasTimetable();
        return again
                ? new ByHand.Repeat(
                        state.choice(),
                        Objects.requireNonNull(chosen).time().start(),
                        state.form().dates(),
                        state.form().weeks(),
                        state.form().picked().stream()
                                .collect(Collectors.toMap(
                                        s -> catalogues.catalogue().zone().dateOf(s), s -> s, (a, b) -> b)))
                : null;
    }

    private List<ByHandPage.SeriesDate> series(Series.@Nullable Found found, State state, Formats f) {
        return found == null
                ? List.of()
                : found.dates().stream().map(d -> date(d, state, f)).toList();
    }

    private ByHandPage.SeriesDate date(Series.Date date, State state, Formats f) {
        if (date.time() != null && date.option() != null) {
            String names = fields.words(f).names(date.option().staff());
            String when = f.dayAndTimes(date.time()) + (names.isEmpty() ? "" : ", " + names);
            boolean picked = state.form().picked().contains(date.time().start());
            return new ByHandPage.SeriesDate(
                    when + ": " + f.money(date.option().opening().price()),
                    picked ? Long.toString(date.time().start()) : "",
                    List.of());
        }
        return new ByHandPage.SeriesDate(
                f.text(date.nearest().isEmpty() ? "byhand.notThen" : "byhand.notThenBut", f.shortDay(date.date())),
                "",
                date.nearest().stream()
                        .map(s -> Field.Option.of(Long.toString(s), f.time(Interval.instantOf(s))))
                        .toList());
    }

    private String title(State state, ByHand.Chosen chosen, Formats f) {
        String when = f.dayAndTimes(chosen.time());
        String names = fields.words(f).names(chosen.option().staff());
        return names.isEmpty() ? when : f.text("move.with", when, names);
    }

    private String against(State state, ByHand.Chosen chosen, Formats f) {
        return fields.said(state, chosen.option(), chosen.time(), f);
    }
}
