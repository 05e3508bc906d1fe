package gastfreund.app.documents;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.orders.Order;
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
        Document document = documents.ofOrder(order).stream()
                .filter(d -> d.number() == number)
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        String name = document.kind().code() + "-" + number + ".pdf";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .contentType(MediaType.APPLICATION_PDF)
                .body(new DocumentPdf(document, speech.in(document.locale(), catalogues.catalogue())).drawn());
    }
}
