package gastfreund.app.documents;

import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Receipts and credit notes as PDF and as electronic invoices, for whoever knows the booking's page. */
@OfItsGuest
@Controller
public class DocumentController {

    private final DocumentFiles files;

    DocumentController(DocumentFiles files) {
        this.files = files;
    }

    @GetMapping("/bookings/{token}/documents/{number}.pdf")
    ResponseEntity<byte[]> document(
            @ModelAttribute(name = "order", binding = false) Order order, @PathVariable long number) {
        return files.of(order, number);
    }

    /** The same for programs that read electronic invoices. */
    @GetMapping("/bookings/{token}/documents/{number}.xml")
    ResponseEntity<String> invoice(
            @ModelAttribute(name = "order", binding = false) Order order, @PathVariable long number) {
        return files.ubl(order, number);
    }
}
