package gastfreund.app.payments;

import gastfreund.app.setup.Settings;
import gastfreund.app.storage.Reading;
import gastfreund.app.strangers.Origins;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The gateways of the house: what guests can choose, and where every payment belongs. */
@Service
public class Gateways implements Origins {

    private static final Logger LOG = LoggerFactory.getLogger(Gateways.class);

    private final GatewaySettings practice;
    private final GatewayStore store;
    private final Reading reading;
    private final Settings settings;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private volatile @Nullable Map<String, Gateway> made;
    private volatile @Nullable String origins;

    Gateways(
            GatewayStore store,
            Settings settings,
            TransactionTemplate transaction,
            Clock clock,
            GatewaySettings practice,
            Reading reading) {
        this.reading = reading;
        this.practice = practice;
        this.store = store;
        this.settings = settings;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * The house's accounts, each kind with its practice mode first. In the demo the practice gateway that ships is
     * switched on from the start; everybody knows its keys, so that no other house has it before somebody enters some.
     */
    public List<GatewayAccount> accounts() {
        Map<String, GatewayAccount> accounts = new LinkedHashMap<>();
        if (settings.isDemo()) {
            GatewayAccount practice = practice();
            accounts.put(practice.name(), practice);
        }
        for (GatewayAccount.Kind kind : GatewayAccount.Kind.values()) {
            for (GatewayAccount.Mode mode : GatewayAccount.Mode.values()) {
                GatewayAccount empty = new GatewayAccount(kind, mode, false, Map.of());
                accounts.putIfAbsent(empty.name(), empty);
            }
        }
        store.accounts().forEach(a -> accounts.put(a.name(), a));
        return List.copyOf(accounts.values());
    }

    /** Accounts that were kept before their origins were: from then on the policy's header needs no key. */
    @EventListener(ApplicationReadyEvent.class)
    void completeOrigins() {
        if (store.lacksOrigins()) {
            transaction.executeWithoutResult(status ->
                    store.accounts().stream().filter(GatewayAccount::readable).forEach(store::put));
        }
        accounts().stream()
                .filter(a -> !a.readable())
                .forEach(a -> LOG.error(
                        "The keys of {} cannot be read: they were encrypted with another secret.key. Put that file back,"
                                + " or enter the keys again at the desk under Ways to pay.",
                        a.name()));
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
            case CARD -> new CardGateway(account, practice.patience(), clock);
            case WALLET -> new WalletGateway(account, practice.patience(), clock);
            case TRANSFER -> new TransferGateway(account, clock);
        };
    }

    /** Keeps an account; where it is switched on, the other mode of its kind is switched off. */
    public void keep(GatewayAccount account) {
        transaction.executeWithoutResult(status -> {
            store.put(account);
            if (account.enabled()) {
                accounts().stream()
                        .filter(a ->
                                a.kind() == account.kind() && a.mode() != account.mode() && a.enabled() && a.readable())
                        .forEach(a -> store.put(a.switched(false)));
            }
        });
        forget();
    }

    /** Waits for whoever is just making them, who may have read the accounts as they were before. */
    private synchronized void forget() {
        made = null;
        origins = null;
    }

    private Map<String, Gateway> made() {
        Map<String, Gateway> current = made;
        return current == null ? make() : current;
    }

    private synchronized Map<String, Gateway> make() {
        if (made == null) {
            made = reading.ofNow(this::accounts).stream()
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

    /** The practice gateway that ships, as the demo uses it. */
    private GatewayAccount practice() {
        Map<String, String> keys = Map.of(
                "url", practice.url(),
                "key", practice.key(),
                "secret", practice.secret());
        return new GatewayAccount(GatewayAccount.Kind.CARD, GatewayAccount.Mode.PRACTICE, true, keys);
    }

    /** The account to which a payment was made. */
    public GatewayAccount accountOf(Payment payment) {
        return byName(payment.gateway()).account();
    }

    /** Where guests may be led to pay. */
    @Override
    public String origins() {
        String known = origins;
        return known == null ? findOrigins() : known;
    }

    private synchronized String findOrigins() {
        if (origins == null) {
            TreeSet<String> all = new TreeSet<>(reading.ofNow(store::origins));
            if (settings.isDemo()) {
                all.add(practice().origin());
            }
            origins = String.join(" ", all);
        }
        return origins;
    }
}
