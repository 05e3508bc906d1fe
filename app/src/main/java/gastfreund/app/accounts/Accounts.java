package gastfreund.app.accounts;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.secrets.Secrets;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.time.Minutes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;

/**
 * Guests' accounts. An account is its mail address': it is made when a link that went there is opened, and whoever reads that
 * mail can always get in. Nothing tells a stranger whether an address has one.
 */
@Service
public class Accounts {

    /** How long a link leads in. */
    static final Minutes LINK = Minutes.of(30);

    /** How long a visit goes on. */
    static final Duration VISIT = Duration.ofDays(90);

    /** So soon after one that was not used yet no other link is mailed: anybody can write anybody's address into a form. */
    private static final Duration APART = Duration.ofMinutes(2);

    /** So many wrong passwords in a row, and only the link helps for a while. */
    private static final int MOST_FAILURES = 8;

    private static final Duration CLOSED = Duration.ofHours(1);

    /**
     * A visit that began.
     *
     * @param token which the browser keeps
     * @param leadsTo the path on which it goes on
     */
    record Visit(String token, String leadsTo) {}

    private final AccountStore store;
    private final CatalogueService catalogues;
    private final Outbox outbox;
    private final PasswordEncoder passwords;
    private final Secrets secrets;
    private final Tokens tokens;
    private final Clock clock;

    /** What a password is compared with where there is none, so that it takes as long. */
    private final SingletonSupplier<String> nobodys;

    Accounts(
            AccountStore store,
            CatalogueService catalogues,
            Outbox outbox,
            PasswordEncoder passwords,
            Secrets secrets,
            Tokens tokens,
            Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.outbox = outbox;
        this.passwords = passwords;
        this.secrets = secrets;
        this.tokens = tokens;
        this.clock = clock;
        this.nobodys = SingletonSupplier.of(() -> Objects.requireNonNull(passwords.encode(tokens.next())));
    }

    /** What the house has chosen. */
    public CheckoutRules.Accounts chosen() {
        return catalogues.find().map(c -> c.checkout().accounts()).orElse(CheckoutRules.Accounts.NONE);
    }

    /** Whether guests of the house can have one. */
    public boolean areOffered() {
        return chosen() != CheckoutRules.Accounts.NONE;
    }

    private String mark(String token) {
        return secrets.mark("account", token);
    }

    /** As accounts know an address: another spelling is no other account. */
    private static String plain(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }

    /** The account of a mail address. */
    public Optional<Account> byEmail(String email) {
        return store.byEmail(plain(email));
    }

    /**
     * Mails a link that leads in, unless one was mailed a moment ago that still waits to be used.
     *
     * @param leadsTo the path on which it goes on
     */
    @Transactional
    public void sendLink(String email, String leadsTo, Locale language) {
        String to = plain(email);
        Instant now = clock.instant();
        if (store.waits(to, now.minus(APART))) {
            return;
        }
        String token = tokens.next();
        store.insertLink(mark(token), new AccountStore.Link(to, leadsTo), now);
        outbox.put(new Letter(null, AccountLetters.LINK, to, language, new AccountLetters.Said(token).json()));
    }

    /** The address to which a link was mailed that leads in. */
    Optional<String> linkedTo(String token) {
        return link(token).map(AccountStore.Link::email);
    }

    private Optional<AccountStore.Link> link(String token) {
        return store.link(mark(token), linksSince());
    }

    /** Since when links lead in that were mailed. */
    private Instant linksSince() {
        return clock.instant().minus(Duration.ofMinutes(LINK.count()));
    }

    /** Opens a link, once: its guest is in from now on. The account is made where there was none. */
    @Transactional
    Optional<Visit> open(String token) {
        return link(token).map(link -> {
            store.useUp(link.email());
            store.make(link.email(), tokens.next(), clock.instant());
            Account account = store.byEmail(link.email()).orElseThrow();
            return new Visit(begin(account), link.leadsTo());
        });
    }

    /** Begins a visit; belongs into the transaction that judges whose it is. */
    @Transactional(propagation = Propagation.MANDATORY)
    String begin(Account account) {
        String token = tokens.next();
        store.insertVisit(mark(token), account.id(), clock.instant());
        return token;
    }

    /**
     * Lets somebody in by a password. What is wrong is not told: not whether there is such an account, nor that it was wrong so
     * often that only the link helps for a while; and it takes as long.
     *
     * @return the token of their visit; empty where they are not let in
     */
    @Transactional
    Optional<String> enter(String email, String password) {
        Instant now = clock.instant();
        Optional<AccountStore.Password> kept = store.password(plain(email));
        String hash = kept.map(AccountStore.Password::hash).orElse(null);
        boolean right = passwords.matches(password, hash == null ? nobodys.obtain() : hash) && hash != null;
        if (kept.isEmpty() || hash == null) {
            return Optional.empty();
        }
        Instant last = kept.get().last();
        boolean lately = last != null && last.plus(CLOSED).isAfter(now);
        int failures = lately ? kept.get().failures() : 0;
        if (failures >= MOST_FAILURES) {
            return Optional.empty();
        }
        if (!right) {
            store.setFailures(kept.get().account(), failures + 1, now);
            return Optional.empty();
        }
        store.setPassword(kept.get().account(), hash);
        return store.byEmail(plain(email)).map(this::begin);
    }

    /** Whose a visit is. */
    Optional<Account> of(String visit) {
        return store.byVisit(mark(visit), clock.instant().minus(VISIT));
    }

    /** In how many browsers a guest is in, with this one. */
    public int countVisits(Account account) {
        return store.countVisits(account.id(), clock.instant().minus(VISIT));
    }

    @Transactional
    void leave(String visit) {
        store.endVisit(mark(visit));
    }

    @Transactional
    void endOthers(Account account, String visit) {
        store.endOthers(account.id(), mark(visit));
    }

    /**
     * Sets a password, and ends all other visits; its guest is told by mail.
     *
     * @param password that was found good enough; empty: there is none any more
     */
    @Transactional
    void setPassword(Account account, String password, String visit, Locale language) {
        store.setPassword(account.id(), password.isEmpty() ? null : passwords.encode(password));
        endOthers(account, visit);
        tell(
                account,
                password.isEmpty() ? AccountLetters.Change.NO_PASSWORD : AccountLetters.Change.PASSWORD,
                language);
    }

    /** Tells a guest of what has changed about how they get in; belongs into the transaction that changes it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void tell(Account account, AccountLetters.Change change, Locale language) {
        String facts = new AccountLetters.Changed(change.code()).json();
        outbox.put(new Letter(null, AccountLetters.CHANGED, account.email(), language, facts));
    }

    /** Forgets an account; what was booked stays. */
    @Transactional
    public void delete(String email) {
        store.delete(plain(email));
    }

    /** Accounts without bookings that nobody got into since an instant; no more than so many. */
    public List<String> unusedSince(Instant before, int most) {
        return store.unusedSince(before, most);
    }

    /** Forgets links and visits that lead nowhere any more. */
    @Transactional
    public void forgetOld() {
        store.removeLinks(linksSince());
        store.removeVisits(clock.instant().minus(VISIT));
    }
}
