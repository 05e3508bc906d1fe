package gastfreund.app.payments;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Where gateways tell outcomes. */
@RestController
class NotificationController {

    private static final Logger LOG = LoggerFactory.getLogger(NotificationController.class);
    private static final int MOST_CHARACTERS = 10_000;

    private final PaymentService payments;

    NotificationController(PaymentService payments) {
        this.payments = payments;
    }

    @PostMapping("/payments/{gateway}/notifications")
    ResponseEntity<Void> notified(
            @PathVariable String gateway,
            @RequestHeader("Gateway-Time") String time,
            @RequestHeader("Gateway-Signature") String signature,
            @RequestBody String body) {
        if (body.length() > MOST_CHARACTERS) {
            return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE).build();
        }
        try {
            boolean known = payments.notified(gateway, time, signature, body);
            return ResponseEntity.status(known ? HttpStatus.NO_CONTENT : HttpStatus.NOT_FOUND)
                    .build();
        } catch (GatewayException e) {
            LOG.warn("a notification was refused: {}", e.getMessage());
            return ResponseEntity.status(HttpStatus.FORBIDDEN).build();
        }
    }
}
