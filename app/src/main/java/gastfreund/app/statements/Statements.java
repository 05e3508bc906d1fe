package gastfreund.app.statements;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.journal.Actor;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads statements of the house's bank account, each once, and takes in the transfers that they say have come. */
@Service
public class Statements {

    private static final Duration BACK = Duration.ofDays(120);
    private static final int MOST_OPEN = 200;
    private static final int MOST_LAST = 30;
    private static final int MOST_NAME = 120;
    private static final int MOST_WORDS = 500;

    private final StatementStore store;
    private final PaymentService payments;
    private final Orders orders;
    private final CatalogueService catalogues;
    private final Clock clock;

    Statements(StatementStore store, PaymentService payments, Orders orders, CatalogueService catalogues, Clock clock) {
        this.store = store;
        this.payments = payments;
        this.orders = orders;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * What came of a file.
     *
     * @param statement its id
     * @param columns whether it waits until its columns are named
     * @param lines how much came in that was not known yet
     * @param matched how much of it was matched by reference and amount
     */
    record Taken(long statement, boolean columns, int lines, int matched) {}

    /** Takes in a file: a statement in camt.053, or a table. */
    @Transactional(rollbackFor = UnreadableException.class)
    public Taken take(byte[] file, String name, Host host) throws UnreadableException {
        String hash = hash(file);
        if (store.has(hash)) {
            throw new UnreadableException("statements.again");
        }
        String text = text(file);
        if (Camt.looksLike(text)) {
            List<StatementLine> lines = Camt.read(file, currency().getCurrencyCode(), digits());
            long id = store.insert(hash, cut(name, MOST_NAME), host.name(), clock.instant(), "");
            return taken(id, lines, host);
        }
        BankTable table = BankTable.read(text);
        Optional<List<BankTable.Column>> known = store.columns(heads(table)).map(Statements::columns);
        if (known.isEmpty()) {
            long id = store.insert(hash, cut(name, MOST_NAME), host.name(), clock.instant(), text);
            return new Taken(id, true, 0, 0);
        }
        List<StatementLine> lines = table.lines(known.get(), digits());
        long id = store.insert(hash, cut(name, MOST_NAME), host.name(), clock.instant(), "");
        return taken(id, lines, host);
    }

    /** Reads a table whose columns somebody has named; the next ones with the same heads are read at once. */
    @Transactional(rollbackFor = UnreadableException.class)
    public Taken read(long statement, List<BankTable.Column> columns, Host host) throws UnreadableException {
        String content = store.find(statement)
                .map(StatementStore.Statement::content)
                .filter(c -> !c.isEmpty())
                .orElseThrow(() -> new UnreadableException("statements.again"));
        BankTable table = BankTable.read(content);
        List<StatementLine> lines = table.lines(columns, digits());
        store.keepColumns(
                heads(table), columns.stream().map(BankTable.Column::code).collect(Collectors.joining(",")));
        store.isRead(statement);
        return taken(statement, lines, host);
    }

    /** The table of a statement that waits for its columns; empty: it does not. */
    Optional<BankTable> table(long statement) {
        return store.find(statement)
                .map(StatementStore.Statement::content)
                .filter(c -> !c.isEmpty())
                .flatMap(c -> {
                    try {
                        return Optional.of(BankTable.read(c));
                    } catch (UnreadableException e) {
                        return Optional.empty();
                    }
                });
    }

    private static String heads(BankTable table) {
        return String.join("\u001f", table.heads());
    }

    private static List<BankTable.Column> columns(String codes) {
        return Stream.of(codes.split(",", -1)).map(BankTable.Column::of).toList();
    }

    private Taken taken(long statement, List<StatementLine> lines, Host host) {
        Map<String, Integer> same = new HashMap<>();
        int fresh = 0;
        int matched = 0;
        for (StatementLine line : lines) {
            StatementLine cut = new StatementLine(
                    line.mark(),
                    line.booked(),
                    line.amount(),
                    cut(line.name(), MOST_NAME),
                    cut(line.words(), MOST_WORDS));
            String mark = line.mark().isEmpty() ? mark(cut, same) : line.mark();
            Optional<Long> id = store.insertLine(statement, cut, mark);
            if (id.isPresent()) {
                fresh++;
                Optional<Matching.Match> certain = matches(cut).stream()
                        .filter(m -> m.sure() == Matching.Sure.CERTAIN)
                        .findFirst();
                if (certain.isPresent()
                        && receive(id.get(), certain.get().awaited().payment(), host.actor())) {
                    matched++;
                }
            }
        }
        return new Taken(statement, false, fresh, matched);
    }

    /** Of a line that the bank gives no name: what it says, and how many of the same came before it in the file. */
    private static String mark(StatementLine line, Map<String, Integer> same) {
        String said = line.booked() + " " + line.amount().minor() + " " + line.name() + " " + line.words();
        return "said " + said + " " + same.merge(said, 1, Integer::sum);
    }

    private boolean receive(long line, String payment, Actor host) {
        return payments.find(payment).filter(p -> payments.received(p, host)).isPresent()
                && store.matched(line, payment);
    }

    /** What a line may be. */
    List<Matching.Match> matches(StatementLine line) {
        return Matching.of(line, awaited());
    }

    private List<Matching.Awaited> awaited() {
        List<Matching.Awaited> awaited = new ArrayList<>();
        for (Payment payment : payments.transfersNotCome(clock.instant().minus(BACK))) {
            Order order = orders.byId(payment.order());
            awaited.add(new Matching.Awaited(
                    payment.id(),
                    payment.atGateway(),
                    payment.amount(),
                    order.contact().name(),
                    order.number()));
        }
        return awaited;
    }

    /** Lines that nobody has matched or laid aside, the oldest first. */
    List<StatementStore.Kept> open() {
        return store.open(MOST_OPEN);
    }

    /** The last statements, the newest first. */
    List<StatementStore.Statement> last() {
        return store.last(MOST_LAST);
    }

    /** What of a statement was matched. */
    List<StatementStore.Kept> matched(long statement) {
        return store.matched(statement);
    }

    /** A host says which transfer a line is; false where it is no longer open, or the transfer has come. */
    @Transactional
    public boolean isFor(long line, String payment, Host host) {
        boolean proposed = store.line(line).filter(l -> l.state().equals("open")).stream()
                .flatMap(l -> matches(l.line()).stream())
                .anyMatch(m -> m.awaited().payment().equals(payment) && m.sure() != Matching.Sure.OTHER_AMOUNT);
        return proposed && receive(line, payment, host.actor());
    }

    /** A host says that a line is nothing that we wait for. */
    @Transactional
    public boolean isOther(long line) {
        return store.other(line);
    }

    private Currency currency() {
        return catalogues.catalogue().house().currency();
    }

    private int digits() {
        return Math.max(0, currency().getDefaultFractionDigits());
    }

    private static String cut(String text, int most) {
        return gastfreund.app.typed.Written.line(text, most);
    }

    /** Most files are UTF-8; of the others, older banking programs' letters are the likeliest. */
    private static String text(byte[] file) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(file, Charset.forName("windows-1252"));
        }
    }

    private static String hash(byte[] file) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(file));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
