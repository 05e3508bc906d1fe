package gastfreund.app.letters;

import gastfreund.app.orders.Order;
import gastfreund.app.secrets.Secrets;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.stereotype.Component;

/** The keys of links that only whoever reads an order's mail can open. */
@Component
public class ProofKeys {

    private final Secrets secrets;

    ProofKeys(Secrets secrets) {
        this.secrets = secrets;
    }

    String keyOf(Order order) {
        return secrets.mark(
                "proof of address", order.token() + " " + order.contact().email());
    }

    public boolean fits(Order order, String key) {
        return MessageDigest.isEqual(
                key.getBytes(StandardCharsets.UTF_8), keyOf(order).getBytes(StandardCharsets.UTF_8));
    }
}
