package gastfreund.app.files;

import gastfreund.app.editing.Sort;
import gastfreund.app.pages.Table;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;
import tools.jackson.databind.JsonNode;

/**
 * Reads tables as {@link Table} writes them: the apostrophe before what a table program would take for a formula is taken away
 * again.
 */
final class Csv {

    private static final int MOST_ROWS = 5000;
    private static final Pattern WHOLE = Pattern.compile("\\A-?\\d{1,12}+\\z");

    private Csv() {}

    /**
     * Reads rows by the names of their columns; a semicolon between values is understood too.
     *
     * @throws UnfitFileException where it is no table, has other columns, or too many rows
     */
    static List<Map<String, String>> read(String text, List<String> columns) {
        String clean = text.startsWith("\ufeff") ? text.substring(1) : text;
        String head = clean.lines().findFirst().orElse("");
        char between = head.contains(";") && !head.contains(",") ? ';' : ',';
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(between)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
                .get();
        List<Map<String, String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(clean), format)) {
            for (String name : parser.getHeaderNames()) {
                if (!columns.contains(name)) {
                    throw new UnfitFileException(List.of("column " + name));
                }
            }
            for (CSVRecord record : parser) {
                if (rows.size() == MOST_ROWS) {
                    throw new UnfitFileException(List.of("> " + MOST_ROWS));
                }
                Map<String, String> row = new HashMap<>();
                record.toMap().forEach((name, value) -> row.put(name, plain(value)));
                rows.add(row);
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            // The parser says in all these ways that it is no table.
            throw new UnfitFileException(List.of(String.valueOf(e.getMessage())));
        }
        return rows;
    }

    /** A value as one of a document. What is no number where one belongs comes in as it is, and is told as a fault. */
    static JsonNode value(String value, boolean number) {
        return number && WHOLE.matcher(value).matches()
                ? Sort.number(Long.parseLong(value))
                : Sort.JSON.stringNode(value);
    }

    private static String plain(String value) {
        return value.startsWith(Table.APART) && value.length() > 1 && Table.FORMULA.indexOf(value.charAt(1)) >= 0
                ? value.substring(1)
                : value;
    }
}
