package gastfreund.app.pages;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/** Addresses as pages say them. */
public final class Addresses {

    private Addresses() {}

    /** An address with parameters; their values are encoded as a whole. */
    public static String with(String address, Map<String, String> said) {
        UriComponentsBuilder to = UriComponentsBuilder.fromUriString(address);
        said.keySet().forEach(name -> to.queryParam(name, "{" + name + "}"));
        return to.encode().buildAndExpand(said).toUriString();
    }

    /** A value as it stands in an address, whatever is in it: for builders that take it as encoded ({@code build(true)}). */
    public static String value(String said) {
        return UriUtils.encode(said, StandardCharsets.UTF_8);
    }

    /**
     * An address of the house as a page says it that is drawn without a template.
     *
     * @param root the address under which the house lies, with a slash at its end
     * @param address within the house, with a slash at its beginning
     */
    public static String under(String root, String address) {
        return root + address.substring(1);
    }
}
