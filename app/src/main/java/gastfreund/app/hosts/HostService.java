package gastfreund.app.hosts;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Languages;
import gastfreund.app.secrets.Tokens;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Knows who may sign in. */
@Service
public class HostService implements UserDetailsService, UserDetailsPasswordService {

    private static final Duration LONGEST = Duration.ofHours(12);
    private static final Duration LATELY = Duration.ofMinutes(5);

    private final HostStore store;
    private final CatalogueService catalogues;
    private final PasswordEncoder passwords;
    private final Tokens tokens;
    private final Clock clock;

    HostService(HostStore store, CatalogueService catalogues, PasswordEncoder passwords, Tokens tokens, Clock clock) {
        this.tokens = tokens;
        this.store = store;
        this.catalogues = catalogues;
        this.passwords = passwords;
        this.clock = clock;
    }

    @Override
    public UserDetails loadUserByUsername(String email) {
        Host host = store.byEmail(email).orElseThrow(() -> new UsernameNotFoundException("unknown"));
        return new SignedIn(tokens.next(), host, clock.instant());
    }

    /** Keeps a password that has just been right in the way in which they are kept now. */
    @Override
    @Transactional
    public UserDetails updatePassword(UserDetails user, @Nullable String encoded) {
        store.setPassword(user.getUsername(), Objects.requireNonNull(encoded));
        return loadUserByUsername(user.getUsername());
    }

    public Optional<Host> byEmail(String email) {
        return store.byEmail(email);
    }

    /** Whether nobody can sign in yet. */
    public boolean nobodyYet() {
        return !store.any();
    }

    /** Whom messages to the house go to. */
    public List<Host> inCharge() {
        return store.inCharge();
    }

    /** Chooses the language in which a host is written to; another than those that are spoken is as good as English. */
    @Transactional
    public void setLanguage(Host host, Locale language) {
        store.setLanguage(host.email(), Languages.spoken(language));
    }

    /** What is noted of sign-ins, the newest first. */
    public List<SignIn> signIns(int most) {
        return store.signIns(most);
    }

    /**
     * Makes the first sign-in and, where there is none, the house; nothing where somebody else was first.
     *
     * @param language in which the owner is written to
     * @return whether it was made
     */
    @Transactional
    public boolean makeFirst(WelcomeForm form, Locale language) {
        if (store.any()) {
            return false;
        }
        if (catalogues.find().isEmpty()) {
            ObjectNode file = JsonNodeFactory.instance.objectNode();
            file.put("format", "gastfreund-house/1");
            file.putObject("house")
                    .put("name", form.houseName().strip())
                    .put("zone", form.zone())
                    .put("currency", form.currency());
            catalogues.open(file);
        }
        add(form.email(), form.name(), form.password(), Role.OWNER, language);
        return true;
    }

    /** Lets somebody sign in, who is written to in a language that is spoken. */
    @Transactional
    public void add(String email, String name, String password, Role role, Locale language) {
        String kept = Objects.requireNonNull(passwords.encode(password));
        store.insert(email, name, kept, role, Languages.spoken(language), clock.instant());
    }

    /**
     * Changes a host's own password, and ends their other sessions.
     *
     * @return the host as they are now; empty where the old password is not right
     */
    @Transactional
    public Optional<Host> changePassword(Host host, String old, String fresh) {
        Host current = store.byEmail(host.email()).orElseThrow();
        if (!passwords.matches(old, current.password())) {
            return Optional.empty();
        }
        store.setPassword(current.email(), Objects.requireNonNull(passwords.encode(fresh)));
        return Optional.of(endSessions(current));
    }

    /** Ends every session of a host; the one that asked for it goes on as the host's that is given back. */
    @Transactional
    public Host endSessions(Host host) {
        store.raiseEpoch(host.email());
        store.endSessions(host.id());
        return store.byEmail(host.email()).orElseThrow();
    }

    /** All who may sign in. */
    public List<Host> all() {
        return store.all();
    }

    /** Begins a session of somebody who has just signed in. */
    @Transactional
    void begin(SignedIn signedIn, String address, String agent) {
        store.endSessionsBefore(clock.instant().minus(LONGEST));
        store.byEmail(signedIn.getUsername())
                .ifPresent(host -> store.openSession(
                        new HostSession(signedIn.id(), host.id(), signedIn.since(), signedIn.since(), address, agent)));
    }

    /** The host whose session it is; empty where it has ended, or was of another time. */
    Optional<Host> of(SignedIn signedIn) {
        boolean fresh = Duration.between(signedIn.since(), clock.instant()).compareTo(LONGEST) < 0;
        return fresh
                ? store.bySession(signedIn.id()).filter(host -> host.epoch() == signedIn.epoch())
                : Optional.empty();
    }

    /** Notes now and then that a session is used. */
    @Transactional
    void seen(SignedIn signedIn) {
        store.setSeen(signedIn.id(), clock.instant());
    }

    boolean isSeenLately(SignedIn signedIn) {
        return store.seen(signedIn.id()).isAfter(clock.instant().minus(LATELY));
    }

    /** Where a host is signed in, the newest first. */
    public List<HostSession> sessions(Host host) {
        Instant oldest = clock.instant().minus(LONGEST);
        return store.sessions(host.id()).stream()
                .filter(s -> s.since().isAfter(oldest))
                .toList();
    }

    /** Ends a session, whosever it is. */
    @Transactional
    public void endSession(String id) {
        store.endSession(id);
    }

    /** Sessions do not outlive the application. */
    @EventListener(ApplicationReadyEvent.class)
    @Transactional
    public void nobodyIsSignedIn() {
        store.endSessionsBefore(clock.instant());
    }

    /**
     * Says what a host is here. Their sessions go on, and may what the new role may.
     *
     * @return whether it was done: there is always an owner
     */
    @Transactional
    public boolean setRole(long id, Role role, String person) {
        Optional<Host> host = store.all().stream().filter(h -> h.id() == id).findFirst();
        if (host.isEmpty() || isLastOwner(host.get()) && role != Role.OWNER) {
            return false;
        }
        store.setRole(id, role, person);
        return true;
    }

    private boolean isLastOwner(Host host) {
        return host.role() == Role.OWNER && store.countOwners() == 1;
    }

    /**
     * Lets a host sign in no more.
     *
     * @return whether it was done: there is always an owner
     */
    @Transactional
    public boolean remove(long id) {
        Optional<Host> host = store.all().stream().filter(h -> h.id() == id).findFirst();
        if (host.isEmpty() || isLastOwner(host.get())) {
            return false;
        }
        store.delete(id);
        return true;
    }

    /** Lets somebody who was invited sign in, as one of the house's people where they are one. */
    @Transactional
    public void add(String email, String name, String password, Role role, Locale language, String person) {
        add(email, name, password, role, language);
        store.byEmail(email).ifPresent(h -> store.setRole(h.id(), role, person));
    }
}
