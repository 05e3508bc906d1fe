package gastfreund.app.hosts;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who a session belongs to. What they may do is asked anew at each request, since it can have changed. */
final class SignedIn implements UserDetails, CredentialsContainer {

    private static final long serialVersionUID = 1L;

    private final String id;
    private final String email;
    private final int epoch;
    private final Instant since;
    private @Nullable String password;

    /** @param id of the session; the host is signed in while there is a {@link HostSession} of that id */
    SignedIn(String id, Host host, Instant since) {
        this.id = id;
        this.email = host.email();
        this.epoch = host.epoch();
        this.password = host.password();
        this.since = since;
    }

    String id() {
        return id;
    }

    int epoch() {
        return epoch;
    }

    Instant since() {
        return since;
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public @Nullable String getPassword() {
        return password;
    }

    @Override
    public String getUsername() {
        return email;
    }

    @Override
    public void eraseCredentials() {
        password = null;
    }
}
