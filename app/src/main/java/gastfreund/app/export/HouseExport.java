package gastfreund.app.export;

import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.documents.DocumentFiles;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.storage.DataFolder;
import gastfreund.app.storage.Reading;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/** Writes all that a house has into a folder: its file, every table, every document, every picture. */
@Component
public class HouseExport {

    private static final String README =
            """
            house.json      what the house consists of and offers, in the open form of docs/house-format.md
            tables/*.csv    everything else, a file for each table (RFC 4180, UTF-8, the first row names the columns);
                            instants are seconds since 1970 (UTC), amounts are in cents, longer things are JSON
            documents/*.pdf each receipt and credit note
            pictures/       all pictures

            What only this installation can use is not in it: passwords, keys, sessions.
            """;

    private final ExportStore store;
    private final HouseDocuments house;
    private final Orders orders;
    private final DocumentFiles documents;
    private final DataFolder data;
    private final Reading reading;

    HouseExport(
            ExportStore store,
            HouseDocuments house,
            Orders orders,
            DocumentFiles documents,
            DataFolder data,
            Reading reading) {
        this.store = store;
        this.house = house;
        this.orders = orders;
        this.documents = documents;
        this.data = data;
        this.reading = reading;
    }

    /**
     * How many files were written.
     *
     * @param tables how many of them are tables
     * @param documents how many are documents
     * @param pictures how many are pictures
     */
    public record Written(int tables, int documents, int pictures) {}

    /**
     * Writes everything, as it is at one moment.
     *
     * @param folder an empty one
     */
    public Written into(Path folder) {
        return reading.of(() -> {
            try {
                Files.writeString(folder.resolve("README.txt"), README);
                Files.writeString(
                        folder.resolve("house.json"),
                        HouseDocuments.file(house.all()).toPrettyString());
                return new Written(
                        tables(folder.resolve("tables")),
                        documents(folder.resolve("documents")),
                        pictures(folder.resolve("pictures")));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private int tables(Path folder) throws IOException {
        Files.createDirectories(folder);
        List<String> tables = store.tables();
        for (String table : tables) {
            try (Writer out = Files.newBufferedWriter(folder.resolve(table + ".csv"));
                    CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
                store.rows(table, row -> {
                    try {
                        csv.printRecord(row);
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                });
            }
        }
        return tables.size();
    }

    private int documents(Path folder) throws IOException {
        Files.createDirectories(folder);
        List<ExportStore.Issued> issued = store.documents();
        for (ExportStore.Issued one : issued) {
            Order order = orders.byId(one.order());
            ResponseEntity<byte[]> pdf = documents.of(order, one.number());
            Files.write(folder.resolve(one.number() + ".pdf"), Objects.requireNonNull(pdf.getBody()));
        }
        return issued.size();
    }

    private int pictures(Path folder) throws IOException {
        Files.createDirectories(folder);
        try (Stream<Path> files = Files.list(data.pictures())) {
            List<Path> all = files.filter(Files::isRegularFile).toList();
            for (Path picture : all) {
                Files.copy(picture, folder.resolve(picture.getFileName()));
            }
            return all.size();
        }
    }
}
