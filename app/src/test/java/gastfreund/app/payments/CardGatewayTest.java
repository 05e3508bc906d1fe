package gastfreund.app.payments;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;

/** The adapter for cards, against the kit. */
class CardGatewayTest extends GatewayKit {

    private Gateway at(String url, String key) {
        return new CardGateway(
                account(GatewayAccount.Kind.CARD, Map.of("url", url, "key", key, "secret", "practice-secret")),
                PATIENCE,
                clock);
    }

    @Override
    Gateway gateway() {
        return at(STANDINS.address(), "practice-key");
    }

    @Override
    Gateway stranger() {
        return at(STANDINS.address(), "another-key");
    }

    @Override
    Gateway nobody() {
        return at("http://localhost:1", "practice-key");
    }

    @Override
    void pay(Gateway gateway, Gateway.Told payment) {
        choose(payment, "UNTOLD");
    }

    @Override
    void refuse(Gateway gateway, Gateway.Told payment) {
        choose(payment, "REFUSED");
    }

    private static void choose(Gateway.Told payment, String card) {
        try {
            HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(payment.payUrl()))
                                    .header("Content-Type", "application/x-www-form-urlencoded")
                                    .POST(HttpRequest.BodyPublishers.ofString("card=" + card))
                                    .build(),
                            HttpResponse.BodyHandlers.discarding());
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
