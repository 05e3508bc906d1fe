package gastfreund.app.typed;

import gastfreund.core.money.Money;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A table (CSV) of whatever program: with whatever comes between its columns, and whatever stands before their heads. */
public final class GivenTable {

    private static final int MOST_ROWS = 20_000;
    private static final int MOST_COLUMNS = 60;
    private static final List<Character> BETWEEN = List.of(';', ',', '\t');
    private static final Pattern BLANKS = Pattern.compile("[\\s\\u00a0']++");
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,12}+(?:\\.\\d{1,4}+)?");

    private final List<List<String>> rows;

    private GivenTable(List<List<String>> rows) {
        this.rows = rows;
    }

    /** Empty where it is no table of at least two columns and a row. */
    public static Optional<GivenTable> read(String text) {
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return BETWEEN.stream()
                .map(between -> rows(plain, between))
                .max(Comparator.comparing(GivenTable::worth))
                .filter(t -> t.rows.size() > 1 && t.heads().size() > 1);
    }

    private static GivenTable rows(String text, char between) {
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
        } catch (IOException | UncheckedIOException e) {
            return new GivenTable(List.of());
        }
        int widest = rows.stream().mapToInt(List::size).max().orElse(0);
        int first = 0;
        while (first < rows.size() && rows.get(first).size() < Math.max(2, widest - 1)) {
            first++;
        }
        return new GivenTable(List.copyOf(rows.subList(first, rows.size())));
    }

    /** How many fields there are in rows as wide as the first one. */
    private long worth() {
        return rows.stream()
                .filter(r -> r.size() > 1 && r.size() == heads().size())
                .mapToLong(List::size)
                .sum();
    }

    public List<String> heads() {
        return rows.isEmpty() ? List.of() : rows.get(0);
    }

    /** The rows below the heads. */
    public List<List<String>> rows() {
        return rows.subList(1, rows.size());
    }

    /** The first rows below the heads, at most so many. */
    public List<List<String>> rows(int most) {
        return rows.subList(1, Math.min(rows.size(), most + 1));
    }

    /** A number as people write it in whatever country: of points and commas the last one is before the cents, where these are few. */
    public static Optional<Money> amount(String text, int digits) {
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
