package gastfreund.app.payments;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * An account at a gateway as a host writes it. Keys that are secret are never shown again: an empty field keeps what is
 * there.
 *
 * @param errors what is wrong, by the key's name
 */
public record AccountForm(GatewayAccount account, Map<String, String> errors) {

    static final int MOST = 200;
    private static final Pattern DAYS = Pattern.compile("[1-9]|[12]\\d|30");
    private static final Pattern IBAN = Pattern.compile("[A-Z]{2}\\d{2}[A-Z0-9]{11,30}+");

    /** @param written what came with the form, by the key's name */
    static AccountForm of(GatewayAccount before, boolean enabled, Map<String, String> written) {
        Map<String, String> keys = new LinkedHashMap<>();
        Map<String, String> errors = new LinkedHashMap<>();
        for (String name : before.kind().keys()) {
            String value = written.getOrDefault(name, "").strip();
            if (value.isEmpty() && isSecret(name)) {
                value = before.key(name);
            }
            if (name.equals("iban")) {
                value = value.replace(" ", "").toUpperCase(Locale.ROOT);
            }
            keys.put(name, value);
            String error = error(name, value);
            if (!error.isEmpty()) {
                errors.put(name, error);
            }
        }
        return new AccountForm(new GatewayAccount(before.kind(), before.mode(), enabled, true, keys), errors);
    }

    /** Whether a key is never shown again. */
    public boolean secret(String name) {
        return isSecret(name);
    }

    private static boolean isSecret(String name) {
        return name.equals("key") || name.equals("secret");
    }

    AccountForm with(String name, String error) {
        Map<String, String> more = new LinkedHashMap<>(errors);
        more.put(name, error);
        return new AccountForm(account, more);
    }

    private static String error(String name, String value) {
        if (value.isEmpty() && !name.equals("bank")) {
            return "way.missing";
        }
        boolean right = value.length() <= MOST
                && switch (name) {
                    case "url" -> isAddress(value);
                    case "iban" -> isIban(value);
                    case "days" -> DAYS.matcher(value).matches();
                    default -> true;
                };
        return right ? "" : "way.wrong." + name;
    }

    /** A gateway is reached over HTTPS, but for one on the same machine. */
    private static boolean isAddress(String value) {
        try {
            URI uri = new URI(value);
            boolean near = "localhost".equals(uri.getHost());
            return uri.getHost() != null
                    && uri.getRawQuery() == null
                    && ("https".equals(uri.getScheme()) || near && "http".equals(uri.getScheme()));
        } catch (URISyntaxException e) {
            return false;
        }
    }

    /** ISO 13616: with its first four characters at the end and letters as 10 to 35, it leaves 1 when divided by 97. */
    static boolean isIban(String value) {
        if (!IBAN.matcher(value).matches()) {
            return false;
        }
        int rest = 0;
        for (char c : (value.substring(4) + value.substring(0, 4)).toCharArray()) {
            int digit = Character.digit(c, 36);
            rest = (rest * (digit < 10 ? 10 : 100) + digit) % 97;
        }
        return rest == 1;
    }
}
