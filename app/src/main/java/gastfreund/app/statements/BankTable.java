package gastfreund.app.statements;

import gastfreund.app.typed.GivenTable;
import gastfreund.core.money.Money;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A bank's table (CSV): with whatever comes between its columns, and its numbers and dates as they are written there. */
final class BankTable {

    /** What columns can be. */
    enum Column {
        DATE,
        AMOUNT,
        NAME,
        WORDS,
        NOTHING;

        /** The name in forms and tables. */
        String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Column of(String code) {
            return Stream.of(values())
                    .filter(c -> c.code().equals(code))
                    .findFirst()
                    .orElse(NOTHING);
        }
    }

    private static final List<DateTimeFormatter> DATES = Stream.of(
                    "uuuu-MM-dd", "d.M.uuuu", "d.M.uu", "d/M/uuuu", "d/M/uu", "uuuu/M/d")
            .map(DateTimeFormatter::ofPattern)
            .toList();
    private static final List<String> WHEN = List.of("datum", "date", "booked", "buchung");
    private static final List<String> HOW_MUCH = List.of("betrag", "amount", "credit", "haben");
    private static final List<String> WHO =
            List.of("name", "auftraggeber", "debtor", "payer", "zahlungspflicht", "absender");
    private static final List<String> WHAT_FOR =
            List.of("zweck", "purpose", "reference", "remittance", "details", "text", "beschreibung");

    private final GivenTable table;

    private BankTable(GivenTable table) {
        this.table = table;
    }

    /** Whatever is before the line of heads, as banks write it, is left out. */
    static BankTable read(String text) throws UnreadableException {
        return GivenTable.read(text)
                .map(BankTable::new)
                .orElseThrow(() -> new UnreadableException("statements.noTable"));
    }

    List<String> heads() {
        return table.heads();
    }

    /** The rows below the heads, at most so many. */
    List<List<String>> rows(int most) {
        return table.rows(most);
    }

    /** What the columns seem to be, by their heads. */
    List<Column> guessed() {
        List<Column> columns = new ArrayList<>();
        for (String head : heads()) {
            Column guess = says(head, WHEN)
                    ? Column.DATE
                    : says(head, HOW_MUCH)
                            ? Column.AMOUNT
                            : says(head, WHAT_FOR) ? Column.WORDS : says(head, WHO) ? Column.NAME : Column.NOTHING;
            boolean again = guess != Column.WORDS && columns.contains(guess);
            columns.add(again ? Column.NOTHING : guess);
        }
        return columns;
    }

    private static boolean says(String head, List<String> words) {
        String plain = head.toLowerCase(Locale.ROOT);
        return words.stream().anyMatch(plain::contains);
    }

    /**
     * What came in; rows that say no date or no amount are left out, as sums at the end.
     *
     * @throws UnreadableException where no column says when or how much, or no row can be read
     */
    List<StatementLine> lines(List<Column> columns, int digits) throws UnreadableException {
        if (!columns.contains(Column.DATE) || !columns.contains(Column.AMOUNT)) {
            throw new UnreadableException("statements.noColumns");
        }
        List<StatementLine> lines = new ArrayList<>();
        boolean any = false;
        for (List<String> row : table.rows()) {
            Optional<LocalDate> date = date(said(row, columns, Column.DATE));
            Optional<Money> amount = GivenTable.amount(said(row, columns, Column.AMOUNT), digits);
            any |= date.isPresent() && amount.isPresent();
            if (date.isPresent() && amount.filter(Money::isPositive).isPresent()) {
                lines.add(new StatementLine(
                        "",
                        date.get(),
                        amount.get(),
                        said(row, columns, Column.NAME),
                        said(row, columns, Column.WORDS)));
            }
        }
        if (!any) {
            throw new UnreadableException("statements.noRows");
        }
        return lines;
    }

    private static String said(List<String> row, List<Column> columns, Column what) {
        StringBuilder said = new StringBuilder();
        for (int i = 0; i < Math.min(row.size(), columns.size()); i++) {
            if (columns.get(i) == what && !row.get(i).isEmpty()) {
                said.append(said.isEmpty() ? "" : " ").append(row.get(i));
            }
        }
        return said.toString();
    }

    static Optional<LocalDate> date(String text) {
        for (DateTimeFormatter format : DATES) {
            try {
                return Optional.of(LocalDate.parse(text, format));
            } catch (DateTimeException e) {
                // The next one may fit.
            }
        }
        return Optional.empty();
    }
}
