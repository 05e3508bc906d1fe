package gastfreund.app.payments;

import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A house's own access to a kind of gateway, in practice or in live mode.
 *
 * @param enabled whether guests can choose it
 * @param readable false where its keys were encrypted with a key that is lost: they must be entered again
 * @param keys what the kind needs, by name
 */
public record GatewayAccount(Kind kind, Mode mode, boolean enabled, boolean readable, Map<String, String> keys) {

    /** An account whose keys are at hand. */
    public GatewayAccount(Kind kind, Mode mode, boolean enabled, Map<String, String> keys) {
        this(kind, mode, enabled, true, keys);
    }

    /** The kinds of gateways, and what each needs. */
    public enum Kind {
        /** Cards, through a gateway that is reached over HTTP. */
        CARD(List.of("url", "key", "secret")),
        /** A wallet on the guest's telephone, whose token is paid with on the house's own page. */
        WALLET(List.of("url", "key")),
        /** Transfers to the house's own bank account, which the host marks as received. */
        TRANSFER(List.of("holder", "iban", "bank", "days"));

        private final List<String> keys;

        Kind(List<String> keys) {
            this.keys = keys;
        }

        /** The names of the keys that it needs. */
        public List<String> keys() {
            return keys;
        }

        /** The name in tables and messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Whether real money moves. */
    public enum Mode {
        PRACTICE,
        LIVE;

        /** The name in tables and messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public GatewayAccount {
        keys = Map.copyOf(keys);
    }

    /** What payments call it, so that each goes back to the account that took it, whatever is switched on later. */
    public String name() {
        return mode == Mode.LIVE ? kind.code() : mode.code() + "-" + kind.code();
    }

    public String key(String name) {
        return keys.getOrDefault(name, "");
    }

    /** The origin to which it leads guests; empty where it leads nowhere. */
    String origin() {
        String url = key("url");
        if (url.isEmpty()) {
            return "";
        }
        URI uri = URI.create(url);
        return uri.getScheme() + "://" + uri.getAuthority();
    }

    /** The same, switched on or off. */
    public GatewayAccount switched(boolean on) {
        return new GatewayAccount(kind, mode, on, readable, keys);
    }
}
