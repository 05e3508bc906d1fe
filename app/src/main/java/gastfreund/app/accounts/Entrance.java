package gastfreund.app.accounts;

import gastfreund.app.pages.Address;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/**
 * Whose account a browser is in. It keeps one cookie, and only while its guest is in: no other website can make it send that
 * cookie along with a form, and no script can read it.
 */
@Component
public class Entrance {

    private static final String COOKIE = "gastfreund-account";
    private static final Pattern TOKEN = Pattern.compile("[\\w-]{20,40}");
    private static final String FOUND = Entrance.class.getName();

    private final Accounts accounts;
    private final Address address;

    Entrance(Accounts accounts, Address address) {
        this.accounts = accounts;
        this.address = address;
    }

    /** The account of a request's browser; empty where nobody is in, or the house has no accounts. */
    @SuppressWarnings("unchecked")
    public Optional<Account> account(HttpServletRequest request) {
        Object found = request.getAttribute(FOUND);
        if (found != null) {
            return (Optional<Account>) found;
        }
        Optional<String> visit = visit(request);
        Optional<Account> account =
                visit.isPresent() && accounts.areOffered() ? accounts.of(visit.get()) : Optional.empty();
        request.setAttribute(FOUND, account);
        return account;
    }

    /** The token of a request's visit. */
    static Optional<String> visit(HttpServletRequest request) {
        Cookie cookie = WebUtils.getCookie(request, COOKIE);
        return Optional.ofNullable(cookie).map(Cookie::getValue).filter(token -> TOKEN.matcher(token)
                .matches());
    }

    /** Lets the browser keep a visit. */
    void let(String visit, HttpServletRequest request, HttpServletResponse response) {
        set(visit, Accounts.VISIT, request, response);
    }

    /** Lets the browser forget its visit. */
    public void forget(HttpServletRequest request, HttpServletResponse response) {
        set("", Duration.ZERO, request, response);
    }

    private void set(String visit, Duration age, HttpServletRequest request, HttpServletResponse response) {
        boolean secure = request.isSecure()
                || address.set().map(a -> a.startsWith("https:")).orElse(false);
        ResponseCookie cookie = ResponseCookie.from(COOKIE, visit)
                .path(address.path() + "/")
                .httpOnly(true)
                .secure(secure)
                .sameSite("Lax")
                .maxAge(age)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }
}
