package gastfreund.app.payments;

import java.util.Map;

/** The adapter for wallets, against the kit. */
class WalletGatewayTest extends GatewayKit {

    private Gateway at(String url, String key) {
        return new WalletGateway(account(GatewayAccount.Kind.WALLET, Map.of("url", url, "key", key)), PATIENCE, clock);
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
        gateway.pay(key(), payment.reference(), "WORKS");
    }

    @Override
    void refuse(Gateway gateway, Gateway.Told payment) {
        for (int i = 0; i < 3; i++) {
            gateway.pay(key(), payment.reference(), "EMPTY");
        }
    }
}
