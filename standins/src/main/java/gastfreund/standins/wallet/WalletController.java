package gastfreund.standins.wallet;

import java.math.BigDecimal;
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
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** What shops call. */
@RestController
@RequestMapping("/wallet")
class WalletController {

    record Wish(String once, String amount, String currency, String memo, boolean reserve) {}

    record Token(String once, String token) {}

    record Part(String once, String amount) {}

    private final Wallet wallet;

    WalletController(Wallet wallet) {
        this.wallet = wallet;
    }

    private String enter(String key) {
        if (!wallet.knows(key)) {
            throw new ResponseStatusException(HttpStatus.UNAUTHORIZED);
        }
        return key;
    }

    @GetMapping("/me")
    Map<String, String> me(@RequestHeader("Wallet-Key") String key) {
        return Map.of("account", enter(key));
    }

    @PostMapping("/intents")
    Intent.Told open(@RequestHeader("Wallet-Key") String key, @RequestBody Wish wish) {
        return wallet.open(enter(key), wish.once(), new BigDecimal(wish.amount()), wish.currency(), wish.reserve())
                .told();
    }

    @GetMapping("/intents/{id}")
    Intent.Told ask(@RequestHeader("Wallet-Key") String key, @PathVariable String id) {
        return wallet.ask(enter(key), id);
    }

    @PostMapping("/intents/{id}/token")
    ResponseEntity<Intent.Told> token(
            @RequestHeader("Wallet-Key") String key, @PathVariable String id, @RequestBody Token token) {
        Wallet.Answer answer = wallet.token(enter(key), token.once(), id, token.token());
        return ResponseEntity.status(answer.taken() ? HttpStatus.OK : HttpStatus.PAYMENT_REQUIRED)
                .body(answer.told());
    }

    @PostMapping("/intents/{id}/close")
    Intent.Told close(@RequestHeader("Wallet-Key") String key, @PathVariable String id, @RequestBody Part part) {
        return wallet.close(enter(key), part.once(), id).told();
    }

    @PostMapping("/intents/{id}/take")
    Intent.Told take(@RequestHeader("Wallet-Key") String key, @PathVariable String id, @RequestBody Part part) {
        return wallet.take(enter(key), part.once(), id, new BigDecimal(part.amount()))
                .told();
    }

    @PostMapping("/intents/{id}/free")
    Intent.Told free(@RequestHeader("Wallet-Key") String key, @PathVariable String id, @RequestBody Part part) {
        return wallet.free(enter(key), part.once(), id, new BigDecimal(part.amount()))
                .told();
    }

    @PostMapping("/intents/{id}/return")
    Intent.Told giveBack(@RequestHeader("Wallet-Key") String key, @PathVariable String id, @RequestBody Part part) {
        return wallet.giveBack(enter(key), part.once(), id, new BigDecimal(part.amount()))
                .told();
    }

    @ExceptionHandler({Wallet.NotAllowed.class, NumberFormatException.class})
    ResponseEntity<Map<String, String>> notAllowed(RuntimeException e) {
        return ResponseEntity.status(HttpStatus.CONFLICT).body(Map.of("error", String.valueOf(e.getMessage())));
    }
}
