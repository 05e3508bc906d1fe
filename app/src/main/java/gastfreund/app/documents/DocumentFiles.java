package gastfreund.app.documents;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.orders.Order;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.server.ResponseStatusException;

/** Documents of orders as files. */
@Component
public class DocumentFiles {

    private final Documents documents;
    private final CatalogueService catalogues;
    private final Speech speech;

    DocumentFiles(Documents documents, CatalogueService catalogues, Speech speech) {
        this.documents = documents;
        this.catalogues = catalogues;
        this.speech = speech;
    }

    /** @throws ResponseStatusException where the order has no such document */
    public ResponseEntity<byte[]> of(Order order, long number) {
        Document document = document(order, number);
        String name = document.kind().code() + "-" + number + ".pdf";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .contentType(MediaType.APPLICATION_PDF)
                .body(new DocumentPdf(document, speech.in(document.locale(), catalogues.catalogue())).drawn());
    }

    private Document document(Order order, long number) {
        return documents.ofOrder(order).stream()
                .filter(d -> d.number() == number)
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /**
     * The same as an electronic invoice (EN 16931, UBL 2.1).
     *
     * @throws ResponseStatusException where the order has no such document, or it was issued before the rates of its items were
     *     kept and has several
     */
    public ResponseEntity<String> ubl(Order order, long number) {
        Document document = document(order, number);
        Catalogue catalogue = catalogues.catalogue();
        Invoice invoice = Invoice.of(document).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        String xml = UblInvoice.of(
                document,
                invoice,
                catalogue.extras().legal(),
                catalogue.extras().manners().country(),
                catalogue.house().currency(),
                catalogue.zone().id());
        String name = document.kind().code() + "-" + number + ".xml";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .contentType(new MediaType(MediaType.APPLICATION_XML, StandardCharsets.UTF_8))
                .body(xml);
    }
}
