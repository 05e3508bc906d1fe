package gastfreund.standins.gateway;

import gastfreund.standins.StandinsSettings;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What shops call. */
@RestController
@RequestMapping("/gateway/payments")
class GatewayApiController {

    record Refund(long amount) {}

    /** @param amount null: the rest */
    record Part(Long amount) {

        static Long of(Part part) {
            return part == null ? null : part.amount();
        }
    }

    private final Payments payments;
    private final StandinsSettings settings;

    GatewayApiController(Payments payments, StandinsSettings settings) {
        this.payments = payments;
        this.settings = settings;
    }

    /** The gateway's own ledger. */
    @GetMapping
    List<Payment.Told> ledger(@RequestHeader("Authorization") String key) {
        check(key);
        return payments.all().stream().map(GatewayApiController::told).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Payment.Told create(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @RequestBody Payment.Asked asked) {
        check(key);
        return told(payments.create(idempotencyKey, asked));
    }

    @GetMapping("/{id}")
    Payment.Told payment(@RequestHeader("Authorization") String key, @PathVariable String id) {
        check(key);
        return told(find(id));
    }

    @PostMapping("/{id}/capture")
    Payment.Told capture(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @PathVariable String id,
            @RequestBody(required = false) Part part) {
        check(key);
        return told(payments.capture(idempotencyKey, find(id), Part.of(part)));
    }

    @PostMapping("/{id}/void")
    Payment.Told cancel(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @PathVariable String id,
            @RequestBody(required = false) Part part) {
        check(key);
        return told(payments.cancel(idempotencyKey, find(id), Part.of(part)));
    }

    @PostMapping("/{id}/refund")
    Payment.Told refund(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @PathVariable String id,
            @RequestBody Refund refund) {
        check(key);
        return told(payments.refund(idempotencyKey, find(id), refund.amount()));
    }

    private void check(String authorization) {
        byte[] given = authorization.getBytes(StandardCharsets.UTF_8);
        byte[] expected = ("Bearer " + settings.gatewayKey()).getBytes(StandardCharsets.UTF_8);
        if (!MessageDigest.isEqual(given, expected)) {
            throw new ResponseStatusException(HttpStatus.UNAUTHORIZED, "unknown key");
        }
    }

    private Payment find(String id) {
        return payments.byId(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static Payment.Told told(Payment payment) {
        return payment.told(ServletUriComponentsBuilder.fromCurrentContextPath().toUriString());
    }

    @ExceptionHandler(Payments.NotAllowed.class)
    ResponseEntity<Map<String, String>> notAllowed(Payments.NotAllowed e) {
        return ResponseEntity.status(HttpStatus.CONFLICT).body(Map.of("error", e.getMessage()));
    }
}
