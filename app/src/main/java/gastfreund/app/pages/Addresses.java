package gastfreund.app.pages;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/** Addresses with parameters that somebody has said. */
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
}
