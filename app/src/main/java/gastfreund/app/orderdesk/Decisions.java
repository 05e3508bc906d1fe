package gastfreund.app.orderdesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.endings.Attendance;
import gastfreund.app.endings.Endings;
import gastfreund.app.endings.Rivals;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.MailboxSettings;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.pages.Field;
import gastfreund.app.talks.HouseNote;
import gastfreund.app.talks.Talks;
import gastfreund.app.till.Hand;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a host may decide about an order, its bookings, and what it buys: by their rights, and by how things stand. */
@Component
public class Decisions {

    private static final int MOST_REASON = 500;

    private final Endings endings;
    private final Attendance attendance;
    private final CatalogueService catalogues;
    private final Talks talks;
    private final Rivals rivals;
    private final MailboxSettings mailbox;
    private final OnceMore onceMore;

    Decisions(
            Endings endings,
            Attendance attendance,
            CatalogueService catalogues,
            Talks talks,
            Rivals rivals,
            MailboxSettings mailbox,
            OnceMore onceMore) {
        this.onceMore = onceMore;
        this.rivals = rivals;
        this.talks = talks;
        this.mailbox = mailbox;
        this.catalogues = catalogues;
        this.endings = endings;
        this.attendance = attendance;
    }

    /** @param typed what the host wrote that could not be done */
    public List<Decision> about(Order order, OrderLine line, Host host, Typed typed, Formats f) {
        String at = "/desk/orders/" + order.number() + "/bookings/" + line.booking();
        boolean asks = line.status() == BookingStatus.REQUESTED;
        List<Decision> decisions = new ArrayList<>();
        if (asks && host.may(Right.ANSWER)) {
            decisions.addAll(answers(at, line, typed, f));
        }
        if (attendance.canCome(line) && host.may(Right.NOTE)) {
            decisions.addAll(came(at, line, f));
        }
        if (!asks && line.unpaid().isPositive() && host.may(Right.TAKE_MONEY)) {
            decisions.add(Decision.asking(
                    at + "/paid",
                    f.text("desk.onTheSpot"),
                    f.text("desk.onTheSpotGo"),
                    "",
                    Field.hidden("seen", Long.toString(line.paid().minor())),
                    amount("paid", line, f.text("desk.amount"), line.unpaid(), typed, f),
                    Field.choice(
                                    "hand",
                                    f.text("desk.hand"),
                                    Arrays.stream(Hand.values())
                                            .map(h -> Field.Option.of(h.code(), f.text("gateway." + h.code())))
                                            .toList())
                            .id("hand-" + line.booking())
                            .value(Hand.CASH.code()),
                    Field.amount("given", f.text("desk.given"))
                            .id("given-" + line.booking())
                            .help(f.text("desk.givenHelp"))));
        }
        if (line.paid().isPositive() && host.may(Right.GIVE_MONEY)) {
            decisions.add(Decision.asking(
                    at + "/refund",
                    f.text("desk.refund"),
                    f.text("desk.refundGo"),
                    "",
                    Field.hidden("seen", Long.toString(line.paid().minor())),
                    amount("refunded", line, f.text("desk.refundAmount", f.money(line.paid())), line.paid(), typed, f),
                    why("refunded", line, typed, f)));
        }
        if (line.canBeCancelled() && host.may(Right.MOVE)) {
            decisions.add(Decision.leading(at + "/move", f.text("move.title")));
        }
        if (attendance.canBeMissed(line) && host.may(Right.GIVE_MONEY)) {
            String back = f.text("desk.missedHelp", f.money(attendance.backAfterNoShow(line)));
            decisions.add(Decision.asking(at + "/missed", f.text("desk.missed"), f.text("desk.missedGo"), back));
        }
        if (line.status() == BookingStatus.CONFIRMED && host.may(Right.GIVE_MONEY)) {
            decisions.add(cancel(at, line, typed, f));
        }
        decisions.addAll(words(order, line, at, host, f));
        return decisions;
    }

    /** Yes or no to a request, each with a line to the guest where one is wanted. */
    private List<Decision> answers(String at, OrderLine line, Typed typed, Formats f) {
        boolean agreed =
                catalogues.catalogue().isAgreed(line.offer()) && line.total().isZero();
        List<Decision> answers = new ArrayList<>();
        if (agreed) {
            answers.add(Decision.asking(
                    at + "/accept-for",
                    f.text("desk.acceptAgreed"),
                    f.text("desk.accept"),
                    f.text("desk.acceptAgreedHelp"),
                    amount("agreed", line, f.text("desk.agreedPrice"), Money.ZERO, typed, f)));
        } else {
            String yes = line.dueNow().isPositive()
                    ? f.text("desk.acceptFor", f.money(line.dueNow()))
                    : f.text("desk.accept");
            Rivals.Found others = rivals.of(line);
            if (others.isNobody()) {
                answers.add(Decision.atOnce(at + "/accept", yes, true));
            }
            answers.add(yes(at, line, others, others.isNobody() ? f.text("desk.acceptWith") : yes + " \u2026", f));
        }
        answers.add(Decision.asking(
                at + "/decline",
                f.text("desk.decline"),
                f.text("desk.declineGo"),
                "",
                why("why-no-" + line.booking(), "", f).label(f.text("desk.whyGuest"))));
        return answers;
    }

    /** Yes with a line to the guest; where others want the same time, with what becomes of them. */
    private static Decision yes(String at, OrderLine line, Rivals.Found others, String label, Formats f) {
        String id = line.booking().value();
        List<Field> fields = new ArrayList<>();
        fields.add(Field.line("words", f.text("desk.wordsToGuest"), MOST_REASON).id("words-yes-" + id));
        List<String> help = new ArrayList<>();
        if (!others.standing().isEmpty()) {
            help.add(f.text("desk.standing", names(others.standing(), f)));
            fields.add(Field.hidden("inSpite", "true"));
        }
        if (!others.asking().isEmpty()) {
            help.add(f.text("desk.asksToo", names(others.asking(), f)));
            fields.add(Field.tick("others", f.text("desk.declineOthers"), true).id("others-" + id));
            fields.add(Field.line("wordsToOthers", f.text("desk.wordsToOthers"), MOST_REASON)
                    .id("words-others-" + id)
                    .value(f.text("desk.otherCame")));
        }
        return Decision.asking(
                at + "/accept", label, f.text("desk.accept"), String.join(" ", help), fields.toArray(Field[]::new));
    }

    private static String names(List<Rivals.Rival> rivals, Formats f) {
        return rivals.stream()
                .map(r -> r.order().contact().name() + " (" + r.line().sold().title() + ", "
                        + f.dayAndTimes(r.line().time()) + ")")
                .collect(Collectors.joining("; "));
    }

    private List<Decision> came(String at, OrderLine line, Formats f) {
        Attendance.Came came = attendance.came(line);
        return Arrays.stream(Attendance.Came.values())
                .filter(c -> c != came)
                .map(c -> Decision.atOnce(
                                at + "/came",
                                f.text(c == Attendance.Came.NOT_NOTED ? "desk.came.not" : "desk.came." + c.code()),
                                false)
                        .with("came", c.code()))
                .toList();
    }

    /** What may be said of a booking, and done after it. */
    private List<Decision> words(Order order, OrderLine line, String at, Host host, Formats f) {
        List<Decision> words = new ArrayList<>();
        if (host.may(Right.WRITE) && talks.canWrite(order)) {
            words.add(write(order, at, line.booking().value(), f));
        }
        if (host.may(Right.NOTE)) {
            String note = talks.note(line.booking()).map(HouseNote::words).orElse("");
            words.add(Decision.asking(
                    at + "/note",
                    f.text(note.isEmpty() ? "desk.noteNew" : "desk.noteChange"),
                    f.text("desk.noteGo"),
                    "",
                    Field.text("words", f.text("desk.note"), Talks.MOST_WORDS)
                            .id("note-" + line.booking())
                            .value(note)));
        }
        if (host.may(Right.BOOK)) {
            words.add(Decision.leading(onceMore.another(order, line), f.text("desk.again")));
            onceMore.everyWeek(order, line).ifPresent(a -> words.add(Decision.leading(a, f.text("desk.everyWeek"))));
        }
        return words;
    }

    /** Whether its guests came, in words; empty where that was not noted. */
    public String came(OrderLine line, Formats f) {
        Attendance.Came came = attendance.came(line);
        return came == Attendance.Came.NOT_NOTED ? "" : f.text("desk.came." + came.code());
    }

    /** Writing to the guest of an order about the whole of it. */
    Optional<Decision> write(Order order, Host host, Formats f) {
        return host.may(Right.WRITE) && talks.canWrite(order)
                ? Optional.of(write(order, "/desk/orders/" + order.number(), "order", f))
                : Optional.empty();
    }

    private Decision write(Order order, String at, String id, Formats f) {
        return Decision.asking(
                at + "/write",
                f.text("desk.write"),
                f.text("desk.writeGo"),
                f.text(mailbox.isRead() ? "desk.writeHelp" : "desk.writeElsewhere"),
                Field.text("words", f.text("desk.words", order.contact().name()), Talks.MOST_WORDS)
                        .id("words-" + id)
                        .required());
    }

    private Decision cancel(String at, OrderLine line, Typed typed, Formats f) {
        Terms.Outcome outcome = endings.byTheTerms(line);
        boolean wrong = typed.into("cancelled", line.booking());
        return Decision.asking(
                at + "/cancel",
                f.text("desk.cancel"),
                f.text("desk.cancelGo"),
                f.text("desk.byTheTerms", f.money(outcome.refund()), f.money(line.paid())),
                amount("cancelled", line, f.text("desk.amountBack"), outcome.refund(), typed, f),
                why("cancelled", line, typed, f).label(f.text("desk.whyGuest")),
                Field.tick("tell", f.text("desk.tell"), !wrong || typed.tell()).id("tell-" + line.booking()));
    }

    private static Field amount(String form, OrderLine line, String label, Money proposed, Typed typed, Formats f) {
        Field field = Field.amount("amount", label).id(form + "-" + line.booking());
        return typed.into(form, line.booking())
                ? field.value(typed.amount()).wrong(f.text(typed.problem())).with("autofocus", "autofocus")
                : field.value(f.field(proposed));
    }

    private static Field why(String form, OrderLine line, Typed typed, Formats f) {
        String written = typed.into(form, line.booking()) ? typed.why() : "";
        return why("why-" + form + "-" + line.booking(), written, f);
    }

    private static Field why(String id, String written, Formats f) {
        return Field.line("why", f.text("desk.why"), MOST_REASON).id(id).value(written);
    }

    /** About a voucher or a pass of which nothing was used, or a ware. */
    List<Decision> about(Order order, OrderRows.Bought bought, Host host, Formats f) {
        Prepaid prepaid = bought.prepaid();
        boolean whole = prepaid == null ? bought.goods().sold() : prepaid.rest() == prepaid.worth();
        boolean unused = whole && !bought.goods().returned();
        if (!unused || !host.may(Right.GIVE_MONEY)) {
            return List.of();
        }
        String action =
                "/desk/orders/" + order.number() + "/goods/" + bought.goods().id() + "/return";
        return List.of(Decision.atOnce(
                action, f.text("desk.takeBack", f.money(bought.goods().price())), false));
    }

    /** About an order that waits for its money. */
    List<Decision> about(Order order, Host host, Formats f) {
        if (order.status() != OrderStatus.WAITING || !host.may(Right.GIVE_MONEY)) {
            return List.of();
        }
        return List.of(Decision.asking(
                "/desk/orders/" + order.number() + "/release",
                f.text("desk.callOff"),
                f.text("desk.callOffGo"),
                f.text("desk.callOffHelp")));
    }
}
