package gastfreund.app.hosts;

import gastfreund.app.catalogue.CatalogueService;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Knows who may sign in. */
@Service
public class HostService implements UserDetailsService {

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
        return User.withUsername(host.email())
                .password(host.password())
                .roles(host.role().toUpperCase(Locale.ROOT))
                .build();
    }

    /** Whether nobody can sign in yet. */
    public boolean nobodyYet() {
        return !store.any();
    }

    /** Where messages to the house go. */
    public List<String> addresses() {
        return store.addresses();
    }

    /**
     * Makes the first sign-in and, where there is none, the house; nothing where somebody else was first.
     *
     * @return whether it was made
     */
    @Transactional
    public boolean makeFirst(WelcomeForm form) {
        if (store.any()) {
            return false;
        }
        if (catalogues.find().isEmpty()) {
            ObjectNode file = JsonNodeFactory.instance.objectNode();
            file.put("format", "gastfreund-house/1");
            file.putObject("house")
                    .put("name", form.houseName().trim())
                    .put("zone", form.zone())
                    .put("currency", form.currency());
            catalogues.open(file);
        }
        add(form.email(), form.name(), form.password(), "owner");
        return true;
    }

    /** Lets somebody sign in. */
    @Transactional
    public void add(String email, String name, String password, String role) {
        store.insert(email, name, passwords.encode(password), role, clock.instant());
    }
}
