package gastfreund.app.letterdesk;

import gastfreund.app.secrets.Tokens;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Mails that somebody looks at while they write them, for as long as the frame takes in which they are shown. */
@Component
class Previews {

    private static final int MOST = 200;

    private final Tokens tokens;
    private final Map<String, String> shown = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, String> eldest) {
            return size() > MOST;
        }
    };

    Previews(Tokens tokens) {
        this.tokens = tokens;
    }

    /** By what it can be asked for. */
    synchronized String put(String html) {
        String token = tokens.next();
        shown.put(token, html);
        return token;
    }

    synchronized Optional<String> get(String token) {
        return Optional.ofNullable(shown.get(token));
    }
}
