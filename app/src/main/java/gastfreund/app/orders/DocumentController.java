package gastfreund.app.orders;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** Receipts and credit notes as PDF, for whoever knows the booking's page. */
@Controller
class DocumentController {

    private final OrderService orders;
    private final Documents documents;
    private final CatalogueService catalogues;
    private final Speech speech;

    DocumentController(OrderService orders, Documents documents, CatalogueService catalogues, Speech speech) {
        this.orders = orders;
        this.documents = documents;
        this.catalogues = catalogues;
        this.speech = speech;
    }

    @GetMapping("/bookings/{token}/documents/{number}.pdf")
    ResponseEntity<byte[]> document(@PathVariable String token, @PathVariable long number) {
        Document document = orders.byToken(token).stream()
                .flatMap(order -> documents.ofOrder(order).stream())
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
