package gastfreund.app.hosts;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Languages;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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

    private final HostStore store;
    private final CatalogueService catalogues;
    private final PasswordEncoder passwords;
    private final Clock clock;

    HostService(HostStore store, CatalogueService catalogues, PasswordEncoder passwords, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.passwords = passwords;
        this.clock = clock;
    }

    @Override
    public UserDetails loadUserByUsername(String email) {
        Host host = store.byEmail(email).orElseThrow(() -> new UsernameNotFoundException("unknown"));
        return new SignedIn(host, clock.instant());
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
    void setLanguage(Host host, Locale language) {
        store.setLanguage(host.email(), Languages.spoken(language));
    }

    /** What is noted of sign-ins, the newest first. */
    List<SignIn> signIns(int most) {
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
        return store.byEmail(host.email()).orElseThrow();
    }
}
