package gastfreund.standins.gateway;

import gastfreund.standins.StandinsSettings;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What shops call. */
@RestController
@RequestMapping("/gateway/payments")
class GatewayApiController {

    record Refund(long amount) {}

    /** @param amount null: the rest */
    record Part(@Nullable Long amount) {

        static @Nullable Long of(@Nullable Part part) {
            return part == null ? null : part.amount();
        }
    }

    private final Payments payments;
    private final Control control;
    private final Answers answers;
    private final StandinsSettings settings;

    GatewayApiController(Payments payments, Control control, Answers answers, StandinsSettings settings) {
        this.answers = answers;
        this.control = control;
        this.payments = payments;
        this.settings = settings;
    }

    /** The gateway's own ledger. */
    @GetMapping
    List<Payment.Told> ledger(@RequestHeader("Authorization") String key) {
        String account = enter(key);
        return payments.all().stream()
                .filter(p -> p.account.equals(account))
                .map(GatewayApiController::told)
                .toList();
    }

    @PostMapping
    ResponseEntity<String> create(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @RequestBody Payment.Asked asked) {
        String account = enter(key);
        control.admit("create");
        return said(HttpStatus.CREATED, payments.create(account, idempotencyKey, asked));
    }

    @GetMapping("/{id}")
    ResponseEntity<String> payment(@RequestHeader("Authorization") String key, @PathVariable String id) {
        return said(HttpStatus.OK, find(enter(key), id));
    }

    @PostMapping("/{id}/capture")
    ResponseEntity<String> capture(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @PathVariable String id,
            @RequestBody(required = false) Part part) {
        String account = enter(key);
        control.admit("capture");
        return said(HttpStatus.OK, payments.capture(idempotencyKey, find(account, id), Part.of(part)));
    }

    @PostMapping("/{id}/void")
    ResponseEntity<String> cancel(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @PathVariable String id,
            @RequestBody(required = false) Part part) {
        String account = enter(key);
        control.admit("void");
        return said(HttpStatus.OK, payments.cancel(idempotencyKey, find(account, id), Part.of(part)));
    }

    @PostMapping("/{id}/refund")
    ResponseEntity<String> refund(
            @RequestHeader("Authorization") String key,
            @RequestHeader("Idempotency-Key") String idempotencyKey,
            @PathVariable String id,
            @RequestBody Refund refund) {
        String account = enter(key);
        control.admit("refund");
        return said(HttpStatus.OK, payments.refund(idempotencyKey, find(account, id), refund.amount()));
    }

    /** @return the key of the caller's account */
    private String enter(String authorization) {
        control.admit("any");
        String key = authorization.startsWith("Bearer ") ? authorization.substring("Bearer ".length()) : "";
        if (key.isEmpty() || settings.secretOf(key).isEmpty()) {
            throw new ResponseStatusException(HttpStatus.UNAUTHORIZED, "unknown key");
        }
        return key;
    }

    private Payment find(String account, String id) {
        return payments.byId(id)
                .filter(p -> p.account.equals(account))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private ResponseEntity<String> said(HttpStatus status, Payment payment) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_JSON)
                .body(answers.written(told(payment)));
    }

    private static Payment.Told told(Payment payment) {
        return payment.told(ServletUriComponentsBuilder.fromCurrentContextPath().toUriString());
    }

    @ExceptionHandler(Payments.NotAllowed.class)
    ResponseEntity<Map<String, String>> notAllowed(Payments.NotAllowed e) {
        return ResponseEntity.status(HttpStatus.CONFLICT).body(Map.of("error", e.getMessage()));
    }

    @ExceptionHandler(Control.Down.class)
    ResponseEntity<Map<String, String>> down() {
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).body(Map.of("error", "down for practice"));
    }
}
