package gastfreund.app.payments;

import gastfreund.app.house.Settings;
import java.net.URI;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The gateways of the house: what guests can choose, and where every payment belongs. */
@Service
public class Gateways {

    private final GatewayStore store;
    private final Settings settings;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private volatile Map<String, Gateway> made;

    Gateways(GatewayStore store, Settings settings, TransactionTemplate transaction, Clock clock) {
        this.store = store;
        this.settings = settings;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * The house's accounts, each kind with its practice mode first. Until a house has set up something, the practice
     * gateway that ships is switched on.
     */
    public List<GatewayAccount> accounts() {
        Map<String, GatewayAccount> accounts = new LinkedHashMap<>();
        GatewayAccount practice = new GatewayAccount(
                GatewayAccount.Kind.CARD,
                GatewayAccount.Mode.PRACTICE,
                true,
                Map.of(
                        "url", settings.gateway().url(),
                        "key", settings.gateway().key(),
                        "secret", settings.gateway().secret()));
        accounts.put(practice.name(), practice);
        for (GatewayAccount.Kind kind : GatewayAccount.Kind.values()) {
            for (GatewayAccount.Mode mode : GatewayAccount.Mode.values()) {
                GatewayAccount empty = new GatewayAccount(kind, mode, false, Map.of());
                accounts.putIfAbsent(empty.name(), empty);
            }
        }
        store.accounts().forEach(a -> accounts.put(a.name(), a));
        return List.copyOf(accounts.values());
    }

    public GatewayAccount account(GatewayAccount.Kind kind, GatewayAccount.Mode mode) {
        return accounts().stream()
                .filter(a -> a.kind() == kind && a.mode() == mode)
                .findFirst()
                .orElseThrow();
    }

    /** Makes a gateway of keys that are not yet kept, to try them. */
    Gateway of(GatewayAccount account) {
        return switch (account.kind()) {
            case CARD -> new CardGateway(account, settings.gateway().patience(), clock);
            case TRANSFER -> new TransferGateway(account, clock);
        };
    }

    /** Keeps an account; where it is switched on, the other mode of its kind is switched off. */
    public void keep(GatewayAccount account) {
        transaction.executeWithoutResult(status -> {
            store.put(account);
            if (account.enabled()) {
                accounts().stream()
                        .filter(a -> a.kind() == account.kind() && a.mode() != account.mode() && a.enabled())
                        .forEach(a -> store.put(a.switched(false)));
            }
        });
        forget();
    }

    /** Waits for whoever is just making them, who may have read the accounts as they were before. */
    private synchronized void forget() {
        made = null;
    }

    private Map<String, Gateway> made() {
        Map<String, Gateway> current = made;
        return current == null ? make() : current;
    }

    private synchronized Map<String, Gateway> make() {
        if (made == null) {
            made = accounts().stream()
                    .filter(a -> !a.keys().isEmpty())
                    .collect(Collectors.toMap(GatewayAccount::name, this::of, (a, b) -> b, LinkedHashMap::new));
        }
        return made;
    }

    /** What guests can choose, the first one being proposed. */
    public List<Gateway> offered() {
        List<Gateway> offered = new ArrayList<>(made().values());
        offered.removeIf(g -> !g.account().enabled());
        return offered;
    }

    /**
     * What guests can choose for something.
     *
     * @param authorised whether the money is to be put aside first
     * @param start when what is paid for begins; money must be able to come before
     */
    public List<Gateway> fitting(boolean authorised, Instant start) {
        return offered().stream()
                .filter(g -> g.authorises() || !authorised)
                .filter(g -> clock.instant().plus(g.within()).isBefore(start))
                .toList();
    }

    /** @throws GatewayException where the house has no such gateway any more */
    Gateway byName(String name) {
        return Optional.ofNullable(made().get(name))
                .orElseThrow(() -> new GatewayException("the house has no gateway " + name));
    }

    /** The account to which a payment was made. */
    public GatewayAccount accountOf(Payment payment) {
        return byName(payment.gateway()).account();
    }

    /** The origins to which a guest may be led to pay. */
    public String origins() {
        TreeSet<String> origins = new TreeSet<>();
        for (Gateway gateway : made().values()) {
            String url = gateway.account().key("url");
            if (!url.isEmpty()) {
                URI uri = URI.create(url);
                origins.add(uri.getScheme() + "://" + uri.getAuthority());
            }
        }
        return String.join(" ", origins);
    }
}
