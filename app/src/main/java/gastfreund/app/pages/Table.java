package gastfreund.app.pages;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * A table as CSV (RFC 4180) with names of columns in the first row. A value that a table program would take for a formula is
 * written with an apostrophe before it.
 */
public final class Table {

    /** What a formula begins with. */
    public static final String FORMULA = "=+-@\t\r";

    /** What is written before it. */
    public static final String APART = "'";

    private static final Pattern NUMBER = Pattern.compile("\\A-?[0-9.]++\\z");

    private Table() {}

    /** @param rows each with as many values as there are columns */
    public static String written(List<String> columns, List<List<String>> rows) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(columns);
            for (List<String> row : rows) {
                csv.printRecord(row.stream().map(Table::safe).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String safe(String value) {
        boolean number = NUMBER.matcher(value).matches();
        return !value.isEmpty() && FORMULA.indexOf(value.charAt(0)) >= 0 && !number ? APART + value : value;
    }

    /** The same as a file to be kept. */
    public static ResponseEntity<String> file(String name, List<String> columns, List<List<String>> rows) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(written(columns, rows));
    }
}
