package gastfreund.app.statements;

import gastfreund.app.typed.PlainXml;
import gastfreund.core.money.Money;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/** Reads statements in ISO 20022 camt.053, of whatever version: what is booked and came in, in one currency. */
final class Camt {

    private static final int MOST_LINES = 20_000;
    private static final int ISO_DATE = 10;

    private final String currency;
    private final int digits;
    private final List<StatementLine> lines = new ArrayList<>();

    private Camt(String currency, int digits) {
        this.currency = currency;
        this.digits = digits;
    }

    /** Whether a file may be one. */
    static boolean looksLike(String text) {
        String start = text.stripLeading();
        return start.startsWith("<") || start.startsWith("\uFEFF<");
    }

    /**
     * What came in.
     *
     * @param digits how many the currency has after its point
     */
    static List<StatementLine> read(byte[] file, String currency, int digits) throws UnreadableException {
        try {
            Document document = PlainXml.read(file);
            Element statements = child(document.getDocumentElement(), "BkToCstmrStmt")
                    .orElseThrow(() -> new UnreadableException("statements.noCamt"));
            Camt camt = new Camt(currency, digits);
            for (Element statement : children(statements, "Stmt").toList()) {
                for (Element entry : children(statement, "Ntry").toList()) {
                    camt.entry(entry);
                }
            }
            return camt.lines;
        } catch (SAXException | IOException e) {
            throw new UnreadableException("statements.noXml");
        } catch (DateTimeException | ArithmeticException | NumberFormatException e) {
            throw new UnreadableException("statements.noCamt");
        }
    }

    private void entry(Element entry) throws UnreadableException {
        boolean credit = text(entry, "CdtDbtInd").equals("CRDT");
        boolean reversal = text(entry, "RvslInd").equals("true");
        String status = child(entry, "Sts")
                .map(s -> child(s, "Cd").map(Camt::words).orElseGet(() -> words(s)))
                .orElse("BOOK");
        if (!credit || reversal || !status.equals("BOOK")) {
            return;
        }
        LocalDate booked = child(entry, "BookgDt")
                .map(d -> text(d, "Dt").isEmpty() ? text(d, "DtTm") : text(d, "Dt"))
                .filter(d -> d.length() >= ISO_DATE)
                .map(d -> LocalDate.parse(d.substring(0, ISO_DATE)))
                .orElseThrow(() -> new UnreadableException("statements.noCamt"));
        String mark = text(entry, "AcctSvcrRef");
        List<Element> parts =
                children(entry, "NtryDtls").flatMap(d -> children(d, "TxDtls")).toList();
        if (parts.size() < 2) {
            add(entry, parts.isEmpty() ? entry : parts.get(0), entry, mark, booked, 0);
        } else {
            for (int i = 0; i < parts.size(); i++) {
                add(entry, parts.get(i), parts.get(i), mark, booked, i);
            }
        }
    }

    /**
     * @param said where it is said what it is for
     * @param paid where the amount stands
     */
    private void add(Element entry, Element said, Element paid, String mark, LocalDate booked, int number)
            throws UnreadableException {
        Optional<Element> amount = child(paid, "Amt")
                .or(() -> child(paid, "AmtDtls").flatMap(d -> child(d, "TxAmt")).flatMap(t -> child(t, "Amt")));
        if (amount.isEmpty() || !amount.get().getAttribute("Ccy").equals(currency)) {
            return;
        }
        Money money = Money.ofMinor(
                new BigDecimal(words(amount.get())).movePointRight(digits).longValueExact());
        if (!money.isPositive()) {
            return;
        }
        if (lines.size() == MOST_LINES) {
            throw new UnreadableException("statements.tooMany");
        }
        String name = child(said, "RltdPties")
                .flatMap(p -> child(p, "Dbtr"))
                .map(d -> text(d, "Nm").isEmpty()
                        ? child(d, "Pty").map(p -> text(p, "Nm")).orElse("")
                        : text(d, "Nm"))
                .orElse("");
        String own = child(said, "Refs")
                .map(r -> text(r, "AcctSvcrRef").isEmpty() ? text(r, "TxId") : text(r, "AcctSvcrRef"))
                .orElse("");
        String words = remittance(said).isEmpty() ? text(entry, "AddtlNtryInf") : remittance(said);
        String bank = own.isEmpty() ? mark : own;
        lines.add(new StatementLine(
                bank.isEmpty() ? "" : "bank " + bank + " " + number + " " + booked + " " + money.minor(),
                booked,
                money,
                name,
                words));
    }

    private static String remittance(Element part) {
        Optional<Element> information = child(part, "RmtInf");
        Optional<Element> refs = child(part, "Refs");
        return Stream.of(
                        information.stream().flatMap(r -> children(r, "Ustrd")).map(Camt::words),
                        information.stream()
                                .flatMap(r -> children(r, "Strd"))
                                .flatMap(s -> child(s, "CdtrRefInf").stream())
                                .map(c -> text(c, "Ref")),
                        refs.stream().map(r -> text(r, "EndToEndId")).filter(e -> !e.equals("NOTPROVIDED")))
                .flatMap(s -> s)
                .filter(w -> !w.isEmpty())
                .collect(Collectors.joining(" "));
    }

    private static Stream<Element> children(Element parent, String name) {
        List<Element> found = new ArrayList<>();
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Element element && name.equals(element.getLocalName())) {
                found.add(element);
            }
        }
        return found.stream();
    }

    private static Optional<Element> child(Element parent, String name) {
        return children(parent, name).findFirst();
    }

    private static String text(Element parent, String name) {
        return child(parent, name).map(Camt::words).orElse("");
    }

    private static String words(Element element) {
        return element.getTextContent().strip();
    }
}
