package gastfreund.app.statements;

import gastfreund.core.money.Money;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

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

    private static final int MOST_ROWS = 20_000;
    private static final int MOST_COLUMNS = 60;
    private static final List<Character> BETWEEN = List.of(';', ',', '\t');
    private static final List<DateTimeFormatter> DATES = Stream.of(
                    "uuuu-MM-dd", "d.M.uuuu", "d.M.uu", "d/M/uuuu", "d/M/uu", "uuuu/M/d")
            .map(DateTimeFormatter::ofPattern)
            .toList();
    private static final Pattern BLANKS = Pattern.compile("[\\s\\u00a0']++");
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,12}+(?:\\.\\d{1,4}+)?");
    private static final List<String> WHEN = List.of("datum", "date", "booked", "buchung");
    private static final List<String> HOW_MUCH = List.of("betrag", "amount", "credit", "haben");
    private static final List<String> WHO =
            List.of("name", "auftraggeber", "debtor", "payer", "zahlungspflicht", "absender");
    private static final List<String> WHAT_FOR =
            List.of("zweck", "purpose", "reference", "remittance", "details", "text", "beschreibung");

    private final List<List<String>> rows;

    private BankTable(List<List<String>> rows) {
        this.rows = rows;
    }

    /** Whatever is before the line of heads, as banks write it, is left out. */
    static BankTable read(String text) throws UnreadableException {
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return BETWEEN.stream()
                .map(between -> rows(plain, between))
                .max(Comparator.comparing(BankTable::worth))
                .filter(t -> t.rows.size() > 1 && t.heads().size() > 1)
                .orElseThrow(() -> new UnreadableException("statements.noTable"));
    }

    private static BankTable rows(String text, char between) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord row : parser) {
                if (rows.size() > MOST_ROWS) {
                    break;
                }
                rows.add(row.stream().limit(MOST_COLUMNS).toList());
            }
        } catch (IOException e) {
            return new BankTable(List.of());
        } catch (UncheckedIOException e) {
            return new BankTable(List.of());
        }
        int widest = rows.stream().mapToInt(List::size).max().orElse(0);
        int first = 0;
        while (first < rows.size() && rows.get(first).size() < Math.max(2, widest - 1)) {
            first++;
        }
        return new BankTable(List.copyOf(rows.subList(first, rows.size())));
    }

    /** How many fields there are in rows as wide as the first one. */
    private long worth() {
        return rows.stream()
                .filter(r -> r.size() > 1 && r.size() == heads().size())
                .mapToLong(List::size)
                .sum();
    }

    List<String> heads() {
        return rows.isEmpty() ? List.of() : rows.get(0);
    }

    /** The rows below the heads, at most so many. */
    List<List<String>> rows(int most) {
        return rows.subList(1, Math.min(rows.size(), most + 1));
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
        for (List<String> row : rows(MOST_ROWS)) {
            Optional<LocalDate> date = date(said(row, columns, Column.DATE));
            Optional<Money> amount = amount(said(row, columns, Column.AMOUNT), digits);
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

    /** A number as people write it in whatever country: of points and commas the last one is before the cents, where these are few. */
    static Optional<Money> amount(String text, int digits) {
        String plain = BLANKS.matcher(
                        text.replace("\u2212", "-").replace("EUR", "").replace("€", ""))
                .replaceAll("");
        int point = plain.lastIndexOf('.');
        int comma = plain.lastIndexOf(',');
        int last = Math.max(point, comma);
        boolean cents = last >= 0 && plain.length() - last - 1 <= Math.max(digits, 1);
        String number = !cents
                ? plain.replace(".", "").replace(",", "")
                : comma > point ? plain.replace(".", "").replace(',', '.') : plain.replace(",", "");
        if (!NUMBER.matcher(number).matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    Money.ofMinor(new BigDecimal(number).movePointRight(digits).longValueExact()));
        } catch (ArithmeticException e) {
            return Optional.empty();
        }
    }
}
